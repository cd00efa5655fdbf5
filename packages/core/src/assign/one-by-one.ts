import type { LearnerBlock } from '../activity/blocks';
import { lookedAt } from '../activity/context';
import type { LearnerPackage } from './learner-package';

type SheetPage = LearnerPackage['pages'][number];

/** What an item after it may be about, so that it is shown with it. */
const CONTEXT = lookedAt('text', 'word-bank', 'vocabulary', 'worked-example');

/**
 * Pages with one question each, and with it the instruction and the texts, pictures and banks that stand before it on
 * its page. A page over a picture, and one without questions, stays whole.
 */
export function oneByOne(pages: readonly SheetPage[]): SheetPage[] {
  return pages.flatMap((page): SheetPage[] => {
    if (page.fixed || !page.blocks.some((b) => 'prompt' in b)) return [page];
    let before: LearnerBlock[] = [];
    let fresh = true;
    const out: SheetPage[] = [];
    for (const b of page.blocks) {
      if ('prompt' in b) {
        out.push({ ...page, id: `${page.id}#${b.id}`, blocks: [...before, b] });
        fresh = false;
        continue;
      }
      // A new passage after questions begins anew; an instruction and a bank stay.
      if (!fresh && (b.kind === 'passage' || b.kind === 'picture' || b.kind === 'text'))
        before = before.filter((x) => x.kind === 'word-bank' || x.kind === 'vocabulary');
      if (b.kind === 'instruction') before = [...before.filter((x) => x.kind !== 'instruction'), b];
      else if (CONTEXT.has(b.kind) || b.kind === 'heading') before = [...before, b];
      fresh = true;
    }
    // What stands after the last question is not lost.
    const last = page.blocks.at(-1);
    const end = out.at(-1);
    if (last && end && !('prompt' in last))
      out[out.length - 1] = {
        ...end,
        blocks: [...end.blocks, ...page.blocks.slice(page.blocks.findLastIndex((b) => 'prompt' in b) + 1)],
      };
    return out;
  });
}
