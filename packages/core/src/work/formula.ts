const RAISED: Readonly<Record<string, string>> = {
  '⁰': '0',
  '¹': '1',
  '²': '2',
  '³': '3',
  '⁴': '4',
  '⁵': '5',
  '⁶': '6',
  '⁷': '7',
  '⁸': '8',
  '⁹': '9',
  '⁺': '+',
  '⁻': '-',
  ⁿ: 'n',
};
const RAISES: Readonly<Record<string, string>> = Object.fromEntries(Object.entries(RAISED).map(([up, on]) => [on, up]));
/** As much of a text is laid out as a formula. */
const MOST_LETTERS = 400;
const FUNCTIONS = new Set(['sin', 'cos', 'tan', 'log', 'ln']);

/** A formula in one line, as it can be typed on any keyboard: “x²” as “x^2”, “1½” as “1 1/2”, “−” as “-”. */
export function onOneLine(text: string): string {
  return text
    .replace(/[⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻ⁿ]+/g, (run) => {
      const on = [...run].map((c) => RAISED[c] ?? c).join('');
      return on.length > 1 ? `^(${on})` : `^${on}`;
    })
    .replace(/(\d?)([¼-¾⅐-⅞])/g, (_, before: string, sign: string) =>
      before ? `${before} ${sign.normalize('NFKC')}` : sign.normalize('NFKC'),
    )
    .replace(/⁄/g, '/')
    .replace(/−/g, '-');
}

/** A formula so that two ways to write the same are the same: no room about signs, one sign for “times”, no idle brackets. */
export function plainFormula(text: string): string {
  return onOneLine(text)
    .toLowerCase()
    .replace(/[×·∙]/g, '*')
    .replace(/÷/g, '/')
    .replace(/\(([\p{L}\p{N}.,]+)\)/gu, '$1')
    .split(/([-+*/^=<>≤≥≠√()])/)
    .map((part) => part.split(/\s+/).filter(Boolean).join(' '))
    .join('');
}

/** What is one thing as it stands: a number, a word, what is in brackets already. */
const isOne = (text: string): boolean => /^(?:\p{N}[\p{N}.,]*|\p{L}+|\([^()]*\))$/u.test(text);
const bracketed = (text: string): string => (isOne(text) ? text : `(${text})`);

export type Shape = 'fraction' | 'power' | 'root';

/** A shape of a formula as text, of what was filled into its places; `before` is what it is put behind. */
export function shaped(shape: Shape, [first = '', second = '']: readonly string[], before = ''): string {
  const [a, b] = [first.trim(), second.trim()];
  if (shape === 'root') return `√${bracketed(a)}`;
  if (shape === 'power') {
    const up = [...b].map((c) => RAISES[c === '−' ? '-' : c]);
    const raised = b.length < 4 && up.every((c) => c !== undefined) ? up.join('') : `^${bracketed(b)}`;
    return `${bracketed(a)}${raised}`;
  }
  // A whole number and a fraction are told apart.
  return `${/\d$/.test(before) ? ' ' : ''}${bracketed(a)}/${bracketed(b)}`;
}

/**
 * A line of text as a formula in AsciiMath, to be laid out; null where it would look as it does in one line. Words stay
 * words.
 */
export function formulaSource(text: string): string | null {
  const line = onOneLine(text).replace(/["`\\{}#$]/g, ' ');
  if (line.length > MOST_LETTERS || !/\S/.test(line) || !/[/^√]/.test(line)) return null;
  return (
    line
      .replace(/\p{L}{2,}/gu, (word) => (FUNCTIONS.has(word.toLowerCase()) ? ` ${word.toLowerCase()} ` : ` "${word}" `))
      .replace(/√\s*/g, ' sqrt ')
      // What is raised needs no brackets.
      .replace(/\^\s*\(([^()]*)\)/g, '^{:$1:}')
      .trim()
  );
}
