import { ChangeDetectionStrategy, Component, computed, inject, input, resource } from '@angular/core';
import { HOME_LANGUAGES, HomeLanguage } from '../../platform/home-language';
import { wordsOf } from '../../platform/word-text';
import { Reader } from './reader';
import { saying } from '../../ui/say/say';

/** No more words than these are looked up for one page. */
const MOST_WORDS = 400;

/** The page in the language at home: the whole text where there is a translator, else those of its words that are known. */
@Component({
  selector: 'lv-home-text',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 [attr.lang]="code()" dir="auto">{{ name() }}</h2>
    @if (said.value(); as said) {
      @if (said.texts.length) {
        @for (text of said.texts; track $index) {
          <p dir="auto" [attr.lang]="code()">{{ text }}</p>
        }
      } @else {
        <p class="small">
          {{ t('Words of this page, from a small list for trying out. It knows no whole texts.') }}
        </p>
        <dl>
          @for (w of said.words; track w.word) {
            <div>
              <dt>{{ w.word }}</dt>
              <dd dir="auto" [attr.lang]="code()">{{ w.text }}</dd>
            </div>
          } @empty {
            <p>{{ t('None of the words of this page is in the list.') }}</p>
          }
        </dl>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    h2 {
      font-size: 1.2em;
    }
    dl {
      display: grid;
      gap: 4px;
    }
    dl > div {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 10px;
      padding: 4px 8px;
      border-bottom: 1px solid var(--line);
    }
    dt {
      font-weight: 700;
    }
  `,
})
export class HomeText {
  protected readonly t = saying();
  readonly code = input.required<string>();
  /** Changes with the page that is shown. */
  readonly page = input('');
  private readonly reader = inject(Reader);
  private readonly languages = inject(HomeLanguage);
  protected readonly name = computed(() => HOME_LANGUAGES.find((l) => l.code === this.code())?.name ?? this.code());
  protected readonly said = resource({
    params: () => ({ to: this.code(), page: this.page() }),
    loader: async ({ params: { to } }) => {
      const units = this.reader.units().filter((u) => u.lang === 'en');
      const whole = await this.languages.hasTexts(to);
      const texts = whole ? await Promise.all(units.map((u) => this.languages.text(u.text, to))) : [];
      const words = new Set(units.flatMap((u) => wordsOf(u).map((w) => u.text.slice(w.from, w.to).toLowerCase())));
      const found = whole
        ? []
        : await Promise.all(
            [...words].slice(0, MOST_WORDS).map(async (word) => {
              const said = await this.languages.word(word, to);
              return said ? [{ word, text: said.text }] : [];
            }),
          );
      return { texts: texts.flatMap((t) => (t ? [t.text] : [])), words: found.flat() };
    },
  });
}
