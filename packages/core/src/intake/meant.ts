import { partsAt, trimOf } from '../spaces';
import { plainWords } from '../work/plain-words';

/** The letters a key names, in capitals: "B", "b)", "A and C", "AC"; empty where it is no such list. */
function lettersOf(key: string): string[] {
  const parts = partsAt(key, /[,;&/\s+]|\band\b|\bet\b|\bund\b|\by\b/i).map((w) => trimOf(w, /[()[\].]/));
  if (parts.length > 0 && parts.every((w) => /^[A-Ha-h]$/.test(w))) return parts.map((w) => w.toUpperCase());
  return /^[A-H]{2,8}$/.test(key) && new Set(key).size === key.length ? [...key] : [];
}

const SAME: readonly (readonly string[])[] = [
  ['true', 't', 'vrai', 'v', 'richtig', 'r', 'wahr', 'verdadero', 'right', 'correct'],
  ['false', 'f', 'faux', 'falsch', 'falso', 'wrong', 'incorrect'],
  ['yes', 'y', 'oui', 'o', 'ja', 'j', 'sí', 'si', 's'],
  ['no', 'n', 'non', 'nein'],
];

/** The options that a key means: by letters, by their words, by "T" for true, or by a letter with its words. */
export function meant<T extends { readonly text: string; readonly mark: string }>(
  options: readonly T[],
  key: string,
): T[] {
  const letters = lettersOf(key);
  const byLetter = options.filter((o) => letters.includes(o.mark));
  if (letters.length && byLetter.length === letters.length) return byLetter;
  const same = (a: string, b: string) => plainWords(a) === plainWords(b);
  const byWords = options.filter((o) => same(o.text, key));
  if (byWords.length) return byWords;
  const marked = /^[([]?([A-Ha-h])[.)\]:]?\s+(\S[\s\S]*)$/.exec(key);
  const both = options.filter((o) => marked && o.mark === marked[1]?.toUpperCase() && same(o.text, marked[2] ?? ''));
  if (both.length) return both;
  const set = SAME.find((words) => words.includes(plainWords(key)));
  const byMeaning = set ? options.filter((o) => set.includes(plainWords(o.text))) : [];
  if (byMeaning.length === 1) return byMeaning;
  const parts = partsAt(key, /[,;/]|\band\b|\bet\b|\bund\b|\by\b/i);
  const each = parts.map((p) => options.find((o) => same(o.text, p)));
  return parts.length > 1 && each.every((o) => o !== undefined) ? each : [];
}
