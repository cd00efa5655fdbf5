// npm run laws [runs] [seed]: every law of the core on fresh cases; says the seed, so that what it finds comes again.
import { randomInt } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { bin, install, root, run } from './steps.mjs';

const [runs = '1000', seed = `${randomInt(-(2 ** 31), 2 ** 31)}`] = process.argv.slice(2);
if (!/^[1-9]\d*$/.test(runs) || !/^-?\d+$/.test(seed)) {
  console.error('Say how many runs and, to try some cases again, which seed: npm run laws -- 20000 -2045622581');
  process.exit(1);
}
install();
const core = join(root, 'packages/core');
const laws = readdirSync(join(core, 'src'), { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.spec.ts') && readFileSync(join(core, 'src', file), 'utf8').includes('fc.assert'),
);
console.log(`${runs} runs of each law in ${laws.length} files, seed ${seed}`);
const env = {
  ...process.env,
  NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning',
  LAW_RUNS: runs,
  LAW_SEED: seed,
};
const status = run(
  bin('jest'),
  ['--maxWorkers=100%', '--testTimeout=3600000', '--runTestsByPath', ...laws.map((file) => join('src', file))],
  { cwd: core, env },
);
console.log(
  status === 0
    ? `Every law held, ${runs} runs, seed ${seed}.`
    : `What failed above comes again with: npm run laws -- ${runs} ${seed}`,
);
process.exit(status);
