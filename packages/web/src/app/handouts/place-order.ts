import { CdkDrag, type CdkDragDrop, CdkDragHandle, CdkDropList } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import type { Id } from '@lorvet/core';
import { IconButton } from '../ui/icon-button';
import { onceDrawn } from '../ui/once-drawn';
import { pieceByPiece } from '../ui/piece-by-piece';

/** How many are drawn at once. */
const PIECE = 16;

/** One place, and by how many it goes towards the end of the index. */
export interface Moved {
  readonly id: Id;
  readonly by: number;
}

/** The places of an index, to be put in an order of one's own: by drag, or one step at a time. */
@Component({
  selector: 'lv-place-order',
  imports: [CdkDrag, CdkDragHandle, CdkDropList, IconButton, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol cdkDropList aria-label="Order of the places" (cdkDropListDropped)="dropped($event)">
      @for (p of shown(); track p.id) {
        <li cdkDrag>
          <span cdkDragHandle class="grip"><svg lucideIcon="grip-vertical"></svg></span>
          <span class="grow">{{ p.name }}</span>
          <button
            type="button"
            lvIcon="arrow-up"
            [id]="'up-' + p.id"
            [says]="'Earlier: ' + p.name"
            [disabled]="$first"
            (click)="move(p.id, -1, 'up-')"
          ></button>
          <button
            type="button"
            lvIcon="arrow-down"
            [id]="'down-' + p.id"
            [says]="'Later: ' + p.name"
            [disabled]="$last"
            (click)="move(p.id, 1, 'down-')"
          ></button>
        </li>
      }
    </ol>
  `,
  styles: `
    ol {
      display: grid;
      max-height: 320px;
      overflow-y: auto;
      border: 1px solid var(--line);
      border-radius: var(--r);
    }
    li {
      display: flex;
      align-items: center;
      gap: 6px;
      padding: 1px 6px;
      background: var(--surface);
      border-bottom: 1px solid var(--line);
    }
    .grip {
      display: grid;
      cursor: grab;
      color: var(--ink-2);
    }
    .grow {
      overflow-wrap: anywhere;
    }
  `,
})
export class PlaceOrder {
  readonly list = input.required<readonly { readonly id: Id; readonly name: string }[]>();
  /** One of them, by how many places towards the end. */
  readonly moved = output<Moved>();
  private readonly pieces = pieceByPiece(() => Math.ceil(this.list().length / PIECE));
  protected readonly shown = computed(() => this.list().slice(0, this.pieces() * PIECE));
  private readonly onceDrawn = onceDrawn();

  protected dropped({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    const id = this.list()[previousIndex]?.id;
    if (id && previousIndex !== currentIndex) this.moved.emit({ id, by: currentIndex - previousIndex });
  }

  protected move(id: Id, by: number, button: string): void {
    this.moved.emit({ id, by });
    // It is moved on with the same button, for as long as there is a way.
    this.onceDrawn(() => {
      const same = document.getElementById(button + id) as HTMLButtonElement | null;
      const other = document.getElementById((button === 'up-' ? 'down-' : 'up-') + id);
      (same?.disabled ? other : same)?.focus();
    });
  }
}
