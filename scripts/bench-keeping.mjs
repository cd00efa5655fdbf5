// What is kept, tried hard in a real browser: kills, two tabs, full storage, restores that end half way, damaged
// records. Acknowledged answers that are lost and places that cannot be reached must be none.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { damage, snapshot, WAYS } from './bench-damage.mjs';
import { launchKept } from './browser.mjs';
import { root } from './steps.mjs';

const PORT = 4397;
const BASE = `http://127.0.0.1:${PORT}`;
const KILLS = 100;
const ROUNDS = 100;
const WRITES = 100;
const PLACES = ['Shelf', 'Bank', 'Learners', 'Hand-outs', 'Marking', 'Keeping'];
/** A page of the same origin without the application. */
const BARE = `${BASE}/favicon.svg`;

/** The same numbers each time. */
function lots(seed) {
  let s = seed;
  return () => (s = (s * 1664525 + 1013904223) >>> 0) / 2 ** 32;
}

async function sitDown(page, name) {
  await page.goto(`${BASE}/desk`);
  await page.getByRole('button', { name: 'Heron class' }).click();
  await page.getByRole('button', { name }).click();
  await page.getByRole('link', { name: /Rock-pool survey/ }).click();
  await page.getByRole('textbox').first().waitFor();
}
/** Until it is said again that all is saved: what was said before is of the time before. */
const saved = async (page) => {
  await page.waitForTimeout(120);
  await page.getByText('Saved', { exact: true }).waitFor({ timeout: 15_000 });
};
async function demo(page) {
  await page.goto(`${BASE}/demo`);
  await page.waitForURL('**/shelf');
  await page.getByText('All kept').waitFor();
}

/** Killed while an answer is written: what was called saved before must be there. */
async function kills(folder) {
  const lot = lots(7);
  let lost = 0;
  let browser = await launchKept(folder);
  let page = await browser.context.newPage();
  await demo(page);
  await sitDown(page, 'Corin B.');
  let said = '';
  for (let i = 0; i < KILLS; i++) {
    const field = page.getByRole('textbox').first();
    const words = `answer ${i}`;
    await field.fill(words);
    await saved(page);
    said = words;
    // And on with the next, of which nothing was said yet.
    await field.pressSequentially(' and more', { delay: 4 });
    await new Promise((r) => setTimeout(r, lot() * 700));
    browser.kill();
    browser = await launchKept(folder);
    page = await browser.context.newPage();
    await sitDown(page, 'Corin B.');
    const now = await page.getByRole('textbox').first().inputValue();
    if (!now.startsWith(said)) lost++;
  }
  await browser.close();
  return { what: `${KILLS} kills while writing`, tried: KILLS, lost, unreachable: 0 };
}

/** Two tabs of one learner, each with a question of its own, at the same time. */
async function twoTabs(folder) {
  let lost = 0;
  const browser = await launchKept(folder);
  const [a, b] = [await browser.context.newPage(), await browser.context.newPage()];
  await demo(a);
  await sitDown(a, 'Corin B.');
  await b.goto(`${BASE}/desk`);
  await sitDown(b, 'Corin B.');
  for (let i = 0; i < ROUNDS; i++) {
    const choice = (p) => p.getByRole('radio').nth(i % 3);
    await Promise.all([a.getByRole('textbox').first().fill(`left ${i}`), choice(b).check()]);
    await Promise.all([saved(a), saved(b)]);
    await a.reload();
    await a.getByRole('textbox').first().waitFor();
    const [words, chosen] = [await a.getByRole('textbox').first().inputValue(), await choice(a).isChecked()];
    if (words !== `left ${i}` || !chosen) lost++;
  }
  await browser.close();
  return { what: 'rounds in two tabs', tried: ROUNDS, lost, unreachable: 0 };
}

/** No room at every tenth write: in the end all of it is written, and nothing was called saved before. */
async function fullStorage(folder) {
  let lost = 0;
  const browser = await launchKept(folder);
  const page = await browser.context.newPage();
  await demo(page);
  await sitDown(page, 'Corin B.');
  await page.evaluate(() => {
    const { put } = IDBObjectStore.prototype;
    let n = 0;
    IDBObjectStore.prototype.put = function (...args) {
      if (++n % 10 === 0) throw new DOMException('full', 'QuotaExceededError');
      return put.apply(this, args);
    };
  });
  for (let i = 0; i < WRITES; i++) {
    await page.getByRole('textbox').first().fill(`full ${i}`);
    await page.waitForTimeout(120);
    const again = page.getByRole('button', { name: 'Try again' });
    for (let k = 0; k < 30 && !(await page.getByText('Saved', { exact: true }).isVisible()); k++) {
      if (await again.isVisible()) await again.click({ timeout: 500 }).catch(() => undefined);
      await page.waitForTimeout(100);
    }
    if (i % 10 !== 9) continue;
    const other = await browser.context.newPage();
    await other.goto(`${BASE}/desk`);
    await sitDown(other, 'Corin B.');
    if ((await other.getByRole('textbox').first().inputValue()) !== `full ${i}`) lost++;
    await other.close();
  }
  await browser.close();
  return { what: 'storage full at every tenth write', tried: WRITES, lost, unreachable: 0 };
}

