import { isItem, wordsOf } from '../activity/blocks';
import { addition, snippet } from './adjustment';
import { insertingKind } from './insert-block';

/** A further task for those for whom the standard one is too easy. */
export const extensionItem = insertingKind('extension-item', {
  label: 'Extension item',
  done: 'extension added',
  category: 'challenge',
  judge: (b) =>
    isItem(b) && b.points === 0
      ? addition('A further question for those who want more; it does not count.')
      : addition('A further question for those who want more.'),
  says: (b) => `For those who want more, a question is added: “${snippet(wordsOf(b)[0]?.text ?? '', 80)}”.`,
});
