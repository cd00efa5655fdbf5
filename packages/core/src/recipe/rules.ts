import { z } from '../zod';
import type { Content, Page } from '../activity/activity';
import { demandSchema, type Id } from '../activity/block';
import { type Block, isChoice, isItem, type ItemBlock, keyWordsOf, labelOf, wordsOf } from '../activity/blocks';
import { snippet } from '../adjust/adjustment';
import {
  atLeast,
  draftChooseItems,
  type Draft,
  draftFewerChoices,
  draftFlap,
  draftGlossary,
  draftHint,
  draftLeaveOut,
  draftOtherAnswer,
  draftOtherNumbers,
  draftStarters,
  draftSteps,
  draftWordBank,
  isDraft,
  type Lexicon,
  type Proposal,
} from '../adjust/drafts';
import { proposeWrong } from '../adjust/propose-wrong';
import { proposeHardWords } from '../adjust/glossary';
import { canMix } from '../adjust/mixing';
import { hasPersonalField } from '../adjust/personal-fields';
import { ANSWER_WAYS } from '../adjust/turning';
import { proposeWords } from '../adjust/word-bank';
import { counted } from '../counted';

/** What a rule is run on: the content of a version as it stands, and which of its pages and blocks count as new. */
export interface RuleContext {
  readonly content: Content;
  readonly isNew: (id: Id) => boolean;
  readonly lexicon: Lexicon;
  readonly newId: () => Id;
}

/** What a rule comes to: drafts, and what it could not be applied to, in words. */
export interface RuleResult {
  readonly drafts: readonly Draft[];
  readonly skipped: readonly { readonly about: string; readonly why: string }[];
}

const learners = (c: RuleContext): { page: Page; block: Block }[] =>
  c.content.pages
    .filter((p) => (p.audience ?? 'learner') === 'learner')
    .flatMap((page) => page.blocks.filter((b) => b.audience === 'learner').map((block) => ({ page, block })));

const named = (b: Block): string => snippet(wordsOf(b)[0]?.text || labelOf(b), 50);

/** Runs a proposal over every new block that the rule is about. */
function overBlocks(
  c: RuleContext,
  about: (b: Block) => boolean,
  propose: (b: Block, page: Page) => Proposal,
): RuleResult {
  const drafts: Draft[] = [];
  const skipped: { about: string; why: string }[] = [];
  for (const { page, block } of learners(c)) {
    if (!about(block) || !c.isNew(block.id)) continue;
    const p = propose(block, page);
    if (isDraft(p)) drafts.push(p);
    else skipped.push({ about: named(block), why: p.why });
  }
  return { drafts, skipped };
}

function overPages(c: RuleContext, about: (page: Page) => boolean, propose: (page: Page) => Proposal): RuleResult {
  const drafts: Draft[] = [];
  const skipped: { about: string; why: string }[] = [];
  for (const page of c.content.pages) {
    if ((page.audience ?? 'learner') !== 'learner' || page.fixed || !about(page)) continue;
    if (!c.isNew(page.id) && !page.blocks.some((b) => c.isNew(b.id))) continue;
    const p = propose(page);
    if (isDraft(p)) drafts.push(p);
    else skipped.push({ about: page.title ? `Page “${page.title}”` : 'A page', why: p.why });
  }
  return { drafts, skipped };
}

/** A rule about the whole is applied once, the first time. */
const once = (c: RuleContext, draft: Draft): RuleResult => ({
  drafts: c.content.pages.some((p) => !c.isNew(p.id)) ? [] : [draft],
  skipped: [],
});

/** One rule of a recipe: its schema, what it says, and how it is run. */
interface RuleKind<R> {
  readonly label: string;
  readonly schema: z.ZodType<R>;
  readonly fresh: R;
  says(r: R): string;
  run(r: R, c: RuleContext): RuleResult;
}
const kind = <S extends z.ZodType>(k: RuleKind<z.infer<S>> & { readonly schema: S }): RuleKind<z.infer<S>> => k;
const count = (least: number, most: number) => z.number().int().min(least).max(most);

/** A choice with fewer wrong answers is guessed half the time. */
const LEAST_WRONG = 2;
function asChoice(content: Content, b: ItemBlock): Proposal {
  const asIf = draftOtherAnswer(b, 'single-choice', ['…']);
  const wrong = proposeWrong(content, b);
  // What cannot be a choice at all says that.
  if (!isDraft(asIf) || wrong.length >= LEAST_WRONG)
    return draftOtherAnswer(b, 'single-choice', isDraft(asIf) ? wrong : ['…']);
  return {
    why: `${wrong.length ? 'Only one wrong answer' : 'No wrong answer'} of its sort is found in the activity: write some yourself.`,
  };
}

