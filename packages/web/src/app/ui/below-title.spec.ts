import { expect, it } from '@jest/globals';
import { belowTitle } from './below-title';

it.each([
  ['The pool is shut.', ''],
  ['The pool is shut. Bring a book.', 'Bring a book.'],
  ['The pool is shut\nfrom noon', 'from noon'],
  // A question goes on being one, and a longer word is another.
  ['The pool is shut? Yes.', 'The pool is shut? Yes.'],
  ['The pool is shuttered.', 'The pool is shuttered.'],
  ['Bring a book.', 'Bring a book.'],
])('below “The pool is shut”, %j says %j', (note, says) => {
  expect(belowTitle('The pool is shut', note)).toBe(says);
});
