import { beforeEach, describe, expect, it } from '@jest/globals';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { demoWorkspace } from '../../demo/index';
import { schoolOn } from '../../demo/school';
import { type People, peopleIn } from '../../learners/people';
import { Problem } from '../problem';
import {
  answerOf,
  putTogether,
  readRosterPackage,
  rosterOf,
  rowsOfAnswer,
  SERVED_FILES,
  takeRoster,
  type RosterTables,
  type RosterTaken,
  writeRosterPackage,
} from './index';

const TODAY = '2026-11-24';
const demo = demoWorkspace(Date.UTC(2026, 10, 24, 9));
let n = 0;
beforeEach(() => {
  n = 0;
});
const now = { at: `${TODAY}T08:00:00.000Z`, from: 'list.zip', newId: () => `new-${++n}` };
const all = (tables: RosterTables) => putTogether(tables, TODAY).roster;
const everything = (t: RosterTables) => new Set(all(t).classes.map((c) => c.rosterId));
const names = (list: readonly { name: string }[]) => list.map((x) => x.name);

/** The people after a list was taken over. */
function after(people: People, { learners, classes }: RosterTaken): People {
  const put = <T extends { id: string }>(list: readonly T[], records: readonly T[]) => [
    ...new Map([...list, ...records].map((r) => [r.id, r])).values(),
  ];
  return { ...people, learners: put(people.learners, learners), classes: put(people.classes, classes) };
}
const files = (tables: RosterTables) =>
  Object.fromEntries(
    Object.entries(unzipSync(writeRosterPackage(tables, 'Lorvet'))).map(([k, v]) => [k, new TextDecoder().decode(v)]),
  );
const packed = (held: Record<string, string>) =>
  zipSync(Object.fromEntries(Object.entries(held).map(([k, v]) => [k, strToU8(v)])));

