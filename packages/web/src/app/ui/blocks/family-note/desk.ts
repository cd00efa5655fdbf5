import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-family-note-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p class="for">{{ t('For your family') }}</p>
    <p>{{ block().text }}</p>`,
  styles: `
    :host {
      display: block;
      padding: 10px 16px;
      border: 2px solid var(--moss);
      border-radius: 8px;
    }
    p {
      white-space: pre-wrap;
    }
    .for {
      font-weight: 700;
      font-size: 0.85em;
    }
  `,
})
export class FamilyNoteDesk extends DeskPart<LearnerBlockOf<'family-note'>> {}
