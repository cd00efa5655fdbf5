const RULES = new Intl.PluralRules('en');

/**
 * What is said of one, or of another number: each a whole text, for another language may put its words in another order.
 * `{n}` stands for the number, other names in braces for what they are given.
 */
export function counted(
  n: number,
  one: string,
  other: string,
  more: Readonly<Record<string, string | number>> = {},
): string {
  const text = RULES.select(n) === 'one' ? one : other;
  return text.replace(/\{(\w+)\}/g, (place, name: string) =>
    String(name === 'n' ? n : Object.hasOwn(more, name) ? more[name] : place),
  );
}
