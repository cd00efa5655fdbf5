// A term in a browser, and one ten times as large: what opening each place costs, to the same place of an empty workspace.
import { spawn } from 'node:child_process';
import { statSync } from 'node:fs';
import { join } from 'node:path';
import { launch } from './browser.mjs';
import { root } from './steps.mjs';

const PORT = 4398;
const BASE = `http://127.0.0.1:${PORT}`;
const GOES = 5;
const FELT = 50;
const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];

/** What each place shows once it stands: full, and empty; the desk is that of one learner. */
const VIEWS = [
  { name: 'Shelf', path: () => '/shelf', shows: ['Activity ', 'The Shelf is empty'] },
  { name: 'Hand-outs', path: () => '/hand-outs', shows: ['Work ', 'Nothing handed out yet'] },
  { name: 'Marking list', path: () => '/marking', shows: ['Work ', 'No work yet'] },
  { name: 'one grid', path: () => '/marking/s0h0', shows: ['Learner 0-0', 'is not here'] },
  { name: 'desk', path: () => '/desk/work', shows: ['Work 0 of school 0', 'Which class'] },
];

/** A workspace in a browser profile of its own, with what was measured in it. */
async function withWorkspace(browser, backup, work) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await context.addInitScript(() => {
    globalThis.longTasks = [];
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) globalThis.longTasks.push({ at: e.startTime, ms: e.duration });
    }).observe({ type: 'longtask', buffered: true });
  });
  const page = await context.newPage();
  await page.goto(`${BASE}/`);
  await page.getByRole('button', { name: 'Start empty' }).click();
  await page.waitForURL('**/shelf');
  const times = {};
  if (backup) {
    await page.goto(`${BASE}/keeping`);
    await page.getByLabel('Backup file').setInputFiles(backup);
    await page.getByRole('button', { name: 'Restore it' }).waitFor({ timeout: 600_000 });
    const begun = Date.now();
    await page.getByRole('button', { name: 'Restore it' }).click();
    await page.getByText('The backup is in place').waitFor({ timeout: 1_200_000 });
    times.restore = Date.now() - begun;
  }
  const out = await work(context, page, times);
  await context.close();
  return out;
}

/** Milliseconds until a place stands, and the longest task meanwhile; the middle of some goes. */
async function open(context, view, full) {
  const goes = [];
  for (let i = 0; i < GOES; i++) {
    const page = await context.newPage();
    if (view.name === 'desk') await page.addInitScript(() => sessionStorage.setItem('lorvet-desk', 's0l0'));
    await page.goto(`${BASE}${view.path()}`, { waitUntil: 'commit' });
    // Looked for in each frame: the library's own waiting looks twice a second.
    const stood = await page.waitForFunction(
      (words) => (document.querySelector('main')?.textContent.includes(words) ? performance.now() : 0),
      view.shows[full ? 0 : 1],
      { polling: 'raf', timeout: 120_000 },
    );
    await page.waitForTimeout(700);
    const tasks = await page.evaluate(() => globalThis.longTasks.map((t) => t.ms));
    goes.push({ stood: await stood.jsonValue(), task: Math.max(0, ...tasks) });
    await page.close();
  }
  return { stood: middle(goes.map((g) => g.stood)), task: middle(goes.map((g) => g.task)) };
}

/** Bytes of the heap at rest on a place. */
async function memory(context, path) {
  const page = await context.newPage();
  await page.goto(`${BASE}${path}`);
  await page.waitForTimeout(1500);
  const client = await context.newCDPSession(page);
  await client.send('HeapProfiler.collectGarbage');
  const { usedSize } = await client.send('Runtime.getHeapUsage');
  await page.close();
  return usedSize;
}

/** Milliseconds of work that the page does for one stroke at the desk, saving included; the middle of some. */
async function strokes(context, path) {
  const page = await context.newPage();
  await page.addInitScript(() => sessionStorage.setItem('lorvet-desk', 's0l0'));
  await page.goto(`${BASE}${path}`);
  const field = page.locator('lv-short-text-desk input, lv-long-text-desk textarea').first();
  await field.waitFor();
  await field.click();
  const client = await context.newCDPSession(page);
  await client.send('Performance.enable');
  const work = async () => {
    const { metrics } = await client.send('Performance.getMetrics');
    return metrics.find((m) => m.name === 'TaskDuration').value * 1000;
  };
  const costs = [];
  for (let i = 0; i < 12; i++) {
    const before = await work();
    await page.keyboard.type('x');
    await page.waitForTimeout(900);
    costs.push((await work()) - before);
  }
  await page.close();
  return middle(costs);
}

