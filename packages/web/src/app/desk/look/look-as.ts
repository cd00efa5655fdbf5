import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { Location } from '@angular/common';
import { Router } from '@angular/router';
import {
  companionsFor,
  copyIdOf,
  duesOf,
  type Answer,
  type Comfort,
  comfortNow,
  flapsOf,
  freezeFor,
  frozenFor,
  itemsOf,
  keysFor,
  keyWordsOf,
  plainTextOf,
  type HandOut,
  latest,
  learnerPackage,
  listOf,
  PLAIN_COMFORT,
  SCHOOL_ID,
  supportsOn,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../../platform/clock';
import { HandOutActions } from '../../store/actions';
import { Parts } from '../../store/parts';
import { wantGiven } from '../../store/wants';
import { WorkspaceStore } from '../../store/workspace';
import { atTime, LookBar } from './look-bar';
import { NOTHING_SAID } from '../desk-work';
import type { ForPaper } from '../sheet/on-paper';
import { SheetView } from '../sheet/sheet-view';
import { dressParts } from '../../ui/preset/dress';

/** A version, or one learner's sheet of a plan, exactly as it would stand on the desk. Nothing written here is kept. */
@Component({
  selector: 'lv-look-as',
  imports: [ButtonDirective, LookBar, SheetView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (plan(); as p) {
      @if (learner(); as l) {
        <lv-look-bar [plan]="p" [learner]="l" [(time)]="time" (asked)="lookAs($event)" />
      }
    }
    @if (sheet(); as s) {
      <lv-sheet-view
        [sheet]="s"
        [answers]="answers()"
        [comfort]="comfort()"
        [start]="start()"
        [tools]="learner()?.needs?.tools ?? {}"
        [status]="status()"
        [under]="under"
        [name]="learner()?.name ?? ''"
        [teacher]="teacher()"
        [locked]="shown()?.isClosed ?? false"
        [said]="said()"
        [companions]="companions()"
        [placeIds]="placeIds()"
        (answered)="try($event.id, $event.answer)"
        (submitted)="back()"
        (comfortChanged)="tried.set(withChange($event))"
        (left)="back()"
      />
    } @else if (ready()) {
      <main class="empty">
        <h1>Nothing to look at</h1>
        <p>
          {{
            shown()?.isOpen === false
              ? 'At that time it is not on the desk.'
              : 'This learner has no version in the plan.'
          }}
        </p>
        <button pButton severity="secondary" type="button" (click)="back()">Back</button>
      </main>
    }
  `,
})
export class LookAs {
  readonly handOutId = input<string>();
  readonly learnerId = input<string>();
  readonly versionId = input<string>();
  readonly family = input<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly location = inject(Location);
  private readonly router = inject(Router);
  protected readonly answers = signal<Readonly<Record<string, Answer>>>({});
  protected readonly tried = signal<Comfort | null>(null);

  protected readonly plan = computed(() => this.work.handOuts()[this.handOutId() ?? '']);
  protected readonly learner = computed(() => this.work.people().learners.find((l) => l.id === this.learnerId()));
  protected readonly start = computed(() => this.learner()?.needs.comfort ?? PLAIN_COMFORT);
  protected readonly comfort = computed(() =>
    comfortNow(
      this.tried() ?? this.work.comforts()[this.learnerId() ?? '']?.comfort,
      this.start(),
      this.learner()?.needs.tools,
    ),
  );
  protected readonly withChange = (change: Partial<Comfort>): Comfort => ({ ...this.comfort(), ...change });
  protected readonly ready = inject(Parts).hold(
    () => ({ handOutId: this.handOutId() ?? '', familyId: this.family() ?? '', versionId: this.versionId() ?? '' }),
    async ({ handOutId, familyId, versionId }, want) => {
      if (handOutId) await wantGiven(handOutId, want, this.work.doc);
      const plan = this.work.handOuts()[handOutId];
      const holding = this.work.familyHeads().find((f) => f.versions.some((v) => v.id === versionId))?.id;
      await want(
        'families',
        [plan?.familyId, familyId, holding].flatMap((id) => id || []),
      );
    },
  );
  protected readonly status = computed(() =>
    this.learner() ? `Looking as ${this.learner()?.name} – nothing is kept` : 'Looking as a learner – nothing is kept',
  );

  /** The time it is looked at as; empty is now. */
  protected readonly time = signal('');
  /** What the learner finds then; undefined where no plan is looked at, or where it is now and open by itself. */
  protected readonly shown = computed(() => {
    const [plan, learner] = [this.plan(), this.learner()];
    if (!plan || !learner || !this.time()) return undefined;
    return atTime(plan, learner, this.time(), this.work.calendars()[SCHOOL_ID]);
  });
  protected readonly said = computed(() => {
    const l = this.looked();
    const keys = this.shown()?.isOut && l ? keysFor({ id: '', content: l.frozen.content }).words : {};
    return { ...NOTHING_SAID, keys };
  });
  protected readonly companions = computed(() => companionsFor(this.plan()?.companions ?? []));
  protected readonly placeIds = computed(() =>
    this.plan()?.way === 'place-each' ? (this.plan()?.place?.pageIds ?? []) : [],
  );
  /** What would be given, and to whom. */
  private readonly looked = computed(() => {
    const plan = this.plan();
    const learner = this.learner();
    if (!plan) return this.versionAlone();
    const family = this.work.families()[plan.familyId];
    const given = frozenFor(plan, this.work.frozen(), this.learnerId() ?? '');
    const seed = `${copyIdOf(plan.id, this.learnerId() ?? '')}.1`;
    if (this.shown()?.isOpen === false) return null;
    if (given) return { plan, frozen: given, seed };
    // What is in force for a time only is there or not, as it will be then.
    const at = this.time() ? new Date(this.time()).toISOString() : this.clock.iso();
    const due = learner && duesOf(plan, this.work.people(), at)(learner);
    if (!family || !due) return null;
    return { plan, frozen: freezeFor(family, due.versionId, at, due.values, due.parts), seed };
  });
  protected readonly sheet = computed(() => {
    const l = this.looked();
    return l && learnerPackage(l.plan, l.frozen, l.seed);
  });
  /** Keys and notes by question, for the teacher's copy on paper. */
  protected readonly teacher = computed((): ForPaper => {
    const l = this.looked();
    const items = l ? itemsOf(l.frozen.content) : [];
    const keys = new Map(items.map((i) => [i.id, { key: keyWordsOf(i).join(' / '), note: i.note ?? '' }]));
    const supports = supportsOn(this.learner()?.needs.supports ?? [], this.clock.today());
    return { keys, notes: this.notes(), supports };
  });
  /** What stands on the pages for the teacher alone. */
  private readonly notes = computed(() =>
    (this.looked()?.frozen.content.pages ?? []).flatMap((p) => {
      const mine =
        (p.audience ?? 'learner') === 'learner' ? p.blocks.filter((b) => b.audience !== 'learner') : p.blocks;
      const text = mine.map(plainTextOf).filter(Boolean).join('\n');
      return text ? [{ page: p.title, text }] : [];
    }),
  );
  protected readonly under = (blockId: string) => {
    const l = this.looked();
    return Promise.resolve(l ? flapsOf(l.frozen).under[blockId] : undefined);
  };

  constructor() {
    dressParts();
    effect(() => {
      const plan = this.plan();
      const id = this.learner()?.id;
      if (!plan || !id || plan.state !== 'draft' || plan.lookedAs.includes(id)) return;
      const handOut: HandOut = { ...plan, lookedAs: [...plan.lookedAs, id] };
      untracked(() =>
        this.work.dispatch(HandOutActions.planChanged({ handOut, label: 'look as a learner', mergeKey: 'look' })),
      );
    });
  }

  private versionAlone() {
    const family =
      this.work.families()[this.family() ?? ''] ??
      listOf(this.work.families()).find((f) => f.versions.some((v) => v.id === this.versionId()));
    if (!family || !this.versionId()) return null;
    const bare = { id: 'look', title: latest(family).content.title, note: '', way: 'one-each' as const, dueAt: null };
    const frozen = freezeFor(family, this.versionId() ?? null, this.clock.iso(), {});
    return { plan: bare, frozen, seed: undefined };
  }

  protected lookAs(learnerId: string): void {
    const plan = this.plan();
    if (!plan || !learnerId) return;
    this.answers.set({});
    this.tried.set(null);
    void this.router.navigate(['/look', plan.id, learnerId], { replaceUrl: true });
  }

  protected try(id: string, answer: Answer): void {
    this.answers.set({ ...this.answers(), [id]: answer });
  }

  protected back(): void {
    if (history.length > 1) this.location.back();
    else void this.router.navigate(['/shelf']);
  }
}
