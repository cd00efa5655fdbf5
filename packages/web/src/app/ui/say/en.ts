import type { Counted, Said } from './tables';

/** English: a text is its own key; what is said of one is otherwise. */
export const EN: Readonly<Record<Counted, Said>> = {
  '{count} questions.': { one: '{count} question.', other: '{count} questions.' },
  'That was not it. Try again in {count} seconds.': {
    one: 'That was not it. Try again in {count} second.',
    other: 'That was not it. Try again in {count} seconds.',
  },
  'Index of {count} places': { one: 'Index of {count} place', other: 'Index of {count} places' },
  'Those are not your pictures. Wait {count} seconds, or ask your teacher.': {
    one: 'Those are not your pictures. Wait {count} second, or ask your teacher.',
    other: 'Those are not your pictures. Wait {count} seconds, or ask your teacher.',
  },
  '{count} pages': { one: '{count} page', other: '{count} pages' },
  '{count} more': { one: '{count} more', other: '{count} more' },
  'and {count} more': { one: 'and {count} more', other: 'and {count} more' },
  '{count} counters': { one: '{count} counter', other: '{count} counters' },
  '{count} questions are right:': { one: '{count} question is right:', other: '{count} questions are right:' },
  '{count} answers have no points.': { one: '{count} answer has no points.', other: '{count} answers have no points.' },
  '{count} answers': { one: '{count} answer', other: '{count} answers' },
};