describe('a OneRoster package', () => {
  it('that Lorvet writes is read back as it was: classes, who is in them, birthdays', () => {
    const people = peopleIn(demo, TODAY);
    const { tables, faults } = readRosterPackage(
      writeRosterPackage(rosterOf(people, 'Kelp Bay School', 2027), 'Lorvet'),
    );
    const { roster, faults: more } = putTogether(tables, TODAY);
    expect([...faults, ...more]).toEqual([]);
    expect(roster.classes.map((c) => [c.name, c.school, c.members])).toEqual(
      people.classes.map((c) => [c.name, 'Kelp Bay School', c.learnerIds]),
    );
    expect(roster.learners.get('l-oriel')).toEqual({
      rosterId: 'l-oriel',
      name: 'Oriel P.',
      called: 'Ori',
      birthday: '2016-04-09',
    });
  });

  it('holds nothing of the needs cards, and no formula', () => {
    const people = peopleIn(demo, TODAY);
    const [first, ...rest] = people.learners;
    const evil = { ...people, learners: [{ ...first, name: '=1+1 X' } as typeof first & object, ...rest] };
    const text = Object.values(files(rosterOf(evil, 'School', 2027))).join('\n');
    expect(text).not.toMatch(/One thing at a time|word bank|trains/);
    expect(text).toContain("'=1+1");
  });

  it('with faults names each by file and line, once a kind, and takes the rest', () => {
    const held = files(schoolOn(0));
    const lines = (held['users.csv'] ?? '').split('\r\n');
    lines[3] = (lines[3] ?? '').replace(/^[^,]*/, '');
    lines[5] = (lines[5] ?? '').replace(/^[^,]*/, 'kb-1');
    held['users.csv'] = `${lines.join('\r\n')}\r\na,b,c,${'d,'.repeat(40)}`;
    held['enrollments.csv'] +=
      '\r\nx1,active,,class-0,kelp-bay,nobody,student,,,\r\nx2,active,,none,kelp-bay,kb-1,student,,,';
    held['demographics.csv'] += '\r\nkb-2,active,,9.4.2016,';
    const { tables, faults } = readRosterPackage(packed(held));
    const read = putTogether(tables, TODAY);
    const says = [...faults, ...read.faults].map(
      (f) => `${f.file} ${f.lines.join()}: ${f.why.slice(0, 34)} ${f.examples.join()}`,
    );
    expect(says).toEqual([
      'users.csv 385: There are more columns than the fi ',
      'users.csv 4: There is no sourcedId. ',
      'users.csv 6: This sourcedId stands in the file  kb-1',
      'demographics.csv 290: The birthDate is no date, such as  9.4.2016',
      'enrollments.csv 4,6,385: It speaks of a user who is not in  kb-3,kb-5,nobody',
      'enrollments.csv 386: It speaks of a class that is not i none',
    ]);
    expect(read.roster.learners.size).toBe(381);
  });

  it.each([
    ['has no manifest', (f: Record<string, string>) => delete f['manifest.csv'], /no manifest\.csv/],
    [
      'is of another version',
      (f: Record<string, string>) => (f['manifest.csv'] = 'propertyName,value\noneroster.version,1.0'),
      /OneRoster 1\.0; version 1\.2/,
    ],
    [
      'holds only what changed',
      (f: Record<string, string>) =>
        (f['manifest.csv'] = f['manifest.csv']?.replace('file.users,bulk', 'file.users,delta') ?? ''),
      /only what changed/,
    ],
    ['lacks a file', (f: Record<string, string>) => delete f['enrollments.csv'], /lacks enrollments\.csv/],
    [
      'lacks a column',
      (f: Record<string, string>) => (f['classes.csv'] = 'sourcedId,status\nc,active'),
      /lacks the column title/,
    ],
    ['is not text', (f: Record<string, string>) => (f['users.csv'] = '\0\0'), /users\.csv .*not plain text/],
  ])('that %s is refused in words', (_, spoil, says) => {
    const held = files(schoolOn(0));
    spoil(held);
    expect(() => readRosterPackage(packed(held))).toThrow(says);
    expect(() => readRosterPackage(packed(held))).toThrow(Problem);
  });

  it('of another program is read: in a folder, other case, a term that is over, adults, who has left', () => {
    const { tables } = readRosterPackage(
      packed({
        'export/Manifest.csv': 'propertyName,value\noneroster.version,1.1\nfile.users,bulk',
        'export/classes.csv':
          'SOURCEDID,status,title,termSourcedIds\nc1,active,4B,t1\nc2,active,Old,t0\nc3,tobedeleted,Gone,t1',
        'export/academicSessions.csv': 'sourcedId,title,endDate\nt0,Last,2026-07-31\nt1,This,2027-07-31',
        'export/users.csv':
          'sourcedId,givenName,familyName,role\nu1,Brea,K.,student\nu2,Cador,L.,student\nu3,Ms,Penrose,teacher\nu4,Endel,M.,student',
        'export/enrollments.csv':
          'sourcedId,classSourcedId,userSourcedId,role,endDate\ne1,c1,u1,student,\ne2,c1,u2,student,2026-11-01\ne3,c1,u3,teacher,\ne4,c2,u4,student,',
      }),
    );
    const { roster, faults } = putTogether(tables, TODAY);
    expect(faults).toEqual([]);
    expect(roster.classes.map((c) => [c.name, c.term, c.members])).toEqual([['4B', 'This', ['u1']]]);
    expect([...roster.learners.keys()]).toEqual(['u1']);
  });
});

describe('a roster service', () => {
  it('gives what a package gives, page by page', () => {
    const tables = schoolOn(12);
    const read = Object.fromEntries(
      SERVED_FILES.map((f) => {
        const records = answerOf(f, tables);
        return [
          f,
          [...rowsOfAnswer(f, { [f]: records.slice(0, 100) }, 0), ...rowsOfAnswer(f, { [f]: records.slice(100) }, 100)],
        ];
      }),
    );
    expect(putTogether(read, TODAY)).toEqual(putTogether(tables, TODAY));
  });
  it('that gives something else is said to', () => {
    expect(() => rowsOfAnswer('users', { users: [{ sourcedId: 1 }] }, 0)).toThrow(/users in a form/);
    expect(() => rowsOfAnswer('users', '<html>', 0)).toThrow(Problem);
  });
});

