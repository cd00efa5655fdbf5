import { describe, expect, it } from '@jest/globals';
import { demoWorkspace } from '../demo/index';
import type { HandOut } from '../assign/hand-out';
import { copyIdOf } from '../work/copy';
import { fingerprint } from '../activity/fingerprint';
import { evidenceIn } from '../testing/evidence-of';
import { evidenceSchema } from './evidence';
import { noteKey, pieceKey, withFolder } from './folder';
import { reachedIn } from './gather';
import { unnaming, withoutNames } from './without-names';

const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const of = (learnerId: string, more: Parameters<typeof evidenceIn>[2] = {}) => evidenceIn(w, learnerId, more);

describe('evidence of a learner', () => {
  const oriel = of('l-oriel');
  const survey = oriel.works.find((x) => x.handOutId === 'h-survey');
  const adjusted = (kind: RegExp) => survey?.adjustments.find((a) => kind.test(a.sentence));

  it('names each adjustment that reached them with its category, its judgement and why, its reason, goal, author and day', () => {
    expect(survey).toMatchObject({ versionName: 'Supported, Oriel', countsAs: 'modification' });
    const out = survey?.adjustments.find((a) => a.reason === 'The page ends where the hour does');
    expect(out).toMatchObject({
      category: 'content',
      countsAs: 'modification',
      why: expect.stringContaining('“'),
      goal: { id: 'g-oriel', text: 'Finishes one page without a break' },
      author: expect.stringMatching(/./),
      at: expect.stringMatching(/^2026-/),
      overruled: null,
    });
  });

  it('has what was in force and reached the sheet: not what was off, nor what another left out again', () => {
    const record = Object.values(w.frozen).find((f) => f.id === survey?.sheet)?.record?.adjustments ?? [];
    const applied = record.filter((d) => d.status === 'applied');
    // The rewording of question 10 is on a question that this learner's own version leaves out.
    const gone = applied.find((d) => d.sentence.includes('How does its body help it?'));
    expect(gone?.versionName).toBe('Supported');
    expect(survey?.adjustments.map((a) => a.adjustmentId)).toEqual(
      applied.map((d) => d.adjustmentId).filter((id) => id !== gone?.adjustmentId),
    );
  });

  it('shows the master’s form beside the learner’s, of that revision, and what is not on the sheet in its place', () => {
    const changed = survey?.sides.find((s) => s.how === 'changed' && s.blockId === 'rp-q2');
    const master = w.families['rock-pool']?.revisions.find((r) => r.n === survey?.revision)?.content;
    expect(changed?.master.split('\n')[0]).toBe(
      master?.pages.flatMap((p) => p.blocks).flatMap((b) => (b.id === 'rp-q2' && 'prompt' in b ? [b.prompt] : []))[0],
    );
    const ids = survey?.sides.map((s) => `${s.how} ${s.blockId}`) ?? [];
    expect(ids).toContain('left out rp-q10');
    expect(survey?.sides.find((s) => s.blockId === 'rp-q10')?.master).toContain('choose one animal');
    expect(survey?.sides.filter((s) => s.how === 'added').every((s) => s.master === '' && s.learner !== '')).toBe(true);
  });

  it('says what came of it: the answers, their marks, and the questions an adjustment speaks of', () => {
    // Oriel answered q4 and q5 with words of the bank; counted by hand from the demo's work.
    const bank = adjusted(/bank|words/i);
    expect(bank?.used).toMatch(/^\d of \d answers? (?:is|are) of its words$/);
    expect(bank?.result).not.toBeNull();
    const go = survey?.goes.at(-1);
    expect(go).toMatchObject({ n: 1, submittedAt: expect.stringMatching(/^2026-/) });
    const answered = survey?.sides.filter((s) => s.answer !== '') ?? [];
    expect(answered.length).toBeGreaterThan(0);
    expect(answered.every((s) => s.verdict !== '')).toBe(true);
  });

  it('holds agreed supports against what was given, and names the gaps', () => {
    const seen = oriel.supports.map((s) => s.what);
    expect(seen).toEqual(w.learners['l-oriel']?.needs.supports.map((s) => s.what));
    for (const s of oriel.supports.filter((x) => x.canTell))
      expect(s.given.length + s.lacking.length).toBeLessThanOrEqual(oriel.works.length);
    const none = of('l-oriel', {
      needs: {
        supports: [{ what: 'glossary', category: 'support', from: '', until: '', reviewOn: '', days: 0, note: '' }],
      },
    });
    expect(none.supports[0]?.lacking.map((l) => l.handOutId)).toContain('h-survey');
    // Agreed only later: nothing lacked then.
    const later = of('l-oriel', {
      needs: {
        supports: [
          { what: 'glossary', category: 'support', from: '2027-01-01', until: '', reviewOn: '', days: 0, note: '' },
        ],
      },
    });
    expect(later.supports[0]).toMatchObject({ given: [], lacking: [] });
    const beside = of('l-oriel', {
      needs: {
        supports: [
          { what: 'a quiet place', category: 'setting', from: '', until: '', reviewOn: '', days: 0, note: '' },
        ],
      },
    });
    expect(beside.supports[0]).toMatchObject({ canTell: false, given: [], lacking: [] });
  });

  it('is of its period: what was given or submitted on a day of it', () => {
    const h = w.handOuts['h-survey'] as HandOut;
    const copy = w.copies[copyIdOf('h-survey', 'l-oriel')];
    const dayOf = (iso: string) => iso.slice(0, 10);
    const day = dayOf(h.givenAt ?? '');
    const done = { copy, marking: undefined };
    expect(reachedIn(h, done, { from: day, until: day }, dayOf)).toBe(true);
    expect(reachedIn(h, done, { from: '', until: '2026-01-01' }, dayOf)).toBe(false);
    const submitted = dayOf(copy?.goes[0]?.submittedAt ?? '');
    expect(reachedIn({ givenAt: '2020-01-01T09:00:00Z' }, done, { from: submitted, until: '' }, dayOf)).toBe(true);
    expect(of('l-oriel', { period: { from: '', until: '2026-01-01' } }).works).toEqual([]);
  });

  it('stays as it was given when the master and the version change, and is what its schema says', () => {
    expect(evidenceSchema.parse(JSON.parse(JSON.stringify(oriel)))).toEqual(oriel);
    const family = w.families['rock-pool'];
    if (!family) throw new Error('no rock pool');
    const later = {
      ...w,
      families: {
        ...w.families,
        'rock-pool': { ...family, versions: family.versions.map((v) => ({ ...v, adjustments: [] })) },
      },
    };
    expect(fingerprint(evidenceIn(later, 'l-oriel'))).toBe(fingerprint(oriel));
  });

  it('goes on without the activity: then only the learner’s own form is known', () => {
    const gone = evidenceIn({ ...w, families: {} }, 'l-oriel').works.find((x) => x.handOutId === 'h-survey');
    expect(gone?.adjustments).toHaveLength(survey?.adjustments.length ?? -1);
    expect(gone?.sides.find((s) => s.blockId === 'rp-q10')?.master).toContain('choose one animal');
  });

  it('leaves out and adds what the teacher says, and keeps nothing of its own', () => {
    const [first] = survey?.adjustments ?? [];
    const folder = {
      id: 'l-oriel',
      leftOut: [pieceKey('h-survey', first?.adjustmentId), noteKey('n2')],
      stressed: [pieceKey('h-survey')],
      reviews: [],
      notes: [
        { id: 'n1', on: '2026-11-23', text: 'Worked to the end.' },
        { id: 'n2', on: '2026-11-23', text: 'Left out.' },
        { id: 'n3', on: '2020-01-01', text: 'Long ago.' },
      ],
    };
    const within = { ...oriel, period: { from: '2026-11-01', until: '2026-11-30' } };
    const shown = withFolder(within, folder);
    expect(shown.notes.map((n) => n.text)).toEqual(['Worked to the end.']);
    const work = shown.works.find((x) => x.handOutId === 'h-survey');
    expect(work?.adjustments.map((a) => a.adjustmentId)).not.toContain(first?.adjustmentId);
    expect(work?.adjustments).toHaveLength((survey?.adjustments.length ?? 0) - 1);
    expect(
      withFolder(within, { ...folder, leftOut: [pieceKey('h-survey')] }).works.map((x) => x.handOutId),
    ).not.toContain('h-survey');
  });
});

