import { z } from '../zod';
import { idSchema } from '../activity/block';

/** As much goes with one hand-out. */
export const MOST_COMPANIONS = 40;

const companionBase = { id: idSchema, title: z.string().min(1).max(200) };
/** Further material in the same hand-out. */
export const companionSchema = z.discriminatedUnion('is', [
  z.object({ ...companionBase, is: z.literal('file'), assetId: z.string().max(80) }),
  z.object({ ...companionBase, is: z.literal('link'), address: z.string().min(1).max(2000) }),
  /** Words to read. */
  z.object({ ...companionBase, is: z.literal('page'), text: z.string().max(20_000) }),
  /** A sheet to write on that nobody marks. */
  z.object({ ...companionBase, is: z.literal('notes') }),
  /** Another activity, to look things up in; `frozen` is the address of what was given, empty until then. */
  z.object({
    ...companionBase,
    is: z.literal('activity'),
    familyId: idSchema,
    versionId: idSchema.nullable(),
    frozen: z.string().max(64).default(''),
  }),
  /** Spoken instructions. */
  z.object({ ...companionBase, is: z.literal('spoken'), assetId: z.string().max(80) }),
  /** Words for those at home. */
  z.object({ ...companionBase, is: z.literal('family'), text: z.string().max(5000) }),
]);
export type Companion = z.infer<typeof companionSchema>;
