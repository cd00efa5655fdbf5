import { type Id, idSchema } from '../activity/block';
import { z } from '../zod';
import type { Learner } from './learner';
import { asGrade, levelIn, sayLevel, SCALES, scaleSchema } from './levels';
import type { People } from './people';
import { supportsOn } from './supports';

/** One thing that must hold of a learner. */
export const conditionSchema = z.discriminatedUnion('is', [
  z.object({ is: z.literal('in'), part: z.enum(['class', 'group']), ids: z.array(idSchema).min(1).max(60) }),
  /** Below: less than the value; from: the value or more. */
  z.object({
    is: z.literal('level'),
    skill: z.string().min(1).max(120),
    side: z.enum(['below', 'from']),
    scale: scaleSchema,
    value: z.number().min(0).max(100),
  }),
  z.object({ is: z.literal('support'), what: z.string().min(1).max(60) }),
  z.object({ is: z.literal('language'), what: z.string().min(1).max(40) }),
  z.object({ is: z.literal('interest'), what: z.string().min(1).max(80) }),
  z.object({ is: z.literal('wants-more') }),
]);
export type Condition = z.infer<typeof conditionSchema>;

/** A named choice of learners: a rule that is evaluated when it is used, a list, or both. */
export const namedAudienceSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  /** Whether all of the conditions must hold, or one of them. Without conditions the rule takes nobody. */
  match: z.enum(['all', 'any']).default('all'),
  conditions: z.array(conditionSchema).max(12).default([]),
  /** Learners who are in it in any case, and who are not. */
  also: z.array(idSchema).max(2000).default([]),
  but: z.array(idSchema).max(2000).default([]),
  /** ISO instant of the last use; empty for none. */
  usedAt: z.string().max(40).default(''),
});
export type NamedAudience = z.infer<typeof namedAudienceSchema>;

export interface InAudience {
  readonly learner: Learner;
  /** Why they are in it, in words. */
  readonly why: string;
}

/**
 * Who is in an audience today, each once, in the order of the learners, and why. Learners, classes and groups
 * that are gone are left out.
 */
export function evaluateAudience(audience: NamedAudience, people: People): InAudience[] {
  const also = new Set(audience.also);
  const but = new Set(audience.but);
  const tests = audience.conditions.map((c) => testOf(c, people));
  return people.learners.flatMap((learner): InAudience[] => {
    if (but.has(learner.id)) return [];
    const found = tests.map((test) => test(learner));
    const reasons = found.filter((r) => r !== undefined);
    const isIn = tests.length > 0 && (audience.match === 'all' ? reasons.length === tests.length : reasons.length > 0);
    if (isIn) return [{ learner, why: reasons.join(', ') }];
    return also.has(learner.id) ? [{ learner, why: 'chosen by name' }] : [];
  });
}

type Test = (learner: Learner) => string | undefined;

function testOf(c: Condition, people: People): Test {
  switch (c.is) {
    case 'in': {
      const parts = (c.part === 'class' ? people.classes : people.groups).filter((p) => c.ids.includes(p.id));
      const sets = parts.map((p) => ({ name: p.name, ids: new Set(p.learnerIds) }));
      return (l) => {
        const home = sets.find((p) => p.ids.has(l.id));
        return home && `in ${home.name}`;
      };
    }
    case 'level':
      return (l) => {
        const level = levelIn(l.needs.levels, c.skill);
        if (!level) return undefined;
        const asked = asGrade(c);
        const has = asGrade(level);
        // Scales of age are held against each other; others only against themselves.
        const [a, b] = asked !== undefined && has !== undefined ? [has, asked] : [level.value, c.value];
        if ((asked === undefined || has === undefined) && level.scale !== c.scale) return undefined;
        return (c.side === 'below' ? a < b : a >= b) ? sayLevel(level) : undefined;
      };
    case 'support':
      return (l) =>
        supportsOn(l.needs.supports, people.today).some((s) => isSame(s, c.what)) ? `has ${c.what}` : undefined;
    case 'language':
      return (l) => (l.needs.languages.some((x) => isSame(x, c.what)) ? `speaks ${c.what}` : undefined);
    case 'interest':
      return (l) => (l.needs.interests.some((x) => isSame(x, c.what)) ? `likes ${c.what}` : undefined);
    case 'wants-more':
      return (l) => (l.needs.wantsMore ? 'wants more' : undefined);
  }
}

const isSame = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** A rule in words: “reading below grade 3 and in Heron class”. What is gone is said to be. */
export function sayAudience(audience: NamedAudience, people: Pick<People, 'classes' | 'groups'>): string {
  const words = audience.conditions.map((c) => sayCondition(c, people));
  const rule = words.join(audience.match === 'all' ? ' and ' : ' or ');
  const named = audience.also.length ? `${audience.also.length} by name` : '';
  const but = audience.but.length ? `without ${audience.but.length}` : '';
  return [rule, named, but].filter(Boolean).join(', ') || 'nobody yet';
}

function sayCondition(c: Condition, people: Pick<People, 'classes' | 'groups'>): string {
  switch (c.is) {
    case 'in': {
      const parts = c.part === 'class' ? people.classes : people.groups;
      const names = c.ids.map((id) => parts.find((p) => p.id === id)?.name ?? `a ${c.part} that is gone`);
      return `in ${names.join(' or ')}`;
    }
    case 'level':
      return `${c.skill} ${c.side === 'below' ? 'below' : 'at or above'} ${SCALES[c.scale].says(c.value)}`;
    case 'support':
      return `has ${c.what}`;
    case 'language':
      return `speaks ${c.what}`;
    case 'interest':
      return `likes ${c.what}`;
    case 'wants-more':
      return 'wants more';
  }
}

/** The ids of all that are in some audiences, each once. */
export const inAudiences = (audiences: readonly NamedAudience[], people: People): Id[] => [
  ...new Set(audiences.flatMap((a) => evaluateAudience(a, people).map((x) => x.learner.id))),
];
