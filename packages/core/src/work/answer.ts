import type { FlapAfter } from '../activity/block';
import equal from 'fast-deep-equal';
import { z } from '../zod';

// A step of a week is its id and the week's Monday.
const id = z.string().max(80);
/** A place on a picture or a page, in hundredths of its width and height from the top left. */
export const pointSchema = z.object({ x: z.number().min(-1).max(101), y: z.number().min(-1).max(101) });
export type Point = z.infer<typeof pointSchema>;

/** One stroke of a pen: its points as x, y, pressure in a row (x and y in hundredths, pressure 0 to 1). */
export const strokeSchema = z.object({
  colour: z.enum(['ink', 'accent', 'moss', 'ochre']),
  width: z.number().min(0.2).max(10),
  points: z.array(z.number()).max(12000),
});
export type Stroke = z.infer<typeof strokeSchema>;

/** Words that are set down on a sheet. */
const setDownSchema = z.object({ ...pointSchema.shape, text: z.string().max(500) });

/** What is written on a learner's drawing or photograph: smaller than a drawing may be, since it goes out with every word. */
export const writingSchema = z.strictObject({
  kind: z.literal('drawing'),
  strokes: z.array(strokeSchema.extend({ points: z.array(z.number()).max(3000) })).max(200),
  words: z.array(setDownSchema).max(30),
});
export type Writing = z.infer<typeof writingSchema>;

/** A drawing as it can be kept as writing: what is beyond its measure is left away. */
export const asWriting = (drawn: Of<'drawing'>): Writing => ({
  kind: 'drawing',
  strokes: drawn.strokes.slice(0, 200).map((s) => ({ ...s, points: s.points.slice(0, 3000) })),
  words: drawn.words.slice(0, 30),
});

/** What a learner gave for one item in one go. */
export const answerSchema = z.discriminatedUnion('kind', [
  /** Option, entry, step or cell ids; for things put in order, in that order. */
  z.object({ kind: z.literal('choice'), chosen: z.array(id).max(400) }),
  z.object({ kind: z.literal('text'), text: z.string().max(20000) }),
  /** Words typed or chosen at several places, by the place's id. */
  z.object({ kind: z.literal('values'), values: z.record(id, z.string().max(2000)) }),
  /** Place id by piece id. */
  z.object({ kind: z.literal('placed'), placed: z.record(id, id) }),
  z.object({ kind: z.literal('points'), points: z.array(pointSchema).max(200) }),
  z.object({
    kind: z.literal('drawing'),
    strokes: z.array(strokeSchema).max(3000),
    words: z.array(setDownSchema).max(100),
  }),
  /** Photographs or recordings by their asset's id; `best` is the one that counts. */
  z.object({ kind: z.literal('media'), takes: z.array(z.string().max(80)).max(20), best: z.string().max(80) }),
]);
export type Answer = z.infer<typeof answerSchema>;
type Of<K extends Answer['kind']> = Extract<Answer, { kind: K }>;

/** 'yours' means that only the teacher can judge it. */
export const verdictSchema = z.enum(['right', 'partly', 'not-yet', 'empty', 'yours']);
export type Verdict = z.infer<typeof verdictSchema>;

/** Points are in the item's own points, 0 up to `outOf`. */
export interface ItemMark {
  readonly verdict: Verdict;
  readonly points: number;
  readonly outOf: number;
  /** A short reason for the teacher. */
  readonly why: string;
}

const EMPTY_DRAWING: Of<'drawing'> = { kind: 'drawing', strokes: [], words: [] };
const EMPTY_MEDIA: Of<'media'> = { kind: 'media', takes: [], best: '' };

// Readers of one kind each: an answer of another kind reads as an empty one.
export const textOf = (a: Answer): string => (a.kind === 'text' ? a.text : '');
export const chosenOf = (a: Answer): readonly string[] => (a.kind === 'choice' ? a.chosen : []);
export const valuesOf = (a: Answer): Readonly<Record<string, string>> => (a.kind === 'values' ? a.values : {});
export const placedOf = (a: Answer): Readonly<Record<string, string>> => (a.kind === 'placed' ? a.placed : {});
export const pointsOf = (a: Answer): readonly Point[] => (a.kind === 'points' ? a.points : []);
export const drawingOf = (a: Answer | undefined): Of<'drawing'> => (a?.kind === 'drawing' ? a : EMPTY_DRAWING);
export const mediaOf = (a: Answer | undefined): Of<'media'> => (a?.kind === 'media' ? a : EMPTY_MEDIA);

/** Ids of the assets an answer holds. */
export const answerAssets = (a: Answer): readonly string[] => (a.kind === 'media' ? a.takes : []);

/** Whether a flap may be lifted: after an answer that counts as one, and where it is to be submitted first, then. */
export function mayLift(after: FlapAfter, answer: Answer | undefined, isSubmitted: boolean): boolean {
  if (answerIsEmpty(answer) || (after.submitted && !isSubmitted)) return false;
  const written =
    answer?.kind === 'text' ? answer.text : answer?.kind === 'values' ? Object.values(answer.values).join('') : null;
  return written === null || written.replace(/\s/g, '').length >= after.letters;
}

/** The same kind of answer with nothing in it: an answer that was there once is emptied, and not forgotten. */
export function emptied(a: Answer): Answer {
  switch (a.kind) {
    case 'choice':
      return { kind: 'choice', chosen: [] };
    case 'text':
      return { kind: 'text', text: '' };
    case 'values':
      return { kind: 'values', values: {} };
    case 'placed':
      return { kind: 'placed', placed: {} };
    case 'points':
      return { kind: 'points', points: [] };
    case 'drawing':
      return EMPTY_DRAWING;
    case 'media':
      return EMPTY_MEDIA;
  }
}

/** Whether nothing was given, whatever the item: what a learner is reminded of before submitting. */
export function answerIsEmpty(a: Answer | undefined): boolean {
  switch (a?.kind) {
    case undefined:
      return true;
    case 'choice':
      return a.chosen.length === 0;
    case 'text':
      return a.text.trim() === '';
    case 'values':
      return Object.values(a.values).every((v) => v.trim() === '');
    case 'placed':
      return Object.keys(a.placed).length === 0;
    case 'points':
      return a.points.length === 0;
    case 'drawing':
      return a.strokes.length === 0 && a.words.every((w) => w.text.trim() === '');
    case 'media':
      return a.takes.length === 0;
  }
}

/** Whether two answers are the same; nothing given is the same as an empty one. */
export const sameAnswer = (a: Answer | undefined, b: Answer | undefined): boolean =>
  equal(a, b) || (answerIsEmpty(a) && answerIsEmpty(b));
