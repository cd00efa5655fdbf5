// What comes of the sheets in test-material/intake (or in the folder that SHEETS names), beside what each should give.
import { build as bundle } from 'esbuild';
import { execFileSync } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './steps.mjs';

/** Rows of figures: all sheets together. Each sheet's own are printed. */
export async function benchIntake(folder) {
  // Beside the packages, so that what is not bundled is found there.
  const at = join(root, 'node_modules/.cache');
  mkdirSync(at, { recursive: true });
  const made = join(at, 'intake-bench.mjs');
  await bundle({
    entryPoints: [join(root, 'packages/web/bench/intake.bench.ts')],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile: made,
    external: ['mammoth', 'marked', 'pdfjs-dist/*'],
    logLevel: 'error',
  });
  const told = execFileSync(process.execPath, [made, folder], { encoding: 'utf8', maxBuffer: 1e9 });
  rmSync(made);
  const sheets = JSON.parse(told.trimEnd().split('\n').at(-1));
  console.table(sheets);
  const sum = (what) => sheets.reduce((n, s) => n + s[what], 0);
  const questions = sum('questions');
  return [
    { what: `intake: ${sheets.length} sheets, questions`, value: questions },
    {
      what: 'intake: keys as they should be, of questions',
      value: sum('keys or no keys as they should be') / questions,
    },
    { what: 'intake: wrong keys', value: sum('wrong keys') },
    { what: 'intake: questions lost', value: sum('questions lost') },
    { what: 'intake: parts for the teacher', value: sum('parts for the teacher') },
    { what: 'intake: leaks', value: sum('leaks') },
    { what: 'intake: learners’ words lost', value: sum('learners’ words lost') },
  ];
}
