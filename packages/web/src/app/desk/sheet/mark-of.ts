import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import type { ReleasedMark } from '@lorvet/core/desk';
import { type Plain, saying } from '../../ui/say/say';

const SAYS: Readonly<Record<ReleasedMark['verdict'], Plain | ''>> = {
  right: 'Right',
  partly: 'Partly right',
  'not-yet': 'Not yet right',
  empty: 'No answer',
  // The teacher reads it and gives no mark.
  yours: '',
};

/** The mark of one answer, in words: a sign and a frame go with them, and no colour of warning. */
@Component({
  selector: 'lv-mark-of',
  imports: [LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (says(); as words) {
      <p [class]="mark().verdict">
        @if (mark().verdict === 'right') {
          <svg lucideIcon="check" aria-hidden="true"></svg>
        }
        {{ t(words) }}
        @if (mark().verdict === 'partly') {
          <span>{{ t('{points} of {of} points', { points: mark().points, of: mark().outOf }) }}</span>
        }
      </p>
    }
  `,
  styles: `
    p {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 4px 10px;
      width: fit-content;
      padding: 4px 12px;
      border: 1px dashed var(--line-strong);
      border-radius: var(--r);
      font-size: 0.9em;
    }
    .right {
      border: 2px solid var(--moss);
      font-weight: 700;
    }
    .partly {
      border: 1px solid var(--moss);
    }
  `,
})
export class MarkOf {
  readonly mark = input.required<ReleasedMark>();
  protected readonly t = saying();
  protected readonly says = computed(() => SAYS[this.mark().verdict]);
}
