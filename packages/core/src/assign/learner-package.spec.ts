import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type Content, itemsOf } from '../activity/activity';
import { type Block, isItem } from '../activity/blocks';
import { type Family, latest } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { familyOf, inPlace, masters, steps, withVersions } from '../testing/random-family';
import { freeze } from './held/freeze';
import { giveOut } from './give-out';
import { frozenFor, type HandOut } from './hand-out';
import { learnerPackage, learnerPackageSchema } from './learner-package';
import { NOW, w, people, pool, survey } from '../testing/demo-plan';

describe('learnerPackage', () => {
  const SECRET = 'zqxsecret';

  /** The content with the marker wherever a learner may not look. */
  function marked(content: Content): Content {
    return {
      ...content,
      objectives: content.objectives.map((o) => ({ ...o, text: SECRET })),
      pages: content.pages.map((p) => ({
        ...p,
        blocks: p.blocks.flatMap((b): Block[] => {
          if (b.kind === 'teacher-note') return [{ ...b, text: SECRET }];
          if (b.kind === 'short-text') return [{ ...b, key: [SECRET], note: SECRET }];
          if (b.kind === 'long-text') return [{ ...b, key: SECRET, note: SECRET }];
          if ('prompt' in b) return [{ ...b, note: SECRET }];
          return [b, { ...b, id: `${b.id}-t`, audience: 'teacher', text: SECRET } as Block];
        }),
      })),
    };
  }

  it('holds no key, note, level name, reason or other learner, for any block and adjustment', () => {
    const plan = { id: 'h', title: 'Title', note: '', way: 'one-each' as const, dueAt: null };
    fc.assert(
      fc.property(masters, fc.array(fc.nat(3), { minLength: 1, maxLength: 3 }), steps(10), (m, bases, done) => {
        let family = withVersions(familyOf(marked(m)), bases);
        family = // A bank and a flap hold the key because the teacher puts it there.
          done.filter((s) => s.what !== 5 && s.what !== 13).reduce(inPlace, family);
        family = {
          ...family,
          versions: family.versions.map((v) => ({
            ...v,
            name: SECRET,
            purpose: SECRET,
            learnerId: SECRET,
            adjustments: v.adjustments.map((a) => ({ ...a, name: SECRET, reason: { text: SECRET }, author: SECRET })),
          })),
        };
        for (const v of family.versions) {
          const given = learnerPackage(plan, freeze(family, v.id, NOW));
          expect(learnerPackageSchema.parse(given)).toEqual(given);
          expect(JSON.stringify(given)).not.toContain(SECRET);
          for (const i of itemsOf(latest(family).content))
            if (i.kind === 'number') expect(JSON.stringify(given)).not.toContain(`"key"`);
        }
      }),
    );
  });

  it('gives two learners of one version one activity, and what is their own beside it', () => {
    const { handOut, frozen: all } = giveOut(survey, pool, people, NOW);
    expect(all).toHaveLength(4);
    expect(handOut.given['l-brannoc']?.frozen).toBe(handOut.given['l-ysolde']?.frozen);
    const byId = Object.fromEntries(all.map((f) => [f.id, f]));
    const words = (id: string) => JSON.stringify(frozenFor(handOut, byId, id)?.content);
    // The two have one activity, with each one's own name in it.
    expect(words('l-brannoc')).toContain('Brannoc, choose');
    expect(words('l-ysolde')).toContain('Ysolde, choose');
    expect(JSON.stringify(all)).not.toMatch(/(Ysolde|Brannoc), choose/);
    const bus = w.handOuts['h-bus'] as HandOut;
    const plain = giveOut(
      { ...bus, lines: bus.lines.map((l) => ({ ...l, versionId: null })) },
      w.families['puncture'] as Family,
      people,
      NOW,
    );
    expect(plain.frozen).toHaveLength(1);
  });

  it('is frozen: a later revision of the master does not reach it', () => {
    const given = w.handOuts['h-survey'] as HandOut;
    const frozen = Object.values(given.given).map((g) => w.frozen[g.frozen]);
    const words = JSON.stringify(frozen);
    expect(latest(pool).n).toBe(3);
    expect(frozen.every((f) => f?.revision === 2)).toBe(true);
    expect(words).not.toContain('left behind there');
  });
});

describe('the package of a packet with every kind of block', () => {
  const MARK = 'Xyzzy-marker';
  const market = demoWorkspace(Date.UTC(2026, 10, 24)).families['market'] as Family;
  const marked = (b: Block): Block => {
    const noted = isItem(b) ? ({ ...b, note: MARK } as Block) : b;
    switch (noted.kind) {
      case 'gaps':
        return {
          ...noted,
          mode: 'typed',
          extra: [MARK],
          gaps: noted.gaps.map((g) => ({ ...g, key: [MARK], others: [MARK] })),
        };
      case 'table-fill':
        return {
          ...noted,
          rows: noted.rows.map((r) => ({
            ...r,
            cells: r.cells.map((c) => (c.blank ? { ...c, text: MARK, key: [MARK] } : c)),
          })),
        };
      case 'spots':
        return { ...noted, targets: noted.targets.map((t) => ({ ...t, text: MARK })) };
      case 'paper':
        return { ...noted, key: MARK };
      default:
        return noted;
    }
  };

  it('holds no key, note, source, teacher’s block or page', () => {
    const { content } = latest(market);
    const source = { familyId: 'f', revision: 1, id: 'x', title: MARK };
    const pages = content.pages.map((p) => ({
      ...p,
      source,
      blocks: [
        ...p.blocks.map((b) => ({ ...marked(b), source }) as Block),
        { id: `${p.id}-n`, kind: 'teacher-note' as const, audience: 'teacher' as const, text: MARK },
      ],
    }));
    const keyPage = { id: 'k', title: MARK, orientation: 'portrait' as const, audience: 'key' as const, blocks: [] };
    const frozen = { ...freeze(market, null, '2026-11-24'), content: { ...content, pages: [...pages, keyPage] } };
    const given = learnerPackage({ id: 'h', title: 'T', note: '', way: 'one-each', dueAt: null }, frozen);
    expect(learnerPackageSchema.parse(given)).toEqual(given);
    expect(given.pages).toHaveLength(6);
    expect(JSON.stringify(given)).not.toContain(MARK);
    // What it shows it also brings, and nothing else.
    expect([...given.assetIds].sort()).toEqual(
      [...new Set(JSON.stringify(given.pages).match(/sha256-[0-9a-f]+/g))].sort(),
    );
  });
});
