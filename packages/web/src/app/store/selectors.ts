import { type Family, isLeft, listOf, pendingUpkeep, type People, waits, type Workspace } from '@lorvet/core';
import { createFeatureSelector, createSelector } from '@ngrx/store';
import { FEATURE, type LorvetState } from './reducer';

const selectLorvet = createFeatureSelector<LorvetState>(FEATURE);
export const selectStatus = createSelector(selectLorvet, (s) => s.status);
export const selectDoc = createSelector(selectLorvet, (s) => s.doc);
export const selectProblem = createSelector(selectLorvet, (s) => s.problem);
export const selectUndo = createSelector(selectLorvet, (s) => s.past.at(-1)?.label ?? null);
export const selectRedo = createSelector(selectLorvet, (s) => s.future.at(-1)?.label ?? null);

const collection = <C extends keyof Workspace>(name: C) => createSelector(selectDoc, (d) => d[name]);
export const selectFamilies = collection('families');
export const selectHandOuts = collection('handOuts');
export const selectCopies = collection('copies');
export const selectMarkings = collection('markings');
export const selectAssets = collection('assets');
export const selectTemplates = collection('templates');
export const selectObjectives = collection('objectives');
export const selectRecipes = collection('recipes');
const selectLearners = collection('learners');
const selectClasses = collection('classes');
const selectGroups = collection('groups');

export const selectPeople = createSelector(
  selectLearners,
  selectClasses,
  selectGroups,
  (learners, classes, groups): People => ({
    learners: listOf(learners),
    classes: listOf(classes),
    groups: listOf(groups),
  }),
);

// A family is never changed, only replaced: what waits in it is counted once.
const counted = new WeakMap<Family, number>();

/** How many questions of upkeep wait in a family. */
export function upkeepWaiting(family: Family): number {
  let n = counted.get(family);
  if (n === undefined)
    counted.set(family, (n = pendingUpkeep(family).entries.filter((e) => waits(e) && !isLeft(family, e)).length));
  return n;
}
