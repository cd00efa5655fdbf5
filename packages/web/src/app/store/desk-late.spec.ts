import { afterAll, expect, it } from '@jest/globals';
import { lateOnes, putLate } from '../platform/storage/late';
import { boxesWithDemo, dataOf, GENERATION, jory } from '../testing/kept-demo';
import { Tab } from '../testing/tab';

afterAll(() => Tab.closeAll());

// In a file of its own: what is known of records is known to the whole page.
it('at the desk, what a teacher’s page left to be written is written at once: the names at the door are the new ones', async () => {
  localStorage.clear();
  const boxes = await boxesWithDemo();
  const value = { ...jory, name: 'Jory of the pier' };
  const classes = [{ id: 'c-heron', name: 'Heron class', learners: [{ id: jory.id, name: value.name }] }];
  putLate('closed', {
    generation: GENERATION,
    entries: [{ kind: 'learners', id: jory.id, value, base: null, rev: 1 }],
    patches: [{ in: 'door', id: 'door', put: { id: 'door', classes } }],
  });
  const tab = await Tab.open(boxes, 'the desk');
  expect(tab.work.index().door['door']?.classes).toEqual(classes);
  expect(await dataOf(boxes, 'heads', `learners/${jory.id}`)).toEqual(value);
  expect(lateOnes()).toEqual([]);
});
