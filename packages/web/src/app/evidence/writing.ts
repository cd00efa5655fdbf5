import { inject, Injectable } from '@angular/core';
import { download } from '../platform/download';
import { Stopped } from '../platform/workers/task';
import { Notice } from '../ui/notice';
import { EvidenceChoices, type FormId } from './choices';
import { EvidenceWork, type Scope } from './evidence-work';

/** Documents of evidence as the teacher asks for them: written, then handed to the browser to keep. */
@Injectable({ providedIn: 'root' })
export class EvidenceWriting {
  private readonly choices = inject(EvidenceChoices);
  private readonly notice = inject(Notice);
  readonly work = inject(EvidenceWork);

  /** `title` is what the whole is called, where it is of several. */
  async write(
    learnerIds: readonly string[],
    title: string,
    scope: Scope = 'each',
    form: FormId = this.choices.form(),
  ): Promise<void> {
    const { period, privacy } = this.choices;
    const order = { learnerIds, title, period: period(), privacy: privacy(), language: navigator.language };
    try {
      const written = await this.work.write(order, form, scope);
      if (written) download(written.blob, written.name);
      else this.notice.wrong('Nothing was written', 'There is no learner to write about.');
    } catch (error) {
      if (error instanceof Stopped)
        this.notice.done('Writing was stopped', 'Nothing was kept of it, and nothing was changed.');
      else this.notice.wrong('The documents could not be written', 'Try it once more. Nothing was changed.');
    }
  }
}
