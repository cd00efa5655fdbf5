import type { Block, ItemBlock } from '../../activity/blocks';
import { turned } from '../../adjust/turning';
import { mapQuestions, readQuestionTable } from '../../intake/question-list';
import type { Answer } from '../../work/answer';
import { judgeNumber } from '../../work/mark/judge-number';
import { judgeWords } from '../../work/mark/judge-words';
import { markItem } from '../../work/mark/mark-item';
import { type CaseRow, type CaseSet, listOf } from './case-set';

const SAID = { same: 'right', close: 'right', different: 'not yet', yours: 'yours' } as const;

export const spelling: CaseSet = {
  name: 'spelling',
  file: 'spelling.csv',
  says: (r) =>
    SAID[judgeWords(r['given'] ?? '', [r['accepted'] ?? ''], r['slips'] === 'forgiven' ? 'tolerant' : 'exact').is],
};

export const numbers: CaseSet = {
  name: 'numbers',
  file: 'numbers.csv',
  says: (r) =>
    SAID[
      judgeNumber(r['given'] ?? '', {
        prompt: r['question'] ?? '',
        key: Number(r['key']),
        unit: r['unit'] ?? '',
        tolerance: Number(r['tolerance']),
        otherUnits: r['other units'] === 'yes',
      }).is
    ],
};

const base = { id: 'q', audience: 'learner' as const, prompt: 'Which?', demand: 'recall' as const };

/** Ids that tell parts with the same words apart: the second "crab" is "crab#2". */
function idsFor(words: readonly string[]): string[] {
  const seen = new Map<string, number>();
  return words.map((w) => {
    const n = (seen.get(w) ?? 0) + 1;
    seen.set(w, n);
    return n === 1 ? w : `${w}#${n}`;
  });
}
const pieces = (words: readonly string[]) => idsFor(words).map((id, i) => ({ id, text: words[i] ?? '' }));

const chosen = (ids: readonly string[]): Answer => ({ kind: 'choice', chosen: [...ids] });
const atPlaces = (given: readonly string[]): Answer => ({
  kind: 'values',
  values: Object.fromEntries(given.map((g, i) => [`g${i}`, g])),
});
const keyOf = (word: string): string[] => (word === '?' ? [] : [word]);

/** An item and an answer to it out of the short words of a line. */
function itemAndAnswer(r: CaseRow): { item: object; answer: Answer } {
  const [content, given, kind] = [r['content'] ?? '', r['given'] ?? '', r['kind']];
  const parts = listOf(content);
  const points = Number(r['out of']);
  const own = { ...base, points };
  switch (kind) {
    case 'single choice':
    case 'multiple choice': {
      const options = pieces(parts.map((p) => p.replace(/^\*/, '')));
      const key = options.filter((_, i) => parts[i]?.startsWith('*')).map((o) => o.id);
      return kind === 'single choice'
        ? { item: { ...own, kind: 'single-choice', options, key: key[0] ?? '' }, answer: chosen(listOf(given)) }
        : { item: { ...own, kind: 'multiple-choice', options, key }, answer: chosen(listOf(given)) };
    }
    case 'ordering':
      return { item: { ...own, kind: 'ordering', entries: pieces(parts) }, answer: chosen(listOf(given)) };
    case 'matching': {
      const both = parts.map((p) => listOf(p, '='));
      const left = pieces(both.map(([l]) => l ?? ''));
      const right = pieces(both.map(([, m]) => m ?? ''));
      const pairs = left.map((l, i) => ({ ...l, match: right[i] }));
      const placed = Object.fromEntries(
        listOf(given).map((p) => {
          const [l = '', m = ''] = listOf(p, '=');
          return [m, l];
        }),
      );
      return { item: { ...own, kind: 'matching', pairs, extra: [] }, answer: { kind: 'placed', placed } };
    }
    case 'sorting': {
      const groups = listOf(content, ';').map((g) => {
        const [name = '', inside] = listOf(g, ':');
        return { name, inside: listOf(inside) };
      });
      const all = pieces(groups.flatMap((g) => g.inside));
      const groupOf = groups.flatMap((g) => g.inside.map(() => g.name));
      const placed = Object.fromEntries(
        listOf(given, ';').flatMap((g) => {
          const [name = '', inside] = listOf(g, ':');
          return listOf(inside).map((id) => [id, name]);
        }),
      );
      return {
        item: {
          ...own,
          kind: 'sorting',
          groups: groups.map((g) => ({ id: g.name, text: g.name })),
          pieces: all.map((p, i) => ({ ...p, group: groupOf[i] })),
        },
        answer: { kind: 'placed', placed },
      };
    }
    case 'table': {
      const cells = parts.map((p, i) => ({ id: `g${i}`, text: '', blank: true, key: keyOf(p) }));
      const table = { columns: [], rows: [{ id: 'r', cells }], spellingTolerant: false };
      return { item: { ...own, kind: 'table-fill', ...table }, answer: atPlaces(listOf(given)) };
    }
    case 'gaps': {
      const gaps = parts.map((p, i) => ({ id: `g${i}`, key: keyOf(p), others: [] }));
      const text = gaps.map((g) => `{${g.id}}`).join(' ');
      const item = { ...own, kind: 'gaps', text, gaps, mode: 'typed', extra: [], spellingTolerant: false };
      return { item, answer: atPlaces(listOf(given)) };
    }
    case 'frame': {
      const board = { on: 'frames', size: 10, frames: 1 };
      const cells = Array.from({ length: Number(given) }, (_, i) => `c${i + 1}`);
      return { item: { ...own, kind: 'pieces', board, pieces: [], count: Number(content) }, answer: chosen(cells) };
    }
    case 'number':
      return {
        item: { ...own, kind: 'number', key: Number(content), tolerance: 0, unit: '' },
        answer: { kind: 'text', text: given },
      };
    default:
      throw new Error(`docs/cases/points.csv: “${kind}” is no kind.`);
  }
}

