import { type Content, findBlock } from '../activity/activity';
import { DEMANDS, type Id } from '../activity/block';
import { isItem } from '../activity/blocks';
import { chainOf, type Family } from '../activity/family';
import type { Judgement } from '../adjust/adjustment';
import { snippet } from '../adjust/adjustment';
import { type Adjustment, kindOfAdjustment } from '../adjust/registry';
import { basisContent, derive, inForce } from '../derive/derive';
import { broughtBy, concerned, itemsOfPage, readIn } from './brought';
import { chanceOf } from './guessing';
import { lossesOf, lossThrough, type Loss, neededBy, takenBy } from './losses';
import { sayChange } from './reworded';
import { revealOf } from './reveal';
import { protectedBy, SKILL_LABELS } from './skills';
import { touchesOf } from './touches';

/** What is computed: a judgement, or that only the teacher can know. */
export type Computed = Judgement | 'to judge';

export interface Verdict {
  readonly judgement: Computed;
  readonly why: string;
  /** What the teacher is asked, where it is theirs to judge: yes always means that it is a modification. */
  readonly question?: string;
  /** The teacher's own judgement, where there is one; it counts. */
  readonly overruled?: { readonly judgement: Judgement; readonly reason: string };
}

export interface Classified {
  /** 'same' where nothing is in force. */
  readonly judgement: Computed | 'same';
  readonly why: readonly string[];
  readonly adjustments: ReadonlyMap<Id, Verdict>;
}

/** What counts: the teacher's judgement before the computed one. */
export const counts = (v: Verdict): Computed => v.overruled?.judgement ?? v.judgement;

/** What a verdict looks at. */
interface Judging {
  readonly master: Content;
  /** What the adjustment is applied to. */
  readonly basis: Content;
  /** What comes of all of them, with its pages whole. */
  readonly result: Content;
  readonly losses: ReadonlyMap<Id, Loss>;
}

const modification = (why: string): Verdict => ({ judgement: 'modification', why });
const toJudge = (why: string, question: string): Verdict => ({ judgement: 'to judge', why, question });

/** An answer that can be read now and could not before. */
function reveals(a: Adjustment, { master, result }: Judging): Verdict | null {
  let perhaps: Verdict | null = null;
  for (const { text, at, items } of broughtBy(a, result))
    for (const item of items) {
      const was = findBlock(master, item.id);
      const own = was && isItem(was.block) ? `${was.block.prompt}\n${was.block.hint ?? ''}` : item.prompt;
      const page = was ? was.page.blocks : [];
      const before = at === 'item' ? own : [own, ...page.map(readIn)].join('\n');
      const tells = [was?.block ?? item, item].flatMap((b) => revealOf(text, b, before) ?? []);
      const told = tells.find((t) => t.how !== 'clue') ?? tells[0];
      if (!told) continue;
      const of = `“${snippet(item.prompt)}”`;
      if (told.how === 'rules out') return modification(`It rules out all but one choice of ${of}.`);
      if (told.how === 'offers') {
        perhaps ??= toJudge(`It names ${told.form}, the answer to ${of}, as one of two.`, 'Is a guess too easy then?');
        continue;
      }
      if (told.how === 'clue') {
        // On a page there is much that could be reckoned or put together; beside its question it is meant.
        if (at === 'item') perhaps ??= toJudge(`${told.what}, the answer to ${of}.`, 'Is it too easy to find then?');
        continue;
      }
      if (told.how === 'model' && a.kind === 'word-bank') {
        perhaps ??= toJudge(
          `It holds most words of the model answer to ${of}.`,
          'Does it say too much of that answer?',
        );
        continue;
      }
      if (told.how === 'model') return modification(`It says most of what the model answer to ${of} says.`);
      // A number stands on a page for much; beside its question it is the answer.
      if (at === 'page' && /^[-\d.]+$/.test(told.form))
        perhaps ??= toJudge(`It says ${told.form}, which is the answer to ${of}.`, 'Does it give that answer away?');
      else return modification(`The answer to ${of} can be read in it: ${told.form}.`);
    }
  return perhaps;
}

/** A skill that an objective protects and the adjustment takes over. */
function takesOver(a: Adjustment, { master, basis, result }: Judging): Verdict | null {
  const touches = touchesOf(a, basis, result);
  if (touches.length === 0) return null;
  const objectives = [...new Set(concerned(a, result).flatMap((i) => i.objectiveId ?? []))].flatMap(
    (id) => master.objectives.find((o) => o.id === id) ?? result.objectives.find((o) => o.id === id) ?? [],
  );
  let perhaps: Verdict | null = null;
  for (const o of objectives)
    for (const p of protectedBy(o)) {
      const touch = touches.find((t) => t.skill === p.skill);
      if (!touch) continue;
      const skill = SKILL_LABELS[p.skill];
      if (touch.isCertain && p.isCertain)
        return modification(`“${o.text}” is about ${skill}, and ${touch.by} takes that over.`);
      perhaps ??= p.isCertain
        ? toJudge(`“${o.text}” is about ${skill}.`, `Does ${touch.by} take that over?`)
        : toJudge(`${upper(touch.by)} may take over ${skill}.`, `Is ${skill} a part of what “${o.text}” asks?`);
    }
  return perhaps;
}

