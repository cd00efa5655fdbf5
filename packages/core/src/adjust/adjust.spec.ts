import { describe, expect, it } from '@jest/globals';
import { type Content, findBlock } from '../activity/activity';
import { type Block, wordsAt } from '../activity/blocks';
import { inverseOf } from './adjustment';
import { type Family, latest } from '../activity/family';
import { derive } from '../derive/derive';
import { act, content, demo, list, newest, page, pool } from '../testing/in-demo';
import { stamp } from '../testing/random-family';
import {
  draftChooseItems,
  draftFlap,
  draftGlossary,
  draftOtherAnswer,
  draftOtherNumbers,
  draftStarters,
  draftSteps,
  isDraft,
  type Proposal,
} from './drafts';
import { type FromActivity, takenPart } from './from-activity';
import { pictureIn } from './replace-picture';
import type { InPlace } from './record';
import { type adjustmentKinds, adjustmentSchema, kindOfAdjustment } from './registry';
import { Sheet } from './sheet';

describe('every kind of adjustment', () => {
  const text = (id: string) => ({
    id,
    kind: 'text' as const,
    audience: 'learner' as const,
    text: 'Look at its shell.',
  });
  const adjust = (d: Proposal): InPlace => {
    if (!isDraft(d)) throw new Error(d.why);
    return { did: 'adjust', drafts: [d] };
  };
  const at = (id: string) => findBlock(content, id)?.block as Block;
  const puncture = demo.families['puncture'] as Family;
  const taken = takenPart(
    { familyId: 'puncture', revision: 1, content: latest(puncture).content },
    latest(puncture).content.pages[0]?.id ?? '',
    'x',
    null,
  ) as Pick<FromActivity, 'part' | 'source'>;
  const added = { id: 'new-text', kind: 'text', audience: 'learner', text: 'Look at its shell.' } as const;
  const cases: Record<keyof typeof adjustmentKinds, readonly [InPlace, RegExp]> = {
    'leave-out': [{ did: 'remove-block', blockId: 'rp-q4' }, /^The question “It walks sideways .*” is left out\.$/],
    'keep-pages': [
      { did: 'keep-pages', pageIds: ['rp-p1', 'rp-p3'] },
      /^Only 2 of 3 pages are kept: “Life between the tides”, “Why is it made like that\?”\.$/,
    ],
    reword: [
      { did: 'words', blockId: 'rp-q4', field: 'prompt', text: 'Which animal walks to the side?' },
      /^Question “It walks sideways .*” is worded “Which animal walks to the side\?”\.$/,
    ],
    'fewer-choices': [
      { did: 'remove-options', blockId: 'rp-q1', optionIds: ['rp-q1-4'] },
      /offers 3 choices in place of 4: Mussel · Jellyfish · Shrimp\.$/,
    ],
    'word-bank': [
      { did: 'word-bank', pageId: 'rp-p2', after: 'rp-i2' },
      /^A word bank is added: anemone, crab, limpet\.$/,
    ],
    hint: [
      { did: 'hint', blockId: 'rp-q5', text: 'It holds on with one strong foot.' },
      /^“It clings to bare rock .*” has a hint: “It holds on with one strong foot\.”\.$/,
    ],
    'insert-block': [
      { did: 'insert-block', pageId: 'rp-p2', after: 'rp-q5', block: added },
      /^Text is added: “Look at its shell\.”\.$/,
    ],
    'personal-fields': [
      { did: 'personal-fields', otherwise: { name: 'You' } },
      /^The learner’s own name stands in the text\.$/,
    ],
    'reword-instructions': [
      adjust({
        kind: 'reword-instructions',
        target: 'rp-i2',
        was: wordsAt(at('rp-i2'), 'text') ?? '',
        now: 'Draw it in your notebook.',
      }),
      /^The instruction “Look at the picture .*” is “Draw it in your notebook\.”\.$/,
    ],
    'replace-picture': [
      adjust({
        kind: 'replace-picture',
        target: 'rp-pic',
        was: pictureIn(at('rp-pic')) ?? { assetId: '', alt: '' },
        now: { assetId: 'a', alt: 'One crab' },
      }),
      /^Another picture stands in place of “A rock pool .*”: “One crab”\.$/,
    ],
    'other-numbers': [adjust(draftOtherNumbers(at('rp-q8'), 's1')), /The key follows: \d+\.$/],
    'other-answer': [
      adjust(draftOtherAnswer(at('rp-q4'), 'single-choice', ['whelk', 'shrimp'])),
      /is answered by single choice in place of short text\.$/,
    ],
    'sentence-starters': [adjust(draftStarters(at('rp-q9'))), /offers beginnings to write on from: First … \//],
    'worked-example': [
      adjust({
        kind: 'worked-example',
        page: 'rp-p2',
        after: 'rp-i2',
        block: { id: 'w', kind: 'worked-example', audience: 'learner', title: 'Count the weed', steps: [] },
      }),
      /^A worked example is added: “Count the weed”\.$/,
    ],
    glossary: [
      adjust(draftGlossary(page('rp-p1'), 3, (w) => ({ meaning: `what ${w} means` }), stamp.newId)),
      /^Hard words are explained: \w+, \w+, \w+\.$/,
    ],
    'steps-to-tick': [adjust(draftSteps(at('rp-i2'), 2, () => 'st')), /comes in 3 steps to tick off\.$/],
    flap: [adjust(draftFlap(at('rp-q5'))), /has a flap to check the answer, once there is one: “limpet”\.$/],
    'recorded-instruction': [
      adjust({
        kind: 'recorded-instruction',
        target: 'rp-i2',
        recording: { assetId: 'a', what: 'sound' },
        was: wordsAt(at('rp-i2'), 'text') ?? '',
      }),
      /can be heard\.$/,
    ],
    'extension-item': [
      adjust({ kind: 'extension-item', page: 'rp-p3', after: null, block: { ...at('rp-q9'), id: 'ext' } }),
      /^For those who want more, a question is added/,
    ],
    'insert-page': [
      adjust({
        kind: 'insert-page',
        after: 'rp-p1',
        page: { ...page('rp-p1'), id: 'np', title: 'More', blocks: [text('nt')] },
      }),
      /^A page is added: “More”\.$/,
    ],
    'from-activity': [
      adjust({ kind: 'from-activity', after: null, follow: true, ...taken }),
      /^A page comes from “Mending a puncture”: “.*”, and follows it\.$/,
    ],
    move: [
      adjust({ kind: 'move', what: 'block', target: 'rp-q4', page: 'rp-p1', after: null }),
      /stands elsewhere, on “Life between the tides”\.$/,
    ],
    chunk: [
      adjust({ kind: 'chunk', most: 2, pages: [] }),
      /^3 pages come in \d+ smaller ones, with about 2 blocks each\.$/,
    ],
    'choose-items': [adjust(draftChooseItems(content, [], 5)), /^5 of 11 questions are asked; left out: “.*”\.$/],
    'mix-up': [adjust({ kind: 'mix-up', targets: ['rp-q1', 'rp-q2'] }), /of 2 questions come in another order/],
    'one-at-a-time': [adjust({ kind: 'one-at-a-time' }), /^One question is on the page at a time\.$/],
    'larger-print': [
      adjust({ kind: 'larger-print', print: { size: 1.25, spacing: 1, font: 'lexend', colours: '' } }),
      /^Everything is shown with letters 25 % larger, wide letters\.$/,
    ],
    'by-interest': [
      adjust({
        kind: 'by-interest',
        target: 'rp-q7',
        field: 'prompt',
        was: wordsAt(at('rp-q7'), 'prompt') ?? '',
        by: [{ interest: 'boats', text: 'How many limpets sit on the boat?' }],
      }),
      /has examples by interest: boats \(/,
    ],
    'extra-time': [
      adjust({ kind: 'extra-time', percent: 25, days: 2 }),
      /^There is 25 % more time and 2 days more until it is due\.$/,
    ],
    goes: [adjust({ kind: 'goes', most: 3 }), /^There are up to 3 goes\.$/],
  };
  const ofTheWhole = new Set([
    'personal-fields',
    'chunk',
    'one-at-a-time',
    'larger-print',
    'extra-time',
    'goes',
    'insert-page',
    'from-activity',
  ]);

  const alone = { before: undefined, rewords: () => false };
  it.each(Object.keys(cases) as (keyof typeof adjustmentKinds)[])(
    '%s is recorded, kept, described, judged, taken back, and told from what is gone',
    (kind) => {
      const [done, sentence] = cases[kind];
      const family = act(done);
      const a = list(family).find((x) => x.kind === kind && !list(pool).includes(x)) ?? newest(family);
      expect(a.kind).toBe(kind);
      expect(adjustmentSchema.parse(JSON.parse(JSON.stringify(a)))).toEqual(a);
      expect(kindOfAdjustment(a).describe(a, content)).toMatch(sentence);
      expect(kindOfAdjustment(a).judge(a, { basis: content }).why).toMatch(/\.$/);
      expect(kindOfAdjustment(a).review(a, new Sheet(content), alone)).toEqual({ outcome: 'untouched' });
      const sheet = new Sheet(content);
      const context = { learner: { name: 'Ansel', interests: 'boats, rope' } };
      const back = inverseOf(kindOfAdjustment(a), a, sheet, context);
      const { edits, missed } = kindOfAdjustment(a).apply(a, sheet, context);
      // A division is no change of the sheet: it is laid on last.
      if (kindOfAdjustment(a).breaks) {
        expect({ edits, missed }).toEqual({ edits: [], missed: [] });
        expect(derive(family, 'rp-core').content.pages.length).toBeGreaterThan(content.pages.length);
        return;
      }
      expect(edits.length).toBeGreaterThan(0);
      for (const e of edits) sheet.apply(e);
      expect(sheet.content()).not.toEqual(content);
      for (const e of back) sheet.apply(e);
      expect(sheet.content()).toEqual(content);
      // On a content where nothing it speaks of is left, it is skipped with a reason and changes nothing.
      const bare: Content = {
        ...content,
        pages: [{ id: 'other', title: 'Other', orientation: 'portrait', blocks: [] }],
      };
      if (ofTheWhole.has(kind)) return;
      const gone = kindOfAdjustment(a).apply(a, new Sheet(bare), context);
      expect(gone.edits).toEqual([]);
      expect(gone.missed[0]?.why).toMatch(/no longer there/);
      expect(kindOfAdjustment(a).review(a, new Sheet(bare), alone).outcome).not.toBe('untouched');
    },
  );
});
