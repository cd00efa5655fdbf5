import type { Id } from '../activity/block';
import { type Block, blockKinds, isItem, keyWordsOf, type LearnerBlock } from '../activity/blocks';
import { type Family, versionOf } from '../activity/family';
import { plainRich } from '../activity/rich';
import { derive } from '../derive/derive';
import { audienceOfHeading } from '../intake/teacher-label';
import { calledNames, namesIn } from '../learners/names';
import { plainWords } from '../work/plain-words';
import type { People } from '../learners/people';
import { linesNow } from './rules';
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
/** The lines of a block: not those of a text to read. The first of a heading or text may head what follows. */
function linesIn(b: Block): { line: string; heads: boolean }[] {
  if (TO_READ_IN.has(b.kind)) return [];
  const words = isItem(b) ? [b.prompt] : blockKinds[b.kind].words(b as never).map((w) => w.text);
  const mayHead = b.kind === 'heading' || b.kind === 'text';
  return words.flatMap((text) => plainRich(text).split('\n')).map((line, i) => ({ line, heads: mayHead && i === 0 }));
}

/** Numbers with a letter each, as keys are listed: "1 b, 2 c, 3 a". */
const LISTED_KEY = /(?<![\p{L}\d])\d{1,2}\s?[.):=-]?\s?[a-h](?![\p{L}\d])/giu;
/** A list of one's own numbers loses its first number. */
const LEAST_LISTED = 2;
/** Words that name a part, at the most. */
const MOST_NAMING = 3;

/** What in a line looks like a part for the teacher: a heading of one, also with what follows it, or keys listed. */
function looksLikeAnswers(line: string, heads: boolean): 'a part for the teacher' | 'a list of answers' | null {
  const [before = '', ...after] = line.split(':');
  // A line among others names such a part and no more: "Answers", "Teacher notes: …"; "Answer: ____" is the learner's.
  const names = count(before) <= MOST_NAMING && !/^\s*answer\s*$/i.test(before) && audienceOfHeading(before) !== null;
  const says = after.length === 0 || /[\p{L}\d]/u.test(after.join(':'));
  if ((names && says) || (heads && audienceOfHeading(line))) return 'a part for the teacher';
  const listed = line.match(LISTED_KEY) ?? [];
  const letters = listed.join('').replace(/\s/g, '').length;
  return listed.length >= LEAST_LISTED && letters * 2 > line.replace(/\s/g, '').length ? 'a list of answers' : null;
}

/**
 * What learners would receive of a plan, searched: keys that stand as text outside the choices, what looks like an
 * answer part, names of versions and of other learners. Nothing found is what the plan may promise.
 */
export function lookOver(plan: HandOut, family: Family, people: People): Finding[] {
  const given = new Map<Id | null, Set<Id>>();
  for (const { learnerId, versionId } of linesNow(plan, people))
    given.set(versionId, (given.get(versionId) ?? new Set<Id>()).add(learnerId));
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
        for (const { line, heads } of linesIn(b)) {
          const like = looksLikeAnswers(line, heads);
          if (like) say('answer-part', i + 1, b.id, `“${begins(line)}” looks like ${like}`);
        }
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
