import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RadioButton } from 'primeng/radiobutton';
import { controlled } from './controlled';

let made = 0;

/** One of a few, all seen: a question and its answers. */
@Component({
  selector: 'lv-radios',
  imports: [RadioButton, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend>{{ legend() }}</legend>
      @for (o of options(); track o.id) {
        <label class="check"
          ><p-radiobutton
            [name]="name"
            [value]="o.id"
            [formControl]="shown.control"
            [disabled]="!!o.why"
            (onClick)="chosen.emit(o.id); shown.show()"
          /><span
            >{{ o.label }}
            @if (o.why) {
              <small>{{ o.why }}</small>
            }
          </span></label
        >
      }
    </fieldset>
  `,
  styles: `
    small {
      display: block;
      color: var(--ink-2);
    }
  `,
})
export class Radios {
  readonly legend = input.required<string>();
  /** One with a `why` cannot be chosen, and says so. */
  readonly options =
    input.required<readonly { readonly id: string; readonly label: string; readonly why?: string }[]>();
  readonly value = input.required<string>();
  readonly chosen = output<string>();
  protected readonly name = `radios-${++made}`;
  protected readonly shown = controlled(this.value);
}
