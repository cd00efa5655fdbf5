import { type AnyNode, type Document, Element, isTag } from 'domhandler';
import { strFromU8, strToU8, zipSync } from 'fflate';
import { DomUtils, parseDocument } from 'htmlparser2';
import { notTooDeep } from './nesting';
import { elementsOf, findAll, nameOf, textIn } from './qti/xml';
import { writeNumbers } from './word-numbers';
import { PACK_LIMITS, unzip } from './zip';
import { counted } from '../counted';

/** A Word document as its reader shows it. */
export interface WordFile {
  /** A document that holds nothing hidden, and whose parts lie in it unpacked. */
  readonly file: ArrayBuffer;
  /** What was there besides and is left out, in words. */
  readonly left: readonly string[];
}

const DECLARATION = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';

const NO_LISTS = `${DECLARATION}<w:numbering xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"/>`;

/** The class of what stands where a page ends. */
export const PAGE_BREAK = 'page-break';
/** How page ends are to be written, in the words of the reader that makes HTML of the document. */
export const PAGE_BREAK_STYLE = `br[type='page'] => hr.${PAGE_BREAK}:fresh`;

/**
 * A Word document without what its reader does not see: hidden words and white ones, deletions and comments are taken out and named,
 * its own numbers are written out, and a page that begins with its paragraph ends the page before. Its parts have been unpacked within the limits and lie
 * in it as they are: whoever reads it cannot be made to unpack more. Throws a Problem as `unzip` does.
 */
export function wordFile(bytes: Uint8Array): WordFile {
  const files = { ...unzip(bytes, 'Word document', PACK_LIMITS) };
  const left: string[] = [];
  const styles = xmlOf(files['word/styles.xml'], 'word/styles.xml');
  const numbering = xmlOf(files['word/numbering.xml'], 'word/numbering.xml');
  const hidden = hiddenStyles(styles);
  const seen = { hidden: 0, deleted: 0 };
  for (const name of Object.keys(files)) {
    if (!/^word\/(?:document|footnotes|endnotes)\d*\.xml$/.test(name)) continue;
    const doc = xmlOf(files[name], name);
    if (!doc) continue;
    const changed = clean(doc, hidden, seen);
    const numbered = numbering !== null && writeNumbers(doc, numbering, styles);
    if (!changed && !numbered) continue;
    // The declaration is written anew: the serializer leaves its last sign out.
    const roots = doc.children.filter(isTag);
    files[name] = strToU8(`${DECLARATION}${roots.map((r) => DomUtils.getOuterHTML(r, { xmlMode: true })).join('')}`);
  }
  // The numbers stand in the paragraphs by now.
  if (numbering) files['word/numbering.xml'] = strToU8(NO_LISTS);
  if (seen.hidden) left.push('Hidden words were left out.');
  if (seen.deleted) left.push('Words that had been deleted, and kept by the word processor, were left out.');
  const comments = xmlOf(files['word/comments.xml'], 'word/comments.xml');
  const count = comments ? findAll(comments, 'comment').length : 0;
  if (count) left.push(counted(count, 'A comment was left out.', '{n} comments were left out.'));
  const whole = zipSync(files, { level: 0 });
  return { file: whole.buffer as ArrayBuffer, left };
}

function xmlOf(bytes: Uint8Array | undefined, name: string): Document | null {
  return bytes ? notTooDeep(parseDocument(strFromU8(bytes), { xmlMode: true }), name) : null;
}

/** Whether a switch is on: it is, unless it says otherwise. */
const isOn = (el: Element | undefined): boolean =>
  el !== undefined && !/^(?:0|false|off|none)$/i.test(el.attribs['w:val'] ?? '');
const child = (el: Element, name: string): Element | undefined =>
  el.children.find((c): c is Element => isTag(c) && nameOf(c) === name);

/** Ids of the styles whose words are hidden. */
function hiddenStyles(doc: Document | null): Set<string> {
  return new Set(
    (doc ? findAll(doc, 'style') : []).flatMap((s) => {
      const props = child(s, 'rPr');
      return props && isOn(child(props, 'vanish')) ? [s.attribs['w:styleId'] ?? ''] : [];
    }),
  );
}

/** Takes out what is not to be read; says whether anything changed. */
function clean(doc: Document, hidden: ReadonlySet<string>, seen: { hidden: number; deleted: number }): boolean {
  const gone: Element[] = [];
  const breaks: Element[] = [];
  for (const el of elementsOf(doc)) {
    const name = nameOf(el);
    if (name === 'del' || name === 'moveFrom') {
      if (words(el)) seen.deleted++;
      gone.push(el);
    } else if (name === 'r' && (isHidden(el, hidden) || isWhite(el))) {
      if (words(el)) seen.hidden++;
      gone.push(el);
    } else if (name === 'p') {
      const props = child(el, 'pPr');
      if (props && isOn(child(props, 'pageBreakBefore'))) breaks.push(el);
    }
  }
  for (const el of gone) DomUtils.removeElement(el);
  for (const p of breaks) DomUtils.prepend(p, pageEnd());
  return gone.length + breaks.length > 0;
}

const words = (el: Element): boolean => /\S/.test(textIn(el));

function isHidden(run: Element, hidden: ReadonlySet<string>): boolean {
  const props = child(run, 'rPr');
  const own = props && child(props, 'vanish');
  if (own) return isOn(own);
  const style = (props && child(props, 'rStyle'))?.attribs['w:val'];
  if (style !== undefined && hidden.has(style)) return true;
  const p = run.parent;
  const paragraph = p && isTag(p) ? child(p, 'pPr') : undefined;
  const of = (paragraph && child(paragraph, 'pStyle'))?.attribs['w:val'];
  return of !== undefined && hidden.has(of);
}

const isWhiteOr = (el: Element | undefined, name: string): boolean =>
  el === undefined || /^(?:auto|clear|none|white|ffffff)$/i.test(el.attribs[name] ?? 'auto');
/** What colours the ground of an element of this name: its properties, and in them a ground. */
const GROUNDS: Readonly<Record<string, string>> = { r: 'rPr', p: 'pPr', tc: 'tcPr', tbl: 'tblPr' };

/** Whether its words are white, and nothing behind them is coloured: words to be found by whoever marks them. */
function isWhite(run: Element): boolean {
  const props = child(run, 'rPr');
  const colour = props && child(props, 'color');
  if (!/^ffffff$/i.test(colour?.attribs['w:val'] ?? '')) return false;
  for (let el: Element | null = run; el; el = el.parent && isTag(el.parent) ? el.parent : null) {
    const of = child(el, GROUNDS[nameOf(el)] ?? '');
    const has = (name: string) => (of ? child(of, name) : undefined);
    // A table's own look, a text box and a page of another colour may be dark.
    if (has('tblStyle') || nameOf(el) === 'txbxContent') return false;
    if (!isWhiteOr(has('shd'), 'w:fill') || !isWhiteOr(has('highlight'), 'w:val')) return false;
    if (nameOf(el) === 'document' && child(el, 'background')) return false;
  }
  return true;
}

/** A paragraph of its own that ends the page. */
function pageEnd(): Element {
  const node = (name: string, attribs: Record<string, string>, children: AnyNode[]) =>
    new Element(name, attribs, children as never);
  return node('w:p', {}, [node('w:r', {}, [node('w:br', { 'w:type': 'page' }, [])])]);
}
