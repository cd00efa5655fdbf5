import {
  type AnswerWay,
  canDraw,
  draftChooseItems,
  draftFewerChoices,
  draftLeaveOut,
  draftOtherAnswer,
  draftOtherNumbers,
  isChoice,
  isItem,
  proposeWrong,
  waysFor,
  wordsAt,
} from '@lorvet/core';
import { type Doing, number, lines, whole, one, some, each, ids } from './doing';

/** Other ways to answer, and less or other to be answered. */
export const ANSWERS: readonly Doing[] = [
  {
    id: 'other-answer',
    label: 'Other way to answer',
    group: 'Way to answer',
    suits: some(isItem),
    fields: (s) => {
      const [first] = s.blocks.filter(isItem);
      const ways = first ? waysFor(first).filter((w) => w.why === null || w.to === 'single-choice') : [];
      const wrong = first && s.blocks.length === 1 ? proposeWrong(s.content, first) : [];
      return [
        {
          name: 'to',
          label: 'Answered by',
          as: 'choice',
          value: ways[0]?.to ?? 'paper',
          options: ways.map((w) => ({ value: w.to, label: w.to.replace('-', ' ') })),
        },
        { name: 'wrong', label: 'Wrong answers for a choice, one a line', as: 'lines', value: wrong.join('\n') },
      ];
    },
    drafts: (s, v) =>
      each(s, isItem, (b) => {
        const given = lines(v['wrong']);
        return draftOtherAnswer(
          b,
          v['to'] as AnswerWay,
          given.length || !isItem(b) ? given : proposeWrong(s.content, b),
        );
      }),
  },
  {
    id: 'fewer-choices',
    label: 'Fewer choices',
    group: 'Less or other',
    suits: some(isChoice),
    fields: () => [number('most', 'Choices at most', 3, 2, 20)],
    drafts: (s, v) => each(s, isChoice, (b) => draftFewerChoices(b, Number(v['most']))),
  },
  {
    id: 'leave-out',
    label: 'Leave out',
    group: 'Less or other',
    suits: (s) => s.blocks.length > 1,
    fields: () => [],
    drafts: (s) => s.blocks.map(draftLeaveOut),
  },
  {
    id: 'choose-items',
    label: 'Choose some of the items',
    group: 'Less or other',
    suits: () => true,
    fields: (s) => {
      const n = s.pages.flatMap((p) => p.blocks.filter(isItem)).length;
      return [number('n', whole(s) ? `How many of ${n}` : `How many of the ${n} on this page`, Math.ceil(n / 2), 1, n)];
    },
    drafts: (s, v) => [draftChooseItems(s.content, whole(s) ? [] : ids(s.pages), Number(v['n']))],
  },
  {
    id: 'other-numbers',
    label: 'Other numbers',
    group: 'Less or other',
    suits: some(canDraw),
    fields: () => [],
    drafts: (s, _, t) => each(s, canDraw, (b) => draftOtherNumbers(b, t.newId())),
  },
  {
    id: 'instructions',
    label: 'Other instructions',
    group: 'Less or other',
    suits: (s) => one(s)?.kind === 'instruction',
    fields: (s) => {
      const b = one(s);
      return [{ name: 'now', label: 'Instruction', as: 'lines', value: (b && wordsAt(b, 'text')) ?? '' }];
    },
    drafts: (s, v) => {
      const b = one(s);
      const was = b && wordsAt(b, 'text');
      return b && was !== undefined && v['now']?.trim() && v['now'] !== was
        ? [{ kind: 'reword-instructions', target: b.id, was, now: v['now'].trim() }]
        : [{ why: 'Write other instructions.' }];
    },
  },
  {
    id: 'by-interest',
    label: 'Example by interest',
    group: 'Less or other',
    suits: (s) => {
      const b = one(s);
      return b !== undefined && (wordsAt(b, 'prompt') ?? wordsAt(b, 'text')) !== undefined;
    },
    fields: (s) => {
      const b = one(s);
      const was = (b && (wordsAt(b, 'prompt') ?? wordsAt(b, 'text'))) ?? '';
      return [{ name: 'by', label: 'Interest: words, one a line', as: 'lines', value: `boats: ${was}` }];
    },
    drafts: (s, v) => {
      const b = one(s);
      const field = b && wordsAt(b, 'prompt') !== undefined ? 'prompt' : 'text';
      const was = b && wordsAt(b, field);
      const by = lines(v['by']).flatMap((l) => {
        const m = /^([^:]{1,80}):(.+)$/.exec(l);
        const text = m?.[2]?.trim();
        return m?.[1] && text ? [{ interest: m[1].trim(), text }] : [];
      });
      return b && was !== undefined && by.some((x) => x.text !== was)
        ? [{ kind: 'by-interest', target: b.id, field, was, by }]
        : [{ why: 'Write an interest, a colon, and the words for those who have it.' }];
    },
  },
];
