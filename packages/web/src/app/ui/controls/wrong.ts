import { ChangeDetectionStrategy, Component, computed, Directive, ElementRef, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { type AbstractControl, FormGroupDirective, NgControl } from '@angular/forms';
import { map, startWith, switchMap } from 'rxjs';
import { onceDrawn } from '../once-drawn';

/** Beside a field, what is wrong with it, once it was left or the form was sent. */
@Component({
  selector: 'lv-wrong',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'alert' },
  template: `{{ says() }}`,
  styles: `
    :host {
      display: block;
      font-size: 13px;
      color: var(--madder);
    }
    :host:empty {
      display: none;
    }
  `,
})
export class Wrong {
  readonly of = input.required<AbstractControl>();
  private readonly now = toSignal(
    toObservable(this.of).pipe(
      switchMap((c) =>
        c.events.pipe(
          startWith(null),
          map(() => (c.touched && c.errors ? String(c.errors['words'] ?? '') : '')),
        ),
      ),
    ),
    { initialValue: '' },
  );
  protected readonly says = computed(() => this.now());
}

/** A form that could not be sent leads to the first field that is wrong. */
@Directive({ selector: 'form[formGroup]', host: { '(submit)': 'lead()' } })
export class LeadsToWrong {
  private readonly form = inject(FormGroupDirective);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly onceDrawn = onceDrawn();

  protected lead(): void {
    this.onceDrawn(() => {
      if (this.form.invalid) this.host.querySelector<HTMLElement>(':is(input, textarea).ng-invalid')?.focus();
    });
  }
}

/** A field that was left, or sent, with something wrong in it is read out so. */
@Directive({
  selector: 'input[formControlName], textarea[formControlName]',
  host: { '[attr.aria-invalid]': 'control.touched && control.invalid ? true : null' },
})
export class SaidWrong {
  protected readonly control = inject(NgControl);
}

/** For the imports of a part with a form that is checked. */
export const WRONG = [Wrong, LeadsToWrong, SaidWrong] as const;
