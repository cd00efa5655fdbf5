import { counted } from '../../counted';
import { findLanguage } from '../../measure/language';
import { countText } from '../../measure/readability';
import type { CaseSet } from './case-set';

/** Lines of a text stand as \n in the table. */
const lines = (text: string | undefined): string => (text ?? '').replaceAll('\\n', '\n');

/** Words, sentences, and where it is asked for the hard words. */
export const counts: CaseSet = {
  name: 'words and sentences',
  file: 'counts.csv',
  says: (r) => {
    const c = countText(lines(r['text']), 'en');
    const hard = r['wanted']?.includes('hard') ? `, hard ${c.hardWords.join(' ') || 'none'}` : '';
    return `${counted(c.words, '{n} word', '{n} words')}, ${counted(c.sentences, '{n} sentence', '{n} sentences')}${hard}`;
  },
};

export const languages: CaseSet = {
  name: 'languages',
  file: 'languages.csv',
  says: (r) => findLanguage(lines(r['text'])) ?? 'asked of the teacher',
};
