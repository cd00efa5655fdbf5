import { describe, expect, it } from '@jest/globals';
import { indexOf } from '../keep/index-changes';
import { mergeCopies } from '../keep/merge';
import { statesIn } from '../keep/index-parts';
import { workKeysOf } from '../keep/head-parts';
import { codes, people, pool, survey, w } from '../testing/demo-plan';
import type { Copy } from '../work/copy';
import { NEW_CLASS } from '../learners/people';
import { placesInOrder } from './album-of';
import { giveOut } from './give-out';
import { EVERYBODY, type HandOut, type IndexLayout, worksOf } from './hand-out';
import { placed, teamsOf, unplaced } from './teams';
import { safestWay, waysToGive } from './ways';

const AT = '2026-11-24T08:00:00.000Z';
const team = (id: string, versionId: string | null, ...names: string[]) => ({
  id,
  name: `The ${id}`,
  learnerIds: names.map((n) => `l-${n}`),
  versionId,
});
/** The demo with this hand-out given out in place of the survey, and nobody at work on it. */
function given(h: HandOut) {
  const { handOut, frozen } = giveOut(h, pool, people, AT);
  return {
    ...w,
    handOuts: { [h.id]: handOut },
    copies: {} as Record<string, Copy>,
    markings: {},
    frozen: { ...w.frozen, ...Object.fromEntries(frozen.map((f) => [f.id, f])) },
  };
}

describe('ways to give', () => {
  it('the safest is everybody their own; to read where nothing is asked', () => {
    const ways = waysToGive(survey, pool, people);
    expect(safestWay(ways)).toBe('one-each');
    expect(ways.find((x) => x.way === 'to-read')?.fits).toBe(false);
    const silent = {
      ...pool,
      versions: [],
      revisions: pool.revisions.map((r) => ({
        ...r,
        content: {
          ...r.content,
          pages: r.content.pages.map((p) => ({ ...p, blocks: p.blocks.filter((b) => !('prompt' in b)) })),
        },
      })),
    };
    expect(safestWay(waysToGive({ ...survey, lines: [] }, silent, people))).toBe('to-read');
  });

  it('one for all together is of one version, and the check stops another', () => {
    const together = { ...survey, way: 'together' as const };
    expect(codes(together)).toContain('way-unfit');
    const alone = { ...together, classIds: [], groupIds: [], learnerIds: ['l-jory'] };
    expect(waysToGive(alone, pool, people).find((x) => x.way === 'per-group')?.why).toBe('It is for one learner.');
  });
});

describe('one per group', () => {
  const h = {
    ...survey,
    way: 'per-group' as const,
    classIds: [],
    groupIds: [],
    learnerIds: ['l-jory', 'l-kerra', 'l-oriel'],
    teams: [team('terns', 'rp-core', 'jory', 'kerra'), team('wrens', 'rp-sup', 'oriel')],
  };

  it('gives each group one copy of its version, that all in it have on their desks with the names of the others', () => {
    const all = given(h);
    const index = indexOf(all);
    expect([...worksOf(all.handOuts[h.id] as HandOut)]).toEqual([
      ['terns', ['l-jory', 'l-kerra']],
      ['wrens', ['l-oriel']],
    ]);
    expect(workKeysOf(index.handOutHeads[h.id] ?? { holders: [], shared: [] })).toEqual(['terns', 'wrens']);
    expect(index.slips['l-jory']?.works[h.id]).toMatchObject({
      shares: 'terns',
      team: 'The terns',
      mates: ['Kerra L.'],
    });
    expect(JSON.stringify(index.slips['l-jory'])).not.toContain('Oriel');
  });

  it('what one of them does is how far all are, and what is said to it is said to all', () => {
    const all = given(h);
    const go = { n: 1, startedAt: AT, submittedAt: AT, answers: {}, by: { 'rp-q3': 'l-jory' } };
    const id = `${h.id}.terns`;
    const copy = { id, handOutId: h.id, learnerId: 'terns', frozen: '', goes: [go] };
    const response = {
      go: 1,
      marks: {},
      comments: {},
      comment: 'Well found.',
      decision: 'complete',
      decidedAt: AT,
    } as const;
    const index = indexOf({
      ...all,
      copies: { [id]: copy },
      markings: { [id]: { id, copyId: id, responses: [response] } },
    });
    expect(statesIn(index.states[h.id]).get('terns')).toBe('complete');
    for (const l of ['l-jory', 'l-kerra']) expect(index.slips[l]?.works[h.id]?.said.comment).toBe('Well found.');
    expect(index.slips['l-oriel']?.works[h.id]?.said.comment).toBe('');
  });

  it('who is placed is not offered again, and a taken group takes nobody from another', () => {
    const whole = { ...survey, way: 'per-group' as const, groupIds: [], teams: [] };
    let n = 0;
    const both = people.groups.map((g) => ({ ...g, learnerIds: ['l-jory', ...g.learnerIds] }));
    const teams = teamsOf(both, whole, people, () => `t${++n}`);
    const ids = teams.flatMap((t) => t.learnerIds);
    expect(new Set(ids).size).toBe(ids.length);
    expect(unplaced({ ...whole, teams }, people)).toEqual([]);
    const moved = placed(teams, 'l-jory', teams[1]?.id ?? '');
    expect(moved.filter((t) => t.learnerIds.includes('l-jory')).map((t) => t.id)).toEqual([teams[1]?.id]);
  });

  it('keeps who wrote what where two write at once', () => {
    const of = (item: string, who: string): Copy => ({
      id: 'x.terns',
      handOutId: 'x',
      learnerId: 'terns',
      frozen: '',
      goes: [
        {
          n: 1,
          startedAt: AT,
          submittedAt: null,
          answers: { [item]: { kind: 'text', text: who } },
          by: { [item]: who },
        },
      ],
    });
    expect(mergeCopies(undefined, of('q1', 'l-jory'), of('q2', 'l-kerra'), AT).goes[0]?.by).toEqual({
      q1: 'l-jory',
      q2: 'l-kerra',
    });
  });
});