describe('without names', () => {
  const learners = Object.values(w.learners);
  const unnamed = unnaming(learners);

  it.each([
    ['Corin B. and CORIN and Corin’s book', 'l-corin'],
    ['C. B. said so, C.B. too, and CB', 'l-corin'],
    ['corin b. in small letters', 'l-corin'],
  ])('takes the whole name, its parts and its initials out of “%s”', (text, id) => {
    const corin = { id, name: 'Corin B.', chosenName: '' };
    expect(unnaming([corin])(id)(text)).not.toMatch(/corin|c\. ?b\.|\bcb\b/i);
  });

  it('leaves words alone that only hold a name', () => {
    const one = { id: 'x', name: 'Perran E', chosenName: 'Art' };
    expect(unnaming([one])('x')('The Artist starts; Perrans. Art paints.')).toBe(
      'The Artist starts; Perrans. the learner paints.',
    );
  });

  it('leaves no name of anybody in any evidence of the demo, nor an id that tells one', () => {
    for (const l of learners) {
      const text = JSON.stringify(withoutNames(of(l.id), unnamed(l.id)));
      expect(text).not.toContain('Penrose');
      for (const other of learners) {
        for (const part of [other.name, other.chosenName, ...other.name.split(' ')].filter((p) => p.length > 2))
          expect(text).not.toMatch(new RegExp(`\\b${part.replace('.', '\\.')}\\b`));
        expect(text).not.toContain(other.id);
      }
    }
  });
});
