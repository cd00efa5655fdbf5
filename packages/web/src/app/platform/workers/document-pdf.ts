import type { DocumentPart, PrintedDocument } from '@lorvet/core/evidence';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { inLetters } from './report-letters';
import { saidBy, SOFT, text } from './report-pdf';

type Change = Extract<DocumentPart, { is: 'sides' }>['master'][number];

const LINE = '#c9bfae';
const PAPER = '#f3eee4';
const HEADINGS = { 1: 17, 2: 14, 3: 11.5 } as const;
const WIDTH = 483;

/** Pictures by their asset: those of dots as data addresses, those of lines as SVG. */
export interface Pictures {
  readonly photographs: Readonly<Record<string, string>>;
  readonly drawings: Readonly<Record<string, string>>;
}

/** A document with its contents, page numbers, and marks for who finds the way by its outline. */
export function pdfDocument(doc: PrintedDocument, pictures: Pictures): TDocumentDefinitions {
  return {
    info: { title: doc.title, creator: 'Lorvet' },
    language: doc.language,
    displayTitle: true,
    pageSize: 'A4',
    pageMargins: [56, 56, 56, 56],
    defaultStyle: { font: 'latin', fontSize: 10.5, lineHeight: 1.05 },
    images: { ...pictures.photographs },
    footer: (page, pages) => ({
      margin: [56, 14, 56, 0],
      columns: [
        text(doc.foot.slice(0, 110), { fontSize: 8.5, color: SOFT, width: '*' }),
        text(`${page} / ${pages}`, { fontSize: 8.5, color: SOFT, alignment: 'right', width: 60 }),
      ],
    }),
    content: contentOf(doc.parts, pictures),
  };
}

/** A small heading stays with what is said first below it. */
function contentOf(parts: readonly DocumentPart[], pictures: Pictures): Content[] {
  const out: Content[] = [];
  for (let i = 0; i < parts.length; i++) {
    const [part, next] = [parts[i], parts[i + 1]];
    if (!part) continue;
    if (part.is === 'heading' && next && (next.is === 'facts' || next.is === 'words')) {
      out.push({ unbreakable: true, stack: [...partOf(part, pictures), ...partOf(next, pictures)] });
      i++;
    } else out.push(...partOf(part, pictures));
  }
  return out;
}

const none = { hLineWidth: () => 0, vLineWidth: () => 0, paddingLeft: () => 0, paddingRight: () => 8 };
const lined = { hLineWidth: () => 0.5, vLineWidth: () => 0.5, hLineColor: () => LINE, vLineColor: () => LINE };

/** What went is struck out, what came is underlined and bold: readable without colour. */
const changed = (changes: readonly Change[]): Content =>
  ({
    text: changes.flatMap((c) =>
      inLetters(c.text).map((r) => ({
        ...r,
        ...(c.kind === 'gone' ? { decoration: 'lineThrough', color: SOFT } : {}),
        ...(c.kind === 'new' ? { decoration: 'underline', bold: true } : {}),
      })),
    ),
  }) as Content;

