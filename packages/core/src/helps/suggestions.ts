import type { Id } from '../activity/block';
import { chainOf, type Family, latest, versionOf } from '../activity/family';
import { fingerprint } from '../activity/fingerprint';
import { adjustmentKinds } from '../adjust/registry';
import { snippet } from '../adjust/adjustment';
import { itemsOf } from '../activity/activity';
import { type Learner } from '../learners/learner';
import { type Day, isOnDay } from '../learners/days';
import type { Drift } from './drift';
import { itemFigures, mean } from './figures';
import type { SeenWork } from './seen';

/** Works in a row that have to say the same; see docs/decisions/0042 for all of these. */
export const IN_A_ROW = 3;
/** From here on a support may be faded, and another version tried. */
export const FLUENT = 0.9;
/** From here on a goal counts as met in a work. */
export const MET = 0.8;
/** Fewer questions in a work say too little of one objective. */
export const LEAST_ASKED = 2;
/** An item that so few get right, of so many, misleads. */
export const MISLED = { share: 0.3, of: 8 } as const;
/** Of fewer answers it is not said that who knows the rest gets it wrong. */
export const LEAST_TO_TELL = 10;
/** A version that asks so few of the master's questions has become another task. */
export const ANOTHER_TASK = 0.5;

/** What could be done, and why: never done by itself. */
export interface HelpSuggestion {
  /** The same for the same thing: a dismissed one stays so. */
  readonly id: Id;
  readonly what: 'fade' | 'step up' | 'goal met' | 'misleads' | 'another task';
  readonly learnerId?: Id;
  /** The activity that a version or a plan would be drafted of. */
  readonly familyId?: Id;
  readonly versionId?: Id;
  /** The kind of adjustment that would be faded. */
  readonly kind?: string;
  /** The support on the card, where what would be faded is agreed: then a review decides. */
  readonly agreed?: string;
  readonly objectiveId?: Id;
  /** The version that could be tried; null is the master. */
  readonly tryId?: Id | null;
  readonly goalId?: Id;
  readonly itemId?: Id;
  readonly says: string;
  readonly reasons: readonly string[];
}

/** A suggestion's key, of what it is about. */
const keyOf = (...parts: readonly string[]): Id => `s-${fingerprint(parts)}`;
const percent = (share: number): string => `${Math.round(share * 100)} %`;
const resultOf = (w: SeenWork): number => mean(w.items.map((i) => i.share));

/** The last works of some, where there are enough of them; the earliest first. */
function lastInARow(works: readonly SeenWork[]): readonly SeenWork[] | undefined {
  return works.length < IN_A_ROW ? undefined : works.slice(-IN_A_ROW);
}
const saying = (works: readonly SeenWork[], of: (w: SeenWork) => number): string[] =>
  works.map((w) => `${w.title}: ${percent(of(w))}`);

/** What each kind of help is called on a needs card, where it is agreed there by another name. */
const ON_CARD: Readonly<Record<string, string>> = {
  'word-bank': 'word bank',
  hint: 'hints',
  'fewer-choices': 'two or three choices',
  'sentence-starters': 'sentence starters',
  'worked-example': 'worked example',
  glossary: 'glossary',
  'steps-to-tick': 'steps to tick',
};

/** Works of one learner by activity, with what is there of it now. */
export interface ForSuggestions {
  /** Submitted works of all who are asked about. */
  readonly works: readonly SeenWork[];
  readonly learners: readonly Learner[];
  /** Those activities of the works that are here. */
  readonly families: ReadonlyMap<string, Family>;
  readonly drift: ReadonlyMap<string, readonly Drift[]>;
  readonly today: Day;
}

/** Everything that could be suggested now, in the order of learners, then of activities. */
export function helpSuggestions(of: ForSuggestions): HelpSuggestion[] {
  const by = new Map<Id, SeenWork[]>();
  for (const w of of.works) by.set(w.learnerId, [...(by.get(w.learnerId) ?? []), w]);
  const ofLearners = of.learners.flatMap((l) => {
    const works = (by.get(l.id) ?? []).sort((a, b) => a.day.localeCompare(b.day));
    return [...goalsMet(l, works), ...toFade(l, works, of), ...stepsUp(l, works, of)];
  });
  return [...ofLearners, ...[...of.families.values()].flatMap((f) => [...misleading(f, of), ...anotherTask(f, of)])];
}

