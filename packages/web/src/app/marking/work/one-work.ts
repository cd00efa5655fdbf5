import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { Router } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  type Go,
  itemsOf,
  learnerSheet,
  type PaperPage,
  questionNumbers,
  responseTo,
  sameAnswer,
  type Verdict,
} from '@lorvet/core';
import { Splitter } from 'primeng/splitter';
import { LaidPage } from '../../ui/blocks/laid-page';
import { CheckBox } from '../../ui/controls/check';
import { IconButton } from '../../ui/icon-button';
import { onceDrawn } from '../../ui/once-drawn';
import { FootBar, Panes } from '../../ui/panes';
import { SwatchMark } from '../../ui/swatch';
import { whenIn } from '../../ui/when';
import { AnswerWay } from '../answer/answer-way';
import type { Given } from '../answering';
import { MarkingHead } from '../head';
import { MarkingHere } from '../here';
import { NotHere } from '../not-here';
import { OneAnswer } from '../answer/one-answer';
import { sentence, SIGNS } from '../signs';
import { PaperPages } from '../paper/paper-pages';
import { type Deciding, WholeWords } from '../answer/whole-words';

/** What the ids of the go before end with, where it stands beside this one. */
const EARLIER = '-earlier';

type Page = ReturnType<typeof learnerSheet>['pages'][number];
interface Pair {
  readonly id: string;
  readonly page: Page | undefined;
  readonly earlier: Page | undefined;
}

