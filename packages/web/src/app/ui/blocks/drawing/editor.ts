import { ChangeDetectionStrategy, Component } from '@angular/core';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-drawing-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="row tag-small"
      >Room to draw
      <select class="input" #h (change)="height(h.value)">
        <option value="low" [selected]="block().height === 'low'">low</option>
        <option value="middle" [selected]="block().height === 'middle'">middle</option>
        <option value="tall" [selected]="block().height === 'tall'">tall</option>
      </select></label
    >
  `,
  styleUrl: '../editor.css',
})
export class DrawingEditor extends EditorPart<BlockOf<'drawing'>> {
  protected height(value: string): void {
    if (value === 'low' || value === 'middle' || value === 'tall') this.set({ height: value });
  }
}
