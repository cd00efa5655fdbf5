import { inject, Injectable } from '@angular/core';
import { copyIdOf, type Removed, worksOf } from '@lorvet/core';
import { Store } from '@ngrx/store';
import { type Change, Keeper } from '../platform/storage/keeper';
import type { Kind } from '../platform/storage/record-places';
import { KeepingActions } from './actions';
import { Parts } from './parts';
import { selectDoc } from './selectors';

/** Lets go of removed things for good, with all that hangs on them. */
@Injectable({ providedIn: 'root' })
export class Emptying {
  private readonly store = inject(Store);
  private readonly keeper = inject(Keeper);
  private readonly parts = inject(Parts);
  private readonly doc = this.store.selectSignal(selectDoc);

  async empty(list: readonly Removed[]): Promise<void> {
    for (const r of list)
      if (r.what === 'hand-out') await this.dropHandOut(r.target);
      else if (r.what === 'activity') await this.dropFamily(r.target);
      else if (r.what === 'learner') await this.dropFolder(r.learner.id);
    this.store.dispatch(KeepingActions.emptied({ ids: list.map((r) => r.id) }));
    // There may be room now for what could not be kept.
    this.keeper.tryAgain();
  }

  private async dropHandOut(id: string): Promise<void> {
    await this.parts.during(async (want) => {
      await want('handOuts', [id]);
      const copies = [...worksOf(this.doc().handOuts[id] ?? { given: {} }).keys()].map((key) => copyIdOf(id, key));
      const gone = (kind: Kind, ids: readonly string[]): Change[] =>
        ids.map((one) => ({ kind, id: one, before: undefined, after: undefined }));
      // Read first, so that what another tab wrote meanwhile is not taken for what is dropped.
      await Promise.all(copies.flatMap((c) => [this.keeper.read('copies', c), this.keeper.read('markings', c)]));
      await this.keeper.read('states', id);
      this.keeper.write(
        [...gone('copies', copies), ...gone('markings', copies), ...gone('handOuts', [id]), ...gone('states', [id])],
        [],
      );
    });
  }

  /** What was added to the evidence of a learner who is let go of. */
  private async dropFolder(id: string): Promise<void> {
    await this.parts.during(async (want) => {
      await want('folders', [id]);
      const all = this.doc().folders;
      const folder = Object.hasOwn(all, id) ? all[id] : undefined;
      if (folder) this.keeper.write([{ kind: 'folders', id, before: folder, after: undefined }]);
    });
  }

  private async dropFamily(id: string): Promise<void> {
    await this.parts.during(async (want) => {
      await want('families', [id]);
      const family = this.doc().families[id];
      if (family) this.keeper.write([{ kind: 'families', id, before: family, after: undefined }]);
    });
  }
}
