// npm run bench [core] [browser] [plan] [term] [keeping] [intake] [actions] [marking] [evidence] [judge]: figures as ratios within one run; also in docs/bench.json. Without a
// name: core, browser and plan.
import { build as bundle } from 'esbuild';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { benchActions } from './bench-actions.mjs';
import { benchInBrowser } from './bench-browser.mjs';
import { benchEvidence } from './bench-evidence.mjs';
import { benchKeeping } from './bench-keeping.mjs';
import { benchMarking } from './bench-marking.mjs';
import { benchPlan } from './bench-plan.mjs';
import { benchTerm } from './bench-term.mjs';
import { benchIntake } from './bench-intake.mjs';
import { build, install, root } from './steps.mjs';

const ALL = ['core', 'browser', 'plan', 'term', 'keeping', 'intake', 'actions', 'marking', 'evidence', 'judge'];
const wanted = process.argv.slice(2);
const unknown = wanted.filter((w) => !ALL.includes(w));
if (unknown.length) {
  console.error(`There is no bench called ${unknown.join(', ')}. There are: ${ALL.join(', ')}.`);
  process.exit(1);
}
const does = (name) => (wanted.length ? wanted.includes(name) : ['core', 'browser', 'plan'].includes(name));

install();
const folder = mkdtempSync(join(tmpdir(), 'lorvet-bench-'));
/** Bundles one of the core's own benches and runs it. */
async function run(name, ...args) {
  const made = join(folder, `${name}.mjs`);
  await bundle({
    entryPoints: [join(root, `packages/core/bench/${name}.bench.ts`)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile: made,
    logLevel: 'error',
  });
  return execFileSync(process.execPath, ['--expose-gc', made, ...args], { encoding: 'utf8', maxBuffer: 1e9 });
}

const rows = [];
if (does('core'))
  for (const name of ['derive', 'people']) rows.push(...JSON.parse((await run(name)).trimEnd().split('\n').at(-1)));
if (does('browser')) {
  build();
  const backup = join(folder, 'large.zip');
  await run('large', backup);
  rows.push(...(await benchInBrowser(backup)));
}
if (does('plan')) {
  build();
  const backup = join(folder, 'plan.zip');
  await run('plan', backup);
  rows.push(...(await benchPlan(backup)));
}
if (does('term')) {
  build();
  const files = Object.fromEntries(['one', 'term', 'ten'].map((n) => [n, join(folder, `${n}.zip`)]));
  for (const [name, times] of [
    ['one', '0'],
    ['term', '1'],
    ['ten', '10'],
  ])
    console.log(`${name}: ${(await run('term', files[name], times)).trim()} answers`);
  rows.push(...(await benchTerm(files)));
}
if (does('keeping')) {
  build();
  rows.push(...(await benchKeeping()));
}
if (does('intake')) rows.push(...(await benchIntake(process.env.SHEETS ?? join(root, 'test-material/intake'))));
if (does('actions')) {
  build();
  const backup = join(folder, 'to-mark.zip');
  await run('marking', backup);
  rows.push(...(await benchActions(backup)));
}
if (does('marking')) {
  build();
  const backup = join(folder, 'marking.zip');
  rows.push(...JSON.parse((await run('marking', backup)).trimEnd().split('\n').at(-1)));
  rows.push(...(await benchMarking(backup)));
}
if (does('evidence')) {
  build();
  const backup = join(folder, 'evidence.zip');
  rows.push(...JSON.parse((await run('evidence', backup)).trimEnd().split('\n').at(-1)));
  rows.push(...(await benchEvidence(backup)));
}
// Folders of further cases may be named: CASES=folder npm run bench -- judge.
if (does('judge'))
  console.table(
    JSON.parse((await run('judge', process.env.CASES || join(root, 'docs/cases'))).trimEnd().split('\n').at(-1)),
  );
if (rows.length) console.table(rows);
// What was counted alone says nothing of the rest.
if (rows.length && wanted.join() !== 'actions')
  writeFileSync(join(root, 'docs/bench.json'), `${JSON.stringify(rows, null, 2)}\n`);
rmSync(folder, { recursive: true });
