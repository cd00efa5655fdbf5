import { findBlock } from '../../activity/activity';
import type { Id } from '../../activity/block';
import { type Block, isItem, type ItemBlock, keyWordsOf } from '../../activity/blocks';
import { type Family, versionOf } from '../../activity/family';
import { plainTextOf } from '../../activity/plain-text';
import { counted } from '../../counted';
import { derive } from '../../derive/derive';
import { numbersLeft } from '../../derive/numbers-left';
import { readingGrade } from '../../learners/levels';
import type { Learner } from '../../learners/learner';
import { SUPPORTS, type Support, supportsOn } from '../../learners/supports';
import { measure } from '../../measure/measure';
import { classify, counts } from '../../verdict/classify';
import type { HandOut } from '../hand-out';
import { type Finding, finding, named } from './finding';

/** Items that are marked by a rule, where they have a key. */
const BY_RULE: ReadonlySet<Block['kind']> = new Set([
  'single-choice',
  'multiple-choice',
  'short-text',
  'number',
  'gaps',
  'table-fill',
]);
/** So many grades above a learner's reading, the hardest text is named. */
const FAR_ABOVE = 2;

interface Given {
  readonly family: Family;
  readonly versionId: Id | null;
  readonly name: string;
  readonly learners: readonly Learner[];
  readonly handOut: HandOut;
  /** Local, 'yyyy-MM-ddTHH:mm'. */
  readonly now: string;
}

const begins = (b: Block): string => `“${plainTextOf(b).replace(/\s+/g, ' ').trim().slice(0, 60)}”`;

/** What is wrong or unusual in one version that is given. */
export function checkContent(given: Given): Finding[] {
  return [...checkNumbers(given), ...checkBlocks(given), ...checkVerdicts(given), ...checkNeeds(given)];
}

function checkNumbers({ family, versionId, name, learners }: Given): Finding[] {
  const old = numbersLeft(family, versionId);
  const first = old[0] && findBlock(derive(family, versionId).content, old[0])?.block;
  if (!first) return [];
  return [
    finding(
      'confirm',
      'old-numbers',
      'bench',
      counted(
        old.length,
        'A question has other numbers, and words with it speak of the old ones',
        '{n} places speak of numbers that are others here',
      ),
      `In ${name}: ${begins(first)}. Look at its hint, its flap and the examples beside it.`,
      { learners, versionId, about: old.join(',') },
    ),
  ];
}

/** Something that cannot be answered, looked at or counted as it stands. */
function checkBlocks({ family, versionId, name, learners, handOut }: Given): Finding[] {
  const { content } = derive(family, versionId);
  const pages = content.pages.filter((p) => (p.audience ?? 'learner') === 'learner');
  const blocks = pages.flatMap((p) => p.blocks.filter((b) => b.audience === 'learner'));
  const laid = new Set(pages.filter((p) => p.fixed).flatMap((p) => p.blocks.map((b) => b.id)));
  const items = blocks.filter(isItem);
  const out: Finding[] = [];
  const say = (
    level: Finding['level'],
    code: string,
    found: readonly Block[],
    one: string,
    many: string,
    what: string,
  ) => {
    const [first] = found;
    if (!first) return;
    const detail = `In ${name}: ${begins(first)}. ${what}`;
    const about = found.map((b) => b.id).join(',');
    out.push(finding(level, code, 'bench', counted(found.length, one, many), detail, { learners, versionId, about }));
  };
  say(
    'mend',
    'one-choice',
    items.filter((i) => 'options' in i && i.options.length < 2),
    'A question has nothing to choose from',
    '{n} questions have nothing to choose from',
    'Give it another choice, or leave it out.',
  );
  say(
    'note',
    'no-key',
    items.filter((i) => BY_RULE.has(i.kind) && keyWordsOf(i).every((k) => k.trim() === '')),
    'A question has no key',
    '{n} questions have no key',
    'It is yours to mark.',
  );
  say(
    'confirm',
    'no-question',
    items.filter((i) => i.prompt.trim() === '' && !laid.has(i.id)),
    'A question says nothing',
    '{n} questions say nothing',
    'Write what is asked.',
  );
  say(
    'confirm',
    'empty-part',
    blocks.filter(
      (b) => (b.kind === 'word-bank' && b.words.every((w) => w.trim() === '')) || (b.kind === 'picture' && !b.assetId),
    ),
    'A bank or a picture is empty',
    '{n} banks or pictures are empty',
    'Fill it, or leave it out.',
  );
  if (handOut.points) {
    const isCounted = (i: ItemBlock) => i.kind !== 'notes' && i.kind !== 'steps' && !i.optional;
    say(
      'note',
      'no-points',
      items.filter((i) => i.points === 0 && isCounted(i)),
      'A question counts for nothing',
      '{n} questions count for nothing',
      'It has 0 points, and points are given.',
    );
    say(
      'note',
      'flap-marked',
      items.filter((i) => i.flap && !i.flapAfter?.submitted),
      'An answer can be looked at before it is submitted',
      '{n} answers can be looked at before they are submitted',
      'Marking says where a flap was lifted first.',
    );
  }
  return out;
}

