import { z } from '../../zod';
import { mediaOf } from '../../work/answer';
import {
  type BlockKind,
  freshItem,
  type ItemRules,
  itemBase,
  itemWords,
  learnerItem,
  learnerItemBase,
  withItemWords,
} from '../block';
import { yours } from '../parts';

/** How many tries may be kept side by side. */
const most = z.number().int().min(1).max(6);
/** Items answered by something taken with a device, several tries of which may be kept. */
export function takenKind<K extends 'photo' | 'voice'>(
  kind: K,
  face: { readonly label: string; readonly minutes: number; readonly one: string; readonly many: string },
) {
  const schema = z.object({ ...itemBase, kind: z.literal(kind), most: most.default(3) });
  const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal(kind), most });
  type Taken = z.infer<typeof schema>;
  type Learners = z.infer<typeof learnerSchema>;
  const made = {
    kind,
    label: face.label,
    schema,
    learnerSchema,
    fresh: (id: string) => ({ ...freshItem(id), kind, most: 3 }) as Taken,
    words: itemWords,
    withWords: withItemWords,
    forLearner: (b: Taken) => ({ ...learnerItem(b), kind, most: b.most }) as Learners,
    item: {
      minutes: face.minutes,
      keyWords: () => [],
      isEmpty: (a) => mediaOf(a).takes.length === 0,
      answerWords: (_, a) => {
        const n = mediaOf(a).takes.length;
        return n === 0 ? '' : n === 1 ? face.one : `${n} ${face.many}, the best one chosen`;
      },
      mark: (b) => yours(b.points),
    } satisfies ItemRules<Taken>,
  };
  return made as unknown as BlockKind<Taken, Learners>;
}