const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** How likely a guess is right: half the time is too often. */
function eases(a: Adjustment, { master, result }: Judging): Verdict | null {
  if (a.kind === 'word-bank' && a.words.length === 2 && itemsOfPage(result, a.page).length > 0)
    return modification('With two words to choose from, a guess is right half the time.');
  if (a.kind !== 'fewer-choices' && a.kind !== 'other-answer') return null;
  const [was, is] = [findBlock(master, a.target)?.block, findBlock(result, a.target)?.block];
  if (!is || chanceOf(is) < 0.5 || (was && chanceOf(was) >= 0.5)) return null;
  return modification('A guess is right half the time.');
}

/** Something that questions which remain need was taken away. */
function leavesBehind(a: Adjustment, { basis, result }: Judging): Verdict | null {
  const needed = neededBy(takenBy(a, basis), basis, result);
  const [first] = needed?.items ?? [];
  if (!needed || !first) return null;
  const of = `“${snippet(first.prompt)}”`;
  return needed.isCertain
    ? toJudge(
        `To mend: the answer to ${of} stood in it, and the question is still asked.`,
        'Does it miss what it needs to be answered?',
      )
    : toJudge(`${of} is still asked on its page.`, 'Do the questions miss what they need to be answered?');
}

/** Another picture where questions may be about it. */
function showsOther(a: Adjustment, { result }: Judging): Verdict | null {
  if (a.kind !== 'replace-picture') return null;
  const page = findBlock(result, a.target)?.page.id;
  const items = itemsOfPage(result, page);
  const about = items.find(
    (i) => i.kind === 'number' || /\b(?:pictures?|photos?|see|shown?|count|how many|look)\b/i.test(i.prompt),
  );
  return about
    ? toJudge(`“${snippet(about.prompt)}” may be about the picture.`, 'Is its answer another with this picture?')
    : null;
}

function lowersDemand(a: Adjustment, { master }: Judging): Verdict | null {
  if (a.kind !== 'other-answer' || a.to !== 'single-choice') return null;
  const b = findBlock(master, a.target)?.block;
  return b && isItem(b) && DEMANDS.indexOf(b.demand) >= DEMANDS.indexOf('explain')
    ? modification('The question asks to explain; choosing asks only to recognise.')
    : null;
}

/** Every check, from what is certain to what may be asked of the teacher; the first certain one counts. */
const CHECKS = [
  (a: Adjustment, j: Judging): Verdict | null => {
    const loss = lossThrough(takenBy(a, j.basis), j.losses);
    return loss ? modification(loss.why) : null;
  },
  lowersDemand,
  reveals,
  eases,
  takesOver,
  leavesBehind,
  showsOther,
  (a: Adjustment, j: Judging): Verdict | null => {
    const change = sayChange(a, j.basis, j.result);
    return change ? toJudge(change.what, change.question) : null;
  },
];

function verdictOf(a: Adjustment, j: Judging): Verdict & { readonly neutral?: boolean } {
  const own = kindOfAdjustment(a).judge(a, { basis: j.basis });
  if (own.judgement === 'modification') return own;
  const found = CHECKS.flatMap((check) => check(a, j) ?? []);
  return found.find((v) => v.judgement === 'modification') ?? found[0] ?? own;
}

/**
 * Accommodation or modification, by rule (docs/decisions/0003 and 0032): an adjustment is a modification when it takes away
 * what an objective asks, gives an answer away, takes over what an objective protects, or lets a guess be right half the time;
 * an addition when it only adds to what is asked; to judge where only the teacher can know; else an accommodation.
 */
export function classify(family: Family, versionId: Id): Classified {
  const known = kept.get(family) ?? new Map<Id, Classified>();
  kept.set(family, known);
  let verdicts = known.get(versionId);
  if (!verdicts) known.set(versionId, (verdicts = classified(family, versionId)));
  return verdicts;
}

// Families are never changed, only replaced.
const kept = new WeakMap<Family, Map<Id, Classified>>();

function classified(family: Family, versionId: Id): Classified {
  const chain = chainOf(family, versionId);
  const master = derive(family, null).content;
  const result = derive(family, versionId).whole;
  const losses = lossesOf(master, result);
  const adjustments = new Map<Id, Verdict>();
  const all: Verdict[] = [];
  for (const version of chain) {
    const basis = basisContent(family, version);
    for (const a of version.adjustments) {
      if (!inForce(a, undefined)) continue;
      const { neutral, ...computed } = verdictOf(a, { master, basis, result, losses });
      const verdict: Verdict = { ...computed, ...(a.overrule ? { overruled: a.overrule } : {}) };
      if (!neutral || a.overrule) all.push(verdict);
      adjustments.set(a.id, verdict);
    }
  }
  const of = (j: Computed) => all.filter((v) => counts(v) === j);
  const whys = (j: Computed) => [
    ...new Set(of(j).map((v) => v.overruled?.reason ?? [v.why, v.question].filter(Boolean).join(' '))),
  ];
  for (const judgement of ['modification', 'to judge'] as const)
    if (of(judgement).length > 0) return { judgement, why: whys(judgement), adjustments };
  if (of('accommodation').length > 0)
    return {
      judgement: 'accommodation',
      why: [
        master.objectives.length
          ? 'Every objective of the master is still asked; no answer was found in what was added.'
          : 'No objective is set; no answer was found in what was added.',
      ],
      adjustments,
    };
  if (all.length > 0) return { judgement: 'addition', why: ['It only adds to what the master asks.'], adjustments };
  return { judgement: 'same', why: ['Nothing differs from the master yet.'], adjustments };
}
