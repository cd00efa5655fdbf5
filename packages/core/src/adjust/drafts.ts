import type { Content, Page } from '../activity/activity';
import { type Demand, DEMANDS, type Id } from '../activity/block';
import { type Block, isChoice, isItem, type ItemBlock, keyIdsOf, keyWordsOf } from '../activity/blocks';
import { plainTextOf } from '../activity/plain-text';
import { fingerprint } from '../activity/fingerprint';
import { isHard } from '../measure/hard';
import { sentencesIn, wordsIn } from '../measure/words';
import { plainWords } from '../work/plain-words';
import { askedFor } from './asked-for';
import { chooseItems, itemsWithin } from './choose-items';
import { choicesToLeaveOut, snapshotChoices } from './fewer-choices';
import { type Flap, saidUnderFlap } from './flap';
import { proposeHardWords } from './glossary';
import { questionBehind } from './hint';
import { isOfType, keyTypeOf } from './key-type';
import { givesAway } from './judging';
import { answerBehind } from './other-answer';
import { canDraw, drawNumbers, otherNumbersFor } from './other-numbers';
import type { Adjustment } from './registry';
import { STARTERS } from './sentence-starters';
import { proposeSteps } from './steps-to-tick';
import { type AnswerWay, turned } from './turning';
import { proposeWords } from './word-bank';

type Made = 'id' | 'at' | 'author';
type DraftOf<A> = A extends Adjustment ? Omit<A, Made> : never;
/** An adjustment before it is written down: without id, time and author. */
export type Draft = DraftOf<Adjustment>;

/** What a word means, and its picture, where the shipped words have it. */
export type Lexicon = (word: string) => { readonly meaning: string; readonly assetId?: string } | undefined;

/** Proposes an adjustment for one thing, or says in words why there is none. */
export type Proposal = Draft | { readonly why: string };
export const isDraft = (p: Proposal): p is Draft => 'kind' in p;

export function draftFewerChoices(b: Block, most: number): Proposal {
  if (!isChoice(b)) return { why: 'It has no choices.' };
  // One wrong choice always stays: where only the answers are left, there is nothing to choose.
  const leaveOut = choicesToLeaveOut(b, Math.max(most, keyIdsOf(b).length + 1));
  return leaveOut.length
    ? { kind: 'fewer-choices', target: b.id, leaveOut, was: snapshotChoices(b) }
    : { why: `It has no more than ${most} choices.` };
}

/** What the short answers of a page are about: their objective, and what they ask for. */
const aboutOf = (b: Block): string[] =>
  b.kind === 'short-text' ? [JSON.stringify([b.objectiveId ?? '', askedFor(b.prompt, '')])] : [];

/**
 * Words of other pages' keys that are no key on this one: they make a bank harder to guess from. Only those that are asked for the
 * same objectives and by questions of the same sort: an animal among kinds of weather is no help and no test.
 */
export function proposeDistractors(content: Content, page: Page, n: number): string[] {
  const mine = new Set(proposeWords(page).map(plainWords));
  const about = new Set(page.blocks.flatMap(aboutOf));
  const others = content.pages
    .filter((p) => p !== page)
    .flatMap((p) => proposeWords({ ...p, blocks: p.blocks.filter((b) => aboutOf(b).some((x) => about.has(x))) }));
  return [...new Map(others.map((w) => [plainWords(w), w])).entries()]
    .filter(([plain]) => !mine.has(plain))
    .slice(0, n)
    .map(([, w]) => w);
}

/** Fewest words of a bank. */
const LEAST_BANK = 3;

