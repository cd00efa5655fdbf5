/** Whether every word that is looked for stands somewhere in the texts, in any order and case. */
export function holdsWords(sought: string, ...texts: readonly string[]): boolean {
  const all = texts.join(' ').toLowerCase();
  return sought
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word));
}
