import { describe, expect, it } from '@jest/globals';
import { DemoPlace } from '../testing/demo-place';
import { Changes } from '../ui/changes';
import { HandOutActions, LearnersActions } from './actions';

describe('dates of what was given', () => {
  const dueFor = (place: DemoPlace<Changes>, id: string) => place.work.index().slips[id]?.works['h-survey']?.dueAt;
  const settled = async (place: DemoPlace<Changes>) => {
    for (let i = 0; i < 20; i++) await new Promise((done) => setTimeout(done, 5));
    await place.rest();
  };

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
