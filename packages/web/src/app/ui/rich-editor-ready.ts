import type * as RichEditor from './rich-editor';

/** How long the page may be busy before the editor's code is fetched all the same, in milliseconds. */
const AT_LATEST = 4000;

let code: Promise<typeof RichEditor> | undefined;

/** The editor's code. It is large: its parts come one after the other, so that none holds the page up for long. */
export const richEditor = (): Promise<typeof RichEditor> => (code ??= inParts());

async function inParts(): Promise<typeof RichEditor> {
  await import('@tiptap/pm/model');
  await import('@tiptap/pm/view');
  await import('@tiptap/core');
  await import('@tiptap/starter-kit');
  return import('./rich-editor');
}

let asked = false;

/** Runs something once the page has nothing else to do. Not every browser says when that is. */
function whenIdle(run: () => void): void {
  if ('requestIdleCallback' in globalThis) requestIdleCallback(run, { timeout: AT_LATEST });
  else setTimeout(run, AT_LATEST);
}

/**
 * Fetches the editor's code when the page is idle, and opens one editor where nobody sees it, since the first takes by
 * far the longest: whoever presses a text can write at once.
 */
export function fetchWhenIdle(): void {
  if (asked) return;
  asked = true;
  whenIdle(() => {
    void richEditor().then(({ openEditor }) =>
      whenIdle(() => {
        const nothing = () => undefined;
        openEditor(document.createElement('div'), [], '', {
          fits: () => true,
          full: nothing,
          changed: nothing,
          moved: nothing,
          done: nothing,
        }).destroy();
      }),
    );
  });
}
