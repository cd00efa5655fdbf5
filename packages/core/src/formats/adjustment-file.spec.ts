import { describe, expect, it } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { type Family, latest, type Version, versionOf } from '../activity/family';
import { fitAdjustments } from '../adjust/fitting';
import type { Adjustment } from '../adjust/registry';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { listOf } from '../collections';
import { readAdjustments, writeAdjustments } from './adjustment-file';
import { writeFamily } from './family-file';
import { Problem } from './problem';

const demo = demoWorkspace(Date.UTC(2026, 10, 24));
const AT = '2026-11-24T08:00:00.000Z';
const stamp = () => {
  let n = 0;
  return { at: AT, author: 'Teacher', newId: () => `new-${++n}` };
};
const familyOf = (id: string) => demo.families[id] as Family;
const write = (family: Family, versionId: string) => writeAdjustments(family, versionId, demo.assets, AT);

/** An empty version beside another one, to take its adjustments. */
function beside(family: Family, v: Version): { family: Family; version: Version } {
  const version: Version = { ...v, id: 'taker', name: 'Taker', adjustments: [], upkeepLog: [] };
  return { family: { ...family, versions: [...family.versions, version] }, version };
}
function shown(family: Family, version: Version) {
  const versions = family.versions.map((v) => (v.id === version.id ? version : v));
  return derive({ ...family, versions }, version.id).content;
}
function problem(bytes: Uint8Array): Problem {
  try {
    readAdjustments(bytes);
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
  }
  throw new Error('it was read');
}
/** The file with its adjustments changed. */
function changed(bytes: Uint8Array, change: (list: Adjustment[]) => unknown): Uint8Array {
  const files = unzipSync(bytes);
  const record = JSON.parse(strFromU8(files['adjustments.json'] as Uint8Array)) as { adjustments: Adjustment[] };
  return zipSync({
    ...files,
    'adjustments.json': strToU8(JSON.stringify({ ...record, adjustments: change(record.adjustments) })),
  });
}

const settled = listOf(demo.families).flatMap((family) =>
  family.versions
    .filter((v) => v.adjustments.length && derive(family, v.id).reports.every((r) => r.status === 'applied'))
    .map((v): [string, Family, Version] => [`${latest(family).content.title}, ${v.name}`, family, v]),
);

describe('adjustments as a file', () => {
  it.each(settled)('%s: make an empty version beside it show the same', (_, family, v) => {
    const place = beside(family, v);
    const { file } = readAdjustments(write(family, v.id));
    const done = fitAdjustments(place.family, place.version, file.adjustments, stamp(), 'from a file');
    expect(done.unfit).toEqual([]);
    expect(done.added).toHaveLength(v.adjustments.length);
    expect(JSON.parse(JSON.stringify(shown(place.family, done.version)))).toEqual(
      JSON.parse(JSON.stringify(shown(family, v))),
    );
    // A second time there is nothing new.
    const again = fitAdjustments(place.family, done.version, file.adjustments, stamp(), 'again');
    expect(again).toMatchObject({ added: [], unfit: [], there: v.adjustments.length });
  });

  it('brings pictures and recordings, and nothing that speaks of a learner', () => {
    const bus = familyOf('right-bus');
    const voiced = bus.versions.find((v) => v.adjustments.some((a) => a.kind === 'recorded-instruction')) as Version;
    expect(readAdjustments(write(bus, voiced.id)).assets.map((a) => a.mime)).toContain('audio/mpeg');
    const judged = familyOf('rock-pool').versions.map((v) => ({
      ...v,
      adjustments: v.adjustments.map((a) => ({
        ...a,
        overrule: { judgement: 'accommodation' as const, reason: 'Oriel needs it so' },
      })),
    }));
    const said = Object.values(unzipSync(write({ ...familyOf('rock-pool'), versions: judged }, 'rp-sup')))
      .map((part) => strFromU8(part))
      .join('\n');
    expect(said).not.toMatch(/Oriel needs|Reading goal/);
    expect(said).toContain('the teacher’s judgement');
  });
});

