import { describe, expect, it } from '@jest/globals';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { demoWorkspace } from '../demo/index';
import { readBackup, writeBackup } from './backup';
import { dateOrderOf, mapClassList, readClassTable, readDate, sayLines } from './class-list';
import { Problem } from './problem';

const workspace = demoWorkspace(Date.UTC(2026, 10, 24));
const bytes = writeBackup(workspace, '2026-11-24T09:00:00.000Z');

function problem(read: () => unknown): Problem {
  try {
    read();
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
  }
  throw new Error('nothing was wrong');
}

/** The backup with one of its files changed. */
const changed = (name: string, change: (text: string) => string | null) => {
  const files = unzipSync(bytes);
  const file = files[name];
  const text = change(file ? new TextDecoder().decode(file) : '');
  if (text === null) delete files[name];
  else files[name] = strToU8(text);
  return zipSync(files);
};

const changedBytes = (which: (name: string) => boolean, to: Uint8Array) =>
  zipSync(Object.fromEntries(Object.entries(unzipSync(bytes)).map(([n, b]) => [n, which(n) ? to : b])));

describe('backup', () => {
  it('comes back as it went out', () => {
    const aside = { id: 'a1', key: 'learners/x', why: 'damaged', at: '2026-11-24', data: { name: 7 } };
    expect(readBackup(writeBackup(workspace, '', [aside]))).toEqual({ workspace, at: '', asides: [aside] });
    // In the order in which they were.
    expect(Object.keys(readBackup(bytes).workspace.learners)).toEqual(Object.keys(workspace.learners));
  });

  it.each([
    ['a file that is no ZIP', strToU8('hello'), /not a ZIP/],
    ['a ZIP cut short', bytes.slice(0, bytes.length / 2), /damaged/],
    ['a foreign ZIP', zipSync({ 'a.txt': strToU8('x') }), /not a Lorvet backup/],
    ['a foreign manifest', changed('manifest.json', () => '{"product":"other"}'), /not written by Lorvet/],
    [
      'a newer format',
      changed('manifest.json', (t) => t.replace(/"format": \d+/, '"format": 99')),
      /newer Lorvet \(format 99/,
    ],
    ['a part that is no JSON', changed('copies/0001.json', () => '[{'), /copies\/0001.json/],
    ['a part that is no list', changed('copies/0001.json', () => '{}'), /not a list/],
    ['one that unpacks to 1000 times its size', zipSync({ 'manifest.json': new Uint8Array(40e6) }), /made to fill/],
  ])('says what is wrong with %s', (_, file, says) => expect(problem(() => readBackup(file)).message).toMatch(says));

  it('names the record and the field that cannot be right, and takes nothing', () => {
    const p = problem(() =>
      readBackup(changed('learners/0001.json', (t) => t.replace('"value":3.2', '"value":"high"'))),
    );
    expect(p.details.join()).toMatch(/learners, record 1: needs › levels/);
    const fewer = problem(() => readBackup(changed('groups/0001.json', () => '[]')));
    expect(fewer.details.join()).toMatch(/groups: 0 records, where the manifest counts 4/);
    const twice = problem(() =>
      readBackup(
        changed('classes/0001.json', (t) =>
          JSON.stringify((JSON.parse(t) as { id: string }[]).map((c) => ({ ...c, id: 'same' }))),
        ),
      ),
    );
    expect(twice.details.join()).toMatch(/its id is there twice/);
    const missing = problem(() => readBackup(changed('copies/0001.json', () => null)));
    const there = Object.keys(workspace.copies).length;
    expect(missing.details.join()).toContain(`copies: 0 records, where the manifest counts ${there}`);
    const other = problem(() => readBackup(changedBytes((name) => name.startsWith('assets/'), strToU8('<svg/>'))));
    expect(other.details.join()).toMatch(/assets, record 1: “rock-pool.svg” is not what it was/);
  });
});

describe('class list', () => {
  const table = readClassTable(
    '\uFEFFPupil;Form;Reading age\nBrea K.;4B;3,5\n\n;4B;2\nCador L.;4B;99\nBrea K.;4B;4\nEndel;4B;1;extra\n',
  );

  it('reads any separator, guesses the columns, and keeps the file’s line numbers', () => {
    expect(table.headers).toEqual(['Pupil', 'Form', 'Reading age']);
    expect(table.guess).toEqual({ name: 0, class: 1, readingGrade: 2 });
    expect(table.rows.map((r) => r.line)).toEqual([2, 4, 5, 6, 7]);
  });

  it.each([
    ['two columns and little to go by', 'Pupil;Form\nBrea;4B\n;4B\n'],
    ['lines without words between', '\n\nPupil\tForm\n\n\nBrea\t4B\n\n\n'],
    ['the separator said first', 'sep=|\r\nPupil|Form\r\nBrea, of the quay|4B\r\n'],
  ])('reads %s', (_, text) => {
    const t = readClassTable(text);
    expect([t.headers, t.guess]).toEqual([['Pupil', 'Form'], { name: 0, class: 1 }]);
    expect(mapClassList(t, t.guess, '').learners.map((l) => l.classes)).toEqual([['4B']]);
  });

  it('takes the good lines and names every bad one', () => {
    const list = mapClassList(table, table.guess, '');
    expect(list.learners.map((l) => [l.name, l.readingGrade])).toEqual([['Brea K.', 3.5]]);
    expect(list.bad.map((b) => `${b.lines.join()}: ${b.why.slice(0, 30)} ${b.examples.join()}`)).toEqual([
      '4: There is no name. ',
      '5: The reading level is none: it  99',
      '6: The same learner stands in the Brea K.',
      '7: There are more columns than th Endel',
    ]);
    expect(() => mapClassList(table, {}, '')).toThrow(/column that holds the names/);
  });

  it('says once what is wrong with many lines', () => {
    const rows = Array.from({ length: 40 }, (_, i) => `Pupil ${i},2016-13-0${i % 10}`).join('\n');
    const t = readClassTable(`Name,Born\n${rows}\nBrea,2016-04-09\n`);
    const { bad, learners } = mapClassList(t, t.guess, '4B');
    expect([bad.length, bad[0]?.lines.length, bad[0]?.examples.length, learners.length]).toEqual([1, 40, 3, 1]);
    expect(sayLines(bad[0]?.lines ?? [])).toBe('Lines 2, 3, 4, 5, 6, 7 and 34 more');
    expect([sayLines([4]), sayLines([4, 9])]).toEqual(['Line 4', 'Lines 4 and 9']);
  });

  it('keeps supports as they are written, known ones in their own form', () => {
    const t = readClassTable('Name,Supports\nA,word bank; Hints\nB,sits by the window\n');
    const { learners } = mapClassList(t, t.guess, 'Class');
    expect(learners.map((l) => l.supports)).toEqual([['word bank', 'hints'], ['sits by the window']]);
  });

  it('knows somebody in two classes by name and birthday, and two of one name apart', () => {
    const t = readClassTable('Name,Class,Born\nBrea K.,4B,9.4.2016\nBrea K.,Boats,09.04.2016\nBrea K.,5A,1.1.2015\n');
    const { learners } = mapClassList(t, t.guess, '');
    expect(learners.map((l) => [l.birthday, ...l.classes])).toEqual([
      ['2016-04-09', '4B', 'Boats'],
      ['2015-01-01', '5A'],
    ]);
  });

  it.each([
    [['03/04/2016', '23/04/2016'], 'day first', '2016-04-03'],
    [['03/04/2016', '04/23/2016'], 'month first', '2016-03-04'],
    [['03/04/2016'], undefined, '2016-04-03'],
    [['2016-04-03'], undefined, '2016-04-03'],
  ] as const)('dates %j are written %s', (cells, order, first) => {
    expect(dateOrderOf(cells)).toBe(order);
    expect(readDate(cells[0], order ?? 'day first')).toBe(first);
  });

  it('leaves out what a card or a class has no room for, and says why', () => {
    const rows = Array.from({ length: 2001 }, (_, i) => `Pupil ${i}`).join('\n');
    const t = readClassTable(`Name,Interests\n${'N'.repeat(121)},\nB,${'x'.repeat(81)}\n${rows}\n`);
    const list = mapClassList(t, t.guess, 'Tern');
    expect(list.learners).toHaveLength(2000);
    expect(list.bad.map((b) => b.why)).toEqual([
      `“${'N'.repeat(30)}…” has 121 letters; there is room for 120.`,
      `“${'x'.repeat(30)}…” has 81 letters; there is room for 80.`,
      'Tern is full: a class has room for 2,000 learners.',
    ]);
  });

  it('says that an empty or unreadable file holds no list', () => {
    expect(() => readClassTable('Name\n')).toThrow(/no class list/);
    expect(() => readClassTable('N\uFFFDme\nx\uFFFD')).toThrow(/not plain text/);
  });
});
