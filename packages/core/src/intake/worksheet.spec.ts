import { describe, expect, it } from '@jest/globals';
import { type Block, keyWordsOf } from '../activity/blocks';
import { acceptedPages } from './accept';
import { readHtml } from './html';
import { withShortLines } from './markdown';
import { propose } from './propose';

let n = 0;
const newId = () => `n${++n}`;
const read = (html: string) => propose(readHtml(html, 'sheet.html').material, newId);
/** What comes of a sheet where the teacher takes all that is proposed. */
function blocksOf(html: string): Block[] {
  const proposed = read(html);
  const all = new Set(proposed.pages.flatMap((p) => p.proposals.map((x) => x.id)));
  const choices = proposed.pages.map((p) => ({
    n: p.n,
    as: 'blocks' as const,
    audience: p.audience === 'key' ? ('teacher' as const) : p.audience,
    accepted: all,
  }));
  return acceptedPages(proposed, choices, new Map([[0, 'the-boat']]), 'sheet.html', newId).flatMap((p) => p.blocks);
}
const only = (html: string): Block => {
  const [first, ...rest] = blocksOf(html);
  if (!first || rest.length) throw new Error(`one block was expected, not ${rest.length + 1}`);
  return first;
};

describe('a worksheet written in a word processor', () => {
  it('a numbered list with lettered ones in it is questions with their choices', () => {
    const [a, b] = blocksOf(
      '<ol><li>Who has a shell?<ol type="a"><li>crab</li><li>gull</li></ol></li><li><p>Who can fly?</p><ul><li>limpet</li><li>tern</li></ul></li></ol>',
    );
    expect(a).toMatchObject({
      kind: 'single-choice',
      prompt: 'Who has a shell?',
      options: [{ text: 'crab' }, { text: 'gull' }],
    });
    expect(b).toMatchObject({
      kind: 'single-choice',
      prompt: 'Who can fly?',
      options: [{ text: 'limpet' }, { text: 'tern' }],
    });
  });

  it('lists that other programs write side by side are as deep as their class says', () => {
    const ol = (level: number, start: number, item: string) =>
      `<ol class="c4 lst-x-${level} start" start="${start}">${item}</ol>`;
    expect(
      blocksOf(
        ol(0, 1, '<li>Who sells?</li>') + ol(1, 1, '<li>a cook</li><li>a maid</li>') + ol(0, 2, '<li>What?</li>'),
      ),
    ).toMatchObject([{ prompt: 'Who sells?', options: [{ text: 'a cook' }, { text: 'a maid' }] }, { prompt: 'What?' }]);
  });

  it('bullets under a numbered question are its choices; by themselves they are a list', () => {
    expect(only('<p>1. Which of these floats?</p><ul><li>cork</li><li>stone</li></ul>')).toMatchObject({
      kind: 'single-choice',
      options: [{ text: 'cork' }, { text: 'stone' }],
    });
    expect(only('<ul><li>a bucket</li><li>a net</li></ul>')).toMatchObject({
      kind: 'text',
      text: '- a bucket\n- a net',
    });
  });

  it('“True / False” and “A. … B. …” at the end of a line are choices, and what is before them the question', () => {
    expect(only('<p>1. Limpets can swim. True / False</p>')).toMatchObject({
      kind: 'single-choice',
      prompt: 'Limpets can swim.',
      options: [{ text: 'True' }, { text: 'False' }],
    });
    expect(only('<p>1. Is it wet? A. always B. at low tide</p>')).toMatchObject({
      prompt: 'Is it wet?',
      options: [{ text: 'always' }, { text: 'at low tide' }],
    });
  });

  it('boxes to tick are a question with several answers', () => {
    expect(only('<p>1. Tick what floats.</p><p>☐ cork<br>☐ stone</p>')).toMatchObject({
      options: [{ text: 'cork' }, { text: 'stone' }],
    });
    expect(only('<p>1. What do you need?</p><p>☐ a bucket</p><p>☐ a lamp</p>')).toMatchObject({
      kind: 'multiple-choice',
      options: [{ text: 'a bucket' }, { text: 'a lamp' }],
      key: [],
    });
  });

  it('a table with empty cells is one to fill, under its question; a full one is a table', () => {
    const rows = (cell: string) =>
      `<table><tr><th>Animal</th><th>Legs</th></tr><tr><td>crab</td><td>${cell}</td></tr></table>`;
    expect(only(`<p>1. How many legs?</p>${rows('')}`)).toMatchObject({
      kind: 'table-fill',
      prompt: 'How many legs?',
      columns: [{ text: 'Animal' }, { text: 'Legs' }],
      rows: [
        {
          cells: [
            { text: 'crab', blank: false },
            { text: '', blank: true },
          ],
        },
      ],
    });
    expect(only(rows('10'))).toMatchObject({
      kind: 'table',
      rows: [{}, { cells: [{ text: 'crab' }, { text: '10' }] }],
    });
  });

  it('a table of one cell is a frame: its words, or room to answer in', () => {
    expect(only('<table><tr><td>Mind the tide.</td></tr></table>')).toMatchObject({
      kind: 'text',
      text: 'Mind the tide.',
    });
    expect(only('<p>1. Draw a crab.</p><table><tr><td></td></tr></table>')).toMatchObject({ prompt: 'Draw a crab.' });
  });

  it('of several paragraphs keeps them apart', () => {
    expect(blocksOf('<table><tr><td><p>Mind</p><p>the tide.</p></td></tr></table>')).toMatchObject([
      { text: 'Mind' },
      { text: 'the tide.' },
    ]);
  });

  it('rows of numbered questions with room beside them are those questions, also under titles', () => {
    const room = '<td></td>';
    const asked = (rows: string) => blocksOf(`<table>${rows}</table>`).map((b) => ('prompt' in b ? b.prompt : b.kind));
    const titles = '<tr><td>Question</td><td>Your answer</td></tr>';
    expect(asked(`${titles}<tr><td>1. Where?</td>${room}</tr><tr><td>2. When?</td>${room}</tr>`)).toEqual([
      'Where?',
      'When?',
    ]);
    const either = '<tr><td></td><td>True</td><td>False</td></tr>';
    expect(blocksOf(`<table>${either}<tr><td>1. Ice is cold.</td>${room}${room}</tr></table>`)).toMatchObject([
      { prompt: 'Ice is cold.', options: [{ text: 'True' }, { text: 'False' }] },
    ]);
    expect(asked(`<tr><td>1</td><td>Where?</td>${room}</tr><tr><td>2</td><td>When?</td>${room}</tr>`)).toEqual([
      'Where?',
      'When?',
    ]);
  });

  it('a choice marked as the right one is the key, and its mark is not seen; all of them marked says nothing', () => {
    const keys = (html: string) => read(html).pages.flatMap((p) => p.proposals.map((x) => keyWordsOf(x.block)))[0];
    const marked = [
      '<p>1. Who digs?</p><p>a) a gull</p><p>✓ b) a mole</p>',
      '<p>1. Who digs?</p><p>a) a gull</p><p>b) a mole ✔</p>',
      '<p>1. Who digs?</p><p>a) a gull</p><p><b>b) a mole</b></p>',
      '<p>1. Who digs?</p><p>a) a gull</p><p>b) <b>a mole</b></p>',
      '<ol><li>Who digs?</li></ol><ul><li><input type="checkbox"> a gull</li><li><input type="checkbox" checked> a mole</li></ul>',
      '<p>1. Who digs?</p><p>☐ a gull</p><p>☑ a mole</p>',
    ];
    for (const html of marked) {
      expect([html, keys(html)]).toEqual([html, ['a mole']]);
      expect(JSON.stringify(read(html).pages.flatMap((p) => p.proposals.map((x) => [x.block, x.plain])))).not.toMatch(
        /[✓✔☑]|\*\*/,
      );
    }
    expect(keys('<p>1. Who digs?</p><p>☑ a gull</p><p>☑ a mole</p>')).toEqual([]);
  });

  it('a table that only sets questions side by side is those questions, with what stands under each', () => {
    const cell = (...lines: string[]) => `<td>${lines.map((l) => `<p>${l}</p>`).join('')}</td>`;
    const rows = `<tr>${cell('1. Who digs?', 'a) a mole', 'b) a gull')}${cell('2. Who swims?')}</tr><tr>${cell('3. Who flies?')}<td></td></tr>`;
    expect(blocksOf(`<table>${rows}</table>`)).toMatchObject([
      { prompt: 'Who digs?', options: [{ text: 'a mole' }, { text: 'a gull' }] },
      { prompt: 'Who swims?' },
      { prompt: 'Who flies?' },
    ]);
  });

  it('a choice’s own letter behind a bullet is its letter', () => {
    expect(only('<ol><li>What is the sun?<ul><li>A) a planet</li><li>B) a star</li></ul></li></ol>')).toMatchObject({
      options: [{ text: 'a planet' }, { text: 'a star' }],
    });
  });

  it('lines counted by letters that are to be answered themselves are questions, with their answers', () => {
    const asked = (html: string) =>
      read(html)
        .pages.flatMap((p) => p.proposals)
        .flatMap((p) => ('prompt' in p.block ? [[p.says.split(':')[0], p.block.prompt, keyWordsOf(p.block)]] : []));
    const sums = '<p>1. Work out.</p><p>a) 3 + 4 = ____</p><p>b) 5 + 6 = ____</p>';
    const worked = [
      ['Question 1 a', '3 + 4 =', ['7']],
      ['Question 1 b', '5 + 6 =', ['11']],
    ];
    expect(asked(`${sums}<h2>Answers</h2><p>1. a) 7 b) 11</p>`)).toEqual(worked);
    expect(asked(`${sums}<h2>Answer key</h2><p>1. a) 7</p><p>b) 11</p>`)).toEqual(worked);
    expect(asked('<p>a) How long?</p><p>b) How wide?</p><h2>Answers</h2><p>a) a mile</p><p>b) an inch</p>')).toEqual([
      ['Question a', 'How long?', ['a mile']],
      ['Question b', 'How wide?', ['an inch']],
    ]);
    // Under a question of their own they are its choices, though one of them asks.
    expect(only('<p>1. Which asks?</p><p>a) Where is it?</p><p>b) There it is.</p>')).toHaveProperty('options.1');
  });

  it('a number alone may be bold, and things to choose from for several blanks are no one’s choices', () => {
    const bold = blocksOf('<p><b>1.</b> Who hid?</p><p><b>Question 2:</b> Who ran?</p>');
    expect(bold).toMatchObject([{ prompt: 'Who hid?' }, { prompt: 'Who ran?' }]);
    const match = blocksOf('<p>1. bird ____</p><p>2. fox ____</p><p>A. a den</p><p>B. a nest</p>');
    expect(match.map((b) => b.kind)).toEqual(['short-text', 'short-text', 'text', 'text']);
  });

  it('short lines of Markdown stay lines, long ones are one paragraph', () => {
    expect(withShortLines('1 snow\n2 rain\n\nEnd')).toBe('1 snow  \n2 rain\n\nEnd');
    const long = 'A line that a program broke because it had become as long as this';
    expect(withShortLines(`${long}\n${long}`)).toBe(`${long}\n${long}`);
    expect(withShortLines('| a | b |\n| - | - |\n# Sea\n```\nx\ny\n```')).not.toContain('  \n');
  });

  it('a line with a blank is a question, with or without a number', () => {
    expect(only('<p>The sea is ______ .</p>')).toMatchObject({ prompt: expect.stringContaining('The sea is') });
    expect(blocksOf('<p>1. The sea is ______ .</p><p>2. Sand is ______ .</p>')).toHaveLength(2);
    expect(only('<p>Colour: <input type="text"></p>')).toHaveProperty('prompt');
    // Who works on it is no question, so that the first one is the first on the sheet too.
    for (const line of ['Name: ________ Class: ____', '<b>Name:</b> <input>', 'Nom : ________ Date : ______'])
      expect(only(`<p>${line}</p>`)).toMatchObject({ kind: 'text' });
  });

  it('numbers that begin anew without a title are questions all the same, where they ask', () => {
    const list = (words: string) => `<ol><li>${words}</li></ol>`;
    const asked = blocksOf(`${list('Who digs?')}<p>______________</p><p>Read on.</p>${list('Who swims?')}`);
    expect(asked).toMatchObject([{ prompt: 'Who digs?' }, { text: 'Read on.' }, { prompt: 'Who swims?' }]);
  });

  it('further words under a question belong to it; a year or a measure does not begin one', () => {
    expect(only('<p>1. Read this.</p><p>Then say what you think of it.</p>')).toMatchObject({
      prompt: 'Read this.\nThen say what you think of it.',
    });
    expect(blocksOf('<p>2019. A wet year.</p><p>3.5 kg of sand</p>').map((b) => b.kind)).toEqual(['text', 'text']);
  });

  it('headings keep their level, breaks their lines, strong words their marks; pictures stand where they stood', () => {
    expect(
      blocksOf('<h1>Sea</h1><h3>Shore</h3><p>One<br>two <i>three</i></p><p>a <img src="x.png" alt="A boat"> b</p>'),
    ).toMatchObject([
      { kind: 'heading', level: 1 },
      { kind: 'heading', level: 2 },
      { kind: 'text', text: 'One\ntwo *three*' },
      { kind: 'text', text: 'a' },
      { kind: 'picture', assetId: 'the-boat', alt: 'A boat' },
      { kind: 'text', text: 'b' },
    ]);
  });

  it('what a browser would not show, and what is struck out or commented, does not come in and is named', () => {
    const { material } = readHtml(
      '<p>Who digs?<span style="display:none"> SECRET mole</span> <del>SECRET vole</del></p><div hidden>SECRET</div><!-- SECRET key -->',
      'x.html',
    );
    expect(material.pages[0]?.parts).toEqual([{ kind: 'paragraph', text: 'Who digs?' }]);
    expect(material.left).toEqual([
      'Hidden or struck out words were left out.',
      'Comments within the file were left out.',
    ]);
  });

  it('white words, and words that the file’s own styles hide, do not come in; white ones on a ground do', () => {
    const { material } = readHtml(
      '<style>.key, p#far { display: none } .pale { color: #fff }</style><p>Who digs? <span style="color:#FFF">SECRET</span></p>' +
        '<p class="key">SECRET</p><p id="far">SECRET</p><p><i class="pale">SECRET</i></p>' +
        '<div style="background:#333"><p style="color: white">Read this</p></div>',
      'x.html',
    );
    expect(material.pages[0]?.parts).toEqual([
      { kind: 'paragraph', text: 'Who digs?' },
      { kind: 'paragraph', text: 'Read this' },
    ]);
    expect(material.left).toEqual(['Hidden or struck out words were left out.']);
  });

  it('sounds and films are named, for they come in by themselves', () => {
    const { material } = readHtml('<p>Listen</p><audio src="x.mp3"></audio><video></video>', 'x.html');
    expect(material.left).toEqual([
      'A sound was left out: bring it in as a file of its own.',
      'A video was left out: bring it in as a file of its own.',
    ]);
  });
});

