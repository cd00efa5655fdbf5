import { Injectable } from '@angular/core';
import { forms } from './word-list';

/** Languages that words can be shown in: the code, and the name as those who speak it write it. */
export const HOME_LANGUAGES: readonly { readonly code: string; readonly name: string }[] = [
  { code: 'es', name: 'Español' },
  { code: 'fr', name: 'Français' },
  { code: 'ar', name: 'العربية' },
  { code: 'uk', name: 'Українська' },
];

/** Words in another language, and whether they came from the small list for trying out. */
export interface Translated {
  readonly text: string;
  readonly isStandIn: boolean;
}

/** What a browser may offer: a translator that works on the machine itself. */
interface OnDevice {
  availability(of: Pair): Promise<string>;
  create(of: Pair): Promise<{ translate(text: string): Promise<string> }>;
}
interface Pair {
  readonly sourceLanguage: string;
  readonly targetLanguage: string;
}

/**
 * A word or a text in the language at home. The browser’s own translator is used where it is on this machine already;
 * else a stand-in: a small list with the words of the demo, and no whole texts.
 */
@Injectable({ providedIn: 'root' })
export class HomeLanguage {
  private readonly offered = (globalThis as { Translator?: OnDevice }).Translator;

  /** Whether whole texts can be put into a language here. */
  async hasTexts(to: string): Promise<boolean> {
    const pair = { sourceLanguage: 'en', targetLanguage: to };
    // “downloadable” would fetch it from elsewhere: only what is here already counts.
    return (await this.offered?.availability(pair).catch(() => '')) === 'available';
  }

  async word(word: string, to: string): Promise<Translated | null> {
    const text = await this.text(word, to);
    if (text) return text;
    const { HOME_WORDS: list } = await import('./home-words');
    const found = forms(word).find((f) => Object.hasOwn(list, f));
    const said = found && list[found]?.[HOME_LANGUAGES.findIndex((l) => l.code === to)];
    return said ? { text: said, isStandIn: true } : null;
  }

  async text(text: string, to: string): Promise<Translated | null> {
    if (!this.offered || !(await this.hasTexts(to))) return null;
    try {
      const one = await this.offered.create({ sourceLanguage: 'en', targetLanguage: to });
      return { text: await one.translate(text), isStandIn: false };
    } catch {
      return null;
    }
  }
}
