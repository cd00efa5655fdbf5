import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { contentSchema, doubledIds } from '../activity/activity';
import { type Block, isItem, keyWordsOf } from '../activity/blocks';
import { type Family, latest } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { Problem } from '../formats/problem';
import { readQtiPackage, writeQtiPackage } from '../formats/qti/package';
import { acceptedPages, contentOf } from './accept';
import { answerSheet, readKeys } from './answer-sheet';
import { readHtml } from './html';
import { readLaidOut } from './lines';
import { asQuestion, choicesInLine } from './marks';
import { propose } from './propose';
import { mapQuestions, readQuestionTable } from './question-list';
import { runs } from '../testing/laws';

let n = 0;
const newId = () => `n${++n}`;
const problem = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    if (error instanceof Problem) return error.message;
    throw error;
  }
  throw new Error('nothing was wrong');
};

describe('marks in a text', () => {
  it('a number begins a question only where it is one', () => {
    expect(['1. Who?', '12) Who?', 'Q3: Who?', '(4) Who?', 'Question 5 Who?'].map((t) => asQuestion(t)?.mark)).toEqual([
      '1',
      '12',
      '3',
      '4',
      '5',
    ]);
    expect(['3.5 kg of flour', '2019 was wet', '1.2.3', 'Who?'].map(asQuestion)).toEqual([null, null, null, null]);
  });

  it('choices on one line are parted, and a sentence with a letter in it is not', () => {
    expect(choicesInLine('A. red   B. blue C. sea green').map((c) => c.text)).toEqual(['red', 'blue', 'sea green']);
    expect(choicesInLine('Vitamin C. is good')).toEqual([]);
    expect(choicesInLine('A. red C. blue')).toEqual([]);
  });
});

describe('a laid-out page', () => {
  const item = fc.record({
    text: fc.constantFrom('1. Who is it?', 'A. red', 'B. blue', 'the sea is wide', '______', 'Answers', 'x'),
    x: fc.nat(560),
    y: fc.nat(800),
    w: fc.integer({ min: 1, max: 300 }),
    h: fc.integer({ min: 4, max: 30 }),
    bold: fc.boolean(),
  });
  const shape = fc.record({ x: fc.nat(590), y: fc.nat(840), w: fc.nat(400), h: fc.nat(200) });

  it('is read whatever stands on it, and what comes of it is sound content with every word once', () => {
    fc.assert(
      fc.property(fc.array(item, { maxLength: 14 }), fc.array(shape, { maxLength: 6 }), (items, shapes) => {
        const page = readLaidOut({ n: 1, width: 595, height: 842, items, shapes });
        const read = propose({ name: 'x', pages: [page], left: [] }, newId);
        const accepted = new Set(read.pages.flatMap((p) => p.proposals.map((x) => x.id)));
        for (const as of ['blocks', 'picture'] as const) {
          const pages = acceptedPages(
            read,
            [{ n: 1, as, audience: 'learner', accepted, pictureId: 'a' }],
            new Map(),
            'x.pdf',
            newId,
          );
          const content = contentOf('x', pages);
          expect(contentSchema.safeParse(content).error?.issues ?? []).toEqual([]);
          expect(doubledIds(content)).toEqual([]);
        }
      }),
      runs(200),
    );
  });

  it('what is not accepted comes in as the words it was', () => {
    const html = '<h1>Sea</h1><p>1. Who? </p><p>A. a crab</p><p>B. a gull</p>';
    const read = propose(readHtml(html, 'x').material, newId);
    const [page] = acceptedPages(
      read,
      [{ n: 1, as: 'blocks', audience: 'learner', accepted: new Set() }],
      new Map(),
      'x',
      newId,
    );
    expect(page?.blocks).toMatchObject([{ kind: 'text', text: '1\\. Who?\nA. a crab\nB. a gull' }]);
    expect(page?.source).toMatchObject({ title: 'x', id: 'page 1' });
  });
});

