import { beforeEach, describe, expect, it } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import type { Adjustment, AdjustmentFile } from '@lorvet/core';
import { Packs } from '../store/packs';
import type { AdjustmentsReading } from '../platform/workers/pack.worker';
import { DemoPlace } from '../testing/demo-place';
import { ButtonHarness } from '../testing/harnesses';
import { BenchView } from './bench-view';
import { VersionPanel } from './version-panel';

let place: DemoPlace<unknown>;
const mine = (id: string) => place.version('rock-pool', id).adjustments;
const kinds = (list: readonly Adjustment[]) => list.map((a) => a.kind).sort();

/** Chooses a file whose reading comes to this; the way through the worker is driven in the interface tests. */
async function choose(read: AdjustmentsReading): Promise<void> {
  TestBed.inject(Packs).readAdjustments = () => Promise.resolve(read);
  const field = document.querySelector<HTMLInputElement>('lv-adjustment-files input[type=file]');
  if (!field) throw new Error('There is no way to choose a file.');
  Object.defineProperty(field, 'files', { value: [new File(['x'], 'theirs.zip')], configurable: true });
  field.dispatchEvent(new Event('change'));
  await place.rest();
}
const reading = (adjustments: readonly Adjustment[]): AdjustmentsReading => {
  const file: AdjustmentFile = { activity: 'Rock-pool survey', version: 'Core', adjustments };
  return { ok: true, file, assets: [] };
};

describe('adjustments from a file', () => {
  beforeEach(async () => {
    place = await DemoPlace.open(VersionPanel, { bench: { family: 'rock-pool', version: 'rp-ext' } });
    await place.unfold(/^All adjustments/);
  });

  it('that all fit are added at once, are named by where they came from, and go with one undo', async () => {
    const before = mine('rp-ext');
    const hint = mine('rp-core').filter((a) => a.kind === 'hint');
    await choose(reading(hint));
    expect(kinds(mine('rp-ext'))).toEqual(kinds([...before, ...hint]));
    expect(place.text).toContain('from “Core”');
    await place.undo();
    expect(mine('rp-ext')).toEqual(before);
  });

  it('are not put in by half: what does not fit is named first, and the teacher says whether to add the others', async () => {
    const before = mine('rp-ext');
    const [hint] = mine('rp-core').filter((a) => a.kind === 'hint');
    const lost = { ...hint, id: 'lost', target: 'nowhere' } as Adjustment;
    const both = reading([hint as Adjustment, lost]);
    await choose(both);
    expect(mine('rp-ext')).toEqual(before);
    expect(place.text).toContain('1 of 2 cannot be added here');
    await place.press('Add none');
    expect(mine('rp-ext')).toEqual(before);
    await choose(both);
    // Meanwhile something else is done with the version: it stays.
    TestBed.inject(BenchView).recorded({ did: 'remove-block', blockId: 'rp-q2' }, 'leave out');
    await place.rest();
    await place.press('Add the one that fits');
    expect(kinds(mine('rp-ext'))).toEqual([...kinds([...before, hint as Adjustment]), 'leave-out'].sort());
  });

  it('which are no such file, say so, and change nothing', async () => {
    const before = mine('rp-ext');
    await choose({ ok: false, message: 'This ZIP file holds no adjustments.', details: ['kind: family'] });
    expect(place.text).toContain('This ZIP file holds no adjustments.kind: family');
    await place.press('Close');
    expect(place.text).not.toContain('holds no adjustments');
    expect(mine('rp-ext')).toEqual(before);
  });
});

it('a version without adjustments has none to save', async () => {
  place = await DemoPlace.open(VersionPanel, {
    bench: { family: 'rock-pool', version: 'rp-ext' },
    change: (w) => ({
      ...w,
      families: Object.fromEntries(
        Object.entries(w.families).map(([id, f]) => [
          id,
          { ...f, versions: f.versions.map((v) => ({ ...v, adjustments: [] })) },
        ]),
      ),
    }),
  });
  await place.unfold(/^All adjustments/);
  expect(await place.has(ButtonHarness, 'Save them to a file')).toBe(false);
});
