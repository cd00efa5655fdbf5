import { z } from '../zod';

/** Languages of texts that something is made for: formulas of readability. 'other' is any other. */
export const LANGUAGES = ['en', 'de', 'es', 'fr', 'other'] as const;
export const languageSchema = z.enum(LANGUAGES);
export type Language = z.infer<typeof languageSchema>;
export const LANGUAGE_LABELS: Readonly<Record<Language, string>> = {
  en: 'English',
  de: 'German',
  es: 'Spanish',
  fr: 'French',
  other: 'another language',
};
