import { describe, expect, it } from '@jest/globals';
import { saidAt } from '@lorvet/core';
import { DemoPlace } from '../../testing/demo-place';
import { slip } from '../../testing/marked';
import { LettingOut } from './letting-out';

describe('letting out', () => {
  it('files the work without points, under a category, for all who look at it', async () => {
    const place = await DemoPlace.open(LettingOut, { inputs: { id: 'h-survey' } });
    await place.press('Jory S.');
    expect(place.text).toContain('Points, for who asks: 15 of 16');
    await place.write('Category', 'practice');
    place.fixture.componentInstance['letting'].file({ points: false });
    await place.rest();
    expect(place.work.handOuts()['h-survey']).toMatchObject({ points: false, category: 'practice' });
    expect(place.text).not.toContain('Points, for who asks');
  });

  it('lets the answers out to one learner, and keeps them back from one when all get them', async () => {
    const place = await DemoPlace.open(LettingOut, { inputs: { id: 'h-survey' }, at: '2026-11-26T12:00' });
    const answersAt = (learner: string) => place.work.index().slips[learner]?.works['h-survey']?.answersAt;
    await place.press('Let the answers out: Jory S.');
    expect([answersAt('l-jory'), answersAt('l-perran')]).toEqual(['2026-11-26T12:00', null]);
    place.fixture.componentInstance['letting'].setAnswersAt('2026-11-26T11:00');
    await place.rest();
    await place.press('Keep the answers back: Perran D.');
    expect([answersAt('l-jory'), answersAt('l-perran')]).toEqual(['2026-11-26T11:00', null]);
  });

  it('holds back what is decided until it is let out, and shows first what the learner will see', async () => {
    const place = await DemoPlace.open(LettingOut, { inputs: { id: 'h-survey' } });
    const hand = [
      ...(place.fixture.nativeElement as HTMLElement).querySelectorAll<HTMLInputElement>('input[type=radio]'),
    ][1];
    hand?.click();
    await place.rest();
    expect(place.work.handOuts()['h-survey']?.marksAt).toBe('');
    // What was out stays out.
    expect(slip(place, 'l-jory')?.outAt).toBe('');
    await place.press('Hold back: Jory S.');
    expect(slip(place, 'l-jory')).toMatchObject({ outAt: 'held', comment: '', marks: {} });
    await place.press('Jory S.');
    expect(place.text).toContain('What Jory S. will see');
    expect(place.text).toMatch(/What went well: right are 2, 3/);
    await place.press('Let it out now');
    const now = slip(place, 'l-jory');
    expect(now && saidAt(now, '2026-11-26T12:00').marks['rp-q2']).toMatchObject({ verdict: 'right' });
  });
});
