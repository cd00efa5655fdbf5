import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { type Comfort, PLAIN_COMFORT, type Tool, type Tools } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { HOME_LANGUAGES } from '../platform/home-language';
import { CheckBox } from '../ui/controls/check';
import { NumberField } from '../ui/controls/number';
import { SELECT } from '../ui/controls/select';
import { Several } from '../ui/controls/several';
import {
  COLOUR_NAMES,
  PAGE_SWITCHES,
  RULER_NAMES,
  type Slider,
  SLIDERS,
  SPEED,
  TOOL_NAMES,
  WORD_SWITCHES,
} from '../ui/comfort-tools';
import { LANGUAGES } from '../ui/say/tables';

const NUMBERS = [...SLIDERS, SPEED];
const CHECKS = [...WORD_SWITCHES, ...PAGE_SWITCHES];
/** The typefaces as they are called elsewhere. */
const FONTS: Readonly<Record<Comfort['font'], string>> = {
  hyperlegible: 'Clear (Atkinson Hyperlegible)',
  lexend: 'Wide (Lexend)',
  andika: 'School (Andika)',
  opendyslexic: 'OpenDyslexic',
  serif: 'Book (Literata)',
};

/**
 * How the desk is when the learner first sits down at it, and what of it is theirs to change. What they set stays, but
 * for what is fixed or taken away here.
 */
@Component({
  selector: 'lv-card-desk',
  imports: [ButtonDirective, CheckBox, NumberField, Several, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (own()) {
      <p class="small">The learner has set it at the desk: that counts, but for what is fixed.</p>
    }
    <div class="two">
      <lv-select label="Letters" [value]="shown().font" (chosen)="set({ font: $event })">
        @for (f of fonts; track f.key) {
          <lv-option [value]="f.key" [label]="f.name" />
        }
      </lv-select>
      <lv-select label="Colours" [value]="shown().colours" (chosen)="set({ colours: $event })">
        @for (c of colours; track c.key) {
          <lv-option [value]="c.key" [label]="c.name" />
        }
      </lv-select>
      @if (shown().colours === 'own') {
        <label class="field"
          >Paper <input type="color" #ground [value]="shown().ground" (change)="set({ ground: ground.value })"
        /></label>
        <label class="field"
          >Letters’ colour <input type="color" #ink [value]="shown().ink" (change)="set({ ink: ink.value })"
        /></label>
      }
      @for (n of numbers; track n.field) {
        <lv-number
          [label]="n.says"
          [value]="shown()[n.field]"
          [min]="n.min"
          [max]="n.max"
          [step]="n.step"
          (told)="setNumber(n.field, $event)"
        />
      }
      <lv-select label="Reading ruler" [value]="shown().ruler" (chosen)="set({ ruler: $event })">
        @for (r of rulers; track r.key) {
          <lv-option [value]="r.key" [label]="r.name" />
        }
      </lv-select>
      <lv-select
        label="Language of the desk"
        [value]="shown().language"
        (chosen)="set(shown().home || $event === 'en' ? { language: $event } : { language: $event, home: $event })"
      >
        <lv-option value="" label="as chosen at the door" />
        @for (l of speaks; track l.code) {
          <lv-option [value]="l.code" [label]="l.name" />
        }
      </lv-select>
      <lv-select label="Language at home" [value]="shown().home" (chosen)="set({ home: $event })">
        <lv-option value="" label="none" />
        @for (l of languages; track l.code) {
          <lv-option [value]="l.code" [label]="l.name" />
        }
      </lv-select>
    </div>
    <div class="two">
      @for (k of checks; track k.tool) {
        <lv-check [on]="shown()[k.tool]" (turned)="turn(k.tool, $event)">{{ k.says }}</lv-check>
      }
    </div>
    <lv-several
      label="Fixed as set here"
      placeholder="nothing: the learner may change all"
      [options]="all"
      [value]="fixed()"
      (told)="settle('fixed', $event)"
    />
    <lv-several
      label="Not on this learner’s desk"
      placeholder="nothing: all is offered"
      [options]="all"
      [value]="hidden()"
      (told)="settle('hidden', $event)"
    />
    @if (comfort()) {
      <button pButton severity="secondary" text type="button" (click)="changed.emit(null)">As usual</button>
    }
  `,
  styleUrl: './card-part.css',
})
export class CardDesk {
  readonly comfort = input.required<Comfort | null>();
  readonly tools = input<Tools>({});
  /** Whether the learner has comfort of their own. */
  readonly own = input(false);
  readonly changed = output<Comfort | null>();
  readonly settled = output<Tools>();
  protected readonly numbers = NUMBERS;
  protected readonly checks = CHECKS;
  protected readonly languages = HOME_LANGUAGES;
  protected readonly speaks = LANGUAGES;
  protected readonly fonts = entriesOf(FONTS);
  protected readonly colours = entriesOf({ ...COLOUR_NAMES, own: 'Others' });
  protected readonly rulers = entriesOf(RULER_NAMES);
  protected readonly all = (Object.keys(TOOL_NAMES) as Tool[]).map((id) => ({ id, label: TOOL_NAMES[id] }));
  protected readonly shown = computed(() => this.comfort() ?? PLAIN_COMFORT);
  protected readonly fixed = computed(() => this.are('fixed'));
  protected readonly hidden = computed(() => this.are('hidden'));

  protected set(patch: Partial<Comfort>): void {
    this.changed.emit({ ...this.shown(), ...patch });
  }

  protected setNumber(field: Slider['field'], n: number | null): void {
    if (n !== null) this.set({ [field]: n });
  }

  protected turn(field: (typeof CHECKS)[number]['tool'], on: boolean): void {
    this.set({ [field]: on });
  }

  /** What is settled in one way is so in no other. */
  protected settle(as: 'fixed' | 'hidden', ids: readonly string[]): void {
    const others = Object.entries(this.tools()).filter(([tool, how]) => how !== as && !ids.includes(tool));
    this.settled.emit({ ...Object.fromEntries(others), ...Object.fromEntries(ids.map((id) => [id, as])) });
  }

  private are(as: 'fixed' | 'hidden'): string[] {
    return this.all.flatMap(({ id }) => (this.tools()[id] === as ? [id] : []));
  }
}

const entriesOf = <K extends string>(of: Readonly<Record<K, string>>): { key: K; name: string }[] =>
  (Object.keys(of) as K[]).map((key) => ({ key, name: of[key] }));
