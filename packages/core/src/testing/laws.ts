/** How often a law is tried: as often as it asks for, or as often as `npm run laws` was told to. */
export const runs = (usual: number): { numRuns: number } => ({
  numRuns: (globalThis as { lawRuns?: number }).lawRuns ?? usual,
});
