import { type Content, type Page, pageIndex } from '../activity/activity';
import type { Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import { chainOf, type Family, latest, type Revision, type Version } from '../activity/family';
import type { PersonalValues } from '../adjust/adjustment';
import { fillFields, personalFieldsIn } from '../adjust/personal-fields';
import { type Adjustment, kindOfAdjustment } from '../adjust/registry';
import { type Edit, Sheet } from '../adjust/sheet';
import { divide, wholePageId } from './divide';

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

/** Why an adjustment does nothing on a day. */
export const SWITCHED_OFF = 'Switched off.';
export const NOT_THIS_DAY = 'Not in force on this day.';

export interface Derived {
  readonly revision: number;
  /** As it is shown and given out: pages in smaller parts where a division asks for it. */
  readonly content: Content;
  /** With its pages whole: what adjustments, and versions made on this one, speak of. The content where nothing is divided. */
  readonly whole: Content;
  /** The divisions of the chain that are in force, in order. */
  readonly divisions: readonly Touch[];
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

/** What became of the adjustments: where every block comes from, and which of them were applied. */
interface Trace {
  readonly origins: Map<Id, Origin>;
  /** The same, with the division that put a block on a page of its own. */
  readonly inParts: ReadonlyMap<Id, Origin>;
  readonly leftOut: Map<Id, Touch>;
  readonly reports: readonly Report[];
}

/** Collects what edits do to origins; starts from what the basis has seen already. */
class Tracer {
  readonly origins: Map<Id, Origin>;
  readonly leftOut: Map<Id, Touch>;

  constructor(basis: Derived) {
    this.origins = new Map(basis instanceof Applied ? basis.wholeOrigins : basis.origins);
    this.leftOut = new Map(basis.leftOut);
  }

  note(e: Edit, touch: Touch): void {
    switch (e.edit) {
      case 'replace-block':
      case 'move-block':
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

/**
 * A version's content, applied at once; where its blocks come from is followed only when it is asked for, since three
 * hundred versions are shown for their content and one for its origins.
 */
class Applied implements Derived {
  readonly whole: Content;
  readonly divisions: readonly Touch[];
  private shown: Content | null = null;
  private traced: Trace | null = null;

  constructor(
    private readonly basis: Derived,
    private readonly versions: readonly Version[],
    private readonly late: boolean,
    private readonly options: DeriveOptions,
  ) {
    const sheet = new Sheet(basis.whole);
    const context = contextOf(options);
    const divisions: Touch[] = [];
    for (const v of versions)
      for (const a of v.adjustments) {
        const kind = kindOfAdjustment(a);
        if ((kind.late ?? false) !== late || !inForce(a, options.at)) continue;
        if (kind.breaks) divisions.push({ versionId: v.id, adjustment: a });
        const { edits } = kind.apply(a, sheet, context);
        for (let i = 0; i < edits.length; i++) sheet.apply(edits[i] as Edit);
      }
    // A field that no adjustment speaks of is filled all the same: in a master, or in a version without that adjustment.
    if (late && options.learner) for (const e of fillFields(sheet, options.learner)) sheet.apply(e);
    this.whole = sheet.content();
    this.divisions = divisions.length ? [...basis.divisions, ...divisions] : basis.divisions;
  }

  get content(): Content {
    return (this.shown ??= divide(this.whole, this.divisions.map(breaksOf)));
  }

  get revision(): number {
    return this.basis.revision;
  }
  get origins(): ReadonlyMap<Id, Origin> {
    return this.divisions.length ? this.trace().inParts : this.trace().origins;
  }
  /** Origins as the whole pages have them: what a version made on this one begins with. */
  get wholeOrigins(): ReadonlyMap<Id, Origin> {
    return this.trace().origins;
  }
  get leftOut(): ReadonlyMap<Id, Touch> {
    return this.trace().leftOut;
  }
  get reports(): readonly Report[] {
    return this.trace().reports;
  }

  private trace(): Trace {
    if (this.traced) return this.traced;
    const sheet = new Sheet(this.basis.whole);
    const tracer = new Tracer(this.basis);
    const context = contextOf(this.options);
    const touches = this.versions.flatMap((v) => touchesOf(v, this.late));
    const reports = touches.map((touch): Report => {
      const { versionId, adjustment } = touch;
      const base = { versionId, adjustmentId: adjustment.id };
      if (!inForce(adjustment, this.options.at))
        return { ...base, status: 'off', why: adjustment.off ? SWITCHED_OFF : NOT_THIS_DAY };
      const applied = kindOfAdjustment(adjustment).apply(adjustment, sheet, context);
      for (const e of applied.edits) {
        sheet.apply(e);
        tracer.note(e, touch);
      }
      const [gone] = applied.missed;
      if (gone && (gone.leftOut || sheet.isLeftOut(gone.target)))
        return { ...base, status: 'off', why: 'What it is about is left out here.' };
      if (gone) return { ...base, status: 'skipped', why: gone.why };
      if (applied.unsettled) return { ...base, status: 'unsettled', why: applied.unsettled };
      return { ...base, status: 'applied', why: '' };
    });
    this.traced = {
      origins: tracer.origins,
      inParts: this.divisions.length ? movedByDivision(this, tracer.origins) : tracer.origins,
      leftOut: tracer.leftOut,
      reports: [...this.basis.reports, ...reports],
    };
    return this.traced;
  }
}

const breaksOf = ({ adjustment }: Touch) => {
  const kind = kindOfAdjustment(adjustment);
  return (page: Page): readonly Id[] => kind.breaks?.(adjustment, page) ?? [];
};

/** Origins with the division that put each block where it stands. */
function movedByDivision(derived: Derived, origins: ReadonlyMap<Id, Origin>): ReadonlyMap<Id, Origin> {
  const out = new Map(origins);
  const whole = pageIndex(derived.whole);
  for (const page of derived.content.pages) {
    if (whole.has(page.id)) continue;
    const home = derived.whole.pages[whole.get(wholePageId(derived.whole, page.id)) ?? -1];
    // The one whose parts these are: of several, the one that makes the most of them.
    const counts = home ? derived.divisions.map((d) => breaksOf(d)(home).length) : [];
    const touch = derived.divisions[counts.indexOf(Math.max(...counts))];
    if (!touch) continue;
    for (const b of page.blocks) {
      const before = out.get(b.id) ?? MASTER;
      out.set(b.id, { from: before.from, touched: [...before.touched, touch] });
    }
  }
  return out;
}

const contextOf = (options: DeriveOptions) => (options.learner ? { learner: options.learner } : {});

const isLate = (a: Adjustment): boolean => kindOfAdjustment(a).late ?? false;

const hasFields = (content: Content, { learner }: DeriveOptions): boolean =>
  learner !== undefined && personalFieldsIn(content, Object.keys(learner)).length > 0;

/** Applies the adjustments of versions in order on top of what is derived already. */
const applyAll = (basis: Derived, versions: readonly Version[], late: boolean, options: DeriveOptions): Derived =>
  versions.some((v) => v.adjustments.some((a) => isLate(a) === late)) || (late && hasFields(basis.whole, options))
    ? new Applied(basis, versions, late, options)
    : basis;

const touchesOf = (v: Version, late: boolean): Touch[] =>
  v.adjustments.filter((a) => isLate(a) === late).map((adjustment) => ({ versionId: v.id, adjustment }));

/** What was worked out on a basis, by version and purpose. */
const made = Symbol('made');
interface Kept {
  [made]?: Map<string, { readonly version: Version; readonly result: unknown }>;
}

/**
 * Works something out for a version on its basis, once for as long as both stay the same objects. Kept in a plain map
 * on the basis that it hangs on: weak maps cost more than the deriving.
 */
export function onceOn<T>(basis: Derived & Kept, version: Version, purpose: string, work: () => T): T {
  const all = (basis[made] ??= new Map());
  const key = purpose + version.id;
  const known = all.get(key);
  if (known?.version === version) return known.result as T;
  const result = work();
  all.set(key, { version, result });
  return result;
}

const masters = new WeakMap<Content, Derived>();

function deriveMaster({ content, n }: Revision): Derived {
  let derived = masters.get(content);
  if (derived?.revision !== n) {
    derived = {
      revision: n,
      content,
      whole: content,
      divisions: [],
      origins: new Map(),
      leftOut: new Map(),
      reports: [],
    };
    masters.set(content, derived);
  }
  return derived;
}

const deriveOn = (basis: Derived, version: Version): Derived =>
  onceOn(basis, version, 'derived ', () => applyAll(basis, [version], false, {}));

/**
 * The finished activity of a version (null: of the master): the master's revision with every adjustment of the chain
 * applied in order, those that need a learner last. Total: an adjustment that no longer fits is skipped and reported.
 * Pages and blocks that a version does not touch are the very objects of its basis.
 */
export function derive(family: Family, versionId: Id | null, options: DeriveOptions = {}): Derived {
  const revision = family.revisions.find((r) => r.n === options.revision) ?? latest(family);
  const chain = versionId === null ? [] : chainOf(family, versionId);
  let derived = deriveMaster(revision);
  for (const version of chain)
    derived = options.at === undefined ? deriveOn(derived, version) : applyAll(derived, [version], false, options);
  return options.learner ? applyAll(derived, chain, true, options) : derived;
}

/** What `derive` gives with `options.learner`, on top of what it gave for the same version and day without. */
export const deriveFor = (
  derived: Derived,
  family: Family,
  versionId: Id | null,
  options: DeriveOptions & { readonly learner: PersonalValues },
): Derived => applyAll(derived, versionId === null ? [] : chainOf(family, versionId), true, options);

/** The content a version is made on, with its pages whole. */
export function basisContent(family: Family, version: Version): Content {
  return derive(family, version.basis).whole;
}

/** The sheet of a version just before one of its adjustments is applied. */
export function sheetBefore(family: Family, version: Version, adjustmentId: Id): Sheet {
  const sheet = new Sheet(basisContent(family, version));
  for (const a of version.adjustments) {
    if (a.id === adjustmentId) break;
    if (inForce(a, undefined) && !kindOfAdjustment(a).late)
      for (const e of kindOfAdjustment(a).apply(a, sheet, {}).edits) sheet.apply(e);
  }
  return sheet;
}
