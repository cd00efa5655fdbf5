import { isDevMode } from '@angular/core';
import { CannotRecord, emptyIndex, type Index, INDEX_NAMES, patchedIndex, type RecordChange } from '@lorvet/core/desk';
import type { Action } from '@ngrx/store';
import { produce, setAutoFreeze } from 'immer';
import type { Arrival } from '../platform/storage/keeper';
import type { KeptDoc } from '../platform/storage/kept-asset';
import { emptyDoc } from '../platform/storage/opening';
import { boxOf } from '../platform/storage/record-places';
import { type ExchangeStep, KeepingActions } from './actions';
import { changesBetween, joined, taken } from './changes';
import type { Edit } from './edit';

// Freezing what comes in costs a walk through all of it: it guards development and tests only.
setAutoFreeze(isDevMode());

export interface RecordStep {
  readonly label: string;
  readonly mergeKey: string | undefined;
  readonly changes: readonly RecordChange[];
}
export type Step = RecordStep | ExchangeStep;
export const isExchange = (s: Step): s is ExchangeStep => 'generation' in s;

export interface LorvetState {
  /**
   * 'choosing': nothing was ever kept here, and the teacher is asked how to start; 'upgrading': what is kept is in an
   * earlier form, and the teacher is asked for a backup first.
   */
  readonly status: 'loading' | 'choosing' | 'upgrading' | 'ready';
  /** The records that are in memory: the small ones always, the others while a place needs them. */
  readonly doc: KeptDoc;
  /** The parts that follow from the records: heads for lists, and what the desk reads. */
  readonly index: Index;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  /** What the last step changed, numbered, for whoever keeps it; and what did it, for whoever writes that down. */
  readonly changed: { readonly n: number; readonly changes: readonly RecordChange[]; readonly by?: ChangedBy };
  /** Something that could not be done, in words. */
  readonly problem: string | null;
}

/** An edit with its action; or a step of undo, taken back or up again. */
export type ChangedBy =
  { readonly edit: Edit; readonly action: Action } | { readonly step: RecordStep; readonly from: 'past' | 'future' };

export const FEATURE = 'lorvet';
const MOST_STEPS = 200;

export const initialState: LorvetState = {
  status: 'loading',
  doc: emptyDoc(),
  index: emptyIndex(),
  past: [],
  future: [],
  changed: { n: 0, changes: [] },
  problem: null,
};

/** What becomes of the state where these edits are known. */
export const reducerOf =
  (edits: ReadonlyMap<string, Edit>) =>
  (state: LorvetState = initialState, action: Action): LorvetState => {
    const edit = edits.get(action.type);
    return edit ? commit(state, edit, action) : kept(state, action);
  };

function kept(state: LorvetState, action: Action): LorvetState {
  switch (action.type) {
    case KeepingActions.awaited.type:
      return { ...initialState, status: (action as ReturnType<typeof KeepingActions.awaited>).status };
    case KeepingActions.opened.type: {
      const { opened } = action as ReturnType<typeof KeepingActions.opened>;
      return { ...initialState, changed: state.changed, status: 'ready', doc: opened.doc, index: opened.index };
    }
    case KeepingActions.exchanged.type: {
      const { opened, exchange, side } = action as ReturnType<typeof KeepingActions.exchanged>;
      const fresh = { ...initialState, changed: state.changed, status: 'ready' as const };
      return { ...fresh, doc: opened.doc, index: opened.index, [side]: exchange ? [exchange] : [] };
    }
    case KeepingActions.exchangeForgotten.type: {
      const { generation } = action as ReturnType<typeof KeepingActions.exchangeForgotten>;
      const keep = (s: Step) => !isExchange(s) || s.generation !== generation;
      return { ...state, past: state.past.filter(keep), future: state.future.filter(keep) };
    }
    case KeepingActions.partsCame.type:
      return withParts(state, (action as ReturnType<typeof KeepingActions.partsCame>).parts);
    case KeepingActions.partsLetGo.type: {
      const { parts } = action as ReturnType<typeof KeepingActions.partsLetGo>;
      return withParts(
        state,
        parts.map((p) => ({ ...p, value: null })),
      );
    }
    case KeepingActions.indexChanged.type: {
      const { patches } = action as ReturnType<typeof KeepingActions.indexChanged>;
      // Slips and sheets are in memory while the desk shows them, and are made nowhere else.
      const here = patches.filter((p) => boxOf(p.in) === 'heads' || Object.hasOwn(state.index[p.in], p.id));
      return { ...state, index: patchedIndex(state.index, here) };
    }
    case KeepingActions.recordsArrived.type: {
      const { arrivals } = action as ReturnType<typeof KeepingActions.recordsArrived>;
      const known = arrivals.filter((a) => a.value !== undefined);
      return {
        ...(known.length ? withParts(state, known) : state),
        ...stillTrue(state, new Set(arrivals.map((a) => `${a.kind}/${a.id}`))),
      };
    }
    case KeepingActions.undo.type:
      return step(state, 'past');
    case KeepingActions.redo.type:
      return step(state, 'future');
    case KeepingActions.problemDismissed.type:
      return { ...state, problem: null };
    default:
      return state;
  }
}

