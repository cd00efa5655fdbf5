import { bracketedAnswer, ownAnswer } from './keys';
import { choicesInLine, type Marked } from './marks';

const EITHER =
  /(?<![\p{L}])(true|yes|vrai|oui|richtig|wahr|ja|verdadero|sí)\s{0,9}(?:\/|or|ou|oder|o|,)\s{0,9}(false|no|faux|non|falsch|nein|falso)(?!\p{L})[)\s.?]*$/iu;

const LETTERS = /(?<=[\s(])([TVRW])\s?\/\s?(F)[)\s.]*$/;

/** Whether words end in two things to choose from: "(True / False)". */
export const isEither = (words: string): boolean => EITHER.test(words);

/** "Is it wet? A. yes B. no" and "Crabs swim. True / False": the choices at a question's end. */
export function splitTail(words: string): { prompt: string; choices: Marked[] } {
  const either = EITHER.exec(words) ?? LETTERS.exec(words);
  if (either) {
    let end = either.index;
    while (/[\s(]/.test(words[end - 1] ?? '')) end--;
    return {
      prompt: words.slice(0, end).trim(),
      choices: [
        { mark: 'A', text: either[1] ?? '' },
        { mark: 'B', text: either[2] ?? '' },
      ],
    };
  }
  const at = words.search(/\s[([]?[Aa][.)\]]\s+\S/);
  if (at > 0) {
    const choices = choicesInLine(words.slice(at));
    if (choices.length) return { prompt: words.slice(0, at).trim(), choices };
  }
  return { prompt: words, choices: [] };
}

/** A question without the answer that stands with it, in brackets or on its second line. */
export function withoutAnswer(words: string): { question: string; answer: string | null } {
  const [first = '', ...more] = words.split('\n');
  const at = more.findIndex((l) => ownAnswer(l) !== null);
  if (at >= 0)
    return {
      question: [first, ...more.filter((_, i) => i !== at)].join('\n').trim(),
      answer: ownAnswer(more[at] ?? ''),
    };
  const behind =
    /^([\s\S]{3,}?[.?!:_…])\s+((?:Answer|Ans|Solution|Réponse|Antwort|Lösung|Respuesta|Solución)\s?[:=]\s?[\s\S]+)$/.exec(
      words,
    );
  const inLine = behind ? ownAnswer(behind[2] ?? '') : null;
  if (behind && inLine) return { question: behind[1] ?? '', answer: inLine };
  return bracketedAnswer(words) ?? { question: words, answer: null };
}
