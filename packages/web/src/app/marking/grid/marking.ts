import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import type { CopyState, Id, Verdict } from '@lorvet/core';
import type { MenuItem } from 'primeng/api';
import { ButtonDirective } from 'primeng/button';
import { Menu } from 'primeng/menu';
import { Splitter } from 'primeng/splitter';
import { Clock } from '../../platform/clock';
import { counted, many } from '../../platform/many';
import { WorkspaceStore } from '../../store/workspace';
import { SELECT } from '../../ui/controls/select';
import { IconButton } from '../../ui/icon-button';
import { inStages } from '../../ui/in-stages';
import { inTurns } from '../../ui/in-turns';
import { onceDrawn } from '../../ui/once-drawn';
import { FootBar, Panes } from '../../ui/panes';
import { Seen } from '../../ui/seen';
import { SwatchMark } from '../../ui/swatch';
import { whenIn } from '../../ui/when';
import { AnswerWay } from '../answer/answer-way';
import type { Given } from '../answering';
import { GridPieces, MANY } from './grid-pieces';
import { GridRow } from './grid-row';
import { GridView, type SortBy } from './grid-view';
import { MarkingHead } from '../head';
import { MarkingHere } from '../here';
import { NotHere } from '../not-here';
import { looked, lookedAt } from './looked';
import { OneAnswer } from '../answer/one-answer';
import { type Row } from '../row';
import { Picked } from './picked';
import { SIGNS } from '../signs';
import { type Deciding, WholeWords } from '../answer/whole-words';

const ROW_PX = 35;
const SORTS = [
  ['given', 'the plan'],
  ['name', 'name'],
  ['version', 'version'],
  ['total', 'points, lowest first'],
  ['state', 'state'],
  ['submitted', 'longest waiting'],
] as const satisfies readonly (readonly [SortBy, string])[];
const ITEM = 'item ';
const GIVEN: readonly Given[] = ['right', 'partly', 'not-yet'];

