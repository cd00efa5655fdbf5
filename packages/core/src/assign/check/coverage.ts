import type { Family } from '../../activity/family';
import type { People } from '../../learners/people';
import { NO_DAYS_OFF, type SchoolDays } from '../dates';
import type { HandOut } from '../hand-out';
import { recipientsOf } from '../recipients';
import { linesNow } from '../rules';
import type { Beside, Finding } from './finding';
import { checkHow, checkWhat } from './what';
import { checkWhen } from './when';
import { checkWho } from './who';

const ORDER: readonly Finding['level'][] = ['mend', 'confirm', 'note'];

/**
 * Everything that is wrong or unusual about a hand-out, errors first. `now` is local, 'yyyy-MM-ddTHH:mm'; `others` are
 * the hand-outs that learners have already.
 */
export function coverage(
  handOut: HandOut,
  family: Family | undefined,
  people: People,
  now: string,
  { days = NO_DAYS_OFF, others = [] }: { readonly days?: SchoolDays; readonly others?: readonly Beside[] } = {},
): Finding[] {
  const context = {
    handOut: { ...handOut, lines: linesNow(handOut, people) },
    family,
    people,
    audience: recipientsOf(handOut, people),
    now,
    days,
    others,
  };
  const found = [checkWho, checkWhen, checkWhat, checkHow].flatMap((check) => check(context));
  return found.sort((a, b) => ORDER.indexOf(a.level) - ORDER.indexOf(b.level));
}

/** What of it the teacher has said nothing to yet: errors, and warnings without a reason. */
export const openFindings = (found: readonly Finding[], handOut: Pick<HandOut, 'confirmed'>): Finding[] =>
  found.filter((f) => f.level === 'mend' || (f.level === 'confirm' && !handOut.confirmed.some((c) => c.key === f.key)));
