/** @jest-environment node */
import { describe, expect, it } from '@jest/globals';
import { type Block, isItem, keyWordsOf } from '@lorvet/core';
import { propose, type Proposed, readQtiPackage } from '@lorvet/core/intake';
import { readFileSync } from 'node:fs';
import { readMaterial } from '../../testing/read-material';

const file = (name: string) =>
  new Uint8Array(readFileSync(new URL(`../../../../../../test-material/${name}`, import.meta.url)));
let n = 0;
const newId = () => `n${++n}`;

const readPdf = (name: string) => readMaterial(file(name), name);
const readDocx = readPdf;

const words = (b: Block) => (isItem(b) ? b.prompt : 'text' in b ? b.text : '');
const says = (p: Proposed) => p.pages.map((page) => page.proposals.map((x) => x.says));

describe('PDF', () => {
  it('one column: a text, questions of five kinds, and where their answers go', async () => {
    const p = propose(await readPdf('one-column.pdf'), newId);
    expect(says(p)).toEqual([
      [
        'Heading',
        'Text',
        'Text',
        'Question 1: single choice, 3 choices',
        'Question 2: short text',
        'Question 3: gaps',
        'Question 4: long text',
        'Question 5: single choice, 2 choices',
      ],
    ]);
    const [page] = p.pages;
    expect(words(page?.proposals[1]?.block as Block)).toBe(
      'Every evening the keeper climbs one hundred and twelve steps to the lamp. She cleans the glass, fills the oil and waits for the dark. On foggy nights she rings the bell as well, once every minute, until the ships are safely past the rocks.',
    );
    expect(page?.proposals[3]?.block).toMatchObject({
      options: [{ text: 'twelve' }, { text: 'one hundred and two' }, {}],
    });
    expect(page?.proposals[5]?.block).toMatchObject({
      text: 'The keeper fills the {g1} and cleans the {g2} of the lamp.',
      gaps: [{ id: 'g1' }, { id: 'g2' }],
    });
    expect(page?.proposals[6]?.block).toMatchObject({ kind: 'long-text', lines: 3 });
    // Where the line to write on begins, not at the margin.
    expect(page?.proposals[4]?.place?.x).toBeGreaterThan(40);
    expect(page?.proposals.every((x) => x.place === undefined || x.place.x + x.place.w <= 100)).toBe(true);
  });

  it('two columns are read one after the other, the heading across them first', async () => {
    const [page] = propose(await readPdf('two-columns.pdf'), newId).pages;
    const all = page?.proposals.map((x) => words(x.block)) ?? [];
    expect(all[0]).toBe('Two ways across the bay');
    expect(all[1]).toMatch(/^The ferry leaves.*over the loudspeaker\.$/);
    expect(all[2]).toMatch(/^The bridge is longer.*wait at the stop\.$/);
    expect(all.slice(3)).toEqual([
      'When does the ferry leave the pier in the morning?',
      'How often does the bus go over the bridge in an hour?',
      'Why is the bridge closed to the buses on stormy days?',
    ]);
  });

  it('a page of answers is the key, its keys go to the questions, and the teacher’s page is the teacher’s', async () => {
    const p = propose(await readPdf('with-answers.pdf'), newId);
    expect(p.pages.map((x) => x.audience)).toEqual(['learner', 'key', 'teacher']);
    expect(p.unmatched).toEqual([]);
    const items = (p.pages[0]?.proposals ?? []).map((x) => x.block).filter(isItem);
    expect(items.map((i) => [i.kind, keyWordsOf(i)])).toEqual([
      ['number', ['8']],
      ['single-choice', ['before sunrise']],
      ['multiple-choice', ['flour', 'water']],
      ['short-text', ['roll', 'bun']],
    ]);
  });

  it('upright and across: drawn lines and boxes are places to write and draw', async () => {
    const material = await readPdf('mixed.pdf');
    expect(material.pages.map((x) => (x.size ? x.size.width > x.size.height : null))).toEqual([false, true]);
    const p = propose(material, newId);
    expect(says(p)).toEqual([
      ['Heading', 'Text', 'Question 1: short text', 'Question 2: long text', 'Question 3: drawing'],
      ['Heading', 'Table, 4 rows', 'Question 4: short text'],
    ]);
    expect(p.pages[1]?.proposals[1]?.block).toMatchObject({
      rows: [{}, { cells: [{ text: 'bean' }, {}, { text: '9 cm' }] }, {}, {}],
    });
    const place = p.pages[0]?.proposals[4]?.place;
    expect([place?.x, place?.y, place?.w, place?.h].map((v) => Math.round(v ?? 0))).toEqual([10, 37, 79, 24]);
  });

  it('accents are kept, and what is read from the right is in its own order', async () => {
    const [page] = propose(await readPdf('accents-rtl.pdf'), newId).pages;
    expect(page?.proposals.map((x) => words(x.block))).toEqual([
      'Où est la plage ?',
      'Zoë et Renée vont à la plage. L’été, l’eau est très chaude ; l’hiver, elle est glacée.',
      'Où vont Zoë et Renée ?',
      'הים כחול והחול חם מאוד.',
      'הילדים בונים ארמון ליד המים.',
    ]);
  });

  it('a scanned page is a picture without words, and says so', async () => {
    const [page] = propose(await readPdf('scanned.pdf'), newId).pages;
    expect(page).toMatchObject({ pictureOnly: true, proposals: [] });
  });
});

