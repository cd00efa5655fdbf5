import { inject, Injectable, Injector } from '@angular/core';
import {
  deskChanges,
  statesIn,
  type Index,
  type IndexName,
  type IndexPatch,
  type RecordChange,
} from '@lorvet/core/desk';
import { Store } from '@ngrx/store';
import { Durable } from '../platform/storage/durable';
import { Exchange } from '../platform/storage/exchange';
import { Keeper, placesIn } from '../platform/storage/keeper';
import type { KeptDoc } from '../platform/storage/kept-asset';
import { Opener } from '../platform/storage/opening';
import { KINDS } from '../platform/storage/record-places';
import { isKnownHere } from '../platform/storage/rules';
import { KeepingActions } from './actions';
import { Leaving } from '../platform/leaving';
import { joined } from './changes';
import { Parts } from './parts';
import { selectChanged, selectDoc, selectIndex, selectStatus } from './selectors';
import { Teaching } from './teaching';

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
  private readonly teaching = inject(Teaching);
  private readonly injector = inject(Injector);
  private readonly durable = inject(Durable);
  private readonly leaving = inject(Leaving);
  private readonly doc = this.store.selectSignal(selectDoc);
  private readonly index = this.store.selectSignal(selectIndex);
  private readonly status = this.store.selectSignal(selectStatus);
  /** What changes ask of the index, as far as it is known here. */
  follows: (changes: readonly RecordChange[], doc: KeptDoc, index: Index) => IndexPatch[] = deskChanges;
  /** Parts of the index that are others after changes that say nothing of their hand-outs. */
  remade: (
    changes: readonly RecordChange[],
    doc: KeptDoc,
    heads: Index['handOutHeads'],
  ) => { readonly kind: IndexName; readonly id: string }[] = () => [];
  /** What changed since it was last handed on. */
  private waiting: readonly RecordChange[] = [];
  private timer: ReturnType<typeof setTimeout> | undefined;
  private seen = 0;
  private rest: Promise<void> | null = null;

  async start(): Promise<void> {
    // What a teacher's page that was closed too soon left to be written is written now: work given out is at the desk.
    if (this.keeper.owesMore()) await this.teaching.learn();
    const opening = await this.opener.open();
    if (opening.state === 'open') {
      this.store.dispatch(KeepingActions.opened({ opened: opening.opened }));
      void this.mend(opening.opened.toMend);
      void this.exchange.list();
    } else {
      const status = opening.state === 'fresh' ? 'choosing' : 'upgrading';
      this.store.dispatch(KeepingActions.awaited({ status }));
    }
    this.keeper.onArrival((arrivals) => this.store.dispatch(KeepingActions.recordsArrived({ arrivals })));
    this.keeper.onFaulty((kind, id) => void this.mend([{ kind, id }]));
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

  /** What the teacher's places need besides, where only the desk's part was opened; read once, whoever asks for it. */
  openAll(): Promise<void> {
    this.rest ??= this.openRest().catch((error: unknown) => {
      this.rest = null;
      throw error;
    });
    return this.rest;
  }

  private async openRest(): Promise<void> {
    const missing = KINDS.filter((k) => !isKnownHere(k));
    await this.teaching.learn();
    if (missing.length === 0 || this.status() !== 'ready') return;
    const { parts, toMend } = await this.opener.more(new Set(missing));
    if (parts.length) this.store.dispatch(KeepingActions.partsCame({ parts }));
    void this.mend(toMend);
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
    const patches = this.follows(changes, this.doc(), this.index()).filter((p) => this.isNews(p));
    if (patches.length) this.store.dispatch(KeepingActions.indexChanged({ patches }));
    this.keeper.write(
      changes.map(({ collection, id, before, after }) => ({ kind: collection, id, before, after })),
      patches,
    );
    this.durable.ask();
    void this.mend(this.remade(changes, this.doc(), this.index().handOutHeads));
  }

  /** How far a learner is changes seldom, and is written only then. */
  private isNews(patch: IndexPatch): boolean {
    if (patch.in !== 'states') return true;
    const known = statesIn(this.index().states[patch.id]);
    return Object.entries(patch.set).some(([id, state]) => (known.get(id) ?? null) !== state);
  }

  private async hear(keys: readonly string[]): Promise<void> {
    const places = placesIn(keys)
      .filter((p) => isKnownHere(p.kind))
      .map((p) => ({ ...p, held: this.parts.isHeld(p.kind, p.id) }));
    if (places.length === 0) return;
    await this.keeper.arrive(places, (arrivals) => this.store.dispatch(KeepingActions.recordsArrived({ arrivals })));
  }

  /** Parts of the index that cannot be read are made anew from what the teacher keeps. */
  private async mend(parts: readonly { readonly kind: IndexName; readonly id: string }[]): Promise<void> {
    if (parts.length === 0) return;
    await this.openAll();
    const { Mending } = await import('./mending');
    await this.injector.get(Mending).mend(parts);
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
