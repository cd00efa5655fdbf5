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

/** Keeps something small in the browser. Where there is no room it is not kept, and nothing else comes to harm. */
export function keepSmall(key: string, value: string): void {
  try {
    localStorage.setItem(key, value);
  } catch {
    // No room: the next opening does not know it.
  }
}

/** The same for what a part keeps by itself: it would stop half-way through what it does. */
export function keepsIfItCan(part: { saveState(): void }): void {
  const save = part.saveState.bind(part);
  part.saveState = () => {
    try {
      save();
    } catch {
      // As above.
    }
  };
}
