import { describe, expect, it } from '@jest/globals';
import { type Content, findBlock } from '../activity/activity';
import { wordsOf, withWords } from '../activity/blocks';
import { type Family, latest, versionOf } from '../activity/family';
import { type Adjustment, adjustmentKinds, adjustmentSchema, kindOfAdjustment } from '../adjust/registry';
import { withoutAdjustment } from '../adjust/without';
import { classify } from '../verdict/classify';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { pendingUpkeep, resolveUpkeep, saveRevision } from './resolve';
import { waits } from './upkeep';

const demo = demoWorkspace(Date.UTC(2026, 10, 24)).families;
const settler = { at: '2026-11-25T08:00:00.000Z', by: 'T' };

interface Case {
  readonly name: string;
  readonly family: Family;
  readonly versionId: string;
  readonly a: Adjustment;
}
/** Every adjustment of the demo: all kinds there are, as a teacher uses them. The pool waits for a decision already. */
const CASES: readonly Case[] = Object.values(demo).flatMap((family) =>
  family.versions.flatMap((v) =>
    v.adjustments.map((a) => ({ name: `${a.kind} in ${v.name} (${a.id})`, family, versionId: v.id, a })),
  ),
);
const SETTLED = CASES.filter((c) => pendingUpkeep(c.family).entries.length === 0);

const withVersion = (
  family: Family,
  versionId: string,
  change: (a: readonly Adjustment[]) => readonly Adjustment[],
) => ({
  ...family,
  versions: family.versions.map((v) => (v.id === versionId ? { ...v, adjustments: [...change(v.adjustments)] } : v)),
});

/** The master's ids an adjustment speaks of: what it changes, and where it stands. */
function anchors(c: Case): string[] {
  const content = latest(c.family).content;
  const ids = [...kindOfAdjustment(c.a).targets(c.a), 'page' in c.a ? c.a.page : '', 'after' in c.a ? c.a.after : ''];
  return ids.filter(
    (id): id is string =>
      typeof id === 'string' && (content.pages.some((p) => p.id === id) || !!findBlock(content, id)),
  );
}

const withoutIds = (content: Content, ids: readonly string[]): Content => ({
  ...content,
  pages: content.pages
    .filter((p) => !ids.includes(p.id))
    .map((p) => ({ ...p, blocks: p.blocks.filter((b) => !ids.includes(b.id)) })),
});

describe('the demo', () => {
  it('uses every kind of adjustment there is', () => {
    expect([...new Set(CASES.map((c) => c.a.kind))].sort()).toEqual(Object.keys(adjustmentKinds).sort());
  });
  it('has nothing in it that does not fit', () => {
    for (const f of Object.values(demo))
      for (const v of f.versions) expect(derive(f, v.id).reports.filter((r) => r.status === 'skipped')).toEqual([]);
  });
});

describe.each(CASES)('$name', (c) => {
  const basis = derive(c.family, versionOf(c.family, c.versionId)?.basis ?? null).content;

  it('comes back from a file as it went out', () => {
    expect(adjustmentSchema.parse(JSON.parse(JSON.stringify(c.a)))).toEqual(c.a);
  });
  it('is said in a sentence without ids', () => {
    const sentence = kindOfAdjustment(c.a).describe(c.a, basis);
    expect(sentence).toMatch(/^\S.*[.”]$/s);
    for (const id of anchors(c)) expect(sentence).not.toContain(id);
  });
  it('has a verdict with its why', () => {
    const verdict = classify(c.family, c.versionId).adjustments.get(c.a.id);
    expect(['accommodation', 'modification', 'addition', 'to judge']).toContain(verdict?.judgement);
    expect(verdict?.why).toMatch(/\.$/);
  });
  it('switched off is as if it were not there', () => {
    const off = withVersion(c.family, c.versionId, (all) => all.map((a) => (a === c.a ? { ...a, off: true } : a)));
    const gone = withVersion(c.family, c.versionId, (all) => all.filter((a) => a !== c.a));
    const learner = { name: 'Ansel', interest: 'boats', interests: 'boats', class: 'Heron' };
    expect(derive(off, c.versionId, { learner }).content).toEqual(derive(gone, c.versionId, { learner }).content);
    expect(derive(off, c.versionId, { learner }).reports.find((r) => r.adjustmentId === c.a.id)?.status).toBe('off');
  });
  it('taken away leaves nothing of it and no other without its place', () => {
    const version = versionOf(c.family, c.versionId);
    if (!version) throw new Error('no version');
    const left = withoutAdjustment(c.family, version, c.a.id);
    const family = { ...c.family, versions: c.family.versions.map((v) => (v === version ? left : v)) };
    const before = new Set(derive(c.family, c.versionId).reports.filter((r) => r.status === 'skipped'));
    expect(derive(family, c.versionId).reports.filter((r) => r.status === 'skipped').length).toBe(before.size);
    expect(left.adjustments.some((a) => a.id === c.a.id)).toBe(false);
  });
});

