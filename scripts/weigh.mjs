// What the browser fetches for a first view, over the wire: npm run weigh
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { launch } from './browser.mjs';
import { build, root } from './steps.mjs';

const PORT = 4396;
const BASE = `http://127.0.0.1:${PORT}`;

/** Kilobytes by kind that a fresh browser takes to open an address, once it rests. */
async function weigh(browser, path, before = async () => undefined) {
  const context = await browser.newContext();
  const page = await context.newPage();
  await before(page);
  const cdp = await context.newCDPSession(page);
  await cdp.send('Network.enable');
  await cdp.send('Network.clearBrowserCache');
  await cdp.send('Network.setCacheDisabled', { cacheDisabled: true });
  const kinds = new Map();
  const sums = {};
  cdp.on('Network.responseReceived', (e) => kinds.set(e.requestId, e.type));
  cdp.on('Network.loadingFinished', (e) => {
    const kind = kinds.get(e.requestId) ?? 'Other';
    sums[kind] = (sums[kind] ?? 0) + e.encodedDataLength;
  });
  await page.goto(`${BASE}${path}`);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(1500);
  await context.close();
  const kb = Object.fromEntries(Object.entries(sums).map(([k, n]) => [k, Math.round(n / 1000)]));
  return { path, ...kb, all: Object.values(kb).reduce((a, b) => a + b, 0) };
}

if (!process.argv.includes('--built')) build();
const hub = spawn(process.execPath, [join(root, 'packages/hub/dist/main.js')], {
  env: { ...process.env, PORT: `${PORT}` },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await once(hub.stdout, 'data');
const browser = await launch();
const demo = async (page) => {
  await page.goto(`${BASE}/demo`);
  await page.waitForURL('**/shelf');
  await page.getByText('All kept').waitFor({ state: 'attached' });
};
try {
  const rows = [];
  for (const path of ['/shelf', '/bench/rock-pool/rp-sup', '/hand-outs', '/desk'])
    rows.push(await weigh(browser, path, demo));
  const seated = async (page) => {
    await demo(page);
    await page.evaluate(() => sessionStorage.setItem('lorvet-desk', 'l-jory'));
  };
  for (const path of ['/desk/work', '/desk/work/h-survey']) rows.push(await weigh(browser, path, seated));
  console.table(rows);
} finally {
  await browser.close();
  hub.kill();
}
