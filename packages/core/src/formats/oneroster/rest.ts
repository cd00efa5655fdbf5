import { z } from '../../zod';
import { placesOf, Problem } from '../problem';
import type { RosterFile, RosterRow, RosterTables } from './tables';

/*
 * OneRoster 1.2, REST binding: what the service gives under each address, brought into the same tables. Fields that are
 * not used are passed over.
 */
const text = z.string().max(300);
const ref = z.object({ sourcedId: text });
const base = { sourcedId: text, status: text.optional() };

const RECORDS = {
  orgs: z.object({ ...base, name: text }),
  academicSessions: z.object({ ...base, title: text, startDate: text.optional(), endDate: text.optional() }),
  courses: z.object({ ...base, title: text }),
  classes: z.object({
    ...base,
    title: text,
    course: ref.optional(),
    school: ref.optional(),
    terms: z.array(ref).optional(),
  }),
  users: z.object({
    ...base,
    givenName: text,
    familyName: text,
    preferredFirstName: text.nullable().optional(),
  }),
  enrollments: z.object({
    ...base,
    user: ref,
    class: ref,
    role: text,
    beginDate: text.nullable().optional(),
    endDate: text.nullable().optional(),
  }),
  demographics: z.object({ ...base, birthDate: text.nullable().optional() }),
} satisfies Partial<Record<RosterFile, z.ZodType>>;
export type ServedFile = keyof typeof RECORDS;
/** What is asked of a service, in this order; the name is also the address and the field of the answer. */
export const SERVED_FILES = Object.keys(RECORDS) as ServedFile[];

const COLUMN: Readonly<Record<string, string>> = {
  course: 'courseSourcedId',
  school: 'schoolSourcedId',
  terms: 'termSourcedIds',
  user: 'userSourcedId',
  class: 'classSourcedId',
  preferredFirstName: 'preferredGivenName',
};

/** One page of an answer as rows; `from` is how many came before it. Throws a Problem where it is not what the standard says. */
export function rowsOfAnswer(file: ServedFile, answer: unknown, from: number): RosterRow[] {
  const read = z.object({ [file]: z.array(RECORDS[file]) }).safeParse(answer);
  if (!read.success)
    throw new Problem(
      `The roster service gives ${file} in a form that OneRoster 1.2 does not have. Nothing was changed.`,
      placesOf(read.error, 3),
    );
  const records = (read.data as Record<string, readonly Readonly<Record<string, unknown>>[]>)[file] ?? [];
  return records.map((record, i) => ({
    line: from + i + 1,
    cells: Object.fromEntries(Object.entries(record).map(([field, value]) => [COLUMN[field] ?? field, cellOf(value)])),
  }));
}

function cellOf(value: unknown): string {
  if (typeof value === 'string') return value.trim();
  if (Array.isArray(value)) return value.map(cellOf).join(',');
  if (typeof value === 'object' && value !== null && 'sourcedId' in value) return String(value.sourcedId);
  return '';
}

/** The records of a table as the service gives them. */
export function answerOf(file: ServedFile, tables: RosterTables): Record<string, unknown>[] {
  return (tables[file] ?? []).map(({ cells }) => {
    const at = (column: string) => cells[column] ?? '';
    const to = (id: string) => ({ sourcedId: id });
    const head = { sourcedId: at('sourcedId'), status: 'active' };
    switch (file) {
      case 'orgs':
        return { ...head, name: at('name'), type: at('type') };
      case 'academicSessions':
        return { ...head, title: at('title'), type: at('type'), startDate: at('startDate'), endDate: at('endDate') };
      case 'courses':
        return { ...head, title: at('title'), org: to(at('orgSourcedId')) };
      case 'classes':
        return {
          ...head,
          title: at('title'),
          classType: 'homeroom',
          course: to(at('courseSourcedId')),
          school: to(at('schoolSourcedId')),
          terms: at('termSourcedIds').split(',').filter(Boolean).map(to),
        };
      case 'users':
        return {
          ...head,
          enabledUser: 'true',
          givenName: at('givenName'),
          familyName: at('familyName'),
          ...(at('preferredGivenName') ? { preferredFirstName: at('preferredGivenName') } : {}),
        };
      case 'enrollments':
        return {
          ...head,
          user: to(at('userSourcedId')),
          class: to(at('classSourcedId')),
          school: to(at('schoolSourcedId')),
          role: at('role'),
        };
      case 'demographics':
        return { ...head, birthDate: at('birthDate') };
    }
  });
}
