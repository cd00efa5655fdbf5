import type { Page } from '../activity/activity';
import type { Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import type { Family } from '../activity/family';
import { b, type Clock, FamilyMaker, page } from './build';

const O = { sort: 'mk-o1', count: 'mk-o2', money: 'mk-o3', tell: 'mk-o4' };
const item = (id: Id, prompt: string, objectiveId: Id, points = 2) => ({
  id,
  audience: 'learner' as const,
  prompt,
  demand: 'apply' as const,
  points,
  objectiveId,
});
const pieces = (id: Id, ...texts: string[]) => texts.map((text, i) => ({ id: `${id}-${i + 1}`, text }));

/** A packet that uses the many ways to answer, with one page laid over a copied sheet. */
export function market(
  clock: Clock,
  pictureId: string,
  sheetId: string,
  words: { stall: string; coins: string },
): Family {
  const contents: Block = { id: 'mk-c1', kind: 'contents', audience: 'learner', title: 'In this packet' };
  const today: Block = {
    id: 'mk-d1',
    kind: 'daily-note',
    audience: 'learner',
    day: clock.local(0).slice(0, 10),
    text: 'The market is on the quay today. Bring your list.',
  };
  const vocabulary: Block = {
    id: 'mk-v1',
    kind: 'vocabulary',
    audience: 'learner',
    title: 'Words of the market',
    entries: [
      { id: 'mk-v1-1', word: 'stall', meaning: 'a table with a roof where things are sold', assetId: words.stall },
      { id: 'mk-v1-2', word: 'till', meaning: 'where you pay' },
      { id: 'mk-v1-3', word: 'change', meaning: 'the money you get back', assetId: words.coins },
    ],
  };
  const sort: Block = {
    ...item('mk-q1', 'Which stall sells it? Sort the goods.', O.sort, 3),
    kind: 'sorting',
    groups: pieces('mk-q1g', 'Fruit stall', 'Fish stall', 'Boat stall'),
    pieces: [
      { id: 'mk-q1-1', text: 'apples', group: 'mk-q1g-1' },
      { id: 'mk-q1-2', text: 'pears', group: 'mk-q1g-1' },
      { id: 'mk-q1-3', text: 'herring', group: 'mk-q1g-2' },
      { id: 'mk-q1-4', text: 'rope', group: 'mk-q1g-3' },
      { id: 'mk-q1-5', text: 'an anchor', group: 'mk-q1g-3' },
    ],
  };
  const match: Block = {
    ...item('mk-q2', 'Who says what at the market?', O.tell, 3),
    kind: 'matching',
    pairs: [
      { id: 'mk-q2-1', text: 'The seller', match: { id: 'mk-q2r-7', text: 'That is one pound, please.' } },
      { id: 'mk-q2-2', text: 'The buyer', match: { id: 'mk-q2r-3', text: 'Two apples, please.' } },
      { id: 'mk-q2-3', text: 'The porter', match: { id: 'mk-q2r-5', text: 'Mind your backs!' } },
    ],
    extra: [{ id: 'mk-q2r-9', text: 'Tickets, please.' }],
  };
  const labels: Block = {
    ...item('mk-q3', 'Label the picture.', O.sort, 3),
    kind: 'labels',
    assetId: pictureId,
    alt: 'A quay with three stalls: the left one sells red round fruit, the middle one fish, the right one coils of rope.',
    spots: [
      { id: 'mk-q3-1', x: 16, y: 52, label: { id: 'mk-q3l-4', text: 'apples' } },
      { id: 'mk-q3-2', x: 50, y: 53, label: { id: 'mk-q3l-2', text: 'fish' } },
      { id: 'mk-q3-3', x: 82, y: 52, label: { id: 'mk-q3l-8', text: 'rope' } },
    ],
    extra: [{ id: 'mk-q3l-6', text: 'boots' }],
  };
  const spots: Block = {
    ...item('mk-q4', 'Mark every person in the picture.', O.count),
    kind: 'spots',
    assetId: pictureId,
    alt: 'The same quay; one person stands between the first two stalls, another between the second and third.',
    targets: [
      { id: 'mk-q4-1', text: 'the woman in purple', x: 29, y: 40, w: 8, h: 40 },
      { id: 'mk-q4-2', text: 'the man in green', x: 62, y: 42, w: 8, h: 38 },
    ],
  };
  const frames: Block = {
    ...item('mk-q5', 'There are 4 apples and 3 fish. Put a counter for each.', O.count),
    kind: 'pieces',
    board: { on: 'frames', size: 10, frames: 1 },
    pieces: [],
    count: 7,
  };
  const line: Block = {
    ...item('mk-q6', 'Put each price on the number line.', O.money),
    kind: 'pieces',
    board: { on: 'line', from: 0, to: 100, step: 10 },
    pieces: [
      { id: 'mk-q6-1', text: 'apple 30 p', place: 'n30' },
      { id: 'mk-q6-2', text: 'rope 80 p', place: 'n80' },
    ],
    count: null,
  };
  const gaps: Block = {
    ...item('mk-q7', 'Fill the gaps with words from the bank.', O.tell, 3),
    kind: 'gaps',
    text: 'First I read my {g1}. Then I walk to the {g2}. I pay at the {g3} and count my change.',
    gaps: [
      { id: 'g1', key: ['list'], others: [] },
      { id: 'g2', key: ['stall'], others: [] },
      { id: 'g3', key: ['till'], others: [] },
    ],
    mode: 'bank',
    extra: ['boat'],
    spellingTolerant: true,
  };
  const order: Block = {
    ...item('mk-q8', 'Put the steps of buying in order.', O.tell),
    kind: 'ordering',
    entries: pieces('mk-q8', 'Choose what you need', 'Ask for the price', 'Pay', 'Take your change'),
  };
  const fill: Block = {
    ...item('mk-q9', 'Fill the table.', O.money, 2),
    kind: 'table-fill',
    columns: pieces('mk-q9c', 'Basket', 'Cost', 'Change from 1.00'),
    rows: [
      ['one apple', '30 p', '70 p'],
      ['one metre of rope', '80 p', '20 p'],
    ].map(([name = '', cost = '', change = ''], i) => ({
      id: `mk-q9r${i}`,
      cells: [
        { id: `mk-q9r${i}-1`, text: name, blank: false, key: [] },
        { id: `mk-q9r${i}-2`, text: cost, blank: false, key: [] },
        { id: `mk-q9r${i}-3`, text: '', blank: true, key: [change, change.replace(' p', '')] },
      ],
    })),
    spellingTolerant: true,
  };
  const sheet: Page = {
    ...page(
      'mk-p4',
      'At the till',
      b.number('mk-q10', 'What do two apples cost?', 60, 'p', { o: O.money }),
      b.number('mk-q11', 'What do one fish and one apple cost?', 2.8, '', { o: O.money }),
      b.number('mk-q12', 'What do three metres of rope cost?', 2.4, '', { o: O.money }),
      b.one('mk-q13', 'Which basket costs most?', ['Basket 1', '*Basket 2', 'Basket 3'], { o: O.money }),
    ),
    fixed: {
      assetId: sheetId,
      alt: 'A copied sheet. Prices: apple 30 p, fish 2.50, rope 80 p a metre. Four questions with places to answer.',
    },
    places: {
      'mk-q10': { x: 63, y: 36.5, w: 26, h: 4.5 },
      'mk-q11': { x: 63, y: 47, w: 26, h: 4.5 },
      'mk-q12': { x: 63, y: 57.5, w: 26, h: 4.5 },
      'mk-q13': { x: 50, y: 72, w: 40, h: 14 },
    },
  };
  const again: Page = page(
    'mk-p7',
    'Once more at the quay',
    b.many('mk-q20', 'What do you take along? Choose all that are right.', ['*a list', '*money', 'a boat'], {
      o: O.tell,
    }),
    b.short('mk-q21', 'Who carries the boxes?', ['porter', 'the porter'], { o: O.sort }),
    {
      ...item('mk-q22', 'Why do you ask for the price first?', O.tell, 2),
      kind: 'long-text',
      key: 'So that the money is enough.',
      lines: 3,
      starters: ['First I', 'Because'],
    },
    {
      ...item('mk-q23', 'Choose the word that fits.', O.tell, 1),
      kind: 'gaps',
      text: 'The fish stall stands {g1} the fruit stall.',
      gaps: [{ id: 'g1', key: ['beside'], others: ['under', 'inside'] }],
      mode: 'chosen',
      extra: [],
      spellingTolerant: false,
    },
    {
      ...item('mk-q24', 'Write the word that fits.', O.money, 1),
      kind: 'gaps',
      text: 'Rope is sold by the {g1}.',
      gaps: [{ id: 'g1', key: ['metre', 'meter'], others: [] }],
      mode: 'typed',
      extra: [],
      spellingTolerant: true,
    },
    {
      ...item('mk-q25', 'Put each thing into the table.', O.sort),
      kind: 'pieces',
      board: { on: 'table', columns: pieces('mk-q25c', 'to eat', 'not to eat'), rows: pieces('mk-q25r', 'sold here') },
      pieces: [
        { id: 'mk-q25-1', text: 'a pear', place: 'mk-q25r-1:mk-q25c-1' },
        { id: 'mk-q25-2', text: 'a chain', place: 'mk-q25r-1:mk-q25c-2' },
      ],
      count: null,
    },
    {
      ...item('mk-q26', 'Hang each sign on its stall.', O.sort),
      kind: 'pieces',
      board: {
        on: 'picture',
        assetId: pictureId,
        alt: 'The quay with its three stalls: fruit on the left, fish in the middle, rope on the right.',
        places: [
          { id: 'mk-q26-a', text: 'the left stall', x: 5, y: 40, w: 24, h: 26 },
          { id: 'mk-q26-b', text: 'the right stall', x: 71, y: 40, w: 24, h: 26 },
        ],
      },
      pieces: [
        { id: 'mk-q26-1', text: 'Fruit', place: 'mk-q26-a' },
        { id: 'mk-q26-2', text: 'Ropes', place: 'mk-q26-b' },
      ],
      count: null,
    },
    {
      ...item('mk-q27', 'Write a price on each stall.', O.money, 1),
      kind: 'picture-writing',
      assetId: pictureId,
      alt: 'The quay with its three stalls, to write on.',
    },
  );
  return new FamilyMaker(
    'market',
    {
      title: 'Market day at the quay',
      swatch: { pattern: 'stripe', colour: 'c', letter: 'Y' },
      subject: 'Maths and daily life',
      ages: '8–11',
      objectives: [
        { id: O.sort, text: 'Sort and name everyday goods' },
        { id: O.count, text: 'Count up to ten' },
        { id: O.money, text: 'Add and compare prices' },
        { id: O.tell, text: 'Tell the steps of an errand' },
      ],
    },
    [
      {
        ...page(
          'mk-p1',
          'Before we go',
          b.heading('mk-h1', 'Market day at the quay'),
          today,
          contents,
          vocabulary,
          sort,
          match,
        ),
        mark: { day: 'Monday', subject: 'Daily life', colour: 'a', sign: 'shell' },
      },
      {
        ...page('mk-p2', 'On the quay', labels, spots, frames, line),
        mark: { day: 'Tuesday', subject: 'Maths', colour: 'b', sign: 'wave' },
      },
      {
        ...page('mk-p3', 'Buying and paying', gaps, order, fill),
        mark: { day: 'Wednesday', subject: 'Maths', colour: 'c', sign: 'sun' },
      },
      sheet,
      page(
        'mk-p5',
        'At home',
        { ...item('mk-q14', 'Draw your own stall.', O.tell), kind: 'drawing', height: 'middle' },
        {
          ...item('mk-q15', 'Tick each step when you have done it with your family.', O.tell, 1),
          kind: 'steps',
          steps: pieces('mk-q15', 'Write a list of three things', 'Find the price of each', 'Add the prices'),
        },
        { ...item('mk-q16', 'Take a photograph of your list.', O.tell, 1), kind: 'photo', most: 3 },
        { ...item('mk-q17', 'Say what you would buy, and why.', O.tell, 1), kind: 'voice', most: 2 },
        {
          ...item('mk-q18', 'Weigh three apples in the kitchen corner and write it on the card.', O.count, 1),
          kind: 'paper',
          key: 'between 300 g and 500 g',
        },
        { ...item('mk-q19', 'Is there anything you want to tell me?', O.tell, 0), kind: 'notes' },
        {
          id: 'mk-f1',
          kind: 'family-note',
          audience: 'learner',
          text: 'Any shop will do. If there is no time this week, a price list from a paper is enough.',
        },
      ),
      again,
      {
        ...page('mk-p6', 'Answers', b.text('mk-t6', 'Basket 1 costs 60 p, basket 2 costs 2.80, basket 3 costs 2.40.')),
        audience: 'key',
      },
    ],
    clock.iso(-4),
  ).family;
}
