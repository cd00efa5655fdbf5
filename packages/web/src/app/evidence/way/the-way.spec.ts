import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { describe, expect, it, jest } from '@jest/globals';
import { assetsHeld } from '@lorvet/core/evidence';
import { DemoPlace } from '../../testing/demo-place';
import { TheWay } from './the-way';

async function until(place: DemoPlace<TheWay>, words: string): Promise<void> {
  for (let i = 0; i < 40 && !place.text.includes(words); i++) await place.whole();
}

describe('the whole way of a picture', () => {
  it('begins where a version alone shows it, and leads on to where else it is', async () => {
    const place = await DemoPlace.open(TheWay);
    const swap = place.version('puncture', 'pun-sup').adjustments.find((a) => a.kind === 'replace-picture');
    if (swap?.kind !== 'replace-picture') throw new Error('No picture is replaced there');
    const go = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
    const follow = (assetId: string) => {
      go.mockClear();
      place.fixture.componentRef.setInput('picture', assetId);
    };
    const led = async () => {
      for (let i = 0; i < 20 && !go.mock.calls.length; i++) await place.whole();
      return go.mock.calls.at(-1)?.[1]?.queryParams;
    };
    follow(swap.now.assetId);
    expect(await led()).toMatchObject({ family: 'puncture', block: 'pun-pic', version: 'pun-sup' });
    follow(swap.was.assetId);
    expect(await led()).toMatchObject({ family: 'puncture', block: 'pun-pic', version: undefined });
    follow(`sha256-${'0'.repeat(64)}`);
    await until(place, 'No activity shows it');
    expect(place.text).toContain('No activity shows it');
    expect(go).not.toHaveBeenCalled();
    expect(assetsHeld(swap)).toHaveLength(2);
  });
});
