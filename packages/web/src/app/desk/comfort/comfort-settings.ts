import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { type Comfort, contrastOf, LEAST_CONTRAST, PLAIN_COMFORT, type Tool, type Tools } from '@lorvet/core/desk';
import { HOME_LANGUAGES } from '../../platform/home-language';
import { Speech } from '../../platform/speech';
import {
  COLOUR_NAMES,
  FONT_NAMES,
  PAGE_SWITCHES,
  READS_NAMES,
  RULER_NAMES,
  type Slider,
  SLIDERS,
  SPEED,
  WORD_SWITCHES,
} from '../../ui/comfort-tools';
import { Say, saying } from '../../ui/say/say';
import { LANGUAGES } from '../../ui/say/tables';
import { WORD_KINDS } from '../../platform/word-kinds';
import { coloursOf, comfortStyle, FONTS } from './comfort-style';
import { GROUNDS } from './grounds';

/** How I like to read, with a sample that shows each change at once. What the teacher fixed is seen, and what they hid is not there. */
@Component({
  selector: 'lv-comfort',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let c = comfort();
    <div class="sample" [style]="style()">
      <p>{{ t('The boat is home. Four grey gulls wait on the wall.') }}</p>
    </div>
    @if (isFixed().length) {
      <p class="small">{{ t('What is grey, your teacher has set.') }}</p>
    }
    @if (offers('language')) {
      <label class="slider"
        >{{ t('Language of the desk') }}
        <select [disabled]="fixed('language')" #language (change)="speak(asLanguage(language.value))">
          @for (l of speaks; track l.code) {
            <option [value]="l.code" [attr.lang]="l.code" [selected]="l.code === say.language()">{{ l.name }}</option>
          }
        </select>
      </label>
      @if (say.language() !== 'en') {
        <p class="small">{{ t('Nobody who grew up with this language has checked its words yet.') }}</p>
      }
    }
    @if (offers('letters')) {
      <fieldset [disabled]="fixed('letters')">
        <legend>{{ t('Letters') }}</legend>
        @for (f of fonts; track f.key) {
          <label [class.wide]="f.key === 'opendyslexic'"
            ><input type="radio" name="font" [checked]="c.font === f.key" (change)="set({ font: f.key })" /><span
              [style.font-family]="f.css"
              >{{ t(f.name) }}</span
            ></label
          >
        }
      </fieldset>
    }
    @for (s of sliders; track s.field) {
      @if (offers(s.tool)) {
        <label class="slider"
          >{{ t(s.says) }}
          <input
            type="range"
            [min]="s.min"
            [max]="s.max"
            [step]="s.step"
            [disabled]="fixed(s.tool)"
            #field
            [value]="c[s.field]"
            (input)="setNumber(s.field, field.valueAsNumber)"
        /></label>
      }
    }
    @if (offers('colours')) {
      <fieldset [disabled]="fixed('colours')">
        <legend>{{ t('Colours') }}</legend>
        @for (k of colours; track k.key) {
          <label
            ><input
              type="radio"
              name="colours"
              [checked]="c.colours === k.key"
              (change)="set({ colours: k.key })"
            /><span class="chip" [style.background]="k.ground" [style.color]="k.ink">{{ t(k.name) }}</span></label
          >
        }
        <label class="wide"
          ><input type="radio" name="colours" [checked]="c.colours === 'own'" (change)="set({ colours: 'own' })" /><span
            class="chip"
            [style.background]="own()['--surface']"
            [style.color]="own()['--ink']"
            >{{ t('My own colours') }}</span
          ></label
        >
        @if (c.colours === 'own') {
          <label
            >{{ t('Colour of the paper') }}
            <input type="color" #ground [value]="c.ground" (input)="set({ ground: ground.value })"
          /></label>
          <label
            >{{ t('Colour of the letters') }}
            <input type="color" #ink [value]="c.ink" (input)="set({ ink: ink.value })"
          /></label>
          <p class="wide small" role="status">
            {{ t('Contrast {number} to 1.', { number: contrast() }) }}
            @if (wasHeld()) {
              {{ t('The letters are made stronger than you chose, so that they can be read.') }}
            }
          </p>
        }
      </fieldset>
    }
    @if (offers('ruler')) {
      <fieldset [disabled]="fixed('ruler')">
        <legend>{{ t('Reading ruler') }}</legend>
        @for (r of rulers; track r.key) {
          <label
            ><input type="radio" name="ruler" [checked]="c.ruler === r.key" (change)="set({ ruler: r.key })" />{{
              t(r.name)
            }}</label
          >
        }
      </fieldset>
    }
    @if (offersAny(reading) || offers('aloud') || offers('home')) {
      <fieldset>
        <legend>{{ t('Words') }}</legend>
        @for (r of reading; track r.tool) {
          @if (offers(r.tool) && (r.tool !== 'symbols' || hasPictures())) {
            <label class="wide"
              ><input type="checkbox" [checked]="c[r.tool]" [disabled]="fixed(r.tool)" (change)="turn(r.tool)" />{{
                t(r.says)
              }}</label
            >
          }
        }
        @if (offers('kinds') && c.kinds) {
          <ul class="wide kinds" [attr.aria-label]="t('How the kinds of word are marked')">
            @for (k of kinds; track k.kind) {
              <li>
                <span [class]="k.kind">{{ t(k.name) }}</span>
              </li>
            }
          </ul>
        }
        @if (offers('home')) {
          <label class="wide slider"
            >{{ t('Language at home') }}
            <select [disabled]="fixed('home')" #home [value]="c.home" (change)="set({ home: home.value })">
              <option value="">{{ t('none') }}</option>
              @for (l of languages; track l.code) {
                <option [value]="l.code" [attr.lang]="l.code">{{ l.name }}</option>
              }
            </select>
          </label>
        }
        @if (offers('aloud')) {
          <label class="wide slider"
            >{{ t('How much is read at a press') }}
            <select [disabled]="fixed('aloud')" #much (change)="set({ reads: asReads(much.value) })">
              @for (r of reads; track r.key) {
                <option [value]="r.key" [selected]="r.key === c.reads">{{ t(r.name) }}</option>
              }
            </select>
          </label>
          <label class="wide slider"
            >{{ t(speed.says) }}
            <input
              type="range"
              [min]="speed.min"
              [max]="speed.max"
              [step]="speed.step"
              [disabled]="fixed('aloud')"
              #fast
              [value]="c.speed"
              (input)="set({ speed: fast.valueAsNumber })"
          /></label>
        }
        @if (offers('aloud') && speech.voices().length) {
          <label class="wide slider"
            >{{ t('Voice') }}
            <select [disabled]="fixed('aloud')" #voice [value]="c.voice" (change)="set({ voice: voice.value })">
              <option value="">{{ t('the first that fits') }}</option>
              @for (v of speech.voices(); track v.name) {
                <option [value]="v.name">{{ v.name }}</option>
              }
            </select>
          </label>
        }
      </fieldset>
    }
    @if (offersAny(page)) {
      <fieldset>
        <legend>{{ t('The page') }}</legend>
        @for (p of page; track p.tool) {
          @if (offers(p.tool)) {
            <label class="wide"
              ><input type="checkbox" [checked]="c[p.tool]" [disabled]="fixed(p.tool)" (change)="turn(p.tool)" />{{
                t(p.says)
              }}</label
            >
          }
        }
      </fieldset>
    }
    <button class="btn" type="button" (click)="changed.emit(start())">{{ t('As at first') }}</button>
  `,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    .sample {
      position: sticky;
      top: 0;
      z-index: 1;
      max-height: 190px;
      overflow: hidden;
      padding: 10px 14px;
      border: 2px solid var(--line-strong);
      border-radius: var(--r);
      background: var(--surface);
      color: var(--ink);
      font-family: var(--desk-font);
      font-size: var(--desk-size);
      line-height: var(--desk-line);
      letter-spacing: var(--desk-letters);
      word-spacing: var(--desk-words);
    }
    .sample p {
      max-width: var(--desk-width);
    }
    fieldset {
      margin: 0;
      padding: 6px 10px;
      border: 1px solid var(--line-strong);
      border-radius: var(--r);
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 7.6em), 1fr));
      min-width: 0;
    }
    fieldset:disabled,
    label:has(:disabled) {
      color: var(--ink-2);
      font-style: italic;
    }
    label {
      display: flex;
      align-items: center;
      gap: 8px;
      min-height: 44px;
    }
    .wide {
      grid-column: 1 / -1;
    }
    .slider {
      display: grid;
      gap: 0;
    }
    select {
      min-height: 44px;
      min-width: 0;
      width: 100%;
      border: 1px solid var(--line-strong);
      border-radius: var(--r);
      background: var(--surface);
    }
    input[type='range'] {
      width: 100%;
      height: 30px;
      accent-color: var(--accent);
    }
    input[type='color'] {
      width: 52px;
      height: 40px;
      padding: 2px;
      border: 1px solid var(--line-strong);
      background: var(--surface);
    }
    .kinds {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 16px;
      padding-bottom: 8px;
    }
    .noun {
      text-decoration: underline solid 2px var(--accent);
    }
    .verb {
      text-decoration: underline double 2px var(--moss);
    }
    .adjective {
      text-decoration: underline dotted 3px var(--ochre);
    }
    .adverb {
      text-decoration: underline wavy 2px var(--ink);
    }
    .kinds span {
      text-underline-offset: 3px;
    }
    .chip {
      padding: 2px 10px;
      border: 1px solid var(--line-strong);
      border-radius: 5px;
    }
    .btn {
      min-height: 46px;
    }
  `,
})
export class ComfortSettings {
  protected readonly t = saying();
  readonly comfort = input.required<Comfort>();
  /** What the teacher settled, and what it is to be at first. */
  readonly tools = input<Tools>({});
  /** Whether the sheet has pictures for its words. */
  readonly hasPictures = input(false);
  readonly start = input<Comfort>(PLAIN_COMFORT);
  /** What is another now: two quick presses must not undo each other. */
  readonly changed = output<Partial<Comfort>>();
  protected readonly speech = inject(Speech);
  protected readonly fonts = keysOf(FONT_NAMES).map((key) => ({ key, name: FONT_NAMES[key], css: FONTS[key] }));
  protected readonly colours = keysOf(GROUNDS).map((key) => ({
    key,
    name: COLOUR_NAMES[key],
    ground: GROUNDS[key]['--surface'],
    ink: GROUNDS[key]['--ink'],
  }));
  protected readonly sliders = SLIDERS;
  protected readonly reading = WORD_SWITCHES;
  protected readonly page = PAGE_SWITCHES;
  protected readonly speed = SPEED;
  protected readonly speaks = LANGUAGES;
  protected readonly say = inject(Say);
  protected readonly reads = keysOf(READS_NAMES).map((key) => ({ key, name: READS_NAMES[key] }));
  protected readonly languages = HOME_LANGUAGES;
  protected readonly kinds = WORD_KINDS;
  protected readonly rulers = keysOf(RULER_NAMES).map((key) => ({ key, name: RULER_NAMES[key] }));
  protected readonly style = computed(() => comfortStyle(this.comfort()));
  protected readonly isFixed = computed(() => Object.values(this.tools()).filter((t) => t === 'fixed'));
  protected readonly own = computed(() => coloursOf({ ...this.comfort(), colours: 'own' }));
  protected readonly contrast = computed(() => {
    const own = this.own();
    return contrastOf(own['--ink'] ?? '', own['--surface'] ?? '').toFixed(1);
  });
  protected readonly wasHeld = computed(() => contrastOf(this.comfort().ink, this.comfort().ground) < LEAST_CONTRAST);

