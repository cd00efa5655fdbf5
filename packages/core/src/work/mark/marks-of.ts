import { itemsOf } from '../../activity/activity';
import { type ItemBlock, itemRules } from '../../activity/blocks';
import type { Frozen } from '../../assign/held/frozen';
import type { Accepted } from '../accepted';
import type { Answer, ItemMark, Verdict } from '../answer';
import type { MarkOrigin, ReleasedMark, Response } from '../copy';
import { withAccepted } from './accepted';
import { markThatCounts } from './mark-item';

/** One question of a sheet with what was answered and the mark that counts. `item` is as it is marked: with what was accepted since. */
export interface Marked {
  readonly item: ItemBlock;
  readonly answer: Answer | undefined;
  readonly mark: ItemMark & { readonly byTeacher: boolean };
}

/** All questions of a sheet, marked. */
export const marksOf = (
  frozen: Pick<Frozen, 'content'>,
  answers: Readonly<Record<string, Answer>>,
  response: Response | undefined,
  accepted: readonly Accepted[] = [],
): Marked[] => itemsOf(frozen.content).map((item) => markedOne(item, answers[item.id], response, accepted));

export function markedOne(
  item: ItemBlock,
  answer: Answer | undefined,
  response: Response | undefined,
  accepted: readonly Accepted[] = [],
): Marked {
  const now = withAccepted(item, accepted);
  return { item: now, answer, mark: markThatCounts(now, answer, response) };
}

/** Points reached and to be reached over all that is marked; questions that are still the teacher's. Points to the hundredth. */
export interface Total {
  readonly points: number;
  readonly outOf: number;
  readonly open: number;
  readonly right: number;
  readonly wrong: number;
}

/** `byHand` are points that were given to the whole, in place of the sum. */
export function totalOf(marks: readonly Pick<Marked, 'mark'>[], byHand?: number): Total {
  const sum = (of: (m: ItemMark) => number) => Math.round(100 * marks.reduce((n, x) => n + of(x.mark), 0)) / 100;
  const are = (...v: Verdict[]) => marks.filter((x) => v.includes(x.mark.verdict)).length;
  const outOf = sum((m) => m.outOf);
  return {
    points: byHand === undefined ? sum((m) => m.points) : Math.min(byHand, outOf),
    outOf,
    open: are('yours'),
    right: are('right'),
    wrong: are('not-yet', 'partly', 'empty'),
  };
}

/** The marks that count, by item, as they go to the learner when the teacher has decided. */
export const marksToRelease = (marks: readonly Marked[]): Record<string, ReleasedMark> =>
  Object.fromEntries(marks.map(({ item, mark: { verdict, points, outOf } }) => [item.id, { verdict, points, outOf }]));

/** What each of these marks was made by; `sheet` is the address of what the answers were given on. */
export const originsOf = (
  sheet: string,
  marks: readonly Marked[],
  accepted: readonly Accepted[],
): Record<string, MarkOrigin> =>
  Object.fromEntries(
    marks.map(({ item, mark }): [string, MarkOrigin] => {
      const too = accepted
        .filter((a) => a.itemId === item.id)
        .map((a) => itemRules(item).answerWords(item, a.answer).slice(0, 2000));
      return [
        item.id,
        {
          sheet,
          by: mark.byTeacher ? 'teacher' : 'rule',
          why: mark.why.slice(0, 2000),
          ...(too.length ? { accepted: too } : {}),
        },
      ];
    }),
  );
