/** Marks on the page that change nothing of it: `lv-said` is the word that is said, and so on. The style sheet draws them. */
export type MarkName = 'lv-said' | 'lv-sentence' | 'lv-pointed' | 'lv-part' | `lv-kind-${string}`;

/** What lies over what, where two marks meet. */
const ABOVE: Readonly<Record<string, number>> = { 'lv-said': 3, 'lv-pointed': 2, 'lv-sentence': 1 };

/** Whether the system sets all colours: a browser then draws every mark as it draws what is selected. */
export const inForcedColours = (): boolean => globalThis.matchMedia?.('(forced-colors: active)').matches ?? false;

/** Puts a mark on these ranges, and on no others. A browser that cannot mark shows the page as it is. */
export function mark(name: MarkName, ranges: readonly (Range | undefined)[]): void {
  const all = (globalThis.CSS as { highlights?: HighlightRegistry } | undefined)?.highlights;
  // In forced colours all marks look alike: there the word that is said is the only one of its sentence.
  if (name === 'lv-sentence' && inForcedColours()) return;
  const there = ranges.filter((r) => r !== undefined);
  if (!all) return;
  if (!there.length) return void all.delete(name);
  const marked = new Highlight(...there);
  marked.priority = ABOVE[name] ?? 0;
  all.set(name, marked);
}