/** Milliseconds of work in a tab on the list of marking while a learner writes in another one. */
async function arrivals(context) {
  const list = await context.newPage();
  await list.goto(`${BASE}/marking`);
  await list.waitForTimeout(1500);
  const desk = await context.newPage();
  await desk.addInitScript(() => sessionStorage.setItem('lorvet-desk', 's0l0'));
  await desk.goto(`${BASE}/desk/work/s0h39`);
  const field = desk.locator('lv-short-text-desk input, lv-long-text-desk textarea').first();
  await field.waitFor();
  const client = await context.newCDPSession(list);
  await client.send('Performance.enable');
  const work = async () => {
    const { metrics } = await client.send('Performance.getMetrics');
    return metrics.find((m) => m.name === 'TaskDuration').value * 1000;
  };
  const costs = [];
  for (let i = 0; i < 8; i++) {
    const before = await work();
    await field.fill(`answer ${i}`);
    await list.waitForTimeout(1200);
    costs.push((await work()) - before);
  }
  await list.close();
  await desk.close();
  return middle(costs);
}

async function backupOut(context) {
  const page = await context.newPage();
  await page.goto(`${BASE}/keeping`);
  const begun = Date.now();
  const [file] = await Promise.all([
    page.waitForEvent('download', { timeout: 1_200_000 }),
    page.getByRole('button', { name: 'Save a backup' }).click(),
  ]);
  await file.path();
  const took = Date.now() - begun;
  await page.close();
  return took;
}

async function measured(browser, backup) {
  return await withWorkspace(browser, backup, async (context, _page, times) => {
    const views = {};
    for (const view of VIEWS) views[view.name] = await open(context, view, backup !== null);
    return {
      views,
      memory: await memory(context, '/shelf'),
      stroke: backup ? await strokes(context, '/desk/work/s0h39') : null,
      arrival: backup ? await arrivals(context) : null,
      out: backup ? await backupOut(context) : null,
      restore: times.restore ?? null,
    };
  });
}

/** `files`: backups of a term, of one ten times as large, and of one learner with one hand-out. */
export async function benchTerm(files) {
  const hub = spawn(process.execPath, [join(root, 'packages/hub/dist/main.js')], {
    env: { ...process.env, PORT: `${PORT}` },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((done) => hub.stdout.once('data', done));
  const browser = await launch();
  try {
    const empty = await measured(browser, null);
    const one = await withWorkspace(browser, files.one, (context) => strokes(context, '/desk/work/s0h39'));
    const term = await measured(browser, files.term);
    const ten = await measured(browser, files.ten);
    const rows = [];
    const row = (figure, value, most) => rows.push({ figure, ratio: Number(value.toFixed(2)), 'at most': most });
    for (const { name } of VIEWS) {
      const [e, t, x] = [empty, term, ten].map((m) => m.views[name]);
      console.log(
        `${name}: stands after ${[e, t, x].map((v) => Math.round(v.stood)).join(', ')} ms; longest task ${[e, t, x].map((v) => Math.round(v.task)).join(', ')} ms (empty, term, ten times)`,
      );
      row(`${name}, a term to an empty workspace`, t.stood / e.stood, 2);
      row(`${name}, ten times the term to the term`, x.stood / t.stood, 1.3);
      row(`${name}, longest task of a term, to ${FELT} ms`, t.task / FELT, 1);
    }
    row('memory on the Shelf, a term to an empty workspace', term.memory / empty.memory, 2);
    row('memory on the Shelf, ten times the term to the term', ten.memory / term.memory, 1.3);
    row('a stroke at the desk, a term to one piece of work', term.stroke / one, 1.3);
    row('a stroke at the desk, ten times the term to the term', ten.stroke / term.stroke, 1.3);
    row('an arrival from another tab, ten times the term to the term', ten.arrival / term.arrival, 1.3);
    row('backup out, ten times the term to ten times its time', ten.out / (10 * term.out), 1.3);
    row('backup in, ten times the term to ten times its time', ten.restore / (10 * term.restore), 1.3);
    console.log(
      `memory ${[empty, term, ten].map((m) => (m.memory / 1e6).toFixed(1)).join(', ')} MB; a stroke ${[one, term.stroke, ten.stroke].map((m) => m.toFixed(1)).join(', ')} ms; an arrival ${[term, ten].map((m) => m.arrival.toFixed(1)).join(', ')} ms; backup out ${[term, ten].map((m) => m.out).join(', ')} ms, in ${[term, ten].map((m) => m.restore).join(', ')} ms; files ${Object.values(
        files,
      )
        .map((f) => (statSync(f).size / 1e6).toFixed(1))
        .join(', ')} MB`,
    );
    return rows;
  } finally {
    await browser.close();
    hub.kill();
  }
}
