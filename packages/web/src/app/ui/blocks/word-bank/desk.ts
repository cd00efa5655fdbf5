import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-word-bank-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div>
      <p>{{ block().title }}</p>
      <ul>
        @for (w of block().words; track w) {
          <li>{{ w }}</li>
        }
      </ul>
    </div>
  `,
  styles: `
    div {
      padding: 10px 14px;
      border: 2px dashed var(--line-strong);
      border-radius: var(--r);
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 18px;
      font-weight: 700;
    }
  `,
})
export class WordBankDesk extends DeskPart<LearnerBlockOf<'word-bank'>> {}
