import type { Id } from '../activity/block';
import { type Family, latest } from '../activity/family';
import { objectiveCoverage } from './bank';

/** An objective as activities name it, with how often their masters ask for it. */
export interface AskedObjective {
  readonly id: Id;
  readonly text: string;
  /** Of the first activity that names it. */
  readonly subject: string;
  readonly ages: string;
  /** Items of all masters together. */
  readonly items: number;
  /** Activities that name it, in their order. */
  readonly activities: readonly string[];
}

/** The objectives of all activities' latest revisions, each once, in the order of the activities. */
export function askedObjectives(families: readonly Family[]): AskedObjective[] {
  const all = new Map<Id, AskedObjective>();
  for (const { content } of families.map(latest))
    for (const o of objectiveCoverage(content)) {
      const before = all.get(o.id) ?? { ...o, subject: content.subject, ages: content.ages, items: 0, activities: [] };
      all.set(o.id, {
        id: o.id,
        text: before.text,
        subject: before.subject,
        ages: before.ages,
        items: before.items + o.items,
        activities: [...before.activities, content.title],
      });
    }
  return [...all.values()];
}
