// How many presses and fields a teacher's task costs, done in a real browser on the demo: each is counted as it is done.
import { spawn } from 'node:child_process';
import { launch } from './browser.mjs';
import { root } from './steps.mjs';

const PORT = 4396;
const BASE = `http://127.0.0.1:${PORT}`;

/** Does things and counts them: a press, or a field that is filled. */
function hands(page) {
  let n = 0;
  const one = async (does) => {
    n++;
    await does();
  };
  return {
    count: () => n,
    press: (role, name, within = page) => one(() => within.getByRole(role, { name }).first().click()),
    /** A press with a key held. */
    with: (key, role, name) =>
      one(() =>
        page
          .getByRole(role, { name })
          .first()
          .click({ modifiers: [key] }),
      ),
    key: (key) => one(() => page.keyboard.press(key)),
    fill: (label, text) =>
      one(async () => {
        const field = page.getByLabel(label).first();
        await field.fill(text);
        // To leave a field is to press the next thing.
        await field.dispatchEvent('change');
      }),
    paste: (label, text) =>
      one(async () => {
        const field = page.getByLabel(label).first();
        await field.evaluate((e, t) => {
          const data = new DataTransfer();
          data.setData('text', t);
          e.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
        }, text);
      }),
    /** The reason for which warnings may stay, where there are any: a field more. */
    async reason() {
      const why = page.getByLabel(/may stay, because/);
      if (await why.count()) await one(() => why.fill('as agreed'));
    },
  };
}

async function demo(page, { from: path, before, toMark }, backup) {
  await page.goto(toMark ? `${BASE}/` : `${BASE}/demo`);
  if (toMark) await page.getByRole('button', { name: 'Start empty' }).click();
  await page.waitForURL('**/shelf');
  await page.getByText('All kept').waitFor();
  if (toMark) {
    await page.goto(`${BASE}/keeping`);
    await page.getByLabel('Backup file').setInputFiles(backup);
    await page.getByRole('button', { name: 'Restore it' }).click();
    await page.getByText(/in this browser: 4 activities, 400 learners/).waitFor();
    await page.getByText('All kept').waitFor();
  }
  await before?.(page);
  await page.goto(`${BASE}${path}`);
  await page.locator('h1:visible, h2:visible').first().waitFor();
}

