import {
  type AnswerWay,
  type Block,
  canDraw,
  canMix,
  type Content,
  type Draft,
  draftChooseItems,
  draftFewerChoices,
  draftFlap,
  draftGlossary,
  draftHint,
  draftLeaveOut,
  draftOtherAnswer,
  draftOtherNumbers,
  draftStarters,
  draftSteps,
  draftWordBank,
  type Id,
  isChoice,
  isDraft,
  isItem,
  keyWordsOf,
  labelOf,
  type Lexicon,
  type Page,
  type Proposal,
  proposeWrong,
  snippet,
  waysFor,
  wordsAt,
  wordsOf,
} from '@lorvet/core';

/** What is chosen on the page; nothing chosen is the whole version. */
export interface Selection {
  readonly content: Content;
  readonly blocks: readonly Block[];
  /** The pages the chosen blocks are on; all where nothing is chosen. */
  readonly pages: readonly Page[];
}

/** One value that is asked for before something is done. */
export interface Field {
  readonly name: string;
  readonly label: string;
  readonly as: 'number' | 'text' | 'lines' | 'choice';
  readonly value: string;
  readonly min?: number;
  readonly max?: number;
  readonly options?: readonly { readonly value: string; readonly label: string }[];
}
export type Values = Readonly<Record<string, string>>;

export interface Tools {
  readonly lexicon: Lexicon;
  readonly newId: () => Id;
}

/** Something that can be done here: whether it suits what is chosen, what it asks for, and the adjustments it makes. */
export interface Doing {
  readonly id: string;
  readonly label: string;
  readonly group: 'Help' | 'Way to answer' | 'Less or other' | 'More' | 'How it looks' | 'Time';
  suits(s: Selection): boolean;
  fields(s: Selection): readonly Field[];
  drafts(s: Selection, v: Values, t: Tools): readonly Proposal[];
}

const number = (name: string, label: string, value: number, min: number, max: number): Field => ({
  name,
  label,
  as: 'number',
  value: `${value}`,
  min,
  max,
});
const lines = (text = ''): string[] =>
  text
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean);
const whole = (s: Selection) => s.blocks.length === 0;
const one = (s: Selection): Block | undefined => (s.blocks.length === 1 ? s.blocks[0] : undefined);
const some = (about: (b: Block) => boolean) => (s: Selection) => s.blocks.some(about);
const each = (s: Selection, about: (b: Block) => boolean, make: (b: Block) => Proposal) =>
  s.blocks.filter(about).map(make);
const pageOf = (s: Selection, b: Block) => s.pages.find((p) => p.blocks.includes(b)) as Page;
const words = (b: Block) => snippet(wordsOf(b)[0]?.text || labelOf(b), 40);
const keyed = (b: Block) => isItem(b) && keyWordsOf(b).length > 0;
const ids = (pages: readonly Page[]) => pages.map((p) => p.id);

