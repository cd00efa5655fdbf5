import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-text-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p>{{ block().text }}</p>`,
  styles: `
    p {
      white-space: pre-wrap;
      max-width: 70ch;
    }
  `,
})
export class TextDesk extends DeskPart<LearnerBlockOf<'text'>> {}
