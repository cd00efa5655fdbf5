import type { Id } from '../activity/block';
import { type Block, blockKinds, isItem, keyWordsOf, type LearnerBlock } from '../activity/blocks';
import { type Family, versionOf } from '../activity/family';
import { plainRich, readRich } from '../activity/rich';
import { derive } from '../derive/derive';
import { audienceOfHeading } from '../intake/marks';
import { calledNames, namesIn } from '../learners/names';
import { plainWords } from '../work/match-words';
import { audienceOf, type People } from './audience';
import type { HandOut } from './hand-out';
import { isLearners, learnerSheet } from './learner-sheet';

/** Something in what learners would receive that may not be meant for them. */
export interface Finding {
  readonly what: 'answer' | 'answer-part' | 'version-name' | 'learner-name';
  readonly versionId: Id | null;
  /** Number of the learner's page, from 1; 0 is the title or the note to learners. */
  readonly page: number;
  readonly blockId: Id | null;
  readonly says: string;
}

/** Keys shorter than this stand everywhere. */
const LEAST_KEY = 4;
/** What share of a text keys must be for it to be no text: of several questions, and of one. */
const OF_SEVERAL = 0.25;
const OF_ONE = 0.4;
/** Kinds whose words answers are looked up in. */
const TO_READ_IN = new Set<Block['kind']>(['passage', 'vocabulary', 'word-bank']);
const NO_WORDS = new Set(['id', 'kind', 'audience', 'assetId', 'objectiveId', 'demand', 'place', 'source', 'mode']);

/** All words of a learner's block, wherever in it they stand. */
function wordsOf(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  if (Array.isArray(value)) return value.flatMap(wordsOf);
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([k, v]) => (NO_WORDS.has(k) || /Ids?$/.test(k) ? [] : wordsOf(v)));
}

const count = (text: string): number => text.split(/\s/).filter(Boolean).length;
const begins = (text: string): string => text.replace(/\s+/g, ' ').trim().slice(0, 60);
/** The first lines that could head a part of a page: a heading, or the first paragraph of a text. */
function headOf(b: Block): string {
  if (b.kind === 'heading') return b.text;
  if (b.kind !== 'text') return '';
  const [first] = readRich(b.text);
  return first?.kind === 'paragraph' ? first.runs.map((r) => r.text).join('') : '';
}

/**
 * What learners would receive of a plan, searched: keys that stand as text outside the choices, what looks like an
 * answer part, names of versions and of other learners. Nothing found is what the plan may promise.
 */
export function lookOver(plan: HandOut, family: Family, people: People): Finding[] {
  const audience = audienceOf(plan, people);
  const given = new Map<Id | null, Set<Id>>();
  for (const l of audience)
    for (const line of plan.lines)
      if (line.learnerId === l.id) given.set(line.versionId, (given.get(line.versionId) ?? new Set()).add(l.id));
  const versionNames = new Set(family.versions.map((v) => v.name.trim()).filter((n) => n.length >= LEAST_KEY));
  const findings: Finding[] = [];
  for (const [versionId, to] of given) {
    const version = versionId === null ? undefined : versionOf(family, versionId);
    if (versionId !== null && !version) continue;
    // Whoever alone receives it may read their own name.
    const others = calledNames(people.learners.filter((l) => !(to.size === 1 && to.has(l.id))));
    const own = calledNames(people.learners.filter((l) => to.size === 1 && to.has(l.id)));
    const names = new Set([...others].filter((n) => !own.has(n)));
    const { content } = derive(family, versionId);
    const sheet = learnerSheet({ id: '', swatch: family.swatch, content });
    const blocks = content.pages
      .filter((p) => (p.audience ?? 'learner') === 'learner')
      .map((p) => p.blocks.filter(isLearners));
    const say = (what: Finding['what'], page: number, blockId: Id | null, says: string) => {
      if (!findings.some((f) => f.versionId === versionId && f.page === page && f.says === says))
        findings.push({ what, versionId, page, blockId, says });
    };
    const read = (text: string, page: number, blockId: Id | null) => {
      for (const n of namesIn(text, names)) say('learner-name', page, blockId, `the name ${n} in “${begins(text)}”`);
      for (const n of versionNames)
        if (
          text.includes(n) &&
          version?.name !== content.title &&
          new RegExp(`(?<![\\p{L}])${escaped(n)}(?![\\p{L}])`, 'u').test(text)
        )
          say('version-name', page, blockId, `the name of a version, ${n}, in “${begins(text)}”`);
    };
    for (const text of [plan.title, plan.note, content.title]) read(text, 0, null);
    sheet.pages.forEach((p, i) => {
      read(p.title, i + 1, null);
      for (const b of p.blocks) for (const text of wordsOf(b satisfies LearnerBlock)) read(text, i + 1, b.id);
    });
    const items = blocks.flat().filter(isItem);
    blocks.forEach((onPage, i) => {
      for (const b of onPage) {
        const head = headOf(b);
        if (head && audienceOfHeading(head))
          say('answer-part', i + 1, b.id, `“${begins(head)}” looks like a part for the teacher`);
        if (TO_READ_IN.has(b.kind)) continue;
        // Of an item its question; its choices and pieces are meant to hold the key.
        const shown = isItem(b) ? [b.prompt] : blockKinds[b.kind].words(b as never).map((w) => w.text);
        const text = ` ${shown.map((t) => plainWords(plainRich(t))).join(' ')} `;
        const told = items.flatMap((item) => {
          if (item.id === b.id || item.kind === 'long-text') return [];
          const key = keyWordsOf(item)
            .map(plainWords)
            .find((k) => k.length >= LEAST_KEY && text.includes(` ${k} `));
          return key && !plainWords(item.prompt).includes(key) ? [{ item, key }] : [];
        });
        // Words that answer one question stand in others, and texts to read hold answers: a list of them holds little else.
        const share = told.reduce((n, t) => n + count(t.key), 0) / count(text);
        if (share < (told.length > 1 ? OF_SEVERAL : OF_ONE)) continue;
        for (const { item, key } of told)
          say('answer', i + 1, b.id, `the answer to “${begins(item.prompt)}”, ${key}, in “${begins(shown.join(' '))}”`);
      }
    });
  }
  return findings;
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
