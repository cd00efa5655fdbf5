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
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { type ItemBlock, itemsOf, learnerSheet, type Verdict } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Splitter } from 'primeng/splitter';
import { Textarea } from 'primeng/textarea';
import { NumberField } from '../ui/controls/number';
import { growing } from '../ui/growing';
import { Near } from '../ui/near';
import { Formula } from '../ui/blocks/formula';
import { LaidPage } from '../ui/blocks/laid-page';
import { LearnerBlockView } from '../ui/blocks/learner-block';
import { onceDrawn } from '../ui/once-drawn';
import { FootBar, Panes } from '../ui/panes';
import { SwatchMark } from '../ui/swatch';
import { Answering, type Given } from './answering';
import { NotesBack } from './notes-back';
import { type Row } from './row';
import { SpokenWords } from './spoken-words';
import { WayBack } from './way-back';
import { WorkTable } from './work-table';
import { whenIn } from '../ui/when';
import { Empty } from '../ui/empty';
import { many } from '../platform/many';

const SIGNS: Record<Verdict | 'absent', { readonly sign: string; readonly says: string }> = {
  right: { sign: '✓', says: 'right' },
  partly: { sign: '◐', says: 'partly' },
  'not-yet': { sign: '✕', says: 'not yet' },
  yours: { sign: '●', says: 'yours to mark' },
  empty: { sign: '·', says: 'nothing given' },
  absent: { sign: '–', says: 'not in this version' },
};

/** Rows that are drawn at once. */
const ROWS = 6;

/** Learners down, the master's items across: one column is one question, whoever had which wording. */
@Component({
  selector: 'lv-marking',
  imports: [
    Empty,
    ButtonDirective,
    FootBar,
    Formula,
    LaidPage,
    LearnerBlockView,
    Near,
    NotesBack,
    NumberField,
    Panes,
    RouterLink,
    Splitter,
    SpokenWords,
    SwatchMark,
    Textarea,
    WayBack,
  ],
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
  protected readonly signs = SIGNS;
  protected readonly given: readonly Given[] = ['right', 'partly', 'not-yet'];
  protected readonly whenIn = whenIn;
  protected readonly many = many;
  /** How many answers a try holds. */
  protected readonly answered = (answers: Readonly<Record<string, unknown>>): number => Object.keys(answers).length;
  protected readonly legend = Object.values(SIGNS);
  protected readonly chosen = signal<{ row: number; column: number }>({ row: 0, column: 0 });
  protected readonly whole = signal(false);
  protected readonly names = ['Width of the answers'];
  /** Which sheet is open on a narrow screen. */
  protected readonly opened = signal<string | null>(null);
  protected readonly sheets = computed(() => {
    const r = this.row();
    return r ? [{ id: 'beside-work', name: `${r.name}, ${this.table.called(r, this.chosen().column)}` }] : [];
  });

  protected readonly table = new WorkTable(() => this.id());
  protected readonly rows = this.table.rows;
  /** The rows that are on the page: many of them come in steps. */
  protected readonly drawn = growing(() => this.id(), ROWS, 4 * ROWS);
  protected readonly shown = computed(() => this.rows().slice(0, this.drawn.budget()));

  protected readonly row = computed(() => this.rows()[this.chosen().row]);
  protected readonly notes = computed(() => this.row()?.response?.notes ?? {});
  protected readonly cell = computed(() => {
    const row = this.row();
    const cell = row?.cell(this.chosen().column);
    if (!row || !cell?.item) return null;
    return this.table.told(row, cell.item);
  });
  /** The whole work as its pages, as the learner has them. */
  protected readonly sheet = computed(() => {
    const row = this.row();
    return row && this.whole() ? learnerSheet(row.frozen).pages : [];
  });
  protected readonly details = computed(() => {
    const row = this.row();
    const items = row && this.whole() ? itemsOf(row.frozen.content) : [];
    return new Map(items.map((i) => [i.id, this.table.told(row as Row, i)]));
  });
  protected readonly lineage = computed(() => {
    const [row, cell] = [this.row(), this.cell()];
    return row && cell ? this.table.lineage(row, cell.item.id) : null;
  });
  protected readonly across = computed(() => this.table.across(this.chosen().column));
  protected readonly answering = new Answering(this.table.handOut, this.row);

  constructor() {
    // Once, when the rows are there: what is chosen afterwards stays.
    const wanted = effect(() => {
      const rows = this.rows();
      if (!rows.length) return;
      const at = rows.findIndex((r) => r.learnerId === this.learner());
      untracked(() => {
        if (at >= 0) {
          this.choose(at, this.table.firstToMark(at));
          this.opened.set('beside-work');
        }
        wanted.destroy();
      });
    });
  }

  /** Whose work a row is: a learner's, or that of those who do it together. */
  protected readonly noun = computed(() => (this.rows()[0]?.members ? 'group' : 'learner'));
  protected readonly sentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

  /** Whether formulas are wanted in the answer. */
  protected readonly withFormulas = (item: ItemBlock): boolean => 'signs' in item && item.signs === true;

  /** Who of those who do it together wrote an answer. */
  protected writer(itemId: string): string {
    const by = this.row()?.go?.by?.[itemId];
    return by ? this.table.nameOf(by) : '';
  }

  protected choose(row: number, column: number, focus = false): void {
    const r = Math.max(0, Math.min(this.rows().length - 1, row));
    const c = Math.max(0, Math.min(this.table.columns().length - 1, column));
    this.chosen.set({ row: r, column: c });
    this.drawn.reach(r + 1);
    if (focus)
      this.onceDrawn(() => this.host.nativeElement.querySelector<HTMLElement>(`[data-cell="${r}-${c}"]`)?.focus());
  }

  protected keyed(event: KeyboardEvent): void {
    const { row, column } = this.chosen();
    const move = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[event.key];
    if (move) this.choose(row + (move[0] ?? 0), column + (move[1] ?? 0), true);
    else if (event.key === 'Home') this.choose(row, 0, true);
    else if (event.key === 'End') this.choose(row, this.table.columns().length - 1, true);
    else return;
    event.preventDefault();
  }

  /** Complete leads on to the next work that waits. */
  protected decide(decision: 'another go' | 'complete'): void {
    if (!this.answering.decide(decision) || decision !== 'complete') return;
    const next = this.rows().findIndex((r) => r.state === 'submitted');
    if (next >= 0) this.choose(next, this.chosen().column);
  }
}
