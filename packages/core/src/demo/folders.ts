import type { Folder } from '../evidence/folder';
import { pieceKey } from '../evidence/folder';
import type { Clock } from './build';

/** What the demo's teacher noted down beside the work. */
export const foldersAt = (clock: Clock): Folder[] => [
  {
    id: 'l-oriel',
    notes: [
      {
        id: 'fn-oriel-1',
        on: clock.local(-2, 9).slice(0, 10),
        text: 'Stayed with the second page to its end, without getting up. Looked at the word bank twice.',
        handOutId: 'h-survey',
      },
      {
        id: 'fn-oriel-2',
        on: clock.local(-9, 9).slice(0, 10),
        text: 'Asked for the quiet corner before reading, without a word from anybody.',
      },
    ],
    leftOut: [],
    stressed: [pieceKey('h-survey')],
    reviews: [],
  },
];
