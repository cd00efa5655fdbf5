import { ChangeDetectionStrategy, Component, effect, inject, untracked } from '@angular/core';
import { ConfirmationService } from 'primeng/api';
import { ConfirmDialog } from 'primeng/confirmdialog';
import { Ask } from './ask';
import { dressParts } from './preset/dress';

/** The one dialog that asks. Keeping is what Enter does first, and Escape. */
@Component({
  selector: 'lv-ask-dialog',
  imports: [ConfirmDialog],
  providers: [ConfirmationService],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p-confirmdialog [style]="{ width: '440px' }" />`,
})
export class AskDialog {
  constructor() {
    dressParts();
    const dialog = inject(ConfirmationService);
    const ask = inject(Ask);
    effect(() => {
      const question = ask.asked();
      if (!question) return;
      const answer = (sure: boolean) => {
        ask.asked.set(null);
        question.answer(sure);
      };
      untracked(() =>
        dialog.confirm({
          header: question.title,
          message: question.says,
          acceptLabel: question.yes,
          rejectLabel: 'Keep it',
          rejectButtonStyleClass: 'quiet',
          defaultFocus: 'reject',
          closeOnEscape: true,
          accept: () => answer(true),
          reject: () => answer(false),
        }),
      );
    });
  }
}
