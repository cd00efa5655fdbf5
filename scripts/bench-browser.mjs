// The Bench with a large family in Chromium: the browser's own record of long tasks while somebody types and scrolls.
import { figure, GOES, noting, withBackup } from './bench-tasks.mjs';

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
  const during = noting(page, tasks);
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

export const benchInBrowser = (backup) =>
  withBackup(4397, backup, async (context, base) => {
    const rows = [];
    for (const [what, path] of [
      ['a version', '/bench/large/v0'],
      ['the master', '/bench/large'],
    ]) {
      const goes = [];
      for (let go = 0; go < GOES; go++) goes.push(await oneGo(context, `${base}${path}`));
      for (const [doing, words] of DOINGS)
        rows.push(figure(`Bench, ${what} of 400 blocks with 30 versions`, doing, words, goes));
    }
    return rows;
  });
