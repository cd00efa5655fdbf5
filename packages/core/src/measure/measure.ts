import { type Content, type Objective, type Page } from '../activity/activity';
import { type Demand, DEMANDS, type Id } from '../activity/block';
import { type Block, isChoice, isItem, type ItemBlock, itemRules } from '../activity/blocks';
import { type Family, versionTree } from '../activity/family';
import { derive } from '../derive/derive';
import { SUPPORTS, type Support } from '../learners/supports';
import { addCounts, countText, type Readability, readabilityOf, type TextCount } from './readability';
import { learnerText, prose, wordsIn } from './words';

/** Words a learner of middling speed reads in a minute on a worksheet, set low on purpose. */
export const READING_WORDS_PER_MINUTE = 90;

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

/** What is counted on one page; pages add up. */
interface PageCount {
  readonly words: number;
  readonly text: TextCount;
  readonly items: readonly ItemBlock[];
  /** Whether it has each support, except those that are a matter of the whole. */
  readonly supports: ReadonlySet<Support>;
}

const pageCounts = new WeakMap<Page, PageCount>();

/** Counts one page; a page that versions share is counted once for all of them. */
function countPage(page: Page): PageCount {
  let count = pageCounts.get(page);
  if (count) return count;
  const items = page.blocks.filter(isItem).filter((i) => i.audience === 'learner');
  const supports = new Set<Support>();
  for (const b of page.blocks) if (b.audience === 'learner') for (const s of supportsIn(b)) supports.add(s);
  count = {
    words: wordsIn(page.blocks.map(learnerText).join('\n')).length,
    text: countText(page.blocks.map(prose).join('\n')),
    items,
    supports,
  };
  pageCounts.set(page, count);
  return count;
}

function supportsIn(b: Block): Support[] {
  const found: Support[] = [];
  if (b.kind === 'word-bank') found.push('word bank');
  if (b.kind === 'picture') found.push('pictures');
  if (b.kind === 'worked-example') found.push('worked example');
  if (b.kind === 'vocabulary') found.push('glossary');
  if (b.kind === 'steps') found.push('steps to tick');
  if (b.kind === 'instruction' && b.recording) found.push('spoken instructions');
  if (b.kind === 'long-text' && b.starters?.length) found.push('sentence starters');
  if (isItem(b) && b.hint) found.push('hints');
  return found;
}

const isLearners = (p: Page): boolean => (p.audience ?? 'learner') === 'learner';
const kept = new WeakMap<Content, Measures>();

/** Everything counted about one finished activity. The objectives are those the content itself lists. */
export function measure(content: Content): Measures {
  let known = kept.get(content);
  if (!known) kept.set(content, (known = measureAll(content)));
  return known;
}

/** With extra time the minutes are as many more. */
function measureAll(content: Content): Measures {
  const m = measurePages(content.pages.filter(isLearners), content.objectives);
  const more = content.settings?.extraTime?.percent ?? 0;
  return more ? { ...m, minutes: m.minutes * (1 + more / 100) } : m;
}

/** The same as `measure`, in steps: gives way after each page, so that a caller may rest between. */
export function* measureInSteps(content: Content): Generator<undefined, Measures> {
  if (!kept.has(content))
    for (const page of content.pages)
      if (isLearners(page) && !pageCounts.has(page)) {
        countPage(page);
        yield;
      }
  return measure(content);
}

/** The measures of some pages alone, beside the objectives of the whole. */
export function measurePages(pages: readonly Page[], objectives: readonly Objective[]): Measures {
  const counts = pages.map(countPage);
  const items = counts.flatMap((c) => c.items);
  const words = counts.reduce((n, c) => n + c.words, 0);
  const text = readabilityOf(addCounts(counts.map((c) => c.text)));
  const choices = items.filter(isChoice).map((b) => b.options.length);
  const choicesPerItem = choices.length ? choices.reduce((a, b) => a + b, 0) / choices.length : null;
  const asked = new Set(items.flatMap((i) => (i.objectiveId ? [i.objectiveId] : [])));
  const supports = new Set(counts.flatMap((c) => [...c.supports]));
  if (choicesPerItem !== null && choicesPerItem <= 3) supports.add('two or three choices');
  if (text.sentences > 0 && text.wordsPerSentence <= 9) supports.add('short sentences');
  return {
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
    supports: SUPPORTS.filter((s) => supports.has(s)),
    objectivesKept: objectives.filter((o) => asked.has(o.id)),
    objectivesDropped: objectives.filter((o) => !asked.has(o.id)),
  };
}

/** The master and every version, in the order of the tree, each with its measures. */
export function measureFamily(family: Family): { versionId: Id | null; measures: Measures }[] {
  return [null, ...versionTree(family).map((t) => t.version.id)].map((versionId) => ({
    versionId,
    measures: measure(derive(family, versionId).content),
  }));
}
