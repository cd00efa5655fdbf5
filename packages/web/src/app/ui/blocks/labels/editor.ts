import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import type { Piece, Rect } from '@lorvet/core';
import { RectBoard } from '../../rect-board';
import { Rows } from '../../rows';
import { DescribedPicture } from '../described-picture';
import { type BlockOf, EditorPart } from '../editor-part';

type Spot = BlockOf<'labels'>['spots'][number];
const labelOf = (s: Spot): Piece => ({ id: s.id, text: s.label.text });

@Component({
  selector: 'lv-labels-editor',
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
      <p class="tag-small">Press the picture where a label belongs.</p>
      <lv-rect-board
        class="board"
        [points]="true"
        [assetId]="block().assetId"
        [alt]="block().alt"
        [rects]="rects()"
        [chosen]="chosen()"
        (choose)="chosen.set($event)"
        (drawn)="add($event)"
        (changed)="move($event.id, $event.rect)"
        (removed)="drop($event)"
      />
      <p class="tag-key">Labels</p>
      <lv-rows
        label="Label"
        [most]="most('spots', '*', 'label', 'text')"
        [canAdd]="false"
        [rows]="labels()"
        (changed)="words($event)"
      />
      <p class="tag-small">Labels that belong nowhere</p>
      <lv-rows
        label="Extra"
        [most]="most('extra', '*', 'text')"
        [rows]="block().extra"
        (changed)="list('extra', $event)"
      />
    }
  `,
  styleUrl: '../editor.css',
})
export class LabelsEditor extends EditorPart<BlockOf<'labels'>> {
  protected readonly chosen = signal<string | null>(null);
  protected readonly rects = computed(() =>
    this.block().spots.map((s, i) => ({ id: s.id, x: s.x, y: s.y, w: 1, h: 1, name: s.label.text || `Spot ${i + 1}` })),
  );
  protected readonly labels = computed(() => this.block().spots.map(labelOf));

  protected add(at: Rect): void {
    const spot = { id: this.newId(), x: at.x, y: at.y, label: { id: this.newId(), text: '' } };
    this.list<Spot>('spots', (all) => [...all, spot]);
  }

  protected move(id: string, { x, y }: Rect): void {
    this.list<Spot>('spots', (all) => all.map((s) => (s.id === id ? { ...s, x, y } : s)));
  }

  protected drop(id: string): void {
    this.list<Spot>('spots', (all) => all.filter((s) => s.id !== id));
  }

  protected words(change: (rows: readonly Piece[]) => readonly Piece[]): void {
    this.list<Spot>('spots', (all) =>
      change(all.map(labelOf)).flatMap((r) => {
        const spot = all.find((s) => s.id === r.id);
        return spot ? [{ ...spot, label: { ...spot.label, text: r.text } }] : [];
      }),
    );
  }
}
