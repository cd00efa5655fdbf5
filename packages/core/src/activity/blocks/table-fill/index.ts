import { z } from '../../../zod';
import { valuesOf } from '../../../work/answer';
import {
  type BlockKind,
  freshItem,
  idSchema,
  itemBase,
  itemWords,
  learnerItem,
  learnerItemBase,
  withItemWords,
} from '../../block';
import { acceptedToo, listWords, placesMark, withListWords } from '../../parts';

const columnsSchema = z.array(z.object({ id: idSchema, text: z.string().max(300) })).max(12);
const cellSchema = z.object({
  id: idSchema,
  text: z.string().max(500),
  /** Whether the learner fills it. */
  blank: z.boolean(),
  /** Accepted answers of a blank cell; with none, it is the teacher's to judge. */
  key: z.array(z.string().max(300)).max(20),
});
const schema = z.object({
  ...itemBase,
  kind: z.literal('table-fill'),
  columns: columnsSchema,
  rows: z.array(z.object({ id: idSchema, cells: z.array(cellSchema).max(12) })).max(60),
  spellingTolerant: z.boolean().default(false),
});
type TableFill = z.infer<typeof schema>;
const learnerSchema = z.object({
  ...learnerItemBase,
  kind: z.literal('table-fill'),
  columns: columnsSchema,
  rows: z.array(
    z.object({
      id: idSchema,
      cells: z.array(z.object({ id: idSchema, text: z.string(), blank: z.boolean() })),
    }),
  ),
});

const blanks = (b: TableFill) => b.rows.flatMap((r) => r.cells.filter((c) => c.blank));
const keyed = (b: TableFill) => blanks(b).filter((c) => c.key.some((k) => k.trim() !== ''));

export const tableFill: BlockKind<TableFill, z.infer<typeof learnerSchema>> = {
  kind: 'table-fill',
  label: 'Table to fill',
  schema,
  learnerSchema,
  fresh: (id, newId) => ({
    ...freshItem(id),
    kind: 'table-fill',
    points: 2,
    columns: [1, 2].map(() => ({ id: newId(), text: '' })),
    rows: [1, 2].map(() => ({
      id: newId(),
      cells: [
        { id: newId(), text: '', blank: false, key: [] },
        { id: newId(), text: '', blank: true, key: [] },
      ],
    })),
    spellingTolerant: false,
  }),
  words: (b) => [
    ...itemWords(b),
    ...listWords('column', 'Column', b.columns),
    ...listWords(
      'cell',
      'Cell',
      b.rows.flatMap((r) => r.cells.filter((c) => !c.blank)),
    ),
  ],
  withWords: (b, field, text) =>
    field.startsWith('column:')
      ? { ...b, columns: withListWords('column', b.columns, field, text) }
      : field.startsWith('cell:')
        ? { ...b, rows: b.rows.map((r) => ({ ...r, cells: withListWords('cell', r.cells, field, text) })) }
        : withItemWords(b, field, text),
  forLearner: (b) => ({
    ...learnerItem(b),
    kind: 'table-fill',
    columns: b.columns.map((c) => ({ id: c.id, text: c.text })),
    rows: b.rows.map((r) => ({
      id: r.id,
      cells: r.cells.map((c) => ({ id: c.id, text: c.blank ? '' : c.text, blank: c.blank })),
    })),
  }),
  item: {
    minutes: 2,
    keyWords: (b) => keyed(b).map((c) => c.key.join(' / ')),
    isEmpty: (a) => Object.values(valuesOf(a)).every((v) => v.trim() === ''),
    answerWords: (b, a) =>
      b.rows
        .map((r) => r.cells.map((c) => (c.blank ? `[${valuesOf(a)[c.id]?.trim() || '…'}]` : c.text)).join(' | '))
        .join('; '),
    accept: (b, a, by) => {
      const rows = b.rows.map((r) => {
        const cells = r.cells.map((c) => {
          if (!c.blank) return c;
          const isSame = (given: string) => by.words(given, c.key, 'exact').is === 'same';
          const key = acceptedToo(c.key, valuesOf(a)[c.id] ?? '', isSame, 20);
          return key === c.key ? c : { ...c, key };
        });
        return cells.every((c, i) => c === r.cells[i]) ? r : { ...r, cells };
      });
      return rows.every((r, i) => r === b.rows[i]) ? b : { ...b, rows };
    },
    mark: (b, a, by) =>
      placesMark(
        b.points,
        blanks(b).map((c) => ({ key: c.key, given: valuesOf(a)[c.id] ?? '' })),
        'cells right',
        (given, key) => by.words(given, key, b.spellingTolerant ? 'tolerant' : 'exact'),
      ),
  },
};
