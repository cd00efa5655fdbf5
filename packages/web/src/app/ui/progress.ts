import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { ButtonDirective } from 'primeng/button';

/** How far long work is, with a way to stop it. */
@Component({
  selector: 'lv-progress',
  imports: [ButtonDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="row" role="status">
      <span>{{ what() }} …</span>
      @if (of() > 0) {
        <progress [value]="done()" [max]="of()" [attr.aria-label]="what()"></progress>
        <span class="small">{{ done() }} of {{ of() }}</span>
      }
      <button pButton severity="secondary" type="button" (click)="stopped.emit()">Stop</button>
    </p>
  `,
  styles: `
    progress {
      width: 220px;
      accent-color: var(--accent);
    }
  `,
})
export class ProgressLine {
  readonly what = input.required<string>();
  readonly done = input(0);
  readonly of = input(0);
  readonly stopped = output();
}
