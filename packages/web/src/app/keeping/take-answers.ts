import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import isSame from 'fast-deep-equal';
import { type Asset, type Copy, mergeCopies, Problem, readAnswers, worksOf } from '@lorvet/core';
import { assetOf, textOf } from '../platform/files';
import type { KeptAsset } from '../platform/storage/kept-asset';
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
      const { copy, media } = readAnswers(await textOf(file, 200));
      await this.takeIn(copy, await Promise.all(media.map(asKept)));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.problem.set({ name: `${file.name} cannot be taken in`, message: error.message, details: error.details });
    }
  }

  private async takeIn(copy: Copy, media: readonly KeptAsset[]): Promise<void> {
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
      await want(
        'assets',
        media.map((m) => m.id),
      );
      const kept = this.work.copies()[copy.id];
      const joined = kept ? mergeCopies(undefined, kept, copy, this.clock.iso()) : copy;
      const n = newIn(joined, kept);
      if (kept && isSame(workIn(joined), workIn(kept))) {
        this.notice.done('There is nothing new in this file', `“${head.title}” of ${name} has it all already.`);
        return;
      }
      this.work.dispatch(DeskActions.copyBrought({ copy: joined, title: name, media: [...media] }));
      this.notice.done(
        counted(n, '{n} answer of {name} taken in', '{n} answers of {name} taken in', { name }),
        `They stand in “${head.title}”. One undo takes them out again.`,
      );
    });
  }
}

/** What a learner did, without where they left it and what they used. */
const workIn = ({ goes, notes, remarks }: Copy): unknown[] => [goes, notes, remarks];

/** Answers, sheets of notes among them, that are others than before, or are new beside them. */
function newIn(after: Copy, before: Copy | undefined): number {
  const was = (n: number) => before?.goes.find((g) => g.n === n);
  const notes = Object.entries(after.notes ?? {}).filter(([id, text]) => text !== before?.notes?.[id]);
  return after.goes.reduce((sum, g) => {
    const others = Object.entries(g.answers).filter(([item, a]) => !isSame(a, was(g.n)?.answers[item]));
    return sum + others.length + (g.earlier?.length ?? 0) - (was(g.n)?.earlier?.length ?? 0);
  }, notes.length);
}

/** As the browser keeps it, under the address of its content: whatever the file calls it. */
async function asKept({ id, mime, name, data }: Asset): Promise<KeptAsset> {
  const asset = await assetOf(data, mime, name);
  if (asset.id !== id)
    throw new Problem('A photograph or a recording in this file of answers is damaged. Nothing was taken in.');
  return asset;
}
