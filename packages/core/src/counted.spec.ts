import { expect, it } from '@jest/globals';
import { counted } from './counted';

it('says of one what is said of one, of others the other, with everything in its place', () => {
  const says = (n: number) => counted(n, 'One is {what}.', '{n} are {what}, {n} in all.', { what: '{n} new' });
  expect([0, 1, 2].map(says)).toEqual(['0 are {n} new, 0 in all.', 'One is {n} new.', '2 are {n} new, 2 in all.']);
  expect(counted(2, '', '{toString} {of}')).toBe('{toString} {of}');
});
