import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Clock } from '../../platform/clock';
import { counted, many } from '../../platform/many';
import { Parts } from '../../store/parts';
import { wantFamily, wantGiven } from '../../store/wants';
import { WorkspaceStore } from '../../store/workspace';
import { belowTitle } from '../../ui/below-title';
import { Empty } from '../../ui/empty';
import { Notice } from '../../ui/notice';
import { onceDrawn } from '../../ui/once-drawn';
import { FootBar } from '../../ui/panes';
import { pieceByPiece } from '../../ui/piece-by-piece';
import { dayIn, whenIn } from '../../ui/when';
import { AgainBox } from '../again-box';
import { Loom } from './loom';
import { PanelCheck } from './panel-check';
import { PanelParts } from './panel-parts';
import { PanelHow } from './panel-how';
import { PanelWhat } from './panel-what';
import { PanelWho } from './panel-who';
import { PlanAfter } from './plan-after';
import { PlanBegin } from './plan-begin';
import { PlanChecks } from './plan-checks';
import { PlanHere, type PlanStep } from './plan-here';
import { TeamBoard } from './team-board';

const STATES = {
  draft: 'Draft',
  scheduled: 'Scheduled',
  'given out': 'Given out',
  closed: 'Closed',
  'taken back': 'Taken back',
};
const WAYS: Readonly<Record<string, string>> = {
  'one-each': 'One each',
  'per-group': 'One per group',
  'place-each': 'A place each',
  together: 'One for all together',
  'to-read': 'To read',
  notice: 'A notice',
  folder: 'A standing folder',
};
const STEP_NAMES: Readonly<Record<PlanStep, string>> = {
  what: 'What is given',
  who: 'Whom it is for',
  how: 'When and how',
  check: 'Checks',
};

/** The plan of one hand-out: what, who, how and the check always in view, and a loom of learners by versions. */
@Component({
  selector: 'lv-plan',
  imports: [
    AgainBox,
    ButtonDirective,
    Empty,
    FootBar,
    InputText,
    Loom,
    PanelCheck,
    PanelHow,
    PanelParts,
    PanelWhat,
    PanelWho,
    RouterLink,
    TeamBoard,
  ],
  providers: [PlanAfter, PlanBegin, PlanChecks, PlanHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plan.html',
  styleUrl: './plan.css',
})
export class Plan {
  protected readonly counted = counted;
  readonly id = input.required<string>();
  /** The step that is open at first: from the address. */
  readonly step = input<string>();
  protected readonly here = inject(PlanHere);
  protected readonly checks = inject(PlanChecks);
  protected readonly after = inject(PlanAfter);
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  private readonly onceDrawn = onceDrawn();
  protected readonly loom = viewChild(Loom);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly pieces = pieceByPiece(() => 2);
  protected readonly STATES = STATES;
  protected readonly WAYS = WAYS;
  protected readonly STEP_NAMES = STEP_NAMES;
  protected readonly whenIn = whenIn;
  protected readonly dayIn = dayIn;
  protected readonly many = many;
  protected readonly belowTitle = belowTitle;
  /** Which sheet is open on a narrow screen. */
  protected readonly sheet = signal<string | null>(null);
  protected readonly sheets = computed(() => {
    const mend = this.checks.toMend();
    const name = STEP_NAMES[this.here.step()];
    return [{ id: 'beside-checks', name: mend ? `${name}: ${mend} to mend` : name }];
  });
  /** Why the warnings that are left may stay. */
  protected readonly reason = signal('');
  /** Whether the plan and its activity have come, if they are there. */
  protected readonly ready = inject(Parts).hold(
    () => this.id() || null,
    async (id, want) => {
      await wantGiven(id, want, this.work.doc);
      const plan = this.work.handOuts()[id];
      if (plan?.familyId) await wantFamily(plan.familyId, want, this.work.doc);
      await want(
        'families',
        (plan?.companions ?? []).flatMap((c) => (c.is === 'activity' ? c.familyId : [])),
      );
    },
  );
  protected readonly canGive = computed(
    () =>
      this.checks.isChecked() &&
      this.checks.toMend() === 0 &&
      (this.checks.toConfirm().length === 0 || this.reason().trim() !== ''),
  );
  protected readonly whoText = computed(() => {
    const plan = this.here.plan();
    const { classes, groups, audiences } = this.here.people();
    const parts = [
      ...classes.filter((c) => plan?.classIds.includes(c.id)),
      ...groups.filter((g) => plan?.groupIds.includes(g.id)),
      ...audiences.filter((a) => plan?.audienceIds.includes(a.id)),
    ];
    const single = plan?.learnerIds.length ?? 0;
    return [...parts.map((p) => p.name), ...(single ? [`${single} single`] : [])].join(' · ') || 'Nobody yet';
  });
  protected readonly lateNames = computed(() => {
    const names = this.here.late().map((l) => l.name);
    return names.length > 4 ? `${names.length} learners` : names.join(', ');
  });
  /** Whom a notice is for, by name. */
  protected readonly names = computed(() => {
    const names = this.here.audience().map((l) => l.name);
    return names.length > 12 ? `${names.slice(0, 12).join(', ')} and ${names.length - 12} more` : names.join(', ');
  });
  /** The hand-out that is used again. */
  protected readonly again = signal<string | null>(null);
  protected readonly lookFirst = computed(() => {
    const looked = this.here.plan()?.lookedAs ?? [];
    const ready = this.here.rows().flatMap((r) => (r.versions.length > 0 ? [r.learner] : []));
    return ready.find((l) => !looked.includes(l.id)) ?? ready[0];
  });

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => {
        this.here.id.set(id);
        this.here.asked.set(this.step() === 'what' ? 'what' : null);
      });
    });
    effect(() => {
      if (this.here.partsOf()) untracked(() => this.sheet.set('beside-checks'));
    });
  }

  protected ask(step: PlanStep): void {
    this.here.partsOf.set(null);
    this.here.asked.set(step);
    this.sheet.set('beside-checks');
  }

  /** Escape leads back to the check; what closes something of its own by it has the first say. */
  protected leave(event: Event): void {
    if (event.defaultPrevented) return;
    if (this.here.partsOf()) return this.partsDone();
    this.here.asked.set(null);
    this.sheet.set(null);
    this.onceDrawn(() => this.host.querySelector<HTMLElement>('.step[aria-pressed="true"]')?.focus());
  }

  /** Page by page is done: back to the learner's row. */
  protected partsDone(): void {
    const learnerId = this.here.partsOf();
    this.here.partsOf.set(null);
    this.sheet.set(null);
    if (learnerId) this.loom()?.show(learnerId);
  }

  /** The groups or the loom, with the focus in it. */
  protected toBoard(): void {
    this.sheet.set(null);
    this.host.querySelector<HTMLElement>('lv-team-board :is(button, input):enabled, lv-loom thead button')?.focus();
  }

  protected giveOut(): void {
    const plan = this.here.plan();
    if (!plan || !this.canGive()) return;
    const count = many(this.here.audience().length, 'learner');
    this.checks.giveOut(this.reason().trim());
    this.reason.set('');
    const later = plan.opensAt && plan.opensAt > this.clock.local();
    const says = [
      later ? `Scheduled for ${count}` : `Given out to ${count}`,
      later ? `It opens ${whenIn(plan.opensAt ?? '')}.` : 'They find it on their desk now.',
    ] as const;
    // Once the rows say it too, so that the two are not one long task.
    this.onceDrawn(() => setTimeout(() => this.notice.done(...says)));
  }
}
