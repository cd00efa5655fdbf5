import { z } from '../zod';
import { type Content, findBlock, type Page, pageSchema } from '../activity/activity';
import { type Id, idSchema } from '../activity/block';
import { type Block, blockSchema, isItem, wordsOf } from '../activity/blocks';
import { fingerprint } from '../activity/fingerprint';
import {
  accommodation,
  addition,
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  missed,
  snippet,
  untouched,
} from './adjustment';
import { reviewPlace, standingPlace } from './insert-block';

const partSchema = z.discriminatedUnion('what', [
  z.object({ what: z.literal('page'), page: pageSchema }),
  z.object({ what: z.literal('block'), onPage: idSchema, block: blockSchema }),
]);
const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('from-activity'),
  /** The page, or for a block the sibling, that it stands after; null is first. */
  after: idSchema.nullable(),
  /** The part as it was taken, under ids of its own. */
  part: partSchema,
  /** Where it comes from, and what stood there then. */
  source: z.object({
    familyId: idSchema,
    revision: z.number().int(),
    id: idSchema,
    title: z.string().max(300),
    was: z.string().max(64),
  }),
  /** Whether it follows the source's changes; otherwise it stays as it was. */
  follow: z.boolean(),
});
export type FromActivity = z.infer<typeof schema>;

const sourceOf = (content: Content, id: Id): Page | Block | undefined =>
  content.pages.find((p) => p.id === id) ?? findBlock(content, id)?.block;

/** A part of another activity under ids that cannot meet those here, and that stay the same when it is taken anew. */
export function takenPart(
  from: { readonly familyId: Id; readonly revision: number; readonly content: Content },
  id: Id,
  prefix: string,
  onPage: Id | null,
): Pick<FromActivity, 'part' | 'source'> | undefined {
  const found = sourceOf(from.content, id);
  if (!found) return undefined;
  const fresh = (x: Id) => `${prefix}.${x}`.slice(0, 64);
  const source = { familyId: from.familyId, revision: from.revision, title: from.content.title };
  const asBlock = (b: Block): Block => ({ ...b, id: fresh(b.id), source: { ...source, id: b.id } });
  const kept = { ...source, id, was: fingerprint(found) };
  if ('blocks' in found) {
    const places = found.places && Object.fromEntries(Object.entries(found.places).map(([b, r]) => [fresh(b), r]));
    const page = {
      ...found,
      id: fresh(found.id),
      blocks: found.blocks.map(asBlock),
      source: { ...source, id: found.id },
    };
    return { part: { what: 'page', page: places ? { ...page, places } : page }, source: kept };
  }
  return onPage === null ? undefined : { part: { what: 'block', onPage, block: asBlock(found) }, source: kept };
}

/** Where parts of another activity are to stand: pages after a page, blocks on a page after a block; null is first. */
export interface TakenPlace {
  readonly afterPage: Id | null;
  readonly onPage: Id | null;
  readonly afterBlock: Id | null;
}

/**
 * Pages and blocks taken together, in the order in which they stand where they come from, each after the one before it.
 * A block whose page is taken too comes with its page.
 */
export function takenTogether(
  from: { readonly familyId: Id; readonly revision: number; readonly content: Content },
  picked: ReadonlySet<Id>,
  place: TakenPlace,
  newId: () => Id,
): Pick<FromActivity, 'part' | 'source' | 'after'>[] {
  let { afterPage, afterBlock } = place;
  const ids = from.content.pages.flatMap((p) =>
    picked.has(p.id) ? [p.id] : p.blocks.filter((b) => picked.has(b.id)).map((b) => b.id),
  );
  return ids.flatMap((id) => {
    const taken = takenPart(from, id, newId(), place.onPage);
    if (!taken) return [];
    if (taken.part.what === 'page') {
      const made = { after: afterPage, ...taken };
      afterPage = taken.part.page.id;
      return [made];
    }
    const made = { after: afterBlock, ...taken };
    afterBlock = taken.part.block.id;
    return [made];
  });
}

const partId = (a: FromActivity): Id => (a.part.what === 'page' ? a.part.page.id : a.part.block.id);
const blocksIn = (a: FromActivity): readonly Block[] => (a.part.what === 'page' ? a.part.page.blocks : [a.part.block]);
const called = (a: FromActivity) =>
  snippet(a.part.what === 'page' ? a.part.page.title : (wordsOf(a.part.block)[0]?.text ?? ''));

export const fromActivity: AdjustmentKind<FromActivity> = {
  kind: 'from-activity',
  label: 'From another activity',
  done: 'from another activity',
  category: 'content',
  schema,
  targets: (a) => [partId(a), ...blocksIn(a).map((b) => b.id)],
  apply(a, sheet): Applied {
    if (a.part.what === 'page') {
      if (sheet.page(a.part.page.id)) return missed(a.part.page.id, 'It is there already.');
      const after = a.after === null || sheet.page(a.after) ? a.after : (sheet.allPages().at(-1)?.id ?? null);
      return { edits: [{ edit: 'insert-page', page: a.part.page, after }], missed: [] };
    }
    const place = standingPlace({ id: a.id, page: a.part.onPage, after: a.after }, sheet);
    if (!place) return missed(a.part.onPage, 'The page it stood on is no longer there.');
    return { edits: [{ edit: 'insert-block', block: a.part.block, ...place }], missed: [] };
  },
  describe: (a) =>
    `${a.part.what === 'page' ? 'A page' : 'A block'} comes from “${snippet(a.source.title)}”: “${called(a)}”${a.follow ? ', and follows it' : ', as it was'}.`,
  judge: (a) =>
    blocksIn(a).some(isItem)
      ? addition('Further questions from another activity; nothing is taken away.')
      : accommodation('Something from another activity; no answer was found in it.'),
  review(a, sheet, { source }) {
    if (a.part.what === 'block') {
      const place = reviewPlace({ id: a.id, page: a.part.onPage, after: a.after }, sheet, called(a));
      if (place.outcome !== 'untouched') {
        const placed = (p: { page: Id; after: Id | null } | null): FromActivity | null =>
          p && a.part.what === 'block' ? { ...a, after: p.after, part: { ...a.part, onPage: p.page } } : null;
        return place.outcome === 'carried'
          ? { outcome: 'carried', target: place.target, why: place.why, result: placed(place.result) }
          : {
              ...place,
              choices: place.choices.map((c) => ({ choice: c.choice, label: c.label, result: placed(c.result) })),
            };
      }
    }
    const there = source?.(a.source.familyId);
    if (!there) return untouched;
    const now = sourceOf(there.content, a.source.id);
    if (now && fingerprint(now) === a.source.was) return untouched;
    // Staying as it was is settled once and for all; only what follows is asked about or brought along.
    if (!a.follow) return untouched;
    const prefix = partId(a).slice(0, -(a.source.id.length + 1));
    const anew = takenPart(
      { familyId: a.source.familyId, revision: there.revision, content: there.content },
      a.source.id,
      prefix,
      a.part.what === 'block' ? a.part.onPage : null,
    );
    if (!anew)
      return {
        outcome: 'lost',
        target: partId(a),
        why: `“${snippet(a.source.title)}” no longer has this part.`,
        old: '',
        master: '',
        version: called(a),
        proposed: called(a),
        choices: [
          { choice: 'version', label: 'Keep it as it was', result: { ...a, follow: false } },
          { choice: 'master', label: 'Let it go', result: null },
        ],
      };
    return {
      outcome: 'carried',
      target: partId(a),
      why: `“${snippet(a.source.title)}” changed, and this part follows it.`,
      result: { ...a, ...anew },
    };
  },
};
