import { type AnyNode, type Document, type Element, isTag, isText } from 'domhandler';
import { XMLValidator } from 'fast-xml-parser';
import { parseDocument } from 'htmlparser2';
import { notTooDeep } from '../nesting';
import { Problem } from '../problem';

/** Reads XML that must be well formed; a Problem says where it is not. Entities beyond XML's own are not expanded. */
export function readXml(text: string, file: string): Document {
  const sound = XMLValidator.validate(text);
  if (sound !== true)
    throw new Problem(`“${file}” is not sound XML: line ${sound.err.line}, ${sound.err.msg.replace(/\.$/, '')}.`);
  return notTooDeep(parseDocument(text, { xmlMode: true }), file);
}

/** The name without its prefix. */
export const nameOf = (el: Element): string => el.name.replace(/^.*:/, '');

export function* elementsOf(node: { children: readonly AnyNode[] }): Generator<Element> {
  for (const c of node.children)
    if (isTag(c)) {
      yield c;
      yield* elementsOf(c);
    }
}

export const find = (node: { children: readonly AnyNode[] }, name: string): Element | undefined => {
  for (const el of elementsOf(node)) if (nameOf(el) === name) return el;
  return undefined;
};

export const findAll = (node: { children: readonly AnyNode[] }, name: string): Element[] =>
  [...elementsOf(node)].filter((el) => nameOf(el) === name);

export const textIn = (node: { children: readonly AnyNode[] }): string =>
  node.children.map((c) => (isText(c) ? c.data : isTag(c) ? (nameOf(c) === 'br' ? '\n' : textIn(c)) : '')).join('');

/** Feedback, and what is the scorer's or the tutor's: never among the words of a question or a choice. */
export const isAside = (el: Element): boolean =>
  nameOf(el).startsWith('qti-feedback') ||
  nameOf(el) === 'qti-modal-feedback' ||
  (nameOf(el) === 'qti-rubric-block' && !/candidate/.test(el.attribs['view'] ?? ''));

/** The words that a learner reads in it. */
export const wordsIn = (node: { children: readonly AnyNode[] }): string =>
  node.children
    .map((c) => (isText(c) ? c.data : isTag(c) && !isAside(c) ? (nameOf(c) === 'br' ? '\n' : wordsIn(c)) : ''))
    .join('');

export const tidy = (text: string): string =>
  text
    .replace(/[ \t\r\n]+/g, ' ')
    .replace(/ ?\n ?/g, '\n')
    .trim();

export const xml = (text: string): string =>
  text
    // Characters that XML 1.0 cannot hold at all.

    .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g, '')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');