describe.each(SETTLED)('upkeep of $name', (c) => {
  it('asks nothing when the master changes elsewhere', () => {
    const mine = new Set(anchors(c));
    const content = latest(c.family).content;
    // A teacher's note is nobody's anchor but its own.
    const note = content.pages.flatMap((p) => p.blocks).find((b) => b.kind === 'teacher-note' && !mine.has(b.id));
    if (!note) return;
    const words = wordsOf(note)[0]?.field ?? 'text';
    const next: Content = {
      ...content,
      pages: content.pages.map((p) => ({
        ...p,
        blocks: p.blocks.map((b) => (b === note ? withWords(b, words, 'Other words for the teacher.') : b)),
      })),
    };
    const { report } = saveRevision(c.family, next, '', settler);
    expect(report.entries.filter((e) => e.adjustmentId === c.a.id && waits(e))).toEqual([]);
  });

  it('says so when what it speaks of is gone, and every answer settles it', () => {
    const gone = anchors(c);
    const content = withoutIds(latest(c.family).content, gone);
    if (gone.length === 0 || content.pages.length === 0) return;
    const { family } = saveRevision(c.family, content, '', settler);
    const asked = pendingUpkeep(family).entries.filter((e) => e.adjustmentId === c.a.id && waits(e));
    const still = versionOf(family, c.versionId)?.adjustments.find((a) => a.id === c.a.id);
    // Either it asks, or it was carried: never is it passed over in silence while it speaks of what is gone.
    if (asked.length === 0) {
      const skipped = derive(family, c.versionId).reports.filter(
        (r) => r.adjustmentId === c.a.id && r.status === 'skipped',
      );
      expect(skipped).toEqual([]);
      return;
    }
    expect(still).toBeDefined();
    for (const e of asked)
      for (const choice of e.choices) {
        let now = family;
        // A new place can ask a question of its own: of the words of the page it went to.
        for (let i = 0; i < 3; i++) {
          const [next] = pendingUpkeep(now).entries.filter((x) => x.adjustmentId === e.adjustmentId && waits(x));
          if (!next) break;
          const known = next.choices.find((x) => x.choice === choice.choice) ?? next.choices[0];
          if (!known) throw new Error('a question without an answer');
          now = resolveUpkeep(now, [{ ...next, choice: known.choice }], settler);
        }
        expect(
          pendingUpkeep(now).entries.filter((x) => x.versionId === e.versionId && x.adjustmentId === e.adjustmentId),
        ).toEqual([]);
        expect(versionOf(now, c.versionId)?.upkeepLog.at(-1)).toMatchObject({ by: 'T' });
        expect(derive(now, c.versionId).reports.filter((r) => r.adjustmentId === e.adjustmentId)).not.toContainEqual(
          expect.objectContaining({ status: 'skipped' }),
        );
      }
  });
});
