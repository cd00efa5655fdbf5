import { describe, expect, it } from '@jest/globals';
import { apart } from './apart';
import { readHtml } from './html';
import { entriesInLine, entriesInTable } from './keys';
import { propose } from './propose';
import { audienceOfHeading } from './teacher-label';

let n = 0;
const newId = () => `n${++n}`;
const read = (html: string) => readHtml(html, 'x.html').material;

describe('the words of a title', () => {
  it.each([
    'Answer key',
    'ANSWERS',
    'Solutions',
    'Marking scheme',
    'Answers to exercise 3',
    'The crab – answers',
    'Teacher’s key',
    'For the teacher: answers',
    'Teacher use only. Solutions 1) six cups 2) none',
    'Unit 4 (answer key)',
    'Corrigé',
    'Réponses',
    'Lösungen zu Seite 4',
    'Lösungsschlüssel',
    'Musterlösung',
    'Respuestas',
    'Clave de respuestas',
    'Solucionario',
  ])('“%s” is a key', (title) => expect(audienceOfHeading(title)).toBe('key'));
  it.each([
    'Teacher’s notes',
    'For the teacher',
    'TEACHER COPY',
    'Notes for teachers',
    'Lesson plan: tides',
    'Pour l’enseignante',
    'Notes pour le professeur',
    'Hinweise für die Lehrkraft',
    'Für Lehrerinnen und Lehrer',
    'Para el docente',
    'Notas para la maestra',
  ])('“%s” is the teacher’s', (title) => expect(audienceOfHeading(title)).toBe('teacher'));
  it.each([
    'Answer the questions',
    'Short answer',
    'Questions and answers',
    'Solutions and mixtures',
    'Find the solution',
    'Write your answers here',
    'Choose the right answer',
    'The teacher and the gull',
    'A letter for the teacher',
    'Corrige les phrases',
    'Questions et réponses',
    'Fragen und Antworten',
    'Lösungen und Gemische',
    'Preguntas y respuestas',
    'Encuentra la solución',
    'Key',
  ])('“%s” alone is neither', (title) => expect(audienceOfHeading(title)).toBeNull());
});

describe('the answers of a key', () => {
  it.each([
    ['1 A 2 C 3 B', ['1 A', '2 C', '3 B']],
    ['4. crab', ['4 crab']],
    ['5) 14 limpets', ['5 14 limpets']],
    ['Q6: b', ['6 b']],
    ['1) 6:30 3) as marked 4) 9:05, 11:45', ['1 6:30', '3 as marked', '4 9:05, 11:45']],
    ['1. 3.5 2. 4.2 3. 10', ['1 3.5', '2 4.2', '3 10']],
    ['1-b, 2-c', ['1 b', '2 c']],
    ['1. on the bus, 2. the driver', ['1 on the bus', '2 the driver']],
    ['1. 3 + 4 = 7 shells', ['1 3 + 4 = 7 shells']],
    ['1 stamp, 2 postwoman, 3 red', ['1 stamp', '2 postwoman', '3 red']],
    ['1 F – 2 V – 3 F', ['1 F', '2 V', '3 F']],
    ['1 It melts. 2 It sinks.', ['1 It melts', '2 It sinks.']],
    ['1 is the oven, 2 is rye bread', ['1 the oven', '2 rye bread']],
    ['1 2 pears, 3 plums', ['1 2 pears, 3 plums']],
    ['The tide turns at 6:30', []],
  ])('on a line: %s', (line, entries) =>
    expect(entriesInLine(line).map((e) => `${e.number} ${e.words}`)).toEqual(entries),
  );
  it('in a table: a row each under its heading, a column each, or pairs side by side', () => {
    const said = (rows: string[][]) => entriesInTable(rows).map((e) => `${e.number} ${e.words}`);
    expect(
      said([
        ['No.', 'Answer', 'Points'],
        ['1', '3', '2'],
      ]),
    ).toEqual(['1 3']);
    expect(
      said([
        ['1', '2'],
        ['b', 'c'],
      ]),
    ).toEqual(['1 b', '2 c']);
    expect(
      said([
        ['1', 'b', '3', 'a'],
        ['2', 'c', '4', 'd'],
      ]),
    ).toEqual(['1 b', '3 a', '2 c', '4 d']);
  });
});

