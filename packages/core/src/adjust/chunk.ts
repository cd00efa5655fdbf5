import { wordsIn } from '../measure/words';
import { z } from '../zod';
import { idSchema } from '../activity/block';
import { type Block, isItem } from '../activity/blocks';
import { lookedAt } from '../activity/context';
import { accommodation, adjustmentBase, type AdjustmentKind, nothing, untouched } from './adjustment';
import { counted } from '../counted';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('chunk'),
  /** Most blocks on a page. */
  most: z.number().int().min(1).max(50),
  /** Pages it divides; all where it is empty. */
  pages: z.array(idSchema),
});
export type Chunk = z.infer<typeof schema>;

/** What the items after it are asked about, so that they must stay on its page. */
const NEEDED = lookedAt('word-bank', 'worked-example');
/** A text of so many words is one to read, and questions are about it. */
const TO_READ = 30;
const isNeeded = (b: Block): boolean => NEEDED.has(b.kind) || (b.kind === 'text' && wordsIn(b.text).length >= TO_READ);

/**
 * Divides blocks into chunks of at most `most`, without parting an item from the passage, picture or table it needs:
 * such a block and the items after it, up to the next block that is none of these, stay together even where they are
 * more. Headings, texts and instructions go with what follows them.
 */
export function chunksOf(blocks: readonly Block[], most: number): Block[][] {
  const groups: Block[][] = [];
  let group: Block[] = [];
  let holds = false;
  const close = () => {
    if (group.length) groups.push(group);
    group = [];
    holds = false;
  };
  for (const b of blocks) {
    const asks = isItem(b);
    const startsAnew = !asks && group.some(isItem);
    if (startsAnew || (asks && !holds && group.some(isItem))) close();
    group.push(b);
    if (isNeeded(b)) holds = true;
  }
  close();
  const chunks: Block[][] = [];
  for (const g of groups) {
    const last = chunks.at(-1);
    if (last && last.length + g.length <= most) last.push(...g);
    else chunks.push([...g]);
  }
  return chunks;
}

export const chunk: AdjustmentKind<Chunk> = {
  kind: 'chunk',
  label: 'Pages in smaller parts',
  done: 'in smaller parts',
  category: 'presentation',
  schema,
  targets: (a) => a.pages,
  apply: () => nothing,
  breaks: (a, page) =>
    a.pages.length && !a.pages.includes(page.id)
      ? []
      : chunksOf(page.blocks, a.most)
          .slice(1)
          .flatMap((part) => part[0]?.id ?? []),
  describe(a, basis) {
    const pages = basis.pages.filter((p) => !a.pages.length || a.pages.includes(p.id));
    const parts = pages.reduce((n, p) => n + (p.fixed ? 1 : chunksOf(p.blocks, a.most).length), 0);
    return counted(
      pages.length,
      '{n} page comes in {parts} smaller ones, with about {most} each.',
      '{n} pages come in {parts} smaller ones, with about {most} each.',
      { parts, most: counted(a.most, '{n} block', '{n} blocks') },
    );
  },
  judge: () => accommodation('The same questions, fewer on a page.'),
  review(a, sheet) {
    const gone = a.pages.filter((id) => !sheet.page(id));
    if (gone.length === 0) return untouched;
    const left = a.pages.filter((id) => sheet.page(id));
    return {
      outcome: 'carried',
      target: gone[0] ?? '',
      why: 'A page it divided is gone from the basis.',
      result: left.length ? { ...a, pages: left } : null,
    };
  },
};
