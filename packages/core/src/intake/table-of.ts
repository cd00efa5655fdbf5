import { freshItem } from '../activity/block';
import type { Block } from '../activity/blocks';
import type { Rect } from '../activity/parts';
import type { Making } from '../making';
import { partsAt } from '../spaces';
import { contentBlock } from './content-of';
import { isKeyed, type Proposal, type UnfitKey } from './item-of';
import { isWritingLine } from './marks';
import { counted } from '../counted';

const widest = (rows: readonly (readonly string[])[]): readonly string[] =>
  rows.reduce((a, b) => (b.length > a.length ? b : a), []);

/** A table with empty cells, as an item; `key` is what the key says to its number. */
export function tableToFill(
  rows: readonly (readonly string[])[],
  prompt: string,
  number: number | null,
  box: Rect | undefined,
  key: string | undefined,
  unfit: UnfitKey[],
  m: Making,
): Proposal {
  const [head = [], ...rest] = rows;
  const width = m.first(widest(rows), 12, 'columns').length;
  const isBlank = (words: string) => words === '' || isWritingLine(words);
  const blanks = rest
    .flatMap((r) => Array.from({ length: width }, (_, i) => (r[i] ?? '').trim()))
    .filter(isBlank).length;
  const answers = partsAt(key ?? '', /[,;]/);
  const fits = answers.length === blanks;
  if (key !== undefined && !fits && number !== null)
    unfit.push({
      number,
      says: counted(
        answers.length,
        'Question {number}: “{key}” has {n} answer for {blanks} empty cells.',
        'Question {number}: “{key}” has {n} answers for {blanks} empty cells.',
        { number, key: key.slice(0, 60), blanks },
      ),
    });
  let at = 0;
  const cells = (r: readonly string[]) =>
    Array.from({ length: width }, (_, i) => {
      const words = (r[i] ?? '').trim();
      const blank = isBlank(words);
      const answer = blank && fits ? answers[at++] : undefined;
      return { id: m.newId(), text: blank ? '' : m.fit(words, 500), blank, key: answer ? [m.fit(answer, 300)] : [] };
    });
  const block: Block = {
    ...freshItem(m.newId()),
    prompt: m.fit(prompt, 4000),
    kind: 'table-fill',
    points: 2,
    columns: Array.from({ length: width }, (_, i) => ({ id: m.newId(), text: m.fit(head[i] ?? '', 300) })),
    rows: m.first(rest, 60, 'rows').map((r) => ({ id: m.newId(), cells: cells(r) })),
    spellingTolerant: false,
  };
  const made = contentBlock({ kind: 'table', rows }, m);
  return {
    id: m.newId(),
    says: `${number === null ? 'A place to answer' : `Question ${number}`}: table to fill, ${rest.length} rows`,
    ...(number === null ? {} : { number }),
    block,
    plain: made?.block ?? null,
    ...(box ? { place: box } : {}),
    keyed: isKeyed(block),
  };
}