  protected offers(tool: Tool): boolean {
    return this.tools()[tool] !== 'hidden';
  }

  protected offersAny(list: readonly { readonly tool: Tool }[]): boolean {
    return list.some((x) => this.offers(x.tool));
  }

  protected fixed(tool: Tool): boolean {
    return this.tools()[tool] === 'fixed';
  }

  protected asReads(value: string): Comfort['reads'] {
    return value === 'part' || value === 'sentence' ? value : 'all';
  }

  /** Who has the desk in a language is likely to speak it at home: the words of the sheet are offered in it too. */
  protected speak(language: Comfort['language']): void {
    const isProposed = language !== 'en' && !this.comfort().home && this.offers('home') && !this.fixed('home');
    this.set(isProposed ? { language, home: language } : { language });
  }

  protected asLanguage(value: string): Comfort['language'] {
    return LANGUAGES.find((l) => l.code === value)?.code ?? '';
  }

  protected set(patch: Partial<Comfort>): void {
    this.changed.emit(patch);
  }

  protected setNumber(field: Slider['field'], value: number): void {
    this.set({ [field]: value });
  }

  protected turn(field: (typeof WORD_SWITCHES | typeof PAGE_SWITCHES)[number]['tool']): void {
    this.set({ [field]: !this.comfort()[field] });
  }
}

const keysOf = <K extends string>(of: Readonly<Record<K, unknown>>): K[] => Object.keys(of) as K[];
