import { booleanAttribute, ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { ReactiveFormsModule } from '@angular/forms';
import { InputNumber } from 'primeng/inputnumber';
import { controlled } from './controlled';
import { asControl, OfForm } from './of-form';

let made = 0;

/** A number with its ends, typed or turned by the arrow keys: `<lv-number label="Points" [value]="2" [min]="0" (told)="…" />`. */
@Component({
  selector: 'lv-number',
  imports: [InputNumber, ReactiveFormsModule],
  providers: [asControl(() => NumberField)],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id" [class.sr]="hideLabel()">{{ label() }}</label>
    <p-inputnumber
      [inputId]="id"
      [formControl]="shown.control"
      [min]="min()"
      [max]="max()"
      [step]="step()"
      [minFractionDigits]="0"
      [maxFractionDigits]="step() < 1 ? 2 : 0"
      [useGrouping]="false"
      locale="en"
      (keydown.enter)="tell()"
      (onBlur)="tell()"
    />
  `,
  styleUrl: './field.css',
})
export class NumberField extends OfForm<number | null> {
  readonly label = input.required<string>();
  readonly hideLabel = input(false, { transform: booleanAttribute });
  /** What is kept; left out where the field is a control of a form. */
  readonly value = input<number | null>();
  readonly min = input<number>();
  readonly max = input<number>();
  readonly step = input(1);
  readonly disabled = input(false, { transform: booleanAttribute });
  /** Told with each key; null where nothing stands. */
  readonly typed = output<number | null>();
  /** Told once the field is left, or at Enter. */
  readonly told = output<number | null>();

  protected readonly id = `number-${++made}`;
  protected readonly shown = controlled(
    computed(() => (this.value() === undefined ? this.written() : this.value()) ?? null),
    computed(() => this.disabled() || this.isOff()),
  );

  constructor() {
    super();
    this.shown.control.valueChanges.pipe(takeUntilDestroyed()).subscribe((n) => {
      this.changed(n);
      this.typed.emit(n);
    });
  }

  protected tell(): void {
    const n = this.shown.control.value;
    this.touched();
    if (this.value() !== undefined && n !== this.value()) this.told.emit(n);
    this.shown.show();
  }
}
