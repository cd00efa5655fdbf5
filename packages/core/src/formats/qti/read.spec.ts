import { describe, expect, it } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import { type Block, forLearner, keyWordsOf } from '../../activity/blocks';
import { Problem } from '../problem';
import { readQtiPackage } from './package';

let n = 0;
const newId = () => `n${++n}`;
const ITEM = 'imsqti_item_xmlv3p0';
const manifest = (files: readonly string[], test = '', type = ITEM) =>
  `<manifest><resources>${test && `<resource type="imsqti_test_xmlv3p0" href="${test}"/>`}${files.map((f) => `<resource type="${type}" href="${f}"/>`).join('')}</resources></manifest>`;
const pack = (files: Readonly<Record<string, string>>) =>
  zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])));
const item = (body: string, declared = '', more = '') =>
  `<qti-assessment-item xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0" identifier="i" title="Shore">${declared}<qti-item-body>${body}</qti-item-body>${more}</qti-assessment-item>`;
const declared = (type: string, correct: readonly string[], cardinality = 'single') =>
  `<qti-response-declaration identifier="R" cardinality="${cardinality}" base-type="${type}"><qti-correct-response>${correct.map((c) => `<qti-value>${c}</qti-value>`).join('')}</qti-correct-response></qti-response-declaration>`;
const read = (source: string, files: Readonly<Record<string, string>> = {}) =>
  readQtiPackage(pack({ 'imsmanifest.xml': manifest(['a.xml']), 'a.xml': source, ...files }), 'x.zip', newId);
const blocks = (source: string): readonly Block[] => read(source).items[0]?.blocks ?? [];
const CHOICE =
  '<qti-choice-interaction response-identifier="R"><qti-prompt>Which?</qti-prompt><qti-simple-choice identifier="A">kelp</qti-simple-choice><qti-simple-choice identifier="B">crab</qti-simple-choice></qti-choice-interaction>';

