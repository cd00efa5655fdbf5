import type { HelpsFigures } from '../../platform/helps-desk';
import { counted } from '../../platform/many';
import type { Chart } from './figure';

/** From here on a result counts as mastered; see docs/decisions/0041. */
export const MASTERED = 0.8;
/** Below this an item hardly tells who knows the rest. */
const TELLS = 0.2;

const percent = (share: number): string => `${Math.round(share * 100)} %`;
const between = (s: { readonly low: number; readonly high: number }): string =>
  `${percent(s.low)} to ${percent(s.high)}`;
const few = (s: { readonly isSmall: boolean }): string => (s.isSmall ? 'few' : '');
const off = (all: readonly { readonly share: number; readonly low: number; readonly high: number }[]) => ({
  less: all.map((s) => s.share - s.low),
  more: all.map((s) => s.high - s.share),
});

/** Goals with the day by which, and how much of them is aimed at: lines in the chart over time. */
export interface GoalLine {
  readonly by: string;
  readonly text: string;
  /** From 0 to 1; undefined where it is not said. */
  readonly aim: number | undefined;
}

export function objectivesChart(f: HelpsFigures, goals: readonly GoalLine[], day: (iso: string) => string): Chart {
  const served = f.goals.map((g) => ({ ...g, name: `Goal: ${g.name}` }));
  const asked = f.objectives.filter((o) => o.points.length);
  const last = asked.flatMap((o) => {
    const p = o.points.at(-1);
    return p ? [{ name: o.name, p }] : [];
  });
  const there = last.filter((l) => l.p.share >= MASTERED);
  return {
    title: 'Results by objective, over time',
    says: last.length
      ? `${counted(last.length, 'One objective was asked', '{n} objectives were asked')}; in the last work ${counted(
          there.length,
          'one of them is at {level} or more.',
          '{n} of them are at {level} or more.',
          { level: percent(MASTERED) },
        )}${aims(f, goals)}`
      : 'Nothing that is marked was submitted in this time.',
    is: 'lines',
    ...{ xTitle: 'submitted', yTitle: 'reached', percent: true, days: true },
    targets: [
      { axis: 'y', at: MASTERED, name: `mastered, ${percent(MASTERED)}` },
      ...goals.flatMap((g) =>
        g.aim === undefined ? [] : [{ axis: 'y' as const, at: g.aim, name: `goal, ${percent(g.aim)}`, below: true }],
      ),
      ...goals.flatMap((g) => (g.by ? [{ axis: 'x' as const, at: g.by, name: `goal by ${day(g.by)}` }] : [])),
    ],
    series: [...asked, ...served].map((o) => ({
      name: o.name.slice(0, 60),
      x: o.points.map((p) => p.x),
      y: o.points.map((p) => p.share),
      few: o.points.map((p) => p.isSmall),
      text: o.points.map((p) => `${p.title}: ${percent(p.share)}, ${p.n} answers, ${between(p)}`),
      ...off(o.points),
    })),
    table: {
      head: ['Objective', 'Work', 'Day', 'Reached', 'Answers', 'Between', ''],
      rows: [...asked, ...served].flatMap((o) =>
        o.points.map((p) => [o.name, p.title, day(p.x), percent(p.share), `${p.n}`, between(p), few(p)]),
      ),
    },
  };
}

/** What works that served a goal reached of what it aims at. */
function aims(f: HelpsFigures, goals: readonly GoalLine[]): string {
  return goals
    .flatMap((g) => {
      const last = f.goals.find((s) => s.name === g.text)?.points.at(-1);
      if (!last || g.aim === undefined) return [];
      return [` The last work for “${g.text}” reached ${percent(last.share)}, of ${percent(g.aim)} aimed at.`];
    })
    .join('');
}

