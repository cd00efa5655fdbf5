// Results as files: with what marks and what writes tables.
export { gradebookPackage } from './formats/results/gradebook';
export { resultOf, type Results, type WorkResult } from './formats/results/results';
export { answersCsv, pointsCsv } from './formats/results/results-csv';
export { statementsOf } from './formats/results/xapi';
