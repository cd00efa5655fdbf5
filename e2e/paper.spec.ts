import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { faults, kept, openDemo, reload, sitDown, watchErrors } from './helpers';

/** What was photographed: drawings stand for it. */
const sheet = (name: string) => ({
  name: `${name}.svg`,
  mimeType: 'image/svg+xml',
  buffer: Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="420" height="594"><rect width="420" height="594" fill="#fff"/><text x="40" y="80" font-size="30">${name}</text></svg>`,
  ),
});
/** How many wait: while files are read, the line of progress counts too. */
const waits = (page: Page, count: RegExp) =>
  page.getByRole('region', { name: 'The sheet to place' }).getByRole('heading', { name: count });
const row = (page: Page, name: string) =>
  page.getByRole('region', { name: 'Learners' }).locator('.learners > li').filter({ hasText: name });

test('what was done on paper is placed by hand, marked like all else, and told in a report', async ({ page }) => {
  test.setTimeout(90_000);
  const errors = watchErrors(page);
  await openDemo(page, '/marking/h-survey/paper');
  await page.getByLabel('Photographs or scans').setInputFiles([sheet('Corin'), sheet('Tamsin'), sheet('Nobody')]);
  await expect(waits(page, /1 of 3$/)).toBeVisible();
  // By a few letters and Enter; by a press; what is no sheet at all is thrown away.
  await page.getByLabel('Find a learner').fill('cor');
  await page.keyboard.press('Enter');
  await expect(waits(page, /1 of 2$/)).toBeVisible();
  await page.getByRole('button', { name: 'Tamsin W., page 2' }).click();
  expect(await faults(page)).toEqual([]);
  // Large, it can be turned and looked at closely; Escape leads back.
  const large = page
    .getByRole('region', { name: 'The sheet to place' })
    .getByRole('button', { name: /^Look at it large/ });
  await large.click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await faults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('button', { name: 'Throw it away' }).click();
  await expect(page.getByRole('heading', { name: 'No sheet waits to be placed' })).toBeVisible();
  await expect(row(page, 'Corin B.')).toContainText('submitted');
  await kept(page);
  await reload(page);
  await expect(page.getByRole('img', { name: 'Tamsin W., page 2' })).toBeVisible();
  // Taken off, it is the next to be placed, and the go that was nothing else is gone.
  await page.getByRole('button', { name: 'Take off: Tamsin W., page 2' }).click();
  await expect(waits(page, /1 of 1$/)).toBeVisible();
  await expect(row(page, 'Tamsin W.')).toContainText('another go');

  await page.getByRole('link', { name: 'Everybody' }).click();
  const cell = page.getByRole('button', { name: 'Corin B., question 1: yours to mark' });
  await cell.click();
  const work = page.getByRole('complementary', { name: 'The work' });
  await expect(work.getByRole('img', { name: 'What Corin B. did on paper, 1 of 1' })).toBeVisible();
  await expect(work.getByText('Nothing was given.')).toHaveCount(0);
  // Written on, in a layer of its own.
  await work.getByRole('button', { name: 'Write on it' }).click();
  const pad = work.locator('lv-drawing-pad .sheet');
  await pad.evaluate((e) => e.scrollIntoView({ block: 'center' }));
  const box = await pad.boundingBox();
  await page.mouse.move((box?.x ?? 0) + 40, (box?.y ?? 0) + 40);
  await page.mouse.down();
  await page.mouse.move((box?.x ?? 0) + 140, (box?.y ?? 0) + 70, { steps: 8 });
  await page.mouse.up();
  await expect(pad.locator('path')).toHaveCount(1);
  await work.getByRole('button', { name: 'All of it right' }).click();
  await expect(page.getByRole('row', { name: /Corin B/ })).toContainText('13/13');
  await work.getByLabel('Points for the whole').fill('12');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /Corin B/ })).toContainText('12/13');
  await work.getByLabel('A word to Corin B. on the whole work').fill('Clear writing, Corin.');
  await work.getByRole('button', { name: 'Complete', exact: true }).click();
  await expect(page.getByRole('row', { name: /Corin B/ })).toContainText('complete');

  await page.getByRole('link', { name: 'Let out' }).click();
  await page.getByRole('button', { name: 'Corin B.', exact: true }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'For Corin B.', exact: true }).click(),
  ]);
  const pdf = readFileSync(await download.path());
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  // What was written is a document that can be read: here, page by page.
  await page.getByRole('link', { name: 'On paper' }).click();
  await page
    .getByLabel('Photographs or scans')
    .setInputFiles({ name: 'report.pdf', mimeType: 'application/pdf', buffer: pdf });
  await expect(waits(page, /1 of [2-4]$/)).toBeVisible();
  await kept(page);

  await sitDown(page, 'Heron class', 'Corin B.');
  await page.getByRole('link', { name: /Rock-pool survey/ }).click();
  await expect(page.getByText('Clear writing, Corin.')).toBeVisible();
  const back = page.locator('lv-teacher-words lv-drawing-pad');
  await expect(
    back.getByRole('img', { name: 'What you did on paper, and what your teacher wrote on it' }).first(),
  ).toBeVisible();
  await expect(back.locator('path')).toHaveCount(1);
  expect(await faults(page, 'most')).toEqual([]);
  expect(errors).toEqual([]);
});

test('answers reach one learner before the others, and are kept back from one while others see them', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await openDemo(page, '/marking/h-survey/out');
  await page.getByRole('button', { name: 'Let the answers out: Perran D.' }).click();
  await expect(page.getByRole('button', { name: 'Keep the answers back: Perran D.' })).toBeVisible();
  await kept(page);
  const key = page.getByText('The answer:');
  const look = async (name: string) => {
    await sitDown(page, 'Heron class', name);
    await page.getByRole('link', { name: /Rock-pool survey/ }).click();
    await expect(page.getByRole('heading', { name: 'Life between the tides' })).toBeVisible();
  };
  await look('Perran D.');
  await expect(key.first()).toBeVisible();
  await look('Jory S.');
  await expect(key).toHaveCount(0);
  expect(errors).toEqual([]);
});
