const ENDINGS: readonly (readonly [RegExp, string])[] = [
  [/ies$/, 'y'],
  [/ves$/, 'f'],
  [/ves$/, 'fe'],
  [/(s|x|z|ch|sh|o)es$/, '$1'],
  [/s$/, ''],
];
/** Plurals that no ending makes. */
const OTHERS: Readonly<Record<string, string>> = {
  children: 'child',
  feet: 'foot',
  geese: 'goose',
  mice: 'mouse',
  men: 'man',
  women: 'woman',
  people: 'person',
  teeth: 'tooth',
};

/** Forms of a noun that count as one: itself and what its plural ending leaves. English. */
const forms = (noun: string): string[] => [
  noun,
  ...(Object.hasOwn(OTHERS, noun) ? [OTHERS[noun] ?? ''] : []),
  ...ENDINGS.flatMap(([end, by]) => (end.test(noun) ? [noun.replace(end, by)] : [])),
];

/** Whether two nouns are one, in the singular or plural. */
export const sameNoun = (a: string, b: string): boolean => forms(a).some((f) => forms(b).includes(f));
