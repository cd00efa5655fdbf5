import { z } from '../zod';
import { type Content, itemsOf } from '../activity/activity';
import { DEMANDS, type Id, idSchema } from '../activity/block';
import type { ItemBlock } from '../activity/blocks';
import { adjustmentBase, type AdjustmentKind, type Applied, snippet, untouched } from './adjustment';
import { LESS_TO_DO } from './judging';
import type { Sheet } from './sheet';
import { counted } from '../counted';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('choose-items'),
  /** Pages it chooses from; all where it is empty. */
  pages: z.array(idSchema),
  keep: z.array(idSchema).min(1),
  /** All items there were when this was written, so that a new one can be offered. */
  known: z.array(idSchema),
});
export type ChooseItems = z.infer<typeof schema>;

/**
 * Chooses n of some items, spread over what they ask. The rule: objectives take turns, in the order in which they
 * first appear (items without one count as one more objective); within an objective the demand levels take turns from
 * the least; within a level the item that stands first comes first. Fewer items than n are all kept.
 */
export function chooseItems(items: readonly ItemBlock[], n: number): Id[] {
  const queues = new Map<string, ItemBlock[][]>();
  for (const item of items) {
    const levels = queues.get(item.objectiveId ?? '') ?? DEMANDS.map(() => []);
    levels[DEMANDS.indexOf(item.demand)]?.push(item);
    queues.set(item.objectiveId ?? '', levels);
  }
  const turns = [...queues.values()].map((levels) => {
    const order: ItemBlock[] = [];
    for (let round = 0; levels.some((l) => l.length > round); round++)
      for (const l of levels) if (l[round]) order.push(l[round] as ItemBlock);
    return order;
  });
  const chosen = new Set<Id>();
  for (let round = 0; chosen.size < n && turns.some((t) => t.length > round); round++)
    for (const t of turns) {
      const item = t[round];
      if (item && chosen.size < n) chosen.add(item.id);
    }
  return items.filter((i) => chosen.has(i.id)).map((i) => i.id);
}

const within = (content: Pick<Content, 'pages'>, pages: readonly Id[]): ItemBlock[] =>
  itemsOf({ ...content, pages: content.pages.filter((p) => !pages.length || pages.includes(p.id)) } as Content).filter(
    (i) => i.audience === 'learner',
  );

/** The items that an adjustment over these pages chooses from. */
export const itemsWithin = within;

const inSheet = (sheet: Sheet, a: ChooseItems) => within({ pages: [...sheet.allPages()] }, a.pages);

export const chooseItemsKind: AdjustmentKind<ChooseItems> = {
  kind: 'choose-items',
  label: 'Choose some items',
  done: 'items chosen',
  category: 'content',
  schema,
  targets: (a) => a.keep,
  apply(a, sheet): Applied {
    const here = inSheet(sheet, a);
    const missed = a.keep
      .filter((id) => !here.some((i) => i.id === id))
      .map((target) => ({ target, why: 'A question it keeps is no longer there.' }));
    // With none of its items left, keeping nothing would empty the sheet.
    if (missed.length === a.keep.length) return { edits: [], missed };
    const edits = here
      .filter((i) => a.known.includes(i.id) && !a.keep.includes(i.id))
      .reverse()
      .flatMap((block) => {
        const place = sheet.placeOf(block.id);
        return place ? [{ edit: 'remove-block' as const, block, ...place }] : [];
      });
    return { edits, missed };
  },
  describe(a, basis) {
    const items = within(basis, a.pages);
    const out = items.filter((i) => a.known.includes(i.id) && !a.keep.includes(i.id));
    const left = items.length - out.length;
    return `${left} of ${items.length} questions are asked; ${
      out.length ? `left out: ${out.map((i) => `“${snippet(i.prompt, 30)}”`).join(', ')}` : 'none is left out'
    }.`;
  },
  judge: () => LESS_TO_DO,
  review(a, sheet) {
    const here = within({ pages: sheet.base.pages }, a.pages);
    const ids = here.map((i) => i.id);
    const fresh = here.filter((i) => !a.known.includes(i.id));
    const kept = a.keep.filter((id) => ids.includes(id));
    if (fresh.length === 0 && kept.length === a.keep.length) return untouched;
    const words = (list: readonly Id[]) =>
      here
        .filter((i) => list.includes(i.id))
        .map((i) => snippet(i.prompt, 40))
        .join('\n');
    const again = chooseItems(here, a.keep.length);
    const settled = (keep: readonly Id[]): ChooseItems | null =>
      keep.length ? { ...a, keep: [...keep], known: ids } : null;
    return {
      outcome: 'to-decide',
      target: fresh[0]?.id ?? a.keep.find((id) => !ids.includes(id)) ?? '',
      field: 'items',
      why: fresh.length
        ? counted(
            fresh.length,
            'The basis has a new question, and this version asks only chosen ones.',
            'The basis has {n} new questions, and this version asks only chosen ones.',
          )
        : 'A question that this version asks is gone from the basis.',
      old: words(kept),
      master: words(ids),
      version: words(kept),
      proposed: words(fresh.length ? [...kept, ...fresh.map((i) => i.id)] : again),
      choices: [
        { choice: 'version', label: 'Ask the same ones as before', result: settled(kept) },
        ...(fresh.length
          ? [
              {
                choice: 'combined' as const,
                label: counted(fresh.length, 'The same plus this one', 'The same plus these {n}'),
                result: settled(ids.filter((id) => kept.includes(id) || fresh.some((f) => f.id === id))),
              },
            ]
          : [
              {
                choice: 'combined' as const,
                label: `Choose ${a.keep.length} anew by the rule`,
                result: settled(again),
              },
            ]),
        { choice: 'master', label: 'Ask all', result: null },
      ],
    };
  },
};
