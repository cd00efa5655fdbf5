// Looking at work in Chromium: a grid of 120 learners by 40 questions, and one question with 400 answers.
import { figure, GOES, noting, withBackup } from './bench-tasks.mjs';

const GRID = [
  ['opening', 'opening it'],
  ['moving', 'moving by keys'],
  ['marking', 'marking an answer'],
  ['scrolling', 'scrolling to its foot'],
  ['sorting', 'sorting it by points'],
  ['folding', 'folding a page'],
];
const QUESTION = [
  ['asked', 'opening it'],
  ['heap', 'marking alike answers'],
  ['rest', 'marking all that is left'],
];

/** Milliseconds from the press on a hand-out of the list to its first row. */
async function firstSight(context, base, title) {
  const page = await context.newPage();
  await page.goto(`${base}/marking`);
  const link = page.getByRole('link', { name: title, exact: true });
  await link.waitFor();
  await page.waitForTimeout(1500);
  const ms = await page.evaluate(
    (name) =>
      new Promise((done) => {
        const from = performance.now();
        const look = () =>
          document.querySelector('[data-cell]') ? done(performance.now() - from) : requestAnimationFrame(look);
        [...document.querySelectorAll('a')].find((a) => a.textContent.trim() === name).click();
        requestAnimationFrame(look);
      }),
    title,
  );
  await page.close();
  return ms;
}

async function oneGo(context, base) {
  const page = await context.newPage();
  const tasks = {};
  const during = noting(page, tasks);
  const settle = () => page.waitForTimeout(1200);
  await page.goto(`${base}/marking`);
  const link = page.getByRole('link', { name: 'Work large', exact: true });
  await link.waitFor();
  await settle();
  await during('opening', async () => {
    await link.click();
    await page.locator('[data-cell]').first().waitFor();
    await settle();
  });
  await page.locator('[data-cell="0-0"]').click();
  await during('moving', async () => {
    for (let i = 0; i < 12; i++) await page.keyboard.press(i % 3 ? 'ArrowDown' : 'ArrowRight');
    await settle();
  });
  await during('marking', async () => {
    await page.keyboard.press('2');
    await settle();
  });
  await during('scrolling', async () => {
    const grid = page.locator('.scroll').first();
    for (let at = 600; at < 5000; at += 600) {
      await grid.evaluate((e, y) => (e.scrollTop = y), at);
      await page.waitForTimeout(120);
    }
    await settle();
  });
  await during('sorting', async () => {
    await page.getByRole('columnheader', { name: 'Points' }).getByRole('button').click();
    await settle();
  });
  await page.getByRole('button', { name: /^Show all/ }).click();
  await page.getByRole('combobox', { name: 'Questions by' }).click();
  await page.getByRole('option', { name: 'page', exact: true }).click();
  await settle();
  await during('folding', async () => {
    await page.getByRole('button', { name: /^Page 1/ }).click();
    await settle();
  });
  await page.keyboard.press('Control+z');
  await page.goto(`${base}/marking/many`);
  await page.locator('[data-cell]').first().waitFor();
  await settle();
  await during('asked', async () => {
    await page.getByRole('link', { name: 'One question' }).click();
    await page.locator('[data-heap]').first().waitFor();
    await settle();
  });
  await during('heap', async () => {
    await page.locator('[data-heap="0"]').focus();
    await page.keyboard.press('2');
    await settle();
  });
  await page.goto(`${base}/marking/many/question?item=many-q13`);
  await page.locator('[data-heap]').first().waitFor();
  await settle();
  await during('rest', async () => {
    await page.getByRole('button', { name: /left: right/ }).click();
    await settle();
  });
  for (let i = 0; i < 2; i++) await page.keyboard.press('Control+z');
  await page.getByText('All kept').waitFor();
  await page.close();
  return tasks;
}

const middle = (all) => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0;

export const benchMarking = (backup) =>
  withBackup(4397, backup, async (context, base) => {
    const few = [];
    const large = [];
    for (let go = 0; go < GOES; go++) {
      few.push(await firstSight(context, base, 'Work few'));
      large.push(await firstSight(context, base, 'Work large'));
    }
    console.log('first sight, ms:', few.map(Math.round).join(', '), '|', large.map(Math.round).join(', '));
    const goes = [];
    for (let go = 0; go < GOES; go++) goes.push(await oneGo(context, base));
    return [
      {
        figure: 'A grid of 120 learners by 40 questions: first sight, to one of 12',
        ratio: Number((middle(large) / middle(few)).toFixed(2)),
        'at most': 2,
      },
      ...GRID.map(([doing, words]) => figure('A grid of 120 learners by 40 questions', doing, words, goes)),
      ...QUESTION.map(([doing, words]) => figure('One question with 400 answers', doing, words, goes)),
    ];
  });
