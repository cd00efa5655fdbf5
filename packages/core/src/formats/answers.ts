import { z } from '../zod';
import { answerAssets } from '../work/answer';
import { type Copy, copySchema } from '../work/copy';
import { type Asset, ASSET_MIMES } from '../kept';
import { base64, fromBase64 } from './base64';
import { placesOf, Problem } from './problem';

export const ANSWERS_FORMAT = 1;

const fileSchema = z.strictObject({
  kind: z.literal('lorvet-answers'),
  format: z.literal(ANSWERS_FORMAT),
  /** ISO 8601 instant at which it was written. */
  at: z.string().max(40),
  copy: copySchema,
  /** Photographs and recordings among the answers, their bytes as base64. */
  media: z
    .array(
      z.strictObject({
        id: z.string().max(80),
        mime: z.enum(ASSET_MIMES),
        name: z.string().max(200),
        data: z.string().max(40_000_000),
      }),
    )
    .max(200)
    .optional(),
});

/** A learner's answers to one piece of work as a file, for when the browser cannot keep them: theirs, and nothing else. */
export function writeAnswers(copy: Copy, at: string, assets: readonly Asset[] = []): string {
  const media = assets.map(({ id, mime, name, data }) => ({ id, mime, name, data: base64(data) }));
  const file = { kind: 'lorvet-answers', format: ANSWERS_FORMAT, at, copy, ...(media.length ? { media } : {}) };
  return JSON.stringify(file, null, 1);
}

/** Ids of the photographs and recordings that a learner's work holds, what was put aside or overtaken among it. */
export function mediaOfCopy(copy: Copy): string[] {
  const answers = copy.goes.flatMap((g) => [
    ...Object.values(g.answers),
    ...(g.aside ?? []).flatMap((x) => Object.values(x.answers)),
    ...(g.earlier ?? []).map((x) => x.answer),
  ]);
  return [...new Set(answers.flatMap(answerAssets))];
}

/** Reads such a file or throws a Problem. */
export function readAnswers(text: string): { copy: Copy; at: string; media: Asset[] } {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    throw new Problem(
      'This is no file of answers: it is damaged, or another file. Choose the one that the desk saved.',
    );
  }
  const read = fileSchema.safeParse(raw);
  if (!read.success)
    throw new Problem(
      'This is no file of answers that Lorvet knows, or a part of it is missing. Nothing was taken in.',
      placesOf(read.error),
    );
  const { copy, at } = read.data;
  const wanted = new Set(mediaOfCopy(copy));
  let media: Asset[];
  try {
    // Nothing comes in that no answer holds.
    media = (read.data.media ?? []).flatMap((m) => (wanted.has(m.id) ? [{ ...m, data: fromBase64(m.data) }] : []));
  } catch {
    throw new Problem('A photograph or a recording in this file of answers is damaged. Nothing was taken in.');
  }
  if (copy.id !== `${copy.handOutId}.${copy.learnerId}`)
    throw new Problem('This file of answers does not say whose they are. Nothing was taken in.');
  return { copy, at, media };
}
