import { Injectable } from '@angular/core';

/** A word of the shipped list: its meaning, more common words, the code of its picture, its meaning as a verb; each may be empty. */
export type WordEntry = readonly [meaning: string, simpler: string, picture: string, asVerb: string];

/** The list's form of a word as it may stand in a text. */
export function forms(word: string): string[] {
  const w = word.toLowerCase();
  const by: readonly [RegExp, string][] = [
    [/ies$/, 'y'],
    [/(ss|sh|ch|x|z)es$/, '$1'],
    [/s$/, ''],
    [/(.)\1(ed|ing)$/, '$1'],
    [/ied$/, 'y'],
    [/(ed|ing)$/, ''],
    [/(ed|ing)$/, 'e'],
  ];
  return [w, ...by.filter(([end]) => end.test(w)).map(([end, to]) => w.replace(end, to))];
}

export type WordEntries = Readonly<Record<string, WordEntry>>;

/** The list of words that ships with the application; fetched when first asked for. */
@Injectable({ providedIn: 'root' })
export class WordList {
  private all: Promise<WordEntries> | null = null;

  async load(): Promise<WordEntries> {
    this.all ??= fetch('words/words.json')
      .then(async (r) => (r.ok ? ((await r.json()) as WordEntries) : {}))
      .catch(() => {
        // Without a connection there are no words now; they are asked for again the next time.
        this.all = null;
        return {};
      });
    return await this.all;
  }
}

/** A word of the list as it may stand in a text: “buses” is found under “bus”. */
export function findWord(all: WordEntries, word: string): WordEntry | undefined {
  for (const f of forms(word)) if (Object.hasOwn(all, f)) return all[f];
  return undefined;
}

/** What a word means: as a verb where it stands in such a form. */
export const meaningOf = (entry: WordEntry, word: string): string =>
  /(?:ed|ing)$/.test(word) && entry[3] ? entry[3] : entry[0];
