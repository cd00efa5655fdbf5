import type { Content, Objective, Page } from '../activity/activity';
import type { Demand, Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import type { Given } from '../activity/blocks/number';
import type { Family, Swatch, Version } from '../activity/family';
import { FAMILY_FORMAT } from '../activity/family-schema';
import { type InPlace, recordInPlace } from '../adjust/record';

export const AUTHOR = 'Ms Penrose';

export interface Clock {
  /** ISO instant some days from now (negative: before), at an hour of that day. */
  iso(days: number, hour?: number): string;
  /** The same as local 'yyyy-MM-ddTHH:mm'. */
  local(days: number, hour?: number): string;
}

export function clockAt(nowMs: number): Clock {
  const at = (days: number, hour: number) => {
    const d = new Date(nowMs + days * 86_400_000);
    d.setUTCHours(hour, 0, 0, 0);
    return d.toISOString();
  };
  return { iso: (days, hour = 9) => at(days, hour), local: (days, hour = 9) => at(days, hour).slice(0, 16) };
}

interface ItemExtras {
  o?: Id;
  demand?: Demand;
  points?: number;
  optional?: boolean;
  note?: string;
}

const item = (id: Id, prompt: string, x: ItemExtras) => ({
  id,
  audience: 'learner' as const,
  prompt,
  demand: x.demand ?? ('recall' as const),
  points: x.points ?? 1,
  ...(x.o ? { objectiveId: x.o } : {}),
  ...(x.optional ? { optional: true } : {}),
  ...(x.note ? { note: x.note } : {}),
});

/** Short forms for writing the demo's activities. Options are `*right` or `wrong`. */
export const b = {
  heading: (id: Id, text: string): Block => ({ id, kind: 'heading', audience: 'learner', text, level: 1 }),
  text: (id: Id, text: string): Block => ({ id, kind: 'text', audience: 'learner', text }),
  tell: (id: Id, text: string): Block => ({ id, kind: 'instruction', audience: 'learner', text }),
  note: (id: Id, text: string): Block => ({ id, kind: 'teacher-note', audience: 'teacher', text }),
  picture: (id: Id, assetId: string, alt: string): Block => ({
    id,
    kind: 'picture',
    audience: 'learner',
    assetId,
    alt,
  }),
  one: (id: Id, prompt: string, options: string[], x: ItemExtras = {}): Block => ({
    ...item(id, prompt, x),
    kind: 'single-choice',
    options: options.map((t, i) => ({ id: `${id}-${i + 1}`, text: t.replace('*', '') })),
    key: `${id}-${options.findIndex((t) => t.startsWith('*')) + 1}`,
  }),
  many: (id: Id, prompt: string, options: string[], x: ItemExtras = {}): Block => ({
    ...item(id, prompt, { points: 2, ...x }),
    kind: 'multiple-choice',
    options: options.map((t, i) => ({ id: `${id}-${i + 1}`, text: t.replace('*', '') })),
    key: options.flatMap((t, i) => (t.startsWith('*') ? [`${id}-${i + 1}`] : [])),
  }),
  short: (id: Id, prompt: string, key: string[], x: ItemExtras = {}): Block => ({
    ...item(id, prompt, x),
    kind: 'short-text',
    key,
    spellingTolerant: true,
  }),
  long: (id: Id, prompt: string, key: string, x: ItemExtras = {}): Block => ({
    ...item(id, prompt, { demand: 'explain', points: 3, ...x }),
    kind: 'long-text',
    key,
    lines: 4,
  }),
  number: (
    id: Id,
    prompt: string,
    key: number,
    unit: string,
    x: ItemExtras & { tolerance?: number; given?: Given[]; formula?: string; signs?: true } = {},
  ): Block => ({
    ...item(id, prompt, { demand: 'apply', ...x }),
    kind: 'number',
    key,
    unit,
    tolerance: x.tolerance ?? 0,
    ...(x.signs ? { signs: x.signs } : {}),
    ...(x.given && x.formula ? { given: x.given, formula: x.formula } : {}),
  }),
};

export const page = (id: Id, title: string, ...blocks: Block[]): Page => ({
  id,
  title,
  orientation: 'portrait',
  blocks,
});

/** A family under construction: versions are made the way a teacher makes them, by changing things in place. */
export class FamilyMaker {
  family: Family;
  private count = 0;

  constructor(
    id: Id,
    about: { subject: string; ages: string; title: string; objectives: Objective[]; swatch: Swatch },
    pages: Page[],
    private readonly at: string,
  ) {
    const { swatch, ...meta } = about;
    const content: Content = { ...meta, pages };
    const first = { n: 1, at, author: AUTHOR, note: 'First written', content };
    this.family = { format: FAMILY_FORMAT, id, createdAt: at, swatch, revisions: [first], versions: [] };
  }

  readonly newId = (): Id => `${this.family.id}-a${++this.count}`;

  version(id: Id, name: string, swatch: Swatch, basis: Id | null, extra: Partial<Version> = {}): void {
    const upTo = this.family.revisions.length;
    const version: Version = { id, name, swatch, purpose: '', basis, upTo, adjustments: [], upkeepLog: [], ...extra };
    this.family = { ...this.family, versions: [...this.family.versions, version] };
  }

  change(versionId: Id, done: InPlace, reason?: string, goalId?: Id): void {
    const stamp = { at: this.at, author: AUTHOR, newId: this.newId };
    const before = this.family.versions.find((v) => v.id === versionId)?.adjustments ?? [];
    const changed = recordInPlace(this.family, versionId, done, stamp);
    const version = reason
      ? {
          ...changed,
          adjustments: changed.adjustments.map((a) =>
            before.includes(a) ? a : { ...a, reason: { text: reason, ...(goalId ? { goalId } : {}) } },
          ),
        }
      : changed;
    this.family = { ...this.family, versions: this.family.versions.map((v) => (v.id === versionId ? version : v)) };
  }
}

/** Content with one block's fields replaced. */
export function withBlock(content: Content, blockId: Id, change: (block: Block) => Block): Content {
  return {
    ...content,
    pages: content.pages.map((p) =>
      p.blocks.some((x) => x.id === blockId)
        ? { ...p, blocks: p.blocks.map((x) => (x.id === blockId ? change(x) : x)) }
        : p,
    ),
  };
}
