import { z } from '../../../zod';
import { type BlockKind, idSchema, sourceSchema } from '../../block';

const schema = z.object({
  id: idSchema,
  kind: z.literal('teacher-note'),
  audience: z.literal('teacher').default('teacher'),
  source: sourceSchema.optional(),
  text: z.string().max(20000),
});
type TeacherNote = z.infer<typeof schema>;
/** No learner's form exists: nothing satisfies this schema. */
const learnerSchema = z.never();

export const teacherNote: BlockKind<TeacherNote, never> = {
  kind: 'teacher-note',
  label: 'Teacher note',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'teacher-note', audience: 'teacher', text: '' }),
  words: (b) => [{ field: 'text', label: 'Teacher note', text: b.text }],
  withWords: (b, field, text) => (field === 'text' ? { ...b, text } : b),
  forLearner: () => {
    throw new Error('A teacher note has no form for learners.');
  },
  item: null,
};
