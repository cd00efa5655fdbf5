import { DOCUMENT, inject, Injectable, signal } from '@angular/core';

/** That a field takes no more, said when more is typed or pasted: a browser stops without a word. */
@Injectable({ providedIn: 'root' })
export class Full {
  /** Letters that the field takes which was written in last; null where there was room. A new object each time. */
  readonly field = signal<{ readonly most: number } | null>(null);

  constructor() {
    inject(DOCUMENT).addEventListener('beforeinput', (event) => this.watch(event), { capture: true });
  }

  say(most: number): void {
    this.field.set({ most });
  }

  private watch(event: InputEvent): void {
    const field = event.target;
    if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) || field.maxLength < 0) return;
    if (!event.inputType.startsWith('insert')) return;
    const pasted = event.data ?? event.dataTransfer?.getData('text/plain') ?? '\n';
    const marked = (field.selectionEnd ?? 0) - (field.selectionStart ?? 0);
    if (field.value.length - marked + pasted.length > field.maxLength) this.say(field.maxLength);
    else if (this.field()) this.field.set(null);
  }
}
