import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** Lines to write on, on paper; with what was written already, where something was. */
@Component({
  selector: 'lv-ruled',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (text()) {
      <p>{{ text() }}</p>
    }
    @for (i of rows(); track i) {
      <i></i>
    }`,
  styles: `
    :host {
      display: block;
    }
    p {
      white-space: pre-wrap;
    }
    i {
      display: block;
      height: 9mm;
      border-bottom: 1px solid #000;
      break-inside: avoid;
    }
  `,
})
export class Ruled {
  readonly lines = input(3);
  readonly text = input('');
  protected readonly rows = computed(() => Array.from({ length: Math.max(0, this.lines()) }, (_, i) => i));
}
