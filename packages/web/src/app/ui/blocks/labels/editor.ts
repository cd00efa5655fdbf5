import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import type { Piece, Rect } from '@lorvet/core';
import { PictureField } from '../../picture-field';
import { RectBoard } from '../../rect-board';
import { Rows } from '../../rows';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-labels-editor',
  imports: [Rows, RectBoard, PictureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <lv-picture-field
        [label]="block().assetId ? 'Another picture' : 'Choose a picture'"
        (chosen)="set({ assetId: $event })"
      />
      <input
        class="input"
        style="flex: 1"
        #alt
        aria-label="Description of the picture"
        placeholder="Describe the picture"
        [value]="block().alt"
        (change)="set({ alt: alt.value })"
      />
    </div>
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
      <lv-rows label="Label" [canAdd]="false" [rows]="labels()" (changed)="words($event)" />
      <p class="tag-small">Labels that belong nowhere</p>
      <lv-rows label="Extra" [rows]="block().extra" (changed)="set({ extra: $event })" />
    }
  `,
  styleUrl: '../editor.css',
})
export class LabelsEditor extends EditorPart<BlockOf<'labels'>> {
  protected readonly chosen = signal<string | null>(null);
  protected readonly rects = computed(() =>
    this.block().spots.map((s, i) => ({ id: s.id, x: s.x, y: s.y, w: 1, h: 1, name: s.label.text || `Spot ${i + 1}` })),
  );
  protected readonly labels = computed(() => this.block().spots.map((s): Piece => ({ id: s.id, text: s.label.text })));

  protected add(at: Rect): void {
    const spot = { id: this.newId(), x: at.x, y: at.y, label: { id: this.newId(), text: '' } };
    this.set({ spots: [...this.block().spots, spot] });
  }

  protected move(id: string, { x, y }: Rect): void {
    this.set({ spots: this.block().spots.map((s) => (s.id === id ? { ...s, x, y } : s)) });
  }

  protected drop(id: string): void {
    this.set({ spots: this.block().spots.filter((s) => s.id !== id) });
  }

  protected words(rows: readonly Piece[]): void {
    const spots = rows.flatMap((r) => {
      const spot = this.block().spots.find((s) => s.id === r.id);
      return spot ? [{ ...spot, label: { ...spot.label, text: r.text } }] : [];
    });
    this.set({ spots });
  }
}
