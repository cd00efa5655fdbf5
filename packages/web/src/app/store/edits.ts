import {
  correct,
  type Doing,
  emptyFolder,
  emptyResponse,
  giveAnother,
  giveLate,
  giveOut,
  lastDone,
  MOST_REVIEWS,
  NEW_CLASS,
  NEW_GROUP,
  peopleIn,
  preparedFor,
  type Response,
  responseTo,
  undone,
  withActivities,
} from '@lorvet/core';
import { counted, many } from '../platform/many';
import {
  BringActions,
  DeskActions,
  EvidenceActions,
  HandOutActions,
  KeepingActions,
  LearnersActions,
  MarkingActions,
  ShelfActions,
} from './actions';

import { BENCH_EDITS } from './bench-edits';
import { DESK_EDITS } from './desk-edits';
import { changeFamily, coreStamp, type Doc, edit, type Edit, plain, put } from './edit';
import { putBack, takeOut, without } from './removals';

/** Puts a learner into those of these classes or groups that are named, and out of the others. */
function place(
  parts: Readonly<Record<string, { id: string; learnerIds: string[] }>>,
  id: string,
  into: readonly string[],
) {
  for (const part of Object.values(parts)) {
    const isHere = part.learnerIds.includes(id);
    const isWanted = into.includes(part.id);
    if (isHere && !isWanted) part.learnerIds = without(part.learnerIds, id);
    if (!isHere && isWanted) part.learnerIds.push(id);
  }
}

/** What the teacher says to a go, with what was said before. */
function respond(doc: Doc, copyId: string, go: number, patch: Partial<Response>): void {
  const marking = (doc.markings[copyId] ??= { id: copyId, copyId, responses: [] });
  const at = marking.responses.findIndex((r) => r.go === go);
  const response = { ...(at < 0 ? emptyResponse(go) : marking.responses[at]), ...patch, go };
  if (at < 0) marking.responses.push(response as (typeof marking.responses)[number]);
  else marking.responses[at] = response as (typeof marking.responses)[number];
}

/** What of the record it is to say something to a go. */
function doingOf(patch: Partial<Response>): Doing {
  if ('decision' in patch) return 'decided';
  return 'heldUntil' in patch ? 'released' : 'marked';
}