describe('DOCX', () => {
  it('numbered and lettered lists are questions and choices; the answers under them are the key', async () => {
    const p = propose(await readDocx('questions.docx'), newId);
    expect(p.pages.map((x) => x.audience)).toEqual(['learner', 'key']);
    expect(says(p)[0]).toEqual([
      'Heading',
      'Text',
      'Heading',
      'Question 1: single choice, 3 choices; key “A”',
      'Question 2: short text; key “flags / lamps / horns”',
      'Question 3: single choice, 2 choices; key “False”',
    ]);
    expect(words(p.pages[0]?.proposals[1]?.block as Block)).toContain('speak with **flags**, lamps and *horns*');
  });

  it('hidden words, deletions and comments are named; a paragraph that begins a page ends the one before', async () => {
    expect((await readDocx('intake/hidden-and-deleted.docx')).left).toEqual([
      'Hidden words were left out.',
      'Words that had been deleted, and kept by the word processor, were left out.',
      'A comment was left out.',
    ]);
    expect((await readDocx('intake/page-break-key.docx')).pages.map((p) => p.parts.length)).toEqual([4, 4]);
  });

  it('a table with empty cells is a table to fill, and bullets are a list', async () => {
    const [page] = propose(await readDocx('table.docx'), newId).pages;
    expect(page?.proposals.map((x) => x.says)).toEqual([
      'Heading',
      'Text',
      'A place to answer: table to fill, 3 rows',
      'Text',
      'List, 3 entries',
    ]);
    expect(page?.proposals[2]?.block).toMatchObject({
      columns: [{ text: 'Thing' }, { text: 'I think' }, { text: 'I saw' }],
      rows: [{ cells: [{ text: 'cork', blank: false }, { blank: true }, { blank: true }] }, {}, {}],
    });
    expect(words(page?.proposals[4]?.block as Block)).toBe('- a bowl\n- water\n- a towel');
  });

  it('the teacher’s part is set apart', async () => {
    const p = propose(await readDocx('teacher.docx'), newId);
    expect(p.pages.map((x) => [x.audience, x.title])).toEqual([
      ['learner', 'Weighing the catch'],
      ['teacher', 'Notes for the teacher'],
    ]);
    expect(p.pages[0]?.proposals[2]?.block).toMatchObject({ kind: 'long-text', lines: 2 });
  });

  it('pictures keep their place and description', async () => {
    const [page] = propose(await readDocx('pictures.docx'), newId).pages;
    expect(page?.proposals.map((x) => x.block.kind)).toEqual(['heading', 'text', 'picture', 'short-text', 'long-text']);
    expect(page?.proposals[2]?.block).toMatchObject({ assetId: 'picture:0', alt: 'A red boat with one sail' });
  });
});

describe('QTI 3', () => {
  const read = (name: string) => {
    const r = readQtiPackage(file(name), name, newId);
    return { ...r, blocks: r.items.flatMap((i) => i.blocks) };
  };

  it('choices, a number with its tolerance, long text; the rubric is the teacher’s note, the feedback is named', () => {
    const { blocks, left } = read('choice-and-text.qti.zip');
    expect(blocks).toMatchObject([
      {
        kind: 'single-choice',
        prompt: 'The yellow flag flies from the mast.\nWhat does it mean?',
        note: 'One point for a guess that is explained.',
        points: 2,
      },
      { kind: 'multiple-choice', prompt: 'Which are knots?' },
      { kind: 'number', prompt: 'How deep is the harbour?', key: 4.5, tolerance: 0.5, unit: 'm' },
      { kind: 'long-text', lines: 6 },
    ]);
    expect(blocks.map(keyWordsOf)).toEqual([['All are well'], ['bowline', 'reef'], ['4.5 m'], []]);
    expect(left).toEqual(['The flag: Its feedback was left out.']);
  });

  it('match, associate and order', () => {
    const { blocks } = read('match-and-order.qti.zip');
    expect(blocks.map(keyWordsOf)).toEqual([
      ['crab – under a rock', 'gull – on the cliff'],
      ['sun – day', 'moon – night'],
      ['low water', 'the water rises', 'high water'],
    ]);
    expect(blocks[0]).toMatchObject({ extra: [{ text: 'on the bus' }] });
  });

  it('gaps from a bank and to choose; a broken item and one of no known kind are named, the others stand', () => {
    const { blocks, left } = read('gaps.qti.zip');
    expect(blocks).toMatchObject([
      { kind: 'gaps', mode: 'bank', text: 'Drop the {g1} and take in the {g2}.', extra: ['spoon'] },
      { kind: 'gaps', mode: 'chosen', gaps: [{ key: ['west'], others: ['soup'] }] },
      { kind: 'text', text: 'How strong is the wind?' },
    ]);
    expect(left[0]).toMatch(/“items\/broken.xml” is not sound XML: line 1/);
    expect(left[1]).toMatch(/slider interaction is not kept/);
  });

  it('hot spot and graphic gap match, with the picture they share', () => {
    const { blocks, pictures, left } = read('pictures.qti.zip');
    expect(pictures.map((p) => p.name)).toEqual(['boat.png']);
    expect(blocks).toMatchObject([
      { kind: 'spots', assetId: 'picture:0', targets: [{ text: 'the sail', x: 45.83, y: 15 }] },
      { kind: 'labels', spots: [{ label: { text: 'sail' } }, { label: { text: 'hull' }, x: 50 }] },
    ]);
    expect(left).toEqual(['The sail: 1 areas that are not right are not kept: anywhere else is wrong.']);
  });
});
