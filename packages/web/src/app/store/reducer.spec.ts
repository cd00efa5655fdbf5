import { describe, expect, it } from '@jest/globals';
import {
  derive,
  emptyIndex,
  emptyWorkspace,
  type Family,
  latest,
  type Learner,
  type Page,
  pendingUpkeep,
  type Recipe,
  type Removed,
  type Version,
  type Group,
  type SchoolClass,
  SHIPPED_RECIPES,
  waits,
  type Workspace,
} from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import type { KeptDoc } from '../platform/storage/kept-asset';
import { allOpened } from '../testing/kept-demo';
import { BenchActions, BringActions, DeskActions, KeepingActions, HandOutActions, MarkingActions } from './actions';
import { EDITS } from './edits';
import { initialState, type LorvetState, reducerOf } from './reducer';

const demo = demoWorkspace(Date.UTC(2026, 10, 24));
const reducer = reducerOf(EDITS);
const start: LorvetState = reducer(initialState, KeepingActions.opened({ opened: allOpened(demo) }));
const lone = { id: 'lone', mime: 'image/png' as const, name: 'lone.png', data: new Blob(['x']) };
const objective = { id: 'o', code: '', text: 'Count', subject: '', ages: '', from: '' };
const stamp = { at: '2026-11-24T09:00:00.000Z', author: 'T', ids: ['n1', 'n2', 'n3'] };
const gone = (target: string): Removed => ({ id: 'r', at: '', title: target, says: '', what: 'activity', target });
const goneVersion = (id: string): Removed => {
  const version = demo.families['rock-pool']?.versions.find((v) => v.id === id) as Version;
  return {
    id: 'r',
    at: '',
    title: version.name,
    says: '',
    what: 'version',
    familyId: 'rock-pool',
    versions: [{ at: 0, version }],
  };
};
const goneLearner = (id: string): Removed => {
  const learner = demo.learners[id] as Learner;
  return {
    id: 'r',
    at: '',
    title: learner.name,
    says: '',
    what: 'learner',
    learner,
    classIds: ['c-heron'],
    groupIds: ['g-limpets'],
    lines: [{ handOutId: 'h-bike', versionId: 'pun-sup' }],
  };
};
const undo = (s: LorvetState) => reducer(s, KeepingActions.undo());
const redo = (s: LorvetState) => reducer(s, KeepingActions.redo());
const family = (s: LorvetState, id = 'rock-pool') => s.doc.families[id] as Family;
const write = (text: string) =>
  BenchActions.changedInPlace({
    familyId: 'rock-pool',
    versionId: 'rp-core',
    done: { did: 'words', blockId: 'rp-q4', field: 'prompt', text },
    label: 'reword',
    stamp,
  });