describe('adjustments that do not fit', () => {
  const pool = familyOf('rock-pool');
  const core = versionOf(pool, 'rp-core') as Version;
  const { file } = readAdjustments(write(pool, 'rp-core'));
  const reword = file.adjustments.find((a) => a.kind === 'reword') as Adjustment & { target: string };

  it('are named by what they do and why, and the others can be added', () => {
    const { content } = latest(pool);
    const pages = content.pages.map((p) => ({ ...p, blocks: p.blocks.filter((b) => b.id !== reword.target) }));
    const bare = { ...pool, revisions: [{ ...latest(pool), n: 1, content: { ...content, pages } }] };
    const place = beside(bare, { ...core, upTo: 1 });
    const done = fitAdjustments(place.family, place.version, file.adjustments, stamp(), 'from a file');
    expect(done.unfit.map((u) => u.what).join()).toMatch(/^Reword/);
    expect(done.unfit[0]?.why).toMatch(/\w .+\.$/);
    expect(done.added).toHaveLength(file.adjustments.length - done.unfit.length);
    expect(done.version.adjustments).toEqual(done.added);
  });

  it('where the words were changed meanwhile, or the version has an own one, they are not put over them', () => {
    const other = { ...reword, now: 'Other words' } as unknown as Adjustment;
    const taker = { ...core, adjustments: core.adjustments.map((a) => (a.id === reword.id ? other : a)) };
    const done = fitAdjustments(pool, taker, file.adjustments, stamp(), 'from a file');
    expect(done.version.adjustments).toEqual(taker.adjustments);
    expect(done.there).toBe(file.adjustments.length - 1);
    expect(done.unfit[0]?.why).toContain('one of its own');
    const stale = file.adjustments.map((a) =>
      a.id === reword.id ? ({ ...a, was: 'Nothing like it' } as Adjustment) : a,
    );
    const place = beside(pool, core);
    expect(
      fitAdjustments(place.family, place.version, stale, stamp(), 'from a file').unfit.map((u) => u.why),
    ).toContain('What it is about reads differently here.');
  });

  it('one that is about a block which another would have brought goes with it', () => {
    const own = file.adjustments.find((a) => a.kind === 'hint') as Adjustment & { target: string };
    const insert = {
      ...own,
      kind: 'insert-block',
      page: 'gone',
      after: null,
      block: { kind: 'short-text', id: 'brought' },
    };
    const list = [insert, { ...own, id: 'h2', target: 'brought' }] as unknown as Adjustment[];
    const place = beside(pool, core);
    const done = fitAdjustments(place.family, place.version, list, stamp(), 'x');
    expect(done.added).toEqual([]);
    expect(done.unfit).toHaveLength(2);
  });

  it.each<[string, Uint8Array, RegExp]>([
    ['a family file', writeFamily(pool, demo.assets, AT), /comes in on the Shelf/],
    ['no ZIP', strToU8('[]'), /not a ZIP file/],
    ['another ZIP', zipSync({ 'a.txt': strToU8('x') }), /no manifest/],
  ])('%s is refused in words', (_, bytes, says) => expect(problem(bytes).message).toMatch(says));

  it.each<[string, (list: Adjustment[]) => unknown, RegExp]>([
    ['of no known kind', (l) => l.map((a, i) => (i === 1 ? { ...a, kind: 'sprinkle' } : a)), /adjustments › 1 › kind/],
    ['without a target', (l) => [{ ...l[0], target: undefined, blockId: undefined }], /adjustments › 0/],
    ['that are no list', () => 'all of them', /adjustments/],
    [
      'whose picture is not there',
      (l) => [
        ...l,
        { ...l[0], kind: 'recorded-instruction', was: '', recording: { assetId: 'sha256-none', what: 'sound' } },
      ],
      /not in the file/,
    ],
  ])('adjustments %s are named by their place', (_, change, where) => {
    const p = problem(changed(write(pool, 'rp-core'), change));
    expect(p.message).toMatch(/Nothing was changed\.$/);
    expect(p.details.join('\n')).toMatch(where);
  });
});
