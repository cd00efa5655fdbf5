import { inject, Injectable, signal } from '@angular/core';
import { assetsOfFamily, type Family, latest } from '@lorvet/core';
import { Clock } from '../platform/clock';
import { makePackWorker, makeReportWorker } from '../platform/workers/make-worker';
import type { PackApi } from '../platform/workers/pack.worker';
import type { ReportApi } from '../platform/workers/report.worker';
import { Task } from '../platform/workers/task';
import { KeptAssets } from './kept-assets';
import { Packs } from './packs';

export interface FamilyReportFile {
  readonly blob: Blob;
  readonly name: string;
  /** Names of learners that stand in the activity's own words. */
  readonly named: readonly string[];
}

/** A family with all its versions to read, for colleagues: one page of HTML, or a PDF. */
@Injectable({ providedIn: 'root' })
export class FamilyReports {
  private readonly assets = inject(KeptAssets);
  private readonly packs = inject(Packs);
  private readonly clock = inject(Clock);
  /** What is being written; it can be stopped. */
  readonly busy = signal<string | null>(null);
  private tasks: { stop(): void }[] = [];

  stop(): void {
    for (const t of this.tasks) t.stop();
  }

  /** Throws `Stopped`. */
  async write(family: Family, form: 'html' | 'pdf'): Promise<FamilyReportFile> {
    const { title } = latest(family).content;
    const name = `${title.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60)}-report.${form}`;
    this.busy.set(title);
    try {
      const assets = await this.assets.all(assetsOfFamily(family));
      const writing = new Task<PackApi>(makePackWorker);
      this.tasks = [writing];
      const of = { at: this.clock.iso(), names: this.packs.names(), language: navigator.language, form };
      const { bytes, named } = await writing.run((api) => api.report(family, assets, of));
      if (form === 'html')
        return { blob: new Blob([bytes as BlobPart], { type: 'text/html;charset=utf-8' }), name, named };
      const printing = new Task<ReportApi>(makeReportWorker);
      this.tasks = [printing];
      const pictures = assets.flatMap((a) => (a.mime.startsWith('image/') ? [{ assetId: a.id, data: a.data }] : []));
      const printed = await printing.run((api) => api.document(bytes, pictures, document.baseURI));
      return { blob: new Blob([printed as BlobPart], { type: 'application/pdf' }), name, named };
    } finally {
      this.tasks = [];
      this.busy.set(null);
    }
  }
}
