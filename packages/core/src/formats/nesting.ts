import type { AnyNode, Document } from 'domhandler';
import { hasChildren } from 'domhandler';
import { Problem } from './problem';

/** No program that people write with nests deeper; beyond some thousands a reader runs out of room. */
const DEEPEST = 400;

/** The document, unless it is nested deeper than any that was written: then a Problem. */
export function notTooDeep(doc: Document, what: string): Document {
  const left: { nodes: readonly AnyNode[]; depth: number }[] = [{ nodes: doc.children, depth: 1 }];
  for (let at = left.pop(); at; at = left.pop()) {
    if (at.depth > DEEPEST)
      throw new Problem(
        `“${what}” has parts in parts, more than ${DEEPEST} deep: no such document was written. Nothing was taken in.`,
      );
    for (const n of at.nodes) if (hasChildren(n)) left.push({ nodes: n.children, depth: at.depth + 1 });
  }
  return doc;
}
