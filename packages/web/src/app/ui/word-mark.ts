/** Marks on the page that change nothing of it: `lv-said` is the word that is said, and so on. The style sheet draws them. */
export type MarkName = 'lv-said' | 'lv-sentence' | 'lv-pointed' | 'lv-part' | `lv-kind-${string}`;

/** Puts a mark on these ranges, and on no others. A browser that cannot mark shows the page as it is. */
export function mark(name: MarkName, ranges: readonly (Range | undefined)[]): void {
  const all = (globalThis.CSS as { highlights?: HighlightRegistry } | undefined)?.highlights;
  const there = ranges.filter((r) => r !== undefined);
  if (!all) return;
  if (there.length) all.set(name, new Highlight(...there));
  else all.delete(name);
}
