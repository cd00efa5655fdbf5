import { ChangeDetectionStrategy, Component } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-table-editor',
  imports: [LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      class="input"
      #t
      maxlength="300"
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
                  [value]="c.text"
                  [attr.aria-label]="'Row ' + (i + 1) + ', column ' + (k + 1)"
                  (change)="cell(c.id, f.value)"
                  (paste)="pasted($event, i, k)"
                />
              </td>
            }
            <td>
              <button
                class="btn quiet icon"
                type="button"
                [attr.aria-label]="'Take away row ' + (i + 1)"
                (click)="dropRow(i)"
              >
                <svg lucideIcon="x"></svg>
              </button>
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
  protected cell(id: string, text: string): void {
    const rows = this.block().rows.map((r) => ({
      ...r,
      cells: r.cells.map((c) => (c.id === id ? { ...c, text } : c)),
    }));
    this.set({ rows });
  }

  /** A block of cells from a spreadsheet fills the table from here on, and makes it larger where it must. */
  protected pasted(event: ClipboardEvent, row: number, column: number): void {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (!/[\t\n]/.test(text.trim())) return;
    event.preventDefault();
    const lines = text.replace(/\r/g, '').replace(/\n$/, '').split('\n').slice(0, 200);
    const cells = lines.map((l) => l.split('\t').slice(0, 20));
    const width = Math.max(this.width(), ...cells.map((l) => column + l.length));
    const height = Math.max(this.block().rows.length, row + cells.length);
    const rows = Array.from({ length: height }, (_, i) => {
      const old = this.block().rows[i];
      return {
        id: old?.id ?? this.newId(),
        cells: Array.from({ length: width }, (_, k) => {
          const pasted = cells[i - row]?.[k - column];
          const cell = old?.cells[k] ?? { id: this.newId(), text: '' };
          return pasted === undefined ? cell : { ...cell, text: pasted.slice(0, 1000) };
        }),
      };
    });
    this.set({ rows });
  }

  protected addRow(): void {
    const cells = Array.from({ length: this.width() }, () => ({ id: this.newId(), text: '' }));
    this.set({ rows: [...this.block().rows, { id: this.newId(), cells }] });
  }

  protected addColumn(): void {
    this.set({ rows: this.block().rows.map((r) => ({ ...r, cells: [...r.cells, { id: this.newId(), text: '' }] })) });
  }

  protected dropRow(at: number): void {
    this.set({ rows: this.block().rows.filter((_, i) => i !== at) });
  }

  protected dropColumn(): void {
    this.set({ rows: this.block().rows.map((r) => ({ ...r, cells: r.cells.slice(0, -1) })) });
  }

  private width(): number {
    return Math.max(1, ...this.block().rows.map((r) => r.cells.length));
  }
}
