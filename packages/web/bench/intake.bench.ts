import { propose } from '@lorvet/core/intake';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type ExpectedSheet, scoreIntake } from '../src/app/testing/intake-score';
import { readMaterial } from '../src/app/testing/read-material';

/** Prints, as one line of JSON, what came of each sheet in a folder beside what it should give. */
const [folder = ''] = process.argv.slice(2);
const sheets = JSON.parse(readFileSync(join(folder, 'expected.json'), 'utf8')) as ExpectedSheet[];
const rows = [];
let n = 0;
for (const sheet of sheets) {
  const material = await readMaterial(new Uint8Array(readFileSync(join(folder, sheet.file))), sheet.file);
  const proposed = propose(material, () => `n${++n}`);
  const s = scoreIntake(sheet, proposed);
  rows.push({
    file: sheet.file,
    questions: sheet.keys.length,
    'keys or no keys as they should be': s.right,
    'wrong keys': s.wrong.length,
    'keys missed': s.missed.length,
    'questions lost': s.lostQuestions.length,
    'parts for the teacher': proposed.pages.filter((p) => p.audience !== 'learner').length,
    leaks: s.leaks.length,
    'learners’ words lost': s.swallowed.length,
  });
}
process.stdout.write(`${JSON.stringify(rows)}\n`);
