import { describe, expect, it } from '@jest/globals';
import { type Content, findBlock, type Page } from '../activity/activity';
import type { Block } from '../activity/blocks';
import type { Family } from '../activity/family';
import type { Draft } from '../adjust/drafts';
import { recordInPlace } from '../adjust/record';
import { proposeSteps } from '../adjust/steps-to-tick';
import { derive } from '../derive/derive';
import { familyOf, stamp, withVersions } from '../testing/random-family';
import { resolveUpkeep, saveRevision } from './resolve';
import { upkeep, type UpkeepEntry } from './upkeep';

const settler = { at: '2026-09-03T08:00:00.000Z', by: 'T' };
const item = (id: string) => ({
  id,
  audience: 'learner' as const,
  prompt: 'Who hides?',
  demand: 'recall' as const,
  points: 1,
});
const STEPS = 'Fill the tray. Then count the shells. Then write the number.';
const blocks: readonly Block[] = [
  { id: 'words', kind: 'text', audience: 'learner', text: 'A crab walks.' },
  { id: 'task', kind: 'instruction', audience: 'learner', text: STEPS },
  { id: 'view', kind: 'picture', audience: 'learner', assetId: 'sha-a', alt: 'A pool' },
  { ...item('q'), kind: 'short-text', key: ['crab'], spellingTolerant: false },
  { ...item('say'), kind: 'long-text', key: '', lines: 3, starters: ['I think'] },
];
const page: Page = { id: 'p', title: 'P', orientation: 'portrait', blocks: [...blocks] };
const MASTER: Content = { title: 'M', subject: '', ages: '', objectives: [], pages: [page] };

/** The master with a block changed, or without it. */
const changed = (id: string, change: object | null): Content => ({
  ...MASTER,
  pages: [
    {
      ...page,
      blocks: page.blocks.flatMap((b) => (b.id !== id ? [b] : change === null ? [] : [{ ...b, ...change } as Block])),
    },
  ],
});
const mine = (f: Family) => f.versions[0]?.adjustments ?? [];
const shown = (f: Family, id: string) => findBlock(derive(f, 'v0').content, id)?.block;

function made(draft: Draft): Family {
  const family = withVersions(familyOf(MASTER), [0]);
  const version = recordInPlace(family, 'v0', { did: 'adjust', drafts: [draft] }, stamp);
  return { ...family, versions: [version] };
}
/** The version after the master's change, and what is asked of it. */
function after(draft: Draft, id: string, change: object | null): { family: Family; asked: UpkeepEntry[] } {
  const { family, report } = saveRevision(made(draft), changed(id, change), '', settler);
  return { family, asked: [...report.entries] };
}
function decided(family: Family, choice: 'master' | 'version'): Family {
  const [a] = mine(family);
  return resolveUpkeep(family, [{ versionId: 'v0', adjustmentId: a?.id ?? '', choice }], settler);
}

const starters: Draft = { kind: 'sentence-starters', target: 'say', starters: ['I saw', 'It was'], was: [] };
const recorded: Draft = {
  kind: 'recorded-instruction',
  target: 'task',
  recording: { assetId: 'sha-v', what: 'sound' },
  was: STEPS,
};
const other: Draft = {
  kind: 'replace-picture',
  target: 'view',
  was: { assetId: 'sha-a', alt: 'A pool' },
  now: { assetId: 'sha-b', alt: 'A photograph' },
};
const byInterest: Draft = {
  kind: 'by-interest',
  target: 'words',
  field: 'text',
  was: 'A crab walks.',
  by: [{ interest: 'boats', text: 'A boat sails.' }],
};
const byHand: Draft = {
  kind: 'steps-to-tick',
  target: 'task',
  blockId: 'ticks',
  title: 'Steps',
  steps: ['Take the tray', 'Count'].map((text, i) => ({ id: `s${i}`, text })),
  was: STEPS,
};
const flap = (text: string): Draft => ({ kind: 'flap', target: 'q', text, was: ['crab'] });

describe('what speaks of the master’s words asks when they change', () => {
  it.each<[string, Draft, string, object, string]>([
    ['sentence starters', starters, 'say', { starters: ['First'] }, 'own sentence starters'],
    ['a recording', recorded, 'task', { text: 'Fill the bucket.' }, 'says the old ones'],
    ['another picture', other, 'view', { assetId: 'sha-c', alt: 'A shore' }, 'another picture now'],
    ['examples by interest', byInterest, 'words', { text: 'A crab runs.' }, 'may no longer fit'],
    ['steps written by hand', byHand, 'task', { text: 'Fill the bucket. Then count.' }, 'written by hand'],
    ['a flap with own words', flap('It has a shell'), 'q', { key: ['gull'] }, 'may show the old answer'],
  ])('%s: the master’s takes it away, the version’s stays and is settled', (_, draft, id, change, why) => {
    const { family, asked } = after(draft, id, change);
    expect(asked.map((e) => [e.outcome, e.why.includes(why)])).toEqual([['to-decide', true]]);
    const masters = decided(family, 'master');
    expect(mine(masters)).toEqual([]);
    expect(derive(masters, 'v0').content).toEqual(derive(masters, null).content);
    const kept = decided(family, 'version');
    expect(derive(kept, 'v0', { learner: { interest: 'boats' } }).content).not.toEqual(derive(kept, null).content);
    expect(mine(kept)).toHaveLength(1);
    expect(upkeep(kept, 2).entries).toEqual([]);
  });

  it.each<[string, Draft, string]>([
    ['sentence starters', starters, 'say'],
    ['a recording', recorded, 'task'],
    ['another picture', other, 'view'],
    ['examples by interest', byInterest, 'words'],
    ['steps', byHand, 'task'],
    ['a flap', flap('crab'), 'q'],
  ])('%s whose block is gone can only be let go', (_, draft, id) => {
    const { family, asked } = after(draft, id, null);
    expect(asked.map((e) => [e.outcome, e.choices.map((c) => c.choice)])).toEqual([['lost', ['master']]]);
    expect(mine(decided(family, 'master'))).toEqual([]);
  });
});

describe('what was made from the master’s words follows them by itself', () => {
  it('a flap that shows the key', () => {
    const { family } = after(flap('crab'), 'q', { key: ['gull'] });
    expect(mine(family)[0]).toMatchObject({ text: 'gull' });
    expect(upkeep(family, 2).entries).toEqual([]);
  });

  it('steps as they were proposed', () => {
    const steps = proposeSteps(blocks[1] as Block).map((text, i) => ({ id: `s${i}`, text }));
    const { family } = after({ ...byHand, steps } as Draft, 'task', { text: 'Fill the bucket. Then count the crabs.' });
    expect(JSON.stringify(shown(family, 'ticks'))).toMatch(/bucket.*crabs/);
    expect(upkeep(family, 2).entries).toEqual([]);
  });

  it('another picture goes, where the master shows it now', () => {
    const { family } = after(other, 'view', { assetId: 'sha-b', alt: 'A photograph' });
    expect(mine(family)).toEqual([]);
    expect(shown(family, 'view')).toMatchObject({ assetId: 'sha-b' });
  });
});
