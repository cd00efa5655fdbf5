import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Answer } from './answer';
import type { Go } from './copy';
import { joinedLifted, liftedBefore, withLifted } from './lifted';

const text = (t: string): Answer => ({ kind: 'text', text: t });
const go = (answers: Go['answers']): Go => ({ n: 1, startedAt: 'a', submittedAt: null, answers });

describe('a flap that was lifted', () => {
  it('is told with the answer as it was then: before one, as it is, or another since', () => {
    expect(liftedBefore(go({ q: text('crab') }), 'q')).toBeNull();
    const early = withLifted(go({}), 'q', '1');
    expect(liftedBefore({ ...early, answers: { q: text('crab') } }, 'q')?.is).toBe('before an answer');
    const after = withLifted(go({ q: text('crb') }), 'q', '1');
    expect(liftedBefore(after, 'q')?.is).toBe('as before');
    expect(liftedBefore({ ...after, answers: { q: text('crab') } }, 'q')).toEqual({
      at: '1',
      was: text('crb'),
      is: 'changed after',
    });
  });

  it('is told once: lifting it again changes nothing', () => {
    const once = withLifted(go({ q: text('crb') }), 'q', '1');
    expect(withLifted({ ...once, answers: { q: text('crab') } }, 'q', '2').lifted).toEqual(once.lifted);
  });

  it('at two desks: the first time counts, whichever way they meet', () => {
    const lifted = fc.dictionary(
      fc.constantFrom('p', 'q'),
      fc.record({ at: fc.constantFrom('1', '2'), answer: fc.constantFrom(text('a'), text('b')) }),
    );
    fc.assert(
      fc.property(lifted, lifted, (a, b) => {
        const both = joinedLifted(a, b);
        expect(joinedLifted(b, a)).toEqual(both);
        for (const item of new Set([...Object.keys(a), ...Object.keys(b)]))
          expect(both[item]?.at).toBe([a[item]?.at, b[item]?.at].filter(Boolean).sort()[0]);
      }),
    );
  });
});
