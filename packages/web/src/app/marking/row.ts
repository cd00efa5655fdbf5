import {
  type Copy,
  type CopyState,
  findBlock,
  type Frozen,
  frozenFor,
  type FrozenById,
  givenForGo,
  type Go,
  type HandOut,
  isItem,
  type ItemBlock,
  type Marking,
  questionNumbers,
  type Response,
  responseTo,
  type Verdict,
} from '@lorvet/core';
import { markThatCounts } from '@lorvet/core/marking';

/** One answer of the grid. */
export interface Cell {
  readonly id: string;
  readonly item: ItemBlock | null;
  readonly verdict: Verdict | 'absent';
  readonly byTeacher: boolean;
}

interface Made {
  /** Whose it is, or the key under which several do it together. */
  readonly learnerId: string;
  readonly name: string;
  /** Who does it, where several do it together. */
  readonly members: string;
  readonly copy: Copy | undefined;
  readonly marking: Marking | undefined;
  readonly frozen: Frozen;
  readonly state: CopyState;
  readonly columns: readonly { readonly id: string }[];
}

/** A learner's line of the grid. Answers are marked when they are looked at: most of a large grid is not on the page. */
export class Row {
  readonly learnerId: string;
  readonly name: string;
  readonly members: string;
  readonly copy: Copy | undefined;
  readonly frozen: Frozen;
  readonly state: CopyState;
  readonly go: Go | undefined;
  readonly response: Response | undefined;
  private readonly made: (Cell | undefined)[] = [];
  private counted: ReadonlyMap<string, number> | undefined;

  constructor(private readonly of: Made) {
    this.learnerId = of.learnerId;
    this.name = of.name;
    this.members = of.members;
    this.copy = of.copy;
    this.frozen = of.frozen;
    this.state = of.state;
    this.go = of.copy?.goes.at(-1);
    this.response = responseTo(of.marking, this.go?.n ?? 1);
  }

  /** The questions' numbers as the learner sees them. */
  get numbers(): ReadonlyMap<string, number> {
    return (this.counted ??= questionNumbers(this.frozen.content.pages));
  }

  cell(column: number): Cell | undefined {
    const id = this.of.columns[column]?.id;
    if (id === undefined) return undefined;
    return (this.made[column] ??= this.marked(id));
  }

  get cells(): readonly Cell[] {
    return this.of.columns.map((_, i) => this.cell(i) as Cell);
  }

  isOf(made: Made): boolean {
    return (Object.keys(made) as (keyof Made)[]).every((k) => made[k] === this.of[k]);
  }

  private marked(id: string): Cell {
    const block = findBlock(this.frozen.content, id)?.block;
    if (!block || !isItem(block)) return { id, item: null, verdict: 'absent', byTeacher: false };
    const mark = markThatCounts(block, this.go?.answers[id], this.response);
    return { id, item: block, verdict: mark.verdict, byTeacher: mark.byTeacher };
  }
}

/** The rows of a grid: one that is of the same work as before is the same row. */
export class Rows {
  private readonly rows = new Map<string, Row>();
  private readonly got = new Map<string, { readonly base: unknown; readonly own: unknown; readonly frozen: Frozen }>();

  row(made: Made): Row {
    const before = this.rows.get(made.learnerId);
    if (before?.isOf(made)) return before;
    const row = new Row(made);
    this.rows.set(made.learnerId, row);
    return row;
  }

  /** What a learner's last go is on; the same object for as long as it is the same. */
  frozenOf(h: HandOut, known: FrozenById, learnerId: string, go = Infinity): Frozen | undefined {
    const now = h.given[learnerId];
    const given = now && givenForGo(now, go);
    const base = given && known[given.frozen];
    if (!base) return undefined;
    const before = this.got.get(learnerId);
    if (before?.base === base && before.own === given.own) return before.frozen;
    const frozen = frozenFor(h, known, learnerId, go) ?? base;
    this.got.set(learnerId, { base, own: given.own, frozen });
    return frozen;
  }
}
