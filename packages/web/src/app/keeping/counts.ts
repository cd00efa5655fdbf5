import { counted, many } from '../platform/many';

/** What a backup holds, in words. */
export const countsIn = (counts: Readonly<Record<string, number>>): string =>
  [
    many(counts['families'] ?? 0, 'activity', 'activities'),
    many(counts['learners'] ?? 0, 'learner'),
    many(counts['handOuts'] ?? 0, 'hand-out'),
    many(counts['copies'] ?? 0, 'piece of work', 'pieces of work'),
    ...(counts['removed'] ? [many(counts['removed'], 'removed thing')] : []),
    ...(counts['aside'] ? [counted(counts['aside'], '{n} record set aside', '{n} records set aside')] : []),
  ].join(', ');
