/** Names that say nothing of an order. */
const NAMES =
  'Terns Gannets Puffins Dunlins Avocets Plovers Petrels Fulmars Godwits Whimbrels Egrets Merlins Siskins Wrens Ospreys Knots Skuas Ruffs Teals Divers'.split(
    ' ',
  );

/** So many names for groups, other than those that are taken. */
export function freeNames(count: number, taken: readonly string[]): string[] {
  const free = NAMES.filter((n) => !taken.includes(n));
  return Array.from({ length: count }, (_, i) => free[i] ?? `Group ${i + 1}`);
}
