import MarkdownIt from 'markdown-it';
import { inSpaces } from '../spaces';

/** A stretch of text in one manner. */
export interface Run {
  readonly text: string;
  readonly strong: boolean;
  readonly em: boolean;
}
export type RichPart =
  | { readonly kind: 'paragraph'; readonly runs: readonly Run[] }
  | { readonly kind: 'list'; readonly ordered: boolean; readonly items: readonly (readonly Run[])[] };

// The small part of CommonMark that a text block may hold; everything else stays as it is typed.
const reader = new MarkdownIt('zero', { breaks: true }).enable(['emphasis', 'list', 'escape', 'newline']);

/** Reads marked words: paragraphs, lists, **strong** and *stressed*. Total: any text is some rich text. */
export function readRich(text: string): RichPart[] {
  const parts: RichPart[] = [];
  let list: { kind: 'list'; ordered: boolean; items: Run[][] } | null = null;
  let item: Run[] | null = null;
  let depth = 0;
  for (const t of reader.parse(text, {})) {
    if (/_list_open$/.test(t.type)) {
      if (depth++ === 0) parts.push((list = { kind: 'list', ordered: t.type.startsWith('ordered'), items: [] }));
    } else if (/_list_close$/.test(t.type)) {
      if (--depth === 0) list = item = null;
    } else if (t.type === 'list_item_open' && list) list.items.push((item = []));
    else if (t.type === 'inline') {
      const runs = runsOf(t.children ?? []);
      if (!list) parts.push({ kind: 'paragraph', runs });
      else item?.push(...(item.length ? [{ text: '\n', strong: false, em: false }] : []), ...runs);
    }
  }
  return parts;
}

function runsOf(tokens: readonly { type: string; content: string }[]): Run[] {
  const runs: Run[] = [];
  let strong = false;
  let em = false;
  for (const t of tokens) {
    if (t.type === 'strong_open' || t.type === 'strong_close') strong = t.type === 'strong_open';
    else if (t.type === 'em_open' || t.type === 'em_close') em = t.type === 'em_open';
    else {
      const text = t.type === 'softbreak' || t.type === 'hardbreak' ? '\n' : t.content;
      const last = runs.at(-1);
      if (!text) continue;
      if (last?.strong === strong && last.em === em) runs[runs.length - 1] = { ...last, text: last.text + text };
      else runs.push({ text, strong, em });
    }
  }
  return runs;
}

// Only what would be read as a mark is escaped, so that plain words stay plain.
const escaped = (text: string) =>
  text
    .replace(/[\\*_]/g, '\\$&')
    .replace(
      /(^|\n)([^\S\n]*)([-+]|\d+[.)])(?=\s|$)/g,
      (_, lead: string, space: string, mark: string) =>
        `${lead}${space}${mark.length > 1 ? `${mark.slice(0, -1)}\\${mark.slice(-1)}` : `\\${mark}`}`,
    );

function writeRuns(runs: readonly Run[]): string {
  return runs
    .map((r) => {
      const { lead, body, tail } = inSpaces(r.text);
      const mark = body ? `${r.strong ? '**' : ''}${r.em ? '*' : ''}` : '';
      return `${lead}${mark}${escaped(body)}${[...mark].reverse().join('')}${tail}`;
    })
    .join('');
}

/** Writes rich text as marked words. */
export function writeRich(parts: readonly RichPart[]): string {
  return parts
    .map((p) =>
      p.kind === 'paragraph'
        ? writeRuns(p.runs)
        : p.items
            .map(
              (runs, i) =>
                `${p.ordered ? `${i + 1}.` : '-'} ${writeRuns(runs).replace(/\n/g, p.ordered ? '\n   ' : '\n  ')}`,
            )
            .join('\n'),
    )
    .join('\n\n');
}

/** The words without their marks. */
export function plainRich(text: string): string {
  return readRich(text)
    .map((p) => (p.kind === 'paragraph' ? [p.runs] : p.items).map((r) => r.map((x) => x.text).join('')).join('\n'))
    .join('\n');
}
