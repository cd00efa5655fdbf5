import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Content } from '../activity/activity';
import { chainOf, type Family, versionOf } from '../activity/family';
import { CannotRecord } from '../adjust/cannot-record';
import { withoutAdjustment } from '../adjust/without';
import { compareVersions } from '../derive/compare';
import { derive } from '../derive/derive';
import { classify } from '../verdict/classify';
import { RULE_NAMES, ruleKinds } from '../recipe/rules';
import { type Recipe, readRecipe, runRecipe, writeRecipe } from '../recipe/recipe';
import { familyOf, inPlace, masters, stamp, type Step, steps, withVersions } from '../testing/random-family';
import { pendingUpkeep } from '../upkeep/resolve';
import { waits } from '../upkeep/upkeep';
import { madeOn, masterFrom, possibleBases, rebase, withoutVersion } from './chain';
import { assertLaw, runs, SAYS_NOTHING } from '../testing/laws';

const settler = { at: '2026-09-03T08:00:00.000Z', by: 'T' };
const grown = fc
  .tuple(masters, fc.array(fc.nat(5), { minLength: 2, maxLength: 5 }), steps(14))
  // Parents first: what is done to a parent later is upkeep for its children, which is another matter.
  .map(([m, bases, done]: [Content, number[], Step[]]) =>
    [...done]
      .sort((a, b) => (a.on % bases.length) - (b.on % bases.length))
      .reduce(inPlace, withVersions(familyOf(m), bases)),
  );
const shown = (f: Family, id: string | null) => derive(f, id).content;

describe('any two versions compared', () => {
  it('name every page and block of both sides once, and what differs by what made it differ', () => {
    fc.assert(
      fc.property(grown, fc.nat(9), fc.nat(9), (family, l, r) => {
        const ids = [null, ...family.versions.map((v) => v.id)];
        const [left, right] = [ids[l % ids.length] ?? null, ids[r % ids.length] ?? null];
        const rows = compareVersions(family, left, right).flatMap((p) => p.rows);
        const of = (id: string | null) => shown(family, id).pages.flatMap((p) => p.blocks);
        expect(rows.filter((x) => x.left).length).toBe(of(left).length);
        expect(rows.filter((x) => x.right).length).toBe(of(right).length);
        expect(new Set(rows.map((x) => x.id)).size).toBe(rows.length);
        for (const row of rows) {
          if (row.how === 'same') expect(row.left).toBe(row.right);
          if (row.how === 'changed' || row.how === 'added') expect(row.adjustments.length).toBeGreaterThan(0);
        }
        if (left === right) expect(rows.every((x) => x.how === 'same')).toBe(true);
      }),
      runs(200),
    );
  });
});

describe('chains', () => {
  it('a version moved back and forth shows what it showed, where nothing had to be decided', () => {
    assertLaw(
      fc.tuple(grown, fc.nat(9), fc.nat(9)),
      ([family, which, where]) => {
        const version = family.versions[which % family.versions.length];
        if (!version) return SAYS_NOTHING;
        const bases = possibleBases(family, version.id);
        const basis = bases[where % bases.length] ?? null;
        const there = rebase(family, version.id, basis, settler);
        expect(versionOf(there.family, version.id)?.basis).toBe(basis);
        // Nothing is dropped on the way: what is not carried still stands in the list, or says the same as the basis.
        const kept = new Set(versionOf(there.family, version.id)?.adjustments.map((a) => a.id));
        for (const e of there.entries) if (waits(e)) expect(kept).toContain(e.adjustmentId);
        if (there.entries.length) return SAYS_NOTHING;
        const back = rebase(there.family, version.id, version.basis, settler);
        expect(shown(back.family, version.id)).toEqual(shown(family, version.id));
        return undefined;
      },
      { usual: 200, least: 0.2 },
    );
  });

  it('never run in a circle, whatever is tried', () => {
    fc.assert(
      fc.property(grown, fc.nat(9), fc.nat(9), (family, which, where) => {
        const version = family.versions[which % family.versions.length];
        const basis = family.versions[where % family.versions.length];
        if (!version || !basis) return;
        const own = basis === version || madeOn(family, version.id).includes(basis);
        if (own) expect(() => rebase(family, version.id, basis.id, settler)).toThrow(CannotRecord);
        else
          expect(chainOf(rebase(family, version.id, basis.id, settler).family, version.id).at(-1)?.id).toBe(version.id);
      }),
    );
  });

  it('heirs that take a removed basis over show what they showed', () => {
    fc.assert(
      fc.property(grown, fc.nat(9), (family, which) => {
        const gone = family.versions[which % family.versions.length];
        if (!gone) return;
        const left = withoutVersion(family, gone.id, 'take-over', settler);
        expect(left.versions.map((v) => v.id)).toEqual(family.versions.map((v) => v.id).filter((id) => id !== gone.id));
        for (const v of left.versions) expect(shown(left, v.id)).toEqual(shown(family, v.id));
      }),
      runs(200),
    );
  });

  it('heirs that go too leave nobody without a basis', () => {
    fc.assert(
      fc.property(grown, fc.nat(9), (family, which) => {
        const gone = family.versions[which % family.versions.length];
        if (!gone) return;
        const left = withoutVersion(family, gone.id, 'go-too', settler);
        for (const v of left.versions) if (v.basis !== null) expect(versionOf(left, v.basis)).toBeDefined();
        expect(left.versions.length).toBe(family.versions.length - 1 - madeOn(family, gone.id).length);
      }),
    );
  });

  it('a version as a master shows what the version showed, and derives to itself', () => {
    fc.assert(
      fc.property(grown, fc.nat(9), (family, which) => {
        const version = family.versions[which % family.versions.length];
        if (!version) return;
        const own = masterFrom(family, version.id, { id: 'own', at: '', author: 'T', title: 'Own' });
        const words = (c: Content) =>
          c.pages.map((p) => [p.title, ...p.blocks.map(({ source: _, ...b }) => JSON.stringify(b))]);
        expect(words(shown(own, null))).toEqual(words(shown(family, version.id)));
        expect(pendingUpkeep(own).entries).toEqual([]);
      }),
    );
  });
});

