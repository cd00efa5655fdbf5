import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { Durable } from '../platform/storage/durable';
import type { Usage } from '../platform/storage/bulk';
import { megabytes, StorageRoom } from '../platform/storage-room';
import { Stopped } from '../platform/workers/task';
import { BulkWork } from '../store/bulk-work';
import { Clearing } from '../store/clearing';
import { Ask } from '../ui/ask';
import { Notice } from '../ui/notice';
import { ProgressLine } from '../ui/progress';

const SHOWN = 8;

/** How full the browser's storage is, what takes the room, and what nothing uses any more. */
@Component({
  selector: 'lv-storage',
  imports: [ButtonDirective, ProgressLine],
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
      <progress [value]="r.used" [max]="r.quota" aria-label="Storage in use"></progress>
    }
    <p class="small">{{ promise() }}</p>
    @if (usage(); as u) {
      <p class="small">
        {{ u.assets.length }} pictures, sounds and documents, {{ mb(bytes()) }}. Each is kept once, however often it is
        used.
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">Largest files</th>
            <th scope="col">Size</th>
            <th scope="col">Used</th>
          </tr>
        </thead>
        <tbody>
          @for (a of u.assets.slice(0, shown); track a.id) {
            <tr>
              <td>{{ a.name }}</td>
              <td>{{ mb(a.size) }}</td>
              <td>{{ a.uses ? a.uses + ' ×' : 'not any more' }}</td>
            </tr>
          }
        </tbody>
      </table>
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
    progress {
      width: 100%;
      max-width: 420px;
      accent-color: var(--accent);
    }
    .warn {
      color: var(--madder);
    }
    table {
      border-collapse: collapse;
      font-size: 14px;
    }
    th,
    td {
      padding: 3px 18px 3px 0;
      text-align: left;
      border-bottom: 1px solid var(--line);
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
  protected readonly shown = SHOWN;
  protected readonly mb = megabytes;
  protected readonly usage = signal<Usage | null>(null);
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
