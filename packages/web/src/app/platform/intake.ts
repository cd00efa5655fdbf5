import type { Audience, Rect } from '@lorvet/core';
import type { BadLine, Proposed, ReadQuestion } from '@lorvet/core/intake';
import { proxy, type Remote, wrap } from 'comlink';
import { textOf } from './files';
import type { IntakeApi, Told } from './workers/intake.worker';
import { makeIntakeWorker } from './workers/make-worker';
import { Stopped } from './workers/task';
import type { KeptAsset } from './storage/kept-asset';

const QUESTIONS_AT_ONCE = 500;

/** Something that could not be read, in words. */
export class IntakeProblem extends Error {
  constructor(
    message: string,
    readonly details: readonly string[],
  ) {
    super(message);
  }
}

/**
 * One file being brought in, read by a worker of its own. Stopping ends the worker at once, whatever it is doing; the
 * next call begins a new one, and an open PDF must be opened again.
 */
export class Intake {
  private worker: Worker | null = null;
  private api: Remote<IntakeApi> | null = null;
  private readonly ends = new Set<(error: Stopped) => void>();

  async openPdf(file: File, password?: string): Promise<{ pages: number }> {
    return await this.run((api) => api.openPdf(file, file.name, password));
  }

  /** A page as a small picture; `pixels` is its longer side. */
  async thumb(n: number, pixels?: number): Promise<Blob> {
    return await this.run((api) => api.thumb(n, pixels));
  }

  async pagePicture(n: number, covers: readonly Rect[] = []): Promise<KeptAsset> {
    return await this.run((api) => api.pagePicture(n, covers));
  }

  /** What was read last, with some decisions turned round. */
  async proposeAgain(turned: ReadonlyMap<string, Audience>): Promise<Proposed> {
    return await this.run((api) => api.proposeAgain(turned));
  }

  async readPdf(pages: readonly number[], progress: (done: number) => void) {
    return await this.run((api) => api.readPdf(pages, proxy(progress)));
  }

  /** `progress` counts the pictures in it, which take the longest. */
  async readDocument(
    file: File,
    kind: 'docx' | 'html' | 'markdown' | 'qti',
    progress: (done: number, of: number) => void,
  ) {
    const counted = proxy(progress);
    if (kind === 'docx') return await this.run((api) => api.readDocx(file, file.name, counted));
    if (kind === 'qti') return await this.run((api) => api.readQti(file, file.name, counted));
    const text = await textOf(file);
    return await this.run((api) =>
      kind === 'html' ? api.readHtml(text, file.name, counted) : api.readMarkdown(text, file.name, counted),
    );
  }

  async readPictures(files: readonly File[], progress: (done: number) => void) {
    return await this.run((api) => api.readPictures([...files], proxy(progress)));
  }

  async openQuestions(text: string) {
    return await this.run((api) => api.openQuestions(text));
  }

  async mapQuestions(
    columns: Parameters<IntakeApi['mapQuestions']>[0],
    progress: (done: number, of: number) => void,
  ): Promise<{ questions: ReadQuestion[]; bad: readonly BadLine[] }> {
    const { count, bad } = await this.run((api) => api.mapQuestions(columns));
    const questions: ReadQuestion[] = [];
    while (questions.length < count) {
      progress(questions.length, count);
      questions.push(
        ...(await this.run((api) => api.questions(questions.length, questions.length + QUESTIONS_AT_ONCE))),
      );
    }
    return { questions, bad };
  }

  stop(): void {
    this.worker?.terminate();
    this.worker = null;
    this.api = null;
    for (const end of this.ends) end(new Stopped('Stopped.'));
    this.ends.clear();
  }

  private async run<T>(work: (api: Remote<IntakeApi>) => Promise<Told<T>>): Promise<T> {
    if (!this.api) {
      this.worker = makeIntakeWorker();
      this.api = wrap<IntakeApi>(this.worker);
    }
    const api = this.api;
    let end: (error: Stopped) => void = () => undefined;
    const stopped = new Promise<never>((_, fail) => {
      end = fail;
      this.ends.add(fail);
    });
    try {
      const told = await Promise.race([work(api), stopped]);
      if (!told.ok) throw new IntakeProblem(told.message, told.details);
      return told.value;
    } finally {
      this.ends.delete(end);
    }
  }
}
