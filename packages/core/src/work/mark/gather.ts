import { type ItemBlock, itemRules } from '../../activity/blocks';
import type { Answer, Verdict } from '../answer';
import { plainWords } from '../plain-words';
import { isKnownWord } from './known-words';
import { forgiven, slipsBetween } from './judge-words';
import { readQuantity } from './read-number';

/** One learner's answer to a question, as it was asked of them. */
export interface Gathered {
  /** Whose it is. */
  readonly key: string;
  readonly item: ItemBlock;
  readonly answer: Answer;
  readonly verdict: Verdict;
}

/** Answers that say the same to questions with the same key. */
export interface Alike {
  /** As it is written most often. */
  readonly words: string;
  /** The other ways in which it is written. */
  readonly also: readonly string[];
  /** What is accepted; the same for all of them. */
  readonly accepted: string;
  readonly keys: readonly string[];
  /** How many are marked how. */
  readonly verdicts: Readonly<Partial<Record<Verdict, number>>>;
  /** Whether words say all of it: a drawing or a photograph is looked at. */
  readonly inWords: boolean;
}

const LOOKED_AT: ReadonlySet<Answer['kind']> = new Set(['points', 'drawing', 'media']);

/** Words in a form that is the same for all that only differ in case, accents, signs, order, or how a number is written. */
function formOf(text: string): string {
  const read = readQuantity(text);
  if (read && read.orElse === undefined) return `${read.value} ${plainWords(read.unit)}`;
  return plainWords(text)
    .split(' ')
    .filter((w) => w !== 'a' && w !== 'an' && w !== 'the')
    .sort()
    .join(' ');
}

const keptForm = (item: ItemBlock, answer: Answer): string =>
  answer.kind === 'text'
    ? formOf(answer.text)
    : answer.kind === 'values'
      ? JSON.stringify(
          Object.entries(answer.values)
            .sort()
            .map(([id, v]) => [id, formOf(v)]),
        )
      : // Of choices, what they say counts: a version may offer others.
        plainWords(itemRules(item).answerWords(item, answer).split(/[,·;]/).sort().join(' '));

/** Whether two forms are the same words but for slips of spelling in words that are none. */
function isSlipOf(form: string, other: string): boolean {
  if (/\d/.test(form) || Math.abs(form.length - other.length) > 3) return false;
  const [a, b] = [form.split(' '), other.split(' ')];
  if (a.length !== b.length) return false;
  return a.every((w, i) => {
    const o = b[i] ?? '';
    return w === o || (!isKnownWord(w) && slipsBetween(o, w) <= forgiven(o));
  });
}

interface Heap {
  readonly form: string;
  readonly accepted: string;
  readonly all: Gathered[];
}

/** Puts what was answered to one question into heaps that say the same: the largest first. What has to be looked at stands alone. */
export function gatherAlike(given: readonly Gathered[]): Alike[] {
  const alone: Alike[] = [];
  const heaps = new Map<string, Heap>();
  const keysOf = new Map<ItemBlock, string>();
  for (const g of given) {
    let accepted = keysOf.get(g.item);
    if (accepted === undefined) keysOf.set(g.item, (accepted = itemRules(g.item).keyWords(g.item).join(' / ')));
    if (LOOKED_AT.has(g.answer.kind)) alone.push(heapOf([g], accepted, false));
    else {
      const form = keptForm(g.item, g.answer);
      const at = `${accepted}\n${form}`;
      const heap = heaps.get(at);
      if (heap) heap.all.push(g);
      else heaps.set(at, { form, accepted, all: [g] });
    }
  }
  const bySize = [...heaps.values()].sort((a, b) => b.all.length - a.all.length);
  const firm: Heap[] = [];
  for (const heap of bySize) {
    const first = heap.all[0]?.answer;
    const near =
      first?.kind === 'text'
        ? firm.find((f) => f.accepted === heap.accepted && isSlipOf(heap.form, f.form) && alikeMarked(f.all, heap.all))
        : undefined;
    if (near) near.all.push(...heap.all);
    else firm.push(heap);
  }
  return [...firm.map((h) => heapOf(h.all, h.accepted, true)), ...alone].sort(
    (a, b) => b.keys.length - a.keys.length || (a.words < b.words ? -1 : 1),
  );
}

/** A slip that is marked otherwise than the word stays beside it, to be seen. */
const alikeMarked = (a: readonly Gathered[], b: readonly Gathered[]): boolean =>
  b.every((x) => a.some((y) => y.verdict === x.verdict));

function heapOf(all: readonly Gathered[], accepted: string, inWords: boolean): Alike {
  const ways = new Map<string, number>();
  const verdicts: Partial<Record<Verdict, number>> = {};
  for (const g of all) {
    const words = itemRules(g.item).answerWords(g.item, g.answer).trim();
    ways.set(words, (ways.get(words) ?? 0) + 1);
    verdicts[g.verdict] = (verdicts[g.verdict] ?? 0) + 1;
  }
  const [words = '', ...also] = [...ways].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([w]) => w);
  return { words, also, accepted, keys: all.map((g) => g.key), verdicts, inWords };
}
