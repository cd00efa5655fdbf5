import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  recipientsOf,
  bandsOf,
  type Check,
  coverage,
  type HandOut,
  handOutState,
  type Id,
  latest,
  lookOver,
  type Learner,
  versionTree,
  cardInShort,
} from '@lorvet/core';
import { CLEARLY_BETTER, suggest } from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { Clock } from '../platform/clock';
import { HandOutActions } from '../store/actions';
import { Parts } from '../store/parts';
import { wantFamily, wantGiven } from '../store/wants';
import { WorkspaceStore } from '../store/workspace';
import { CheckBox } from '../ui/controls/check';
import { DateField } from '../ui/controls/date';
import { SELECT } from '../ui/controls/select';
import { Several } from '../ui/controls/several';
import { DIALOG } from '../ui/dialog';
import { Notice } from '../ui/notice';
import { SwatchMark } from '../ui/swatch';
import { whenIn } from '../ui/when';
import { NoRoom } from './no-room';
import { Empty } from '../ui/empty';
import { FootBar } from '../ui/panes';
import { many } from '../platform/many';

/** Where what a check names is put right. */
type WayOut = 'suggest' | 'upkeep' | 'who' | 'how' | 'row' | 'bench' | 'card' | 'unused';
const WAYS_OUT: Readonly<Record<Check['code'], WayOut>> = {
  nobody: 'who',
  none: 'suggest',
  twice: 'row',
  outside: 'row',
  'for-another': 'row',
  overlap: 'row',
  behind: 'upkeep',
  'due-before-open': 'how',
  'due-past': 'how',
  unused: 'unused',
  'nothing-to-answer': 'how',
  'answers-shown': 'bench',
  unfilled: 'card',
  'to-read-with-items': 'how',
  empty: 'bench',
};

