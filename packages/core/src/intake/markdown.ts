/** Lines shorter than this end where their writer ended them; longer ones may have been broken by a program. */
const SHORT = 45;
/** A line that means something to the reader of Markdown itself. */
const MARKED = /^\s*(?:#|[-*+]\s*$|```|~~~|\||<|=+\s*$|-{2,}\s*$)|\|/;

/**
 * Markdown in which a short line stays a line of its own. To Markdown all lines of a paragraph are one; to whoever wrote
 * "1 snow" over "2 rain" they are not.
 */
export function withShortLines(text: string): string {
  const lines = text.split(/\r?\n/);
  let fenced = false;
  return lines
    .map((line, i) => {
      if (/^\s*(?:```|~~~)/.test(line)) fenced = !fenced;
      const next = lines[i + 1] ?? '';
      const stays = !fenced && line.trim() !== '' && next.trim() !== '' && line.trimEnd().length < SHORT;
      return stays && !MARKED.test(line) && !MARKED.test(next) ? `${line.trimEnd()}  ` : line;
    })
    .join('\n');
}
