import type { z } from '../zod';
import { type Content, contentSchema, pageSchema } from './activity';
import { type Block, blockKinds, type BlockKindName, blockSchema, withWords } from './blocks';

interface Inner {
  readonly checks?: readonly z.core.$ZodCheck[];
  readonly shape?: Readonly<Record<string, z.core.$ZodType>>;
  readonly element?: z.core.$ZodType;
  readonly innerType?: z.core.$ZodType;
  readonly valueType?: z.core.$ZodType;
  readonly options?: readonly z.core.$ZodType[];
}
const innerOf = (schema: z.core.$ZodType): Inner => schema._zod.def as unknown as Inner;

function at(schema: z.core.$ZodType, path: readonly string[]): z.core.$ZodType | undefined {
  const inner = innerOf(schema);
  if (inner.innerType) return at(inner.innerType, path);
  const [step, ...rest] = path;
  if (step === undefined) return schema;
  if (inner.options) return inner.options.map((o) => at(o, path)).find(Boolean);
  const next = inner.shape?.[step] ?? (step === '*' ? (inner.element ?? inner.valueType) : undefined);
  return next && at(next, rest);
}

/**
 * How much a place in a schema holds: letters of a text, entries of a list. `path` names its fields; '*' is any entry of
 * a list. Throws where the place is not there or has no end: a field that asks is wrong about what it fills.
 */
export function mostAt(schema: z.core.$ZodType, ...path: string[]): number {
  const found = at(schema, path);
  const checks = (found ? (innerOf(found).checks ?? []) : []).map(
    (c) => c._zod.def as { check: string; maximum?: number },
  );
  const maximum = checks.find((c) => c.check === 'max_length')?.maximum;
  if (maximum === undefined) throw new Error(`There is no end to ${path.join('.')}.`);
  return maximum;
}

/** The same, of a kind of block. */
export const mostIn = (kind: BlockKindName, ...path: string[]): number => mostAt(blockKinds[kind].schema, ...path);

const known = new Map<string, number>();
const FAR_TOO_LONG = 'x'.repeat(100_001);

/** How many letters one of a block's words (`wordsOf`) may have. */
export function mostWords(block: Block, field: string): number {
  const key = `${block.kind} ${field.split(':')[0]}`;
  let most = known.get(key);
  if (most === undefined) {
    const tried = blockSchema.safeParse(withWords(block, field, FAR_TOO_LONG));
    const issue = tried.error?.issues.find((i) => i.code === 'too_big' && i.origin === 'string');
    most = issue?.code === 'too_big' ? Number(issue.maximum) : FAR_TOO_LONG.length - 1;
    known.set(key, most);
  }
  return most;
}

/** What lists are called where one of them is full. */
const LISTS: Readonly<Record<string, string>> = {
  options: 'choices',
  pairs: 'pairs',
  extra: 'further entries',
  entries: 'entries',
  pieces: 'pieces',
  groups: 'groups',
  gaps: 'gaps',
  key: 'accepted answers',
  others: 'other choices',
  rows: 'rows',
  columns: 'columns',
  cells: 'columns',
  spots: 'labels',
  targets: 'areas',
  places: 'places',
  words: 'words',
  steps: 'steps',
  starters: 'beginnings',
  given: 'numbers',
  pages: 'pages',
  blocks: 'blocks on one page',
  objectives: 'objectives',
  learnerIds: 'learners',
  goals: 'goals',
  interests: 'interests',
  languages: 'languages',
};
const count = (n: number | bigint) => n.toLocaleString('en');

/** Why a value is more than a schema holds, in a teacher's words; empty where it holds it, or where it is something else. */
export function overfull(schema: z.ZodType, value: unknown): string {
  const read = schema.safeParse(value);
  for (const issue of read.error?.issues ?? []) {
    if (issue.code !== 'too_big') continue;
    const list = issue.path.findLast((p) => typeof p === 'string');
    if (issue.origin === 'array')
      return `There is room for ${count(issue.maximum)} ${LISTS[String(list)] ?? 'entries'}.`;
    if (issue.origin !== 'string') continue;
    const text: unknown = issue.path.reduce<unknown>((v, p) => (v as Record<PropertyKey, unknown>)[p], value);
    if (typeof text === 'string')
      return `“${text.slice(0, 30).trim()}…” has ${count(text.length)} letters; there is room for ${count(issue.maximum)}.`;
  }
  return '';
}

/** The same for what a change makes of a content; what stood before is not looked at. */
export function overfullBy(before: Content, after: Content): string {
  const { pages, ...about } = after;
  const first = overfull(contentSchema, { ...about, pages: pages.map((p) => ({ ...p, blocks: [] })) });
  if (first) return first;
  const pagesBefore = new Set(before.pages);
  const blocksBefore = new Set(before.pages.flatMap((p) => p.blocks));
  for (const page of pages) {
    if (pagesBefore.has(page)) continue;
    if (page.blocks.length > mostAt(pageSchema, 'blocks')) return overfull(pageSchema, page);
    for (const block of page.blocks) {
      const full = blocksBefore.has(block) ? '' : overfull(blockSchema, block);
      if (full) return full;
    }
  }
  return '';
}
