import type { CollectionName, Doing, Family, Id, Stamp, Version } from '@lorvet/core';
import { isDevMode } from '@angular/core';
import type { Action, ActionCreator } from '@ngrx/store';
import { type Draft, original } from 'immer';
import type { KeptDoc, KeptRecord } from '../platform/storage/kept-asset';
import { type Stamped } from './actions';

export type Doc = Draft<KeptDoc>;

/** What an action does to the workspace. Without a label it cannot be undone. */
export interface Edit {
  readonly run: (doc: Doc, action: Action) => void;
  readonly label?: (action: Action) => string;
  /** Following edits with the same key are undone together: the strokes of one text. */
  readonly mergeKey?: (action: Action) => string | undefined;
  /** What of the record it is: 'changed' where nothing else is said. */
  readonly did?: (action: Action) => Doing;
  /** What the record says of it where it has no label. */
  readonly says?: (action: Action) => string;
}

interface TypedEdit<A> {
  readonly run: (doc: Doc, action: A) => void;
  readonly label?: (action: A) => string;
  readonly mergeKey?: (action: A) => string | undefined;
  readonly did?: (action: A) => Doing;
  readonly says?: (action: A) => string;
}

// The type of the action is known by its creator's type string; the table below forgets it.
export const edit = <C extends ActionCreator>(creator: C, e: TypedEdit<ReturnType<C>>): [string, Edit] => [
  creator.type,
  e as unknown as Edit,
];

export const coreStamp = (s: Stamped): Stamp => {
  const ids = [...s.ids];
  return { at: s.at, author: s.author, newId: () => ids.shift() ?? `${s.at}-${Math.random()}` };
};

/** What is in memory behind a draft: what the core's functions take. */
export const plain = (doc: Doc): KeptDoc => original(doc) as KeptDoc;

/**
 * A whole record in its place. It is plain data without drafts in it, and says so by being frozen: else the drafting
 * would look for some through all of it, which for a large family takes longer than the edit.
 */
export function put<C extends CollectionName>(doc: Doc, collection: C, record: KeptRecord<C>): void {
  (doc[collection] as Record<string, unknown>)[record.id] = isDevMode() ? record : Object.freeze(record);
}

export function changeFamily(doc: Doc, id: Id, change: (family: Family) => Family): void {
  const family = plain(doc).families[id];
  if (family) put(doc, 'families', change(family));
}

export function changeVersion(doc: Doc, familyId: Id, versionId: Id, change: (v: Version, f: Family) => Version): void {
  changeFamily(doc, familyId, (f) => ({
    ...f,
    versions: f.versions.map((v) => (v.id === versionId ? change(v, f) : v)),
  }));
}
