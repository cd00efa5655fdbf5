import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { diff3Merge } from 'node-diff3';
import { type Content, findBlock } from '../activity/activity';
import { wordsAt } from '../activity/blocks';
import { type Family, latest } from '../activity/family';
import { readRich, writeRich } from '../activity/rich';
import { fromRichTokens, richTokens } from '../activity/rich-tokens';
import { takenPart } from '../adjust/from-activity';
import { recordInPlace } from '../adjust/record';
import { derive } from '../derive/derive';
import { demoWorkspace } from '../demo/index';
import { editMaster, familyOf, inPlace, masters, stamp, steps, withVersions } from '../testing/random-family';
import { mergeText, textChanges, tokens } from './merge-text';
import { carryOver, type Decision, isLeft, leaveForLater, pendingUpkeep, resolveUpkeep, saveRevision } from './resolve';
import { groupsToDecide, upkeep, waits } from './upkeep';

const settler = { at: '2026-09-03T08:00:00.000Z', by: 'T' };
const words = fc.array(fc.constantFrom('a', 'b', 'c', 'd', 'e.', 'f,'), { maxLength: 12 }).map((w) => w.join(' '));

describe('mergeText', () => {
  it('gives back one side where the other changed nothing', () => {
    fc.assert(
      fc.property(words, words, (old, now) => {
        expect(mergeText(old, now, old).text).toBe(now);
        expect(mergeText(old, old, now).text).toBe(now);
        expect(mergeText(old, now, now)).toMatchObject({ clean: true, text: now });
      }),
    );
  });

  it('agrees with node-diff3 on the same tokens, conflict for conflict', () => {
    fc.assert(
      fc.property(words, words, words, (old, a, b) => {
        const theirs = diff3Merge(tokens(a), tokens(old), tokens(b), { excludeFalseConflicts: true });
        const mine = mergeText(old, a, b);
        expect(mine.regions.map((r) => r.kind)).toEqual(theirs.map((r) => (r.conflict ? 'conflict' : 'agreed')));
        expect(mine.clean).toBe(theirs.every((r) => !r.conflict));
      }),
    );
  });

  it('joins two changes of different words, and keeps the version’s where they meet', () => {
    const old = 'The crab hides under a stone all day.';
    expect(
      mergeText(old, 'The crab hides under a flat stone all day.', 'The crab sits under a stone all day.'),
    ).toMatchObject({
      clean: true,
      text: 'The crab sits under a flat stone all day.',
    });
    expect(mergeText(old, 'The crab waits under a stone all day.', 'The crab sits under a stone.')).toMatchObject({
      clean: false,
      text: 'The crab sits under a stone.',
    });
  });

  it('shows changes that give both texts back', () => {
    fc.assert(
      fc.property(words, words, (was, now) => {
        const changes = textChanges(was, now);
        expect(changes.flatMap((c) => (c.kind === 'new' ? [] : [c.text])).join('')).toBe(was);
        expect(changes.flatMap((c) => (c.kind === 'gone' ? [] : [c.text])).join('')).toBe(now);
      }),
    );
  });
});

const setting = fc.tuple(masters, fc.array(fc.nat(5), { minLength: 1, maxLength: 4 }), steps(10), steps(6));
// Parents first: a change of a parent is upkeep for its children, which is another matter.
const before = ([m, bases, done]: [Content, number[], Parameters<typeof inPlace>[1][], unknown]): Family =>
  [...done]
    .sort((a, b) => (a.on % bases.length) - (b.on % bases.length))
    .reduce(inPlace, withVersions(familyOf(m), bases));

