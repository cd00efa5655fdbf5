import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { Id, IndexLayout } from '@lorvet/core';
import { Textarea } from 'primeng/textarea';
import { SELECT } from '../ui/controls/select';
import { type Moved, PlaceOrder } from './place-order';

const ORDERS: readonly { readonly id: IndexLayout['order']; readonly name: string }[] = [
  { id: 'name', name: 'by name' },
  { id: 'class', name: 'by name, under their classes' },
  { id: 'own', name: 'as I put them' },
];

/** How the index of places is laid out: what stands above it, how many are side by side, and in which order. */
@Component({
  selector: 'lv-place-layout',
  imports: [PlaceOrder, Textarea, ...SELECT],
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
      <lv-place-order [list]="list()" (moved)="moved.emit($event)" />
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
  `,
})
export class PlaceLayout {
  readonly layout = input.required<IndexLayout>();
  readonly list = input.required<readonly { readonly id: Id; readonly name: string }[]>();
  /** Whether names stand in it: without, the order says nothing of anybody. */
  readonly names = input(true);
  readonly changed = output<Partial<IndexLayout>>();
  readonly moved = output<Moved>();
  protected readonly ORDERS = ORDERS;
  protected readonly COLUMNS = [1, 2, 3, 4, 5, 6, 7, 8];

  /** The order of one's own begins as it stands. */
  protected reorder(order: IndexLayout['order']): void {
    const isNew = order === 'own' && !this.layout().ownOrder.length;
    this.changed.emit({ order, ...(isNew ? { ownOrder: this.list().map((p) => p.id) } : {}) });
  }
}