describe('undo and redo', () => {
  it('take back and do again every kind of edit', () => {
    const master = { ...latest(family(start)).content, title: 'Renamed' };
    const edits = [
      KeepingActions.removed({ removed: gone('puncture') }),
      BenchActions.masterChanged({ familyId: 'rock-pool', content: master, label: 'title' }),
      BenchActions.versionRemoved({
        familyId: 'rock-pool',
        versionId: 'rp-sup',
        heirs: 'take-over',
        removed: goneVersion('rp-sup'),
        stamp,
      }),
      BenchActions.versionRebased({ familyId: 'rock-pool', versionId: 'rp-oriel', basis: 'rp-core', stamp }),
      BenchActions.versionsMade({
        familyId: 'rock-pool',
        versions: family(start)
          .versions.slice(0, 1)
          .map((v) => ({ ...v, id: 'made' })),
        label: 'tiers',
      }),
      BenchActions.adjustmentsBrought({
        familyId: 'rock-pool',
        version: { ...(family(start).versions[0] as Version), adjustments: [] },
        assets: [lone],
        label: 'adjustments',
      }),
      BenchActions.recipeKept({ recipe: SHIPPED_RECIPES[0] as Recipe }),
      BenchActions.revisionRestored({ familyId: 'rock-pool', n: 1, stamp }),
      BenchActions.upkeepLeft({
        familyId: 'rock-pool',
        entries: pendingUpkeep(family(start)).entries.filter(waits),
      }),
      write('It walks to the side.'),
      BringActions.addedToMaster({ familyId: 'puncture', content: master, assets: [lone], label: 'bring in' }),
      BringActions.madeMaster({ family: { ...family(start), id: 'new' }, assets: [lone], label: 'bring in' }),
      BringActions.objectivesListed({ objectives: [objective], label: 'objectives' }),
      BringActions.assetsCleared({ ids: Object.keys(demo.assets).slice(0, 1) }),
      BenchActions.templateKept({ template: { id: 't', name: 'T', page: master.pages[0] as Page } }),
      KeepingActions.removed({ removed: goneLearner('l-oriel') }),
      MarkingActions.responseChanged({
        copyId: 'h-survey.l-kerra',
        go: 1,
        patch: { comment: 'Well seen' },
        label: 'comment',
      }),
    ];
    for (const action of edits) {
      const done = reducer(start, action);
      expect(done.doc).not.toEqual(start.doc);
      expect(undo(done).doc).toEqual(start.doc);
      expect(redo(undo(done)).doc).toEqual(done.doc);
    }
    const all = edits.reduce(reducer, start);
    const back = edits.reduce(undo, all);
    expect(back.doc).toEqual(start.doc);
    // The very objects of before, so that what was derived from them still holds.
    expect(family(back)).toBe(family(start));
  });

  it('leaves an exchange of workspaces to whoever can open the other one', () => {
    const opened = { doc: { ...emptyWorkspace(), assets: {} }, index: emptyIndex(), toMend: [] };
    const exchange = { label: 'start empty', generation: 'before' };
    const emptied = reducer(start, KeepingActions.exchanged({ opened, exchange, side: 'past' }));
    expect(emptied.doc).toEqual(opened.doc);
    expect(undo(emptied)).toBe(emptied);
    expect(reducer(emptied, KeepingActions.exchangeForgotten({ generation: 'before' })).past).toEqual([]);
  });

  it('cannot take back a hand-out that a learner has begun', () => {
    const given = reducer(start, HandOutActions.givenOut({ confirmed: [], id: 'h-bike', stamp }));
    expect(given.doc.handOuts['h-bike']?.state).toBe('given');
    const copy = { id: 'h-bike.l-oriel', handOutId: 'h-bike', learnerId: 'l-oriel', frozen: 'x', goes: [] };
    const begun = reducer(given, DeskActions.copySaved({ copy }));
    expect(begun.past.map((s) => s.label)).not.toContain('give out');
    expect(reducer(given, DeskActions.copySaved({ copy: { ...copy, handOutId: 'h-bus' } })).past).toHaveLength(1);
  });

  it('takes the strokes of one text back together, and not those of another', () => {
    const typed = ['It', 'It walks', 'It walks aside'].map(write).reduce(reducer, start);
    expect(typed.past).toHaveLength(1);
    expect(undo(typed).doc).toEqual(start.doc);
    // What was changed still stands where it stood.
    expect(Object.keys(undo(typed).doc.families)).toEqual(Object.keys(start.doc.families));
    const other = { ...write('x'), done: { did: 'words' as const, blockId: 'rp-q5', field: 'prompt', text: 'x' } };
    expect(reducer(typed, other).past).toHaveLength(2);
  });

  it('forgets the steps on a record that another tab has changed, and keeps the others', () => {
    const both = [write('A'), KeepingActions.removed({ removed: goneLearner('l-jory') })].reduce(reducer, start);
    const arrived = reducer(
      both,
      KeepingActions.recordsArrived({ arrivals: [{ kind: 'families', id: 'rock-pool', value: undefined }] }),
    );
    expect(arrived.past.map((p) => p.label)).toEqual(['remove “Jory S.”']);
    expect(undo(arrived).doc.learners['l-jory']).toEqual(start.doc.learners['l-jory']);
  });

  it('never takes back what a learner wrote', () => {
    const copy = { ...(start.doc.copies['h-survey.l-kerra'] as Workspace['copies'][string]), goes: [] };
    const written = reducer(reducer(start, write('A')), DeskActions.copySaved({ copy }));
    expect(undo(written).doc.copies['h-survey.l-kerra']).toEqual(copy);
  });
});

describe('what cannot be done', () => {
  it('is said in words and changes nothing', () => {
    const done = { did: 'remove-options' as const, blockId: 'rp-q1', optionIds: ['rp-q1-1'] };
    const after = reducer(
      start,
      BenchActions.changedInPlace({ familyId: 'rock-pool', versionId: 'rp-core', done, label: '', stamp }),
    );
    expect(after.doc).toBe(start.doc);
    expect(after.problem).toMatch(/is the key/);
  });
});

describe('removing a version', () => {
  it('leaves those made on it as they are', () => {
    const before = derive(family(start), 'rp-oriel').content;
    const after = reducer(
      start,
      BenchActions.versionRemoved({
        familyId: 'rock-pool',
        versionId: 'rp-sup',
        heirs: 'take-over',
        removed: goneVersion('rp-sup'),
        stamp,
      }),
    );
    expect(derive(family(after), 'rp-oriel').content).toEqual(before);
    expect(family(after).versions.find((v) => v.id === 'rp-oriel')?.basis).toBeNull();
  });
});

