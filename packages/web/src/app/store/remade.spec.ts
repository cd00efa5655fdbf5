import { describe, expect, it } from '@jest/globals';
import type { HandOut, Workspace } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { Changes } from '../ui/changes';
import { HandOutActions, LearnersActions } from './actions';

const settled = async (place: DemoPlace<Changes>) => {
  for (let i = 0; i < 20; i++) await new Promise((done) => setTimeout(done, 5));
  await place.rest();
};

describe('dates of what was given', () => {
  const dueFor = (place: DemoPlace<Changes>, id: string) => place.work.index().slips[id]?.works['h-survey']?.dueAt;

  it('follow what is agreed for a learner afterwards, and a day without school', async () => {
    const place = await DemoPlace.open(Changes, { inputs: { was: '', now: '' } });
    const [before, others] = [dueFor(place, 'l-jory') ?? '', dueFor(place, 'l-kerra')];
    const support = {
      what: 'extra time',
      category: 'timing' as const,
      from: '',
      until: '',
      reviewOn: '',
      days: 1,
      note: '',
    };
    const change = { learnerId: 'l-jory', needs: { supports: [support] }, field: 'supports', label: 'agree a support' };
    place.work.dispatch(LearnersActions.cardChanged(change));
    await settled(place);
    const after = dueFor(place, 'l-jory') ?? '';
    expect(after > before).toBe(true);
    expect(dueFor(place, 'l-kerra')).toBe(others);
    const day = after.slice(0, 10);
    const days = { id: 'school', off: [{ from: day, until: day, name: 'fair' }], weekend: [0, 6] };
    place.work.dispatch(HandOutActions.schoolDaysSaved({ days }));
    await settled(place);
    expect((dueFor(place, 'l-jory') ?? '') > after).toBe(true);
    await place.undo();
    await place.undo();
    await settled(place);
    expect(dueFor(place, 'l-jory')).toBe(before);
  });
});

describe('a name that is changed', () => {
  const asGiven = (patch: (h: HandOut) => Partial<HandOut>) => (w: Workspace) => {
    const h = w.handOuts['h-survey'] as HandOut;
    return { ...w, handOuts: { ...w.handOuts, [h.id]: { ...h, ...patch(h) } } };
  };
  const renamed = async (place: DemoPlace<Changes>) => {
    const change = { learnerId: 'l-kerra', person: { name: 'Kerensa L.' }, field: 'name', label: 'name' };
    place.work.dispatch(LearnersActions.cardChanged(change));
    await settled(place);
  };

  it('stands in the album of places too', async () => {
    const ofPlaces = { pageIds: ['rp-p1'], names: true, isOpen: true, comments: false, remarks: [] };
    const change = asGiven(() => ({ way: 'place-each', place: ofPlaces }));
    const place = await DemoPlace.open(Changes, { inputs: { was: '', now: '' }, change });
    const names = () => place.work.index().albums['h-survey']?.places.map((p) => p.name);
    expect(names()).toContain('Kerra L.');
    await renamed(place);
    expect(names()).toContain('Kerensa L.');
    expect(names()).not.toContain('Kerra L.');
  });

  it('is read by those who work with them', async () => {
    const pair = ['l-jory', 'l-kerra'];
    const change = asGiven((h) => ({
      way: 'per-group',
      teams: [{ id: 't1', name: 'The pair', learnerIds: pair, versionId: 'rp-core' }],
      given: Object.fromEntries(pair.flatMap((id) => (h.given[id] ? [[id, { ...h.given[id], shares: 't1' }]] : []))),
    }));
    const place = await DemoPlace.open(Changes, { inputs: { was: '', now: '' }, change });
    expect(place.work.index().handOutHeads['h-survey']?.teams).toEqual({ t1: 'The pair' });
    await renamed(place);
    expect(place.work.index().slips['l-jory']?.works['h-survey']?.mates).toEqual(['Kerensa L.']);
  });
});
