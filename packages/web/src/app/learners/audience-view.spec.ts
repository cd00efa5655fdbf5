import { beforeEach, describe, expect, it } from '@jest/globals';
import { DemoPlace } from '../testing/demo-place';
import { Learners } from './learners';

let place: DemoPlace<Learners>;
beforeEach(async () => {
  place = await DemoPlace.open(Learners, { inputs: { part: 'a-print' } });
});
const who = () =>
  [...document.querySelectorAll('lv-audience-view tbody tr')].map((r) =>
    [...r.querySelectorAll('th, td')].map((c) => c.textContent?.trim()).join(' | '),
  );
const rule = () => place.work.people().audiences.find((a) => a.id === 'a-print');

describe('an audience', () => {
  it('says who is in it and why, by what the cards say now', async () => {
    expect(who()).toEqual(['Merryn H. | Heron class | has large print', 'Zennor C. | Kestrel class | has large print']);
    await place.choose('Has agreed', 'extra time');
    expect(who().map((w) => w.split(' | ')[0])).toEqual(['Oriel P.', 'Tamsin W.']);
    await place.undo();
    expect(who()).toHaveLength(2);
  });

  it('takes further conditions: all of them, or one', async () => {
    await place.choose('Add a condition', 'level in a skill');
    await place.write('value', '5');
    expect(who().map((w) => w.split(' | ')[0])).toEqual(['Zennor C.']);
    await place.choose('Who is in it', 'One of this is enough');
    expect(who().length).toBeGreaterThan(5);
    await place.press('Take condition 2 away');
    expect(rule()?.conditions).toHaveLength(1);
  });

  it('is made by its name, and goes to Keeping when it is removed', async () => {
    await place.send('Name of a new audience', 'Bird watchers');
    expect(place.text).toContain('Nobody is in it now');
    await place.choose('Add a condition', 'an interest');
    await place.choose('Likes', 'gulls');
    expect(who()).toEqual(['Nessa G. | Kestrel class | likes gulls']);
    await place.press('Remove audience');
    expect(place.work.people().audiences.map((a) => a.name)).not.toContain('Bird watchers');
    await place.undo();
    expect(place.work.people().audiences.map((a) => a.name)).toContain('Bird watchers');
  });
});

describe('a group', () => {
  it('has a purpose and a time', async () => {
    place.fixture.componentRef.setInput('part', 'g-limpets');
    await place.rest();
    await place.write('For', 'reading, until spring');
    const g = () => place.work.people().groups.find((x) => x.id === 'g-limpets');
    expect([g()?.purpose, g()?.from]).toEqual(['reading, until spring', '2026-09-05']);
  });
});
