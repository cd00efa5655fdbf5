import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import { assetIdSchema } from '../activity/parts';
import {
  accommodation,
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  ask,
  lostTarget,
  missed,
  snippet,
  untouched,
  replacing,
} from './adjustment';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('recorded-instruction'),
  target: idSchema,
  recording: z.object({ assetId: assetIdSchema, what: z.enum(['sound', 'video']) }),
  /** The instruction's words when it was recorded. */
  was: z.string().max(20000),
});
export type RecordedInstruction = z.infer<typeof schema>;

export const recordedInstruction: AdjustmentKind<RecordedInstruction> = {
  kind: 'recorded-instruction',
  label: 'Recorded instruction',
  done: 'spoken',
  category: 'presentation',
  schema,
  inPlace: true,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    const block = sheet.block(a.target);
    if (block?.kind !== 'instruction') return missed(a.target, 'The instruction is no longer there.');
    return replacing(block, { ...block, recording: a.recording });
  },
  describe(a, basis) {
    const block = findBlock(basis, a.target)?.block;
    const words = block?.kind === 'instruction' ? block.text : a.was;
    return `The instruction “${snippet(words)}” can be ${a.recording.what === 'sound' ? 'heard' : 'watched'}.`;
  },
  judge: () => accommodation('The same instruction, to hear or watch.'),
  review(a, sheet) {
    const block = sheet.basisBlock(a.target);
    if (block?.kind !== 'instruction')
      return lostTarget(a.target, 'The instruction that was recorded is gone.', a.was, 'a recording');
    if (block.text === a.was) return untouched;
    return ask({
      target: a.target,
      field: 'recording',
      why: 'The instruction’s words changed: the recording says the old ones.',
      old: a.was,
      master: block.text,
      version: `a recording of “${snippet(a.was)}”`,
      keep: { ...a, was: block.text },
    });
  },
};
