import { describe, expect, it } from '@jest/globals';
import type { Workspace } from '@lorvet/core';
import { DemoPlace } from '../../testing/demo-place';
import { EvidenceList } from './evidence-list';

const AT = '2026-11-26T12:00';
const rowOf = (place: DemoPlace<EvidenceList>, name: string): string => {
  const all = [...(place.fixture.nativeElement as HTMLElement).querySelectorAll('tbody tr')];
  const row = all.find((tr) => tr.textContent.includes(name));
  return [...(row?.children ?? [])].map((c) => (c.textContent ?? '').trim()).join('|');
};

describe('all learners with their evidence', () => {
  it('says what was given in the time, what is agreed, and what is looked at next', async () => {
    const place = await DemoPlace.open(EvidenceList, { at: AT });
    expect(rowOf(place, 'Oriel P.')).toBe('Oriel P.|Heron class|4|5|1|Dec 14, 2026|As PDF');
    expect(await (await place.button('23 learners as PDF')).name()).toBe('23 learners as PDF');
    await place.choose('Time', 'From … until …');
    await place.write('From', '01/01/2020');
    await place.write('Until', '01/02/2020');
    // Nothing was given then; what is agreed is as it is today.
    expect(rowOf(place, 'Oriel P.')).toMatch(/^Oriel P\.\|Heron class\|\|5\|1\|/);
    await place.write('From', '01/03/2020');
    expect(place.text).toContain('The first day lies after the last');
    await place.choose('Time', 'This term');
  });

  it('is of a class, as what is chosen; a table has no class at a glance', async () => {
    const place = await DemoPlace.open(EvidenceList, { at: AT });
    await place.choose('Of', 'Kestrel class');
    expect(rowOf(place, 'Oriel P.')).toBe('');
    await place.choose('As', 'CSV');
    expect(place.text).toMatch(/\d learners as CSV/);
    expect(place.text).not.toContain('Class at a glance');
    await place.choose('As', 'PDF');
  });

  it('teaches the next step where nobody is here', async () => {
    const nobody = (w: Workspace): Workspace => ({ ...w, learners: {}, classes: {}, groups: {} });
    const place = await DemoPlace.open(EvidenceList, { at: AT, change: nobody });
    expect(place.text).toContain('No evidence yet');
  });
});
