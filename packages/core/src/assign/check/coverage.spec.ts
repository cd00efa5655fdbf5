import { describe, expect, it } from '@jest/globals';
import { personalValues } from '../../learners/learner';
import { freshItem } from '../../activity/block';
import { type Block, isItem } from '../../activity/blocks';
import { bandsOf } from '../recipients';
import { coverage, openFindings } from './coverage';
import { freezeFor } from '../held/freeze';
import { type HandOut } from '../hand-out';
import { NOW, people, pool, survey, codes } from '../../testing/demo-plan';

describe('coverage', () => {
  it('names who has none, who has two, overlaps, a version behind, dates the wrong way round', () => {
    // Notes are named and ask for nothing.
    const asks = coverage(survey, pool, people, NOW).filter((f) => f.level !== 'note');
    expect(asks.map((f) => f.code)).toEqual(['behind', 'behind']);
    const without = coverage({ ...survey, lines: survey.lines.slice(2) }, pool, people, NOW).find(
      (c) => c.code === 'none',
    );
    expect(without).toMatchObject({ level: 'mend', learnerIds: ['l-brannoc', 'l-ysolde'] });
    const twice = { ...survey, lines: [...survey.lines, { learnerId: 'l-jory', versionId: 'rp-ext' }] };
    expect(coverage(twice, pool, people, NOW).find((c) => c.code === 'twice')?.detail).toContain('Core and Extended');
    expect(codes({ ...survey, opensAt: '2026-12-02T09:00', dueAt: '2026-12-01T09:00' })).toContain('due-before-open');
    expect(codes({ ...survey, opensAt: null, dueAt: '2026-11-01T09:00' })).toContain('due-past');
    expect(codes({ ...survey, way: 'to-read' })).toContain('to-read-with-items');
    expect(codes({ ...survey, lines: survey.lines.map((l) => ({ ...l, versionId: 'rp-core' })) })).toContain('unused');
    expect(codes({ ...survey, classIds: [] })).toContain('nobody');
    const overlap = {
      ...people,
      groups: people.groups.map((g) => (g.id === 'g-shanny' ? { ...g, learnerIds: [...g.learnerIds, 'l-corin'] } : g)),
    };
    const both = { ...survey, groupIds: ['g-limpets', 'g-shanny'] };
    expect(coverage(both, pool, overlap, NOW).find((c) => c.code === 'overlap')?.detail).toContain('Corin B.');
  });

  it('names a version that was removed, one without anything to see, and one that asks for nothing', () => {
    const removed = { ...pool, versions: pool.versions.filter((v) => v.id !== 'rp-ext') };
    expect(coverage(survey, removed, people, NOW).find((c) => c.code === 'outside')).toMatchObject({
      level: 'mend',
      learnerIds: ['l-perran', 'l-elowen', 'l-senara'],
    });
    const core = (blocks: (all: readonly Block[]) => readonly Block[]) => ({
      ...pool,
      versions: pool.versions.map((v) => ({ ...v, adjustments: [] })),
      revisions: pool.revisions.map((r) => ({
        ...r,
        content: { ...r.content, pages: r.content.pages.map((p) => ({ ...p, blocks: [...blocks(p.blocks)] })) },
      })),
    });
    const found = (family: typeof pool, code: string) =>
      coverage(survey, family, people, NOW).find((c) => c.code === code);
    expect(
      found(
        core((all) => all.filter((b) => b.audience === 'teacher')),
        'empty',
      ),
    ).toMatchObject({ level: 'mend' });
    expect(
      found(
        core((all) => all.filter((b) => !isItem(b))),
        'nothing-to-answer',
      ),
    ).toMatchObject({ level: 'confirm' });
    expect(
      found(
        core((all) => all),
        'nothing-to-answer',
      ),
    ).toBeUndefined();
  });

  it('of an activity that was removed there is nothing to give', () => {
    expect(coverage(survey, undefined, people, NOW)).toMatchObject([{ code: 'no-activity', level: 'mend' }]);
  });

  it('finds a question that says its own answer', () => {
    const told = {
      ...pool,
      revisions: pool.revisions.map((r) => ({
        ...r,
        content: {
          ...r.content,
          pages: r.content.pages.map((p) => ({
            ...p,
            blocks: p.blocks.map((b) => (b.id === 'rp-q6' ? { ...b, prompt: 'Is the anemone an anemone?' } : b)),
          })),
        },
      })),
    };
    const said = coverage(survey, told, people, NOW).filter((c) => c.code === 'answers-shown');
    expect(said.length).toBeGreaterThan(0);
    expect(said[0]?.detail).toContain('Is the anemone an anemone?');
    expect(codes(survey)).not.toContain('answers-shown');
  });

  it('no sheet has an open personal field: on the master and in a version that does not speak of them too', () => {
    const noField = {
      ...pool,
      versions: pool.versions.map((v) =>
        v.id === 'rp-core' ? { ...v, adjustments: v.adjustments.filter((a) => a.kind !== 'personal-fields') } : v,
      ),
    };
    const jory = people.learners.find((l) => l.id === 'l-jory');
    if (!jory) throw new Error('the demo changed');
    const values = personalValues({ ...jory, chosenName: 'Jojo' }, undefined, NOW);
    for (const id of [null, 'rp-core']) {
      const words = JSON.stringify(freezeFor(noField, id, NOW, values).content);
      expect(words).not.toMatch(/\[(?:name|interest)\]/);
      expect(words).toContain('Jojo');
    }
    expect(coverage(survey, noField, people, NOW).filter((c) => c.code === 'unfilled' && c.level === 'mend')).toEqual(
      [],
    );
  });

  it('puts every learner of the audience under one heading', () => {
    const bands = bandsOf({ ...survey, groupIds: ['g-curlews'] }, people);
    const ids = bands.flatMap((b) => b.learners.map((l) => l.id));
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toHaveLength(18);
  });
});

