import { withWords } from '../activity/blocks';
import { type Family, latest } from '../activity/family';
import { saveRevision } from '../upkeep/resolve';
import { AUTHOR, b, type Clock, FamilyMaker, page, withBlock } from './build';

const O = { name: 'rp-o1', facts: 'rp-o2', count: 'rp-o3', explain: 'rp-o4' };

export function rockPool(clock: Clock, pictureId: string): Family {
  const m = new FamilyMaker(
    'rock-pool',
    {
      title: 'Rock-pool survey',
      swatch: { pattern: 'basket', colour: 'e', letter: 'G' },
      subject: 'Science and reading',
      ages: '9–11',
      objectives: [
        { id: O.name, text: 'Name animals of the shore' },
        { id: O.facts, text: 'Find facts in a text' },
        { id: O.count, text: 'Count and compare' },
        { id: O.explain, text: 'Explain adaptations' },
      ],
    },
    [
      page(
        'rp-p1',
        'Life between the tides',
        b.heading('rp-h1', 'Life between the tides'),
        b.picture(
          'rp-pic',
          pictureId,
          'A rock pool with three limpets on the rock, a red crab, an anemone, weed and two mussels.',
        ),
        b.text(
          'rp-t1',
          'Twice each day the retreating sea exposes a strip of shore, and creatures stranded there must withstand drying winds, sudden rain and the sun until the water returns. Some animals seal themselves inside a shell; others shelter beneath stones or seaweed, where it remains damp until the evening.',
        ),
        b.note('rp-n1', 'Show the tray of shells first. Brannoc and Ysolde may hold the limpet shell while reading.'),
        b.one(
          'rp-q1',
          'Which animal can close its shell when the tide is out?',
          ['*Mussel', 'Jellyfish', 'Shrimp', 'Starfish'],
          {
            o: O.facts,
            demand: 'understand',
            note: 'Limpet is right too, but it clamps down and does not close.',
          },
        ),
        b.many(
          'rp-q2',
          'Which of these help an animal to stay damp? Choose all that are right.',
          ['*A closed shell', '*Seaweed above it', 'A bright colour', '*A stone to hide beneath', 'Long legs'],
          { o: O.facts, demand: 'understand' },
        ),
        b.short('rp-q3', 'What falls suddenly and makes the pool less salty?', ['rain', 'the rain', 'rainwater'], {
          o: O.facts,
        }),
      ),
      page(
        'rp-p2',
        'Who lives here?',
        b.tell('rp-i2', 'Look at the picture of the pool. Write the name of each animal, then count.'),
        b.short('rp-q4', 'It walks sideways and has two strong claws.', ['crab', 'a crab', 'shore crab'], {
          o: O.name,
        }),
        b.short('rp-q5', 'It clings to bare rock under a pointed shell.', ['limpet', 'a limpet'], { o: O.name }),
        b.short('rp-q6', 'It looks like a flower and stings small prey.', ['anemone', 'sea anemone', 'an anemone'], {
          o: O.name,
        }),
        b.number('rp-q7', 'How many limpets can you count on the rock?', 3, 'limpets', { o: O.count }),
        b.number('rp-q8', 'On Monday there were 18 limpets, on Friday 25. How many more is that?', 7, 'limpets', {
          o: O.count,
          given: [
            { name: 'a', value: 18, min: 5, max: 20, step: 1 },
            { name: 'b', value: 25, min: 21, max: 40, step: 1 },
          ],
          formula: 'b - a',
        }),
      ),
      page(
        'rp-p3',
        'Why is it made like that?',
        b.text(
          'rp-t3',
          'A limpet gradually grinds a groove into the rock that matches the rim of its shell exactly, and after every search for food it returns to the identical groove, so that no moisture can escape while the sun is shining.',
        ),
        b.long(
          'rp-q9',
          'Explain why a starfish moves under stones at low tide.',
          'It would dry out; under stones it is damp and shaded, and hidden from gulls.',
          {
            o: O.explain,
          },
        ),
        b.long(
          'rp-q10',
          '[name], choose one animal of the pool. Explain how its body helps it to stay alive there.',
          'Names a part of the body and says what it is good for.',
          {
            o: O.explain,
          },
        ),
        b.one(
          'rp-q11',
          'What would happen to a limpet that lost its groove?',
          ['*It would dry out', 'It would swim away', 'It would grow faster'],
          {
            o: O.facts,
            demand: 'apply',
          },
        ),
      ),
    ],
    clock.iso(-30),
  );
  m.version('rp-sup', 'Supported', { pattern: 'twill', colour: 'a', letter: 'R' }, null, {
    purpose: 'Shorter sentences, words given, fewer choices',
  });
  m.change(
    'rp-sup',
    {
      did: 'words',
      blockId: 'rp-t1',
      field: 'text',
      text: 'Two times a day the sea goes out and we can see the shore. Animals that stay there get dry in the wind and hot in the sun until the water comes back. Some close their shell. Some hide under stones or weed. It is wet there.',
    },
    'Reading goal 2: short sentences',
  );
  m.change('rp-sup', { did: 'remove-options', blockId: 'rp-q1', optionIds: ['rp-q1-4'] });
  m.change('rp-sup', { did: 'remove-options', blockId: 'rp-q2', optionIds: ['rp-q2-5'] });
  m.change('rp-sup', {
    did: 'words',
    blockId: 'rp-q3',
    field: 'prompt',
    text: 'What falls from the sky and makes the pool less salty?',
  });
  m.change(
    'rp-sup',
    { did: 'hint', blockId: 'rp-q8', text: 'Start at 18 and count on to 25.' },
    'Counts on, does not subtract yet',
  );
  m.change(
    'rp-sup',
    { did: 'word-bank', pageId: 'rp-p2', after: 'rp-i2', words: ['anemone', 'crab', 'limpet', 'mussel', 'shrimp'] },
    'Word bank agreed in the plan',
  );
  m.change(
    'rp-sup',
    {
      did: 'words',
      blockId: 'rp-t3',
      field: 'text',
      text: 'A limpet cuts a line into the rock. The line fits its shell. It comes back to the same place after it eats. No water can get out when the sun shines.',
    },
    'Reading goal 2: short sentences',
  );
  m.change('rp-sup', { did: 'remove-block', blockId: 'rp-q9' });
  m.change('rp-sup', {
    did: 'words',
    blockId: 'rp-q10',
    field: 'prompt',
    text: '[name], choose one animal of the pool. How does its body help it?',
  });
  m.change('rp-sup', { did: 'personal-fields', otherwise: { name: 'You', interest: 'the sea', class: 'your class' } });
  m.version('rp-oriel', 'Supported, Oriel', { pattern: 'check', colour: 'd', letter: 'V' }, 'rp-sup', {
    learnerId: 'l-oriel',
    purpose: 'For Oriel: less at a time',
  });
  m.change(
    'rp-oriel',
    { did: 'remove-options', blockId: 'rp-q1', optionIds: ['rp-q1-3'] },
    'Two choices, as agreed in October',
  );
  m.change('rp-oriel', { did: 'remove-block', blockId: 'rp-q10' }, 'The page ends where the hour does', 'g-oriel');
  m.change('rp-oriel', {
    did: 'words',
    blockId: 'rp-i2',
    field: 'text',
    text: 'Look at the picture. Write each name. Then count.',
  });
  m.version('rp-core', 'Core', { pattern: 'plain', colour: 'b', letter: 'K' }, null);
  m.change('rp-core', {
    did: 'words',
    blockId: 'rp-t1',
    field: 'text',
    text: 'Twice each day the sea draws back from a strip of shore, and creatures stranded there must withstand drying winds, sudden rain and the sun until the water comes back. Some animals seal themselves inside a shell; others shelter beneath stones or seaweed, where it remains damp until the evening.',
  });
  m.change('rp-core', { did: 'hint', blockId: 'rp-q9', text: 'Think of wind and sun.' });
  m.change('rp-core', { did: 'personal-fields', otherwise: { name: 'Now', interest: 'the sea', class: 'your class' } });
  m.version('rp-ext', 'Extended', { pattern: 'herringbone', colour: 'c', letter: 'T' }, null, {
    purpose: 'For those who want more',
  });
  m.change('rp-ext', { did: 'personal-fields', otherwise: { name: 'Now', interest: 'the sea', class: 'your class' } });
  m.change('rp-ext', {
    did: 'insert-block',
    pageId: 'rp-p3',
    after: 'rp-q10',
    block: b.long(
      'rp-x1',
      'Two limpets sit at different heights on the rock. Which should have the taller shell? Give your reasons.',
      'The higher one: it is dry for longer and a taller shell holds more water.',
      { o: O.explain },
    ),
  });
  m.change('rp-ext', {
    did: 'insert-block',
    pageId: 'rp-p2',
    after: 'rp-q8',
    block: b.number(
      'rp-x2',
      'A square of 50 cm by 50 cm holds 14 limpets. How many would you expect in one square metre?',
      56,
      'limpets',
      { o: O.count, demand: 'apply' },
    ),
  });
  const settler = { at: clock.iso(-12), by: AUTHOR };
  const second = withBlock(latest(m.family).content, 'rp-q8', (x) =>
    withWords(x, 'prompt', 'On Monday the class counted 18 limpets, on Friday 25. How many more is that?'),
  );
  m.family = saveRevision(m.family, second, 'Who counted is clear in the limpet question', settler).family;
  return m.family;
}

/** The correction that waits for a decision: it came after the work was given out. */
export function correctedRockPool(family: Family, clock: Clock): Family {
  const third = withBlock(latest(family).content, 'rp-t1', (x) =>
    withWords(
      x,
      'text',
      'Twice each day the retreating sea exposes a strip of shore, and creatures left behind there must withstand drying winds, sudden rain and fierce sun until the tide returns. Some animals seal themselves inside a shell; others shelter beneath stones or seaweed, where it remains damp until the evening.',
    ),
  );
  const fourth = withBlock(third, 'rp-q3', (x) =>
    withWords(x, 'prompt', 'What falls suddenly and makes the water less salty?'),
  );
  return saveRevision(family, fourth, 'Plainer words in the first text', { at: clock.iso(-1), by: AUTHOR }).family;
}
