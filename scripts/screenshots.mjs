// Retakes the pictures in docs/screenshots from the demo data: npm run screenshots [name …]
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { launch } from './browser.mjs';
import { build } from './steps.mjs';

const PORT = 4399;
const BASE = `http://127.0.0.1:${PORT}`;
const root = fileURLToPath(new URL('..', import.meta.url));
const out = process.env.SHOTS ?? `${root}docs/screenshots`;
const only = process.argv.slice(2);

/** Chooses by its words in a select. */
async function choose(field, option) {
  await field.click();
  await field.page().getByRole('option', { name: option, exact: true }).click();
}

const VIEWS = {
  shelf: { path: '/shelf' },
  'bench-master': { path: '/bench/puncture', act: (p) => p.locator('[data-block="pun-q3"]').focus() },
  'bench-version': { path: '/bench/rock-pool/rp-sup' },
  tiers: { path: '/bench/right-bus/tiers', act: (p) => p.getByText('Make 2 versions').waitFor() },
  'bring-in': {
    path: '/bring-in',
    act: async (p) => {
      await p.getByLabel('Choose a file').setInputFiles(`${root}test-material/with-answers.pdf`);
      await p.getByRole('button', { name: 'Read 3 pages' }).click();
      await p.getByText('4 of 4 accepted').waitFor();
      await p.waitForTimeout(1200);
    },
  },
  bank: {
    path: '/bank',
    act: async (p) => {
      await p.getByRole('searchbox').fill('fish');
      await p.waitForTimeout(700);
      await p.getByRole('button', { name: /^Pick/ }).first().click();
    },
  },
  upkeep: { path: '/bench/rock-pool/upkeep' },
  learners: { path: '/learners', act: (p) => p.getByRole('button', { name: 'Oriel P.' }).click() },
  evidence: { path: '/evidence/of/l-oriel', act: (p) => p.getByText('adjustments').first().waitFor() },
  plan: { path: '/hand-outs/h-bike' },
  'hand-outs': { path: '/hand-outs' },
  desk: {
    path: '/desk',
    act: async (p) => {
      await p.getByRole('button', { name: 'Heron class' }).click();
      await p.getByRole('button', { name: 'Demelza K.' }).click();
      await p.getByRole('link', { name: /Go on/ }).click();
      await p.getByRole('button', { name: 'Next' }).click();
    },
  },
  reading: {
    path: '/desk',
    act: async (p) => {
      await p.getByRole('button', { name: 'Heron class' }).click();
      await p.getByRole('button', { name: 'Corin B.' }).click();
      await p.getByRole('link', { name: /^Start/ }).click();
      await p.getByRole('button', { name: 'Aa Comfort' }).click();
      await p.getByRole('radio', { name: 'a band' }).check();
      await p.getByRole('checkbox', { name: 'Words in their parts' }).check();
      await p.getByRole('checkbox', { name: 'Kinds of word' }).check();
      await p.getByLabel('Language at home').selectOption('uk');
      await p.getByRole('button', { name: 'Aa Comfort' }).click();
      await p.getByRole('button', { name: 'Hear it' }).click();
      await p.getByRole('button', { name: 'Pause' }).click();
      for (let i = 0; i < 4; i++) await p.getByRole('button', { name: 'Sentence after' }).click();
      await p.getByRole('button', { name: 'Word help' }).click();
      // “shore”, in the first paragraph.
      for (let i = 0; i < 40; i++) {
        await p.getByRole('button', { name: 'Word after' }).click();
        await p.waitForTimeout(60);
        if (await p.locator('.help .word').filter({ hasText: 'shore' }).count()) break;
      }
      await p.waitForTimeout(700);
    },
  },
  album: {
    path: '/bench/market',
    act: async (p) => {
      await p.getByRole('link', { name: 'Hand out', exact: true }).click();
      await p.getByRole('checkbox', { name: /^Heron class/ }).check();
      await p.getByRole('button', { name: 'Master for everyone' }).click();
      await p.getByRole('button', { name: /^How/ }).click();
      await p.getByRole('radio', { name: /with a place for each$/ }).check();
      await p.getByRole('checkbox', { name: /^Everybody can look/ }).check();
      await p.getByRole('checkbox', { name: /^They may write a few words/ }).check();
      const why = p.getByLabel(/may stay, because/);
      if (await why.count()) await why.fill('as agreed');
      await p.getByRole('button', { name: /^Give out to/ }).click();
      await p.getByText('All kept').waitFor();
      await p.goto(p.url().replace(/\/hand-outs.*/, '/desk'));
      await p.getByRole('button', { name: 'Heron class' }).click();
      await p.getByRole('button', { name: 'Kerra L.' }).click();
      await p.getByRole('link', { name: /^Start.*Market/ }).click();
      await p.getByRole('button', { name: 'See all places' }).click();
      await p.getByRole('button', { name: 'Jory S.' }).click();
      await p.waitForTimeout(500);
    },
  },
  'whole-way': {
    path: '/evidence/way?family=rock-pool&block=rp-q3&learner=l-oriel',
    act: (p) => p.locator('lv-drawn-way path.on').first().waitFor(),
  },
  marking: { path: '/marking/h-survey', act: (p) => p.locator('[data-cell="2-0"]').click() },
  'one-question': { path: '/marking/h-survey/question?item=rp-q10', act: (p) => p.locator('[data-heap="1"]').focus() },
  'one-work': {
    path: '/desk',
    act: async (p) => {
      await p.getByRole('button', { name: 'Heron class' }).click();
      await p.getByRole('button', { name: 'Tamsin W.' }).click();
      await p.getByRole('link', { name: /Another go/ }).click();
      await p.getByRole('button', { name: 'Begin another go' }).click();
      await p.getByRole('button', { name: 'Next' }).click();
      await p.getByRole('textbox', { name: /pointed shell/ }).fill('limpet');
      await p.getByText('Saved').waitFor();
      await p.goto(p.url().replace(/\/desk.*/, '/marking/h-survey/work?learner=l-tamsin&item=rp-q5'));
      await p.locator('.key[data-item="rp-q5"]').waitFor();
      await p.locator('.key[data-item="rp-q5"]').evaluate((e) => e.scrollIntoView({ block: 'center' }));
    },
  },
  keeping: {
    path: '/hand-outs',
    act: async (p) => {
      await p.getByRole('button', { name: 'Remove hand-out Rock-pool survey' }).click();
      await p
        .getByRole('alertdialog')
        .getByRole('button', { name: /^Remove/ })
        .click();
      await p.getByText('All kept').waitFor();
      // One record as a damaged disk might leave it.
      await p.evaluate(async () => {
        const all = await indexedDB.databases();
        const name = all.find((d) => d.name.startsWith('lorvet-') && d.name.endsWith('-heads')).name;
        await new Promise((done) => {
          const open = indexedDB.open(name);
          open.onsuccess = () => {
            const write = open.result.transaction('records', 'readwrite');
            const store = write.objectStore('records');
            store.put({ format: 4, rev: 1, place: 1, data: { id: 'l-kerra', name: 7 } }, 'learners/l-kerra');
            write.oncomplete = () => {
              open.result.close();
              done();
            };
          };
        });
      });
      await p.goto(p.url().replace('/hand-outs', '/keeping'));
      await p.getByRole('heading', { name: 'Removed things' }).waitFor();
      await p.getByRole('heading', { name: 'Set aside' }).waitFor();
      await p.locator('lv-take-answers').evaluate((e) => e.scrollIntoView());
    },
  },
};