describe('taking an adjustment away', () => {
  it('leaves no other that stands on what it added', () => {
    assertLaw(
      fc.tuple(grown, fc.nat(9), fc.nat(20)),
      ([family, which, at]) => {
        const version = family.versions[which % family.versions.length];
        const a = version?.adjustments[at % Math.max(1, version.adjustments.length)];
        if (!version || !a) return SAYS_NOTHING;
        const less = withoutAdjustment(family, version, a.id);
        const now = { ...family, versions: family.versions.map((v) => (v === version ? less : v)) };
        const before = derive(family, version.id).reports.filter((r) => r.status === 'skipped').length;
        const after = derive(now, version.id).reports.filter((r) => r.status === 'skipped').length;
        expect(after).toBeLessThanOrEqual(before);
        return undefined;
      },
      { usual: 200, least: 0.3 },
    );
  });
});

describe('a verdict', () => {
  it('is given for every adjustment and the whole, with a reason each', () => {
    fc.assert(
      fc.property(grown, (family) => {
        for (const v of family.versions) {
          const result = classify(family, v.id);
          for (const a of chainOf(family, v.id).flatMap((x) => x.adjustments)) {
            const verdict = result.adjustments.get(a.id);
            if (verdict) expect(verdict.why).toMatch(/\.$/);
            // Who is asked is asked something.
            expect(verdict?.question !== undefined).toBe(verdict?.judgement === 'to judge');
          }
          expect(['same', 'accommodation', 'modification', 'addition', 'to judge']).toContain(result.judgement);
        }
      }),
    );
  });
});

describe('any recipe on any version', () => {
  const recipes: fc.Arbitrary<Recipe> = fc
    .uniqueArray(fc.constantFrom(...RULE_NAMES), { minLength: 1, maxLength: 6 })
    .map((names) => ({ id: 'r', name: 'R', purpose: '', rules: names.map((n) => ruleKinds[n].fresh) }) as Recipe);

  it('fits, keeps what was there, and has nothing to do a second time', () => {
    fc.assert(
      fc.property(grown, fc.nat(9), recipes, (family, which, recipe) => {
        const version = family.versions[which % family.versions.length];
        if (!version) return;
        const { version: done, outcomes } = runRecipe(family, version.id, recipe, stamp);
        expect(outcomes.map((o) => o.rule)).toEqual(recipe.rules);
        const now = { ...family, versions: family.versions.map((v) => (v === version ? done : v)) };
        const skipped = (f: Family) =>
          derive(f, version.id).reports.filter((r) => r.versionId === version.id && r.status === 'skipped').length;
        expect(skipped(now)).toBeLessThanOrEqual(skipped(family));
        expect(pendingUpkeep(now).entries.filter((e) => waits(e) && e.versionId === version.id)).toEqual(
          pendingUpkeep(family).entries.filter((e) => waits(e) && e.versionId === version.id),
        );
        const again = runRecipe(now, version.id, recipe, stamp);
        expect(again.outcomes.flatMap((o) => o.drafts)).toEqual([]);
      }),
      runs(150),
    );
  });

  it('goes out as a file and comes in again as it was', () => {
    fc.assert(
      fc.property(recipes, (recipe) => {
        expect(readRecipe(writeRecipe(recipe), () => 'new')).toEqual({ ...recipe, id: 'new' });
      }),
    );
  });
});
