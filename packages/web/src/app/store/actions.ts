import type {
  CollectionName,
  Comfort,
  Content,
  Copy,
  Decision,
  Family,
  Group,
  Heirs,
  HandOut,
  IndexPatch,
  Removed,
  Id,
  InPlace,
  Judgement,
  Learner,
  NamedAudience,
  NeedsCard,
  Phrase,
  ListedObjective,
  Recipe,
  RosterReading,
  SchoolClass,
  SchoolDays,
  Response,
  Template,
  UpkeepEntry,
  Version,
} from '@lorvet/core';
import type { Dismissed, Folder, Review } from '@lorvet/core/evidence';
import type { TakenUp } from '@lorvet/core/helps';
import { createActionGroup, emptyProps, props } from '@ngrx/store';
import type { Arrival } from '../platform/storage/keeper';
import type { KeptAsset } from '../platform/storage/kept-asset';
import type { Opened } from '../platform/storage/opening';

/** What an action carries in place of a clock and of chance: when, who, and ids to hand out in order. */
export interface Stamped {
  readonly at: string;
  readonly author: string;
  readonly ids: readonly Id[];
}

/** What is said to one go of one piece of work, in place of what was said. */
export interface ResponsePatch {
  readonly copyId: Id;
  readonly go: number;
  readonly patch: Partial<Response>;
}

type Revised = Partial<Pick<Version, 'name' | 'purpose'>>;
export interface AdjustmentPatch {
  readonly name?: string;
  readonly reason?: string;
  /** The goal it serves; empty is none. */
  readonly goalId?: Id;
  readonly off?: boolean;
  readonly overrule?: { readonly judgement: Judgement; readonly reason: string } | null;
}

export const ShelfActions = createActionGroup({
  source: 'Shelf',
  events: {
    'Family added': props<{ family: Family; label: string }>(),
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
    'Version removed': props<{ familyId: Id; versionId: Id; heirs: Heirs; removed: Removed; stamp: Stamped }>(),
    'Version rebased': props<{ familyId: Id; versionId: Id; basis: Id | null; stamp: Stamped }>(),
    'Versions made': props<{ familyId: Id; versions: readonly Version[]; label: string }>(),
    'Recipe run': props<{ familyId: Id; version: Version; label: string }>(),
    'Adjustments brought': props<{ familyId: Id; version: Version; assets: readonly KeptAsset[]; label: string }>(),
    'Recipe kept': props<{ recipe: Recipe }>(),
    'Upkeep left': props<{ familyId: Id; entries: readonly UpkeepEntry[] }>(),
    'Revision restored': props<{ familyId: Id; n: number; stamp: Stamped }>(),
    'Changed in place': props<{ familyId: Id; versionId: Id; done: InPlace; label: string; stamp: Stamped }>(),
    /** One answer to a question of verdicts, for all adjustments that ask it. */
    'Question judged': props<{
      familyId: Id;
      of: readonly { versionId: Id; adjustmentId: Id }[];
      overrule: { readonly judgement: Judgement; readonly reason: string };
    }>(),
    'Adjustment patched': props<{ familyId: Id; versionId: Id; adjustmentId: Id; patch: AdjustmentPatch }>(),
    'Adjustment removed': props<{ familyId: Id; versionId: Id; adjustmentId: Id }>(),
    'Upkeep decided': props<{ familyId: Id; decisions: readonly Decision[]; stamp: Stamped }>(),
    'Picture added': props<{ asset: KeptAsset }>(),
    'Template kept': props<{ template: Template }>(),
  },
});

export const BringActions = createActionGroup({
  source: 'Bring in',
  events: {
    'Made master': props<{ family: Family; assets: readonly KeptAsset[]; label: string }>(),
    'Added to master': props<{ familyId: Id; content: Content; assets: readonly KeptAsset[]; label: string }>(),
    'Objectives listed': props<{ objectives: readonly ListedObjective[]; label: string }>(),
    'Assets cleared': props<{ ids: readonly Id[] }>(),
  },
});

export interface ImportedLearner {
  readonly learner: Learner;
  readonly classNames: readonly string[];
  readonly groupNames: readonly string[];
}

export const LearnersActions = createActionGroup({
  source: 'Learners',
  events: {
    'Card changed': props<{
      learnerId: Id;
      person?: Partial<Omit<Learner, 'id' | 'needs'>>;
      needs?: Partial<NeedsCard>;
      field: string;
      label: string;
    }>(),
    /** One or several into or out of a class or a group. */
    'Learners placed': props<{ learnerIds: readonly Id[]; isIn: boolean } & ({ classId: Id } | { groupId: Id })>(),
    'Learner saved': props<{
      learner: Learner;
      classIds: readonly Id[];
      groupIds: readonly Id[];
      label: string;
    }>(),
    'Class saved': props<{ schoolClass: SchoolClass }>(),
    'Group saved': props<{ group: Group }>(),
    /** Groups that were made together, in one step. */
    'Groups made': props<{ groups: readonly Group[] }>(),
    'Audience saved': props<{ audience: NamedAudience }>(),
    /** The school's list as it was taken over. */
    'Roster taken': props<{
      learners: readonly Learner[];
      classes: readonly SchoolClass[];
      reading: RosterReading;
      label: string;
    }>(),
    'Class list imported': props<{ list: readonly ImportedLearner[]; stamp: Stamped }>(),
  },
});

