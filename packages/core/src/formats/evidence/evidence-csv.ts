import type { Evidence } from '../../evidence/evidence';
import { csvWritten } from '../csv-written';

const HEAD = [
  ...['Learner', 'Work', 'Given', 'Version', 'Revision', 'Adjustment', 'Category', 'Counts as', 'Computed', 'Why'],
  ...['Overruled because', 'Reason', 'Goal', 'From', 'Until', 'Made', 'By', 'Used', 'Right', 'Of', 'Master'],
  ...['Learner’s', 'Sheet'],
];

/** One line for each adjustment that reached a learner, with what came of it. */
export const evidenceLines = (e: Evidence): (string | number)[][] =>
  e.works.flatMap((w) =>
    w.adjustments.map((a) => {
      const sides = w.sides.filter((s) => s.adjustmentIds.includes(a.adjustmentId));
      return [
        ...[e.learner.name, w.title, w.givenAt, a.versionName, w.revision, a.sentence, a.category, a.countsAs],
        ...[a.overruled?.was ?? a.countsAs, a.why, a.overruled?.reason ?? '', a.reason, a.goal?.text ?? ''],
        ...[a.from, a.until, a.at, a.author, a.used, a.result?.right ?? '', a.result?.of ?? ''],
        ...[sides.map((s) => s.master).join('\n'), sides.map((s) => s.learner).join('\n'), w.sheet],
      ];
    }),
  );

/** The lines of all, under their head. */
export const evidenceCsv = (lines: readonly (readonly (string | number)[])[]): string => csvWritten(HEAD, lines);
