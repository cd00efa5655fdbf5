import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { type Comfort, PLAIN_COMFORT, type Tool, type Tools } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { HOME_LANGUAGES } from '../platform/home-language';
import { CheckBox } from '../ui/controls/check';
import { NumberField } from '../ui/controls/number';
import { SELECT } from '../ui/controls/select';
import { Several } from '../ui/controls/several';

const NUMBERS = [
  { field: 'size', says: 'Size of letters', min: 16, max: 40, step: 1 },
  { field: 'spacing', says: 'Space between lines', min: 1, max: 2.5, step: 0.1 },
  { field: 'letters', says: 'Space between letters', min: 0, max: 0.3, step: 0.02 },
  { field: 'words', says: 'Space between words', min: 0, max: 1, step: 0.1 },
  { field: 'width', says: 'Letters to a line', min: 25, max: 90, step: 1 },
  { field: 'speed', says: 'Speed of reading aloud', min: 0.5, max: 2, step: 0.1 },
] as const;
const CHECKS = [
  { field: 'parts', says: 'Words in their parts' },
  { field: 'kinds', says: 'Kinds of word' },
  { field: 'alone', says: 'Only this question' },
  { field: 'scroll', says: 'All pages below each other' },
  { field: 'plain', says: 'Less on the page' },
  { field: 'large', says: 'Larger buttons' },
  { field: 'left', says: 'For the left hand' },
  { field: 'calm', says: 'Nothing moves' },
] as const;
/** What there is at the desk, as the teacher calls it. */
const TOOL_SAYS: Readonly<Record<Tool, string>> = {
  letters: 'Letters',
  size: 'Size',
  spaces: 'Spaces and lines',
  colours: 'Colours',
  ruler: 'Reading ruler',
  alone: 'Only this question',
  scroll: 'All pages below each other',
  plain: 'Less on the page',
  aloud: 'Reading aloud',
  parts: 'Words in their parts',
  kinds: 'Kinds of word',
  meaning: 'Word help',
  home: 'Language at home',
  speak: 'Answers by speaking',
  calm: 'Nothing moves',
  large: 'Larger buttons',
  left: 'For the left hand',
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
        <lv-option value="hyperlegible" label="Clear (Atkinson Hyperlegible)" />
        <lv-option value="lexend" label="Wide (Lexend)" />
        <lv-option value="andika" label="School (Andika)" />
        <lv-option value="opendyslexic" label="OpenDyslexic" />
        <lv-option value="serif" label="Book (Literata)" />
      </lv-select>
      <lv-select label="Colours" [value]="shown().colours" (chosen)="set({ colours: $event })">
        <lv-option value="paper" label="Paper" />
        <lv-option value="cream" label="Cream" />
        <lv-option value="mist" label="Mist" />
        <lv-option value="night" label="Night" />
        <lv-option value="own" label="Others" />
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
        <lv-option value="none" label="none" />
        <lv-option value="band" label="a band" />
        <lv-option value="shade" label="the rest is pale" />
      </lv-select>
      <lv-select label="Language at home" [value]="shown().home" (chosen)="set({ home: $event })">
        <lv-option value="" label="none" />
        @for (l of languages; track l.code) {
          <lv-option [value]="l.code" [label]="l.name" />
        }
      </lv-select>
    </div>
    <div class="two">
      @for (k of checks; track k.field) {
        <lv-check [on]="shown()[k.field]" (turned)="turn(k.field, $event)">{{ k.says }}</lv-check>
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
  protected readonly all = (Object.keys(TOOL_SAYS) as Tool[]).map((id) => ({ id, label: TOOL_SAYS[id] }));
  protected readonly shown = computed(() => this.comfort() ?? PLAIN_COMFORT);
  protected readonly fixed = computed(() => this.are('fixed'));
  protected readonly hidden = computed(() => this.are('hidden'));

  protected set(patch: Partial<Comfort>): void {
    this.changed.emit({ ...this.shown(), ...patch });
  }

  protected setNumber(field: (typeof NUMBERS)[number]['field'], n: number | null): void {
    if (n !== null) this.set({ [field]: n });
  }

  protected turn(field: (typeof CHECKS)[number]['field'], on: boolean): void {
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
