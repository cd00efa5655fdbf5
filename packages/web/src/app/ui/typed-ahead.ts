import { DOCUMENT, inject, Injectable } from '@angular/core';
import { isTyping } from './keys';

/** Keys older than this were not meant for what opens now. */
const RECENT_MS = 1500;

/**
 * What is typed before the field that it is meant for is there: whoever presses a button and writes at once finds the
 * first letters in the field. Keys that go into a field, that are a shortcut or that press something are not kept.
 */
@Injectable({ providedIn: 'root' })
export class TypedAhead {
  private text = '';
  private last = 0;

  constructor() {
    const document = inject(DOCUMENT);
    document.addEventListener('click', () => (this.text = ''), { capture: true });
    document.addEventListener('keydown', (event) => this.keyed(event), { capture: true });
  }

  /** The letters that were typed since the last press; asked for once. */
  take(): string {
    const text = performance.now() - this.last < RECENT_MS ? this.text : '';
    this.text = '';
    return text;
  }

  /** Moves into a field, with what was typed for it. */
  into(field: HTMLElement): void {
    field.focus();
    if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) || !isTyping({ target: field }))
      return;
    const text = this.take();
    if (text === '') return;
    const next = field.value + text;
    field.value = field.maxLength >= 0 ? next.slice(0, field.maxLength) : next;
    field.dispatchEvent(new Event('input', { bubbles: true }));
  }

  private keyed(event: KeyboardEvent): void {
    if (isTyping(event)) return;
    if (event.ctrlKey || event.metaKey || event.altKey || event.key === 'Escape' || event.key === 'Tab') this.text = '';
    else if (event.key === 'Backspace') this.text = this.text.slice(0, -1);
    else if (event.key.length === 1) this.text += event.key;
    this.last = performance.now();
  }
}
