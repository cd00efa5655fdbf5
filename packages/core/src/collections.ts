import type { Index } from './keep/index-parts';
import type { Workspace } from './workspace';

/*
 * What is kept, by name, without what it is made of: the desk knows the names of all of it and loads the schemas of what
 * it reads.
 */

/** The collections of a workspace. */
export const COLLECTIONS = [
  'families',
  'learners',
  'comforts',
  'classes',
  'groups',
  'audiences',
  'rosters',
  'calendars',
  'handOuts',
  'frozen',
  'copies',
  'markings',
  'assets',
  'templates',
  'objectives',
  'recipes',
  'phrases',
  'folders',
  'dismissed',
  'chronicle',
  'removed',
] as const;
export type CollectionName = (typeof COLLECTIONS)[number];

/** The parts that follow from the records. */
export const INDEX_NAMES = [
  'familyHeads',
  'handOutHeads',
  'states',
  'door',
  'slips',
  'sheets',
  'flaps',
  'albums',
  'keys',
] as const;
export type IndexName = (typeof INDEX_NAMES)[number];

/** Format number of all that is kept: of a backup, and of the records in the browser. */
export const WORKSPACE_FORMAT = 8;

const empty = <N extends string>(names: readonly N[]): Record<N, Record<string, never>> =>
  Object.fromEntries(names.map((n) => [n, {}])) as Record<N, Record<string, never>>;

export const emptyWorkspace = (): Workspace => empty(COLLECTIONS);
export const emptyIndex = (): Index => empty(INDEX_NAMES);

/** Records in the order they were made. */
export const listOf = <T>(records: Readonly<Record<string, T>>): T[] => Object.values(records);

/** Whether something large that is kept was removed and waits to be emptied or to come back. */
export const isRemoved = (removed: Workspace['removed'], what: 'hand-out' | 'activity', id: string): boolean =>
  Object.values(removed).some((r) => r.what === what && 'target' in r && r.target === id);
