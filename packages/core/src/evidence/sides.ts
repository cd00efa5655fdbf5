import { type Content, findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Block, isChoice, isItem, isLearners, labelOf } from '../activity/blocks';
import { questionNumbers } from '../activity/numbering';
import { plainTextOf } from '../activity/plain-text';
import type { Frozen } from '../assign/held/frozen';
import type { LineageStep } from '../assign/held/lineage-step';
import type { Side } from './evidence';

/** A side before anything of a learner's work is in it. */
export type BareSide = Omit<Side, 'answer' | 'verdict'>;

/** All that a learner reads in a block, a line each: with its choices, and with the hint. */
export function sheetWords(block: Block): string {
  const lines = plainTextOf(block).split('\n');
  const helps = isItem(block) ? [['Hint', block.hint] as const, ['Flap', block.flap] as const] : [];
  for (const [name, words] of helps) {
    const at = words ? lines.lastIndexOf(words) : -1;
    if (at >= 0) lines[at] = `${name}: ${words}`;
  }
  return lines.filter((l) => l.trim()).join('\n');
}

/** What a block is in the words of a sheet: a question that is answered another way is another sort of block. */
const isA = (block: Block): string =>
  isChoice(block) ? `${labelOf(block)}, ${block.options.length} choices` : labelOf(block);

/**
 * How a sheet differs from the master's revision that it came from, in the order of the sheet; what is not on it stands
 * where it was. `master` is undefined where that revision is not known any more: then only the sheet's own words are.
 */
export function sidesOf(frozen: Frozen, master: Content | undefined): BareSide[] {
  const numbers = questionNumbers(frozen.content.pages);
  const out: BareSide[] = [];
  const after = new Map<Id, BareSide[]>();
  const first: BareSide[] = [];
  for (const { side, behind } of leftOutOf(frozen, master)) {
    const list = behind === null ? first : (after.get(behind) ?? []);
    list.push(side);
    if (behind !== null) after.set(behind, list);
  }
  out.push(...first);
  for (const page of frozen.content.pages)
    for (const block of page.blocks) {
      const steps = frozen.lineage[block.id] ?? [];
      if (steps.length && isLearners(block)) {
        const side = sideOf(block, page.title, steps, master, numbers.get(block.id) ?? 0);
        if (side) out.push(side);
      }
      out.push(...(after.get(block.id) ?? []));
    }
  return out;
}

function sideOf(
  block: Block,
  page: string,
  steps: readonly LineageStep[],
  master: Content | undefined,
  number: number,
): BareSide | null {
  const was = master && findBlock(master, block.id)?.block;
  const [before, now] = [was ? sheetWords(was) : '', sheetWords(block)];
  const [wasA, nowA] = [was ? isA(was) : '', isA(block)];
  return {
    ...{ blockId: block.id, page, number, how: was ? 'changed' : 'added' },
    is: was && wasA !== nowA ? `${wasA} → ${nowA}` : nowA,
    ...{ master: before, learner: now },
    adjustmentIds: [...new Set(steps.map((s) => s.adjustmentId))],
  };
}

/** What of the master is not on the sheet, each with the block that it stood behind. */
function* leftOutOf(frozen: Frozen, master: Content | undefined): Generator<{ side: BareSide; behind: Id | null }> {
  const gone = new Map((frozen.record?.leftOut ?? []).map((l) => [l.id, l]));
  if (gone.size === 0) return;
  const side = (blockId: Id, page: string, is: string, words: string, adjustmentId: Id): BareSide => ({
    ...{ blockId, page, number: 0, is, how: 'left out', master: words, learner: '', adjustmentIds: [adjustmentId] },
  });
  if (!master) {
    for (const l of gone.values()) yield { side: side(l.id, '', '', l.words, l.adjustmentId), behind: null };
    return;
  }
  let behind: Id | null = null;
  const known = new Set<Id>();
  const shown = new Set(frozen.content.pages.flatMap((p) => p.blocks.map((b) => b.id)));
  for (const page of master.pages) {
    known.add(page.id);
    const whole = gone.get(page.id);
    if (whole) {
      const words = page.blocks.filter(isLearners).map(sheetWords).filter(Boolean).join('\n');
      yield { side: side(page.id, page.title, 'Page', words, whole.adjustmentId), behind };
    }
    for (const block of page.blocks) {
      known.add(block.id);
      if (shown.has(block.id)) behind = block.id;
      const l = gone.get(block.id);
      if (l && !whole && isLearners(block))
        yield { side: side(block.id, page.title, isA(block), sheetWords(block), l.adjustmentId), behind };
    }
  }
  // What a version added and one on it left out again was never the master's.
  for (const l of gone.values())
    if (!known.has(l.id)) yield { side: side(l.id, '', '', l.words, l.adjustmentId), behind };
}
