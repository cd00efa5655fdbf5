import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import type { Piece } from '@lorvet/core';
import { PictureField } from '../../picture-field';
import { Rows } from '../../rows';
import { type BlockOf, EditorPart } from '../editor-part';

type Pair = BlockOf<'matching'>['pairs'][number];

@Component({
  selector: 'lv-matching-editor',
  imports: [Rows, PictureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="tag-key">What belongs together</p>
    <lv-rows
      label="Left"
      [most]="most('pairs', '*', 'text')"
      [pictures]="true"
      [rows]="block().pairs"
      [fresh]="fresh"
      (changed)="list('pairs', $event)"
    >
      <ng-template #extra let-r>
        <span aria-hidden="true">–</span>
        <input
          class="input"
          style="flex: 1 1 8em"
          #m
          [maxLength]="most('pairs', '*', 'match', 'text')"
          [attr.aria-label]="'Right half of ' + (r.text || 'the pair')"
          placeholder="Right"
          [value]="right(r.id)?.text ?? ''"
          (change)="match(r.id, { text: m.value })"
        />
        <lv-picture-field
          [quiet]="true"
          [assetId]="right(r.id)?.assetId ?? ''"
          [label]="'Picture for the right half of ' + r.text"
          (chosen)="match(r.id, { assetId: $event })"
        />
      </ng-template>
    </lv-rows>
    <p class="tag-small">Right halves that belong to nothing</p>
    <lv-rows
      label="Extra"
      [most]="most('extra', '*', 'text')"
      [rows]="block().extra"
      (changed)="list('extra', $event)"
    />
  `,
  styleUrl: '../editor.css',
})
export class MatchingEditor extends EditorPart<BlockOf<'matching'>> {
  protected readonly fresh = (row: Piece): Pair => ({ ...row, match: { id: this.newId(), text: '' } });
  private readonly halves = computed(() => new Map(this.block().pairs.map((p) => [p.id, p.match])));

  protected right(id: string): Piece | undefined {
    return this.halves().get(id);
  }

  protected match(id: string, fields: Partial<Piece>): void {
    this.list<Pair>('pairs', (pairs) =>
      pairs.map((p) => {
        if (p.id !== id) return p;
        const { assetId, ...rest } = { ...p.match, ...fields };
        return { ...p, match: assetId ? { ...rest, assetId } : rest };
      }),
    );
  }
}
