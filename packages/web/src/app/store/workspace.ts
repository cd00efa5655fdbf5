import { Injectable, inject } from '@angular/core';
import { COLLECTIONS, type Content, type Family, type InPlace, latest, type Workspace } from '@lorvet/core';
import { type Action, Store } from '@ngrx/store';
import { Clock } from '../platform/clock';
import { Keeper } from '../platform/keeper';
import { BenchActions, KeepingActions, type Stamped } from './actions';
import {
  selectAssets,
  selectCopies,
  selectDoc,
  selectFamilies,
  selectHandOuts,
  selectMarkings,
  selectPeople,
  selectProblem,
  selectRecipes,
  selectRedo,
  selectStatus,
  selectObjectives,
  selectTemplates,
  selectUndo,
} from './selectors';

/** The workspace as places see it: signals to read, and one way to say what a person did. */
@Injectable({ providedIn: 'root' })
export class WorkspaceStore {
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);

  readonly status = this.store.selectSignal(selectStatus);
  readonly doc = this.store.selectSignal(selectDoc);
  readonly families = this.store.selectSignal(selectFamilies);
  readonly handOuts = this.store.selectSignal(selectHandOuts);
  readonly copies = this.store.selectSignal(selectCopies);
  readonly markings = this.store.selectSignal(selectMarkings);
  readonly assets = this.store.selectSignal(selectAssets);
  readonly templates = this.store.selectSignal(selectTemplates);
  readonly objectives = this.store.selectSignal(selectObjectives);
  readonly recipes = this.store.selectSignal(selectRecipes);
  readonly people = this.store.selectSignal(selectPeople);
  readonly problem = this.store.selectSignal(selectProblem);
  readonly undoLabel = this.store.selectSignal(selectUndo);
  readonly redoLabel = this.store.selectSignal(selectRedo);

  dispatch(action: Action): void {
    this.store.dispatch(action);
  }

  stamp(ids = 6): Stamped {
    return { at: this.clock.iso(), author: 'Teacher', ids: Array.from({ length: ids }, () => this.clock.newId()) };
  }

  undo(): void {
    this.dispatch(KeepingActions.undo());
  }

  redo(): void {
    this.dispatch(KeepingActions.redo());
  }

  changeInPlace(familyId: string, versionId: string, done: InPlace, label: string): void {
    this.dispatch(BenchActions.changedInPlace({ familyId, versionId, done, label, stamp: this.stamp() }));
  }

  changeMaster(family: Family, change: (content: Content) => Content, label: string, mergeKey?: string): void {
    const before = family.draft ?? latest(family).content;
    const content = change(before);
    if (content === before) return;
    const action = { familyId: family.id, content, label };
    this.dispatch(BenchActions.masterChanged(mergeKey === undefined ? action : { ...action, mergeKey }));
  }
}

/** Reads what is kept, then keeps what changes: whole records, and only those that are not the same object as before. */
@Injectable({ providedIn: 'root' })
export class KeepingSync {
  private readonly store = inject(Store);
  private readonly keeper = inject(Keeper);
  private known: Workspace | null = null;

  async start(): Promise<void> {
    const { workspace, started } = await this.keeper.load();
    this.known = workspace;
    this.store.dispatch(KeepingActions.loaded({ workspace, started }));
    this.keeper.onArrival((arrivals) => {
      // Taken as known before they reach the state, so that they are not written back.
      const known: Record<string, Record<string, unknown>> = { ...this.known };
      for (const { collection, id, value } of arrivals) known[collection] = { ...known[collection], [id]: value };
      this.known = known as unknown as Workspace;
      this.store.dispatch(KeepingActions.recordsArrived({ arrivals }));
    });
    this.store.select(selectDoc).subscribe((doc) => this.keep(doc));
  }

  private keep(doc: Workspace): void {
    const before = this.known;
    this.known = doc;
    if (!before || before === doc) return;
    for (const c of COLLECTIONS) {
      const was: Readonly<Record<string, unknown>> = before[c];
      const now: Readonly<Record<string, unknown>> = doc[c];
      if (was === now) continue;
      for (const [id, value] of Object.entries(now)) if (was[id] !== value) this.keeper.write(c, id, value);
      for (const id of Object.keys(was)) if (was[id] !== null && !(id in now)) this.keeper.write(c, id, null);
    }
  }
}
