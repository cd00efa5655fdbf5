import { inject, Injectable } from '@angular/core';
import {
  holdersOf,
  flapsOf,
  keysFor,
  indexChanges,
  type IndexName,
  type IndexPatch,
  learnerSheet,
  type RecordChange,
} from '@lorvet/core';
import { Store } from '@ngrx/store';
import { Keeper } from '../platform/storage/keeper';
import { keyOf } from '../platform/storage/record-places';
import { KeepingActions } from './actions';
import { Parts } from './parts';
import { wantWork } from './wants';
import { selectDoc, selectIndex } from './selectors';

/** Makes parts of the index anew that could not be read: they follow from the records. */
@Injectable({ providedIn: 'root' })
export class Mending {
  private readonly store = inject(Store);
  private readonly keeper = inject(Keeper);
  private readonly parts = inject(Parts);
  private readonly doc = this.store.selectSignal(selectDoc);
  private readonly index = this.store.selectSignal(selectIndex);

  async mend(parts: readonly { readonly kind: IndexName; readonly id: string }[]): Promise<void> {
    if (parts.length === 0) return;
    await this.parts.during(async (want) => {
      const changes: RecordChange[] = [];
      const sheets: IndexPatch[] = [];
      const say = (collection: 'families' | 'handOuts' | 'classes' | 'learners', id: string) => {
        const after = this.doc()[collection][id];
        if (after) changes.push({ collection, id, before: undefined, after });
      };
      for (const { kind, id } of parts) {
        if (kind === 'familyHeads') {
          await want('families', [id]);
          say('families', id);
        }
        if (kind === 'handOutHeads' || kind === 'states' || kind === 'albums') {
          await wantWork(id, want, this.doc);
          say('handOuts', id);
        }
        if (kind === 'slips') {
          say('learners', id);
          for (const head of Object.values(this.index().handOutHeads))
            if (holdersOf(head).includes(id)) {
              await wantWork(head.id, want, this.doc);
              say('handOuts', head.id);
            }
        }
        if (kind === 'sheets' || kind === 'flaps' || kind === 'keys') {
          await want('frozen', [id]);
          const frozen = this.doc().frozen[id];
          if (frozen && kind === 'sheets') sheets.push({ in: kind, id, put: learnerSheet(frozen) });
          else if (frozen && kind === 'keys') sheets.push({ in: kind, id, put: keysFor(frozen) });
          else if (frozen) sheets.push({ in: 'flaps', id, put: flapsOf(frozen) });
        }
        if (kind === 'door') for (const c of Object.keys(this.doc().classes)) say('classes', c);
      }
      const wanted = new Set(parts.map((p) => `${p.kind}/${p.id}`));
      const made = indexChanges(changes, this.doc()).filter((p) => wanted.has(`${p.in}/${p.id}`));
      const patches = [...made, ...sheets];
      if (patches.length === 0) return;
      this.store.dispatch(KeepingActions.indexChanged({ patches }));
      this.keeper.write([], patches);
      for (const { kind, id } of parts) await this.parts.again(keyOf(kind, id));
    });
  }
}
