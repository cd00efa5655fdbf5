import { findBlock } from '../activity/activity';
import { contentAddress } from '../activity/fingerprint';
import { withoutPerson } from '../adjust/personal-fields';
import type { Album } from './album';
import type { FrozenById, Given, HandOut } from './hand-out';
import { ownForLearner } from './learner-sheet';

/**
 * The album of a hand-out that gives a place to each; null where nobody sees the others'. Without names nothing of it says
 * whose a place is: no name, no word that was filled in for its learner, and not the order.
 */
export function albumOf(
  handOut: HandOut,
  learners: Readonly<Record<string, { readonly name: string }>>,
  frozen: FrozenById,
): Album | null {
  const { place } = handOut;
  if (!place?.isOpen || handOut.way !== 'place-each' || handOut.state === 'draft' || handOut.isHidden) return null;
  const nameOf = (id: string) => (place.names ? (learners[id]?.name ?? '') : '');
  const places = Object.entries(handOut.given).map(([id, given]) => ({
    id,
    name: nameOf(id),
    sheet: given.frozen,
    own: ownForLearner(place.names ? given : nobodys(given, frozen)),
  }));
  const order = new Map(places.map((p) => [p.id, place.names ? p.name : contentAddress([handOut.id, p.id])]));
  return {
    id: handOut.id,
    title: handOut.title,
    pageIds: place.pageIds,
    comments: place.comments,
    places: places.sort((a, b) => (order.get(a.id) ?? '').localeCompare(order.get(b.id) ?? '')),
    remarks: place.remarks.flatMap(({ id, to, from, text, isShown }) =>
      isShown ? [{ id, to, from: nameOf(from), text }] : [],
    ),
  };
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