describe('HTML', () => {
  it('keeps words and drops everything that could act', () => {
    const { material, pictures } = readHtml(
      '<script>steal()</script><style>p{}</style><p onclick="x()">One <b>two</b> <a href="javascript:x">three</a></p><iframe src="x"></iframe><img src="data:image/png;base64,AAAA" alt="a boat"><p>&lt;script&gt;</p>',
      'x.html',
    );
    expect(material.pages[0]?.parts).toEqual([
      { kind: 'paragraph', text: 'One **two** three' },
      { kind: 'picture', picture: 0, alt: 'a boat' },
      { kind: 'paragraph', text: '<script>' },
    ]);
    expect(pictures).toHaveLength(1);
    expect(material.left).toEqual(['A part of the kind <iframe> was left out.']);
  });

  it('is read whatever it is', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (t) =>
        expect(() => readHtml(`<p>${t}<table><tr><td>${t}`, 'x')).not.toThrow(),
      ),
    );
  });
});

describe('a question list', () => {
  const table = readQuestionTable(
    'Question;A;B;C;Key;Points;Objective\nWho swims?;crab;fish;stone;B;2;Animals\n;x;y;z;A;1;\nHow many?;;;;7;1;\nWhich?;red;blue;;green;1;\nWhich two?;one;two;three;one|three;1;\nPoints?;a;b;;A;lots;\n',
  );
  it('guesses its columns, takes the good lines and names every bad one', () => {
    expect(table.guess).toEqual(['question', 'choice', 'choice', 'choice', 'key', 'points', 'objective']);
    const { questions, bad } = mapQuestions(table, table.guess, newId);
    expect(questions.map((q) => [q.line, q.block.kind, keyWordsOf(q.block)])).toEqual([
      [2, 'single-choice', ['fish']],
      [4, 'short-text', ['7']],
      [6, 'multiple-choice', ['one', 'three']],
    ]);
    expect(questions[0]).toMatchObject({ objective: 'Animals', block: { points: 2 } });
    expect(bad.map((b) => `${b.line}: ${b.why}`)).toEqual([
      '3: There is no question.',
      '5: The key “green” is none of the choices.',
      '7: “lots” is no number of points from 0 to 100.',
    ]);
  });
  it('says what is wrong with a file that is no list', () => {
    expect(problem(() => readQuestionTable('Question\n'))).toMatch(/no questions/);
    expect(problem(() => readQuestionTable('Qu\0stion\nx'))).toMatch(/not plain text/);
    expect(
      problem(() =>
        mapQuestions(
          table,
          table.guess.map(() => null),
          newId,
        ),
      ),
    ).toMatch(/column that holds the questions/);
  });
});

describe('an answer sheet made by rule', () => {
  const keys = (blocks: Block[]) => blocks.map((b) => keyWordsOf(b).join('/'));
  it('is keyed by letters in a row or by a column', () => {
    expect(keys(answerSheet({ kind: 'choice', count: 5, choices: 4, keys: 'ac bd' }, newId))).toEqual([
      'A',
      'C',
      'B',
      'D',
      '',
    ]);
    expect(
      keys(answerSheet({ kind: 'short', count: 3, choices: 0, keys: '1. crab / a crab\n2. 14\n3) sea' }, newId)),
    ).toEqual(['crab/a crab', '14', 'sea']);
  });
  it.each([
    ['short', '3.5 / 4.2\n12:30\n1/2', [['3.5', '4.2'], ['12:30'], ['1/2']]],
    ['short', 'crab\n\nsea', [['crab'], [], ['sea']]],
    ['short', '\ncrab', [[], ['crab']]],
    ['short', '1. crab\n3. sea', [['crab'], [], ['sea']]],
    ['short', '3 crabs\n4 eggs', [['3 crabs'], ['4 eggs']]],
    ['choice', '1,A\n2,c', [['A'], ['c']]],
    ['choice', '1 A\n2 B', [['A'], ['B']]],
    ['choice', '1 A 2 B, 3 d', [['A'], ['B'], ['d']]],
    ['choice', 'A\n\nB', [['A'], [], ['B']]],
    ['choice', 'AB\nC-D', [['A'], ['B'], ['C'], [], ['D']]],
  ] as const)('keys typed as %s: %j', (kind, text, keys) => {
    expect(readKeys(text, kind)).toEqual({ keys, doubts: [] });
  });
  it('asks where a number or a slash can be meant in two ways, and does as it is told', () => {
    const crabs = readKeys('1 crab\n2 gulls', 'short');
    expect([crabs.keys, crabs.doubts.map((d) => d.id)]).toEqual([[['crab'], ['gulls']], ['numbers']]);
    expect(readKeys('1 crab\n2 gulls', 'short', { numbers: 'no' }).keys).toEqual([['1 crab'], ['2 gulls']]);
    const times = readKeys('9:05/9:10', 'short');
    expect([times.keys, times.doubts.map((d) => d.id)]).toEqual([[['9:05', '9:10']], ['slash']]);
    expect(readKeys('9:05/9:10', 'short', { slash: 'one' }).keys).toEqual([['9:05/9:10']]);
  });
  it('says where a key does not fit', () => {
    expect(problem(() => answerSheet({ kind: 'choice', count: 3, choices: 4, keys: 'AEB' }, newId))).toBe(
      'The key of question 2 is “E”, but the choices are A, B, C, D.',
    );
    expect(problem(() => answerSheet({ kind: 'choice', count: 2, choices: 4, keys: 'ABC' }, newId))).toMatch(
      /3 keys for 2 questions/,
    );
    for (const count of [0, 201, 2.5, NaN])
      expect(problem(() => answerSheet({ kind: 'short', count, choices: 0, keys: '' }, newId))).toBe(
        'Say how many questions the sheet has: a whole number, 1 to 200.',
      );
  });
});