describe('taking a list over', () => {
  const people = peopleIn(demo, TODAY);
  const followed = new Set(['class-0', 'class-1']);
  const take = (day: number, p: People, last?: RosterTaken, chosen: ReadonlySet<string> = followed) =>
    takeRoster(all(schoolOn(day)), chosen, p, last?.reading, now);

  it('knows those who are here by class and name, the first time', () => {
    const first = take(0, people);
    expect(first.changes).toMatchObject({ newClasses: [], came: [], left: [], moved: [], renamed: [] });
    expect(first.changes.recognised).toHaveLength(23);
    expect(first.learners).toHaveLength(23);
    // And their cards are as they were.
    expect(first.learners[0]?.needs).toBe(people.learners[0]?.needs);
  });

  it('names who came, left and moved since the last time; the same list again changes nothing', () => {
    const first = take(0, people);
    const then = after(people, first);
    const second = take(5, then, first);
    expect(names(second.changes.came)).toEqual(['Aven P.']);
    const later = after(then, second);
    expect(take(5, later, second)).toMatchObject({ learners: [], classes: [] });
    const list = all(schoolOn(5));
    const [heron, kestrel] = list.classes.filter((c) => followed.has(c.rosterId));
    const [a, b] = heron?.members ?? [];
    const moved = {
      ...list,
      classes: list.classes.map((c) =>
        c === heron
          ? { ...c, members: c.members.filter((m) => m !== a && m !== b) }
          : c === kestrel
            ? { ...c, members: [...c.members, a ?? ''] }
            : c,
      ),
    };
    const third = takeRoster(moved, followed, later, second.reading, now);
    expect(third.changes.moved.map((m) => [m.name, m.from, m.to])).toEqual([
      ['Brannoc T.', ['Heron class'], ['Kestrel class']],
    ]);
    expect(third.changes.left.map((m) => [m.name, m.from, m.to])).toEqual([['Ysolde M.', ['Heron class'], []]]);
    // Nobody is removed: who left is still here, with their card.
    expect(after(later, third).learners).toHaveLength(later.learners.length);
  });

  it('leaves alone what the teacher did by hand, until the list says something new', () => {
    const first = take(0, people);
    const then = after(people, first);
    const own = {
      ...then,
      learners: then.learners.map((l) => (l.id === 'l-jory' ? { ...l, name: 'Jory Sandy S.' } : l)),
      classes: then.classes.map((c) =>
        c.id === 'c-heron' ? { ...c, name: 'My Herons', learnerIds: c.learnerIds.filter((id) => id !== 'l-oriel') } : c,
      ),
    };
    const again = take(0, own, first);
    expect(again).toMatchObject({ learners: [], classes: [], changes: { came: [], moved: [], renamed: [] } });
  });

  it('makes the classes that are followed newly, with everybody in them once', () => {
    const taken = take(0, people, undefined, everything(schoolOn(0)));
    expect([taken.changes.newClasses.length, taken.changes.came.length]).toEqual([18, 360]);
    const p = after(people, taken);
    expect(p.learners).toHaveLength(383);
    expect(new Set(p.learners.map((l) => l.id)).size).toBe(383);
    expect(p.classes.reduce((sum, c) => sum + c.learnerIds.length, 0)).toBe(383);
  });

  it('says which classes are not on the list any more, and leaves them', () => {
    const first = take(0, people);
    const list = all(schoolOn(0));
    const less = { ...list, classes: list.classes.filter((c) => c.rosterId !== 'class-1') };
    const second = takeRoster(less, followed, after(people, first), first.reading, now);
    expect(second.changes).toMatchObject({ gone: ['Kestrel class'], left: [] });
  });
});
