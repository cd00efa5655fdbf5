import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import type { Piece } from '@lorvet/core';
import { Rows } from '../../rows';
import { type BlockOf, EditorPart } from '../editor-part';

type Entry = BlockOf<'vocabulary'>['entries'][number];
const pieceOf = (e: Entry): Piece => ({ id: e.id, text: e.word, ...(e.assetId ? { assetId: e.assetId } : {}) });

@Component({
  selector: 'lv-vocabulary-editor',
  imports: [Rows],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      class="input"
      #t
      [maxLength]="most('title')"
      aria-label="Title"
      [value]="block().title"
      (change)="set({ title: t.value })"
    />
    <lv-rows
      label="Word"
      [most]="most('entries', '*', 'word')"
      [rows]="rows()"
      [pictures]="true"
      (changed)="words($event)"
    >
      <ng-template #extra let-r>
        <input
          class="input"
          style="flex: 2 1 10em"
          #m
          [maxLength]="most('entries', '*', 'meaning')"
          [attr.aria-label]="'Meaning of ' + (r.text || 'the word')"
          placeholder="Meaning"
          [value]="meaning(r.id)"
          (change)="mean(r.id, m.value)"
        />
      </ng-template>
    </lv-rows>
  `,
  styleUrl: '../editor.css',
})
export class VocabularyEditor extends EditorPart<BlockOf<'vocabulary'>> {
  protected readonly rows = computed(() => this.block().entries.map(pieceOf));

  protected meaning(id: string): string {
    return this.block().entries.find((e) => e.id === id)?.meaning ?? '';
  }

  protected mean(id: string, meaning: string): void {
    this.list<Entry>('entries', (all) => all.map((e) => (e.id === id ? { ...e, meaning } : e)));
  }

  protected words(change: (rows: readonly Piece[]) => readonly Piece[]): void {
    this.list<Entry>('entries', (all) =>
      change(all.map(pieceOf)).map((r) => ({
        id: r.id,
        word: r.text,
        meaning: all.find((e) => e.id === r.id)?.meaning ?? '',
        ...(r.assetId ? { assetId: r.assetId } : {}),
      })),
    );
  }
}