async function reached(page, after = '') {
  let unreachable = 0;
  const note = (place) => {
    console.log(`not reached: ${place}${after}`);
    unreachable++;
  };
  await page.goto(`${BASE}/shelf`);
  for (const name of PLACES) {
    const link = page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name, exact: true });
    const stands = await link
      .click({ timeout: 8000 })
      .then(() => page.locator('main h1, main h2').first().waitFor({ timeout: 8000 }))
      .then(() => true)
      .catch(() => false);
    if (!stands) note(name);
  }
  await page.goto(`${BASE}/desk`);
  await page
    .getByRole('heading', { name: 'Which class are you in?' })
    .waitFor({ timeout: 8000 })
    .catch(() => note('desk'));
  return unreachable;
}

/** The worker that restores ends at every tenth record: what was there is there, whole. */
async function restores(folder) {
  const browser = await launchKept(folder);
  let page = await browser.context.newPage();
  await demo(page);
  await page.goto(`${BASE}/keeping`);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save a backup' }).click(),
  ]);
  const backup = join(folder, 'demo.zip');
  await file.saveAs(backup);
  await sitDown(page, 'Corin B.');
  await page.getByRole('textbox').first().fill('before the restore');
  await saved(page);
  let [tried, lost, unreachable, at] = [0, 0, 0, 0];
  await browser.context.route(/worker-[A-Z0-9]+\.js$/, async (route) => {
    const answer = await route.fetch();
    const body = await answer.text();
    const stop = `{let n=0;const put=IDBObjectStore.prototype.put;IDBObjectStore.prototype.put=function(...a){if(++n>=${at}){self.close();return new Promise(()=>{})}return put.apply(this,a)}}`;
    await route.fulfill({ response: answer, body: stop + body });
  });
  for (at = 10; tried < 40; at += 10) {
    await page.goto(`${BASE}/keeping`);
    await page.getByLabel('Backup file').setInputFiles(backup);
    await page.getByRole('button', { name: 'Restore it' }).click({ timeout: 60_000 });
    const whole = await page
      .getByText('The backup is in place')
      .first()
      .waitFor({ timeout: 2500 })
      .then(() => true)
      .catch(() => false);
    if (whole) break;
    tried++;
    await page.close();
    page = await browser.context.newPage();
    unreachable += await reached(page);
    await sitDown(page, 'Corin B.');
    if ((await page.getByRole('textbox').first().inputValue()) !== 'before the restore') lost++;
  }
  await browser.close();
  return { what: 'restores ended at every tenth record', tried, lost, unreachable };
}

/** Every record damaged in ten ways: each place is reached all the same. */
async function damaged(folder) {
  const browser = await launchKept(folder);
  let page = await browser.context.newPage();
  await demo(page);
  await page.goto(BARE);
  await snapshot(page, false);
  let [tried, unreachable] = [0, 0];
  for (let way = 0; way < WAYS; way++)
    for (let i = 0; ; i++) {
      await page.goto(BARE);
      await snapshot(page, true);
      const n = await damage(page, i, way);
      if (n === 0) break;
      tried += n;
      unreachable += await reached(page, ` (record ${i}, way ${way})`);
    }
  await browser.close();
  return { what: `records damaged in ${WAYS} ways`, tried, lost: 0, unreachable };
}

export async function benchKeeping(only = '') {
  const hub = spawn(process.execPath, [join(root, 'packages/hub/dist/main.js')], {
    env: { ...process.env, PORT: String(PORT) },
    stdio: 'ignore',
  });
  await new Promise((r) => setTimeout(r, 1500));
  const rows = [];
  try {
    for (const work of [kills, twoTabs, fullStorage, restores, damaged]) {
      if (only && work.name !== only) continue;
      const folder = mkdtempSync(join(tmpdir(), 'lorvet-keeping-'));
      rows.push(await work(folder));
      console.log(rows.at(-1));
      rmSync(folder, { recursive: true, force: true });
    }
  } finally {
    hub.kill();
  }
  return rows;
}
