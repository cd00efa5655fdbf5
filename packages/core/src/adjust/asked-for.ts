import { plainWords } from '../work/plain-words';

/** Verbs and small words between a question's first word and what it asks for: "what is the name of the …". */
const SMALL = new Set(
  'is are was were do does did can could will would should has have had a an the this that these those your you we it its of kind kinds sort sorts type types name names of'.split(
    ' ',
  ),
);

/** "how many", "how much" and "how long" ask for a number, each of its own sort. */
const HOW = /^how (?:many|much|long|far|old|big|tall|high|heavy|often|fast|wide|deep)\b/;

/**
 * What a question asks for, as far as its first words say it: "which animal …" asks for an animal, "who …" for a person,
 * "where …" for a place. A sentence that is no question asks for what the other sentences of its page ask for. Two
 * questions ask for the same sort of thing where this is the same; where it is not, nobody can know.
 */
export function askedFor(prompt: string, page: string): string {
  const plain = plainWords(prompt);
  const words = plain.split(' ').filter(Boolean);
  const at = words.findIndex((w) => /^(?:which|what|who|whose|where|when)$/.test(w));
  const how = HOW.exec(plain);
  if (how) return how[0];
  // "On which day …" asks as well; a clause with "when" or "which" later on does not.
  const asks = at >= 0 && (at <= 1 || prompt.trim().endsWith('?'));
  if (!asks) return prompt.trim().endsWith('?') ? `? ${words[0] ?? ''}` : `on ${page}`;
  const [word = '', ...rest] = words.slice(at);
  if (word === 'who' || word === 'whose') return 'who';
  if (word === 'where' || word === 'when') return word;
  return `which ${rest.find((w) => !SMALL.has(w)) ?? ''}`;
}
