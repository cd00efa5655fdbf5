import type { Content } from '../activity/activity';
import type { Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import { chainOf, type Family, latest, type Revision, type Version } from '../activity/family';
import type { PersonalValues } from '../adjust/adjustment';
import { type Adjustment, kindOfAdjustment } from '../adjust/registry';
import { type Edit, Sheet } from '../adjust/sheet';

export interface DeriveOptions {
  /** The master revision to start from; the latest where none is given. */
  readonly revision?: number;
  /** Fills personal fields; without it they stay as written. */
  readonly learner?: PersonalValues;
  /** ISO date: adjustments not in force on that day are passed over. */
  readonly at?: string;
}

/** One adjustment that touched a block. */
export interface Touch {
  readonly versionId: Id;
  readonly adjustment: Adjustment;
}

/** Where a block of the result comes from: the master, or the adjustment that added it; and what touched it since. */
export interface Origin {
  readonly from: 'master' | Touch;
  readonly touched: readonly Touch[];
}

export interface Report {
  readonly versionId: Id;
  readonly adjustmentId: Id;
  readonly status: 'applied' | 'skipped' | 'off' | 'unsettled';
  readonly why: string;
}

export interface Derived {
  readonly revision: number;
  readonly content: Content;
  /** Origins of touched, added and left-out blocks; a block that is not here is the master's, untouched. */
  readonly origins: ReadonlyMap<Id, Origin>;
  /** Pages and blocks left out, by id, with the adjustment that did it. */
  readonly leftOut: ReadonlyMap<Id, Touch>;
  readonly reports: readonly Report[];
}

const MASTER: Origin = { from: 'master', touched: [] };
export const originOf = (derived: Derived, blockId: Id): Origin => derived.origins.get(blockId) ?? MASTER;

export function inForce(a: Adjustment, at: string | undefined): boolean {
  if (a.off) return false;
  if (!at) return true;
  const day = at.slice(0, 10);
  return (!a.from || a.from <= day) && (!a.until || day <= a.until);
}

/** Collects what edits do to origins; starts from what the basis has seen already. */
class Trace {
  readonly origins: Map<Id, Origin>;
  readonly leftOut: Map<Id, Touch>;

  constructor(basis: Derived) {
    this.origins = new Map(basis.origins);
    this.leftOut = new Map(basis.leftOut);
  }

  note(e: Edit, touch: Touch): void {
    switch (e.edit) {
      case 'replace-block':
        return this.touch(e.block, touch);
      case 'insert-block':
        this.origins.set(e.block.id, { from: touch, touched: [] });
        return;
      case 'remove-block':
        this.leftOut.set(e.block.id, touch);
        return this.touch(e.block, touch);
      case 'remove-page':
        this.leftOut.set(e.page.id, touch);
        for (const b of e.page.blocks) {
          this.leftOut.set(b.id, touch);
          this.touch(b, touch);
        }
        return;
      case 'insert-page':
        for (const b of e.page.blocks) this.origins.set(b.id, { from: touch, touched: [] });
        return;
      case 'move-block':
        return this.touch(e.block, touch);
      case 'move-page':
        for (const b of e.page.blocks) this.touch(b, touch);
        return;
      case 'settings':
        return;
    }
  }

  private touch(block: Block, touch: Touch): void {
    const before = this.origins.get(block.id) ?? MASTER;
    this.origins.set(block.id, { from: before.from, touched: [...before.touched, touch] });
  }
}

/** Applies adjustments in order on top of what is derived already. */
function applyAll(basis: Derived, touches: readonly Touch[], options: DeriveOptions): Derived {
  if (touches.length === 0) return basis;
  const sheet = new Sheet(basis.content);
  const trace = new Trace(basis);
  const context = options.learner ? { learner: options.learner } : {};
  const reports = touches.map((touch): Report => {
    const { versionId, adjustment } = touch;
    const base = { versionId, adjustmentId: adjustment.id };
    if (!inForce(adjustment, options.at))
      return { ...base, status: 'off', why: adjustment.off ? 'Switched off.' : 'Not in force on this day.' };
    const applied = kindOfAdjustment(adjustment).apply(adjustment, sheet, context);
    for (const e of applied.edits) {
      sheet.apply(e);
      trace.note(e, touch);
    }
    const [gone] = applied.missed;
    if (gone && sheet.isLeftOut(gone.target))
      return { ...base, status: 'off', why: 'What it is about is left out here.' };
    if (gone) return { ...base, status: 'skipped', why: gone.why };
    if (applied.unsettled) return { ...base, status: 'unsettled', why: 'Waits for a decision in upkeep.' };
    return { ...base, status: 'applied', why: '' };
  });
  return {
    revision: basis.revision,
    content: sheet.content(),
    origins: trace.origins,
    leftOut: trace.leftOut,
    reports: [...basis.reports, ...reports],
  };
}

/** A version's adjustments in the order in which they are applied: as they were made, those about the whole last. */
export function inOrder(v: Version): readonly Adjustment[] {
  const last = v.adjustments.filter((a) => kindOfAdjustment(a).last);
  return last.length ? [...v.adjustments.filter((a) => !last.includes(a)), ...last] : v.adjustments;
}

const touchesOf = (v: Version, late: boolean): Touch[] =>
  inOrder(v)
    .filter((a) => (kindOfAdjustment(a).late ?? false) === late)
    .map((adjustment) => ({ versionId: v.id, adjustment }));

// A version's derivation holds for as long as it, its basis's derivation and nothing else stay the same objects.
const masters = new WeakMap<Content, Derived>();
const kept = new WeakMap<Version, { basis: Derived; derived: Derived }>();

function deriveMaster({ content, n }: Revision): Derived {
  let derived = masters.get(content);
  if (derived?.revision !== n) {
    derived = { revision: n, content, origins: new Map(), leftOut: new Map(), reports: [] };
    masters.set(content, derived);
  }
  return derived;
}

/**
 * The finished activity of a version (null: of the master): the master's revision with every adjustment of the chain
 * applied in order, those that need a learner last. Total: an adjustment that no longer fits is skipped and reported.
 * Pages and blocks that a version does not touch are the very objects of its basis.
 */
export function derive(family: Family, versionId: Id | null, options: DeriveOptions = {}): Derived {
  const revision = family.revisions.find((r) => r.n === options.revision) ?? latest(family);
  const chain = versionId === null ? [] : chainOf(family, versionId);
  let derived = deriveMaster(revision);
  for (const version of chain) {
    const basis = derived;
    const known = options.at === undefined ? kept.get(version) : undefined;
    derived = known?.basis === basis ? known.derived : applyAll(basis, touchesOf(version, false), options);
    if (options.at === undefined) kept.set(version, { basis, derived });
  }
  if (!options.learner) return derived;
  return applyAll(
    derived,
    chain.flatMap((v) => touchesOf(v, true)),
    options,
  );
}

/** The content a version is made on. */
export function basisContent(family: Family, version: Version): Content {
  return derive(family, version.basis).content;
}

/** The sheet of a version just before one of its adjustments is applied. */
export function sheetBefore(family: Family, version: Version, adjustmentId: Id): Sheet {
  const sheet = new Sheet(basisContent(family, version));
  for (const a of inOrder(version)) {
    if (a.id === adjustmentId) break;
    if (inForce(a, undefined) && !kindOfAdjustment(a).late)
      for (const e of kindOfAdjustment(a).apply(a, sheet, {}).edits) sheet.apply(e);
  }
  return sheet;
}
