import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  Directive,
  ElementRef,
  inject,
  input,
  output,
} from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { ProgressBar } from 'primeng/progressbar';

/** The part gives itself a level, as if it were a heading, anew with each value: it is taken from it as it comes. */
@Directive({ selector: 'p-progressbar' })
export class NoLevel {
  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    const watcher = new MutationObserver(() => host.removeAttribute('aria-level'));
    watcher.observe(host, { attributeFilter: ['aria-level'] });
    inject(DestroyRef).onDestroy(() => watcher.disconnect());
  }
}

/** How much of a whole: `<lv-share of="Storage in use" says="3 MB of 2 GB" [done]="3" [whole]="2000" />`. */
@Component({
  selector: 'lv-share',
  imports: [NoLevel, ProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p-progressbar
    [value]="percent()"
    [showValue]="false"
    [attr.aria-label]="of()"
    [attr.aria-valuetext]="says()"
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
