import { describe, expect, it } from '@jest/globals';
import { type Page, proposeHardWords } from '@lorvet/core';
import { readFileSync } from 'node:fs';

const lines = readFileSync(new URL('../../../words/own-words.txt', import.meta.url), 'utf8')
  .split('\n')
  .filter((line) => line.trim() && !line.startsWith('#'));
const entries = lines.map((line) => {
  const [head = '', says = ''] = line.split(': ');
  return { words: head.split(', '), meanings: says.split(' / ') };
});

describe('our own words', () => {
  it('stand one to a line with what they mean, and none stands twice', () => {
    for (const line of lines) expect(line).toMatch(/^[a-z]{2,}(?:, [a-z]{3,})*: [^/:]{3,75}(?: \/ to [^/:]{3,75})?$/);
    const all = entries.flatMap((e) => e.words);
    expect(all.filter((word, i) => all.indexOf(word) !== i)).toEqual([]);
  });

  it('are said in words that are plain, or that stand in the list themselves', () => {
    const known = new Set(entries.flatMap((e) => e.words));
    const page = (text: string): Page => ({
      id: 'p',
      title: '',
      orientation: 'portrait',
      blocks: [{ id: 'b', kind: 'text', audience: 'learner', text }],
    });
    const hard = entries.flatMap(({ words, meanings }) =>
      proposeHardWords(page(`${meanings.join('. ')}.`)).flatMap((w) => (known.has(w) ? [] : `${words[0]}: ${w}`)),
    );
    expect(hard).toEqual([]);
  });

  it('are not explained by themselves', () => {
    const circular = entries.filter(({ words, meanings }) =>
      meanings.some((m) => m.split(/[^a-z]+/).some((w) => words.includes(w) && w.length > 3)),
    );
    expect(circular.map((e) => e.words[0])).toEqual([]);
  });
});
