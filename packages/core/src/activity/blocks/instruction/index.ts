import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';
import { assetIdSchema } from '../../parts';

/** The same instruction, spoken or shown: for those who do not read yet. */
const recordingSchema = z.object({ assetId: assetIdSchema, what: z.enum(['sound', 'video']) });
const schema = z.object({
  ...blockBase,
  kind: z.literal('instruction'),
  text: z.string().max(20000),
  recording: recordingSchema.optional(),
});
type Instruction = z.infer<typeof schema>;
const learnerSchema = z.object({
  id: idSchema,
  kind: z.literal('instruction'),
  text: z.string(),
  recording: recordingSchema.optional(),
});

export const instructionBlock: BlockKind<Instruction, z.infer<typeof learnerSchema>> = {
  kind: 'instruction',
  label: 'Instruction',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'instruction', audience: 'learner', text: '' }),
  words: (b) => [{ field: 'text', label: 'Instruction', text: b.text }],
  withWords: (b, field, text) => (field === 'text' ? { ...b, text } : b),
  forLearner: (b) => ({
    id: b.id,
    kind: 'instruction',
    text: b.text,
    ...(b.recording ? { recording: { assetId: b.recording.assetId, what: b.recording.what } } : {}),
  }),
  assets: (b) => (b.recording ? [b.recording.assetId] : []),
  item: null,
};
