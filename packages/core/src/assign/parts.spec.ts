import { describe, expect, it } from '@jest/globals';
import { codes, people, pool, survey } from '../testing/demo-plan';
import { freeze } from './held/freeze';
import { giveOut } from './give-out';
import { type FrozenById, frozenFor } from './hand-out';
import { preparedFor } from './after/another';

const AT = '2026-11-24T08:00:00.000Z';
const part = (pageId: string, versionId: string | null) => ({ pageId, versionId });
const parts = [part('rp-p2', 'rp-sup')];
const alone = { ...survey, classIds: [], groupIds: [], learnerIds: ['l-jory'] };
const plan = { ...alone, lines: [{ learnerId: 'l-jory', versionId: 'rp-core', parts }] };

describe('different versions in different parts', () => {
  const mixed = freeze(pool, 'rp-core', AT, parts);
  const [core, sup] = [freeze(pool, 'rp-core', AT), freeze(pool, 'rp-sup', AT)];
  const page = (f: typeof core, id: string) => f.content.pages.find((p) => p.id === id);

  it('each page is of its version, in the master’s order, with the way back of that version', () => {
    expect(mixed.content.pages.map((p) => p.id)).toEqual(core.content.pages.map((p) => p.id));
    expect(page(mixed, 'rp-p2')).toEqual(page(sup, 'rp-p2'));
    expect(page(mixed, 'rp-p1')).toEqual(page(core, 'rp-p1'));
    const steps = Object.values(mixed.lineage).flat();
    expect(new Set(steps.map((s) => s.versionName))).toEqual(new Set(['Core', 'Supported']));
    expect(new Set([mixed.id, core.id, sup.id]).size).toBe(3);
  });

  it('is what the learner gets, with their own words in both parts', () => {
    const out = giveOut(plan, pool, people, AT);
    const known: FrozenById = Object.fromEntries(out.frozen.map((f) => [f.id, f]));
    const got = frozenFor(out.handOut, known, 'l-jory');
    expect(got?.parts).toEqual(parts);
    expect(JSON.stringify(got?.content)).not.toContain('[name]');
    // A correction keeps the parts as they are.
    expect(preparedFor(out.handOut, pool, people, known, {}, { keys: ['l-jory'], versionId: undefined }, AT)).toEqual(
      [],
    );
    const other = preparedFor(out.handOut, pool, people, known, {}, { keys: ['l-jory'], versionId: 'rp-core' }, AT);
    expect(other).toHaveLength(1);
  });

  it('of a version that was removed or is another learner’s is stopped, and of one that is behind is said', () => {
    const withPart = (versionId: string) => ({
      ...alone,
      lines: [{ learnerId: 'l-jory', versionId: 'rp-core', parts: [part('rp-p2', versionId)] }],
    });
    expect(codes(withPart('no-such'))).toContain('outside');
    expect(codes(withPart('rp-oriel'))).toContain('for-another');
    expect(codes(withPart('rp-sup')).filter((c) => c === 'behind').length).toBeGreaterThan(0);
  });

  it('a page that the other version leaves out is left out', () => {
    const without = {
      ...pool,
      versions: pool.versions.map((v) =>
        v.id === 'rp-sup'
          ? {
              ...v,
              adjustments: [
                {
                  id: 'x',
                  author: '',
                  at: AT,
                  kind: 'leave-out' as const,
                  target: 'rp-p2',
                  what: 'page' as const,
                  was: '',
                },
              ],
            }
          : v,
      ),
    };
    const ids = freeze(without, 'rp-core', AT, parts).content.pages.map((p) => p.id);
    expect([ids.includes('rp-p1'), ids.includes('rp-p2')]).toEqual([true, false]);
  });
});
