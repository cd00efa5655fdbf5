import { describe, expect, it } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { type Family, latest } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { writeBackup } from './backup';
import { passedOn, readFamily, writeFamily } from './family-file';
import { Problem } from './problem';

const demo = demoWorkspace(Date.UTC(2026, 10, 24));
const pool = demo.families['rock-pool'] as Family;
const bus = demo.families['right-bus'] as Family;
const write = (f: Family) => writeFamily(f, demo.assets, '2026-11-24T08:00:00.000Z');
const read = (bytes: Uint8Array) => readFamily(bytes, () => 'fresh');
/** The file with one of its parts changed. */
function changed(bytes: Uint8Array, name: string, change: (text: string) => string | null): Uint8Array {
  const { [name]: part, ...rest } = unzipSync(bytes);
  const text = change(part ? strFromU8(part) : '');
  return zipSync(text === null ? rest : { ...rest, [name]: strToU8(text) });
}
function problem(bytes: Uint8Array): Problem {
  try {
    read(bytes);
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
  }
  throw new Error('it was read');
}

describe('a family as a file', () => {
  it('comes in under an id of its own, and every version shows what it showed', () => {
    const { family, assets } = read(write(bus));
    expect(family.id).toBe('fresh');
    expect(family.revisions).toEqual(JSON.parse(JSON.stringify(bus.revisions)));
    for (const v of bus.versions)
      expect(derive(family, v.id).content).toEqual(JSON.parse(JSON.stringify(derive(bus, v.id).content)));
    // The picture, and the voice that one version adds.
    expect(assets.map((a) => a.mime).sort()).toEqual(['audio/mpeg', 'image/svg+xml']);
    for (const a of assets) expect(a).toEqual(demo.assets[a.id]);
  });

  it('is for others: nothing in it speaks of a learner', () => {
    const parts = unzipSync(write(pool));
    const said = Object.values(parts)
      .map((p) => strFromU8(p))
      .join('\n');
    for (const secret of ['l-oriel', 'Oriel', 'Reading goal 2', 'Counts on, does not subtract', 'rp-oriel'])
      expect(said).not.toContain(secret);
    expect(said).toContain('Two times a day the sea goes out');
    expect(passedOn(pool).versions.map((v) => v.id)).toEqual(['rp-sup', 'rp-core', 'rp-ext']);
  });

  it('keeps the questions that wait', () => {
    const waiting = (f: Family) => f.versions.filter((v) => v.upTo < latest(f).n).map((v) => v.name);
    expect(waiting(read(write(pool)).family)).toEqual(['Supported', 'Core']);
  });
});

describe('a family file that does not fit', () => {
  const file = write(bus);
  const family = (change: (f: Family) => unknown) =>
    changed(file, 'family.json', (t) => JSON.stringify(change(JSON.parse(t) as Family)));

  it.each<[string, Uint8Array, RegExp]>([
    ['no ZIP', strToU8('hello'), /not a ZIP file/],
    ['cut short', file.slice(0, file.length / 2), /damaged/],
    ['another ZIP', zipSync({ 'a.txt': strToU8('x') }), /not a Lorvet family file/],
    ['a whole backup', writeBackup(demo, ''), /restored under Keeping/],
    [
      'from a newer Lorvet',
      changed(file, 'manifest.json', (t) => t.replace(/"format": \d+/, '"format": 77')),
      /format 77/,
    ],
    ['without its family', changed(file, 'family.json', () => null), /lacks “family.json”/],
    ['with half a family', changed(file, 'family.json', (t) => t.slice(0, 300)), /cannot be read/],
  ])('%s is refused in words', (_, bytes, says) => expect(problem(bytes).message).toMatch(says));

  it.each<[string, Uint8Array, RegExp]>([
    [
      'an adjustment of no known kind',
      family((f) => ({
        ...f,
        versions: f.versions.map((v) => ({ ...v, adjustments: [{ ...v.adjustments[0], kind: 'sprinkle' }] })),
      })),
      /versions › 0 › adjustments › 0 › kind/,
    ],
    [
      'an adjustment without its target',
      family((f) => ({
        ...f,
        versions: [{ ...f.versions[0], adjustments: [{ ...f.versions[0]?.adjustments[0], target: undefined }] }],
      })),
      /versions › 0 › adjustments › 0 › target/,
    ],
    [
      'versions made on each other',
      family((f) => ({
        ...f,
        versions: f.versions.map((v, i) => (i < 2 ? { ...v, basis: f.versions[1 - i]?.id } : v)),
      })),
      /“Supported” is made on itself in a circle/,
    ],
    [
      'a block that stands twice',
      family((f) => ({
        ...f,
        revisions: f.revisions.map((r) => ({
          ...r,
          content: { ...r.content, pages: [...r.content.pages, ...r.content.pages] },
        })),
      })),
      /“bus-p1” stands twice/,
    ],
    [
      'revisions out of order',
      family((f) => ({ ...f, revisions: f.revisions.map((r) => ({ ...r, n: 4 })) })),
      /numbered 4/,
    ],
    [
      'a picture that is not there',
      zipSync(Object.fromEntries(Object.entries(unzipSync(file)).filter(([name]) => !name.startsWith('assets/')))),
      /“bus-stop.svg” is not in the file/,
    ],
    [
      'a picture that somebody changed',
      zipSync(
        Object.fromEntries(
          Object.entries(unzipSync(file)).map(([name, b]) => [
            name,
            name.startsWith('assets/') ? strToU8('<svg/>') : b,
          ]),
        ),
      ),
      /“bus-stop.svg” is not what it was/,
    ],
  ])('%s is named by its place, and nothing is taken', (_, bytes, where) => {
    const p = problem(bytes);
    expect(p.message).toMatch(/Nothing was changed\.$/);
    expect(p.details.join('\n')).toMatch(where);
  });
});
