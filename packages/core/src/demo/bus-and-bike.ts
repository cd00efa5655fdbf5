import type { Family } from '../activity/family';
import { b, type Clock, FamilyMaker, page } from './build';

export function rightBus(clock: Clock, pictureId: string): Family {
  const O = { read: 'bus-o1', time: 'bus-o2', plan: 'bus-o3' };
  const m = new FamilyMaker(
    'right-bus',
    {
      title: 'Catching the right bus',
      swatch: { pattern: 'cross', colour: 'd', letter: 'P' },
      subject: 'Mathematics for life',
      ages: '10–13',
      objectives: [
        { id: O.read, text: 'Read a timetable' },
        { id: O.time, text: 'Work out how long it takes' },
        { id: O.plan, text: 'Plan a journey' },
      ],
    },
    [
      page(
        'bus-p1',
        'At the stop',
        b.heading('bus-h1', 'At the stop'),
        b.picture('bus-pic', pictureId, 'A red bus, number 14 to the Harbour, at a stop with a clock.'),
        b.text(
          'bus-t1',
          'Bus 14 leaves the school stop at 8:10, 8:40, 9:10 and 9:40. It reaches the library eleven minutes later and the harbour nineteen minutes after that. Bus 6 leaves at 8:25 and 9:25 and goes to the market only.',
        ),
        b.one('bus-q1', 'Which bus goes to the harbour?', ['Bus 6', '*Bus 14', 'Both', 'Neither'], { o: O.read }),
        b.short('bus-q2', 'You reach the stop at 8:30. When does the next bus 14 leave?', ['8:40', '08:40', '8.40'], {
          o: O.read,
          demand: 'understand',
        }),
        b.number('bus-q3', 'How many minutes does bus 14 take from school to the harbour?', 30, 'minutes', {
          o: O.time,
        }),
      ),
      page(
        'bus-p2',
        'Your own journey',
        b.tell(
          'bus-i2',
          'You want to be at the harbour by half past nine. You like [interest] and would love ten minutes to look around first.',
        ),
        b.many(
          'bus-q4',
          'Which departures of bus 14 are early enough? Choose all that are right.',
          ['*8:10', '*8:40', '9:10', '9:40'],
          { o: O.plan, demand: 'apply' },
        ),
        b.number('bus-q5', 'You take the 8:40. How many minutes too early are you?', 20, 'minutes', { o: O.time }),
        b.number('bus-q7', 'A ticket costs 3 coins. How many coins do 5 tickets cost?', 15, 'coins', {
          signs: true,
          o: O.plan,
          given: [
            { name: 'a', value: 3, min: 2, max: 6, step: 1 },
            { name: 'b', value: 5, min: 2, max: 9, step: 1 },
          ],
          formula: 'a * b',
        }),
        b.long('bus-q6', 'Which bus would you take, and why?', 'Names a departure before 9:00 and gives a reason.', {
          o: O.plan,
        }),
        b.note('bus-n2', 'Let pairs check each other with the real timetable by the door.'),
      ),
    ],
    clock.iso(-20),
  );
  m.version('bus-sup', 'Supported', { pattern: 'basket', colour: 'h', letter: 'M' }, null);
  m.change(
    'bus-sup',
    {
      did: 'words',
      blockId: 'bus-t1',
      field: 'text',
      text: 'Bus 14 leaves school at 8:10, 8:40, 9:10 and 9:40. It goes to the library and then to the harbour. The whole ride takes thirty minutes. Bus 6 leaves at 8:25 and 9:25. It goes to the market only.',
    },
    'Numbers next to what they mean',
  );
  m.change('bus-sup', { did: 'remove-options', blockId: 'bus-q1', optionIds: ['bus-q1-4'] });
  m.change('bus-sup', { did: 'hint', blockId: 'bus-q2', text: 'Look for the first time after 8:30.' });
  m.change('bus-sup', { did: 'personal-fields', otherwise: { name: 'You', interest: 'boats', class: 'your class' } });
  m.version('bus-core', 'Core', { pattern: 'stripe', colour: 'g', letter: 'J' }, null);
  m.change('bus-core', { did: 'personal-fields', otherwise: { name: 'You', interest: 'boats', class: 'your class' } });
  m.version('bus-ext', 'Extended', { pattern: 'dots', colour: 'f', letter: 'C' }, null);
  m.change('bus-ext', { did: 'personal-fields', otherwise: { name: 'You', interest: 'boats', class: 'your class' } });
  m.change('bus-ext', {
    did: 'insert-block',
    pageId: 'bus-p2',
    after: 'bus-q5',
    block: b.long(
      'bus-x1',
      'Bus 14 breaks down at the library at 8:51. Plan another way that still gets you there by half past nine.',
      'Waits for the 8:40’s follower at 9:21 (arrives 9:40, too late) – so walks, or says that it cannot be done.',
      { o: O.plan },
    ),
  });
  return m.family;
}

