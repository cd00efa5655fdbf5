import { inject, Injectable } from '@angular/core';
import { indexChanges, statesIn, type IndexPatch, type RecordChange } from '@lorvet/core';
import { Store } from '@ngrx/store';
import { Durable } from '../platform/storage/durable';
import { Exchange } from '../platform/storage/exchange';
import { Keeper, placesIn } from '../platform/storage/keeper';
import { Opener } from '../platform/storage/opening';
import { KeepingActions } from './actions';
import { Leaving } from '../platform/leaving';
import { joined } from './changes';
import { Mending } from './mending';
import { Parts } from './parts';
import { selectChanged, selectDoc, selectIndex } from './selectors';

/**
 * Opens what is kept, then keeps what changes: each step whole, with the parts of the index that follow from it; and takes
 * in what other tabs write.
 */
@Injectable({ providedIn: 'root' })
export class KeepingSync {
  private readonly store = inject(Store);
  private readonly keeper = inject(Keeper);
  private readonly opener = inject(Opener);
  private readonly exchange = inject(Exchange);
  private readonly parts = inject(Parts);
  private readonly mending = inject(Mending);
  private readonly durable = inject(Durable);
  private readonly leaving = inject(Leaving);
  private readonly doc = this.store.selectSignal(selectDoc);
  private readonly index = this.store.selectSignal(selectIndex);
  /** What changed since it was last handed on. */
  private waiting: readonly RecordChange[] = [];
  private timer: ReturnType<typeof setTimeout> | undefined;
  private seen = 0;

  async start(): Promise<void> {
    const opening = await this.opener.open();
    if (opening.state === 'open') {
      this.store.dispatch(KeepingActions.opened({ opened: opening.opened }));
      void this.mending.mend(opening.opened.toMend);
      void this.exchange.list();
    } else {
      const status = opening.state === 'fresh' ? 'choosing' : 'upgrading';
      this.store.dispatch(KeepingActions.awaited({ status }));
    }
    this.keeper.onArrival((arrivals) => this.store.dispatch(KeepingActions.recordsArrived({ arrivals })));
    this.keeper.onFaulty((kind, id) => void this.mending.mend([{ kind, id }]));
    this.keeper.onHeard((keys) => void this.hear(keys));
    this.keeper.onGather(() => this.handOn());
    this.exchange.onExchanged(() => void this.reopen());
    this.store.select(selectChanged).subscribe(({ n, changes }) => {
      if (n === this.seen) return;
      this.seen = n;
      this.waiting = joined(this.waiting, changes);
      // After the page has shown it: what follows for the lists takes a moment.
      this.timer ??= setTimeout(() => this.handOn());
    });
    this.leaving.onLeave(() => {
      this.handOn();
      this.keeper.hide();
    });
  }

  /** The generation that is open. */
  generation(): string | null {
    return this.keeper.generationId;
  }

  /** Everything that changed so far is kept, or could not be. */
  async flush(): Promise<void> {
    this.handOn();
    await this.keeper.flush();
  }

  private handOn(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
    const changes = this.waiting;
    if (changes.length === 0) return;
    this.waiting = [];
    const patches = indexChanges(changes, this.doc()).filter((p) => this.isNews(p));
    if (patches.length) this.store.dispatch(KeepingActions.indexChanged({ patches }));
    this.keeper.write(
      changes.map(({ collection, id, before, after }) => ({ kind: collection, id, before, after })),
      patches,
    );
    this.durable.ask();
  }

  /** How far a learner is changes seldom, and is written only then. */
  private isNews(patch: IndexPatch): boolean {
    if (patch.in !== 'states') return true;
    const known = statesIn(this.index().states[patch.id]);
    return Object.entries(patch.set).some(([id, state]) => (known.get(id) ?? null) !== state);
  }

  private async hear(keys: readonly string[]): Promise<void> {
    const places = placesIn(keys).map((p) => ({ ...p, held: this.parts.isHeld(p.kind, p.id) }));
    if (places.length === 0) return;
    await this.keeper.arrive(places, (arrivals) => this.store.dispatch(KeepingActions.recordsArrived({ arrivals })));
  }

  /** Another tab put another workspace in the place of this one. */
  private async reopen(): Promise<void> {
    this.handOn();
    await this.keeper.flush();
    const opening = await this.opener.open();
    if (opening.state !== 'open') return;
    this.store.dispatch(KeepingActions.opened({ opened: opening.opened }));
    await this.parts.again();
    void this.exchange.list();
  }
}
