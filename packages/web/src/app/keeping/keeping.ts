import { afterRenderEffect, ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute, RouterLink } from '@angular/router';
import { Devices } from '../platform/devices';
import { Lock } from '../platform/lock';
import { Asides } from '../platform/storage/asides';
import { Exchange } from '../platform/storage/exchange';
import { Keeper } from '../platform/storage/keeper';
import { Exchanging } from '../store/exchanging';
import { WorkspaceStore } from '../store/workspace';
import { CheckBox } from '../ui/controls/check';
import { Backups } from './backups';
import { BeginAnew } from './begin-anew';
import { CodesPanel } from './codes-panel';
import { LockPanel } from './lock-panel';
import { RemovedThings } from './removed-things';
import { SetAside } from './set-aside';
import { Storage } from './storage';
import { TakeAnswers } from './take-answers';

/** What is kept: out as a file and in again, what was removed or set aside, who is let in, and how much room there is. */
@Component({
  selector: 'lv-keeping',
  imports: [
    Backups,
    BeginAnew,
    CheckBox,
    CodesPanel,
    LockPanel,
    RemovedThings,
    RouterLink,
    SetAside,
    Storage,
    TakeAnswers,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './keeping.html',
  styleUrl: './keeping.css',
})
export class Keeping {
  protected readonly exchanging = inject(Exchanging);
  protected readonly asides = inject(Asides);
  protected readonly devices = inject(Devices);
  private readonly keeper = inject(Keeper);
  private readonly lock = inject(Lock);
  private readonly exchange = inject(Exchange);
  private readonly work = inject(WorkspaceStore);
  /** The part that the address names. */
  protected readonly fragment = toSignal(inject(ActivatedRoute).fragment);
  protected readonly says = computed(() => {
    if (this.keeper.failed()) return 'Something of it is not written: see above.';
    if (this.keeper.refused().length) return 'Something of it cannot be kept as it is: see above.';
    return this.keeper.saved() ? 'All of it is written.' : 'Some of it is being written.';
  });
  protected readonly parts = computed(() => {
    const removed = Object.keys(this.work.removed()).length + this.exchange.earlier().length;
    const aside = this.asides.all().length;
    const codes = Object.keys(this.lock.codes()).length;
    return [
      { id: 'backups', name: 'Backups', says: '' },
      { id: 'answers', name: 'Answers from the desk', says: '' },
      { id: 'removed', name: 'Removed things', says: removed ? String(removed) : '' },
      ...(aside ? [{ id: 'aside', name: 'Set aside', says: String(aside) }] : []),
      { id: 'lock', name: 'Lock', says: this.lock.isSet() ? 'set' : '' },
      { id: 'codes', name: 'Picture codes', says: codes ? String(codes) : '' },
      { id: 'room', name: 'Room', says: '' },
      { id: 'devices', name: 'Camera and microphone', says: '' },
      { id: 'anew', name: 'Begin anew', says: '' },
    ];
  });

  constructor() {
    afterRenderEffect(() => {
      const part = document.getElementById(this.fragment() ?? '');
      part?.scrollIntoView({ block: 'start' });
      part?.focus({ preventScroll: true });
    });
  }
}