it('one for all together is one copy for everybody, with nobody’s own words in it', () => {
  const h = { ...survey, way: 'together' as const, lines: survey.lines.map((l) => ({ ...l, versionId: 'rp-core' })) };
  const all = given(h);
  expect([...worksOf(all.handOuts[h.id] as HandOut).keys()]).toEqual([EVERYBODY]);
  const all14 = Object.values(all.handOuts[h.id]?.given ?? {});
  expect(new Set(all14.map((g) => JSON.stringify(g))).size).toBe(1);
});

describe('a place for each', () => {
  const place = { pageIds: ['rp-p1'], names: true, isOpen: true, comments: true, remarks: [] };
  const h = { ...survey, way: 'place-each' as const, place };
  const album = (patch: Partial<typeof place>) => indexOf(given({ ...h, place: { ...place, ...patch } })).albums[h.id];

  it('has an index of all, made of the roster, where places are open; and none where they are not', () => {
    expect(album({})?.places.map((p) => p.name)).toContain('Jory S.');
    expect(album({})?.places).toHaveLength(14);
    expect(album({ isOpen: false })).toBeUndefined();
  });

  it('stands in the order that the teacher laid out: by name, under classes, or their own with who is new at its end', () => {
    const classes = [
      { id: 'c2', name: 'Tern', learnerIds: ['l-a', 'l-c'] },
      { id: 'c1', name: 'Gull', learnerIds: ['l-b', 'l-c'] },
    ].map((c) => ({ ...NEW_CLASS, ...c }));
    const nameOf = (id: string) => ({ 'l-a': 'Zoe', 'l-b': 'Mia', 'l-c': 'Ada', 'l-d': 'Kit' })[id] ?? '';
    const order = (layout?: Partial<IndexLayout>, names = true) =>
      placesInOrder(
        {
          id: 'h',
          place: { ...place, names, layout: { words: '', columns: 0, order: 'name', ownOrder: [], ...layout } },
        },
        ['l-a', 'l-b', 'l-c', 'l-d'],
        nameOf,
        classes,
      ).map((p) => `${p.under} ${nameOf(p.id)}`);
    expect(order()).toEqual([' Ada', ' Kit', ' Mia', ' Zoe']);
    expect(order({ order: 'class' })).toEqual(['Gull Ada', 'Gull Mia', 'Tern Zoe', 'Others Kit']);
    expect(order({ order: 'own', ownOrder: ['l-d', 'l-gone', 'l-a'] })).toEqual([' Kit', ' Zoe', ' Ada', ' Mia']);
    expect(order({ order: 'class' }, false).every((x) => x.startsWith(' '))).toBe(true);
    const own = album({ layout: { words: 'Our pool', columns: 3, order: 'own', ownOrder: ['l-kerra'] } } as never);
    expect([own?.words, own?.columns, own?.places[0]?.name]).toEqual(['Our pool', 3, 'Kerra L.']);
  });

  it('without names says nowhere whose a place is', () => {
    const without = album({ names: false });
    expect(without?.places.every((p) => p.name === '')).toBe(true);
    const words = JSON.stringify(without?.places.map((p) => p.own));
    for (const l of people.learners) expect(words).not.toContain(l.name.split(' ')[0]);
    expect(words).not.toContain('[name]');
    expect(JSON.stringify(album({})?.places.map((p) => p.own))).toContain('Jory');
    expect(without?.places.map((p) => p.id)).not.toEqual(album({})?.places.map((p) => p.id));
  });

  it('shows of what they write to each other only what the teacher let through', () => {
    const remark = (id: string, isShown: boolean) => ({
      id,
      to: 'l-jory',
      from: 'l-kerra',
      text: `say ${id}`,
      isShown,
    });
    const shown = album({ remarks: [remark('a', true), remark('b', false)] as never });
    expect(shown?.remarks).toEqual([{ id: 'a', to: 'l-jory', from: 'Kerra L.', text: 'say a' }]);
    const slips = JSON.stringify(indexOf(given({ ...h, place: { ...place, remarks: [remark('b', false)] as never } })));
    expect(slips.match(/say b/g)).toBeNull();
  });
});
