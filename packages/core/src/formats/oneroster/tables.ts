/*
 * OneRoster 1.2, CSV binding (1EdTech): the files of a package and the columns of each, in the standard's order. What
 * Lorvet does not use is written empty and left aside when it is read.
 */
const BASE = ['sourcedId', 'status', 'dateLastModified'];

export const COLUMNS = {
  orgs: [...BASE, 'name', 'type', 'identifier', 'parentSourcedId'],
  academicSessions: [...BASE, 'title', 'type', 'startDate', 'endDate', 'parentSourcedId', 'schoolYear'],
  courses: [
    ...BASE,
    'schoolYearSourcedId',
    'title',
    'courseCode',
    'grades',
    'orgSourcedId',
    'subjects',
    'subjectCodes',
  ],
  classes: [
    ...BASE,
    'title',
    'grades',
    'courseSourcedId',
    'classCode',
    'classType',
    'location',
    'schoolSourcedId',
    'termSourcedIds',
    'subjects',
    'subjectCodes',
    'periods',
  ],
  users: [
    ...BASE,
    'enabledUser',
    'username',
    'userIds',
    'givenName',
    'familyName',
    'middleName',
    'identifier',
    'email',
    'sms',
    'phone',
    'agentSourcedIds',
    'grades',
    'password',
    'userMasterIdentifier',
    'resourceSourcedIds',
    'preferredGivenName',
    'preferredMiddleName',
    'preferredFamilyName',
    'primaryOrgSourcedId',
    'pronouns',
  ],
  roles: [...BASE, 'userSourcedId', 'roleType', 'role', 'beginDate', 'endDate', 'orgSourcedId', 'userProfileSourcedId'],
  enrollments: [
    ...BASE,
    'classSourcedId',
    'schoolSourcedId',
    'userSourcedId',
    'role',
    'primary',
    'beginDate',
    'endDate',
  ],
  demographics: [...BASE, 'birthDate', 'sex'],
} as const satisfies Record<string, readonly string[]>;
export type RosterFile = keyof typeof COLUMNS;
export const ROSTER_FILES = Object.keys(COLUMNS) as RosterFile[];

/** Without these there is no class with anybody in it. */
export const NEEDED: readonly RosterFile[] = ['classes', 'users', 'enrollments'];

/** One row, by column; `line` as spreadsheets count, from 1. */
export interface RosterRow {
  readonly line: number;
  readonly cells: Readonly<Record<string, string>>;
}
export type RosterTables = Readonly<Partial<Record<RosterFile, readonly RosterRow[]>>>;

/** What is wrong with rows of one file, said once for all of them. */
export interface RosterFault {
  /** As it is called in the package: “users.csv”. */
  readonly file: string;
  readonly why: string;
  readonly lines: readonly number[];
  readonly examples: readonly string[];
}
