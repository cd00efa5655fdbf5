import { expect, it } from '@jest/globals';
import { learnerSheet } from '../assign/learner-sheet';
import { derive } from '../derive/derive';
import { demo, pool } from '../testing/in-demo';
import { listOf } from '../collections';
import { questionNumbers } from './numbering';

it('only learners’ questions count, and a part for the teacher takes no number', () => {
  const q = (id: string, audience?: 'teacher') => ({ id, prompt: 'x', ...(audience ? { audience } : {}) });
  const pages = [
    { blocks: [q('a'), { id: 't' }, q('hers', 'teacher'), q('b')] },
    { audience: 'key' as const, blocks: [q('key')] },
    { blocks: [q('c')] },
  ];
  expect([...questionNumbers(pages)]).toEqual([
    ['a', 1],
    ['b', 2],
    ['c', 3],
  ]);
});

it('every version of the demo counts on its Bench as on its learners’ sheets, divided or not', () => {
  for (const family of listOf(demo.families))
    for (const id of [null, ...family.versions.map((v) => v.id)]) {
      const { whole, content } = derive(family, id);
      const sheet = learnerSheet({ id: 's', swatch: pool.swatch, content });
      expect([...questionNumbers(sheet.pages)]).toEqual([...questionNumbers(whole.pages)]);
    }
});
