import { z } from '../zod';
import { idSchema } from '../activity/block';
import { type Album, albumSchema } from '../assign/album';
import {
  type Flaps,
  flapsSchema,
  type Keys,
  keysSchema,
  type LearnerSheet,
  learnerSheetSchema,
} from '../assign/learner-sheet';
import { type Said, type Slip, type Slipped, slipSchema } from '../assign/slip';
import type { Comfort, Tools } from '../learners/comfort';
import { countIds, idsIn, packedIdsSchema, packIds } from './packed-ids';
import { type FamilyHead, familyHeadSchema, type HandOutHead, handOutHeadSchema } from './head-parts';
import type { IndexName } from '../collections';

/** How far begun work is; who is not named has not begun. */
export const workStateSchema = z.enum(['working', 'submitted', 'another go', 'complete']);
export type WorkState = z.infer<typeof workStateSchema>;

/** Who is how far with a hand-out, under the hand-out's id. */
export const statesSchema = z.object({ id: idSchema, states: z.partialRecord(workStateSchema, packedIdsSchema) });
export type States = z.infer<typeof statesSchema>;

const byLearner = new WeakMap<States, ReadonlyMap<string, WorkState>>();

/** How far each learner is; who is not named has not begun. */
export function statesIn(part: States | undefined): ReadonlyMap<string, WorkState> {
  if (!part) return new Map();
  let out = byLearner.get(part);
  if (!out) {
    const all = workStateSchema.options.flatMap((s) => idsIn(part.states[s] ?? '').map((id) => [id, s] as const));
    byLearner.set(part, (out = new Map(all)));
  }
  return out;
}

/** How many are how far. */
export const countStates = (part: States | undefined): Record<WorkState, number> => ({
  working: countIds(part?.states.working ?? ''),
  submitted: countIds(part?.states.submitted ?? ''),
  'another go': countIds(part?.states['another go'] ?? ''),
  complete: countIds(part?.states.complete ?? ''),
});

/** What the desk says at its door: the classes and who is in them. There is one. */
export const doorSchema = z.strictObject({
  id: z.literal('door'),
  classes: z.array(
    z.strictObject({
      id: idSchema,
      name: z.string(),
      learners: z.array(z.strictObject({ id: idSchema, name: z.string() })),
    }),
  ),
});
export type Door = z.infer<typeof doorSchema>;

/**
 * The parts that are made of the records: heads for lists, and what the desk reads. Each follows from the records at any
 * time; they are kept so that opening a place reads what it shows and nothing else.
 */
export const indexSchemas = {
  familyHeads: familyHeadSchema,
  handOutHeads: handOutHeadSchema,
  states: statesSchema,
  door: doorSchema,
  slips: slipSchema,
  sheets: learnerSheetSchema,
  flaps: flapsSchema,
  albums: albumSchema,
  keys: keysSchema,
} satisfies Record<IndexName, z.ZodType>;
export interface IndexOf {
  readonly familyHeads: FamilyHead;
  readonly handOutHeads: HandOutHead;
  readonly states: States;
  readonly door: Door;
  readonly slips: Slip;
  readonly sheets: LearnerSheet;
  readonly flaps: Flaps;
  readonly albums: Album;
  readonly keys: Keys;
}
export type Index = { readonly [N in IndexName]: Readonly<Record<string, IndexOf[N]>> };

type Whole = Exclude<IndexName, 'states' | 'slips'>;

/**
 * What is to become of one part. Those that several hands write to are changed entry by entry, so that the same change
 * twice is one, and two at once are both. Null takes away.
 */
export type IndexPatch =
  | { readonly [N in Whole]: { readonly in: N; readonly id: string; readonly put: IndexOf[N] | null } }[Whole]
  | { readonly in: 'states'; readonly id: string; readonly set: Readonly<Record<string, WorkState | null>> }
  | {
      readonly in: 'slips';
      readonly id: string;
      readonly works?: Readonly<Record<string, Slipped | null>>;
      readonly said?: Readonly<Record<string, Said>>;
      readonly comfort?: Comfort | null;
      readonly tools?: Tools;
    };

const without = <T>(all: Readonly<Record<string, T>>, set: Readonly<Record<string, T | null>>): Record<string, T> => {
  const out: Record<string, T> = { ...all };
  for (const [id, value] of Object.entries(set))
    if (value === null) delete out[id];
    else out[id] = value;
  return out;
};

/** A part after a patch; null where nothing is left of it. */
export function patched(part: unknown, patch: IndexPatch): IndexOf[IndexName] | null {
  if (patch.in === 'states') {
    const now = new Map(statesIn(part as States | undefined));
    for (const [learnerId, state] of Object.entries(patch.set))
      if (state === null) now.delete(learnerId);
      else now.set(learnerId, state);
    if (now.size === 0) return null;
    const ids = (s: WorkState) => [...now].flatMap(([learnerId, state]) => (state === s ? [learnerId] : [])).sort();
    const states = workStateSchema.options.map((s) => [s, packIds(ids(s))] as const).filter(([, list]) => list);
    return { id: patch.id, states: Object.fromEntries(states) };
  }
  if (patch.in === 'slips') {
    const slip = part as Slip | undefined;
    const before = slip?.works ?? {};
    const works = without(before, patch.works ?? {});
    // How something is given says nothing of what was said to it: that stays.
    for (const id of Object.keys(patch.works ?? {})) {
      const [work, then] = [works[id], before[id]];
      if (work && then) works[id] = { ...work, said: then.said };
    }
    for (const [id, said] of Object.entries(patch.said ?? {})) {
      const work = works[id];
      if (work) works[id] = { ...work, said };
    }
    return {
      id: patch.id,
      works,
      comfort: patch.comfort === undefined ? (slip?.comfort ?? null) : patch.comfort,
      tools: patch.tools ?? slip?.tools ?? {},
    };
  }
  return patch.put;
}

/** An index after patches. */
export function patchedIndex(index: Index, patches: readonly IndexPatch[]): Index {
  const out: Record<string, Record<string, unknown>> = {};
  for (const patch of patches) {
    const parts = (out[patch.in] ??= { ...index[patch.in] });
    const next = patched(parts[patch.id], patch);
    if (next === null) delete parts[patch.id];
    else parts[patch.id] = next;
  }
  return { ...index, ...out } as Index;
}
