import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { blocksOf } from '../../activity/activity';
import { type Block, isItem, type ItemBlock, itemRules, learnerBlockSchema, forLearner } from '../../activity/blocks';
import { type Family, latest } from '../../activity/family';
import { demoWorkspace } from '../../demo/index';
import { type Answer, answerIsEmpty } from '../answer';
import { markItem } from './mark-item';

const market = demoWorkspace(Date.UTC(2026, 10, 24)).families['market'] as Family;
const items = [...blocksOf(latest(market).content)].map((p) => p.block).filter(isItem);
const item = (id: string): ItemBlock => {
  const found = items.find((i) => i.id === id);
  if (!found) throw new Error(`the demo has no ${id}`);
  return found;
};
const placed = (entries: Record<string, string>): Answer => ({ kind: 'placed', placed: entries });
const chosen = (...ids: string[]): Answer => ({ kind: 'choice', chosen: ids });
const values = (entries: Record<string, string>): Answer => ({ kind: 'values', values: entries });
const says = (id: string, answer: Answer) => {
  const m = markItem(item(id), answer);
  return [m.verdict, m.points];
};

describe('marks by kind', () => {
  it.each<[string, string, Answer, string, number]>([
    [
      'sorting, all',
      'mk-q1',
      placed({
        'mk-q1-1': 'mk-q1g-1',
        'mk-q1-2': 'mk-q1g-1',
        'mk-q1-3': 'mk-q1g-2',
        'mk-q1-4': 'mk-q1g-3',
        'mk-q1-5': 'mk-q1g-3',
      }),
      'right',
      3,
    ],
    [
      'sorting, three of five',
      'mk-q1',
      placed({ 'mk-q1-1': 'mk-q1g-1', 'mk-q1-2': 'mk-q1g-2', 'mk-q1-3': 'mk-q1g-2', 'mk-q1-4': 'mk-q1g-3' }),
      'partly',
      1.8,
    ],
    [
      'matching, one of three',
      'mk-q2',
      placed({ 'mk-q2r-7': 'mk-q2-1', 'mk-q2r-5': 'mk-q2-2', 'mk-q2r-9': 'mk-q2-3' }),
      'partly',
      1,
    ],
    [
      'labels, all',
      'mk-q3',
      placed({ 'mk-q3l-4': 'mk-q3-1', 'mk-q3l-2': 'mk-q3-2', 'mk-q3l-8': 'mk-q3-3' }),
      'right',
      3,
    ],
    [
      'spots, both',
      'mk-q4',
      {
        kind: 'points',
        points: [
          { x: 33, y: 60 },
          { x: 66, y: 60 },
        ],
      },
      'right',
      2,
    ],
    [
      'spots, one and one beside',
      'mk-q4',
      {
        kind: 'points',
        points: [
          { x: 33, y: 60 },
          { x: 5, y: 5 },
        ],
      },
      'not-yet',
      0,
    ],
    [
      'spots, the same twice',
      'mk-q4',
      {
        kind: 'points',
        points: [
          { x: 33, y: 60 },
          { x: 34, y: 61 },
        ],
      },
      'partly',
      1,
    ],
    ['frames, seven', 'mk-q5', chosen('c1', 'c2', 'c3', 'c4', 'c5', 'c6', 'c10'), 'right', 2],
    ['frames, six', 'mk-q5', chosen('c1', 'c2', 'c3', 'c4', 'c5', 'c6'), 'not-yet', 0],
    ['number line, one of two', 'mk-q6', placed({ 'mk-q6-1': 'n30', 'mk-q6-2': 'n70' }), 'partly', 1],
    ['gaps, two of three', 'mk-q7', values({ g1: 'list', g2: 'boat', g3: 'till' }), 'partly', 2],
    ['order, the last one first', 'mk-q8', chosen('mk-q8-4', 'mk-q8-1', 'mk-q8-2', 'mk-q8-3'), 'partly', 0.74],
    [
      'table, either way of writing',
      'mk-q9',
      values({ 'mk-q9r0-3': '70p'.replace('p', ' p'), 'mk-q9r1-3': '20' }),
      'right',
      2,
    ],
    ['steps, two of three', 'mk-q15', chosen('mk-q15-1', 'mk-q15-2'), 'partly', 0.67],
    ['a drawing', 'mk-q14', { kind: 'drawing', strokes: [], words: [{ x: 1, y: 1, text: 'my stall' }] }, 'yours', 0],
    ['a photograph', 'mk-q16', { kind: 'media', takes: ['a'], best: 'a' }, 'yours', 0],
    ['on paper', 'mk-q18', chosen('done'), 'yours', 0],
  ])('%s', (_, id, answer, verdict, points) => expect(says(id, answer)).toEqual([verdict, points]));

  it('spelling is forgiven in a gap that is typed, and not in one from a bank', () => {
    const gaps = item('mk-q7') as Extract<Block, { kind: 'gaps' }>;
    const slip = values({ g1: 'list', g2: 'stal', g3: 'till' });
    expect(markItem(gaps, slip).points).toBe(2);
    expect(markItem({ ...gaps, mode: 'typed' }, slip).points).toBe(3);
  });

  it('an empty answer is empty for the learner’s reminder and for the mark alike, in every kind', () => {
    const empties: Answer[] = [
      chosen(),
      { kind: 'text', text: '  ' },
      values({ g1: ' ' }),
      placed({}),
      { kind: 'points', points: [] },
      { kind: 'drawing', strokes: [], words: [{ x: 0, y: 0, text: ' ' }] },
      { kind: 'media', takes: [], best: '' },
    ];
    for (const i of items)
      for (const a of empties) {
        expect(answerIsEmpty(a)).toBe(true);
        expect(markItem(i, a).verdict).toBe('empty');
      }
  });

  it('never gives more points than there are nor fewer than none, whatever was given', () => {
    const anyId = fc.constantFrom(
      ...items.flatMap((i) => [i.id, `${i.id}-1`, `${i.id}-2`]),
      'c1',
      'n30',
      'g1',
      'elsewhere',
    );
    const answers: fc.Arbitrary<Answer> = fc.oneof(
      fc.array(anyId, { maxLength: 12 }).map((ids) => chosen(...ids)),
      fc.dictionary(anyId, anyId, { maxKeys: 12 }).map(placed),
      fc.dictionary(anyId, fc.string({ maxLength: 8 }), { maxKeys: 6 }).map(values),
      fc
        .array(fc.record({ x: fc.nat(100), y: fc.nat(100) }), { maxLength: 8 })
        .map((points): Answer => ({ kind: 'points', points })),
      fc.string().map((text): Answer => ({ kind: 'text', text })),
    );
    fc.assert(
      fc.property(fc.constantFrom(...items), answers, (i, a) => {
        const m = markItem(i, a);
        expect(m.points).toBeGreaterThanOrEqual(0);
        expect(m.points).toBeLessThanOrEqual(m.outOf);
        expect(typeof itemRules(i).answerWords(i, a)).toBe('string');
      }),
    );
  });
});

