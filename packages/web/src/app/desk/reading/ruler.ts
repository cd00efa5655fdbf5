import { afterNextRender, ChangeDetectionStrategy, Component, effect, inject, input, signal } from '@angular/core';
import { Reader } from './reader';

/** How many px are added above and below the line. */
const ROOM = 6;

/** A band over the line that is read: it goes with what is said, with the pointer, and with the field that is written in. */
@Component({
  selector: 'lv-ruler',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (at(); as a) {
    <div class="band" [class.shade]="kind() === 'shade'" [style.top.px]="a.top" [style.height.px]="a.height"></div>
  }`,
  styles: `
    .band {
      position: fixed;
      z-index: 1;
      left: 0;
      right: 0;
      pointer-events: none;
      border-block: 2px solid var(--accent);
      background: color-mix(in srgb, var(--accent) 10%, transparent);
    }
    .shade {
      background: none;
      box-shadow: 0 0 0 100vmax color-mix(in srgb, var(--paper) 82%, transparent);
    }
  `,
  host: {
    'aria-hidden': 'true',
    '(window:pointermove)': 'to($event.clientY)',
    '(window:pointerdown)': 'to($event.clientY)',
    '(window:focusin)': 'toField($event.target)',
    '(window:scroll)': 'reader.follow()',
  },
})
export class Ruler {
  readonly kind = input.required<'band' | 'shade'>();
  /** Height of a line in px. */
  readonly lineHeight = input(30);
  protected readonly reader = inject(Reader);
  protected readonly at = signal<{ readonly top: number; readonly height: number } | null>(null);

  constructor() {
    // Until somebody points anywhere, it lies in the upper part.
    afterNextRender(() => {
      if (!this.at()) this.to(innerHeight / 3);
    });
    effect(() => {
      const line = this.reader.line();
      if (line) this.at.set({ top: line.top - ROOM, height: line.height + 2 * ROOM });
    });
  }

  protected to(y: number): void {
    // While it is read aloud the band goes with the voice.
    if (this.reader.isPlaying()) return;
    const height = this.lineHeight() + 2 * ROOM;
    this.at.set({ top: y - height / 2, height });
  }

  protected toField(target: EventTarget | null): void {
    if (!(target instanceof HTMLElement) || this.reader.isPlaying() || !target.closest('main')) return;
    const { top, height } = target.getBoundingClientRect();
    if (height > 0 && height < 200) this.at.set({ top: top - ROOM, height: height + 2 * ROOM });
  }
}
