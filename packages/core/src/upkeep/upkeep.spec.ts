import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type Content, findBlock } from '../activity/activity';
import { type Family, latest } from '../activity/family';
import { readRich, writeRich } from '../activity/rich';
import { fromRichTokens, richTokens } from '../activity/rich-tokens';
import { takenPart } from '../adjust/from-activity';
import { recordInPlace } from '../adjust/record';
import { derive } from '../derive/derive';
import { demoWorkspace } from '../demo/index';
import { familyOf, stamp, withVersions } from '../testing/random-family';
import { carryOver, isLeft, leaveForLater, pendingUpkeep, resolveUpkeep, saveRevision } from './resolve';
import { groupsToDecide, upkeep, waits } from './upkeep';

const settler = { at: '2026-09-03T08:00:00.000Z', by: 'T' };
function waitingDemo(): Family {
  return demoWorkspace(Date.UTC(2026, 10, 24)).families['rock-pool'] as Family;
}

describe('the demo’s waiting question', () => {
  it('groups the versions that changed the same words, and one answer settles both', () => {
    const family = waitingDemo();
    const [group, ...others] = groupsToDecide(pendingUpkeep(family));
    // A sentence that both changed, and a hint whose question reads otherwise.
    expect(others.flat().map((e) => e.target)).toEqual(['rp-q3', 'rp-q8']);
    expect(group?.map((e) => e.versionId)).toEqual(['rp-sup', 'rp-core']);
    const done = resolveUpkeep(
      family,
      [...(group ?? []), ...others.flat()].map((e) => ({
        versionId: e.versionId,
        adjustmentId: e.adjustmentId,
        choice: 'master',
      })),
      settler,
    );
    const words = (id: string) => findBlock(derive(done, id).content, 'rp-t1')?.block;
    expect(words('rp-oriel')).toBe(words('rp-sup'));
    expect(words('rp-core')).toBe(findBlock(latest(done).content, 'rp-t1')?.block);
    expect(done.versions.every((v) => v.upTo === 3)).toBe(true);
  });

  it('takes the teacher’s own words, and records who decided', () => {
    const family = waitingDemo();
    const [entry] = pendingUpkeep(family).entries.filter(waits);
    if (!entry) throw new Error('nothing waits');
    const { versionId, adjustmentId } = entry;
    const done = resolveUpkeep(
      family,
      [{ versionId, adjustmentId, choice: 'own words', words: 'The sea goes out.' }],
      settler,
    );
    expect(findBlock(derive(done, versionId).content, 'rp-t1')?.block).toMatchObject({ text: 'The sea goes out.' });
    expect(done.versions[0]?.upkeepLog.at(-1)).toMatchObject({ outcome: 'own words', by: 'T', revision: 3 });
  });

  it('asks about a sentence that both changed, and proposes the combination', () => {
    const [, other] = groupsToDecide(pendingUpkeep(waitingDemo()));
    expect(other?.map((e) => [e.versionId, e.target, e.proposed])).toEqual([
      ['rp-sup', 'rp-q3', 'What falls from the sky and makes the water less salty?'],
    ]);
  });
});

describe('each kind under a change of its basis', () => {
  const master = (change: (c: Content) => Content) => {
    const family = { ...waitingDemo() };
    return saveRevision(family, change(latest(family).content), '', settler).report.entries;
  };
  const edit = (id: string, change: object) => (c: Content) => ({
    ...c,
    pages: c.pages.map((p) => ({
      ...p,
      blocks: p.blocks.map((b) => (b.id === id ? ({ ...b, ...change } as typeof b) : b)),
    })),
  });
  const without = (id: string) => (c: Content) => ({
    ...c,
    pages: c.pages.map((p) => ({ ...p, blocks: p.blocks.filter((b) => b.id !== id) })),
  });
  const outcomes = (entries: ReturnType<typeof master>, target: string) =>
    entries.filter((e) => e.target === target).map((e) => `${e.versionId} ${e.outcome}`);

  it('asks when the key becomes a choice that is left out', () => {
    expect(outcomes(master(edit('rp-q1', { key: 'rp-q1-4' })), 'rp-q1')).toEqual([
      'rp-sup to-decide',
      'rp-oriel carried',
    ]);
  });
  it('asks when the key behind a hint changes', () => {
    expect(outcomes(master(edit('rp-q8', { key: 8 })), 'rp-q8')).toEqual(['rp-sup to-decide']);
  });
  it('asks when the keys behind a bank put together by hand change', () => {
    expect(outcomes(master(edit('rp-q4', { key: ['lobster'] })), 'rp-p2')).toEqual(['rp-sup to-decide']);
  });
  it('says that a block is gone to those who reworded it, and agrees with those who left it out', () => {
    expect(outcomes(master(without('rp-q10')), 'rp-q10')).toEqual(['rp-sup lost', 'rp-oriel carried']);
  });
  it('says that the neighbour of an added block is gone, and keeps the block in sight', () => {
    const entries = master(without('rp-q8'));
    expect(outcomes(entries, 'rp-p2')).toEqual(['rp-ext lost']);
  });
});

