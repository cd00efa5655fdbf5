import { z } from '../zod';
import type { ItemMark } from '../work/answer';
import { type Id, idSchema, type WordsField } from './block';
import { fingerprint } from './fingerprint';

/** Content hash of an asset; empty until one is chosen. */
export const assetIdSchema = z.string().max(80);

/** Something small with words and perhaps a picture: a choice, a piece, an entry. */
export const pieceSchema = z.object({
  id: idSchema,
  text: z.string().max(500),
  assetId: assetIdSchema.optional(),
});
export type Piece = z.infer<typeof pieceSchema>;

/** A rectangle in hundredths of what it lies on, from the top left. */
export const rectSchema = z.object({
  x: z.number().min(0).max(100),
  y: z.number().min(0).max(100),
  w: z.number().min(0.5).max(100),
  h: z.number().min(0.5).max(100),
});
export type Rect = z.infer<typeof rectSchema>;

export const plainPiece = (p: Piece): Piece => ({
  id: p.id,
  text: p.text,
  ...(p.assetId ? { assetId: p.assetId } : {}),
});

export const pieceAssets = (pieces: readonly Piece[]): string[] =>
  pieces.flatMap((p) => (p.assetId ? [p.assetId] : []));

/** Pieces in the order of their words, so that the order says nothing of the key. */
export const byWords = <P extends { id: Id; text: string }>(pieces: readonly P[]): P[] =>
  [...pieces].sort((a, b) => a.text.localeCompare(b.text, 'en', { numeric: true }) || (a.id < b.id ? -1 : 1));

/** The same pieces in an order that follows from their ids alone: not even that it is not the right one is said. */
export function shuffled<P extends { id: Id }>(pieces: readonly P[], salt: string): P[] {
  return pieces
    .map((p) => ({ p, at: fingerprint([salt, p.id]) }))
    .sort((a, b) => (a.at < b.at ? -1 : 1))
    .map((x) => x.p);
}

/** Words fields of a list: `<name>:<id>`. */
export const listWords = (name: string, label: string, list: readonly { id: Id; text: string }[]): WordsField[] =>
  list.map((p, i) => ({ field: `${name}:${p.id}`, label: `${label} ${i + 1}`, text: p.text }));

export const withListWords = <P extends { id: Id; text: string }>(
  name: string,
  list: P[],
  field: string,
  text: string,
): P[] =>
  field.startsWith(`${name}:`) && list.some((p) => `${name}:${p.id}` === field)
    ? list.map((p) => (`${name}:${p.id}` === field ? { ...p, text } : p))
    : list;

/** Points for a share of what was asked. `wrong` ones take a share back each, where guessing must not pay. */
export function shareMark(outOf: number, hits: number, of: number, what: string, wrong = 0): ItemMark {
  if (of === 0) return noKey(outOf);
  const share = Math.max(0, (hits - wrong) / of);
  return {
    verdict: share >= 1 ? 'right' : share > 0 ? 'partly' : 'not-yet',
    points: Math.round(Math.min(1, share) * outOf * 100) / 100,
    outOf,
    why: `${hits} of ${of} ${what}${wrong > 0 ? `, ${wrong} wrong` : ''}.`,
  };
}

export const noKey = (outOf: number): ItemMark => ({ verdict: 'yours', points: 0, outOf, why: 'No key is set.' });
export const yours = (outOf: number): ItemMark => ({ verdict: 'yours', points: 0, outOf, why: 'Yours to mark.' });
