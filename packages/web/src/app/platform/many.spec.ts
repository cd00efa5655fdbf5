import { expect, it } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Everything that may say something: of the application and of the core. */
const ROOTS = [join(import.meta.dirname, '..'), join(import.meta.dirname, '../../../../core/src')];
const sources = ROOTS.flatMap((root) =>
  readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((f) => /(?<!\.spec)\.(ts|html)$/.test(f))
    .map((f) => [f, readFileSync(join(root, f), 'utf8')] as const),
);

it('no text is put together of a stem and an ending: each number has its whole text', () => {
  // An ending of a plural, a verb that goes by a number.
  const pieced = /\? '(?:s?|is|has|was|its|their)' : '(?:s?|are|have|were|it|them|their)'/g;
  const found = sources.flatMap(([f, text]) => [...text.matchAll(pieced)].map(([m]) => `${f}: ${m}`));
  expect(found.filter((x) => !/\? '' : ''/.test(x))).toEqual([]);
  expect(sources.length).toBeGreaterThan(400);
});
