import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  resource,
  signal,
  untracked,
} from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import type { LearnerPackage, Tools } from '@lorvet/core/desk';
import { HOME_LANGUAGES, HomeLanguage } from '../../platform/home-language';
import { findWord, forms, meaningOf, WordList } from '../../platform/word-list';
import { partsIn } from '../../platform/word-parts';
import { Picture } from '../../ui/picture';
import { onceDrawn } from '../../ui/once-drawn';
import { rangeOf } from '../../ui/readable';
import { Reader } from './reader';
import { saying } from '../../ui/say/say';

interface Help {
  readonly meaning: string;
  /** A picture of the sheet’s own words, or one of the shipped list. */
  readonly assetId?: string | undefined;
  readonly src: string;
}

/** Beside a word that was pressed: its parts, its meaning, a picture, and the word in the language at home. */
@Component({
  selector: 'lv-word-help',
  imports: [LucideDynamicIcon, Picture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (reader.pointed(); as p) {
      <div
        class="help"
        role="dialog"
        [attr.aria-label]="t('Word help')"
        tabindex="-1"
        [style.top.px]="place().top"
        [style.left.px]="place().left"
        (keydown.escape)="$event.stopPropagation(); close()"
      >
        <div class="said" aria-live="polite">
          <p class="word" dir="auto" [attr.lang]="p.unit.lang">
            @for (part of parts.value() ?? [p.word]; track $index) {
              <span [class.other]="$index % 2">{{ part }}</span>
            }
          </p>
          @if (help.value(); as h) {
            <p class="meaning" dir="auto">
              {{ h.meaning || t('There is no meaning for this word here. Ask your teacher.') }}
            </p>
            @if (h.assetId) {
              <lv-picture [assetId]="h.assetId" alt="" />
            } @else if (h.src) {
              <img [src]="h.src" alt="" />
            }
          }
          @if (home(); as language) {
            <p class="home">
              <span>{{ language.name }}:</span>
              @if (said.value(); as said) {
                <strong dir="auto" [attr.lang]="language.code">{{ said.text }}</strong>
                @if (said.isStandIn) {
                  <small>{{ t('from a small list for trying out') }}</small>
                }
              } @else if (!said.isLoading()) {
                <span>{{ t('not in the list') }}</span>
              }
            </p>
          }
        </div>
        <div class="row">
          <button class="btn" type="button" (click)="hear()">
            <svg lucideIcon="volume-2"></svg>{{ t('Hear it') }}
          </button>
          @if (tools().aloud !== 'hidden') {
            <button class="btn" type="button" (click)="reader.readFrom(p)">
              <svg lucideIcon="play"></svg>{{ t('Read from here') }}
            </button>
          }
          <button class="btn" type="button" (click)="close()"><svg lucideIcon="x"></svg>{{ t('Close') }}</button>
        </div>
      </div>
    }
  `,
  host: { '(window:resize)': 'lay()', '(window:scroll)': 'lay()' },
  styles: `
    .help {
      position: fixed;
      z-index: 5;
      display: grid;
      gap: 8px;
      width: min(430px, calc(100vw - 16px));
      max-height: 60vh;
      overflow: auto;
      padding: 14px 18px;
      border: 2px solid var(--accent);
      border-radius: 10px;
      background: var(--surface);
      box-shadow: 0 8px 30px rgb(36 31 26 / 25%);
    }
    .said {
      display: grid;
      gap: 8px;
    }
    .word {
      font-size: 1.5em;
      font-weight: 700;
    }
    .other {
      background: var(--accent-soft);
      text-decoration: underline 3px;
    }
    .home {
      padding: 4px 10px;
      background: var(--sunken);
      border-radius: var(--r);
    }
    .home span {
      margin-inline-end: 0.4em;
    }
    .home small {
      display: block;
    }
    img,
    lv-picture {
      display: block;
      width: 110px;
      max-height: 110px;
    }
    .btn {
      min-height: 44px;
      padding: 2px 12px;
      font-size: 0.9em;
    }
  `,
})
export class WordHelp {
  protected readonly t = saying();
  readonly pages = input.required<LearnerPackage['pages']>();
  readonly homeCode = input('');
  readonly tools = input<Tools>({});
  protected readonly reader = inject(Reader);
  private readonly list = inject(WordList);
  private readonly languages = inject(HomeLanguage);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly onceDrawn = onceDrawn();
  /** What had the focus before: it has it again. */
  private before: HTMLElement | null = null;
  protected readonly place = signal({ top: 0, left: 0 });
  protected readonly home = computed(() => HOME_LANGUAGES.find((l) => l.code === this.homeCode()));

  private readonly asked = computed(() => {
    const p = this.reader.pointed();
    return p ? { word: p.word, lang: p.unit.lang } : undefined;
  });
  protected readonly parts = resource({
    params: () => this.asked(),
    loader: async ({ params }) => (await partsIn(params.lang))?.(params.word) ?? [params.word],
  });
  protected readonly help = resource({
    params: () => this.asked(),
    loader: async ({ params }): Promise<Help> => this.own(params.word) ?? (await this.shipped(params.word)),
  });
  protected readonly said = resource({
    params: () => {
      const [asked, to] = [this.asked(), this.homeCode()];
      return asked && to && !asked.lang.startsWith(to) ? { word: asked.word, to } : undefined;
    },
    loader: async ({ params }) => await this.languages.word(params.word, params.to),
  });

  constructor() {
    effect(() => {
      const p = this.reader.pointed();
      // Placed anew when what it says has come.
      void [this.help.value(), this.said.value()];
      untracked(() => {
        if (!p) return;
        const focused = document.activeElement;
        if (focused instanceof HTMLElement && !this.host.nativeElement.contains(focused)) this.before = focused;
        this.onceDrawn(() => this.lay());
      });
    });
    inject(DestroyRef).onDestroy(() => (this.before = null));
  }

  protected hear(): void {
    const p = this.reader.pointed();
    if (p) this.reader.sayOnly(`${p.word}. ${this.help.value()?.meaning ?? ''}`, p.unit.lang);
  }

  protected close(): void {
    this.reader.point(null);
    this.before?.focus();
    this.before = null;
  }

  /** Below the word, or above it where that would lie over what one presses to read; over it where nothing else is left. */
  protected lay(): void {
    const p = this.reader.pointed();
    const box = this.host.nativeElement.querySelector<HTMLElement>('.help');
    const word = p && rangeOf(p.unit, p.span)?.getBoundingClientRect();
    if (!word || !box) return;
    const { offsetWidth: width, offsetHeight: height } = box;
    const foot = this.host.nativeElement.closest('footer')?.getBoundingClientRect().top ?? innerHeight;
    const [below, above] = [word.bottom + 8, word.top - height - 8];
    const fits = (bottom: number) => below + height < bottom - 8;
    const top = fits(Math.min(foot, innerHeight)) || (above < 8 && fits(innerHeight)) ? below : Math.max(8, above);
    this.place.set({ top, left: Math.max(8, Math.min(word.left - 20, innerWidth - width - 8)) });
  }

  /** The sheet’s own list of words comes first: its teacher wrote it. */
  private own(word: string): Help | undefined {
    const entries = this.pages().flatMap((p) => p.blocks.flatMap((b) => (b.kind === 'vocabulary' ? b.entries : [])));
    const asked = forms(word);
    const found = entries.find((e) => e.meaning && asked.includes(e.word.toLowerCase()));
    return found && { meaning: found.meaning, assetId: found.assetId, src: '' };
  }

  private async shipped(word: string): Promise<Help> {
    const found = findWord(await this.list.load(), word.toLowerCase());
    if (!found) return { meaning: '', src: '' };
    return { meaning: meaningOf(found, word), src: found[2] ? `words/pictures/${found[2]}.svg` : '' };
  }
}
