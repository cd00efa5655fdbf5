import { type Document, Element, isTag, Text } from 'domhandler';
import { DomUtils } from 'htmlparser2';
import { elementsOf, find, findAll, nameOf, textIn } from './qti/xml';

/** One level of a list: how it counts, and the words around the count ("%1)"). */
interface Level {
  readonly start: number;
  readonly format: string;
  readonly text: string;
}

/** A list as paragraphs name it: lists of the same `family` count on, unless they begin anew. */
interface List {
  readonly family: string;
  readonly levels: ReadonlyMap<number, Level>;
  /** Levels that begin anew where the list is first used, with their first number. */
  readonly anew: ReadonlyMap<number, number>;
}

/** Where a paragraph is in which list. */
interface Place {
  readonly list: string;
  readonly level: number;
}

/** Levels are counted to this depth, as the format has it. */
const MOST_LEVELS = 9;

const child = (el: Element | undefined, name: string): Element | undefined =>
  el?.children.find((c): c is Element => isTag(c) && nameOf(c) === name);
const valueOf = (el: Element | undefined): string | undefined => el?.attribs['w:val'];
const numberIn = (el: Element | undefined, otherwise: number): number => {
  const n = Number(valueOf(el) ?? NaN);
  return Number.isInteger(n) && n >= 0 && n < 10_000 ? n : otherwise;
};

function levelsOf(el: Element): Map<number, Level> {
  return new Map(
    el.children
      .filter((c): c is Element => isTag(c) && nameOf(c) === 'lvl')
      .map((l) => [
        Number(l.attribs['w:ilvl'] ?? 0),
        {
          start: numberIn(child(l, 'start'), 1),
          format: valueOf(child(l, 'numFmt')) ?? 'decimal',
          text: valueOf(child(l, 'lvlText')) ?? '%1.',
        },
      ]),
  );
}

/** The lists of a document, by their ids. */
function listsOf(numbering: Document): Map<string, List> {
  const families = new Map(
    findAll(numbering, 'abstractNum').map((a) => [a.attribs['w:abstractNumId'] ?? '', levelsOf(a)]),
  );
  return new Map(
    findAll(numbering, 'num').flatMap((n): [string, List][] => {
      const family = valueOf(child(n, 'abstractNumId')) ?? '';
      const levels = families.get(family);
      if (!levels) return [];
      const overrides = n.children.filter((c): c is Element => isTag(c) && nameOf(c) === 'lvlOverride');
      const own = new Map(overrides.flatMap((o) => [...levelsOf(o)]));
      const anew = overrides.flatMap((o): [number, number][] => {
        const start = child(o, 'startOverride');
        return start ? [[Number(o.attribs['w:ilvl'] ?? 0), numberIn(start, 1)]] : [];
      });
      return [[n.attribs['w:numId'] ?? '', { family, levels: new Map([...levels, ...own]), anew: new Map(anew) }]];
    }),
  );
}

const placeIn = (props: Element | undefined): Partial<Place> => {
  const own = child(props, 'numPr');
  const [list, level] = [valueOf(child(own, 'numId')), valueOf(child(own, 'ilvl'))];
  return { ...(list === undefined ? {} : { list }), ...(level === undefined ? {} : { level: Number(level) || 0 }) };
};

/** Where the paragraphs of each style are in a list, their basis' included; titles are in none. */
function placesOf(styles: Document | null): (style: string | undefined) => Partial<Place> {
  const all = new Map((styles ? findAll(styles, 'style') : []).map((s) => [s.attribs['w:styleId'] ?? '', s]));
  return (style) => {
    let place: Partial<Place> = {};
    let at = style === undefined ? undefined : all.get(style);
    for (let n = 0; at && n < MOST_LEVELS; n++) {
      place = { ...placeIn(child(at, 'pPr')), ...place };
      at = all.get(valueOf(child(at, 'basedOn')) ?? '');
    }
    return place;
  };
}

const PICTURES = ['drawing', 'pict', 'object'];
/** Whether the same stands in the document a second time, for older programs: that one is read. */
function isTwice(p: Element): boolean {
  for (let el = p.parent; el; el = el.parent) if (isTag(el) && nameOf(el) === 'Choice') return true;
  return false;
}

const ROMAN: readonly (readonly [number, string])[] = [
  [100, 'c'],
  [90, 'xc'],
  [50, 'l'],
  [40, 'xl'],
  [10, 'x'],
  [9, 'ix'],
  [5, 'v'],
  [4, 'iv'],
  [1, 'i'],
];
function roman(n: number): string {
  let [left, words] = [Math.min(n, 399), ''];
  for (const [value, sign] of ROMAN) for (; left >= value; left -= value) words += sign;
  return words;
}
const letter = (n: number): string => String.fromCharCode(97 + ((n - 1) % 26)).repeat(Math.ceil(Math.min(n, 260) / 26));

function counted(n: number, format: string): string {
  if (n < 1) return `${n}`;
  if (format === 'lowerLetter') return letter(n);
  if (format === 'upperLetter') return letter(n).toUpperCase();
  if (format === 'lowerRoman') return roman(n);
  return format === 'upperRoman' ? roman(n).toUpperCase() : `${n}`;
}

/**
 * Writes the numbers, letters and bullets that a word processor counts itself into the paragraphs of a document, as its
 * reader sees them: whatever stands between two paragraphs of a list, it counts on. Says whether anything was written.
 */
export function writeNumbers(doc: Document, numbering: Document, styles: Document | null): boolean {
  const lists = listsOf(numbering);
  const placeOf = placesOf(styles);
  const counts = new Map<string, number[]>();
  const begun = new Set<string>();
  let wrote = false;
  for (const p of [...elementsOf(doc)]) {
    if (nameOf(p) !== 'p' || isTwice(p)) continue;
    const props = child(p, 'pPr');
    const isEmpty = !/\S/.test(textIn(p)) && !PICTURES.some((name) => find(p, name));
    // A hidden paragraph is not counted.
    if (isEmpty && child(child(props, 'rPr'), 'vanish')) continue;
    const style = valueOf(child(props, 'pStyle'));
    const { list: id, level: at = 0 } = { ...placeOf(style), ...placeIn(props) };
    const list = lists.get(id ?? '');
    const level = list?.levels.get(at);
    if (!list || !level || at >= MOST_LEVELS || /^(?:heading|title|überschrift|titre|título)/i.test(style ?? ''))
      continue;
    const count = counts.get(list.family) ?? [];
    counts.set(list.family, count);
    if (!begun.has(id ?? '')) for (const [l, start] of list.anew) count[l] = start - 1;
    begun.add(id ?? '');
    count[at] = (count[at] ?? level.start - 1) + 1;
    count.length = at + 1;
    const mark =
      level.format === 'bullet'
        ? '•'
        : level.format === 'none'
          ? ''
          : level.text.replace(/%([1-9])/g, (_, d: string) => {
              const of = list.levels.get(Number(d) - 1);
              return counted(count[Number(d) - 1] ?? of?.start ?? 1, of?.format ?? 'decimal');
            });
    if (mark.trim() === '' || isEmpty) continue;
    wrote = true;
    const text = new Element('w:t', { 'xml:space': 'preserve' }, [new Text(`${mark.slice(0, 20)} `)]);
    const run = new Element('w:r', {}, [text]);
    if (props) DomUtils.append(props, run);
    else DomUtils.prependChild(p, run);
  }
  return wrote;
}
