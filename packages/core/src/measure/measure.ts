import { type Content, type Objective, type Page } from '../activity/activity';
import { type Demand, DEMANDS, type Id } from '../activity/block';
import { assetsIn, type Block, isChoice, isItem, type ItemBlock, itemRules } from '../activity/blocks';
import type { Language } from '../activity/language';
import { type Family, versionTree } from '../activity/family';
import { derive } from '../derive/derive';
import { SUPPORTS, type Support } from '../learners/supports';
import { findLanguage } from './language';
import {
  addCounts,
  countText,
  FIRST_FORMULA,
  FORMULAS,
  LEAST_WORDS,
  type Readability,
  readabilityOf,
  type TextCount,
} from './readability';
import { learnerText, prose, wordsIn } from './words';

/** Words a learner of middling speed reads in a minute on a worksheet, set low on purpose. */
export const READING_WORDS_PER_MINUTE = 90;

/** How much of what could have a support has it. */
export interface SupportShare {
  readonly has: number;
  readonly of: number;
}

/** A text to read, measured alone. */
export interface PassageMeasure {
  readonly blockId: Id;
  /** Its first words. */
  readonly begins: string;
  readonly readability: Readability;
}

export interface Measures {
  readonly pages: number;
  readonly items: number;
  readonly words: number;
  readonly wordsPerPage: number;
  /** What a learner must be able to read: the hardest passage, or all words together where there is none. */
  readonly readability: Readability;
  /** The passages in their order; short texts are counted with the questions. */
  readonly passages: readonly PassageMeasure[];
  /** Id of the hardest passage; null where there is none. */
  readonly hardest: Id | null;
  /** Questions, instructions, short texts, choices, gap texts, words to know and examples. */
  readonly prompts: Readability;
  /** Mean number of choices of the choice items; null where there are none. */
  readonly choicesPerItem: number | null;
  /** The most choices of any; null where there are none. */
  readonly mostChoices: number | null;
  /** Reading at READING_WORDS_PER_MINUTE, what is heard, and each kind's own minutes. */
  readonly minutes: number;
  readonly demand: Readonly<Record<Demand, number>>;
  /** Supports that at least half of what could have them has; of choices and sentences the worst case counts. */
  readonly supports: readonly Support[];
  readonly shares: Readonly<Partial<Record<Support, SupportShare>>>;
  readonly objectivesKept: readonly Objective[];
  readonly objectivesDropped: readonly Objective[];
}

/** What is counted of one passage. */
interface Passage {
  readonly blockId: Id;
  readonly begins: string;
  readonly count: TextCount;
}

/** What is counted on one page; pages add up. */
interface PageCount {
  readonly words: number;
  readonly passages: readonly Passage[];
  readonly prompts: TextCount;
  readonly items: readonly ItemBlock[];
  /** Minutes of what is heard and watched. */
  readonly heard: number;
  readonly shares: ReadonlyMap<Support, SupportShare>;
}

const pageCounts = new WeakMap<Page, Map<Language, PageCount>>();

/** As many words are spoken in a minute. */
const SPOKEN_WORDS_PER_MINUTE = 140;
/** A passage has as many words; what is shorter is counted with the questions. */
const LEAST_PASSAGE = LEAST_WORDS;
const begins = (text: string): string => text.replace(/\s+/g, ' ').trim().slice(0, 60);

/** What is read besides passages: of an item its question, hint and what is to choose from. */
function besides(b: Block): string {
  if (b.audience !== 'learner' || b.kind === 'picture' || b.kind === 'audio' || b.kind === 'video') return '';
  return learnerText(b);
}

/** Counts one page; a page that versions share is counted once for all of them. */
function countPage(page: Page, language: Language): PageCount {
  const known = pageCounts.get(page)?.get(language);
  if (known) return known;
  const shown = page.blocks.filter((b) => b.audience === 'learner');
  const passages: Passage[] = [];
  const rest: string[] = [];
  for (const b of shown) {
    const text = prose(b);
    const isPassage = (b.kind === 'text' || b.kind === 'passage') && wordsIn(text).length >= LEAST_PASSAGE;
    const own = b.kind === 'text' || b.kind === 'passage' ? b.language : undefined;
    if (isPassage)
      passages.push({
        blockId: b.id,
        begins: begins(text),
        count: countText(text, own ?? findLanguage(text) ?? language),
      });
    else rest.push(besides(b));
  }
  const items = shown.filter(isItem);
  const count: PageCount = {
    words: wordsIn(shown.map(learnerText).join('\n')).length,
    passages,
    prompts: countText(rest.join('\n'), language),
    items,
    heard: shown.reduce((n, b) => n + minutesHeard(b), 0),
    shares: sharesOn(shown),
  };
  const all = pageCounts.get(page) ?? new Map<Language, PageCount>();
  pageCounts.set(page, all.set(language, count));
  return count;
}

