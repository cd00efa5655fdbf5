import { giveOut } from '../assign/give-out';
import { type Frozen, frozenFor, type HandOut, newHandOut } from '../assign/hand-out';
import type { Family } from '../activity/family';
import type { People } from '../learners/people';
import type { Answer } from '../work/answer';
import { type Copy, copyIdOf, emptyResponse, type Marking } from '../work/copy';
import { b, type Clock, FamilyMaker, page } from './build';
import { withReleased } from './survey-work';

const O = { facts: 'wk-o1', name: 'wk-o2' };

/** A short check that a class had week after week, earlier in the term. */
export function shoreWords(clock: Clock): Family {
  const m = new FamilyMaker(
    'shore-words',
    {
      title: 'Shore words',
      swatch: { pattern: 'dots', colour: 'f', letter: 'M' },
      subject: 'Science and reading',
      ages: '9–11',
      objectives: [
        { id: O.facts, text: 'Find facts in a text' },
        { id: O.name, text: 'Name animals of the shore' },
      ],
    },
    [
      page(
        'wk-p1',
        'A few lines to read',
        b.text(
          'wk-t1',
          'The gulls of Kelp Bay wake before the boats. They eat crabs that the tide leaves behind. In the afternoon they sleep on the harbour wall, where no dog can reach them.',
        ),
        b.short('wk-q1', 'What do the gulls eat?', ['crabs', 'crab', 'they eat crabs'], { o: O.facts }),
        b.one('wk-q2', 'When do the gulls sleep?', ['Before the boats', '*In the afternoon', 'At high tide'], {
          o: O.facts,
        }),
        b.short('wk-q3', 'Where do they sleep?', ['the harbour wall', 'on the harbour wall', 'harbour wall'], {
          o: O.facts,
        }),
      ),
      page(
        'wk-p2',
        'Who is it?',
        b.tell('wk-i2', 'Write the name of each animal.'),
        b.short('wk-q4', 'It has two claws and walks sideways.', ['crab', 'a crab'], { o: O.name }),
        b.short('wk-q5', 'It holds on to the rock under a pointed shell.', ['limpet', 'a limpet'], { o: O.name }),
        b.one('wk-q6', 'Which of these is an animal?', ['Bladder weed', '*Beadlet anemone', 'Sea lettuce'], {
          o: O.name,
        }),
      ),
    ],
    clock.iso(-40),
  );
  const supported = { pattern: 'twill', colour: 'a', letter: 'R' } as const;
  m.version('wk-sup', 'Supported', supported, null, { purpose: 'Short sentences and words to choose from' });
  m.change(
    'wk-sup',
    {
      did: 'words',
      blockId: 'wk-t1',
      field: 'text',
      text: 'The gulls of Kelp Bay get up before the boats. They eat crabs. In the afternoon they sleep on the harbour wall. No dog can get there.',
    },
    'Two facts in a short text',
    'g-brannoc',
  );
  m.change(
    'wk-sup',
    { did: 'word-bank', pageId: 'wk-p2', after: 'wk-i2', words: ['crab', 'limpet', 'mussel'] },
    'Word bank agreed in the plan',
  );
  m.change('wk-sup', { did: 'hint', blockId: 'wk-q1', text: 'Look at the second sentence.' }, 'Finds the place');
  m.version('wk-core', 'Core', { pattern: 'plain', colour: 'b', letter: 'K' }, null);
  m.change('wk-core', { did: 'hint', blockId: 'wk-q3', text: 'Look at the last sentence.' });
  return m.family;
}

const RIGHT: readonly string[] = ['crabs', 'wk-q2-2', 'harbour wall', 'crab', 'limpet', 'wk-q6-2'];
const WRONG: readonly string[] = ['fish', 'wk-q2-1', 'on a boat', 'lobster', 'mussel', 'wk-q6-1'];

/** By learner, what of the six questions was right (+) in each of the three weeks. */
const WEEKS: Readonly<Record<string, readonly [string, string, string]>> = {
  brannoc: ['+++++-', '+++++-', '+++++-'],
  ysolde: ['++++++', '++++++', '++++++'],
  tamsin: ['+--+--', '++-+--', '++-++-'],
  corin: ['+-----', '+--+--', '++-+--'],
  oriel: ['++-+--', '++-++-', '++-++-'],
  wilmot: ['++-++-', '++++++', '++++++'],
  demelza: ['+++++-', '++-++-', '+++++-'],
  jory: ['+-+++-', '+++++-', '+++++-'],
  kerra: ['+++++-', '+++++-', '+++++-'],
  merryn: ['-+-+-+', '+--+-+', '++-+-+'],
  lamorna: ['++++--', '++-++-', '++-++-'],
  perran: ['+++++-', '++++++', '+++++-'],
  elowen: ['+++++-', '+++++-', '++++++'],
  senara: ['++++++', '+++++-', '+++++-'],
};

/** What was given and done in three weeks before, with its marks. */
export function earlierWork(
  family: Family,
  people: People,
  clock: Clock,
): { handOuts: HandOut[]; frozen: Frozen[]; copies: Copy[]; markings: Marking[] } {
  const out = { handOuts: [] as HandOut[], frozen: [] as Frozen[], copies: [] as Copy[], markings: [] as Marking[] };
  const supported = new Set(['brannoc', 'ysolde', 'tamsin', 'corin', 'oriel']);
  [-35, -28, -21].forEach((day, week) => {
    const plan: HandOut = {
      ...newHandOut({
        id: `h-words-${week + 1}`,
        familyId: family.id,
        title: `Shore words, week ${week + 1}`,
        createdAt: clock.iso(day - 1),
      }),
      classIds: ['c-heron'],
      lines: Object.keys(WEEKS).map((n) => ({
        learnerId: `l-${n}`,
        versionId: supported.has(n) ? 'wk-sup' : 'wk-core',
      })),
      opensAt: clock.local(day, 8),
      dueAt: clock.local(day + 1, 15),
    };
    const given = giveOut(plan, family, people, clock.iso(day, 7));
    out.handOuts.push(given.handOut);
    out.frozen.push(...given.frozen);
    const frozen = Object.fromEntries(given.frozen.map((f) => [f.id, f]));
    for (const [name, weeks] of Object.entries(WEEKS)) {
      const signs = weeks[week];
      const learnerId = `l-${name}`;
      if (!signs || !frozenFor(given.handOut, frozen, learnerId)) continue;
      const answers = Object.fromEntries(
        [...signs].map((sign, i): [string, Answer] => {
          const text = (sign === '+' ? RIGHT : WRONG)[i] ?? '';
          return [`wk-q${i + 1}`, text.startsWith('wk-') ? { kind: 'choice', chosen: [text] } : { kind: 'text', text }];
        }),
      );
      const copy: Copy = {
        ...{ id: copyIdOf(plan.id, learnerId), handOutId: plan.id, learnerId },
        frozen: given.handOut.given[learnerId]?.frozen ?? '',
        goes: [{ n: 1, startedAt: clock.iso(day, 9), submittedAt: clock.iso(day, 10), answers }],
      };
      out.copies.push(copy);
      const said = { ...emptyResponse(1), decision: 'complete' as const, decidedAt: clock.iso(day + 1, 15) };
      out.markings.push(
        withReleased({ id: copy.id, copyId: copy.id, responses: [said] }, [copy], given.handOut, frozen),
      );
    }
  });
  return out;
}
