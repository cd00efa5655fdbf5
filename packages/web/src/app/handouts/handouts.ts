import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  again,
  recipientsOf,
  countHolders,
  countStates,
  countWorks,
  type HandOut,
  type HandOutKind,
  handOutState,
  type Id,
  newHandOut,
  safestWay,
  SCHOOL_ID,
  waysToGive,
  weeksUntil,
} from '@lorvet/core';
import { coverage } from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';
import { Tooltip } from 'primeng/tooltip';
import { DIALOG } from '../ui/dialog';
import { Clock } from '../platform/clock';
import { HandOutActions } from '../store/actions';
import { Parts } from '../store/parts';
import { WorkspaceStore } from '../store/workspace';
import { afterDrawing } from '../ui/after-drawing';
import { holdsWords } from '../ui/holds-words';
import { IconButton } from '../ui/icon-button';
import { Removal } from '../ui/removal';
import { TABLE } from '../ui/table/table';
import { whenIn } from '../ui/when';
import { AgainBox } from './again-box';
import { Empty } from '../ui/empty';
import { many } from '../platform/many';

const COLUMNS = [
  { field: 'title', name: 'What' },
  { field: 'who', name: 'For' },
  { field: 'opensAt', name: 'Opens' },
  { field: 'dueAt', name: 'Due' },
  { field: 'state', name: 'State' },
  { field: 'submitted', name: 'Work' },
] as const;

const WAYS: Readonly<Record<string, string>> = {
  'one-each': 'one each',
  'per-group': 'one per group',
  'place-each': 'a place each',
  together: 'one for all',
  'to-read': 'to read',
  notice: 'a notice',
  folder: 'a standing folder',
};

interface Row {
  readonly id: Id;
  readonly title: string;
  readonly state: string;
  readonly who: string;
  readonly learners: number;
  /** Pieces of work: as many as learners, or as groups. */
  readonly works: number;
  readonly way: string;
  readonly kind: HandOutKind;
  /** Local, for sorting; "" for none. */
  readonly opensAt: string;
  readonly opens: string;
  readonly dueAt: string;
  readonly due: string;
  readonly checks: number;
  readonly submitted: number;
  readonly complete: number;
  readonly gone: boolean;
}

