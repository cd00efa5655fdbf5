import type { Id } from '../activity/block';
import { fingerprint } from '../activity/fingerprint';
import { byWords, shuffled } from '../activity/parts';
import { plainWords } from '../work/plain-words';
import { keyNumber } from '../work/mark/read-key';
import { type Block, blockKinds, type ItemBlock, type ItemKindName, keyWordsOf } from '../activity/blocks';

/** The ways to answer that an item can be turned into. */
export const ANSWER_WAYS = [
  'single-choice',
  'short-text',
  'long-text',
  'number',
  'matching',
  'ordering',
  'sorting',
  'pieces',
  'drawing',
  'voice',
  'photo',
  'paper',
] as const satisfies readonly ItemKindName[];
export type AnswerWay = (typeof ANSWER_WAYS)[number];

/** Ways that anything can be answered in, because a person looks at it. */
const OPEN: readonly AnswerWay[] = ['long-text', 'drawing', 'voice', 'photo', 'paper'];

interface Pair {
  readonly id: Id;
  readonly left: string;
  readonly right: string;
}

const same = (b: ItemBlock) => ({
  id: b.id,
  audience: b.audience,
  prompt: b.prompt,
  demand: b.demand,
  points: b.points,
  ...(b.objectiveId ? { objectiveId: b.objectiveId } : {}),
  ...(b.hint ? { hint: b.hint } : {}),
  ...(b.note ? { note: b.note } : {}),
  ...(b.optional ? { optional: b.optional } : {}),
  ...(b.source ? { source: b.source } : {}),
});

/** The one right answer with others that count too, for items that have such; the first is shown as the choice. */
function oneAnswer(b: ItemBlock): readonly string[] {
  // The number alone is an answer as well.
  if (b.kind === 'number' && b.key !== null && b.unit) return [...keyWordsOf(b), String(b.key)];
  if (b.kind === 'single-choice' || b.kind === 'short-text' || b.kind === 'number') return keyWordsOf(b);
  if (b.kind === 'long-text' && b.key.trim() && b.key.length <= 60) return [b.key.trim()];
  return [];
}

/** What belongs to what, for items whose answer is that. */
function pairsOf(b: ItemBlock): readonly Pair[] {
  if (b.kind === 'matching') return b.pairs.map((p) => ({ id: p.id, left: p.text, right: p.match.text }));
  if (b.kind === 'sorting')
    return b.pieces.flatMap((p) => {
      const group = b.groups.find((g) => g.id === p.group);
      return group ? [{ id: p.id, left: p.text, right: group.text }] : [];
    });
  if (b.kind === 'ordering') {
    const idOf = idsBy(b.id, 'place');
    return b.entries.map((e, i) => ({ id: idOf(ordinal(i + 1)), left: ordinal(i + 1), right: e.text }));
  }
  if (b.kind === 'multiple-choice')
    return b.options.map((o) => ({ id: o.id, left: o.text, right: b.key.includes(o.id) ? 'fits' : 'does not fit' }));
  return [];
}

/**
 * The id of a part that a turning makes: it follows from the words that a learner sees on it, so it is the same each
 * time and says nothing of what it belongs to. Parts with the same words are told apart by counting.
 */
function idsBy(block: Id, what: string): (text: string) => Id {
  const seen = new Map<string, number>();
  return (text) => {
    const n = seen.get(text) ?? 0;
    seen.set(text, n + 1);
    return `${block.slice(0, 50)}-${fingerprint([block, what, text, n]).slice(0, 12)}`;
  };
}

const ordinal = (n: number): string =>
  `${n}${[11, 12, 13].includes(n % 100) ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th')}`;

/** Wrong answers an item holds already. */
export const wrongIn = (b: ItemBlock): string[] =>
  b.kind === 'single-choice' ? b.options.filter((o) => o.id !== b.key).map((o) => o.text) : [];

/**
 * An item answered in another way: the same question, objective, demand and points under the same id, its key carried
 * over. `wrong` are the wrong answers a choice needs. Or the reason why it cannot be turned.
 */
