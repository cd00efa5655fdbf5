import { ChangeDetectionStrategy, Component } from '@angular/core';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-paper-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="row tag-key"
      >Key
      <textarea
        class="input"
        style="flex: 1"
        #k
        rows="2"
        aria-label="Key: what good work shows"
        placeholder="what good work shows"
        [maxLength]="most('key')"
        [value]="block().key"
        (change)="set({ key: k.value })"
      ></textarea>
    </label>
  `,
  styleUrl: '../editor.css',
})
export class PaperEditor extends EditorPart<BlockOf<'paper'>> {}
