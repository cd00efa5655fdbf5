import { type Content, findBlock } from '../activity/activity';
import { type Block, isItem, keyWordsOf } from '../activity/blocks';
import type { Skill } from '../activity/skill';
import type { Adjustment } from '../adjust/registry';
import { plainWords } from '../work/plain-words';
import { broughtBy } from './brought';

/** What an adjustment takes over of what a learner would do alone, and whether that is certain. */
export interface Touch {
  readonly skill: Skill;
  readonly isCertain: boolean;
  /** What takes it over, for a sentence: "the word bank". */
  readonly by: string;
}

const certain = (by: string, ...skills: Skill[]): Touch[] => skills.map((skill) => ({ skill, isCertain: true, by }));
const perhaps = (by: string, ...skills: Skill[]): Touch[] => skills.map((skill) => ({ skill, isCertain: false, by }));

/** Tools and helps that words may offer, with what they take over. */
const OFFERS: readonly (readonly [RegExp, string, readonly Skill[]])[] = [
  [/\b(?:calculator|calculating machine)\b/i, 'the calculator', ['calculation', 'facts']],
  [
    /\b(?:times[- ]tables? (?:square|chart|card|grid)|multiplication (?:square|grid|chart)|number (?:line|square))\b/i,
    'the table of numbers',
    ['facts'],
  ],
  [
    /\b(?:look (?:it |them )?up|(?:use|look in|open|with) (?:the |your |a )?(?:books?|notes|notebook|atlas|internet|web|encyclop\w+))\b/i,
    'looking it up',
    ['facts'],
  ],
  [/\b(?:dictionary|word list|spell(?:ing)?[- ]?check\w*)\b/i, 'the list of words', ['spelling', 'vocabulary']],
  [
    /\b(?:read (?:it |this |the \w+ )?(?:aloud |out )?(?:to|for) you|listen to (?:the|this) (?:text|passage|story))\b/i,
    'reading aloud',
    ['reading'],
  ],
];

/** What helps to reckon, and may or may not be a part of what is practised. */
const MAY_OFFER: readonly (readonly [RegExp, string, readonly Skill[]])[] = [
  [
    /\b(?:number lines?|counters|fingers|cubes|blocks|beads|abacus|hundred square|ten frames?|tally|place[- ]value (?:chart|grid))\b/i,
    'the help to count with',
    ['calculation', 'facts'],
  ],
];

const TYPED = new Set<Block['kind']>(['short-text', 'number', 'long-text', 'gaps', 'table-fill']);
const CHOSEN = new Set(['single-choice', 'matching', 'ordering', 'sorting', 'pieces']);
const SHOWN = new Set(['voice', 'drawing', 'photo']);
const WAYS: Readonly<Record<string, string>> = { voice: 'speaking', drawing: 'drawing', photo: 'a photograph' };

const soundIn = (blocks: readonly Block[]): boolean =>
  blocks.some((b) => b.audience === 'learner' && (b.kind === 'audio' || b.kind === 'video'));

/** What each kind of adjustment takes over, as data; `basis` is what it is applied to, `content` what it ends up in. */
export function touchesOf(a: Adjustment, basis: Content, content: Content): Touch[] {
  const offered = broughtBy(a, content).flatMap(({ text }) => [
    ...OFFERS.flatMap(([says, by, skills]) => (says.test(text) ? certain(by, ...skills) : [])),
    ...MAY_OFFER.flatMap(([says, by, skills]) => (says.test(text) ? perhaps(by, ...skills) : [])),
  ]);
  return [...ownTouches(a, basis), ...offered];
}

function ownTouches(a: Adjustment, basis: Content): Touch[] {
  const heard = (blocks: readonly Block[], pageId?: string): Touch[] => {
    if (!soundIn(blocks)) return [];
    const toRead = basis.pages
      .find((p) => p.id === pageId)
      ?.blocks.some((b) => b.kind === 'passage' || b.kind === 'text');
    return toRead ? certain('what is heard', 'reading') : perhaps('what is heard', 'reading');
  };
  switch (a.kind) {
    case 'word-bank':
      return [...certain('the word bank', 'spelling', 'facts'), ...perhaps('the word bank', 'vocabulary', 'writing')];
    case 'glossary': {
      const page = basis.pages.find((p) => p.id === a.page);
      const asked = new Set((page?.blocks ?? []).flatMap((b) => keyWordsOf(b).map(plainWords)));
      const isAsked = a.entries.some((e) => asked.has(plainWords(e.word)));
      return isAsked ? certain('the glossary', 'vocabulary') : perhaps('the glossary', 'vocabulary');
    }
    case 'extra-time':
      return a.percent > 0 ? certain('more time', 'speed') : [];
    case 'sentence-starters':
      return perhaps('the beginnings of sentences', 'writing');
    case 'recorded-instruction':
      return perhaps('the recording', 'reading');
    case 'reword': {
      const b = findBlock(basis, a.target)?.block;
      return b && (b.kind === 'text' || b.kind === 'passage') ? perhaps('the rewording', 'reading', 'vocabulary') : [];
    }
    case 'insert-block':
    case 'worked-example':
      return [
        ...heard([a.block], a.page),
        ...(a.block.kind === 'word-bank' ? certain('the word bank', 'spelling', 'facts') : []),
      ];
    case 'from-activity':
      return a.part.what === 'page' ? heard(a.part.page.blocks) : heard([a.part.block], a.part.onPage);
    case 'insert-page':
      return heard(a.page.blocks);
    case 'other-answer': {
      const b = findBlock(basis, a.target)?.block;
      if (!b || !isItem(b)) return [];
      const by = WAYS[a.to] ?? 'choosing';
      if (SHOWN.has(a.to)) return TYPED.has(b.kind) ? certain(by, 'spelling', 'writing') : [];
      if (!CHOSEN.has(a.to) || !TYPED.has(b.kind)) return [];
      return [
        ...(b.kind === 'number' ? [] : certain(by, 'spelling')),
        ...(b.kind === 'long-text' ? certain(by, 'writing') : []),
        ...perhaps(by, 'facts', 'vocabulary', 'calculation'),
      ];
    }
    default:
      return [];
  }
}