/** One learner's work as they have it, page by page, with the key of their version beside each question; two goes side by side. */
@Component({
  selector: 'lv-one-work',
  imports: [
    AnswerWay,
    CheckBox,
    FootBar,
    IconButton,
    LaidPage,
    LucideDynamicIcon,
    MarkingHead,
    NotHere,
    OneAnswer,
    PaperPages,
    Panes,
    Splitter,
    SwatchMark,
    WholeWords,
  ],
  providers: [MarkingHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './one-work.html',
  styleUrl: './one-work.css',
})
export class OneWork {
  readonly id = input.required<string>();
  /** Whose work, and which question is chosen: the address says it. */
  readonly learner = input<string>();
  readonly item = input<string>();
  private readonly here = inject(MarkingHere);
  private readonly router = inject(Router);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly onceDrawn = onceDrawn();
  protected readonly table = this.here.table;
  protected readonly answering = this.here.answering;
  protected readonly EARLIER = EARLIER;
  protected readonly signs = SIGNS;
  protected readonly sentence = sentence;
  protected readonly whenIn = whenIn;
  protected readonly none: readonly PaperPage[] = [];
  protected readonly given: readonly Given[] = ['right', 'partly', 'not-yet'];
  protected readonly names = ['Width of the work'];
  protected readonly opened = signal<string | null>(null);
  protected readonly sheets = computed(() => {
    const r = this.row();
    return r ? [{ id: 'beside-work', name: `${r.name}, ${this.table.called(r, this.column())}` }] : [];
  });

  protected readonly place = computed(() =>
    Math.max(
      0,
      this.table.rows().findIndex((r) => r.learnerId === this.learner()),
    ),
  );
  protected readonly row = computed(() => this.table.rows()[this.place()]);
  /** Whose work is shown in place of somebody's who has none. */
  protected readonly isElse = computed(() => {
    const row = this.row();
    return this.learner() && row && row.learnerId !== this.learner() ? row : null;
  });
  private readonly items = computed(() => {
    const row = this.row();
    return row ? itemsOf(row.frozen.content) : [];
  });
  /** The question that is chosen: where this sheet has it not, the first that is the teacher's to mark, or the first of all. */
  protected readonly itemId = computed(() => {
    const all = this.items();
    const row = this.row();
    const wanted = this.item();
    if (all.some((i) => i.id === wanted)) return wanted ?? '';
    const open = row?.marks.find((m) => m.mark.verdict === 'yours')?.item.id;
    return open ?? all[0]?.id ?? '';
  });
  protected readonly column = computed(() =>
    Math.max(
      0,
      this.table.columns().findIndex((c) => c.id === this.itemId()),
    ),
  );

  protected readonly goes = computed(() => this.row()?.copy?.goes.map((g) => g.n) ?? []);
  protected readonly shownGo = linkedSignal(() => this.row()?.go?.n ?? 1);
  private readonly go = computed((): Go | undefined => this.row()?.copy?.goes.find((g) => g.n === this.shownGo()));
  protected readonly beside = signal(true);
  /** The go before, where it stands beside this one. */
  protected readonly before = computed((): Go | undefined => {
    const goes = this.row()?.copy?.goes ?? [];
    const at = goes.findIndex((g) => g.n === this.shownGo());
    return this.beside() ? goes[at - 1] : undefined;
  });
  private readonly frozen = computed(() => {
    const row = this.row();
    return row && this.table.sheetOf(row, this.shownGo());
  });
  protected readonly answers = computed(() => this.go()?.answers ?? {});
  /** What the go before was answered on: another sheet may have been given since. */
  private readonly frozenBefore = computed(() => {
    const [row, before] = [this.row(), this.before()];
    return row && before && this.table.sheetOf(row, before.n);
  });
  /** The pages, each beside the one of the go before. */
  protected readonly pairs = computed((): readonly Pair[] => {
    const [frozen, was] = [this.frozen(), this.frozenBefore()];
    const pages = frozen ? learnerSheet(frozen).pages : [];
    const earlier = was ? learnerSheet(was).pages : [];
    const pairs = pages.map((page): Pair => ({ id: page.id, page, earlier: earlier.find((e) => e.id === page.id) }));
    const alone = earlier.filter((e) => !pages.some((p) => p.id === e.id));
    return [...pairs, ...alone.map((e): Pair => ({ id: e.id, page: undefined, earlier: e }))];
  });
  protected readonly details = computed(() => {
    const [row, frozen, go, before] = [this.row(), this.frozen(), this.go(), this.before()];
    if (!row || !frozen) return new Map<string, ReturnType<OneWork['detail']>>();
    return new Map(itemsOf(frozen.content).map((i) => [i.id, this.detail(i, go, before)]));
  });

  /** What was done on paper in the go that is shown, and in the one before, by page. */
  protected readonly paper = computed(() => this.sheetsOf(this.shownGo(), this.pairs()[0]?.id));
  protected readonly paperBefore = computed(() => this.sheetsOf(this.before()?.n, this.pairs()[0]?.id));

  /** The marks of the go before, under the ids that its page has here. */
  protected readonly earlier = computed(() => {
    const [frozen, before] = [this.frozenBefore(), this.before()];
    const items = frozen && before ? itemsOf(frozen.content) : [];
    return new Map(items.map((i) => [i.id + EARLIER, this.detail(i, before, undefined)]));
  });

  constructor() {
    effect(() => this.here.id.set(this.id()));
  }

  private detail(asGiven: ReturnType<typeof itemsOf>[number], go: Go | undefined, before: Go | undefined) {
    const response = responseTo(this.row()?.marking, go?.n ?? 1);
    const { item, mark, key } = this.table.marked(asGiven, go, response);
    const verdict: Verdict = mark.verdict;
    return {
      item,
      mark: { ...mark, verdict },
      key,
      comment: response?.comments[item.id] ?? '',
      isChanged: before !== undefined && !sameAnswer(before.answers[item.id], go?.answers[item.id]),
    };
  }

  /** A sheet that shows several pages stands on the first. */
  private sheetsOf(go: number | undefined, first = ''): ReadonlyMap<string, readonly PaperPage[]> {
    const out = new Map<string, PaperPage[]>();
    for (const p of (go && responseTo(this.row()?.marking, go)?.paper) || []) {
      const at = p.pageId || first;
      out.set(at, [...(out.get(at) ?? []), p]);
    }
    return out;
  }

  /** The page under other ids: two of one id would be one group of choices. */
  protected pageOf(page: Page, suffix: string): Page {
    const places = Object.fromEntries(Object.entries(page.places).map(([id, r]) => [id + suffix, r]));
    return { ...page, places, blocks: page.blocks.map((b) => ({ ...b, id: b.id + suffix })) };
  }
  protected answersOf(go: Go, suffix: string): Go['answers'] {
    return Object.fromEntries(Object.entries(go.answers).map(([id, a]) => [id + suffix, a]));
  }
  protected readonly numbersBefore = computed((): ReadonlyMap<string, number> => {
    const numbers = questionNumbers(this.frozenBefore()?.content.pages ?? []);
    return new Map([...numbers].map(([id, n]) => [id + EARLIER, n]));
  });

  protected choose(item: string): void {
    this.lead(this.row()?.learnerId ?? '', item);
    this.opened.set('beside-work');
  }

  /** The next learner, at the same question. */
  protected step(by: number): void {
    const next = this.table.rows()[this.place() + by];
    if (next) this.lead(next.learnerId, this.item() ?? this.itemId(), true);
  }

  protected stepItem(by: number): void {
    const all = this.items();
    const next = all[all.findIndex((i) => i.id === this.itemId()) + by];
    if (next) this.lead(this.row()?.learnerId ?? '', next.id, true);
  }

  protected keyed(event: KeyboardEvent): void {
    if (!event.altKey || event.ctrlKey || event.metaKey) return;
    const learner = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const item = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (learner) this.step(learner);
    else if (item) this.stepItem(item);
    else return;
    event.preventDefault();
  }

  /** Complete leads on to the next work that waits. */
  protected decide({ decision, ask }: Deciding): void {
    const row = this.row();
    if (!row || !this.answering.decide([row], decision, ask) || decision !== 'complete') return;
    const rows = this.table.rows();
    const next = [...rows.slice(this.place() + 1), ...rows].find((r) => r.state === 'submitted' && r !== row);
    if (next) this.lead(next.learnerId, '', true);
  }

  private lead(learner: string, item: string, focus = false): void {
    void this.router.navigate([], { queryParams: { learner, item }, replaceUrl: true }).then(() => {
      if (focus) this.onceDrawn(() => this.look());
    });
  }

  private look(): void {
    const at = this.host.nativeElement.querySelector<HTMLElement>('.key[aria-pressed=true], .sign[aria-pressed=true]');
    at?.focus({ preventScroll: true });
    at?.scrollIntoView({ block: 'center' });
  }
}
