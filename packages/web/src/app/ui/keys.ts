/** Inputs in which keys write nothing. */
const WRITES_NOTHING = ['checkbox', 'radio', 'range', 'file', 'button', 'submit'];

/** Whether a key goes into a field, where shortcuts of the page must stay out of the way. */
export function isTyping(event: { readonly target: EventTarget | null }): boolean {
  const el = event.target;
  if (el instanceof HTMLInputElement) return !WRITES_NOTHING.includes(el.type);
  return el instanceof HTMLElement && (el.isContentEditable || /^(TEXTAREA|SELECT)$/.test(el.tagName));
}