await build();
mkdirSync(out, { recursive: true });
const hub = spawn('node', ['packages/hub/dist/main.js'], {
  cwd: root,
  env: { ...process.env, PORT: `${PORT}` },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((done) => hub.stdout.once('data', done));
const browser = await launch();
try {
  for (const [name, view] of Object.entries(VIEWS)) {
    if (only.length && !only.includes(name)) continue;
    const context = await browser.newContext({
      locale: 'en-GB',
      viewport: { width: 1280, height: 800 },
      reducedMotion: 'reduce',
      colorScheme: view.dark ? 'dark' : 'light',
    });
    const page = await context.newPage();
    page.on('pageerror', (e) => console.error(name, e.message));
    page.on('console', (m) => m.type() === 'error' && console.error(name, m.text()));
    await page.goto(`${BASE}/demo`);
    await page.waitForURL('**/shelf');
    await page.getByText('All kept').waitFor();
    await page.goto(`${BASE}${view.path}`);
    await page.waitForLoadState('networkidle');
    await view.act?.(page);
    await page.evaluate(() => document.fonts.ready);
    await page.waitForTimeout(150);
    await page.screenshot({ path: `${out}/${name}.png` });
    console.log(name);
    await context.close();
  }
} finally {
  await browser.close();
  hub.kill();
}
