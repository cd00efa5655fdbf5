import type { Block } from './blocks';

/** What questions after it may be about: it is read, looked at or heard. */
const TO_LOOK_AT = [
  'passage',
  'picture',
  'table',
  'audio',
  'video',
  'document',
] as const satisfies readonly Block['kind'][];

/** The kinds that are looked at, and others with them. */
export const lookedAt = (...others: readonly Block['kind'][]): ReadonlySet<Block['kind']> =>
  new Set([...TO_LOOK_AT, ...others]);
