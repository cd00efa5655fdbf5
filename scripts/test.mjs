// npm test: lint, types, unit tests, interface tests; ends with all counts as "N passed, N failed".
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bin, chromium, install, mustAll, nodeVersion, root, run } from './steps.mjs';

nodeVersion();
install();
// Each of these waits for one core: they run side by side, and the build beside them.
await mustAll([
  [process.execPath, join(root, 'scripts/build.mjs')],
  [bin('eslint'), '.', '--max-warnings', '0'],
  [bin('prettier'), '--check', '--log-level', 'warn', '.'],
  ...['packages/core', 'packages/web/tsconfig.spec.json', 'packages/hub', 'e2e'].map((project) => [
    bin('tsc'),
    '--noEmit',
    '-p',
    project,
  ]),
]);

const results = mkdtempSync(join(tmpdir(), 'lorvet-test-'));
let passed = 0;
let failed = 0;
let broken = false;

for (const name of ['core', 'web']) {
  const file = join(results, `${name}.json`);
  const env = { ...process.env, NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning' };
  // Left to itself it keeps a core free for somebody at the keyboard.
  const status = run(bin('jest'), ['--maxWorkers=100%', '--json', `--outputFile=${file}`], {
    cwd: join(root, 'packages', name),
    env,
  });
  const counts = JSON.parse(readFileSync(file, 'utf8'));
  passed += counts.numPassedTests;
  failed += counts.numFailedTests;
  broken ||= status !== 0;
}

chromium();
const file = join(results, 'e2e.json');
const env = { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: file };
const status = run(bin('playwright'), ['test', '--reporter=list,json'], { cwd: join(root, 'e2e'), env });
const { stats } = JSON.parse(readFileSync(file, 'utf8'));
passed += stats.expected + stats.flaky;
failed += stats.unexpected;
broken ||= status !== 0;
rmSync(results, { recursive: true, force: true });

if (stats.flaky) console.log(`${stats.flaky} of them only when tried once more: see “flaky” above`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(broken || failed > 0 ? 1 : 0);