describe('a part for the teacher', () => {
  const sheet =
    '<h1>Tides</h1><p>1. What pulls the sea? ____</p><h2>Answers</h2><p>1. the moon</p><h2>More</h2><p>2. Who swims? ____</p>';
  const audiences = (html: string, turned?: ReadonlyMap<string, 'learner' | 'key' | 'teacher'>) =>
    apart(read(html), turned).stretches.map((s) => s.audience);

  it('runs to the next heading of its rank, and no further', () => {
    expect(audiences(sheet)).toEqual(['learner', 'key', 'learner']);
    expect(audiences(sheet.replaceAll('h2', 'h3').replace('<h3>More</h3>', '<h4>More</h4>'))).toEqual([
      'learner',
      'key',
    ]);
  });

  it('in a frame ends with it, unless only its name stands there', () => {
    const asks = '<p>1. What rises? ____</p><p>2. What falls? ____</p>';
    const note = '<p><b>Teacher note:</b> Ask group 2 first.</p>';
    for (const [open, close] of [
      ['<blockquote>', '</blockquote>'],
      ['<aside>', '</aside>'],
      ['<details>', '</details>'],
      ['<table><tr><td>', '</td></tr></table>'],
    ])
      expect(audiences(`<h1>Water</h1>${open}${note}${close}${asks}`)).toEqual(['learner', 'teacher', 'learner']);
    expect(audiences(`${asks}<blockquote>Answer key</blockquote><p>1. steam</p><p>2. rain</p>`)).toEqual([
      'learner',
      'key',
    ]);
    // A second frame with more of the key is of the key too.
    const [one, two] = ['<p>1. steam</p>', '<p>2. rain</p>'].map((x) => `<aside>${x}</aside>`);
    expect(audiences(`${asks}<aside><p>Answers</p></aside>${one}${two}`)).toEqual(['learner', 'key']);
  });

  it('on a line of its own ends where the first question is asked; answers without numbers are as many as questions', () => {
    const asks = '<p>1. What rises? ____</p><p>2. What falls? ____</p>';
    expect(audiences(`<p>Teacher note: read it aloud.</p>${asks}`)).toEqual(['teacher', 'learner']);
    expect(audiences(`${asks}<p>Key: steam / rain</p>`)).toEqual(['learner', 'key']);
    expect(audiences(`${asks}<p>Key: a town / a village / a road</p>`)).toEqual(['learner']);
    expect(audiences(`<p>Possible answers: steam, rain.</p>${asks}`)).toEqual(['learner']);
  });

  it('answers under titles of a sheet’s parts are the sheet’s, though its numbers go on', () => {
    const { pages, unmatched } = propose(
      read(
        '<h1>Trees</h1><h2>Warm-up</h2><p>1. What falls?</p><h2>Reading</h2><p>2. What drinks?</p><h1>Teacher section</h1>' +
          '<h2>Answers to the warm-up</h2><p>1. leaves</p><h2>Answers to the reading</h2><p>2. roots</p>',
      ),
      newId,
    );
    expect(unmatched).toEqual([]);
    expect(pages.flatMap((p) => p.proposals).flatMap((p) => (p.keyed ? [p.block] : []))).toMatchObject([
      { key: ['leaves'] },
      { key: ['roots'] },
    ]);
  });

  it('an answer may say what is right too', () => {
    const { pages } = propose(read('<p>1. Who makes honey?</p><h2>Answers</h2><p>1. bee (accept: bees)</p>'), newId);
    expect(pages[0]?.proposals[0]?.block).toMatchObject({ key: ['bee', 'bees'] });
  });

  it('that names its parts on one line each gives each part its own answers', () => {
    const { pages } = propose(
      read(
        '<h2>Part A</h2><p>1. What burns? ____</p><p>2. What melts? ____</p><h2>Part B</h2><p>1. What rolls? ____</p>' +
          '<h2>Answers</h2><p>Part A: 1. wood, 2. ice</p><p>Part B: 1. a ball</p>',
      ),
      newId,
    );
    const keyed = pages.flatMap((p) => p.proposals).flatMap((p) => (p.keyed ? [p.block] : []));
    expect(keyed).toMatchObject([{ key: ['wood'] }, { key: ['ice'] }, { key: ['a ball'] }]);
  });

  it('says why, and what was turned round comes in as the teacher says, with its questions', () => {
    const [found] = apart(read(sheet)).stretches.flatMap((s) => s.decided ?? []);
    expect(found).toMatchObject({ audience: 'key', why: 'Under “Answers” stand answers by number.' });
    const turned = propose(read(sheet), newId, new Map([[found?.id ?? '', 'learner']]));
    expect(turned.pages.map((p) => p.audience)).toEqual(['learner']);
    expect(turned.pages[0]?.proposals.filter((p) => p.keyed)).toEqual([]);
  });

  it('a title that only looks like one is named with the reason, and can be turned round', () => {
    const html = '<h1>Bread</h1><h2>Short answer</h2><p>1. What rises? ____</p><p>2. What bakes? ____</p>';
    const { near } = apart(read(html));
    expect(near).toMatchObject([{ at: 'Short answer', audience: 'learner', why: expect.stringContaining('asks') }]);
    expect(audiences(html, new Map([[near[0]?.id ?? '', 'key']]))).toEqual(['learner', 'key']);
  });

  it('a key that does not fit its question is not set, and is named; two sheets with one key are asked about', () => {
    const one = propose(read('<p>1. Draw the hands.</p><h2>Answers</h2><p>1. A</p>'), newId);
    expect(one.unfit).toEqual(['Question 1: “A” is no drawing.']);
    const two = propose(
      read('<h1>One</h1><p>1. What burns?</p><h1>Two</h1><p>1. What rolls?</p><h1>Answers</h1><p>1. wood</p>'),
      newId,
    );
    expect(two.unfit?.[0]).toMatch(/Several sheets have question 1/);
    expect(two.pages.flatMap((p) => p.proposals).filter((p) => p.keyed)).toEqual([]);
  });
});