function goalsMet(l: Learner, works: readonly SeenWork[]): HelpSuggestion[] {
  return l.needs.goals.flatMap((g) => {
    const last = lastInARow(works.filter((w) => w.goalIds.includes(g.id)));
    if (!last?.every((w) => resultOf(w) >= MET)) return [];
    return [
      {
        ...{ id: keyOf('goal met', l.id, g.id), what: 'goal met', learnerId: l.id, goalId: g.id },
        says: `${l.name} has met this goal ${IN_A_ROW} times in a row: “${g.text}”`,
        reasons: [`Works that served the goal, each at ${percent(MET)} or more:`, ...saying(last, resultOf)],
      },
    ];
  });
}

/** The newest work whose version is still here. */
const newestHere = (works: readonly SeenWork[], { families }: ForSuggestions) =>
  works.findLast((w) => {
    const family = families.get(w.familyId);
    return w.versionId !== null && family !== undefined && versionOf(family, w.versionId) !== undefined;
  });

function toFade(l: Learner, works: readonly SeenWork[], of: ForSuggestions): HelpSuggestion[] {
  const kinds = [...new Set(works.flatMap((w) => w.helps))];
  return kinds.flatMap((kind): HelpSuggestion[] => {
    const last = lastInARow(works.filter((w) => w.helps.includes(kind)));
    // Once the newest work was done without it, it is faded already.
    if (!last?.every((w) => resultOf(w) >= FLUENT) || !works.at(-1)?.helps.includes(kind)) return [];
    const here = newestHere(last, of);
    const agreed = l.needs.supports.find((s) => s.what === ON_CARD[kind] && isOnDay(s, of.today))?.what;
    if (!here?.versionId && agreed === undefined) return [];
    const name = adjustmentKinds[kind as keyof typeof adjustmentKinds].label.toLowerCase();
    return [
      {
        ...{ id: keyOf('fade', l.id, kind), what: 'fade', learnerId: l.id, kind },
        ...(here?.versionId ? { familyId: here.familyId, versionId: here.versionId } : {}),
        ...(agreed === undefined ? {} : { agreed }),
        says: `${l.name} may do without: ${name}`,
        reasons: [
          `The last ${IN_A_ROW} works with it, each at ${percent(FLUENT)} or more:`,
          ...saying(last, resultOf),
          ...(agreed === undefined ? [] : [`“${agreed}” is agreed on the needs card: a review decides.`]),
        ],
      },
    ];
  });
}

/** What is no help: something to do besides, other examples, one's own name. */
const NO_HELP: ReadonlySet<string> = new Set([
  'insert-block',
  'insert-page',
  'from-activity',
  'extension-item',
  'personal-fields',
  'by-interest',
]);
/** As much help as a version gives. */
function helpIn(family: Family, versionId: Id | null): number {
  if (versionId === null) return 0;
  return chainOf(family, versionId)
    .flatMap((v) => v.adjustments)
    .filter((a) => !a.off && !NO_HELP.has(a.kind)).length;
}

/** The version for all that comes next with less help; null is the master, undefined where there is less in none. */
export function nextTier(family: Family, versionId: Id): Id | null | undefined {
  const mine = helpIn(family, versionId);
  if (mine === 0) return undefined;
  const less = family.versions
    .filter((v) => !v.learnerId && v.id !== versionId)
    .map((v) => ({ id: v.id, help: helpIn(family, v.id) }))
    .filter((v) => v.help < mine && v.help > 0)
    .sort((a, b) => b.help - a.help);
  return less[0]?.id ?? null;
}

const shareOn = (w: SeenWork, objectiveId: string): number =>
  mean(w.items.filter((i) => i.objectiveId === objectiveId).map((i) => i.share));

