import { describe, expect, it } from '@jest/globals';
import { learnerSchema } from '../learners/learner';
import { type Content, contentSchema, pageSchema } from './activity';
import { type Block, BLOCK_KIND_NAMES, blockSchema, freshBlock, withWords, wordsOf } from './blocks';
import { mostAt, mostIn, mostWords, overfullBy } from './limits';

let n = 0;
const newId = () => `id${n++}`;
const content = (...blocks: Block[]): Content => ({
  title: 'T',
  subject: '',
  ages: '',
  objectives: [],
  pages: [{ id: 'p', title: '', orientation: 'portrait', blocks }],
});

describe('how much a place holds', () => {
  it('is what its schema says, through lists, options and first values', () => {
    expect(mostAt(pageSchema, 'title')).toBe(200);
    expect(mostAt(pageSchema, 'blocks')).toBe(400);
    expect(mostAt(learnerSchema, 'needs', 'interests', '*')).toBe(80);
    expect(mostAt(learnerSchema, 'fields', '*')).toBe(80);
    expect(mostIn('pieces', 'board', 'places', '*', 'text')).toBe(200);
    expect(() => mostIn('gaps', 'nothing')).toThrow('nothing');
  });

  it('every word of every kind is kept at its limit and not beyond it', () => {
    for (const kind of BLOCK_KIND_NAMES) {
      const block = freshBlock(kind, 'b', newId);
      for (const w of wordsOf(block)) {
        const most = mostWords(block, w.field);
        const keeps = (letters: number) =>
          blockSchema.safeParse(withWords(block, w.field, 'x'.repeat(letters))).success;
        expect([kind, w.field, keeps(most), keeps(most + 1)]).toEqual([kind, w.field, true, false]);
      }
    }
  });
});

it('a change that makes too much says what is full; what was there before is nobody’s fault now', () => {
  const question = freshBlock('single-choice', 'q', newId) as Extract<Block, { kind: 'single-choice' }>;
  const many = { ...question, options: Array.from({ length: 41 }, () => ({ id: newId(), text: '' })) };
  const before = content(question);
  expect(overfullBy(before, before)).toBe('');
  expect(overfullBy(before, content(many))).toBe('There is room for 40 choices.');
  expect(overfullBy(content(many), content(many, question))).toBe('');
  expect(overfullBy(before, content({ ...question, prompt: 'Why '.repeat(1001) }))).toMatch(
    /^“Why Why.*…” has 4,004 letters; there is room for 4,000\.$/,
  );
  expect(overfullBy(before, content(...Array.from({ length: 401 }, () => ({ ...question, id: newId() }))))).toBe(
    'There is room for 400 blocks on one page.',
  );
  expect(overfullBy(before, { ...before, title: 'x'.repeat(201) })).toMatch(/201 letters/);
  expect(contentSchema.safeParse(before).success).toBe(true);
});
