import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { Overtaken, SlippedCompanion } from '@lorvet/core/desk';
import { CompanionFile } from './companion-file';
import { saying } from '../../ui/say/say';

/** What is written on a sheet of notes; where it changes places with what stands there, that stays beside it. */
export interface Noted {
  readonly id: string;
  readonly text: string;
  readonly swaps?: boolean;
}

/** What goes with a piece of work or a notice: files, recordings, addresses to follow, words to read, sheets for notes. */
@Component({
  selector: 'lv-companions',
  imports: [CompanionFile, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shown().length) {
      <ul>
        @for (c of shown(); track c.id) {
          <li>
            @switch (c.is) {
              @case ('link') {
                <a [href]="c.holds" target="_blank" rel="noopener noreferrer">{{ c.title }}</a>
              }
              @case ('activity') {
                @if (of()) {
                  <a [routerLink]="['/desk/work', of(), 'with', c.id]">{{
                    t('{title}, to look at', { title: c.title })
                  }}</a>
                } @else {
                  <span>{{ t('{title}, to look at', { title: c.title }) }}</span>
                }
              }
              @case ('file') {
                <lv-companion-file [assetId]="c.holds" [title]="c.title" />
              }
              @case ('spoken') {
                <lv-companion-file [assetId]="c.holds" [title]="c.title" />
              }
              @case ('notes') {
                <label
                  >{{ t('{title}: for you, nobody marks it', { title: c.title }) }}
                  <textarea
                    #n
                    rows="4"
                    maxlength="20000"
                    [value]="notes()?.[c.id] ?? ''"
                    (input)="noted.emit({ id: c.id, text: n.value })"
                  ></textarea>
                </label>
                @for (o of overtaken(); track $index) {
                  @if (o.item === c.id && o.answer.kind === 'text') {
                    <div class="word other">
                      <p class="small">{{ t('This was written at the same time:') }}</p>
                      <p>{{ o.answer.text }}</p>
                      <button
                        class="btn"
                        type="button"
                        (click)="noted.emit({ id: c.id, text: o.answer.text, swaps: true })"
                      >
                        {{ t('Use this instead') }}
                      </button>
                    </div>
                  }
                }
              }
              @default {
                <details>
                  <summary>
                    {{ c.is === 'family' ? t('For those at home: {title}', { title: c.title }) : c.title }}
                  </summary>
                  <p>{{ c.holds }}</p>
                </details>
              }
            }
          </li>
        }
      </ul>
    }
  `,
  styleUrl: '../sheet/part.css',
  styles: `
    ul {
      display: grid;
      gap: 6px;
    }
    a,
    summary {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
    }
    summary {
      display: list-item;
      padding: 6px 0;
      cursor: pointer;
    }
    p {
      white-space: pre-wrap;
      overflow-wrap: anywhere;
    }
    label {
      display: grid;
      gap: 4px;
    }
    .other {
      display: grid;
      gap: 6px;
      justify-items: start;
      margin-top: 8px;
      border: 1px dashed var(--line-strong);
    }
    .other .small {
      font-size: 0.85em;
      font-weight: 700;
    }
    textarea {
      width: 100%;
      padding: 8px 10px;
      border: 1px solid var(--line-strong);
      border-radius: var(--r);
      background: var(--surface);
      color: var(--ink);
      font: inherit;
    }
  `,
})
export class Companions {
  protected readonly t = saying();
  readonly list = input.required<readonly SlippedCompanion[]>();
  /** The hand-out that they go with; empty where it is only looked at. */
  readonly of = input('');
  /** What was written on sheets of notes; null where they cannot be written on here. */
  readonly notes = input<Readonly<Record<string, string>> | null>(null);
  /** What somebody wrote on them at the same time. */
  readonly overtaken = input<readonly Overtaken[]>([]);
  readonly noted = output<Noted>();
  protected readonly shown = computed(() => this.list().filter((c) => c.is !== 'notes' || this.notes()));
}
