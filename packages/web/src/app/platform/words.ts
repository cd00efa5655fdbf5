import { inject, Injectable } from '@angular/core';
import { type Lexicon, type Page, proposeHardWords } from '@lorvet/core';
import { BenchActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { readPicture } from './files';

/** A word of the shipped list: its meaning, more common words, the code of its picture, its meaning as a verb; each may be empty. */
type Entry = readonly [meaning: string, simpler: string, picture: string, asVerb: string];

/** The list's form of a word as it may stand in a text. */
function forms(word: string): string[] {
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

/** Meanings, pictures and simpler words, from the list that ships with the application; fetched when first asked for. */
@Injectable({ providedIn: 'root' })
export class Words {
  private readonly work = inject(WorkspaceStore);
  private all: Promise<Readonly<Record<string, Entry>>> | null = null;
  private readonly pictures = new Map<string, string>();

  /** Explains the hard words of some pages; the pictures it names are kept among the files. */
  async lexicon(pages: readonly Page[]): Promise<Lexicon> {
    const all = await this.load();
    for (const word of new Set(pages.flatMap(proposeHardWords))) {
      const code = find(all, word)?.[2];
      if (code) await this.picture(code);
    }
    return (word) => {
      const found = find(all, word);
      const meaning = found && (/(?:ed|ing)$/.test(word) && found[3] ? found[3] : found[0]);
      if (!meaning) return undefined;
      const assetId = this.pictures.get(found[2]);
      return assetId ? { meaning, assetId } : { meaning };
    };
  }

  /** More common words for one, the most common first. */
  async simpler(word: string): Promise<readonly string[]> {
    return (
      find(await this.load(), word)?.[1]
        .split(',')
        .filter(Boolean) ?? []
    );
  }

  private async load(): Promise<Readonly<Record<string, Entry>>> {
    this.all ??= fetch('words/words.json')
      .then(async (r) => (r.ok ? ((await r.json()) as Record<string, Entry>) : {}))
      .catch(() => {
        // Without a connection there are no words now; they are asked for again the next time.
        this.all = null;
        return {};
      });
    return await this.all;
  }

  private async picture(code: string): Promise<void> {
    if (this.pictures.has(code)) return;
    const got = await fetch(`words/pictures/${code}.svg`).catch(() => null);
    const asset = got?.ok ? await readPicture(await got.blob()) : null;
    if (!asset || 'problem' in asset) return;
    if (!this.work.assets()[asset.id]) this.work.dispatch(BenchActions.pictureAdded({ asset }));
    this.pictures.set(code, asset.id);
  }
}

function find(all: Readonly<Record<string, Entry>>, word: string): Entry | undefined {
  for (const f of forms(word)) if (Object.hasOwn(all, f)) return all[f];
  return undefined;
}
