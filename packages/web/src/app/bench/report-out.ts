import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { ButtonDirective } from 'primeng/button';
import { download } from '../platform/download';
import { Stopped } from '../platform/workers/task';
import { FamilyReports } from '../store/family-reports';
import { Ask } from '../ui/ask';
import { Notice } from '../ui/notice';
import { ProgressLine } from '../ui/progress';
import { BenchView } from './bench-view';

/** The activity with all its versions, to read: for colleagues. */
@Component({
  selector: 'lv-report-out',
  imports: [ButtonDirective, LucideDynamicIcon, ProgressLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (reports.busy()) {
      <lv-progress what="Writing the report" (stopped)="reports.stop()" />
    } @else {
      <button pButton severity="secondary" text type="button" (click)="write('html')">
        <svg lucideIcon="download"></svg>Report as HTML
      </button>
      <button pButton severity="secondary" text type="button" (click)="write('pdf')">
        <svg lucideIcon="download"></svg>Report as PDF
      </button>
    }
  `,
})
export class ReportOut {
  private readonly view = inject(BenchView);
  private readonly notice = inject(Notice);
  private readonly ask = inject(Ask);
  protected readonly reports = inject(FamilyReports);

  protected async write(form: 'html' | 'pdf'): Promise<void> {
    const family = this.view.family();
    if (!family) return;
    try {
      const { blob, name, named } = await this.reports.write(family, form);
      const sure =
        named.length === 0 ||
        (await this.ask.sure({
          title: 'Names of learners stand in it',
          says: `They are words of the activity: ${named.slice(0, 5).join(', ')}${named.length > 5 ? ` and ${named.length - 5} more` : ''}. Change them on the Bench first, or save it as it is.`,
          yes: 'Save it as it is',
        }));
      if (!sure) return;
      download(blob, name);
      this.notice.done('The report was saved', 'Versions for one learner, reasons and learners’ names are not in it.');
    } catch (error) {
      if (error instanceof Stopped) this.notice.cannot('Writing was stopped. Nothing was saved.');
      else
        this.notice.wrong('Nothing was written', 'The report could not be made. Try it again, or take the other form.');
    }
  }
}
