import { expect, it } from '@jest/globals';
import { figure } from './tenth';

it('says a figure to the tenth, nothing below nothing that is none, and a dash where there is none', () => {
  expect([7, -0.04, -1.23, 0, 1234.56, undefined].map(figure)).toEqual(['7.0', '0.0', '-1.2', '0.0', '1234.6', '–']);
});
