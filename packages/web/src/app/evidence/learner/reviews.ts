import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { agreed, isOnDay, KNOWN_SUPPORTS, type Learner } from '@lorvet/core';
import {
  beginReview,
  cardAfter,
  type HeldReview,
  LONGEST_FOLDER_NOTE,
  type Period,
  reviewChanges,
  reviewOf,
} from '@lorvet/core/evidence';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { Clock } from '../../platform/clock';
import { EvidenceActions } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import { DateField } from '../../ui/controls/date';
import { FOLD } from '../../ui/controls/fold';
import { Propose } from '../../ui/controls/propose';
import { SELECT } from '../../ui/controls/select';
import { dayIn } from '../../ui/when';
import { type FolderHere } from './folder-here';

/** Reviews of a learner: the next ones, the one that is being held, and those that were. */
@Component({
  selector: 'lv-reviews',
  imports: [ButtonDirective, DateField, InputText, Propose, Textarea, ...FOLD, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './reviews.html',
  styleUrl: './reviews.css',
})
export class Reviews {
  readonly learner = input.required<Learner>();
  readonly folder = input.required<FolderHere>();
  /** The time of the evidence that is looked at. */
  readonly period = input.required<Period>();
  private readonly clock = inject(Clock);
  private readonly work = inject(WorkspaceStore);
  protected readonly dayIn = dayIn;
  protected readonly most = LONGEST_FOLDER_NOTE;
  protected readonly held = computed(() => this.folder().folder().held);
  /** The newest first. */
  protected readonly past = computed(() => [...this.folder().folder().reviews].reverse());
  private readonly today = this.clock.today;

  /** What is to be looked at, the nearest first. */
  protected readonly next = computed(() => {
    const { supports, goals } = this.learner().needs;
    const today = this.today();
    return [
      ...supports
        .filter((s) => s.reviewOn && (isOnDay(s, today) || s.from > today))
        .map((s) => ({ on: s.reviewOn, what: s.what })),
      ...goals.filter((g) => g.by).map((g) => ({ on: g.by, what: g.text })),
    ]
      .sort((a, b) => a.on.localeCompare(b.on))
      .map((x) => ({ ...x, isDue: x.on <= today }));
  });
  protected readonly changes = computed(() => {
    const h = this.held();
    return h ? reviewChanges(this.learner().needs, h, dayIn) : [];
  });
  /** Supports of the card and of the review, each with what becomes of it. */
  protected readonly supports = computed(() => {
    const h = this.held();
    if (!h) return [];
    const names = new Set([...this.learner().needs.supports, ...h.supports].map((s) => s.what));
    return [...names].map((what) => {
      const s = h.supports.find((x) => x.what === what);
      return {
        what,
        does: !s ? 'drop' : s.until && s.until <= this.today() ? 'end' : 'on',
        reviewOn: s?.reviewOn ?? '',
      };
    });
  });
  protected readonly goals = computed(() => {
    const h = this.held();
    if (!h) return [];
    const all = new Map([...this.learner().needs.goals, ...h.goals].map((g) => [g.id, g]));
    return [...all.values()].map((g) => {
      const isIn = h.goals.some((x) => x.id === g.id);
      return { id: g.id, text: g.text, by: g.by, does: h.met.includes(g.id) ? 'met' : isIn ? 'on' : 'drop' };
    });
  });
  protected readonly others = computed(() => {
    const here = new Set(this.supports().map((s) => s.what));
    return KNOWN_SUPPORTS.map((s) => s.what).filter((s) => !here.has(s));
  });

  protected begin(): void {
    this.folder().change({ held: beginReview(this.learner().needs) }, 'begin a review');
  }

  protected breakOff(): void {
    this.folder().change({ held: undefined }, 'break off a review');
  }

  protected say(said: string): void {
    this.change({ said }, 'said');
  }

  protected support(what: string, does: string): void {
    const h = this.held();
    if (!h) return;
    const known = h.supports.find((s) => s.what === what) ?? this.learner().needs.supports.find((s) => s.what === what);
    const base = known ?? agreed(what);
    const rest = h.supports.filter((s) => s.what !== what);
    const next = { ...base, until: does === 'end' ? this.today() : base.until <= this.today() ? '' : base.until };
    this.change({ supports: does === 'drop' ? rest : this.inOrder([...rest, next]) });
  }

  protected lookAgain(what: string, reviewOn: string): void {
    this.change({ supports: (this.held()?.supports ?? []).map((s) => (s.what === what ? { ...s, reviewOn } : s)) });
  }

  protected agree(what: string): void {
    const supports = this.held()?.supports ?? [];
    if (what && !supports.some((s) => s.what === what))
      this.change({ supports: [...supports, { ...agreed(what), from: this.today() }] });
  }

  protected goal(id: string, does: string): void {
    const h = this.held();
    const known = h?.goals.find((g) => g.id === id) ?? this.learner().needs.goals.find((g) => g.id === id);
    if (!h || !known) return;
    const goals = h.goals.filter((g) => g.id !== id);
    this.change({
      goals: does === 'drop' ? goals : [...goals, known],
      met: does === 'met' ? [...h.met.filter((x) => x !== id), id] : h.met.filter((x) => x !== id),
    });
  }

  protected goalBy(id: string, by: string): void {
    this.change({ goals: (this.held()?.goals ?? []).map((g) => (g.id === id ? { ...g, by } : g)) });
  }

  protected addGoal(text: string): void {
    const goals = this.held()?.goals ?? [];
    const words = text.trim().slice(0, 300);
    if (words && goals.length < 20)
      this.change({ goals: [...goals, { id: this.clock.newId(), text: words, measure: '', target: null, by: '' }] });
  }

  protected close(): void {
    const h = this.held();
    const { id: learnerId, needs } = this.learner();
    if (!h) return;
    const at = { id: this.clock.newId(), on: this.today(), from: this.period().from, until: this.period().until };
    const review = reviewOf(needs, h, at, dayIn);
    this.work.dispatch(EvidenceActions.reviewHeld({ learnerId, review, needs: cardAfter(h) }));
  }

  private change(patch: Partial<HeldReview>, key?: string): void {
    const h = this.held();
    if (!h) return;
    this.folder().change(
      { held: { ...h, ...patch } },
      'review',
      key ? `review ${this.learner().id} ${key}` : undefined,
    );
  }

  /** In the order of the card; new ones at the end. */
  private inOrder(supports: HeldReview['supports']): HeldReview['supports'] {
    const order = this.learner().needs.supports.map((s) => s.what);
    const at = (what: string) => (order.includes(what) ? order.indexOf(what) : order.length);
    return [...supports].sort((a, b) => at(a.what) - at(b.what));
  }
}
