import { describe, expect, it } from '@jest/globals';
import type { BlockWay, HadIt } from '@lorvet/core/evidence';
import { graphOf, inWords, onTheWay, rowsOf } from './graph';

const version = (versionId: string, basis: string | null, depth: number): BlockWay['versions'][number] => ({
  ...{ versionId, name: versionId.toUpperCase(), basis, depth, how: 'changed', words: 'w' },
  steps: [
    {
      versionId,
      adjustmentId: `a-${versionId}`,
      sentence: `${versionId} did it.`,
      kind: 'Reword',
      reason: '',
      author: 'T',
      at: '',
    },
  ],
});
const had = (learnerId: string, versionId: string | null, wording: number, more: Partial<HadIt> = {}): HadIt => ({
  ...{
    learnerId,
    handOutId: 'h',
    title: 'Survey',
    givenAt: '2026-11-01',
    versionId,
    versionName: versionId ?? 'Master',
  },
  ...{ revision: 1, sheet: 's', wording, stage: 'submitted', answer: 'x', reached: 1 },
  ...more,
});
const wording = (n: number) => ({ n, words: `words ${n}`, key: '', versions: [] });
const way = (rows: HadIt[]): BlockWay => ({
  ...{
    familyId: 'f',
    blockId: 'b',
    activity: 'Tides',
    label: 'Text',
    isItem: true,
    words: 'The sea',
    key: '',
    objective: '',
  },
  ...{ assetIds: [], isInMaster: true, versions: [version('sup', null, 0), version('own', 'sup', 1)] },
  revisions: [{ n: 1, at: '2026-10-01', note: '', author: 'T', words: 'The sea', isThere: true, key: '' }],
  wordings: [wording(1), wording(2)],
  handOuts: [
    {
      id: 'h',
      title: 'Survey',
      givenAt: '2026-11-01',
      versionIds: [],
      learners: rows.length,
      reached: null,
      accepted: [],
    },
  ],
  had: rows,
});
const says = { name: (id: string) => id, day: (iso: string) => iso };
const rows = [had('ada', 'own', 1, { reached: 0 }), had('ben', 'sup', 1), had('cas', null, 2), had('dee', 'gone', 2)];

describe('the way as it is drawn', () => {
  it('joins each thing with what it comes from, also a version that is gone', () => {
    const { columns, edges } = graphOf(way(rows), '', says);
    expect(columns.map((c) => [c.name, c.nodes.map((n) => n.id)])).toEqual([
      ['Master', ['master']],
      ['Versions', ['v sup', 'v own', 'v gone']],
      ['As given', ['w 1', 'w 2']],
      ['Hand-outs', ['h h']],
      ['Learners', ['l ada', 'l ben', 'l cas', 'l dee']],
    ]);
    const to = (id: string) => edges.filter((e) => e.from === id).map((e) => e.to);
    expect(to('master')).toEqual(['v sup', 'w 2']);
    expect(to('v sup')).toEqual(['v own', 'w 1']);
    expect(to('w 1')).toEqual(['h h']);
  });

  it('leads from a learner back to the master and from a version on to those who had it, and to nobody else', () => {
    expect([...(onTheWay(way(rows), 'l ada') ?? [])].sort()).toEqual([
      'h h',
      'l ada',
      'master',
      'v own',
      'v sup',
      'w 1',
    ]);
    expect(rowsOf(way(rows), 'v sup').map((r) => r.learnerId)).toEqual(['ada', 'ben']);
    expect(onTheWay(way(rows), 'v sup')?.has('l cas')).toBe(false);
    expect(rowsOf(way(rows), 'w 2').map((r) => r.learnerId)).toEqual(['cas', 'dee']);
  });

  it('says in words what was done, who had it, and what was reached', () => {
    const all = inWords(way(rows), 'v own', says);
    expect(all).toContain('OWN: own did it.');
    expect(all).toContain('SUP: sup did it.');
    expect(all.at(-2)).toBe('One learner has had it, in one wording.');
    expect(all.at(-1)).toBe('Of its points 0 % were reached, in one answer that is marked.');
    expect(inWords({ ...way([]), revisions: [] }, '', says)).toContain('Nobody has had it yet.');
  });

  it('says what became of the key, which each wording has, and what was accepted besides', () => {
    const plain = way([had('ada', null, 1), had('ben', null, 2)]);
    const revision = { at: '2026-10-02', note: '', author: 'T', words: 'The sea', isThere: true, key: '' };
    const of: BlockWay = {
      ...plain,
      revisions: [
        ...plain.revisions,
        { ...revision, n: 2, key: 'salt' },
        { ...revision, n: 3, key: '' },
        { ...revision, n: 4, isThere: false, words: '' },
      ],
      wordings: [
        { ...wording(1), key: 'salt' },
        { ...wording(2), key: 'brine' },
      ],
      handOuts: plain.handOuts.map((h) => ({ ...h, accepted: ['salty'] })),
    };
    const says4 = inWords(of, '', says);
    expect(says4.filter((s) => s.startsWith('Revision'))).toEqual([
      'Revision 2, 2026-10-02: “The sea”. Its key became “salt”.',
      'Revision 3, 2026-10-02: “The sea”. It has no key any more.',
      'Revision 4, 2026-10-02: taken out.',
    ]);
    expect(says4).toContain('Wording 2 has the key “brine”.');
    expect(says4).toContain('Accepted besides the key in “Survey”: “salty”.');
    // Of one learner, the wording that they had; and the drawing shows both.
    expect(inWords(of, 'l ada', says)).not.toContain('Wording 2 has the key “brine”.');
    const asGiven = graphOf(of, '', says).columns.find((c) => c.name === 'As given')?.nodes;
    expect(asGiven?.map((n) => n.detail)).toEqual(['words 1 · key: salt', 'words 2 · key: brine']);
  });

  it('draws some of very many learners, and those that are chosen', () => {
    const many = Array.from({ length: 200 }, (_, i) => had(`n${i}`, 'sup', 1));
    const drawn = graphOf(way(many), '', says);
    expect([drawn.columns.at(-1)?.nodes.length, drawn.notDrawn]).toEqual([16, 184]);
    expect(
      graphOf(way(many), 'l n150', says)
        .columns.at(-1)
        ?.nodes.map((n) => n.id),
    ).toEqual(['l n150']);
  });
});