describe('a QTI 3 item from elsewhere', () => {
  it('has the words before the interaction and its own prompt as its question, its key and its points', () => {
    const [b] = blocks(
      item(
        `<p>Look at the pool.</p>${CHOICE}`,
        declared('identifier', ['A']) +
          '<qti-outcome-declaration identifier="MAXSCORE"><qti-default-value><qti-value>3</qti-value></qti-default-value></qti-outcome-declaration>',
      ),
    );
    expect(b).toMatchObject({ kind: 'single-choice', prompt: 'Look at the pool.\nWhich?', points: 3 });
    expect(keyWordsOf(b as Block)).toEqual(['kelp']);
  });

  it('feedback and the scorer’s words are in no choice, prompt or gap text', () => {
    const [b] = blocks(
      item(
        '<p>Look.<qti-feedback-inline identifier="f" outcome-identifier="F">SECRET pool</qti-feedback-inline></p>' +
          '<qti-choice-interaction response-identifier="R"><qti-prompt>Which?<qti-rubric-block view="scorer">SECRET rule</qti-rubric-block></qti-prompt>' +
          '<qti-simple-choice identifier="A">kelp<qti-feedback-inline identifier="A" outcome-identifier="F">SECRET well done</qti-feedback-inline></qti-simple-choice>' +
          '<qti-simple-choice identifier="B">crab</qti-simple-choice></qti-choice-interaction>',
        declared('identifier', ['A']),
      ),
    );
    expect(b).toMatchObject({ prompt: 'Look.\nWhich?', options: [{ text: 'kelp' }, { text: 'crab' }] });
    const [gaps] = blocks(
      item(
        '<p>The tide is <qti-text-entry-interaction response-identifier="R"/> and <qti-text-entry-interaction response-identifier="R"/>.<qti-feedback-inline identifier="f" outcome-identifier="F">SECRET low</qti-feedback-inline></p>',
      ),
    );
    expect(JSON.stringify([b, gaps].map((x) => forLearner(x as Block)))).not.toContain('SECRET');
  });

  it('with several right answers is a multiple choice; a number has its tolerance', () => {
    expect(keyWordsOf(blocks(item(CHOICE, declared('identifier', ['A', 'B'], 'multiple')))[0] as Block)).toEqual([
      'kelp',
      'crab',
    ]);
    const entry = '<p>How many? <qti-text-entry-interaction response-identifier="R"/></p>';
    const processing =
      '<qti-response-processing><qti-equal tolerance-mode="absolute" tolerance="0.5 0.5"/></qti-response-processing>';
    expect(blocks(item(entry, declared('float', ['12.5']), processing))[0]).toMatchObject({
      kind: 'number',
      key: 12.5,
      tolerance: 0.5,
    });
  });

  it('keeps headings, pictures and words that stand apart as blocks of their own', () => {
    const made = read(item(`<h2>Shore</h2><img src="pool.png" alt="A pool"/>${CHOICE}<p>Well done.</p>`), {
      'pool.png': 'x',
    });
    expect(made.items[0]?.blocks.map((b) => b.kind)).toEqual(['heading', 'picture', 'single-choice', 'text']);
    expect(made.pictures).toMatchObject([{ name: 'pool.png' }]);
  });

  it('keeps what is for the teacher away from the question, as a note', () => {
    const rubric = '<qti-rubric-block view="scorer"><p>Accept weed.</p></qti-rubric-block>';
    const [b] = blocks(item(rubric + CHOICE, declared('identifier', ['A'])));
    expect(b).toMatchObject({ prompt: 'Which?' });
    expect(JSON.stringify(b)).not.toMatch(/prompt":"[^"]*Accept/);
  });

  it('names what it cannot keep', () => {
    const made = read(
      item(
        `<qti-slider-interaction response-identifier="S"/>${CHOICE}<qti-modal-feedback>Yes!</qti-modal-feedback><img src="https://elsewhere.example/x.png" alt="x"/><img src="lost.png" alt="y"/>`,
      ),
    );
    const left = made.left.join('\n');
    expect(left).toMatch(/Shore: Its slider interaction is not kept/);
    expect(left).toMatch(/A picture at another address was left out/);
    expect(left).toMatch(/“lost.png” is not in the package/);
    expect(JSON.stringify(made.items)).not.toContain('Yes!');
  });

  it('that is no item is named, and the others come in', () => {
    const zip = pack({
      'imsmanifest.xml': manifest(['a.xml', 'b.xml', 'gone.xml']),
      'a.xml': '<note/>',
      'b.xml': item(CHOICE),
    });
    const made = readQtiPackage(zip, 'x.zip', newId);
    expect(made.items.flatMap((i) => i.blocks)).toHaveLength(1);
    expect(made.left.join('\n')).toMatch(/“a.xml” holds no QTI 3 item/);
    expect(made.left.join('\n')).toMatch(/“gone.xml” is named by the manifest/);
  });
});

describe('a QTI package', () => {
  it('is read in the order of its test, under the test’s title, and an item no test names comes last', () => {
    const named = (title: string) => item(CHOICE).replace('title="Shore"', `title="${title}"`);
    const zip = pack({
      'imsmanifest.xml': manifest(['a.xml', 'b.xml', 'c.xml'], 'test.xml'),
      'test.xml':
        '<qti-assessment-test title="The shore"><qti-assessment-item-ref href="c.xml"/><qti-assessment-item-ref href="a.xml"/></qti-assessment-test>',
      'a.xml': named('A'),
      'b.xml': named('B'),
      'c.xml': named('C'),
    });
    const made = readQtiPackage(zip, 'x.zip', newId);
    expect(made.title).toBe('The shore');
    expect(made.items.map((i) => i.title)).toEqual(['C', 'A', 'B']);
  });

  it.each<[string, Readonly<Record<string, string>>, RegExp]>([
    ['without a manifest', { 'a.xml': '<x/>' }, /no imsmanifest.xml/],
    [
      'of an older version',
      { 'imsmanifest.xml': manifest(['a.xml'], '', 'imsqti_item_xmlv2p1'), 'a.xml': '<x/>' },
      /older version.*QTI 3/,
    ],
    ['without items', { 'imsmanifest.xml': manifest([]) }, /no QTI 3 items/],
  ])('%s is refused in words', (_, files, says) => {
    expect(() => readQtiPackage(pack(files), 'x.zip', newId)).toThrow(Problem);
    expect(() => readQtiPackage(pack(files), 'x.zip', newId)).toThrow(says);
  });
});
