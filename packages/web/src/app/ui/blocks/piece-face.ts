import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Piece } from '@lorvet/core/desk';
import { Picture } from '../picture';

/** What a choice or a piece shows: its picture, its words, or both. */
@Component({
  selector: 'lv-piece-face',
  imports: [Picture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (piece().assetId; as id) {
      <lv-picture [assetId]="id" [alt]="words() ? '' : piece().text" [style.max-width.em]="7" />
    }
    @if (words() || !piece().assetId) {
      <span>{{ piece().text }}</span>
    }
  `,
  styles: `
    :host {
      display: inline-flex;
      flex-direction: column;
      align-items: center;
      gap: 4px;
      min-width: 0;
    }
    span {
      overflow-wrap: anywhere;
    }
  `,
})
export class PieceFace {
  readonly piece = input.required<Piece>();
  /** Whether the words stand under the picture too. */
  readonly words = input(true);
}
