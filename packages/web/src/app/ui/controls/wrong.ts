import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import type { AbstractControl } from '@angular/forms';
import { map, startWith, switchMap } from 'rxjs';

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
