import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import type { Piece, Rect } from '@lorvet/core';
import { RectBoard } from '../../rect-board';
import { Rows } from '../../rows';
import { DescribedPicture } from '../described-picture';
import { type BlockOf, EditorPart } from '../editor-part';

type Target = BlockOf<'spots'>['targets'][number];
const nameOf = (t: Target): Piece => ({ id: t.id, text: t.text });

@Component({
  selector: 'lv-spots-editor',
  imports: [Rows, RectBoard, DescribedPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <lv-described-picture
      [assetId]="block().assetId"
      [alt]="block().alt"
      [most]="most('alt')"
      (changed)="set($event)"
    />
    @if (block().assetId) {
      <p class="tag-key">Drag over each area that is right.</p>
      <lv-rect-board
        class="board"
        [assetId]="block().assetId"
        [alt]="block().alt"
        [rects]="rects()"
        [chosen]="chosen()"
        (choose)="chosen.set($event)"
        (drawn)="add($event)"
        (changed)="move($event.id, $event.rect)"
        (removed)="drop($event)"
      />
      <lv-rows
        label="Area"
        [most]="most('targets', '*', 'text')"
        [canAdd]="false"
        [rows]="names()"
        (changed)="rename($event)"
      />
    }
  `,
  styleUrl: '../editor.css',
})
export class SpotsEditor extends EditorPart<BlockOf<'spots'>> {
  protected readonly chosen = signal<string | null>(null);
  protected readonly rects = computed(() =>
    this.block().targets.map((t, i) => ({ ...t, name: t.text || `Area ${i + 1}` })),
  );
  protected readonly names = computed(() => this.block().targets.map(nameOf));

  protected add(rect: Rect): void {
    const target = { id: this.newId(), text: '', ...rect };
    this.list<Target>('targets', (all) => [...all, target]);
  }

  protected move(id: string, rect: Rect): void {
    this.list<Target>('targets', (all) => all.map((t) => (t.id === id ? { ...t, ...rect } : t)));
  }

  protected drop(id: string): void {
    this.list<Target>('targets', (all) => all.filter((t) => t.id !== id));
  }

  protected rename(change: (rows: readonly Piece[]) => readonly Piece[]): void {
    this.list<Target>('targets', (all) =>
      change(all.map(nameOf)).flatMap((r) => {
        const target = all.find((t) => t.id === r.id);
        return target ? [{ ...target, text: r.text }] : [];
      }),
    );
  }
}
