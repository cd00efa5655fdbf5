// Lists that come as tables: with what reads them, which is large.
export { type ObjectiveList, readCase, readObjectivesCsv } from './bank/objectives';
export * from './formats/class-list';
export * from './formats/oneroster';
