// The Bench with a large family in Chromium: the browser's own record of long tasks while somebody types and scrolls.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { launch } from './browser.mjs';
import { root } from './steps.mjs';

const PORT = 4397;
const BASE = `http://127.0.0.1:${PORT}`;
/** A task longer than this is felt. */
const FELT = 50;
/** The middle one counts: a machine shared with others has its own pauses. */
const GOES = 5;
const DOINGS = [
  ['pressing', 'pressing a block to write in it'],
  ['typing', 'typing and saving'],
  ['scrolling', 'scrolling'],
  ['opening', 'opening the list of actions'],
  ['finding', 'finding an action by its name'],
];

/** The lengths (ms) of the tasks that the browser calls long, by what was being done; in a tab of its own. */
async function oneGo(context, address) {
  const page = await context.newPage();
  const first = page.getByRole('button', { name: /^Text: Words of block/ }).first();
  const tasks = {};
  const during = async (doing, act) => {
    await page.evaluate(() => (globalThis.longTasks = []));
    await act();
    tasks[doing] = await page.evaluate(() => globalThis.longTasks);
  };
  await page.goto(address);
  await first.waitFor();
  await page.waitForTimeout(2500);
  // By its place: finding it by name takes the page longer than anything a person does.
  const box = await first.boundingBox();
  await during('pressing', async () => {
    await page.mouse.click(box.x + 30, box.y + 10);
    await page.waitForTimeout(1200);
  });
  await during('typing', async () => {
    await page.keyboard.type('Some more words for the first block here.', { delay: 60 });
    await page.keyboard.press('Control+Enter');
    await page.waitForTimeout(1200);
  });
  await during('scrolling', async () => {
    await page.mouse.move(600, 500);
    for (let i = 0; i < 60; i++) {
      await page.mouse.wheel(0, 350);
      await page.waitForTimeout(40);
    }
    await page.waitForTimeout(800);
  });
  // With all of the page drawn: whatever can be pressed on it is looked through.
  await during('opening', async () => {
    await page.keyboard.press('Control+k');
    await page.waitForTimeout(600);
  });
  await during('finding', async () => {
    await page.keyboard.type('remove page', { delay: 90 });
    await page.waitForTimeout(600);
  });
  await page.close();
  return tasks;
}

export async function benchInBrowser(backup) {
  const hub = spawn(process.execPath, [join(root, 'packages/hub/dist/main.js')], {
    env: { ...process.env, PORT: `${PORT}` },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((done) => hub.stdout.once('data', done));
  const browser = await launch();
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addInitScript(() => {
      globalThis.longTasks = [];
      new PerformanceObserver((list) => {
        for (const e of list.getEntries()) globalThis.longTasks.push(e.duration);
      }).observe({ type: 'longtask', buffered: true });
    });
    const page = await context.newPage();
    await page.goto(`${BASE}/`);
    await page.getByRole('button', { name: 'Start empty' }).click();
    await page.waitForURL('**/shelf');
    await page.goto(`${BASE}/keeping`);
    await page.getByLabel('Backup file').setInputFiles(backup);
    await page.getByRole('button', { name: 'Restore it' }).click();
    await page.getByText('All kept').waitFor();
    await page.waitForTimeout(1500);
    await page.close();
    const rows = [];
    for (const [what, path] of [
      ['a version', '/bench/large/v0'],
      ['the master', '/bench/large'],
    ]) {
      const goes = [];
      for (let go = 0; go < GOES; go++) goes.push(await oneGo(context, `${BASE}${path}`));
      for (const [doing, words] of DOINGS) {
        const longest = goes.map((go) => Math.max(0, ...go[doing])).sort((a, b) => a - b);
        rows.push({
          figure: `Bench, ${what} of 400 blocks with 30 versions: longest task while ${words}, to ${FELT} ms`,
          ratio: Number(((longest[(GOES - 1) / 2] ?? 0) / FELT).toFixed(2)),
          'at most': 1,
        });
        console.log(`${what}, ${words}: longest task of each go ${longest.map((t) => Math.round(t)).join(', ')} ms`);
      }
    }
    return rows;
  } finally {
    await browser.close();
    hub.kill();
  }
}
