import { Injectable } from '@angular/core';

/**
 * Whether the page is being pressed. What makes a page longer or shorter waits until it no longer is: what is pressed
 * would move from under the pointer, and the press be lost.
 */
@Injectable({ providedIn: 'root' })
export class Press {
  private isDown = false;
  private waiting: (() => void)[] = [];

  constructor() {
    const up = () => {
      this.isDown = false;
      // The click comes after the release.
      setTimeout(() => {
        for (const work of this.waiting.splice(0)) work();
      });
    };
    document.addEventListener('pointerdown', () => (this.isDown = true), { capture: true });
    document.addEventListener('pointerup', up, { capture: true });
    document.addEventListener('pointercancel', up, { capture: true });
  }

  /** Does it at once or, while the page is being pressed, after. */
  after(work: () => void): void {
    if (this.isDown) this.waiting.push(work);
    else work();
  }
}
