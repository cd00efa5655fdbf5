import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';
import { Rich } from '../rich';

@Component({
  selector: 'lv-text-desk',
  imports: [Rich],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<lv-rich [text]="block().text" />`,
})
export class TextDesk extends DeskPart<LearnerBlockOf<'text'>> {}
