import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from './part';
import { Takes } from './takes';

/** A photograph or a recording of the learner's own. */
@Component({
  selector: 'lv-taken-desk',
  imports: [Takes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<lv-takes
    [what]="block().kind"
    [most]="block().most"
    [name]="block().id"
    [answer]="answer()"
    [locked]="locked()"
    (changed)="give($event)"
  />`,
})
export class TakenDesk extends DeskPart<LearnerBlockOf<'photo' | 'voice'>> {}
