import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { COLLECTIONS, emptyWorkspace, type Workspace } from '@lorvet/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { Backup } from '../platform/backup';
import { Clock } from '../platform/clock';
import { download } from '../platform/download';
import { Keeper, type SetAside } from '../platform/keeper';
import { KeepingActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { Devices } from '../platform/devices';
import { Notice } from '../ui/notice';
import { Storage } from './storage';

interface Reading {
  readonly name: string;
  readonly workspace: Workspace;
  readonly at: string;
  readonly counts: string;
}

const counted = (w: Workspace) =>
  `${Object.keys(w.families).length} activities, ${Object.keys(w.learners).length} learners, ${Object.keys(w.handOuts).length} hand-outs, ${Object.keys(w.copies).length} pieces of work`;

/** The whole workspace out as a file and in again, and what could not be read. */
@Component({
  selector: 'lv-keeping',
  imports: [LucideDynamicIcon, Storage],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './keeping.html',
  styles: `
    .page {
      max-width: 760px;
      margin: 0 auto;
      padding: 20px;
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
export class Keeping {
  protected readonly work = inject(WorkspaceStore);
  protected readonly keeper = inject(Keeper);
  protected readonly devices = inject(Devices);
  private readonly backup = inject(Backup);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  protected readonly busy = signal('');
  protected readonly reading = signal<Reading | null>(null);
  protected readonly problem = signal<{ name: string; message: string; details: readonly string[] } | null>(null);
  protected readonly here = computed(() => counted(this.work.doc()));
  protected readonly isEmpty = computed(() => COLLECTIONS.every((c) => Object.keys(this.work.doc()[c]).length === 0));

  protected async save(): Promise<void> {
    this.busy.set('Writing the backup …');
    try {
      const at = this.clock.iso();
      download(await this.backup.write(this.work.doc(), at), `lorvet-${at.slice(0, 10)}.zip`);
      this.notice.done('The backup was written', 'Keep the file somewhere other than on this machine.');
    } catch {
      this.notice.wrong(
        'The backup could not be written',
        'Nothing was changed. Try again, or close other tabs first.',
      );
    } finally {
      this.busy.set('');
    }
  }

  protected async choose(files: FileList | null): Promise<void> {
    const [file] = files ?? [];
    if (!file) return;
    this.reading.set(null);
    this.problem.set(null);
    this.busy.set('Reading the file …');
    const read = await this.backup.read(file);
    this.busy.set('');
    if (read.ok)
      this.reading.set({ name: file.name, workspace: read.workspace, at: read.at, counts: counted(read.workspace) });
    else this.problem.set({ name: file.name, message: read.message, details: read.details });
  }

  protected restore(): void {
    const reading = this.reading();
    if (!reading) return;
    this.replace(reading.workspace, 'restore the backup');
    this.reading.set(null);
    this.notice.done('The backup is in place', `${reading.counts}. Undo brings back what was here.`);
  }

  protected async demo(): Promise<void> {
    const { demoWorkspace } = await import('@lorvet/core/demo');
    this.replace(demoWorkspace(Date.now()), 'lay out the demo');
    this.notice.done('Kelp Bay School is laid out', 'Undo brings back what was here until this page is closed.');
  }

  protected clear(): void {
    this.replace(emptyWorkspace(), 'start empty');
    this.notice.done('Everything was put away', 'Undo brings it back until this page is closed.');
  }

  protected exportAside(a: SetAside): void {
    download(
      new Blob([JSON.stringify(a, null, 2)], { type: 'application/json' }),
      `set-aside-${a.at.slice(0, 10)}.json`,
    );
  }

  private replace(workspace: Workspace, label: string): void {
    this.work.dispatch(KeepingActions.workspaceReplaced({ workspace, label }));
  }
}
