import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-heading-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h2>{{ block().text }}</h2>`,
  styles: `
    h2 {
      font: 400 1.4em/1.25 var(--serif);
    }
  `,
})
export class HeadingDesk extends DeskPart<LearnerBlockOf<'heading'>> {}
