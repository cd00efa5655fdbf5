import { DestroyRef, DOCUMENT, inject, Injectable } from '@angular/core';
import { isTyping } from './keys';

/** Keys older than this were not meant for what opens now. */
const RECENT_MS = 3000;

const ENTER = '\n';

/** Where Enter presses something, and letters look for nothing. */
const PRESSED = 'body, button:not([role]), a[href]';

const isRecent = (at: number): boolean => performance.now() - at < RECENT_MS;

/**
 * What is typed before the field that it is meant for is there: whoever presses a button and writes at once finds the
 * first letters in the field, and Enter after them is pressed there; what follows it waits for the next field. Keys that
 * go into a field, that are a shortcut or that press something are not kept.
 */
@Injectable({ providedIn: 'root' })
export class TypedAhead {
  private text = '';
  private last = 0;
  /** Whether the space that is held down stands between words. */
  private isWord = false;
  /** When something was pressed that may open a field. */
  private pressed = -RECENT_MS;

  constructor() {
    const document = inject(DOCUMENT);
    const over = new AbortController();
    const first = { capture: true, signal: over.signal };
    document.addEventListener('click', (event) => this.clicked(event), first);
    document.addEventListener('keydown', (event) => this.keyed(event), first);
    document.addEventListener('keyup', (event) => this.released(event), first);
    inject(DestroyRef).onDestroy(() => over.abort());
  }

  /** The letters that were typed since the last press; asked for once. */
  take(): string {
    const text = isRecent(this.last) ? this.text : '';
    this.text = '';
    this.pressed = -RECENT_MS;
    return text;
  }

  /** Moves into a field, with what was typed for it. */
  into(field: HTMLElement): void {
    field.focus();
    const typed = this.take();
    if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) || !isTyping({ target: field }))
      return;
    if (typed === '') return;
    const end = field instanceof HTMLInputElement ? typed.indexOf(ENTER) : -1;
    const next = field.value + (end < 0 ? typed : typed.slice(0, end));
    field.value = field.maxLength >= 0 ? next.slice(0, field.maxLength) : next;
    field.dispatchEvent(new Event('input', { bubbles: true }));
    if (end < 0) return;
    this.text = typed.slice(end + 1);
    this.pressed = performance.now();
    // Once what it says is on the page: what closes before it stands is not closed well.
    setTimeout(() => {
      const enter = new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true });
      if (field.dispatchEvent(enter)) field.form?.requestSubmit();
    });
  }

  private clicked(event: Event): void {
    // What a script presses is part of what was begun.
    if (event.isTrusted) this.text = '';
    this.pressed = performance.now();
  }

  private keyed(event: KeyboardEvent): void {
    const { key } = event;
    if (isTyping(event)) {
      // What is sent may open something as well.
      if (key === 'Enter') this.pressed = performance.now();
      return;
    }
    if (!isRecent(this.last)) this.text = '';
    this.last = performance.now();
    const isCommand = event.ctrlKey || event.metaKey;
    if (isCommand && key !== 'Control' && key !== 'Meta') this.pressed = performance.now();
    if (isCommand || event.altKey || key === 'Escape' || key === 'Tab') this.text = '';
    else if (key === 'Backspace') this.text = this.text.slice(0, -1);
    else if (key === 'Enter') this.entered(event);
    else if (key.length === 1) {
      if (key === ' ') this.spaced(event);
      this.text += key;
    }
  }

  /** A space between words that are typed ahead does not press the button that has the focus still. */
  private spaced(event: KeyboardEvent): void {
    this.isWord = this.isMeantForNext(event);
    if (this.isWord) event.preventDefault();
  }

  private released(event: KeyboardEvent): void {
    if (event.key !== ' ' || !this.isWord) return;
    this.isWord = false;
    event.preventDefault();
  }

  private isMeantForNext(event: KeyboardEvent): boolean {
    return (
      this.text !== '' && isRecent(this.pressed) && event.target instanceof Element && event.target.matches(PRESSED)
    );
  }

  /** After letters for a field that is about to open it is meant for that field too, and not for what has the focus yet. */
  private entered(event: KeyboardEvent): void {
    if (!this.isMeantForNext(event)) return;
    this.text += ENTER;
    event.preventDefault();
    event.stopPropagation();
  }
}