export const HandOutActions = createActionGroup({
  source: 'Hand-outs',
  events: {
    /** `at` where something of it is to be held fast at once: it was given. */
    'Plan changed': props<{ handOut: HandOut; label: string; mergeKey?: string; at?: string }>(),
    /** Plans that are made together, in one step. */
    'Plans made': props<{ handOuts: readonly HandOut[]; label: string }>(),
    /** With the reasons for which warnings may stay. */
    'Given out': props<{ id: Id; confirmed: HandOut['confirmed']; stamp: Stamped }>(),
    /** To those who joined the audience since. */
    'Given late': props<{ id: Id; stamp: Stamped }>(),
    /**
     * Another version (null: the master) in the same hand-out, or the same one as it is now (no `versionId`), to those
     * under whose keys the work is kept.
     */
    'Given another': props<{ id: Id; keys: readonly Id[]; versionId?: Id | null; says: string; stamp: Stamped }>(),
    /** The newest thing that was done to it after it was given is undone. */
    'Last undone': props<{ id: Id; stamp: Stamped }>(),
    'School days saved': props<{ days: SchoolDays }>(),
  },
});

export const DeskActions = createActionGroup({
  source: 'Desk',
  events: {
    'Copy saved': props<{ copy: Copy }>(),
    /** By the teacher, from a file that the desk saved. */
    'Copy brought': props<{ copy: Copy; title: string; media: readonly KeptAsset[] }>(),
    'Media kept': props<{ asset: KeptAsset }>(),
    'Comfort saved': props<{ learnerId: Id; comfort: Comfort }>(),
  },
});

export const MarkingActions = createActionGroup({
  source: 'Marking',
  events: {
    /** By the teacher, for the learner: submitted, or a try brought back. */
    'Work changed': props<{ copies: readonly Copy[]; label: string }>(),
    'Response changed': props<{ copyId: Id; go: number; patch: Partial<Response>; label: string; mergeKey?: string }>(),
    'Phrase saved': props<{ phrase: Phrase }>(),
    'Phrase removed': props<{ id: Id }>(),
    /** Said to several at once, and undone at once. */
    'Responses changed': props<{ responses: readonly ResponsePatch[]; label: string; mergeKey?: string }>(),
    /** What counts for the marks of a whole hand-out, with what follows for what was said already. */
    'Marking set': props<{
      handOutId: Id;
      patch: Partial<
        Pick<
          HandOut,
          'accepted' | 'marksAt' | 'rubrics' | 'points' | 'category' | 'answersAt' | 'ownAnswers' | 'toPlace'
        >
      >;
      responses: readonly ResponsePatch[];
      label: string;
      /** Work that is begun or submitted with it, and what is kept with it. */
      copies?: readonly Copy[];
      assets?: readonly KeptAsset[];
      mergeKey?: string;
    }>(),
  },
});

export const EvidenceActions = createActionGroup({
  source: 'Evidence',
  events: {
    /** A review is held: the card as it is after it, and its history, in one step. */
    'Review held': props<{ learnerId: Id; review: Review; needs: Pick<NeedsCard, 'supports' | 'goals'> }>(),
    /** What the teacher adds to a learner's evidence, stresses or leaves out. */
    'Folder changed': props<{ learnerId: Id; patch: Partial<Omit<Folder, 'id'>>; label: string; mergeKey?: string }>(),
    /** A suggestion was taken up, with what that makes, or dismissed: it does not come again. */
    'Suggestion answered': props<{ answer: Dismissed; made: TakenUp | null; label: string }>(),
    /** An answered suggestion may come again. */
    'Suggestion reopened': props<{ id: Id }>(),
  },
});

/** What is kept and what is in memory: none of it is something a person did to the workspace. */
export const KeepingActions = createActionGroup({
  source: 'Keeping',
  events: {
    /** Nothing was ever kept here: the teacher is asked how to start. Or what was is still in an earlier form. */
    Awaited: props<{ status: 'choosing' | 'upgrading' }>(),
    Opened: props<{ opened: Opened }>(),
    /** Another workspace is in the place of the one before; `back` undoes that. */
    Exchanged: props<{ opened: Opened; exchange: ExchangeStep | null; side: 'past' | 'future' }>(),
    /** A workspace that was put away is gone: no step leads back to it. */
    'Exchange forgotten': props<{ generation: string }>(),
    'Parts came': props<{ parts: readonly Arrival[] }>(),
    'Parts let go': props<{ parts: readonly Pick<Arrival, 'kind' | 'id'>[] }>(),
    'Index changed': props<{ patches: readonly IndexPatch[] }>(),
    /** Another tab wrote: those with a value are in memory here, or are now; of the others it is only known that. */
    'Records arrived': props<{ arrivals: readonly Arrival[] }>(),
    /** Something is taken out of its place and waits under Keeping. */
    Removed: props<{ removed: Removed }>(),
    'Put back': props<{ removed: Removed }>(),
    /** What was set aside, mended, is in its place again. */
    'Records put back': props<{ collection: CollectionName; records: readonly { readonly id: string }[] }>(),
    Emptied: props<{ ids: readonly Id[] }>(),
    Undo: emptyProps(),
    Redo: emptyProps(),
    'Problem dismissed': emptyProps(),
  },
});

/** An exchange of workspaces as a step of undo: the generation that comes back. */
export interface ExchangeStep {
  readonly label: string;
  readonly generation: string;
}
