import type { Id } from '../activity/block';
import { answerIsEmpty } from './answer';
import {
  asSubmitted,
  type Copy,
  copyIdOf,
  decisionsOf,
  type Go,
  type Marking,
  type PaperPage,
  responseTo,
  type Response,
} from './copy';
import type { Pen } from './journal';

/** Whose work is on paper, and what they got. */
export interface PaperWork {
  readonly handOutId: Id;
  /** Under whom the work is kept. */
  readonly learnerId: Id;
  /** Address of what was given. */
  readonly frozen: string;
  readonly copy: Copy | undefined;
  readonly marking: Marking | undefined;
}

/** A go that a sheet of paper belongs to; `copy` is there where the work is another by it. */
export interface PaperGo {
  readonly go: number;
  readonly copy?: Copy;
}

/**
 * The go that a sheet belongs to: the last; the next where another was asked for; the first where nothing was done yet.
 * It is submitted with its sheet, but for one in which something was answered at the desk: its learner goes on with it.
 */
export function goOnPaper(work: PaperWork, pen: Pen): PaperGo {
  const { copy, marking } = work;
  const last = copy?.goes.at(-1);
  if (!copy || !last || decisionsOf(marking)[last.n] === 'another go') {
    const fresh: Go = { n: (last?.n ?? 0) + 1, startedAt: pen.at, submittedAt: null, answers: {} };
    const { handOutId, learnerId, frozen } = work;
    const begun: Copy = copy ?? { id: copyIdOf(handOutId, learnerId), handOutId, learnerId, frozen, goes: [] };
    return { go: fresh.n, copy: { ...begun, goes: [...begun.goes, asSubmitted(fresh, pen, true)] } };
  }
  if (last.submittedAt || !Object.values(last.answers).every(answerIsEmpty)) return { go: last.n };
  return {
    go: last.n,
    copy: { ...copy, goes: copy.goes.map((g) => (g === last ? asSubmitted(g, pen, true) : g)) },
  };
}

/** The work without a go that was nothing but its sheets, once the last of them is taken off; undefined where it stays. */
export function withoutPaperGo({ copy, marking }: Pick<PaperWork, 'copy' | 'marking'>, go: number): Copy | undefined {
  const last = copy?.goes.at(-1);
  if (!copy || last?.n !== go || !last.submittedFor || !Object.values(last.answers).every(answerIsEmpty))
    return undefined;
  const said = responseTo(marking, go);
  if ((said?.paper?.length ?? 0) > 1 || said?.decision || Object.keys(said?.marks ?? {}).length > 0) return undefined;
  return { ...copy, goes: copy.goes.slice(0, -1) };
}

/** The sheets that show a page: those of the page, and those that show several. */
export const sheetsOf = (response: Pick<Response, 'paper'> | undefined, pageId: string): PaperPage[] =>
  (response?.paper ?? []).filter((p) => p.pageId === pageId || p.pageId === '');
