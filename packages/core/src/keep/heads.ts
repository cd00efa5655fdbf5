import { type Family, latest, sourceFamilies, versionTree } from '../activity/family';
import type { FrozenById, HandOut } from '../assign/hand-out';
import { isLeft, pendingUpkeep } from '../upkeep/resolve';
import { waits } from '../upkeep/upkeep';
import type { FamilyHead, HandOutHead } from './head-parts';
import { packIds } from './packed-ids';

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
    kind: h.kind,
    way: h.way,
    classIds: h.classIds,
    groupIds: h.groupIds,
    learnerIds: h.learnerIds,
    audienceIds: h.audienceIds,
    leftOutIds: h.leftOutIds,
    unit: h.unit,
    category: h.category,
    opensAt: h.opensAt,
    dueAt: h.dueAt,
    closesAt: h.closesAt,
    isHidden: h.isHidden,
    isTemplate: h.isTemplate,
    seriesId: h.seriesId,
    answersAt: h.answersAt,
    state: h.state,
    givenAt: h.givenAt,
    shared: [...new Set(Object.values(h.given).flatMap((g) => g.shares ?? []))],
    teams: Object.fromEntries(h.state === 'given' && h.way === 'per-group' ? h.teams.map((t) => [t.id, t.name]) : []),
    holders: [...by].map(([versionId, ids]) => ({ versionId, learners: packIds(ids) })),
  };
}
