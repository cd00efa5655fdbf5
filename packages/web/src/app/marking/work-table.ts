import { computed, inject } from '@angular/core';
import {
  type Accepted,
  alignedItems,
  type Answer,
  contentAddress,
  copyIdOf,
  copyState,
  derive,
  findBlock,
  forLearner,
  type Frozen,
  frozenFor,
  frozenIdsOf,
  type Go,
  type ItemBlock,
  itemRules,
  itemsOf,
  keyWordsOf,
  type Lineage,
  lineageOf,
  questionNumbers,
  type Response,
  sharedName,
  snippet,
  whereUsed,
  worksOf,
} from '@lorvet/core';
import { liftedBefore, markedOne } from '@lorvet/core/marking';
import { Clock } from '../platform/clock';
import { Parts } from '../store/parts';
import { whenIn } from '../ui/when';
import { wantWork } from '../store/wants';
import { tellingWords } from './telling-words';
import { WorkspaceStore } from '../store/workspace';
import { type Row, Rows } from './row';

/** What is said of a flap that was lifted: the answer as it was then, where it is another now. */
function liftedSaid(lifted: ReturnType<typeof liftedBefore>, words: (a: Answer) => string): string {
  if (!lifted) return '';
  const when = `The flap was lifted on ${whenIn(lifted.at)}`;
  if (lifted.is === 'before an answer') return `${when}, before this answer was given.`;
  if (lifted.is === 'as before') return `${when}, after this answer; it was not changed since.`;
  return `${when}, and the answer was changed after. Then it was: ${lifted.was ? words(lifted.was) : ''}`;
}

const NONE: readonly Accepted[] = [];
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
    const content = family ? derive(family, null).content : null;
    const numbers = content ? questionNumbers(content.pages) : null;
    const places = new Map(
      (content?.pages ?? []).flatMap((p, n) =>
        p.blocks.map((b) => [b.id, { id: p.id, name: `Page ${n + 1}${p.title ? `, ${p.title}` : ''}` }] as const),
      ),
    );
    const objectives = new Map((content?.objectives ?? []).map((o) => [o.id, o.text]));
    const given = new Map(this.frozen().flatMap((f) => itemsOf(f.content).map((i) => [i.id, i] as const)));
    const short = items.map((i) => snippet(i.words.replace(/\[\w+\],?\s*/g, ''), 200));
    const telling = tellingWords(
      items.map((i, at) => {
        const item = given.get(i.id);
        return { words: short[at] ?? '', key: item ? keyWordsOf(item).join(' ') : '' };
      }),
    );
    return items.map((i, at) => {
      const objectiveId = given.get(i.id)?.objectiveId ?? '';
      return {
        ...i,
        // Of what the master no longer has, only the sheets know a number.
        name: i.added ? '+' : `${numbers ? (numbers.get(i.id) ?? '–') : at + 1}`,
        short: short[at] ?? '',
        word: telling[at] ?? '',
        page: places.get(i.id) ?? { id: '+', name: 'Added by versions' },
        objective: { id: objectiveId || '-', name: objectives.get(objectiveId) ?? 'No objective' },
      };
    });
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
      const accepted = h.accepted ?? NONE;
      const of = { handOutId: h.id, learnerId: key, name, members, memberIds: [first, ...others] };
      const base = this.work.frozen()[frozen.id] ?? frozen;
      return [this.made.row({ ...of, copy, marking, frozen, base, state, columns, accepted })];
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
    // A name that is filled in makes no other wording.
    const wordings = new Set(
      this.rows().flatMap((r) => {
        const block = id === undefined ? undefined : findBlock(r.base.content, id)?.block;
        return block ? [contentAddress(block)] : [];
      }),
    );
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

  /** The sheet that a go of a piece of work was answered on. */
  sheetOf(row: Row, go: number): Frozen {
    const h = this.handOut();
    if (!h || go === row.go?.n) return row.frozen;
    const first = row.memberIds[0] ?? row.learnerId;
    return frozenFor(h, this.work.frozen(), first, go) ?? row.frozen;
  }

  /** One question of a go with its mark, and its key in words. */
  marked(asGiven: ItemBlock, go: Go | undefined, response: Response | undefined) {
    const { item, mark } = markedOne(asGiven, go?.answers[asGiven.id], response, this.handOut()?.accepted);
    return { item, mark, key: keyWordsOf(item).join(' / ') };
  }

  /** One answer as it is looked at: what was given, now and before, the key, and the mark that counts. */
  told(row: Row, asGiven: ItemBlock) {
    const answer = row.go?.answers[asGiven.id];
    const { item, mark } = markedOne(asGiven, answer, row.response, this.handOut()?.accepted);
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
      voice: row.response?.voices?.[item.id] ?? '',
    };
  }
}