describe('a block parted or joined in the master', () => {
  const text = (id: string, t: string) => ({ id, kind: 'text' as const, audience: 'learner' as const, text: t });
  const page = (...blocks: ReturnType<typeof text>[]): Content => ({
    title: 'T',
    subject: '',
    ages: '',
    objectives: [],
    pages: [{ id: 'p', title: 'P', orientation: 'portrait', blocks }],
  });
  const reworded = (content: Content, target: string, now: string): Family => {
    const family = withVersions(familyOf(content), [0]);
    const done = { did: 'words' as const, blockId: target, field: 'text', text: now };
    return { ...family, versions: [recordInPlace(family, 'v0', done, stamp)] };
  };
  const saved = (family: Family, content: Content) => saveRevision(family, content, '', settler).family;
  const texts = (family: Family) =>
    derive(family, 'v0').content.pages[0]?.blocks.map((b) => (b.kind === 'text' ? b.text : ''));

  it('parts the rewording at the same place', () => {
    const family = reworded(
      page(text('a', 'The crab hides under a stone. The gull waits on the wall above.')),
      'a',
      'The crab sits under a big stone. The gull waits on the wall.',
    );
    const now = saved(
      family,
      page(text('a', 'The crab hides under a stone.'), text('b', 'The gull waits on the wall above.')),
    );
    expect(texts(now)).toEqual(['The crab sits under a big stone.', 'The gull waits on the wall.']);
    expect(pendingUpkeep(now).entries).toEqual([]);
  });

  it('asks where the place itself was reworded', () => {
    const family = reworded(page(text('a', 'One two three. Four five six.')), 'a', 'One two and four five six.');
    const now = saved(family, page(text('a', 'One two three.'), text('b', 'Four five six.')));
    expect(pendingUpkeep(now).entries.map((e) => e.outcome)).toEqual(['to-decide']);
    expect(texts(now)).toContain('One two and four five six.');
  });

  it('takes the rewording along to the block that took its words in', () => {
    const family = reworded(
      page(text('a', 'The tide is out.'), text('b', 'The crab hides under a stone.')),
      'b',
      'The crab hides.',
    );
    const now = saved(family, page(text('a', 'The tide is out. The crab hides under a stone.')));
    expect(texts(now)).toEqual(['The tide is out. The crab hides.']);
    expect(pendingUpkeep(now).entries).toEqual([]);
  });

  it('does not take it along to a block that said these words before', () => {
    const both = [
      text('a', 'The crab hides under a stone. Look.'),
      text('b', 'The crab hides under a stone.'),
    ] as const;
    const now = saved(reworded(page(...both), 'b', 'The crab hides.'), page(both[0]));
    expect(texts(now)).toEqual(['The crab hides under a stone. Look.']);
    expect(pendingUpkeep(now).entries.map((e) => e.outcome)).toEqual(['lost']);
  });

  it('asks where the version words the block that took its words in, or its other part, otherwise already', () => {
    const also = (family: Family, blockId: string, now: string): Family => {
      const done = { did: 'words' as const, blockId, field: 'text', text: now };
      return { ...family, versions: [recordInPlace(family, 'v0', done, stamp)] };
    };
    const two = page(text('a', 'The tide is out.'), text('b', 'The crab hides under a stone.'));
    const joined = saved(
      also(reworded(two, 'b', 'The crab hides.'), 'a', 'The tide is low.'),
      page(text('a', 'The tide is out. The crab hides under a stone.')),
    );
    expect(texts(joined)).toEqual(['The tide is low. The crab hides under a stone.']);
    expect(pendingUpkeep(joined).entries.map((e) => e.outcome)).toEqual(['lost']);

    const one = page(text('a', 'One two three. Four five six.'), text('b', 'Four five.'));
    const parted = saved(
      also(reworded(one, 'a', 'One three. Four five six.'), 'b', 'Four.'),
      page(text('a', 'One two three.'), text('b', 'Four five six.')),
    );
    expect(texts(parted)).toEqual(['One three.', 'Four.']);
    expect(pendingUpkeep(parted).entries.map((e) => [e.target, e.outcome])).toEqual([['b', 'to-decide']]);
  });

  it('asks where nothing of a rewording would be left, and the master does not say the same', () => {
    const moved = saved(reworded(page(text('a', 'sea rain')), 'a', 'rain'), page(text('a', 'rain sea')));
    expect(texts(moved)).toEqual(['rain']);
    const [entry, ...more] = pendingUpkeep(moved).entries;
    expect([entry?.outcome, entry?.choices.map((c) => c.choice), more]).toEqual([
      'to-decide',
      ['master', 'version'],
      [],
    ]);
  });

  it('merges marked words with their marks', () => {
    const family = reworded(
      page(text('a', 'The **red** crab hides.\n\n- weed\n- stone')),
      'a',
      'The **red** crab hides.\n\n- weed\n- big stone',
    );
    const now = saved(family, page(text('a', 'The **red shore** crab hides.\n\n- weed\n- stone')));
    expect(texts(now)).toEqual(['The **red shore** crab hides.\n\n- weed\n- big stone']);
  });

  it('gives marked words back as they were through the tokens that are merged', () => {
    const part = fc.constantFrom('a', '**b c**', '*d*', 'e **f** g');
    const rich = fc
      .array(
        fc.oneof(
          part,
          fc.array(part, { minLength: 1, maxLength: 3 }).map((l) => l.map((i) => `- ${i}`).join('\n')),
        ),
        { minLength: 1, maxLength: 4 },
      )
      .map((p) => p.join('\n\n'));
    fc.assert(
      fc.property(rich, (t) => {
        const plain = writeRich(readRich(t));
        expect(fromRichTokens(richTokens(plain))).toBe(plain);
      }),
    );
  });
});

