import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';
import { Takes } from '../takes';

@Component({
  selector: 'lv-photo-desk',
  imports: [Takes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<lv-takes
    what="photo"
    [most]="block().most"
    [name]="block().id"
    [answer]="answer()"
    [locked]="locked()"
    (changed)="give($event)"
  />`,
})
export class PhotoDesk extends DeskPart<LearnerBlockOf<'photo'>> {}