describe('answers at the end of the sheet', () => {
  const sheet = (answers: string) =>
    `<h1>Shore</h1><p>1. Which is a plant?</p><p>A. kelp</p><p>B. crab</p><p>2. How many legs has a crab? ____</p><p>3. Who hides? ____</p><h2>Answers</h2>${answers}`;
  const keys = (answers: string) =>
    read(sheet(answers))
      .pages.filter((p) => p.audience === 'learner')
      .flatMap((p) => p.proposals.map((x) => x.block))
      .filter((b) => 'prompt' in b)
      .map((b) => [b.kind, keyWordsOf(b)]);

  it('are set apart from what learners see, and each goes to its question: letter, number with unit, words', () => {
    expect(keys('<p>1. A</p><p>2. 10 legs</p><p>3. the crab / a crab</p>')).toEqual([
      ['single-choice', ['kelp']],
      ['number', ['10 legs']],
      ['short-text', ['the crab', 'a crab']],
    ]);
    expect(read(sheet('<p>1. A</p>')).pages.map((p) => p.audience)).toEqual(['learner', 'key']);
  });

  it('a choice’s key may be its words, or several letters', () => {
    expect(keys('<p>1. kelp</p>')[0]).toEqual(['single-choice', ['kelp']]);
    expect(keys('<p>1. A and B</p>')[0]).toEqual(['multiple-choice', ['kelp', 'crab']]);
    expect(keys('<p>1. seaweed</p>')[0]).toEqual(['single-choice', []]);
  });

  it('one that no question has is named', () => {
    expect(read(sheet('<p>1. A</p><p>9. gull</p>')).unmatched).toEqual(['9']);
  });
});
