import {
  type Answer,
  type Block,
  type Content,
  type Copy,
  copyIdOf,
  EMPTY_NEEDS,
  emptyResponse,
  emptyWorkspace,
  type Family,
  FAMILY_FORMAT,
  giveOut,
  type HandOut,
  type InPlace,
  type Learner,
  listOf,
  type Marking,
  NEW_CLASS,
  newHandOut,
  NO_PERSON,
  type Page,
  recordInPlace,
  type SchoolClass,
  swatchFrom,
  type Workspace,
} from '../src/index';

const LEARNERS = 120;
const CLASS = 30;
const HAND_OUTS = 40;
const ALL = Array.from({ length: HAND_OUTS }, (_, h) => h);
const PAGES = 4;
const ITEMS = 11;
const ACTIVITIES = 8;
const AT = '2026-09-07T08:00:00.000Z';

const WORDS =
  'the a sea shore crab hides under stone when it is dry and waits for water to come back because gulls look'.split(
    ' ',
  );
/** Words by lot, so that a term packs as little as what learners write. */
function words(n: number, seed: number): string {
  let at = seed * 2654435761 + 1;
  const next = () => (at = (Math.imul(at, 1103515245) + 12345) & 0x7fffffff) / 0x7fffffff;
  return Array.from({ length: n }, () => WORDS[Math.floor(next() * WORDS.length)] + (next() < 0.1 ? 's' : '')).join(
    ' ',
  );
}

/** Every third item is chosen, every third a few words, every third some sentences. */
const item = (id: string, i: number): Block => {
  const base = {
    id,
    audience: 'learner' as const,
    prompt: `What is asked in ${id}?`,
    demand: 'recall' as const,
    points: 1,
  };
  if (i % 3 === 0)
    return {
      ...base,
      kind: 'single-choice',
      options: [1, 2, 3, 4].map((n) => ({ id: `${id}-${n}`, text: `Choice ${n} of ${id}` })),
      key: `${id}-1`,
    };
  if (i % 3 === 1) return { ...base, kind: 'short-text', key: ['a key'], spellingTolerant: true };
  return { ...base, kind: 'long-text', key: '', lines: 4 };
};

function answer(b: Block, seed: number): Answer {
  if (b.kind === 'single-choice') return { kind: 'choice', chosen: [`${b.id}-${1 + (seed % 4)}`] };
  if (b.kind === 'short-text') return { kind: 'text', text: seed % 2 ? 'a key' : 'another word' };
  return { kind: 'text', text: words(24, seed) };
}

/** On each page of the first two versions other wordings twice, fewer choices twice, and a hint. */
function adjusted(f: Family): Family {
  let made = 0;
  const stamp = { at: AT, author: 'T', newId: () => `${f.id}a${made++}` };
  let out = f;
  for (const v of f.versions.slice(0, 2))
    for (const p of f.revisions[0]?.content.pages ?? [])
      for (const done of doneOn(p)) {
        const next = recordInPlace(out, v.id, done, stamp);
        out = { ...out, versions: out.versions.map((x) => (x.id === v.id ? next : x)) };
      }
  return out;
}

const doneOn = ({ blocks }: Page): InPlace[] =>
  blocks.slice(0, 5).map((b, i): InPlace => {
    if (b.kind === 'single-choice') return { did: 'remove-options', blockId: b.id, optionIds: [`${b.id}-4`] };
    if (i === 3) return { did: 'hint', blockId: b.id, text: 'Look back at the text.' };
    const field = 'prompt' in b ? 'prompt' : 'text';
    return {
      did: 'words',
      blockId: b.id,
      field,
      text: `In short: ${'prompt' in b ? b.prompt : 'it is about the shore.'}`,
    };
  });

