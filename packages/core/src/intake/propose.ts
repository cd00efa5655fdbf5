import { MOST_BLOCKS } from '../activity/activity';
import type { Audience, Id } from '../activity/block';
import type { Rect } from '../activity/parts';
import { making } from '../making';
import { apart, type Decision } from './apart';
import type { Proposal, UnfitKey } from './item-of';
import { numberWords } from './marks';
import type { Material } from './material';
import { coversOf, piecesOf } from './pieces';
import { type Counting, plainPage, readPage } from './read-page';
import { assignKeys, type KeyGroup, keyGroups } from './sheets';

export interface ProposedPage {
  /** Its number among what was read, from 1. */
  readonly n: number;
  /** The number of the file's page it stands on. */
  readonly page: number;
  readonly title: string;
  readonly audience: Audience;
  /** What was decided about whom it is for, where its words say something of it. */
  readonly decided?: Decision;
  readonly proposals: readonly Proposal[];
  readonly pictureOnly: boolean;
  /** On the file's page, what stands there for others: it is covered where the page comes in as a picture. */
  readonly covers?: readonly Rect[];
}

export interface Proposed {
  readonly pages: readonly ProposedPage[];
  /** Question numbers in the key for which no question was found. */
  readonly unmatched: readonly string[];
  /** Answers of the key that were not set, in words. */
  readonly unfit?: readonly string[];
  /** What looks like a part for the teacher and was left with the learners. */
  readonly near?: readonly Decision[];
  /** What had no room as it was, in words. */
  readonly cut?: readonly string[];
}

/**
 * What a material could become: numbered questions with their ways to answer, text, tables and pictures, a page each.
 * Parts for the teacher are set apart wherever they begin, and the answers of a key go to the questions of its own
 * sheet. `turned` says where the teacher decided otherwise, by the decisions' ids.
 */
export function propose(material: Material, newId: () => Id, turned?: ReadonlyMap<string, Audience>): Proposed {
  const m = making(newId);
  const { stretches, near } = apart(material, turned);
  const pieces = piecesOf(material, stretches);
  const groups: KeyGroup[] = [];
  stretches.reduce((at, s) => {
    if (s.audience === 'key') groups.push(...keyGroups(s.parts, at));
    return at + s.parts.length;
  }, 0);
  const counting: Counting = { sections: [], last: 0, headings: [], fresh: true };
  const read = pieces.map((piece) => (piece.audience === 'learner' ? readPage(piece, counting, m) : null));
  const { keys, unclear, unmatched } = assignKeys(counting.sections, groups);
  const unfit: UnfitKey[] = [];
  const pages = pieces.map((piece, i): ProposedPage => {
    const proposals =
      read[i]?.map((make) => make((section, number) => keys[section]?.get(number), unfit)) ?? plainPage(piece.parts, m);
    const heading = piece.parts.find((p) => p.kind === 'heading');
    const of = material.pages[piece.page];
    const n = of?.n ?? 1;
    const covers = of?.size ? coversOf(pieces, piece) : [];
    return {
      n: i + 1,
      page: n,
      title: (heading?.kind === 'heading' ? heading.text : (piece.decided?.at ?? `Page ${n}`)).slice(0, 200),
      audience: piece.audience,
      ...(piece.decided ? { decided: piece.decided } : {}),
      proposals,
      pictureOnly: of?.pictureOnly ?? false,
      ...(covers.length ? { covers } : {}),
    };
  });
  const divided = pages.flatMap((p) =>
    p.proposals.length > MOST_BLOCKS
      ? [
          `Page ${p.n} has ${p.proposals.length} parts: it is divided into ${Math.ceil(p.proposals.length / MOST_BLOCKS)}.`,
        ]
      : [],
  );
  return {
    pages,
    unmatched: unmatched.map(numberWords),
    unfit: [...unfit.map((u) => u.says), ...unclear],
    near,
    cut: [...divided, ...m.cut],
  };
}
