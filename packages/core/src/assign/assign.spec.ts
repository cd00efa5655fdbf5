import { type Learner, personalValues } from '../learners/learner';
import { describe, expect, it } from '@jest/globals';
import { peopleIn } from '../learners/people';
import fc from 'fast-check';
import { type Content, itemsOf } from '../activity/activity';
import { type Block, isItem } from '../activity/blocks';
import { type Family, latest } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { familyOf, inPlace, masters, steps, withVersions } from '../testing/random-family';
import { bandsOf } from './recipients';
import { coverage, openFindings } from './check/coverage';
import { datesFor, NO_DAYS_OFF, noSchoolOn } from './dates';
import { linesNow, withRule } from './rules';
import { freeze, freezeFor } from './freeze';
import { giveLate, giveOut, joinedSince } from './give-out';
import { frozenFor, type HandOut } from './hand-out';
import { learnerPackage, learnerPackageSchema } from './learner-package';
import { suggest } from './suggest';

const NOW = '2026-11-24T09:00';
const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const people = peopleIn(w, '2026-11-24');
const pool = w.families['rock-pool'] as Family;
const survey = { ...(w.handOuts['h-survey'] as HandOut), state: 'draft' as const, opensAt: null, dueAt: null };
const codes = (h: HandOut, family = pool) => coverage(h, family, people, NOW).map((c) => c.code);

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

describe('coverage', () => {
  it('names who has none, who has two, overlaps, a version behind, dates the wrong way round', () => {
    expect(codes(survey)).toEqual(['behind', 'behind']);
    const without = coverage({ ...survey, lines: survey.lines.slice(2) }, pool, people, NOW).find(
      (c) => c.code === 'none',
    );
    expect(without).toMatchObject({ level: 'mend', learnerIds: ['l-brannoc', 'l-ysolde'] });
    const twice = { ...survey, lines: [...survey.lines, { learnerId: 'l-jory', versionId: 'rp-ext' }] };
    expect(coverage(twice, pool, people, NOW).find((c) => c.code === 'twice')?.detail).toContain('Core and Extended');
    expect(codes({ ...survey, opensAt: '2026-12-02T09:00', dueAt: '2026-12-01T09:00' })).toContain('due-before-open');
    expect(codes({ ...survey, opensAt: null, dueAt: '2026-11-01T09:00' })).toContain('due-past');
    expect(codes({ ...survey, way: 'to-read' })).toContain('to-read-with-items');
    expect(codes({ ...survey, lines: survey.lines.map((l) => ({ ...l, versionId: 'rp-core' })) })).toContain('unused');
    expect(codes({ ...survey, classIds: [] })).toContain('nobody');
    const overlap = {
      ...people,
      groups: people.groups.map((g) => (g.id === 'g-shanny' ? { ...g, learnerIds: [...g.learnerIds, 'l-corin'] } : g)),
    };
    const both = { ...survey, groupIds: ['g-limpets', 'g-shanny'] };
    expect(coverage(both, pool, overlap, NOW).find((c) => c.code === 'overlap')?.detail).toContain('Corin B.');
  });

  it('names a version that was removed, one without anything to see, and one that asks for nothing', () => {
    const removed = { ...pool, versions: pool.versions.filter((v) => v.id !== 'rp-ext') };
    expect(coverage(survey, removed, people, NOW).find((c) => c.code === 'outside')).toMatchObject({
      level: 'mend',
      learnerIds: ['l-perran', 'l-elowen', 'l-senara'],
    });
    const core = (blocks: (all: readonly Block[]) => readonly Block[]) => ({
      ...pool,
      versions: pool.versions.map((v) => ({ ...v, adjustments: [] })),
      revisions: pool.revisions.map((r) => ({
        ...r,
        content: { ...r.content, pages: r.content.pages.map((p) => ({ ...p, blocks: [...blocks(p.blocks)] })) },
      })),
    });
    const found = (family: typeof pool, code: string) =>
      coverage(survey, family, people, NOW).find((c) => c.code === code);
    expect(
      found(
        core((all) => all.filter((b) => b.audience === 'teacher')),
        'empty',
      ),
    ).toMatchObject({ level: 'mend' });
    expect(
      found(
        core((all) => all.filter((b) => !isItem(b))),
        'nothing-to-answer',
      ),
    ).toMatchObject({ level: 'confirm' });
    expect(
      found(
        core((all) => all),
        'nothing-to-answer',
      ),
    ).toBeUndefined();
  });

  it('finds a question that says its own answer', () => {
    const told = {
      ...pool,
      revisions: pool.revisions.map((r) => ({
        ...r,
        content: {
          ...r.content,
          pages: r.content.pages.map((p) => ({
            ...p,
            blocks: p.blocks.map((b) => (b.id === 'rp-q6' ? { ...b, prompt: 'Is the anemone an anemone?' } : b)),
          })),
        },
      })),
    };
    const said = coverage(survey, told, people, NOW).filter((c) => c.code === 'answers-shown');
    expect(said.length).toBeGreaterThan(0);
    expect(said[0]?.detail).toContain('Is the anemone an anemone?');
    expect(codes(survey)).not.toContain('answers-shown');
  });

  it('no sheet has an open personal field: on the master and in a version that does not speak of them too', () => {
    const noField = {
      ...pool,
      versions: pool.versions.map((v) =>
        v.id === 'rp-core' ? { ...v, adjustments: v.adjustments.filter((a) => a.kind !== 'personal-fields') } : v,
      ),
    };
    const jory = people.learners.find((l) => l.id === 'l-jory');
    if (!jory) throw new Error('the demo changed');
    const values = personalValues({ ...jory, chosenName: 'Jojo' }, undefined, NOW);
    for (const id of [null, 'rp-core']) {
      const words = JSON.stringify(freezeFor(noField, id, NOW, values).content);
      expect(words).not.toMatch(/\[(?:name|interest)\]/);
      expect(words).toContain('Jojo');
    }
    expect(coverage(survey, noField, people, NOW).filter((c) => c.code === 'unfilled' && c.level === 'mend')).toEqual(
      [],
    );
  });

  it('puts every learner of the audience under one heading', () => {
    const bands = bandsOf({ ...survey, groupIds: ['g-curlews'] }, people);
    const ids = bands.flatMap((b) => b.learners.map((l) => l.id));
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toHaveLength(18);
  });
});

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

