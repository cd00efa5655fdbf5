import { datesFor, noSchoolOn } from '../dates';
import { type CheckContext, type Finding, finding, named } from './finding';

/** Dates in their order, ahead of now, and on days of school. */
export function checkWhen({ handOut, audience, now, days }: CheckContext): Finding[] {
  const { opensAt, dueAt, closesAt, answersAt } = handOut;
  const out: Finding[] = [];
  const say = (level: Finding['level'], code: string, title: string, detail: string) =>
    out.push(finding(level, code, 'when', title, detail));
  if (opensAt && dueAt && dueAt <= opensAt)
    say('mend', 'due-before-open', 'It is due before it opens', 'Move one of the two dates.');
  else if (dueAt && dueAt <= now)
    say('mend', 'due-past', 'The due date is in the past', 'Choose a later one, or none.');
  if (closesAt && closesAt <= now)
    say('mend', 'closes-past', 'It would be closed already', 'Choose a later time to close, or none.');
  else if (closesAt && opensAt && closesAt <= opensAt)
    say('mend', 'closes-before-open', 'It closes before it opens', 'Move one of the two dates.');
  else if (closesAt && dueAt && closesAt < dueAt)
    say('confirm', 'closes-before-due', 'It closes before it is due', 'Whoever hands in after that cannot.');
  if (opensAt && opensAt <= now) say('confirm', 'opens-past', 'The opening date is in the past', 'It opens at once.');
  if (answersAt && dueAt && answersAt < dueAt)
    say('confirm', 'answers-early', 'The answers are shown before it is due', 'Who is not ready yet sees them.');
  for (const [at, what] of [
    [opensAt, 'opens'],
    [dueAt, 'is due'],
  ] as const) {
    const why = at && at > now ? noSchoolOn(at, days) : '';
    if (why)
      out.push(
        finding('confirm', 'day-off', 'when', `It ${what} on ${why}`, 'There is no school on that day.', {
          about: `${what} ${at}`,
        }),
      );
  }
  const own = audience.filter((l) => {
    const d = datesFor(handOut, l, days);
    return d.opensAt && d.dueAt && d.dueAt <= d.opensAt && !(opensAt && dueAt && dueAt <= opensAt);
  });
  if (own.length)
    out.push(
      finding(
        'mend',
        'own-due-before-open',
        'when',
        `For ${named(own)} it is due before it opens`,
        'Move one of their dates.',
        { learners: own },
      ),
    );
  return out;
}
