import type { Verdict } from '@lorvet/core';

/** The sign of a mark, and how it is read out. */
export const SIGNS: Record<Verdict | 'absent', { readonly sign: string; readonly says: string }> = {
  right: { sign: '✓', says: 'right' },
  partly: { sign: '◐', says: 'partly' },
  'not-yet': { sign: '✕', says: 'not yet' },
  yours: { sign: '●', says: 'yours to mark' },
  empty: { sign: '·', says: 'nothing given' },
  absent: { sign: '–', says: 'not in this version' },
};

export const sentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
