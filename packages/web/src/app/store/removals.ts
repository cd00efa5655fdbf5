import type { Id, Removed, Version } from '@lorvet/core';
import { changeFamily, type Doc, plain, put } from './edit';

export const without = (ids: readonly Id[], id: Id): Id[] => ids.filter((x) => x !== id);

/** Takes something out of its place, to wait under Keeping. What is large stays where it is kept, and is only named. */
export function takeOut(doc: Doc, removed: Removed): void {
  put(doc, 'removed', removed);
  switch (removed.what) {
    case 'hand-out':
    case 'activity':
    case 'version':
      return;
    case 'learner': {
      const { id } = removed.learner;
      delete doc.learners[id];
      for (const part of [...Object.values(doc.classes), ...Object.values(doc.groups)])
        if (part.learnerIds.includes(id)) part.learnerIds = without(part.learnerIds, id);
      for (const h of Object.values(doc.handOuts))
        if (h.state === 'draft' && h.lines.some((l) => l.learnerId === id))
          h.lines = h.lines.filter((l) => l.learnerId !== id);
      return;
    }
    case 'class':
      delete doc.classes[removed.record.id];
      return;
    case 'group':
      delete doc.groups[removed.record.id];
      return;
    case 'audience':
      delete doc.audiences[removed.record.id];
      return;
    case 'template':
      delete doc.templates[removed.record.id];
      return;
    case 'recipe':
      delete doc.recipes[removed.record.id];
      return;
    case 'objective':
      delete doc.objectives[removed.record.id];
  }
}

/** Puts it back whole: to its classes and groups, plans and place, as far as these are still there. */
export function putBack(doc: Doc, removed: Removed): void {
  delete doc.removed[removed.id];
  switch (removed.what) {
    case 'hand-out':
    case 'activity':
      return;
    case 'version':
      changeFamily(doc, removed.familyId, (f) => {
        const versions: Version[] = [...f.versions];
        for (const { at, version } of removed.versions)
          if (!versions.some((v) => v.id === version.id)) versions.splice(at, 0, version);
        const here = new Set(versions.map((v) => v.id));
        // What it was made on may be gone meanwhile: then it is on the master.
        return {
          ...f,
          versions: versions.map((v) => (v.basis === null || here.has(v.basis) ? v : { ...v, basis: null })),
        };
      });
      return;
    case 'learner': {
      const { learner, classIds, groupIds, lines } = removed;
      put(doc, 'learners', learner);
      for (const part of [...Object.values(doc.classes), ...Object.values(doc.groups)])
        if ([...classIds, ...groupIds].includes(part.id) && !part.learnerIds.includes(learner.id))
          part.learnerIds.push(learner.id);
      for (const { handOutId, versionId } of lines) {
        const h = doc.handOuts[handOutId];
        if (h?.state === 'draft' && !h.lines.some((l) => l.learnerId === learner.id))
          h.lines.push({ learnerId: learner.id, versionId });
      }
      return;
    }
    case 'class': {
      const there = plain(doc).learners;
      const learnerIds = removed.record.learnerIds.filter((id) => there[id]);
      put(doc, 'classes', { ...removed.record, learnerIds });
      return;
    }
    case 'group': {
      const there = plain(doc).learners;
      const learnerIds = removed.record.learnerIds.filter((id) => there[id]);
      put(doc, 'groups', { ...removed.record, learnerIds });
      return;
    }
    case 'audience':
      put(doc, 'audiences', removed.record);
      return;
    case 'template':
      put(doc, 'templates', removed.record);
      return;
    case 'recipe':
      put(doc, 'recipes', removed.record);
      return;
    case 'objective':
      put(doc, 'objectives', removed.record);
  }
}
