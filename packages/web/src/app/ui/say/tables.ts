import type { ES } from './es';

/** A text in one language: one form, or one for each plural category that the language has (CLDR). */
export type Said = string | Readonly<Partial<Record<Intl.LDMLPluralRule, string>>>;

/** A text of the desk, by its English. The Spanish table is the list of them. */
export type English = keyof typeof ES;
/** The places of a text that take a value: `{name}`. */
export type Slots<K extends string> = K extends `${string}{${infer N}}${infer Rest}` ? N | Slots<Rest> : never;
/** A text without places. */
export type Plain = { [K in English]: [Slots<K>] extends [never] ? K : never }[English];
/** A text that is said otherwise of one than of many. */
export type Counted = { [K in English]: 'count' extends Slots<K> ? K : never }[English];
/** All texts of the desk in one language. */
export type Table = Readonly<Record<English, Said>>;

/** Languages that the desk speaks, by code, each as those who speak it write it. */
export const LANGUAGES = [
  { code: 'en', name: 'English' },
  { code: 'es', name: 'Español' },
  { code: 'fr', name: 'Français' },
  { code: 'ar', name: 'العربية' },
  { code: 'uk', name: 'Українська' },
] as const;
export type Language = (typeof LANGUAGES)[number]['code'];
export const RIGHT_TO_LEFT: ReadonlySet<Language> = new Set<Language>(['ar']);

/** The tables, each fetched when it is spoken. English is its own table. */
export const TABLES: Readonly<Record<Exclude<Language, 'en'>, () => Promise<Table>>> = {
  es: async () => (await import('./es')).ES,
  fr: async () => (await import('./fr')).FR,
  ar: async () => (await import('./ar')).AR,
  uk: async () => (await import('./uk')).UK,
};

/** A table as i18next reads it: a plural form has its category at the end of its key. */
export function asResource(table: Readonly<Record<string, Said>>): Record<string, string> {
  return Object.fromEntries(
    Object.entries(table).flatMap(([text, said]): [string, string][] =>
      typeof said === 'string'
        ? [[text, said]]
        : Object.entries(said).map(([category, form]) => [`${text}_${category}`, form]),
    ),
  );
}
