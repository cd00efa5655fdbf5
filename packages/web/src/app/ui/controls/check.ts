import { booleanAttribute, ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Checkbox } from 'primeng/checkbox';
import { controlled } from './controlled';

/** A box to tick with its words: `<lv-check [on]="kept" (turned)="keep($event)">Keep it</lv-check>`. */
@Component({
  selector: 'lv-check',
  imports: [Checkbox, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<label class="check"
    ><p-checkbox binary [formControl]="shown.control" (onChange)="turn($event.checked)" /><span><ng-content /></span
  ></label>`,
  styles: `
    :host {
      display: block;
    }
    label {
      cursor: pointer;
    }
  `,
})
export class CheckBox {
  readonly on = input.required<boolean>();
  readonly disabled = input(false, { transform: booleanAttribute });
  /** What it was turned to; it shows `on` again if that stays as it was. */
  readonly turned = output<boolean>();
  protected readonly shown = controlled(this.on, this.disabled);

  protected turn(on: boolean): void {
    this.turned.emit(on);
    this.shown.show();
  }
}
