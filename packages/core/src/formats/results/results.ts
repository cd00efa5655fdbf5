import { findBlock } from '../../activity/activity';
import { isItem, type ItemBlock, itemRules } from '../../activity/blocks';
import { questionNumbers } from '../../activity/numbering';
import type { Frozen } from '../../assign/held/frozen';
import type { HandOut } from '../../assign/hand-out';
import type { Learner } from '../../learners/learner';
import type { Verdict } from '../../work/answer';
import type { CopyState, Go, Response } from '../../work/copy';
import { type Marked, marksOf, originsOf, type Total, totalOf } from '../../work/mark/marks-of';

/** One question of a learner's work with its mark, and all that it was made by. */
export interface ItemResult {
  readonly itemId: string;
  /** The question's number on the learner's sheet. */
  readonly number: number;
  /** Which kind of question it is. */
  readonly kind: ItemBlock['kind'];
  /** As the learner had it. */
  readonly wording: string;
  /** The same before anything personal was filled in: without the learner's name. */
  readonly shared: string;
  /** What counted as right for them, with what was accepted since. */
  readonly key: readonly string[];
  readonly accepted: readonly string[];
  readonly answer: string;
  readonly verdict: Verdict;
  readonly points: number;
  readonly outOf: number;
  readonly by: 'rule' | 'teacher';
  readonly why: string;
  readonly comment: string;
}

/** What one learner got for their last go. */
export interface WorkResult {
  readonly learner: Pick<Learner, 'id' | 'name' | 'rosterId'>;
  readonly version: string;
  readonly revision: number;
  /** Address of the sheet as it was given. */
  readonly sheet: string;
  readonly state: CopyState;
  readonly go: number;
  /** ISO instants; empty where it did not happen. */
  readonly submittedAt: string;
  readonly decidedAt: string;
  readonly comment: string;
  readonly items: readonly ItemResult[];
  readonly total: Total;
}

/** The results of one hand-out. */
export interface Results {
  readonly handOut: Pick<HandOut, 'id' | 'title' | 'givenAt' | 'dueAt' | 'category' | 'points' | 'unit'>;
  readonly works: readonly WorkResult[];
}

/** One learner's result: the marks that count, each with its origin. */
export function resultOf(of: {
  readonly learner: WorkResult['learner'];
  readonly frozen: Frozen;
  /** The same sheet without the blocks that are this learner's own. */
  readonly base: Frozen;
  readonly state: CopyState;
  readonly go: Go | undefined;
  readonly response: Response | undefined;
  readonly accepted: HandOut['accepted'];
}): WorkResult {
  const { frozen, go, response } = of;
  const accepted = of.accepted ?? [];
  const marks = marksOf(frozen, go?.answers ?? {}, response, accepted);
  const numbers = questionNumbers(frozen.content.pages);
  // What was kept when it was decided counts before what the rules say today.
  const origins = { ...originsOf(frozen.id, marks, accepted), ...response?.origins };
  return {
    learner: { id: of.learner.id, name: of.learner.name, rosterId: of.learner.rosterId },
    version: frozen.versionName,
    revision: frozen.revision,
    sheet: frozen.id,
    state: of.state,
    go: go?.n ?? 0,
    submittedAt: go?.submittedAt ?? '',
    decidedAt: response?.decidedAt ?? '',
    comment: response?.comment ?? '',
    items: marks.map((m): ItemResult => {
      const shared = findBlock(of.base.content, m.item.id)?.block;
      const item = itemOf(m, numbers.get(m.item.id) ?? 0, response, origins);
      return { ...item, shared: shared && isItem(shared) ? shared.prompt : item.wording };
    }),
    total: totalOf(marks, response?.points),
  };
}

function itemOf(
  { item, answer, mark }: Marked,
  number: number,
  response: Response | undefined,
  origins: NonNullable<Response['origins']>,
): Omit<ItemResult, 'shared'> {
  const rules = itemRules(item);
  const origin = origins[item.id];
  return {
    itemId: item.id,
    number,
    kind: item.kind,
    wording: item.prompt,
    key: rules.keyWords(item),
    accepted: origin?.accepted ?? [],
    answer: answer && !rules.isEmpty(answer) ? rules.answerWords(item, answer) : '',
    verdict: mark.verdict,
    points: mark.points,
    outOf: mark.outOf,
    by: origin?.by ?? 'rule',
    why: origin?.why ?? mark.why,
    comment: response?.comments[item.id] ?? '',
  };
}
