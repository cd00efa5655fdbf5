import { learnerSchema } from '../../learners/learner';
import { classSchema } from '../../learners/people';
import { mostAt } from '../../activity/limits';
import { type RosterFault, type RosterFile, type RosterRow, type RosterTables } from './tables';

/** A learner as the school's list has them. */
export interface RosterLearner {
  readonly rosterId: string;
  readonly name: string;
  readonly called: string;
  /** ISO date; empty where it is not known. */
  readonly birthday: string;
}
export interface RosterClass {
  readonly rosterId: string;
  readonly name: string;
  /** The school's name and the term's; empty where they are not said. */
  readonly school: string;
  readonly term: string;
  /** The school's ids of the learners in it. */
  readonly members: readonly string[];
}
/** What of a school's list is of use here: its classes that are going on, and who learns in them. */
export interface Roster {
  readonly classes: readonly RosterClass[];
  readonly learners: ReadonlyMap<string, RosterLearner>;
}

const MOST_NAME = mostAt(learnerSchema, 'name');
const MOST_CALLED = mostAt(learnerSchema, 'chosenName');
const MOST_CLASS = mostAt(classSchema, 'name');
const MOST_MEMBERS = mostAt(classSchema, 'learnerIds');
const MOST_ID = mostAt(learnerSchema, 'rosterId');
const MOST_EXAMPLES = 3;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

class Faults {
  private readonly all = new Map<string, { file: string; why: string; lines: number[]; examples: string[] }>();

  add(file: RosterFile, line: number, why: string, example = ''): void {
    const key = `${file} ${why}`;
    const fault = this.all.get(key) ?? { file: `${file}.csv`, why, lines: [], examples: [] };
    this.all.set(key, fault);
    fault.lines.push(line);
    if (example && fault.examples.length < MOST_EXAMPLES && !fault.examples.includes(example))
      fault.examples.push(example);
  }

  get list(): RosterFault[] {
    return [...this.all.values()];
  }
}

const isGone = ({ cells }: RosterRow): boolean => cells['status']?.toLowerCase() === 'tobedeleted';

/**
 * The tables of a package, or of a roster service, put together. Rows that cannot be right are left out and named by
 * file and line, once for each kind of fault; what speaks of such a row is left out too. `today` is an ISO date: who has
 * not come yet, and who has left, is not in a class.
 */
export function putTogether(tables: RosterTables, today: string): { roster: Roster; faults: RosterFault[] } {
  const faults = new Faults();
  const rows = (file: RosterFile): Map<string, RosterRow> => {
    const byId = new Map<string, RosterRow>();
    for (const row of tables[file] ?? []) {
      const id = row.cells['sourcedId'] ?? '';
      if (!id) faults.add(file, row.line, 'There is no sourcedId.');
      else if (id.length > MOST_ID) faults.add(file, row.line, 'The sourcedId is too long.', `${id.slice(0, 20)}…`);
      else if (byId.has(id)) faults.add(file, row.line, 'This sourcedId stands in the file before.', id);
      else if (!isGone(row)) byId.set(id, row);
    }
    return byId;
  };
  const [orgs, sessions, courses] = [rows('orgs'), rows('academicSessions'), rows('courses')];
  const born = new Map<string, string>();
  const users = rows('users');
  for (const row of tables.demographics ?? []) {
    const { sourcedId = '', birthDate = '' } = row.cells;
    if (!users.has(sourcedId)) {
      if (!isGone(row)) faults.add('demographics', row.line, 'It speaks of a user who is not in users.csv.', sourcedId);
    } else if (birthDate && !isDay(birthDate))
      faults.add('demographics', row.line, 'The birthDate is no date, such as 2016-04-09.', birthDate);
    else born.set(sourcedId, birthDate);
  }
  const learners = new Map<string, RosterLearner>();
  for (const [rosterId, row] of users) {
    const c = row.cells;
    const given = c['givenName'] ?? '';
    const name = [given, c['familyName'] ?? ''].filter(Boolean).join(' ');
    const called = c['preferredGivenName'] ?? '';
    if (!name) faults.add('users', row.line, 'There is no name.', rosterId);
    else if (name.length > MOST_NAME || called.length > MOST_CALLED)
      faults.add(
        'users',
        row.line,
        `The name is longer than the ${MOST_NAME} letters there is room for.`,
        name.slice(0, 24),
      );
    else
      learners.set(rosterId, {
        rosterId,
        name,
        called: called === given ? '' : called,
        birthday: born.get(rosterId) ?? '',
      });
  }
  const classes = new Map<string, { head: Omit<RosterClass, 'members'>; members: Set<string> }>();
  const all = rows('classes');
  for (const [rosterId, { line, cells }] of all) {
    const course = courses.get(cells['courseSourcedId'] ?? '')?.cells['title'] ?? '';
    const name = cells['title'] || course;
    const terms = (cells['termSourcedIds'] ?? '')
      .split(',')
      .map((t) => t.trim())
      .filter(Boolean);
    const known = terms.flatMap((t) => sessions.get(t) ?? []);
    if (tables.academicSessions && known.length < terms.length)
      faults.add('classes', line, 'It speaks of a term that is not in academicSessions.csv.', name);
    if (!name) {
      faults.add('classes', line, 'There is no title.', rosterId);
      continue;
    }
    if (name.length > MOST_CLASS) {
      faults.add(
        'classes',
        line,
        `The title is longer than the ${MOST_CLASS} letters there is room for.`,
        name.slice(0, 24),
      );
      continue;
    }
    // Of terms that are all over, the class is too.
    const isOver = known.length > 0 && known.every((t) => (t.cells['endDate'] ?? '9') < today);
    if (isOver) continue;
    const school = orgs.get(cells['schoolSourcedId'] ?? '')?.cells['name'] ?? '';
    const term = known
      .map((t) => t.cells['title'] ?? '')
      .filter(Boolean)
      .join(', ');
    classes.set(rosterId, { head: { rosterId, name, school, term }, members: new Set() });
  }
  for (const { line, cells } of rows('enrollments').values()) {
    const { classSourcedId = '', userSourcedId = '', role = '', beginDate = '', endDate = '' } = cells;
    if (!all.has(classSourcedId)) {
      faults.add('enrollments', line, 'It speaks of a class that is not in classes.csv.', classSourcedId);
      continue;
    }
    if (!users.has(userSourcedId)) {
      faults.add('enrollments', line, 'It speaks of a user who is not in users.csv.', userSourcedId);
      continue;
    }
    if (role.toLowerCase() !== 'student') continue;
    if (!learners.has(userSourcedId) || (beginDate && beginDate > today) || (endDate && endDate < today)) continue;
    const home = classes.get(classSourcedId);
    if (home && home.members.size >= MOST_MEMBERS)
      faults.add(
        'enrollments',
        line,
        `The class has more learners than the ${MOST_MEMBERS} there is room for.`,
        home.head.name,
      );
    else home?.members.add(userSourcedId);
  }
  const found = [...classes.values()].map(({ head, members }) => ({ ...head, members: [...members] }));
  const taught = new Set(found.flatMap((c) => c.members));
  return {
    roster: {
      classes: found.sort((a, b) => a.name.localeCompare(b.name)),
      learners: new Map([...learners].filter(([id]) => taught.has(id))),
    },
    faults: faults.list,
  };
}

function isDay(text: string): boolean {
  const date = new Date(`${text}T12:00:00Z`);
  return DAY.test(text) && !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text);
}
