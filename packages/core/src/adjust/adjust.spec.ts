import { describe, expect, it } from '@jest/globals';
import { type Content, findBlock } from '../activity/activity';
import { type Family, latest, versionOf } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { basisContent, derive } from '../derive/derive';
import { saveRevision } from '../upkeep/resolve';
import { stamp } from '../testing/random-family';
import { choicesToLeaveOut } from './fewer-choices';
import { hasPersonalField, personalFieldsIn } from './personal-fields';
import { type InPlace, recordInPlace, withoutAdjustment } from './record';
import { type Adjustment, adjustmentKinds, adjustmentSchema, kindOfAdjustment } from './registry';
import { Sheet } from './sheet';
import { proposeWords } from './word-bank';

const pool = demoWorkspace(Date.UTC(2026, 10, 24)).families['rock-pool'] as Family;
const content = latest(pool).content;
const page = (id: string, c: Content = content) => {
  const found = c.pages.find((p) => p.id === id);
  if (!found) throw new Error(`no page ${id}`);
  return found;
};

/** The demo's core version with something done to it in place. */
function act(done: InPlace, family: Family = pool, id = 'rp-core'): Family {
  const changed = recordInPlace(family, id, done, stamp);
  return { ...family, versions: family.versions.map((v) => (v.id === id ? changed : v)) };
}
const list = (f: Family, id = 'rp-core') => versionOf(f, id)?.adjustments ?? [];
const newest = (f: Family): Adjustment => list(f).at(-1) as Adjustment;
const said = (f: Family) => {
  const version = versionOf(f, 'rp-core');
  return version ? kindOfAdjustment(newest(f)).describe(newest(f), basisContent(f, version)) : '';
};
const shown = (f: Family, blockId: string) => findBlock(derive(f, 'rp-core').content, blockId)?.block;

describe('every kind of adjustment', () => {
  const done: Record<keyof typeof adjustmentKinds, InPlace> = {
    'leave-out': { did: 'remove-block', blockId: 'rp-q4' },
    'keep-pages': { did: 'keep-pages', pageIds: ['rp-p1', 'rp-p3'] },
    reword: { did: 'words', blockId: 'rp-q4', field: 'prompt', text: 'Which animal walks to the side?' },
    'fewer-choices': { did: 'remove-options', blockId: 'rp-q1', optionIds: ['rp-q1-4'] },
    'word-bank': { did: 'word-bank', pageId: 'rp-p2', after: 'rp-i2' },
    hint: { did: 'hint', blockId: 'rp-q5', text: 'It holds on with one strong foot.' },
    'insert-block': {
      did: 'insert-block',
      pageId: 'rp-p2',
      after: 'rp-q5',
      block: { id: 'new-text', kind: 'text', audience: 'learner', text: 'Look at its shell.' },
    },
    'personal-fields': { did: 'personal-fields', otherwise: { name: 'You', interest: 'boats', class: 'us' } },
  };
  const sentences: Record<keyof typeof adjustmentKinds, RegExp> = {
    'leave-out': /^The question “It walks sideways .*” is left out\.$/,
    'keep-pages': /^Only 2 of 3 pages are kept: “Life between the tides”, “Why is it made like that\?”\.$/,
    reword: /^Question “It walks sideways .*” is worded “Which animal walks to the side\?”\.$/,
    'fewer-choices': /offers 3 choices in place of 4: Mussel · Jellyfish · Shrimp\.$/,
    'word-bank': /^A word bank is added: anemone, crab, limpet\.$/,
    hint: /^“It clings to bare rock .*” has a hint: “It holds on with one strong foot\.”\.$/,
    'insert-block': /^Text is added: “Look at its shell\.”\.$/,
    'personal-fields': /^The learner’s own name stands in the text\.$/,
  };

  it.each(Object.keys(done) as (keyof typeof adjustmentKinds)[])(
    '%s is recorded, kept, described and told from what is gone',
    (kind) => {
      const family = act(done[kind]);
      const a = kind === 'personal-fields' ? (list(family).find((x) => x.kind === kind) as Adjustment) : newest(family);
      expect(a.kind).toBe(kind);
      expect(adjustmentSchema.parse(JSON.parse(JSON.stringify(a)))).toEqual(a);
      if (kind !== 'personal-fields') expect(said(family)).toMatch(sentences[kind]);
      else
        expect(adjustmentKinds[kind].describe(a as never, derive(family, 'rp-core').content)).toMatch(sentences[kind]);
      // On a content where nothing it speaks of is left, it is skipped with a reason and changes nothing.
      const bare: Content = {
        ...content,
        pages: [{ id: 'other', title: 'Other', orientation: 'portrait', blocks: [] }],
      };
      const sheet = new Sheet(bare);
      const applied = kindOfAdjustment(a).apply(a, sheet, {});
      expect(applied.edits).toEqual([]);
      if (kind !== 'personal-fields') expect(applied.missed[0]?.why).toMatch(/no longer there/);
    },
  );
});

