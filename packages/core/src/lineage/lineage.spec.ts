import { describe, expect, it } from '@jest/globals';
import type { Family } from '../activity/family';
import { type Frozen, frozenFor, type HandOut } from '../assign/hand-out';
import { handOutHead } from '../keep/heads';
import { demoWorkspace } from '../demo/index';
import { type Copy, copyState, decisionsOf, emptyResponse, openGo } from '../work/copy';
import { listOf } from '../collections';
import { alignedItems, lineageOf, whereUsed } from './lineage';

const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const pool = w.families['rock-pool'] as Family;
const survey = w.handOuts['h-survey'] as HandOut;
const got = (name: string) => frozenFor(survey, w.frozen, `l-${name}`) as Frozen;
const wayBack = (name: string, item: string) => lineageOf(pool, got(name), copyOf(name), item);
const copyOf = (name: string) => w.copies[`h-survey.l-${name}`] as Copy;

describe('lineage', () => {
  it('leads from an answer through every adjustment to the master’s block of that revision', () => {
    const l = wayBack('oriel', 'rp-q1');
    expect(l).toMatchObject({
      answerWords: 'Mussel',
      versionName: 'Supported, Oriel',
      master: { revision: { n: 2 } },
      changedSince: false,
    });
    expect(l?.steps.map((s) => [s.versionName, s.sentence.slice(-24)])).toEqual([
      ['Supported', 'sel · Jellyfish · Shrimp.'.slice(-24)],
      ['Supported, Oriel', ' of 3: Mussel · Jellyfish.'.slice(-24)],
    ]);
    expect(wayBack('brannoc', 'rp-q3')).toMatchObject({ changedSince: true });
  });

  it('says of an added question that no master stands behind it', () => {
    expect(wayBack('perran', 'rp-x1')).toMatchObject({
      master: null,
      steps: [{ versionName: 'Extended' }],
    });
    expect(wayBack('brannoc', 'rp-x1')).toBeUndefined();
  });

  it('leads from a master’s block to every version and learner', () => {
    const uses = new Map(
      whereUsed(
        pool,
        'rp-q9',
        listOf(w.handOuts).map((h) => handOutHead(h, w.frozen)),
      ).map((u) => [u.versionId, u]),
    );
    expect(uses.get('rp-sup')?.how).toBe('left out');
    expect(uses.get('rp-oriel')?.how).toBe('left out');
    expect(uses.get('rp-core')).toMatchObject({ how: 'changed' });
    expect(uses.get('rp-core')?.learnerIds).toHaveLength(6);
    expect(uses.get('rp-ext')?.how).toBe('as in the master');
  });

  it('aligns all versions on the master’s items, added ones at the end', () => {
    const given = new Set(Object.values(survey.given).map((g) => g.frozen));
    const items = alignedItems(
      pool,
      [...given].flatMap((id) => w.frozen[id] ?? []),
    );
    expect(items).toHaveLength(13);
    expect(items.filter((i) => i.added).map((i) => i.id)).toEqual(['rp-x1', 'rp-x2'].sort().reverse());
  });
});

describe('the states of a copy', () => {
  const at = (opensAt: string | null) => ({ opensAt });
  const NOW = '2026-11-24T09:00';
  const go = (n: number, submitted: boolean) => ({
    n,
    startedAt: '',
    submittedAt: submitted ? 'x' : null,
    answers: {},
  });
  const copy = (...goes: ReturnType<typeof go>[]): Copy => ({
    id: 'c',
    handOutId: 'h',
    learnerId: 'l',
    frozen: 'f',
    goes,
  });
  const said = (n: number, decision: 'another go' | 'complete') => ({
    id: 'c',
    copyId: 'c',
    responses: [{ ...emptyResponse(n), decision }],
  });

  it.each([
    ['not open yet', at('2026-11-25T09:00'), undefined, undefined],
    ['to start', at(null), undefined, undefined],
    ['working', at(null), copy(go(1, false)), undefined],
    ['submitted', at(null), copy(go(1, true)), undefined],
    ['another go', at(null), copy(go(1, true)), said(1, 'another go')],
    ['another go', at(null), copy(go(1, true), go(2, false)), said(1, 'another go')],
    ['submitted', at(null), copy(go(1, true), go(2, true)), said(1, 'another go')],
    ['complete', at(null), copy(go(1, true), go(2, true)), said(2, 'complete')],
  ] as const)('%s', (state, handOut, c, m) => {
    expect(copyState(handOut, c as Copy | undefined, m as never, NOW)).toBe(state);
  });

  it('opens another go only when it was asked for', () => {
    expect(openGo(undefined, {})).toBe('first');
    expect(openGo(copy(go(1, true)), {})).toBeUndefined();
    expect(openGo(copy(go(1, true)), decisionsOf(said(1, 'another go')))).toBe('next');
    expect(openGo(copy(go(1, true)), decisionsOf(said(1, 'complete')))).toBeUndefined();
  });
});
