import { COLOURS, PATTERNS, type Swatch } from '@lorvet/core';
import type { Clock } from '../platform/clock';

/** A swatch unlike those in use where there is one left; its letter is drawn by lot, so that it says nothing of level. */
export function drawSwatch(clock: Clock, used: readonly Swatch[]): Swatch {
  const free = <T>(all: readonly T[], taken: readonly T[]) => {
    const left = all.filter((x) => !taken.includes(x));
    return clock.pick(left.length ? left : all);
  };
  return {
    pattern: free(
      PATTERNS,
      used.map((s) => s.pattern),
    ),
    colour: free(
      COLOURS,
      used.map((s) => s.colour),
    ),
    letter: clock.letter(used.map((s) => s.letter)),
  };
}
