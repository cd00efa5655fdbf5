import {
  type Answer,
  type Block,
  type Copy,
  copyIdOf,
  EMPTY_NEEDS,
  emptyWorkspace,
  type Family,
  FAMILY_FORMAT,
  giveOut,
  type HandOut,
  isItem,
  type Learner,
  NEW_CLASS,
  newHandOut,
  NO_PERSON,
  swatchFrom,
  type Workspace,
} from '../src/index';

const AT = '2026-11-20T08:00:00.000Z';
const TIERS = ['Supported', 'Core', 'Extended'];
const SAID = [
  'sea snail',
  'Sea snail',
  'a sea snail',
  'limpet',
  'limpit',
  'mussel',
  'crab',
  'a crab',
  'shore crab',
  'gull',
];
const WHY = [
  'it keeps the wet in',
  'gulls cannot see it',
  'the stone is cold',
  'its shell is hard',
  'water comes back',
  'it holds on',
];

const item = (id: string, i: number, isWritten: boolean): Block => {
  const base = {
    id,
    audience: 'learner' as const,
    prompt: `What is asked in ${id}?`,
    demand: 'recall' as const,
    points: 1,
  };
  if (isWritten) return { ...base, kind: 'long-text', key: 'Says why.', lines: 4, points: 2 };
  if (i % 2)
    return {
      ...base,
      kind: 'single-choice',
      options: [1, 2, 3, 4].map((n) => ({ id: `${id}-${n}`, text: `Choice ${n} of ${id}` })),
      key: `${id}-1`,
    };
  return { ...base, kind: 'short-text', key: ['limpet'], spellingTolerant: true };
};

/** What somebody wrote: one in two of the longer answers is like somebody else's. */
function answer(b: Block, i: number, k: number): Answer {
  if (b.kind === 'single-choice') return { kind: 'choice', chosen: [`${b.id}-${1 + ((i * 7 + k) % 3 ? 0 : 1)}`] };
  if (b.kind === 'short-text') return { kind: 'text', text: SAID[(i * 5 + k * 3) % SAID.length] ?? '' };
  const own = i % 2 ? ` because ${WHY[(i * 5 + k) % WHY.length] ?? ''} number ${i}` : '';
  return { kind: 'text', text: `I think ${WHY[(i + k) % WHY.length] ?? ''}${own}.` };
}

/** Work of so many learners on so many questions, the last of them the teacher's to judge; three versions; all submitted. */
function handOut(w: Workspace, id: string, learners: readonly Learner[], questions: number, written: number): void {
  const records = w as unknown as { [C in keyof Workspace]: Record<string, Workspace[C][string]> };
  const familyId = `f-${id}`;
  const family: Family = {
    format: FAMILY_FORMAT,
    id: familyId,
    createdAt: AT,
    swatch: swatchFrom(familyId),
    revisions: [
      {
        n: 1,
        at: AT,
        author: 'T',
        note: '',
        content: {
          title: `Work ${id}`,
          subject: 'Science',
          ages: '9–11',
          objectives: [{ id: `${id}-o`, text: 'Finds facts' }],
          pages: [0, 1].map((p) => ({
            id: `${id}-p${p}`,
            title: `Page ${p + 1}`,
            orientation: 'portrait' as const,
            blocks: Array.from({ length: questions }, (_, i) => i)
              .filter((i) => (i < questions / 2 ? 0 : 1) === p)
              .map((i) => item(`${id}-q${i + 1}`, i, i >= questions - written)),
          })),
        },
      },
    ],
    versions: TIERS.map((name, v) => ({
      id: `${familyId}-v${v}`,
      name,
      swatch: swatchFrom(`${familyId}-v${v}`),
      purpose: '',
      basis: null,
      upTo: 1,
      upkeepLog: [],
      adjustments: [],
    })),
  };
  records.families[familyId] = family;
  const schoolClass = { ...NEW_CLASS, id: `c-${id}`, name: `Class ${id}`, learnerIds: learners.map((l) => l.id) };
  records.classes[schoolClass.id] = schoolClass;
  const plan: HandOut = {
    ...newHandOut({ id, familyId, createdAt: AT, title: `Work ${id}` }),
    classIds: [schoolClass.id],
    lines: learners.map((l, i) => ({ learnerId: l.id, versionId: `${familyId}-v${i % 3}` })),
  };
  const people = { learners: [...learners], classes: [schoolClass], groups: [], audiences: [], today: AT.slice(0, 10) };
  const given = giveOut(plan, family, people, AT);
  records.handOuts[id] = given.handOut;
  for (const frozen of given.frozen) records.frozen[frozen.id] = frozen;
  const blocks = (family.revisions[0]?.content.pages ?? []).flatMap((p) => p.blocks.filter(isItem));
  learners.forEach((l, i) => {
    const copyId = copyIdOf(id, l.id);
    const answers = Object.fromEntries(blocks.map((b, k) => [b.id, answer(b, i, k)]));
    records.copies[copyId] = {
      id: copyId,
      handOutId: id,
      learnerId: l.id,
      frozen: given.handOut.given[l.id]?.frozen ?? '',
      goes: [{ n: 1, startedAt: AT, submittedAt: AT, answers }],
    } satisfies Copy;
  });
}

/** An hour of marking (23 learners, 13 questions, three the teacher's); grids of 12 and of 120 by 40; 400 answers to a question. */
export function workToMark(): Workspace {
  const w = emptyWorkspace();
  const learners = Array.from({ length: 400 }, (_, i): Learner => ({
    id: `l${i}`,
    name: `Learner ${i}`,
    ...NO_PERSON,
    needs: EMPTY_NEEDS,
  }));
  for (const l of learners) (w.learners as Record<string, Learner>)[l.id] = l;
  handOut(w, 'hour', learners.slice(0, 23), 13, 3);
  handOut(w, 'few', learners.slice(0, 12), 40, 4);
  handOut(w, 'large', learners.slice(0, 120), 40, 4);
  handOut(w, 'many', learners, 13, 3);
  return w;
}