describe('QTI 3 there and back', () => {
  const picture = { bytes: new Uint8Array([1]), ending: 'svg', width: 640, height: 260 };
  const market = latest(demoWorkspace(0).families['market'] as Family).content;
  const ids = market.pages.flatMap((p) =>
    p.blocks.flatMap((b) => ('assetId' in b && typeof b.assetId === 'string' ? [b.assetId] : [])),
  );

  it('keeps everything both know of every kind, and names what the standard cannot say', () => {
    const out = writeQtiPackage(market, new Map(ids.map((id) => [id, picture])));
    const back = readQtiPackage(out.zip, 'x.zip', newId);
    expect(back.title).toBe('Market day at the quay');
    const items = market.pages.flatMap((p) => p.blocks.filter(isItem));
    const unable = ['drawing', 'picture-writing', 'steps', 'photo', 'voice', 'paper', 'notes', 'table-fill'];
    const kept = items.filter((i) => !unable.includes(i.kind) && (i.kind !== 'pieces' || i.board.on === 'picture'));
    const got = back.items.flatMap((i) => i.blocks);
    expect(got.map((b) => [b.kind, 'prompt' in b ? b.prompt : '', keyWordsOf(b)])).toEqual(
      kept.map((i) => [i.kind, i.prompt, keyWordsOf(i)]),
    );
    expect(got.map((b) => ('points' in b ? b.points : 0))).toEqual(kept.map((i) => i.points));
    expect(out.left.filter((l) => /is not written: QTI/.test(l))).toHaveLength(items.length - kept.length);
    expect(back.left).toEqual([]);
  });

  it('any words come back as they were, and nothing in them becomes markup', () => {
    const word = fc
      .string({ minLength: 1, maxLength: 30 })
      .map((t) => t.replace(/\s+/g, ' ').trim())
      .filter((t) => t !== '' && !/[\u0000-\u001f\ufffe\uffff\ud800-\udfff]/.test(t));
    fc.assert(
      fc.property(word, fc.uniqueArray(word, { minLength: 2, maxLength: 5 }), (prompt, options) => {
        const block: Block = {
          id: 'q',
          kind: 'single-choice',
          audience: 'learner',
          prompt,
          demand: 'recall',
          points: 1,
          options: options.map((text, i) => ({ id: `o${i}`, text })),
          key: 'o1',
        };
        const content = {
          ...market,
          pages: [{ id: 'p', title: 'P', orientation: 'portrait' as const, blocks: [block] }],
        };
        const [got] = readQtiPackage(writeQtiPackage(content, new Map()).zip, 'x', newId).items[0]?.blocks ?? [];
        expect(got).toMatchObject({ prompt, options: options.map((text) => ({ text })) });
        expect(keyWordsOf(got as Block)).toEqual([options[1]]);
      }),
      runs(60),
    );
  });

  it('says what is wrong with a file that is no package', () => {
    expect(problem(() => readQtiPackage(new Uint8Array([1, 2, 3]), 'x', newId))).toMatch(/damaged, or it is not a ZIP/);
    const empty = { ...market, pages: [{ id: 'p', title: 'P', orientation: 'portrait' as const, blocks: [] }] };
    expect(problem(() => writeQtiPackage(empty, new Map()))).toMatch(/no question here/);
  });
});
