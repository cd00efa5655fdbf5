import { type AnyNode, type Element, isComment, isTag, isText } from 'domhandler';
import { DomUtils, parseDocument } from 'htmlparser2';
import { notTooDeep } from '../formats/nesting';
import { PAGE_BREAK } from '../formats/word';
import { inSpaces } from '../spaces';
import { hiddenByStyle, isHidden } from './hidden';
import { asChoice } from './marks';
import type { Material, MaterialPage, Part } from './material';

/** Elements of which nothing is read. */
const SKIPPED = new Set([
  'script',
  'style',
  'template',
  'noscript',
  'iframe',
  'object',
  'embed',
  'svg',
  'math',
  'head',
  'title',
  'nav',
  'form',
  'select',
  'button',
]);
const BLOCKS = new Set([
  'p',
  'div',
  'section',
  'article',
  'main',
  'header',
  'footer',
  'blockquote',
  'figure',
  'figcaption',
  'address',
  'pre',
  'body',
  'html',
  'dl',
  'dt',
  'dd',
  'details',
  'summary',
  'aside',
  'center',
  'td',
  'th',
  'li',
  'ul',
  'ol',
  'table',
  'tr',
  'tbody',
  'thead',
]);

/** What stands apart from the words around it. */
const FRAMES = new Set(['blockquote', 'aside', 'details']);

/** A picture found in HTML: where its bytes are. */
export interface FoundPicture {
  readonly src: string;
  readonly alt: string;
}

interface Reading {
  readonly pages: Part[][];
  readonly pictures: FoundPicture[];
  readonly left: Set<string>;
  /** Selectors of what the file's own styles hide: an element, a class or an id. */
  readonly hides: ReadonlySet<string>;
  /** Frames so far, and the one that is read. */
  frames: number;
  frame: number | null;
}

/**
 * Reads HTML as words, lists, tables and pictures. Nothing of it is kept as markup: what is not known is read for its
 * words or left out, and what is left out is said.
 */
export function readHtml(html: string, name: string): { material: Material; pictures: readonly FoundPicture[] } {
  const doc = notTooDeep(parseDocument(html), name);
  const hides = hiddenByStyle(doc.children);
  const reading: Reading = { pages: [[]], pictures: [], left: new Set(), hides, frames: 0, frame: null };
  walk(doc.children, reading, { inline: '' });
  const pages = reading.pages
    .filter((parts, i) => parts.length > 0 || (i === 0 && reading.pages.length === 1))
    .map((parts, i): MaterialPage => ({ n: i + 1, parts }));
  return { material: { name, pages, left: [...reading.left] }, pictures: reading.pictures };
}

const partsOf = (r: Reading): Part[] => r.pages[r.pages.length - 1] as Part[];
const put = (r: Reading, part: Part): void =>
  void partsOf(r).push(r.frame === null ? part : { ...part, frame: r.frame });
/** Reads what stands in a frame; a frame within one is no other. */
function framed(r: Reading, read: () => void): void {
  const outer = r.frame;
  r.frame ??= ++r.frames;
  read();
  r.frame = outer;
}
const flat = (text: string): string =>
  text
    .replace(/[ \t\r\f\n]+/g, ' ')
    .replace(/ ?\u0000 ?/g, '\n')
    .trim();

interface Flow {
  inline: string;
}

function say(r: Reading, flow: Flow, marker?: string): void {
  const text = flat(flow.inline);
  flow.inline = '';
  if (text) put(r, { kind: 'paragraph', text, ...(marker ? { marker } : {}) });
}

function walk(nodes: readonly AnyNode[], r: Reading, flow: Flow): void {
  for (const node of nodes) {
    if (isText(node)) flow.inline += node.data;
    else if (isTag(node)) element(node, r, flow);
    else if (isComment(node) && /\S/.test(node.data)) r.left.add('Comments within the file were left out.');
  }
  say(r, flow);
}

/** Struck out or hidden: what nobody reads on the page. */
const isUnread = (el: Element, r: Reading): boolean =>
  isHidden(el, r.hides) || ['del', 's', 'strike'].includes(el.name);

function element(el: Element, r: Reading, flow: Flow): void {
  const tag = el.name.toLowerCase();
  if (/page-break-before\s*:\s*always|break-before\s*:\s*page/.test(el.attribs['style'] ?? '') && partsOf(r).length) {
    say(r, flow);
    r.pages.push([]);
  }
  if (isUnread(el, r)) {
    if (/\S/.test(DomUtils.textContent(el))) r.left.add('Hidden or struck out words were left out.');
    return;
  }
  if (SKIPPED.has(tag)) {
    if (!['head', 'title', 'style', 'script', 'template', 'noscript'].includes(tag))
      r.left.add(`A part of the kind <${tag}> was left out.`);
    return;
  }
  if (/^h[1-6]$/.test(tag)) {
    say(r, flow);
    const text = flat(wordsIn(el, r));
    if (text) put(r, { kind: 'heading', text, level: tag === 'h1' ? 1 : 2, rank: Number(tag[1]) });
    return;
  }
  switch (tag) {
    case 'br':
      flow.inline += '\u0000';
      return;
    case 'hr':
      say(r, flow);
      if (el.attribs['class'] === PAGE_BREAK) {
        if (partsOf(r).length) r.pages.push([]);
        return;
      }
      put(r, { kind: 'rule' });
      return;
    case 'img':
      say(r, flow);
      picture(el, r);
      return;
    case 'table':
      say(r, flow);
      table(el, r);
      return;
    case 'ul':
    case 'ol':
      say(r, flow);
      list(el, r, levelOf(el));
      return;
    case 'input':
      flow.inline += /^(checkbox|radio)$/.test(el.attribs['type'] ?? '')
        ? 'checked' in el.attribs
          ? ' ☑ '
          : ' ☐ '
        : ' ________ ';
      return;
    case 'strong':
    case 'b':
    case 'em':
    case 'i':
      flow.inline += marked(el, r, tag === 'strong' || tag === 'b' ? '**' : '*');
      return;
    case 'audio':
    case 'video':
      r.left.add(`A ${tag === 'audio' ? 'sound' : 'video'} was left out: bring it in as a file of its own.`);
      return;
  }
  if (BLOCKS.has(tag)) {
    say(r, flow);
    const read = () => walk(el.children, r, { inline: '' });
    if (FRAMES.has(tag)) framed(r, read);
    else read();
    return;
  }
  // Anything else is read for its words.
  for (const child of el.children) {
    if (isText(child)) flow.inline += child.data;
    else if (isTag(child)) element(child, r, flow);
  }
}

