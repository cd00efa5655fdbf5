import { beforeEach, describe, expect, it } from '@jest/globals';
import type { HandOut, SchoolClass } from '@lorvet/core';
import { DemoPlace } from '../../testing/demo-place';
import { everybodyHas } from '../../testing/everybody-has';
import { ButtonHarness, FieldHarness } from '../../testing/harnesses';
import { HandOuts } from '../handouts';
import { Plan } from './plan';

let place: DemoPlace<Plan>;
const plan = () => place.work.handOuts()['h-bike'] as HandOut;
const versionsOf = (learner: string) =>
  plan()
    .lines.filter((l) => l.learnerId === learner)
    .map((l) => l.versionId);

/** Says why the warnings that are left may stay, where there are any. */
async function sayWhy(): Promise<void> {
  if (await place.has(FieldHarness, /may stay, because$/)) await place.type(/may stay, because$/, 'as agreed');
}

beforeEach(async () => {
  place = await DemoPlace.open(Plan, { inputs: { id: 'h-bike' } });
});

describe('the loom', () => {
  it('has a row for each learner of the audience and a column for the master and every version', () => {
    const host = place.fixture.nativeElement as HTMLElement;
    const heads = [...host.querySelectorAll('thead th')].map((h) => h.textContent?.trim());
    expect(heads.slice(2, 6)).toEqual(['SMaster', 'WSupported', 'FCore', 'HExtended']);
    expect(host.querySelectorAll('tbody tr:not(.band)')).toHaveLength(23);
  });

  it('gives one crossing to each: another takes the first one’s place', async () => {
    expect(versionsOf('l-jory')).toEqual(['pun-core']);
    await place.check(/^Extended for Jory S\./);
    expect(versionsOf('l-jory')).toEqual(['pun-ext']);
    await place.press('More for Jory S.');
    await place.pick('Take the version away');
    expect(versionsOf('l-jory')).toEqual([]);
    await place.undo();
    expect(versionsOf('l-jory')).toEqual(['pun-ext']);
  });

  it('counts who is without, and waits with giving out until nobody is', async () => {
    expect(place.text).toContain('7 without');
    expect(await (await place.button(/^Schedule for/)).isDisabled()).toBe(true);
    await everybodyHas(place);
    expect(place.text).toContain('0 without');
    await sayWhy();
    expect(await (await place.button(/^Schedule for 23/)).isDisabled()).toBe(false);
  });

  it('gives out at a word to everybody, and freezes it', async () => {
    await everybodyHas(place);
    await sayWhy();
    await place.press(/^Schedule for/);
    expect(plan().state).toBe('given');
    expect(Object.keys(plan().given)).toHaveLength(23);
    expect(place.text).toContain('Scheduled');
    expect(await place.has(ButtonHarness, /^Accept/)).toBe(false);
  });
});

describe('what is suggested', () => {
  it('says what the nearest version lacks, and begins one that has it with one press', async () => {
    expect(place.text).toContain('no version fits; Supported lacks hints, a text for reading at 3.9');
    await place.press(/^Begin one for Zennor C\./);
    const made = place.family('puncture').versions.at(-1);
    expect(made).toMatchObject({ name: 'With hints', basis: null });
    expect(made?.adjustments.length).toBeGreaterThan(0);
    expect(made?.adjustments.every((a) => a.kind === 'hint' && a.recipe === undefined)).toBe(true);
  });
});

describe('filling the plan', () => {
  const by = (learner: string) => place.text && versionsShown(learner);
  /** Names of what a learner would get, as the loom shows it. */
  const versionsShown = (learner: string) =>
    [...document.querySelectorAll<HTMLInputElement>(`[data-row="l-${learner}"] input[type=radio]`)]
      .filter((r) => r.checked)
      .map((r) => r.getAttribute('aria-label')?.split(' for ')[0]);

  it('a head gives its version to everyone, and one undo takes it back', async () => {
    await place.press('Supported for everyone');
    expect([by('jory'), by('corin'), by('zennor')]).toEqual([['Supported'], ['Supported'], ['Supported']]);
    expect(plan()).toMatchObject({ lines: [], rules: [{ by: 'everyone', versionId: 'pun-sup' }] });
    await place.undo();
    expect([by('jory'), by('corin')]).toEqual([['Core'], []]);
  });

  it('a part is filled by a rule, which says more than everyone’s; by hand is by hand', async () => {
    await place.press('Core for everyone');
    await place.choose('Fill for', 'Anemones');
    await place.choose('with', 'Extended');
    await place.check(/^Master for Perran D\./);
    expect([by('perran'), by('elowen'), by('jory')]).toEqual([['Master'], ['Extended'], ['Core']]);
    expect(place.text).toContain('Anemones: Extended');
    await place.press('Take the rule away: Anemones, Extended');
    expect(by('elowen')).toEqual(['Core']);
  });

  it('several who are chosen get one together, or nothing', async () => {
    await place.check('Choose Jory S.');
    await place.check('Choose Kerra L.');
    await place.choose('Give to the chosen', 'Master');
    expect([by('jory'), by('kerra')]).toEqual([['Master'], ['Master']]);
    await place.check('Choose Jory S.');
    await place.press('Take away');
    expect(by('jory')).toEqual([]);
  });

  it('goes from learner to learner by keys, and a digit gives a version', async () => {
    const at = (id: string, column: number) =>
      document.querySelectorAll<HTMLInputElement>(`[data-row="${id}"] input[type=radio]`)[column];
    const key = (name: string) =>
      document.activeElement?.dispatchEvent(
        new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }),
      );
    at('l-brannoc', 2)?.focus();
    key('ArrowDown');
    expect(document.activeElement).toBe(at('l-ysolde', 2));
    key('4');
    await place.rest();
    expect(by('ysolde')).toEqual(['Extended']);
    key('ArrowUp');
    expect(document.activeElement).toBe(at('l-brannoc', 3));
  });
});

