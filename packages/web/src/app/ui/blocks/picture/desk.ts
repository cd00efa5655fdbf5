import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Picture } from '../../picture';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-picture-desk',
  imports: [Picture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<lv-picture [assetId]="block().assetId" [alt]="block().alt" />`,
})
export class PictureDesk extends DeskPart<LearnerBlockOf<'picture'>> {}
