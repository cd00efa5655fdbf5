import { describe, expect, it } from '@jest/globals';
import { suggest } from './suggest';
import { people, pool } from '../testing/demo-plan';

describe('suggest', () => {
  it('follows the needs cards, and says why', () => {
    const by = new Map(suggest(pool, people.learners).map((s) => [s.learnerId, s]));
    expect(by.get('l-oriel')).toMatchObject({ versionId: 'rp-oriel' });
    expect(by.get('l-oriel')?.reasons[0]).toBe('made for this learner');
    expect(by.get('l-brannoc')).toMatchObject({ versionId: 'rp-sup' });
    expect(by.get('l-brannoc')?.reasons[0]).toContain('word bank');
    expect(by.get('l-perran')).toMatchObject({ versionId: 'rp-ext' });
    // Nobody is given what was made for somebody else.
    expect([...by.values()].filter((s) => s.versionId === 'rp-oriel')).toHaveLength(1);
  });
});
