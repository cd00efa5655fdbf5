import type { Id } from '../activity/block';
import type { FrozenById } from '../assign/held/frozen';
import { frozenFor, type HandOut } from '../assign/hand-out';
import type { Answer } from '../work/answer';
import { type Copy, copyIdOf, emptyResponse, type Marking } from '../work/copy';
import { marksOf, marksToRelease, originsOf } from '../work/mark/marks-of';
import type { Clock } from './build';

/** "c:2" chooses option 2, "c:1,3" two of them; anything else is typed. */
const answer = (itemId: Id, short: string): Answer =>
  short.startsWith('c:')
    ? {
        kind: 'choice',
        chosen: short
          .slice(2)
          .split(',')
          .map((n) => `${itemId}-${n}`),
      }
    : { kind: 'text', text: short };

/** One learner's work: answers in the order q1 … q11, '' where nothing was given. */
type Work = readonly [name: string, state: 'working' | 'submitted', answers: readonly string[]];
const ROCK_WORK: readonly Work[] = [
  [
    'brannoc',
    'submitted',
    ['c:1', 'c:1,2', 'rain', 'crab', 'limpit', 'anemone', '3', '6', '', 'A crab has claws.', 'c:1'],
  ],
  [
    'ysolde',
    'submitted',
    [
      'c:1',
      'c:1,2,4',
      'the rain',
      'crab',
      'limpet',
      'anemony',
      '3',
      '7',
      '',
      'The limpet holds on to the rock. The waves cannot take it.',
      'c:1',
    ],
  ],
  ['oriel', 'submitted', ['c:1', 'c:1', 'rain', 'crab', 'limpet', '', '3', '7', '', '', 'c:1']],
  [
    'tamsin',
    'submitted',
    ['c:1', 'c:2,3', 'rain', 'crab', 'mussel', 'anemone', '3', '7', '', 'Shells keep the wet in.', 'c:2'],
  ],
  [
    'wilmot',
    'submitted',
    [
      'c:1',
      'c:1,2,4',
      'rain',
      'crab',
      'limpet',
      'anemone',
      '3',
      '7',
      'It is cold under there.',
      'A crab can hide in a crack because it is flat.',
      'c:1',
    ],
  ],
  ['demelza', 'working', ['c:1', 'c:1,4', 'rain', 'crab', '', '', '', '', '', '', '']],
  [
    'jory',
    'submitted',
    [
      'c:4',
      'c:1,2,4',
      'rain',
      'crab',
      'limpet',
      'sea anemone',
      '3',
      '7',
      'The sun would dry it out, under a stone it is damp.',
      'The mussel shuts its shell and keeps water in.',
      'c:1',
    ],
  ],
  [
    'kerra',
    'submitted',
    [
      'c:1',
      'c:1,2,4',
      'rain',
      'crab',
      'limpet',
      'anemone',
      '4',
      '7',
      'Because gulls cannot see it and it stays wet.',
      'The anemone pulls its arms in so that it stays wet.',
      'c:1',
    ],
  ],
  [
    'merryn',
    'submitted',
    ['c:3', 'c:1,2', 'salt', 'crab', 'barnacle', 'anemone', '3', '43', 'It hides.', 'A crab is hard.', 'c:3'],
  ],
  ['lamorna', 'working', ['c:1', 'c:1,2,4', '', '', '', '', '', '', '', '', '']],
  [
    'perran',
    'submitted',
    [
      'c:1',
      'c:1,2,4',
      'rain',
      'shore crab',
      'limpet',
      'anemone',
      '3',
      '7',
      'Sun and wind dry it out; under a stone the air is damp and gulls cannot see it.',
      'The limpet’s foot is a strong sucker and its shell fits the rock.',
      'c:1',
    ],
  ],
  [
    'elowen',
    'submitted',
    [
      'c:1',
      'c:1,2,4',
      'rainwater',
      'crab',
      'limpet',
      'anemone',
      '3',
      '7',
      'It has no shell to close, so it must find a damp place.',
      'Mussels tie themselves to the rock with threads.',
      'c:1',
    ],
  ],
  [
    'senara',
    'submitted',
    [
      'c:1',
      'c:1,2,4',
      'rain',
      'crab',
      'limpet',
      'anemone',
      '3',
      '7',
      'It would dry out in the sun.',
      'The crab’s flat body fits into cracks.',
      'c:1',
    ],
  ],
];
const EXTRA: Readonly<Record<string, Readonly<Record<Id, string>>>> = {
  perran: { 'rp-x1': 'The higher one. It is out of the water longer, so it needs more room for water.', 'rp-x2': '56' },
  elowen: { 'rp-x1': 'The upper one because it is dry for longer.', 'rp-x2': '28' },
  senara: { 'rp-x1': 'The higher limpet.', 'rp-x2': '56' },
};
const ITEMS = Array.from({ length: 11 }, (_, i) => `rp-q${i + 1}`);

