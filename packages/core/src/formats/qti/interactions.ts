import { type AnyNode, type Element, isTag, isText } from 'domhandler';
import { freshItem, type Id } from '../../activity/block';
import type { Block } from '../../activity/blocks';
import { rectSchema } from '../../activity/parts';
import type { Making } from '../../making';
import { partsAt } from '../../spaces';
import { find, findAll, isAside, nameOf, textIn, tidy, wordsIn } from './xml';

/** What a response declaration says. */
export interface Declared {
  readonly correct: readonly string[];
  /** Accepted answers of a mapping that earn something. */
  readonly mapped: readonly string[];
  /** Those of them that earn the most. */
  readonly best: readonly string[];
  readonly base: string;
  readonly cardinality: string;
}

/** What the interactions of one item share. */
export interface Context extends Making {
  readonly declared: ReadonlyMap<string, Declared>;
  readonly tolerance: number;
  readonly points: number;
  /** Asset placeholder of a picture in the package. */
  readonly picture: (href: string) => string;
  readonly left: string[];
}

/** Interactions that stand within a line of text. */
export const INLINE = new Set(['qti-text-entry-interaction', 'qti-inline-choice-interaction']);

interface Choice {
  readonly ref: string;
  readonly id: Id;
  readonly text: string;
  readonly assetId?: string;
}

function choicesIn(el: Element, name: string, c: Context): Choice[] {
  return findAll(el, name).map((e) => {
    const img = find(e, 'img') ?? find(e, 'object');
    const href = img?.attribs['src'] ?? img?.attribs['data'];
    const words = tidy(wordsIn(e)) || tidy(img?.attribs['alt'] ?? '');
    return {
      ref: e.attribs['identifier'] ?? '',
      id: c.newId(),
      text: c.fit(words, 500),
      ...(href ? { assetId: c.picture(href) } : {}),
    };
  });
}

const bare = ({ id, text, assetId }: Choice) => ({ id, text, ...(assetId ? { assetId } : {}) });

/** One interaction as an item of its kind; null where it is none that is known. */
export function interaction(el: Element, prompt: string, c: Context): Block | null {
  const base = { ...freshItem(c.newId()), prompt, points: c.points };
  const declared = c.declared.get(el.attribs['response-identifier'] ?? '');
  const correct = declared?.correct ?? [];
  switch (nameOf(el)) {
    case 'qti-choice-interaction': {
      const options = choicesIn(el, 'qti-simple-choice', c);
      const right = options.filter((o) => correct.includes(o.ref)).map((o) => o.id);
      const many = declared?.cardinality === 'multiple' || Number(el.attribs['max-choices'] ?? '1') !== 1;
      if (many) return { ...base, kind: 'multiple-choice', options: options.map(bare), key: right };
      const [key = '', ...others] = right;
      const mapped = options.filter((o) => declared?.best.includes(o.ref) && o.id !== key).map((o) => o.id);
      const also = [...new Set([...others, ...mapped])];
      return {
        ...base,
        kind: 'single-choice',
        options: options.map(bare),
        key,
        ...(key && also.length ? { also } : {}),
      };
    }
    case 'qti-extended-text-interaction': {
      const lines = Math.min(40, Math.max(2, Number(el.attribs['expected-lines'] ?? '4') || 4));
      return { ...base, kind: 'long-text', key: c.fit(correct[0] ?? '', 4000), lines };
    }
    case 'qti-order-interaction': {
      const entries = choicesIn(el, 'qti-simple-choice', c);
      const right = correct.flatMap((ref) => entries.filter((e) => e.ref === ref));
      return { ...base, kind: 'ordering', entries: [...right, ...entries.filter((e) => !right.includes(e))].map(bare) };
    }
    case 'qti-match-interaction': {
      const [first, second] = findAll(el, 'qti-simple-match-set');
      const left = first ? choicesIn(first, 'qti-simple-associable-choice', c) : [];
      const right = second ? choicesIn(second, 'qti-simple-associable-choice', c) : [];
      return { ...base, ...matched(left, right, pairsOf(correct), c) };
    }
    case 'qti-associate-interaction': {
      const all = choicesIn(el, 'qti-simple-associable-choice', c);
      const pairs = pairsOf(correct);
      const lefts = new Set(pairs.map(([a]) => a));
      return {
        ...base,
        ...matched(
          all.filter((x) => lefts.has(x.ref)),
          all.filter((x) => !lefts.has(x.ref)),
          pairs,
          c,
        ),
      };
    }
    case 'qti-gap-match-interaction':
      return { ...base, ...gapMatch(el, pairsOf(correct), c), prompt: prompt || 'Fill the gaps.' };
    case 'qti-hotspot-interaction':
      return { ...base, ...hotspots(el, correct, c) };
    case 'qti-graphic-gap-match-interaction':
      return { ...base, ...graphicGaps(el, pairsOf(correct), c) };
    default:
      return null;
  }
}

