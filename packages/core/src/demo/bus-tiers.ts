import type { Block } from '../activity/blocks';
import { type Family, latest } from '../activity/family';
import { draftStarters } from '../adjust/drafts';
import { proposeHardWords } from '../adjust/glossary';
import { otherNumbersFor } from '../adjust/other-numbers';
import type { Clock } from './build';
import { blockIn, Later, pageIn } from './later';

const shown: Block = {
  id: 'bus-we',
  kind: 'worked-example',
  audience: 'learner',
  title: 'How long from 9:10 to 9:40?',
  steps: [
    { id: 'bus-we-1', text: 'Start at 10 minutes past nine.' },
    { id: 'bus-we-2', text: 'Count on to 40 minutes past nine.' },
    { id: 'bus-we-3', text: 'That is 40 − 10 = 30 minutes.' },
  ],
};

/** The bus: hard words explained, an example shown, beginnings to write on from, other numbers, a voice, small pages. */
export function busTiers(bus: Family, voiceId: string, clock: Clock): Family {
  const later = new Later(clock);
  const entries = [
    { id: 'gl-1', word: 'timetable', meaning: 'a list of the times at which buses leave' },
    { id: 'gl-2', word: 'harbour', meaning: 'where boats are safe from the waves' },
  ];
  const was = proposeHardWords(pageIn(bus, 'bus-p1'));
  let f = later.change(
    bus,
    'bus-sup',
    [{ kind: 'glossary', page: 'bus-p1', after: null, blockId: 'bus-gl', title: 'Words to know', entries, was }],
    'New words of the unit',
  );
  f = later.change(
    f,
    'bus-sup',
    [{ kind: 'worked-example', page: 'bus-p1', after: 'bus-q2', block: shown }],
    'Counts on with a model beside it',
  );
  const long = latest(f).content.pages.flatMap((p) => p.blocks.filter((b) => b.kind === 'long-text'));
  f = later.change(
    f,
    'bus-sup',
    long.map((b) => draftStarters(b)),
    'Writing goal 1',
    'sentence starters',
  );
  const told = blockIn(f, 'bus-i2');
  const before = told.kind === 'instruction' ? told.text : '';
  f = later.change(
    f,
    'bus-sup',
    [
      {
        kind: 'reword-instructions',
        target: 'bus-i2',
        was: before,
        now: 'Be at the harbour by half past nine. You like [interest]. Write each time in your notebook first.',
      },
    ],
    'Works on paper first',
  );
  f = later.change(
    f,
    'bus-sup',
    [
      {
        kind: 'recorded-instruction',
        target: 'bus-i2',
        recording: { assetId: voiceId, what: 'sound' },
        was: 'Be at the harbour by half past nine. You like [interest]. Write each time in your notebook first.',
      },
    ],
    'Listens better than reads',
  );
  const price = blockIn(f, 'bus-q7');
  if (price.kind === 'number')
    f = later.change(
      f,
      'bus-sup',
      [
        {
          kind: 'other-numbers',
          ...otherNumbersFor(price, 'small'),
          ranges: { a: { min: 2, max: 3 }, b: { min: 2, max: 4 } },
        },
      ],
      'Tables of two and three are safe',
    );
  f = later.change(f, 'bus-sup', [{ kind: 'extra-time', percent: 25, days: 1 }], 'Extra time agreed in the plan');
  f = later.change(f, 'bus-sup', [{ kind: 'chunk', most: 5, pages: [] }], 'Five things on a page at most');
  f = later.change(
    f,
    'bus-core',
    [{ kind: 'move', what: 'block', target: 'bus-pic', page: 'bus-p1', after: 'bus-t1' }],
    'First the times, then the picture',
  );
  const ride = blockIn(f, 'bus-q6');
  const asked = ride.kind === 'long-text' ? ride.prompt : '';
  f = later.change(
    f,
    'bus-core',
    [
      {
        kind: 'by-interest',
        target: 'bus-q6',
        field: 'prompt',
        was: asked,
        by: [
          { interest: 'gulls', text: 'Which bus would you take to watch the gulls before half past nine, and why?' },
          { interest: 'bicycles', text: 'Which bus would you take if your bicycle had a puncture, and why?' },
        ],
      },
    ],
    'Writes more about what matters',
  );
  return later.change(f, 'bus-ext', [{ kind: 'goes', most: 2 }], 'A second go to find a better plan');
}
