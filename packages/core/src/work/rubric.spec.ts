import { describe, expect, it } from '@jest/globals';
import { rubricSchema } from './given-level';
import { pointsByLevels, readRubric, rubricLines, withLevel } from './rubric';

const LINES = 'Names a part: not yet / names it / names two = 3\nSays what for: no / yes';
const ids = () => {
  let n = 0;
  return () => `i${++n}`;
};
const rubric = readRubric(LINES, ids());

describe('a rubric', () => {
  it('is read from lines, and written as they were', () => {
    expect(rubricSchema.parse(rubric)).toEqual(rubric);
    expect(rubric.criteria.map((c) => [c.text, c.levels.map((l) => l.points)])).toEqual([
      ['Names a part', [0, 1, 3]],
      ['Says what for', [0, 1]],
    ]);
    expect(rubricLines(rubric)).toBe(LINES);
  });

  it('is read from a table by another program, whatever parts its cells', () => {
    const table =
      '\uFEFFCriterion;Level;Points\r\nNames a part;not yet;0\r\n;names it;1,5\r\nSays what for;no;\r\nSays what for;yes;\r\n';
    expect(readRubric(table, ids()).criteria.map((c) => c.levels.map((l) => l.points))).toEqual([
      [0, 1.5],
      [0, 1],
    ]);
  });

  it('keeps the levels that are still there when it is written anew', () => {
    const next = readRubric('Names a part: not yet / names it = 2', () => 'new', rubric);
    expect(next.criteria[0]?.id).toBe(rubric.criteria[0]?.id);
    expect(next.criteria[0]?.levels.map((l) => l.id)).toEqual(rubric.criteria[0]?.levels.slice(0, 2).map((l) => l.id));
  });

  it('says which line is wrong, and how it is to be', () => {
    for (const [text, says] of [
      ['', /no criterion yet/],
      ['Names a part', /Line 1: “Names a part” has no two levels/],
      ['A: no / yes\nB: one = many / two', /Line 2: “many” is no number/],
      [`A: ${Array.from({ length: 9 }, (_, i) => `l${i}`).join('/')}`, /9 levels/],
      ['Criterion,Level,Points\n,not yet,0', /Line 2: there is no criterion/],
    ] as const)
      expect(() => readRubric(text, ids())).toThrow(says);
  });

  it('comes to points once each criterion has a level: a share of what the question is worth', () => {
    const [a, b] = rubric.criteria;
    if (!a || !b) throw new Error('no criteria');
    const one = withLevel(rubric, [], b.id, b.levels[1]?.id ?? '');
    expect(pointsByLevels(rubric, one, 2)).toBeNull();
    const both = withLevel(rubric, one, a.id, a.levels[1]?.id ?? '');
    expect(both.map((g) => g.level)).toEqual(['names it', 'yes']);
    // Two of the four that it can come to, of a question worth 2.
    expect(pointsByLevels(rubric, both, 2)).toBe(1);
    const full = withLevel(rubric, both, a.id, a.levels[2]?.id ?? '');
    expect(pointsByLevels(rubric, full, 3)).toBe(3);
  });
});
