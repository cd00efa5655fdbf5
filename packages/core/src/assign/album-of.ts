import { findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { contentAddress } from '../activity/fingerprint';
import { withoutPerson } from '../adjust/personal-fields';
import type { SchoolClass } from '../learners/people';
import type { Album } from './album';
import { type FrozenById, type Given, type HandOut, PLAIN_LAYOUT } from './hand-out';
import { ownForLearner } from './learner-sheet';

/**
 * The album of a hand-out that gives a place to each; null where nobody sees the others'. Without names nothing of it says
 * whose a place is: no name, no word that was filled in for its learner, and not the order.
 */
export function albumOf(
  handOut: HandOut,
  learners: Readonly<Record<string, { readonly name: string }>>,
  classes: readonly SchoolClass[],
  frozen: FrozenById,
): Album | null {
  const { place } = handOut;
  if (!place?.isOpen || handOut.way !== 'place-each' || handOut.state === 'draft' || handOut.isHidden) return null;
  const nameOf = (id: string) => (place.names ? (learners[id]?.name ?? '') : '');
  const { words, columns } = place.layout ?? PLAIN_LAYOUT;
  return {
    id: handOut.id,
    title: handOut.title,
    pageIds: place.pageIds,
    comments: place.comments,
    words,
    columns,
    places: placesInOrder(handOut, Object.keys(handOut.given), nameOf, classes).flatMap(({ id, under }) => {
      const given = handOut.given[id];
      if (!given) return [];
      const own = ownForLearner(place.names ? given : nobodys(given, frozen));
      return [{ id, name: nameOf(id), under, sheet: given.frozen, own }];
    }),
    remarks: place.remarks.flatMap(({ id, to, from, text, isShown }) =>
      isShown ? [{ id, to, from: nameOf(from), text }] : [],
    ),
  };
}

/**
 * The places of these learners in the order of the index, each with the heading it stands under. Without names they are in
 * an order that says nothing of anybody, the same each time.
 */
export function placesInOrder(
  { id: handOutId, place }: Pick<HandOut, 'id' | 'place'>,
  ids: readonly Id[],
  nameOf: (id: Id) => string,
  classes: readonly SchoolClass[],
): { id: Id; under: string }[] {
  const sorted = (by: (id: Id) => string) => {
    const words = new Map(ids.map((id) => [id, by(id)]));
    // “Table 2” before “Table 10”.
    return [...ids].sort((a, b) =>
      (words.get(a) ?? '').localeCompare(words.get(b) ?? '', undefined, { numeric: true }),
    );
  };
  const plain = (list: readonly Id[]) => list.map((id) => ({ id, under: '' }));
  if (!place?.names) return plain(sorted((id) => contentAddress([handOutId, id])));
  const byName = sorted(nameOf);
  const { order, ownOrder } = place.layout ?? PLAIN_LAYOUT;
  if (order === 'own') {
    const at = new Map(ownOrder.map((id, i) => [id, i]));
    const placeOf = (id: Id) => at.get(id) ?? ownOrder.length;
    return plain(byName.sort((a, b) => placeOf(a) - placeOf(b)));
  }
  if (order !== 'class') return plain(byName);
  const rest = new Set(byName);
  const under = [...classes]
    .sort((a, b) => a.name.localeCompare(b.name))
    .flatMap((c) => {
      const inIt = new Set(c.learnerIds);
      const here = byName.filter((id) => inIt.has(id) && rest.delete(id));
      return here.map((id) => ({ id, under: c.name }));
    });
  return [...under, ...[...rest].map((id) => ({ id, under: under.length ? 'Others' : '' }))];
}

/** What was filled in for a learner, with nothing of the learner in it. */
const nobodys = (given: Given, frozen: FrozenById): Given => ({
  ...given,
  own: (given.own ?? []).flatMap(({ block }) => {
    const content = frozen[given.frozen]?.content;
    const plain = content && findBlock(content, block.id)?.block;
    return plain ? [{ block: withoutPerson(plain), steps: [] }] : [];
  }),
});
