import { Problem } from '@lorvet/core';

export interface Refused {
  readonly ok: false;
  readonly message: string;
  readonly details: readonly string[];
}

/** A problem is returned, not thrown: a class does not survive the way between threads. */
export async function refusedOr<T>(read: () => T | Promise<T>): Promise<T | Refused> {
  try {
    return await read();
  } catch (error) {
    if (error instanceof Problem) return { ok: false, message: error.message, details: error.details };
    if (error instanceof DOMException && error.name === 'QuotaExceededError')
      return {
        ok: false,
        message:
          'There is not enough room in this browser for it. Nothing was changed: free some room, then try again.',
        details: [],
      };
    return { ok: false, message: 'The file could not be read. Nothing was changed.', details: [] };
  }
}