describe('dates', () => {
  it('are later for who has more time agreed, and other for who is named', async () => {
    place = await DemoPlace.open(Plan, {
      inputs: { id: 'h-bike' },
      change: (w) => {
        const bike = w.handOuts['h-bike'] as HandOut;
        return {
          ...w,
          handOuts: { ...w.handOuts, 'h-bike': { ...bike, ownDates: { 'l-jory': { dueAt: bike.dueAt } } } },
        };
      },
    });
    await place.press(/^How/);
    expect(place.text).toMatch(/Tamsin W\..*1 day more, as agreed/);
    await place.write(/^Due for Jory S\./, '01/02/2030 09:00 AM');
    expect(plan().ownDates['l-jory']).toEqual({ dueAt: '2030-01-02T09:00' });
    await place.press('As for everybody');
    expect(plan().ownDates).toEqual({});
  });

  it('on a day without school are asked about, and stay for a reason', async () => {
    await everybodyHas(place);
    await place.press(/^How/);
    await place.write('Due', '12/26/2026 09:00 AM');
    await place.press(/^Check/);
    expect(place.text).toContain('It is due on winter holidays');
    expect(await (await place.button(/^Schedule for 23/)).isDisabled()).toBe(true);
    await place.type(/may stay, because$/, 'they asked for it');
    await place.press(/^Schedule for 23/);
    expect(plan().state).toBe('given');
    expect(plan().confirmed.some((c) => c.key.startsWith('day-off') && c.reason === 'they asked for it')).toBe(true);
  });
});

describe('after giving out', () => {
  it('who joins the class is told of, and gets what the rule says at a word', async () => {
    place = await DemoPlace.open(Plan, {
      inputs: { id: 'h-market' },
      change: (w) => ({
        ...w,
        handOuts: {
          ...w.handOuts,
          'h-market': {
            ...(w.handOuts['h-market'] as HandOut),
            rules: [{ id: 'r', by: 'everyone', of: '', versionId: null }],
          },
        },
        classes: {
          ...w.classes,
          'c-kestrel': {
            ...(w.classes['c-kestrel'] as SchoolClass),
            learnerIds: [...(w.classes['c-kestrel']?.learnerIds ?? []), 'l-jory'],
          },
        },
      }),
    });
    const market = () => place.work.handOuts()['h-market'];
    expect(place.text).toContain('Jory S. joined since and has nothing of it yet.');
    await place.press('Give it to them too');
    expect(market()?.given['l-jory']).toBeDefined();
    expect(market()?.history.at(-1)?.says).toBe('given to Jory S., who joined since');
    expect(place.work.index().slips['l-jory']?.works['h-market']).toBeDefined();
    await place.undo();
    expect(market()?.given['l-jory']).toBeUndefined();
  });

  it('is taken back and shown again with all that was done, and the history says what was changed', async () => {
    place = await DemoPlace.open(Plan, { inputs: { id: 'h-survey' } });
    const survey = () => place.work.handOuts()['h-survey'];
    const slip = () => place.work.index().slips['l-jory']?.works['h-survey'];
    const before = slip();
    await place.press(/^Check/);
    await place.press('Take it back');
    expect([slip(), place.text.includes('Taken back')]).toEqual([undefined, true]);
    await place.press('Show it again');
    expect(slip()).toEqual(before);
    await place.press(/^What/);
    await place.write('Title learners see', 'Survey of the pools');
    expect(slip()).toMatchObject({ title: 'Survey of the pools', said: before?.said });
    expect(survey()?.history.map((d) => d.says)).toEqual(['taken back', 'shown again', 'title changed']);
    await place.undo();
    expect(slip()?.title).toBe(before?.title);
  });

  it('somebody who is added afterwards waits for a word, and then has it', async () => {
    place = await DemoPlace.open(Plan, { inputs: { id: 'h-market' } });
    await place.press(/^Who/);
    await place.check(/^Anemones, 3/);
    expect(place.text).toContain('Perran D., Elowen R., Senara V. joined since');
    // Nothing says what they get: it is chosen first.
    expect(await (await place.button('Give it to 0 too')).isDisabled()).toBe(true);
    await place.check(/^Master for Perran D\./);
    await place.press('Give it to them too');
    const given = place.work.handOuts()['h-market']?.given ?? {};
    expect([Object.hasOwn(given, 'l-perran'), Object.hasOwn(given, 'l-elowen')]).toEqual([true, false]);
    expect(place.text).toContain('Elowen R., Senara V. joined since');
  });
});

