import { z } from '../zod';
import { idSchema } from '../activity/block';
import { type Family, latest, swatchSchema, versionTree } from '../activity/family';
import { type FrozenById, type HandOut, wayToGiveSchema } from '../assign/hand-out';
import { isLeft, pendingUpkeep } from '../upkeep/resolve';
import { waits } from '../upkeep/upkeep';
import { countIds, idsIn, packedIdsSchema, packIds } from './packed-ids';

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

// A family is never changed, only replaced, and upkeep looks at its revisions and versions alone.
const counted = new WeakMap<Family['versions'], { revisions: Family['revisions']; n: number }>();

/** How many questions of upkeep wait in a family. */
export function upkeepWaiting(family: Family): number {
  const known = counted.get(family.versions);
  if (known?.revisions === family.revisions) return known.n;
  const n = pendingUpkeep(family).entries.filter((e) => waits(e) && !isLeft(family, e)).length;
  counted.set(family.versions, { revisions: family.revisions, n });
  return n;
}

/** Ids of the activities that versions of a family take parts from. */
export const sourceFamilies = (family: Family): string[] => [
  ...new Set(
    family.versions.flatMap((v) =>
      v.adjustments.flatMap((a) => (a.kind === 'from-activity' && a.source.familyId ? [a.source.familyId] : [])),
    ),
  ),
];

export function familyHead(family: Family): FamilyHead {
  const { content, n, at } = latest(family);
  const asks: Record<string, number> = {};
  for (const p of (family.draft ?? content).pages)
    for (const b of p.blocks)
      if ('objectiveId' in b && b.objectiveId) asks[b.objectiveId] = (asks[b.objectiveId] ?? 0) + 1;
  return {
    id: family.id,
    title: content.title,
    subject: content.subject,
    ages: content.ages,
    objectives: content.objectives.map((o) => ({ id: o.id, text: o.text })),
    createdAt: family.createdAt,
    revision: n,
    revisedAt: at,
    draft: family.draft !== undefined,
    pages: content.pages.length,
    swatch: family.swatch,
    versions: versionTree(family).map(({ version: v }) => ({
      id: v.id,
      name: v.name,
      swatch: v.swatch,
      ...(v.learnerId ? { learnerId: v.learnerId } : {}),
    })),
    waiting: upkeepWaiting(family),
    asks,
    takesFrom: sourceFamilies(family),
  };
}

/** What lists say of a hand-out without opening it. */
export const handOutHeadSchema = z.object({
  id: idSchema,
  familyId: idSchema,
  createdAt: z.string(),
  title: z.string(),
  way: wayToGiveSchema,
  classIds: z.array(idSchema),
  groupIds: z.array(idSchema),
  learnerIds: z.array(idSchema),
  opensAt: z.string().nullable(),
  dueAt: z.string().nullable(),
  state: z.enum(['draft', 'given']),
  givenAt: z.string().nullable(),
  /** Who got which version; empty until it is given out. */
  holders: z.array(z.object({ versionId: idSchema.nullable(), learners: packedIdsSchema })),
});
export type HandOutHead = z.infer<typeof handOutHeadSchema>;

export function handOutHead(h: HandOut, frozen: FrozenById): HandOutHead {
  const by = new Map<string | null, string[]>();
  for (const [learnerId, given] of Object.entries(h.given)) {
    const versionId = frozen[given.frozen]?.versionId ?? null;
    const ids = by.get(versionId);
    if (ids) ids.push(learnerId);
    else by.set(versionId, [learnerId]);
  }
  return {
    id: h.id,
    familyId: h.familyId,
    createdAt: h.createdAt,
    title: h.title,
    way: h.way,
    classIds: h.classIds,
    groupIds: h.groupIds,
    learnerIds: h.learnerIds,
    opensAt: h.opensAt,
    dueAt: h.dueAt,
    state: h.state,
    givenAt: h.givenAt,
    holders: [...by].map(([versionId, ids]) => ({ versionId, learners: packIds(ids) })),
  };
}

/** Everybody who got something of a hand-out. */
export const holdersOf = (h: Pick<HandOutHead, 'holders'>): string[] => h.holders.flatMap((x) => idsIn(x.learners));

/** How many got something of a hand-out. */
export const countHolders = (h: Pick<HandOutHead, 'holders'>): number =>
  h.holders.reduce((n, x) => n + countIds(x.learners), 0);
