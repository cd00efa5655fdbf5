import { booleanAttribute, ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Privacy } from '@lorvet/core/evidence';
import { DateField } from '../ui/controls/date';
import { SELECT } from '../ui/controls/select';
import { inStages } from '../ui/in-stages';
import { ProgressLine } from '../ui/progress';
import { Ways } from '../ui/ways';
import { EvidenceChoices, type FormId, FORMS, PRIVACIES } from './choices';
import { type SpanId, SPANS } from './spans';
import { EvidenceWriting } from './writing';

/** The head of each view of evidence: its name, of which time, for whom, as what; and how far writing is. */
@Component({
  selector: 'lv-evidence-head',
  imports: [DateField, ProgressLine, Ways, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row head">
      <h1>{{ heading() }}</h1>
      <ng-content />
      <lv-ways says="Views of evidence" [ways]="views" />
    </div>
    @if (!bare()) {
      <div class="row choices card">
        @if (stage() >= 2) {
          <lv-select label="Time" [value]="choices.span()" (chosen)="setSpan($event)">
            @for (s of spans; track s.id) {
              <lv-option [value]="s.id" [label]="s.name" />
            }
          </lv-select>
        }
        @if (choices.span() === 'own') {
          <lv-date label="From" [value]="choices.own().from" (told)="choices.set({ from: $event })" />
          <lv-date label="Until" [value]="choices.own().until" (told)="choices.set({ until: $event })" />
        }
        @if (!times() && stage() >= 3) {
          <lv-select label="What is in it" [value]="choices.privacy()" (chosen)="setPrivacy($event)">
            @for (p of privacies; track p.id) {
              <lv-option [value]="p.id" [label]="p.name" />
            }
          </lv-select>
        }
        @if (!times() && stage() >= 4) {
          <lv-select label="As" [value]="choices.form()" (chosen)="setForm($event)">
            @for (f of forms; track f.id) {
              <lv-option [value]="f.id" [label]="f.name" />
            }
          </lv-select>
        }
        <ng-content select="[acts]" />
      </div>
    }
    @if (!bare() && isTurned()) {
      <p class="small wrong" role="alert">
        The first day lies after the last: nothing is between them. Change one of the two.
      </p>
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
      /* As high as one line of fields, also before they are there. */
      min-height: 82px;
    }
    lv-select {
      min-width: 150px;
    }
    .wrong {
      color: var(--madder);
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
  /** Its fields come one frame after the other. */
  protected readonly stage = inStages(() => true, 4);
  protected readonly writing = inject(EvidenceWriting);
  protected readonly spans = SPANS;
  protected readonly privacies = PRIVACIES;
  protected readonly forms = FORMS;
  protected readonly views = [
    { name: 'Learners', link: '/evidence' },
    { name: 'What helps', link: '/evidence/helps' },
    { name: 'Suggestions', link: '/evidence/suggestions' },
    { name: 'The whole way', link: '/evidence/way' },
    { name: 'The record', link: '/evidence/record' },
  ];

  protected readonly isTurned = computed(() => {
    const { from, until } = this.choices.period();
    return from !== '' && until !== '' && from > until;
  });

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
