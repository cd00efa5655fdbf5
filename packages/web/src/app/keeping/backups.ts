import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../platform/clock';
import { download } from '../platform/download';
import { Stopped } from '../platform/workers/task';
import { BulkWork, RefusedFile } from '../store/bulk-work';
import { Exchanging } from '../store/exchanging';
import { FileButton } from '../ui/file-button';
import { Notice } from '../ui/notice';
import { ProgressLine } from '../ui/progress';
import { countsIn } from './counts';
import { dayIn } from '../ui/when';
import { ProblemCard } from '../ui/problem';

interface Reading {
  readonly file: File;
  readonly at: string;
  readonly counts: string;
}

/** The whole workspace out as a file, and in again. */
@Component({
  selector: 'lv-backups',
  imports: [ProblemCard, ButtonDirective, FileButton, LucideDynamicIcon, ProgressLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="card">
      <h2>Save a backup</h2>
      <p class="small">
        One ZIP file with all activities, learners, hand-outs, work and pictures, and with what was removed or set
        aside. It holds names: keep it where such things are kept.
      </p>
      <button pButton type="button" [disabled]="bulk.busy() !== null" (click)="save()">
        <svg lucideIcon="download"></svg>Save a backup
      </button>
    </section>
    <section class="card">
      <h2>Restore a backup</h2>
      <p class="small">
        The file is read and checked first. Only then, and only if you say so, does it take the place of what is here.
      </p>
      <lv-file-button accept=".zip,application/zip" (chosen)="choose($event)"
        ><svg lucideIcon="upload"></svg>Backup file</lv-file-button
      >
      @if (problem(); as p) {
        <lv-problem [wrong]="p"><p class="small">Nothing was changed.</p></lv-problem>
      }
      @if (reading(); as r) {
        <div class="card ochre">
          <h3>{{ r.file.name }}, written {{ dayIn(r.at) }}</h3>
          <p>It holds {{ r.counts }}.</p>
          @if (!exchanging.isEmpty()) {
            <p class="small">
              It takes the place of {{ exchanging.here() }}. These are put away below, and can be had back from there.
            </p>
          }
          <button pButton type="button" [disabled]="bulk.busy() !== null" (click)="restore()">Restore it</button>
        </div>
      }
    </section>
    @if (bulk.busy(); as b) {
      <lv-progress [what]="b.what" [done]="b.done" [of]="b.of" (stopped)="bulk.stop()" />
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 16px;
    }
    section {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    .card {
      width: 100%;
    }
  `,
})
export class Backups {
  protected readonly dayIn = dayIn;
  protected readonly bulk = inject(BulkWork);
  protected readonly exchanging = inject(Exchanging);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  protected readonly reading = signal<Reading | null>(null);
  protected readonly problem = signal<{ name: string; message: string; details: readonly string[] } | null>(null);

  protected async save(): Promise<void> {
    try {
      download(await this.bulk.backup(), `lorvet-${this.clock.iso().slice(0, 10)}.zip`);
      this.notice.done('The backup was written', 'Keep the file somewhere other than on this machine.');
    } catch (error) {
      if (error instanceof Stopped) return;
      this.notice.wrong(
        'The backup could not be written',
        'Nothing was changed. Try again, or close other tabs first.',
      );
    }
  }

  protected async choose(file: File): Promise<void> {
    this.reading.set(null);
    this.problem.set(null);
    await this.named(file, async () => {
      const { at, counts } = await this.bulk.check(file);
      this.reading.set({ file, at, counts: countsIn(counts) });
    });
  }

  protected async restore(): Promise<void> {
    const reading = this.reading();
    if (!reading) return;
    await this.named(reading.file, async () => {
      await this.bulk.restore(reading.file);
      this.reading.set(null);
      this.notice.done('The backup is in place', `${reading.counts}. Undo brings back what was here.`);
    });
  }

  /** What goes wrong with a file is said with its name, and changes nothing. */
  private async named(file: File, work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch (error) {
      if (error instanceof Stopped) return;
      const { message, details } =
        error instanceof RefusedFile
          ? error.refused
          : { message: 'There was no room for it, or the browser refused it.', details: [] };
      this.problem.set({ name: `${file.name} cannot be restored`, message, details });
    }
  }
}
