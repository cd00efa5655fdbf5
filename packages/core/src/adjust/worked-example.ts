import { wordsOf } from '../activity/blocks';
import { accommodation, snippet } from './adjustment';
import { insertingKind } from './insert-block';

/** One task shown done, step by step, before the learner's own. */
export const workedExampleAdded = insertingKind('worked-example', {
  label: 'Worked example',
  done: 'worked example added',
  category: 'support',
  isFor: true,
  judge: () => accommodation('One task is shown done; no answer to the learner’s own was found in it.'),
  says: (b) => `A worked example is added: “${snippet(wordsOf(b)[0]?.text ?? '', 80)}”.`,
});