const TASKS = [
  {
    name: 'two classes, own copy each, two materials, due Monday 09:00',
    most: 9,
    from: '/bench/puncture',
    async does(page, h) {
      await h.press('link', 'Hand out');
      await h.press('checkbox', /^Heron class/);
      await h.press('checkbox', /^Kestrel class/);
      await h.press('button', 'Master for everyone');
      await h.press('button', /^How/);
      await h.fill('Due', 'Monday 09:00');
      await h.press('button', /^What/);
      await h.paste('Address that goes with it', 'https://tides.example/a https://quay.example/b');
      await h.reason();
      await h.press('button', /^(Give out to|Schedule for) 23/);
      await page.getByText('Given out to 23 learners').waitFor();
    },
  },
  {
    name: 'groups of three, all 23 placed',
    most: 4 + 8,
    from: '/bench/puncture',
    async does(page, h) {
      await h.press('link', 'Hand out');
      await h.press('checkbox', /^Heron class/);
      await h.press('checkbox', /^Kestrel class/);
      await h.press('button', /^How/);
      await h.press('radio', /^One per group/);
      await h.press('button', 'Make 8 groups of 23');
      await page.getByText('Everybody is in a group').waitFor();
      await h.reason();
      await h.press('button', /^Give out to 23/);
      await page.getByText('Given out to 23 learners').waitFor();
    },
  },
  {
    name: 'a place each for a class of 33, with index',
    most: 5,
    // Before anything is counted: a class of 33 comes from a list.
    async before(page) {
      await page.goto(`${BASE}/learners`);
      await page.getByRole('button', { name: 'Import a class list' }).click();
      const names = Array.from({ length: 33 }, (_, i) => `Learner ${i + 1},Plover class`);
      await page
        .locator('input[type=file]')
        .last()
        .setInputFiles({
          name: 'class.csv',
          mimeType: 'text/csv',
          buffer: Buffer.from(['Name,Class', ...names].join('\n')),
        });
      await page.getByRole('button', { name: /^Bring in 33/ }).click();
      await page.getByText('All kept').waitFor();
    },
    from: '/bench/puncture/pun-core',
    async does(page, h) {
      await h.press('link', 'Hand out');
      await h.press('checkbox', /^Plover class/);
      await h.press('button', /^How/);
      await h.press('radio', /with a place for each$/);
      await h.reason();
      await h.press('button', /^Give out to 33/);
      await page.getByRole('link', { name: 'Index and places' }).click();
      await page.getByRole('navigation', { name: 'Index of 33 places' }).waitFor();
    },
  },
  {
    name: 'a notice to an audience that was used before',
    most: 4,
    from: '/learners?part=a-print',
    async does(page, h) {
      await h.press('link', 'Hand out to them');
      await h.press('button', /^A notice/);
      await h.fill('What it says', 'The pool is shut on Friday.');
      await h.press('button', 'Give out to 2');
      await page.getByText('Given out to 2 learners').waitFor();
    },
  },
  {
    name: 'the next level to the same learners',
    most: 4,
    from: '/hand-outs/h-survey',
    async does(page, h) {
      await h.press('button', 'Extended for everyone');
      await h.press('button', /^Give it to all/);
      await page.getByText(/Extended given to 14 learners/).waitFor();
    },
  },
  {
    name: 'all work of 23 learners complete: 13 questions, 3 of them the teacher’s',
    most: 60,
    toMark: true,
    from: '/marking',
    async does(page, h) {
      await h.press('link', 'Work hour');
      await page.locator('[data-cell]').first().waitFor();
      await h.press('button', /^11 /);
      await h.press('menuitem', 'Look at all answers to it');
      for (const q of [11, 12, 13]) {
        if (q > 11) await h.press('button', 'The next question');
        await page.getByRole('heading', { name: `Question ${q}` }).waitFor();
        await page.waitForTimeout(800);
        // A third of the answers are not right, wherever they stand; the rest is said at once.
        for (let i = 0; i < 5; i++) {
          const heap = page.locator('[data-heap]').nth(i * 2);
          await heap.focus();
          await h.key(i % 2 ? '2' : '3');
        }
        await h.press('button', /left: right/);
      }
      await h.press('link', 'Everybody');
      await h.press('button', /^Complete 23/);
      await page.getByText('23 complete').first().waitFor();
    },
  },
  {
    name: 'one late answer accepted for all',
    most: 3,
    toMark: true,
    from: '/marking/hour',
    async does(page, h) {
      await page.locator('[data-cell]').first().waitFor();
      await h.press('button', /^Learner \d+, question 1: not yet/);
      await h.press('button', /^Accept “/);
      await page.getByText('Accepted too, in all versions').waitFor();
    },
  },
  {
    name: 'another go without saying where for four learners',
    most: 4,
    toMark: true,
    from: '/marking/hour',
    async does(page, h) {
      await page.locator('[data-cell]').first().waitFor();
      await h.press('checkbox', 'Choose Learner 3');
      await h.with('Shift', 'checkbox', 'Choose Learner 6');
      await page.getByText('4 chosen').waitFor();
      await h.press('button', 'Another go, without saying where');
      await page.getByText('Another go asked for: 4').waitFor();
    },
  },
];

/** `backup` is a file with an hour's work to mark. */
export async function benchActions(backup) {
  const server = spawn('node', [`${root}/packages/hub/dist/main.js`], {
    env: { ...process.env, PORT: `${PORT}` },
    stdio: 'ignore',
  });
  const browser = await launch();
  try {
    for (let i = 0; i < 60; i++) {
      const up = await fetch(BASE).catch(() => null);
      if (up?.ok) break;
      await new Promise((done) => setTimeout(done, 250));
    }
    const rows = [];
    for (const task of TASKS) {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      await demo(page, task, backup);
      const h = hands(page);
      await task.does(page, h);
      rows.push({ bench: `actions: ${task.name}`, actions: h.count(), most: task.most, kept: h.count() <= task.most });
      await page.close();
    }
    return rows;
  } finally {
    await browser.close();
    server.kill();
  }
}
