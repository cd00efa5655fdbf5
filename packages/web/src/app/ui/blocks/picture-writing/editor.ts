import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Picture } from '../../picture';
import { DescribedPicture } from '../described-picture';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-picture-writing-editor',
  imports: [Picture, DescribedPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (block().assetId) {
      <lv-picture [assetId]="block().assetId" [alt]="block().alt" />
    }
    <lv-described-picture
      [assetId]="block().assetId"
      [alt]="block().alt"
      [most]="most('alt')"
      (changed)="set($event)"
    />
  `,
  styleUrl: '../editor.css',
})
export class PictureWritingEditor extends EditorPart<BlockOf<'picture-writing'>> {}
