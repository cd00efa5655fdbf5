// Laws are tried on the same cases every time; `npm run laws` sets a seed and a number of runs of its own.
import fc from 'fast-check';

const { LAW_SEED, LAW_RUNS } = process.env;
if (LAW_RUNS) {
  globalThis.lawRuns = Number(LAW_RUNS);
  globalThis.lawSays = (words) => void process.stdout.write(`${words}\n`);
}
fc.configureGlobal({
  seed: LAW_SEED ? Number(LAW_SEED) : 20260903,
  ...(LAW_RUNS ? { numRuns: Number(LAW_RUNS) } : {}),
});
