import { beforeEach, describe, expect, it } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { type Answer, type Copy, copyIdOf, emptyResponse, type HandOut, type Workspace } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { Changes } from '../ui/changes';
import { Clock } from '../platform/clock';
import { DeskAlbum } from './places/desk-album';
import { DeskCopies } from './desk-copies';
import { DeskSession } from './desk-session';

const album = (): DeskAlbum => TestBed.inject(DeskAlbum);
const text = (t: string): Answer => ({ kind: 'text', text: t });
/** The time it is. */
function at(local: string): void {
  const clock = TestBed.inject(Clock);
  clock.local = () => local;
  clock.look();
}
async function sit(learnerId: string, change?: (w: Workspace) => Workspace): Promise<DeskSession> {
  sessionStorage.clear();
  // Any part will do: what is tested stands behind them all.
  await DemoPlace.open(Changes, { inputs: { was: '', now: '' }, ...(change ? { change } : {}) });
  at('2026-11-24T09:00');
  const desk = TestBed.inject(DeskSession);
  desk.sit(learnerId);
  return desk;
}
const copies = () => TestBed.inject(DeskCopies);
/** What is typed onto an empty sheet. */
const typed = (answers: Record<string, Answer>) =>
  Object.fromEntries(Object.entries(answers).map(([item, answer]) => [item, { answer, over: undefined }]));
const survey = (w: Workspace) => w.handOuts['h-survey'] as HandOut;
const withCopy = (copy: Copy) => (w: Workspace) => ({ ...w, copies: { ...w.copies, [copy.id]: copy } });

describe('the desk', () => {
  let desk: DeskSession;
  beforeEach(async () => {
    desk = await sit('l-jory');
  });

  it('holds what was given to this learner and is open, and nothing else', () => {
    expect(desk.all().map((x) => x.id)).toEqual(['h-survey', 'h-words-3', 'h-words-2', 'h-words-1']);
    expect(desk.of('h-bus')).toBeUndefined();
    expect(desk.of('h-market')).toBeUndefined();
    expect(desk.of('no-such')).toBeUndefined();
  });

  it('is empty once the learner has left, and remembers the learner over a reload', () => {
    expect(sessionStorage.getItem('lorvet-desk')).toBe('l-jory');
    desk.leave();
    expect(desk.all()).toEqual([]);
    expect(desk.learner()).toBeUndefined();
    expect(sessionStorage.getItem('lorvet-desk')).toBeNull();
  });

  it('shows the sheet without a word of level, key or other learner', () => {
    const said = JSON.stringify(desk.of('h-survey')?.sheet);
    for (const secret of ['Supported', 'Core', 'Extended', 'Brannoc', '"key"', 'adjustment', 'rp-core'])
      expect(said).not.toContain(secret);
  });
});

