import { computed, inject } from '@angular/core';
import {
  alignedItems,
  type Answer,
  contentAddress,
  copyIdOf,
  copyState,
  derive,
  forLearner,
  frozenIdsOf,
  type ItemBlock,
  itemRules,
  itemsOf,
  keyWordsOf,
  type Lineage,
  lineageOf,
  questionNumbers,
  sharedName,
  snippet,
  whereUsed,
  worksOf,
} from '@lorvet/core';
import { liftedBefore, markThatCounts } from '@lorvet/core/marking';
import { Clock } from '../platform/clock';
import { Parts } from '../store/parts';
import { whenIn } from '../ui/when';
import { wantWork } from '../store/wants';
import { WorkspaceStore } from '../store/workspace';
import { type Row, Rows } from './row';

/** One word of a question to know its column by: its longest of up to nine letters. */
function tellingWord(words: string): string {
  const all = (words.toLowerCase().match(/\p{L}+/gu) ?? []).filter((w) => w.length <= 9);
  return all.reduce((best, w) => (w.length > best.length ? w : best), '');
}

/** What is said of a flap that was lifted: the answer as it was then, where it is another now. */
function liftedSaid(lifted: ReturnType<typeof liftedBefore>, words: (a: Answer) => string): string {
  if (!lifted) return '';
  const when = `The flap was lifted on ${whenIn(lifted.at)}`;
  if (lifted.is === 'before an answer') return `${when}, before this answer was given.`;
  if (lifted.is === 'as before') return `${when}, after this answer; it was not changed since.`;
  return `${when}, and the answer was changed after. Then it was: ${lifted.was ? words(lifted.was) : ''}`;
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

/**
 * What came back of one hand-out: learners down, the master's questions across, and what is told of one answer. Made
 * where things are injected; nothing in it changes what is kept.
 */
export class WorkTable {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly made = new Rows();

  constructor(private readonly id: () => string) {}

  readonly ready = inject(Parts).hold(
    () => this.id() || null,
    async (id, want) => {
      const head = this.work.handOutHeadsById()[id];
      await Promise.all([wantWork(id, want, this.work.doc, head), head && want('families', [head.familyId])]);
    },
  );
  readonly handOut = computed(() => this.work.handOuts()[this.id()]);
  /** The activities that were given out, each once. */
  private readonly frozen = computed(() =>
    frozenIdsOf({ given: this.handOut()?.given ?? {} }).flatMap((id) => this.work.frozen()[id] ?? []),
  );
  readonly family = computed(() => this.work.families()[this.handOut()?.familyId ?? '']);
  readonly columns = computed(() => {
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
  readonly rows = computed(() => {
    const h = this.handOut();
    // Marked once everything is here: until then it would be marked for nothing.
    if (!h || !this.ready()) return [];
    const now = this.clock.local();
    const names = new Map(this.work.people().learners.map((l) => [l.id, l.name]));
    const columns = this.columns();
    const teams = new Map(h.teams.map((x) => [x.id, x.name]));
    return [...worksOf(h)].flatMap(([key, [first = key, ...others]]) => {
      const id = copyIdOf(h.id, key);
      const copy = this.work.copies()[id];
      const frozen = this.made.frozenOf(h, this.work.frozen(), first, copy?.goes.at(-1)?.n);
      if (!frozen) return [];
      const marking = this.work.markings()[id];
      const nameOf = (l: string) => names.get(l) ?? 'A removed learner';
      const isShared = key !== first;
      const name = isShared ? sharedName(key, teams.get(key)) : nameOf(key);
      const members = isShared ? [first, ...others].map(nameOf).join(', ') : '';
      const state = copyState(h, copy, marking, now);
      return [this.made.row({ learnerId: key, name, members, copy, marking, frozen, state, columns })];
    });
  });

  nameOf(learnerId: string): string {
    return this.work.people().learners.find((l) => l.id === learnerId)?.name ?? 'A removed learner';
  }

  readonly toLook = computed(() => this.rows().filter((r) => r.state === 'submitted').length);
  readonly complete = computed(() => this.rows().filter((r) => r.state === 'complete').length);

  /** The way of an answer's question back to the master, by what the versions did. */
  lineage(row: Row, itemId: string): Lineage | null {
    const family = this.family();
    return family ? (lineageOf(family, row.frozen, row.copy ?? { goes: [] }, itemId) ?? null) : null;
  }

  /** How everybody did on a question, over all its wordings. */
  across(column: number) {
    const family = this.family();
    const id = this.columns()[column]?.id;
    const cells = this.rows()
      .map((r) => r.cell(column))
      .filter((c) => c?.item);
    const wordings = new Set(cells.map((c) => c?.item && contentAddress(c.item)));
    const leftOut = (family && id ? whereUsed(family, id, []) : []).filter((u) => u.how === 'left out');
    return {
      had: cells.length,
      wordings: wordings.size,
      right: cells.filter((c) => c?.verdict === 'right').length,
      leftOut: leftOut.map((u) => u.versionName),
    };
  }

  /** The first question of a learner that the teacher is to judge, or the first of all. */
  firstToMark(row: number): number {
    const r = this.rows()[row];
    return Math.max(
      0,
      this.columns().findIndex((_, c) => r?.cell(c)?.verdict === 'yours'),
    );
  }

  /** What a question is called: "question 3 on Perran's sheet, 2 of the master". */
  called(row: Row, column: number, onSheet = ''): string {
    const c = this.columns()[column];
    const own = c && row.numbers.get(c.id);
    const of = c?.added ? 'added by the version' : `${c?.name ?? ''} of the master`;
    if (own === undefined) return `question ${of}`;
    return `${own}` === c?.name ? `question ${own}` : `question ${own}${onSheet}, ${of}`;
  }

  /** One answer as it is looked at: what was given, now and before, the key, and the mark that counts. */
  told(row: Row, item: ItemBlock) {
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
      lifted: row.go ? liftedSaid(liftedBefore(row.go, item.id), words) : '',
      comment: row.response?.comments[item.id] ?? '',
    };
  }
}