describe('the check of dates, ways and companions', () => {
  const at = (patch: Partial<HandOut>, more = {}) =>
    coverage({ ...survey, ...patch }, pool, people, NOW, more).map((c) => c.code);
  it.each([
    [{ dueAt: '2026-11-29T09:00' }, 'day-off'],
    [{ opensAt: '2026-12-01T09:00', closesAt: '2026-11-30T09:00' }, 'closes-before-open'],
    [{ dueAt: '2026-12-02T09:00', closesAt: '2026-12-01T09:00' }, 'closes-before-due'],
    [{ dueAt: '2026-12-02T09:00', answersAt: '2026-12-01T09:00' }, 'answers-early'],
    [{ way: 'place-each' as const }, 'no-place'],
    [{ way: 'per-group' as const }, 'no-group'],
    [{ kind: 'notice' as const, familyId: '', note: '' }, 'nothing-in-it'],
    [{ companions: [{ id: 'c', is: 'link' as const, title: 'Tides', address: 'javascript:alert(1)' }] }, 'wrong-link'],
    [
      {
        companions: [1, 2].map((n) => ({
          id: `${n}`,
          is: 'link' as const,
          title: `T${n}`,
          address: 'https://tides.example/a',
        })),
      },
      'same-link',
    ],
  ])('%j is found: %s', (patch, code) => expect(at(patch)).toContain(code));

  it('two pieces of work of one name for one learner are not given', () => {
    const others = [{ id: 'other', title: 'rock-pool SURVEY ', learnerIds: ['l-jory'] }];
    expect(at({}, { others })).toContain('same-title');
    expect(at({}, { others: [{ ...others[0], learnerIds: ['l-talan'] }] })).not.toContain('same-title');
  });

  it('of groups names who is in none and who in two', () => {
    const team = (id: string, ...names: string[]) => ({
      id,
      name: id,
      learnerIds: names.map((n) => `l-${n}`),
      versionId: null,
    });
    const h = {
      ...survey,
      way: 'per-group' as const,
      classIds: [],
      groupIds: [],
      learnerIds: ['l-jory', 'l-kerra', 'l-oriel'],
    };
    const found = coverage({ ...h, teams: [team('A', 'jory'), team('B', 'jory', 'kerra')] }, pool, people, NOW);
    expect(found.filter((f) => f.level === 'mend').map((f) => f.title)).toEqual([
      'Oriel P. is in no group',
      'Jory S. is in two groups',
    ]);
  });

  it('a warning that the teacher gave a reason for is no open one; an error always is', () => {
    const found = coverage({ ...survey, dueAt: '2026-11-29T09:00', lines: [] }, pool, people, NOW);
    const key = found.find((f) => f.code === 'day-off')?.key ?? '';
    const open = openFindings(found, {
      confirmed: [
        { key, reason: 'it is a fair' },
        ...found.filter((f) => f.code === 'none').map((f) => ({ key: f.key, reason: 'x' })),
      ],
    });
    expect(open.map((f) => f.code)).toEqual(expect.arrayContaining(['none']));
    expect(open.map((f) => f.code)).not.toContain('day-off');
  });
});