export function draftWordBank(content: Content, page: Page, distractors: number, newId: () => Id): Proposal {
  const was = proposeWords(page);
  if (was.length === 0) return { why: 'No short answer on this page has a key.' };
  // A bank is of one sort: a time among animals says where it goes.
  const types = [...new Set(was.map(keyTypeOf))];
  const own = types
    .map((t) => was.filter((w) => keyTypeOf(w) === t))
    .reduce((most, ws) => (ws.length > most.length ? ws : most));
  const [one = ''] = own;
  // Of two words a guess is right half the time.
  const further = Math.max(distractors, LEAST_BANK - own.length);
  const others = proposeDistractors(content, page, was.length + 20).filter((w) => isOfType(w, one));
  const words = [...own, ...others.slice(0, further)].sort((a, b) => plainWords(a).localeCompare(plainWords(b), 'en'));
  if (words.length < LEAST_BANK)
    return {
      why: `A bank of ${words.length === 1 ? 'one word would say the answer' : 'two words would leave too little to choose'}; no other question has a word for it.`,
    };
  const first = page.blocks.findIndex((b) => b.kind === 'short-text');
  const after = page.blocks[first - 1]?.id ?? null;
  return { kind: 'word-bank', page: page.id, after, blockId: newId(), title: 'Words you can use', words, was };
}

/**
 * A hint by rule: the sentence of the page's texts that holds the key, with the key left open; for a word that no text
 * says, its first letter and its length.
 */
export function draftHint(page: Page, b: Block): Proposal {
  if (!isItem(b)) return { why: 'Only a question can have a hint.' };
  if (b.hint) return { why: 'It has a hint already.' };
  const keys = keyWordsOf(b).filter((k) => k.trim() !== '' && k.length <= 40);
  const [key] = keys;
  if (key === undefined) return { why: 'It has no key that a hint could lead to.' };
  const draft = (text: string): Proposal =>
    givesAway(text, b, '')
      ? { why: 'A hint by rule would say the answer.' }
      : { kind: 'hint', target: b.id, text, was: questionBehind(b) };
  const texts = page.blocks.filter((x) => x.audience === 'learner' && (x.kind === 'text' || x.kind === 'passage'));
  const sentences = texts.flatMap((t) => sentencesIn(plainTextOf(t))).map(plainTyped);
  for (const k of keys.map(plainTyped)) {
    const word = `(?<![\\p{L}\\p{N}])${escape(k)}(?:s|es)?(?![\\p{L}\\p{N}])`;
    // Words of any text stand in many sentences: the sentence must be about what is asked.
    const holding = sentences.filter((s) => new RegExp(word, 'iu').test(s));
    const said = holding.length > 1 ? nearest(holding, b.prompt) : holding[0];
    if (said === undefined || k.length < LEAST_HINTED) continue;
    return draft(`Read again: “${said.replace(new RegExp(word, 'giu'), '…')}”`);
  }
  if (b.kind !== 'short-text' || !/^\p{L}+$/u.test(key)) return { why: 'No text on its page says the answer.' };
  if (key.length < LEAST_SPELT) return { why: 'Its key is so short that its first letter would say it.' };
  return draft(`It begins with “${key.charAt(0)}” and has ${key.length} letters.`);
}

/** Shorter keys stand everywhere; and of shorter words the first letter is most of it. */
const LEAST_HINTED = 3;
const LEAST_SPELT = 5;

/** Of sentences that hold an answer, the one that shares the most words with the question. */
function nearest(sentences: readonly string[], prompt: string): string | undefined {
  const asked = new Set(
    plainWords(prompt)
      .split(' ')
      .filter((w) => w.length > 3),
  );
  const shared = (s: string) =>
    plainWords(s)
      .split(' ')
      .filter((w) => asked.has(w)).length;
  const [best, second] = [...sentences].sort((a, b) => shared(b) - shared(a));
  // Where two say it alike, neither is the one.
  return best !== undefined && second !== undefined && shared(best) === shared(second) ? undefined : best;
}

const escape = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const plainTyped = (text: string): string => text.replace(/[’]/g, "'");

/** A meaning helps that is short, and has at most one word that is hard itself. */
const MOST_IN_MEANING = 14;
function isPlain(meaning: string, word: string): boolean {
  const words = wordsIn(meaning);
  const hard = words.filter((w) => isHard(w) && plainWords(w) !== plainWords(word));
  return words.length <= MOST_IN_MEANING && hard.length <= 1;
}

