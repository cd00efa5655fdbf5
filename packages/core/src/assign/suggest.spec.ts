import { describe, expect, it } from '@jest/globals';
import { suggest } from './suggest';
import { agreed } from '../learners/supports';
import { people, pool } from '../testing/demo-plan';

describe('suggest', () => {
  const by = new Map(suggest(pool, people.learners).map((s) => [s.learnerId, s]));

  it('names what the nearest version lacks where none fits, and has no opinion without a card', () => {
    expect(by.get('l-oriel')).toMatchObject({ fit: 'none fits', versionId: 'rp-oriel' });
    expect(by.get('l-oriel')?.reasons[0]).toBe('made for this learner');
    expect(by.get('l-oriel')?.lacks.join()).toContain('two or three choices (2 of 3)');
    expect(by.get('l-ysolde')).toMatchObject({ fit: 'none fits', versionId: 'rp-sup', missing: ['hints'] });
    expect(by.get('l-corin')).toMatchObject({ fit: 'no opinion', versionId: undefined });
    // Nobody is given what was made for somebody else.
    expect([...by.values()].filter((s) => s.versionId === 'rp-oriel')).toHaveLength(1);
  });

  it('a support that is agreed comes before reading, and reading before all else', () => {
    const learner = people.learners.find((l) => l.id === 'l-wilmot');
    if (!learner) throw new Error('the demo changed');
    const card = (needs: object) => ({ ...learner, needs: { ...learner.needs, ...needs } });
    const best = (needs: object) => suggest(pool, [card(needs)])[0];
    expect(best({ supports: [agreed('word bank')] })).toMatchObject({ fit: 'fits', versionId: 'rp-sup' });
    expect(best({ supports: [agreed('word bank')], wantsMore: true })?.versionId).toBe('rp-sup');
    expect(best({ levels: [], wantsMore: true })).toMatchObject({ fit: 'fits', versionId: 'rp-ext' });
  });
});
