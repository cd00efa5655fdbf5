import { counts, languages } from './texts';
import { merges } from './merges';
import { suggestions } from './suggestions';
import { verdicts } from './verdicts';
import { keysIn, numbers, points, spelling } from './marks';

export { runCases } from './case-set';

/** All sets, in the order in which they are shown. */
export const CASE_SETS = [spelling, numbers, points, keysIn, counts, languages, verdicts, suggestions, merges];
