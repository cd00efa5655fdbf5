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
import {
  alignedItems,
  type Answer,
  forLearner,
  contentAddress,
  derive,
  questionNumbers,
  copyIdOf,
  copyState,
  emptyResponse,
  type ItemBlock,
  itemRules,
  itemsOf,
  keyWordsOf,
  learnerSheet,
  lineageOf,
  markThatCounts,
  type Response,
  snippet,
  type Verdict,
  whereUsed,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Splitter } from 'primeng/splitter';
import { Textarea } from 'primeng/textarea';
import { Clock } from '../platform/clock';
import { MarkingActions } from '../store/actions';
import { Parts } from '../store/parts';
import { wantWork } from '../store/wants';
import { WorkspaceStore } from '../store/workspace';
import { NumberField } from '../ui/controls/number';
import { growing } from '../ui/growing';
import { Near } from '../ui/near';
import { LaidPage } from '../ui/blocks/laid-page';
import { LearnerBlockView } from '../ui/blocks/learner-block';
import { Notice } from '../ui/notice';
import { onceDrawn } from '../ui/once-drawn';
import { FootBar, Panes } from '../ui/panes';
import { SwatchMark } from '../ui/swatch';
import { type Row, Rows } from './row';
import { whenIn } from '../ui/when';
import { Empty } from '../ui/empty';

const SIGNS: Record<Verdict | 'absent', { readonly sign: string; readonly says: string }> = {
  right: { sign: '✓', says: 'right' },
  partly: { sign: '◐', says: 'partly' },
  'not-yet': { sign: '✕', says: 'not yet' },
  yours: { sign: '●', says: 'yours to mark' },
  empty: { sign: '·', says: 'nothing given' },
  absent: { sign: '–', says: 'not in this version' },
};

/** One word of a question to know its column by: its longest of up to nine letters. */
function tellingWord(words: string): string {
  const all = (words.toLowerCase().match(/\p{L}+/gu) ?? []).filter((w) => w.length <= 9);
  return all.reduce((best, w) => (w.length > best.length ? w : best), '');
}

const SEEN: ReadonlySet<string> = new Set([
  'drawing',
  'picture-writing',
  'photo',
  'voice',
  'labels',
  'spots',
  'pieces',
  'table-fill',
]);

/** Rows that are drawn at once. */
const ROWS = 6;

