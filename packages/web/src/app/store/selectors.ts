import type { People } from '@lorvet/core';
import { type IndexName, isRemoved, listOf } from '@lorvet/core/desk';
import { createFeatureSelector, createSelector } from '@ngrx/store';
import type { KeptDoc } from '../platform/storage/kept-asset';
import { FEATURE, isExchange, type LorvetState, type Step } from './reducer';

const selectLorvet = createFeatureSelector<LorvetState>(FEATURE);
export const selectStatus = createSelector(selectLorvet, (s) => s.status);
export const selectDoc = createSelector(selectLorvet, (s) => s.doc);
export const selectIndex = createSelector(selectLorvet, (s) => s.index);
export const selectChanged = createSelector(selectLorvet, (s) => s.changed);
export const selectProblem = createSelector(selectLorvet, (s) => s.problem);
const top = (steps: readonly Step[]) => steps.at(-1) ?? null;
export const selectPast = createSelector(selectLorvet, (s) => top(s.past));
export const selectFuture = createSelector(selectLorvet, (s) => top(s.future));
export { isExchange };

const part = <N extends IndexName>(name: N) => createSelector(selectIndex, (i) => i[name]);
export const selectFamilyHeads = part('familyHeads');
export const selectHandOutHeads = part('handOutHeads');
export const selectStates = part('states');

const collection = <C extends keyof KeptDoc>(name: C) => createSelector(selectDoc, (d) => d[name]);
export const selectRemoved = collection('removed');
/** Those in memory, without what was removed and waits under Keeping. */
const present = <C extends 'families' | 'handOuts'>(name: C, what: 'activity' | 'hand-out') =>
  createSelector(collection(name), selectRemoved, (records, removed): KeptDoc[C] => {
    const gone = Object.keys(records).filter((id) => isRemoved(removed, what, id));
    if (gone.length === 0) return records;
    const left = Object.entries(records).filter(([id]) => !gone.includes(id));
    return Object.fromEntries(left) as unknown as KeptDoc[C];
  });
export const selectFamilies = present('families', 'activity');
export const selectHandOuts = present('handOuts', 'hand-out');
export const selectFrozen = collection('frozen');
export const selectCopies = collection('copies');
export const selectMarkings = collection('markings');
export const selectAssets = collection('assets');
export const selectTemplates = collection('templates');
export const selectObjectives = collection('objectives');
export const selectRecipes = collection('recipes');
export const selectPhrases = collection('phrases');
export const selectFolders = collection('folders');
export const selectDismissed = collection('dismissed');
export const selectComforts = collection('comforts');
const selectLearners = collection('learners');
const selectClasses = collection('classes');
const selectGroups = collection('groups');
const selectAudiences = collection('audiences');
export const selectRosters = collection('rosters');
export const selectCalendars = collection('calendars');

export const selectPeople = createSelector(
  selectLearners,
  selectClasses,
  selectGroups,
  selectAudiences,
  (learners, classes, groups, audiences): Omit<People, 'today'> => ({
    learners: listOf(learners),
    classes: listOf(classes),
    groups: listOf(groups),
    audiences: listOf(audiences),
  }),
);