describe('an answer', () => {
  it('begins the learner’s own copy, and is one answer more in the same go', async () => {
    await sit('l-corin');
    const first = copies().answered('h-survey', typed({ 'rp-q3': text('rain') }));
    expect(first).toMatchObject({ id: copyIdOf('h-survey', 'l-corin'), learnerId: 'l-corin' });
    expect(first?.goes).toHaveLength(1);
    await sit('l-corin', withCopy(first as Copy));
    const second = copies().answered('h-survey', typed({ 'rp-q3': text('rain'), 'rp-q4': text('crab') }));
    expect(second?.goes).toHaveLength(1);
    expect(Object.keys(second?.goes[0]?.answers ?? {})).toEqual(['rp-q3', 'rp-q4']);
    expect(second?.goes[0]?.startedAt).toBe(first?.goes[0]?.startedAt);
  });

  it('is not taken once the work is submitted, nor for what is not theirs', async () => {
    const desk = await sit('l-jory');
    expect(copies().answered('h-survey', typed({ 'rp-q3': text('x') }))).toBeUndefined();
    expect(copies().answered('h-bus', typed({ 'bus-q1': text('x') }))).toBeUndefined();
    expect(desk.of('h-survey')?.locked).toBe(true);
  });

  it('opens another go where it was asked for, with what was there, and keeps the earlier one', async () => {
    const desk = await sit('l-tamsin');
    const work = desk.of('h-survey');
    expect(work).toMatchObject({ state: 'another go', locked: true, tries: { go: 1, again: 'asked' } });
    expect(work?.answers['rp-q4']).toEqual(text('crab'));
    expect(work?.said.comment).toContain('Look once more');
    const again = await sit('l-tamsin', withCopy(copies().begunAgain('h-survey') as Copy));
    expect(again.of('h-survey')).toMatchObject({
      state: 'another go',
      locked: false,
      tries: { go: 2, again: null },
    });
    expect(again.of('h-survey')?.answers['rp-q4']).toEqual(text('crab'));
    const copy = copies().answered('h-survey', typed({ ...work?.answers, 'rp-q5': text('limpet') }));
    expect(copy?.goes.map((g) => g.n)).toEqual([1, 2]);
    expect(copy?.goes[0]?.answers['rp-q5']).toEqual(text('mussel'));
    expect(copy?.goes[0]?.submittedAt).not.toBeNull();
  });

  it('lets a learner begin again as often as the version allows', async () => {
    const twice = (w: Workspace): Workspace => {
      const frozen = Object.fromEntries(
        Object.entries(w.frozen).map(([k, f]) => [k, { ...f, content: { ...f.content, settings: { goes: 2 } } }]),
      );
      return { ...w, frozen };
    };
    const desk = await sit('l-merryn', twice);
    // A key pressed in what is submitted begins nothing: another go has a button of its own.
    expect(desk.of('h-survey')).toMatchObject({ locked: true, tries: { go: 1, again: 'left' } });
    expect(copies().answered('h-survey', typed({ 'rp-q1': text('again') }))).toBeUndefined();
    const begun = copies().begunAgain('h-survey') as Copy;
    expect(begun.goes.map((g) => g.submittedAt !== null)).toEqual([true, false]);
    await sit('l-merryn', (w) => withCopy(begun)(twice(w)));
    const copy = copies().answered('h-survey', typed({ 'rp-q1': text('again') }), true) as Copy;
    expect(copy.goes).toHaveLength(2);
    const done = await sit('l-merryn', (w) => withCopy(copy)(twice(w)));
    expect(done.of('h-survey')).toMatchObject({ locked: true, tries: { again: null } });
    expect(copies().begunAgain('h-survey')).toBeUndefined();
  });

  it('stays closed when the teacher said that it is complete', async () => {
    const complete = (w: Workspace): Workspace => {
      const id = copyIdOf('h-survey', 'l-merryn');
      const responses = [{ ...emptyResponse(1), decision: 'complete' as const, decidedAt: '2026-11-24' }];
      return { ...w, markings: { ...w.markings, [id]: { id, copyId: id, responses } } };
    };
    const desk = await sit('l-merryn', complete);
    expect(desk.of('h-survey')).toMatchObject({ state: 'complete', locked: true });
  });

  it('cannot be given to what is only to read', async () => {
    const toRead = (w: Workspace): Workspace => ({
      ...w,
      handOuts: { ...w.handOuts, 'h-survey': { ...survey(w), way: 'to-read' } },
    });
    expect((await sit('l-corin', toRead)).of('h-survey')?.locked).toBe(true);
  });
});

describe('time', () => {
  const dated = (patch: Partial<HandOut>) => (w: Workspace) => ({
    ...w,
    handOuts: { ...w.handOuts, 'h-survey': { ...survey(w), ...patch } },
  });

  it('brings by itself what opens in the next minute', async () => {
    const desk = await sit('l-corin', dated({ opensAt: '2026-11-24T09:01' }));
    expect(desk.all().map((x) => x.id)).not.toContain('h-survey');
    at('2026-11-24T09:01');
    expect(desk.all()[0]?.id).toBe('h-survey');
  });

  it('closes: what was written stays to be looked at, and nothing is begun', async () => {
    const desk = await sit('l-demelza', dated({ dueAt: null, closesAt: '2026-11-24T09:30' }));
    expect(desk.of('h-survey')).toMatchObject({ locked: false, isClosed: false });
    at('2026-11-24T09:30');
    expect(desk.of('h-survey')).toMatchObject({ locked: true, isClosed: true, state: 'working' });
    expect(Object.keys(desk.of('h-survey')?.answers ?? {}).length).toBeGreaterThan(0);
  });

  it('gives more of it to whom that was agreed for, and says so', async () => {
    const due = dated({ dueAt: '2026-11-27T15:00', closesAt: '2026-11-27T15:00' });
    const own = async (id: string) => (await sit(id, due)).all()[0]?.work;
    expect(await own('l-jory')).toMatchObject({ dueAt: '2026-11-27T15:00', more: '' });
    expect(await own('l-tamsin')).toMatchObject({
      dueAt: '2026-11-30T15:00',
      closesAt: '2026-11-30T15:00',
      more: 'more time',
    });
  });
});

