import { emptyResponse, giveOut, type Id, listOf, type Workspace } from '@lorvet/core';
import {
  BringActions,
  DeskActions,
  HandOutActions,
  KeepingActions,
  LearnersActions,
  MarkingActions,
  ShelfActions,
} from './actions';

import { BENCH_EDITS } from './bench-edits';
import { changeFamily, coreStamp, edit, type Edit, plain, put } from './edit';

const without = (ids: readonly Id[], id: Id) => ids.filter((x) => x !== id);

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

  ...BENCH_EDITS,

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