export function draftGlossary(page: Page, most: number, lexicon: Lexicon, newId: () => Id): Proposal {
  const was = proposeHardWords(page);
  const keys = new Set(page.blocks.flatMap((b) => keyWordsOf(b).map(plainWords)));
  const entries = was
    .filter((w) => !keys.has(plainWords(w)))
    .flatMap((word) => {
      const known = lexicon(word);
      return known && isPlain(known.meaning, word) ? [{ id: newId(), word, ...known }] : [];
    })
    .slice(0, most);
  if (entries.length === 0)
    return {
      why: was.length ? 'None of its hard words has a plain meaning in the shipped list.' : 'It has no hard words.',
    };
  const first = page.blocks.findIndex((b) => b.kind !== 'heading' && b.kind !== 'instruction');
  const after = page.blocks[first - 1]?.id ?? null;
  return { kind: 'glossary', page: page.id, after, blockId: newId(), title: 'Words to know', entries, was };
}

export function draftSteps(b: Block, least: number, newId: () => Id): Proposal {
  if (b.kind !== 'instruction' && b.kind !== 'text') return { why: 'Only an instruction or a text has steps.' };
  const steps = proposeSteps(b);
  if (steps.length < least) return { why: 'It is no more than one step.' };
  const blockId = newId();
  return {
    kind: 'steps-to-tick',
    target: b.id,
    blockId,
    title: 'Tick each step when it is done.',
    steps: steps.slice(0, 40).map((text, i) => ({ id: `${blockId}-${i + 1}`.slice(0, 64), text })),
    was: plainTextOf(b),
  };
}

/** Words to who marks, not to who answers. */
const MARKING_NOTE =
  /\b(?:accept|award|allow|marks?|points? for|any (?:sensible|reasonable|two|three|of)|own answers?|answers? (?:will |may )?vary|or similar|do not accept|look for|gives? (?:a |one |two )?reasons?)\b|^(?:names|says|gives|explains|describes|mentions|lists|shows|uses|states|identifies|compares|writes)\b/i;

export function draftFlap(b: Block, lifts?: Flap['lifts']): Proposal {
  const keys = keyWordsOf(b);
  if (!isItem(b) || keys.length === 0) return { why: 'It has no key to stand under a flap.' };
  if (keys.some((k) => MARKING_NOTE.test(k))) return { why: 'Its key is a note on marking, not an answer.' };
  const text = saidUnderFlap(keys).slice(0, 2000);
  return { kind: 'flap', target: b.id, text, was: keys, question: b.prompt, ...(lifts ? { lifts } : {}) };
}

export function draftStarters(b: Block, starters: readonly string[] = STARTERS): Proposal {
  if (b.kind !== 'long-text') return { why: 'Only a long answer can begin with a starter.' };
  return {
    kind: 'sentence-starters',
    target: b.id,
    starters: [...starters],
    was: [...(b.starters ?? [])],
    question: b.prompt,
  };
}

export function draftOtherAnswer(b: Block, to: AnswerWay, wrong: readonly string[]): Proposal {
  if (!isItem(b)) return { why: 'It asks for no answer.' };
  const result = turned(b, to, wrong);
  if (typeof result === 'string') return { why: result };
  return {
    kind: 'other-answer',
    target: b.id,
    to,
    wrong: wrong.map((w) => w.trim()).filter(Boolean),
    was: answerBehind(b),
  };
}

export function draftOtherNumbers(b: Block, seed: string): Proposal {
  if (!canDraw(b))
    return { why: 'No numbers of it may be others: name them in the master, with a formula for the key.' };
  const drawn = drawNumbers(b, seed);
  return typeof drawn === 'string' ? { why: drawn } : { kind: 'other-numbers', ...otherNumbersFor(b, seed) };
}

export function draftChooseItems(content: Content, pages: readonly Id[], n: number): Proposal {
  const items = itemsWithin(content, pages);
  if (items.length <= n) return { why: `There are only ${items.length} questions.` };
  return { kind: 'choose-items', pages: [...pages], keep: chooseItems(items, n), known: items.map((i) => i.id) };
}

export const draftLeaveOut = (b: Block): Draft => ({
  kind: 'leave-out',
  what: 'block',
  target: b.id,
  was: fingerprint(b),
});

export const atLeast = (b: ItemBlock, from: Demand): boolean => DEMANDS.indexOf(b.demand) >= DEMANDS.indexOf(from);
