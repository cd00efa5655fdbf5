// npm run bench: figures of the core and of the Bench in a browser, as ratios within one run; also in docs/bench.json.
import { build as bundle } from 'esbuild';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { benchInBrowser } from './bench-browser.mjs';
import { build, install, root } from './steps.mjs';

install();
const folder = mkdtempSync(join(tmpdir(), 'lorvet-bench-'));
const made = (name) => join(folder, `${name}.mjs`);
for (const name of ['derive', 'large'])
  await bundle({
    entryPoints: [join(root, `packages/core/bench/${name}.bench.ts`)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile: made(name),
    logLevel: 'error',
  });
const run = (name, ...args) =>
  execFileSync(process.execPath, ['--expose-gc', made(name), ...args], { encoding: 'utf8', maxBuffer: 1e9 });

const rows = JSON.parse(run('derive').trimEnd().split('\n').at(-1));
build();
const backup = join(folder, 'large.zip');
run('large', backup);
rows.push(...(await benchInBrowser(backup)));
console.table(rows);
writeFileSync(join(root, 'docs/bench.json'), `${JSON.stringify(rows, null, 2)}\n`);
rmSync(folder, { recursive: true });
