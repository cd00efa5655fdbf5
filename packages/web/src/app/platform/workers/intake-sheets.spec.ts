/** @jest-environment node */
import { describe, expect, it } from '@jest/globals';
import { propose } from '@lorvet/core/intake';
import { readFileSync } from 'node:fs';
import { type ExpectedSheet, type IntakeScore, scoreIntake } from '../../testing/intake-score';
import { readMaterial } from '../../testing/read-material';

const folder = new URL('../../../../../../test-material/intake/', import.meta.url);
const sheets = JSON.parse(readFileSync(new URL('expected.json', folder), 'utf8')) as ExpectedSheet[];
let n = 0;

describe('sheets with keys and notes', () => {
  it.each(sheets.map((s) => [s.file, s] as const))('%s', async (file, sheet) => {
    const material = await readMaterial(new Uint8Array(readFileSync(new URL(file, folder))), file);
    const nothingWrong: Omit<IntakeScore, 'right'> = {
      wrong: [],
      missed: [],
      lostQuestions: [],
      leaks: [],
      swallowed: [],
    };
    expect(
      scoreIntake(
        sheet,
        propose(material, () => `n${++n}`),
      ),
    ).toEqual({ right: sheet.keys.length, ...nothingWrong });
  });
});
