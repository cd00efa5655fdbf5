import { beforeEach, describe, expect, it } from '@jest/globals';
import { afresh, copyIdOf, statesIn } from '@lorvet/core';
import { DeskActions } from '../../store/actions';
import { DemoPlace } from '../../testing/demo-place';
import { ButtonHarness } from '../../testing/harnesses';
import { MarkingGrid } from './marking';
import { MarkingList } from '../list/marking-list';

let place: DemoPlace<MarkingGrid>;
const said = (learner: string) => place.work.markings()[copyIdOf('h-survey', learner)]?.responses.at(-1);

beforeEach(async () => {
  place = await DemoPlace.open(MarkingGrid, { inputs: { id: 'h-survey' } });
});

describe('the work of a class', () => {
  it('stands in one column a question, whoever had which wording; added questions at the end', async () => {
    const host = place.fixture.nativeElement as HTMLElement;
    const heads = [...host.querySelectorAll('thead th.item')].map((h) => h.textContent?.trim().split(' ')[0]);
    expect(heads.length).toBe(13);
    expect(await place.has(ButtonHarness, /^Oriel P\., question 4: right$/)).toBe(true);
    expect(await place.has(ButtonHarness, /^Merryn .*, question 5: not yet/)).toBe(true);
  });

  it('shows an answer with the wording and the key its learner had', async () => {
    await place.press(/^Ysolde M\., question 3/);
    expect(place.text).toContain('What falls from the sky and makes the pool less salty?');
    expect(place.text).toContain('Key: rain');
  });

  it('takes the teacher’s mark in place of the computed one, and gives the computed one back', async () => {
    await place.press(/^Ysolde M\., question 6/);
    await place.press(/Not yet$/);
    expect(said('l-ysolde')?.marks['rp-q6']).toEqual({ verdict: 'not-yet', points: 0 });
    await place.press(/Partly$/);
    expect(said('l-ysolde')?.marks['rp-q6']?.points).toBeGreaterThan(0);
    await place.press('As computed');
    expect(said('l-ysolde')?.marks['rp-q6']).toBeUndefined();
  });

  it('leaves to the teacher what it cannot know, and says why and what a flap had to do with it', async () => {
    const copy = place.work.copies()[copyIdOf('h-survey', 'l-ysolde')];
    const go = copy?.goes.at(-1);
    if (!copy || !go) throw new Error('the demo changed');
    const text = (t: string) => ({ kind: 'text' as const, text: t });
    const lifted = { 'rp-q4': { at: '2026-11-24T08:30:00.000Z', answer: text('a gull') } };
    const goes = [{ ...go, answers: { ...go.answers, 'rp-q4': text('crabs') }, lifted }];
    place.work.dispatch(DeskActions.copySaved({ copy: { ...copy, goes } }));
    await place.rest();
    await place.press(/^Ysolde M\., question 4: yours to mark/);
    expect(place.text).toContain('“crabs” for “crab”: near, and a word of its own.');
    expect(place.text).toMatch(/The flap was lifted on .*, and the answer was changed after\. Then it was: a gull/);
  });

  it('gives points within what the question has', async () => {
    await place.press(/^Wilmot A\., question 10/);
    await place.write('Points', '99');
    expect(said('l-wilmot')?.marks['rp-q10']?.points).toBeLessThanOrEqual(3);
  });

  it('submits for a learner what they wrote, and brings back a try that they put aside', async () => {
    const id = copyIdOf('h-survey', 'l-demelza');
    const now = () => place.work.copies()[id]?.goes.at(-1);
    const go = now();
    if (!go) throw new Error('nothing was begun');
    const fresh = afresh(go, { id: 'try', from: 'here', at: '2026-11-24T08:00:00.000Z' });
    const copy = place.work.copies()[id];
    if (copy) place.work.dispatch(DeskActions.copySaved({ copy: { ...copy, goes: [fresh] } }));
    await place.press(/^Demelza K\., question 1/);
    expect(place.text).toContain('4 answers');
    await place.press('Bring it back');
    expect(now()?.answers).toMatchObject(go.answers);
    await place.press('Submit for Demelza K.');
    expect(now()).toMatchObject({ submittedFor: true, submittedAt: expect.any(String) });
    expect(place.text).toContain('submitted by you');
    place.work.undo();
    expect(now()?.submittedAt).toBeNull();
  });

  it('keeps a word on one answer', async () => {
    await place.press(/^Wilmot A\., question 9/);
    await place.write(/^A word on this answer/, 'And the gulls?');
    expect(said('l-wilmot')?.comments['rp-q9']).toBe('And the gulls?');
  });

  it('leads from an answer back to the master’s revision, by what the version did', async () => {
    await place.press(/^Ysolde M\., question 3/);
    expect(place.text).toContain('The way back');
    expect(place.text).toContain('master, revision 2');
    expect(place.text).toMatch(/is worded “What falls from the sky/);
  });

  it('says what had been decided about the sheet when it was given: why, for which goal, and what it was taken for', async () => {
    await place.press(/^Oriel P\., question 1:/);
    expect(place.text).toContain('Two choices, as agreed in October');
    await place.unfold(/^All that was decided/);
    expect(place.text).toContain('Goal: Finishes one page without a break');
    expect(place.text).toMatch(/Not on this sheet.*choose one animal/);
  });

  it('moves through the answers with the arrow keys', async () => {
    await place.press(/^Brannoc T\., question 1/);
    const table = (place.fixture.nativeElement as HTMLElement).querySelector('table');
    const go = async (key: string) => {
      table?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
      await place.rest();
    };
    await go('ArrowRight');
    await go('ArrowDown');
    const on = (place.fixture.nativeElement as HTMLElement).querySelector('button.chosen');
    expect(on?.getAttribute('data-cell')).toBe('1-1');
  });
});

describe('the list of all work', () => {
  it('begins with what waits, names whose work that is, and leads there by one press', async () => {
    const list = await DemoPlace.open(MarkingList);
    const titles = [...list.fixture.nativeElement.querySelectorAll('tbody th')].map((e: Element) =>
      e.textContent?.trim(),
    );
    expect(titles[0]).toBe('Rock-pool survey');
    expect(list.text).toContain('7 submitted');
    const states = statesIn(list.work.states()['h-survey']);
    const names = list.work
      .people()
      .learners.filter((l) => states.get(l.id) === 'submitted')
      .map((l) => l.name);
    expect(names).toHaveLength(7);
    const queue = [...list.fixture.nativeElement.querySelectorAll('.queue b')].map((e: Element) => e.textContent ?? '');
    expect([...queue].sort()).toEqual([...names].sort());
    const at = (name: string) =>
      list.work
        .copies()
        [copyIdOf('h-survey', list.work.people().learners.find((l) => l.name === name)?.id ?? '')]?.goes.at(-1)
        ?.submittedAt ?? '';
    // The longest waiting comes first.
    expect(queue.map(at)).toEqual([...queue.map(at)].sort());
    for (const name of names)
      expect(await (await list.button(new RegExp(`^${name}`))).leadsTo()).toMatch(/^\/marking\/h-survey\?learner=l-/);
  });

  it('says what it will hold while nothing was given out', async () => {
    const list = await DemoPlace.open(MarkingList, {
      change: (w) => ({ ...w, handOuts: {}, copies: {}, markings: {} }),
    });
    expect(list.text).toContain('No work yet');
    expect(await (await list.button('To the hand-outs')).leadsTo()).toBe('/hand-outs');
  });
});
