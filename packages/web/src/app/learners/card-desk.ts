import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { type Comfort, PLAIN_COMFORT } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { NumberField } from '../ui/controls/number';
import { SELECT } from '../ui/controls/select';

/** How the desk looks when the learner first sits down at it. What the learner sets then is theirs, and stays. */
@Component({
  selector: 'lv-card-desk',
  imports: [ButtonDirective, NumberField, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (own()) {
      <p class="small">The learner has set it at the desk: that counts.</p>
    }
    <div class="two">
      <lv-select label="Letters" [value]="shown().font" (chosen)="set({ font: $event })">
        <lv-option value="hyperlegible" label="Clear" />
        <lv-option value="lexend" label="Wide" />
        <lv-option value="serif" label="Book" />
      </lv-select>
      <lv-select label="Colours" [value]="shown().colours" (chosen)="set({ colours: $event })">
        <lv-option value="paper" label="Paper" />
        <lv-option value="cream" label="Cream" />
        <lv-option value="mist" label="Mist" />
        <lv-option value="night" label="Night" />
      </lv-select>
      <lv-number
        label="Size of letters"
        [value]="shown().size"
        [min]="16"
        [max]="40"
        (told)="set({ size: $event ?? shown().size })"
      />
      <lv-number
        label="Space between lines"
        [value]="shown().spacing"
        [min]="1"
        [max]="2.5"
        [step]="0.1"
        (told)="set({ spacing: $event ?? shown().spacing })"
      />
    </div>
    @if (comfort()) {
      <button pButton severity="secondary" text type="button" (click)="changed.emit(null)">As usual</button>
    }
  `,
  styleUrl: './card-part.css',
})
export class CardDesk {
  readonly comfort = input.required<Comfort | null>();
  /** Whether the learner has comfort of their own. */
  readonly own = input(false);
  readonly changed = output<Comfort | null>();
  protected readonly shown = computed(() => this.comfort() ?? PLAIN_COMFORT);

  protected set(patch: Partial<Comfort>): void {
    this.changed.emit({ ...this.shown(), ...patch });
  }
}
