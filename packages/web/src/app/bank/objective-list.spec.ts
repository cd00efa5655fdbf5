import { beforeEach, describe, expect, it } from '@jest/globals';
import { askedObjectives, listOf } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { DEMO_DAY } from '../testing/kept-demo';
import { DemoPlace } from '../testing/demo-place';
import { ButtonHarness, FieldHarness } from '../testing/harnesses';
import { ObjectiveList } from './objective-list';

const asked = askedObjectives(Object.values(demoWorkspace(DEMO_DAY).families));
let place: DemoPlace<ObjectiveList>;
const list = () => listOf(place.work.objectives());

describe('the objectives', () => {
  beforeEach(async () => {
    localStorage.clear();
    place = await DemoPlace.open(ObjectiveList, { inputs: { asked } });
  });

  it('show what activities ask for before there is a list, and put it there under the same id', async () => {
    const [first] = asked;
    expect(place.text).toContain(first?.text);
    await place.press(`Put on the list: ${first?.text}`);
    expect(list()).toMatchObject([{ id: first?.id, text: first?.text, subject: first?.subject }]);
    expect(await place.has(ButtonHarness, `Take off the list: ${first?.text}`)).toBe(true);
  });

  it('several are put on the list in one step, and taken off once it was said yes to', async () => {
    await place.check('Choose all');
    await place.press(`Put ${asked.length} on the list`);
    expect(list()).toHaveLength(asked.length);
    await place.undo();
    expect(list()).toHaveLength(0);
    await place.work.redo();
    await place.rest();
    for (const o of asked.slice(0, 2)) await place.check(`Choose ${o.text}`);
    for (const o of asked.slice(0, 2)) expect(await place.has(FieldHarness, `Choose ${o.text}`)).toBe(true);
    await place.press(/^Take \d+ off the list$/);
    expect(place.asked).toHaveLength(1);
  });
});