function partOf(part: DocumentPart, pictures: Pictures): Content[] {
  switch (part.is) {
    case 'title':
      return [text(part.text, { fontSize: 22, bold: true, margin: [0, 0, 0, 6] })];
    case 'heading':
      return [
        text(part.text, {
          fontSize: HEADINGS[part.level],
          bold: true,
          headlineLevel: part.level,
          margin: [0, part.level === 3 ? 8 : 14, 0, 4],
          ...(part.anchor ? { id: part.anchor } : {}),
          ...(part.level < 3
            ? { tocItem: true, tocMargin: [part.level === 1 ? 0 : 14, 1, 0, 1], outline: true, outlineText: part.text }
            : {}),
        }),
      ];
    case 'words':
      return [text(part.text, { margin: [0, 0, 0, 4] })];
    case 'small':
      return [text(part.text, { fontSize: 9.5, color: SOFT, margin: [0, 0, 0, 4] })];
    case 'said':
      return [saidBy(part.text)];
    case 'list':
      return [{ ul: part.lines.map((l) => text(l)), margin: [0, 2, 0, 6] }];
    case 'contents':
      return [
        {
          toc: { title: text(part.text, { fontSize: 14, bold: true, margin: [0, 10, 0, 4] }) },
          margin: [0, 0, 0, 8],
        } as Content,
      ];
    case 'facts':
      return [
        {
          table: { widths: [112, '*'], body: part.facts.map(([n, v]) => [text(n, { color: SOFT }), text(v)]) },
          layout: { ...none, paddingTop: () => 1, paddingBottom: () => 1 },
          margin: [0, 0, 0, 4],
        },
      ];
    case 'table':
      return [
        {
          table: {
            headerRows: 1,
            // Rows stay whole, but for one that might be longer than a page.
            dontBreakRows: part.rows.every((r) => r.every((c) => c.length < 600)),
            widths: part.head.map((_, i) => (i === 0 || i === part.head.length - 1 ? '*' : 'auto')),
            body: [
              part.head.map((h) => text(h, { bold: true, fillColor: PAPER })),
              ...part.rows.map((r) => r.map((c) => text(c))),
            ],
          },
          layout: lined,
          fontSize: 9,
          margin: [0, 2, 0, 8],
        },
      ];
    case 'sides':
      return [
        {
          // A small one is not parted by the foot of a page.
          unbreakable: lengthOf(part.master) + lengthOf(part.learner) < 1200,
          margin: [0, 2, 0, 6],
          stack: [
            text(part.about, { fontSize: 9.5, color: SOFT, margin: [0, 0, 0, 2] }),
            {
              table: {
                headerRows: 1,
                widths: ['*', '*'],
                body: [
                  part.heads.map((h) => text(h, { bold: true, fontSize: 9.5, fillColor: PAPER })),
                  [changed(part.master), changed(part.learner)],
                ],
              },
              layout: lined,
            },
            ...(part.below ? [text(part.below, { fontSize: 9.5, margin: [0, 2, 0, 0] })] : []),
          ],
        },
      ];
    case 'index':
      return [
        {
          table: {
            widths: [130, '*'],
            body: part.entries.map((e) => [
              text(e.name, { bold: true }),
              { stack: [text(e.says), ...e.at.map(pageOf)] },
            ]),
          },
          layout: lined,
          margin: [0, 2, 0, 8],
        },
      ];
    case 'picture': {
      const place = {
        fit: [WIDTH / 2, 260] as [number, number],
        margin: [0, 2, 0, 6] as [number, number, number, number],
      };
      const drawn = pictures.drawings[part.assetId];
      if (drawn !== undefined) return [{ svg: drawn, font: 'latin', ...place }];
      return pictures.photographs[part.assetId]
        ? [{ image: part.assetId, ...place }]
        : [text(`[${part.alt}]`, { color: SOFT, margin: [0, 2, 0, 6] })];
    }
    case 'signatures':
      return [
        {
          table: {
            headerRows: 1,
            widths: [80, '*', '*', 80],
            heights: (row: number) => (row === 0 ? 14 : 30),
            body: [
              part.heads.map((h) => text(h, { bold: true, fillColor: PAPER })),
              ...part.roles.map((r) => [text(r), text(''), text(''), text('')]),
            ],
          },
          layout: lined,
        },
      ];
    case 'new page':
      return [{ text: '', pageBreak: 'after' }];
  }
}

const lengthOf = (changes: readonly Change[]): number => changes.reduce((n, c) => n + c.text.length, 0);

/** A work with the page that it stands on. */
const pageOf = ({ name, anchor }: { readonly name: string; readonly anchor: string }): Content =>
  ({
    text: [...inLetters(`${name}, page `), { pageReference: anchor }],
    fontSize: 9.5,
    linkToDestination: anchor,
  }) as Content;
