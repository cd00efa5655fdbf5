import { inject, Injectable, signal } from '@angular/core';
import { type Content, type Id, latest, type Page } from '@lorvet/core';
import { contentOf, type Decision, type ProposedPage, type QuestionField } from '@lorvet/core/intake';
import { Clock } from '../platform/clock';
import { textOf } from '../platform/files';
import { Intake, IntakeProblem } from '../platform/intake';
import { Stopped } from '../platform/workers/task';
import type { Reading } from '../platform/workers/intake.worker';
import { BringActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { Latest } from '../ui/latest';
import { PdfPages } from './pdf-pages';
import { Review } from './review';
import { documentKind, broughtMaster, pictureBlocks, picturePages, questionPages } from './brought';
import type { KeptAsset } from '../platform/storage/kept-asset';

interface Questions {
  readonly headers: readonly string[];
  readonly rows: number;
  readonly sample: readonly (readonly string[])[];
}

/**
 * One file on its way in: what was chosen, what was read, what is accepted. Nothing is changed before `take`. Whoever
 * goes elsewhere meanwhile finds it as it was.
 */
@Injectable({ providedIn: 'root' })
export class BringState {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly intake = new Intake();
  /** It is being taken in, or was. */
  private taking = false;
  /** Decisions are turned round one after the other, and all before it is taken. */
  private turning: Promise<void> = Promise.resolve();
  /** Reads the file under review again, where whoever read it was stopped since. */
  private reread: () => Promise<unknown> = () => Promise.resolve();
  private stopped = false;
  private readonly under = new Latest();

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

  readonly review = new Review();
  readonly families = this.work.familyHeads;

  /** Takes a part for what it was not taken for, or back: it is proposed anew. */
  turn(d: Decision): Promise<void> {
    const anew = async () => {
      this.busy.set({ what: 'Reading it anew', done: 0, of: 0 });
      if (this.stopped) await this.reread();
      this.stopped = false;
      const turned = this.review.turnedWith(d);
      this.review.goOn(await this.intake.proposeAgain(turned), turned);
    };
    this.turning = this.turning.then(() => this.guard(anew));
    return this.turning;
  }

  /** A page as it will come in, with what learners get of it; pictures by their places in the reading. */
  pagesTaken(p: ProposedPage) {
    let n = 0;
    return this.review.asTaken([p], new Map([[p.n, 'page']]), this.fileName(), () => `seen-${++n}`);
  }

  stop(): void {
    this.stopped = true;
    this.intake.stop();
    this.pdf.closed();
    this.busy.set(null);
  }

  reset(): void {
    this.stop();
    this.under.begin();
    this.reread = () => Promise.resolve();
    this.pdf.reset();
    this.step.set('choose');
    this.problem.set(null);
    this.review.begin(null);
    this.questions.set(null);
    this.pictures.set([]);
    this.badLines.set([]);
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
        await this.readFor(() => this.intake.readDocument(file, kind, (done, of) => this.progress(done, of)));
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
      this.busy.set({ what: 'Reading the pages', done: 0, of: pages.length });
      await this.readFor(async () => {
        await this.pdf.reopen();
        return await this.intake.readPdf(pages, (done) => this.progress(done));
      });
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
      this.lookOver(this.plainReading(pages));
    });
  }

  /** Each picture a page of its own, under answer places; or each a block, all on one page. */
  takeAs(how: 'pages' | 'blocks'): void {
    const assets = this.pictures();
    const pages =
      how === 'blocks'
        ? [pictureBlocks(assets, this.title() || 'Pictures', () => this.clock.newId())]
        : picturePages(assets);
    this.lookOver(this.plainReading(pages, assets));
  }

  /** Makes a new master, or adds the pages to one: its id. One undo takes all of it back. */
  async take(into: Id | null): Promise<Id | null> {
    // Pressed twice, it is taken once.
    if (this.taking) return null;
    this.taking = true;
    await this.turning;
    let made: Id | null = null;
    await this.guard(async () => {
      const reading = this.review.reading();
      if (!reading) return;
      const assets = new Map<string, KeptAsset>();
      reading.pictures.forEach((a) => a && assets.set(a.id, a));
      const chosen = this.review.taken();
      const drawn = new Map<number, Id>();
      for (const [i, p] of chosen.entries()) {
        if (this.review.choiceOf(p.n).as !== 'picture') continue;
        this.busy.set({ what: 'Drawing the pages', done: i, of: chosen.length });
        const asset = await this.pictureOfPage(p);
        if (!asset) continue;
        assets.set(asset.id, asset);
        drawn.set(p.n, asset.id);
      }
      const pages = this.review.asTaken(chosen, drawn, this.fileName(), () => this.clock.newId());
      if (pages.length === 0) {
        this.problem.set({ message: 'Every page is left out: choose at least one to bring in.', details: [] });
        return;
      }
      made = await this.addPages(pages, [...assets.values()], into);
    });
    this.taking = made !== null;
    return made;
  }

  private async addPages(pages: readonly Page[], assets: readonly KeptAsset[], into: Id | null): Promise<Id> {
    const label = `bring in “${this.fileName()}”`;
    const family = into ? await this.work.familyNow(into) : undefined;
    if (family) {
      const before = family.draft ?? latest(family).content;
      const content: Content = { ...before, pages: [...before.pages, ...pages] };
      this.work.dispatch(BringActions.addedToMaster({ familyId: family.id, content, assets, label }));
      return family.id;
    }
    const stamp = this.work.stamp(1);
    const id = stamp.ids[0] ?? this.clock.newId();
    const fresh = broughtMaster(contentOf(this.title(), pages), `Brought in from ${this.fileName()}`, { ...stamp, id });
    this.work.dispatch(BringActions.madeMaster({ family: fresh, assets, label }));
    return id;
  }

  private async pictureOfPage(p: ProposedPage): Promise<KeptAsset | null> {
    if (!this.pdf.here()) return this.review.reading()?.pictures[p.page - 1] ?? null;
    // What stands on the same page for the teacher is not in a learner's picture.
    return await this.pdf.picture(p.page, this.review.choiceOf(p.n).audience === 'learner' ? p.covers : []);
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

  /** What has no file behind it that could be read otherwise. */
  private plainReading(pages: readonly ProposedPage[], pictures: readonly KeptAsset[] = []): Reading {
    return { name: this.fileName(), proposed: { pages, unmatched: [] }, pictures, left: [], sizes: {}, canTurn: false };
  }

  private async readFor(read: () => Promise<Reading>): Promise<void> {
    this.reread = read;
    const reading = await read();
    // Another file was chosen since.
    if (this.reread !== read) return;
    this.lookOver(reading);
    this.stopped = false;
  }

  private lookOver(reading: Reading): void {
    this.review.begin(reading);
    this.taking = false;
    this.step.set('review');
  }

  /** What was begun before and is not done by then says nothing any more. */
  private async guard(work: () => Promise<void>): Promise<void> {
    const isLast = this.under.begin();
    this.problem.set(null);
    try {
      await work();
    } catch (error) {
      if (!isLast()) return;
      if (error instanceof IntakeProblem)
        this.problem.set({ message: error.message, details: error.details.filter((d) => d !== 'locked') });
      else if (!(error instanceof Stopped))
        this.problem.set({ message: 'This file could not be read. Nothing was changed.', details: [] });
    } finally {
      if (isLast()) this.busy.set(null);
    }
  }
}