/** Modifications that nobody gave a reason for, and verdicts that wait for the teacher. */
function checkVerdicts({ family, versionId, name, learners }: Given): Finding[] {
  if (versionId === null || !versionOf(family, versionId)) return [];
  const { adjustments } = classify(family, versionId);
  const byId = new Map(family.versions.flatMap((v) => v.adjustments.map((a) => [a.id, a] as const)));
  const of = { learners, versionId };
  const found = [...adjustments].map(([id, verdict]) => ({
    a: byId.get(id),
    judgement: counts(verdict),
    why: verdict.why,
  }));
  const note = (code: string, some: typeof found, one: string, many: string): Finding[] =>
    some[0]
      ? [
          finding('note', code, 'bench', counted(some.length, one, many), `In ${name}: ${some[0].why}`, {
            ...of,
            about: some.map((f) => f.a?.id).join(','),
          }),
        ]
      : [];
  const bare = found.filter(
    (f) => f.judgement === 'modification' && !f.a?.reason?.text && !f.a?.reason?.goalId && !f.a?.overrule,
  );
  const open = found.filter((f) => f.judgement === 'to judge');
  return [
    ...note('no-reason', bare, 'A modification has no reason', '{n} modifications have no reason'),
    ...note('to-judge', open, 'An adjustment waits for your judgement', '{n} adjustments wait for your judgement'),
  ];
}

/** Agreed supports that a version lacks for those who get it, and reading that is far above their cards. */
function checkNeeds({ family, versionId, name, learners, now }: Given): Finding[] {
  const m = measure(derive(family, versionId).content);
  const day = now.slice(0, 10);
  const isSeen = (s: string): s is Support => SUPPORTS.some((x) => x === s);
  const lacking = new Map<Support, Learner[]>();
  for (const l of learners)
    for (const s of supportsOn(l.needs.supports, day).filter(isSeen))
      if (!m.supports.includes(s)) lacking.set(s, [...(lacking.get(s) ?? []), l]);
  const without = learners.filter((l) => [...lacking.values()].some((ls) => ls.includes(l)));
  const grade = m.readability.figures.kincaid;
  const above = learners.filter((l) => {
    const reads = readingGrade(l.needs.levels);
    return grade !== undefined && reads !== undefined && grade - reads > FAR_ABOVE;
  });
  return [
    ...(without.length
      ? [
          finding(
            'note',
            'supports-missing',
            'card',
            `${name} lacks what is agreed for ${named(without, 2)}`,
            [...lacking].map(([s, ls]) => `${s}: ${named(ls)}`).join('; '),
            { learners: without, versionId },
          ),
        ]
      : []),
    ...(above.length && grade !== undefined
      ? [
          finding(
            'note',
            'reads-above',
            'card',
            `${name} reads far above the card of ${named(above, 2)}`,
            `Its hardest text is at grade ${grade.toFixed(1)}.`,
            { learners: above, versionId },
          ),
        ]
      : []),
  ];
}
