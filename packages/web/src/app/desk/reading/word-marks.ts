import { type Unit, type Span, rangeOf, wordsOf } from '../../ui/readable';
import { mark } from '../../ui/word-mark';
import { WORD_KINDS } from './word-kinds';

/** Marks every other part of the words that have more than one. Only languages whose parts are known. */
export async function markParts(units: readonly Unit[]): Promise<void> {
  const ranges: (Range | undefined)[] = [];
  for (const unit of units) {
    const parts = await partsIn(unit.lang);
    if (parts)
      for (const word of wordsOf(unit))
        for (const span of everyOther(parts(unit.text.slice(word.from, word.to)), word.from))
          ranges.push(rangeOf(unit, span));
  }
  mark('lv-part', ranges);
}

function everyOther(parts: readonly string[], from: number): Span[] {
  let at = from;
  return parts.flatMap((p, i) => {
    const span = { from: at, to: (at += p.length) };
    return i % 2 ? [span] : [];
  });
}

type Parter = (word: string) => readonly string[];
const parters = new Map<string, Promise<Parter>>();
const PATTERNS: Readonly<Record<string, () => Promise<{ default: Hyphen }>>> = {
  en: async () => await import('hyphen/en-gb'),
  es: async () => await import('hyphen/es'),
  fr: async () => await import('hyphen/fr'),
  uk: async () => await import('hyphen/uk'),
};
interface Hyphen {
  hyphenateSync(text: string, how: { hyphenChar: string; minWordLength: number }): string;
}

/** What parts the words of a language; undefined where that is not known. Fetched when first asked for. */
export function partsIn(lang: string): Promise<Parter> | undefined {
  const [language = ''] = lang.split('-');
  const load = PATTERNS[language];
  if (!load) return undefined;
  const known =
    parters.get(language) ??
    load().then(
      ({ default: hyphen }): Parter =>
        (word) =>
          hyphen.hyphenateSync(word, { hyphenChar: '\u00AD', minWordLength: 4 }).split('\u00AD'),
    );
  parters.set(language, known);
  return known;
}

/** Marks the kinds of word in what is English. */
export async function markKinds(units: readonly Unit[]): Promise<void> {
  const { default: nlp } = await import('compromise/two');
  const ranges = new Map<string, (Range | undefined)[]>(WORD_KINDS.map(({ kind }) => [kind, []]));
  for (const unit of units) {
    if (!unit.lang.startsWith('en')) continue;
    for (const { kind, span } of kindsOf(unit, nlp)) ranges.get(kind)?.push(rangeOf(unit, span));
  }
  for (const { kind } of WORD_KINDS) mark(`lv-kind-${kind}`, ranges.get(kind) ?? []);
}

type Nlp = (text: string) => {
  match(tag: string): { json(how: { offset: true; text: false }): Found[] };
};
interface Found {
  readonly offset?: { readonly start: number; readonly length: number };
}

/** The kinds of the words of an English text, each word once. */
export function kindsOf(
  unit: Pick<Unit, 'text' | 'lang'>,
  nlp: Nlp,
): { kind: (typeof WORD_KINDS)[number]['kind']; span: Span }[] {
  const doc = nlp(unit.text);
  const words = wordsOf(unit);
  return WORD_KINDS.flatMap(({ kind, tag }) =>
    doc
      .match(tag)
      .json({ offset: true, text: false })
      .flatMap(({ offset }) => {
        // It says where a word begins; that stops and commas are none of it, is ours.
        const span = offset && words.find((w) => w.from >= offset.start && w.from < offset.start + offset.length);
        return span ? [{ kind, span }] : [];
      }),
  );
}

export function noMarks(): void {
  mark('lv-part', []);
  for (const { kind } of WORD_KINDS) mark(`lv-kind-${kind}`, []);
}
