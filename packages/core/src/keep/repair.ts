import type { z } from '../zod';
import type { Page } from '../activity/activity';

/** A record mended: it may have become several. `notes` say what was done, in words. */
export interface Repaired {
  readonly records: readonly { readonly id: string }[];
  readonly notes: readonly string[];
}

const MOST_PASSES = 50;

/**
 * Mends a record of a schema whose fault is known: what is too long is cut, what is too many is parted, numbers out of
 * bounds are brought within. What has a schema's form may still be unsound: `soundly` mends that, says so in `notes`, and
 * gives null where it cannot. Null where something else is wrong with the record, or nothing.
 */
export function mended(
  schema: z.ZodType,
  record: unknown,
  soundly: (record: unknown, notes: string[]) => unknown = (r) => r,
): Repaired | null {
  const notes: string[] = [];
  const draft: unknown = structured(record);
  const further: { id: string }[] = [];
  for (let pass = 0; pass < MOST_PASSES; pass++) {
    const read = schema.safeParse(draft);
    if (read.success) {
      const sound = soundly(read.data, notes) as { id: string } | null;
      if (!sound || notes.length === 0) return null;
      return { records: [sound, ...further], notes };
    }
    const done = read.error.issues.map((issue) => mend(draft, issue, notes, further));
    if (!done.some(Boolean)) return null;
  }
  return null;
}

const structured = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null));
const named = (path: readonly PropertyKey[]): string => path.map(String).join(' › ') || 'the record';

/** What stands at the end of a path, and what holds it. */
function holderOf(
  root: unknown,
  path: readonly PropertyKey[],
): { holder: Record<PropertyKey, unknown>; key: PropertyKey } | null {
  let at: unknown = root;
  for (const step of path.slice(0, -1)) {
    if (typeof at !== 'object' || at === null) return null;
    at = (at as Record<PropertyKey, unknown>)[step];
  }
  const key = path.at(-1);
  return typeof at === 'object' && at !== null && key !== undefined
    ? { holder: at as Record<PropertyKey, unknown>, key }
    : null;
}

function mend(root: unknown, issue: z.core.$ZodIssue, notes: string[], further: { id: string }[]): boolean {
  const place = holderOf(root, issue.path);
  if (!place) return false;
  const { holder, key } = place;
  const value = holder[key];
  if (issue.code === 'too_big') {
    const most = Number(issue.maximum);
    if (typeof value === 'string') {
      holder[key] = value.slice(0, most);
      notes.push(`${named(issue.path)}: cut after ${most} of ${value.length} letters`);
      return true;
    }
    if (Array.isArray(value)) return part(root, holder, key, value, most, issue.path, notes, further);
    if (typeof value === 'number') {
      holder[key] = most;
      notes.push(`${named(issue.path)}: ${value} is ${most} now`);
      return true;
    }
  }
  if (key === 'id' && typeof value === 'string' && issue.code === 'invalid_format') {
    holder[key] = `id-${value.replace(/[^a-zA-Z0-9]/g, '')}`;
    notes.push(`${named(issue.path)}: “${value}” cannot be an id and is “${String(holder[key])}” now`);
    return true;
  }
  return false;
}

/** Too many of something: the pages, strokes and classes that can be parted are; of anything else the first ones stay. */
function part(
  root: unknown,
  holder: Record<PropertyKey, unknown>,
  key: PropertyKey,
  list: readonly unknown[],
  most: number,
  path: readonly PropertyKey[],
  notes: string[],
  further: { id: string }[],
): boolean {
  const pieces = chunks(list, most);
  holder[key] = pieces[0];
  const parent = path.length >= 3 ? holderOf(root, path.slice(0, -1)) : null;
  const siblings = parent && holderOf(root, path.slice(0, -2));
  const all = siblings?.holder[siblings.key];
  if (key === 'blocks' && Array.isArray(all)) {
    const page = holder as unknown as Page;
    const rest = pieces.slice(1).map((blocks, i) => ({ ...page, id: `${page.id}-${i + 2}`, blocks }));
    all.splice(Number(path.at(-2)) + 1, 0, ...rest);
    notes.push(`${named(path.slice(0, -1))}: a page of ${list.length} blocks is ${pieces.length} pages now`);
  } else if (key === 'points' && Array.isArray(all)) {
    // A point is three numbers: the pieces end between points.
    const whole = chunks(list, most - (most % 3));
    all.splice(Number(path.at(-2)), 1, ...whole.map((points) => ({ ...holder, points })));
    notes.push(`${named(path.slice(0, -1))}: a long stroke is ${whole.length} strokes now`);
  } else if (key === 'learnerIds' && path.length === 1 && typeof holder['name'] === 'string') {
    const { id, name } = holder as { id: string; name: string };
    pieces.slice(1).forEach((learnerIds, i) =>
      further.push({
        ...(holder as { id: string }),
        id: `${id}-${i + 2}`,
        name: `${name.slice(0, 70)} (${i + 2})`,
        learnerIds,
      } as {
        id: string;
      }),
    );
    notes.push(`${name}: ${list.length} learners are in ${pieces.length} parts now`);
  } else notes.push(`${named(path)}: the first ${most} of ${list.length} are kept`);
  return true;
}

const chunks = <T>(list: readonly T[], most: number): T[][] =>
  Array.from({ length: Math.ceil(list.length / most) }, (_, i) => list.slice(i * most, (i + 1) * most));