function family(n: number): Family {
  const content: Content = {
    title: `Activity ${n}`,
    subject: 'Science',
    ages: '9–11',
    objectives: [{ id: `o${n}`, text: `Objective of activity ${n}` }],
    pages: Array.from({ length: PAGES }, (_, p): Page => ({
      id: `f${n}p${p}`,
      title: `Page ${p + 1}`,
      orientation: 'portrait',
      blocks: [
        { id: `f${n}p${p}t`, kind: 'text', audience: 'learner', text: `What page ${p} is about. `.repeat(20) },
        ...Array.from({ length: ITEMS }, (_, i) => item(`f${n}p${p}i${i}`, i)),
      ],
    })),
  };
  return {
    format: FAMILY_FORMAT,
    id: `f${n}`,
    createdAt: AT,
    swatch: swatchFrom(`f${n}`),
    revisions: [{ n: 1, at: AT, author: 'T', note: '', content }],
    versions: ['Supported', 'Core', 'Extended'].map((name, v) => ({
      id: `f${n}v${v}`,
      name,
      swatch: swatchFrom(`f${n}v${v}`),
      purpose: '',
      basis: null,
      upTo: 1,
      upkeepLog: [],
      adjustments: [],
    })),
  };
}

/**
 * A term of `times` schools side by side, each of 120 learners in four classes, with 40 hand-outs of 44 items for all of
 * them, all answered, half of it marked: 211,200 answers a school.
 */
export function term(times: number, { learners: many = LEARNERS, handOuts = ALL, isAdjusted = false } = {}): Workspace {
  const w = emptyWorkspace() as unknown as { [C in keyof Workspace]: Record<string, Workspace[C][string]> };
  const families = Array.from({ length: ACTIVITIES }, (_, n) => (isAdjusted ? adjusted(family(n)) : family(n)));
  for (const f of families) w.families[f.id] = f;
  for (let s = 0; s < times; s++) {
    const learners = Array.from({ length: many }, (_, i): Learner => ({
      id: `s${s}l${i}`,
      name: `Learner ${s}-${i}`,
      ...NO_PERSON,
      needs: EMPTY_NEEDS,
    }));
    const classes = Array.from({ length: Math.ceil(many / CLASS) }, (_, c): SchoolClass => ({
      ...NEW_CLASS,
      id: `s${s}c${c}`,
      name: `Class ${s}-${c}`,
      learnerIds: learners.slice(c * CLASS, (c + 1) * CLASS).map((l) => l.id),
    }));
    for (const l of learners) w.learners[l.id] = l;
    for (const c of classes) w.classes[c.id] = c;
    for (const h of handOuts) {
      const f = families[h % ACTIVITIES] as Family;
      const plan: HandOut = {
        ...newHandOut({ id: `s${s}h${h}`, familyId: f.id, createdAt: AT, title: `Work ${h} of school ${s}` }),
        classIds: classes.map((c) => c.id),
        lines: learners.map((l, i) => ({ learnerId: l.id, versionId: `${f.id}v${i % 3}` })),
      };
      const given = giveOut(plan, f, { learners, classes, groups: [], audiences: [], today: AT.slice(0, 10) }, AT);
      w.handOuts[plan.id] = given.handOut;
      for (const frozen of given.frozen) w.frozen[frozen.id] = frozen;
      const blocks = (f.revisions[0]?.content.pages ?? []).flatMap((p) => p.blocks.filter((b) => 'prompt' in b));
      learners.forEach((l, i) => {
        const id = copyIdOf(plan.id, l.id);
        const answers = Object.fromEntries(blocks.map((b, k) => [b.id, answer(b, i * 97 + k * 13 + h * 7 + s)]));
        // The last piece of work of each learner is still being written.
        const submittedAt = h === HAND_OUTS - 1 ? null : AT;
        const frozen = given.handOut.given[l.id]?.frozen ?? '';
        w.copies[id] = {
          id,
          handOutId: plan.id,
          learnerId: l.id,
          frozen,
          goes: [{ n: 1, startedAt: AT, submittedAt, answers }],
        } satisfies Copy;
        if (i % 2 === 0 && submittedAt)
          w.markings[id] = {
            id,
            copyId: id,
            responses: [{ ...emptyResponse(1), comment: 'Well done.', decision: 'complete', decidedAt: AT }],
          } satisfies Marking;
      });
    }
  }
  return w;
}

export const countAnswers = (w: Workspace): number =>
  listOf(w.copies).reduce((n, c) => n + c.goes.reduce((m, g) => m + Object.keys(g.answers).length, 0), 0);
