import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Picture } from '../../picture';
import { PictureField } from '../../picture-field';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-picture-writing-editor',
  imports: [Picture, PictureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (block().assetId) {
      <lv-picture [assetId]="block().assetId" [alt]="block().alt" />
    }
    <div class="row">
      <lv-picture-field
        [label]="block().assetId ? 'Another picture' : 'Choose a picture'"
        (chosen)="set({ assetId: $event })"
      />
      <input
        class="input"
        style="flex: 1"
        #alt
        [maxLength]="most('alt')"
        aria-label="Description of the picture"
        placeholder="Describe the picture"
        [value]="block().alt"
        (change)="set({ alt: alt.value })"
      />
    </div>
  `,
  styleUrl: '../editor.css',
})
export class PictureWritingEditor extends EditorPart<BlockOf<'picture-writing'>> {}
