import { assetsOf } from '../activity/activity';
import type { Family, Version } from '../activity/family';
import type { Frozen, HandOut } from '../assign/hand-out';
import type { Folder } from '../evidence/folder';
import type { Template } from '../kept';
import type { Copy, Marking } from '../work/copy';
import { answerAssets } from '../work/answer';
import { listOf } from '../collections';
import type { Workspace } from '../workspace';

/** Adds up how often each asset is used. A workspace is large: what it holds is told part by part. */
export class AssetUses {
  private readonly uses = new Map<string, number>();

  private use(ids: Iterable<string>): void {
    for (const id of ids) if (id) this.uses.set(id, (this.uses.get(id) ?? 0) + 1);
  }

  /** Whatever may show assets: any revision or draft of a master and its adjustments. */
  family(f: Family): void {
    this.use(assetsIn(f));
  }
  /** A version that is no longer in its family but may come back. */
  version(v: Version): void {
    this.use(v.adjustments.flatMap(assetsHeld));
  }
  frozen({ content }: Frozen): void {
    this.use(assetsOf(content));
  }
  /** A learner's answers. */
  copy(c: Copy): void {
    for (const go of c.goes) {
      const aside = (go.aside ?? []).flatMap((x) => Object.values(x.answers));
      const earlier = (go.earlier ?? []).map((x) => x.answer);
      for (const a of [...Object.values(go.answers), ...aside, ...earlier]) this.use(answerAssets(a));
    }
  }
  /** What a teacher said aloud, and what learners did on paper. */
  marking(m: Marking): void {
    for (const r of m.responses) {
      this.use([r.voice ?? '', ...Object.values(r.voices ?? {})]);
      this.use((r.paper ?? []).map((p) => p.assetId));
    }
  }
  /** What goes with a hand-out. */
  handOut(h: Pick<HandOut, 'companions'> & Partial<Pick<HandOut, 'toPlace'>>): void {
    this.use(h.companions.flatMap((c) => ('assetId' in c ? [c.assetId] : [])));
    this.use(h.toPlace ?? []);
  }
  /** Photographs in a learner's evidence. */
  folder(f: Pick<Folder, 'notes'>): void {
    this.use(f.notes.flatMap((n) => n.assetId ?? []));
  }
  template(t: Template): void {
    this.use(assetsOf({ pages: [t.page] }));
  }

  of(id: string): number {
    return this.uses.get(id) ?? 0;
  }
}

/** How often each asset of a workspace is used: what is not used can be cleared. */
export function assetUses(w: Workspace): AssetUses {
  const uses = new AssetUses();
  listOf(w.families).forEach((f) => uses.family(f));
  listOf(w.frozen).forEach((f) => uses.frozen(f));
  listOf(w.handOuts).forEach((h) => uses.handOut(h));
  listOf(w.copies).forEach((c) => uses.copy(c));
  listOf(w.markings).forEach((m) => uses.marking(m));
  listOf(w.folders).forEach((f) => uses.folder(f));
  listOf(w.templates).forEach((t) => uses.template(t));
  for (const r of listOf(w.removed)) {
    if (r.what === 'version') r.versions.forEach((v) => uses.version(v.version));
    if (r.what === 'template') uses.template(r.record);
  }
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
