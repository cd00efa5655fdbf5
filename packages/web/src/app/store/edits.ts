import {
  type Adjustment,
  carryOver,
  type CollectionName,
  type Content,
  emptyResponse,
  type Family,
  giveOut,
  type Id,
  latest,
  leaveForLater,
  listOf,
  rebase,
  recordInPlace,
  type RecordOf,
  resolveUpkeep,
  type ReviewContext,
  saveRevision,
  type Stamp,
  type Version,
  type Workspace,
  withoutAdjustment,
  withoutVersion,
} from '@lorvet/core';
import type { Action, ActionCreator } from '@ngrx/store';
import { current, type Draft, original } from 'immer';
import {
  BenchActions,
  BringActions,
  DeskActions,
  HandOutActions,
  KeepingActions,
  LearnersActions,
  MarkingActions,
  ShelfActions,
  type Stamped,
} from './actions';

type Doc = Draft<Workspace>;

/** What an action does to the workspace. Without a label it cannot be undone. */
export interface Edit {
  readonly run: (doc: Doc, action: Action) => void;
  readonly label?: (action: Action) => string;
  /** Following edits with the same key are undone together: the strokes of one text. */
  readonly mergeKey?: (action: Action) => string | undefined;
}

interface TypedEdit<A> {
  readonly run: (doc: Doc, action: A) => void;
  readonly label?: (action: A) => string;
  readonly mergeKey?: (action: A) => string | undefined;
}

// The type of the action is known by its creator's type string; the table below forgets it.
const edit = <C extends ActionCreator>(creator: C, e: TypedEdit<ReturnType<C>>): [string, Edit] => [
  creator.type,
  e as unknown as Edit,
];

const coreStamp = (s: Stamped): Stamp => {
  const ids = [...s.ids];
  return { at: s.at, author: s.author, newId: () => ids.shift() ?? `${s.at}-${Math.random()}` };
};

/** The plain workspace behind a draft: what the core's functions take. */
const plain = (doc: Doc): Workspace => original(doc) as Workspace;

function put<C extends CollectionName>(doc: Doc, collection: C, record: RecordOf<C>): void {
  (doc[collection] as Record<string, unknown>)[record.id] = record;
}

function changeFamily(doc: Doc, id: Id, change: (family: Family) => Family): void {
  const family = plain(doc).families[id];
  if (family) put(doc, 'families', change(family));
}

function changeVersion(doc: Doc, familyId: Id, versionId: Id, change: (v: Version, f: Family) => Version): void {
  changeFamily(doc, familyId, (f) => ({
    ...f,
    versions: f.versions.map((v) => (v.id === versionId ? change(v, f) : v)),
  }));
}

const without = (ids: readonly Id[], id: Id) => ids.filter((x) => x !== id);

/** What upkeep knows of the activities that parts were taken from. */
export const sourcesIn = (w: Workspace): ReviewContext => ({
  source: (id) => {
    const last = w.families[id] && latest(w.families[id]);
    return last && { revision: last.n, content: last.content };
  },
});

/** A revision of one master, and what follows it in the versions of others. */
function saved(doc: Doc, familyId: Id, content: Content, note: string, stamp: Stamped): void {
  const settler = settlerOf(stamp);
  changeFamily(doc, familyId, (f) => saveRevision(f, content, note, settler, sourcesIn(plain(doc))).family);
  const now = { ...plain(doc), families: { ...plain(doc).families, ...current(doc).families } } as Workspace;
  for (const f of listOf(plain(doc).families))
    if (f.id !== familyId && f.versions.some((v) => v.adjustments.some((a) => takesFrom(a, familyId))))
      put(doc, 'families', carryOver(f, settler, sourcesIn(now)));
}

const takesFrom = (a: Adjustment, familyId: Id) => a.kind === 'from-activity' && a.source.familyId === familyId;
const settlerOf = (stamp: Stamped) => ({ at: stamp.at, by: stamp.author });

function peopleIn(w: Workspace) {
  return { learners: listOf(w.learners), classes: listOf(w.classes), groups: listOf(w.groups) };
}

