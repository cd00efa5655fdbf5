import type { Report, ReportPart, ReportQuestion } from '@lorvet/core/report';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { inLetters } from './report-letters';

const MOSS = '#2f5d3a';
export const SOFT = '#5c5348';

/** Reports as one document, each on a page of its own. `title` is what a reader shows of the file. */
export const reportDocument = (reports: readonly Report[], title: string): TDocumentDefinitions => ({
  info: { title, creator: 'Lorvet' },
  language: reports[0]?.language ?? 'en',
  displayTitle: true,
  pageSize: 'A4',
  pageMargins: [56, 56, 56, 56],
  defaultStyle: { font: 'latin', fontSize: 12, lineHeight: 1.25 },
  content: reports.map((r, i): Content => ({
    stack: r.parts.map(partOf),
    ...(i > 0 ? { pageBreak: 'before' as const } : {}),
  })),
});

/** Words in the letters of the font's parts that write them. */
export const text = (words: string, more: Readonly<Record<string, unknown>> = {}): Content =>
  ({ text: inLetters(words).map((r) => ({ ...r })), ...more }) as Content;

/** Words with a bar beside them: somebody says them. */
export const saidBy = (words: string): Content => ({
  table: { widths: ['*'], body: [[text(words, { border: [true, false, false, false], margin: [8, 2, 0, 2] })]] },
  layout: { vLineWidth: (i) => (i === 0 ? 2 : 0), hLineWidth: () => 0, vLineColor: () => MOSS },
  margin: [0, 2, 0, 8],
});

function partOf(part: ReportPart): Content {
  switch (part.is) {
    case 'title':
      return text(part.text, { fontSize: 22, bold: true, margin: [0, 0, 0, 6] });
    case 'heading':
      return text(part.text, { fontSize: 14, bold: true, margin: [0, 14, 0, 4] });
    case 'words':
      return text(part.text, { margin: [0, 0, 0, 4] });
    case 'small':
      return text(part.text, { fontSize: 10.5, color: SOFT, margin: [0, 0, 0, 4] });
    case 'said':
      return saidBy(part.text);
    case 'list':
      return { ul: part.lines.map((l) => text(l)), margin: [0, 2, 0, 4] };
    case 'questions':
      return { stack: part.questions.map(questionOf) };
  }
}

/** One question: it is not parted by the foot of a page. */
const questionOf = (q: ReportQuestion): Content => ({
  unbreakable: q.asked.length + q.answer.length + q.word.length < 1500,
  margin: [0, 0, 0, 10],
  columns: [
    text(`${q.number}`, { width: 26, bold: true }),
    {
      stack: [
        text(q.asked, { bold: true }),
        ...(q.answer ? [text(q.answer)] : []),
        ...(q.mark ? [text(q.mark, { color: MOSS })] : []),
        ...(q.key ? [text(q.key, { color: SOFT })] : []),
        ...(q.word ? [saidBy(q.word)] : []),
      ],
    },
  ],
});
