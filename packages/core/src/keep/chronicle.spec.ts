import { describe, expect, it } from '@jest/globals';
import { appended, checkedChronicle, type ChroniclePage, type Done, ENTRIES_OF_PAGE } from './chronicle';

const done = (n: number): Done => ({
  at: `2026-11-24T09:00:${`${n % 60}`.padStart(2, '0')}.000Z`,
  by: 'Teacher',
  did: n % 2 ? 'given' : 'changed',
  says: `what was done ${n}`,
  of: [{ in: 'handOuts', id: `h${n}` }],
});
const some = (n: number): ChroniclePage[] =>
  appended(
    undefined,
    Array.from({ length: n }, (_, i) => done(i)),
  );
const swapped = (pages: readonly ChroniclePage[], change: (text: string) => string): ChroniclePage[] =>
  JSON.parse(change(JSON.stringify(pages))) as ChroniclePage[];

describe('the record', () => {
  it('is written on and goes on over pages, each entry after the other', () => {
    const two = some(ENTRIES_OF_PAGE + 1);
    expect(two.map((p) => [p.id, p.entries.length])).toEqual([
      ['00000001', ENTRIES_OF_PAGE],
      ['00000002', 1],
    ]);
    const more = appended(two[1], [done(7), done(8)]);
    expect(more.map((p) => p.entries.map((e) => e.n))).toEqual([
      [ENTRIES_OF_PAGE + 1, ENTRIES_OF_PAGE + 2, ENTRIES_OF_PAGE + 3],
    ]);
    expect(checkedChronicle([...more, ...two.slice(0, 1)])).toEqual({ ok: true, n: ENTRIES_OF_PAGE + 3 });
    expect(checkedChronicle([])).toEqual({ ok: true, n: 0 });
  });

  it('shows one byte that was changed, whichever it is', () => {
    const pages = some(5);
    const third = pages[0]?.entries[2];
    for (const [was, is] of [
      ['what was done 2', 'what was done 9'],
      ['09:00:02', '09:00:03'],
      [`"${third?.hash}"`, `"${third?.hash.slice(0, -1)}${third?.hash.endsWith('0') ? '1' : '0'}"`],
      ['"h2"', '"h3"'],
    ] as const)
      expect(checkedChronicle(swapped(pages, (t) => t.replace(was, is)))).toMatchObject({ ok: false, at: 3 });
  });

  it('shows an entry that was taken out, put in another order, or cut off at the end', () => {
    const [page] = some(4);
    const entries = page?.entries ?? [];
    const last = entries[3];
    const of = (list: typeof entries) => [{ id: '00000001', entries: list }];
    expect(checkedChronicle(of(entries.filter((_, i) => i !== 1)))).toMatchObject({ ok: false, at: 2 });
    expect(checkedChronicle(of([...entries].reverse()))).toMatchObject({ ok: false, at: 1 });
    const end = { n: 4, hash: last?.hash ?? '' };
    expect(checkedChronicle(of(entries.slice(0, 3)), end)).toEqual({
      ok: false,
      at: 4,
      why: 'Entries 4 to 4 are missing.',
    });
    expect(checkedChronicle(of(entries), end)).toEqual({ ok: true, n: 4 });
  });

  it('shows an entry whose own hash was made anew: the next one does not follow it', () => {
    const forged = appended(undefined, [done(0), { ...done(1), says: 'forged' }]).flatMap((p) => p.entries);
    const real = some(3).flatMap((p) => p.entries);
    const entries = [real[0], forged[1], real[2]].flatMap((e) => e ?? []);
    expect(checkedChronicle([{ id: '00000001', entries }])).toMatchObject({ ok: false, at: 3 });
  });
});