export const DOINGS: readonly Doing[] = [
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
    fields: () => [],
    drafts: (s) => each(s, keyed, draftFlap),
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
        const m = /^([^:]{1,80}):\s*(.+)$/.exec(l);
        return m?.[1] && m[2] ? [{ interest: m[1].trim(), text: m[2] }] : [];
      });
      return b && was !== undefined && by.some((x) => x.text !== was)
        ? [{ kind: 'by-interest', target: b.id, field, was, by }]
        : [{ why: 'Write an interest, a colon, and the words for those who have it.' }];
    },
  },
  {
    id: 'extension',
    label: 'Extension item after this',
    group: 'More',
    suits: (s) => one(s) !== undefined,
    fields: () => [{ name: 'prompt', label: 'The further question', as: 'lines', value: '' }],
    drafts: (s, v, t) => {
      const b = one(s);
      if (!b || !v['prompt']?.trim()) return [{ why: 'Write the further question.' }];
      const objectiveId = isItem(b) ? b.objectiveId : undefined;
      const block: Block = {
        id: t.newId(),
        kind: 'long-text',
        audience: 'learner',
        prompt: v['prompt'].trim(),
        demand: 'explain',
        points: 0,
        key: '',
        lines: 4,
        ...(objectiveId ? { objectiveId } : {}),
      };
      return [{ kind: 'extension-item', page: pageOf(s, b).id, after: b.id, block }];
    },
  },
  {
    id: 'page',
    label: 'Add a page',
    group: 'More',
    suits: whole,
    fields: (s) => [
      { name: 'title', label: 'Title', as: 'text', value: '' },
      { name: 'text', label: 'Text on it', as: 'lines', value: '' },
      { ...places(s), name: 'after', label: 'After' },
    ],
    drafts: (_, v, t) => {
      if (!v['title']?.trim()) return [{ why: 'Give the page a title.' }];
      const text: Block = { id: t.newId(), kind: 'text', audience: 'learner', text: v['text'] ?? '' };
      const page: Page = { id: t.newId(), title: v['title'].trim(), orientation: 'portrait', blocks: [text] };
      return [{ kind: 'insert-page', after: v['after'] || null, page }];
    },
  },
  {
    id: 'move',
    label: 'Move to another page',
    group: 'How it looks',
    suits: (s) => one(s) !== undefined && s.content.pages.length > 1,
    fields: (s) => [{ ...places(s, false), name: 'page', label: 'To the end of' }],
    drafts: (s, v) => {
      const b = one(s);
      const page = s.content.pages.find((p) => p.id === v['page']);
      return b && page
        ? [{ kind: 'move', what: 'block', target: b.id, page: page.id, after: page.blocks.at(-1)?.id ?? null }]
        : [];
    },
  },
  {
    id: 'chunk',
    label: 'Pages in smaller parts',
    group: 'How it looks',
    suits: () => true,
    fields: () => [number('most', 'Blocks on a page', 3, 1, 20)],
    drafts: (s, v) => [{ kind: 'chunk', most: Number(v['most']), pages: whole(s) ? [] : ids(s.pages) }],
  },
  {
    id: 'one-at-a-time',
    label: 'One question at a time',
    group: 'How it looks',
    suits: whole,
    fields: () => [],
    drafts: () => [{ kind: 'one-at-a-time' }],
  },
  {
    id: 'larger-print',
    label: 'Larger print and colours',
    group: 'How it looks',
    suits: whole,
    fields: () => [
      number('size', 'Letters, per cent larger', 25, 0, 150),
      number('spacing', 'Lines, per cent further apart', 20, 0, 100),
      {
        name: 'font',
        label: 'Letters',
        as: 'choice',
        value: '',
        options: [
          { value: '', label: 'as usual' },
          { value: 'hyperlegible', label: 'plain' },
          { value: 'lexend', label: 'wide' },
          { value: 'serif', label: 'as in books' },
        ],
      },
      {
        name: 'colours',
        label: 'Colours',
        as: 'choice',
        value: '',
        options: ['', 'paper', 'cream', 'mist', 'night'].map((value) => ({ value, label: value || 'as usual' })),
      },
    ],
    drafts: (_, v) => [
      {
        kind: 'larger-print',
        print: {
          size: 1 + Number(v['size']) / 100,
          spacing: 1 + Number(v['spacing']) / 100,
          font: v['font'] as 'lexend',
          colours: v['colours'] as 'cream',
        },
      },
    ],
  },
  {
    id: 'mix-up',
    label: 'Mix up the pieces',
    group: 'How it looks',
    suits: (s) => (whole(s) ? s.pages.some((p) => p.blocks.some(canMix)) : s.blocks.some(canMix)),
    fields: () => [],
    drafts: (s) => {
      const targets = (whole(s) ? s.pages.flatMap((p) => p.blocks) : s.blocks).filter(canMix).map((b) => b.id);
      return [{ kind: 'mix-up', targets }];
    },
  },
  {
    id: 'extra-time',
    label: 'Extra time',
    group: 'Time',
    suits: whole,
    fields: () => [
      number('percent', 'Per cent more time', 25, 0, 300),
      number('days', 'Days more until it is due', 0, 0, 60),
    ],
    drafts: (_, v) => [{ kind: 'extra-time', percent: Number(v['percent']), days: Number(v['days']) }],
  },
  {
    id: 'goes',
    label: 'Number of goes',
    group: 'Time',
    suits: whole,
    fields: () => [number('most', 'Goes at most', 2, 1, 20)],
    drafts: (_, v) => [{ kind: 'goes', most: Number(v['most']) }],
  },
];

function places(s: Selection, first = true): Field {
  const here = new Set(s.blocks.length ? ids(s.pages) : []);
  const options = s.content.pages
    .filter((p) => !here.has(p.id))
    .map((p, i) => ({ value: p.id, label: p.title || `page ${i + 1}` }));
  return {
    name: 'page',
    label: 'Page',
    as: 'choice',
    value: options.at(first ? -1 : 0)?.value ?? '',
    options: first ? [{ value: '', label: 'nothing: it comes first' }, ...options] : options,
  };
}

/** What a doing's proposals come to: the drafts, and in words what was passed over. */
export function settled(proposals: readonly Proposal[]): { drafts: Draft[]; why: string[] } {
  return {
    drafts: proposals.filter(isDraft),
    why: [...new Set(proposals.flatMap((p) => (isDraft(p) ? [] : [p.why])))],
  };
}

/** "fewer choices in 4 items": what undo calls it. */
export function actName(d: Doing, drafts: readonly Draft[]): string {
  const name = d.label.charAt(0).toLowerCase() + d.label.slice(1);
  return drafts.length > 1 ? `${name} in ${drafts.length} places` : name;
}

export { words as firstWords };
