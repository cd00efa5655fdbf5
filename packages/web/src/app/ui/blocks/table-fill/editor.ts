import { ChangeDetectionStrategy, Component } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { IconButton } from '../../icon-button';
import { type BlockOf, EditorPart, MOST_SEVERAL, several } from '../editor-part';

type Row = BlockOf<'table-fill'>['rows'][number];
type Cell = Row['cells'][number];

@Component({
  selector: 'lv-table-fill-editor',
  imports: [IconButton, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll">
      <table>
        <tr>
          @for (c of block().columns; track c.id; let k = $index) {
            <th>
              <input
                class="input"
                #h
                [attr.aria-label]="'Name of column ' + (k + 1)"
                placeholder="Column"
                [maxLength]="most('columns', '*', 'text')"
                [value]="c.text"
                (change)="column(c.id, h.value)"
              />
            </th>
          }
        </tr>
        @for (r of block().rows; track r.id; let i = $index) {
          <tr>
            @for (c of r.cells; track c.id; let k = $index) {
              <td>
                @if (c.blank) {
                  <input
                    class="input"
                    #key
                    [attr.aria-label]="
                      'Key of row ' + (i + 1) + ', column ' + (k + 1) + ', accepted answers with a slash between them'
                    "
                    placeholder="key"
                    [maxLength]="mostSeveral"
                    [value]="c.key.join(' / ')"
                    (change)="cell(c.id, { key: keys(key.value) })"
                  />
                } @else {
                  <input
                    class="input"
                    #f
                    [attr.aria-label]="'Row ' + (i + 1) + ', column ' + (k + 1)"
                    [maxLength]="most('rows', '*', 'cells', '*', 'text')"
                    [value]="c.text"
                    (change)="cell(c.id, { text: f.value })"
                  />
                }
                <label class="check"
                  ><input type="checkbox" #b [checked]="c.blank" (change)="cell(c.id, { blank: b.checked })" />to
                  fill</label
                >
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
      @if (block().columns.length > 1) {
        <button class="btn quiet" type="button" (click)="dropColumn()">Take the last column away</button>
      }
      <label class="check"
        ><input
          type="checkbox"
          #s
          [checked]="block().spellingTolerant"
          (change)="set({ spellingTolerant: s.checked })"
        />A slip of spelling still counts</label
      >
    </div>
  `,
  styleUrl: '../editor.css',
})
export class TableFillEditor extends EditorPart<BlockOf<'table-fill'>> {
  protected readonly keys = several;
  protected readonly mostSeveral = MOST_SEVERAL;

  protected column(id: string, text: string): void {
    this.set((b) => ({ columns: b.columns.map((c) => (c.id === id ? { ...c, text } : c)) }));
  }

  protected cell(id: string, fields: Partial<Cell>): void {
    this.list<Row>('rows', (rows) =>
      rows.map((r) => ({ ...r, cells: r.cells.map((c) => (c.id === id ? { ...c, ...fields } : c)) })),
    );
  }

  protected addRow(): void {
    this.set(({ rows, columns }) => {
      const like = rows.at(-1)?.cells;
      const cells = columns.map((_, k) => this.fresh(like?.[k]?.blank ?? k > 0));
      return { rows: [...rows, { id: this.newId(), cells }] };
    });
  }

  protected addColumn(): void {
    this.set(({ rows, columns }) => ({
      columns: [...columns, { id: this.newId(), text: '' }],
      rows: rows.map((r) => ({ ...r, cells: [...r.cells, this.fresh(true)] })),
    }));
  }

  protected dropRow(id: string): void {
    this.list<Row>('rows', (rows) => rows.filter((r) => r.id !== id));
  }

  protected dropColumn(): void {
    this.set(({ rows, columns }) => ({
      columns: columns.slice(0, -1),
      rows: rows.map((r) => ({ ...r, cells: r.cells.slice(0, -1) })),
    }));
  }

  private fresh(blank: boolean): Cell {
    return { id: this.newId(), text: '', blank, key: [] };
  }
}
