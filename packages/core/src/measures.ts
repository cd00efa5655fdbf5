// What is measured, and what is checked and suggested by it: with the lists of words and the formulas, which are large.
export { coverage, openFindings } from './assign/check/coverage';
export { type Fit, CLEARLY_BETTER, suggest, type Suggestion } from './assign/suggest';
export { measure, measureFamily, languageOf, measureInSteps, measurePages, type Measures } from './measure/measure';
export {
  figureSaid,
  FIRST_FORMULA,
  type Formula,
  FORMULAS,
  type FormulaId,
  LEAST_WORDS,
  type Readability,
  readability,
  SURENESS_SAYS,
} from './measure/readability';
