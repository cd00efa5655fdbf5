import { inject, Injectable } from '@angular/core';
import { type CollectionName, COLLECTIONS, repaired } from '@lorvet/core';
import { type AsideHead, Asides } from '../platform/storage/asides';
import { isWrapped, placeOf, readRecord } from '../platform/storage/record-places';
import { KeepingActions } from './actions';
import { Parts } from './parts';
import { WorkspaceStore } from './workspace';

/** A record that was set aside, as it can be put back. */
export interface Mended {
  readonly collection: CollectionName;
  readonly records: readonly { readonly id: string }[];
  /** What was done to it; none where another tab was merely quicker. */
  readonly notes: readonly string[];
  /** Whether there is another in its place now. */
  readonly replaces: boolean;
}

const NAMES: Readonly<Record<CollectionName, string>> = {
  families: 'an activity',
  learners: 'a learner’s card',
  comforts: 'a learner’s comfort',
  classes: 'a class',
  groups: 'a group',
  audiences: 'an audience',
  calendars: 'the days without school',
  rosters: 'what the school’s list said last',
  handOuts: 'a hand-out',
  frozen: 'an activity as it was given out',
  copies: 'a learner’s work',
  markings: 'words and marks on a learner’s work',
  assets: 'a picture or recording',
  templates: 'a template',
  objectives: 'an objective',
  recipes: 'a recipe',
  phrases: 'a phrase',
  folders: 'what was added to a learner’s evidence',
  dismissed: 'a suggestion that was dismissed',
  chronicle: 'a page of the record',
  removed: 'a removed thing',
};

/** Records that were set aside: what they are, whether they can be mended, and back to their place. */
@Injectable({ providedIn: 'root' })
export class PuttingBack {
  private readonly asides = inject(Asides);
  private readonly work = inject(WorkspaceStore);
  private readonly parts = inject(Parts);

  nameOf(aside: AsideHead): string {
    const collection = collectionOf(aside);
    return collection ? NAMES[collection] : 'a record';
  }

  /** Null where its fault is not known. */
  async mended(aside: AsideHead): Promise<Mended | null> {
    const collection = collectionOf(aside);
    if (!collection || collection === 'assets') return null;
    const kept = await this.asides.data(aside.id);
    const data = isWrapped(kept) ? kept.data : kept;
    const whole = readRecord(collection, data);
    const out = 'data' in whole ? { records: [whole.data as { id: string }], notes: [] } : repaired(collection, data);
    if (!out) return null;
    return await this.parts.during(async (want) => {
      await want(
        collection,
        out.records.map((r) => r.id),
      );
      const all = this.work.doc()[collection];
      return { collection, ...out, replaces: out.records.some((r) => Object.hasOwn(all, r.id)) };
    });
  }

  /** What was merely overtaken is gone from here with it; the first form of what was mended stays until it is let go. */
  async putBack(aside: AsideHead, { collection, records, notes }: Mended): Promise<void> {
    await this.parts.during(async (want) => {
      await want(
        collection,
        records.map((r) => r.id),
      );
      this.work.dispatch(KeepingActions.recordsPutBack({ collection, records }));
    });
    if (notes.length === 0) await this.asides.drop(aside.id);
  }
}

function collectionOf(aside: AsideHead): CollectionName | null {
  const kind = placeOf(aside.key)?.kind;
  return COLLECTIONS.find((c) => c === kind) ?? null;
}