/** Minutes of a sound or video: by what is said in it, a minute where nobody wrote that down. */
function minutesHeard(b: Block): number {
  const said =
    b.kind === 'audio' || b.kind === 'video' ? b.transcript : b.kind === 'instruction' && b.recording ? b.text : null;
  return said === null ? 0 : Math.max(said.trim() ? 0 : 1, wordsIn(said).length / SPOKEN_WORDS_PER_MINUTE);
}

const TYPED: ReadonlySet<Block['kind']> = new Set(['short-text', 'gaps']);
const hasPictures = (b: Block): boolean => b.kind === 'picture' || (isItem(b) && assetsIn(b).length > 0);

/** What on one page has each support, of what could have it. */
function sharesOn(blocks: readonly Block[]): Map<Support, SupportShare> {
  const out = new Map<Support, SupportShare>();
  const note = (support: Support, could: readonly Block[], has: (b: Block) => boolean) => {
    if (could.length) out.set(support, { has: could.filter(has).length, of: could.length });
  };
  const items = blocks.filter(isItem).filter((i) => i.kind !== 'notes' && i.kind !== 'steps');
  const kinds = (...names: Block['kind'][]) => blocks.filter((b) => names.includes(b.kind));
  note('hints', items, (i) => 'hint' in i && Boolean(i.hint));
  note('sentence starters', kinds('long-text'), (b) => b.kind === 'long-text' && Boolean(b.starters?.length));
  note('spoken instructions', kinds('instruction'), (b) => b.kind === 'instruction' && b.recording !== undefined);
  // A page with words to type has a bank, or has none; so with the others that stand on a page.
  const typed = items.filter((i) => TYPED.has(i.kind));
  const isBank = (b: Block) => b.kind === 'word-bank' || (b.kind === 'gaps' && b.mode === 'bank');
  if (typed.length) out.set('word bank', { has: blocks.some(isBank) ? 1 : 0, of: 1 });
  else if (blocks.some(isBank)) out.set('word bank', { has: 1, of: 1 });
  const once = (support: Support, has: boolean) => {
    if (items.length || has) out.set(support, { has: has ? 1 : 0, of: 1 });
  };
  once('pictures', blocks.some(hasPictures));
  once('worked example', kinds('worked-example').length > 0);
  once('glossary', kinds('vocabulary').length > 0);
  once('steps to tick', kinds('steps').length > 0);
  return out;
}

/** Supports of which one page that has them helps with all: elsewhere at least half is asked. */
const ONE_IS_ENOUGH: ReadonlySet<Support> = new Set(['pictures', 'worked example', 'glossary', 'steps to tick']);
const isPresent = (support: Support, { has, of }: SupportShare): boolean =>
  ONE_IS_ENOUGH.has(support) ? has > 0 : has > 0 && has * 2 >= of;

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
  const m = measurePages(content.pages.filter(isLearners), content.objectives, languageOf(content));
  const more = content.settings?.extraTime?.percent ?? 0;
  return more ? { ...m, minutes: m.minutes * (1 + more / 100) } : m;
}

const languages = new WeakMap<Content, Language>();

/** The language of an activity: as the teacher says, else as its texts are found to be, else English. */
export function languageOf(content: Content): Language {
  if (content.language) return content.language;
  let known = languages.get(content);
  if (!known) {
    const texts = content.pages.filter(isLearners).flatMap((p) => p.blocks.map(prose));
    languages.set(content, (known = findLanguage(texts.join('\n').slice(0, LOOKED_AT)) ?? 'en'));
  }
  return known;
}
/** As many letters of an activity are looked at for its language. */
const LOOKED_AT = 6000;

