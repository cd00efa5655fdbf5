import { booleanAttribute, ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Checkbox } from 'primeng/checkbox';
import { controlled } from './controlled';
import { asControl, OfForm } from './of-form';

/** A box to tick with its words: `<lv-check [on]="kept" (turned)="keep($event)">Keep it</lv-check>`. */
@Component({
  selector: 'lv-check',
  imports: [Checkbox, ReactiveFormsModule],
  providers: [asControl(() => CheckBox)],
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
export class CheckBox extends OfForm<boolean> {
  /** What is kept; left out where the box is a control of a form. */
  readonly on = input<boolean>();
  readonly disabled = input(false, { transform: booleanAttribute });
  /** What it was turned to; it shows `on` again if that stays as it was. */
  readonly turned = output<boolean>();
  protected readonly shown = controlled(
    computed(() => this.on() ?? this.written() ?? false),
    computed(() => this.disabled() || this.isOff()),
  );

  protected turn(on: boolean): void {
    this.changed(on);
    this.turned.emit(on);
    this.shown.show();
  }
}
