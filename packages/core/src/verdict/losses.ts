import { type Content, findBlock } from '../activity/activity';
import { type Demand, DEMANDS, type Id } from '../activity/block';
import { type Block, isItem, isLearners, type ItemBlock } from '../activity/blocks';
import { lookedAt } from '../activity/context';
import { plainTextOf } from '../activity/plain-text';
import type { Adjustment } from '../adjust/registry';
import { itemsWithin } from '../adjust/choose-items';
import { revealOf } from './reveal';

/** Items that count: what is optional may be left out. */
const countingItems = (content: Content): ItemBlock[] =>
  content.pages
    .filter((p) => (p.audience ?? 'learner') === 'learner')
    .flatMap((p) => p.blocks.filter(isItem).filter((i) => isLearners(i) && !i.optional && i.kind !== 'notes'));

/** Under which objective an item counts; those without one count together. */
const NO_OBJECTIVE = '';
const groupOf = (i: ItemBlock): Id => i.objectiveId ?? NO_OBJECTIVE;
const weight = (items: readonly ItemBlock[]): number => {
  const points = items.reduce((n, i) => n + i.points, 0);
  return points > 0 ? points : items.length;
};
const highest = (items: readonly ItemBlock[]): number => Math.max(-1, ...items.map((i) => DEMANDS.indexOf(i.demand)));

/** What of an objective is not asked any more. */
export interface Loss {
  readonly why: string;
}

/** What the master's objectives lose in a finished version, by objective; '' are the items of none. */
export function lossesOf(master: Content, result: Content): Map<Id, Loss> {
  const out = new Map<Id, Loss>();
  const [before, after] = [countingItems(master), countingItems(result)];
  for (const id of new Set(before.map(groupOf))) {
    const of = (items: readonly ItemBlock[]) => items.filter((i) => groupOf(i) === id);
    const [was, is] = [of(before), of(after)];
    const text = master.objectives.find((o) => o.id === id)?.text;
    const name = text ? `“${text}”` : id === NO_OBJECTIVE ? 'what has no objective' : 'an objective';
    // What the version adds counts for the objective as well.
    if (is.length === 0 && was.length > 0) {
      if (id !== NO_OBJECTIVE || was.length > 1)
        out.set(id, { why: `${sentence(name)} has no question left in this version.` });
    } else if (weight(is) < weight(was) / 2)
      out.set(id, { why: `Of ${name} less than half remains: ${weight(is)} of ${weight(was)}.` });
    else if (id !== NO_OBJECTIVE && highest(is) < highest(was)) {
      const [now, then] = [DEMANDS[highest(is)], DEMANDS[highest(was)]] as [Demand, Demand];
      out.set(id, { why: `For ${name} nothing asks to ${then} any more, only to ${now}.` });
    }
  }
  return out;
}

const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The blocks that an adjustment takes away from its basis. */
export function takenBy(a: Adjustment, basis: Content): readonly Block[] {
  switch (a.kind) {
    case 'leave-out':
      return a.what === 'page'
        ? (basis.pages.find((p) => p.id === a.target)?.blocks ?? [])
        : [findBlock(basis, a.target)?.block].filter((b) => b !== undefined);
    case 'keep-pages':
      return basis.pages.filter((p) => !a.pages.includes(p.id)).flatMap((p) => p.blocks);
    case 'choose-items':
      return itemsWithin(basis, a.pages).filter((i) => a.known.includes(i.id) && !a.keep.includes(i.id));
    default:
      return [];
  }
}

export const lossThrough = (taken: readonly Block[], losses: ReadonlyMap<Id, Loss>): Loss | undefined =>
  taken
    .filter(isItem)
    .filter((i) => isLearners(i) && !i.optional)
    .flatMap((i) => losses.get(groupOf(i)) ?? [])[0];

const TO_READ = lookedAt('text', 'vocabulary');
const REFERS =
  /\b(?:texts?|stor(?:y|ies)|passages?|poems?|pictures?|photos?|drawings?|maps?|tables?|charts?|graphs?|above|below|shown|listen|watch|read)\b/i;

/** What is taken away that questions which remain need, or may need. */
export function neededBy(
  taken: readonly Block[],
  basis: Content,
  result: Content,
): { readonly isCertain: boolean; readonly items: readonly ItemBlock[] } | null {
  let perhaps: ItemBlock[] = [];
  for (const b of taken) {
    if (!isLearners(b) || !TO_READ.has(b.kind)) continue;
    const home = findBlock(basis, b.id)?.page.id;
    const page = result.pages.find((p) => p.id === home);
    const left = (page?.blocks ?? []).filter((x): x is ItemBlock => isItem(x) && isLearners(x));
    if (left.length === 0) continue;
    const others = (page?.blocks ?? [])
      .filter((x) => !isItem(x) && isLearners(x))
      .map(plainTextOf)
      .join('\n');
    const told = left.filter((i) => revealOf(plainTextOf(b), i, others) !== null);
    if (told.length && b.kind !== 'vocabulary') return { isCertain: true, items: told };
    const refer = left.filter((i) => REFERS.test(i.prompt));
    const may = refer.length ? refer : b.kind === 'text' || b.kind === 'passage' ? left : [];
    if (may.length && perhaps.length === 0) perhaps = may;
  }
  return perhaps.length ? { isCertain: false, items: perhaps } : null;
}
