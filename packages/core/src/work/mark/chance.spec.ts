import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { ItemBlock } from '../../activity/blocks';
import { faceOf } from '../../activity/parts';
import type { Answer } from '../answer';
import { markItem } from './mark-item';

const base = { id: 'q', audience: 'learner' as const, prompt: '?', demand: 'recall' as const, points: 1 };
/** Few words, so that some are alike. */
const word = fc.constantFrom('a', 'b', 'c', 'd', 'e');
const pieces = (words: readonly string[], what = 'p') => words.map((text, i) => ({ id: `${what}${i}`, text }));
const words = (min: number, max: number) => fc.array(word, { minLength: min, maxLength: max });
const chosen = (ids: readonly string[]): Answer => ({ kind: 'choice', chosen: [...ids] });

const subsets = (ids: readonly string[]): string[][] =>
  ids.reduce<string[][]>((all, id) => [...all, ...all.map((s) => [...s, id])], [[]]);
const orders = <T>(list: readonly T[]): T[][] =>
  list.length === 0 ? [[]] : list.flatMap((x, i) => orders(list.filter((_, k) => k !== i)).map((o) => [x, ...o]));
/** Every way to put each piece at one of the places. */
const ways = (ids: readonly string[], places: readonly string[]): Record<string, string>[] =>
  ids.reduce<Record<string, string>[]>((all, id) => all.flatMap((w) => places.map((p) => ({ ...w, [id]: p }))), [{}]);

interface Guessed {
  readonly item: ItemBlock;
  /** Every answer that somebody who knows nothing may give, each as likely as any other. */
  readonly answers: readonly Answer[];
  /** Whether an answer is the key. */
  isKey(a: Answer): boolean;
  /** The share of the points that guessing may earn on average: stated in docs/decisions/0031. */
  readonly bound: number;
}

const asked = (item: object) => item as ItemBlock;
const ids = (a: Answer) => (a.kind === 'choice' ? a.chosen : []);
const at = (a: Answer) => (a.kind === 'placed' ? a.placed : {});
const shown = (list: readonly { id: string; text: string }[], id: string | undefined) => {
  const p = list.find((x) => x.id === id);
  return p ? faceOf(p) : '';
};

