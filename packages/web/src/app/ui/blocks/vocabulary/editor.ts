import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import type { Piece } from '@lorvet/core';
import { Rows } from '../../rows';
import { type BlockOf, EditorPart } from '../editor-part';

type Entry = BlockOf<'vocabulary'>['entries'][number];

@Component({
  selector: 'lv-vocabulary-editor',
  imports: [Rows],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      class="input"
      #t
      maxlength="200"
      aria-label="Title"
      [value]="block().title"
      (change)="set({ title: t.value })"
    />
    <lv-rows label="Word" [rows]="rows()" [pictures]="true" (changed)="words($event)">
      <ng-template #extra let-r>
        <input
          class="input"
          style="flex: 2 1 10em"
          #m
          maxlength="600"
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
  protected readonly rows = computed(() =>
    this.block().entries.map((e): Piece => ({ id: e.id, text: e.word, ...(e.assetId ? { assetId: e.assetId } : {}) })),
  );

  protected meaning(id: string): string {
    return this.block().entries.find((e) => e.id === id)?.meaning ?? '';
  }

  protected mean(id: string, meaning: string): void {
    this.set({ entries: this.block().entries.map((e) => (e.id === id ? { ...e, meaning } : e)) });
  }

  protected words(rows: readonly Piece[]): void {
    const entries = rows.map((r): Entry => ({
      id: r.id,
      word: r.text.slice(0, 120),
      meaning: this.meaning(r.id),
      ...(r.assetId ? { assetId: r.assetId } : {}),
    }));
    this.set({ entries });
  }
}
