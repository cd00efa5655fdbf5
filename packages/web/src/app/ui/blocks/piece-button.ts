import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Piece } from '@lorvet/core/desk';
import { PieceFace } from './piece-face';
import { saying } from '../say/say';

/** A piece that is pressed to be picked up. The drag is its host's. */
@Component({
  selector: 'lv-piece',
  imports: [PieceFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<button
    class="piece"
    type="button"
    [disabled]="locked()"
    [attr.aria-pressed]="picked()"
    [attr.aria-label]="where() ? t('{piece}, in {place}', { piece: says(), place: where() }) : says()"
    (click)="pressed.emit(); $event.stopPropagation()"
  >
    <lv-piece-face [piece]="piece()" />
  </button>`,
  styleUrl: './moving.css',
  styles: `
    :host {
      display: inline-block;
      touch-action: none;
    }
  `,
})
export class PieceButton {
  protected readonly t = saying();
  readonly piece = input.required<Piece>();
  readonly picked = input(false);
  readonly locked = input(false);
  /** The place it lies in, for screen readers. */
  readonly where = input('');
  readonly pressed = output();
  protected readonly says = computed(() => this.piece().text || this.t('a piece without words'));
}
