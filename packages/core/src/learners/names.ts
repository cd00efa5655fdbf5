import type { Learner } from './learner';

/** A word of a name stands for somebody only where it is long enough and written as a name is. */
const NAME_WORD = /^[\p{Lu}\p{Lo}][\p{L}\p{M}'’-]+$/u;
const WORDS = /[\p{L}\p{M}'’-]+/gu;

/** Words by which people are called: first names and the names they chose. */
export function calledNames(learners: readonly Pick<Learner, 'name' | 'chosenName'>[]): ReadonlySet<string> {
  const names = new Set<string>();
  for (const l of learners)
    for (const name of [l.name, l.chosenName]) {
      const [first = ''] = name.trim().split(/\s/);
      if (NAME_WORD.test(first)) names.add(first);
    }
  return names;
}

/** Those of these names that stand in a text as words, each once, in its order. */
export function namesIn(text: string, names: ReadonlySet<string>): string[] {
  if (names.size === 0) return [];
  // “Jory’s” speaks of Jory.
  const words = (text.match(WORDS) ?? []).flatMap((w) => [w, w.replace(/['’]s?$/u, '')]);
  return [...new Set(words.filter((w) => names.has(w)))];
}