/** What has been or will be given out. */
@Component({
  selector: 'lv-hand-outs',
  imports: [IconButton, AgainBox, Empty, ButtonDirective, DIALOG, LucideDynamicIcon, RouterLink, Tooltip, ...TABLE],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './handouts.html',
  styleUrl: './handouts.css',
})
export class HandOuts {
  /** A family to begin a hand-out with, from the Bench. */
  readonly family = input<string>();
  /** A version of it that is to be given. */
  readonly version = input<string>();
  /** An audience to begin a hand-out for. */
  readonly audience = input<string>();
  protected readonly many = many;
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
    this.work
      .handOutHeads()
      .filter((x) => !x.isTemplate)
      .reverse()
      .sort((a, b) => b.createdAt.localeCompare(a.createdAt)),
  );
  /** Plans that others are begun with. */
  protected readonly templates = computed(() => this.work.handOutHeads().filter((x) => x.isTemplate));
  /** The hand-out that is used again. */
  protected readonly again = signal<string | null>(null);
  /** A list of its own: the table moves them in it. */
  protected readonly columns = [...COLUMNS];
  /** Not kept: a list that is short after a reload for words of yesterday would look as if things were lost. */
  protected readonly sought = signal('');
  protected readonly rows = computed<Row[]>(() => {
    const now = this.clock.local();
    const people = this.work.people();
    const all = this.work.states();
    const familyHeads = this.work.familyHeadsById();
    return this.heads().map((h) => {
      const learners = h.state === 'draft' ? recipientsOf(h, people).length : countHolders(h);
      const works = h.state === 'draft' ? learners : countWorks(h);
      const states = countStates(all[h.id]);
      const parts = [
        ...people.classes.filter((c) => h.classIds.includes(c.id)),
        ...people.groups.filter((g) => h.groupIds.includes(g.id)),
      ].map((p) => p.name);
      return {
        id: h.id,
        title: h.title,
        state: handOutState(h, now),
        who: parts.join(' + ') || (learners ? 'single learners' : 'nobody yet'),
        learners,
        works,
        kind: h.kind,
        way: WAYS[h.kind === 'work' ? h.way : h.kind] ?? '',
        opensAt: h.opensAt ?? '',
        opens: h.opensAt ? whenIn(h.opensAt) : 'at once',
        dueAt: h.dueAt ?? '',
        due: h.dueAt ? whenIn(h.dueAt) : 'no date',
        checks: this.toMend()[h.id] ?? 0,
        submitted: states.submitted,
        complete: states.complete,
        gone: h.kind === 'work' && !familyHeads[h.familyId],
      };
    });
  });
  protected readonly found = computed(() =>
    this.rows().filter((r) => holdsWords(this.sought(), r.title, r.who, r.state)),
  );
  /** What a teacher looks for next: what to mend, what waits to be looked at, what opens or is due. */
  protected readonly next = computed(() => {
    const now = this.clock.local();
    const of = (r: Row, kind: 'mend' | 'look' | 'comes', says: string, does: string, when = '') => ({
      key: `${kind} ${r.id}`,
      kind,
      says,
      does,
      when,
      title: r.title,
      link: kind === 'look' ? ['/marking', r.id] : ['/hand-outs', r.id],
    });
    const rows = this.rows();
    const coming = rows.filter((r) => r.state === 'scheduled').sort((a, b) => a.opensAt.localeCompare(b.opensAt));
    const due = rows
      .filter(
        (r) => r.kind === 'work' && r.state === 'given out' && r.dueAt > now && r.submitted + r.complete < r.works,
      )
      .sort((a, b) => a.dueAt.localeCompare(b.dueAt));
    return [
      ...rows.filter((r) => r.submitted).map((r) => of(r, 'look', `${r.submitted} to look at`, 'Mark', '')),
      ...rows.filter((r) => r.checks).map((r) => of(r, 'mend', `${r.checks} to mend before it is given`, 'Mend', '')),
      ...coming.map((r) => of(r, 'comes', 'Opens by itself', 'See the plan', r.opens)),
      ...due.map((r) =>
        of(r, 'comes', `${r.works - r.submitted - r.complete} still at it`, 'See the plan', `due ${r.due}`),
      ),
    ].slice(0, 3);
  });
  /** The plans that are not given out yet, with their activities: what is wrong with them is looked for. */
  private readonly draftIds = computed(() => this.heads().flatMap((h) => (h.state === 'draft' ? [h] : [])));
  private readonly parts = inject(Parts);
  protected readonly draftsHere = this.parts.hold(this.draftIds, async (drafts, want) => {
    await want(
      'handOuts',
      drafts.map((h) => h.id),
    );
    await want(
      'families',
      drafts.flatMap((h) => h.familyId || []),
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
          if (!plan || (plan.kind === 'work' && !family)) return [];
          return [[id, coverage(plan, family, people, now).filter((c) => c.level === 'mend').length] as const];
        }),
      );
    }),
    {},
  );

  constructor() {
    effect(() => {
      const id = this.family();
      if (id && this.work.familyHeadsById()[id]) untracked(() => void this.begin(id, true));
    });
    effect(() => {
      if (this.audience()) untracked(() => this.choosing.set(true));
    });
  }

  /** One plan for each press, however often it is pressed before the activity has come. */
  private isBeginning = false;

  protected async begin(familyId: string, replaceUrl = false): Promise<void> {
    const head = this.work.familyHeadsById()[familyId];
    if (!head || this.isBeginning) return;
    this.isBeginning = true;
    const blank = newHandOut({
      id: this.clock.newId(),
      createdAt: this.clock.iso(),
      familyId,
      title: head.title,
    });
    const audience = this.work.people().audiences.find((a) => a.id === this.audience());
    const version = head.versions.find((v) => v.id === this.version());
    // A version that was made for one learner is for that learner; any other is everybody's, until it is said otherwise.
    const whole: Partial<HandOut> = !version
      ? {}
      : version.learnerId
        ? {
            learnerIds: [version.learnerId],
            lines: [{ learnerId: version.learnerId, versionId: version.id }],
          }
        : { rules: [{ id: this.clock.newId(), by: 'everyone', of: '', versionId: version.id }] };
    const plan: HandOut = { ...blank, audienceIds: audience ? [audience.id] : [], ...whole };
    try {
      await this.parts.during(async (want) => {
        await want('families', [familyId]);
        const family = this.work.families()[familyId];
        const way = family ? safestWay(waysToGive(plan, family, this.work.people())) : plan.way;
        const handOut = { ...plan, way };
        this.work.dispatch(HandOutActions.planChanged({ handOut, label: `new hand-out “${handOut.title}”` }));
      });
      void this.router.navigate(['/hand-outs', plan.id], { replaceUrl });
    } finally {
      this.isBeginning = false;
    }
  }

  /** A notice or a standing folder, for the audience that was asked for, if any. */
  protected beginOther(kind: 'notice' | 'folder'): void {
    const blank = newHandOut({
      id: this.clock.newId(),
      kind,
      familyId: '',
      title: kind === 'notice' ? 'Notice' : 'Documents',
      createdAt: this.clock.iso(),
      way: 'to-read',
    });
    const audience = this.work.people().audiences.find((a) => a.id === this.audience());
    const handOut: HandOut = { ...blank, audienceIds: audience ? [audience.id] : [] };
    this.work.dispatch(HandOutActions.planChanged({ handOut, label: kind === 'notice' ? 'new notice' : 'new folder' }));
    void this.router.navigate(['/hand-outs', handOut.id], { queryParams: { step: 'what' } });
  }

  /** A plan begun with a template: its dates are the next that are to come, by whole weeks. */
  protected async beginWith(templateId: Id): Promise<void> {
    await this.parts.during(async (want) => {
      await want('handOuts', [templateId]);
      const template = this.work.handOuts()[templateId];
      if (!template) return;
      const first = template.opensAt ?? template.dueAt;
      const later = first ? weeksUntil(first, this.clock.local()) : 0;
      const of = { id: this.clock.newId(), createdAt: this.clock.iso(), title: template.title, later };
      const days = this.work.calendars()[SCHOOL_ID];
      const handOut = again(template, of, () => this.clock.newId(), days);
      this.work.dispatch(HandOutActions.planChanged({ handOut, label: `new hand-out “${handOut.title}”` }));
      void this.router.navigate(['/hand-outs', handOut.id]);
    });
  }

  protected remove(id: Id): void {
    void this.removal.remove('hand-out', id);
  }
}
