import type { Workspace } from '../workspace';
import type { NamedAudience } from '../learners/audience';
import { type Comfort, type KeptComfort, PLAIN_COMFORT } from '../learners/comfort';
import { EMPTY_NEEDS, type Goal, type Learner, type NeedsCard, NO_PERSON } from '../learners/learner';
import { type Level, READING } from '../learners/levels';
import { type Group, NEW_CLASS, NEW_GROUP, type SchoolClass } from '../learners/people';
import { agreed } from '../learners/supports';
import type { Clock } from './build';

/** A few cards say more: what a learner is called, a birthday, a field of the teacher's own. */
const PERSON: Readonly<Record<string, Partial<Learner>>> = {
  oriel: { chosenName: 'Ori', birthday: '2016-04-09', fields: { pet: 'a cat called Moss' } },
  tamsin: { birthday: '2015-11-30', fields: { pet: 'two hens' } },
  ansel: { birthday: '2016-01-17', fields: { pet: 'a slow tortoise' } },
};

/** A card in short: what a learner reads at (school grade) and is at in number (steps of the school's own). */
interface Short extends Partial<Omit<NeedsCard, 'levels' | 'supports' | 'goals'>> {
  readonly reads?: number;
  readonly number?: number;
  readonly supports?: readonly string[];
  readonly goals?: readonly (Partial<Goal> & Pick<Goal, 'id' | 'text'>)[];
}

const LEARNERS: readonly (readonly [id: string, name: string, card: Short])[] = [
  [
    'brannoc',
    'Brannoc T.',
    {
      reads: 3.2,
      number: 4,
      supports: ['word bank', 'short sentences'],
      interests: ['crabs'],
      goals: [
        {
          id: 'g-brannoc',
          text: 'Reads a short text and finds two facts in it',
          measure: 'facts found, of 4',
          target: 3,
        },
      ],
    },
  ],
  [
    'ysolde',
    'Ysolde M.',
    {
      reads: 3.6,
      number: 6,
      supports: ['word bank', 'hints'],
      interests: ['horses'],
      languages: ['Breton'],
    },
  ],
  [
    'oriel',
    'Oriel P.',
    {
      reads: 2.8,
      number: 3,
      supports: ['word bank', 'two or three choices', 'short sentences'],
      interests: ['trains'],
      goals: [{ id: 'g-oriel', text: 'Finishes one page without a break' }],
      note: 'One thing at a time.',
      works: 'Trains as examples; a strip that covers the lines below.',
      avoid: 'Being asked to hurry.',
      seenBy: { supports: 'family', works: 'family', interests: 'family', levels: 'team', goals: 'team' },
    },
  ],
  [
    'tamsin',
    'Tamsin W.',
    {
      reads: 3.9,
      number: 5,
      supports: ['word bank', 'hints'],
      interests: ['drums'],
      works: 'A timer that she sets herself.',
    },
  ],
  ['corin', 'Corin B.', { note: 'New this week; reading level not known yet.' }],
  ['wilmot', 'Wilmot A.', { reads: 6, number: 7, interests: ['kites'] }],
  ['demelza', 'Demelza K.', { reads: 6.4, number: 6, supports: ['hints'], interests: ['bees'] }],
  ['jory', 'Jory S.', { reads: 6.8, number: 8 }],
  ['kerra', 'Kerra L.', { reads: 6.2, number: 7, languages: ['Welsh'], interests: ['swimming'] }],
  ['merryn', 'Merryn H.', { reads: 6.5, number: 5 }],
  ['lamorna', 'Lamorna J.', { reads: 5.9, number: 7, interests: ['stars'] }],
  ['perran', 'Perran D.', { reads: 9, number: 10, wantsMore: true, interests: ['engines'] }],
  ['elowen', 'Elowen R.', { reads: 8.7, number: 9, wantsMore: true, interests: ['maps'] }],
  ['senara', 'Senara V.', { reads: 8.9, number: 10, wantsMore: true }],
  ['tegan', 'Tegan O.', { reads: 4, number: 4, supports: ['hints', 'two or three choices'], interests: ['football'] }],
  ['ansel', 'Ansel Q.', { reads: 3.4, number: 3, supports: ['hints', 'short sentences'], interests: ['boats'] }],
  ['nessa', 'Nessa G.', { reads: 5.5, number: 5, interests: ['gulls'] }],
  ['bryok', 'Bryok F.', { reads: 6.1, number: 7 }],
  ['hedra', 'Hedra N.', { reads: 6.9, number: 8, interests: ['baking'] }],
  ['cubert', 'Cubert I.', { reads: 7.4, number: 6, languages: ['Portuguese'] }],
  ['melyor', 'Melyor U.', { reads: 9.2, number: 10, wantsMore: true, interests: ['chess'] }],
  ['zennor', 'Zennor C.', { reads: 4.4, number: 3, supports: ['hints'] }],
  ['talan', 'Talan E.', { reads: 7, number: 7, interests: ['bicycles'] }],
];