const kinds: Record<string, fc.Arbitrary<Guessed>> = {
  'single choice': words(2, 6).map((texts): Guessed => {
    const options = pieces(texts);
    const alike = options.filter((o) => o.text === options[0]?.text).length;
    return {
      item: asked({ ...base, kind: 'single-choice', options, key: 'p0' }),
      answers: options.map((o) => chosen([o.id])),
      isKey: (a) => shown(options, ids(a)[0]) === shown(options, 'p0'),
      bound: alike / options.length,
    };
  }),
  'multiple choice': fc
    .array(fc.boolean(), { minLength: 2, maxLength: 7 })
    .filter((k) => k.includes(true) && k.includes(false))
    .map((right): Guessed => {
      const options = pieces(right.map((_, i) => `${i}`));
      const key = options.filter((_, i) => right[i]).map((o) => o.id);
      return {
        item: asked({ ...base, kind: 'multiple-choice', options, key }),
        answers: subsets(options.map((o) => o.id)).map(chosen),
        isKey: (a) => ids(a).length === key.length && key.every((k) => ids(a).includes(k)),
        bound: 1 / 4,
      };
    }),
  ordering: words(2, 6)
    .filter((w) => new Set(w).size > 1)
    .map((texts): Guessed => {
      const entries = pieces(texts);
      const rows = orders(entries);
      const different = new Set(rows.map((r) => r.map((e) => e.text).join())).size;
      return {
        item: asked({ ...base, kind: 'ordering', entries }),
        answers: rows.map((r) => chosen(r.map((e) => e.id))),
        isKey: (a) => ids(a).every((id, i) => shown(entries, id) === shown(entries, `p${i}`)),
        bound: Math.max(1 / different, 1 / 4),
      };
    }),
  matching: words(2, 4).map((texts): Guessed => {
    const left = pieces(
      texts.map((_, i) => `${i}`),
      'l',
    );
    const right = pieces(texts, 'r');
    const alike = Math.max(...texts.map((t) => texts.filter((u) => u === t).length));
    return {
      item: asked({ ...base, kind: 'matching', pairs: left.map((l, i) => ({ ...l, match: right[i] })), extra: [] }),
      answers: orders(right).map((o) => ({
        kind: 'placed',
        placed: Object.fromEntries(o.map((r, i) => [r.id, `l${i}`])),
      })),
      isKey: (a) => Object.entries(at(a)).every(([r, l]) => shown(right, r) === shown(right, l.replace('l', 'r'))),
      bound: alike / texts.length,
    };
  }),
  sorting: fc.array(fc.nat(2), { minLength: 1, maxLength: 4 }).map((group): Guessed => {
    const all = pieces(group.map((_, i) => `${i}`));
    const groups = ['g0', 'g1', 'g2'];
    return {
      item: asked({
        ...base,
        kind: 'sorting',
        groups: groups.map((id) => ({ id, text: id })),
        pieces: all.map((p, i) => ({ ...p, group: `g${group[i]}` })),
      }),
      answers: ways(
        all.map((p) => p.id),
        groups,
      ).map((placed) => ({ kind: 'placed', placed })),
      isKey: (a) => all.every((p, i) => at(a)[p.id] === `g${group[i]}`),
      bound: 1 / 3,
    };
  }),
  'counters in a frame': fc.integer({ min: 1, max: 10 }).map((count): Guessed => ({
    item: asked({ ...base, kind: 'pieces', board: { on: 'frames', size: 10, frames: 1 }, pieces: [], count }),
    answers: Array.from({ length: 10 }, (_, n) => chosen(Array.from({ length: n + 1 }, (__, i) => `c${i + 1}`))),
    isKey: (a) => ids(a).length === count,
    bound: 1 / 10,
  })),
  'pieces on a number line': fc.array(fc.nat(4), { minLength: 1, maxLength: 4 }).map((marks): Guessed => {
    const all = pieces(marks.map((_, i) => `${i}`));
    const board = { on: 'line', from: 0, to: 4, step: 1 };
    return {
      item: asked({
        ...base,
        kind: 'pieces',
        board,
        pieces: all.map((p, i) => ({ ...p, place: `n${marks[i]}` })),
        count: null,
      }),
      answers: ways(
        all.map((p) => p.id),
        ['n0', 'n1', 'n2', 'n3', 'n4'],
      ).map((placed) => ({ kind: 'placed', placed })),
      isKey: (a) => all.every((p, i) => at(a)[p.id] === `n${marks[i]}`),
      bound: 1 / 5,
    };
  }),
  'labels on a picture': words(2, 5).map((texts): Guessed => {
    const labels = pieces(texts);
    const spots = labels.map((label, i) => ({ id: `s${i}`, x: 10 * i, y: 10, label }));
    const alike = Math.max(...texts.map((t) => texts.filter((u) => u === t).length));
    return {
      item: asked({ ...base, kind: 'labels', assetId: 'a', alt: '', spots, extra: [] }),
      answers: orders(labels).map((o) => ({
        kind: 'placed',
        placed: Object.fromEntries(o.map((l, i) => [l.id, `s${i}`])),
      })),
      isKey: (a) => Object.entries(at(a)).every(([l, s]) => shown(labels, l) === shown(labels, s.replace('s', 'p'))),
      bound: alike / texts.length,
    };
  }),
  'gaps from a bank': fc.integer({ min: 1, max: 4 }).map((n): Guessed => {
    const own = ['a', 'b', 'c', 'd'].slice(0, n);
    const bank = [...own, 'e'];
    const gaps = own.map((w) => ({ id: w, key: [w], others: [] }));
    const text = own.map((w) => `{${w}}`).join(' ');
    return {
      item: asked({ ...base, kind: 'gaps', text, gaps, mode: 'bank', extra: ['e'], spellingTolerant: false }),
      answers: ways(own, bank).map((values) => ({ kind: 'values', values })),
      isKey: (a) => a.kind === 'values' && own.every((w) => a.values[w] === w),
      bound: 1 / (n + 1),
    };
  }),
  // Of a picture in fields: nobody looks for more than half of it.
  'spots on a picture': fc
    .array(fc.boolean(), { minLength: 2, maxLength: 8 })
    .filter((t) => t.includes(true) && t.filter(Boolean).length * 2 <= t.length)
    .map((isTarget): Guessed => {
      const fields = isTarget.map((_, i) => ({ id: `t${i}`, text: '', x: i * 10, y: 0, w: 9, h: 9 }));
      const targets = fields.filter((_, i) => isTarget[i]);
      const touched = (all: readonly string[]): Answer => ({
        kind: 'points',
        points: fields.filter((f) => all.includes(f.id)).map((f) => ({ x: f.x + 4, y: 4 })),
      });
      const key = JSON.stringify(touched(targets.map((t) => t.id)));
      return {
        item: asked({ ...base, kind: 'spots', assetId: 'a', alt: '', targets }),
        answers: subsets(fields.map((f) => f.id)).map(touched),
        isKey: (a) => JSON.stringify(a) === key,
        bound: 1 / 4,
      };
    }),
};

describe('what guessing earns', () => {
  it.each(Object.keys(kinds))('%s: no more than its bound on average, and full points for the key alone', (kind) => {
    fc.assert(
      fc.property(kinds[kind] as fc.Arbitrary<Guessed>, ({ item, answers, isKey, bound }) => {
        const marks = answers.map((a) => ({ a, mark: markItem(item, a) }));
        const mean = marks.reduce((n, { mark }) => n + mark.points, 0) / marks.length;
        // Points are rounded to hundredths.
        expect(mean).toBeLessThanOrEqual(bound + 0.005);
        for (const { a, mark } of marks) {
          expect(mark.points === item.points).toBe(isKey(a));
          expect(mark.verdict === 'right').toBe(isKey(a));
        }
      }),
      { numRuns: 30 },
    );
  });
});