describe('saving a revision', () => {
  it('carries over what goes together and leaves the rest to decide', () => {
    const master = latest(family(start)).content;
    const pages = master.pages.map((p) => ({
      ...p,
      blocks: p.blocks.map((b) =>
        b.id === 'rp-q10' && 'prompt' in b ? { ...b, prompt: `${b.prompt} Give two reasons.` } : b,
      ),
    }));
    const drafted = reducer(
      start,
      BenchActions.masterChanged({ familyId: 'rock-pool', content: { ...master, pages }, label: '' }),
    );
    const saved = reducer(drafted, BenchActions.revisionSaved({ familyId: 'rock-pool', note: 'two reasons', stamp }));
    expect(latest(family(saved)).n).toBe(4);
    expect(family(saved).draft).toBeUndefined();
    expect(family(saved).versions.find((v) => v.id === 'rp-ext')?.upTo).toBe(4);
    expect(family(saved).versions.find((v) => v.id === 'rp-core')?.upTo).toBe(2);
  });
});

describe('a part of another activity', () => {
  it('follows it when a revision is saved there, and one step back takes both back', () => {
    const packet = (s: LorvetState) => derive(family(s, 'market'), 'mk-oriel').content;
    const content = latest(family(start)).content;
    const pages = content.pages.map((p) => (p.id === 'rp-p2' ? { ...p, title: 'Who is at home?' } : p));
    const drafted = reducer(
      start,
      BenchActions.masterChanged({ familyId: 'rock-pool', content: { ...content, pages }, label: 'title' }),
    );
    const saved = reducer(drafted, BenchActions.revisionSaved({ familyId: 'rock-pool', note: '', stamp }));
    expect(packet(saved).pages.map((p) => p.title)).toContain('Who is at home?');
    expect(packet(undo(saved))).toEqual(packet(start));
  });
});

describe('what is brought in', () => {
  it('comes with its pictures, and one step back takes both away again', () => {
    const { content } = latest(family(start, 'puncture'));
    const more = { ...content, pages: [...content.pages, { ...(content.pages[0] as Page), id: 'fresh', blocks: [] }] };
    const done = reducer(
      start,
      BringActions.addedToMaster({ familyId: 'puncture', content: more, assets: [lone], label: 'bring in' }),
    );
    expect(family(done, 'puncture').draft?.pages).toHaveLength(3);
    expect(done.doc.assets['lone']).toEqual(lone);
    expect(undo(done).doc).toEqual(start.doc);
    expect(done.past.at(-1)?.label).toBe('bring in');
  });

  it('a learner’s photograph is kept without a step that a teacher could take back', () => {
    const done = reducer(start, DeskActions.mediaKept({ asset: lone }));
    expect(done.doc.assets['lone']).toEqual(lone);
    expect(done.past).toEqual(start.past);
  });
});

describe('what was removed', () => {
  it.each([
    ['an activity', gone('puncture')],
    ['a learner', goneLearner('l-oriel')],
    [
      'a class',
      { id: 'r', at: '', title: '', says: '', what: 'class' as const, record: demo.classes['c-heron'] as SchoolClass },
    ],
    [
      'a group',
      { id: 'r', at: '', title: '', says: '', what: 'group' as const, record: demo.groups['g-limpets'] as Group },
    ],
  ])('%s comes back whole from where it waits', (_, removed) => {
    const out = reducer(start, KeepingActions.removed({ removed }));
    expect(out.doc.removed['r']).toEqual(removed);
    const back = reducer(out, KeepingActions.putBack({ removed }));
    const sorted = (doc: KeptDoc) =>
      JSON.parse(
        JSON.stringify(doc, (k, v: unknown) =>
          (k === 'learnerIds' || k === 'lines') && Array.isArray(v) ? v.map((x) => JSON.stringify(x)).sort() : v,
        ),
      );
    expect(sorted(back.doc)).toEqual(sorted(start.doc));
  });

  it('a version stands where it stood, on the master where its basis is gone meanwhile', () => {
    const two = goneVersion('rp-oriel');
    const action = { familyId: 'rock-pool', versionId: 'rp-oriel', heirs: 'take-over' as const, removed: two, stamp };
    const out = reducer(start, BenchActions.versionRemoved(action));
    const without = reducer(
      out,
      BenchActions.versionRemoved({ ...action, versionId: 'rp-sup', removed: { ...goneVersion('rp-sup'), id: 'r2' } }),
    );
    const back = reducer(without, KeepingActions.putBack({ removed: two }));
    expect(family(back).versions.find((v) => v.id === 'rp-oriel')?.basis).toBeNull();
    expect(
      family(reducer(out, KeepingActions.putBack({ removed: two })))
        .versions.map((v) => v.id)
        .sort(),
    ).toEqual(
      family(start)
        .versions.map((v) => v.id)
        .sort(),
    );
  });
});
