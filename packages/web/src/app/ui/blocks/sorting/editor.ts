import { ChangeDetectionStrategy, Component } from '@angular/core';
import type { Piece } from '@lorvet/core';
import { Rows } from '../../rows';
import { type BlockOf, EditorPart } from '../editor-part';

type Sorted = BlockOf<'sorting'>['pieces'][number];

@Component({
  selector: 'lv-sorting-editor',
  imports: [Rows],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="tag-small">Groups</p>
    <lv-rows label="Group" [most]="most('groups', '*', 'text')" [rows]="block().groups" (changed)="groups($event)" />
    <p class="tag-key">Pieces, each with its group</p>
    <lv-rows
      label="Piece"
      [most]="most('pieces', '*', 'text')"
      [pictures]="true"
      [rows]="block().pieces"
      [fresh]="fresh"
      (changed)="list('pieces', $event)"
    >
      <ng-template #extra let-r>
        <select
          class="input"
          #g
          [attr.aria-label]="'Group of ' + (r.text || 'the piece')"
          (change)="move(r.id, g.value)"
        >
          <option value="">none</option>
          @for (o of block().groups; track o.id; let i = $index) {
            <option [value]="o.id" [selected]="o.id === r.group">{{ o.text || 'group ' + (i + 1) }}</option>
          }
        </select>
      </ng-template>
    </lv-rows>
  `,
  styleUrl: '../editor.css',
})
export class SortingEditor extends EditorPart<BlockOf<'sorting'>> {
  protected readonly fresh = (row: Piece): Sorted => ({ ...row, group: this.block().groups[0]?.id ?? '' });

  protected move(id: string, group: string): void {
    this.list<Sorted>('pieces', (all) => all.map((p) => (p.id === id ? { ...p, group } : p)));
  }

  protected groups(change: (rows: readonly Piece[]) => readonly Piece[]): void {
    this.set((b) => {
      const groups = change(b.groups).map((g) => ({ id: g.id, text: g.text }));
      const ids = groups.map((g) => g.id);
      return { groups, pieces: b.pieces.map((p) => (ids.includes(p.group) ? p : { ...p, group: '' })) };
    });
  }
}
