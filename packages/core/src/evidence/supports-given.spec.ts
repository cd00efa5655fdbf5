import { describe, expect, it } from '@jest/globals';
import { freeze } from '../assign/held/freeze';
import { agreed } from '../learners/supports';
import { pool } from '../testing/demo-plan';
import { type SeenWork, supportIn, supportsGiven } from './supports-given';

const of = (versionId: string | null, more: Partial<SeenWork> = {}): SeenWork => ({
  ...{ handOutId: `h-${versionId}`, title: 'Survey', on: '2026-11-20', frozen: freeze(pool, versionId, '2026-11-20') },
  ...{ used: {}, moreTime: '', onPaper: false },
  ...more,
});

describe('an agreed support against what was given', () => {
  it('is seen on the sheet, in the time, or at the desk', () => {
    expect(supportIn('word bank', of('rp-sup'))).toBe('on the sheet');
    expect(supportIn('word bank', of(null))).toBe('');
    expect(supportIn('extra time', of(null, { moreTime: '1 day more, as agreed' }))).toBe('1 day more, as agreed');
    const aloud = { aloud: { times: 2, seconds: 40 } };
    expect(supportIn('text read aloud', of(null, { used: aloud }))).toBe('read aloud at the desk, used 2 times');
  });

  it('is no gap where the work cannot tell: on paper, or with what no sheet shows', () => {
    expect(supportIn('text read aloud', of(null))).toBe('');
    expect(supportIn('text read aloud', of(null, { onPaper: true }))).toBeUndefined();
    expect(supportIn('an assistant beside them', of(null))).toBeUndefined();
    expect(supportIn('constructor', of(null))).toBeUndefined();
  });

  it('counts what was given while it was agreed, and names what lacked it, also in part', () => {
    const works = [of('rp-sup'), of(null), of('rp-core', { on: '2026-09-01' })];
    const [bank] = supportsGiven([{ ...agreed('word bank'), from: '2026-10-01' }], works);
    expect(bank?.given.map((g) => g.handOutId)).toEqual(['h-rp-sup']);
    expect(bank?.lacking.map((g) => g.handOutId)).toEqual(['h-null']);
    const [choices] = supportsGiven([agreed('two or three choices')], [of('rp-sup')]);
    expect(choices?.lacking[0]?.seen).toMatch(/^in \d of \d$/);
  });
});
