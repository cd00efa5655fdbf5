// Evidence of a term in a browser: what opening it costs to the demo, and a page of thirty learners' PDF to one alone.
import { readFileSync } from 'node:fs';
import { GOES, noting, figure, withBackup } from './bench-tasks.mjs';
import { launch } from './browser.mjs';

const PORT = 4396;
const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];

/** Milliseconds until a place shows what it is of. */
async function stood(context, url, words) {
  const goes = [];
  for (let i = 0; i < GOES; i++) {
    const page = await context.newPage();
    await page.goto(url, { waitUntil: 'commit' });
    const at = await page.waitForFunction(
      (w) => (document.querySelector('main')?.textContent.includes(w) ? performance.now() : 0),
      words,
      { polling: 'raf', timeout: 120_000 },
    );
    goes.push(await at.jsonValue());
    await page.close();
  }
  return middle(goes);
}

async function written(page, button) {
  const begun = Date.now();
  const [file] = await Promise.all([
    page.waitForEvent('download', { timeout: 1_200_000 }),
    page.getByRole('button', { name: button }).first().click(),
  ]);
  const bytes = readFileSync(await file.path(), 'latin1');
  return { ms: Date.now() - begun, pages: (bytes.match(/\/Type \/Page\b/g) ?? []).length };
}

/** What is opened by a press, and by what it is known that it is there. */
const PLACES = {
  charts: { path: 'What helps', is: 'lv-chart .main-svg' },
  suggestions: { path: 'Suggestions', is: 'lv-suggestions h2, lv-suggestions lv-empty' },
  'the whole way': { path: 'The whole way', is: 'lv-drawn-way .lines path' },
};

/** A learner, an activity and a question of the term. */
async function inTerm(context, base) {
  const page = await context.newPage();
  await page.goto(`${base}/evidence/way`);
  await page.locator('lv-drawn-way').waitFor({ timeout: 120_000 });
  await page.getByRole('combobox', { name: 'Part' }).click();
  await page.getByRole('option').nth(2).click();
  await page.waitForURL(/block=/);
  const url = new URL(page.url());
  await page.close();
  return { learner: 's0l0', family: url.searchParams.get('family'), block: url.searchParams.get('block') };
}

async function firstSights(context, base, { learner, family, block }) {
  return {
    'evidence of one learner': await stood(context, `${base}/evidence/of/${learner}`, 'adjustments'),
    'charts of one learner': await stood(
      context,
      `${base}/evidence/helps?learner=${learner}`,
      'Results by objective, over time',
    ),
    'the way of one question': await stood(
      context,
      `${base}/evidence/way?family=${family}&block=${block}&learner=${learner}`,
      'It stands in the master of',
    ),
  };
}

export async function benchEvidence(backup) {
  const rows = [];
  const demo = await (async () => {
    const browser = await launch();
    const { spawn } = await import('node:child_process');
    const { root } = await import('./steps.mjs');
    const hub = spawn(process.execPath, [`${root}/packages/hub/dist/main.js`], {
      env: { ...process.env, PORT: `${PORT + 1}` },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    await new Promise((done) => hub.stdout.once('data', done));
    const base = `http://127.0.0.1:${PORT + 1}`;
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.goto(`${base}/demo`);
    await page.waitForURL('**/shelf');
    await page.getByText('All kept').waitFor();
    const ms = await firstSights(context, base, { learner: 'l-oriel', family: 'rock-pool', block: 'rp-q3' });
    await browser.close();
    hub.kill();
    return ms;
  })();
  await withBackup(PORT, backup, async (context, base) => {
    const term = await firstSights(context, base, await inTerm(context, base));
    for (const [what, ms] of Object.entries(term)) {
      console.log(`${what}: ${Math.round(demo[what])} ms in the demo, ${Math.round(ms)} ms in a term`);
      rows.push({
        figure: `${what} of a term: first sight, to the demo`,
        ratio: Number((ms / demo[what]).toFixed(2)),
        'at most': 2,
      });
    }
    for (const [what, { path, is, from }] of Object.entries(PLACES)) {
      const goes = [];
      for (let i = 0; i < GOES; i++) {
        const tasks = {};
        const page = await context.newPage();
        await page.goto(`${base}${from ?? '/evidence'}`);
        await page.getByRole('link', { name: 'What helps', exact: true }).waitFor();
        await page.waitForTimeout(1500);
        const during = noting(page, tasks);
        await during('open', async () => {
          await page.getByRole('link', { name: path, exact: true }).click();
          await page.locator(is).first().waitFor({ timeout: 120_000 });
          await page.waitForTimeout(2500);
        });
        goes.push(tasks);
        await page.close();
      }
      rows.push(figure(`${what} of a term`, 'open', 'opening it', goes));
    }
    const goes = [];
    for (let i = 0; i < GOES; i++) {
      const tasks = {};
      const page = await context.newPage();
      await page.goto(`${base}/evidence`);
      await page.getByRole('link', { name: 'Learner 0-0', exact: true }).waitFor();
      const during = noting(page, tasks);
      await during('one', async () => {
        await page.getByRole('link', { name: 'Learner 0-0', exact: true }).click();
        await page.locator('lv-work-evidence').first().waitFor();
        await page.waitForTimeout(1500);
      });
      await during('scroll', async () => {
        for (let n = 0; n < 12; n++) {
          await page.mouse.move(400, 500);
          await page.mouse.wheel(0, 1600);
          await page.waitForTimeout(150);
        }
      });
      goes.push(tasks);
      await page.close();
    }
    rows.push(figure('Evidence of a learner with 40 hand-outs', 'one', 'opening it', goes));
    rows.push(figure('Evidence of a learner with 40 hand-outs', 'scroll', 'scrolling through it', goes));
    const page = await context.newPage();
    await page.goto(`${base}/evidence/of/s0l0`);
    await page.locator('lv-work-evidence').first().waitFor();
    await written(page, 'As PDF');
    const one = await written(page, 'As PDF');
    await page.goto(`${base}/evidence`);
    await page.getByRole('combobox', { name: 'Of' }).click();
    await page.getByRole('option', { name: 'Class 0-0' }).click();
    await page.evaluate(() => (globalThis.longTasks = []));
    const thirty = await written(page, /30 learners as PDF/);
    const tasks = await page.evaluate(() => globalThis.longTasks);
    console.log(
      `one learner: ${one.pages} pages in ${one.ms} ms; thirty: ${thirty.pages} pages in ${thirty.ms} ms; longest task ${Math.round(Math.max(0, ...tasks))} ms`,
    );
    rows.push({
      figure: 'a page of thirty learners’ PDF, to a page of one alone',
      ratio: Number((thirty.ms / thirty.pages / (one.ms / one.pages)).toFixed(2)),
      'at most': 1.5,
    });
    rows.push({
      figure: 'longest task while thirty learners’ PDF is written, to 50 ms',
      ratio: Number((Math.max(0, ...tasks) / 50).toFixed(2)),
      'at most': 1,
    });
  });
  return rows;
}
