import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';
import { Takes } from '../takes';

@Component({
  selector: 'lv-voice-desk',
  imports: [Takes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<lv-takes
    what="voice"
    [most]="block().most"
    [name]="block().id"
    [answer]="answer()"
    [locked]="locked()"
    (changed)="give($event)"
  />`,
})
export class VoiceDesk extends DeskPart<LearnerBlockOf<'voice'>> {}
