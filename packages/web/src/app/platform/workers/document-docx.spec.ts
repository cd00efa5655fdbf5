/** @jest-environment node */
import { describe, expect, it } from '@jest/globals';
import type { PrintedDocument } from '@lorvet/core/evidence';
import { strFromU8, unzipSync } from 'fflate';
import { docxDocument } from './document-docx';
import { pdfDocument } from './document-pdf';

const doc: PrintedDocument = {
  language: 'en',
  title: 'What was adjusted for Somebody',
  foot: 'the foot',
  parts: [
    { is: 'title', text: 'What was adjusted for Somebody' },
    { is: 'contents', text: 'Contents' },
    { is: 'heading', level: 1, text: 'Agreed supports' },
    { is: 'index', entries: [{ name: 'hints', says: 'Given once.', at: [{ name: 'Survey', anchor: 'work-h1' }] }] },
    { is: 'heading', level: 2, text: 'Survey', anchor: 'work-h1' },
    { is: 'facts', facts: [['Reason', 'Reads slowly']] },
    {
      is: 'sides',
      about: 'Question 1',
      heads: ['Master', 'Learner’s'],
      master: [
        { kind: 'same', text: 'What ' },
        { kind: 'gone', text: 'suddenly ' },
      ],
      learner: [
        { kind: 'same', text: 'What ' },
        { kind: 'new', text: 'from the sky ' },
      ],
      below: 'Answered: rain',
    },
    { is: 'signatures', heads: ['Who', 'Name', 'Signature', 'Day'], roles: ['Teacher', 'Family'] },
  ],
};

const NONE = { photographs: {}, drawings: {} };

describe('a document for a word processor', () => {
  it('holds headings as headings, what changed as struck out and underlined, and ways to its places', async () => {
    const files = unzipSync(await docxDocument(doc, new Map()));
    const xml = strFromU8(files['word/document.xml'] as Uint8Array);
    expect(xml).toMatch(/<w:pStyle w:val="Heading2"\/>.*?Survey/);
    expect(xml).toMatch(/<w:strike\/>(?:(?!<w:t).)*<w:t[^>]*>suddenly /);
    expect(xml).toMatch(/<w:u w:val="single"\/>(?:(?!<w:t).)*<w:t[^>]*>from the sky /);
    // Contents and index lead to a place that there is.
    const anchors = [...xml.matchAll(/w:anchor="([^"]+)"/g)].map((m) => m[1]);
    const places = [...xml.matchAll(/w:bookmarkStart w:name="([^"]+)"/g)].map((m) => m[1]);
    expect(anchors).toHaveLength(3);
    expect(places).toEqual(expect.arrayContaining(anchors));
    expect(strFromU8(files['word/footer1.xml'] as Uint8Array)).toContain('the foot');
    expect(xml).toContain('Reads slowly');
  });
});

describe('the same as PDF', () => {
  it('refers to pages, and keeps a small heading with what is said below it', () => {
    const text = JSON.stringify(pdfDocument(doc, NONE));
    expect(text).toContain('"pageReference":"work-h1"');
    expect(text).toContain('"tocItem":true');
    expect(text).toContain('"decoration":"lineThrough"');
    expect(pdfDocument(doc, NONE).content).toContainEqual(expect.objectContaining({ unbreakable: true }));
  });

  it('draws a picture of lines as lines, and says in words what cannot be shown', () => {
    const parts = [
      { is: 'picture', assetId: 'lines', alt: 'The shore' },
      { is: 'picture', assetId: 'lost', alt: 'A crab' },
    ] as const;
    const { content } = pdfDocument({ ...doc, parts }, { photographs: {}, drawings: { lines: '<svg/>' } });
    expect(content).toEqual([
      expect.objectContaining({ svg: '<svg/>' }),
      expect.objectContaining({ text: expect.arrayContaining([expect.objectContaining({ text: '[A crab]' })]) }),
    ]);
  });
});
