import { isDevMode } from '@angular/core';
import { CannotRecord, emptyWorkspace, type Workspace } from '@lorvet/core';
import type { Action } from '@ngrx/store';
import { produce, setAutoFreeze } from 'immer';
import { KeepingActions } from './actions';
import { changesBetween, joined, type RecordChange, taken } from './changes';
import type { Edit } from './edit';
import { EDITS } from './edits';

// Freezing what comes in costs a walk through all of it: it guards development and tests only.
setAutoFreeze(isDevMode());

interface Step {
  readonly label: string;
  readonly mergeKey: string | undefined;
  readonly changes: readonly RecordChange[];
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
    const doc = produce(state.doc, (draft) => edit.run(draft, action));
    const changes = changesBetween(state.doc, doc);
    if (changes.length === 0) return state;
    if (!edit.label) return { ...state, doc, ...stillTrue(state, changes, action) };
    const last = state.past.at(-1);
    const mergeKey = edit.mergeKey?.(action);
    const merged = mergeKey !== undefined && last?.mergeKey === mergeKey && state.future.length === 0;
    const next: Step = merged
      ? { ...last, changes: joined(last.changes, changes) }
      : { label: edit.label(action), mergeKey, changes };
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
  const step: Step = { label, mergeKey: undefined, changes: changesBetween(state.doc, workspace) };
  return { ...initialState, status: 'ready', doc: workspace, past: state.status === 'ready' ? [step] : [] };
}

const keyOf = (c: RecordChange) => `${c.collection}/${c.id}`;

/** A record that came from elsewhere makes the steps on it untrue: they are forgotten, not applied on top of it. */
function stillTrue(state: LorvetState, changes: readonly RecordChange[], action: Action): Partial<LorvetState> {
  if (action.type !== KeepingActions.recordsArrived.type) return {};
  const records = new Set(changes.map(keyOf));
  const keep = (s: Step) => !s.changes.some((c) => records.has(keyOf(c)));
  return { past: state.past.filter(keep), future: state.future.filter(keep) };
}

function step(state: LorvetState, from: 'past' | 'future'): LorvetState {
  const last = state[from].at(-1);
  if (!last) return state;
  const doc = taken(state.doc, last.changes, from === 'past' ? 'before' : 'after');
  // Taken up again, it is a step of its own: further strokes do not join it.
  const moved = { ...last, mergeKey: undefined };
  return from === 'past'
    ? { ...state, doc, past: state.past.slice(0, -1), future: [...state.future, moved] }
    : { ...state, doc, future: state.future.slice(0, -1), past: [...state.past, moved] };
}