describe('rules of a plan', () => {
  const blank = { ...survey, lines: [], groupIds: [], classIds: ['c-heron'] };
  const versionsOf = (h: HandOut, id: string, p = people) =>
    linesNow(h, p)
      .filter((l) => l.learnerId === id)
      .map((l) => l.versionId);
  const everyone = { id: 'r1', by: 'everyone', of: '', versionId: 'rp-core' } as const;
  const limpets = { id: 'r2', by: 'group', of: 'g-limpets', versionId: 'rp-sup' } as const;

  it('give to all; a group says more than everyone, and the teacher’s hand more than any rule', () => {
    const h = { ...blank, rules: [limpets, everyone], lines: [{ learnerId: 'l-oriel', versionId: 'rp-oriel' }] };
    expect(['l-jory', 'l-tamsin', 'l-oriel'].map((id) => versionsOf(h, id))).toEqual([
      ['rp-core'],
      ['rp-sup'],
      ['rp-oriel'],
    ]);
    expect(linesNow(h, people)).toHaveLength(14);
    expect(withRule(h.rules, { ...limpets, id: 'r3', versionId: null })).toHaveLength(2);
  });

  it('that disagree about somebody are named, not settled', () => {
    const other = { id: 'r4', by: 'audience', of: 'a-early', versionId: 'rp-ext' } as const;
    const h = { ...blank, rules: [everyone, limpets, other] };
    expect(versionsOf(h, 'l-tamsin')).toEqual(['rp-sup', 'rp-ext']);
    expect(codes(h)).toContain('twice');
  });

  it('hold for who joins later: in a draft at once, in what was given when the teacher says so', () => {
    const at = '2026-11-24T08:00:00.000Z';
    const h = { ...blank, rules: [everyone] };
    const heron = people.classes.map((c) =>
      c.id === 'c-heron' ? { ...c, learnerIds: [...c.learnerIds, 'l-talan'] } : c,
    );
    const later = { ...people, classes: heron };
    expect([versionsOf(h, 'l-talan'), versionsOf(h, 'l-talan', later)]).toEqual([[], ['rp-core']]);
    const given = giveOut(h, pool, people, at).handOut;
    expect(joinedSince(given, people)).toEqual([]);
    expect(joinedSince(given, later).map((l) => l.id)).toEqual(['l-talan']);
    const after = giveLate(given, pool, later, at);
    expect(after.handOut.given['l-talan']).toBeDefined();
    expect(after.handOut.given['l-jory']).toBe(given.given['l-jory']);
    expect(after.handOut.history.map((d) => d.says)).toEqual(['given to Talan E., who joined since']);
    expect(giveLate(after.handOut, pool, later, at).handOut.given).toEqual(after.handOut.given);
  });
});

