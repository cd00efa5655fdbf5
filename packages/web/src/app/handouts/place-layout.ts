import { CdkDrag, type CdkDragDrop, CdkDragHandle, CdkDropList, moveItemInArray } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import type { Id, IndexLayout } from '@lorvet/core';
import { Textarea } from 'primeng/textarea';
import { SELECT } from '../ui/controls/select';
import { IconButton } from '../ui/icon-button';
import { onceDrawn } from '../ui/once-drawn';

const ORDERS: readonly { readonly id: IndexLayout['order']; readonly name: string }[] = [
  { id: 'name', name: 'by name' },
  { id: 'class', name: 'by name, under their classes' },
  { id: 'own', name: 'as I put them' },
];

/** How the index of places is laid out: what stands above it, how many are side by side, and in which order. */
@Component({
  selector: 'lv-place-layout',
  imports: [CdkDrag, CdkDragHandle, CdkDropList, IconButton, LucideDynamicIcon, Textarea, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="field"
      >Words above the index
      <textarea
        pTextarea
        #w
        rows="2"
        maxlength="500"
        [value]="layout().words"
        (change)="changed.emit({ words: w.value.trim() })"
      ></textarea>
    </label>
    <div class="two">
      <lv-select label="Side by side" [value]="layout().columns" (chosen)="changed.emit({ columns: $event })">
        <lv-option [value]="0" label="as many as have room" />
        @for (n of COLUMNS; track n) {
          <lv-option [value]="n" [label]="n" />
        }
      </lv-select>
      @if (names()) {
        <lv-select label="Order" [value]="layout().order" (chosen)="reorder($event)">
          @for (o of ORDERS; track o.id) {
            <lv-option [value]="o.id" [label]="o.name" />
          }
        </lv-select>
      }
    </div>
    @if (names() && layout().order === 'own') {
      <ol cdkDropList aria-label="Order of the places" (cdkDropListDropped)="dropped($event)">
        @for (p of list(); track p.id) {
          <li cdkDrag>
            <span cdkDragHandle class="grip"><svg lucideIcon="grip-vertical"></svg></span>
            <span class="grow">{{ p.name }}</span>
            <button
              type="button"
              lvIcon="arrow-up"
              [id]="'up-' + p.id"
              [says]="'Earlier: ' + p.name"
              [disabled]="$first"
              (click)="move($index, -1, 'up-')"
            ></button>
            <button
              type="button"
              lvIcon="arrow-down"
              [id]="'down-' + p.id"
              [says]="'Later: ' + p.name"
              [disabled]="$last"
              (click)="move($index, 1, 'down-')"
            ></button>
          </li>
        }
      </ol>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
      max-width: 640px;
    }
    .two {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 220px), 1fr));
      gap: 10px;
    }
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
export class PlaceLayout {
  readonly layout = input.required<IndexLayout>();
  readonly list = input.required<readonly { readonly id: Id; readonly name: string }[]>();
  /** Whether names stand in it: without, the order says nothing of anybody. */
  readonly names = input(true);
  readonly changed = output<Partial<IndexLayout>>();
  protected readonly ORDERS = ORDERS;
  protected readonly COLUMNS = [1, 2, 3, 4, 5, 6, 7, 8];
  private readonly onceDrawn = onceDrawn();

  /** The order of one's own begins as it stands. */
  protected reorder(order: IndexLayout['order']): void {
    const ownOrder = order === 'own' && !this.layout().ownOrder.length ? { ownOrder: this.ids() } : {};
    this.changed.emit({ order, ...ownOrder });
  }

  protected dropped({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    if (previousIndex !== currentIndex) this.put(previousIndex, currentIndex);
  }

  protected move(at: number, by: number, button: string): void {
    const id = this.list()[at]?.id ?? '';
    this.put(at, at + by);
    // It is moved on with the same button, for as long as there is a way.
    this.onceDrawn(() => {
      const same = document.getElementById(button + id) as HTMLButtonElement | null;
      const other = document.getElementById((button === 'up-' ? 'down-' : 'up-') + id);
      (same?.disabled ? other : same)?.focus();
    });
  }

  private put(from: number, to: number): void {
    const ownOrder = this.ids();
    moveItemInArray(ownOrder, from, to);
    this.changed.emit({ ownOrder });
  }

  private ids(): Id[] {
    return this.list().map((p) => p.id);
  }
}
