import { type Block, isItem, type ItemBlock, keyWordsOf } from '../activity/blocks';
import { plainWords } from '../work/plain-words';
import { wordsAsNumber } from '../work/mark/number-words';
import { sameNoun } from '../nouns';
import { clueIn, spelt } from './clues';
import { timeInWords } from './time-words';

/** How a text tells an answer. */
export type Reveal =
  | { readonly how: 'says'; readonly form: string }
  /** It is one of two that are offered: "a cat or a dog?" */
  | { readonly how: 'offers'; readonly form: string }
  | { readonly how: 'rules out' }
  | { readonly how: 'model' }
  /** It leads there without saying it; how, as the beginning of a sentence. */
  | { readonly how: 'clue'; readonly what: string }
  | null;

/** Words that stand in any text: only "the answer is no" tells them. */
const COMMON = new Set(
  'a an the i it is in on of to up at by or and no yes not so as if be do go he she we you they one two true false right wrong left more less all none some long short here there good bad big small up down before after'.split(
    ' ',
  ),
);
const wordsIn = (text: string): string[] => plainWords(text).match(/[\p{L}\p{N}]+(?:'\p{L}+)?/gu) ?? [];
const NEGATES =
  /\b(?:not|no|never|neither|nor|isn't|aren't|wasn't|don't|doesn't|cannot|can't|wrong|except|rule out|cross out)\b/i;
/** A figure that names a place, not an amount. */
const PLACE = /\b(?:page|line|question|step|paragraph|number|no|q|part|row|column|picture|exercise)\.? *$/i;

/** The numbers that a text says, in figures or words; those that name a place ("page 7") are none, nor dates and times. */
export function numbersSaid(text: string): number[] {
  const inFigures = [...text.matchAll(/(?<![\d.,:/])\d+(?:[.,]\d+)?(?![\d:/]|[.,]\d)/g)].flatMap((m) =>
    PLACE.test(text.slice(Math.max(0, m.index - 12), m.index)) ? [] : [Number(m[0].replace(',', '.'))],
  );
  const words = text.toLowerCase().split(/[^\p{L}-]+/u);
  // "One" is a word of any text.
  const inWords = words.flatMap((w, i) =>
    w === 'one' || w === 'none' ? [] : w === 'dozen' && words[i - 1] === 'a' ? 12 : (wordsAsNumber(w) ?? []),
  );
  return [...inFigures, ...inWords, ...longNumbers(text)];
}

/** "two hundred and fifty": numbers that are more than one word. */
function longNumbers(text: string): number[] {
  const runs =
    text
      .toLowerCase()
      .match(
        /(?:\b(?:an?|one|two|three|four|five|six|seven|eight|nine|ten|\p{L}+teen|\p{L}+ty(?:-\p{L}+)?|eleven|twelve)\b ?)?\b(?:hundred|thousand)\b(?: (?:and )?\p{L}+(?:[- ]\p{L}+)?)?/gu,
      ) ?? [];
  return runs.flatMap((run) => {
    const words = run.trim().split(' ');
    for (let n = words.length; n > 0; n--) {
      const value = wordsAsNumber(words.slice(0, n).join(' '));
      if (value !== null) return [value];
    }
    return [];
  });
}

/** Whether words stand in a text in their order, the last one in the singular or plural. */
function holdsWords(text: readonly string[], words: readonly string[]): boolean {
  return (
    words.length > 0 &&
    text.some((_, i) =>
      words.every((w, k) => {
        const said = text[i + k] ?? '';
        return said === w || (k === words.length - 1 && said.length > 2 && sameNoun(said, w));
      }),
    )
  );
}

/** Whether a text names a common word as an answer: "The answer is no", or it alone. */
function namesAsAnswer(text: string, key: string): boolean {
  const plain = plainWords(text);
  const escaped = key.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  return (
    plain === key ||
    new RegExp(
      `\\b(?:answers?|solution|key|choose|tick|write|say|pick|circle)(?: (?:is|it|with|the))* ["'“‘]?${escaped}\\b`,
      'u',
    ).test(plain) ||
    new RegExp(`["“‘]${escaped}["”’]`, 'iu').test(text)
  );
}

/** Whether a form of the key stands before or behind an "or": "Is it a cat or a dog?" says neither. */
function isOffered(text: string, form: string): boolean {
  const words = wordsIn(text).filter((w) => w !== 'a' && w !== 'an' && w !== 'the');
  const key = wordsIn(form);
  const [first = '', last = ''] = [key[0], key.at(-1)];
  return words.some((w, i) => w === 'or' && (words[i - 1] === last || words[i + 1] === first));
}

/** The forms in which the key of an item can stand in a text: its accepted words, and its number. */
interface Forms {
  readonly words: readonly string[];
  readonly numbers: readonly number[];
}

export function keyForms(item: ItemBlock): Forms {
  const keys =
    item.kind === 'gaps' || item.kind === 'table-fill'
      ? keyWordsOf(item).flatMap((k) => k.split(' / '))
      : keyWordsOf(item);
  const pure = item.kind === 'number' ? [] : keys.map((k) => k.trim()).filter(Boolean);
  const value = (text: string) =>
    /^[-+]?\d+(?:[.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : wordsAsNumber(text);
  const numbers = pure.flatMap((k) => value(k) ?? []);
  return {
    words: pure.filter((k) => value(k) === null),
    numbers: item.kind === 'number' ? ofNumber(item.key, item.unit) : numbers,
  };
}

/** A number, and for a percentage also the part that it is: "a half". */
const ofNumber = (key: number | null, unit: string): number[] =>
  key === null ? [] : unit === '%' ? [key, key / 100] : [key];

/** The form of a key that a text says, if any. */
function formSaid(text: string, { words, numbers }: Forms): string | null {
  const said = wordsIn(text);
  for (const w of words) {
    const key = wordsIn(w);
    const isCommon = key.every((k) => COMMON.has(k) || k.length < 2);
    if (w.length > 2 && key.length === 1 && spelt(text, w)) return w;
    if (isCommon ? namesAsAnswer(text, plainWords(w)) : holdsWords(said, key)) return w;
  }
  const plain = ` ${said.join(' ')} `;
  for (const w of words) if (timeInWords(w).some((t) => plain.includes(` ${t} `))) return w;
  const amounts = numbersSaid(text);
  const n = numbers.find((k) => amounts.includes(k));
  return n === undefined ? null : String(n);
}

const optionsOf = (item: ItemBlock) => ('options' in item ? item.options : []);
const keysOf = (item: ItemBlock): readonly string[] =>
  item.kind === 'single-choice' ? [item.key] : item.kind === 'multiple-choice' ? item.key : [];

/** The choices that a text names by their letters: "B and C are wrong." "A" is mostly no letter. */
const lettersSaid = (text: string): number[] =>
  [...text.matchAll(/(?<![\p{L}'’])([A-H])(?=[,.)]|\s(?:and|or|is|are|nor)\b|$)/gu)].map(
    (m) => (m[1] ?? '').charCodeAt(0) - 65,
  );

/** Whether a text names the right choice by its letter or its place: "It is B.", "Take the last one." */
function namesByPlace(text: string, item: ItemBlock): boolean {
  const options = optionsOf(item);
  const letter = /\b(?:answer|choice|it)(?: is|:)? (?:choice |letter )?\(?([A-H])\b(?!['’])/.exec(text)?.[1];
  const ordinal = /\bthe (first|second|third|fourth|last)(?: one| choice| answer)?\b/i.exec(text)?.[1]?.toLowerCase();
  const at = letter
    ? letter.charCodeAt(0) - 65
    : ordinal === 'last'
      ? options.length - 1
      : ['first', 'second', 'third', 'fourth'].indexOf(ordinal ?? '');
  return keysOf(item).includes(options[at]?.id ?? ' ');
}

/** Words that carry what a model answer says. */
const telling = (text: string): Set<string> => new Set(wordsIn(text).filter((w) => w.length >= 4 && !COMMON.has(w)));
/** The share of a model answer's words that make a text a model answer. */
const MODEL_SHARE = 0.6;
const CLUE_SHARE = 0.4;

/** How a text tells the answer of an item that `before`, what could be read until then, did not. */
export function revealOf(text: string, item: Block, before: string): Reveal {
  if (!isItem(item) || text.trim() === '') return null;
  if (item.kind === 'long-text') {
    const key = telling(item.key);
    const said = telling(text);
    const known = telling(`${before} ${item.prompt}`);
    const fresh = [...key].filter((w) => !known.has(w));
    const told = fresh.filter((w) => said.has(w)).length;
    if (fresh.length >= 3 && told >= fresh.length * MODEL_SHARE) return { how: 'model' };
    return fresh.length >= 3 && told >= fresh.length * CLUE_SHARE
      ? { how: 'clue', what: 'It has some of the words of the model answer' }
      : null;
  }
  if (item.kind === 'matching') {
    const pair = item.pairs.find(
      (p) => holdsWords(wordsIn(text), wordsIn(p.text)) && holdsWords(wordsIn(text), wordsIn(p.match.text)),
    );
    return pair ? { how: 'says', form: `${pair.text} – ${pair.match.text}` } : null;
  }
  if (item.kind === 'sorting') {
    const said = wordsIn(text);
    const piece = item.pieces.find((p) => {
      const group = item.groups.find((g) => g.id === p.group);
      return group && holdsWords(said, wordsIn(p.text)) && holdsWords(said, wordsIn(group.text));
    });
    return piece ? { how: 'says', form: piece.text } : null;
  }
  if (item.kind === 'ordering') return null;
  const forms = keyForms(item);
  const known = formSaid(before, forms);
  const form = formSaid(text, forms);
  if (optionsOf(item).length) {
    const wrong = optionsOf(item).filter((o) => !keysOf(item).includes(o.id) && o.text.trim());
    const said = wordsIn(text);
    const named = wrong.filter(
      (o) => holdsWords(said, wordsIn(o.text)) || lettersSaid(text).includes(optionsOf(item).indexOf(o)),
    );
    if (wrong.length > 0 && named.length === wrong.length && NEGATES.test(text)) return { how: 'rules out' };
    if (wrong.length > 1 && named.length === wrong.length - 1 && NEGATES.test(text) && form === null)
      return { how: 'clue', what: 'It leaves two choices of which one is' };
    if (namesByPlace(text, item)) return { how: 'says', form: 'the right choice' };
    // A hint that names all choices, the right one among them, tells nothing.
    if (form !== null && wrong.length > 0 && named.length === wrong.length) return null;
  }
  if (form === null) {
    const what = known === null ? clueIn(text, before, forms) : null;
    return what === null ? null : { how: 'clue', what };
  }
  if (known === form) return null;
  return { how: isOffered(text, form) ? 'offers' : 'says', form };
}
