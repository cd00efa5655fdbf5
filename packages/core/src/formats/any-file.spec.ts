import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { type Family, latest } from '../activity/family';
import { readCase, readObjectivesCsv } from '../bank/objectives';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { readHtml } from '../intake/html';
import { acceptedPages } from '../intake/accept';
import { propose } from '../intake/propose';
import { mapQuestions, readQuestionTable } from '../intake/question-list';
import { readRecipe, writeRecipe } from '../recipe/recipe';
import { SHIPPED_RECIPES } from '../recipe/shipped';
import { runs } from '../testing/laws';
import { recordSchemas } from '../workspace';
import { readAdjustments, writeAdjustments } from './adjustment-file';
import { readBackup, writeBackup } from './backup';
import { mapClassList, readClassTable } from './class-list';
import { readFamily, unsoundIn, writeFamily } from './family-file';
import { Problem } from './problem';
import { readQtiPackage, writeQtiPackage } from './qti/package';
import { wordFile } from './word';

const demo = demoWorkspace(Date.UTC(2026, 10, 24));
const bus = demo.families['right-bus'] as Family;
const AT = '2026-11-24T08:00:00.000Z';
let n = 0;
const newId = () => `n${++n}`;

function familyIsSound(family: Family): void {
  expect(recordSchemas.families.safeParse(family).error).toBeUndefined();
  expect(unsoundIn(family)).toEqual([]);
  for (const v of family.versions) derive(family, v.id);
}

/** Each reader, a file that it reads, and what must be so of whatever it takes. */
const PACKS: readonly (readonly [string, Uint8Array, (bytes: Uint8Array) => void])[] = [
  ['a family', writeFamily(bus, demo.assets, AT), (b) => familyIsSound(readFamily(b, newId).family)],
  [
    'adjustments',
    writeAdjustments(bus, bus.versions[0]?.id ?? '', demo.assets, AT),
    (b) => void readAdjustments(b).file.adjustments,
  ],
  [
    'a backup',
    writeBackup({ ...demo, assets: {}, families: { [bus.id]: bus } }, AT),
    (b) => Object.values(readBackup(b).workspace.families).forEach(familyIsSound),
  ],
  [
    'a QTI package',
    writeQtiPackage(latest(bus).content, new Map()).zip,
    (b) => void readQtiPackage(b, 'items.zip', newId).items,
  ],
];

const CASE = JSON.stringify({
  CFDocument: { title: 'Reading' },
  CFItems: [{ identifier: 'a', fullStatement: 'Reads a timetable', humanCodingScheme: 'R1' }],
});
const TEXTS: readonly (readonly [string, string, (text: string) => void])[] = [
  [
    'a class list',
    'name,class,interests\nJory S.,Kestrel,boats\n',
    (t) => void mapClassList(readClassTable(t), { name: 0, class: 1, interests: 2 }, 'Kestrel'),
  ],
  [
    'a question list',
    'question,choices,key\nIs it wet?,yes|no,yes\n',
    (t) => {
      const table = readQuestionTable(t);
      mapQuestions(table, ['question', 'choices', 'key'], newId);
    },
  ],
  ['objectives', 'code,text\nA1,reads a timetable\n', (t) => void readObjectivesCsv(t, 'list.csv', newId)],
  ['objectives in CASE', CASE, (t) => void readCase(t)],
  ['a recipe', writeRecipe(SHIPPED_RECIPES[0] as never), (t) => void readRecipe(t, newId)],
  [
    'a document',
    '<h1>Crabs</h1><p>1. Is it wet? A. yes B. no</p><p>2. Name one: ______</p><h2>Answer key</h2><p>1 A</p>',
    (t) => void propose(readHtml(t, 'sheet.html').material, newId),
  ],
];

/** Whatever it is, it is taken or refused in words. */
function takenOrRefused(read: () => void): void {
  try {
    read();
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    expect(error.message).toMatch(/[.!?]$/);
  }
}

const odd = fc.constantFrom<unknown>(
  null,
  -1,
  1e308,
  '',
  '__proto__',
  'constructor',
  [],
  {},
  'x'.repeat(70_000),
  [null],
  true,
  '\u0000',
  '{g1}{g1}',
);

/** A JSON value with one of its places holding something else, twice, or not at all. */
function bent(value: unknown, at: number, by: unknown, how: number): unknown {
  const places: (readonly [Record<string, unknown>, string])[] = [];
  const visit = (v: unknown) => {
    if (typeof v !== 'object' || v === null) return;
    for (const key of Object.keys(v)) {
      places.push([v as Record<string, unknown>, key]);
      visit((v as Record<string, unknown>)[key]);
    }
  };
  visit(value);
  const place = places[at % Math.max(1, places.length)];
  if (!place) return by;
  const [holder, key] = place;
  if (how === 0) holder[key] = by;
  else if (Array.isArray(holder)) holder.splice(Number(key), how === 1 ? 1 : 0, ...(how === 1 ? [] : [holder[key]]));
  else if (how === 1) delete holder[key];
  else Object.defineProperty(holder, '__proto__', { value: holder[key], enumerable: true });
  return value;
}

