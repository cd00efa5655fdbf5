import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { shareAimedAt } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import type { HelpsFigures } from '../../platform/helps-desk';
import { WorkspaceStore } from '../../store/workspace';
import { SELECT } from '../../ui/controls/select';
import { Empty } from '../../ui/empty';
import { inStages } from '../../ui/in-stages';
import { ProgressLine } from '../../ui/progress';
import { dayIn } from '../../ui/when';
import { EvidenceChoices } from '../choices';
import { EvidenceHead } from '../evidence-head';
import { ChartView } from './chart';
import {
  driftChart,
  itemsChart,
  measuresChart,
  movesChart,
  objectivesChart,
  supportsChart,
  versionsChart,
} from './charts';
import { type Figures, HelpsWork } from '../helps-work';

/** Which support works for whom, as far as numbers can say it: each chart with its sentence and its table. */
@Component({
  selector: 'lv-what-helps',
  imports: [ButtonDirective, ChartView, Empty, EvidenceHead, ProgressLine, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <lv-evidence-head heading="What helps" times>
        <div acts class="row acts">
          @if (head() >= 3) {
            <lv-select label="Of" [value]="of()" (chosen)="chosen.set($event)">
              <lv-option value="" label="All learners" />
              @for (c of work.people().classes; track c.id) {
                <lv-option [value]="'c ' + c.id" [label]="c.name" group="Class" />
              }
              @for (l of work.people().learners; track l.id) {
                <lv-option [value]="'l ' + l.id" [label]="l.name" group="Learner" />
              }
            </lv-select>
          }
          @if (head() >= 4 && families().length) {
            <lv-select label="Activity" [value]="familyId()" (chosen)="chosenFamily.set($event)">
              @for (f of families(); track f.id) {
                <lv-option [value]="f.id" [label]="f.title" />
              }
            </lv-select>
          }
        </div>
      </lv-evidence-head>
      @if (helps.busy(); as b) {
        <lv-progress what="Reading all works" [done]="b.done" [of]="b.of" (stopped)="helps.stop()" />
      }
      @if (isStopped()) {
        <lv-empty heading="Reading was stopped"
          >Nothing was changed. <button pButton type="button" (click)="read()">Read the works</button></lv-empty
        >
      } @else if (figures(); as f) {
        @if (f.works || f.family) {
          <div class="charts">
            @for (c of charts.slice(0, stage()); track $index) {
              @if (c(); as chart) {
                <lv-chart class="card" [chart]="chart" />
              }
            }
          </div>
        } @else {
          <lv-empty heading="Nothing submitted in this time"
            >Once work that is marked comes back, what it says stands here. Choose another time above, or other
            learners.</lv-empty
          >
        }
      }
    </div>
  `,
  styles: `
    .page {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 12px;
      max-width: 1280px;
      margin: 0 auto;
      padding: 14px 16px 60px;
    }
    .acts {
      margin-left: auto;
      align-items: end;
    }
    .charts {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 540px), 1fr));
      gap: 14px;
      align-items: start;
    }
  `,
})
export class WhatHelps {
  /** Whom it is about first, from the address. */
  readonly learner = input<string>();
  protected readonly work = inject(WorkspaceStore);
  protected readonly helps = inject(HelpsWork);
  private readonly choices = inject(EvidenceChoices);
  protected readonly chosen = linkedSignal(() => (this.learner() ? `l ${this.learner()}` : ''));
  /** A class (“c …”) or a learner (“l …”); empty for all, also where who was chosen is not here any more. */
  protected readonly of = computed(() => {
    const { learners, classes } = this.work.people();
    const isHere = [...learners.map((l) => `l ${l.id}`), ...classes.map((c) => `c ${c.id}`)].includes(this.chosen());
    return isHere ? this.chosen() : '';
  });
  protected readonly chosenFamily = signal('');
  private readonly reader = signal<Figures | null>(null);
  protected readonly figures = signal<HelpsFigures | null>(null);
  protected readonly isStopped = signal(false);
  private end: () => void = () => undefined;

  /** Activities that anything was submitted of; the newest first. */
  protected readonly families = computed(() => {
    const known = new Set(this.reader()?.familyIds);
    return this.work
      .familyHeads()
      .filter((f) => known.has(f.id))
      .reverse();
  });
  protected readonly familyId = computed(() => {
    const all = this.families();
    return all.find((f) => f.id === this.chosenFamily())?.id ?? all[0]?.id ?? '';
  });
  private readonly learnerIds = computed(() => {
    const { learners, classes } = this.work.people();
    const [sort, id] = [this.of().slice(0, 1), this.of().slice(2)];
    if (sort === 'l') return [id];
    return sort === 'c' ? (classes.find((c) => c.id === id)?.learnerIds ?? []) : learners.map((l) => l.id);
  });
  /** The fields come after that of the time, one frame after the other. */
  protected readonly head = inStages(() => true, 4);
  private readonly goals = computed(() => {
    const { learners } = this.work.people();
    const one = this.of().startsWith('l') ? learners.find((l) => l.id === this.of().slice(2)) : undefined;
    return (one?.needs.goals ?? []).map((g) => ({ by: g.by, text: g.text, aim: shareAimedAt(g) }));
  });
  private readonly names = computed(() => new Map(this.work.people().learners.map((l) => [l.id, l.name])));
  /** Each is made out as it is drawn, not all in one frame. */
  protected readonly charts = [
    (f: HelpsFigures) => objectivesChart(f, this.goals(), dayIn),
    versionsChart,
    itemsChart,
    supportsChart,
    (f: HelpsFigures) => movesChart(f, (id) => this.names().get(id) ?? 'A removed learner', dayIn),
    driftChart,
    measuresChart,
  ].map((of) =>
    computed(() => {
      const f = this.figures();
      return f && of(f);
    }),
  );

  /** Charts come one frame after the other. */
  protected readonly stage = inStages(() => this.figures() !== null, this.charts.length);

  constructor() {
    this.read();
    effect(() => {
      const [reader, period] = [this.reader(), this.choices.period()];
      const asked = {
        learnerIds: this.learnerIds(),
        familyId: this.familyId(),
        from: period.from,
        until: period.until,
      };
      if (!reader) return;
      untracked(() => {
        void reader.figures(asked).then((f) => {
          if (reader === this.reader() && asked.familyId === this.familyId() && asked.learnerIds === this.learnerIds())
            this.figures.set(f);
        });
      });
    });
    inject(DestroyRef).onDestroy(() => {
      this.end();
      this.helps.stop();
    });
  }

  protected read(): void {
    this.isStopped.set(false);
    const until = new Promise<void>((done) => (this.end = done));
    this.helps.during((f) => this.reader.set(f), until).catch(() => this.isStopped.set(true));
  }
}
