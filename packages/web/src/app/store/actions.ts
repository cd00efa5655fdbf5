import type {
  Asset,
  Comfort,
  Content,
  Copy,
  Decision,
  Family,
  Group,
  Heirs,
  HandOut,
  Id,
  InPlace,
  Judgement,
  Learner,
  ListedObjective,
  Recipe,
  SchoolClass,
  Response,
  Template,
  UpkeepEntry,
  Version,
  Workspace,
} from '@lorvet/core';
import { createActionGroup, emptyProps, props } from '@ngrx/store';
import type { Arrival } from '../platform/keeper';

/** What an action carries in place of a clock and of chance: when, who, and ids to hand out in order. */
export interface Stamped {
  readonly at: string;
  readonly author: string;
  readonly ids: readonly Id[];
}

type Revised = Partial<Pick<Version, 'name' | 'purpose'>>;
export interface AdjustmentPatch {
  readonly name?: string;
  readonly reason?: string;
  readonly off?: boolean;
  readonly overrule?: { readonly judgement: Judgement; readonly reason: string } | null;
}

export const ShelfActions = createActionGroup({
  source: 'Shelf',
  events: {
    'Family added': props<{ family: Family; label: string }>(),
    'Family removed': props<{ id: Id; title: string }>(),
  },
});

export const BenchActions = createActionGroup({
  source: 'Bench',
  events: {
    'Master changed': props<{ familyId: Id; content: Content; label: string; mergeKey?: string }>(),
    'Draft dropped': props<{ familyId: Id }>(),
    'Revision saved': props<{ familyId: Id; note: string; stamp: Stamped }>(),
    'Version added': props<{ familyId: Id; version: Version }>(),
    'Version revised': props<{ familyId: Id; versionId: Id; patch: Revised }>(),
    'Version removed': props<{ familyId: Id; versionId: Id; name: string; heirs: Heirs; stamp: Stamped }>(),
    'Version rebased': props<{ familyId: Id; versionId: Id; basis: Id | null; stamp: Stamped }>(),
    'Versions made': props<{ familyId: Id; versions: readonly Version[]; label: string }>(),
    'Recipe run': props<{ familyId: Id; version: Version; label: string }>(),
    'Adjustments brought': props<{ familyId: Id; version: Version; assets: readonly Asset[]; label: string }>(),
    'Recipe kept': props<{ recipe: Recipe }>(),
    'Recipe removed': props<{ id: Id; name: string }>(),
    'Upkeep left': props<{ familyId: Id; entries: readonly UpkeepEntry[] }>(),
    'Revision restored': props<{ familyId: Id; n: number; stamp: Stamped }>(),
    'Changed in place': props<{ familyId: Id; versionId: Id; done: InPlace; label: string; stamp: Stamped }>(),
    'Adjustment patched': props<{ familyId: Id; versionId: Id; adjustmentId: Id; patch: AdjustmentPatch }>(),
    'Adjustment removed': props<{ familyId: Id; versionId: Id; adjustmentId: Id }>(),
    'Upkeep decided': props<{ familyId: Id; decisions: readonly Decision[]; stamp: Stamped }>(),
    'Picture added': props<{ asset: Asset }>(),
    'Template kept': props<{ template: Template }>(),
    'Template removed': props<{ id: Id; name: string }>(),
  },
});

export const BringActions = createActionGroup({
  source: 'Bring in',
  events: {
    'Made master': props<{ family: Family; assets: readonly Asset[]; label: string }>(),
    'Added to master': props<{ familyId: Id; content: Content; assets: readonly Asset[]; label: string }>(),
    'Objectives listed': props<{ objectives: readonly ListedObjective[]; label: string }>(),
    'Objective removed': props<{ id: Id }>(),
    'Assets cleared': props<{ ids: readonly Id[] }>(),
  },
});

export interface ImportedLearner {
  readonly learner: Learner;
  readonly className: string;
  readonly groupNames: readonly string[];
}

export const LearnersActions = createActionGroup({
  source: 'Learners',
  events: {
    'Learner saved': props<{ learner: Learner; classId: Id | null; groupIds: readonly Id[]; label: string }>(),
    'Learner removed': props<{ id: Id; name: string }>(),
    'Class saved': props<{ schoolClass: SchoolClass }>(),
    'Class removed': props<{ id: Id; name: string }>(),
    'Group saved': props<{ group: Group }>(),
    'Group removed': props<{ id: Id; name: string }>(),
    'Class list imported': props<{ list: readonly ImportedLearner[]; stamp: Stamped }>(),
  },
});

export const HandOutActions = createActionGroup({
  source: 'Hand-outs',
  events: {
    'Plan changed': props<{ handOut: HandOut; label: string; mergeKey?: string }>(),
    Removed: props<{ id: Id; title: string }>(),
    'Given out': props<{ id: Id; stamp: Stamped }>(),
  },
});

export const DeskActions = createActionGroup({
  source: 'Desk',
  events: {
    'Copy saved': props<{ copy: Copy }>(),
    'Media kept': props<{ asset: Asset }>(),
    'Comfort saved': props<{ learnerId: Id; comfort: Comfort }>(),
  },
});

export const MarkingActions = createActionGroup({
  source: 'Marking',
  events: {
    'Response changed': props<{ copyId: Id; go: number; patch: Partial<Response>; label: string; mergeKey?: string }>(),
  },
});

export const KeepingActions = createActionGroup({
  source: 'Keeping',
  events: {
    Loaded: props<{ workspace: Workspace; started: boolean }>(),
    'Workspace replaced': props<{ workspace: Workspace; label: string }>(),
    'Records arrived': props<{ arrivals: readonly Arrival[] }>(),
    Undo: emptyProps(),
    Redo: emptyProps(),
    'Problem dismissed': emptyProps(),
  },
});