describe('fewer choices', () => {
  const many = findBlock(content, 'rp-q2')?.block;
  if (many?.kind !== 'multiple-choice') throw new Error('the demo changed');
  it('leaves out wrong choices only, the last ones first', () => {
    expect(choicesToLeaveOut(many, 4)).toEqual(['rp-q2-5']);
    expect(choicesToLeaveOut(many, 3)).toEqual(['rp-q2-3', 'rp-q2-5']);
    expect(choicesToLeaveOut(many, 1)).toEqual(['rp-q2-3', 'rp-q2-5']);
    expect(choicesToLeaveOut(many, 9)).toEqual([]);
  });

  it('keeps a choice that has become the key, and says that it waits', () => {
    const family = act({ did: 'remove-options', blockId: 'rp-q1', optionIds: ['rp-q1-4'] });
    const moved = {
      ...content,
      pages: content.pages.map((p) => ({
        ...p,
        blocks: p.blocks.map((b) => (b.id === 'rp-q1' ? ({ ...b, key: 'rp-q1-4' } as typeof b) : b)),
      })),
    };
    const saved = saveRevision(family, moved, '', { at: '', by: '' }).family;
    expect(JSON.stringify(shown(saved, 'rp-q1'))).toContain('Starfish');
    expect(derive(saved, 'rp-core').reports.find((r) => r.adjustmentId === newest(family).id)?.status).toBe(
      'unsettled',
    );
  });

  it('goes away when all choices are put back', () => {
    const fewer = act({ did: 'remove-options', blockId: 'rp-q1', optionIds: ['rp-q1-4'] });
    expect(list(act({ did: 'remove-options', blockId: 'rp-q1', optionIds: [] }, fewer))).toEqual(list(pool));
  });
});

describe('word bank', () => {
  it('proposes the first key of each short text once, in an order that gives nothing away', () => {
    expect(proposeWords(page('rp-p2'))).toEqual(['anemone', 'crab', 'limpet']);
    const twice = page('rp-p2');
    expect(proposeWords({ ...twice, blocks: [...twice.blocks, ...twice.blocks] })).toEqual([
      'anemone',
      'crab',
      'limpet',
    ]);
  });

  it('is one to a page: written again it is changed, emptied it goes', () => {
    const first = act({ did: 'word-bank', pageId: 'rp-p2', after: null });
    const second = act({ did: 'word-bank', pageId: 'rp-p2', after: null, words: ['crab', ' eel ', ''] }, first);
    expect(list(second)).toHaveLength(list(first).length);
    expect(newest(second)).toMatchObject({ words: ['crab', 'eel'] });
    expect(list(act({ did: 'word-bank', pageId: 'rp-p2', after: null, words: [] }, second))).toEqual(list(pool));
  });

  it('says so where there are no keys to propose from', () => {
    expect(() => act({ did: 'word-bank', pageId: 'rp-p3', after: null })).toThrow(/Write them yourself/);
  });
});

describe('what stands after an added block', () => {
  it('takes its place when that block goes', () => {
    const text = (id: string, after: string) =>
      ({
        did: 'insert-block',
        pageId: 'rp-p2',
        after,
        block: { id, kind: 'text', audience: 'learner', text: id },
      }) as const;
    const both = act(text('second', 'first'), act(text('first', 'rp-i2')));
    const version = versionOf(both, 'rp-core');
    const first = list(both).find((a) => a.kind === 'insert-block' && a.block.id === 'first');
    if (!version || !first) throw new Error('not added');
    const left = withoutAdjustment(version, first.id);
    expect(left.adjustments.at(-1)).toMatchObject({ after: 'rp-i2' });
    const family = { ...both, versions: both.versions.map((v) => (v.id === 'rp-core' ? left : v)) };
    const ids = page('rp-p2', derive(family, 'rp-core').content).blocks.map((b) => b.id);
    expect(ids.slice(0, 3)).toEqual(['rp-i2', 'second', 'rp-q4']);
  });
});

describe('personal fields', () => {
  it('are found where they are written, in square brackets and by their three names only', () => {
    expect(personalFieldsIn(content)).toEqual(['name']);
    expect(hasPersonalField('Dear [name],')).toBe(true);
    expect(hasPersonalField('[title] and (name)')).toBe(false);
  });
});

describe('what cannot be recorded', () => {
  it.each<[string, InPlace, RegExp]>([
    ['words that are gone', { did: 'words', blockId: 'nowhere', field: 'text', text: 'x' }, /no longer in the basis/],
    ['a block that is gone', { did: 'remove-block', blockId: 'nowhere' }, /no longer in the basis/],
    ['no page at all', { did: 'keep-pages', pageIds: [] }, /at least one page/],
    ['a hint for a heading', { did: 'hint', blockId: 'rp-h1', text: 'x' }, /Only a question/],
    [
      'a block of the basis as one added here',
      { did: 'replace-inserted', block: { id: 'rp-t1', kind: 'text', audience: 'learner', text: '' } },
      /added here/,
    ],
    ['something that is not left out', { did: 'put-back', id: 'rp-q4' }, /put it back there/],
  ])('%s: said in words', (_, done, words) => {
    expect(() => act(done)).toThrow(words);
  });

  it('nor a change of a version that was removed', () => {
    expect(() => recordInPlace(pool, 'gone', { did: 'remove-block', blockId: 'rp-q4' }, stamp)).toThrow(
      /no longer there/,
    );
  });
});