describe('upkeep', () => {
  it('asks nothing when nothing changed', () => {
    fc.assert(
      fc.property(setting, (s) => {
        const family = before(s);
        expect(upkeep(family, 1).entries).toEqual([]);
        expect(carryOver(family, settler)).toEqual(family);
      }),
    );
  });

  it('loses nothing of either side without a decision', () => {
    fc.assert(
      fc.property(setting, (s) => {
        const old = before(s);
        const content = s[3].reduce(editMaster, latest(old).content);
        const { family } = saveRevision(old, content, '', settler);
        const waiting = new Set(
          pendingUpkeep(family)
            .entries.filter(waits)
            .map((e) => e.adjustmentId),
        );
        for (const v of family.versions) {
          const was = old.versions.find((o) => o.id === v.id);
          const derived = derive(family, v.id).content;
          for (const a of was?.adjustments ?? []) {
            const now = v.adjustments.find((x) => x.id === a.id);
            if (waiting.has(a.id)) expect(now).toBeDefined();
            // The version's side: a carried rewording still says every word that the version put in.
            if (a.kind === 'reword' && now?.kind === 'reword' && !waiting.has(a.id) && now.now !== a.now) {
              const had = new Set(a.was.split(/\s+/));
              for (const w of a.now.split(/\s+/)) if (!had.has(w)) expect(now.now).toContain(w);
            }
            if (a.kind === 'reword' && !now) {
              // Gone without a decision only where the basis says the same by itself.
              const basis = findBlock(derive(family, v.basis).content, a.target)?.block;
              expect(basis && wordsAt(basis, a.field)).toBe(a.now);
            }
          }
          // The master's side: every block is shown, or left out by an adjustment that can be named.
          const d = derive(family, v.id);
          for (const p of content.pages)
            for (const b of p.blocks) expect(findBlock(derived, b.id) !== undefined || d.leftOut.has(b.id)).toBe(true);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('taking the master’s for all leaves no rewording in the way of the master’s words', () => {
    fc.assert(
      fc.property(setting, (s) => {
        const old = before(s);
        const content = s[3].reduce(editMaster, latest(old).content);
        let { family } = saveRevision(old, content, '', settler);
        for (let i = 0; i < 40; i++) {
          const [first] = pendingUpkeep(family).entries.filter(waits);
          if (!first) break;
          family = resolveUpkeep(
            family,
            [{ versionId: first.versionId, adjustmentId: first.adjustmentId, choice: 'master' }],
            settler,
          );
        }
        expect(pendingUpkeep(family).entries.filter(waits)).toEqual([]);
        expect(family.versions.every((v) => v.upTo === latest(family).n)).toBe(true);
        for (const v of family.versions)
          expect(
            derive(family, v.id).reports.filter((r) => r.status === 'skipped' || r.status === 'unsettled'),
          ).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });

  it('taking the master’s for all gives what the same version gives without those adjustments', () => {
    fc.assert(
      fc.property(setting, (s) => {
        const old = before(s);
        const content = s[3].reduce(editMaster, latest(old).content);
        const saved = saveRevision(old, content, '', settler).family;
        const asked = pendingUpkeep(saved).entries.filter(waits);
        const letGo = asked.filter((e) => e.choices.some((c) => c.choice === 'master' && c.result === null));
        if (asked.length === 0 || letGo.length !== asked.length) return;
        const done = resolveUpkeep(
          saved,
          asked.map(({ versionId, adjustmentId }) => ({ versionId, adjustmentId, choice: 'master' })),
          settler,
        );
        const gone = new Set(asked.map((e) => e.adjustmentId));
        const fresh = carryOver(
          {
            ...saved,
            versions: saved.versions.map((v) => ({ ...v, adjustments: v.adjustments.filter((a) => !gone.has(a.id)) })),
          },
          settler,
        );
        // What follows from an answer may ask anew: of those that are still, both show the same.
        if (pendingUpkeep(done).entries.length || pendingUpkeep(fresh).entries.length) return;
        for (const v of done.versions) expect(derive(done, v.id).content).toEqual(derive(fresh, v.id).content);
      }),
      { numRuns: 300 },
    );
  });

  it('does not depend on the order of edits that have nothing to do with each other', () => {
    const edit = fc.record({ where: fc.nat(40), words: fc.constantFrom('one', 'two words', 'three of them') });
    fc.assert(
      fc.property(masters, edit, edit, (m, a, b) => {
        const family = withVersions(familyOf(m), [0]);
        const blocks = m.pages.flatMap((p) => p.blocks).filter((x) => x.kind === 'text' || 'prompt' in x);
        const [x, y] = [blocks[a.where % Math.max(1, blocks.length)], blocks[b.where % Math.max(1, blocks.length)]];
        if (!x || !y || x === y) return;
        const say = (f: Family, on: typeof x, text: string): Family => {
          const field = on.kind === 'text' ? 'text' : 'prompt';
          const version = recordInPlace(f, 'v0', { did: 'words', blockId: on.id, field, text }, stamp);
          return { ...f, versions: [version] };
        };
        const one = derive(say(say(family, x, a.words), y, b.words), 'v0').content;
        const other = derive(say(say(family, y, b.words), x, a.words), 'v0').content;
        expect(one).toEqual(other);
      }),
    );
  });

  it('deriving changes nothing that is derived: again, or with what it gives as the master', () => {
    fc.assert(
      fc.property(setting, (s) => {
        const family = before(s);
        for (const v of family.versions) {
          const { content } = derive(family, v.id);
          expect(derive(JSON.parse(JSON.stringify(family)) as Family, v.id).content).toEqual(content);
          expect(derive(familyOf(content), null).content).toBe(content);
        }
      }),
    );
  });

  it('does not depend on the order in which independent questions are answered', () => {
    const family = waitingDemo();
    const decisions: Decision[] = pendingUpkeep(family)
      .entries.filter(waits)
      .map((e) => ({ versionId: e.versionId, adjustmentId: e.adjustmentId, choice: 'version' }));
    expect(decisions.length).toBeGreaterThan(1);
    const strip = (f: Family) => f.versions.map((v) => ({ ...v, upkeepLog: [] }));
    expect(strip(resolveUpkeep(family, decisions, settler))).toEqual(
      strip(resolveUpkeep(family, [...decisions].reverse(), settler)),
    );
  });
});

function waitingDemo(): Family {
  return demoWorkspace(Date.UTC(2026, 10, 24)).families['rock-pool'] as Family;
}

describe('the demo’s waiting question', () => {
  it('groups the versions that changed the same words, and one answer settles both', () => {
    const family = waitingDemo();
    const [group, ...others] = groupsToDecide(pendingUpkeep(family));
    expect(others).toEqual([]);
    expect(group?.map((e) => e.versionId)).toEqual(['rp-sup', 'rp-core']);
    const done = resolveUpkeep(
      family,
      (group ?? []).map((e) => ({ versionId: e.versionId, adjustmentId: e.adjustmentId, choice: 'master' })),
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

  it('carried the other change of the same revision by itself', () => {
    const q3 = findBlock(derive(waitingDemo(), 'rp-sup').content, 'rp-q3')?.block;
    expect(q3).toMatchObject({ prompt: 'What falls from the sky and makes the water less salty?' });
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
