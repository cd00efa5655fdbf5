import { expect, it } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const APP = join(import.meta.dirname, '..');
/** Fields that hold no free text, or that nothing is kept of. */
const NO_TEXT = /checkbox|radio|file|number|date|datetime-local|range|color|time|search/;

const templates = readdirSync(APP, { recursive: true, encoding: 'utf8' }).filter((f) =>
  /(?<!\.spec)\.(ts|html)$/.test(f),
);

it('every field that takes words has an end: what could not be kept cannot be typed', () => {
  const endless = templates.flatMap((f) =>
    [...readFileSync(join(APP, f), 'utf8').matchAll(/<(?:input|textarea)\b(?:[^>"]|"[^"]*")*>/g)]
      .map(([tag]) => tag)
      .filter((tag) => !NO_TEXT.test(/\btype\]?="([^"]+)"/.exec(tag)?.[1] ?? '') && !/maxlength/i.test(tag))
      .map((tag) => `${f}: ${tag.replace(/\s+/g, ' ')}`),
  );
  expect(endless).toEqual([]);
});
