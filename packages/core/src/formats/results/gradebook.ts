import { strToU8, zipSync } from 'fflate';
import Papa from 'papaparse';
import type { Results } from './results';

/* OneRoster 1.2, CSV binding (1EdTech), the gradebook's part: categories, line items and results. */
const BASE = ['sourcedId', 'status', 'dateLastModified'];
const COLUMNS = {
  categories: [...BASE, 'title', 'weight'],
  lineItems: [
    ...BASE,
    ...['title', 'description', 'assignDate', 'dueDate', 'classSourcedId', 'categorySourcedId'],
    ...['gradingPeriodSourcedId', 'academicSessionSourcedId', 'schoolSourcedId', 'resultValueMin', 'resultValueMax'],
  ],
  results: [
    ...BASE,
    ...['lineItemSourcedId', 'studentSourcedId', 'scoreStatus', 'score', 'textScore', 'classSourcedId'],
    ...['scoreDate', 'comment', 'late', 'incomplete', 'inProgress', 'missing'],
  ],
} as const;
/** The other files that a manifest speaks of. */
const ABSENT = [
  ...['academicSessions', 'classResources', 'classes', 'courseResources', 'courses', 'demographics', 'enrollments'],
  ...['lineItemLearningObjectiveIds', 'lineItemScoreScales', 'orgs', 'resources', 'resultLearningObjectiveIds'],
  ...['resultScoreScales', 'roles', 'scoreScales', 'userProfiles', 'userResources', 'users'],
];

type Row = Readonly<Record<string, string | number>>;

/**
 * A OneRoster 1.2 package with one line item for the hand-out and one result for each learner. Learners go by the id that
 * the school's own list knows, where there is one. `now` is an ISO instant.
 */
export function gradebookPackage({ handOut, works }: Results, classId: string, now: string): Uint8Array {
  const base = { status: 'active', dateLastModified: now };
  const categoryId = `category-${handOut.category || 'work'}`;
  const most = works.reduce((n, w) => Math.max(n, w.total.outOf), 0);
  const day = (at: string | null) => (at ?? '').slice(0, 10);
  const tables: Record<keyof typeof COLUMNS, Row[]> = {
    categories: [{ ...base, sourcedId: categoryId, title: handOut.category || 'Work' }],
    lineItems: [
      {
        ...base,
        sourcedId: handOut.id,
        title: handOut.title,
        description: handOut.unit,
        assignDate: day(handOut.givenAt),
        dueDate: day(handOut.dueAt),
        classSourcedId: classId,
        categorySourcedId: categoryId,
        resultValueMin: 0,
        resultValueMax: most,
      },
    ],
    results: works.map((w) => {
      const isMarked = w.state === 'complete' && w.total.open === 0;
      const isIn = w.submittedAt !== '';
      const isLate = isIn && handOut.dueAt !== null && w.submittedAt.slice(0, 16) > handOut.dueAt;
      return {
        ...base,
        sourcedId: `${handOut.id}.${w.learner.id}`,
        lineItemSourcedId: handOut.id,
        studentSourcedId: w.learner.rosterId || w.learner.id,
        scoreStatus: isMarked
          ? 'fully graded'
          : isIn
            ? w.state === 'complete'
              ? 'partially graded'
              : 'submitted'
            : 'not submitted',
        // Versions may have fewer questions: the score is a share of what was asked, on the scale of the line item.
        score: isMarked && w.total.outOf ? Math.round((100 * w.total.points * most) / w.total.outOf) / 100 : '',
        textScore: isMarked ? `${w.total.points}/${w.total.outOf}` : '',
        classSourcedId: classId,
        scoreDate: day(w.decidedAt || w.submittedAt || now),
        comment: w.comment,
        late: String(isLate),
        incomplete: String(w.total.open > 0),
        inProgress: String(w.state === 'working' || w.state === 'another go'),
        missing: String(!isIn),
      };
    }),
  };
  const names = Object.keys(COLUMNS) as (keyof typeof COLUMNS)[];
  const manifest = [
    ['propertyName', 'value'],
    ['manifest.version', '1.0'],
    ['oneroster.version', '1.2'],
    ...[...ABSENT.map((f) => [`file.${f}`, 'absent']), ...names.map((f) => [`file.${f}`, 'bulk'])].sort((a, b) =>
      (a[0] ?? '') < (b[0] ?? '') ? -1 : 1,
    ),
    ['source.systemName', 'Lorvet'],
    ['source.systemCode', ''],
  ];
  const files: Record<string, Uint8Array> = { 'manifest.csv': strToU8(Papa.unparse(manifest)) };
  for (const name of names) {
    const fields = [...COLUMNS[name]];
    const data = tables[name].map((row) => fields.map((f) => row[f] ?? ''));
    files[`${name}.csv`] = strToU8(Papa.unparse({ fields, data }, { escapeFormulae: true }));
  }
  return zipSync(files, { mtime: new Date(2026, 0, 1) });
}
