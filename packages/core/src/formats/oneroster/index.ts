// OneRoster 1.2: packages and the service's answers in, packages out, and what a list changes here.
export { readRosterPackage, writeRosterPackage } from './csv';
export { type RosterChange, type RosterChanges, type RosterTaken, takeRoster } from './follow';
export { answerOf, rowsOfAnswer, SERVED_FILES, type ServedFile } from './rest';
export { putTogether, type Roster, type RosterClass, type RosterLearner } from './roster';
export { rosterOf } from './roster-of';
export { ROSTER_FILES, type RosterFault, type RosterFile, type RosterRow, type RosterTables } from './tables';
