/** Something on the page that can be pressed or filled in, by the name that is read out for it. */
export interface Pressable {
  readonly name: string;
  /** It is filled in, not pressed. */
  readonly isField: boolean;
  /** Whether it can be seen. Asked of few: a page that is far from sight is laid out for the answer. */
  readonly isSeen: () => boolean;
  /** Brings it into sight, with the focus on it, and presses what can be pressed. */
  readonly press: () => void;
}

const PRESSED = 'button, a[href], summary, p-accordion-header, label:has(> input[type=file])';
const FILLED = 'input:not([type=file]), textarea, [role=combobox]';
const ANY = `${PRESSED}, ${FILLED}`;
/** Longer names are the words of a block or a line of a list: these are found where they stand. */
const LONGEST = 60;
/** A place that has not come by then, or has nothing of the name, is not waited for any more. */
const PATIENCE_MS = 2500;

/** The words of an element as they are read out: without its pictures, and with a space where there is a gap. */
function wordsOf(e: Element): string {
  const words: string[] = [];
  const walker = document.createTreeWalker(e, NodeFilter.SHOW_ELEMENT | NodeFilter.SHOW_TEXT, (n) => {
    if (n instanceof Element && (n.matches('svg, kbd, small, lv-swatch') || n.getAttribute('aria-hidden') === 'true'))
      return NodeFilter.FILTER_REJECT;
    return n instanceof Element ? NodeFilter.FILTER_SKIP : NodeFilter.FILTER_ACCEPT;
  });
  for (let n = walker.nextNode(); n; n = walker.nextNode()) words.push(n.textContent ?? '');
  return words.join(' ').replace(/\s+/g, ' ').trim();
}

const nameOf = (e: HTMLElement): string => {
  const said = e.getAttribute('aria-label');
  // The labels of an element are looked for in the whole page: only of those that need one.
  const label = said === null && e.matches(FILLED) ? (e as HTMLInputElement).labels?.[0] : undefined;
  const name = said ?? (label ? wordsOf(label) : wordsOf(e) || e.getAttribute('placeholder'));
  // A name that leads to more says so by its dots.
  return (name ?? '').replace(/…$/, '').trim();
};

function canBeMeant(e: HTMLElement): boolean {
  return !e.matches(':disabled, [aria-disabled=true], [tabindex="-1"]');
}

const isSeen = (e: HTMLElement): boolean => typeof e.checkVisibility !== 'function' || e.checkVisibility();

function press(e: HTMLElement): void {
  const field = e.querySelector<HTMLElement>('input[type=file]') ?? e;
  e.scrollIntoView({ block: 'nearest' });
  field.focus();
  if (!e.matches(FILLED)) e.click();
}

/** All that can be pressed, or filled in, within a part of the page, each name once: the first of it that is seen. */
export function pressables(within: Node): Pressable[] {
  const found = new Map<string, HTMLElement[]>();
  // Of the blocks of a page, only the one that is worked on: all of them have the same tools, and there may be hundreds.
  const walker = document.createTreeWalker(within, NodeFilter.SHOW_ELEMENT, (n) =>
    (n as Element).matches('[data-block]:not(.chosen)')
      ? NodeFilter.FILTER_REJECT
      : (n as Element).matches(ANY)
        ? NodeFilter.FILTER_ACCEPT
        : NodeFilter.FILTER_SKIP,
  );
  for (let n = walker.nextNode(); n; n = walker.nextNode()) {
    const e = n as HTMLElement;
    if (!canBeMeant(e)) continue;
    const name = nameOf(e);
    if (name && name.length <= LONGEST) found.set(name, [...(found.get(name) ?? []), e]);
  }
  return [...found].map(([name, all]) => ({
    name,
    isField: all.every((e) => e.matches(FILLED)),
    isSeen: () => all.some(isSeen),
    press: () => {
      const e = all.find(isSeen);
      if (e) press(e);
    },
  }));
}

/** Presses what has a name as soon as it is on the page; whoever has gone on by then is left alone, and told nothing. */
export function pressOnceThere(within: Node, name: string, gaveUp?: () => void): void {
  const look = (): boolean => {
    const there = pressables(within).find((p) => p.name === name && p.isSeen());
    there?.press();
    return there !== undefined;
  };
  if (look()) return;
  const stop = (): void => {
    watch.disconnect();
    clearTimeout(timer);
    removeEventListener('pointerdown', stop, true);
    removeEventListener('keydown', keyed, true);
  };
  // Letters are meant for what is about to open.
  const keyed = (event: KeyboardEvent): void => {
    if (event.key.length > 1 && event.key !== 'Enter' && event.key !== 'Shift') stop();
  };
  const watch = new MutationObserver(() => look() && stop());
  const timer = setTimeout(() => {
    stop();
    gaveUp?.();
  }, PATIENCE_MS);
  watch.observe(within, { childList: true, subtree: true, attributes: true });
  addEventListener('pointerdown', stop, true);
  addEventListener('keydown', keyed, true);
}
