import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { countAssets } from '@lorvet/core';
import { BringActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { StorageRoom, megabytes } from '../platform/storage-room';
import { Notice } from '../ui/notice';

const SHOWN = 8;

/** How full the browser's storage is, what takes the room, and what nothing uses any more. */
@Component({
  selector: 'lv-storage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Room</h2>
    @if (room.state(); as r) {
      <p>
        {{ mb(r.used) }} of about {{ mb(r.quota) }} in use.
        @if (r.warn) {
          <strong class="warn"
            >It is getting full: clear what nothing uses, or save a backup and remove old activities.</strong
          >
        }
      </p>
      <progress [value]="r.used" [max]="r.quota" aria-label="Storage in use"></progress>
    }
    <p class="small">
      {{ assets().length }} pictures, sounds and documents, {{ mb(bytes()) }}. Each is kept once, however often it is
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
        @for (a of assets().slice(0, shown); track a.id) {
          <tr>
            <td>{{ a.name }}</td>
            <td>{{ mb(a.size) }}</td>
            <td>{{ a.uses ? a.uses + ' ×' : 'not any more' }}</td>
          </tr>
        }
      </tbody>
    </table>
    <button class="btn" type="button" [disabled]="!unused().length" (click)="clear()">
      {{
        unused().length
          ? 'Clear ' + unused().length + ' that nothing uses (' + mb(unusedBytes()) + ')'
          : 'Everything is in use'
      }}
    </button>
    <p class="small">What an earlier revision, a given sheet or a learner’s work shows counts as used.</p>
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
  private readonly work = inject(WorkspaceStore);
  private readonly notice = inject(Notice);
  protected readonly shown = SHOWN;
  protected readonly mb = megabytes;
  protected readonly assets = computed(() => countAssets(this.work.doc()));
  protected readonly bytes = computed(() => this.assets().reduce((n, a) => n + a.size, 0));
  protected readonly unused = computed(() => this.assets().filter((a) => a.uses === 0));
  protected readonly unusedBytes = computed(() => this.unused().reduce((n, a) => n + a.size, 0));

  constructor() {
    effect(() => {
      this.work.assets();
      void this.room.measure();
    });
  }

  protected clear(): void {
    const ids = this.unused().map((a) => a.id);
    this.work.dispatch(BringActions.assetsCleared({ ids }));
    this.notice.done(`${ids.length} files cleared`, 'Undo brings them back.');
  }
}
