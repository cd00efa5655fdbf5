import type { DocumentPart, PrintedDocument } from '@lorvet/core/evidence';
import {
  AlignmentType,
  Bookmark,
  BorderStyle,
  Document,
  type FileChild,
  Footer,
  HeadingLevel,
  ImageRun,
  InternalHyperlink,
  Packer,
  PageBreak,
  PageNumber,
  Paragraph,
  type ParagraphChild,
  ShadingType,
  Table,
  TableCell,
  TableRow,
  TextRun,
  WidthType,
} from 'docx';

type Change = Extract<DocumentPart, { is: 'sides' }>['master'][number];
/** Photographs by their asset: JPEG, with their shape in pixels. */
export type DocxPictures = ReadonlyMap<
  string,
  { readonly bytes: Uint8Array; readonly width: number; readonly height: number }
>;

const LINE = { style: BorderStyle.SINGLE, size: 4, color: 'C9BFAE' };
const LINES = { top: LINE, bottom: LINE, left: LINE, right: LINE };
const PAPER = { type: ShadingType.CLEAR, fill: 'F3EEE4', color: 'auto' };
const SOFT = '5C5348';
const HEADINGS = { 1: HeadingLevel.HEADING_1, 2: HeadingLevel.HEADING_2, 3: HeadingLevel.HEADING_3 } as const;
const PICTURE_WIDTH = 320;

/** The same document for a word processor: headings are headings, contents and index lead to their places. */
export async function docxDocument(doc: PrintedDocument, pictures: DocxPictures): Promise<Uint8Array> {
  const children = doc.parts.flatMap((p, i) => partOf(p, doc, i, pictures));
  const file = new Document({
    title: doc.title,
    creator: 'Lorvet',
    styles: {
      default: {
        document: { run: { font: 'Calibri', size: 21, language: { value: doc.language } } },
        heading1: { run: { size: 32, bold: true }, paragraph: { spacing: { before: 280, after: 80 } } },
        heading2: { run: { size: 27, bold: true }, paragraph: { spacing: { before: 240, after: 80 } } },
        heading3: { run: { size: 23, bold: true }, paragraph: { spacing: { before: 160, after: 60 } } },
      },
    },
    sections: [
      {
        footers: {
          default: new Footer({
            children: [
              new Paragraph({
                alignment: AlignmentType.RIGHT,
                children: [
                  new TextRun({ text: `${doc.foot} · `, size: 17, color: SOFT }),
                  new TextRun({ children: [PageNumber.CURRENT, ' / ', PageNumber.TOTAL_PAGES], size: 17, color: SOFT }),
                ],
              }),
            ],
          }),
        },
        children,
      },
    ],
  });
  return new Uint8Array(await Packer.toArrayBuffer(file));
}

/** Words with their line ends. */
const runs = (words: string, more: { readonly [k: string]: unknown } = {}): TextRun[] =>
  words.split('\n').map((line, i) => new TextRun({ text: line, ...(i > 0 ? { break: 1 } : {}), ...more }));
const paragraph = (words: string, more: { readonly [k: string]: unknown } = {}): Paragraph =>
  new Paragraph({ children: runs(words, more), spacing: { after: 60 } });

/** What went is struck out, what came is underlined and bold: readable without colour. */
const changed = (changes: readonly Change[]): Paragraph =>
  new Paragraph({
    children: changes.flatMap((c) =>
      runs(c.text, {
        ...(c.kind === 'gone' ? { strike: true, color: SOFT } : {}),
        ...(c.kind === 'new' ? { bold: true, underline: {} } : {}),
      }),
    ),
  });

const cell = (children: readonly Paragraph[], more: { readonly [k: string]: unknown } = {}): TableCell =>
  new TableCell({
    children: [...children],
    borders: LINES,
    margins: { top: 40, bottom: 40, left: 80, right: 80 },
    ...more,
  });
const row = (cells: readonly TableCell[], isHead = false): TableRow =>
  new TableRow({ children: [...cells], tableHeader: isHead, cantSplit: isHead });
const head = (names: readonly string[]): TableRow =>
  row(
    names.map((n) => cell([paragraph(n, { bold: true })], { shading: PAPER })),
    true,
  );