describe('what a learner receives', () => {
  it('says nothing of which pieces belong where: the same package, whatever the key', () => {
    const sort = item('mk-q1') as Extract<Block, { kind: 'sorting' }>;
    const other = { ...sort, pieces: sort.pieces.map((p) => ({ ...p, group: sort.groups[0]?.id ?? '' })) };
    expect(forLearner(other)).toEqual(forLearner(sort));
    const line = item('mk-q6') as Extract<Block, { kind: 'pieces' }>;
    expect(forLearner({ ...line, pieces: line.pieces.map((p) => ({ ...p, place: 'n0' })) })).toEqual(forLearner(line));
    const match = item('mk-q2') as Extract<Block, { kind: 'matching' }>;
    const [a, b, c] = match.pairs;
    if (!a || !b || !c) throw new Error('the demo changed');
    const crossed = {
      ...match,
      pairs: [
        { ...a, match: b.match },
        { ...b, match: c.match },
        { ...c, match: a.match },
      ],
    };
    expect(forLearner(crossed)).toEqual(forLearner(match));
    const labels = item('mk-q3') as Extract<Block, { kind: 'labels' }>;
    expect(JSON.stringify(forLearner(labels))).not.toMatch(/"label":/);
    const gaps = item('mk-q7') as Extract<Block, { kind: 'gaps' }>;
    expect(JSON.stringify(forLearner({ ...gaps, mode: 'typed' }))).not.toMatch(/list|till|boat/);
    const fill = item('mk-q9');
    expect(JSON.stringify(forLearner(fill))).not.toMatch(/70 p/);
  });

  it('an order says nothing of the right one, and is always the same', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.string({ minLength: 1, maxLength: 6 }), { minLength: 2, maxLength: 8 }),
        fc.string(),
        (ids, salt) => {
          const block = { ...item('mk-q8'), id: `b${salt}`, entries: ids.map((id) => ({ id, text: id })) } as Block;
          const given = forLearner(block) as Extract<ReturnType<typeof forLearner>, { kind: 'ordering' }>;
          const turnedRound = { ...block, entries: [...ids].reverse().map((id) => ({ id, text: id })) } as Block;
          expect(forLearner(turnedRound)).toEqual(given);
          expect([...given.entries].map((e) => e.id).sort()).toEqual([...ids].sort());
          expect(forLearner(block)).toEqual(given);
          expect(learnerBlockSchema.safeParse(given).success).toBe(true);
        },
      ),
    );
  });
});
