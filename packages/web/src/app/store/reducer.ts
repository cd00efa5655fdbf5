import { CannotRecord, COLLECTIONS, emptyWorkspace, type Workspace } from '@lorvet/core';
import type { Action } from '@ngrx/store';
import { applyPatches, enablePatches, type Patch, produceWithPatches } from 'immer';
import { KeepingActions } from './actions';
import { type Edit, EDITS } from './edits';

enablePatches();

interface Step {
  readonly label: string;
  readonly mergeKey: string | undefined;
  readonly forward: readonly Patch[];
  readonly back: readonly Patch[];
}

export interface LorvetState {
  /** 'choosing': nothing was ever kept here, and the teacher is asked how to start. */
  readonly status: 'loading' | 'choosing' | 'ready';
  readonly doc: Workspace;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  /** Something that could not be done, in words. */
  readonly problem: string | null;
}

export const FEATURE = 'lorvet';
const MOST_STEPS = 200;

export const initialState: LorvetState = {
  status: 'loading',
  doc: emptyWorkspace(),
  past: [],
  future: [],
  problem: null,
};

export function reducer(state: LorvetState = initialState, action: Action): LorvetState {
  const edit = EDITS.get(action.type);
  if (edit) return commit(state, edit, action);
  switch (action.type) {
    case KeepingActions.loaded.type: {
      const { workspace, started } = action as ReturnType<typeof KeepingActions.loaded>;
      return { ...initialState, doc: workspace, status: started ? 'ready' : 'choosing' };
    }
    case KeepingActions.workspaceReplaced.type:
      return replaced(state, action as ReturnType<typeof KeepingActions.workspaceReplaced>);
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
    const [doc, forward, back] = produceWithPatches(state.doc, (draft) => edit.run(draft, action));
    if (forward.length === 0) return state;
    if (!edit.label) return { ...state, doc, ...stillTrue(state, forward, action) };
    const last = state.past.at(-1);
    const mergeKey = edit.mergeKey?.(action);
    const merged = mergeKey !== undefined && last?.mergeKey === mergeKey && state.future.length === 0;
    const next: Step = merged
      ? { ...last, forward: [...last.forward, ...forward], back: [...back, ...last.back] }
      : { label: edit.label(action), mergeKey, forward, back };
    const past = [...(merged ? state.past.slice(0, -1) : state.past), next].slice(-MOST_STEPS);
    return { ...state, doc, past, future: [], problem: null };
  } catch (error) {
    if (error instanceof CannotRecord) return { ...state, problem: error.message };
    throw error;
  }
}

/** Another workspace in place of this one: one step back brings all of it again. */
function replaced(
  state: LorvetState,
  { workspace, label }: ReturnType<typeof KeepingActions.workspaceReplaced>,
): LorvetState {
  const swap = (to: Workspace): Patch[] => COLLECTIONS.map((c) => ({ op: 'replace', path: [c], value: to[c] }));
  const step: Step = { label, mergeKey: undefined, forward: swap(workspace), back: swap(state.doc) };
  return { ...initialState, status: 'ready', doc: workspace, past: state.status === 'ready' ? [step] : [] };
}

const touches = (s: Step, records: ReadonlySet<string>) =>
  [...s.forward, ...s.back].some((p) => p.path.length < 2 || records.has(p.path.slice(0, 2).join('/')));

/** A record that came from elsewhere makes the steps on it untrue: they are forgotten, not applied on top of it. */
function stillTrue(state: LorvetState, forward: readonly Patch[], action: Action): Partial<LorvetState> {
  if (action.type !== KeepingActions.recordsArrived.type) return {};
  const records = new Set(forward.map((p) => p.path.slice(0, 2).join('/')));
  const keep = (s: Step) => !touches(s, records);
  return { past: state.past.filter(keep), future: state.future.filter(keep) };
}

function step(state: LorvetState, from: 'past' | 'future'): LorvetState {
  const taken = state[from].at(-1);
  if (!taken) return state;
  const doc = applyPatches(state.doc, [...(from === 'past' ? taken.back : taken.forward)]);
  // Taken up again, it is a step of its own: further strokes do not join it.
  const moved = { ...taken, mergeKey: undefined };
  return from === 'past'
    ? { ...state, doc, past: state.past.slice(0, -1), future: [...state.future, moved] }
    : { ...state, doc, future: state.future.slice(0, -1), past: [...state.past, moved] };
}
