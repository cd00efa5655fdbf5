import { z } from '../zod';
import { idSchema } from '../activity/block';
import { swatchSchema } from '../activity/swatch';
import { handOutKindSchema, wayToGiveSchema } from '../assign/hand-out';
import { countIds, idsIn, packedIdsSchema } from './packed-ids';

/** What lists say of a family without opening it. */
export const familyHeadSchema = z.object({
  id: idSchema,
  title: z.string(),
  subject: z.string(),
  ages: z.string(),
  objectives: z.array(z.object({ id: idSchema, text: z.string() })),
  createdAt: z.string(),
  /** The latest revision: its number and its day. */
  revision: z.number().int(),
  revisedAt: z.string(),
  /** Whether the master has changes that are no revision yet. */
  draft: z.boolean(),
  pages: z.number().int(),
  swatch: swatchSchema,
  /** In the order of the tree. */
  versions: z.array(z.object({ id: idSchema, name: z.string(), swatch: swatchSchema, learnerId: idSchema.optional() })),
  /** Questions of upkeep that wait. */
  waiting: z.number().int(),
  /** How many items the master has for each objective, by its id. */
  asks: z.record(idSchema, z.number().int()),
  /** Ids of the activities that parts were taken from. */
  takesFrom: z.array(idSchema),
});
export type FamilyHead = z.infer<typeof familyHeadSchema>;

/** What lists say of a hand-out without opening it. */
export const handOutHeadSchema = z.object({
  id: idSchema,
  familyId: z.union([idSchema, z.literal('')]),
  createdAt: z.string(),
  title: z.string(),
  kind: handOutKindSchema.default('work'),
  way: wayToGiveSchema,
  classIds: z.array(idSchema),
  groupIds: z.array(idSchema),
  learnerIds: z.array(idSchema),
  audienceIds: z.array(idSchema).default([]),
  leftOutIds: z.array(idSchema).default([]),
  unit: z.string().default(''),
  category: z.string().default(''),
  opensAt: z.string().nullable(),
  dueAt: z.string().nullable(),
  closesAt: z.string().nullable().default(null),
  isHidden: z.boolean().default(false),
  isTemplate: z.boolean().default(false),
  seriesId: z.string().default(''),
  answersAt: z.string().nullable().default(null),
  state: z.enum(['draft', 'given']),
  givenAt: z.string().nullable(),
  /** Who got which version; empty until it is given out. */
  holders: z.array(z.object({ versionId: idSchema.nullable(), learners: packedIdsSchema })),
  /** Under whom the work is kept, where several do it together; else each has their own. */
  shared: z.array(idSchema).default([]),
  /** What the groups among these are called. */
  teams: z.record(idSchema, z.string()).default({}),
});
export type HandOutHead = z.infer<typeof handOutHeadSchema>;

/** Everybody who got something of a hand-out. */
export const holdersOf = (h: Pick<HandOutHead, 'holders'>): string[] => h.holders.flatMap((x) => idsIn(x.learners));

/** How many got something of a hand-out. */
export const countHolders = (h: Pick<HandOutHead, 'holders'>): number =>
  h.holders.reduce((n, x) => n + countIds(x.learners), 0);

/** Under whom the pieces of work of a hand-out are kept. */
export const workKeysOf = (h: Pick<HandOutHead, 'holders' | 'shared'>): string[] =>
  h.shared.length ? h.shared : holdersOf(h);

/** How many pieces of work there are of a hand-out. */
export const countWorks = (h: Pick<HandOutHead, 'holders' | 'shared'>): number => h.shared.length || countHolders(h);
