import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';
import { assetIdSchema } from '../../parts';

const entrySchema = z.object({
  id: idSchema,
  word: z.string().max(120),
  meaning: z.string().max(600),
  assetId: assetIdSchema.optional(),
});
export const entriesSchema = z.array(entrySchema).max(60);
const schema = z.object({
  ...blockBase,
  kind: z.literal('vocabulary'),
  title: z.string().max(200),
  entries: entriesSchema,
});
type Vocabulary = z.infer<typeof schema>;
const learnerSchema = z.object({
  id: idSchema,
  kind: z.literal('vocabulary'),
  title: z.string(),
  entries: entriesSchema,
});

export const vocabulary: BlockKind<Vocabulary, z.infer<typeof learnerSchema>> = {
  kind: 'vocabulary',
  label: 'Vocabulary',
  schema,
  learnerSchema,
  fresh: (id, newId) => ({
    id,
    kind: 'vocabulary',
    audience: 'learner',
    title: 'Words to know',
    entries: [{ id: newId(), word: '', meaning: '' }],
  }),
  words: (b) => [
    { field: 'title', label: 'Title', text: b.title },
    ...b.entries.flatMap((e, i) => [
      { field: `word:${e.id}`, label: `Word ${i + 1}`, text: e.word },
      { field: `meaning:${e.id}`, label: `Meaning ${i + 1}`, text: e.meaning },
    ]),
  ],
  withWords: (b, field, text) => {
    if (field === 'title') return { ...b, title: text };
    const [what, id] = [field.slice(0, field.indexOf(':')), field.slice(field.indexOf(':') + 1)];
    if (what !== 'word' && what !== 'meaning') return b;
    return { ...b, entries: b.entries.map((e) => (e.id === id ? { ...e, [what]: text } : e)) };
  },
  forLearner: (b) => ({
    id: b.id,
    kind: 'vocabulary',
    title: b.title,
    entries: b.entries.map((e) => ({
      id: e.id,
      word: e.word,
      meaning: e.meaning,
      ...(e.assetId ? { assetId: e.assetId } : {}),
    })),
  }),
  assets: (b) => b.entries.flatMap((e) => (e.assetId ? [e.assetId] : [])),
  item: null,
};