function stepsUp(l: Learner, works: readonly SeenWork[], of: ForSuggestions): HelpSuggestion[] {
  // Objectives of several activities are the same where their words are.
  const said = (w: SeenWork, id: string): string => {
    const family = of.families.get(w.familyId);
    return family ? (latest(family).content.objectives.find((o) => o.id === id)?.text ?? '') : '';
  };
  const asked = new Map<string, { w: SeenWork; id: string }[]>();
  for (const w of works)
    for (const id of new Set(w.items.map((i) => i.objectiveId))) {
      const text = id && said(w, id);
      if (!text || w.items.filter((i) => i.objectiveId === id).length < LEAST_ASKED) continue;
      asked.set(text, [...(asked.get(text) ?? []), { w, id }]);
    }
  return [...asked].flatMap(([text, all]): HelpSuggestion[] => {
    const last = all.slice(-IN_A_ROW);
    const here = last.at(-1);
    const family = here && of.families.get(here.w.familyId);
    const versionId = here?.w.versionId;
    if (last.length < IN_A_ROW || !family || !versionId || !versionOf(family, versionId)) return [];
    if (!last.every(({ w, id }) => w.versionId !== null && shareOn(w, id) >= FLUENT)) return [];
    const tryId = nextTier(family, versionId);
    if (tryId === undefined) return [];
    const name = tryId === null ? 'the master' : `“${versionOf(family, tryId)?.name}”`;
    return [
      {
        ...{ id: keyOf('step up', l.id, text), what: 'step up', learnerId: l.id, objectiveId: here.id, tryId },
        ...{ familyId: family.id, versionId },
        says: `${l.name} may try ${name} for “${text}”`,
        reasons: [
          `The last ${IN_A_ROW} works that asked it, each at ${percent(FLUENT)} or more:`,
          ...last.map(({ w, id }) => `${w.title}, ${w.versionName}: ${percent(shareOn(w, id))}`),
        ],
      },
    ];
  });
}

/** As high as a correlation of so many may be: Fisher's interval for 95 per cent (R. A. Fisher, 1921). */
const highestTells = (r: number, n: number): number =>
  Math.tanh(Math.atanh(Math.max(-0.999, Math.min(0.999, r))) + 1.96 / Math.sqrt(n - 3));

function misleading(family: Family, of: ForSuggestions): HelpSuggestion[] {
  const works = of.works.filter((w) => w.familyId === family.id);
  const items = new Map(itemsOf(latest(family).content).map((i) => [i.id, i]));
  return itemFigures(works).flatMap((f): HelpSuggestion[] => {
    const item = items.get(f.id);
    if (!item) return [];
    const isMissed = f.n >= MISLED.of && f.share <= MISLED.share;
    const isWrong = f.n >= LEAST_TO_TELL && f.tells !== null && highestTells(f.tells, f.n) < 0;
    if (!isMissed && !isWrong) return [];
    return [
      {
        ...{ id: keyOf('misleads', family.id, f.id), what: 'misleads', familyId: family.id, itemId: f.id },
        says: `This question misleads: “${snippet(item.prompt, 80)}”`,
        reasons: [
          ...(isMissed ? [`Reached ${percent(f.share)} of its points, of ${f.n} answers, in all versions.`] : []),
          ...(isWrong
            ? [`Who does well on the rest does worse on it (correlation ${f.tells?.toFixed(2)}, ${f.n} answers).`]
            : []),
          'Look at its words, its choices and its key.',
        ],
      },
    ];
  });
}

function anotherTask(family: Family, of: ForSuggestions): HelpSuggestion[] {
  return (of.drift.get(family.id) ?? []).flatMap((d): HelpSuggestion[] => {
    if (d.counts !== 'modification' || !d.of || d.asks / d.of > ANOTHER_TASK) return [];
    return [
      {
        ...{ id: keyOf('another task', family.id, d.versionId), what: 'another task', familyId: family.id },
        versionId: d.versionId,
        says: `“${d.name}” of “${latest(family).content.title}” has become another task`,
        reasons: [`It asks ${d.asks} of the master’s ${d.of} questions, and counts as a modification.`],
      },
    ];
  });
}
