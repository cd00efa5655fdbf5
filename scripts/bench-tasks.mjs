// The browser's own record of long tasks, over a workspace that came from a backup.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { launch } from './browser.mjs';
import { root } from './steps.mjs';

/** A task longer than this is felt. */
const FELT = 50;
/** The middle one counts: a machine shared with others has its own pauses. */
export const GOES = 5;

/** Opens a browser in which the backup is kept: `act` gets its context and the address. */
export async function withBackup(port, backup, act) {
  const base = `http://127.0.0.1:${port}`;
  const hub = spawn(process.execPath, [join(root, 'packages/hub/dist/main.js')], {
    env: { ...process.env, PORT: `${port}` },
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
    await page.goto(`${base}/`);
    await page.getByRole('button', { name: 'Start empty' }).click();
    await page.waitForURL('**/shelf');
    await page.goto(`${base}/keeping`);
    await page.getByLabel('Backup file').setInputFiles(backup);
    await page.getByRole('button', { name: 'Restore it' }).click();
    await page.getByText('The backup is in place').waitFor({ timeout: 600_000 });
    await page.getByText('All kept').waitFor();
    await page.waitForTimeout(1500);
    await page.close();
    return await act(context, base);
  } finally {
    await browser.close();
    hub.kill();
  }
}

/** Notes in `tasks` the lengths (ms) of the tasks that the browser calls long, by what was being done. */
export const noting = (page, tasks) => async (doing, act) => {
  await page.evaluate(() => (globalThis.longTasks = []));
  await act();
  tasks[doing] = await page.evaluate(() => globalThis.longTasks);
};

/** The middle of the longest tasks of each go, to what is felt. */
export function figure(what, doing, words, goes) {
  const longest = goes.map((go) => Math.max(0, ...go[doing])).sort((a, b) => a - b);
  console.log(`${what}, ${words}: longest task of each go ${longest.map((t) => Math.round(t)).join(', ')} ms`);
  return {
    figure: `${what}: longest task while ${words}, to ${FELT} ms`,
    ratio: Number(((longest[(GOES - 1) / 2] ?? 0) / FELT).toFixed(2)),
    'at most': 1,
  };
}
