import { type AnyNode, type Element, isTag, isText } from 'domhandler';
import type { Id } from '../../activity/block';
import type { Block } from '../../activity/blocks';
import { type Making, making } from '../../making';
import { type Context, type Declared, INLINE, inlineItem, interaction } from './interactions';
import { find, findAll, nameOf, readXml, textIn, tidy, wordsIn } from './xml';

/** An item as it was read: its blocks, and what of it could not be kept. */
export interface ReadItem {
  readonly title: string;
  readonly blocks: readonly Block[];
  readonly left: readonly string[];
}

const BLOCK_INTERACTIONS = new Set([
  'qti-choice-interaction',
  'qti-extended-text-interaction',
  'qti-match-interaction',
  'qti-associate-interaction',
  'qti-order-interaction',
  'qti-gap-match-interaction',
  'qti-hotspot-interaction',
  'qti-graphic-gap-match-interaction',
]);

/** Reads one QTI 3 item file. `picture` gives what stands for a picture of the package. Throws a Problem for bad XML. */
export function readQtiItem(
  source: string,
  file: string,
  picture: (href: string) => string,
  newId: () => Id,
): ReadItem {
  const doc = readXml(source, file);
  const root = find(doc, 'qti-assessment-item');
  if (!root) return { title: file, blocks: [], left: [`“${file}” holds no QTI 3 item.`] };
  const left: string[] = [];
  const title = root.attribs['title'] || root.attribs['identifier'] || file;
  const body = find(root, 'qti-item-body');
  const m = making(newId);
  const context: Context = {
    ...m,
    declared: new Map(
      findAll(root, 'qti-response-declaration').map((d) => [d.attribs['identifier'] ?? '', declaredIn(d)]),
    ),
    tolerance: toleranceIn(root),
    points: pointsIn(root),
    picture,
    left,
  };
  if (
    findAll(root, 'qti-modal-feedback').length ||
    findAll(root, 'qti-feedback-block').length ||
    findAll(root, 'qti-feedback-inline').length
  )
    left.push('Its feedback was left out.');
  const notes = body ? findAll(body, 'qti-rubric-block').filter((r) => !/candidate/.test(r.attribs['view'] ?? '')) : [];
  const blocks = body ? readBody(body, context) : [];
  const note = notes
    .map((n) => tidy(textIn(n)))
    .filter(Boolean)
    .join('\n');
  return { title: tidy(title), blocks: note ? withNote(blocks, note, m) : blocks, left: [...left, ...m.cut] };
}

function withNote(blocks: readonly Block[], note: string, m: Making): Block[] {
  const at = blocks.findIndex((b) => 'prompt' in b);
  if (at < 0)
    return [...blocks, { id: m.newId(), kind: 'teacher-note', audience: 'teacher', text: m.fit(note, 20000) }];
  return blocks.map((b, i) => (i === at ? ({ ...b, note: m.fit(note, 2000) } as Block) : b));
}

function declaredIn(d: Element): Declared {
  const values = (name: string) => findAll(find(d, name) ?? { children: [] }, 'qti-value').map((v) => tidy(textIn(v)));
  const earns = findAll(d, 'qti-map-entry')
    .map((e) => ({ key: e.attribs['map-key'] ?? '', value: Number(e.attribs['mapped-value']) }))
    .filter((e) => e.value > 0);
  const most = Math.max(...earns.map((e) => e.value));
  return {
    correct: values('qti-correct-response'),
    mapped: earns.map((e) => e.key),
    best: earns.filter((e) => e.value === most).map((e) => e.key),
    base: d.attribs['base-type'] ?? 'identifier',
    cardinality: d.attribs['cardinality'] ?? 'single',
  };
}

function toleranceIn(root: Element): number {
  const equal = findAll(root, 'qti-equal').find((e) => e.attribs['tolerance-mode'] === 'absolute');
  const [t] = (equal?.attribs['tolerance'] ?? '').trim().split(/\s+/).map(Number);
  return t !== undefined && t > 0 ? t : 0;
}

function pointsIn(root: Element): number {
  const outcome = findAll(root, 'qti-outcome-declaration').find((o) =>
    /^max_?score$/i.test(o.attribs['identifier'] ?? ''),
  );
  const n = Number(tidy(textIn(find(outcome ?? { children: [] }, 'qti-value') ?? { children: [] })));
  return outcome && n >= 0 && n <= 100 ? n : 1;
}

/** Text and pictures before an interaction are its question; what stands apart comes as blocks of its own. */
function readBody(body: Element, c: Context): Block[] {
  const out: Block[] = [];
  let words: string[] = [];
  const takePrompt = (own: string): string => {
    const prompt = [...words, own]
      .map((w) => w.trim())
      .filter(Boolean)
      .join('\n');
    words = [];
    return c.fit(prompt, 4000);
  };
  const visit = (nodes: readonly AnyNode[]) => {
    for (const node of nodes) {
      if (isText(node)) {
        if (node.data.trim()) words.push(tidy(node.data));
        continue;
      }
      if (!isTag(node)) continue;
      const name = nameOf(node);
      if (name === 'qti-rubric-block') {
        if (/candidate/.test(node.attribs['view'] ?? '')) words.push(tidy(wordsIn(node)));
      } else if (name === 'qti-modal-feedback' || name.startsWith('qti-feedback')) continue;
      else if (BLOCK_INTERACTIONS.has(name)) {
        const made = interaction(node, takePrompt(tidy(wordsIn(find(node, 'qti-prompt') ?? { children: [] }))), c);
        if (made) out.push(made);
      } else if (INLINE.has(name) || [...INLINE].some((i) => find(node, i)))
        out.push(inlineItem(node, takePrompt(''), c));
      else if (/^qti-.*-interaction$/.test(name))
        c.left.push(`Its ${name.replace(/^qti-|-interaction$/g, '')} interaction is not kept.`);
      else if (name === 'img' || name === 'object') out.push(pictureBlock(node, c));
      else if (/^h[1-6]$/.test(name))
        out.push({
          id: c.newId(),
          kind: 'heading',
          audience: 'learner',
          text: c.fit(tidy(wordsIn(node)), 400),
          level: 2,
        });
      else if (/^(p|span|strong|em|b|i|sub|sup|li)$/.test(name) && !hasInside(node)) words.push(tidy(wordsIn(node)));
      else visit(node.children);
    }
  };
  visit(body.children);
  const rest = takePrompt('');
  if (rest) out.push({ id: c.newId(), kind: 'text', audience: 'learner', text: rest });
  return out;
}

const hasInside = (el: Element): boolean =>
  ['img', 'object'].some((n) => find(el, n)) || [...BLOCK_INTERACTIONS].some((n) => find(el, n));

function pictureBlock(el: Element, c: Context): Block {
  const href = el.attribs['src'] ?? el.attribs['data'] ?? '';
  const alt = el.attribs['alt'] ?? tidy(textIn(el));
  return { id: c.newId(), kind: 'picture', audience: 'learner', assetId: c.picture(href), alt: c.fit(alt, 1000) };
}
