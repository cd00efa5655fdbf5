import type { Span, Words } from '../platform/word-text';

/** One stretch of a text: letters of a text node, or words that stand for a field or a picture (`node` is null). */
interface Piece {
  /** The letters of the unit's text it covers: from, and up to but without. */
  readonly from: number;
  readonly to: number;
  readonly node: Text | null;
  readonly element: Element;
}

/** What is read in one go: a paragraph, a choice, a label, a picture by its description. */
export interface Unit extends Words {
  readonly element: Element;
  readonly pieces: readonly Piece[];
}

const UNITS =
  'p, li, dt, dd, h1, h2, h3, h4, h5, h6, td, th, label, legend, button, summary, figcaption, caption, blockquote';
/** What is not for reading: told to screen readers only, drawn, or a control around the page. */
const QUIET = '[aria-hidden="true"], .sr:not(.prompt), script, style, svg, audio, video, [hidden], [data-quiet]';
const FIELDS = 'input, textarea, select';
/** Where a place to write in is still empty: a short pause. */
const GAP = ' … ';

/** Everything in a part of the page that can be read, in its order. */
export function unitsIn(root: Element): Unit[] {
  const found = new Map<Element, { text: string; pieces: Piece[] }>();
  const add = (element: Element, unit: Element, words: string, node: Text | null) => {
    const at = found.get(unit) ?? { text: '', pieces: [] };
    found.set(unit, at);
    at.pieces.push({ from: at.text.length, to: at.text.length + words.length, node, element });
    at.text += words;
  };
  const walk = (element: Element, unit: Element) => {
    const within = element.matches(UNITS) ? element : unit;
    for (const child of element.childNodes) {
      if (child instanceof Text) {
        // A text of its own between parts of a page is a unit too.
        const own = within === root || !within.contains(element) ? element : within;
        if (child.data) add(element, own, child.data, child);
        continue;
      }
      if (!(child instanceof Element) || child.matches(QUIET) || isHidden(child)) continue;
      const words = wordsFor(child);
      if (words === null) walk(child, within);
      else if (words) add(child, found.has(within) ? within : child, words, null);
    }
  };
  walk(root, root);
  return [...found].flatMap(([element, { text, pieces }]) =>
    /[\p{L}\p{N}]/u.test(text) ? [{ element, text, pieces, lang: languageOf(text, element) }] : [],
  );
}

/** Whether nobody sees it. What has no box of its own (`display: contents`) is as visible as what is in it. */
const isHidden = (element: Element): boolean =>
  'checkVisibility' in element &&
  !element.checkVisibility({ visibilityProperty: true }) &&
  getComputedStyle(element).display !== 'contents';

/** What is said for a field or a picture; null where its content speaks for itself. */
function wordsFor(element: Element): string | null {
  if (element instanceof HTMLSelectElement) {
    const chosen = element.value && element.selectedOptions[0]?.text;
    return ` ${chosen || [...element.options].flatMap((o) => (o.value ? [o.text] : [])).join(', ')} `;
  }
  if (element instanceof HTMLInputElement)
    return /^(radio|checkbox|range|file|hidden|color)$/.test(element.type) ? '' : written(element.value);
  if (element instanceof HTMLTextAreaElement) return written(element.value);
  if (element.matches('img, [role="img"]'))
    return (element.getAttribute('alt') ?? element.getAttribute('aria-label') ?? '').trim();
  return element.matches(FIELDS) ? '' : null;
}

const written = (value: string): string => (value.trim() ? ` ${value} ` : GAP);

/** Scripts that tell something of a language: the letters, the languages written in them, the likeliest one first. */
const SCRIPTS = [
  { letters: /\p{Script=Arabic}/u, languages: ['ar', 'fa', 'ur', 'ku', 'ps'] },
  { letters: /\p{Script=Cyrillic}/u, languages: ['uk', 'ru', 'bg', 'be', 'sr', 'mk'] },
  { letters: /\p{Script=Hebrew}/u, languages: ['he', 'yi'] },
] as const;

/** The language of a text: as it is marked where that is written in these letters, else by its letters. */
export function languageOf(text: string, element?: Element | null): string {
  const marked = element?.closest('[lang]')?.getAttribute('lang') || 'en';
  const [language] = marked.split('-');
  const written = (of: readonly string[]) => of.includes(language ?? '');
  const script = SCRIPTS.find((s) => s.letters.test(text));
  if (script) return written(script.languages) ? marked : script.languages[0];
  return SCRIPTS.some((s) => written(s.languages)) ? 'en' : marked;
}

/** Letters of a unit as a range of the page; undefined where they stand in no text, such as in a field. */
export function rangeOf({ pieces }: Unit, { from, to }: Span): Range | undefined {
  const held = pieces.filter((p): p is Piece & { node: Text } => !!p.node && p.from < to && p.to > from);
  const [first, last] = [held[0], held.at(-1)];
  if (!first || !last || !first.node.isConnected || !last.node.isConnected) return undefined;
  const range = document.createRange();
  range.setStart(first.node, Math.max(0, from - first.from));
  range.setEnd(last.node, Math.min(last.node.data.length, to - last.from));
  return range;
}

/** The place of a letter of a text node in its unit; undefined where the unit does not hold it. */
export function placeIn({ pieces }: Unit, node: Node, offset: number): number | undefined {
  const piece = pieces.find((p) => p.node === node);
  return piece && piece.from + Math.min(offset, piece.to - piece.from);
}
