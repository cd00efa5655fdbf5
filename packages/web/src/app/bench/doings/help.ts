import {
  type Block,
  draftFlap,
  FLAP_AFTER,
  draftGlossary,
  draftHint,
  draftStarters,
  draftSteps,
  draftWordBank,
  isItem,
} from '@lorvet/core';
import { type Doing, number, lines, one, some, each, pageOf, keyed } from './doing';

/** Help on the way to an answer. */
export const HELP: readonly Doing[] = [
  {
    id: 'hints',
    label: 'Hints by rule',
    group: 'Help',
    suits: (s) => s.blocks.length > 1 && s.blocks.some(keyed),
    fields: () => [],
    drafts: (s) => each(s, isItem, (b) => draftHint(pageOf(s, b), b)),
  },
  {
    id: 'word-bank',
    label: 'Word bank with other words',
    group: 'Help',
    suits: (s) => s.pages.some((p) => p.blocks.some((b) => b.kind === 'short-text')),
    fields: () => [number('others', 'Words that fit nowhere', 1, 0, 10)],
    drafts: (s, v, t) => s.pages.map((p) => draftWordBank(s.content, p, Number(v['others']), t.newId)),
  },
  {
    id: 'glossary',
    label: 'Glossary of hard words',
    group: 'Help',
    suits: () => true,
    fields: () => [number('most', 'Words at most', 5, 1, 20)],
    drafts: (s, v, t) => s.pages.map((p) => draftGlossary(p, Number(v['most']), t.lexicon, t.newId)),
  },
  {
    id: 'steps',
    label: 'Steps to tick',
    group: 'Help',
    suits: some((b) => b.kind === 'instruction' || b.kind === 'text'),
    fields: () => [],
    drafts: (s, _, t) =>
      each(
        s,
        (b) => b.kind === 'instruction' || b.kind === 'text',
        (b) => draftSteps(b, 2, t.newId),
      ),
  },
  {
    id: 'starters',
    label: 'Sentence starters',
    group: 'Help',
    suits: some((b) => b.kind === 'long-text'),
    fields: () => [
      { name: 'starters', label: 'Beginnings, one a line', as: 'lines', value: 'First …\nI think … because …' },
    ],
    drafts: (s, v) =>
      each(
        s,
        (b) => b.kind === 'long-text',
        (b) => draftStarters(b, lines(v['starters'])),
      ),
  },
  {
    id: 'flap',
    label: 'Flap to check',
    group: 'Help',
    suits: some(keyed),
    fields: () => [
      {
        name: 'lifts',
        label: 'It can be lifted',
        as: 'choice',
        value: 'few-letters',
        options: [
          { value: 'few-letters', label: 'after an answer of a few letters or more' },
          { value: 'anything', label: 'after anything at all' },
          { value: 'submitted', label: 'once the work is submitted' },
        ],
      },
    ],
    drafts: (s, v) => {
      const lifts = FLAP_AFTER.find((l) => l === v['lifts']);
      // A few letters are what goes without saying.
      return each(s, keyed, (b) => draftFlap(b, lifts === 'few-letters' ? undefined : lifts));
    },
  },
  {
    id: 'worked-example',
    label: 'Worked example before this',
    group: 'Help',
    suits: (s) => one(s) !== undefined,
    fields: () => [
      { name: 'title', label: 'What is shown done', as: 'text', value: '' },
      { name: 'steps', label: 'Its steps, one a line', as: 'lines', value: '' },
    ],
    drafts: (s, v, t) => {
      const b = one(s);
      if (!b || !v['title']?.trim()) return [{ why: 'Write what is shown done.' }];
      const page = pageOf(s, b);
      const steps = lines(v['steps']).map((text) => ({ id: t.newId(), text }));
      const block: Block = { id: t.newId(), kind: 'worked-example', audience: 'learner', title: v['title'], steps };
      const after = page.blocks[page.blocks.indexOf(b) - 1]?.id ?? null;
      return [{ kind: 'worked-example', page: page.id, after, block }];
    },
  },
];