export const ruleKinds = {
  'fewer-choices': kind({
    label: 'Fewer choices',
    schema: z.object({ rule: z.literal('fewer-choices'), most: count(2, 20) }),
    fresh: { rule: 'fewer-choices', most: 3 },
    says: (r) => `All choice items: at most ${r.most} choices.`,
    run: (r, c) => {
      const result = overBlocks(c, isChoice, (b) => draftFewerChoices(b, r.most));
      return { ...result, skipped: [] };
    },
  }),
  'word-bank': kind({
    label: 'Word bank',
    schema: z.object({ rule: z.literal('word-bank'), distractors: count(0, 10) }),
    fresh: { rule: 'word-bank', distractors: 1 },
    says: (r) =>
      r.distractors
        ? counted(
            r.distractors,
            'A word bank on every page with short answers, with {n} word that fits nowhere.',
            'A word bank on every page with short answers, with {n} words that fit nowhere.',
          )
        : 'A word bank on every page with short answers.',
    // A bank that is there was put together by somebody.
    run: (r, c) =>
      overPages(
        c,
        (p) => proposeWords(p).length > 0 && !p.blocks.some((b) => b.kind === 'word-bank'),
        (p) => draftWordBank(c.content, p, r.distractors, c.newId),
      ),
  }),
  hints: kind({
    label: 'Hints where demand is high',
    schema: z.object({ rule: z.literal('hints'), from: demandSchema }),
    fresh: { rule: 'hints', from: 'apply' },
    says: (r) => `A hint on every item that asks to ${r.from} or more.`,
    run: (r, c) =>
      overBlocks(
        c,
        (b) => isItem(b) && atLeast(b, r.from),
        (b, page) => draftHint(page, b),
      ),
  }),
  glossary: kind({
    label: 'Glossary of hard words',
    schema: z.object({ rule: z.literal('glossary'), most: count(1, 20) }),
    fresh: { rule: 'glossary', most: 5 },
    says: (r) => `The hard words of each page explained, at most ${r.most}.`,
    run: (r, c) =>
      overPages(
        c,
        (p) => proposeHardWords(p).length > 0,
        (p) => draftGlossary(p, r.most, c.lexicon, c.newId),
      ),
  }),
  steps: kind({
    label: 'Steps to tick',
    schema: z.object({ rule: z.literal('steps'), least: count(2, 10) }),
    fresh: { rule: 'steps', least: 2 },
    says: (r) => `Instructions of ${r.least} steps or more come as steps to tick off.`,
    run: (r, c) => {
      const result = overBlocks(
        c,
        (b) => b.kind === 'instruction',
        (b) => draftSteps(b, r.least, c.newId),
      );
      return { ...result, skipped: [] };
    },
  }),
  'sentence-starters': kind({
    label: 'Sentence starters',
    schema: z.object({
      rule: z.literal('sentence-starters'),
      starters: z.array(z.string().min(1).max(200)).min(1).max(12),
    }),
    fresh: { rule: 'sentence-starters', starters: ['First …', 'I think … because …', 'It shows that …'] },
    says: (r) => `Long answers can begin with: ${r.starters.join(' / ')}.`,
    run: (r, c) =>
      overBlocks(
        c,
        (b) => b.kind === 'long-text',
        (b) => draftStarters(b, r.starters),
      ),
  }),
  flaps: kind({
    label: 'Flaps to check',
    schema: z.object({ rule: z.literal('flaps') }),
    fresh: { rule: 'flaps' },
    says: () => 'A flap to check the answer under every item with a key.',
    run: (_, c) =>
      overBlocks(
        c,
        (b) => keyWordsOf(b).length > 0,
        (b) => draftFlap(b),
      ),
  }),
  'other-answer': kind({
    label: 'Other way to answer',
    schema: z.object({ rule: z.literal('other-answer'), from: z.enum(ANSWER_WAYS), to: z.enum(ANSWER_WAYS) }),
    fresh: { rule: 'other-answer', from: 'short-text', to: 'single-choice' },
    says: (r) => `Items answered by ${r.from.replace('-', ' ')} are answered by ${r.to.replace('-', ' ')}.`,
    run: (r, c) =>
      overBlocks(
        c,
        (b) => b.kind === r.from,
        (b) => (isItem(b) && r.to === 'single-choice' ? asChoice(c.content, b) : draftOtherAnswer(b, r.to, [])),
      ),
  }),
  'other-numbers': kind({
    label: 'Other numbers',
    schema: z.object({ rule: z.literal('other-numbers') }),
    fresh: { rule: 'other-numbers' },
    says: () => 'Other numbers wherever a question has a formula.',
    run: (_, c) => {
      const result = overBlocks(
        c,
        (b) => b.kind === 'number',
        (b) => draftOtherNumbers(b, c.newId()),
      );
      return { ...result, skipped: [] };
    },
  }),
  'choose-items': kind({
    label: 'Choose some items',
    schema: z.object({ rule: z.literal('choose-items'), n: count(1, 200) }),
    fresh: { rule: 'choose-items', n: 6 },
    says: (r) => `${r.n} of the items, spread over the objectives and what they ask.`,
    run: (r, c) => {
      const p = draftChooseItems(c.content, [], r.n);
      return isDraft(p) ? once(c, p) : { drafts: [], skipped: [{ about: 'The items', why: p.why }] };
    },
  }),
  'leave-out-optional': kind({
    label: 'Leave out optional items',
    schema: z.object({ rule: z.literal('leave-out-optional') }),
    fresh: { rule: 'leave-out-optional' },
    says: () => 'Items marked optional are left out.',
    run: (_, c) => overBlocks(c, (b) => isItem(b) && b.optional === true, draftLeaveOut),
  }),
  chunk: kind({
    label: 'Pages in smaller parts',
    schema: z.object({ rule: z.literal('chunk'), most: count(1, 20) }),
    fresh: { rule: 'chunk', most: 3 },
    says: (r) =>
      counted(
        r.most,
        'Pages of {n} block, never parting an item from what it needs.',
        'Pages of {n} blocks, never parting an item from what it needs.',
      ),
    run: (r, c) => once(c, { kind: 'chunk', most: r.most, pages: [] }),
  }),
  'one-at-a-time': kind({
    label: 'One at a time',
    schema: z.object({ rule: z.literal('one-at-a-time') }),
    fresh: { rule: 'one-at-a-time' },
    says: () => 'One question at a time.',
    run: (_, c) => once(c, { kind: 'one-at-a-time' }),
  }),
  'larger-print': kind({
    label: 'Larger print',
    schema: z.object({
      rule: z.literal('larger-print'),
      size: z.number().min(1).max(2.5),
      spacing: z.number().min(1).max(2),
    }),
    fresh: { rule: 'larger-print', size: 1.25, spacing: 1.2 },
    says: (r) =>
      `Letters ${Math.round((r.size - 1) * 100)} % larger, lines ${Math.round((r.spacing - 1) * 100)} % further apart.`,
    run: (r, c) =>
      once(c, { kind: 'larger-print', print: { size: r.size, spacing: r.spacing, font: '', colours: '' } }),
  }),
  'mix-up': kind({
    label: 'Mix up the pieces',
    schema: z.object({ rule: z.literal('mix-up') }),
    fresh: { rule: 'mix-up' },
    says: () => 'Pieces and choices in another order for each learner and go.',
    run: (_, c) => {
      const targets = learners(c).flatMap(({ block }) => (canMix(block) && c.isNew(block.id) ? [block.id] : []));
      return { drafts: targets.length ? [{ kind: 'mix-up', targets }] : [], skipped: [] };
    },
  }),
  'personal-fields': kind({
    label: 'Fill personal fields',
    schema: z.object({ rule: z.literal('personal-fields') }),
    fresh: { rule: 'personal-fields' },
    says: () => 'The learner’s own name and interests wherever the text has a field for them.',
    run: (_, c) =>
      learners(c).some(({ block }) => wordsOf(block).some((w) => hasPersonalField(w.text)))
        ? once(c, { kind: 'personal-fields', otherwise: {} })
        : { drafts: [], skipped: [] },
  }),
  'extra-time': kind({
    label: 'Extra time',
    schema: z.object({ rule: z.literal('extra-time'), percent: count(0, 300), days: count(0, 60) }),
    fresh: { rule: 'extra-time', percent: 0, days: 1 },
    says: (r) => counted(r.days, 'One day more until it is due.', '{n} days more until it is due.'),
    run: (r, c) => once(c, { kind: 'extra-time', percent: r.percent, days: r.days }),
  }),
};

type Kinds = typeof ruleKinds;
export type RuleName = keyof Kinds;
export type Rule = { [K in RuleName]: z.infer<Kinds[K]['schema']> & { rule: K } }[RuleName];
export const RULE_NAMES = Object.keys(ruleKinds) as RuleName[];

type Option = z.core.$ZodTypeDiscriminable;
export const ruleSchema = z.discriminatedUnion(
  'rule',
  Object.values(ruleKinds).map((k) => k.schema) as unknown as [Option, ...Option[]],
) as unknown as z.ZodType<Rule>;

// The one place where a rule meets its own kind.
export const ruleKind = (r: { rule: RuleName }): RuleKind<Rule> => ruleKinds[r.rule] as unknown as RuleKind<Rule>;