/** Learners down, the master's items across: one column is one question, whoever had which wording. */
@Component({
  selector: 'lv-marking',
  imports: [
    AnswerWay,
    ButtonDirective,
    FootBar,
    GridRow,
    IconButton,
    LucideDynamicIcon,
    MarkingHead,
    NotHere,
    Menu,
    OneAnswer,
    Panes,
    RouterLink,
    Seen,
    Splitter,
    SwatchMark,
    WholeWords,
    ...SELECT,
  ],
  providers: [MarkingHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './marking.html',
  styleUrl: './marking.css',
})
export class MarkingGrid {
  readonly id = input.required<string>();
  /** Whose work is to be shown first: the address says it. */
  readonly learner = input<string>();
  private readonly onceDrawn = onceDrawn();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly here = inject(MarkingHere);
  private readonly work = inject(WorkspaceStore);
  private readonly router = inject(Router);
  protected readonly table = this.here.table;
  protected readonly signs = SIGNS;
  protected readonly whenIn = whenIn;
  protected readonly many = many;
  protected readonly counted = counted;
  protected readonly legend = Object.values(SIGNS);
  protected readonly ROW_PX = ROW_PX;
  protected readonly FIRST_PX = 180;
  protected readonly ITEM_PX = 52;
  /** Of many rows the widths of the columns are settled: else each row that comes has all of them laid out anew. */
  protected readonly isMany = computed(() => this.table.rows().length > MANY);
  protected readonly names = ['Width of the answers'];
  /** Which sheet is open on a narrow screen. */
  protected readonly opened = signal<string | null>(null);
  protected readonly sheets = computed(() => {
    const r = this.row();
    return r ? [{ id: 'beside-work', name: `${r.name}, ${this.table.called(r, this.columnAt())}` }] : [];
  });

  private readonly members = computed(() => {
    const { classes, groups } = this.work.people();
    return new Map([...classes, ...groups].map((p) => [p.id, new Set(p.learnerIds)] as const));
  });
  protected readonly view = new GridView(this.table, () => this.members());
  protected readonly rows = this.view.rows;
  protected readonly filters = signal(false);
  /** Head, tools, the first rows, the answer, what is said to it. */
  protected readonly stage = inStages(() => this.table.rows().length > 0, 5);
  protected readonly pieces = new GridPieces(
    this.rows,
    () => this.stage() >= 4,
    () => this.chosen().learner,
  );

  private readonly at0 = signal<{ learner: Id; item: Id }>({ learner: '', item: '' });
  /** What is chosen; while nothing is, the first. */
  protected readonly chosen = computed(() => {
    const { learner, item } = this.at0();
    return {
      learner: this.table.rows().some((r) => r.learnerId === learner) ? learner : (this.rows()[0]?.learnerId ?? ''),
      item: this.at().has(item) ? item : (this.table.columns()[0]?.id ?? ''),
    };
  });
  protected readonly at = computed(() => new Map(this.table.columns().map((c, i) => [c.id, i])));
  protected readonly columnAt = computed(() => this.at().get(this.chosen().item) ?? 0);
  protected readonly columnNow = computed(() => this.table.columns()[this.columnAt()]);
  protected readonly row = computed(() => this.table.rows().find((r) => r.learnerId === this.chosen().learner));

  /** Who is chosen for something that is done to several. */
  protected readonly picked = new Picked(this.here.answering, this.table.rows, this.rows);

  /** Submitted work in which nothing is left for the teacher to judge. */
  protected readonly settled = inTurns(() => (this.stage() < 5 ? null : this.findSettled(this.table.rows())));

  private readonly since = signal('');

  constructor() {
    effect(() => this.here.id.set(this.id()));
    // Once, when the rows are there: what is chosen afterwards stays.
    const wanted = effect(() => {
      const rows = this.table.rows();
      if (!rows.length) return;
      const at = rows.findIndex((r) => r.learnerId === this.learner());
      untracked(() => {
        const r = rows[at];
        if (r) {
          this.choose(r.learnerId, this.table.columns()[this.table.firstToMark(at)]?.id ?? '');
          this.opened.set('beside-work');
        }
        wanted.destroy();
      });
    });
    const clock = inject(Clock);
    let id = '';
    effect(() => {
      if (this.id() === id) return;
      id = this.id();
      this.since.set(lookedAt(id));
    });
    inject(DestroyRef).onDestroy(() => id && looked(id, clock.iso()));
  }

  /** Whether it was submitted since the work was last looked at here. */
  protected isNew(r: Row): boolean {
    const since = this.since();
    return since !== '' && (r.go?.submittedAt ?? '') > since;
  }

  protected readonly sorts = computed(() => {
    const all = SORTS.map(([key, name]) => ({ key: key as string, name: name as string }));
    const by = this.view.sort();
    if (typeof by === 'object') {
      const c = this.table.columns()[this.at().get(by.item) ?? 0];
      all.push({ key: ITEM + by.item, name: `question ${c?.name ?? ''}` });
    }
    return all;
  });
  protected readonly sortName = computed(() => {
    const by = this.view.sort();
    return typeof by === 'object' ? ITEM + by.item : by;
  });
  protected sortBy(key: string): void {
    // The list of ways closes first: both at once would be felt.
    const by = key.startsWith(ITEM) ? { item: key.slice(ITEM.length) } : (key as SortBy);
    requestAnimationFrame(() => setTimeout(() => this.view.sort.set(by)));
  }

  /** Sorted by what stands in a head; pressed again, as in the plan. */
  protected turnTo(by: 'name' | 'total' | 'state'): void {
    this.view.sort.set(this.view.sort() === by ? 'given' : by);
  }
  protected sortOf(by: 'name' | 'total' | 'state'): 'ascending' | null {
    return this.view.sort() === by ? 'ascending' : null;
  }

  /** What can be shown only: each a list with what is there to choose. */
  protected readonly choices = computed(() => {
    const rows = this.table.rows();
    const versions = new Map(rows.map((r) => [r.frozen.versionId ?? '-', r.frozen.versionName]));
    const objectives = new Map(this.table.columns().map((c) => [c.objective.id, c.objective.name]));
    const ids = new Set(rows.flatMap((r) => r.memberIds));
    const { classes, groups } = this.work.people();
    const parts = [...classes, ...groups].filter((p) => p.learnerIds.some((l) => ids.has(l)));
    const states = [...new Set(rows.map((r) => r.state))];
    const as = (all: Iterable<readonly [string, string]>) => [...all].map(([id, name]) => ({ id, name }));
    return [
      {
        label: 'State',
        all: 'all',
        value: this.view.state as { (): string; set(v: string): void },
        options: states.map((s: CopyState) => ({ id: s as string, name: s as string })),
      },
      { label: 'Version', all: 'all', value: this.view.version, options: as(versions) },
      {
        label: 'Class or group',
        all: 'everybody',
        value: this.view.group,
        options: parts.map((p) => ({ id: p.id, name: p.name })),
      },
      { label: 'Objective', all: 'all', value: this.view.objective, options: as(objectives) },
    ];
  });

  private readonly columnMenu = viewChild<Menu>('columnMenu');
  protected readonly columnDoings = signal<MenuItem[]>([]);
  /** What can be done with one question. */
  protected openColumn(event: Event, item: Id): void {
    const only = (verdict: Verdict): MenuItem => ({
      label: `Show only: ${SIGNS[verdict].says}`,
      command: () => this.view.mark.set({ item, verdict }),
    });
    this.columnDoings.set([
      {
        label: 'Look at all answers to it',
        command: () => void this.router.navigate(['/marking', this.id(), 'question'], { queryParams: { item } }),
      },
      { label: 'Sort by it, yours to mark first', command: () => this.view.sort.set({ item }) },
      only('yours'),
      only('not-yet'),
    ]);
    this.columnMenu()?.toggle(event);
  }

  protected completeSettled(): void {
    const ids = new Set(this.settled() ?? []);
    this.here.answering.decide(
      this.table.rows().filter((r) => ids.has(r.learnerId)),
      'complete',
    );
  }

  protected choose(learner: Id, item: Id, focus = false): void {
    this.at0.set({ learner, item });
    if (!focus) return;
    this.onceDrawn(() => {
      const cell = this.host.nativeElement.querySelector<HTMLElement>('button.chosen');
      cell?.focus({ preventScroll: true });
      cell?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    });
  }

  protected keyed(event: KeyboardEvent): void {
    const at = event.target;
    if (!(at instanceof HTMLElement) || event.altKey || event.ctrlKey || event.metaKey) return;
    const rows = this.rows();
    const items = this.view.columns().flatMap((c) => (c.is === 'item' ? c.column.id : []));
    const r = rows.findIndex((x) => x.learnerId === this.chosen().learner);
    const c = items.indexOf(this.chosen().item);
    const go = (row: number, column: number) => {
      const to = rows[Math.max(0, Math.min(rows.length - 1, row))];
      const item = items[Math.max(0, Math.min(items.length - 1, column))];
      if (to && item !== undefined) this.choose(to.learnerId, item, true);
    };
    const mark = at.matches('[data-cell]') ? GIVEN[Number(event.key) - 1] : undefined;
    const row = this.row();
    if (mark && row) {
      const { item } = row.cellOf(this.chosen().item);
      if (item) this.here.answering.mark(row, item, mark);
      event.preventDefault();
      return;
    }
    const move = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[event.key];
    if (move) go(r + (move[0] ?? 0), c + (move[1] ?? 0));
    else if (event.key === 'Home') go(r, 0);
    else if (event.key === 'End') go(r, items.length - 1);
    else return;
    event.preventDefault();
  }

  /** Complete leads on to the next work that waits. */
  protected decide({ decision, ask }: Deciding): void {
    const row = this.row();
    if (!row || !this.here.answering.decide([row], decision, ask) || decision !== 'complete') return;
    const next = this.rows().find((r) => r.state === 'submitted');
    if (next) this.choose(next.learnerId, this.chosen().item);
  }

  private *findSettled(rows: readonly Row[]): Generator<undefined, readonly Id[]> {
    const out: Id[] = [];
    for (const r of rows) {
      if (r.state === 'submitted' && r.total.open === 0) out.push(r.learnerId);
      yield;
    }
    return out;
  }
}