describe('dates for one learner', () => {
  const dated = { ...survey, opensAt: '2026-11-24T09:00', dueAt: '2026-11-27T15:00', closesAt: '2026-11-27T16:00' };
  const days = { ...NO_DAYS_OFF, off: [{ from: '2026-11-30', until: '2026-11-30', name: 'harbour day' }] };
  const oriel = w.learners['l-oriel'] as Learner;
  const jory = w.learners['l-jory'] as Learner;

  it('are everybody’s, later by the extra time that is agreed, in days of school', () => {
    expect(datesFor(dated, jory)).toMatchObject({ dueAt: '2026-11-27T15:00', why: '' });
    // 27 November 2026 is a Friday; Monday is off.
    expect(datesFor(dated, oriel, days)).toEqual({
      opensAt: '2026-11-24T09:00',
      dueAt: '2026-12-01T15:00',
      closesAt: '2026-12-01T15:00',
      why: '1 day more, as agreed',
    });
  });
  it('are what was set for them by name, whatever was agreed', () => {
    const own = { ...dated, ownDates: { 'l-oriel': { dueAt: '2026-12-24T09:00' }, 'l-jory': { dueAt: null } } };
    expect(datesFor(own, oriel)).toMatchObject({
      dueAt: '2026-12-24T09:00',
      closesAt: '2026-12-24T09:00',
      why: 'set for them',
    });
    expect(datesFor(own, jory)).toMatchObject({ dueAt: null, closesAt: '2026-11-27T16:00' });
  });
  it.each([
    ['2026-11-28', 'a Saturday'],
    ['2026-11-30', 'harbour day'],
    ['2026-12-01', ''],
  ])('%s is %s', (day, why) => expect(noSchoolOn(day, days)).toBe(why));
});

describe('the check of dates, ways and companions', () => {
  const at = (patch: Partial<HandOut>, more = {}) =>
    coverage({ ...survey, ...patch }, pool, people, NOW, more).map((c) => c.code);
  it.each([
    [{ dueAt: '2026-11-29T09:00' }, 'day-off'],
    [{ opensAt: '2026-12-01T09:00', closesAt: '2026-11-30T09:00' }, 'closes-before-open'],
    [{ dueAt: '2026-12-02T09:00', closesAt: '2026-12-01T09:00' }, 'closes-before-due'],
    [{ dueAt: '2026-12-02T09:00', answersAt: '2026-12-01T09:00' }, 'answers-early'],
    [{ way: 'place-each' as const }, 'no-place'],
    [{ way: 'per-group' as const }, 'no-group'],
    [{ kind: 'notice' as const, familyId: '', note: '' }, 'nothing-in-it'],
    [{ companions: [{ id: 'c', is: 'link' as const, title: 'Tides', address: 'javascript:alert(1)' }] }, 'wrong-link'],
    [
      {
        companions: [1, 2].map((n) => ({
          id: `${n}`,
          is: 'link' as const,
          title: `T${n}`,
          address: 'https://tides.example/a',
        })),
      },
      'same-link',
    ],
  ])('%j is found: %s', (patch, code) => expect(at(patch)).toContain(code));

  it('two pieces of work of one name for one learner are not given', () => {
    const others = [{ id: 'other', title: 'rock-pool SURVEY ', learnerIds: ['l-jory'] }];
    expect(at({}, { others })).toContain('same-title');
    expect(at({}, { others: [{ ...others[0], learnerIds: ['l-talan'] }] })).not.toContain('same-title');
  });

  it('of groups names who is in none and who in two', () => {
    const team = (id: string, ...names: string[]) => ({
      id,
      name: id,
      learnerIds: names.map((n) => `l-${n}`),
      versionId: null,
    });
    const h = {
      ...survey,
      way: 'per-group' as const,
      classIds: [],
      groupIds: [],
      learnerIds: ['l-jory', 'l-kerra', 'l-oriel'],
    };
    const found = coverage({ ...h, teams: [team('A', 'jory'), team('B', 'jory', 'kerra')] }, pool, people, NOW);
    expect(found.filter((f) => f.level === 'mend').map((f) => f.title)).toEqual([
      'Oriel P. is in no group',
      'Jory S. is in two groups',
    ]);
  });

  it('a warning that the teacher gave a reason for is no open one; an error always is', () => {
    const found = coverage({ ...survey, dueAt: '2026-11-29T09:00', lines: [] }, pool, people, NOW);
    const key = found.find((f) => f.code === 'day-off')?.key ?? '';
    const open = openFindings(found, {
      confirmed: [
        { key, reason: 'it is a fair' },
        ...found.filter((f) => f.code === 'none').map((f) => ({ key: f.key, reason: 'x' })),
      ],
    });
    expect(open.map((f) => f.code)).toEqual(expect.arrayContaining(['none']));
    expect(open.map((f) => f.code)).not.toContain('day-off');
  });
});
