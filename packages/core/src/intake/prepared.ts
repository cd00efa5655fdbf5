import { asBullet, asQuestion, asTick, isWritingLine } from './marks';
import type { Part } from './material';
import { isEither } from './tails';

/** The question in a table's row, where the row is a number, its question and room to answer; else null. */
function questionInRow(row: readonly string[]): string | null {
  const [first = '', second = '', ...rest] = row;
  const isRoom = (cells: readonly string[]) =>
    cells.length > 0 && cells.every((c) => /^[\s☐□❏❑▢◻○◯]*$/.test(c) || isWritingLine(c));
  if (/^\d{1,3}[.)]?$/.test(first.trim()) && /\p{L}/u.test(second) && isRoom(rest))
    return `${first.trim().replace(/[.)]$/, '')}. ${second}`;
  return asQuestion(first) !== null && isRoom(row.slice(1)) ? first : null;
}

/** A table whose rows are numbered questions with room beside them, as those questions; also under a row of titles. */
function rowsAsQuestions(parts: readonly Part[]): Part[] {
  return parts.flatMap((p): Part[] => {
    if (p.kind !== 'table') return [p];
    const [head = [], ...below] = p.rows;
    const isTitle = (c: string) => c.trim() !== '' && asQuestion(c) === null;
    const hasTitles = below.length > 0 && head.every((c, i) => (i === 0 && c.trim() === '') || isTitle(c));
    const questions = (hasTitles ? below : p.rows).map(questionInRow);
    if (questions.length === 0 || questions.includes(null)) return [p];
    // Columns such as "True" and "False" are what there is to choose from.
    const either = `(${head.slice(-2).join(' / ')})`;
    const room = hasTitles && isEither(either) ? either : '________';
    return questions.map((q): Part => ({
      kind: 'paragraph',
      text: `${q ?? ''} ${room}`,
      ...(p.box ? { box: p.box } : {}),
    }));
  });
}

/** A table that only sets questions side by side, each in a cell of its own, as those questions in their order. */
function cellsAsQuestions(parts: readonly Part[]): Part[] {
  return parts.flatMap((p): Part[] => {
    if (p.kind !== 'table') return [p];
    const cells = p.rows.flat().filter((c) => c.trim() !== '');
    const numbers = cells.map((c) => Number(asQuestion(c)?.mark));
    const isRow = numbers.length > 1 && numbers.every((n, i) => i === 0 || n === (numbers[i - 1] ?? 0) + 1);
    if (!isRow) return [p];
    return cells.flatMap((c) =>
      c.split('\n').map((text): Part => ({ kind: 'paragraph', text, ...(p.box ? { box: p.box } : {}) })),
    );
  });
}

/** Boxes to tick that stand on lines of one paragraph, each by itself. */
function ticksApart(parts: readonly Part[]): Part[] {
  return parts.flatMap((p): Part[] => {
    if (p.kind !== 'paragraph' || !p.text.includes('\n')) return [p];
    const [first = '', ...more] = p.text.split('\n');
    if (!more.some((l) => asTick(l) !== null)) return [p];
    const { marker, ...rest } = p;
    return [{ ...p, text: first }, ...more.map((text): Part => ({ ...rest, text }))];
  });
}

/** Bulleted paragraphs that follow each other, as one list. */
export function withLists(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (const p of parts) {
    const item =
      p.kind !== 'paragraph' ? null : p.marker === '•' ? p.text : p.marker === undefined ? asBullet(p.text) : null;
    const last = out.at(-1);
    if (item === null) out.push(p);
    else if (last?.kind === 'list') out[out.length - 1] = { ...last, items: [...last.items, item] };
    else out.push({ kind: 'list', items: [item], ...(p.box ? { box: p.box } : {}) });
  }
  return out;
}

/** The parts of a page as its questions are read from: rows, boxes and bullets each as what they are. */
export const prepared = (parts: readonly Part[]): Part[] =>
  withLists(ticksApart(cellsAsQuestions(rowsAsQuestions(parts))));
