import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  contentChildren,
  Directive,
  input,
  output,
} from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Select } from 'primeng/select';
import { controlled } from './controlled';
import { asControl, OfForm } from './of-form';

/** One thing to choose in `lv-select`; with `group`, it stands under that heading. */
@Directive({ selector: 'lv-option' })
export class Option<T> {
  readonly value = input.required<T>();
  readonly label = input.required<string | number>();
  readonly group = input<string>();
}

let made = 0;

/**
 * One of several, under a label:
 * `<lv-select label="Class" [value]="kept" (chosen)="keep($event)"><lv-option value="" label="none" />…</lv-select>`.
 * With a `placeholder` and no value it is a list of things to do: it goes back to the placeholder.
 */
@Component({
  selector: 'lv-select',
  imports: [ReactiveFormsModule, Select],
  providers: [asControl(() => SelectField)],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span [id]="id" [class.sr]="hideLabel()">{{ label() }}</span>
    <p-select
      [options]="options()"
      [group]="isGrouped()"
      optionLabel="label"
      optionValue="value"
      optionGroupChildren="options"
      [formControl]="shown.control"
      [placeholder]="placeholder()"
      [ariaLabelledBy]="id"
      appendTo="body"
      [focusOnHover]="true"
      [autoOptionFocus]="false"
      (onChange)="choose($event.value)"
      (onBlur)="touched()"
      [pt]="said"
    />
  `,
  styleUrl: './field.css',
  styles: `
    :host(.inline) {
      display: inline-flex;
      align-items: center;
      gap: 8px;
    }
  `,
})
export class SelectField<T> extends OfForm<T> {
  readonly label = input.required<string>();
  /** The label is read out, and not seen. */
  readonly hideLabel = input(false, { transform: booleanAttribute });
  /** What is kept; left out where the field is a control of a form. */
  readonly value = input<T>();
  readonly placeholder = input('');
  readonly disabled = input(false, { transform: booleanAttribute });
  readonly chosen = output<T>();

  /** What opens the list is the field itself: its mark is for the eye only. */
  protected readonly said = { dropdown: { role: 'presentation', 'aria-hidden': 'true' } };
  protected readonly id = `select-${++made}`;
  protected readonly shown = controlled(
    computed(() => (this.value() === undefined ? this.written() : this.value())),
    computed(() => this.disabled() || this.isOff()),
  );
  private readonly given = contentChildren<Option<T>>(Option);
  protected readonly isGrouped = computed(() => this.given().some((o) => o.group() !== undefined));
  protected readonly options = computed(() => {
    const all = this.given().map((o) => ({ value: o.value(), label: String(o.label()), group: o.group() ?? '' }));
    if (!this.isGrouped()) return all;
    return [...new Set(all.map((o) => o.group))].map((label) => ({
      label,
      options: all.filter((o) => o.group === label),
    }));
  });

  protected choose(value: T): void {
    this.changed(value);
    this.chosen.emit(value);
    this.shown.show();
  }
}

/** For the imports of a part with an `lv-select`. */
export const SELECT = [SelectField, Option] as const;
