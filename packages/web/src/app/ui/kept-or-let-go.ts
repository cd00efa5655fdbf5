import type { z } from 'zod';

/**
 * The key of something small that a part keeps in the browser by itself, once what is there can be what it wrote. What
 * cannot (another program's, an earlier form's, half written) is let go: the part would fail on it.
 */
export function keptOrLetGo(key: string, schema: z.ZodType): string {
  try {
    const kept = localStorage.getItem(key);
    if (kept !== null && !schema.safeParse(JSON.parse(kept)).success) localStorage.removeItem(key);
  } catch {
    localStorage.removeItem(key);
  }
  return key;
}
