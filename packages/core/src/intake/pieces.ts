import type { Audience } from '../activity/block';
import type { Rect } from '../activity/parts';
import type { Decision, Stretch } from './apart';
import type { Material, Part } from './material';

/** Parts of one page and one audience, on their way to a proposed page. */
export interface Piece {
  readonly page: number;
  readonly audience: Audience;
  readonly parts: Part[];
  readonly decided?: Decision;
  /** Place of its first part in the file. */
  readonly at: number;
}

/** Whether parts say nothing by themselves: titles, and the line for a name. */
const isTitleOnly = (parts: readonly Part[]): boolean =>
  parts.every(
    (p) =>
      p.kind === 'heading' ||
      (p.kind === 'paragraph' && /^(?:name|date|class|nom|prénom|datum|nombre|fecha)\b[\s:_.…]*$/i.test(p.text)),
  );

/**
 * The stretches as pages. On a laid-out page what is the learners' stays one page, whatever stands between; a title
 * over a part for the teacher goes where the rest of its page goes.
 */
export function piecesOf(material: Material, stretches: readonly Stretch[]): Piece[] {
  const pieces: Piece[] = [];
  const titles = new Set<string>();
  let waiting: Part[] = [];
  let at = 0;
  const add = (piece: Piece) => {
    const laidOut = material.pages[piece.page]?.size !== undefined;
    const before = pieces.find((p) => p.page === piece.page && p.audience === 'learner');
    if (laidOut && piece.audience === 'learner' && before) before.parts.push(...piece.parts);
    else pieces.push(piece);
  };
  stretches.forEach((s, i) => {
    const pages = [...new Set(s.parts.map((p) => p.page))];
    for (const page of pages) {
      const own = s.parts.filter((p) => p.page === page);
      const parts = own.map((p) => p.part);
      const begins = at;
      at += own.length;
      const next = page === pages.at(-1) ? stretches[i + 1] : undefined;
      if (s.audience === 'learner' && next && next.audience !== 'learner' && isTitleOnly(parts)) {
        // It heads what comes next: the teacher's part, where it stood before or no learner's follows on.
        const known = parts.some((p) => p.kind === 'heading' && titles.has(p.text));
        const later = stretches
          .slice(i + 1)
          .some((x) => x.audience === 'learner' && x.parts.some((p) => p.page === page));
        if (known || !later) {
          if (next.parts[0]?.page === page || known) {
            waiting = parts;
            continue;
          }
        } else if (material.pages[page]?.size === undefined) {
          waiting = parts;
          continue;
        }
      }
      const forLater = waiting.length > 0 && s.audience !== 'learner' && !teachers(waiting, titles, stretches, i, page);
      const first = forLater ? parts : [...waiting, ...parts];
      if (!forLater) waiting = [];
      for (const p of first) if (p.kind === 'heading') titles.add(p.text);
      add({
        page,
        audience: s.audience,
        parts: first,
        at: begins,
        ...(s.decided && page === pages[0] ? { decided: s.decided } : {}),
      });
    }
  });
  if (material.pages.some((p) => p.parts.length === 0))
    material.pages.forEach((p, page) => {
      if (p.parts.length > 0) return;
      const after = pieces.findIndex((x) => x.page > page);
      pieces.splice(after < 0 ? pieces.length : after, 0, { page, audience: 'learner', parts: [], at: 0 });
    });
  return pieces;
}

/** Whether a title that waits belongs to the teacher's part that follows it. */
const teachers = (
  waiting: readonly Part[],
  titles: ReadonlySet<string>,
  stretches: readonly Stretch[],
  at: number,
  page: number,
): boolean =>
  waiting.some((p) => p.kind === 'heading' && titles.has(p.text)) ||
  !stretches.slice(at + 1).some((x) => x.audience === 'learner' && x.parts.some((p) => p.page === page));

/** What stands on a piece's page for others, in boxes that hold what lies between its parts too. */
export function coversOf(pieces: readonly Piece[], own: Piece): Rect[] {
  return pieces.flatMap((other) => {
    if (other === own || other.page !== own.page || other.audience === own.audience) return [];
    const boxes: Rect[] = [];
    for (const { box } of other.parts) {
      const last = boxes.at(-1);
      if (!box) continue;
      if (last && box.y >= last.y && box.x < last.x + last.w && last.x < box.x + box.w) {
        const x = Math.min(last.x, box.x);
        const right = Math.max(last.x + last.w, box.x + box.w);
        const low = Math.max(last.y + last.h, box.y + box.h);
        boxes[boxes.length - 1] = { x, y: last.y, w: right - x, h: low - last.y };
      } else boxes.push(box);
    }
    return boxes;
  });
}