/** The plan of one hand-out: a loom of learners by versions, and what is still wrong with it. */
@Component({
  selector: 'lv-plan',
  imports: [
    Empty,
    ButtonDirective,
    CheckBox,
    DateField,
    FootBar,
    InputText,
    LucideDynamicIcon,
    NoRoom,
    Several,
    ...DIALOG,
    RouterLink,
    SwatchMark,
    Textarea,
    ...SELECT,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plan.html',
  styleUrl: './plan.css',
})
export class Plan {
  readonly id = input.required<string>();
  protected readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly whenIn = whenIn;
  protected readonly many = many;

  protected readonly plan = computed<HandOut | undefined>(() => this.work.handOuts()[this.id()]);
  protected readonly family = computed(() => this.work.families()[this.plan()?.familyId ?? '']);
  protected readonly people = this.work.people;
  protected readonly names = computed(() => this.people().learners.map((l) => ({ id: l.id, label: l.name })));
  /** The dialog that is open. */
  /** Which sheet is open on a narrow screen. */
  protected readonly sheet = signal<string | null>(null);
  protected readonly sheets = computed(() => {
    const mend = this.toMend();
    return [{ id: 'beside-checks', name: mend ? `Checks: ${mend} to mend` : 'Checks' }];
  });
  protected readonly asks = signal<'who' | 'how' | 'byGroup' | null>(null);
  /** Whether the plan and its activity have come, if they are there. */
  protected readonly ready = inject(Parts).hold(
    () => this.id() || null,
    async (id, want) => {
      await wantGiven(id, want, this.work.doc);
      const plan = this.work.handOuts()[id];
      if (plan) await wantFamily(plan.familyId, want, this.work.doc);
    },
  );
  protected readonly state = computed(() => {
    const plan = this.plan();
    return plan ? handOutState(plan, this.clock.local()) : 'draft';
  });
  protected readonly isDraft = computed(() => this.plan()?.state === 'draft');
  protected readonly columns = computed(() => {
    const family = this.family();
    if (!family) return [];
    return [
      { id: null as Id | null, name: 'Master', swatch: family.swatch },
      ...versionTree(family).map(({ version: v }) => ({ id: v.id as Id | null, name: v.name, swatch: v.swatch })),
    ];
  });
  protected readonly audience = computed(() => {
    const plan = this.plan();
    return plan ? recipientsOf(plan, this.people()) : [];
  });
  private readonly suggestions = computed(() => {
    const family = this.family();
    return new Map(family ? suggest(family, this.audience(), this.people().today).map((s) => [s.learnerId, s]) : []);
  });
  protected readonly bands = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    return bandsOf(plan, this.people()).map((b) => ({ ...b, rows: b.learners.map((l) => this.rowOf(l)) }));
  });
  /** What can be filled at once: the groups chosen or, with a class, those who are in it; else the classes. */
  protected readonly parts = computed(() => {
    const here = new Set(this.audience().map((l) => l.id));
    const groups = this.people().groups.filter((g) => g.learnerIds.some((id) => here.has(id)));
    return groups.length ? groups : this.people().classes.filter((c) => this.plan()?.classIds.includes(c.id));
  });
  protected readonly checks = computed(() => {
    const plan = this.plan();
    const family = this.family();
    return plan && family && this.isDraft() ? coverage(plan, family, this.people(), this.clock.local()) : [];
  });
  /** What stands in the sheets that may not be meant for learners, with its place. */
  protected readonly findings = computed(() => {
    const plan = this.plan();
    const family = this.family();
    if (!plan || !family || !this.isDraft()) return [];
    const names = new Map(this.columns().map((c) => [c.id, c.name]));
    return lookOver(plan, family, this.people()).map((f) => ({
      says: f.says,
      where: `${names.get(f.versionId) ?? 'A version'}, ${f.page ? `page ${f.page}` : 'title and note'}`,
      link: f.versionId === null ? ['/bench', family.id] : ['/bench', family.id, f.versionId],
    }));
  });
  /** The versions that somebody gets. */
  protected readonly given = computed(() => {
    const ids = new Set(this.plan()?.lines.map((l) => l.versionId));
    return this.columns().filter((c) => ids.has(c.id));
  });
  protected readonly toMend = computed(() => this.checks().filter((c) => c.level === 'mend').length);
  protected readonly toConfirm = computed(() => this.checks().length - this.toMend());
  /** Where a check is put right. */
  protected wayOut(code: Check['code']): WayOut {
    return WAYS_OUT[code];
  }

  /** A learner's row of the plan, in view and with the focus. */
  protected showRow(learnerId: string): void {
    const row = this.host.nativeElement.querySelector<HTMLElement>(`[data-row="${CSS.escape(learnerId)}"]`);
    row?.scrollIntoView({ block: 'center' });
    row?.querySelector<HTMLElement>('input, button, a')?.focus();
  }

  protected readonly shares = computed(() => {
    const rows = this.bands().flatMap((b) => b.rows);
    return this.columns()
      .map((c) => ({ ...c, count: rows.filter((r) => r.versions.length === 1 && r.versions[0] === c.id).length }))
      .filter((c) => c.count > 0);
  });
  protected readonly without = computed(() =>
    this.bands()
      .flatMap((b) => b.rows)
      .filter((r) => r.versions.length === 0),
  );
  protected readonly twice = computed(
    () =>
      this.bands()
        .flatMap((b) => b.rows)
        .filter((r) => r.versions.length > 1).length,
  );
  protected readonly whoText = computed(() => {
    const plan = this.plan();
    const { classes, groups } = this.people();
    const parts = [
      ...classes.filter((c) => plan?.classIds.includes(c.id)),
      ...groups.filter((g) => plan?.groupIds.includes(g.id)),
    ];
    const single = plan?.learnerIds.length ?? 0;
    return (
      [...parts.map((p) => `${p.name}, ${p.learnerIds.length}`), ...(single ? [`${single} single`] : [])].join(' · ') ||
      'Nobody yet'
    );
  });
  protected readonly revision = computed(() => {
    const family = this.family();
    return family ? latest(family).n : 0;
  });
  protected readonly lookFirst = computed(() => {
    const looked = this.plan()?.lookedAs ?? [];
    const ready = this.bands()
      .flatMap((b) => b.rows)
      .filter((r) => r.versions.length > 0)
      .map((r) => r.learner);
    return ready.find((l) => !looked.includes(l.id)) ?? ready[0];
  });

  private rowOf(learner: Learner) {
    const versions =
      this.plan()
        ?.lines.filter((l) => l.learnerId === learner.id)
        .map((l) => l.versionId) ?? [];
    const suggestion = this.suggestions().get(learner.id);
    const [current] = versions;
    const differs =
      suggestion &&
      (versions.length !== 1 || (suggestion.betterBy.get(current ?? '') ?? CLEARLY_BETTER) >= CLEARLY_BETTER);
    const says = cardInShort(learner.needs, this.people().today).join(' · ');
    return {
      learner,
      versions,
      says: says || learner.needs.note || 'no needs card yet',
      suggested: differs ? suggestion.versionId : undefined,
      why: differs ? suggestion.reasons.join('; ') : '',
      looked: this.plan()?.lookedAs.includes(learner.id) ?? false,
    };
  }

  protected change(patch: Partial<HandOut>, label: string, mergeKey?: string): void {
    const plan = this.plan();
    if (!plan) return;
    const action = { handOut: { ...plan, ...patch }, label };
    this.work.dispatch(HandOutActions.planChanged(mergeKey === undefined ? action : { ...action, mergeKey }));
  }

  protected togglePart(kind: 'classIds' | 'groupIds', id: Id): void {
    const now = this.plan()?.[kind] ?? [];
    this.setPart(kind, now.includes(id) ? now.filter((x) => x !== id) : [...now, id]);
  }

  protected setPart(kind: 'classIds' | 'groupIds' | 'learnerIds', ids: readonly Id[]): void {
    const plan = this.plan();
    if (!plan) return;
    const next = { ...plan, [kind]: [...ids] };
    const still = new Set(recipientsOf(next, this.people()).map((l) => l.id));
    this.change({ [kind]: [...ids], lines: plan.lines.filter((l) => still.has(l.learnerId)) }, 'whom it is for');
  }

  /** Gives one learner one version and no other. */
  protected give(learnerId: Id, versionId: Id | null): void {
    const plan = this.plan();
    if (!plan) return;
    this.change(
      { lines: [...plan.lines.filter((l) => l.learnerId !== learnerId), { learnerId, versionId }] },
      'give a version',
    );
  }

  protected takeAway(learnerId: Id): void {
    this.change({ lines: this.plan()?.lines.filter((l) => l.learnerId !== learnerId) ?? [] }, 'take a version away');
  }

  /** Each learner of a group gets its version, beside what another group gave them: `coverage` names who has two. */
  protected fill(part: { readonly learnerIds: readonly Id[] }, value: string): void {
    const plan = this.plan();
    if (!plan || value === '') return;
    const versionId = value === 'master' ? null : value;
    const here = this.audience()
      .map((l) => l.id)
      .filter((id) => part.learnerIds.includes(id));
    const others = this.parts()
      .filter((p) => p !== part)
      .flatMap((p) => p.learnerIds);
    const rest = plan.lines.filter(
      (l) => !here.includes(l.learnerId) || (others.includes(l.learnerId) && l.versionId !== versionId),
    );
    this.change({ lines: [...rest, ...here.map((learnerId) => ({ learnerId, versionId }))] }, 'fill by group');
  }

  protected acceptSuggestions(): void {
    const plan = this.plan();
    if (!plan) return;
    const added = this.without().flatMap((r) => {
      const s = this.suggestions().get(r.learner.id);
      return s ? [{ learnerId: r.learner.id, versionId: s.versionId }] : [];
    });
    this.change({ lines: [...plan.lines, ...added] }, `accept ${added.length} suggestions`);
  }

  protected setDate(field: 'opensAt' | 'dueAt', value: string): void {
    this.change({ [field]: value || null }, field === 'opensAt' ? 'opening date' : 'due date');
  }

  protected setWay(way: string): void {
    if (way === 'one-each' || way === 'to-read') this.change({ way }, 'way to give');
  }

  protected giveOut(): void {
    const plan = this.plan();
    if (!plan || this.toMend() > 0) return;
    this.work.dispatch(HandOutActions.givenOut({ id: plan.id, stamp: this.work.stamp() }));
    const later = plan.opensAt && plan.opensAt > this.clock.local();
    this.notice.done(
      later
        ? `Scheduled for ${many(this.audience().length, 'learner')}`
        : `Given out to ${many(this.audience().length, 'learner')}`,
      later ? `It opens ${whenIn(plan.opensAt ?? '')}.` : 'They find it on their desk now.',
    );
  }
}
