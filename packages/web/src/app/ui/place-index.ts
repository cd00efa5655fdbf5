import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { pieceByPiece } from './piece-by-piece';
import { saying } from './say/say';

/** How many names are drawn at once. */
const PIECE = 40;

/** One line of an index of places. */
export interface PlaceName {
  readonly id: string;
  /** Empty where places have no names. */
  readonly name: string;
  /** What is said beside it: that it is one's own, or how far the work is. */
  readonly says?: string;
  /** The heading it stands under. */
  readonly under?: string;
}

/** The place that is looked at, and whether somebody asked for it: then it is brought into sight. */
export interface PlaceAt {
  readonly id: string;
  readonly isAsked: boolean;
}

/** The one after it in the index; undefined at the end. */
export const placeAfter = <T extends PlaceName>(list: readonly T[], id: string): T | undefined =>
  list[list.findIndex((p) => p.id === id) + 1];

/** The index of places, as its teacher laid it out: every name leads to its place. Without names they are counted. */
@Component({
  selector: 'lv-place-index',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (words()) {
      <p class="words">{{ words() }}</p>
    }
    <nav [attr.aria-label]="t('Index of {count} places', { count: list().length })">
      @for (part of parts(); track part.name) {
        @if (part.name) {
          <h2 [id]="'places-' + $index">{{ part.name }}</h2>
        }
        <ol
          [attr.aria-labelledby]="part.name ? 'places-' + $index : null"
          [class.set]="columns()"
          [style.--columns]="columns() || null"
        >
          @for (p of part.list; track p.id) {
            <li>
              <button
                class="btn"
                type="button"
                [attr.aria-current]="p.id === at() ? 'true' : null"
                (click)="asked.emit(p.id)"
              >
                {{ p.name || t('Place {number}', { number: part.from + $index + 1 }) }}
                @if (p.says) {
                  <small>{{ p.says }}</small>
                }
              </button>
            </li>
          }
        </ol>
      }
    </nav>
  `,
  styles: `
    :host,
    nav {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .words {
      font-size: 1.1em;
      white-space: pre-line;
      overflow-wrap: anywhere;
    }
    h2 {
      font-size: 1.05em;
      margin-top: 6px;
    }
    ol {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 8.5em), 1fr));
      gap: 6px;
    }
    /* As many side by side as the teacher said, for as long as each has room for a word. */
    ol.set {
      grid-template-columns: repeat(
        auto-fill,
        minmax(max(6em, (100% - (var(--columns) - 1) * 6px) / var(--columns)), 1fr)
      );
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
  protected readonly t = saying();
  readonly list = input.required<readonly PlaceName[]>();
  /** What stands above it. */
  readonly words = input('');
  /** Names side by side; 0 for as many as have room. */
  readonly columns = input(0);
  /** The place that is shown. */
  readonly at = input('');
  readonly asked = output<string>();
  private readonly pieces = pieceByPiece(() => Math.ceil(this.list().length / PIECE));
  /** The names under their headings, in the order they come in. */
  protected readonly parts = computed(() => {
    const parts: { name: string; from: number; list: PlaceName[] }[] = [];
    for (const [i, p] of this.list()
      .slice(0, this.pieces() * PIECE)
      .entries()) {
      const last = parts.at(-1);
      if (last?.name === (p.under ?? '')) last.list.push(p);
      else parts.push({ name: p.under ?? '', from: i, list: [p] });
    }
    return parts;
  });
}
