import { describe, expect, it } from '@jest/globals';
import { peopleIn } from '../learners/people';
import { freshItem } from '../activity/block';
import type { Block } from '../activity/blocks';
import { type Family, latest, type Version } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { namesPassedOn, passedOn } from '../formats/family-file';
import { writeAdjustments } from '../formats/adjustment-file';
import { calledNames } from '../learners/names';
import { strFromU8, unzipSync } from 'fflate';
import { coverage } from './check/coverage';
import type { HandOut } from './hand-out';
import { lookOver } from './look-over';

const demo = demoWorkspace(Date.UTC(2026, 10, 24));
const people = peopleIn(demo, '2026-11-24');
const pool = demo.families['rock-pool'] as Family;
const survey = demo.handOuts['h-survey'] as HandOut;
const [, page] = latest(pool).content.pages;

/** The family with further blocks on the master's second page. */
function withBlocks(...blocks: object[]): Family {
  const last = latest(pool);
  const pages = last.content.pages.map((p) =>
    p === page ? { ...p, blocks: [...p.blocks, ...(blocks as Block[])] } : p,
  );
  return { ...pool, revisions: [...pool.revisions.slice(0, -1), { ...last, content: { ...last.content, pages } }] };
}
const text = (words: string, audience = 'learner') => ({ id: 'more', kind: 'text', audience, text: words });
const plan = { ...survey, state: 'draft' as const };
const found = (family: Family, p: HandOut = plan) =>
  lookOver(p, family, people).map((f) => `${f.what} p${f.page}: ${f.says}`);

describe('what learners would receive is searched', () => {
  it('nothing is found in the demo, nor in what is for the teacher, nor in a text to read', () => {
    expect(found(pool)).toEqual([]);
    expect(found(withBlocks(text('Answers: mussel, crab, limpet, anemone. Jory S. gets Core.', 'teacher')))).toEqual(
      [],
    );
    expect(
      found(
        withBlocks(
          text('A mussel shuts its shell when the tide goes out, and a crab hides under the weed until it is back.'),
        ),
      ),
    ).toEqual([]);
  });

  it('a list of answers, a heading of an answer part, a level name and another learner’s name are, with their place', () => {
    const [answers] = found(withBlocks(text('1 mussel 2 crab 3 limpet')));
    expect(answers).toMatch(/^answer p2: the answer to “.+”, (mussel|crab|limpet), in “1 mussel/);
    expect(
      found(withBlocks({ id: 'h', kind: 'heading', audience: 'learner', level: 1, text: 'Answer key' }))[0],
    ).toMatch(/^answer-part p2: “Answer key” looks like/);
    const part = (words: string) => found(withBlocks(text(words)))[0];
    expect(part('Read this first.\n\nAnswers: 1 b, 2 c, 3 a')).toMatch(/^answer-part p2: “Answers: 1 b.*part for the/);
    expect(part('Well done!\n\n1) b 2) c 3) a')).toMatch(/^answer-part p2: “b 2\) c.*a list of answers/);
    expect(part('Read on.\n\nAnswer: ______ cm\n\nAn apple 1 a day, write the answers in full')).toBeUndefined();
    expect(found(withBlocks(text('This is for the Supported group.')))[0]).toMatch(/^version-name p2: .*Supported/);
    expect(found(withBlocks(text('Ask Jory’s partner first.')))[0]).toMatch(/^learner-name p2: the name Jory in/);
    const asked = {
      ...freshItem('q'),
      kind: 'short-text',
      prompt: 'Why does Jory laugh?',
      key: [],
      spellingTolerant: true,
    };
    expect(found(withBlocks(asked))[0]).toMatch(/^learner-name p2/);
    expect(found(pool, { ...plan, note: 'Core is for Talan.' })).toHaveLength(
      2 * new Set(plan.lines.map((l) => l.versionId)).size,
    );
  });

  it('whoever alone receives a sheet may read their own name', () => {
    const alone = {
      ...plan,
      classIds: [],
      groupIds: [],
      learnerIds: ['l-jory'],
      lines: [{ learnerId: 'l-jory', versionId: null }],
    };
    expect(found(withBlocks(text('Well begun, Jory.')), alone)).toEqual([]);
    expect(found(withBlocks(text('Well begun, Talan.')), alone)).toHaveLength(1);
  });

  it('a version made for one learner is for nobody else, nor is one made on it', () => {
    const own = pool.versions.find((v) => v.learnerId) as Version;
    const onIt: Version = { ...own, id: 'on-it', name: 'On it', basis: own.id, adjustments: [] };
    const { learnerId: _, ...free } = onIt;
    const family = { ...pool, versions: [...pool.versions, free as Version] };
    const other = people.learners.find((l) => l.id !== own.learnerId)?.id ?? '';
    for (const versionId of [own.id, 'on-it']) {
      const lines = [other, own.learnerId ?? ''].map((learnerId) => ({ learnerId, versionId }));
      const p = { ...plan, classIds: [], groupIds: [], learnerIds: [other, own.learnerId ?? ''], lines };
      const said = coverage(p, family, people, '2026-11-24T09:00').filter((c) => c.code === 'for-another');
      expect(said.map((c) => [c.level, c.learnerIds])).toEqual([['mend', [other]]]);
    }
  });
});

describe('no name of a learner leaves in a file', () => {
  const names = calledNames(people.learners);
  const [first] = pool.versions.filter((v) => !v.learnerId && v.adjustments.length);
  const spoken: Family = {
    ...pool,
    origin: { familyId: 'f', versionId: 'v', revision: 1, title: 'Rock pools', versionName: 'For Jory' },
    versions: pool.versions.map((v) =>
      v.id === first?.id
        ? {
            ...v,
            name: 'Like Jory’s',
            purpose: 'What Talan needs',
            adjustments: v.adjustments.map((a) => ({
              ...a,
              name: 'for Jory',
              batch: { id: 'b', name: 'Jory and Talan' },
            })),
          }
        : v,
    ),
  };
  it('not on versions, adjustments, what was made together, or where it came from', () => {
    expect(JSON.stringify(passedOn(spoken, names))).not.toMatch(/Jory|Talan/);
    expect(passedOn(spoken, names).versions[0]?.name).toMatch(/^Version [A-Z]$/);
    const zip = unzipSync(writeAdjustments(spoken, first?.id ?? '', {}, '', names));
    for (const [name, bytes] of Object.entries(zip))
      expect([name, strFromU8(bytes)]).not.toEqual([name, expect.stringMatching(/Jory|Talan/)]);
  });
  it('one that stands in the activity’s own words is named before', () => {
    // The demo has a note to teachers that speaks of two.
    expect(namesPassedOn(spoken, names).map((n) => n.slice(0, 7))).toEqual(['Brannoc', 'Ysolde,']);
    expect(namesPassedOn(withBlocks(text('Jory, begin here.', 'teacher')), names)).toContain(
      'Jory, in “Jory, begin here.”',
    );
  });
});