/** The same as `measure`, in steps: gives way after each page, so that a caller may rest between. */
export function* measureInSteps(content: Content): Generator<undefined, Measures> {
  if (!kept.has(content)) {
    const language = languageOf(content);
    for (const page of content.pages)
      if (isLearners(page) && !pageCounts.get(page)?.has(language)) {
        countPage(page, language);
        yield;
      }
  }
  return measure(content);
}

/** How hard a passage is, to find the hardest: by the formula of its language, else by its sentences. */
function hardness({ count }: Passage): number {
  const id = FIRST_FORMULA[count.language];
  const formula = FORMULAS.find((f) => f.id === id);
  if (!formula) return count.words / Math.max(1, count.sentences) / 2;
  const figure = formula.of(count);
  // Ease counts the other way: a grade is some ten points.
  return formula.scale.startsWith('100') ? (100 - figure) / 10 : figure;
}

/** The measures of some pages alone, beside the objectives of the whole. */
export function measurePages(
  pages: readonly Page[],
  objectives: readonly Objective[],
  language: Language = languageOf({ title: '', subject: '', ages: '', objectives: [], pages: [...pages] }),
): Measures {
  const counts = pages.map((p) => countPage(p, language));
  const items = counts.flatMap((c) => c.items);
  const words = counts.reduce((n, c) => n + c.words, 0);
  const passages = counts.flatMap((c) => c.passages);
  const hardest = passages.reduce<Passage | null>((h, p) => (h && hardness(h) >= hardness(p) ? h : p), null);
  const prompts = addCounts(counts.map((c) => c.prompts));
  const choices = items.filter(isChoice).map((b) => b.options.length);
  const choicesPerItem = choices.length ? choices.reduce((a, b) => a + b, 0) / choices.length : null;
  const mostChoices = choices.length ? Math.max(...choices) : null;
  const asked = new Set(items.flatMap((i) => (i.objectiveId ? [i.objectiveId] : [])));
  const shares = new Map<Support, SupportShare>();
  for (const c of counts)
    for (const [support, { has, of }] of c.shares) {
      const sum = shares.get(support) ?? { has: 0, of: 0 };
      shares.set(support, { has: sum.has + has, of: sum.of + of });
    }
  if (choices.length)
    shares.set('two or three choices', { has: choices.filter((n) => n <= 3).length, of: choices.length });
  const sentences = (passages.length ? passages.map((p) => p.count) : [prompts]).filter((c) => c.sentences > 0);
  if (sentences.length)
    shares.set('short sentences', {
      has: sentences.filter((c) => c.words / c.sentences <= SHORT_SENTENCE).length,
      of: sentences.length,
    });
  const isThere = (s: Support): boolean => {
    const share = shares.get(s);
    if (!share) return false;
    return s === 'two or three choices' || s === 'short sentences' ? share.has === share.of : isPresent(s, share);
  };
  return {
    pages: pages.length,
    items: items.length,
    words,
    wordsPerPage: pages.length ? words / pages.length : 0,
    readability: readabilityOf(hardest?.count ?? prompts),
    passages: passages.map((p) => ({ blockId: p.blockId, begins: p.begins, readability: readabilityOf(p.count) })),
    hardest: hardest?.blockId ?? null,
    prompts: readabilityOf(prompts),
    choicesPerItem,
    mostChoices,
    minutes:
      words / READING_WORDS_PER_MINUTE +
      counts.reduce((n, c) => n + c.heard, 0) +
      items.reduce((n, i) => n + itemRules(i).minutes, 0),
    demand: Object.fromEntries(DEMANDS.map((d) => [d, items.filter((i) => i.demand === d).length])) as Record<
      Demand,
      number
    >,
    supports: SUPPORTS.filter(isThere),
    shares: Object.fromEntries(shares),
    objectivesKept: objectives.filter((o) => asked.has(o.id)),
    objectivesDropped: objectives.filter((o) => !asked.has(o.id)),
  };
}

/** Words a sentence of a passage has on average, for its sentences to be short. */
const SHORT_SENTENCE = 9;

/** The master and every version, in the order of the tree, each with its measures. */
export function measureFamily(family: Family): { versionId: Id | null; measures: Measures }[] {
  return [null, ...versionTree(family).map((t) => t.version.id)].map((versionId) => ({
    versionId,
    measures: measure(derive(family, versionId).content),
  }));
}
