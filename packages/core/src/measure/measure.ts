import { type Content, itemsOf, type Objective } from '../activity/activity';
import { type Demand, DEMANDS } from '../activity/block';
import { type Block, isChoice, isItem, itemRules, plainTextOf } from '../activity/blocks';
import { plainRich } from '../activity/rich';
import { type Readability, readability } from './readability';

/** Words a learner of middling speed reads in a minute on a worksheet, set low on purpose. */
export const READING_WORDS_PER_MINUTE = 90;

export type Support = 'word bank' | 'hints' | 'two or three choices' | 'pictures' | 'short sentences';

export interface Measures {
  readonly pages: number;
  readonly items: number;
  readonly words: number;
  readonly wordsPerPage: number;
  readonly readability: Readability;
  /** Mean number of choices of the choice items; null where there are none. */
  readonly choicesPerItem: number | null;
  /** Reading at READING_WORDS_PER_MINUTE plus each kind's own minutes. */
  readonly minutes: number;
  readonly demand: Readonly<Record<Demand, number>>;
  readonly supports: readonly Support[];
  readonly objectivesKept: readonly Objective[];
  readonly objectivesDropped: readonly Objective[];
}

/** The words a learner reads in a block. */
export const learnerText = (block: Block): string =>
  block.audience !== 'learner' || block.kind === 'picture' ? '' : plainTextOf(block);

/** The running text that the formulas measure: passages, instructions and questions, not labels and choices. */
const prose = (block: Block): string => {
  if (block.audience !== 'learner') return '';
  if (block.kind === 'text' || block.kind === 'passage') return plainRich(block.text);
  if (block.kind === 'instruction') return block.text;
  return isItem(block) ? block.prompt : '';
};

export const objectiveIdsIn = (content: Content): Set<string> =>
  new Set(itemsOf(content).flatMap((i) => (i.objectiveId ? [i.objectiveId] : [])));

const kept = new WeakMap<Content, Measures>();

/** Everything counted about one finished activity. The objectives are those the content itself lists. */
export function measure(content: Content): Measures {
  const known = kept.get(content);
  if (known) return known;
  const pages = content.pages.filter((p) => (p.audience ?? 'learner') === 'learner');
  const blocks = pages.flatMap((p) => p.blocks);
  const items = itemsOf({ ...content, pages });
  const words = readability(blocks.map(learnerText).join('\n')).words;
  const text = readability(blocks.map(prose).join('\n'));
  const choices = items.filter(isChoice).map((b) => b.options.length);
  const choicesPerItem = choices.length ? choices.reduce((a, b) => a + b, 0) / choices.length : null;
  const asked = objectiveIdsIn({ ...content, pages });
  const supports: Support[] = [];
  if (blocks.some((b) => b.kind === 'word-bank')) supports.push('word bank');
  if (items.some((i) => i.hint)) supports.push('hints');
  if (choicesPerItem !== null && choicesPerItem <= 3) supports.push('two or three choices');
  if (blocks.some((b) => b.kind === 'picture')) supports.push('pictures');
  if (text.sentences > 0 && text.wordsPerSentence <= 9) supports.push('short sentences');
  const result: Measures = {
    pages: pages.length,
    items: items.length,
    words,
    wordsPerPage: pages.length ? words / pages.length : 0,
    readability: text,
    choicesPerItem,
    minutes: words / READING_WORDS_PER_MINUTE + items.reduce((n, i) => n + itemRules(i).minutes, 0),
    demand: Object.fromEntries(DEMANDS.map((d) => [d, items.filter((i) => i.demand === d).length])) as Record<
      Demand,
      number
    >,
    supports,
    objectivesKept: content.objectives.filter((o) => asked.has(o.id)),
    objectivesDropped: content.objectives.filter((o) => !asked.has(o.id)),
  };
  kept.set(content, result);
  return result;
}
