/** Letters of a text: from, and up to but without. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** A text and its language, as a BCP 47 code. */
export interface Words {
  readonly text: string;
  readonly lang: string;
}

const segments = (text: string, lang: string, granularity: 'sentence' | 'word'): Intl.SegmentData[] => [
  ...new Intl.Segmenter(lang, { granularity }).segment(text),
];

/** The sentences of a text, without the space around them. */
export function sentencesOf({ text, lang }: Words): Span[] {
  return segments(text, lang, 'sentence').flatMap(({ segment, index }) => {
    const from = index + segment.length - segment.trimStart().length;
    const to = index + segment.trimEnd().length;
    return /[\p{L}\p{N}]/u.test(segment) ? [{ from, to }] : [];
  });
}

/** The words of a text, in their order. */
export function wordsOf({ text, lang }: Words): Span[] {
  return segments(text, lang, 'word').flatMap(({ segment, index, isWordLike }) =>
    isWordLike ? [{ from: index, to: index + segment.length }] : [],
  );
}
