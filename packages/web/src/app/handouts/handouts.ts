import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { audienceOf, countHolders, countStates, coverage, type HandOut, handOutState, type Id } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { DIALOG } from '../ui/dialog';
import { Clock } from '../platform/clock';
import { HandOutActions } from '../store/actions';
import { Parts } from '../store/parts';
import { WorkspaceStore } from '../store/workspace';
import { afterDrawing } from '../ui/after-drawing';
import { growing } from '../ui/growing';
import { Near } from '../ui/near';
import { Removal } from '../ui/removal';
import { whenIn } from '../ui/when';

/** So many come at once. */
const ROWS = 20;

/** What has been or will be given out. */
@Component({
  selector: 'lv-hand-outs',
  imports: [ButtonDirective, DIALOG, LucideDynamicIcon, Near, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './handouts.html',
  styleUrl: './handouts.css',
})
export class HandOuts {
  /** A family to begin a hand-out with, from the Bench. */
  readonly family = input<string>();
  protected readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  private readonly removal = inject(Removal);
  protected readonly choosing = signal(false);
  protected readonly families = computed(() =>
    this.work.familyHeads().map((f) => ({ id: f.id, title: f.title, versions: f.versions.length })),
  );
  /** The newest first. */
  protected readonly heads = computed(() =>
    [...this.work.handOutHeads()].reverse().sort((a, b) => b.createdAt.localeCompare(a.createdAt)),
  );
  protected readonly drawn = growing(() => undefined, ROWS, ROWS);
  protected readonly rows = computed(() => {
    const now = this.clock.local();
    const people = this.work.people();
    const all = this.work.states();
    const familyHeads = this.work.familyHeadsById();
    return this.heads()
      .slice(0, this.drawn.budget())
      .map((h) => {
        const learners = h.state === 'draft' ? audienceOf(h, people).length : countHolders(h);
        const state = handOutState(h, now);
        const states = countStates(all[h.id]);
        const parts = [
          ...people.classes.filter((c) => h.classIds.includes(c.id)),
          ...people.groups.filter((g) => h.groupIds.includes(g.id)),
        ].map((p) => p.name);
        return {
          h,
          state,
          who: parts.join(' + ') || (learners ? 'single learners' : 'nobody yet'),
          learners,
          opens: h.opensAt ? whenIn(h.opensAt) : 'at once',
          due: h.dueAt ? whenIn(h.dueAt) : 'no date',
          checks: this.toMend()[h.id] ?? 0,
          submitted: states.submitted,
          complete: states.complete,
          gone: !familyHeads[h.familyId],
        };
      });
  });
  /** The plans that are not given out yet, with their activities: what is wrong with them is looked for. */
  private readonly draftIds = computed(() => this.work.handOutHeads().flatMap((h) => (h.state === 'draft' ? [h] : [])));
  protected readonly draftsHere = inject(Parts).hold(this.draftIds, async (drafts, want) => {
    await want(
      'handOuts',
      drafts.map((h) => h.id),
    );
    await want(
      'families',
      drafts.map((h) => h.familyId),
    );
  });
  private readonly toMend = afterDrawing(
    computed((): Readonly<Record<Id, number>> => {
      if (!this.draftsHere()) return {};
      const now = this.clock.local();
      const people = this.work.people();
      return Object.fromEntries(
        this.draftIds().flatMap(({ id }) => {
          const plan = this.work.handOuts()[id];
          const family = plan && this.work.families()[plan.familyId];
          if (!family) return [];
          return [[id, coverage(plan, family, people, now).filter((c) => c.level === 'mend').length] as const];
        }),
      );
    }),
    {},
  );

  constructor() {
    effect(() => {
      const id = this.family();
      if (id && this.work.familyHeadsById()[id]) untracked(() => this.begin(id, true));
    });
  }

  protected begin(familyId: string, replaceUrl = false): void {
    const head = this.work.familyHeadsById()[familyId];
    if (!head) return;
    const handOut: HandOut = {
      id: this.clock.newId(),
      createdAt: this.clock.iso(),
      familyId,
      title: head.title,
      way: 'one-each',
      note: '',
      classIds: [],
      groupIds: [],
      learnerIds: [],
      lines: [],
      opensAt: null,
      dueAt: null,
      lookedAs: [],
      state: 'draft',
      givenAt: null,
      given: {},
    };
    this.work.dispatch(HandOutActions.planChanged({ handOut, label: `new hand-out “${handOut.title}”` }));
    void this.router.navigate(['/hand-outs', handOut.id], { replaceUrl });
  }

  protected remove(id: Id): void {
    void this.removal.remove('hand-out', id);
  }
}
