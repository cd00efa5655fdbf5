import type { Entry } from '@lorvet/core';

/** Where what an entry of the record speaks of is looked at. */
export interface Way {
  readonly path: readonly string[];
  readonly query: Readonly<Record<string, string>>;
}

/** The place of the first of these records that has one; null where none has. */
export function wayTo(of: Entry['of']): Way | null {
  for (const one of of) {
    const way = wayOf(one.in, one.id);
    if (way) return way;
  }
  return null;
}

function wayOf(collection: string, id: string): Way | null {
  const [first = '', second = ''] = id.split('.');
  switch (collection) {
    case 'families':
      return { path: ['/bench', id], query: {} };
    case 'handOuts':
      return { path: ['/hand-outs', id], query: {} };
    case 'learners':
      return { path: ['/learners'], query: { learner: id } };
    case 'folders':
      return { path: ['/evidence/of', id], query: {} };
    case 'markings':
    case 'copies':
      return second ? { path: ['/marking', first, 'work'], query: { learner: second } } : null;
    case 'removed':
      return { path: ['/keeping'], query: {} };
    default:
      return null;
  }
}
