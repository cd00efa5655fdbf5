import { csvLines } from '../formats/csv-lines';
import { Problem } from '../formats/problem';
import { type GivenLevel, MOST_CRITERIA, MOST_LEVELS, type Rubric } from './given-level';

const mostOf = (c: Rubric['criteria'][number]): number => Math.max(0, ...c.levels.map((l) => l.points));

/** The levels given with one more, or another, in the rubric's order. */
export function withLevel(
  rubric: Rubric,
  given: readonly GivenLevel[],
  criterionId: string,
  levelId: string,
): GivenLevel[] {
  return rubric.criteria.flatMap((c) => {
    const before = given.find((g) => g.criterionId === c.id);
    const level = c.id === criterionId ? c.levels.find((l) => l.id === levelId) : undefined;
    if (!level) return before ? [before] : [];
    const { text, points } = level;
    return [{ criterionId: c.id, criterion: c.text, levelId, level: text, points, outOf: mostOf(c) }];
  });
}

/** The points of a question that the levels come to, to the hundredth; null until there is one for each criterion. */
export function pointsByLevels(rubric: Rubric, given: readonly GivenLevel[], outOf: number): number | null {
  const all = rubric.criteria.map((c) => ({ c, g: given.find((x) => x.criterionId === c.id) }));
  if (all.some(({ g }) => !g)) return null;
  const most = all.reduce((n, { c }) => n + mostOf(c), 0);
  if (most === 0) return outOf;
  return Math.round((100 * outOf * all.reduce((n, { g }) => n + (g?.points ?? 0), 0)) / most) / 100;
}

/** A rubric as lines: "Names a part: not yet / names it = 1 / says what for = 3". Without a number a level is one more than the one before it. */
export const rubricLines = (rubric: Rubric): string =>
  rubric.criteria
    .map(
      (c) => `${c.text}: ${c.levels.map((l, i) => (l.points === i ? l.text : `${l.text} = ${l.points}`)).join(' / ')}`,
    )
    .join('\n');

/**
 * A rubric out of such lines, or out of a table with the columns Criterion, Level and Points (CSV). Criteria that are there
 * in `before` by the same words keep their ids, and so do their levels.
 * @throws Problem that says which line is wrong, and how it is to be.
 */
export function readRubric(text: string, newId: () => string, before?: Rubric): Rubric {
  const lines = csvLines(text);
  const head = (lines[0]?.cells ?? []).map((c) => c.toLowerCase());
  const found =
    head[0] === 'criterion' && head[1] === 'level'
      ? fromTable(lines.slice(1), head.indexOf('points'))
      : fromLines(text.replace(/^\uFEFF/, '').split(/\r?\n/));
  if (found.length === 0)
    throw new Problem(
      'There is no criterion yet. Write one a line: what is looked at, a colon, and its levels with strokes between.',
    );
  if (found.length > MOST_CRITERIA)
    throw new Problem(`There are ${found.length} criteria; there is room for ${MOST_CRITERIA}.`);
  const criteria = found.map((c) => {
    const same = before?.criteria.find((b) => b.text === c.text);
    return {
      id: same?.id ?? newId(),
      text: c.text,
      levels: c.levels.map((l) => ({ id: same?.levels.find((b) => b.text === l.text)?.id ?? newId(), ...l })),
    };
  });
  return { criteria };
}

interface Found {
  readonly text: string;
  readonly levels: { text: string; points: number }[];
}

const short = (text: string): string => text.trim().slice(0, 300);
/** "2", "2,5"; null where it is no number of points. */
const pointsIn = (text: string): number | null => {
  const n = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(n) && n >= 0 && n <= 100 ? n : null;
};

function fromLines(lines: readonly string[]): Found[] {
  return lines.flatMap((line, i): Found[] => {
    if (line.trim() === '') return [];
    const at = line.indexOf(':');
    const levels =
      at < 0
        ? []
        : line
            .slice(at + 1)
            .split('/')
            .filter((l) => l.trim() !== '');
    if (at < 1 || levels.length < 2)
      throw new Problem(
        `Line ${i + 1}: “${line.trim().slice(0, 60)}” has no two levels. Write what is looked at, a colon, and the levels with strokes between: “Names a part: not yet / names it”.`,
      );
    if (levels.length > MOST_LEVELS)
      throw new Problem(`Line ${i + 1}: there are ${levels.length} levels; there is room for ${MOST_LEVELS}.`);
    return [
      {
        text: short(line.slice(0, at)),
        levels: levels.map((l, n) => {
          const sign = l.lastIndexOf('=');
          const points = sign < 0 ? n : pointsIn(l.slice(sign + 1));
          if (points === null)
            throw new Problem(`Line ${i + 1}: “${l.slice(sign + 1).trim()}” is no number of points from 0 to 100.`);
          return { text: short(sign < 0 ? l : l.slice(0, sign)) || `level ${n + 1}`, points };
        }),
      },
    ];
  });
}

function fromTable(
  lines: readonly { readonly line: number; readonly cells: readonly string[] }[],
  pointsAt: number,
): Found[] {
  const out: Found[] = [];
  for (const { line, cells } of lines) {
    const [criterion = '', level = ''] = cells;
    let last = out.at(-1);
    if (criterion !== '' && criterion !== last?.text) out.push((last = { text: short(criterion), levels: [] }));
    if (!last || level === '') throw new Problem(`Line ${line}: there is no ${last ? 'level' : 'criterion'}.`);
    if (last.levels.length >= MOST_LEVELS)
      throw new Problem(`Line ${line}: “${last.text}” has more than ${MOST_LEVELS} levels.`);
    const written = pointsAt < 0 ? '' : (cells[pointsAt] ?? '');
    const points = written === '' ? last.levels.length : pointsIn(written);
    if (points === null) throw new Problem(`Line ${line}: “${written}” is no number of points from 0 to 100.`);
    last.levels.push({ text: short(level), points });
  }
  return out;
}
