import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { audienceOf, copyIdOf, copyState, coverage, type HandOut, handOutState, latest, listOf } from '@lorvet/core';
import { Dialog } from 'primeng/dialog';
import { Clock } from '../platform/clock';
import { HandOutActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { Notice } from '../ui/notice';
import { whenIn } from '../ui/when';

/** What has been or will be given out. */
@Component({
  selector: 'lv-hand-outs',
  imports: [RouterLink, LucideDynamicIcon, Dialog],
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
  private readonly notice = inject(Notice);
  protected readonly choosing = signal(false);
  protected readonly families = computed(() =>
    listOf(this.work.families()).map((f) => ({
      id: f.id,
      title: latest(f).content.title,
      versions: f.versions.length,
    })),
  );
  protected readonly rows = computed(() => {
    const now = this.clock.local();
    const people = this.work.people();
    return listOf(this.work.handOuts())
      .map((h) => {
        const family = this.work.families()[h.familyId];
        const audience = audienceOf(h, people);
        const state = handOutState(h, now);
        const checks =
          state === 'draft' && family ? coverage(h, family, people, now).filter((c) => c.level === 'mend').length : 0;
        const states = Object.keys(h.given).map((id) =>
          copyState(h, this.work.copies()[copyIdOf(h.id, id)], this.work.markings()[copyIdOf(h.id, id)], now),
        );
        const parts = [
          ...people.classes.filter((c) => h.classIds.includes(c.id)),
          ...people.groups.filter((g) => h.groupIds.includes(g.id)),
        ].map((p) => p.name);
        return {
          h,
          state,
          who: parts.join(' + ') || (audience.length ? 'single learners' : 'nobody yet'),
          learners: audience.length,
          opens: h.opensAt ? whenIn(h.opensAt) : 'at once',
          due: h.dueAt ? whenIn(h.dueAt) : 'no date',
          checks,
          submitted: states.filter((s) => s === 'submitted').length,
          complete: states.filter((s) => s === 'complete').length,
          gone: !family,
        };
      })
      .reverse();
  });

  constructor() {
    effect(() => {
      const id = this.family();
      if (id && this.work.families()[id]) this.begin(id, true);
    });
  }

  protected begin(familyId: string, replaceUrl = false): void {
    const family = this.work.families()[familyId];
    if (!family) return;
    const handOut: HandOut = {
      id: this.clock.newId(),
      familyId,
      title: latest(family).content.title,
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
      frozen: {},
    };
    this.work.dispatch(HandOutActions.planChanged({ handOut, label: `new hand-out “${handOut.title}”` }));
    void this.router.navigate(['/hand-outs', handOut.id], { replaceUrl });
  }

  protected remove(h: HandOut): void {
    this.work.dispatch(HandOutActions.removed({ id: h.id, title: h.title }));
    this.notice.done('Hand-out removed', 'With its work and marks. Undo brings all of it back.');
  }
}
