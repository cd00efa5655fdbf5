import { z } from '../../zod';
import { type Content, contentSchema } from '../../activity/activity';
import { idSchema } from '../../activity/block';
import { swatchSchema } from '../../activity/swatch';
import { recordSchema } from './decided';

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
  /** Pages that are of another version, where a learner has different ones in different parts. */
  parts: z.array(z.object({ pageId: idSchema, versionId: idSchema.nullable() })).optional(),
  content: contentSchema,
  /** By block id. */
  lineage: z.record(z.string(), z.array(lineageStepSchema)),
  /** What was decided about it; what was frozen before there was one has none. */
  record: recordSchema.optional(),
});
export type Frozen = z.infer<typeof frozenSchema>;

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
