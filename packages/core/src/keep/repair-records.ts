import { doubledIds, type Content } from '../activity/activity';
import type { Family } from '../activity/family';
import { type CollectionName } from '../collections';
import { unsoundIn } from '../formats/family-file';
import { recordSchemas } from '../workspace';
import { mended, type Repaired } from './repair';

/** Mends a record of a collection whose fault is known; of a family also ids that stand twice and what goes in a circle. */
export const repaired = (collection: CollectionName, record: unknown): Repaired | null =>
  mended(
    recordSchemas[collection],
    record,
    collection === 'families' ? (r, notes) => mendedFamily(r as Family, notes) : undefined,
  );

/** Ids in their order, those that stand a second time with a number behind them. */
function numbered(ids: readonly string[]): string[] {
  const seen = new Set<string>();
  return ids.map((id) => {
    let now = id;
    for (let n = 2; seen.has(now); n++) now = `${id.slice(0, 58)}-${n}`;
    seen.add(now);
    return now;
  });
}

/** A family in which all ids are its own and every version stands on the master in the end; null where it cannot be had. */
export function mendedFamily(family: Family, notes: string[]): Family | null {
  const faults = unsoundIn(family);
  if (faults.length === 0) return family;
  const versionIds = numbered(family.versions.map((v) => v.id));
  const adjustmentIds = numbered(family.versions.flatMap((v) => v.adjustments.map((a) => a.id)));
  let at = 0;
  const known = new Set(versionIds);
  const last = family.revisions.length;
  const versions = family.versions.map((v, i) => ({
    ...v,
    id: versionIds[i] ?? v.id,
    basis: v.basis !== null && known.has(v.basis) ? v.basis : null,
    upTo: Math.min(v.upTo, last),
    adjustments: v.adjustments.map((a) => ({ ...a, id: adjustmentIds[at++] ?? a.id })),
  }));
  // One of those that go in a circle begins anew on the master, until none does.
  for (let i = 0; i < versions.length; i++) {
    const seen = new Set<string>();
    let v = versions[i];
    while (v && v.basis !== null && !seen.has(v.id)) {
      seen.add(v.id);
      const basis: string = v.basis;
      const next = versions.find((x) => x.id === basis);
      if (next && seen.has(next.id)) v.basis = null;
      v = next;
    }
  }
  const mended: Family = {
    ...family,
    revisions: family.revisions.map((r, i) => ({ ...r, n: i + 1, content: withOwnIds(r.content) })),
    ...(family.draft ? { draft: withOwnIds(family.draft) } : {}),
    versions,
  };
  notes.push(...faults);
  return unsoundIn(mended).length === 0 ? mended : null;
}

function withOwnIds(content: Content): Content {
  if (doubledIds(content).length === 0) return content;
  const ids = numbered(content.pages.flatMap((p) => [p.id, ...p.blocks.map((b) => b.id)]));
  let at = 0;
  return {
    ...content,
    pages: content.pages.map((p) => {
      const id = ids[at++] ?? p.id;
      return { ...p, id, blocks: p.blocks.map((b) => ({ ...b, id: ids[at++] ?? b.id })) };
    }),
  };
}
