import { z } from '../zod';
import { adjustmentSchema } from '../adjust/registry';
import { contentSchema } from './activity';
import { idSchema } from './block';
import { swatchSchema } from './swatch';

/** Format number of a kept family; a migration stands for each step up. */
export const FAMILY_FORMAT = 3;

export const revisionSchema = z.object({
  n: z.number().int().min(1),
  at: z.string().max(40),
  author: z.string().max(120),
  note: z.string().max(300),
  content: contentSchema,
});
export type Revision = z.infer<typeof revisionSchema>;

export const upkeepRecordSchema = z.object({
  at: z.string().max(40),
  by: z.string().max(120),
  revision: z.number().int(),
  adjustmentId: idSchema,
  /** Carried by rule, or the choice somebody made. */
  outcome: z.enum(['carried', 'master', 'version', 'combined', 'own words']),
  sentence: z.string().max(1000),
});
export type UpkeepRecord = z.infer<typeof upkeepRecordSchema>;

export const versionSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(120),
  swatch: swatchSchema,
  purpose: z.string().max(500).default(''),
  /** Id of the version it is made on; null is the master. */
  basis: idSchema.nullable(),
  /** The master revision it was last brought up to. */
  upTo: z.number().int().min(1),
  adjustments: z.array(adjustmentSchema).max(2000),
  /** Set where the version is personal. */
  learnerId: idSchema.optional(),
  upkeepLog: z.array(upkeepRecordSchema).default([]),
  /** Questions of upkeep left for later, by their keys. */
  later: z.array(z.string().max(100)).optional(),
  /** Recipes that were run on it, with the ids they had seen: run again, they touch only what is new. */
  recipes: z.array(z.object({ id: idSchema, seen: z.array(idSchema) })).optional(),
});
export type Version = z.infer<typeof versionSchema>;

export const familySchema = z.object({
  format: z.literal(FAMILY_FORMAT),
  id: idSchema,
  createdAt: z.string().max(40),
  /** The master's own mark: on a sheet it stands like any version's. */
  swatch: swatchSchema,
  revisions: z.array(revisionSchema).min(1),
  /** Where the master was made from a version of another family. */
  origin: z
    .object({
      familyId: idSchema,
      versionId: idSchema,
      revision: z.number().int(),
      title: z.string().max(200),
      versionName: z.string().max(120),
    })
    .optional(),
  /** Changes to the master that are not a revision yet. */
  draft: contentSchema.optional(),
  versions: z.array(versionSchema).max(2000),
});
export type Family = z.infer<typeof familySchema>;
