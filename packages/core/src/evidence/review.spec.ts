import { describe, expect, it } from '@jest/globals';
import { agreed } from '../learners/supports';
import { beginReview, cardAfter, reviewChanges, reviewOf } from './review';

const day = (iso: string): string => iso;
const bank = { ...agreed('word bank'), reviewOn: '2026-12-01' };
const hints = agreed('hints');
const goal = { id: 'g1', text: 'Reads a page', measure: '', target: null, by: '2026-12-18' };
const card = { supports: [bank, hints], goals: [goal] };

describe('a review', () => {
  it('begins with the card, and changes nothing by itself', () => {
    const held = beginReview(card);
    expect(reviewChanges(card, held, day)).toEqual([]);
    expect(cardAfter(held)).toEqual(card);
  });

  it('says each thing that changes on the card, and the card is so afterwards', () => {
    const held = {
      ...beginReview(card),
      supports: [{ ...bank, until: '2026-12-31', reviewOn: '2027-03-01' }, agreed('glossary')],
      goals: [goal, { ...goal, id: 'g2', text: 'Reads two', by: '' }],
      met: ['g1'],
    };
    expect(reviewChanges(card, held, day)).toEqual([
      '“hints” is not agreed any more.',
      '“word bank” ends on 2026-12-31.',
      '“word bank” is looked at again on 2027-03-01 (was 2026-12-01).',
      '“glossary” is agreed.',
      'The goal “Reads a page” is met.',
      'A new goal: “Reads two”.',
    ]);
    const after = cardAfter(held);
    expect(after.goals.map((g) => g.id)).toEqual(['g2']);
    expect(after.supports.map((s) => s.what)).toEqual(['word bank', 'glossary']);
    // What stood on the card before stays with it.
    expect(reviewOf(card, held, { id: 'r', on: '2026-12-01', from: '', until: '' }, day).was).toEqual(card);
  });
});
