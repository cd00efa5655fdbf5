import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CASE_SETS, runCases } from '../src/testing/cases/index';

/** The sets of docs/cases, each with how many of its cases come out right, wrong or left to the teacher, in per cent. */
const folder = process.argv[2] ?? 'docs/cases';
const share = (n: number, of: number) => `${Math.round((1000 * n) / of) / 10} %`;
const rows = CASE_SETS.map((set) => {
  const results = runCases(set, readFileSync(join(folder, set.file), 'utf8'));
  const count = (is: string) => results.filter((r) => r.is === is).length;
  for (const r of results.filter((x) => x.is === 'wrong'))
    console.error(`${set.name}: ${JSON.stringify(r.row)} says ${r.got}`);
  return {
    set: set.name,
    cases: results.length,
    right: share(count('right'), results.length),
    wrong: share(count('wrong'), results.length),
    asked: share(count('asked'), results.length),
  };
});
console.log(JSON.stringify(rows));
