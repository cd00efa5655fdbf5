/** What a notice says below its title, where that is its first sentence: the rest of it, so that nothing is read twice. */
export function belowTitle(title: string, note: string): string {
  const words = note.trim();
  const rest = words.startsWith(title) ? words.slice(title.length) : words;
  return rest === '' || /^[.\n]/.test(rest) ? rest.replace(/^[.\s]+/, '') : words;
}
