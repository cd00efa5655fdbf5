import { Directive, forwardRef, type Provider, signal, type Type } from '@angular/core';
import { type ControlValueAccessor, NG_VALUE_ACCESSOR } from '@angular/forms';

/** A field that can be a control of a form as well as show a value that another part keeps. */
@Directive()
export abstract class OfForm<T> implements ControlValueAccessor {
  /** What the form has written into it; undefined where it is no control of a form. */
  protected readonly written = signal<T | undefined>(undefined);
  protected readonly isOff = signal(false);
  protected touched: () => void = () => undefined;
  private tellForm: (value: T) => void = () => undefined;

  writeValue(value: T): void {
    this.written.set(value);
  }

  registerOnChange(tell: (value: T) => void): void {
    this.tellForm = tell;
  }

  registerOnTouched(touched: () => void): void {
    this.touched = touched;
  }

  setDisabledState(off: boolean): void {
    this.isOff.set(off);
  }

  /** The person changed it. */
  protected changed(value: T): void {
    this.written.set(value);
    this.tellForm(value);
  }
}

export const asControl = (field: () => Type<unknown>): Provider => ({
  provide: NG_VALUE_ACCESSOR,
  useExisting: forwardRef(field),
  multi: true,
});
