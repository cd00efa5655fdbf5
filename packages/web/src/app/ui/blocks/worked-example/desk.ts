import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-worked-example-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="title">{{ block().title }}</p>
    <ol>
      @for (s of block().steps; track s.id) {
        <li>{{ s.text }}</li>
      }
    </ol>
  `,
  styles: `
    :host {
      display: block;
      padding: 10px 16px;
      border: 2px solid var(--line-strong);
      border-radius: 8px;
      background: var(--sunken);
    }
    .title {
      font-weight: 700;
    }
    ol {
      list-style: decimal;
      padding-inline-start: 1.6em;
    }
    li {
      white-space: pre-wrap;
      margin-top: 4px;
    }
  `,
})
export class WorkedExampleDesk extends DeskPart<LearnerBlockOf<'worked-example'>> {}
