// npm run bench: figures of the core, as ratios within one run; also written to docs/bench.json.
import { build as bundle } from 'esbuild';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { install, root } from './steps.mjs';

install();
const folder = mkdtempSync(join(tmpdir(), 'lorvet-bench-'));
const outfile = join(folder, 'derive.mjs');
await bundle({
  entryPoints: [join(root, 'packages/core/bench/derive.bench.ts')],
  bundle: true,
  platform: 'node',
  format: 'esm',
  outfile,
  logLevel: 'error',
});
const lines = execFileSync(process.execPath, [outfile], { encoding: 'utf8' }).trimEnd().split('\n');
console.log(lines.slice(0, -1).join('\n'));
writeFileSync(join(root, 'docs/bench.json'), `${JSON.stringify(JSON.parse(lines.at(-1) ?? '[]'), null, 2)}\n`);
rmSync(folder, { recursive: true });
