/** What was typed beside what is accepted: the same, the same but for spelling, another, or the teacher's to judge. */
export interface Judged {
  readonly is: 'same' | 'close' | 'different' | 'yours';
  /** A short reason for the teacher. */
  readonly why: string;
}

/** How strictly words are looked at: chosen from a list, typed and exact, or typed with slips of spelling forgiven. */
export type Strictness = 'listed' | 'exact' | 'tolerant';

export interface AskedNumber {
  readonly prompt: string;
  readonly key: number;
  /** How far from the key still counts, in the unit. */
  readonly tolerance: number;
  readonly unit: string;
  /** Whether the same amount in another unit counts. */
  readonly otherUnits?: boolean | undefined;
}

/**
 * Judges what was typed. The kinds' own rules are given one: it needs a list of words and units that a learner's desk does
 * not, and it knows nothing of blocks.
 */
export interface Judge {
  words(given: string, accepted: readonly string[], how: Strictness): Judged;
  number(given: string, asked: AskedNumber): Judged;
}
