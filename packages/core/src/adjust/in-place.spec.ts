import { describe, expect, it } from '@jest/globals';
import { type Content, findBlock } from '../activity/activity';
import { type Block } from '../activity/blocks';
import { type Family, versionOf } from '../activity/family';
import { derive } from '../derive/derive';
import { pendingUpkeep, saveRevision } from '../upkeep/resolve';
import { act, content, list, newest, page, pool } from '../testing/in-demo';
import { stamp } from '../testing/random-family';
import { draftFewerChoices, isDraft } from './drafts';
import { choicesToLeaveOut } from './fewer-choices';
import { hasPersonalField, personalFieldsIn } from './personal-fields';
import { type InPlace, recordInPlace } from './record';
import { withoutAdjustment } from './without';
import { proposeWords } from './word-bank';

const shown = (f: Family, blockId: string) => findBlock(derive(f, 'rp-core').content, blockId)?.block;

describe('several at once', () => {
  it('are one batch with a name, and a second of the same takes the first’s place', () => {
    const drafts = ['rp-q1', 'rp-q2', 'rp-q11']
      .map((id) => draftFewerChoices(findBlock(content, id)?.block as Block, 2))
      .filter(isDraft);
    const once = act({ did: 'adjust', drafts, name: 'fewer choices in 3 items' });
    const mine = list(once).filter((a) => a.kind === 'fewer-choices');
    expect(new Set(mine.map((a) => a.batch?.id)).size).toBe(1);
    expect(mine.map((a) => a.batch?.name)).toEqual(drafts.map(() => 'fewer choices in 3 items'));
    expect(list(act({ did: 'adjust', drafts }, once))).toHaveLength(list(once).length);
  });
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
    const left = withoutAdjustment(both, version, first.id);
    expect(left.adjustments.at(-1)).toMatchObject({ after: 'rp-i2' });
    const family = { ...both, versions: both.versions.map((v) => (v.id === 'rp-core' ? left : v)) };
    const ids = page('rp-p2', derive(family, 'rp-core').content).blocks.map((b) => b.id);
    expect(ids.slice(0, 3)).toEqual(['rp-i2', 'second', 'rp-q4']);
  });

  it('also where what that block stood behind has been left out meanwhile', () => {
    const text = (id: string, after: string): InPlace => ({
      did: 'insert-block',
      pageId: 'rp-p2',
      after,
      block: { id, kind: 'text', audience: 'learner', text: id },
    });
    const first = act(text('first', 'rp-q4'));
    const both = act(text('second', 'first'), act({ did: 'remove-block', blockId: 'rp-q4' }, first));
    const left = act({ did: 'remove-block', blockId: 'first' }, both);
    expect(pendingUpkeep(left).entries.filter((e) => e.versionId === 'rp-core')).toEqual(
      pendingUpkeep(pool).entries.filter((e) => e.versionId === 'rp-core'),
    );
    const order = (f: Family) => page('rp-p2', derive(f, 'rp-core').whole).blocks.map((b) => b.id);
    expect(order(left)).toEqual(order(both).filter((id) => id !== 'first'));
  });

  it('a rewording of a choice that is left out here waits for it, and is no fault', () => {
    const question = findBlock(content, 'rp-q1')?.block;
    const wrong = question?.kind === 'single-choice' ? question.options.filter((o) => o.id !== question.key) : [];
    const [first, second] = wrong.map((o) => o.id);
    if (!first || !second) throw new Error('the demo changed');
    const fewer = act({ did: 'remove-options', blockId: 'rp-q1', optionIds: [first] });
    const reworded = act({ did: 'words', blockId: 'rp-q1', field: `option:${second}`, text: 'Other words' }, fewer);
    // Brought up to date where it stands, before the rewording.
    const less = act({ did: 'remove-options', blockId: 'rp-q1', optionIds: [first, second] }, reworded);
    const said = derive(less, 'rp-core').reports.filter((r) => r.versionId === 'rp-core');
    expect(list(less).some((a) => a.kind === 'reword' && a.field === `option:${second}`)).toBe(true);
    expect(said.filter((r) => r.status === 'skipped')).toEqual([]);
  });
});

describe('personal fields', () => {
  it('are found where they are written, in square brackets and by the names that cards have', () => {
    expect(personalFieldsIn(content)).toEqual(['name']);
    const asks: Content = {
      ...content,
      pages: [
        {
          ...page('rp-p1'),
          blocks: [{ id: 't', kind: 'text', audience: 'learner', text: '[pet] of [age], [see p. 3]' }],
        },
      ],
    };
    expect(personalFieldsIn(asks, ['pet'])).toEqual(['age', 'pet']);
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
