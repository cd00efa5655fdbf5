import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { SCHEMAS } from './schemas';

describe('the published schemas', () => {
  it.each(Object.keys(SCHEMAS))('docs/schemas/%s is what is written: npm run schemas writes it anew', (name) => {
    const kept = readFileSync(new URL(`../../../docs/schemas/${name}`, import.meta.url), 'utf8');
    expect(JSON.parse(kept)).toEqual(JSON.parse(SCHEMAS[name]?.() ?? 'null'));
  });
});
