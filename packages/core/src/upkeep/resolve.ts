import type { Content } from '../activity/activity';
import type { Id } from '../activity/block';
import { chainOf, type Family, latest, type UpkeepRecord, versionOf } from '../activity/family';
import { fingerprint } from '../activity/fingerprint';
import type { ReviewContext } from '../adjust/adjustment';
import { type Adjustment, kindOfAdjustment } from '../adjust/registry';
import { sheetBefore } from '../derive/derive';
import { reviewOf, upkeep, type UpkeepEntry, type UpkeepReport, waits } from './upkeep';

export interface Decision {
  readonly versionId: Id;
  readonly adjustmentId: Id;
  readonly choice: 'master' | 'version' | 'combined' | 'own words';
  /** With 'own words'. */
  readonly words?: string;
}

export interface Settler {
  readonly at: string;
  readonly by: string;
}

function replaced(
  family: Family,
  e: UpkeepEntry,
  result: Adjustment | null,
  also: readonly Adjustment[],
  record: UpkeepRecord,
): Family {
  return {
    ...family,
    versions: family.versions.map((v) =>
      v.id !== e.versionId
        ? v
        : {
            ...v,
            adjustments: v.adjustments.flatMap((a) =>
              a.id === e.adjustmentId ? [...(result ? [result] : []), ...also] : [a],
            ),
            later: v.later?.filter((key) => key !== laterKey(e)),
            upkeepLog: [...v.upkeepLog, record],
          },
    ),
  };
}

/** What names a question that was left for later: it comes up again once the master's side of it changes. */
export const laterKey = (e: Pick<UpkeepEntry, 'adjustmentId' | 'groupKey'>): string =>
  `${e.adjustmentId} ${fingerprint([e.groupKey])}`;

/** Leaves questions for later: they still wait, but no longer call. */
export function leaveForLater(family: Family, entries: readonly UpkeepEntry[]): Family {
  return {
    ...family,
    versions: family.versions.map((v) => {
      const mine = entries.filter((e) => e.versionId === v.id).map(laterKey);
      return mine.length ? { ...v, later: [...new Set([...(v.later ?? []), ...mine])] } : v;
    }),
  };
}

export const isLeft = (family: Family, e: UpkeepEntry): boolean =>
  family.versions.find((v) => v.id === e.versionId)?.later?.includes(laterKey(e)) ?? false;

/**
 * Carries over what goes together by rule, and brings every version with nothing left to decide up to the latest
 * revision. What waits for a person stays as it was. A parent's carried change can carry a child's: repeated until still.
 */
export function carryOver(family: Family, settler: Settler, context: ReviewContext = {}): Family {
  let out = family;
  // A carried adjustment is rebased onto its basis and cannot be carried again, so each pass either shrinks the list or ends.
  for (let pass = 0; pass < 50; pass++) {
    const carried = upkeep(out, latest(out).n, context).entries.filter((e) => !waits(e));
    if (carried.length === 0) break;
    for (const e of carried)
      out = replaced(out, e, e.choices[0]?.result ?? null, e.choices[0]?.also ?? [], {
        ...settler,
        revision: latest(out).n,
        adjustmentId: e.adjustmentId,
        outcome: 'carried',
        sentence: e.why,
      });
  }
  const waiting = new Set(
    upkeep(out, latest(out).n, context)
      .entries.filter(waits)
      .map((e) => e.versionId),
  );
  const n = latest(out).n;
  const behind = (id: Id) => waiting.has(id) || chainOf(out, id).some((v) => waiting.has(v.id));
  if (out.versions.every((v) => v.upTo === n || behind(v.id))) return out;
  return { ...out, versions: out.versions.map((v) => (v.upTo === n || behind(v.id) ? v : { ...v, upTo: n })) };
}

/** Settles questions of upkeep as decided, and carries over what follows. A decision that fits no question is passed over. */
export function resolveUpkeep(
  family: Family,
  decisions: readonly Decision[],
  settler: Settler,
  context: ReviewContext = {},
): Family {
  let out = family;
  for (const d of decisions) {
    const entry = reviewOf(out, d.versionId, context).find((e) => e.adjustmentId === d.adjustmentId && waits(e));
    if (!entry) continue;
    const result = resultOf(out, entry, d);
    if (result === undefined) continue;
    out = replaced(out, entry, result, entry.choices.find((c) => c.choice === d.choice)?.also ?? [], {
      ...settler,
      revision: latest(out).n,
      adjustmentId: d.adjustmentId,
      outcome: d.choice,
      sentence: entry.why,
    });
  }
  return carryOver(out, settler, context);
}

function resultOf(family: Family, entry: UpkeepEntry, d: Decision): Adjustment | null | undefined {
  if (d.choice !== 'own words') return entry.choices.find((c) => c.choice === d.choice)?.result;
  const version = versionOf(family, d.versionId);
  const adjustment = version?.adjustments.find((a) => a.id === d.adjustmentId);
  const kind = adjustment && kindOfAdjustment(adjustment);
  if (!version || !adjustment || !kind?.withWords || d.words === undefined) return undefined;
  return kind.withWords(adjustment, sheetBefore(family, version, d.adjustmentId), d.words);
}

/**
 * Makes a revision of `content` and carries over what goes together. The report speaks of the step before anything
 * was carried, so that it names what was.
 */
export function saveRevision(
  family: Family,
  content: Content,
  note: string,
  settler: Settler,
  context: ReviewContext = {},
): { family: Family; report: UpkeepReport } {
  const last = latest(family);
  const { draft: _, ...rest } = family;
  const revision = { n: last.n + 1, at: settler.at, author: settler.by, note, content };
  const saved: Family = { ...rest, revisions: [...family.revisions, revision] };
  return { family: carryOver(saved, settler, context), report: upkeep(saved, last.n, context) };
}

/** The questions that wait in a family now. */
export const pendingUpkeep = (family: Family, context: ReviewContext = {}): UpkeepReport => {
  const oldest = Math.min(latest(family).n, ...family.versions.map((v) => v.upTo));
  return upkeep(family, oldest, context);
};
