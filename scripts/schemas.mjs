// npm run schemas: writes the JSON Schemas of files that others read, from the Zod schemas, into docs/schemas.
import { build as bundle } from 'esbuild';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './steps.mjs';

const folder = mkdtempSync(join(tmpdir(), 'lorvet-schemas-'));
const made = join(folder, 'schemas.mjs');
await bundle({
  entryPoints: [join(root, 'packages/core/bench/write-schemas.ts')],
  bundle: true,
  platform: 'node',
  format: 'esm',
  outfile: made,
  logLevel: 'error',
});
execFileSync(process.execPath, [made, join(root, 'docs/schemas')], { stdio: 'inherit' });
rmSync(folder, { recursive: true });
