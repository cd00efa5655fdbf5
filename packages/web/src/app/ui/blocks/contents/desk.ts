import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';
import { SheetContext } from '../sheet-context';

@Component({
  selector: 'lv-contents-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav [attr.aria-label]="block().title">
      <p>{{ block().title }}</p>
      <ol>
        @for (p of context?.pages() ?? []; track p.id; let i = $index) {
          <li>
            <button type="button" (click)="context?.sheet()?.turn(i)">
              <span>{{ p.title || t('Page {number}', { number: i + 1 }) }}</span><b>{{ i + 1 }}</b>
            </button>
          </li>
        }
      </ol>
    </nav>
  `,
  styles: `
    p {
      font-weight: 650;
      margin-bottom: 4px;
    }
    button {
      display: flex;
      justify-content: space-between;
      gap: 12px;
      width: 100%;
      max-width: 34em;
      min-height: 44px;
      padding: 6px 10px;
      border: 0;
      border-bottom: 1.5px dotted var(--line-strong);
      background: none;
      text-align: start;
      cursor: pointer;
    }
    button:hover {
      background: var(--sunken);
    }
  `,
})
export class ContentsDesk extends DeskPart<LearnerBlockOf<'contents'>> {
  protected readonly context = inject(SheetContext, { optional: true });
}
