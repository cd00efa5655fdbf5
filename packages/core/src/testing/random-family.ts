import fc from 'fast-check';
import type { Content, Page } from '../activity/activity';
import { type Block, isChoice, keyIdsOf, wordsOf, withWords } from '../activity/blocks';
import { type Family, latest } from '../activity/family';
import { FAMILY_FORMAT } from '../activity/family-schema';
import { swatchFrom } from '../activity/swatch';
import { draftChooseItems, draftFlap, draftOtherAnswer, draftStarters, isDraft } from '../adjust/drafts';
import { CannotRecord } from '../adjust/cannot-record';
import { type InPlace, recordInPlace } from '../adjust/record';
import { derive } from '../derive/derive';

const WORDS = 'sea shore crab rock pool tide shell weed wind sun rain stone limpet hides dries walks clings'.split(' ');
const sentence = fc.array(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 9 }).map((w) => w.join(' '));
const objective = fc.constantFrom('o1', 'o2', undefined);

type Make = (id: string) => Block;
const item = (id: string, prompt: string, o: string | undefined) => ({
  id,
  audience: 'learner' as const,
  prompt,
  demand: 'recall' as const,
  points: 1,
  ...(o ? { objectiveId: o } : {}),
});
const block: fc.Arbitrary<Make> = fc.oneof(
  sentence.map((text): Make => (id) => ({ id, kind: 'text', audience: 'learner', text })),
  sentence.map((text): Make => (id) => ({ id, kind: 'teacher-note', audience: 'teacher', text })),
  fc.tuple(sentence, fc.integer({ min: 2, max: 5 }), objective).map(([p, n, o]): Make => (id) => ({
    ...item(id, p, o),
    kind: 'single-choice',
    options: Array.from({ length: n }, (_, i) => ({ id: `${id}-${i}`, text: WORDS[i] ?? '' })),
    key: `${id}-0`,
  })),
  fc.tuple(sentence, fc.constantFrom(...WORDS), objective).map(([p, k, o]): Make => (id) => ({
    ...item(id, p, o),
    kind: 'short-text',
    key: [k],
    spellingTolerant: false,
  })),
  fc.tuple(sentence, fc.integer({ min: 0, max: 99 }), objective).map(([p, k, o]): Make => (id) => ({
    ...item(id, p, o),
    kind: 'number',
    key: k,
    tolerance: 0,
    unit: '',
  })),
);

/** A master of 1 to 4 pages with 1 to 6 blocks each. */
export const masters: fc.Arbitrary<Content> = fc
  .array(fc.array(block, { minLength: 1, maxLength: 6 }), { minLength: 1, maxLength: 4 })
  .map((pages) => ({
    title: 'Random',
    subject: '',
    ages: '',
    objectives: [
      { id: 'o1', text: 'First' },
      { id: 'o2', text: 'Second' },
    ],
    pages: pages.map((blocks, p): Page => ({
      id: `p${p}`,
      title: `Page ${p}`,
      orientation: 'portrait',
      blocks: blocks.map((make, i) => make(`b${p}-${i}`)),
    })),
  }));

export const familyOf = (content: Content): Family => ({
  format: FAMILY_FORMAT,
  swatch: swatchFrom('random'),
  id: 'f',
  createdAt: '2026-09-01T08:00:00.000Z',
  revisions: [{ n: 1, at: '2026-09-01T08:00:00.000Z', author: 'T', note: '', content }],
  versions: [],
});

/** A step somebody takes: which of several things, where, with which words. Numbers are taken modulo what is there. */
export interface Step {
  readonly on: number;
  readonly what: number;
  readonly where: number;
  readonly words: string;
}
export const steps = (maxLength: number) =>
  fc.array(fc.record({ on: fc.nat(5), what: fc.nat(16), where: fc.nat(40), words: sentence }), { maxLength });

let made = 0;
const newId = () => `x${++made}`;
export const stamp = { at: '2026-09-02T08:00:00.000Z', author: 'T', newId };

