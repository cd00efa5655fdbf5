import type { Answer, CopyState, LearnerPackage, Overtaken, Said, Slipped } from '@lorvet/core/desk';

/** What a learner may know of one piece of their work before it is opened. */
export interface DeskWork {
  readonly id: string;
  readonly work: Slipped;
  readonly state: CopyState;
}

/** Work that several do together, on one sheet. */
export interface Together {
  readonly team: string;
  /** The names of the others. */
  readonly mates: readonly string[];
  /** Who they all are, by name; empty where that is not known here. */
  readonly members: readonly { readonly id: string; readonly name: string }[];
  /** Who wrote the answer to a question, by item. */
  readonly by: Readonly<Record<string, string>>;
}

/** What the teacher said to the work. */
export interface TeacherSaid {
  /** What they said to the last go that was answered, and to its questions. */
  readonly comment: string;
  readonly comments: Readonly<Record<string, string>>;
  /** The marks by item that the teacher gave the go that is shown; and those of the last go that was marked. */
  readonly marks: Said['marks'];
  readonly lastMarks: Said['marks'];
  /** Points that they gave to the whole, in place of the sum. */
  readonly points: number | null;
  /** What the teacher said back to places for notes, and the asset of what they spoke; empty for none. */
  readonly notes: Said['notes'];
  readonly voice: string;
  /** The same on one answer, by item. */
  readonly voices: Said['voices'];
  /** Levels that they gave, by item, in words. */
  readonly levels: Said['levels'];
  /** What they wrote on drawings and photographs, by item. */
  readonly writing: Said['writing'];
  /** Sheets of paper that they wrote on. */
  readonly sheets: Said['sheets'];
  /** The answers by question, once they are out and the work is done. */
  readonly keys: Readonly<Record<string, string>>;
}

export const NOTHING_SAID: TeacherSaid = {
  comment: '',
  comments: {},
  marks: {},
  lastMarks: {},
  points: null,
  notes: {},
  voice: '',
  voices: {},
  writing: {},
  levels: {},
  sheets: [],
  keys: {},
};

/** The goes at a piece of work, and the tries at the one that is open. */
export interface Tries {
  /** The number of the go that is written in, or looked at; and of all there are. */
  readonly go: number;
  readonly goes: readonly number[];
  /** Whether another go can be begun: the teacher asked for it or gave another sheet, or some are left. */
  readonly again: 'asked' | 'left' | 'sheet' | null;
  /** Whether what is submitted can be taken back, since nobody has begun to mark it. */
  readonly mayTakeBack: boolean;
  /** What was answered to each item in the go before; empty where this is the first, or an earlier one is looked at. */
  readonly before: Readonly<Record<string, Answer>>;
  /** Questions that are open in this go; empty for all. */
  readonly only: readonly string[];
  /** Tries at this go that were put aside, the newest first. */
  readonly aside: readonly { readonly id: string; readonly at: string }[];
}

export const FIRST_TRY: Tries = { go: 1, goes: [], again: null, mayTakeBack: false, before: {}, only: [], aside: [] };

/** One piece of work that is open on the desk. */
export interface DeskSheetWork {
  readonly sheet: LearnerPackage;
  /** Of what several do together: what they are called, who they are, and who wrote what; null where it is the learner's own. */
  readonly together: Together | null;
  /** What somebody wrote at the same time, beside what stands there. */
  readonly overtaken: readonly Overtaken[];
  readonly place: Slipped['place'];
  readonly companions: Slipped['companions'];
  /** What was written on its sheets of notes, by companion; and what somebody wrote on them at the same time. */
  readonly notes: Readonly<Record<string, string>>;
  readonly notesOvertaken: readonly Overtaken[];
  readonly state: CopyState;
  readonly answers: Readonly<Record<string, Answer>>;
  /** Whether this go can be written in now. */
  readonly locked: boolean;
  /** Whether notes can be written to the teacher, submitted or not. */
  readonly mayNote: boolean;
  /** Whether its time is over: nothing can be begun or submitted. */
  readonly isClosed: boolean;
  /** The block at which it was left. */
  readonly left: string;
  readonly tries: Tries;
  readonly said: TeacherSaid;
}
