import { type Content, findBlock } from '../../activity/activity';
import type { Id } from '../../activity/block';
import type { Block } from '../../activity/blocks';
import { chainOf, type Family, versionOf } from '../../activity/family';
import { plainTextOf } from '../../activity/plain-text';
import { snippet } from '../../adjust/adjustment';
import { type Adjustment, kindOfAdjustment } from '../../adjust/registry';
import {
  basisContent,
  type Derived,
  inForce,
  NOT_THIS_DAY,
  type Report,
  SWITCHED_OFF,
  type Touch,
} from '../../derive/derive';
import { classify } from '../../verdict/classify';
import type { Decided, HeldRecord } from './decided';

/** The words of a goal, by its id. */
export type GoalWords = (goalId: Id) => string | undefined;

const say = (block: Block): string => snippet(plainTextOf(block).replace(/\s+/g, ' ').trim(), 120);

function wordsLeftOut(id: Id, { versionId }: Touch, family: Family): string {
  const version = versionOf(family, versionId);
  if (!version) return '';
  const basis = basisContent(family, version);
  const block = findBlock(basis, id)?.block;
  if (block) return say(block);
  const page = basis.pages.find((p) => p.id === id);
  return page ? `the page “${page.title}”` : '';
}

/** What is laid on for a learner at last has no report yet: it is in force on the day, or it is not. */
const lateReport = (a: Adjustment, at: string): Pick<Report, 'status' | 'why'> =>
  inForce(a, at) ? { status: 'applied', why: '' } : { status: 'off', why: a.off ? SWITCHED_OFF : NOT_THIS_DAY };

function decidedOn(
  derived: Derived,
  versionId: Id | null,
  family: Family,
  at: string,
  goalWords: GoalWords,
): Decided[] {
  const chain = versionId === null ? [] : chainOf(family, versionId);
  const reports = new Map(derived.reports.map((r) => [r.adjustmentId, r]));
  const all = chain.flatMap((version) => version.adjustments.map((a) => ({ version, a })));
  return all.map(({ version, a }): Decided => {
    const report = reports.get(a.id) ?? lateReport(a, at);
    const verdict = classify(family, version.id).adjustments.get(a.id);
    const goalId = a.reason?.goalId;
    return {
      versionId: version.id,
      versionName: version.name,
      adjustmentId: a.id,
      kind: a.kind,
      ...(a.name ? { name: a.name } : {}),
      sentence: kindOfAdjustment(a).describe(a, basisContent(family, version)),
      author: a.author,
      at: a.at,
      ...(a.from ? { from: a.from } : {}),
      ...(a.until ? { until: a.until } : {}),
      ...(a.reason?.text ? { reason: a.reason.text } : {}),
      ...(goalId ? { goal: { id: goalId, text: goalWords(goalId) ?? '' } } : {}),
      ...(verdict
        ? {
            verdict: {
              judgement: verdict.judgement,
              why: verdict.why,
              ...(verdict.question ? { question: verdict.question } : {}),
            },
          }
        : {}),
      ...(a.overrule ? { overruled: a.overrule } : {}),
      status: report.status,
      ...(report.why ? { statusWhy: report.why } : {}),
    };
  });
}

/** What was decided about all that is on a sheet on a day (ISO); `sources` are the versions that its pages are of. */
export function recordOf(
  family: Family,
  content: Content,
  sources: readonly (readonly [Derived, Id | null])[],
  at: string,
  goalWords: GoalWords,
): HeldRecord {
  const made = sources.flatMap(([, id]) => (id === null ? [] : [id]));
  const adjustments = new Map(
    sources.flatMap(([d, id]) => decidedOn(d, id, family, at, goalWords)).map((x) => [x.adjustmentId, x]),
  );
  const shown = new Set(content.pages.flatMap((p) => [p.id, ...p.blocks.map((b) => b.id)]));
  const leftOut = new Map(
    sources
      .flatMap(([d]) => [...d.leftOut])
      .filter(([id]) => !shown.has(id))
      .map(([id, touch]) => [
        id,
        { id, words: wordsLeftOut(id, touch, family), versionId: touch.versionId, adjustmentId: touch.adjustment.id },
      ]),
  );
  return {
    verdicts: made.map((versionId) => {
      const { judgement, why } = classify(family, versionId);
      return { versionId, judgement, why: [...why] };
    }),
    adjustments: [...adjustments.values()],
    leftOut: [...leftOut.values()],
  };
}