const pairsOf = (values: readonly string[]): (readonly [string, string])[] =>
  values.flatMap((v) => {
    const [a, b] = v.split(/\s+/);
    return a && b ? [[a, b] as const] : [];
  });

type Own<K extends Block['kind']> = Omit<Extract<Block, { kind: K }>, keyof ReturnType<typeof freshItem>>;

/** Where several lefts share a right it is a sorting; else each left has a right of its own. */
function matched(
  left: readonly Choice[],
  right: readonly Choice[],
  pairs: readonly (readonly [string, string])[],
  c: Making,
): Own<'matching'> | Own<'sorting'> {
  const shared = pairs.length > new Set(pairs.map(([, b]) => b)).size;
  if (shared) {
    const group = (x: Choice) => right.find((r) => pairs.some(([a, b]) => a === x.ref && b === r.ref))?.id ?? '';
    return {
      kind: 'sorting',
      groups: c.first(right, 8, 'groups').map((r) => ({ id: r.id, text: c.fit(r.text, 200) })),
      pieces: left.map((l) => ({ ...bare(l), group: group(l) })),
    };
  }
  const partner = (l: Choice) => right.find((r) => pairs.some(([a, b]) => a === l.ref && b === r.ref));
  const used = new Set(left.map((l) => partner(l)?.id));
  return {
    kind: 'matching',
    pairs: left.flatMap((l) => {
      const r = partner(l);
      return r ? [{ ...bare(l), match: bare(r) }] : [];
    }),
    extra: right.filter((r) => !used.has(r.id)).map(bare),
  };
}

function gapMatch(el: Element, pairs: readonly (readonly [string, string])[], c: Context): Own<'gaps'> {
  const words = new Map(findAll(el, 'qti-gap-text').map((g) => [g.attribs['identifier'] ?? '', tidy(wordsIn(g))]));
  const gaps: Own<'gaps'>['gaps'] = [];
  const write = (nodes: readonly AnyNode[]): string =>
    nodes
      .map((n) => {
        if (isText(n)) return n.data.replace(/\s+/g, ' ');
        if (!isTag(n) || ['qti-prompt', 'qti-gap-text', 'qti-gap-img'].includes(nameOf(n))) return '';
        if (nameOf(n) === 'qti-gap') {
          const id = `g${gaps.length + 1}`;
          const ref = n.attribs['identifier'] ?? '';
          const key = pairs.flatMap(([a, b]) =>
            b === ref ? [words.get(a) ?? ''] : a === ref ? [words.get(b) ?? ''] : [],
          );
          gaps.push({ id, key: key.filter(Boolean), others: [] });
          return `{${id}}`;
        }
        const inner = write(n.children);
        return /^(p|div|li|blockquote)$/.test(nameOf(n)) ? `${inner.trim()}\n` : inner;
      })
      .join('');
  const text = partsAt(write(el.children), /\n/).join('\n');
  if (findAll(el, 'qti-gap-img').length) c.left.push('Pictures among its gap pieces were left out.');
  const used = gaps.map((g) => g.key[0]);
  return {
    kind: 'gaps',
    text,
    gaps,
    mode: 'bank',
    extra: [...words.values()].filter((w) => !used.includes(w)).slice(0, 30),
    spellingTolerant: false,
  };
}

