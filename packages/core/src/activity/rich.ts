import { Lexer, type Token, Tokenizer } from 'marked';
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

const MOST_NESTED = 20;

/** The small part of CommonMark that a text block may hold; everything else stays as it is typed. */
class FewMarks extends Tokenizer {
  private depth = 0;

  /** Lists in lists end somewhere: what lies deeper stays as it is typed. */
  override list(src: string): ReturnType<Tokenizer['list']> {
    if (this.depth >= MOST_NESTED) return undefined;
    this.depth++;
    const list = super.list(src);
    this.depth--;
    return list;
  }
}
const OTHERS = [
  'code',
  'fences',
  'heading',
  'hr',
  'blockquote',
  'html',
  'def',
  'table',
  'lheading',
  'tag',
  'link',
  'reflink',
  'codespan',
  'del',
  'autolink',
  'url',
] as const satisfies readonly (keyof Tokenizer)[];
for (const other of OTHERS) FewMarks.prototype[other] = () => undefined;

/** Reads marked words: paragraphs, lists, **strong** and *stressed*. Total: any text is some rich text. */
export function readRich(text: string): RichPart[] {
  const lexer = new Lexer({ gfm: true, breaks: true, tokenizer: new FewMarks() });
  return lexer.lex(text).flatMap((t): RichPart[] => {
    if (t.type === 'space') return [];
    if (t.type !== 'list') return [{ kind: 'paragraph', runs: trimmed(runsOf([t])) }];
    return [{ kind: 'list', ordered: Boolean(t['ordered']), items: itemsOf(t).map((i) => trimmed(linesOf(i))) }];
  });
}

const within = (t: Token): Token[] => ('tokens' in t ? (t.tokens ?? []) : []);
const itemsOf = (t: Token): Token[] => ('items' in t ? (t.items as Token[]) : []);

/** What an item holds, one line for each paragraph or item of a list in it. */
function linesOf(item: Token): Run[] {
  const lines: Run[][] = [];
  let lead: Run[] = [];
  for (const t of within(item)) {
    if (t.type === 'space') continue;
    // A box to tick has no meaning here: it stays as it is typed.
    if (t.type === 'checkbox') lead = [{ text: t.raw, strong: false, em: false }];
    else {
      lines.push(...(t.type === 'list' ? itemsOf(t).map(linesOf) : [joined([...lead, ...runsOf([t])])]));
      lead = [];
    }
  }
  if (lead.length) lines.push(lead);
  return joined(lines.flatMap((line, i) => (i ? [{ text: '\n', strong: false, em: false }, ...line] : line)));
}

function runsOf(tokens: readonly Token[], strong = false, em = false): Run[] {
  return joined(
    tokens.flatMap((t): Run[] => {
      if (t.type === 'br') return [{ text: '\n', strong, em }];
      const inner = within(t);
      if (inner.length) return runsOf(inner, strong || t.type === 'strong', em || t.type === 'em');
      return [{ text: 'text' in t ? String(t.text) : t.raw, strong, em }];
    }),
  );
}

/** Runs of one manner side by side are one; an empty one is none. */
function joined(runs: readonly Run[]): Run[] {
  const out: Run[] = [];
  for (const r of runs) {
    const last = out.at(-1);
    if (last?.strong === r.strong && last.em === r.em) out[out.length - 1] = { ...last, text: last.text + r.text };
    else if (r.text) out.push(r);
  }
  return out;
}

/** No spaces before and after it, nor around the ends of its lines. */
function trimmed(runs: readonly Run[]): Run[] {
  return joined(
    runs.map((r, i) => {
      const starts = i === 0 || (runs[i - 1]?.text.endsWith('\n') ?? false);
      const ends = i === runs.length - 1 || (runs[i + 1]?.text.startsWith('\n') ?? false);
      const lines = r.text.split('\n').map((line, k, all) => {
        const left = k > 0 || starts ? line.trimStart() : line;
        return k < all.length - 1 || ends ? left.trimEnd() : left;
      });
      const text = lines.join('\n');
      return { ...r, text };
    }),
  );
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
