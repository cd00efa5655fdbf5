import { DestroyRef, DOCUMENT, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { parseISO } from 'date-fns';
import { createInstance } from 'i18next';
import { howSoon } from '../how-soon';
import { whenIn } from '../when';
import { EN } from './en';
import { asResource, type English, type Language, type Plain, RIGHT_TO_LEFT, type Slots, TABLES } from './tables';

/** What a text needs to be said: a value for each of its places, or nothing where it has none. */
type Values<K extends string> = [Slots<K>] extends [never] ? [] : [Readonly<Record<Slots<K>, string | number>>];
export type Sayer = <K extends English>(text: K, ...values: Values<K>) => string;

/**
 * The words of the desk itself, in the language that is chosen there. A text is asked for by its English; what is not
 * known in another language is said in English. Where nobody sits at the desk, it is English.
 */
@Injectable({ providedIn: 'root' })
export class Say {
  private readonly page = inject(DOCUMENT).documentElement;
  private readonly texts = createInstance();
  private wanted: Language = 'en';
  private speaker: object | null = null;
  /** The language that is spoken now, as its code. */
  readonly language = signal<Language>('en');

  constructor() {
    void this.texts.init({
      lng: 'en',
      fallbackLng: 'en',
      initAsync: false,
      // The library has a line about itself for the console: it is no business of a learner's.
      showSupportNotice: false,
      // A text is its own key, with dots and colons in it.
      keySeparator: false,
      nsSeparator: false,
      resources: { en: { translation: asResource(EN) } },
      interpolation: {
        prefix: '{',
        suffix: '}',
        // Angular makes no markup of a text. In a line from right to left a name or a number keeps its own direction.
        escape: (value: string) => (RIGHT_TO_LEFT.has(this.language()) ? `\u2068${value}\u2069` : value),
      },
    });
  }

  direction(): 'rtl' | 'ltr' {
    return RIGHT_TO_LEFT.has(this.language()) ? 'rtl' : 'ltr';
  }

  /** A text in the language of the desk, with what belongs into its places; `count` chooses its plural form. */
  readonly text: Sayer = (text, ...[values]) => {
    this.language();
    return this.texts.t(text, { ...values });
  };

  /** A text that may be none of the desk’s: then as it is. */
  ifKnown(text: string): string {
    this.language();
    return this.texts.exists(text) ? this.texts.t(text) : text;
  }

  /** Speaks another language, as soon as its words are here; a later wish makes an earlier one's answer void. */
  async speak(language: Language): Promise<void> {
    if (this.wanted === language) return;
    this.wanted = language;
    if (language !== 'en' && !this.texts.hasResourceBundle(language, 'translation')) {
      const table = await TABLES[language]();
      this.texts.addResourceBundle(language, 'translation', asResource(table));
    }
    if (this.wanted !== language) return;
    await this.texts.changeLanguage(language);
    this.language.set(language);
    this.page.lang = language;
    this.page.dir = this.direction();
  }

  /** Speaks a language for as long as the part that calls it is there; then English again, unless another part speaks. */
  speakHere(language: () => Language): void {
    const me = {};
    effect(() => {
      const wish = language();
      this.speaker = me;
      untracked(() => void this.speak(wish));
    });
    inject(DestroyRef).onDestroy(() => {
      setTimeout(() => {
        if (this.speaker === me) void this.speak('en');
      });
    });
  }

  /** A local day and time (ISO 8601 without a zone) for reading. */
  when(local: string): string {
    return whenIn(local, this.form());
  }

  /** A day (ISO) for reading, without its year. */
  day(day: string): string {
    return new Intl.DateTimeFormat(this.form(), { day: 'numeric', month: 'long' }).format(parseISO(day));
  }

  /** How many days there are until a local day: "tomorrow", "in 3 days". */
  soon(at: string, now: string): string {
    return howSoon(at, now, this.language());
  }

  /** Things one after the other: "Corin, Nessa and Ysolde". */
  list(things: readonly string[]): string {
    return new Intl.ListFormat(this.language() === 'en' ? 'en-GB' : this.language(), { type: 'conjunction' }).format(
      things,
    );
  }

  /** English is written as the browser is set to write it. */
  private form(): string {
    return this.language() === 'en' ? navigator.language : this.language();
  }
}

/** For a part of the desk: says its texts. To be called where it is made. */
export const saying = (): Sayer => inject(Say).text;

export type { Language, Plain };
