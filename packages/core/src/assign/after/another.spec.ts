import { describe, expect, it } from '@jest/globals';
import { isItem } from '../../activity/blocks';
import { indexOf } from '../../keep/index-changes';
import { statesIn } from '../../keep/index-parts';
import { people, pool, survey, w } from '../../testing/demo-plan';
import type { Answer } from '../../work/answer';
import { type Copy, copyIdOf, emptyResponse, openGo } from '../../work/copy';
import { giveOut } from '../give-out';
import { type FrozenById, frozenFor, type HandOut } from '../hand-out';
import { type CopiesById, correct, giveAnother, preparedFor } from './another';

const AT = '2026-11-24T08:00:00.000Z';
const LATER = '2026-11-25T08:00:00.000Z';
const text = (t: string): Answer => ({ kind: 'text', text: t });
const plan = {
  ...survey,
  classIds: [],
  groupIds: [],
  learnerIds: ['l-jory', 'l-kerra', 'l-oriel'],
  lines: ['l-jory', 'l-kerra', 'l-oriel'].map((learnerId) => ({ learnerId, versionId: 'rp-core' })),
};
const out = giveOut(plan, pool, people, AT);
const known: FrozenById = Object.fromEntries(out.frozen.map((f) => [f.id, f]));
const copyOf = (learnerId: string, answers: Record<string, Answer>, submittedAt: string | null = null): Copy => ({
  id: copyIdOf(plan.id, learnerId),
  handOutId: plan.id,
  learnerId,
  frozen: '',
  goes: [{ n: 1, startedAt: AT, submittedAt, answers }],
});
const copiesOf = (...list: Copy[]): CopiesById => Object.fromEntries(list.map((c) => [c.id, c]));
/** The questions on a learner's sheet. */
const itemsFor = (h: HandOut, all: FrozenById, learnerId: string, go?: number) =>
  (frozenFor(h, all, learnerId, go)?.content.pages ?? []).flatMap((p) => p.blocks).filter(isItem);
/** The master with other words in one question. */
const asking = (id: string, prompt: string): typeof pool => ({
  ...pool,
  revisions: pool.revisions.map((r, i, all) => {
    if (i < all.length - 1) return r;
    const pages = r.content.pages.map((p) => ({
      ...p,
      blocks: p.blocks.map((b) => (b.id === id && isItem(b) ? { ...b, prompt } : b)),
    }));
    return { ...r, content: { ...r.content, pages } };
  }),
});
const ALL = ['l-jory', 'l-kerra', 'l-oriel'];

describe('a correction of the master', () => {
  const [first, other] = itemsFor(out.handOut, known, 'l-jory');
  if (!first || !other) throw new Error('the demo changed');
  const copies = copiesOf(
    copyOf('l-kerra', { [other.id]: text('a crab') }, AT),
    copyOf('l-oriel', { [first.id]: text('a limpet') }),
  );
  const changed = asking(first.id, 'Asked anew?');
  const prepared = preparedFor(out.handOut, changed, people, known, copies, { keys: ALL, versionId: undefined }, LATER);

  it('says of each copy whether it is not started, safe, or in conflict with what was answered', () => {
    expect(
      prepared.map((p) => [p.exchange.key, p.exchange.standing, p.exchange.same, p.exchange.otherwise.length]),
    ).toEqual([
      ['l-jory', 'not started', 0, 0],
      ['l-kerra', 'submitted', 1, 0],
      ['l-oriel', 'working', 0, 1],
    ]);
  });

  it('goes to the first two as it is, and asks the third for another go; what was done stays on its own sheet', () => {
    const done = correct(out.handOut, prepared, copies, LATER, 'corrected');
    expect(done.asked).toEqual([{ copyId: copyIdOf(plan.id, 'l-oriel'), go: 1 }]);
    const all = { ...known, ...Object.fromEntries(done.frozen.map((f) => [f.id, f])) };
    const asked = (l: string, go?: number) => itemsFor(done.handOut, all, l, go)[0]?.prompt;
    expect([asked('l-jory'), asked('l-kerra', 1), asked('l-oriel', 2)]).toEqual(Array(3).fill('Asked anew?'));
    expect(asked('l-oriel', 1)).toBe(first.prompt);
    expect(done.handOut.given['l-oriel']?.anew).toEqual([first.id]);
    expect(done.handOut.history.at(-1)).toMatchObject({ at: LATER, says: 'corrected' });
  });

  it('is not offered to who has it as it is now', () => {
    expect(preparedFor(out.handOut, pool, people, known, copies, { keys: ALL, versionId: undefined }, LATER)).toEqual(
      [],
    );
  });
});

