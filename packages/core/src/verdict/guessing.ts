import type { Block } from '../activity/blocks';

/** How likely a guess is right: 0 where nothing is offered to choose from. */
export function chanceOf(b: Block): number {
  switch (b.kind) {
    case 'single-choice':
      return b.options.length ? 1 / b.options.length : 0;
    case 'gaps':
      return b.mode === 'chosen' && b.gaps.length
        ? Math.max(...b.gaps.map((g) => 1 / (1 + new Set(g.others.filter((o) => o.trim())).size)))
        : 0;
    case 'sorting':
      return b.groups.length ? 1 / b.groups.length : 0;
    default:
      return 0;
  }
}