export function copiesOf(handOut: HandOut, clock: Clock): Copy[] {
  return ROCK_WORK.map(([name, state, given], i) => {
    const learnerId = `l-${name}`;
    const answers = Object.fromEntries([
      ...ITEMS.flatMap((id, n) => (given[n] ? [[id, answer(id, given[n])]] : [])),
      ...Object.entries(EXTRA[name] ?? {}).map(([id, text]) => [id, answer(id, text)]),
    ]) as Record<string, Answer>;
    const submittedAt = state === 'submitted' ? clock.iso(-2, 10 + (i % 4)) : null;
    return {
      id: copyIdOf(handOut.id, learnerId),
      handOutId: handOut.id,
      learnerId,
      frozen: handOut.given[learnerId]?.frozen ?? '',
      goes: [{ n: 1, startedAt: clock.iso(-3, 9 + (i % 3)), submittedAt, answers }],
    };
  });
}

export function markingsOf(copies: readonly Copy[], clock: Clock): Marking[] {
  const say = (name: string, response: Partial<Marking['responses'][number]>): Marking[] =>
    copies
      .filter((c) => c.learnerId === `l-${name}`)
      .map((c) => ({
        id: c.id,
        copyId: c.id,
        responses: [{ ...emptyResponse(1), decidedAt: clock.iso(-1, 15), ...response }],
      }));
  return [
    ...say('jory', {
      decision: 'complete',
      comment: 'Well reasoned, Jory.',
      marks: { 'rp-q9': { verdict: 'right', points: 3 }, 'rp-q10': { verdict: 'right', points: 3 } },
    }),
    ...say('perran', {
      decision: 'complete',
      comment: 'You thought it through to the end.',
      marks: {
        'rp-q9': { verdict: 'right', points: 3 },
        'rp-q10': { verdict: 'right', points: 3 },
        'rp-x1': { verdict: 'right', points: 3 },
      },
    }),
    ...say('senara', {
      decision: 'complete',
      marks: {
        'rp-q9': { verdict: 'partly', points: 2 },
        'rp-q10': { verdict: 'right', points: 3 },
        'rp-x1': { verdict: 'partly', points: 1 },
      },
    }),
    ...say('tamsin', {
      decision: 'another go',
      comment: 'Look once more at the text on page 1, Tamsin. You nearly have it.',
      marks: { 'rp-q10': { verdict: 'partly', points: 2 } },
      comments: { 'rp-q2': 'Does a bright colour keep anything wet?' },
    }),
    ...say('wilmot', { decision: null, decidedAt: null, marks: { 'rp-q9': { verdict: 'partly', points: 1 } } }),
  ];
}

/** A marking whose decided goes have given their marks to the learner. */
export function withReleased(m: Marking, copies: readonly Copy[], handOut: HandOut, known: FrozenById): Marking {
  const copy = copies.find((c) => c.id === m.copyId);
  const frozen = copy && frozenFor(handOut, known, copy.learnerId);
  if (!copy || !frozen) return m;
  return {
    ...m,
    responses: m.responses.map((r) => {
      const answers = copy.goes.find((g) => g.n === r.go)?.answers ?? {};
      if (!r.decision) return r;
      const marks = marksOf(frozen, answers, r);
      return { ...r, released: marksToRelease(marks), origins: originsOf(frozen.id, marks, []) };
    }),
  };
}
