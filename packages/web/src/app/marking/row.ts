import {
  type Accepted,
  type Copy,
  copyIdOf,
  type CopyState,
  emptyResponse,
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
  type PaperPage,
  questionNumbers,
  type Response,
  responseTo,
  type Verdict,
} from '@lorvet/core';
import { type Marked, markedOne, marksOf, sheetsOf, type Total, totalOf } from '@lorvet/core/marking';

/** One answer of the grid. */
export interface Cell {
  readonly id: string;
  /** The question as it is marked; null where the version has it not. */
  readonly item: ItemBlock | null;
  readonly verdict: Verdict | 'absent';
  readonly byTeacher: boolean;
}

interface Made {
  readonly handOutId: string;
  /** Whose it is, or the key under which several do it together. */
  readonly learnerId: string;
  readonly name: string;
  /** Who does it, where several do it together. */
  readonly members: string;
  readonly memberIds: readonly string[];
  readonly copy: Copy | undefined;
  readonly marking: Marking | undefined;
  readonly frozen: Frozen;
  /** The same sheet as all have it who got it, without what is this learner's own. */
  readonly base: Frozen;
  readonly state: CopyState;
  readonly columns: readonly { readonly id: string }[];
  /** What is accepted besides the keys. */
  readonly accepted: readonly Accepted[];
}

/** A learner's line of the grid. Answers are marked when they are looked at: most of a large grid is not on the page. */
export class Row {
  readonly learnerId: string;
  readonly name: string;
  readonly members: string;
  readonly memberIds: readonly string[];
  readonly copy: Copy | undefined;
  readonly frozen: Frozen;
  readonly base: Frozen;
  readonly state: CopyState;
  readonly go: Go | undefined;
  readonly response: Response | undefined;
  readonly marking: Marking | undefined;
  private readonly made = new Map<string, Cell>();
  private counted: ReadonlyMap<string, number> | undefined;
  private all: readonly Marked[] | undefined;
  private sum: Total | undefined;

  constructor(private readonly of: Made) {
    this.learnerId = of.learnerId;
    this.name = of.name;
    this.members = of.members;
    this.memberIds = of.memberIds;
    this.copy = of.copy;
    this.frozen = of.frozen;
    this.base = of.base;
    this.state = of.state;
    this.marking = of.marking;
    this.go = of.copy?.goes.at(-1);
    this.response = responseTo(of.marking, this.go?.n ?? 1);
  }

  /** Whether it is decided, and the learner is not told yet. */
  get isHeld(): boolean {
    return this.response?.heldUntil !== undefined;
  }

  get copyId(): string {
    return copyIdOf(this.of.handOutId, this.learnerId);
  }

  /** The questions' numbers as the learner sees them. */
  get numbers(): ReadonlyMap<string, number> {
    return (this.counted ??= questionNumbers(this.frozen.content.pages));
  }

  /** All questions of the sheet with their marks, whatever the grid shows. */
  get marks(): readonly Marked[] {
    return (this.all ??= marksOf(this.frozen, this.go?.answers ?? {}, this.response, this.of.accepted));
  }

  /** The same, were these the teacher's marks. */
  marksWith(marks: Response['marks']): readonly Marked[] {
    const response = { ...(this.response ?? emptyResponse(1)), marks };
    return marksOf(this.frozen, this.go?.answers ?? {}, response, this.of.accepted);
  }

  /** The same, were these accepted besides the keys. */
  marksBy(accepted: readonly Accepted[]): readonly Marked[] {
    return marksOf(this.frozen, this.go?.answers ?? {}, this.response, accepted);
  }

  get total(): Total {
    return (this.sum ??= totalOf(this.marks, this.response?.points));
  }

  /** The sheets of paper that show a question. */
  sheetsWith(itemId: string): readonly PaperPage[] {
    const page = this.frozen.content.pages.find((p) => p.blocks.some((b) => b.id === itemId));
    return page ? sheetsOf(this.response, page.id) : [];
  }

  cell(column: number): Cell | undefined {
    const id = this.of.columns[column]?.id;
    return id === undefined ? undefined : this.cellOf(id);
  }

  cellOf(id: string): Cell {
    let cell = this.made.get(id);
    if (!cell) this.made.set(id, (cell = this.marked(id)));
    return cell;
  }

  isOf(made: Made): boolean {
    return (Object.keys(made) as (keyof Made)[]).every((k) => k === 'memberIds' || made[k] === this.of[k]);
  }

  private marked(id: string): Cell {
    const block = findBlock(this.frozen.content, id)?.block;
    if (!block || !isItem(block)) return { id, item: null, verdict: 'absent', byTeacher: false };
    const { item, mark } = markedOne(block, this.go?.answers[id], this.response, this.of.accepted);
    return { id, item, verdict: mark.verdict, byTeacher: mark.byTeacher };
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