/** Versions v0 … vn, each on the master or on an earlier version as `bases` says. */
export function withVersions(family: Family, bases: readonly number[]): Family {
  const versions = bases.map((b, i) => ({
    id: `v${i}`,
    name: `Version ${i}`,
    swatch: { pattern: 'twill' as const, colour: 'a' as const, letter: 'A' },
    purpose: '',
    basis: b % (i + 1) === 0 ? null : `v${(b % (i + 1)) - 1}`,
    upTo: latest(family).n,
    adjustments: [],
    upkeepLog: [],
  }));
  return { ...family, versions };
}

/** Takes one step in place on one of the family's versions; a step that cannot be taken changes nothing. */
export function inPlace(family: Family, step: Step): Family {
  const version = family.versions[step.on % Math.max(1, family.versions.length)];
  if (!version) return family;
  const { content } = derive(family, version.id);
  const blocks = content.pages.flatMap((p) => p.blocks.map((b) => ({ b, p })));
  const at = blocks[step.where % Math.max(1, blocks.length)];
  const page = content.pages[step.where % Math.max(1, content.pages.length)];
  if (!at || !page) return family;
  const field = wordsOf(at.b)[step.where % wordsOf(at.b).length]?.field ?? 'text';
  const wrong = isChoice(at.b) ? at.b.options.map((o) => o.id).filter((id) => !keyIdsOf(at.b).includes(id)) : [];
  const all: InPlace[] = [
    { did: 'words', blockId: at.b.id, field, text: step.words },
    { did: 'words', blockId: at.b.id, field, text: step.words },
    { did: 'remove-block', blockId: at.b.id },
    { did: 'remove-options', blockId: at.b.id, optionIds: wrong.slice(0, 1) },
    { did: 'hint', blockId: at.b.id, text: step.words },
    { did: 'word-bank', pageId: page.id, after: null },
    {
      did: 'insert-block',
      pageId: page.id,
      after: page.blocks[0]?.id ?? null,
      block: { id: newId(), kind: 'text', audience: 'learner', text: step.words },
    },
    { did: 'keep-pages', pageIds: [page.id] },
    { did: 'remove-page', pageId: page.id },
    { did: 'adjust', drafts: [{ kind: 'chunk', most: 2, pages: [] }] },
    {
      did: 'adjust',
      drafts: [{ kind: 'move', what: 'block', target: at.b.id, page: page.id, after: page.blocks.at(-1)?.id ?? null }],
    },
    {
      did: 'adjust',
      drafts: [{ kind: 'move', what: 'page', target: page.id, after: content.pages.at(-1)?.id ?? null }],
    },
    ...[
      draftChooseItems(content, [], 2),
      draftFlap(at.b),
      draftOtherAnswer(at.b, 'drawing', []),
      draftStarters(at.b),
    ].map((d): InPlace => ({ did: 'adjust', drafts: isDraft(d) ? [d] : [] })),
    { did: 'adjust', drafts: [{ kind: 'one-at-a-time' }, { kind: 'goes', most: 2 }], name: 'two settings' },
  ];
  const done = all[step.what % all.length];
  if (!done) return family;
  try {
    const changed = recordInPlace(family, version.id, done, stamp);
    return { ...family, versions: family.versions.map((v) => (v.id === version.id ? changed : v)) };
  } catch (error) {
    if (error instanceof CannotRecord) return family;
    throw error;
  }
}

/** An edit of the master: words, key, options, a block gone, a block new. */
export function editMaster(content: Content, step: Step): Content {
  const pages = content.pages.map((p) => ({ ...p, blocks: [...p.blocks] }));
  const page = pages[step.on % pages.length];
  if (!page) return content;
  const at = step.where % Math.max(1, page.blocks.length);
  const b = page.blocks[at];
  if (step.what % 5 === 0 || !b)
    page.blocks.splice(at, 0, { id: newId(), kind: 'text', audience: 'learner', text: step.words });
  else if (step.what % 5 === 1) page.blocks.splice(at, 1);
  else if (step.what % 5 === 2 && b.kind === 'short-text') page.blocks[at] = { ...b, key: [step.words] };
  else if (step.what % 5 === 3 && b.kind === 'single-choice') {
    const options = [...b.options.slice(1), { id: newId(), text: step.words }];
    page.blocks[at] = { ...b, options, key: options[0]?.id ?? '' };
  } else page.blocks[at] = withWords(b, wordsOf(b)[step.where % wordsOf(b).length]?.field ?? 'text', step.words);
  return { ...content, pages };
}
