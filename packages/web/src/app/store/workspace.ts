import { computed, inject, Injectable, Injector } from '@angular/core';
import type { Content, Family, Id, InPlace, People } from '@lorvet/core';
import { latest, listOf } from '@lorvet/core/desk';
import { type Action, Store } from '@ngrx/store';
import { Clock } from '../platform/clock';
import { BenchActions, KeepingActions, type Stamped } from './actions';
import { Parts } from './parts';
import { isExchange, type Step } from './reducer';
import {
  selectAssets,
  selectCalendars,
  selectComforts,
  selectCopies,
  selectDismissed,
  selectDoc,
  selectFamilies,
  selectFamilyHeads,
  selectFolders,
  selectFrozen,
  selectFuture,
  selectHandOutHeads,
  selectHandOuts,
  selectIndex,
  selectMarkings,
  selectObjectives,
  selectPast,
  selectPeople,
  selectPhrases,
  selectProblem,
  selectRecipes,
  selectRemoved,
  selectRosters,
  selectStates,
  selectStatus,
  selectTemplates,
} from './selectors';
import { wantGiven } from './wants';

/**
 * The workspace as places see it: signals to read, and one way to say what a person did. Heads are all there; of the
 * records themselves those that a place holds (`Parts`).
 */
@Injectable({ providedIn: 'root' })
export class WorkspaceStore {
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  private readonly parts = inject(Parts);
  private readonly injector = inject(Injector);

  readonly status = this.store.selectSignal(selectStatus);
  readonly doc = this.store.selectSignal(selectDoc);
  readonly index = this.store.selectSignal(selectIndex);
  readonly families = this.store.selectSignal(selectFamilies);
  readonly handOuts = this.store.selectSignal(selectHandOuts);
  readonly frozen = this.store.selectSignal(selectFrozen);
  readonly copies = this.store.selectSignal(selectCopies);
  readonly markings = this.store.selectSignal(selectMarkings);
  readonly assets = this.store.selectSignal(selectAssets);
  readonly templates = this.store.selectSignal(selectTemplates);
  readonly objectives = this.store.selectSignal(selectObjectives);
  readonly recipes = this.store.selectSignal(selectRecipes);
  readonly phrases = this.store.selectSignal(selectPhrases);
  readonly folders = this.store.selectSignal(selectFolders);
  readonly dismissed = this.store.selectSignal(selectDismissed);
  readonly removed = this.store.selectSignal(selectRemoved);
  readonly comforts = this.store.selectSignal(selectComforts);
  private readonly everybody = this.store.selectSignal(selectPeople);
  readonly people = computed((): People => ({ ...this.everybody(), today: this.clock.today() }));
  readonly rosters = this.store.selectSignal(selectRosters);
  readonly calendars = this.store.selectSignal(selectCalendars);
  readonly problem = this.store.selectSignal(selectProblem);
  private readonly past = this.store.selectSignal(selectPast);
  private readonly future = this.store.selectSignal(selectFuture);
  readonly undoLabel = computed(() => this.past()?.label ?? null);
  readonly redoLabel = computed(() => this.future()?.label ?? null);

  /** What lists say of the families and hand-outs, by id and in the order in which they were made; who is how far. */
  readonly familyHeadsById = this.store.selectSignal(selectFamilyHeads);
  readonly handOutHeadsById = this.store.selectSignal(selectHandOutHeads);
  readonly states = this.store.selectSignal(selectStates);
  readonly familyHeads = computed(() => listOf(this.familyHeadsById()));
  readonly handOutHeads = computed(() => listOf(this.handOutHeadsById()));

  dispatch(action: Action): void {
    this.store.dispatch(action);
  }

  stamp(ids = 6): Stamped {
    return { at: this.clock.iso(), author: 'Teacher', ids: Array.from({ length: ids }, () => this.clock.newId()) };
  }

  undo(): void {
    void this.step(this.past(), 'past');
  }

  redo(): void {
    void this.step(this.future(), 'future');
  }

  /** A family, read where no place holds it; it stays in memory long enough to be changed at once. */
  async familyNow(id: Id): Promise<Family | undefined> {
    return await this.parts.during(async (want) => {
      await want('families', [id]);
      return Object.hasOwn(this.families(), id) ? this.families()[id] : undefined;
    });
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

  private async step(step: Step | null, side: 'past' | 'future'): Promise<void> {
    if (!step) return;
    if (isExchange(step)) {
      const { Exchanging } = await import('./exchanging');
      return await this.injector.get(Exchanging).back(step, side);
    }
    // What follows from a hand-out that comes or goes is looked up in it.
    const large: Id[] = step.changes.flatMap((c) => {
      const r = (c.after ?? c.before) as { what?: unknown; target?: unknown } | undefined;
      return c.collection === 'removed' && typeof r?.target === 'string' ? [r.target] : [];
    });
    const act = () => this.dispatch(side === 'past' ? KeepingActions.undo() : KeepingActions.redo());
    if (large.length === 0) return act();
    await this.parts.during(async (want) => {
      await want('families', large);
      for (const id of large) await wantGiven(id, want, this.doc);
      act();
    });
  }
}
