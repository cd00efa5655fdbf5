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

/** The first complaints of a schema, each with its place. */
export function placesOf(error: z.ZodError, most = 5): string[] {
  const lines = error.issues.slice(0, most).map((i) => `${i.path.join(' › ') || 'the whole record'}: ${i.message}`);
  return error.issues.length > most ? [...lines, `and ${error.issues.length - most} more`] : lines;
}
