import type { Learner } from '../../learners/learner';
import type { People, SchoolClass } from '../../learners/people';
import type { RosterFile, RosterRow, RosterTables } from './tables';

const ORG = 'lorvet-school';
const TERM = 'lorvet-term';

/** The id under which something goes out: the school's own where there is one. */
const idOf = (record: Pick<Learner | SchoolClass, 'id' | 'rosterId'>): string => record.rosterId || record.id;

/**
 * Classes and who is in them as the tables of a OneRoster package: names, called names and birthdays, and nothing of the
 * needs cards. `school` is the name of the school; `year` the one in which the school year ends.
 */
export function rosterOf(people: Pick<People, 'learners' | 'classes'>, school: string, year: number): RosterTables {
  const byId = new Map(people.learners.map((l) => [l.id, l]));
  const taught = people.learners.filter((l) => people.classes.some((c) => c.learnerIds.includes(l.id)));
  const rows = (list: readonly Readonly<Record<string, string>>[]): RosterRow[] =>
    list.map((cells, i) => ({ line: i + 2, cells }));
  return {
    orgs: rows([{ sourcedId: ORG, name: school, type: 'school' }]),
    academicSessions: rows([
      {
        sourcedId: TERM,
        title: `${year - 1} to ${year}`,
        type: 'schoolYear',
        startDate: `${year - 1}-08-01`,
        endDate: `${year}-07-31`,
        schoolYear: `${year}`,
      },
    ]),
    courses: rows(people.classes.map((c) => ({ sourcedId: `course-${idOf(c)}`, title: c.name, orgSourcedId: ORG }))),
    classes: rows(
      people.classes.map((c) => ({
        sourcedId: idOf(c),
        title: c.name,
        courseSourcedId: `course-${idOf(c)}`,
        classType: 'homeroom',
        schoolSourcedId: ORG,
        termSourcedIds: TERM,
      })),
    ),
    users: rows(
      taught.map((l) => {
        const [given = '', ...family] = l.name.split(' ');
        return {
          sourcedId: idOf(l),
          enabledUser: 'true',
          givenName: given,
          // The standard asks for a family name; who has none here has the given one twice.
          familyName: family.join(' ') || given,
          preferredGivenName: l.chosenName,
          primaryOrgSourcedId: ORG,
        };
      }),
    ),
    roles: rows(
      taught.map((l) => ({
        sourcedId: `role-${idOf(l)}`,
        userSourcedId: idOf(l),
        roleType: 'primary',
        role: 'student',
        orgSourcedId: ORG,
      })),
    ),
    enrollments: rows(
      people.classes.flatMap((c) =>
        c.learnerIds.flatMap((id) => {
          const l = byId.get(id);
          if (!l) return [];
          return [
            {
              sourcedId: `in-${idOf(c)}-${idOf(l)}`.slice(0, 255),
              classSourcedId: idOf(c),
              schoolSourcedId: ORG,
              userSourcedId: idOf(l),
              role: 'student',
              primary: 'false',
            },
          ];
        }),
      ),
    ),
    demographics: rows(taught.filter((l) => l.birthday).map((l) => ({ sourcedId: idOf(l), birthDate: l.birthday }))),
  } satisfies Record<RosterFile, RosterRow[]>;
}
