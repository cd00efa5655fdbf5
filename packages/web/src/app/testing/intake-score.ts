import { forLearner, isItem, keyWordsOf } from '@lorvet/core';
import type { Proposed } from '@lorvet/core/intake';

/** What a sheet of test-material/intake should give. */
export interface ExpectedSheet {
  readonly file: string;
  /** Each question by the beginning of its words, with its answers; none where the key gives none that fits. */
  readonly keys: readonly (readonly [question: string, answers: readonly string[]])[];
  /** What no learner may see. */
  readonly secrets: readonly string[];
  /** What learners must see. */
  readonly learners: readonly string[];
}

/** What came of it. Each list names what is meant, for a person to look at. */
export interface IntakeScore {
  readonly right: number;
  readonly wrong: readonly string[];
  readonly missed: readonly string[];
  readonly lostQuestions: readonly string[];
  readonly leaks: readonly string[];
  /** Words of the learners' that went to the teacher. */
  readonly swallowed: readonly string[];
}

const plain = (t: string): string => t.normalize('NFC').toLowerCase().replace(/[’']/g, "'").replace(/\s+/g, ' ').trim();

function textsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  if (Array.isArray(value)) return value.flatMap(textsIn);
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(textsIn) : [];
}

/** Compares what is proposed for a sheet with what it should give. */
export function scoreIntake(sheet: ExpectedSheet, proposed: Proposed): IntakeScore {
  const pages = proposed.pages.filter((p) => p.audience === 'learner');
  const blocks = pages.flatMap((p) => p.proposals.map((x) => x.block));
  const plainBlocks = pages.flatMap((p) => p.proposals.flatMap((x) => (x.plain ? [x.plain] : [])));
  const seen = plain(
    [...pages.map((p) => p.title), ...textsIn([...blocks, ...plainBlocks].map((b) => forLearner(b)))].join('\n'),
  );
  const items = blocks.filter(isItem);
  const asked = (b: (typeof items)[number]) => plain(b.kind === 'gaps' ? b.text : b.prompt);
  const score = { right: 0, wrong: [] as string[], missed: [] as string[], lostQuestions: [] as string[] };
  for (const [question, answers] of sheet.keys) {
    const item = items.find((b) => asked(b).startsWith(plain(question)));
    if (!item) {
      score.lostQuestions.push(question);
      continue;
    }
    const got = keyWordsOf(item).filter((w) => w !== '');
    const same = got.length === answers.length && answers.every((a) => got.some((g) => plain(g) === plain(a)));
    if (same) score.right++;
    else if (got.length === 0) score.missed.push(`${question}: ${answers.join(' / ')}`);
    else score.wrong.push(`${question}: ${got.join(' / ')} for ${answers.join(' / ')}`);
  }
  return {
    ...score,
    leaks: sheet.secrets.filter((s) => seen.includes(plain(s))),
    swallowed: sheet.learners.filter((s) => !seen.includes(plain(s))),
  };
}