/** Strong and stressed words keep their marks, unless they hold a picture or nothing. */
function marked(el: Element, r: Reading, mark: string): string {
  const words = wordsIn(el, r);
  const { lead, body, tail } = inSpaces(words);
  return body && !/[*_]/.test(body) ? `${lead}${mark}${body}${mark}${tail}` : words;
}

function wordsIn(el: Element, r: Reading): string {
  return el.children
    .map((c) => {
      if (isText(c)) return c.data;
      if (!isTag(c) || SKIPPED.has(c.name)) return '';
      if (isUnread(c, r)) {
        if (/\S/.test(DomUtils.textContent(c))) r.left.add('Hidden or struck out words were left out.');
        return '';
      }
      if (c.name === 'br') return '\u0000';
      if (c.name === 'img') {
        picture(c, r);
        return '';
      }
      const words = wordsIn(c, r);
      // What is a line of its own stays one.
      return BLOCKS.has(c.name) && c.next ? `${words}\u0000` : words;
    })
    .join('');
}

function picture(el: Element, r: Reading): void {
  const src = el.attribs['src'] ?? '';
  if (!src) return;
  put(r, { kind: 'picture', picture: r.pictures.length, alt: (el.attribs['alt'] ?? '').trim() });
  r.pictures.push({ src, alt: (el.attribs['alt'] ?? '').trim() });
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** How deep a list is that stands by itself: some programs write nested ones so, and say the level in their class only. */
const levelOf = (el: Element): number =>
  Number(/(?:^|\s)lst-\S{1,60}-(\d)(?!\S)/.exec(el.attribs['class'] ?? '')?.[1] ?? 0);

/** A list's entries are paragraphs with their markers, so that a numbered list can be questions and a lettered one choices. */
function list(el: Element, r: Reading, depth: number): void {
  const ordered = el.name === 'ol';
  const type = el.attribs['type'] ?? (depth > 0 && ordered ? 'a' : '1');
  let n = Number(el.attribs['start'] ?? '1') || 1;
  for (const child of el.children) {
    if (!isTag(child)) continue;
    if (child.name === 'ul' || child.name === 'ol') {
      list(child, r, depth + 1);
      continue;
    }
    if (child.name !== 'li') continue;
    const marker = !ordered
      ? depth > 0
        ? `${LETTERS[(n - 1) % 26]}.`
        : '•'
      : /^a$/i.test(type)
        ? `${LETTERS[(n - 1) % 26]}.`
        : `${n}.`;
    n++;
    const inner: Flow = { inline: '' };
    let first = true;
    const flush = () => {
      // A bullet before a choice's own letter says nothing.
      const own = !ordered && asChoice(flat(inner.inline)) !== null;
      const nothing = flat(inner.inline) === '';
      say(r, inner, first && !own ? marker : undefined);
      // A number alone stands before what follows it.
      first &&= nothing;
    };
    for (const part of child.children) {
      if (isTag(part) && (part.name === 'ul' || part.name === 'ol')) {
        flush();
        list(part, r, depth + 1);
      } else if (isTag(part) && (BLOCKS.has(part.name) || part.name === 'img')) {
        if (inner.inline.trim()) flush();
        if (part.name === 'p' || part.name === 'div') {
          inner.inline += wordsIn(part, r);
          flush();
        } else element(part, r, inner);
      } else if (isTag(part)) element(part, r, inner);
      else if (isText(part)) inner.inline += part.data;
    }
    if (inner.inline.trim()) flush();
  }
}

function table(el: Element, r: Reading): void {
  const rows: Element[][] = [];
  const visit = (node: Element) => {
    for (const c of node.children) {
      if (!isTag(c)) continue;
      if (c.name === 'tr') rows.push(c.children.filter(isTag).filter((x) => x.name === 'td' || x.name === 'th'));
      else if (c.name !== 'table') visit(c);
    }
  };
  visit(el);
  const width = Math.max(0, ...rows.map((x) => x.length));
  // A table of one column is a frame round its words.
  if (width === 1)
    framed(r, () => {
      for (const [cell] of rows) {
        const before = partsOf(r).length;
        if (cell) walk(cell.children, r, { inline: '' });
        if (partsOf(r).length === before) put(r, { kind: 'box' });
      }
    });
  else if (width > 1)
    put(r, {
      kind: 'table',
      rows: rows.map((x) =>
        Array.from({ length: width }, (_, i) => {
          const cell = x[i];
          return cell ? flat(wordsIn(cell, r)) : '';
        }),
      ),
    });
}