export const points: CaseSet = {
  name: 'points',
  file: 'points.csv',
  says: (r) => {
    const { item, answer } = itemAndAnswer(r);
    const mark = markItem(item as ItemBlock, answer);
    const verdict = mark.verdict === 'not-yet' ? 'not yet' : mark.verdict;
    // The points belong to what is wanted: where they are others, it is wrong.
    return Math.abs(mark.points - Number(r['points'])) < 0.006 ? verdict : `${verdict}, ${mark.points} points`;
  },
};

const ids = () => {
  let n = 0;
  return () => `i${n++}`;
};

/** What stands in a block as its key, and what may be chosen. */
function keyIn(block: Block | string): string {
  if (typeof block === 'string') return 'no number';
  if (block.kind === 'number') return [block.key, block.unit].filter((x) => x !== '').join(' ');
  if (block.kind === 'short-text') return block.key.join(' & ');
  if (block.kind !== 'single-choice') return block.kind;
  const key = block.options.find((o) => o.id === block.key);
  return [key, ...block.options.filter((o) => o !== key)].map((o) => o?.text).join(' & ');
}

const choiceOf = (word: string): ItemBlock =>
  ({ ...base, points: 1, kind: 'single-choice', options: pieces([word, 'another']), key: word }) as ItemBlock;
const textOf = (word: string): ItemBlock =>
  ({ ...base, points: 1, kind: 'short-text', key: [word], spellingTolerant: false }) as ItemBlock;
const numberOf = (word: string): ItemBlock => {
  const [key, unit = ''] = listOf(word, ' ');
  return { ...base, points: 1, kind: 'number', key: Number(key), unit, tolerance: 0 } as ItemBlock;
};

export const keysIn: CaseSet = {
  name: 'keys on the way in',
  file: 'keys-in.csv',
  says: (r) => {
    const key = r['key'] ?? '';
    const [right = '', wrong] = listOf(key, ':');
    switch (r['kind']) {
      case 'choice to number':
        return keyIn(turned(choiceOf(key), 'number'));
      case 'number to text':
        return keyIn(turned(numberOf(key), 'short-text'));
      case 'number to choice':
        return keyIn(turned(numberOf(right), 'single-choice', listOf(wrong)));
      case 'text to choice':
        return keyIn(turned(textOf(right), 'single-choice', listOf(wrong)));
      default: {
        const table = readQuestionTable(`question,kind,key\nHow many?,${r['kind']},"${key}"`);
        const [read] = mapQuestions(table, table.guess, ids()).questions;
        return keyIn(read?.block ?? 'none');
      }
    }
  },
};
