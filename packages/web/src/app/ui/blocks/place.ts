import { CdkDrag, type CdkDragDrop, CdkDropList } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { Piece } from '@lorvet/core/desk';
import { PieceButton } from './piece-button';
import { saying } from '../say/say';

/** A place with the pieces in it; while a piece is picked up it has a button to put it here. The tray is one too. */
@Component({
  selector: 'lv-place',
  imports: [CdkDrag, CdkDropList, PieceButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      cdkDropList
      [cdkDropListData]="place()"
      [cdkDropListDisabled]="locked()"
      (cdkDropListDropped)="dropped.emit($event)"
      [class.tray]="tray()"
      [class.place]="!tray()"
      [class.ready]="picked() !== null"
      [class.full]="pieces().length"
      [class.stack]="stack()"
      (click)="picked() !== null && put.emit()"
    >
      @for (p of pieces(); track p.id) {
        <lv-piece
          cdkDrag
          [attr.data-piece]="p.id"
          [cdkDragData]="p.id"
          [cdkDragDisabled]="locked()"
          [piece]="p"
          [picked]="picked() === p.id"
          [locked]="locked()"
          [where]="tray() ? '' : name()"
          (pressed)="pressed.emit(p.id)"
        />
      } @empty {
        @if (tray()) {
          <span class="small">{{ t('All of them are placed.') }}</span>
        }
      }
      @if (picked() !== null && !holdsPicked()) {
        <button
          class="here"
          type="button"
          [attr.aria-label]="tray() ? t('Put it back') : t('Put it in {place}', { place: name() })"
          (click)="put.emit(); $event.stopPropagation()"
        >
          {{ t(tray() ? 'put back' : 'here') }}
        </button>
      }
    </div>
  `,
  styleUrl: './moving.css',
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    /* Pieces stand over the place and change nothing beside it, so that it does not move from under a dragged piece. */
    .stack {
      position: relative;
      flex-wrap: nowrap;
      justify-content: center;
      padding: 0;
      white-space: nowrap;
    }
    .stack lv-piece {
      position: absolute;
      left: 50%;
      bottom: calc(4px + var(--lift, 0px));
      translate: -50% 0;
      z-index: 1;
    }
    .stack lv-piece:nth-of-type(2) {
      bottom: calc(52px + var(--lift, 0px));
    }
    .stack lv-piece:nth-of-type(3) {
      bottom: calc(100px + var(--lift, 0px));
    }
    .stack .here {
      padding: 4px 6px;
      font-size: 0.85em;
    }
  `,
})
export class Place {
  protected readonly t = saying();
  readonly place = input.required<string>();
  readonly name = input('');
  readonly tray = input(false);
  readonly pieces = input.required<readonly Piece[]>();
  readonly picked = input<string | null>(null);
  /** For narrow places in a row. */
  readonly stack = input(false);
  readonly locked = input(false);
  readonly pressed = output<string>();
  readonly put = output();
  readonly dropped = output<CdkDragDrop<string, string, string>>();

  protected holdsPicked(): boolean {
    return this.pieces().some((p) => p.id === this.picked());
  }
}
