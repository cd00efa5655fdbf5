// What is measured, and what is suggested by it: with the lists of words and the formulas, which are large.
export { CLEARLY_BETTER, suggest, type Suggestion } from './assign/suggest';
export { measure, measureFamily, measureInSteps, measurePages, type Measures } from './measure/measure';
export {
  type Formula,
  FORMULAS,
  type FormulaId,
  LEAST_WORDS,
  type Readability,
  readability,
} from './measure/readability';