/** Words with places to type or choose between them. One place at the end is a short answer or a number. */
export function inlineItem(el: Element, prompt: string, c: Context): Block {
  const gaps: Own<'gaps'>['gaps'] = [];
  const bases: string[] = [];
  let chosen = 0;
  const write = (nodes: readonly AnyNode[]): string =>
    nodes
      .map((n) => {
        if (isText(n)) return n.data.replace(/\s+/g, ' ');
        if (!isTag(n) || isAside(n)) return '';
        if (!INLINE.has(nameOf(n))) return nameOf(n) === 'br' ? '\n' : write(n.children);
        const declared = c.declared.get(n.attribs['response-identifier'] ?? '');
        const choices = choicesIn(n, 'qti-inline-choice', c);
        const id = `g${gaps.length + 1}`;
        bases.push(declared?.base ?? 'string');
        if (choices.length) {
          chosen++;
          const key = choices.filter((x) => declared?.correct.includes(x.ref)).map((x) => x.text);
          gaps.push({
            id,
            key,
            others: choices
              .filter((x) => !declared?.correct.includes(x.ref))
              .map((x) => x.text)
              .slice(0, 10),
          });
        } else
          gaps.push({
            id,
            key: [...new Set([...(declared?.correct ?? []), ...(declared?.mapped ?? [])])].slice(0, 20),
            others: [],
          });
        return `{${id}}`;
      })
      .join('');
  const text = write(INLINE.has(nameOf(el)) ? [el] : el.children).trim();
  const base = { ...freshItem(c.newId()), points: c.points };
  const alone = /^([^{}]*)\{g1\}\s{0,9}(?:([^\s{}]{1,20})\s{0,9})?[.?]?$/.exec(text);
  if (gaps.length === 1 && chosen === 0 && alone) {
    const words = [prompt, (alone[1] ?? '').trim()].filter(Boolean).join('\n');
    const key = gaps[0]?.key ?? [];
    if (/^(float|integer)$/.test(bases[0] ?? '')) {
      const value = Number(key[0]);
      return {
        ...base,
        prompt: words,
        kind: 'number',
        demand: 'apply',
        key: key.length && Number.isFinite(value) ? value : null,
        tolerance: c.tolerance,
        unit: alone[2] ?? '',
      };
    }
    if (!alone[2])
      return {
        ...base,
        prompt: words,
        kind: 'short-text',
        key: key.map((k) => c.fit(k, 300)),
        spellingTolerant: false,
      };
  }
  if (chosen > 0 && chosen < gaps.length)
    c.left.push('Gaps to type and gaps to choose stood in one text; all are typed now.');
  return {
    ...base,
    prompt: prompt || 'Fill the gaps.',
    kind: 'gaps',
    text,
    gaps,
    mode: chosen > 0 && chosen === gaps.length ? 'chosen' : 'typed',
    extra: [],
    spellingTolerant: false,
  };
}

interface Canvas {
  readonly assetId: string;
  readonly alt: string;
  readonly w: number;
  readonly h: number;
}

function canvasOf(el: Element, c: Context): Canvas {
  const img = el.children.filter(isTag).find((e) => ['object', 'img', 'picture'].includes(nameOf(e)));
  const inner = img && nameOf(img) === 'picture' ? find(img, 'img') : img;
  const at = inner?.attribs ?? {};
  return {
    assetId: c.picture(at['data'] ?? at['src'] ?? ''),
    alt: c.fit(at['alt'] ?? (inner ? tidy(textIn(inner)) : ''), 1000),
    w: Number(at['width']) || 1000,
    h: Number(at['height']) || 1000,
  };
}

