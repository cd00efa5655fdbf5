import {
  type Adjustment,
  carryOver,
  type Content,
  type Id,
  latest,
  leaveForLater,
  listOf,
  rebase,
  recordInPlace,
  resolveUpkeep,
  type ReviewContext,
  saveRevision,
  withoutAdjustment,
  withoutVersion,
} from '@lorvet/core';
import { current } from 'immer';
import type { KeptDoc } from '../platform/storage/kept-asset';
import { BenchActions, type Stamped } from './actions';

import { changeFamily, changeVersion, coreStamp, type Doc, edit, type Edit, plain, put } from './edit';
import { counted } from '../platform/many';

/** What upkeep knows of the activities that parts were taken from. */
export const sourcesIn = (w: Pick<KeptDoc, 'families'>): ReviewContext => ({
  source: (id) => {
    const last = w.families[id] && latest(w.families[id]);
    return last && { revision: last.n, content: last.content };
  },
});

/** A revision of one master, and what follows it in the versions of others. */
function saved(doc: Doc, familyId: Id, content: Content, note: string, stamp: Stamped): void {
  const settler = settlerOf(stamp);
  changeFamily(doc, familyId, (f) => saveRevision(f, content, note, settler, sourcesIn(plain(doc))).family);
  const now = { ...plain(doc), families: { ...plain(doc).families, ...current(doc).families } } as KeptDoc;
  for (const f of listOf(plain(doc).families))
    if (f.id !== familyId && f.versions.some((v) => v.adjustments.some((a) => takesFrom(a, familyId))))
      put(doc, 'families', carryOver(f, settler, sourcesIn(now)));
}

const takesFrom = (a: Adjustment, familyId: Id) => a.kind === 'from-activity' && a.source.familyId === familyId;
const settlerOf = (stamp: Stamped) => ({ at: stamp.at, by: stamp.author });

