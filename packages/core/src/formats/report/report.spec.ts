import { describe, expect, it } from '@jest/globals';
import { emptyResponse, type Response } from '../../work/copy';
import { saidOf } from '../../work/said';
import { familysReport, learnersReport, type Report, type Reported } from './report';
import { REPORT_WORDS } from './report-words';

const item = (id: string, key: string, objectiveId: string) => ({
  ...{
    id,
    kind: 'short-text',
    audience: 'learner',
    prompt: `What is ${id}?`,
    demand: 'recall',
    points: 2,
    objectiveId,
  },
  key: [key],
});
const frozen = {
  content: {
    pages: [
      { id: 'p', title: '', blocks: [item('q1', 'crab', 'o1'), item('q2', 'gull', 'o1'), item('q3', 'kelp', 'o2')] },
    ],
    objectives: [
      { id: 'o1', text: 'Name animals' },
      { id: 'o2', text: 'Name plants' },
      { id: 'o3', text: 'Name rocks' },
    ],
  },
} as unknown as Reported['frozen'];
const mark = (verdict: 'right' | 'not-yet' | 'yours') => ({ verdict, points: verdict === 'right' ? 2 : 0, outOf: 2 });
const response: Response = {
  ...emptyResponse(1),
  decision: 'another go',
  comment: 'Look at page 1.',
  comments: { q3: 'It is green.' },
  released: { q1: mark('right'), q2: mark('right'), q3: mark('not-yet') },
};
const of = (more: Partial<Response> = {}, and: Partial<Reported> = {}): Reported => ({
  ...{ name: 'Oriel', title: 'Rock pool', frozen, family: '', withPoints: true, isOnPaper: false, withKeys: false },
  go: {
    ...{ n: 1, startedAt: '2026-11-26T09:00:00.000Z', submittedAt: '2026-11-26T12:00:00.000Z' },
    answers: { q1: { kind: 'text', text: 'crab' }, q3: { kind: 'text', text: 'stone' } },
  },
  said: saidOf({ id: 'm', copyId: 'm', responses: [{ ...response, ...more }] }),
  decision: more.decision ?? 'another go',
  ...and,
});
const wordsIn = (r: Report): string => JSON.stringify(r.parts);
const questionsIn = (r: Report) => r.parts.flatMap((p) => (p.is === 'questions' ? p.questions : []));

describe('a learner’s report', () => {
  it('says question by question what was answered, how it is marked, and what the teacher says', () => {
    const r = learnersReport(of(), 'en');
    expect(wordsIn(r)).toContain('Right: 2 of 3 questions.');
    expect(wordsIn(r)).toContain('Points: 4 of 6');
    expect(questionsIn(r)).toEqual([
      { number: 1, asked: 'What is q1?', answer: 'Your answer: crab', mark: 'Right.', word: '', key: '' },
      { number: 2, asked: 'What is q2?', answer: 'You left this one open.', mark: 'Right.', word: '', key: '' },
      {
        number: 3,
        asked: 'What is q3?',
        answer: 'Your answer: stone',
        mark: 'Not yet.',
        word: 'It is green.',
        key: '',
      },
    ]);
  });

  it('tells no more than the learner is told: another go that does not say where names no mark', () => {
    const r = learnersReport(of({ again: { where: false } }), 'en');
    expect(questionsIn(r).map((q) => [q.mark, q.word])).toEqual(questionsIn(r).map(() => ['', '']));
    expect(wordsIn(r)).not.toMatch(/Right|Points|green/);
    expect(wordsIn(r)).toContain('Look at page 1.');
  });

  it('has the answers only once they are out, points only where there are some, and says what is open', () => {
    expect(wordsIn(learnersReport(of(), 'en'))).not.toContain('kelp');
    expect(questionsIn(learnersReport(of({}, { withKeys: true }), 'en'))[2]?.key).toBe('The answer: kelp');
    expect(wordsIn(learnersReport(of({}, { withPoints: false }), 'en'))).not.toContain('Points');
    expect(wordsIn(learnersReport(of({ points: 5 }), 'en'))).toContain('Points: 5 of 6');
    expect(wordsIn(learnersReport(of({ again: { where: true, only: ['q3'] } }), 'en'))).toContain('once more: 3.');
    expect(questionsIn(learnersReport(of({}, { isOnPaper: true }), 'en'))[1]?.answer).toBe('');
  });
});

it('a family’s report says by objective what went well and what is left, and no single answer', () => {
  const r = familysReport(of({}, { family: 'Ask about the shore.' }), 'en');
  expect(r.title).toBe('How Oriel got on');
  expect(r.parts.filter((p) => p.is === 'list')).toEqual([
    { is: 'list', lines: ['Name animals: 2 of 2'] },
    { is: 'list', lines: ['Name plants: 0 of 1'] },
  ]);
  expect(wordsIn(r)).toContain('Ask about the shore.');
  expect(wordsIn(r)).not.toMatch(/stone|What is/);
});

it('says the same in every language, with the same places for what is put in', () => {
  const slots = (text: string) => (text.match(/\{\w+\}/g) ?? []).sort();
  for (const [language, words] of Object.entries(REPORT_WORDS))
    for (const [word, text] of Object.entries(REPORT_WORDS.en))
      expect([language, word, slots((words as Record<string, string>)[word] ?? '-')]).toEqual([
        language,
        word,
        slots(text),
      ]);
  expect(learnersReport(of(), 'uk').parts[1]).toEqual({ is: 'words', text: 'Oriel, ось як пройшла твоя робота.' });
});