describe('work that several do together, and places', () => {
  const SHARED = { team: 'terns', of: ['l-jory', 'l-kerra'] };
  /** The survey as if it had been given so. */
  const as = (patch: Partial<HandOut>) => (w: Workspace) => {
    const h = survey(w);
    return { ...w, copies: {}, markings: {}, handOuts: { ...w.handOuts, 'h-survey': { ...h, ...patch } } };
  };
  const inGroups = (w: Workspace) => {
    const { given } = survey(w);
    const shared = SHARED.of.map((id) => [id, { frozen: given[id]?.frozen ?? '', shares: SHARED.team }] as const);
    const teams = [{ id: SHARED.team, name: 'Terns', learnerIds: SHARED.of, versionId: null }];
    return as({ way: 'per-group', teams, given: { ...given, ...Object.fromEntries(shared) } })(w);
  };

  it('is written in one copy, with who wrote what', async () => {
    const desk = await sit('l-jory', inGroups);
    expect(desk.of('h-survey')).toMatchObject({ together: { team: 'Terns', mates: ['Kerra L.'] } });
    const first = copies().answered('h-survey', typed({ 'rp-q3': text('rain') }));
    expect(first).toMatchObject({ id: 'h-survey.terns', learnerId: 'terns' });
    const other = await sit('l-kerra', (w) => withCopy(first as Copy)(inGroups(w)));
    expect(other.of('h-survey')).toMatchObject({ state: 'working', answers: { 'rp-q3': text('rain') } });
    const second = copies().answered('h-survey', typed({ 'rp-q4': text('sun') }));
    expect(second?.goes.at(-1)?.by).toEqual({ 'rp-q3': 'l-jory', 'rp-q4': 'l-kerra' });
    // At one machine the others write too, each in turn.
    copies().writer.set('l-jory');
    const third = copies().answered('h-survey', typed({ 'rp-q5': text('wind') }));
    expect(third?.goes.at(-1)?.by).toMatchObject({ 'rp-q5': 'l-jory' });
    expect(other.of('h-survey')?.together).toMatchObject({
      by: { 'rp-q3': 'l-jory' },
      members: [{ name: 'Kerra L.' }, { name: 'Jory S.' }],
    });
    // Of what was emptied again nobody is named, and it counts for nobody.
    const empty = copies().answered('h-survey', typed({ 'rp-q3': text('') })) as Copy;
    const after = await sit('l-kerra', (w) => withCopy(empty)(inGroups(w)));
    expect(after.of('h-survey')?.together?.by).toEqual({});
  });

  it('a sheet for notes beside it is the learner’s own, and no go begins by it', async () => {
    const notes = { id: 'c1', is: 'notes' as const, title: 'Notes' };
    const desk = await sit('l-corin', as({ companions: [notes] }));
    expect(desk.of('h-survey')?.companions).toMatchObject([{ is: 'notes' }]);
    const copy = copies().noted('h-survey', typed({ c1: text('My own words') }));
    expect(copy).toMatchObject({ goes: [], notes: { c1: 'My own words' } });
    const again = await sit('l-corin', (w) => withCopy(copy as Copy)(as({ companions: [notes] })(w)));
    expect(again.of('h-survey')).toMatchObject({ state: 'to start', notes: { c1: 'My own words' } });
    expect(copies().answered('h-survey', typed({ 'rp-q3': text('rain') }))?.notes).toEqual({ c1: 'My own words' });
  });

  const place = { pageIds: ['rp-p2'], names: true, isOpen: true, comments: true, remarks: [] };
  it('in open places the others’ pages are seen, and a word to them waits for the teacher', async () => {
    const copy: Copy = {
      id: copyIdOf('h-survey', 'l-kerra'),
      handOutId: 'h-survey',
      learnerId: 'l-kerra',
      frozen: '',
      goes: [{ n: 1, startedAt: '', submittedAt: null, answers: { 'rp-q5': text('a crab') } }],
    };
    await sit('l-jory', (w) => withCopy(copy)(as({ way: 'place-each', place })(w)));
    expect(
      album()
        .album('h-survey')
        ?.places.map((p) => p.name),
    ).toContain('Kerra L.');
    const shown = album().placeIn('h-survey', 'l-kerra');
    expect(shown?.pages.map((p) => p.id)).toEqual(['rp-p2']);
    expect(shown?.answers).toEqual({ 'rp-q5': text('a crab') });
    const remark = album().remarked('h-survey', 'l-kerra', 'I saw one too.');
    expect(remark).toMatchObject({
      learnerId: 'l-jory',
      goes: [],
      remarks: [{ to: 'l-kerra', text: 'I saw one too.' }],
    });
    expect(album().album('h-survey')?.remarks).toEqual([]);
  });

  it('places that are not open are nobody else’s to see', async () => {
    const desk = await sit('l-jory', as({ way: 'place-each', place: { ...place, isOpen: false } }));
    expect(desk.of('h-survey')?.place).toMatchObject({ pageIds: ['rp-p2'], isOpen: false });
    expect([album().album('h-survey'), album().placeIn('h-survey', 'l-kerra')]).toEqual([undefined, undefined]);
    expect(album().remarked('h-survey', 'l-kerra', 'Hello')).toBeUndefined();
  });
});