const reads = (id: string, comfort: Partial<Comfort>): KeptComfort => ({
  id: `l-${id}`,
  comfort: { ...PLAIN_COMFORT, ...comfort },
});

const ids = (...names: string[]) => names.map((n) => `l-${n}`);

const COMFORTS: readonly KeptComfort[] = [
  reads('ysolde', { size: 22 }),
  reads('oriel', { font: 'lexend', size: 26, spacing: 1.8, colours: 'cream' }),
  reads('merryn', { colours: 'mist' }),
  reads('zennor', { colours: 'night' }),
];

const LEARNER_IDS = LEARNERS.map(([id]) => `l-${id}`);
export const CLASSES: readonly SchoolClass[] = [
  { ...NEW_CLASS, id: 'c-heron', name: 'Heron class', learnerIds: LEARNER_IDS.slice(0, 14) },
  { ...NEW_CLASS, id: 'c-kestrel', name: 'Kestrel class', learnerIds: LEARNER_IDS.slice(14) },
];

const GROUPS: readonly Omit<Group, 'from' | 'until'>[] = [
  {
    id: 'g-limpets',
    name: 'Limpets',
    purpose: 'reading, this term',
    learnerIds: ids('brannoc', 'ysolde', 'oriel', 'tamsin', 'corin'),
  },
  {
    id: 'g-shanny',
    name: 'Shanny',
    purpose: 'reading, this term',
    learnerIds: ids('wilmot', 'demelza', 'jory', 'kerra', 'merryn', 'lamorna'),
  },
  { id: 'g-anemones', name: 'Anemones', purpose: 'reading, this term', learnerIds: ids('perran', 'elowen', 'senara') },
  {
    id: 'g-curlews',
    name: 'Curlews',
    purpose: 'number, Tuesdays',
    learnerIds: ids('tegan', 'ansel', 'zennor', 'nessa'),
  },
];

/** Agreed for more than what an activity can show. */
const MORE_AGREED: Readonly<Record<string, readonly string[]>> = {
  tamsin: ['extra time'],
  oriel: ['extra time', 'an assistant beside them'],
  zennor: ['large print'],
  merryn: ['large print'],
  ansel: ['an assistant beside them'],
};

/** The people of Kelp Bay School, with days laid around the clock's. */
export function peopleAt(clock: Clock): Pick<Workspace, 'learners' | 'comforts' | 'classes' | 'groups' | 'audiences'> {
  const day = (days: number) => clock.local(days).slice(0, 10);
  const term = { from: day(-80), until: day(24) };
  const level = (skill: string, scale: Level['scale'], value: number, days: number): Level => ({
    skill,
    scale,
    value,
    on: day(days),
  });
  const learners = LEARNERS.map(
    ([id, name, { reads: reading, number, supports = [], goals = [], ...rest }]): Learner => ({
      id: `l-${id}`,
      name,
      ...NO_PERSON,
      ...PERSON[id],
      needs: {
        ...EMPTY_NEEDS,
        ...rest,
        levels: [
          // What was written at the beginning of the term stays beside what is true now.
          ...(reading !== undefined && reading < 4
            ? [level(READING, 'grade', Math.round(reading * 10 - 4) / 10, -78)]
            : []),
          ...(reading === undefined ? [] : [level(READING, 'grade', reading, -20)]),
          ...(number === undefined ? [] : [level('number', 'step', number, -33)]),
        ],
        supports: [...supports, ...(MORE_AGREED[id] ?? [])].map((what) => ({
          ...agreed(what),
          from: term.from,
          reviewOn: day(20),
        })),
        goals: goals.map((g) => ({ measure: '', target: null, by: day(24), ...g })),
      },
    }),
  );
  const audiences: NamedAudience[] = [
    {
      id: 'a-print',
      name: 'Large print',
      match: 'all',
      conditions: [{ is: 'support', what: 'large print' }],
      also: [],
      but: [],
      usedAt: clock.iso(-9),
    },
    {
      id: 'a-early',
      name: 'Early readers of Heron',
      match: 'all',
      conditions: [
        { is: 'in', part: 'class', ids: ['c-heron'] },
        { is: 'level', skill: READING, side: 'below', scale: 'grade', value: 4 },
      ],
      also: ['l-corin'],
      but: [],
      usedAt: '',
    },
  ];
  const byId = <T extends { id: string }>(list: readonly T[]) => Object.fromEntries(list.map((x) => [x.id, x]));
  return {
    learners: byId(learners),
    comforts: byId(COMFORTS),
    classes: byId(CLASSES),
    groups: byId(GROUPS.map((g) => ({ ...NEW_GROUP, ...term, ...g }))),
    audiences: byId(audiences),
  };
}

/** The names of the demo's learners, in their order. */
export const LEARNER_NAMES = LEARNERS.map(([, name]) => name);
