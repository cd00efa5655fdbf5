import { z } from '../zod';
import { type Content, contentSchema } from '../activity/activity';
import { idSchema } from '../activity/block';
import { blockSchema } from '../activity/blocks';
import { swatchSchema } from '../activity/swatch';

/** One step of the way from a block back to the master, in words, as it was when the work was frozen. */
export const lineageStepSchema = z.object({
  versionId: idSchema,
  versionName: z.string(),
  adjustmentId: idSchema,
  sentence: z.string(),
});
export type LineageStep = z.infer<typeof lineageStepSchema>;

/**
 * A derived activity as it was given out, kept once under the address of what it holds, whoever gets it and however
 * often. Only for the teacher: it holds keys.
 */
export const frozenSchema = z.object({
  id: z.string().max(64),
  familyId: idSchema,
  versionId: idSchema.nullable(),
  versionName: z.string(),
  swatch: swatchSchema,
  revision: z.number().int(),
  content: contentSchema,
  /** By block id. */
  lineage: z.record(z.string(), z.array(lineageStepSchema)),
});
export type Frozen = z.infer<typeof frozenSchema>;

/** One crossing of the loom. A learner may stand on two lines by mistake: `coverage` says so. */
export const lineSchema = z.object({ learnerId: idSchema, versionId: idSchema.nullable() });
export type Line = z.infer<typeof lineSchema>;

export const wayToGiveSchema = z.enum(['one-each', 'to-read']);
export type WayToGive = z.infer<typeof wayToGiveSchema>;

/** What one learner got: a frozen activity, with the blocks that are this learner's own in place of its own. */
export const givenSchema = z.object({
  frozen: z.string().max(64),
  own: z.array(z.object({ block: blockSchema, steps: z.array(lineageStepSchema) })).optional(),
});
export type Given = z.infer<typeof givenSchema>;

export const handOutSchema = z.object({
  id: idSchema,
  familyId: idSchema,
  createdAt: z.string().max(40).default(''),
  title: z.string().min(1).max(200),
  way: wayToGiveSchema,
  note: z.string().max(1000).default(''),
  classIds: z.array(idSchema),
  groupIds: z.array(idSchema),
  learnerIds: z.array(idSchema),
  audienceIds: z.array(idSchema).default([]),
  lines: z.array(lineSchema),
  /** Local date and time, 'yyyy-MM-ddTHH:mm'; null opens at once, or is due never. */
  opensAt: z.string().nullable(),
  dueAt: z.string().nullable(),
  /** Learners the teacher has looked as. */
  lookedAs: z.array(idSchema),
  state: z.enum(['draft', 'given']),
  givenAt: z.string().nullable(),
  /** Once given: what each learner got, by learner id. */
  given: z.record(idSchema, givenSchema),
});
export type HandOut = z.infer<typeof handOutSchema>;

/** A plan in which nothing is said yet. `createdAt` is an ISO instant. */
export const newHandOut = (of: Pick<HandOut, 'id' | 'familyId' | 'title' | 'createdAt'>): HandOut => ({
  ...of,
  way: 'one-each',
  note: '',
  classIds: [],
  groupIds: [],
  learnerIds: [],
  audienceIds: [],
  lines: [],
  opensAt: null,
  dueAt: null,
  lookedAs: [],
  state: 'draft',
  givenAt: null,
  given: {},
});

/** Draft, scheduled (given out, opening later), given out. `now` in the form of `opensAt`. */
export function handOutState(h: Pick<HandOut, 'state' | 'opensAt'>, now: string): 'draft' | 'scheduled' | 'given out' {
  if (h.state === 'draft') return 'draft';
  return h.opensAt !== null && h.opensAt > now ? 'scheduled' : 'given out';
}

/** Frozen activities by their address, those that are known here. */
export type FrozenById = Readonly<Record<string, Frozen>>;

/** The content with some of its blocks in place of those of the same ids. */
export function withBlocks(content: Content, blocks: readonly { readonly id: string }[]): Content {
  if (blocks.length === 0) return content;
  const by = new Map(blocks.map((b) => [b.id, b as Content['pages'][number]['blocks'][number]]));
  return {
    ...content,
    pages: content.pages.map((p) =>
      p.blocks.some((b) => by.has(b.id)) ? { ...p, blocks: p.blocks.map((b) => by.get(b.id) ?? b) } : p,
    ),
  };
}

/** What a learner got, whole; undefined where nothing was given, or where it is not known here. */
export function frozenFor(handOut: Pick<HandOut, 'given'>, known: FrozenById, learnerId: string): Frozen | undefined {
  const given = Object.hasOwn(handOut.given, learnerId) ? handOut.given[learnerId] : undefined;
  const frozen = given && known[given.frozen];
  return frozen && withOwn(frozen, given);
}

/** The frozen activity with a learner's own blocks in it. */
export function withOwn(frozen: Frozen, given: Given): Frozen {
  if (!given.own?.length) return frozen;
  const lineage = { ...frozen.lineage };
  for (const { block, steps } of given.own) lineage[block.id] = [...(lineage[block.id] ?? []), ...steps];
  return {
    ...frozen,
    content: withBlocks(
      frozen.content,
      given.own.map((o) => o.block),
    ),
    lineage,
  };
}
