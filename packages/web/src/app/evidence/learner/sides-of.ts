import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { textChanges } from '@lorvet/core';
import type { Side } from '@lorvet/core/evidence';

const VERDICTS: Readonly<Record<Side['verdict'], string>> = {
  right: 'right',
  partly: 'partly right',
  'not-yet': 'not yet',
  empty: 'nothing given',
  yours: 'to be judged',
  '': '',
};

/** A part of the sheet as the master has it, beside the learner's, with what changed: gone struck out, new underlined. */
@Component({
  selector: 'lv-sides-of',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let s = side();
    <p class="small about">{{ about() }}</p>
    <div class="both">
      <div>
        <h4>Master</h4>
        <p>
          @for (c of changes(); track $index) {
            @if (c.kind === 'gone') {
              <del>{{ c.text }}</del>
            } @else if (c.kind === 'same') {
              <span>{{ c.text }}</span>
            }
          } @empty {
            <span class="small">not there</span>
          }
        </p>
      </div>
      <div>
        <h4>Learner’s</h4>
        <p>
          @for (c of changes(); track $index) {
            @if (c.kind === 'new') {
              <ins>{{ c.text }}</ins>
            } @else if (c.kind === 'same') {
              <span>{{ c.text }}</span>
            }
          }
          @if (!s.learner) {
            <span class="small">not there</span>
          }
        </p>
      </div>
    </div>
    @if (s.answer || verdict()) {
      <p class="small">
        @if (s.answer) {
          Answered: <b>{{ s.answer }}</b>
        }
        {{ verdict() }}
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 3px;
    }
    .both {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      border: 1px solid var(--line);
      border-radius: var(--r);
      overflow: hidden;
    }
    .both > div {
      padding: 6px 10px 8px;
    }
    .both > div + div {
      border-left: 1px solid var(--line);
      background: var(--sunken);
    }
    h4,
    .both p {
      margin: 0;
    }
    h4 {
      font-size: 12.5px;
      color: var(--ink-2);
    }
    .both p {
      white-space: pre-wrap;
      overflow-wrap: anywhere;
    }
    @media (max-width: 560px) {
      .both {
        grid-template-columns: minmax(0, 1fr);
      }
      .both > div + div {
        border-left: 0;
        border-top: 1px solid var(--line);
      }
    }
  `,
})
export class SidesOf {
  readonly side = input.required<Side>();
  protected readonly changes = computed(() => textChanges(this.side().master, this.side().learner));
  protected readonly verdict = computed(() => VERDICTS[this.side().verdict]);
  protected readonly about = computed(() => {
    const s = this.side();
    const page = s.page ? `page “${s.page}”` : '';
    const how = s.how === 'left out' ? 'left out' : s.how === 'added' ? 'added' : '';
    return [s.number ? `Question ${s.number}` : '', s.is, page, how].filter(Boolean).join(' · ');
  });
}
