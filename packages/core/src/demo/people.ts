import {
  type Comfort,
  EMPTY_NEEDS,
  type Group,
  type KeptComfort,
  type Learner,
  type NeedsCard,
  NO_PERSON,
  PLAIN_COMFORT,
  type SchoolClass,
} from '../learners/learner';

/** A few cards say more: what a learner is called, a birthday, a field of the teacher's own. */
const PERSON: Readonly<Record<string, Partial<Learner>>> = {
  oriel: { chosenName: 'Ori', birthday: '2016-04-09', fields: { pet: 'a cat called Moss' } },
  tamsin: { birthday: '2015-11-30', fields: { pet: 'two hens' } },
  ansel: { birthday: '2016-01-17', fields: { pet: 'a slow tortoise' } },
};

const who = (id: string, name: string, needs: Partial<NeedsCard>): Learner => ({
  id: `l-${id}`,
  name,
  ...NO_PERSON,
  ...PERSON[id],
  needs: { ...EMPTY_NEEDS, ...needs },
});

const reads = (id: string, comfort: Partial<Comfort>): KeptComfort => ({
  id: `l-${id}`,
  comfort: { ...PLAIN_COMFORT, ...comfort },
});

export const LEARNERS: readonly Learner[] = [
  who('brannoc', 'Brannoc T.', {
    readingGrade: 3.2,
    supports: ['word bank', 'short sentences'],
    interests: ['crabs'],
    goals: [{ id: 'g-brannoc', text: 'Reads a short text and finds two facts in it' }],
  }),
  who('ysolde', 'Ysolde M.', {
    readingGrade: 3.6,
    supports: ['word bank', 'hints'],
    interests: ['horses'],
    languages: ['Breton'],
  }),
  who('oriel', 'Oriel P.', {
    readingGrade: 2.8,
    supports: ['word bank', 'two or three choices', 'short sentences'],
    interests: ['trains'],
    goals: [{ id: 'g-oriel', text: 'Finishes one page without a break' }],
    note: 'One thing at a time.',
  }),
  who('tamsin', 'Tamsin W.', { readingGrade: 3.9, supports: ['word bank', 'hints'], interests: ['drums'] }),
  who('corin', 'Corin B.', { note: 'New this week; reading level not known yet.' }),
  who('wilmot', 'Wilmot A.', { readingGrade: 6, interests: ['kites'] }),
  who('demelza', 'Demelza K.', { readingGrade: 6.4, supports: ['hints'], interests: ['bees'] }),
  who('jory', 'Jory S.', { readingGrade: 6.8 }),
  who('kerra', 'Kerra L.', { readingGrade: 6.2, languages: ['Welsh'], interests: ['swimming'] }),
  who('merryn', 'Merryn H.', { readingGrade: 6.5 }),
  who('lamorna', 'Lamorna J.', { readingGrade: 5.9, interests: ['stars'] }),
  who('perran', 'Perran D.', { readingGrade: 9, wantsMore: true, interests: ['engines'] }),
  who('elowen', 'Elowen R.', { readingGrade: 8.7, wantsMore: true, interests: ['maps'] }),
  who('senara', 'Senara V.', { readingGrade: 8.9, wantsMore: true }),
  who('tegan', 'Tegan O.', { readingGrade: 4, supports: ['hints', 'two or three choices'], interests: ['football'] }),
  who('ansel', 'Ansel Q.', { readingGrade: 3.4, supports: ['hints', 'short sentences'], interests: ['boats'] }),
  who('nessa', 'Nessa G.', { readingGrade: 5.5, interests: ['gulls'] }),
  who('bryok', 'Bryok F.', { readingGrade: 6.1 }),
  who('hedra', 'Hedra N.', { readingGrade: 6.9, interests: ['baking'] }),
  who('cubert', 'Cubert I.', { readingGrade: 7.4, languages: ['Portuguese'] }),
  who('melyor', 'Melyor U.', { readingGrade: 9.2, wantsMore: true, interests: ['chess'] }),
  who('zennor', 'Zennor C.', { readingGrade: 4.4, supports: ['hints'] }),
  who('talan', 'Talan E.', { readingGrade: 7, interests: ['bicycles'] }),
];

const ids = (...names: string[]) => names.map((n) => `l-${n}`);

export const COMFORTS: readonly KeptComfort[] = [
  reads('ysolde', { size: 22 }),
  reads('oriel', { font: 'lexend', size: 26, spacing: 1.8, colours: 'cream' }),
  reads('merryn', { colours: 'mist' }),
  reads('zennor', { colours: 'night' }),
];

export const CLASSES: readonly SchoolClass[] = [
  { id: 'c-heron', name: 'Heron class', learnerIds: LEARNERS.slice(0, 14).map((l) => l.id) },
  { id: 'c-kestrel', name: 'Kestrel class', learnerIds: LEARNERS.slice(14).map((l) => l.id) },
];

export const GROUPS: readonly Group[] = [
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
