import {
  ChangeDetectionStrategy,
  Component,
  Directive,
  ElementRef,
  HostAttributeToken,
  inject,
  input,
} from '@angular/core';
import { Table, TableModule } from 'primeng/table';
import { z } from '@lorvet/core';
import { Find } from './find';
import { keepsIfItCan, keepSmall, keptOrLetGo } from '../kept-or-let-go';
import { onceDrawn } from '../once-drawn';

/** From here on only the rows that are seen are drawn. */
const MANY = 80;

export interface Column {
  /** The member of a row that is sorted by. */
  readonly field: string;
  readonly name: string;
}

/** What is kept of a table. What else stands under its key the part would take as it is, and fail on it. */
const KEPT = z.strictObject({
  sortField: z.string().optional(),
  sortOrder: z.number().optional(),
  columnOrder: z.array(z.string()).optional(),
});

/**
 * A table of one of the teacher's places: sorted by its head, columns moved by dragging, both kept under the name of the
 * place; rows virtual from 80.
 * `<p-table lvTable="learners" says="Learners" [rowHeight]="36" [value]="rows()">`
 */
@Directive({ selector: 'p-table[lvTable]' })
export class PlaceTable {
  /** What it is called where it is read out. */
  readonly says = input.required<string>();
  /** Of one row, in pixels. */
  readonly rowHeight = input(36);
  /** Of the rows that are seen, where there are many. */
  readonly seen = input('70vh');
  private readonly table = inject<Table>(Table, { self: true });
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  constructor() {
    const { table } = this;
    table.stateKey = keptOrLetGo(`lorvet-${inject(new HostAttributeToken('lvTable'))}`, KEPT);
    table.stateStorage = 'local';
    table.reorderableColumns = true;
    table.dataKey ??= 'id';
    // A row that is another object with the next change is the same row: what is pressed on it stays under the hand.
    table.rowTrackBy = (_: number, row: Record<string, unknown>) => row[table.dataKey ?? 'id'];
    const kept = table.stateKey;
    keepsIfItCan(table);
    // What was chosen is not kept, and filters are our own: the part would bring them back at the next change of rows.
    table.onStateSave.subscribe(({ sortField, sortOrder, columnOrder }) =>
      keepSmall(kept, JSON.stringify({ sortField, sortOrder, columnOrder })),
    );
  }

  ngDoCheck(): void {
    const { table } = this;
    const isMany = (table.value?.length ?? 0) > MANY;
    table.scrollable = true;
    table.virtualScroll = isMany;
    table.virtualScrollItemSize = this.rowHeight();
    table.scrollHeight = isMany ? this.seen() : '';
    this.host.classList.toggle('many', isMany);
  }

  /** The part has no name of its own to give to its table. */
  ngAfterViewChecked(): void {
    const own = this.host.querySelector('table');
    if (own && own.getAttribute('aria-label') !== this.says()) own.setAttribute('aria-label', this.says());
  }
}

/**
 * The head of a table: `<tr lvColumns [columns]="…" [acts]="true"></tr>`. A column is moved by dragging its name, or with
 * Alt and the arrow keys; give it the columns that the table's template hands on, in their order.
 */
@Component({
  selector: 'tr[lvColumns]',
  imports: [TableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (chosen(); as says) {
      <th scope="col" class="tick"><p-tableHeaderCheckbox [ariaLabel]="says" /></th>
    }
    @for (c of columns(); track c.field) {
      <th scope="col" [pSortableColumn]="c.field" pReorderableColumn (keydown)="keyed($event, $index)">
        {{ c.name }}<p-sortIcon [field]="c.field" />
      </th>
    }
    @if (acts()) {
      <th scope="col"><span class="sr">Actions</span></th>
    }
  `,
})
export class Columns {
  readonly columns = input.required<readonly Column[]>();
  /** A last column of what can be done with a row. */
  readonly acts = input(false);
  /** Several rows can be chosen: how the box that chooses all is called. */
  readonly chosen = input('');
  private readonly table = inject<Table>(Table);
  private readonly onceDrawn = onceDrawn();

  protected keyed(event: KeyboardEvent, at: number): void {
    const step = event.altKey ? { ArrowLeft: -1, ArrowRight: 1 }[event.key] : undefined;
    const { columns = [] } = this.table;
    const to = at + (step ?? 0);
    if (!step || to < 0 || to >= columns.length) return;
    event.preventDefault();
    const moved = [...columns];
    moved.splice(to, 0, ...moved.splice(at, 1));
    this.table.columns = moved;
    this.table.saveState();
    const head = event.currentTarget as HTMLElement;
    // Moved on the page it lost the focus.
    this.onceDrawn(() => head.focus());
  }
}

/** What stands where a table has no row that fits. */
@Component({
  selector: 'tr[lvNone]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<td [attr.colspan]="span()"><ng-content /></td>`,
})
export class NoRows {
  readonly span = input.required<number>();
}

export const TABLE = [TableModule, PlaceTable, Columns, Find, NoRows] as const;