/** What is done at the desk and in the teacher's places. */
export const EDITS: ReadonlyMap<string, Edit> = new Map([
  ...DESK_EDITS,

  edit(ShelfActions.familyAdded, { run: (doc, { family }) => put(doc, 'families', family), label: (a) => a.label }),

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
  edit(BringActions.assetsCleared, {
    did: () => 'removed',
    run: (doc, { ids }) => {
      for (const id of ids) delete doc.assets[id];
    },
    label: (a) => `clear ${a.ids.length} unused files`,
  }),

  edit(LearnersActions.learnerSaved, {
    run: (doc, { learner, classIds, groupIds }) => {
      put(doc, 'learners', learner);
      place(doc.classes, learner.id, classIds);
      place(doc.groups, learner.id, groupIds);
    },
    label: (a) => a.label,
    // The rest of a new learner's name, as it is typed.
    mergeKey: (a) => `card ${a.learner.id} name`,
  }),
  edit(LearnersActions.cardChanged, {
    run: (doc, { learnerId, person, needs }) => {
      const learner = doc.learners[learnerId];
      if (!learner) return;
      Object.assign(learner, person);
      Object.assign(learner.needs, needs);
    },
    label: (a) => a.label,
    mergeKey: (a) => `card ${a.learnerId} ${a.field}`,
  }),
  edit(LearnersActions.learnersPlaced, {
    run: (doc, placed) => {
      const part = 'groupId' in placed ? doc.groups[placed.groupId] : doc.classes[placed.classId];
      if (!part) return;
      for (const id of placed.learnerIds.filter((x) => doc.learners[x])) {
        if (part.learnerIds.includes(id) === placed.isIn) continue;
        if (placed.isIn) part.learnerIds.push(id);
        else part.learnerIds = without(part.learnerIds, id);
      }
    },
    label: (a) => {
      const who = a.learnerIds.length === 1 ? 'a learner' : many(a.learnerIds.length, 'learner');
      return 'groupId' in a ? `group of ${who}` : `class of ${who}`;
    },
  }),
  edit(LearnersActions.classSaved, {
    run: (doc, { schoolClass }) => put(doc, 'classes', schoolClass),
    label: (a) => `class “${a.schoolClass.name}”`,
  }),
  edit(LearnersActions.groupSaved, {
    run: (doc, { group }) => put(doc, 'groups', group),
    label: (a) => `group “${a.group.name}”`,
  }),
  edit(LearnersActions.groupsMade, {
    run: (doc, { groups }) => {
      for (const g of groups) put(doc, 'groups', g);
    },
    label: (a) => counted(a.groups.length, 'make {n} group', 'make {n} groups'),
  }),
  edit(LearnersActions.audienceSaved, {
    run: (doc, { audience }) => put(doc, 'audiences', audience),
    label: (a) => `audience “${a.audience.name}”`,
  }),
  edit(LearnersActions.rosterTaken, {
    run: (doc, { learners, classes, reading }) => {
      for (const l of learners) put(doc, 'learners', l);
      for (const c of classes) put(doc, 'classes', c);
      put(doc, 'rosters', reading);
    },
    label: (a) => a.label,
  }),
  edit(LearnersActions.classListImported, {
    run: (doc, { list, stamp }) => {
      const { newId } = coreStamp(stamp);
      for (const { learner, classNames, groupNames } of list) {
        put(doc, 'learners', learner);
        for (const name of classNames) {
          let home = Object.values(doc.classes).find((c) => c.name === name);
          if (!home) {
            const id = newId();
            doc.classes[id] = { ...NEW_CLASS, id, name, learnerIds: [] };
            home = doc.classes[id];
          }
          home?.learnerIds.push(learner.id);
        }
        for (const name of groupNames) {
          let group = Object.values(doc.groups).find((g) => g.name === name);
          if (!group) {
            const id = newId();
            doc.groups[id] = { ...NEW_GROUP, id, name, learnerIds: [] };
            group = doc.groups[id];
          }
          group?.learnerIds.push(learner.id);
        }
      }
    },
    label: (a) => counted(a.list.length, 'import {n} learner', 'import {n} learners'),
  }),

  edit(HandOutActions.planChanged, {
    run: (doc, { handOut, at }) => {
      const held = handOut.state === 'given' && at ? withActivities(handOut, plain(doc).families, at) : null;
      put(doc, 'handOuts', held?.handOut ?? handOut);
      for (const frozen of held?.frozen ?? []) put(doc, 'frozen', frozen);
    },
    label: (a) => a.label,
    mergeKey: (a) => a.mergeKey,
  }),
  edit(HandOutActions.plansMade, {
    run: (doc, { handOuts }) => {
      for (const h of handOuts) put(doc, 'handOuts', h);
    },
    label: (a) => a.label,
  }),
  edit(HandOutActions.givenOut, {
    did: () => 'given',
    run: (doc, { id, confirmed, stamp }) => {
      const w = plain(doc);
      const plan = w.handOuts[id];
      const family = plan && w.families[plan.familyId];
      if (!plan || (plan.kind === 'work' && !family)) return;
      const keys = new Set(confirmed.map((c) => c.key));
      const handOut = { ...plan, confirmed: [...plan.confirmed.filter((c) => !keys.has(c.key)), ...confirmed] };
      const beside = withActivities(handOut, w.families, stamp.at);
      const given = giveOut(beside.handOut, family, peopleIn(w, stamp.at), stamp.at);
      put(doc, 'handOuts', given.handOut);
      for (const frozen of [...given.frozen, ...beside.frozen]) put(doc, 'frozen', frozen);
      for (const id of handOut.audienceIds) {
        const audience = doc.audiences[id];
        if (audience) audience.usedAt = stamp.at;
      }
    },
    label: () => 'give out',
  }),
  edit(HandOutActions.givenLate, {
    did: () => 'given',
    run: (doc, { id, stamp }) => {
      const w = plain(doc);
      const handOut = w.handOuts[id];
      const family = handOut && w.families[handOut.familyId];
      if (!handOut || (handOut.kind === 'work' && !family)) return;
      const given = giveLate(handOut, family, peopleIn(w, stamp.at), stamp.at);
      put(doc, 'handOuts', given.handOut);
      for (const frozen of given.frozen) put(doc, 'frozen', frozen);
    },
    label: () => 'give to who joined since',
  }),
  edit(HandOutActions.givenAnother, {
    did: () => 'given',
    run: (doc, { id, keys, versionId, says, stamp }) => {
      const w = plain(doc);
      const handOut = w.handOuts[id];
      const family = handOut && w.families[handOut.familyId];
      if (!handOut || !family) return;
      const wanted = { keys, versionId };
      const prepared = preparedFor(handOut, family, peopleIn(w, stamp.at), w.frozen, w.copies, wanted, stamp.at);
      const give = versionId === undefined ? correct : giveAnother;
      const given = give(handOut, prepared, w.copies, stamp.at, says);
      const asked = given.asked.map(({ copyId, go }) => ({
        copyId,
        go,
        was: responseTo(w.markings[copyId], go)?.decision ?? null,
      }));
      const history = given.handOut.history.map((d, i, all) =>
        i === all.length - 1 && d.back ? { ...d, back: { ...d.back, asked } } : d,
      );
      put(doc, 'handOuts', { ...given.handOut, history });
      for (const frozen of given.frozen) put(doc, 'frozen', frozen);
      for (const { copyId, go } of given.asked)
        respond(doc, copyId, go, { decision: 'another go', decidedAt: stamp.at });
    },
    label: (a) => (a.versionId === undefined ? 'send a correction' : 'give another version'),
  }),
  edit(HandOutActions.lastUndone, {
    did: () => 'undone',
    run: (doc, { id, stamp }) => {
      const handOut = plain(doc).handOuts[id];
      const done = handOut && lastDone(handOut);
      if (!handOut || !done) return;
      put(doc, 'handOuts', undone(handOut, stamp.at));
      for (const { copyId, go, was } of done.back?.asked ?? [])
        respond(doc, copyId, go, { decision: was, ...(was ? {} : { decidedAt: null }) });
    },
    label: () => 'undo what was done to a hand-out',
  }),
  edit(HandOutActions.schoolDaysSaved, {
    run: (doc, { days }) => put(doc, 'calendars', days),
    label: () => 'days without school',
  }),

  edit(DeskActions.copyBrought, {
    did: () => 'restored',
    run: (doc, { copy, media }) => {
      put(doc, 'copies', copy);
      for (const asset of media) if (!(asset.id in doc.assets)) put(doc, 'assets', asset);
    },
    label: (a) => `answers of ${a.title} from a file`,
  }),

  edit(KeepingActions.removed, {
    did: () => 'removed',
    run: (doc, { removed }) => takeOut(doc, removed),
    label: (a) => `remove “${a.removed.title}”`,
  }),
  edit(KeepingActions.putBack, {
    did: () => 'restored',
    run: (doc, { removed }) => putBack(doc, removed),
    label: (a) => `put “${a.removed.title}” back`,
  }),
  edit(KeepingActions.recordsPutBack, {
    did: () => 'restored',
    run: (doc, { collection, records }) => {
      for (const r of records) (doc[collection] as Record<string, unknown>)[r.id] = r;
    },
    label: () => 'put a record back',
  }),
  edit(KeepingActions.emptied, {
    did: () => 'removed',
    says: (a) => counted(a.ids.length, 'empty {n} removed thing', 'empty {n} removed things'),
    run: (doc, { ids }) => {
      for (const id of ids) {
        const removed = doc.removed[id];
        if (removed?.what === 'hand-out') delete doc.handOuts[removed.target];
        if (removed?.what === 'activity') delete doc.families[removed.target];
        delete doc.removed[id];
      }
    },
  }),

  edit(MarkingActions.workChanged, {
    did: () => 'marked',
    run: (doc, { copies }) => {
      for (const copy of copies) put(doc, 'copies', copy);
    },
    label: (a) => a.label,
  }),
  edit(MarkingActions.responseChanged, {
    did: (a) => doingOf(a.patch),
    run: (doc, { copyId, go, patch }) => respond(doc, copyId, go, patch),
    label: (a) => a.label,
    mergeKey: (a) => a.mergeKey,
  }),
  edit(MarkingActions.responsesChanged, {
    did: (a) => doingOf(a.responses[0]?.patch ?? {}),
    run: (doc, { responses }) => {
      for (const { copyId, go, patch } of responses) respond(doc, copyId, go, patch);
    },
    label: (a) => a.label,
    mergeKey: (a) => a.mergeKey,
  }),
  edit(EvidenceActions.folderChanged, {
    run: (doc, { learnerId, patch }) =>
      put(doc, 'folders', { ...emptyFolder(learnerId), ...plain(doc).folders[learnerId], ...patch }),
    label: (a) => a.label,
    mergeKey: (a) => a.mergeKey,
  }),
  edit(EvidenceActions.reviewHeld, {
    did: () => 'decided',
    run: (doc, { learnerId, review, needs }) => {
      const learner = doc.learners[learnerId];
      if (!learner) return;
      Object.assign(learner.needs, needs);
      const { held: _, ...folder } = plain(doc).folders[learnerId] ?? emptyFolder(learnerId);
      put(doc, 'folders', { ...folder, reviews: [...folder.reviews, review].slice(-MOST_REVIEWS) });
    },
    label: () => 'hold a review',
  }),
  edit(EvidenceActions.suggestionAnswered, {
    did: () => 'decided',
    run: (doc, { answer, made }) => {
      put(doc, 'dismissed', answer);
      if (made?.made === 'version')
        changeFamily(doc, made.familyId, (f) => ({ ...f, versions: [...f.versions, made.version] }));
      else if (made?.made === 'plan') put(doc, 'handOuts', made.handOut);
      else if (made)
        put(doc, 'folders', {
          ...emptyFolder(made.learnerId),
          ...plain(doc).folders[made.learnerId],
          held: made.held,
        });
    },
    label: (a) => a.label,
  }),
  edit(EvidenceActions.suggestionReopened, {
    run: (doc, { id }) => {
      delete doc.dismissed[id];
    },
    label: () => 'bring a suggestion back',
  }),
  edit(MarkingActions.phraseSaved, {
    run: (doc, { phrase }) => put(doc, 'phrases', phrase),
    label: () => 'phrase',
    mergeKey: (a) => `phrase ${a.phrase.id}`,
  }),
  edit(MarkingActions.phraseRemoved, {
    did: () => 'removed',
    run: (doc, { id }) => {
      delete doc.phrases[id];
    },
    label: () => 'remove a phrase',
  }),
  edit(MarkingActions.markingSet, {
    did: ({ patch }) => ('marksAt' in patch || 'answersAt' in patch || 'ownAnswers' in patch ? 'released' : 'marked'),
    run: (doc, { handOutId, patch, responses, copies = [], assets = [] }) => {
      for (const copy of copies) put(doc, 'copies', copy);
      for (const asset of assets) if (!(asset.id in doc.assets)) put(doc, 'assets', asset);
      const handOut = plain(doc).handOuts[handOutId];
      if (handOut) put(doc, 'handOuts', { ...handOut, ...patch });
      for (const { copyId, go, patch: said } of responses) respond(doc, copyId, go, said);
    },
    label: (a) => a.label,
    mergeKey: (a) => a.mergeKey,
  }),
]);
