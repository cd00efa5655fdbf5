import type { ValidatorFn } from '@angular/forms';
import type { z } from 'zod';

/** What is wrong with a text, in a teacher's words. `what` names it: "A title". */
function say(issue: z.core.$ZodIssue, what: string, value: unknown): string {
  if (issue.code === 'too_small' && issue.origin === 'string')
    return Number(issue.minimum) <= 1 ? `${what} is needed.` : `${what} has ${Number(issue.minimum)} letters or more.`;
  if (issue.code === 'too_big' && issue.origin === 'string')
    return `${what} has room for ${Number(issue.maximum)} letters; these are ${String(value).length}.`;
  if (issue.code === 'too_small') return `${what} is ${Number(issue.minimum)} or more.`;
  if (issue.code === 'too_big') return `${what} is ${Number(issue.maximum)} or less.`;
  return issue.code === 'custom' ? issue.message : `${what} cannot be that.`;
}

/**
 * A control checked by the core's own schema, so that a rule is written once. Where the schema refuses, the control's
 * errors are `{ words }`: what to say beside the field (`lv-wrong`). Spaces around a text do not count.
 */
export const bySchema =
  (schema: z.ZodType, what: string): ValidatorFn =>
  ({ value }) => {
    const text: unknown = typeof value === 'string' ? value.trim() : value;
    const read = schema.safeParse(text);
    const [issue] = read.success ? [] : read.error.issues;
    return issue ? { words: say(issue, what, text) } : null;
  };
