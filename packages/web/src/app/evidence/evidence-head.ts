import { booleanAttribute, ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import type { Privacy } from '@lorvet/core/evidence';
import { DateField } from '../ui/controls/date';
import { SELECT } from '../ui/controls/select';
import { ProgressLine } from '../ui/progress';
import { EvidenceChoices, type FormId, FORMS, PRIVACIES } from './choices';
import { type SpanId, SPANS } from './spans';
import { EvidenceWriting } from './writing';

/** The head of each view of evidence: its name, of which time, for whom, as what; and how far writing is. */
@Component({
  selector: 'lv-evidence-head',
  imports: [DateField, ProgressLine, RouterLink, RouterLinkActive, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row head">
      <h1>{{ heading() }}</h1>
      <ng-content />
      <nav aria-label="Views of evidence">
        @for (v of views; track v.name) {
          <a
            [routerLink]="v.link"
            routerLinkActive="on"
            ariaCurrentWhenActive="page"
            [routerLinkActiveOptions]="{ exact: v.exact }"
            >{{ v.name }}</a
          >
        }
      </nav>
    </div>
    @if (!bare()) {
      <div class="row choices card">
        <lv-select label="Time" [value]="choices.span()" (chosen)="setSpan($event)">
          @for (s of spans; track s.id) {
            <lv-option [value]="s.id" [label]="s.name" />
          }
        </lv-select>
        @if (choices.span() === 'own') {
          <lv-date label="From" [value]="choices.own().from" (told)="choices.set({ from: $event })" />
          <lv-date label="Until" [value]="choices.own().until" (told)="choices.set({ until: $event })" />
        }
        @if (!times()) {
          <lv-select label="What is in it" [value]="choices.privacy()" (chosen)="setPrivacy($event)">
            @for (p of privacies; track p.id) {
              <lv-option [value]="p.id" [label]="p.name" />
            }
          </lv-select>
          <lv-select label="As" [value]="choices.form()" (chosen)="setForm($event)">
            @for (f of forms; track f.id) {
              <lv-option [value]="f.id" [label]="f.name" />
            }
          </lv-select>
        }
        <ng-content select="[acts]" />
      </div>
    }
    @if (writing.work.busy(); as b) {
      <lv-progress [what]="b.what" [done]="b.done" [of]="b.of" (stopped)="writing.work.stop()" />
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .choices {
      align-items: end;
      gap: 10px 14px;
    }
    lv-select {
      min-width: 150px;
    }
    nav {
      display: flex;
      flex-wrap: wrap;
      gap: 2px;
      margin-left: auto;
      padding: 2px;
      border: 1px solid var(--line-strong);
      border-radius: var(--r);
      background: var(--surface);
    }
    nav a {
      display: grid;
      place-items: center;
      min-height: 30px;
      padding: 2px 9px;
      border-radius: calc(var(--r) - 2px);
      font-weight: 600;
      text-decoration: none;
    }
    nav a:hover {
      background: var(--sunken);
    }
    nav a.on {
      background: var(--accent-soft);
      box-shadow: inset 0 -2px 0 var(--accent);
    }
  `,
})
export class EvidenceHead {
  readonly heading = input.required<string>();
  /** Without time and form: the view is not of one time. */
  readonly bare = input(false);
  /** Only the time is chosen: nothing is written here. */
  readonly times = input(false, { transform: booleanAttribute });
  protected readonly choices = inject(EvidenceChoices);
  protected readonly writing = inject(EvidenceWriting);
  protected readonly spans = SPANS;
  protected readonly privacies = PRIVACIES;
  protected readonly forms = FORMS;
  protected readonly views = [
    { name: 'Learners', link: '/evidence', exact: true },
    { name: 'What helps', link: '/evidence/helps', exact: true },
    { name: 'The record', link: '/evidence/record', exact: true },
  ];

  protected setSpan(span: SpanId): void {
    this.choices.setSpan(span);
  }
  protected setPrivacy(privacy: Privacy): void {
    this.choices.set({ privacy });
  }
  protected setForm(form: FormId): void {
    this.choices.set({ form });
  }
}