describe('a notice', () => {
  const all = () => Object.values(place.work.handOuts());
  const notice = () => all().find((h) => h.kind === 'notice') as HandOut;
  beforeEach(async () => {
    const begun = await DemoPlace.open(HandOuts, { inputs: { audience: 'a-print' } });
    await begun.press(/^A notice/);
    const { id } = Object.values(begun.work.handOuts()).find((h) => h.kind === 'notice') as HandOut;
    const kept = begun.work.handOuts()[id] as HandOut;
    place = await DemoPlace.open(Plan, {
      inputs: { id, step: 'what' },
      change: (w) => ({ ...w, handOuts: { ...w.handOuts, [id]: kept } }),
    });
  });

  it('says nothing before it is written, is called by its first words, and goes to its audience', async () => {
    expect(await (await place.button('Give out to 2')).isDisabled()).toBe(true);
    await place.write('What it says', 'The pool is shut on Friday. Bring books.');
    await place.press('Give out to 2');
    expect(notice()).toMatchObject({ title: 'The pool is shut on Friday', state: 'given' });
    const works = (id: string) =>
      Object.values(place.work.index().slips[id]?.works ?? {}).filter((x) => x.kind === 'notice');
    expect(works('l-merryn')).toMatchObject([{ note: 'The pool is shut on Friday. Bring books.', sheet: '', own: [] }]);
    expect(works('l-jory')).toEqual([]);
    expect(place.work.people().audiences.find((a) => a.id === 'a-print')?.usedAt).toMatch(/^20/);
  });

  it('takes addresses and words with it; an address that is none is refused in words', async () => {
    await place.write('What it says', 'Look');
    await place.send('Address that goes with it', 'javascript:alert(1)');
    expect(place.text).toContain('is no address of the web');
    await place.send('Address that goes with it', 'https://tides.example/today');
    expect(place.text).toContain('leads to tides.example');
    await place.choose('Something else', 'words for those at home');
    await place.write('Words of For those at home', 'Please look at it together.');
    await place.press('Give out to 2');
    const [work] = Object.values(place.work.index().slips['l-zennor']?.works ?? {}).filter((x) => x.kind === 'notice');
    expect(work?.companions.map((c) => [c.is, c.title, c.holds])).toEqual([
      ['link', 'tides.example', 'https://tides.example/today'],
      ['family', 'For those at home', 'Please look at it together.'],
    ]);
  });
});

it('a learner gets another version on one page, page by page, and by hand another one whole', async () => {
  await place.press('More for Jory S.');
  await place.pick('Another version on some pages');
  const [first] = await place.family('puncture').revisions.slice(-1);
  const page = first?.content.pages[0];
  await place.choose(/^Page 1/, 'Supported');
  expect(plan().lines.find((l) => l.learnerId === 'l-jory')).toEqual({
    learnerId: 'l-jory',
    versionId: 'pun-core',
    parts: [{ pageId: page?.id, versionId: 'pun-sup' }],
  });
  expect(place.text).toContain('1 page of other versions');
  await place.press('Done');
  await place.check(/^Extended for Jory S\./);
  expect(versionsOf('l-jory')).toEqual(['pun-ext']);
  expect(place.text).not.toContain('of other versions');
});

it('a plan whose activity was removed says so, and gives nothing', async () => {
  place = await DemoPlace.open(Plan, {
    inputs: { id: 'h-bike' },
    change: (w) => ({
      ...w,
      families: Object.fromEntries(Object.entries(w.families).filter(([id]) => id !== 'puncture')),
    }),
  });
  expect(place.text).toContain('Its activity was removed');
  expect(await (await place.button(/^Schedule for/)).isDisabled()).toBe(true);
});
