import { type Block, canMix, isItem, type Page } from '@lorvet/core';
import { type Doing, firstWords, number, whole, one, pageOf, ids, places } from './doing';

/** More to do, how it looks, and how much time there is. */
export const LOOKS: readonly Doing[] = [
  {
    id: 'extension',
    label: 'Extension item after this',
    group: 'More',
    suits: (s) => one(s) !== undefined,
    fields: () => [
      { name: 'prompt', label: 'The further question', as: 'lines', value: '' },
      number('points', 'Points', 1, 0, 100),
    ],
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
        points: Math.min(100, Math.max(0, Number(v['points']) || 0)),
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
      places(s),
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
    label: 'Move',
    group: 'How it looks',
    suits: (s) => one(s) !== undefined,
    fields: (s) => {
      const moved = one(s);
      const options = s.content.pages.flatMap((p, i) => [
        { value: `${p.id}\n`, label: `first on ${p.title || `page ${i + 1}`}` },
        ...p.blocks
          .filter((b) => b !== moved)
          .map((b) => ({ value: `${p.id}\n${b.id}`, label: `after “${firstWords(b)}”` })),
      ]);
      const page = moved && pageOf(s, moved);
      const next = page?.blocks[page.blocks.indexOf(moved as Block) + 1];
      const value = page && next ? `${page.id}\n${next.id}` : (options[0]?.value ?? '');
      return [{ name: 'to', label: 'Where to', as: 'choice', value, options }];
    },
    drafts: (s, v) => {
      const b = one(s);
      const [page, after] = (v['to'] ?? '').split('\n');
      return b && page ? [{ kind: 'move', what: 'block', target: b.id, page, after: after || null }] : [];
    },
  },
  {
    id: 'move-page',
    label: 'Move its page',
    group: 'How it looks',
    suits: (s) => one(s) !== undefined && s.content.pages.length > 1,
    fields: (s) => [{ ...places(s), label: 'The page stands after' }],
    drafts: (s, v) => {
      const [page] = s.pages;
      return page ? [{ kind: 'move', what: 'page', target: page.id, after: v['after'] || null }] : [];
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
    // No clock runs on a sheet: only the days until it is due can be more.
    fields: () => [number('days', 'Days more until it is due', 1, 1, 60)],
    drafts: (_, v) => [{ kind: 'extra-time', percent: 0, days: Number(v['days']) }],
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
