import { freshItem, type Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import { Problem } from '../formats/problem';

export interface AnswerSheetRule {
  readonly kind: 'choice' | 'short';
  /** How many questions. */
  readonly count: number;
  /** How many choices each, for choice. */
  readonly choices: number;
  /** The key as typed or pasted: "ACBD…", or one answer a line. */
  readonly keys: string;
}

export const MOST_QUESTIONS = 200;

/** The keys of a sheet: letters in a row ("ACBD", spaces and commas allowed), or a column, one a line; "/" parts accepted ones. */
export function readKeys(text: string, kind: AnswerSheetRule['kind']): string[] {
  const lines = text.replace(/\r/g, '').trim();
  if (lines === '') return [];
  if (kind === 'choice' && /^[A-Ha-h\s,;-]+$/.test(lines))
    return lines
      .replace(/[\s,;]/g, '')
      .toUpperCase()
      .split('');
  // A column with numbers before the answers comes from a key sheet.
  return lines.split('\n').map((l) => l.replace(/^\s*\d{1,3}\s*[.):\t]\s*/, '').trim());
}

/** The items of an answer sheet made by rule. Throws a Problem where the keys do not fit the sheet. */
export function answerSheet(rule: AnswerSheetRule, newId: () => Id): Block[] {
  if (!(Number.isInteger(rule.count) && rule.count >= 1 && rule.count <= MOST_QUESTIONS))
    throw new Problem(`Say how many questions the sheet has: a whole number, 1 to ${MOST_QUESTIONS}.`);
  const keys = readKeys(rule.keys, rule.kind);
  if (keys.length > rule.count)
    throw new Problem(
      `There are ${keys.length} keys for ${rule.count} questions. Take some keys away, or ask for ${keys.length} questions.`,
    );
  const letters = 'ABCDEFGH'.slice(0, rule.choices).split('');
  if (rule.kind === 'choice')
    keys.forEach((k, i) => {
      if (k !== '' && k !== '-' && !letters.includes(k.toUpperCase()))
        throw new Problem(`The key of question ${i + 1} is “${k}”, but the choices are ${letters.join(', ')}.`);
    });
  return Array.from({ length: rule.count }, (_, i): Block => {
    const base = { ...freshItem(newId()), prompt: `Question ${i + 1}` };
    const key = keys[i] ?? '';
    if (rule.kind === 'short')
      return {
        ...base,
        kind: 'short-text',
        key: key
          .split('/')
          .map((k) => k.trim())
          .filter(Boolean),
        spellingTolerant: true,
      };
    const options = letters.map((text) => ({ id: newId(), text }));
    return {
      ...base,
      kind: 'single-choice',
      options,
      key: options.find((o) => o.text === key.toUpperCase())?.id ?? '',
    };
  });
}
