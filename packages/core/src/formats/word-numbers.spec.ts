import { describe, expect, it } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { findAll, readXml, textIn } from './qti/xml';
import { wordFile } from './word';

const W = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"';
const level = (n: number, format: string, text: string, start = 1) =>
  `<w:lvl w:ilvl="${n}"><w:start w:val="${start}"/><w:numFmt w:val="${format}"/><w:lvlText w:val="${text}"/></w:lvl>`;
const NUMBERING = `<w:numbering ${W}><w:abstractNum w:abstractNumId="0">${level(0, 'decimal', '%1.')}${level(1, 'lowerLetter', '%2)')}${level(2, 'lowerRoman', '%1.%3')}</w:abstractNum><w:abstractNum w:abstractNumId="1">${level(0, 'bullet', '')}</w:abstractNum><w:num w:numId="1"><w:abstractNumId w:val="0"/></w:num><w:num w:numId="2"><w:abstractNumId w:val="0"/><w:lvlOverride w:ilvl="0"><w:startOverride w:val="5"/></w:lvlOverride></w:num><w:num w:numId="3"><w:abstractNumId w:val="1"/></w:num></w:numbering>`;
const STYLES = `<w:styles ${W}><w:style w:styleId="Item"><w:pPr><w:numPr><w:numId w:val="1"/></w:numPr></w:pPr></w:style><w:style w:styleId="ItemToo"><w:basedOn w:val="Item"/></w:style><w:style w:styleId="Heading1"><w:pPr><w:numPr><w:numId w:val="1"/></w:numPr></w:pPr></w:style></w:styles>`;
const p = (text: string, props = '') =>
  `<w:p>${props ? `<w:pPr>${props}</w:pPr>` : ''}<w:r><w:t>${text}</w:t></w:r></w:p>`;
const item = (text: string, list: number, at = 0) =>
  p(text, `<w:numPr><w:ilvl w:val="${at}"/><w:numId w:val="${list}"/></w:numPr>`);

/** The words of each paragraph, as they are handed on. */
function read(...paragraphs: string[]): string[] {
  const xml = strToU8(`<w:document ${W}><w:body>${paragraphs.join('')}</w:body></w:document>`);
  const parts = {
    'word/document.xml': xml,
    'word/numbering.xml': strToU8(NUMBERING),
    'word/styles.xml': strToU8(STYLES),
  };
  const out = unzipSync(new Uint8Array(wordFile(zipSync(parts)).file));
  expect(strFromU8(out['word/numbering.xml'] ?? xml)).not.toContain('w:num ');
  const doc = readXml(strFromU8(out['word/document.xml'] ?? xml), 'document.xml');
  return findAll(doc, 'p').map((x) => textIn(x).replace('&#x2022;', '•'));
}

describe('what a word processor counts itself', () => {
  it('goes on over whatever stands between, and each level begins anew under the one above', () => {
    expect(
      read(
        item('Who?', 1),
        item('red', 1, 1),
        item('blue', 1, 1),
        p('Look at it.'),
        item('What?', 1),
        item('one', 1, 1),
      ),
    ).toEqual(['1. Who?', 'a) red', 'b) blue', 'Look at it.', '2. What?', 'a) one']);
  });

  it('begins anew where the list says so, and is counted as it says', () => {
    expect(read(item('a', 1), item('b', 2), item('c', 2), item('d', 1), item('e', 1, 2))).toEqual([
      '1. a',
      '5. b',
      '6. c',
      '7. d',
      '7.i e',
    ]);
    expect(read(item('leaf', 3))).toEqual(['• leaf']);
  });

  it('comes from a style too, and of its basis; a title has none, nor has a paragraph that takes it off', () => {
    const none = '<w:numPr><w:numId w:val="0"/></w:numPr>';
    expect(
      read(
        p('Tides', '<w:pStyle w:val="Heading1"/>'),
        p('Who?', '<w:pStyle w:val="Item"/>'),
        p('What?', '<w:pStyle w:val="ItemToo"/>'),
        p('So.', `<w:pStyle w:val="Item"/>${none}`),
      ),
    ).toEqual(['Tides', '1. Who?', '2. What?', 'So.']);
  });

  it('a hidden paragraph is not counted, an empty one is, and what stands there twice is counted once', () => {
    const empty = (props: string) => `<w:p><w:pPr><w:numPr><w:numId w:val="1"/></w:numPr>${props}</w:pPr></w:p>`;
    const twice = `<w:p><mc:AlternateContent><mc:Choice>${item('b', 1)}</mc:Choice><mc:Fallback>${item('b', 1)}</mc:Fallback></mc:AlternateContent></w:p>`;
    expect(
      read(item('a', 1), empty('<w:rPr><w:vanish/></w:rPr>'), twice, empty(''), item('c', 1)).filter(Boolean),
    ).toEqual(expect.arrayContaining(['1. a', '2. b', '4. c']));
  });

  it('a list that is not there, or a level that none has, is passed over', () => {
    expect(read(item('x', 77), item('y', 1, 8))).toEqual(['x', 'y']);
  });
});
