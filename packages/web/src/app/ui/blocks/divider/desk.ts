import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-divider-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hr />`,
  styles: `
    hr {
      border: 0;
      border-top: 3px double var(--line-strong);
      margin: 0;
    }
  `,
})
export class DividerDesk extends DeskPart<LearnerBlockOf<'divider'>> {}
