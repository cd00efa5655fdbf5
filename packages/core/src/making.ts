import type { Id } from './activity/block';

/** What makes blocks of what was read: new ids, and an end for what is too long, which is said. */
export interface Making {
  readonly newId: () => Id;
  readonly fit: (text: string, most: number) => string;
  readonly first: <T>(list: readonly T[], most: number, what: string) => readonly T[];
  /** What had no room, in words. */
  readonly cut: readonly string[];
}

export function making(newId: () => Id): Making {
  const cut: string[] = [];
  const begin = (text: string) => `“${text.trim().slice(0, 40)}…”`;
  return {
    newId,
    cut,
    fit: (text, most) => {
      if (text.length > most) cut.push(`${begin(text)} is cut: ${most} of ${text.length} letters have room.`);
      return text.slice(0, most);
    },
    first: (list, most, what) => {
      if (list.length > most) cut.push(`${most} of ${list.length} ${what} have room; the rest is left out.`);
      return list.slice(0, most);
    },
  };
}
