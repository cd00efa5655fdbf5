import type { Recipe } from './recipe';

/** The recipes that come with Lorvet. */
export const SHIPPED_RECIPES: readonly Recipe[] = [
  {
    id: 'shipped-lighter',
    name: 'Lighter page',
    purpose: 'Less on the page and help with words, for the same objectives.',
    rules: [
      { rule: 'leave-out-optional' },
      { rule: 'fewer-choices', most: 3 },
      { rule: 'word-bank', distractors: 1 },
      { rule: 'hints', from: 'apply' },
      { rule: 'chunk', most: 3 },
    ],
  },
  {
    id: 'shipped-words',
    name: 'Words first',
    purpose: 'For learners new to the language: hard words explained, answers chosen, beginnings to write on from.',
    rules: [
      { rule: 'glossary', most: 6 },
      { rule: 'other-answer', from: 'short-text', to: 'single-choice' },
      { rule: 'sentence-starters', starters: ['I see …', 'I think … because …', 'First … Then …'] },
      { rule: 'larger-print', size: 1.15, spacing: 1.2 },
    ],
  },
  {
    id: 'shipped-own-pace',
    name: 'Step by step, at one’s own pace',
    purpose: 'For learners who lose the thread: steps to tick, one question at a time, answers to check oneself.',
    rules: [
      { rule: 'steps', least: 2 },
      { rule: 'one-at-a-time' },
      { rule: 'flaps' },
      { rule: 'extra-time', percent: 0, days: 1 },
    ],
  },
];
