import type { Id } from '../activity/block';
import { inAudiences } from '../learners/audience';
import type { People } from '../learners/people';
import type { HandOut, Line, PlanRule } from './hand-out';
import { recipientsOf } from './recipients';

/** A group or an audience says more than a class, and a class more than everyone. */
const RANK: Readonly<Record<PlanRule['by'], number>> = { group: 2, audience: 2, class: 1, everyone: 0 };

/** Whom a rule speaks of, among all learners. */
export function inRule(rule: PlanRule, people: People): ReadonlySet<Id> {
  switch (rule.by) {
    case 'everyone':
      return new Set(people.learners.map((l) => l.id));
    case 'class':
      return new Set(people.classes.find((c) => c.id === rule.of)?.learnerIds);
    case 'group':
      return new Set(people.groups.find((g) => g.id === rule.of)?.learnerIds);
    case 'audience':
      return new Set(
        inAudiences(
          people.audiences.filter((a) => a.id === rule.of),
          people,
        ),
      );
  }
}

/**
 * Who gets which version now: what was chosen by hand, and for all others of the audience what the rules say. Rules that
 * say more come before those that say less; two of one rank that disagree give two lines, and the check names them. Where
 * one is given per group, what each group gets.
 */
export function linesNow(handOut: HandOut, people: People): Line[] {
  const audience = recipientsOf(handOut, people);
  if (handOut.way === 'per-group')
    return audience.flatMap(({ id }) =>
      handOut.teams.flatMap((t) => (t.learnerIds.includes(id) ? [{ learnerId: id, versionId: t.versionId }] : [])),
    );
  const byHand = new Set(handOut.lines.map((l) => l.learnerId));
  const inIt = new Set(audience.map((l) => l.id));
  const rules = handOut.rules.map((rule) => ({ rule, ids: inRule(rule, people) }));
  const byRule = audience.flatMap(({ id }): Line[] => {
    if (byHand.has(id)) return [];
    const mine = rules.filter((r) => r.ids.has(id));
    const top = Math.max(...mine.map((r) => RANK[r.rule.by]));
    const lines = new Map<Id | null, Line>();
    for (const { rule } of mine)
      if (RANK[rule.by] === top && !lines.has(rule.versionId))
        lines.set(rule.versionId, { learnerId: id, versionId: rule.versionId, rule: rule.id });
    return [...lines.values()];
  });
  return [...handOut.lines.filter((l) => inIt.has(l.learnerId)), ...byRule];
}

/** The rules with one that gives a version to a part of the audience; one for the same part is taken away. */
export const withRule = (rules: readonly PlanRule[], rule: PlanRule): PlanRule[] => [
  ...rules.filter((r) => r.by !== rule.by || r.of !== rule.of),
  rule,
];