/** What is done on the Bench. */
export const BENCH_EDITS: readonly [string, Edit][] = [
  edit(BenchActions.masterChanged, {
    run: (doc, { familyId, content }) => changeFamily(doc, familyId, (f) => ({ ...f, draft: content })),
    label: (a) => a.label,
    mergeKey: (a) => a.mergeKey,
  }),
  edit(BenchActions.draftDropped, {
    did: () => 'removed',
    run: (doc, { familyId }) =>
      changeFamily(doc, familyId, (f) => {
        const { draft: _, ...rest } = f;
        return rest;
      }),
    label: () => 'drop the unsaved changes',
  }),
  edit(BenchActions.revisionSaved, {
    run: (doc, { familyId, note, stamp }) => {
      const draft = plain(doc).families[familyId]?.draft;
      if (draft) saved(doc, familyId, draft, note, stamp);
    },
    label: () => 'save the revision',
  }),
  edit(BenchActions.revisionRestored, {
    did: () => 'restored',
    run: (doc, { familyId, n, stamp }) => {
      const then = plain(doc).families[familyId]?.revisions.find((r) => r.n === n);
      if (then) saved(doc, familyId, then.content, `As in revision ${n}`, stamp);
    },
    label: (a) => `restore revision ${a.n}`,
  }),
  edit(BenchActions.versionAdded, {
    run: (doc, { familyId, version }) =>
      changeFamily(doc, familyId, (f) => ({ ...f, versions: [...f.versions, { ...version, upTo: latest(f).n }] })),
    label: (a) => `new version “${a.version.name}”`,
  }),
  edit(BenchActions.versionRevised, {
    run: (doc, { familyId, versionId, patch }) => changeVersion(doc, familyId, versionId, (v) => ({ ...v, ...patch })),
    label: () => 'rename the version',
    mergeKey: (a) => `rename ${a.versionId}`,
  }),
  edit(BenchActions.versionRemoved, {
    did: () => 'removed',
    run: (doc, { familyId, versionId, heirs, removed, stamp }) => {
      changeFamily(doc, familyId, (f) => withoutVersion(f, versionId, heirs, settlerOf(stamp)));
      put(doc, 'removed', removed);
    },
    label: (a) => `remove version “${a.removed.title}”`,
  }),
  edit(BenchActions.versionRebased, {
    run: (doc, { familyId, versionId, basis, stamp }) =>
      changeFamily(doc, familyId, (f) => rebase(f, versionId, basis, settlerOf(stamp), sourcesIn(plain(doc))).family),
    label: () => 'move the version to another basis',
  }),
  edit(BenchActions.versionsMade, {
    run: (doc, { familyId, versions }) =>
      changeFamily(doc, familyId, (f) => ({
        ...f,
        versions: [...f.versions, ...versions.map((v) => ({ ...v, upTo: latest(f).n }))],
      })),
    label: (a) => a.label,
  }),
  edit(BenchActions.recipeRun, {
    run: (doc, { familyId, version }) => changeVersion(doc, familyId, version.id, () => version),
    label: (a) => a.label,
  }),
  edit(BenchActions.adjustmentsBrought, {
    run: (doc, { familyId, version, assets }) => {
      changeVersion(doc, familyId, version.id, () => version);
      for (const asset of assets) put(doc, 'assets', asset);
    },
    label: (a) => a.label,
  }),
  edit(BenchActions.recipeKept, {
    run: (doc, { recipe }) => put(doc, 'recipes', recipe),
    label: (a) => `recipe “${a.recipe.name}”`,
  }),
  edit(BenchActions.upkeepLeft, {
    run: (doc, { familyId, entries }) => changeFamily(doc, familyId, (f) => leaveForLater(f, entries)),
    label: () => 'leave for later',
  }),
  edit(BenchActions.changedInPlace, {
    run: (doc, { familyId, versionId, done, stamp }) =>
      changeVersion(doc, familyId, versionId, (_, f) => recordInPlace(f, versionId, done, coreStamp(stamp))),
    label: (a) => a.label,
    mergeKey: (a) => (a.done.did === 'words' ? `words ${a.versionId} ${a.done.blockId} ${a.done.field}` : undefined),
  }),
  edit(BenchActions.questionJudged, {
    did: () => 'decided',
    run: (doc, { familyId, of, overrule }) =>
      changeFamily(doc, familyId, (f) => ({
        ...f,
        versions: f.versions.map((v) => {
          const ids = new Set(of.filter((o) => o.versionId === v.id).map((o) => o.adjustmentId));
          if (ids.size === 0) return v;
          return { ...v, adjustments: v.adjustments.map((a) => (ids.has(a.id) ? { ...a, overrule } : a)) };
        }),
      })),
    label: () => 'answer a question of the verdict',
  }),
  edit(BenchActions.adjustmentPatched, {
    run: (doc, { familyId, versionId, adjustmentId, patch }) =>
      changeVersion(doc, familyId, versionId, (v) => ({
        ...v,
        adjustments: v.adjustments.map((a) => {
          if (a.id !== adjustmentId) return a;
          const { reason, goalId, overrule, ...rest } = patch;
          const next = { ...a, ...rest };
          if (reason !== undefined || goalId !== undefined) {
            const why = { text: reason ?? a.reason?.text ?? '', goalId: goalId ?? a.reason?.goalId };
            if (why.text || why.goalId) next.reason = { text: why.text, ...(why.goalId ? { goalId: why.goalId } : {}) };
            else delete next.reason;
          }
          if (overrule === null) delete next.overrule;
          else if (overrule) next.overrule = overrule;
          return next;
        }),
      })),
    label: (a) =>
      a.patch.off === undefined
        ? 'note on an adjustment'
        : a.patch.off
          ? 'switch off an adjustment'
          : 'switch on an adjustment',
    mergeKey: (a) => (a.patch.off === undefined ? `patch ${a.adjustmentId} ${Object.keys(a.patch).join()}` : undefined),
  }),
  edit(BenchActions.adjustmentRemoved, {
    did: () => 'removed',
    run: (doc, { familyId, versionId, adjustmentId }) =>
      changeVersion(doc, familyId, versionId, (v, f) => withoutAdjustment(f, v, adjustmentId)),
    label: () => 'remove an adjustment',
  }),
  edit(BenchActions.upkeepDecided, {
    did: () => 'decided',
    run: (doc, { familyId, decisions, stamp }) =>
      changeFamily(doc, familyId, (f) => {
        const settler = settlerOf(stamp);
        const context = sourcesIn(plain(doc));
        return decisions.length ? resolveUpkeep(f, decisions, settler, context) : carryOver(f, settler, context);
      }),
    label: (a) => counted(a.decisions.length, 'decide upkeep', 'decide upkeep for {n} versions'),
  }),
  edit(BenchActions.templateKept, {
    run: (doc, { template }) => put(doc, 'templates', template),
    label: (a) => `template “${a.template.name}”`,
  }),
  edit(BenchActions.pictureAdded, { run: (doc, { asset }) => put(doc, 'assets', asset) }),
];
