/** Words of up to so many letters stand whole over a column. */
const MOST = 9;
/** Words that tell nothing of a question. */
const EMPTY = new Set(
  'about after again answer because been before choose could does draw each explain find from give given have here into many more most much only other over page question right same some such than that their them then there these they this those under what when where which while with word words would write your'.split(
    ' ',
  ),
);

const wordsOf = (text: string): string[] => [
  ...new Set((text.toLowerCase().match(/\p{L}+/gu) ?? []).filter((w) => w.length <= MOST)),
];

/**
 * One word for each question to know its column by: the one that fewest others have, of those the longest. Where a
 * question has no word of its own, one of its key.
 */
export function tellingWords(questions: readonly { readonly words: string; readonly key: string }[]): string[] {
  const all = questions.map((q) => wordsOf(q.words));
  const had = new Map<string, number>();
  for (const words of all) for (const w of words) had.set(w, (had.get(w) ?? 0) + 1);
  const taken = new Set<string>();
  return questions.map((q, i) => {
    const rank = (w: string) =>
      (had.get(w) ?? 0) * 100 + (taken.has(w) ? 50 : 0) + (EMPTY.has(w) ? 20 : 0) - (w.length > 7 ? 0 : w.length);
    const own = (all[i] ?? []).filter((w) => w.length > 2).sort((a, b) => rank(a) - rank(b))[0];
    const isShared = own === undefined || taken.has(own) || ((had.get(own) ?? 0) > 1 && EMPTY.has(own));
    const best = isShared ? (wordsOf(q.key).find((w) => !taken.has(w)) ?? own ?? '') : own;
    taken.add(best);
    return best;
  });
}