describe('whatever a file holds, it is taken whole or refused in words', () => {
  it.each(PACKS)('%s with a value changed, gone or twice', (_, whole, read) => {
    read(whole);
    const files = unzipSync(whole);
    const names = Object.keys(files).filter((f) => f.endsWith('.json'));
    if (names.length === 0) return;
    fc.assert(
      fc.property(fc.nat(), fc.nat(), odd, fc.nat(2), (file, at, by, how) => {
        const name = names[file % names.length] as string;
        const value = bent(JSON.parse(strFromU8(files[name] as Uint8Array)), at, by, how);
        takenOrRefused(() => read(zipSync({ ...files, [name]: strToU8(JSON.stringify(value)) }, { level: 0 })));
      }),
      runs(120),
    );
  });

  it.each(PACKS)('%s with bytes changed, or cut short', (_, whole, read) => {
    fc.assert(
      fc.property(fc.nat(), fc.array(fc.tuple(fc.nat(), fc.nat(255)), { maxLength: 6 }), (cut, flips) => {
        const bytes = Uint8Array.from(whole.slice(0, cut % 3 === 0 ? cut % whole.length : whole.length));
        for (const [at, to] of flips) bytes[at % Math.max(1, bytes.length)] = to;
        takenOrRefused(() => read(bytes));
      }),
      runs(60),
    );
  });

  it.each(TEXTS)('%s with characters changed, gone or many', (_, whole, read) => {
    read(whole);
    const piece = fc.oneof(
      fc.string({ unit: 'grapheme' }),
      fc.constantFrom(',', '"', '\n', '<', '{', '}', '|', '\t', '&#0;', '\uFEFF'),
    );
    fc.assert(
      fc.property(fc.nat(), fc.nat(12), piece, fc.integer({ min: 1, max: 400 }), (at, gone, what, times) => {
        const i = at % (whole.length + 1);
        takenOrRefused(() => read(whole.slice(0, i) + what.repeat(times) + whole.slice(i + gone)));
      }),
      runs(150),
    );
  });

  it('a Word document that is made to fill the machine is refused before it is unpacked, any other is there whole', () => {
    const xml = strToU8('<w:document/>');
    expect(unzipSync(new Uint8Array(wordFile(zipSync({ 'word/document.xml': xml })).file))).toEqual({
      'word/document.xml': xml,
    });
    const bomb = zipSync({ 'word/document.xml': new Uint8Array(30_000_000) });
    expect(() => wordFile(bomb)).toThrow(/made to fill the machine/);
  });

  it('white words of a Word document are left out and named, unless there is a ground behind them', () => {
    const w = 'xmlns:w="w"';
    const run = (props: string) => `<w:r><w:rPr><w:color w:val="FFFFFF"/>${props}</w:rPr><w:t>a mole</w:t></w:r>`;
    const word = (body: string) => {
      const xml = strToU8(`<w:document ${w}><w:body>${body}</w:body></w:document>`);
      const { file, left } = wordFile(zipSync({ 'word/document.xml': xml }));
      return [/mole/.test(strFromU8(unzipSync(new Uint8Array(file))['word/document.xml'] ?? xml)), left];
    };
    expect(word(`<w:p>${run('')}</w:p>`)).toEqual([false, ['Hidden words were left out.']]);
    expect(word(`<w:p>${run('<w:shd w:fill="1F3864"/>')}</w:p>`)).toEqual([true, []]);
    const cell = (props: string) => `<w:tbl><w:tr><w:tc>${props}<w:p>${run('')}</w:p></w:tc></w:tr></w:tbl>`;
    expect(word(cell('<w:tcPr><w:shd w:fill="1F3864"/></w:tcPr>'))).toEqual([true, []]);
    expect(word(cell('<w:tcPr><w:shd w:fill="auto"/></w:tcPr>'))).toEqual([false, ['Hidden words were left out.']]);
  });

  // A pattern that tries each of them again would take minutes here; the time limit of a test is what fails.
  it.each(['.', ' ', '_', '1', 'A. ', '( ', ',', '\n', '…', '*', '_ ', '1 A ', 'then ', '\t', '-', '<b>', '&amp;'])(
    'twenty thousand of “%s” are read in every text',
    (what) => {
      for (const [, whole, read] of TEXTS)
        for (const text of [what.repeat(20_000 / what.length), `${whole}${what.repeat(20_000 / what.length)}x`])
          takenOrRefused(() => read(text));
    },
  );

  it('what has no room is cut or divided, and said to be', () => {
    const long = `<p>${'word '.repeat(5000)}</p><p>1. ${'Why '.repeat(1200)}?</p>`;
    const read = propose(readHtml(long, 'x').material, newId);
    expect(read.cut?.join()).toMatch(/20000 of 24999 letters have room.*4000 of 4\d{3} letters have room/s);
    const many = propose(readHtml('<p>One more.</p>'.repeat(900), 'x').material, newId);
    expect(many.cut).toEqual(['Page 1 has 900 parts: it is divided into 3.']);
    const [page] = many.pages;
    const choice = {
      n: 1,
      as: 'blocks' as const,
      audience: 'learner' as const,
      accepted: new Set(page?.proposals.map((x) => x.id)),
    };
    const pages = acceptedPages(many, [choice], new Map(), 'x', newId);
    expect(pages.map((x) => x.blocks.length)).toEqual([400, 400, 100]);
    expect(new Set(pages.map((x) => x.id)).size).toBe(3);
  });
});
