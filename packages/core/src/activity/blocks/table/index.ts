import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';
import { listWords, withListWords } from '../../parts';

const cellSchema = z.object({ id: idSchema, text: z.string().max(1000) });
const rowsSchema = z.array(z.object({ id: idSchema, cells: z.array(cellSchema).max(20) })).max(200);
const schema = z.object({
  ...blockBase,
  kind: z.literal('table'),
  caption: z.string().max(300),
  /** Whether the first row names the columns. */
  header: z.boolean().default(true),
  rows: rowsSchema,
});
type Table = z.infer<typeof schema>;
const learnerSchema = z.object({
  id: idSchema,
  kind: z.literal('table'),
  caption: z.string(),
  header: z.boolean(),
  rows: rowsSchema,
});

const row = (newId: () => string) => ({
  id: newId(),
  cells: [
    { id: newId(), text: '' },
    { id: newId(), text: '' },
  ],
});

export const table: BlockKind<Table, z.infer<typeof learnerSchema>> = {
  kind: 'table',
  label: 'Table',
  schema,
  learnerSchema,
  fresh: (id, newId) => ({
    id,
    kind: 'table',
    audience: 'learner',
    caption: '',
    header: true,
    rows: [row(newId), row(newId)],
  }),
  words: (b) => [
    { field: 'caption', label: 'Caption', text: b.caption },
    ...listWords(
      'cell',
      'Cell',
      b.rows.flatMap((r) => r.cells),
    ),
  ],
  withWords: (b, field, text) =>
    field === 'caption'
      ? { ...b, caption: text }
      : field.startsWith('cell:')
        ? { ...b, rows: b.rows.map((r) => ({ ...r, cells: withListWords('cell', r.cells, field, text) })) }
        : b,
  forLearner: (b) => ({
    id: b.id,
    kind: 'table',
    caption: b.caption,
    header: b.header,
    rows: b.rows.map((r) => ({ id: r.id, cells: r.cells.map((c) => ({ id: c.id, text: c.text })) })),
  }),
  item: null,
};
