import { plainWords } from '../work/plain-words';
import { readQuantity } from '../work/mark/read-number';

/** What sort of answer words are: a wrong choice or a word of a bank is of the key's own, else it is plain which is right. */
export type KeyType = 'time' | 'number' | 'yes or no' | 'word' | 'phrase';

const YES_NO = new Set(['yes', 'no', 'true', 'false', 'right', 'wrong', 't', 'f', 'y', 'n']);
/** More words than these are a phrase. */
const MOST_WORDS = 3;

export function keyTypeOf(words: string): KeyType {
  const plain = plainWords(words);
  if (/^\d{1,2}[:.]\d{2}(?: ?[ap]\.?m\.?)?$/.test(plain) || /^\d{1,2} ?[ap]\.?m\.?$/.test(plain)) return 'time';
  if (YES_NO.has(plain)) return 'yes or no';
  if (readQuantity(words)) return 'number';
  return plain.split(' ').length > MOST_WORDS ? 'phrase' : 'word';
}

/** Whether two answers can stand beside each other: of one sort, and numbers of one unit. */
export function isOfType(words: string, key: string): boolean {
  const type = keyTypeOf(key);
  if (keyTypeOf(words) !== type) return false;
  if (type !== 'number') return true;
  const unit = (text: string) => plainWords(readQuantity(text)?.unit ?? '');
  return unit(words) === unit(key);
}