describe('another level as the same piece of work', () => {
  const items = itemsFor(out.handOut, known, 'l-jory');
  const answers = Object.fromEntries(items.map((i) => [i.id, text('something')]));
  const copies = copiesOf(copyOf('l-jory', answers, AT));
  const prepared = preparedFor(
    out.handOut,
    pool,
    people,
    known,
    copies,
    { keys: ['l-jory', 'l-kerra'], versionId: 'rp-ext' },
    LATER,
  );
  const done = giveAnother(out.handOut, prepared, copies, LATER, 'Extended given');

  it('keeps the answers whose questions are the same, and names the others', () => {
    const e = prepared[0]?.exchange;
    expect(e?.same).toBeGreaterThan(0);
    expect((e?.same ?? 0) + (e?.otherwise.length ?? 0) + (e?.gone.length ?? 0)).toBe(items.length);
    expect(done.handOut.given['l-kerra']?.earlier).toBeUndefined();
  });

  it('is one entry on the desk: both sheets are there, the new one for the go that is asked for', () => {
    const id = copyIdOf(plan.id, 'l-jory');
    const said = { ...emptyResponse(1), decision: 'another go' as const, decidedAt: LATER };
    const index = indexOf({
      ...w,
      handOuts: { [plan.id]: done.handOut },
      frozen: { ...known, ...Object.fromEntries(done.frozen.map((f) => [f.id, f])) },
      copies: { ...copies },
      markings: { [id]: { id, copyId: id, responses: [said] } },
    });
    const slip = index.slips['l-jory'];
    expect(Object.keys(slip?.works ?? {})).toEqual([plan.id]);
    const work = slip?.works[plan.id];
    expect(work?.earlier.map((e) => [e.sheet, e.goes])).toEqual([[out.handOut.given['l-jory']?.frozen, 1]]);
    expect([index.sheets[work?.sheet ?? ''], index.sheets[work?.earlier[0]?.sheet ?? '']].every(Boolean)).toBe(true);
    expect(statesIn(index.states[plan.id]).get('l-jory')).toBe('another go');
    expect(openGo(copies[id], work?.said.decisions ?? {})).toBe('next');
    expect(JSON.stringify(slip)).not.toContain('Extended');
  });
});

it('the answers are on no slip and no sheet; they are kept apart, once they are to come out', () => {
  const of = (h: HandOut) => indexOf({ ...w, handOuts: { [h.id]: h }, frozen: known, copies: {}, markings: {} });
  expect(of(out.handOut).keys).toEqual({});
  const index = of({ ...out.handOut, answersAt: '2026-12-01T09:00' });
  const words = Object.values(index.keys)[0]?.words ?? {};
  expect(Object.keys(words).length).toBeGreaterThan(3);
  expect(index.slips['l-jory']?.works[plan.id]?.answersAt).toBe('2026-12-01T09:00');
  const own = of({ ...out.handOut, answersAt: '2026-12-01T09:00', ownAnswers: { 'l-jory': '' } });
  expect(own.slips['l-jory']?.works[plan.id]?.answersAt).toBeNull();
  const early = of({ ...out.handOut, ownAnswers: { 'l-jory': '2026-11-28T09:00' } });
  expect(early.slips['l-jory']?.works[plan.id]?.answersAt).toBe('2026-11-28T09:00');
  expect(Object.keys(early.keys)).toHaveLength(1);
  const [long = ''] = Object.values(words).filter((x) => x.length > 20);
  expect(JSON.stringify([index.slips, index.sheets])).not.toContain(long);
});
