import { inject, Injectable } from '@angular/core';
import { type Lexicon, type Page, proposeHardWords } from '@lorvet/core';
import { BenchActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { readPicture } from './files';
import { findWord, meaningOf, WordList } from './word-list';

/** Meanings, pictures and simpler words, from the list that ships with the application; fetched when first asked for. */
@Injectable({ providedIn: 'root' })
export class Words {
  private readonly work = inject(WorkspaceStore);
  private readonly list = inject(WordList);
  private readonly pictures = new Map<string, string>();

  /** Explains the hard words of some pages; the pictures it names are kept among the files. */
  async lexicon(pages: readonly Page[]): Promise<Lexicon> {
    const all = await this.list.load();
    for (const word of new Set(pages.flatMap(proposeHardWords))) {
      const code = findWord(all, word)?.[2];
      if (code) await this.picture(code);
    }
    return (word) => {
      const found = findWord(all, word);
      const meaning = found && meaningOf(found, word);
      if (!meaning) return undefined;
      const assetId = this.pictures.get(found[2]);
      return assetId ? { meaning, assetId } : { meaning };
    };
  }

  /** More common words for one, the most common first. */
  async simpler(word: string): Promise<readonly string[]> {
    return (
      findWord(await this.list.load(), word)?.[1]
        .split(',')
        .filter(Boolean) ?? []
    );
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