/** A shape as the rectangle around it, in hundredths. */
function shapeOf(el: Element, canvas: Canvas): { x: number; y: number; w: number; h: number; round: boolean } | null {
  const n = (el.attribs['coords'] ?? '').split(/[\s,]+/).map(Number);
  const shape = el.attribs['shape'] ?? 'rect';
  const xs =
    shape === 'circle' ? [(n[0] ?? 0) - (n[2] ?? 0), (n[0] ?? 0) + (n[2] ?? 0)] : n.filter((_, i) => i % 2 === 0);
  const ys =
    shape === 'circle' ? [(n[1] ?? 0) - (n[2] ?? 0), (n[1] ?? 0) + (n[2] ?? 0)] : n.filter((_, i) => i % 2 === 1);
  const part = (v: number, of: number) => Math.round(Math.min(100, Math.max(0, (v / of) * 100)) * 100) / 100;
  const [x, y] = [part(Math.min(...xs), canvas.w), part(Math.min(...ys), canvas.h)];
  const made = { x, y, w: part(Math.max(...xs), canvas.w) - x, h: part(Math.max(...ys), canvas.h) - y };
  return rectSchema.safeParse(made).success ? { ...made, round: shape === 'circle' } : null;
}

function hotspots(el: Element, correct: readonly string[], c: Context): Own<'spots'> {
  const canvas = canvasOf(el, c);
  const all = findAll(el, 'qti-hotspot-choice');
  const right = all.filter((h) => correct.includes(h.attribs['identifier'] ?? ''));
  if (all.length > right.length)
    c.left.push(`${all.length - right.length} areas that are not right are not kept: anywhere else is wrong.`);
  const targets = right.flatMap((h) => {
    const s = shapeOf(h, canvas);
    return s
      ? [{ id: c.newId(), text: c.fit(h.attribs['hotspot-label'] ?? '', 200), x: s.x, y: s.y, w: s.w, h: s.h }]
      : [];
  });
  return { kind: 'spots', assetId: canvas.assetId, alt: canvas.alt, targets };
}

/** Round spots are labels, others are places for pieces. */
function graphicGaps(
  el: Element,
  pairs: readonly (readonly [string, string])[],
  c: Context,
): Own<'labels'> | Own<'pieces'> {
  const canvas = canvasOf(el, c);
  const pieces = [...choicesIn(el, 'qti-gap-text', c), ...choicesIn(el, 'qti-gap-img', c)];
  const spots = findAll(el, 'qti-associable-hotspot').flatMap((h) => {
    const shape = shapeOf(h, canvas);
    const ref = h.attribs['identifier'] ?? '';
    const piece = pieces.find((p) => pairs.some(([a, b]) => (a === p.ref && b === ref) || (b === p.ref && a === ref)));
    return shape ? [{ ref, id: c.newId(), shape, piece, text: c.fit(h.attribs['hotspot-label'] ?? '', 200) }] : [];
  });
  if (spots.length && spots.every((s) => s.shape.round && s.piece)) {
    const used = new Set(spots.map((s) => s.piece?.id));
    return {
      kind: 'labels',
      assetId: canvas.assetId,
      alt: canvas.alt,
      spots: spots.map((s) => ({
        id: s.id,
        x: Math.round((s.shape.x + s.shape.w / 2) * 100) / 100,
        y: Math.round((s.shape.y + s.shape.h / 2) * 100) / 100,
        label: bare(s.piece as Choice),
      })),
      extra: pieces.filter((p) => !used.has(p.id)).map(bare),
    };
  }
  return {
    kind: 'pieces',
    board: {
      on: 'picture',
      assetId: canvas.assetId,
      alt: canvas.alt,
      places: spots.map(({ id, text, shape: { x, y, w, h } }) => ({ id, text, x, y, w, h })),
    },
    pieces: pieces.map((p) => ({ ...bare(p), place: spots.find((s) => s.piece === p)?.id ?? '' })),
    count: null,
  };
}
