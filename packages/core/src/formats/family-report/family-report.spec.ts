import { describe, expect, it } from '@jest/globals';
import { latest } from '../../activity/family';
import { demoWorkspace } from '../../demo/index';
import { calledNames } from '../../learners/names';
import { htmlDocument } from '../evidence/document-html';
import { familyReport, namesInReport } from './family-report';

const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const pool = w.families['rock-pool'];
if (!pool) throw new Error('The demo lacks it');
const options = {
  day: (iso: string) => iso.slice(0, 10),
  at: '2026-11-24T09:00:00.000Z',
  names: calledNames(Object.values(w.learners)),
};
const report = familyReport(pool, options);
const html = htmlDocument(report);

describe('a family to read', () => {
  it('has the master with its keys, and every version with what it changes', () => {
    const text = html.replaceAll('&quot;', '"').replaceAll('&#39;', "'");
    for (const b of latest(pool).content.pages.flatMap((p) => p.blocks))
      if ('prompt' in b) expect(text).toContain(b.prompt);
    expect(text).toContain('Key: Mussel');
    for (const name of ['Supported', 'Core', 'Extended']) expect(text).toMatch(new RegExp(`<h2[^>]*>${name}</h2>`));
    expect(text).toContain('<ins>from the sky </ins>');
    expect(text).toContain('A word bank is added: anemone, crab, limpet, mussel, shrimp.');
    const table = report.parts.find((p) => p.is === 'table' && p.says === 'Questions, version by version');
    const q9 = table?.is === 'table' ? table.rows[8] : undefined;
    expect(q9?.slice(1)).toEqual(['left out', 'changed', 'same']);
  });

  it('holds no learner’s name, no version of one learner and no reason', () => {
    expect(namesInReport(report, options.names)).toEqual([]);
    for (const name of ['Oriel', 'Brannoc', 'Ysolde']) expect(html).not.toContain(name);
    expect(html).toContain('A note for the teacher that names learners is left out.');
    expect(html).not.toContain('Reading goal 2');
  });

  it('makes markup of nothing that was written, and fetches nothing', () => {
    const evil = structuredClone(pool);
    const last = evil.revisions.at(-1);
    if (last) last.content.title = '<img src=x onerror=alert(1)>"';
    const page = htmlDocument(familyReport(evil, options), { x: 'https://example.org/x.png' });
    expect(page).not.toContain('<img src=x');
    expect(page).toContain('&lt;img src=x');
    expect(page).toContain("default-src 'none'");
    expect(page).not.toMatch(/(?:src|href)="(?!#|data:)/);
  });

  it('leads from its contents to each heading, in a list that closes what it opens', () => {
    const ids = [...html.matchAll(/<h[23] id="([^"]+)"/g)].map((m) => m[1]);
    const links = [...html.matchAll(/href="#([^"]+)"/g)].map((m) => m[1]);
    expect(links).toEqual(ids);
    for (const tag of ['ol', 'li', 'table', 'dl', 'h2'])
      expect(html.match(new RegExp(`<${tag}[ >]`, 'g'))?.length).toBe(html.match(new RegExp(`</${tag}>`, 'g'))?.length);
  });
});
