import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DrawingPad } from '../drawing-pad';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-picture-writing-desk',
  imports: [DrawingPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<lv-drawing-pad
    [answer]="answer()"
    [locked]="locked()"
    [assetId]="block().assetId"
    [alt]="block().alt"
    [label]="block().prompt"
    (drawn)="give($event)"
  />`,
})
export class PictureWritingDesk extends DeskPart<LearnerBlockOf<'picture-writing'>> {}
