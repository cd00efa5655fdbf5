import { describe, expect, it } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import Papa from 'papaparse';
import { demoWorkspace } from '../../demo';
import { frozenFor } from '../../assign/hand-out';
import { copyIdOf, responseTo } from '../../work/copy';
import { answersCsv, pointsCsv } from './results-csv';
import { gradebookPackage } from './gradebook';
import { resultOf, type Results, type WorkResult } from './results';
import { statementsOf } from './xapi';

const w = demoWorkspace(Date.parse('2026-11-26T12:00:00Z'));
const handOut = w.handOuts['h-survey'];
if (!handOut) throw new Error('the demo changed');
const NOW = '2026-11-26T12:00:00.000Z';

function resultFor(id: string, change: (text: string) => string = (t) => t): WorkResult {
  const learner = w.learners[id];
  const frozen = handOut && frozenFor(handOut, w.frozen, id);
  const copy = w.copies[copyIdOf('h-survey', id)];
  const go = copy?.goes.at(-1);
  if (!learner || !frozen || !go) throw new Error('the demo changed');
  const answers = Object.fromEntries(
    Object.entries(go.answers).map(([k, a]) => [k, a.kind === 'text' ? { ...a, text: change(a.text) } : a]),
  );
  const marking = w.markings[copyIdOf('h-survey', id)];
  const state = marking?.responses.at(-1)?.decision ?? 'submitted';
  return resultOf({
    learner,
    frozen,
    base: w.frozen[frozen.id] ?? frozen,
    state,
    go: { ...go, answers },
    response: responseTo(marking, go.n),
    accepted: [],
  });
}
const results = (...works: WorkResult[]): Results => ({ handOut, works });
const read = (csv: string) =>
  Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: true }).data;

describe('results as files', () => {
  it('add up to what was reckoned by hand: Perran has all 20 points, Senara 17', () => {
    // Senara: partly at 9 (2 of 3 points), right at 10, partly at the last (1 of 3).
    expect(resultFor('l-perran').total).toMatchObject({ points: 20, outOf: 20, open: 0 });
    expect(resultFor('l-senara').total).toMatchObject({ points: 17, outOf: 20, open: 0 });
  });

  it('hold each mark with its version, wording, key and why', () => {
    const rows = read(answersCsv(results(resultFor('l-senara'), resultFor('l-ysolde'))));
    expect(rows).toHaveLength(13 + 10);
    expect(rows.find((r) => r['Learner'] === 'Ysolde M.' && r['Item'] === 'rp-q3')).toMatchObject({
      Version: 'Supported',
      Revision: '2',
      Wording: 'What falls from the sky and makes the pool less salty?',
      Answer: 'the rain',
      Key: 'rain / the rain / rainwater',
      Mark: 'right',
      'Marked by': 'rule',
    });
    expect(rows.find((r) => r['Learner'] === 'Senara V.' && r['Item'] === 'rp-q9')).toMatchObject({
      Mark: 'partly',
      Points: '2',
      'Marked by': 'teacher',
    });
  });

  it('hold no formula, whatever was typed', () => {
    const evil = resultFor('l-wilmot', (t) => `=HYPERLINK("http://x","${t}")`);
    for (const csv of [answersCsv(results(evil)), pointsCsv(results({ ...evil, comment: '+1+1' }), [])])
      for (const row of read(csv)) for (const cell of Object.values(row)) expect(cell).not.toMatch(/^[=+\-@\t\r]/);
  });

  it('are a OneRoster package whose results belong to its line item, on its scale', () => {
    const files = unzipSync(
      gradebookPackage(results(resultFor('l-perran'), resultFor('l-jory'), resultFor('l-kerra')), 'c-1', NOW),
    );
    expect(Object.keys(files).sort()).toEqual(['categories.csv', 'lineItems.csv', 'manifest.csv', 'results.csv']);
    const table = (name: string) => read(strFromU8(files[name] ?? new Uint8Array()));
    const [item] = table('lineItems.csv');
    expect(item).toMatchObject({ sourcedId: 'h-survey', resultValueMin: '0', resultValueMax: '20' });
    const rows = table('results.csv');
    expect(rows.map((r) => [r['scoreStatus'], r['score'], r['textScore']])).toEqual([
      ['fully graded', '20', '20/20'],
      // 15 of the 16 points that the Core version asks for.
      ['fully graded', '18.75', '15/16'],
      ['submitted', '', ''],
    ]);
    for (const r of rows) expect(r['lineItemSourcedId']).toBe('h-survey');
  });

  it('are statements without names: one for each answer, one for each complete work', () => {
    let n = 0;
    const all = statementsOf(results(resultFor('l-perran'), resultFor('l-kerra')), {
      school: 'Kelp Bay School',
      now: NOW,
      uuid: () => `00000000-0000-4000-8000-${`${++n}`.padStart(12, '0')}`,
    }) as { verb: { id: string }; result: Record<string, unknown> }[];
    const of = (verb: string) => all.filter((s) => s.verb.id.endsWith(`/${verb}`));
    expect(of('completed')).toHaveLength(1);
    expect(of('completed')[0]?.result).toMatchObject({ completion: true, score: { raw: 20, max: 20, scaled: 1 } });
    // Two of Kerra's are the teacher's: said to be answered, and neither right nor wrong.
    expect(of('answered').filter((s) => !('success' in s.result))).toHaveLength(2);
    expect(JSON.stringify(all)).not.toMatch(/Perran|Kerra/);
  });
});
