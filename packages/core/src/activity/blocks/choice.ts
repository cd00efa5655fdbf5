import { z } from '../../zod';
import { type Option, optionField, optionSchema, type WordsField } from '../block';

/** What single and multiple choice share. */
export const choiceOptions = z.array(optionSchema).max(40);

export function optionWords(options: readonly Option[]): WordsField[] {
  return options.map((o, i) => ({ field: optionField(o.id), label: `Choice ${i + 1}`, text: o.text }));
}

export function withOptionWords(options: Option[], field: string, text: string): Option[] {
  return options.map((o) => (optionField(o.id) === field ? { ...o, text } : o));
}

export const optionTexts = (options: readonly Option[], ids: readonly string[]): string[] =>
  options.filter((o) => ids.includes(o.id)).map((o) => o.text);