export function turned(b: ItemBlock, to: AnswerWay, wrong: readonly string[] = []): ItemBlock | string {
  if (b.kind === to) return 'It is answered in this way already.';
  const base = same(b);
  const one = oneAnswer(b);
  const pairs = pairsOf(b);
  if (OPEN.includes(to)) {
    const key = keyWordsOf(b).join('; ').slice(0, 4000);
    if (to === 'long-text') return { ...base, kind: 'long-text', key, lines: 4 };
    if (to === 'paper') return { ...base, kind: 'paper', key };
    if (to === 'drawing') return { ...base, kind: 'drawing', height: 'middle' };
    return { ...base, kind: to as 'voice' | 'photo', most: 3 };
  }
  switch (to) {
    case 'short-text':
      return one.length
        ? // A slip in a figure is another number.
          { ...base, kind: 'short-text', key: [...one], spellingTolerant: !one.some((k) => /\d/.test(k)) }
        : noOne('be typed in a few words');
    case 'number': {
      const read = one[0] === undefined ? 'Its key is no number.' : keyNumber(one[0]);
      return typeof read === 'string'
        ? read
        : { ...base, kind: 'number', key: read.value, tolerance: 0, unit: read.unit.slice(0, 30) };
    }
    case 'single-choice': {
      const [right] = one;
      if (right === undefined) return noOne('be chosen');
      const accepted = new Set(one.map(plainWords));
      const others = [...new Map([...wrong, ...wrongIn(b)].map((w) => [plainWords(w), w.trim()])).entries()]
        .filter(([plain]) => plain !== '' && !accepted.has(plain))
        .map(([, w]) => w);
      if (others.length === 0) return 'A choice needs at least one wrong answer: write some.';
      const idOf = idsBy(b.id, 'choice');
      const options = [right, ...others].map((text) => ({ id: idOf(text), text }));
      const [key] = options;
      // Mixed by what they say: the same each time, and the right one anywhere.
      return { ...base, kind: 'single-choice', options: shuffled(options, b.id), key: key?.id ?? '' };
    }
    case 'matching': {
      if (pairs.length < 2) return 'It has no pairs: only sorting, ordering and choosing several can be matched.';
      const right = new Set(pairs.map((p) => p.right));
      if (right.size < pairs.length) return 'Several of its pieces belong to the same place: sorting suits it better.';
      const idOf = idsBy(b.id, 'half');
      return {
        ...base,
        kind: 'matching',
        pairs: pairs.map((p) => ({ id: p.id, text: p.left, match: { id: idOf(p.right), text: p.right } })),
        extra: [],
      };
    }
    case 'sorting': {
      if (pairs.length < 2 || b.kind === 'ordering') return 'It has nothing that belongs to groups.';
      const idOf = idsBy(b.id, 'group');
      const groups = byWords([...new Set(pairs.map((p) => p.right))].map((text) => ({ id: idOf(text), text })));
      if (groups.length > 8) return 'It would need more than eight groups.';
      return {
        ...base,
        kind: 'sorting',
        groups,
        pieces: pairs.map((p) => ({ id: p.id, text: p.left, group: groups.find((g) => g.text === p.right)?.id ?? '' })),
      };
    }
    case 'ordering': {
      // What was put in order by numbers may be ordered; any other pairs have no order.
      const numbered = b.kind === 'matching' ? b.pairs.map((p) => ({ at: parseFloat(p.text), p })) : [];
      if (numbered.length < 2 || numbered.some((n) => !Number.isFinite(n.at)))
        return 'It has no order: only pairs that are numbered can be put in order.';
      return {
        ...base,
        kind: 'ordering',
        entries: numbered.sort((x, y) => x.at - y.at).map(({ p }) => ({ id: p.match.id, text: p.match.text })),
      };
    }
    case 'pieces': {
      if (pairs.length < 2) return 'It has no pieces: only matching, sorting, ordering and choosing several have.';
      return tableOfPieces(b, base, pairs);
    }
    default:
      return 'It cannot be answered in this way.';
  }
}

const noOne = (how: string) => `It has no single right answer that could ${how}. Set its key first.`;

/** Pairs as pieces to lay into a table with one row for each left half. */
function tableOfPieces(b: ItemBlock, base: ReturnType<typeof same>, pairs: readonly Pair[]): ItemBlock | string {
  const fresh = blockKinds.pieces.fresh(b.id, () => '');
  const idOf = idsBy(b.id, 'piece');
  const made = {
    ...fresh,
    ...base,
    kind: 'pieces' as const,
    board: {
      on: 'table' as const,
      columns: [{ id: 'c', text: '' }],
      rows: pairs.map((p) => ({ id: p.id, text: p.left })),
    },
    pieces: pairs.map((p) => ({ id: idOf(p.right), text: p.right, place: `${p.id}:c` })),
  };
  const read = blockKinds.pieces.schema.safeParse(made);
  return read.success ? read.data : 'Its pieces do not fit into a table.';
}

/** The ways an item can be turned to, and for the others why not. */
export function waysFor(b: Block): { readonly to: AnswerWay; readonly why: string | null }[] {
  if (!('prompt' in b)) return [];
  return ANSWER_WAYS.filter((to) => to !== b.kind).map((to) => {
    const result = turned(b, to, ['…']);
    return { to, why: typeof result === 'string' ? result : null };
  });
}