describe('a page that was cut from the master', () => {
  it('is one question for all that stood on it, and one answer lets all of it go', () => {
    const family = waitingDemo();
    const content = latest(family).content;
    const [first] = content.pages.slice(1);
    if (!first) throw new Error('the demo changed');
    const without: Content = { ...content, pages: content.pages.filter((p) => p !== first) };
    const { family: saved } = saveRevision(family, without, 'shorter', settler);
    const groups = groupsToDecide(pendingUpkeep(saved)).filter((g) => g[0]?.cutPage === first.id);
    expect(groups).toHaveLength(1);
    const [group = []] = groups;
    expect(group.length).toBeGreaterThan(1);
    expect(group[0]?.about).toContain(first.title);
    const done = resolveUpkeep(
      saved,
      group.map((e) => ({ versionId: e.versionId, adjustmentId: e.adjustmentId, choice: 'master' })),
      settler,
    );
    expect(pendingUpkeep(done).entries.filter((e) => e.cutPage)).toEqual([]);
  });
});

describe('a question left for later', () => {
  it('still waits, no longer calls, and calls again when the master’s side changes', () => {
    const family = demoWorkspace(Date.UTC(2026, 10, 24)).families['rock-pool'] as Family;
    const waiting = pendingUpkeep(family).entries.filter(waits);
    const left = leaveForLater(family, waiting);
    expect(pendingUpkeep(left).entries.filter(waits)).toHaveLength(waiting.length);
    expect(waiting.every((e) => isLeft(left, e))).toBe(true);
    const content = latest(left).content;
    const changed: Content = {
      ...content,
      pages: content.pages.map((p) => ({
        ...p,
        blocks: p.blocks.map((b) =>
          b.id === waiting[0]?.target && b.kind === 'text' ? { ...b, text: `${b.text} And more.` } : b,
        ),
      })),
    };
    const again = saveRevision(left, changed, '', settler).family;
    expect(
      pendingUpkeep(again)
        .entries.filter(waits)
        .some((e) => !isLeft(again, e)),
    ).toBe(true);
  });
});

describe('a part taken from another activity', () => {
  const demo = demoWorkspace(Date.UTC(2026, 10, 24)).families;
  const pool = demo['rock-pool'] as Family;
  const bike = demo['puncture'] as Family;
  const source = { familyId: 'puncture', revision: 1, content: latest(bike).content };
  const first = latest(bike).content.pages[0];
  if (!first) throw new Error('the demo changed');
  const taken = takenPart(source, first.id, 'x', null);
  const withPart = (follow: boolean): Family => {
    if (!taken) throw new Error('not taken');
    const draft = { kind: 'from-activity' as const, after: null, follow, ...taken };
    const v = recordInPlace(pool, 'rp-ext', { did: 'adjust', drafts: [draft] }, stamp);
    return { ...pool, versions: pool.versions.map((x) => (x.id === 'rp-ext' ? v : x)) };
  };
  const there = { ...source, revision: 2, content: { ...source.content, pages: [{ ...first, title: 'Anew' }] } };
  const title = (f: Family) => derive(f, 'rp-ext').content.pages[0]?.title;

  it('follows it where that was chosen, and stays as it was where not', () => {
    const context = { source: () => there };
    expect(title(carryOver(withPart(true), settler, context))).toBe('Anew');
    expect(title(carryOver(withPart(false), settler, context))).toBe(first.title);
  });

  it('asks when the source no longer has it', () => {
    const context = { source: () => ({ ...there, content: { ...there.content, pages: [] } }) };
    const asked = upkeep(withPart(true), 1, context).entries.filter((e) => e.versionId === 'rp-ext' && waits(e));
    expect(asked.map((e) => e.outcome)).toEqual(['lost']);
  });
});
