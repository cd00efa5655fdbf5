import { expect } from '@jest/globals';
import fc from 'fast-check';

/** How often a law is tried: as often as it asks for, or as often as `npm run laws` was told to. */
export const runs = (usual: number): { numRuns: number } => ({
  numRuns: (globalThis as { lawRuns?: number }).lawRuns ?? usual,
});

/** What a case gives where the law says nothing of it. */
export const SAYS_NOTHING = Symbol('says nothing');

/**
 * Asserts a law that does not speak of every case: `check` gives SAYS_NOTHING for one that it does not speak of. Fails
 * where it speaks of less than `least` of the runs, as a share: such a law asserts next to nothing.
 */
export function assertLaw<T>(
  cases: fc.Arbitrary<T>,
  check: (value: T) => void | typeof SAYS_NOTHING,
  { usual, least }: { readonly usual: number; readonly least: number },
): void {
  let tried = 0;
  let said = 0;
  fc.assert(
    fc.property(cases, (value) => {
      tried++;
      if (check(value) !== SAYS_NOTHING) said++;
    }),
    runs(usual),
  );
  (globalThis as { lawSays?: (words: string) => void }).lawSays?.(
    `${expect.getState().currentTestName ?? ''}: asserted in ${said} of ${tried} runs`,
  );
  expect(said / tried).toBeGreaterThanOrEqual(least);
}
