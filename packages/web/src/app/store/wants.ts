import {
  copyIdOf,
  frozenIdsOf,
  type HandOutHead,
  type Id,
  sourceFamilies,
  workKeysOf,
  worksOf,
} from '@lorvet/core/desk';
import type { KeptDoc } from '../platform/storage/kept-asset';
import type { Want } from './parts';

type Doc = () => KeptDoc;

/** A hand-out with what it gave. */
export async function wantGiven(id: Id, want: Want, doc: Doc): Promise<void> {
  await want('handOuts', [id]);
  await want('frozen', frozenIdsOf(doc().handOuts[id] ?? { given: {} }));
}

/**
 * A hand-out with what it gave, all work on it, and what was said to that. Whose work it is, its head knows; without it,
 * the hand-out is read first.
 */
export async function wantWork(id: Id, want: Want, doc: Doc, head?: HandOutHead): Promise<void> {
  const worked = (keys: readonly Id[]) => {
    const copies = keys.map((key) => copyIdOf(id, key));
    return Promise.all([want('copies', copies), want('markings', copies)]);
  };
  const given = wantGiven(id, want, doc);
  await (head
    ? Promise.all([given, worked(workKeysOf(head))])
    : given.then(() => worked([...worksOf(doc().handOuts[id] ?? { given: {} }).keys()])));
}

/** A family with the activities it takes parts from, and those that take parts from it (`others`). */
export async function wantFamily(id: Id, want: Want, doc: Doc, others: readonly Id[] = []): Promise<void> {
  await want('families', [id]);
  const family = doc().families[id];
  if (family) await want('families', [...sourceFamilies(family), ...others]);
}
