import { describe, expect, it } from '@jest/globals';
import { demoWorkspace } from '../../demo/index';
import { pieceKey, withFolder } from '../../evidence/folder';
import { unnaming, withoutNames } from '../../evidence/without-names';
import type { Evidence } from '../../evidence/evidence';
import { evidenceIn } from '../../testing/evidence-of';
import type { DocumentPart } from './document';
import { dossier, type DossierOptions } from './dossier';
import { evidenceCsv, evidenceLines } from './evidence-csv';
import { overview } from './overview';

const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const oriel = withFolder(evidenceIn(w, 'l-oriel'), w.folders['l-oriel']);
const options: DossierOptions = {
  privacy: 'full',
  home: 'en',
  day: (iso) => iso.slice(0, 10),
  tools: { aloud: 'read aloud' },
};
const all = (parts: readonly DocumentPart[]): string => JSON.stringify(parts);
const headings = (parts: readonly DocumentPart[]): string[] =>
  parts.flatMap((p) => (p.is === 'heading' ? [p.text] : []));
const factsOf = (parts: readonly DocumentPart[]): string[] =>
  parts.flatMap((p) => (p.is === 'facts' ? p.facts.map(([n]) => n) : []));

describe('evidence as a document', () => {
  it('names every adjustment with both forms, the supports with where they are, what was added, and who signs', () => {
    const { parts, title } = dossier(oriel, options);
    expect(title).toBe('What was adjusted for Oriel P.');
    for (const a of oriel.works.flatMap((x) => x.adjustments))
      expect(all(parts)).toContain(JSON.stringify(a.sentence).slice(1, -1));
    expect(parts.filter((p) => p.is === 'sides')).toHaveLength(oriel.works.flatMap((x) => x.sides).length);
    const index = parts.find((p) => p.is === 'index');
    const places = index?.is === 'index' ? index.entries.flatMap((e) => e.at.map((x) => x.anchor)) : [];
    // Each place of the index is one that there is.
    const anchors = parts.flatMap((p) => (p.is === 'heading' && p.anchor ? [p.anchor] : []));
    expect(places.length).toBeGreaterThan(0);
    expect(anchors).toEqual(expect.arrayContaining(places));
    expect(all(parts)).toContain('Stressed by the teacher.');
    expect(all(parts)).toContain('Stayed with the second page to its end');
    expect(headings(parts).at(-1)).toBe('Signatures');
  });

  it('says the teacher’s own judgement with what was computed, and a photograph by its words', () => {
    const [first] = oriel.works;
    const [a] = first?.adjustments ?? [];
    if (!first || !a) throw new Error('no adjustment');
    const overruled = {
      judgement: 'accommodation' as const,
      was: 'modification' as const,
      reason: 'Read aloud besides',
    };
    const e: Evidence = {
      ...oriel,
      works: [{ ...first, adjustments: [{ ...a, countsAs: 'accommodation', overruled }] }],
      notes: [{ id: 'n', on: '2026-11-20', text: 'At the window.', assetId: 'sha256-a', handOutId: '' }],
      reviews: [{ on: '2026-11-21', said: 'Goes on.', changes: ['“hints” ends.'] }],
    };
    const text = all(dossier(e, options).parts);
    expect(text).toContain('Accommodation, by the teacher’s judgement');
    expect(text).toContain('Modification: ');
    expect(text).toContain('Read aloud besides');
    expect(text).toContain('"assetId":"sha256-a","alt":"At the window."');
    expect(text).toContain('Review of 2026-11-21');
  });

  it('tells the family in plain words, with what they mean at home, and nothing of the trade', () => {
    const family = dossier(oriel, { ...options, privacy: 'family', home: 'es' });
    const text = all(family.parts);
    expect(family.title).toBe('How school helped Ori');
    for (const word of ['accommodation', 'modification', 'Computed', 'revision', oriel.works[0]?.sheet ?? '?'])
      expect(text.replace(/"heading".*?What the words mean.*/s, '')).not.toContain(word);
    expect(text).toContain('la misma meta, otro camino');
    expect(factsOf(family.parts)).toContain('What it means');
    expect(all(dossier(oriel, { ...options, privacy: 'family' }).parts)).not.toContain('otro camino');
  });

  it('says so where nothing was given, and where the work cannot tell', () => {
    const none = dossier({ ...oriel, works: [], notes: [], supports: [] }, options);
    expect(all(none.parts)).toContain('Nothing was given in this time.');
    expect(all(dossier(oriel, options).parts)).toContain('The work cannot tell whether it was given.');
  });

  it('puts a class on a page: each learner with what was adjusted, and what lacked', () => {
    const everybody = ['l-oriel', 'l-brannoc'].map((id) => evidenceIn(w, id));
    const { parts } = overview(everybody, { name: 'Heron class', options });
    const table = parts.find((p) => p.is === 'table' && p.says === 'Adjustments by learner');
    expect(table?.is === 'table' && table.rows.map((r) => r.slice(0, 3))).toEqual(
      everybody.map((e) => [e.learner.name, `${e.works.length}`, `${e.works.flatMap((x) => x.adjustments).length}`]),
    );
    expect(all(parts)).toContain('two or three choices');
  });

  it('holds no name where none is wanted', () => {
    const bare = withoutNames(oriel, unnaming(Object.values(w.learners))('l-oriel'));
    const text = all(dossier(bare, { ...options, privacy: 'without names' }).parts) + evidenceCsv(evidenceLines(bare));
    for (const name of ['Oriel', 'Ori', 'Penrose', 'Heron']) expect(text).not.toMatch(new RegExp(`\\b${name}\\b`));
  });
});

describe('evidence as a table', () => {
  it('has a line for each adjustment, and no cell that a spreadsheet would reckon with', () => {
    const [work] = oriel.works;
    const [a] = work?.adjustments ?? [];
    if (!work || !a) throw new Error('no adjustment');
    const lines = evidenceCsv(evidenceLines(oriel)).trim().split('\r\n');
    expect(lines.length).toBeGreaterThan(work.adjustments.length);
    const evil = evidenceCsv(
      evidenceLines({ ...oriel, works: [{ ...work, adjustments: [{ ...a, reason: '=1+1' }] }] }),
    );
    expect(evil).toContain("'=1+1");
    expect(evil).toContain('to judge');
  });

  it('leaves out what the teacher leaves out', () => {
    const [a] = oriel.works.find((x) => x.handOutId === 'h-survey')?.adjustments ?? [];
    const folder = { ...w.folders['l-oriel'], id: 'l-oriel', notes: [], reviews: [], stressed: [] };
    const out = withFolder(oriel, { ...folder, leftOut: [pieceKey('h-survey', a?.adjustmentId)] });
    expect(evidenceCsv(evidenceLines(out))).not.toContain(a?.sentence.slice(0, 30) ?? '?');
  });
});
