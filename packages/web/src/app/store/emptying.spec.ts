import { TestBed } from '@angular/core/testing';
import { describe, expect, it } from '@jest/globals';
import type { Removed } from '@lorvet/core';
import { EvidenceList } from '../evidence/list/evidence-list';
import { BOXES } from '../platform/storage/boxes-token';
import { DemoPlace } from '../testing/demo-place';
import { Emptying } from './emptying';
import { KeepingSync } from './keeping-sync';

describe('a learner who is let go of for good', () => {
  it('takes along what was added to their evidence', async () => {
    const place = await DemoPlace.open(EvidenceList);
    const box = TestBed.inject(BOXES).of(TestBed.inject(KeepingSync).generation() ?? '', 'bodies');
    expect(await box.get('folders/l-oriel')).toBeDefined();
    const learner = place.work.people().learners.find((l) => l.id === 'l-oriel');
    if (!learner) throw new Error('no Oriel');
    const one = { id: 'r', at: '2026-11-21T09:00:00.000Z', title: learner.name, says: '', what: 'learner' as const };
    const removed: Removed = { ...one, learner, classIds: [], groupIds: [], lines: [] };
    await TestBed.inject(Emptying).empty([removed]);
    await TestBed.inject(KeepingSync).flush();
    expect(await box.get('folders/l-oriel')).toBeUndefined();
  });
});
