import { ChangeDetectionStrategy, Component, computed, effect, ElementRef, inject, input } from '@angular/core';
import { formulaSource } from '@lorvet/core/desk';
import { saying } from '../say/say';

/** As many lines of a long text are laid out. */
const MOST_LINES = 20;

/** How the formulas in a text look: fractions, powers and roots, line by line. Nothing where there are none. */
@Component({
  selector: 'lv-formula',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (sources().length) {
      <p class="says">{{ t('It looks like this:') }}</p>
    }
    <div></div>
  `,
  host: { 'data-quiet': '', '[hidden]': 'sources().length === 0' },
  styles: `
    :host {
      display: grid;
      gap: 4px;
      margin-top: 8px;
    }
    :host([hidden]) {
      display: none;
    }
    .says {
      font-size: 0.85em;
      color: var(--ink-2);
    }
    div {
      display: grid;
      justify-items: start;
      gap: 6px;
      overflow: auto hidden;
      padding: 4px 0;
      font-size: 1.25em;
    }
  `,
})
export class Formula {
  readonly text = input.required<string>();
  protected readonly t = saying();
  protected readonly sources = computed(() =>
    this.text()
      .split('\n')
      .slice(0, MOST_LINES)
      .flatMap((line) => formulaSource(line) ?? []),
  );

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    effect(() => {
      const sources = this.sources();
      if (sources.length === 0) {
        host.querySelector('div')?.replaceChildren();
        return;
      }
      void import('mathup').then(({ default: laidOut }) => {
        // Another text came meanwhile.
        if (sources !== this.sources()) return;
        const box = host.querySelector('div');
        box?.replaceChildren(...sources.map((s) => laidOut(s, { dir: 'ltr' }).toDOM()));
        // What is wider than there is room for is reached with the keyboard too.
        if (box) box.tabIndex = box.scrollWidth > box.clientWidth ? 0 : -1;
      });
    });
  }
}