describe('what is in a version', () => {
  const item = (rest: object) => ({ ...freshItem('x'), prompt: 'Which?', ...rest }) as Block;
  const withBlocks = (...blocks: Block[]) => ({
    ...pool,
    versions: [],
    revisions: pool.revisions.map((r) => ({
      ...r,
      content: {
        ...r.content,
        pages: [{ id: 'p', title: 'P', orientation: 'portrait' as const, blocks }],
      },
    })),
  });
  const everybody = survey.lines.map((l) => ({ ...l, versionId: null }));
  const found = (...blocks: Block[]) =>
    coverage({ ...survey, lines: everybody }, withBlocks(...blocks), people, NOW).map((f) => f.code);
  const choice = (...texts: string[]) => ({
    kind: 'single-choice',
    options: texts.map((text, i) => ({ id: `o${i}`, text })),
    key: 'o0',
  });

  it.each<[string, object]>([
    ['one-choice', choice('crab')],
    ['no-key', { ...choice('crab', 'gull'), key: '' }],
    ['no-key', { kind: 'short-text', key: [' '], spellingTolerant: false }],
    ['no-question', { ...choice('crab', 'gull'), prompt: ' ' }],
    ['no-points', { ...choice('crab', 'gull'), points: 0 }],
    ['flap-marked', { ...choice('crab', 'gull'), flap: 'crab', flapAfter: { letters: 1, submitted: false } }],
    ['answers-shown', { kind: 'number', prompt: 'There are 7 more. How many?', key: 7, tolerance: 0, unit: '' }],
    ['answers-shown', { kind: 'short-text', prompt: 'Crabs walk. Who walks?', key: ['crab'], spellingTolerant: false }],
  ])('names %s, and not where it is in order', (code, rest) => {
    expect(found(item(rest))).toContain(code);
    expect(found(item({ ...choice('crab', 'gull') }))).not.toContain(code);
  });

  it('names an empty bank and an empty picture', () => {
    const bank = { id: 'w', kind: 'word-bank', audience: 'learner', title: 'Words', words: [' '] } as Block;
    const picture = { id: 'i', kind: 'picture', audience: 'learner', assetId: '', alt: '' } as Block;
    expect(found(bank, item(choice('crab', 'gull')))).toContain('empty-part');
    expect(found(picture, item(choice('crab', 'gull')))).toContain('empty-part');
  });

  it.each([
    ['Is it a cat or a dog?', { kind: 'short-text', key: ['cat'], spellingTolerant: false }],
    ['What is 18 take away 9?', { kind: 'number', key: 9, tolerance: 0, unit: '' }],
  ])('does not alarm at “%s”', (prompt, rest) => {
    expect(found(item({ ...rest, prompt }))).not.toContain('answers-shown');
  });

  it('names agreed supports that lack, reading far above the card, and modifications without a reason', () => {
    const all = coverage(survey, pool, people, NOW);
    expect(all.find((f) => f.code === 'supports-missing')?.detail).toContain('hints: Ysolde M., Tamsin W.');
    expect(all.filter((f) => f.code === 'reads-above').flatMap((f) => f.learnerIds)).toContain('l-wilmot');
    expect(all.find((f) => f.code === 'no-reason')?.detail).toContain('guess');
    expect(all.find((f) => f.code === 'to-judge')?.title).toMatch(/judgement/);
  });
});
