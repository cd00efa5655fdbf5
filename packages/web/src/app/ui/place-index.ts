import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';

/** One line of an index of places. */
export interface PlaceName {
  readonly id: string;
  /** Empty where places have no names. */
  readonly name: string;
  /** What is said beside it: that it is one's own, or how far the work is. */
  readonly says?: string;
}

/** The index of places: every name leads to its place. Without names they are counted. */
@Component({
  selector: 'lv-place-index',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav [attr.aria-label]="'Index of ' + list().length + ' places'">
      <ol>
        @for (p of list(); track p.id) {
          <li>
            <button
              class="btn"
              type="button"
              [attr.aria-current]="p.id === at() ? 'true' : null"
              (click)="at.set(p.id)"
            >
              {{ p.name || 'Place ' + ($index + 1) }}
              @if (p.says) {
                <small>{{ p.says }}</small>
              }
            </button>
          </li>
        }
      </ol>
    </nav>
  `,
  styles: `
    ol {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 8.5em), 1fr));
      gap: 6px;
    }
    .btn {
      width: 100%;
      height: 100%;
      display: grid;
      justify-items: start;
      justify-content: start;
      min-height: 42px;
      padding: 4px 12px;
      white-space: normal;
      overflow-wrap: anywhere;
      text-align: start;
    }
    .btn[aria-current] {
      border-color: var(--accent);
      box-shadow: inset 4px 0 var(--accent);
    }
    small {
      color: var(--ink-2);
    }
  `,
})
export class PlaceIndex {
  readonly list = input.required<readonly PlaceName[]>();
  /** The place that is shown. */
  readonly at = model('');
}
