import { wordTokens } from '../spaces';
import { readRich, type RichPart, type Run, writeRich } from './rich';

// Private-use characters, which no teacher types, part what a token says from what it is.
const STRONG = '\uE001';
const STRESSED = '\uE002';
const PARAGRAPH = '\uE003';
const ITEM = '\uE004';

const manner = (r: Run): string => `${r.strong ? STRONG : ''}${r.em ? STRESSED : ''}`;

/** Marked words as tokens for merging: each word with its marks, and a token for the beginning of each part. */
export function richTokens(text: string): string[] {
  return readRich(text).flatMap((p) =>
    p.kind === 'paragraph'
      ? [PARAGRAPH, ...runTokens(p.runs)]
      : p.items.flatMap((item) => [`${ITEM}${p.ordered ? '1' : '-'}`, ...runTokens(item)]),
  );
}

const runTokens = (runs: readonly Run[]): string[] =>
  runs.flatMap((r) => wordTokens(r.text).map((w) => `${manner(r)}${w}`));

/** Puts tokens together again: those of one list stand in one list. */
export function fromRichTokens(tokens: readonly string[]): string {
  const parts: { kind: 'paragraph' | 'list'; ordered: boolean; items: Run[][] }[] = [];
  for (const t of tokens) {
    const ordered = t === `${ITEM}1`;
    const last = parts.at(-1);
    if (t === PARAGRAPH || !last) parts.push({ kind: 'paragraph', ordered: false, items: [[]] });
    if (t === PARAGRAPH) continue;
    if (t.startsWith(ITEM)) {
      if (last?.kind === 'list' && last.ordered === ordered) last.items.push([]);
      else parts.push({ kind: 'list', ordered, items: [[]] });
      continue;
    }
    const strong = t.includes(STRONG);
    const em = t.includes(STRESSED);
    const text = t.replace(/[\uE001\uE002]/g, '');
    const runs = parts.at(-1)?.items.at(-1);
    const run = runs?.at(-1);
    if (runs && run?.strong === strong && run.em === em) runs[runs.length - 1] = { ...run, text: run.text + text };
    else runs?.push({ text, strong, em });
  }
  return writeRich(
    parts
      .filter((p) => p.items.some((i) => i.length))
      .map((p): RichPart =>
        p.kind === 'paragraph'
          ? { kind: 'paragraph', runs: trimmed(p.items[0] ?? []) }
          : { kind: 'list', ordered: p.ordered, items: p.items.map(trimmed) },
      ),
  );
}

/** Without the space that a word brought along which no longer has one before it. */
function trimmed(runs: readonly Run[]): Run[] {
  const [first, ...rest] = runs;
  return first ? [{ ...first, text: first.text.replace(/^ +/, '') }, ...rest] : [];
}
