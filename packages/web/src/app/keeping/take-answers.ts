import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Copy, mergeCopies, Problem, readAnswers, worksOf } from '@lorvet/core';
import { textOf } from '../platform/files';
import { Clock } from '../platform/clock';
import { DeskActions } from '../store/actions';
import { Parts } from '../store/parts';
import { WorkspaceStore } from '../store/workspace';
import { FileButton } from '../ui/file-button';
import { Notice } from '../ui/notice';
import { ProblemCard, type Wrong } from '../ui/problem';
import { counted } from '../platform/many';

/** Answers that a learner saved as a file while the browser could not keep them, taken in. */
@Component({
  selector: 'lv-take-answers',
  imports: [ProblemCard, FileButton, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Answers from the desk</h2>
    <p class="small">
      Where the desk could not keep a learner’s answers, it offers them as a file. Taken in here, they are joined with
      what is kept: no answer of either is lost.
    </p>
    <lv-file-button accept=".json,application/json" (chosen)="take($event)"
      ><svg lucideIcon="upload"></svg>File of answers</lv-file-button
    >
    @if (problem(); as p) {
      <lv-problem [wrong]="p" />
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
  `,
})
export class TakeAnswers {
  private readonly work = inject(WorkspaceStore);
  private readonly parts = inject(Parts);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  protected readonly problem = signal<Wrong | null>(null);

  protected async take(file: File): Promise<void> {
    this.problem.set(null);
    try {
      await this.takeIn(readAnswers(await textOf(file, 60)).copy);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.problem.set({ name: `${file.name} cannot be taken in`, message: error.message, details: error.details });
    }
  }

  private async takeIn(copy: Copy): Promise<void> {
    const learner = this.work.people().learners.find((l) => l.id === copy.learnerId);
    const head = this.work.handOutHeads().find((h) => h.id === copy.handOutId);
    if (!head || (!learner && !head.shared.includes(copy.learnerId)))
      throw new Problem(
        `The ${head ? 'learner' : 'hand-out'} that these answers belong to is not here. If it was removed, put it back under Removed things first.`,
      );
    await this.parts.during(async (want) => {
      await want('handOuts', [head.id]);
      const plan = this.work.handOuts()[head.id];
      // Work that several do together is theirs under the name of their group.
      const name = learner?.name ?? plan?.teams.find((x) => x.id === copy.learnerId)?.name ?? 'everybody';
      if (!plan || !worksOf(plan).has(copy.learnerId))
        throw new Problem(`“${head.title}” was not given to ${name} here.`);
      await want('copies', [copy.id]);
      const kept = this.work.copies()[copy.id];
      // An item answered in both: the file is from the time after the last that could be kept.
      const joined = kept ? mergeCopies(undefined, kept, copy, this.clock.iso()) : copy;
      this.work.dispatch(DeskActions.copyBrought({ copy: joined, title: name }));
      const n = Object.keys(copy.goes.at(-1)?.answers ?? {}).length;
      this.notice.done(
        counted(n, '{n} answer of {name} taken in', '{n} answers of {name} taken in', { name }),
        `They stand in “${head.title}”. One undo takes them out again.`,
      );
    });
  }
}