export const EDITS: ReadonlyMap<string, Edit> = new Map([
  edit(ShelfActions.familyAdded, { run: (doc, { family }) => put(doc, 'families', family), label: (a) => a.label }),
  edit(ShelfActions.familyRemoved, {
    run: (doc, { id }) => {
      delete doc.families[id];
    },
    label: (a) => `remove “${a.title}”`,
  }),

  edit(BenchActions.masterChanged, {
    run: (doc, { familyId, content }) => changeFamily(doc, familyId, (f) => ({ ...f, draft: content })),
    label: (a) => a.label,
    mergeKey: (a) => a.mergeKey,
  }),
  edit(BenchActions.draftDropped, {
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
    run: (doc, { familyId, versionId, heirs, stamp }) =>
      changeFamily(doc, familyId, (f) => withoutVersion(f, versionId, heirs, settlerOf(stamp))),
    label: (a) => `remove version “${a.name}”`,
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
  edit(BenchActions.recipeKept, {
    run: (doc, { recipe }) => put(doc, 'recipes', recipe),
    label: (a) => `recipe “${a.recipe.name}”`,
  }),
  edit(BenchActions.recipeRemoved, {
    run: (doc, { id }) => {
      delete doc.recipes[id];
    },
    label: (a) => `remove recipe “${a.name}”`,
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
  edit(BenchActions.adjustmentPatched, {
    run: (doc, { familyId, versionId, adjustmentId, patch }) =>
      changeVersion(doc, familyId, versionId, (v) => ({
        ...v,
        adjustments: v.adjustments.map((a) => {
          if (a.id !== adjustmentId) return a;
          const { reason, overrule, ...rest } = patch;
          const next = { ...a, ...rest };
          if (reason !== undefined) next.reason = { text: reason };
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
    run: (doc, { familyId, versionId, adjustmentId }) =>
      changeVersion(doc, familyId, versionId, (v) => withoutAdjustment(v, adjustmentId)),
    label: () => 'remove an adjustment',
  }),
  edit(BenchActions.upkeepDecided, {
    run: (doc, { familyId, decisions, stamp }) =>
      changeFamily(doc, familyId, (f) => {
        const settler = settlerOf(stamp);
        const context = sourcesIn(plain(doc));
        return decisions.length ? resolveUpkeep(f, decisions, settler, context) : carryOver(f, settler, context);
      }),
    label: (a) => (a.decisions.length === 1 ? 'decide upkeep' : `decide upkeep for ${a.decisions.length} versions`),
  }),
  edit(BenchActions.templateKept, {
    run: (doc, { template }) => put(doc, 'templates', template),
    label: (a) => `template “${a.template.name}”`,
  }),
  edit(BenchActions.templateRemoved, {
    run: (doc, { id }) => {
      delete doc.templates[id];
    },
    label: (a) => `remove template “${a.name}”`,
  }),
  edit(BenchActions.pictureAdded, { run: (doc, { asset }) => put(doc, 'assets', asset) }),

  edit(BringActions.madeMaster, {
    run: (doc, { family, assets }) => {
      put(doc, 'families', family);
      for (const asset of assets) put(doc, 'assets', asset);
    },
    label: (a) => a.label,
  }),
  edit(BringActions.addedToMaster, {
    run: (doc, { familyId, content, assets }) => {
      changeFamily(doc, familyId, (f) => ({ ...f, draft: content }));
      for (const asset of assets) put(doc, 'assets', asset);
    },
    label: (a) => a.label,
  }),
  edit(BringActions.objectivesListed, {
    run: (doc, { objectives }) => {
      for (const o of objectives) put(doc, 'objectives', o);
    },
    label: (a) => a.label,
  }),
  edit(BringActions.objectiveRemoved, {
    run: (doc, { id }) => {
      delete doc.objectives[id];
    },
    label: () => 'take an objective off the list',
  }),
  edit(BringActions.assetsCleared, {
    run: (doc, { ids }) => {
      for (const id of ids) delete doc.assets[id];
    },
    label: (a) => `clear ${a.ids.length} unused files`,
  }),

  edit(LearnersActions.learnerSaved, {
    run: (doc, { learner, classId, groupIds }) => {
      put(doc, 'learners', learner);
      for (const c of Object.values(doc.classes)) {
        const here = c.learnerIds.includes(learner.id);
        if (here && c.id !== classId) c.learnerIds = without(c.learnerIds, learner.id);
        if (!here && c.id === classId) c.learnerIds.push(learner.id);
      }
      for (const g of Object.values(doc.groups)) {
        const here = g.learnerIds.includes(learner.id);
        if (here && !groupIds.includes(g.id)) g.learnerIds = without(g.learnerIds, learner.id);
        if (!here && groupIds.includes(g.id)) g.learnerIds.push(learner.id);
      }
    },
    label: (a) => a.label,
  }),
  edit(LearnersActions.learnerRemoved, {
    run: (doc, { id }) => {
      delete doc.learners[id];
      for (const part of [...Object.values(doc.classes), ...Object.values(doc.groups)])
        if (part.learnerIds.includes(id)) part.learnerIds = without(part.learnerIds, id);
      for (const h of Object.values(doc.handOuts))
        if (h.state === 'draft' && h.lines.some((l) => l.learnerId === id))
          h.lines = h.lines.filter((l) => l.learnerId !== id);
    },
    label: (a) => `remove ${a.name}`,
  }),
  edit(LearnersActions.classSaved, {
    run: (doc, { schoolClass }) => put(doc, 'classes', schoolClass),
    label: (a) => `class “${a.schoolClass.name}”`,
  }),
  edit(LearnersActions.classRemoved, {
    run: (doc, { id }) => {
      delete doc.classes[id];
    },
    label: (a) => `remove class “${a.name}”`,
  }),
  edit(LearnersActions.groupSaved, {
    run: (doc, { group }) => put(doc, 'groups', group),
    label: (a) => `group “${a.group.name}”`,
  }),
  edit(LearnersActions.groupRemoved, {
    run: (doc, { id }) => {
      delete doc.groups[id];
    },
    label: (a) => `remove group “${a.name}”`,
  }),
  edit(LearnersActions.classListImported, {
    run: (doc, { list, stamp }) => {
      const { newId } = coreStamp(stamp);
      for (const { learner, className, groupNames } of list) {
        put(doc, 'learners', learner);
        let home = Object.values(doc.classes).find((c) => c.name === className);
        if (!home) {
          const id = newId();
          doc.classes[id] = { id, name: className, learnerIds: [] };
          home = doc.classes[id];
        }
        home?.learnerIds.push(learner.id);
        for (const name of groupNames) {
          let group = Object.values(doc.groups).find((g) => g.name === name);
          if (!group) {
            const id = newId();
            doc.groups[id] = { id, name, purpose: '', learnerIds: [] };
            group = doc.groups[id];
          }
          group?.learnerIds.push(learner.id);
        }
      }
    },
    label: (a) => `import ${a.list.length} learners`,
  }),

  edit(HandOutActions.planChanged, {
    run: (doc, { handOut }) => put(doc, 'handOuts', handOut),
    label: (a) => a.label,
    mergeKey: (a) => a.mergeKey,
  }),
  edit(HandOutActions.removed, {
    run: (doc, { id }) => {
      delete doc.handOuts[id];
      for (const c of Object.values(doc.copies))
        if (c.handOutId === id) {
          delete doc.copies[c.id];
          delete doc.markings[c.id];
        }
    },
    label: (a) => `remove hand-out “${a.title}”`,
  }),
  edit(HandOutActions.givenOut, {
    run: (doc, { id, stamp }) => {
      const w = plain(doc);
      const handOut = w.handOuts[id];
      const family = handOut && w.families[handOut.familyId];
      if (handOut && family) put(doc, 'handOuts', giveOut(handOut, family, peopleIn(w), stamp.at));
    },
    label: () => 'give out',
  }),

  edit(DeskActions.copySaved, { run: (doc, { copy }) => put(doc, 'copies', copy) }),
  edit(DeskActions.mediaKept, { run: (doc, { asset }) => put(doc, 'assets', asset) }),
  edit(DeskActions.comfortSaved, {
    run: (doc, { learnerId, comfort }) => {
      const learner = doc.learners[learnerId];
      if (learner) learner.comfort = comfort;
    },
  }),

  edit(MarkingActions.responseChanged, {
    run: (doc, { copyId, go, patch }) => {
      const marking = (doc.markings[copyId] ??= { id: copyId, copyId, responses: [] });
      const at = marking.responses.findIndex((r) => r.go === go);
      const response = { ...(at < 0 ? emptyResponse(go) : marking.responses[at]), ...patch, go };
      if (at < 0) marking.responses.push(response as (typeof marking.responses)[number]);
      else marking.responses[at] = response as (typeof marking.responses)[number];
    },
    label: (a) => a.label,
    mergeKey: (a) => a.mergeKey,
  }),

  edit(KeepingActions.recordsArrived, {
    run: (doc, { arrivals }) => {
      for (const { collection, id, value } of arrivals) {
        const records = doc[collection] as Record<string, unknown>;
        if (value === null) delete records[id];
        else records[id] = value;
      }
    },
  }),
]);
