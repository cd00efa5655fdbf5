import type { RosterRow, RosterTables } from '../formats/oneroster/tables';
import { LEARNER_NAMES } from './people';

/*
 * The made-up school that the roster service of the demo tells of: twenty classes of twenty, the demo's two among them.
 * It changes a little each day.
 */
const GIVEN =
  'Aven Bran Ceri Dov Edern Fay Gwyn Hale Ivo Jenna Keir Lowri Mab Nia Oren Pasco Quill Rhos Sela Tal Una Vean Wenna Yorath Zel'.split(
    ' ',
  );
const BIRDS =
  'Heron Kestrel Puffin Curlew Plover Gannet Dunlin Avocet Fulmar Petrel Godwit Tern Shag Whimbrel Knot Egret Merlin Osprey Siskin Wren'.split(
    ' ',
  );
const IN_CLASS = 20;

const rows = (list: readonly Readonly<Record<string, string>>[]): RosterRow[] =>
  list.map((cells, i) => ({ line: i + 2, cells }));

/** How many of the demo's learners are in Heron class; the rest are in Kestrel class. */
const IN_HERON = 14;

interface Pupil {
  readonly id: string;
  readonly given: string;
  readonly family: string;
  /** The day on which they come, and from which they are gone. */
  readonly from: number;
  readonly until: number;
  /** Class by number, and from a day on another. */
  readonly home: number;
  readonly moves?: { readonly on: number; readonly to: number };
}

function pupils(): Pupil[] {
  const all: Pupil[] = LEARNER_NAMES.map((name, i) => {
    const [given = '', ...family] = name.split(' ');
    return { id: `kb-${i + 1}`, given, family: family.join(' '), from: 0, until: Infinity, home: i < IN_HERON ? 0 : 1 };
  });
  for (let home = 2; home < BIRDS.length; home++)
    for (let k = 0; k < IN_CLASS; k++) {
      const n = home * IN_CLASS + k;
      const family = `${String.fromCharCode(65 + ((n * 7) % 26))}.`;
      all.push({
        id: `kb-${100 + n}`,
        given: GIVEN[(n * 11 + home) % GIVEN.length] ?? '',
        family,
        from: 0,
        until: Infinity,
        home,
      });
    }
  // What happens, by day: one comes each day and stays for good or for some weeks, some move.
  return all.concat(
    Array.from({ length: 366 }, (_, d): Pupil => {
      const day = d + 1;
      const home = day % 10 === 0 ? 0 : day % 10 === 5 ? 1 : 2 + (day % (BIRDS.length - 2));
      return {
        id: `kb-new-${day}`,
        given: GIVEN[(day * 5) % GIVEN.length] ?? '',
        family: `${String.fromCharCode(65 + ((day * 3) % 26))}.`,
        from: day,
        until: day % 3 === 0 ? Infinity : day + 25,
        home,
        ...(day % 2 === 0 ? { moves: { on: day + 9, to: (home + 1) % BIRDS.length } } : {}),
      };
    }),
  );
}

/** The school's tables on a day, counted from 0 when the school year began. The same day says the same. */
export function schoolOn(day: number): RosterTables {
  const here = pupils().filter((p) => p.from <= day && day < p.until);
  const homeOn = (p: Pupil) => (p.moves && p.moves.on <= day ? p.moves.to : p.home);
  return {
    orgs: rows([{ sourcedId: 'kelp-bay', name: 'Kelp Bay School', type: 'school' }]),
    academicSessions: rows([
      {
        sourcedId: 'year',
        title: 'This school year',
        type: 'schoolYear',
        startDate: '2020-09-01',
        endDate: '2099-07-31',
      },
    ]),
    courses: rows(BIRDS.map((b, i) => ({ sourcedId: `course-${i}`, title: `${b} class`, orgSourcedId: 'kelp-bay' }))),
    classes: rows(
      BIRDS.map((b, i) => ({
        sourcedId: `class-${i}`,
        title: `${b} class`,
        courseSourcedId: `course-${i}`,
        classType: 'homeroom',
        schoolSourcedId: 'kelp-bay',
        termSourcedIds: 'year',
      })),
    ),
    users: rows(here.map((p) => ({ sourcedId: p.id, enabledUser: 'true', givenName: p.given, familyName: p.family }))),
    enrollments: rows(
      here.map((p) => ({
        sourcedId: `e-${p.id}`,
        classSourcedId: `class-${homeOn(p)}`,
        schoolSourcedId: 'kelp-bay',
        userSourcedId: p.id,
        role: 'student',
      })),
    ),
    demographics: rows(
      here
        .filter((_, i) => i >= LEARNER_NAMES.length && i % 5 !== 4)
        .map((p, i) => ({ sourcedId: p.id, birthDate: `2016-0${(i % 9) + 1}-${`${(i % 27) + 1}`.padStart(2, '0')}` })),
    ),
  };
}
