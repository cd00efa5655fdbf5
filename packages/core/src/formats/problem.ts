import type { z } from '../zod';

/** Something wrong with what came in: what, where, and what to do, in words for a teacher. */
export class Problem extends Error {
  constructor(
    message: string,
    readonly details: readonly string[] = [],
  ) {
    super(message);
  }
}

/** What a schema complains of, in a teacher's words; own words where the schema has some. */
function complaint(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return /received undefined$/.test(issue.message) ? 'is missing' : 'is not what belongs there';
    case 'too_big':
      return `is more than there is room for (${issue.maximum})`;
    case 'too_small':
      return `is less than there must be (${issue.minimum})`;
    case 'unrecognized_keys':
      return `has what does not belong there (${issue.keys.slice(0, 3).join(', ')})`;
    case 'invalid_value':
    case 'invalid_union':
      return 'is none of what it can be';
    case 'invalid_format':
      return 'is not written as it should be';
    default:
      return issue.message;
  }
}

/** The first complaints of a schema, each with its place. */
export function placesOf(error: z.ZodError, most = 5): string[] {
  const lines = error.issues.slice(0, most).map((i) => `${i.path.join(' › ') || 'the whole record'}: ${complaint(i)}`);
  return error.issues.length > most ? [...lines, `and ${error.issues.length - most} more`] : lines;
}
