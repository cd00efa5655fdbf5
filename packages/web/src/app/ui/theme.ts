import { Injectable, signal } from '@angular/core';
import { keepSmall } from './kept-or-let-go';

const THEME = 'lorvet-theme';

/**
 * Light or dark colours of the teacher's places: as chosen here, or as the machine has them. They are worn there only: at
 * the desk each learner's comfort says what is light and what is dark.
 */
@Injectable({ providedIn: 'root' })
export class Theme {
  readonly dark = signal(false);

  constructor() {
    const chosen =
      localStorage.getItem(THEME) ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');
    this.dark.set(chosen === 'dark');
  }

  wear(): void {
    this.show(this.dark());
  }

  takeOff(): void {
    document.documentElement.classList.remove('dark');
  }

  turn(): void {
    this.show(!this.dark());
    keepSmall(THEME, this.dark() ? 'dark' : 'light');
  }

  private show(dark: boolean): void {
    this.dark.set(dark);
    document.documentElement.classList.toggle('dark', dark);
  }
}
