import { beforeEach, describe, expect, it } from '@jest/globals';
import { latest } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { textFile } from '../testing/harnesses';
import { AnswerSheet } from './answer-sheet';

let place: DemoPlace<AnswerSheet>;
const pages = () => latest(place.family('puncture')).content.pages;
const drafted = () => (place.family('puncture').draft ?? latest(place.family('puncture')).content).pages;
/** The questions of the page that was made, each with its choices and its key. */
const made = () =>
  (drafted().at(-1)?.blocks ?? []).map((b) =>
    b.kind === 'single-choice'
      ? `${b.options.map((o) => o.text).join('')}:${b.options.find((o) => b.key.includes(o.id))?.text ?? ''}`
      : b.kind === 'short-text'
        ? b.key.join('/')
        : b.kind,
  );
const fill = async (count: string, keys: string) => {
  await place.write('Questions', count);
  await place.write('Key', keys);
};

describe('an answer sheet', () => {
  beforeEach(async () => {
    place = await DemoPlace.open(AnswerSheet, { inputs: { open: true }, bench: { family: 'puncture' } });
  });

  it('is the last page of the master, with a question for each key, and one undo takes it back', async () => {
    const before = pages().length;
    await fill('3', 'ACB');
    expect(place.text).toContain('3 of 3 keys given: 1 A, 2 C, 3 B');
    await place.press('Make the sheet');
    expect(drafted()).toHaveLength(before + 1);
    expect(made()).toEqual(['ABCD:A', 'ABCD:C', 'ABCD:B']);
    expect(place.notices).toEqual(['Answer sheet with 3 questions It is the last page. One undo takes it back.']);
    await place.undo();
    expect(drafted()).toHaveLength(before);
  });

  it('asks for as many choices as are wanted, and takes questions without a key', async () => {
    await fill('2', 'B');
    await place.write('Choices each', '3');
    await place.press('Make the sheet');
    expect(made()).toEqual(['ABC:B', 'ABC:']);
  });

  it('has short answers a line each, and does as it is told where a number may mean two things', async () => {
    await place.choose('Answered by', 'a short answer');
    await fill('2', '1 lever\n2 pump/air pump');
    expect(place.text).toContain('Each line begins with a number. Is it the question’s?');
    expect(place.text).toContain('1 lever, 2 pump or air pump');
    await place.check(/^No: it is part of the answer/);
    await place.press('Make the sheet');
    expect(made()).toEqual(['1 lever', '2 pump/air pump']);
  });

  it.each([
    ['more keys than questions', '1', 'AB', 'There are 2 keys for 1 question.'],
    ['a letter that is no choice', '2', 'AH', 'H'],
  ])('is not made of %s: it is said, and what was typed stays', async (_, count, keys, says) => {
    const before = drafted().length;
    await fill(count, keys);
    await place.press('Make the sheet');
    expect(place.text).toContain(says);
    expect(drafted()).toHaveLength(before);
    expect(await (await place.field('Key')).value()).toBe(keys);
  });

  it('is not made beside a file that is no PDF', async () => {
    const before = drafted().length;
    await fill('1', 'A');
    await place.take(/^The questions as a PDF/, textFile('# questions', 'questions.pdf'));
    await place.press('Make the sheet');
    expect(place.text).toContain('questions.pdf');
    expect(drafted()).toHaveLength(before);
  });
});
