import { assetsOf } from '../activity/activity';
import type { Family } from '../activity/family';
import { answerAssets } from '../work/answer';
import { listOf, type Workspace } from '../workspace';

/**
 * Ids of all assets that something uses, with how many things do: any revision or draft of a master, an
 * adjustment, a given sheet, a learner's answer, a template. What is not here can be cleared.
 */
export function assetUses(w: Workspace): Map<string, number> {
  const uses = new Map<string, number>();
  const use = (ids: Iterable<string>) => {
    for (const id of ids) if (id) uses.set(id, (uses.get(id) ?? 0) + 1);
  };
  for (const f of listOf(w.families)) use(assetsIn(f));
  for (const h of listOf(w.handOuts)) for (const frozen of Object.values(h.frozen)) use(assetsOf(frozen.content));
  for (const c of listOf(w.copies))
    for (const go of c.goes) for (const a of Object.values(go.answers)) use(answerAssets(a));
  for (const t of listOf(w.templates)) use(assetsOf({ pages: [t.page] }));
  return uses;
}

/** The ids of assets that a family shows anywhere, once for each use. */
const assetsIn = (f: Family): string[] => [
  ...f.revisions.flatMap((r) => [...assetsOf(r.content)]),
  ...(f.draft ? assetsOf(f.draft) : []),
  ...f.versions.flatMap((v) => v.adjustments.flatMap(assetsHeld)),
];

/** The same, each once. */
export const assetsOfFamily = (f: Family): ReadonlySet<string> => new Set(assetsIn(f));

/** The ids of assets anywhere in an adjustment: whatever its kind, they stand under this one name. */
export function assetsHeld(value: unknown): string[] {
  if (Array.isArray(value)) return value.flatMap(assetsHeld);
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([k, v]) => (k === 'assetId' && typeof v === 'string' ? [v] : assetsHeld(v)));
}

export interface AssetCount {
  readonly id: string;
  readonly name: string;
  readonly mime: string;
  /** In bytes, as kept. */
  readonly size: number;
  readonly uses: number;
}

/** Every kept asset with its size and uses, the largest first. */
export function countAssets(w: Workspace): AssetCount[] {
  const uses = assetUses(w);
  return listOf(w.assets)
    .map((a) => ({
      id: a.id,
      name: a.name,
      mime: a.mime,
      size: Math.round((a.data.length * 3) / 4),
      uses: uses.get(a.id) ?? 0,
    }))
    .sort((a, b) => b.size - a.size);
}