/** Learners down, the master's items across: one column is one question, whoever had which wording. */
@Component({
  selector: 'lv-marking',
  imports: [
    Empty,
    ButtonDirective,
    FootBar,
    LaidPage,
    LearnerBlockView,
    Near,
    NumberField,
    Panes,
    RouterLink,
    Splitter,
    SwatchMark,
    Textarea,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './marking.html',
  styleUrl: './marking.css',
})
export class MarkingGrid {
  readonly id = input.required<string>();
  /** Whose work is to be shown first: the address says it. */
  readonly learner = input<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  private readonly onceDrawn = onceDrawn();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly signs = SIGNS;
  protected readonly whenIn = whenIn;
  protected readonly legend = Object.values(SIGNS);
  protected readonly chosen = signal<{ row: number; column: number }>({ row: 0, column: 0 });
  protected readonly whole = signal(false);
  protected readonly names = ['Width of the answers'];
  /** Which sheet is open on a narrow screen. */
  protected readonly opened = signal<string | null>(null);
  protected readonly sheets = computed(() => {
    const r = this.row();
    return r ? [{ id: 'beside-work', name: `${r.name}, ${this.called(r, this.chosen().column)}` }] : [];
  });

  protected readonly ready = inject(Parts).hold(
    () => this.id() || null,
    async (id, want) => {
      const head = this.work.handOutHeadsById()[id];
      await Promise.all([wantWork(id, want, this.work.doc, head), head && want('families', [head.familyId])]);
    },
  );
  protected readonly handOut = computed(() => this.work.handOuts()[this.id()]);
  /** The activities that were given out, each once. */
  private readonly frozen = computed(() =>
    [...new Set(Object.values(this.handOut()?.given ?? {}).map((g) => g.frozen))].flatMap(
      (id) => this.work.frozen()[id] ?? [],
    ),
  );
  protected readonly family = computed(() => this.work.families()[this.handOut()?.familyId ?? '']);
  protected readonly columns = computed(() => {
    const family = this.family();
    const h = this.handOut();
    if (!h) return [];
    const items = family
      ? alignedItems(family, this.frozen())
      : [
          ...new Map(
            this.frozen().flatMap((f) =>
              itemsOf(f.content).map((i) => [i.id, { id: i.id, words: i.prompt, added: false }]),
            ),
          ).values(),
        ];
    const numbers = family ? questionNumbers(derive(family, null).content.pages) : null;
    return items.map((i, at) => ({
      ...i,
      // Of what the master no longer has, only the sheets know a number.
      name: i.added ? '+' : `${numbers ? (numbers.get(i.id) ?? '–') : at + 1}`,
      short: snippet(i.words.replace(/\[\w+\],?\s*/g, ''), 200),
      word: tellingWord(i.words),
    }));
  });
  private readonly made = new Rows();
  protected readonly rows = computed(() => {
    const h = this.handOut();
    // Marked once everything is here: until then it would be marked for nothing.
    if (!h || !this.ready()) return [];
    const now = this.clock.local();
    const names = new Map(this.work.people().learners.map((l) => [l.id, l.name]));
    const columns = this.columns();
    return Object.keys(h.given).flatMap((learnerId) => {
      const frozen = this.made.frozenOf(h, this.work.frozen(), learnerId);
      if (!frozen) return [];
      const id = copyIdOf(h.id, learnerId);
      const copy = this.work.copies()[id];
      const marking = this.work.markings()[id];
      const name = names.get(learnerId) ?? 'A removed learner';
      const state = copyState(h, copy, marking, now);
      return [this.made.row({ learnerId, name, copy, marking, frozen, state, columns })];
    });
  });
  /** The rows that are on the page: many of them come in steps. */
  protected readonly drawn = growing(() => this.id(), ROWS, 4 * ROWS);
  protected readonly shown = computed(() => this.rows().slice(0, this.drawn.budget()));

  protected readonly toLook = computed(() => this.rows().filter((r) => r.state === 'submitted').length);
  protected readonly complete = computed(() => this.rows().filter((r) => r.state === 'complete').length);

  protected readonly row = computed(() => this.rows()[this.chosen().row]);
  protected readonly cell = computed(() => {
    const row = this.row();
    const cell = row?.cell(this.chosen().column);
    if (!row || !cell?.item) return null;
    return this.detail(row, cell.item);
  });
  /** The whole work as its pages, as the learner has them. */
  protected readonly sheet = computed(() => {
    const row = this.row();
    return row && this.whole() ? learnerSheet(row.frozen).pages : [];
  });
  protected readonly details = computed(() => {
    const row = this.row();
    const items = row && this.whole() ? itemsOf(row.frozen.content) : [];
    return new Map(items.map((i) => [i.id, this.detail(row as Row, i)]));
  });
  protected readonly lineage = computed(() => {
    const row = this.row();
    const family = this.family();
    const h = this.handOut();
    const cell = this.cell();
    if (!row || !family || !h || !cell) return null;
    return lineageOf(family, row.frozen, row.copy ?? { goes: [] }, cell.item.id) ?? null;
  });
  /** How everybody did on the chosen question, over all its wordings. */
  protected readonly across = computed(() => {
    const { column } = this.chosen();
    const family = this.family();
    const id = this.columns()[column]?.id;
    const cells = this.rows()
      .map((r) => r.cell(column))
      .filter((c) => c?.item);
    const wordings = new Set(cells.map((c) => c?.item && contentAddress(c.item)));
    const uses =
      family && id
        ? whereUsed(family, id, [])
            .filter((u) => u.how === 'left out')
            .map((u) => u.versionName)
        : [];
    return {
      had: cells.length,
      wordings: wordings.size,
      right: cells.filter((c) => c?.verdict === 'right').length,
      leftOut: uses,
    };
  });

  constructor() {
    // Once, when the rows are there: what is chosen afterwards stays.
    const wanted = effect(() => {
      const rows = this.rows();
      if (!rows.length) return;
      const at = rows.findIndex((r) => r.learnerId === this.learner());
      untracked(() => {
        if (at >= 0) {
          this.choose(at, this.firstToMark(at));
          this.opened.set('beside-work');
        }
        wanted.destroy();
      });
    });
  }

  /** The first question of a learner that the teacher is to judge, or the first of all. */
  private firstToMark(row: number): number {
    const r = this.rows()[row];
    return Math.max(
      0,
      this.columns().findIndex((_, c) => r?.cell(c)?.verdict === 'yours'),
    );
  }

  protected readonly sentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

  /** What a question is called: "question 3 on Perran's sheet, 2 of the master". */
  protected called(row: Row, column: number, onSheet = ''): string {
    const c = this.columns()[column];
    const own = c && row.numbers.get(c.id);
    const of = c?.added ? 'added by the version' : `${c?.name ?? ''} of the master`;
    if (own === undefined) return `question ${of}`;
    return `${own}` === c?.name ? `question ${own}` : `question ${own}${onSheet}, ${of}`;
  }

  private detail(row: Row, item: ItemBlock) {
    const answer = row.go?.answers[item.id];
    const mark = markThatCounts(item, answer, row.response);
    const words = (a: Answer) => itemRules(item).answerWords(item, a);
    const before = (row.copy?.goes ?? []).flatMap((g) => {
      const a = g === row.go ? undefined : g.answers[item.id];
      // Written in two places at once: what the later answer took the place of.
      const overtaken = (g.earlier ?? []).filter((e) => e.item === item.id);
      return [
        ...overtaken.map((e) => ({ says: `Go ${g.n}, before`, words: words(e.answer) })),
        ...(a ? [{ says: `Go ${g.n}`, words: words(a) }] : []),
      ];
    });
    return {
      item,
      mark,
      answer,
      // What words alone do not show: drawings, photographs, recordings, what lies where.
      seen: SEEN.has(item.kind) && answer ? forLearner(item) : null,
      words: answer ? itemRules(item).answerWords(item, answer) : '',
      key: keyWordsOf(item).join(' / '),
      before,
      comment: row.response?.comments[item.id] ?? '',
    };
  }

  protected choose(row: number, column: number, focus = false): void {
    const r = Math.max(0, Math.min(this.rows().length - 1, row));
    const c = Math.max(0, Math.min(this.columns().length - 1, column));
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
    else if (event.key === 'End') this.choose(row, this.columns().length - 1, true);
    else return;
    event.preventDefault();
  }

  protected mark(item: ItemBlock, verdict: 'right' | 'partly' | 'not-yet', points?: number): void {
    const row = this.row();
    if (!row) return;
    const proposed = verdict === 'right' ? item.points : verdict === 'partly' ? item.points / 2 : 0;
    const given =
      points !== undefined && Number.isFinite(points) ? Math.max(0, Math.min(item.points, points)) : proposed;
    const marks = { ...(row.response ?? emptyResponse(1)).marks, [item.id]: { verdict, points: given } };
    this.respond({ marks }, 'mark');
  }

  protected setPoints(item: ItemBlock, points: number): void {
    const p = Math.max(0, Math.min(item.points, Number.isFinite(points) ? points : 0));
    this.mark(item, p >= item.points ? 'right' : p > 0 ? 'partly' : 'not-yet', p);
  }

  protected unmark(item: ItemBlock): void {
    const { [item.id]: _, ...marks } = this.row()?.response?.marks ?? {};
    this.respond({ marks }, 'take a mark back');
  }

  protected commentOn(item: ItemBlock, text: string): void {
    const { [item.id]: _, ...rest } = this.row()?.response?.comments ?? {};
    this.respond({ comments: text.trim() ? { ...rest, [item.id]: text.trim() } : rest }, 'comment');
  }

  protected comment(text: string): void {
    this.respond({ comment: text.trim() }, 'comment');
  }

  protected decide(decision: 'another go' | 'complete'): void {
    const row = this.row();
    if (!row?.go) return;
    this.respond(
      { decision, decidedAt: this.clock.iso() },
      decision === 'complete' ? 'complete' : 'ask for another go',
    );
    this.notice.done(
      decision === 'complete' ? `${row.name}: complete` : `${row.name} is asked for another go`,
      decision === 'another go' ? 'The first go is kept.' : '',
    );
    const next = this.rows().findIndex((r) => r.state === 'submitted');
    if (next >= 0 && decision === 'complete') this.choose(next, this.chosen().column);
  }

  protected undecide(): void {
    this.respond({ decision: null, decidedAt: null }, 'take a decision back');
  }

  private respond(patch: Partial<Response>, label: string): void {
    const row = this.row();
    const h = this.handOut();
    if (!row || !h) return;
    this.work.dispatch(
      MarkingActions.responseChanged({ copyId: copyIdOf(h.id, row.learnerId), go: row.go?.n ?? 1, patch, label }),
    );
  }
}