const table = (rows: readonly TableRow[], widths: readonly number[]): Table =>
  new Table({ rows: [...rows], columnWidths: [...widths], width: { size: 100, type: WidthType.PERCENTAGE } });

/** A place's name as word processors take it: of few signs, and not long. */
const bookmark = (anchor: string): string => `a_${anchor.replace(/\W/g, '_')}`.slice(0, 40);
const placeOf = (i: number): string => `p_${i}`;
const linkTo = (anchor: string, words: string): ParagraphChild =>
  new InternalHyperlink({ anchor, children: [new TextRun({ text: words, style: 'Hyperlink' })] });

function partOf(part: DocumentPart, doc: PrintedDocument, at: number, pictures: DocxPictures): FileChild[] {
  switch (part.is) {
    case 'title':
      return [new Paragraph({ heading: HeadingLevel.TITLE, children: runs(part.text, { bold: true }) })];
    case 'heading': {
      const own = new Bookmark({ id: placeOf(at), children: runs(part.text) });
      const children = part.anchor ? [new Bookmark({ id: bookmark(part.anchor), children: [] }), own] : [own];
      return [new Paragraph({ heading: HEADINGS[part.level], keepNext: true, children })];
    }
    case 'words':
      return [paragraph(part.text)];
    case 'small':
      return [paragraph(part.text, { size: 19, color: SOFT })];
    case 'said':
      return [
        new Paragraph({
          children: runs(part.text),
          indent: { left: 200 },
          border: { left: { style: BorderStyle.SINGLE, size: 16, color: '2F5D3A', space: 8 } },
          spacing: { before: 60, after: 100 },
        }),
      ];
    case 'list':
      return part.lines.map((l) => new Paragraph({ children: runs(l), bullet: { level: 0 } }));
    case 'contents':
      return [
        paragraph(part.text, { bold: true, size: 27 }),
        ...doc.parts.flatMap((p, i) =>
          p.is === 'heading' && p.level < 3
            ? [new Paragraph({ children: [linkTo(placeOf(i), p.text)], indent: { left: p.level === 1 ? 0 : 300 } })]
            : [],
        ),
      ];
    case 'facts':
      return [
        table(
          part.facts.map(([n, v]) => row([cell([paragraph(n, { color: SOFT })]), cell([paragraph(v)])])),
          [2200, 6800],
        ),
        new Paragraph({ children: [] }),
      ];
    case 'table':
      return [
        table(
          [head(part.head), ...part.rows.map((r) => row(r.map((c) => cell([paragraph(c)]))))],
          part.head.map(() => Math.floor(9000 / part.head.length)),
        ),
        new Paragraph({ children: [] }),
      ];
    case 'sides':
      return [
        paragraph(part.about, { size: 19, color: SOFT }),
        table([head(part.heads), row([cell([changed(part.master)]), cell([changed(part.learner)])])], [4500, 4500]),
        paragraph(part.below, { size: 19 }),
      ];
    case 'index':
      return [
        table(
          part.entries.map((e) =>
            row([
              cell([paragraph(e.name, { bold: true })]),
              cell([
                paragraph(e.says),
                ...e.at.map((p) => new Paragraph({ children: [linkTo(bookmark(p.anchor), p.name)] })),
              ]),
            ]),
          ),
          [2600, 6400],
        ),
      ];
    case 'picture': {
      const p = pictures.get(part.assetId);
      if (!p) return [paragraph(`[${part.alt}]`, { color: SOFT })];
      const by = Math.min(1, PICTURE_WIDTH / p.width);
      const size = { width: Math.round(p.width * by), height: Math.round(p.height * by) };
      const altText = { name: 'Photograph', title: 'Photograph', description: part.alt };
      return [
        new Paragraph({ children: [new ImageRun({ type: 'jpg', data: p.bytes, transformation: size, altText })] }),
      ];
    }
    case 'signatures':
      return [
        table(
          [
            head(part.heads),
            ...part.roles.map((r) =>
              row([
                cell([paragraph(r), paragraph('')]),
                cell([paragraph('')]),
                cell([paragraph('')]),
                cell([paragraph('')]),
              ]),
            ),
          ],
          [1600, 3000, 3000, 1400],
        ),
      ];
    case 'new page':
      return [new Paragraph({ children: [new PageBreak()] })];
  }
}
