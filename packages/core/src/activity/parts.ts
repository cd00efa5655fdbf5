import { z } from '../zod';
import type { ItemMark } from '../work/answer';
import type { Judged } from '../work/mark/judge';
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

/** What a piece shows: two that show the same are the same, whichever of them was taken. */
export const faceOf = (p: { readonly text: string; readonly assetId?: string | undefined }): string =>
  JSON.stringify([p.text.trim(), p.assetId ?? '']);

/** How many of the given pairs are among the right ones, each right one counted once. */
export function pairHits(
  right: readonly (readonly [string, string])[],
  given: readonly (readonly [string, string])[],
): number {
  const left = right.map((pair) => JSON.stringify(pair));
  return given.filter((pair) => {
    const at = left.indexOf(JSON.stringify(pair));
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  }).length;
}

/** What lies at each place that holds one piece only: two in one place are no answer. */
export function aloneAt(placed: Readonly<Record<string, string>>): [piece: string, place: string][] {
  const count = new Map<string, number>();
  for (const place of Object.values(placed)) count.set(place, (count.get(place) ?? 0) + 1);
  return Object.entries(placed).filter(([, place]) => count.get(place) === 1);
}

export interface Share {
  readonly hits: number;
  /** How many there are to get right. */
  readonly of: number;
  /** "pairs right" */
  readonly what: string;
  /** Wrong ones that take something back, where guessing must not pay. */
  readonly wrong?: number;
  /** How many hits each of them takes back: one where not given. */
  readonly cost?: number;
  /** Parts that only the teacher can judge, each in words. */
  readonly open?: readonly string[];
}

/** Points for a share of what was asked. Where a part is the teacher's, so is the mark; what is certain counts already. */
export function shareMark(outOf: number, { hits, of, what, wrong = 0, cost = 1, open = [] }: Share): ItemMark {
  if (of === 0) return noKey(outOf);
  const share = Math.max(0, (hits - wrong * cost) / of);
  return {
    verdict: open.length ? 'yours' : share >= 1 - 1e-9 ? 'right' : share > 1e-9 ? 'partly' : 'not-yet',
    points: Math.round(Math.min(1, share) * outOf * 100) / 100,
    outOf,
    why: `${hits} of ${of} ${what}${wrong > 0 ? `, ${wrong} wrong` : ''}${open.length ? `; yours to judge: ${open.join(' ')}` : '.'}`,
  };
}

/** The mark of a single typed answer. */
export const judgedMark = (outOf: number, { is, why }: Judged): ItemMark => ({
  verdict: is === 'yours' ? 'yours' : is === 'different' ? 'not-yet' : 'right',
  points: is === 'same' || is === 'close' ? outOf : 0,
  outOf,
  why,
});

/** Typed answers at several places, each with what is accepted there; a place without a key is the teacher's to judge. */
export function placesMark(
  outOf: number,
  places: readonly { readonly key: readonly string[]; readonly given: string }[],
  what: string,
  judged: (given: string, key: readonly string[]) => Judged,
): ItemMark {
  const isKeyed = (key: readonly string[]) => key.some((k) => k.trim() !== '');
  if (!places.some((p) => isKeyed(p.key))) return noKey(outOf);
  let hits = 0;
  const open: string[] = [];
  for (const { key, given } of places) {
    if (given.trim() === '') continue;
    const j: Judged = isKeyed(key) ? judged(given, key) : { is: 'yours', why: `“${given.trim()}” has no key.` };
    if (j.is === 'yours') open.push(j.why);
    else if (j.is !== 'different') hits++;
  }
  return shareMark(outOf, { hits, of: places.length, what, open });
}

/** Accepted answers with one more, while there is room; the same list where it is among them or nothing was given. */
export function acceptedToo(key: string[], given: string, isSame: (given: string) => boolean, most = 100): string[] {
  const text = given.trim().slice(0, 200);
  const before = key.filter((k) => k.trim() !== '');
  return text === '' || before.length >= most || isSame(text) ? key : [...before, text];
}

export const noKey = (outOf: number): ItemMark => ({ verdict: 'yours', points: 0, outOf, why: 'No key is set.' });
export const yours = (outOf: number): ItemMark => ({ verdict: 'yours', points: 0, outOf, why: 'Yours to mark.' });
