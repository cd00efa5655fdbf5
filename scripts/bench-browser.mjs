// The Bench with a large family in Chromium: the browser's own record of long tasks while somebody types and scrolls.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { launch } from './browser.mjs';
import { root } from './steps.mjs';

const PORT = 4397;
const BASE = `http://127.0.0.1:${PORT}`;
/** A task longer than this is felt. */
const FELT = 50;

export async function benchInBrowser(backup) {
  const hub = spawn(process.execPath, [join(root, 'packages/hub/dist/main.js')], {
    env: { ...process.env, PORT: `${PORT}` },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((done) => hub.stdout.once('data', done));
  const browser = await launch();
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript(() => {
      globalThis.longTasks = [];
      new PerformanceObserver((list) => {
        for (const e of list.getEntries()) globalThis.longTasks.push(e.duration);
      }).observe({ type: 'longtask', buffered: true });
    });
    await page.goto(`${BASE}/`);
    await page.getByRole('button', { name: 'Start empty' }).click();
    await page.waitForURL('**/shelf');
    await page.goto(`${BASE}/keeping`);
    await page.locator('input[type=file]').setInputFiles(backup);
    await page.getByRole('button', { name: 'Restore it' }).click();
    await page.getByText('All kept').waitFor();
    await page.waitForTimeout(1500);
    const rows = [];
    for (const [what, path, first] of [
      ['a version', '/bench/large/v0', /^Text: Words of block/],
      ['the master', '/bench/large', /^Text: Words of block/],
    ]) {
      await page.goto(`${BASE}${path}`);
      await page.getByRole('button', { name: first }).first().waitFor();
      await page.waitForTimeout(2500);
      await page.evaluate(() => (globalThis.longTasks = []));
      await page.getByRole('button', { name: first }).first().click();
      await page.keyboard.type('Some more words for the first block here.', { delay: 60 });
      await page.keyboard.press('Control+Enter');
      await page.waitForTimeout(1200);
      await page.mouse.move(600, 500);
      for (let i = 0; i < 60; i++) {
        await page.mouse.wheel(0, 350);
        await page.waitForTimeout(40);
      }
      await page.waitForTimeout(800);
      const tasks = await page.evaluate(() => globalThis.longTasks);
      rows.push({
        figure: `Bench, ${what} of 400 blocks with 30 versions: longest task while typing and scrolling, to ${FELT} ms`,
        ratio: Number((Math.max(0, ...tasks) / FELT).toFixed(2)),
        'at most': 1,
      });
      console.log(`${what}: tasks over ${FELT} ms: ${tasks.map((t) => Math.round(t)).join(', ') || 'none'}`);
    }
    return rows;
  } finally {
    await browser.close();
    hub.kill();
  }
}
