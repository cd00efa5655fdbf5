import { computed, inject, Injectable } from '@angular/core';
import { countStates, listOf, type Workspace } from '@lorvet/core';
import { Store } from '@ngrx/store';
import { Exchange } from '../platform/storage/exchange';
import { fillWith } from '../platform/storage/filling';
import type { Generation } from '../platform/storage/generation';
import { type ExchangeStep, KeepingActions } from './actions';
import { KeepingSync } from './keeping-sync';
import { Parts } from './parts';
import { selectDoc, selectIndex, selectStatus } from './selectors';
import { many } from '../platform/many';

/** Another workspace in the place of what is kept: a backup, the demo, nothing. One undo has the other back. */
@Injectable({ providedIn: 'root' })
export class Exchanging {
  private readonly store = inject(Store);
  private readonly exchange = inject(Exchange);
  private readonly sync = inject(KeepingSync);
  private readonly parts = inject(Parts);
  private readonly doc = this.store.selectSignal(selectDoc);
  private readonly index = this.store.selectSignal(selectIndex);
  private readonly status = this.store.selectSignal(selectStatus);

  /** What is here, in words; empty where there is nothing. */
  readonly here = computed(() => {
    const { handOutHeads, states } = this.index();
    const work = listOf(states).reduce(
      (n, s) => n + (handOutHeads[s.id] ? Object.values(countStates(s)).reduce((a, b) => a + b, 0) : 0),
      0,
    );
    const counts = [
      many(Object.keys(this.index().familyHeads).length, 'activity', 'activities'),
      many(Object.keys(this.doc().learners).length, 'learner'),
      many(Object.keys(this.index().handOutHeads).length, 'hand-out'),
      many(work, 'piece of work', 'pieces of work'),
    ];
    return counts.join(', ');
  });
  readonly isEmpty = computed(() =>
    [this.index().familyHeads, this.index().handOutHeads, ...Object.values(this.doc())].every(
      (all) => Object.keys(all).length === 0,
    ),
  );

  async withWorkspace(workspace: Workspace, label: string): Promise<void> {
    await this.with((generation) => fillWith(generation, workspace), label);
  }

  /** Where `fill` fails, nothing is changed. */
  async with(fill: (generation: Generation) => Promise<void>, label: string): Promise<void> {
    await this.sync.flush();
    const says = this.status() === 'ready' && !this.isEmpty() ? this.here() : '';
    const before = this.sync.generation();
    const opened = await this.exchange.with(fill, says);
    const exchange = says && before ? { label, generation: before } : null;
    this.store.dispatch(KeepingActions.exchanged({ opened, exchange, side: 'past' }));
    await this.parts.again();
  }

  /** Lets go of a workspace that was put away, for good. */
  async dropEarlier(generation: string): Promise<void> {
    await this.exchange.drop(generation);
    this.store.dispatch(KeepingActions.exchangeForgotten({ generation }));
  }

  /** One step back, or forward again. */
  async back({ label, generation }: ExchangeStep, side: 'past' | 'future'): Promise<void> {
    await this.sync.flush();
    const before = this.sync.generation();
    const opened = await this.exchange.back(generation, this.here());
    const exchange = before ? { label, generation: before } : null;
    this.store.dispatch(KeepingActions.exchanged({ opened, exchange, side: side === 'past' ? 'future' : 'past' }));
    await this.parts.again();
  }
}