export function versionsChart({ family }: HelpsFigures): Chart {
  const rows = family?.versions ?? [];
  const names = rows.map((r) => r.name);
  const apart = rows.filter((a) => rows.some((b) => a.low > b.high || a.high < b.low));
  return {
    title: 'By version, on the same questions',
    says: !rows.length
      ? 'No work on this activity was submitted in this time.'
      : family?.common
        ? `${counted(family.common, 'One question is', '{n} questions are')} in all ${rows.length} versions that were submitted. ${
            apart.length
              ? 'At least two versions differ by more than chance would make likely.'
              : 'What the versions differ by may be chance.'
          }`
        : 'No question is in all versions that were submitted: they cannot be compared.',
    is: 'dots',
    across: true,
    ...{ xTitle: 'reached', yTitle: '', percent: true, order: [...names].reverse() },
    series: [
      {
        name: 'reached',
        x: rows.map((r) => r.share),
        y: names,
        few: rows.map((r) => r.isSmall),
        text: rows.map((r) => `${r.name}: ${percent(r.share)}, ${r.learners} learners, ${between(r)}`),
        ...off(rows),
      },
    ],
    table: {
      head: ['Version', 'Reached', 'Learners', 'Answers', 'Between', ''],
      rows: family?.common
        ? rows.map((r) => [r.name, percent(r.share), `${r.learners}`, `${r.n}`, between(r), few(r)])
        : [],
    },
  };
}

export function itemsChart({ family }: HelpsFigures): Chart {
  const items = family?.items ?? [];
  const name = (i: (typeof items)[number]) => (i.number ? `${i.number}` : '+');
  const told = items.filter((i) => i.tells !== null);
  const poor = told.filter((i) => !i.isSmall && (i.tells ?? 0) < TELLS);
  const hard = items.filter((i) => !i.isSmall && i.share < 0.3);
  return {
    title: 'How hard each question was, and how well it tells',
    says: items.length
      ? `${counted(items.length, 'One question', '{n} questions')}, across all versions. ${
          hard.length ? `Hard for nearly everybody: ${hard.map(name).join(', ')}. ` : ''
        }${poor.length ? `Telling little of who knows the rest: ${poor.map(name).join(', ')}.` : ''}`.trim()
      : 'No work on this activity was submitted in this time.',
    is: 'dots',
    ...{ xTitle: 'question', yTitle: 'reached', percent: true, order: items.map(name) },
    series: [
      {
        name: 'reached',
        x: items.map(name),
        y: items.map((i) => i.share),
        few: items.map((i) => i.isSmall),
        text: items.map(
          (i) => `${name(i)} ${i.words.slice(0, 60)}: ${percent(i.share)}, ${i.n} answers, ${between(i)}`,
        ),
        ...off(items),
      },
    ],
    table: {
      head: ['Question', 'In words', 'Reached', 'Answers', 'Between', 'Tells (−1 to 1)', ''],
      rows: items.map((i) => [
        ...[name(i), i.words, percent(i.share), `${i.n}`, between(i)],
        ...[i.tells === null ? 'cannot be said' : i.tells.toFixed(2), few(i)],
      ]),
    },
  };
}

export function supportsChart({ supports }: HelpsFigures): Chart {
  const shown = supports.filter((s) => s.with.n && s.without.n);
  const names = shown.map((s) => s.name);
  const side = (which: 'with' | 'without') => ({
    name: which,
    x: shown.map((s) => s[which].share),
    y: names,
    few: shown.map((s) => s[which].isSmall),
    text: shown.map(
      (s) => `${s.name}, ${which}: ${percent(s[which].share)}, ${s[which].n} works, ${between(s[which])}`,
    ),
    ...off(shown.map((s) => s[which])),
  });
  return {
    title: 'Supports and results, side by side',
    says: shown.length
      ? 'What went together: works that had a support, beside those that had not. It does not say that one made the other: who needs a support has it.'
      : 'No support was in some of the works and not in others.',
    is: 'dots',
    across: true,
    ...{ xTitle: 'reached, of a work', yTitle: '', percent: true, order: [...names].reverse() },
    series: shown.length ? [side('with'), side('without')] : [],
    table: {
      head: ['Support', 'With it', 'Works', 'Between', 'Without', 'Works', 'Between', ''],
      rows: shown.map((s) => [
        ...[s.name, percent(s.with.share), `${s.with.n}`, between(s.with)],
        ...[percent(s.without.share), `${s.without.n}`, between(s.without)],
        s.with.isSmall || s.without.isSmall ? 'few' : '',
      ]),
    },
  };
}

