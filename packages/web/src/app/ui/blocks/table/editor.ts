import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { mostIn } from '@lorvet/core';
import { IconButton } from '../../icon-button';
import { Notice } from '../../notice';
import { type BlockOf, EditorPart } from '../editor-part';

type Row = BlockOf<'table'>['rows'][number];
const MOST_ROWS = mostIn('table', 'rows');
const MOST_CELLS = mostIn('table', 'rows', '*', 'cells');
const widthOf = (rows: readonly Row[]): number => Math.max(1, ...rows.map((r) => r.cells.length));

@Component({
  selector: 'lv-table-editor',
  imports: [IconButton, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      class="input"
      #t
      [maxLength]="most('caption')"
      aria-label="Caption"
      placeholder="Caption"
      [value]="block().caption"
      (change)="set({ caption: t.value })"
    />
    <div class="scroll">
      <table>
        @for (r of block().rows; track r.id; let i = $index) {
          <tr>
            @for (c of r.cells; track c.id; let k = $index) {
              <td>
                <input
                  class="input"
                  #f
                  [maxLength]="mostInCell()"
                  [value]="c.text"
                  [attr.aria-label]="'Row ' + (i + 1) + ', column ' + (k + 1)"
                  (change)="cell(c.id, f.value)"
                  (paste)="pasted($event, i, k)"
                />
              </td>
            }
            <td>
              <button type="button" lvIcon="x" [says]="'Take away row ' + (i + 1)" (click)="dropRow(r.id)"></button>
            </td>
          </tr>
        }
      </table>
    </div>
    <div class="row">
      <button class="btn quiet" type="button" (click)="addRow()"><svg lucideIcon="plus"></svg>Row</button>
      <button class="btn quiet" type="button" (click)="addColumn()"><svg lucideIcon="plus"></svg>Column</button>
      @if ((block().rows[0]?.cells?.length ?? 0) > 1) {
        <button class="btn quiet" type="button" (click)="dropColumn()">Take the last column away</button>
      }
      <label class="check"
        ><input type="checkbox" #h [checked]="block().header" (change)="set({ header: h.checked })" />First row names
        the columns</label
      >
    </div>
  `,
  styleUrl: '../editor.css',
})
export class TableEditor extends EditorPart<BlockOf<'table'>> {
  protected readonly mostInCell = computed(() => this.most('rows', '*', 'cells', '*', 'text'));
  private readonly notice = inject(Notice);

  protected cell(id: string, text: string): void {
    this.list<Row>('rows', (rows) =>
      rows.map((r) => ({ ...r, cells: r.cells.map((c) => (c.id === id ? { ...c, text } : c)) })),
    );
  }

  /** A block of cells from a spreadsheet fills the table from here on, and makes it larger where it must. */
  protected pasted(event: ClipboardEvent, row: number, column: number): void {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (!/[\t\n]/.test(text.trim())) return;
    event.preventDefault();
    const lines = text.replace(/\r/g, '').replace(/\n$/, '').split('\n');
    const [down, across, letters] = [MOST_ROWS - row, MOST_CELLS - column, this.mostInCell()];
    const all = lines.map((l) => l.split('\t'));
    const cells = all.slice(0, down).map((l) => l.slice(0, across).map((c) => c.slice(0, letters)));
    if (all.length > down || all.some((l) => l.length > across || l.some((c) => c.length > letters)))
      this.notice.cannot(
        `A table has room for ${MOST_ROWS} rows of ${MOST_CELLS} cells, ${letters} letters each; what is beyond was not taken.`,
      );
    this.list<Row>('rows', (rows) => {
      const width = Math.max(widthOf(rows), ...cells.map((l) => column + l.length));
      const height = Math.max(rows.length, row + cells.length);
      return Array.from({ length: height }, (_, i) => {
        const old = rows[i];
        return {
          id: old?.id ?? this.newId(),
          cells: Array.from({ length: width }, (_, k) => {
            const cell = old?.cells[k] ?? { id: this.newId(), text: '' };
            return { ...cell, text: cells[i - row]?.[k - column] ?? cell.text };
          }),
        };
      });
    });
  }

  protected addRow(): void {
    this.list<Row>('rows', (rows) => {
      const cells = Array.from({ length: widthOf(rows) }, () => ({ id: this.newId(), text: '' }));
      return [...rows, { id: this.newId(), cells }];
    });
  }

  protected addColumn(): void {
    this.list<Row>('rows', (rows) => rows.map((r) => ({ ...r, cells: [...r.cells, { id: this.newId(), text: '' }] })));
  }

  protected dropRow(id: string): void {
    this.list<Row>('rows', (rows) => rows.filter((r) => r.id !== id));
  }

  protected dropColumn(): void {
    this.list<Row>('rows', (rows) => rows.map((r) => ({ ...r, cells: r.cells.slice(0, -1) })));
  }
}
