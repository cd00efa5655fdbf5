import { TestBed } from '@angular/core/testing';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { emptyWorkspace, type Workspace } from '@lorvet/core';
import { Backup } from '../platform/backup';
import type { BackupReading } from '../platform/workers/backup.worker';
import { DemoPlace } from '../testing/demo-place';
import { Keeping } from './keeping';

let place: DemoPlace<Keeping>;
const doc = (): Workspace => place.work.doc();
/** Chooses a file whose reading comes to this; the way through the worker is driven in the interface tests. */
async function choose(read: BackupReading): Promise<void> {
  TestBed.inject(Backup).read = () => Promise.resolve(read);
  const field = document.querySelector<HTMLInputElement>('input[type=file]');
  if (!field) throw new Error('There is no way to choose a file.');
  Object.defineProperty(field, 'files', { value: [new File(['x'], 'mine.zip')], configurable: true });
  field.dispatchEvent(new Event('change'));
  await place.rest();
}

describe('keeping', () => {
  beforeEach(async () => {
    place = await DemoPlace.open(Keeping);
  });

  it('a backup that was read changes nothing before it is said; then one undo brings back what was', async () => {
    const before = doc();
    await choose({ ok: true, workspace: emptyWorkspace(), at: '2026-11-20T08:00:00.000Z' });
    expect(doc()).toBe(before);
    expect(place.text).toContain('0 activities, 0 learners');
    await place.press('Restore it');
    expect(doc()).toEqual(emptyWorkspace());
    place.work.undo();
    expect(doc()).toEqual(before);
  });

  it('one that is none is named with what is wrong, and can be followed by another', async () => {
    const before = doc();
    await choose({ ok: false, message: 'This ZIP file is not a Lorvet backup.', details: ['families › 3: no title'] });
    expect(place.text).toContain('mine.zip');
    expect(place.text).toContain('families › 3: no title');
    expect(place.has('button', 'Restore it')).toBe(false);
    await choose({ ok: true, workspace: before, at: '2026-11-20T08:00:00.000Z' });
    expect(place.text).not.toContain('no title');
    expect(place.has('button', 'Restore it')).toBe(true);
    expect(doc()).toBe(before);
  });

  it('a backup that cannot be written is said, and nothing is lost', async () => {
    const before = doc();
    TestBed.inject(Backup).write = () => Promise.reject(new Error('no room'));
    await place.press('Save a backup');
    expect(doc()).toBe(before);
    expect(place.has('button', 'Save a backup')).toBe(true);
  });

  it('starting empty and laying the demo out are steps like any other', async () => {
    const before = doc();
    await place.press('Start empty');
    expect(doc()).toEqual(emptyWorkspace());
    place.work.undo();
    expect(doc()).toEqual(before);
  });
});
