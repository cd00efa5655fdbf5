import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { ProgressBar } from 'primeng/progressbar';

/** How much of a whole: `<lv-share of="Storage in use" says="3 MB of 2 GB" [done]="3" [whole]="2000" />`. */
@Component({
  selector: 'lv-share',
  imports: [ProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p-progressbar
    [value]="percent()"
    [showValue]="false"
    [attr.aria-label]="of()"
    [attr.aria-valuetext]="says()"
    [pt]="NO_LEVEL"
  />`,
  styles: `
    :host {
      display: block;
      width: 220px;
    }
  `,
})
export class Share {
  /** What it is a share of, as it is read out. */
  readonly of = input.required<string>();
  readonly says = input.required<string>();
  readonly done = input.required<number>();
  readonly whole = input.required<number>();
  /** The part gives itself a level, as if it were a heading. */
  protected readonly NO_LEVEL = { root: { 'aria-level': null } };
  /** In whole percent. */
  protected readonly percent = computed(() =>
    this.whole() > 0 ? Math.min(100, Math.round((100 * this.done()) / this.whole())) : 0,
  );
}

/** How far long work is, with a way to stop it. */
@Component({
  selector: 'lv-progress',
  imports: [ButtonDirective, Share],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="row" role="status">
      <span>{{ what() }} …</span>
      @if (of() > 0) {
        <lv-share [of]="what()" [says]="done() + ' of ' + of()" [done]="done()" [whole]="of()" />
        <span class="small">{{ done() }} of {{ of() }}</span>
      }
      <button pButton severity="secondary" type="button" (click)="stopped.emit()">Stop</button>
    </p>
  `,
})
export class ProgressLine {
  readonly what = input.required<string>();
  readonly done = input(0);
  readonly of = input(0);
  readonly stopped = output();
}
