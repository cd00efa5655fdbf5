import { keysIn, numbers, points, spelling } from './marks';

export { runCases } from './case-set';

/** All sets, in the order in which they are shown. */
export const CASE_SETS = [spelling, numbers, points, keysIn];
