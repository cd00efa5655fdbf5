import type { Verdict } from '../../work/answer';
import type { Results } from './results';
import { csvWritten } from '../csv-written';

const MARKS: Readonly<Record<Verdict, string>> = {
  right: 'right',
  partly: 'partly',
  'not-yet': 'not yet',
  empty: 'nothing given',
  yours: 'to be judged',
};

/** One line for each learner and question: the mark with its origin, so that it can be checked without Lorvet. */
export const answersCsv = ({ handOut, works }: Results): string =>
  csvWritten(
    [
      ...['Learner', 'Work', 'Version', 'Revision', 'Go', 'Submitted', 'State', 'Question', 'Wording', 'Answer'],
      ...['Key', 'Accepted too', 'Mark', 'Points', 'Out of', 'Marked by', 'Why', 'Comment', 'Sheet', 'Item'],
    ],
    works.flatMap((w) =>
      w.items.map((i) => [
        ...[w.learner.name, handOut.title, w.version, w.revision, w.go, w.submittedAt, w.state, i.number],
        ...[i.wording, i.answer, i.key.join(' / '), i.accepted.join(' / '), MARKS[i.verdict], i.points, i.outOf],
        ...[i.by, i.why, i.comment, w.sheet, i.itemId],
      ]),
    ),
  );

/** One line for each learner, one column for each question that any version has, and the total. */
export function pointsCsv(
  { works }: Results,
  columns: readonly { readonly id: string; readonly name: string }[],
): string {
  return csvWritten(
    ['Learner', 'Version', 'State', ...columns.map((c) => c.name), 'Points', 'Out of', 'To be judged', 'Comment'],
    works.map((w) => {
      const items = new Map(w.items.map((i) => [i.itemId, i]));
      return [
        w.learner.name,
        w.version,
        w.state,
        ...columns.map((c) => items.get(c.id)?.points ?? ''),
        w.total.points,
        w.total.outOf,
        w.total.open,
        w.comment,
      ];
    }),
  );
}
