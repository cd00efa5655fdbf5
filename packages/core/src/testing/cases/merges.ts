import { mergeText } from '../../upkeep/merge-text';
import type { CaseSet } from './case-set';

const lines = (text: string | undefined): string => (text ?? '').replaceAll('\\n', '\n');

/** What two rewordings come to, or that it is asked. */
export const merges: CaseSet = {
  name: 'merges',
  file: 'merges.csv',
  says: (r) => {
    const merge = mergeText(lines(r['old']), lines(r['master']), lines(r['version']));
    return merge.clean ? merge.text.replaceAll('\n', '\\n') : 'ask';
  },
};
