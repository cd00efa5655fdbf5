import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-instruction-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p>{{ block().text }}</p>`,
  styles: `
    p {
      padding: 8px 14px;
      border-left: 4px solid var(--accent);
      background: var(--sunken);
      white-space: pre-wrap;
    }
  `,
})
export class InstructionDesk extends DeskPart<LearnerBlockOf<'instruction'>> {}
