/** Whether a key goes into a text field, where shortcuts of the page must stay out of the way. */
export function isTyping(event: Event): boolean {
  const el = event.target;
  return el instanceof HTMLElement && (el.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(el.tagName));
}