export function measuresChart({ family }: HelpsFigures): Chart {
  const all = family?.measures ?? [];
  const [master] = all;
  const kinds = [
    { name: 'words', of: (m: (typeof all)[number]) => m.words },
    { name: 'words a sentence', of: (m: (typeof all)[number]) => m.sentence },
    { name: 'questions', of: (m: (typeof all)[number]) => m.items },
    { name: 'minutes', of: (m: (typeof all)[number]) => m.minutes },
  ];
  const to = (k: (typeof kinds)[number], m: (typeof all)[number]) => {
    const base = master ? k.of(master) : 0;
    return base ? k.of(m) / base : 0;
  };
  const shorter = all.slice(1).filter((m) => to(kinds[0] as (typeof kinds)[number], m) < 0.75);
  return {
    title: 'Measures of the versions, to the master',
    says: all.length
      ? `The master is 100 %. ${
          shorter.length
            ? `Less than three quarters of its words: ${shorter.map((m) => m.name).join(', ')}.`
            : 'No version has less than three quarters of its words.'
        }`
      : 'No activity is chosen.',
    is: 'bars',
    ...{ xTitle: '', yTitle: 'to the master', percent: false, order: all.map((m) => m.name) },
    targets: [{ axis: 'y', at: 1, name: 'master' }],
    series: kinds.map((k) => ({
      name: k.name,
      x: all.map((m) => m.name),
      y: all.map((m) => to(k, m)),
      text: all.map((m) => `${m.name}, ${k.name}: ${k.of(m).toFixed(1)}, ${percent(to(k, m))}`),
    })),
    table: {
      head: ['Version', ...kinds.map((k) => k.name)],
      rows: all.map((m) => [m.name, ...kinds.map((k) => `${Math.round(k.of(m) * 10) / 10}`)]),
    },
  };
}

export function movesChart(f: HelpsFigures, nameOf: (id: string) => string, day: (iso: string) => string): Chart {
  const moved = f.moves.filter((m) => m.moved);
  const shown = moved.slice(0, 12);
  return {
    title: 'Who moved between versions',
    says: f.moves.length
      ? `${counted(moved.length, 'One learner', '{n} learners')} of ${f.moves.length} had another version in one work than in another.`
      : 'Nothing that is marked was submitted in this time.',
    is: 'lines',
    ...{ xTitle: 'submitted', yTitle: '', days: true },
    series: shown.map((m) => ({
      name: nameOf(m.learnerId),
      x: m.steps.map((s) => s.day),
      y: m.steps.map((s) => s.name),
      text: m.steps.map((s) => `${nameOf(m.learnerId)}, ${s.title}: ${s.name}`),
    })),
    table: {
      head: ['Learner', 'One work after the other'],
      rows: moved.map((m) => [nameOf(m.learnerId), m.steps.map((s) => `${s.name} (${day(s.day)})`).join(' → ')]),
    },
  };
}

export function driftChart({ family }: HelpsFigures): Chart {
  const all = family?.drift ?? [];
  const names = all.map((d) => d.name);
  const parts = [
    { name: 'as in the master', of: (d: (typeof all)[number]) => d.same },
    { name: 'changed', of: (d: (typeof all)[number]) => d.changed },
    { name: 'left out', of: (d: (typeof all)[number]) => d.leftOut },
    { name: 'added', of: (d: (typeof all)[number]) => d.added },
  ];
  const far = all.filter((d) => d.of && d.asks / d.of <= 0.5);
  return {
    title: 'How far each version is from its master',
    says: all.length
      ? far.length
        ? `Half of the master’s questions or more are not asked in: ${far.map((d) => d.name).join(', ')}.`
        : 'Every version still asks more than half of the master’s questions.'
      : 'No version of this activity is here.',
    is: 'stacked',
    across: true,
    ...{ xTitle: 'blocks', yTitle: '', order: [...names].reverse() },
    series: parts.map((p) => ({
      name: p.name,
      x: all.map((d) => p.of(d)),
      y: names,
      text: all.map((d) => `${d.name}: ${p.of(d)} ${p.name}`),
    })),
    table: {
      head: ['Version', ...parts.map((p) => p.name), 'Questions asked', 'Counts as'],
      rows: all.map((d) => [d.name, ...parts.map((p) => `${p.of(d)}`), `${d.asks} of ${d.of}`, d.counts]),
    },
  };
}
