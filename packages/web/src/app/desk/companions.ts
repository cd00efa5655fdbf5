import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { SlippedCompanion } from '@lorvet/core/desk';

/** What goes with a piece of work or a notice: addresses to follow, words to read, words for those at home. */
@Component({
  selector: 'lv-companions',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (list().length) {
      <ul>
        @for (c of list(); track c.id) {
          <li>
            @if (c.is === 'link') {
              <a [href]="c.holds" target="_blank" rel="noopener noreferrer">{{ c.title }}</a>
            } @else {
              <details>
                <summary>{{ c.is === 'family' ? 'For those at home: ' : '' }}{{ c.title }}</summary>
                <p>{{ c.holds }}</p>
              </details>
            }
          </li>
        }
      </ul>
    }
  `,
  styles: `
    ul {
      display: grid;
      gap: 6px;
    }
    a,
    summary {
      display: inline-flex;
      align-items: center;
      min-height: 40px;
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
  `,
})
export class Companions {
  readonly list = input.required<readonly SlippedCompanion[]>();
}