export function puncture(clock: Clock, pictureId: string): Family {
  const O = { order: 'pun-o1', tools: 'pun-o2', why: 'pun-o3' };
  const m = new FamilyMaker(
    'puncture',
    {
      title: 'Mending a puncture',
      swatch: { pattern: 'herringbone', colour: 'a', letter: 'S' },
      subject: 'Technology',
      ages: '11–14',
      objectives: [
        { id: O.order, text: 'Follow steps in order' },
        { id: O.tools, text: 'Choose the right tool' },
        { id: O.why, text: 'Give reasons for a step' },
      ],
    },
    [
      page(
        'pun-p1',
        'What you need',
        b.heading('pun-h1', 'What you need'),
        b.picture('pun-pic', pictureId, 'A wheel with a nail in its tyre, two patches, a tyre lever and a pump.'),
        b.text(
          'pun-t1',
          'A puncture is a small hole in the inner tube. First you lift the tyre over the rim with a lever. Then you pull out the tube, pump a little air into it and hold it under water: bubbles show the hole. Roughen the rubber, spread the glue thinly and wait until it is dry to the touch before you press the patch on.',
        ),
        b.short(
          'pun-q1',
          'With what do you lift the tyre over the rim?',
          ['lever', 'tyre lever', 'a lever', 'a tyre lever'],
          { o: O.tools },
        ),
        b.short('pun-q2', 'What shows where the hole is?', ['bubbles', 'the bubbles', 'air bubbles'], { o: O.tools }),
        b.one(
          'pun-q3',
          'What comes straight after the glue is spread?',
          ['Press the patch on', '*Wait until it is dry', 'Pump up the tyre', 'Roughen the rubber'],
          {
            o: O.order,
            demand: 'understand',
          },
        ),
      ),
      page(
        'pun-p2',
        'Think like a mechanic',
        b.long(
          'pun-q4',
          'Why must the rubber be roughened before the glue?',
          'Glue holds better on a rough surface, and dirt comes off.',
          { o: O.why },
        ),
        b.many(
          'pun-q5',
          'What should you check before the tube goes back in?',
          [
            '*The nail is out of the tyre',
            '*The patch sticks at its edges',
            'The bell rings',
            'The saddle is high enough',
          ],
          {
            o: O.order,
            demand: 'apply',
          },
        ),
        b.note('pun-n2', 'Gloves on. The glue is the school’s water-based one.'),
      ),
    ],
    clock.iso(-9),
  );
  m.version('pun-sup', 'Supported', { pattern: 'cross', colour: 'e', letter: 'W' }, null);
  m.change('pun-sup', {
    did: 'word-bank',
    pageId: 'pun-p1',
    after: 'pun-t1',
    words: ['bubbles', 'glue', 'lever', 'patch'],
  });
  m.change('pun-sup', { did: 'remove-options', blockId: 'pun-q3', optionIds: ['pun-q3-4'] });
  m.change('pun-sup', {
    did: 'words',
    blockId: 'pun-q4',
    field: 'prompt',
    text: 'Why do we make the rubber rough before the glue?',
  });
  m.version('pun-core', 'Core', { pattern: 'plain', colour: 'c', letter: 'F' }, null);
  m.change('pun-core', { did: 'hint', blockId: 'pun-q4', text: 'Think of tape on a smooth and on a rough wall.' });
  return m.family;
}
