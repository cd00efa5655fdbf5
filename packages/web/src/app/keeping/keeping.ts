import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Devices } from '../platform/devices';
import { Asides } from '../platform/storage/asides';
import { Keeper } from '../platform/storage/keeper';
import { Exchanging } from '../store/exchanging';
import { Backups } from './backups';
import { BeginAnew } from './begin-anew';
import { LockPanel } from './lock-panel';
import { RemovedThings } from './removed-things';
import { SetAside } from './set-aside';
import { Storage } from './storage';
import { TakeAnswers } from './take-answers';

/** What is kept: out as a file and in again, what was removed or set aside, and how much room there is. */
@Component({
  selector: 'lv-keeping',
  imports: [Backups, BeginAnew, LockPanel, RemovedThings, SetAside, Storage, TakeAnswers],
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
    lv-lock-panel,
    lv-removed-things,
    lv-take-answers,
    lv-set-aside {
      width: 100%;
    }
  `,
})
export class Keeping {
  protected readonly exchanging = inject(Exchanging);
  protected readonly asides = inject(Asides);
  protected readonly devices = inject(Devices);
  private readonly keeper = inject(Keeper);
  protected readonly says = computed(() => {
    if (this.keeper.failed()) return 'Something of it is not written: see above.';
    if (this.keeper.refused().length) return 'Something of it cannot be kept as it is: see above.';
    return this.keeper.saved() ? 'All of it is written.' : 'Some of it is being written.';
  });
}
