import { inject, Injectable, signal } from '@angular/core';
import type { Evidence, Period } from '@lorvet/core/evidence';
import { proxy, type Remote, transfer, wrap } from 'comlink';
import { Clock } from '../platform/clock';
import type { EvidenceOrder } from '../platform/evidence-desk';
import type { DocxApi } from '../platform/workers/docx.worker';
import type { EvidenceApi } from '../platform/workers/evidence.worker';
import { makeDocxWorker, makeEvidenceWorker, makeReportWorker } from '../platform/workers/make-worker';
import type { ReportApi } from '../platform/workers/report.worker';
import { Task } from '../platform/workers/task';
import { KeepingSync } from '../store/keeping-sync';
import type { FormId } from './choices';

/** A file that was written. */
export interface Written {
  readonly blob: Blob;
  readonly name: string;
}
/** One document for each learner, or one of all. */
export type Scope = 'each' | 'overview';

type Reads = (generation: string, learnerId: string, period: Period, at: string) => Promise<Evidence | null>;

const TYPES: Readonly<Record<FormId, string>> = {
  pdf: 'application/pdf',
  docx: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  csv: 'text/csv;charset=utf-8',
  json: 'application/json',
};
const blobOf = (bytes: Uint8Array | string, type: string): Blob => new Blob([bytes as BlobPart], { type });

/** Evidence put together and written in workers, with how far it is; one order at a time, and it can be stopped. */
@Injectable({ providedIn: 'root' })
export class EvidenceWork {
  private readonly sync = inject(KeepingSync);
  private readonly clock = inject(Clock);
  private reader: Remote<EvidenceApi> | null = null;
  private tasks: { stop(): void }[] = [];
  readonly busy = signal<{ readonly what: string; readonly done: number; readonly of: number } | null>(null);

  /** Evidence of one learner, without what the teacher added; null where they are not here. */
  async one(learnerId: string, period: Period): Promise<Evidence | null> {
    await this.sync.flush();
    const here = this.here();
    const at = this.clock.iso();
    if (here) return await here(this.sync.generation() ?? '', learnerId, period, at);
    this.reader ??= wrap<EvidenceApi>(makeEvidenceWorker());
    return await this.reader.one(this.sync.generation() ?? '', learnerId, period, at);
  }

  /** For unit tests, where no worker runs: what is read on the same thread. */
  protected here(): Reads | null {
    return null;
  }

  stop(): void {
    for (const t of this.tasks) t.stop();
  }

  /** A file of an order: of several learners' documents a ZIP. Null where nobody is in it. Throws `Stopped`. */
  async write(order: EvidenceOrder, form: FormId, scope: Scope): Promise<Written | null> {
    await this.sync.flush();
    this.busy.set({ what: 'Gathering evidence', done: 0, of: 0 });
    try {
      const gathering = new Task<EvidenceApi>(makeEvidenceWorker);
      this.tasks = [gathering];
      return await gathering.run(async (api) => {
        const progress = proxy((done: number, of: number) => this.busy.set({ what: 'Gathering evidence', done, of }));
        const n = await api.take(this.sync.generation() ?? '', order, this.clock.iso(), progress);
        return n ? await this.written(api, n, order, form, scope) : null;
      });
    } finally {
      this.tasks = [];
      this.busy.set(null);
    }
  }

  private async written(
    api: Remote<EvidenceApi>,
    n: number,
    order: EvidenceOrder,
    form: FormId,
    scope: Scope,
  ): Promise<Written> {
    // What a class is called says whose it is.
    const all = order.privacy === 'without names' ? 'evidence' : `${fileName(order.title)}-evidence`;
    const type = TYPES[form];
    if (form === 'csv')
      return { blob: blobOf(await api.csv(), type), name: `${n === 1 ? await api.fileName(0) : all}.csv` };
    if (form === 'json')
      return {
        blob: blobOf(await api.json(n === 1 ? 0 : -1), type),
        name: `${n === 1 ? await api.fileName(0) : all}.json`,
      };
    return await this.printing(form, async (print) => {
      if (scope === 'overview')
        return { blob: blobOf(await print(await api.overview(), []), type), name: `${all}.${form}` };
      const files: { name: string; bytes: Uint8Array }[] = [];
      for (let i = 0; i < n; i++) {
        if (n > 1) this.busy.set({ what: 'Writing', done: i, of: n });
        files.push({
          name: `${await api.fileName(i)}.${form}`,
          bytes: await print(await api.document(i), await api.pictures(i)),
        });
      }
      const [only] = files;
      if (only && n === 1) return { blob: blobOf(only.bytes, type), name: only.name };
      return {
        blob: await api.zip(
          transfer(
            files,
            files.map((f) => f.bytes.buffer),
          ),
        ),
        name: `${all}.zip`,
      };
    });
  }

  /** What prints a document, for as long as `work` takes. */
  private async printing<T>(
    form: 'pdf' | 'docx',
    work: (
      print: (bytes: Uint8Array, pictures: Parameters<DocxApi['document']>[1]) => Promise<Uint8Array>,
    ) => Promise<T>,
  ): Promise<T> {
    if (form === 'docx') {
      const task = new Task<DocxApi>(makeDocxWorker);
      this.tasks.push(task);
      return await task.run((api) => work((bytes, pictures) => api.document(bytes, pictures)));
    }
    const task = new Task<ReportApi>(makeReportWorker);
    this.tasks.push(task);
    const base = document.baseURI;
    return await task.run((api) => work((bytes, pictures) => api.document(bytes, pictures, base)));
  }
}

const fileName = (title: string): string => title.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60);
