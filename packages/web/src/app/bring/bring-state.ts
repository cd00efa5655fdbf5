import { computed, inject, Injectable, signal } from '@angular/core';
import { type Audience, type Content, type Id, latest } from '@lorvet/core';
import {
  acceptedPages,
  contentOf,
  type Decision,
  type PageChoice,
  type Proposed,
  type ProposedPage,
  type QuestionField,
} from '@lorvet/core/intake';
import { Clock } from '../platform/clock';
import { textOf } from '../platform/files';
import { Intake, IntakeProblem } from '../platform/intake';
import { Stopped } from '../platform/workers/task';
import type { Reading } from '../platform/workers/intake.worker';
import { BringActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { PdfPages } from './pdf-pages';
import { documentKind, isQuestion, broughtMaster, pictureBlocks, picturePages, questionPages } from './brought';
import type { KeptAsset } from '../platform/storage/kept-asset';

export type As = PageChoice['as'];
interface Choice {
  readonly as: As;
  readonly audience: Audience;
  readonly accepted: ReadonlySet<Id>;
}
interface Questions {
  readonly headers: readonly string[];
  readonly rows: number;
  readonly sample: readonly (readonly string[])[];
}

/** One file on its way in: what was chosen, what was read, what is accepted. Nothing is changed before `take`. */
@Injectable()
export class BringState {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly intake = new Intake();

  readonly step = signal<'choose' | 'pages' | 'columns' | 'pictures' | 'review'>('choose');
  readonly fileName = signal('');
  readonly busy = signal<{ what: string; done: number; of: number } | null>(null);
  readonly problem = signal<{ message: string; details: readonly string[] } | null>(null);
  readonly title = signal('');

  readonly pdf = new PdfPages(this.intake);

  readonly questions = signal<Questions | null>(null);
  readonly columns = signal<readonly (QuestionField | null)[]>([]);
  readonly badLines = signal<readonly { line: number; why: string }[]>([]);

  readonly pictures = signal<readonly KeptAsset[]>([]);

  readonly reading = signal<Reading | null>(null);
  readonly choices = signal<ReadonlyMap<number, Choice>>(new Map());
  readonly at = signal(0);
  /** Decisions that the teacher turned round, by their ids. */
  private readonly turned = signal<ReadonlyMap<string, Audience>>(new Map());

  readonly pages = computed(() => this.reading()?.proposed.pages ?? []);
  readonly page = computed<ProposedPage | undefined>(() => this.pages()[this.at()]);
  readonly families = this.work.familyHeads;
  /** Proposals that are accepted, of those that could be. */
  readonly counted = computed(() => {
    const items = this.pages().flatMap((p) => p.proposals.filter(isQuestion).map((x) => ({ n: p.n, x })));
    const yes = items.filter(({ n, x }) => this.choiceOf(n).as !== 'leave' && this.choiceOf(n).accepted.has(x.id));
    return { all: items.length, accepted: yes.length, keyed: yes.filter(({ x }) => x.keyed).length };
  });

  choiceOf(n: number): Choice {
    return this.choices().get(n) ?? { as: 'leave', audience: 'learner', accepted: new Set() };
  }

  change(n: number, fields: Partial<Choice>): void {
    this.choices.set(new Map(this.choices()).set(n, { ...this.choiceOf(n), ...fields }));
  }

  accept(n: number, id: Id, yes: boolean): void {
    const accepted = new Set(this.choiceOf(n).accepted);
    if (yes) accepted.add(id);
    else accepted.delete(id);
    this.change(n, { accepted });
  }

  acceptAll(yes: boolean): void {
    this.choices.set(
      new Map(
        this.pages().map((p) => [
          p.n,
          {
            ...this.choiceOf(p.n),
            accepted: new Set(p.proposals.filter((x) => yes || !isQuestion(x)).map((x) => x.id)),
          },
        ]),
      ),
    );
  }

  isTurned(d: Decision): boolean {
    return this.turned().has(d.id);
  }

  /** Takes a part for what it was not taken for, or back: it is proposed anew, and what was chosen stays chosen. */
  async turn(d: Decision): Promise<void> {
    const turned = new Map(this.turned());
    if (!turned.delete(d.id)) turned.set(d.id, d.or);
    await this.guard(async () => {
      this.busy.set({ what: 'Reading it anew', done: 0, of: 0 });
      const proposed = await this.intake.proposeAgain(turned);
      const reading = this.reading();
      if (!reading) return;
      const page = this.page()?.page;
      this.turned.set(turned);
      this.choices.set(carriedOver(reading.proposed, this.choices(), proposed));
      this.reading.set({ ...reading, proposed });
      this.at.set(
        Math.max(
          0,
          proposed.pages.findIndex((p) => p.page === page),
        ),
      );
    });
  }

  /** The pages as they will come in, each with what learners get of it; pictures by their places in the reading. */
  pagesTaken(p: ProposedPage) {
    const reading = this.reading();
    if (!reading) return [];
    const pictureOf = new Map(reading.pictures.flatMap((a, i) => (a ? [[i, a.id] as const] : [])));
    const { as, audience, accepted } = this.choiceOf(p.n);
    const choice: PageChoice = { n: p.n, as, audience, accepted, ...(as === 'picture' ? { pictureId: 'page' } : {}) };
    let n = 0;
    return acceptedPages(reading.proposed, [choice], pictureOf, this.fileName(), () => `seen-${++n}`);
  }

  stop(): void {
    this.intake.stop();
    this.pdf.closed();
    this.busy.set(null);
  }

  reset(): void {
    this.stop();
    this.pdf.reset();
    this.step.set('choose');
    this.problem.set(null);
    this.reading.set(null);
    this.questions.set(null);
    this.pictures.set([]);
    this.badLines.set([]);
    this.turned.set(new Map());
    this.at.set(0);
  }

  /** Several pictures, or one file of any kind Lorvet reads. */
  async choose(files: readonly File[]): Promise<void> {
    this.reset();
    const [file] = files;
    if (!file) return;
    this.fileName.set(files.length > 1 ? `${files.length} pictures` : file.name);
    this.title.set(file.name.replace(/\.(qti\.)?[a-z0-9]+$/i, '').replace(/[-_]+/g, ' '));
    if (files.every((f) => f.type.startsWith('image/'))) return await this.guard(() => this.takePictures(files));
    if (files.length > 1) {
      this.problem.set({ message: 'Choose one file at a time; only pictures can come several at once.', details: [] });
      return;
    }
    const ending = file.name.split('.').at(-1)?.toLowerCase() ?? '';
    if (ending === 'pdf' || file.type === 'application/pdf') return await this.guard(() => this.openPdf(file));
    const kind = documentKind(ending);
    if (kind) {
      return await this.guard(async () => {
        this.busy.set({ what: `Reading “${file.name}”`, done: 0, of: 0 });
        this.review(await this.intake.readDocument(file, kind, (done, of) => this.progress(done, of)));
      });
    }
    if (ending === 'csv' || ending === 'tsv') return await this.guard(() => this.openQuestions(file));
    this.problem.set({
      message: `Lorvet does not read “.${ending}” files. It reads PDF, Word (.docx), pictures, Markdown, HTML, CSV or TSV question lists and QTI 3 packages (.zip).`,
      details: [],
    });
  }

  async unlock(password: string): Promise<void> {
    await this.guard(async () => {
      this.busy.set({ what: `Opening “${this.fileName()}”`, done: 0, of: 0 });
      await this.pdf.unlock(password);
      this.step.set('pages');
    });
  }

  async readPages(): Promise<void> {
    const pages = [...this.pdf.chosen()].sort((a, b) => a - b);
    await this.guard(async () => {
      await this.pdf.reopen();
      this.busy.set({ what: 'Reading the pages', done: 0, of: pages.length });
      this.review(await this.intake.readPdf(pages, (done) => this.progress(done)));
    });
  }

  async mapColumns(): Promise<void> {
    await this.guard(async () => {
      this.busy.set({ what: 'Reading the questions', done: 0, of: 0 });
      const { questions, bad } = await this.intake.mapQuestions(this.columns(), (done, of) => this.progress(done, of));
      this.badLines.set(bad);
      if (questions.length === 0) {
        this.problem.set({
          message: 'No line of this list could be read as a question.',
          details: bad.slice(0, 5).map((b) => `Line ${b.line}: ${b.why}`),
        });
        return;
      }
      const pages = questionPages(questions, () => this.clock.newId());
      this.review({
        name: this.fileName(),
        proposed: { pages, unmatched: [] },
        pictures: [],
        left: [],
        sizes: {},
        canTurn: false,
      });
    });
  }

  /** Each picture a page of its own, under answer places; or each a block, all on one page. */
  takeAs(how: 'pages' | 'blocks'): void {
    const assets = this.pictures();
    const pages =
      how === 'blocks'
        ? [pictureBlocks(assets, this.title() || 'Pictures', () => this.clock.newId())]
        : picturePages(assets);
    this.review({
      name: this.fileName(),
      proposed: { pages, unmatched: [] },
      pictures: assets,
      left: [],
      sizes: {},
      canTurn: false,
    });
  }

  /** Makes a new master, or adds the pages to one. One undo takes all of it back. */
  async take(into: Id | null): Promise<Id | null> {
    let made: Id | null = null;
    await this.guard(async () => {
      const reading = this.reading();
      if (!reading) return;
      const assets = new Map<string, KeptAsset>();
      reading.pictures.forEach((a) => a && assets.set(a.id, a));
      const pictureOf = new Map(reading.pictures.flatMap((a, i) => (a ? [[i, a.id] as const] : [])));
      const chosen = reading.proposed.pages.filter((p) => this.choiceOf(p.n).as !== 'leave');
      const choices: PageChoice[] = [];
      for (const [i, p] of chosen.entries()) {
        const { as, audience, accepted } = this.choiceOf(p.n);
        let pictureId: string | undefined;
        if (as === 'picture') {
          this.busy.set({ what: 'Drawing the pages', done: i, of: chosen.length });
          const asset = await this.pictureOfPage(p);
          if (asset) assets.set(asset.id, asset);
          pictureId = asset?.id;
        }
        const size = reading.sizes[p.page];
        choices.push({
          n: p.n,
          as: as === 'picture' && !pictureId ? 'blocks' : as,
          audience,
          accepted,
          orientation: size && size.width > size.height ? 'landscape' : 'portrait',
          ...(pictureId ? { pictureId } : {}),
        });
      }
      const pages = acceptedPages(reading.proposed, choices, pictureOf, this.fileName(), () => this.clock.newId());
      if (pages.length === 0) {
        this.problem.set({ message: 'Every page is left out: choose at least one to bring in.', details: [] });
        return;
      }
      const used = [...assets.values()];
      const family = into ? await this.work.familyNow(into) : undefined;
      if (family) {
        const before = family.draft ?? latest(family).content;
        const content: Content = { ...before, pages: [...before.pages, ...pages] };
        this.work.dispatch(
          BringActions.addedToMaster({
            familyId: family.id,
            content,
            assets: used,
            label: `bring in “${this.fileName()}”`,
          }),
        );
        made = family.id;
      } else {
        const stamp = this.work.stamp(1);
        const id = stamp.ids[0] ?? this.clock.newId();
        const fresh = broughtMaster(contentOf(this.title(), pages), `Brought in from ${this.fileName()}`, {
          ...stamp,
          id,
        });
        this.work.dispatch(
          BringActions.madeMaster({ family: fresh, assets: used, label: `bring in “${this.fileName()}”` }),
        );
        made = id;
      }
    });
    return made;
  }

  private async pictureOfPage(p: ProposedPage): Promise<KeptAsset | null> {
    if (!this.pdf.here()) return this.reading()?.pictures[p.page - 1] ?? null;
    // What stands on the same page for the teacher is not in a learner's picture.
    return await this.pdf.picture(p.page, this.choiceOf(p.n).audience === 'learner' ? p.covers : []);
  }

  private async takePictures(files: readonly File[]): Promise<void> {
    this.busy.set({ what: 'Taking the pictures in', done: 0, of: files.length });
    const { assets, left } = await this.intake.readPictures(files, (done) => this.progress(done));
    if (left.length)
      this.problem.set({ message: `${left.length} of ${files.length} files could not be taken.`, details: left });
    this.pictures.set(assets);
    if (assets.length) this.step.set('pictures');
  }

  private async openPdf(file: File): Promise<void> {
    this.busy.set({ what: `Opening “${file.name}”`, done: 0, of: 0 });
    await this.pdf.open(file);
    this.step.set('pages');
  }

  /** A word of progress may come after the work it speaks of: by then nothing is busy any more. */
  private progress(done: number, of?: number): void {
    const busy = this.busy();
    if (busy) this.busy.set({ ...busy, done, of: of ?? busy.of });
  }

  private async openQuestions(file: File): Promise<void> {
    this.busy.set({ what: `Reading “${file.name}”`, done: 0, of: 0 });
    const { guess, ...rest } = await this.intake.openQuestions(await textOf(file));
    this.questions.set(rest);
    this.columns.set(guess);
    this.step.set('columns');
  }

  private review(reading: Reading): void {
    this.reading.set(reading);
    this.choices.set(
      new Map(
        reading.proposed.pages.map((p) => [
          p.n,
          {
            as: p.pictureOnly ? ('picture' as const) : ('blocks' as const),
            audience: p.audience,
            accepted: new Set(p.proposals.map((x) => x.id)),
          },
        ]),
      ),
    );
    this.at.set(0);
    this.step.set('review');
  }

  private async guard(work: () => Promise<void>): Promise<void> {
    this.problem.set(null);
    try {
      await work();
    } catch (error) {
      if (error instanceof IntakeProblem)
        this.problem.set({ message: error.message, details: error.details.filter((d) => d !== 'locked') });
      else if (!(error instanceof Stopped))
        this.problem.set({ message: 'This file could not be read. Nothing was changed.', details: [] });
    } finally {
      this.busy.set(null);
    }
  }
}

const sameAs = (p: ProposedPage): string => `${p.page} ${p.audience} ${p.decided?.id ?? ''}`;

/** What was chosen for the pages that are the same in a new reading; for others, all that is proposed. */
function carriedOver(old: Proposed, choices: ReadonlyMap<number, Choice>, fresh: Proposed): Map<number, Choice> {
  return new Map(
    fresh.pages.map((p) => {
      const before = old.pages.find((o) => sameAs(o) === sameAs(p));
      const choice = before && choices.get(before.n);
      const same = before && choice && before.proposals.length === p.proposals.length;
      return [
        p.n,
        {
          as: choice?.as ?? (p.pictureOnly ? ('picture' as const) : ('blocks' as const)),
          audience: choice?.audience ?? p.audience,
          accepted: new Set(
            p.proposals.filter((_, i) => !same || choice.accepted.has(before.proposals[i]?.id ?? '')).map((x) => x.id),
          ),
        },
      ];
    }),
  );
}
