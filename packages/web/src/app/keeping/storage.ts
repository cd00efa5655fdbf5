import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { Durable } from '../platform/storage/durable';
import type { Usage } from '../platform/storage/bulk';
import { megabytes, StorageRoom } from '../platform/storage-room';
import { Stopped } from '../platform/workers/task';
import { BulkWork } from '../store/bulk-work';
import { Clearing } from '../store/clearing';
import { Ask } from '../ui/ask';
import { Notice } from '../ui/notice';
import { ProgressLine, Share } from '../ui/progress';
import { TABLE } from '../ui/table/table';

const COLUMNS = [
  { field: 'name', name: 'File' },
  { field: 'size', name: 'Size' },
  { field: 'uses', name: 'Used' },
] as const;

/** How full the browser's storage is, what takes the room, and what nothing uses any more. */
@Component({
  selector: 'lv-storage',
  imports: [ButtonDirective, ProgressLine, RouterLink, Share, ...TABLE],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Room</h2>
    @if (room.state(); as r) {
      <p>
        {{ mb(r.used) }} of about {{ mb(r.quota) }} in use.
        @if (r.warn) {
          <strong class="warn"
            >It is getting full: clear what nothing uses, or save a backup and let go of removed things.</strong
          >
        }
      </p>
      <lv-share
        class="wide"
        of="Storage in use"
        [says]="mb(r.used) + ' of ' + mb(r.quota)"
        [done]="r.used"
        [whole]="r.quota"
      />
    }
    <p class="small">{{ promise() }}</p>
    @if (usage(); as u) {
      <p class="small">
        {{ u.assets.length }} pictures, sounds and documents, {{ mb(bytes()) }}. Each is kept once, however often it is
        used.
      </p>
      <p-table
        class="files"
        lvTable="storage"
        says="Files, the largest first"
        [rowHeight]="38"
        seen="320px"
        [value]="files()"
      >
        <ng-template #header><tr lvColumns [columns]="columns"></tr></ng-template>
        <ng-template #body let-a>
          <tr>
            <th scope="row">{{ a.name }}</th>
            <td>{{ mb(a.size) }}</td>
            <td>
              @if (a.uses) {
                {{ a.uses }} ×
                <a routerLink="/evidence/way" [queryParams]="{ picture: a.id }"
                  >Where<span class="sr"> {{ a.name }} is shown</span></a
                >
              } @else {
                not any more
              }
            </td>
          </tr>
        </ng-template>
      </p-table>
      <button pButton severity="secondary" type="button" [disabled]="!unused().length" (click)="clear()">
        {{
          unused().length
            ? 'Clear ' + unused().length + ' that nothing uses (' + mb(unusedBytes()) + ')'
            : 'Everything is in use'
        }}
      </button>
      <p class="small">
        What an earlier revision, a given sheet, a removed thing or a learner’s work shows counts as used.
      </p>
    } @else {
      <button pButton severity="secondary" type="button" [disabled]="bulk.busy() !== null" (click)="look()">
        See what takes the room
      </button>
    }
    @if (looking() && bulk.busy(); as b) {
      <lv-progress [what]="b.what" [done]="b.done" [of]="b.of" (stopped)="bulk.stop()" />
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    .wide {
      width: 100%;
      max-width: 420px;
    }
    .warn {
      color: var(--madder);
    }
    .files {
      width: 100%;
      max-width: 640px;
    }
  `,
})
export class Storage {
  protected readonly room = inject(StorageRoom);
  protected readonly bulk = inject(BulkWork);
  private readonly durable = inject(Durable);
  private readonly clearing = inject(Clearing);
  private readonly notice = inject(Notice);
  private readonly ask = inject(Ask);
  protected readonly columns = COLUMNS;
  protected readonly mb = megabytes;
  protected readonly usage = signal<Usage | null>(null);
  /** The largest first, until the teacher sorts them. */
  protected readonly files = computed(() => [...(this.usage()?.assets ?? [])].sort((a, b) => b.size - a.size));
  protected readonly looking = signal(false);
  protected readonly bytes = computed(() => (this.usage()?.assets ?? []).reduce((n, a) => n + a.size, 0));
  protected readonly unused = computed(() => (this.usage()?.assets ?? []).filter((a) => a.uses === 0));
  protected readonly unusedBytes = computed(() => this.unused().reduce((n, a) => n + a.size, 0));
  protected readonly promise = computed(() => {
    const kept = this.durable.kept();
    if (kept === null) return 'The browser is asked to keep it for good with the first thing you do here.';
    return kept
      ? 'The browser has promised to keep it, also when the machine runs short of room.'
      : 'The browser has not promised to keep it: when the machine runs short of room, it may clear it. Save a backup often.';
  });

  constructor() {
    void this.room.measure();
    void this.durable.look();
  }

  protected async look(): Promise<void> {
    this.looking.set(true);
    try {
      this.usage.set(await this.bulk.usage());
    } catch (error) {
      if (!(error instanceof Stopped)) this.notice.wrong('It could not be looked through', 'Nothing was changed.');
    } finally {
      this.looking.set(false);
    }
  }

  protected async clear(): Promise<void> {
    const ids = this.unused().map((a) => a.id);
    const yes = await this.ask.sure({
      title: `Clear ${ids.length} files?`,
      says: `${this.mb(this.unusedBytes())} that nothing shows any more. Undo brings them back until this page is closed.`,
      yes: 'Clear them',
    });
    if (!yes) return;
    await this.clearing.clear(ids);
    await this.clearing.drop(this.usage()?.frozen ?? []);
    this.notice.done(`${ids.length} files cleared`, 'Undo brings them back.');
    void this.room.measure();
    await this.look();
  }
}