function commit(state: LorvetState, edit: Edit, action: Action): LorvetState {
  try {
    const doc = produce(state.doc, (draft) => edit.run(draft, action));
    const changes = changesBetween(state.doc, doc);
    if (changes.length === 0) return state;
    const changed = { n: state.changed.n + 1, changes, by: { edit, action } };
    if (!edit.label) return { ...state, doc, changed, past: untouchedBy(state.past, changes) };
    const last = state.past.at(-1);
    const mergeKey = edit.mergeKey?.(action);
    const merges = mergeKey !== undefined && last && !isExchange(last) && last.mergeKey === mergeKey;
    const merged = merges && state.future.length === 0;
    const next: Step = merged
      ? { ...last, changes: joined(last.changes, changes) }
      : { label: edit.label(action), mergeKey, changes };
    const past = [...(merged ? state.past.slice(0, -1) : state.past), next].slice(-MOST_STEPS);
    return { ...state, doc, changed, past, future: [], problem: null };
  } catch (error) {
    if (error instanceof CannotRecord) return { ...state, problem: error.message };
    throw error;
  }
}

const isIndex = (kind: string): boolean => INDEX_NAMES.some((n) => n === kind);

/** Records that are in memory now (null: no more), as they are kept: nothing that a person did. */
function withParts(state: LorvetState, parts: readonly Arrival[]): LorvetState {
  const doc: Record<string, Record<string, unknown>> = {};
  const index: Record<string, Record<string, unknown>> = {};
  const was = { ...state.doc, ...state.index } as unknown as Readonly<Record<string, Record<string, unknown>>>;
  for (const { kind, id, value } of parts) {
    const records = ((isIndex(kind) ? index : doc)[kind] ??= { ...was[kind] });
    if (value === null) delete records[id];
    else records[id] = value;
  }
  // What no part of changed stays the same object: whoever looks at it need not look again.
  return {
    ...state,
    ...(Object.keys(doc).length ? { doc: { ...state.doc, ...doc } as unknown as KeptDoc } : {}),
    ...(Object.keys(index).length ? { index: { ...state.index, ...index } as unknown as Index } : {}),
  };
}

const keyOf = (c: RecordChange) => `${c.collection}/${c.id}`;

/** Records that came from elsewhere make the steps on them untrue: they are forgotten, not applied on top of them. */
function stillTrue(state: LorvetState, keys: ReadonlySet<string>): Pick<LorvetState, 'past' | 'future'> {
  const keep = (s: Step) => isExchange(s) || !s.changes.some((c) => keys.has(keyOf(c)));
  return { past: state.past.filter(keep), future: state.future.filter(keep) };
}

/** Giving out is no longer to be undone once a learner has begun. */
function untouchedBy(past: readonly Step[], changes: readonly RecordChange[]): readonly Step[] {
  const begun = new Set(
    changes.flatMap((c) => (c.collection === 'copies' ? [(c.after as { handOutId: string }).handOutId] : [])),
  );
  if (begun.size === 0) return past;
  const gave = (c: RecordChange) =>
    c.collection === 'handOuts' && begun.has(c.id) && (c.before as { state?: string } | undefined)?.state === 'draft';
  return past.filter((s) => isExchange(s) || !s.changes.some(gave));
}

function step(state: LorvetState, from: 'past' | 'future'): LorvetState {
  const last = state[from].at(-1);
  // An exchange of workspaces is undone by opening the other one.
  if (!last || isExchange(last)) return state;
  const side = from === 'past' ? 'before' : 'after';
  const doc = taken(state.doc, last.changes, side);
  const changes =
    from === 'past' ? last.changes.map((c) => ({ ...c, before: c.after, after: c.before })) : last.changes;
  const changed = { n: state.changed.n + 1, changes, by: { step: last, from } };
  // Taken up again, it is a step of its own: further strokes do not join it.
  const moved = { ...last, mergeKey: undefined };
  return from === 'past'
    ? { ...state, doc, changed, past: state.past.slice(0, -1), future: [...state.future, moved] }
    : { ...state, doc, changed, future: state.future.slice(0, -1), past: [...state.past, moved] };
}
