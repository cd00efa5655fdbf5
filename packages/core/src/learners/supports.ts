/** Supports that can be agreed for a learner and seen in an activity. */
export const SUPPORTS = [
  'word bank',
  'hints',
  'two or three choices',
  'pictures',
  'short sentences',
  'sentence starters',
  'worked example',
  'glossary',
  'steps to tick',
  'spoken instructions',
] as const;
export type Support = (typeof SUPPORTS)[number];
