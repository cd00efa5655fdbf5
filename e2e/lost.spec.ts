import { expect, type Page, test } from '@playwright/test';
import { kept, openDemo, sitDown, stands } from './helpers';

const LETTERS = 'abcdefghijklmno';

/** Ends a page as a machine does that loses its power: no page is told, nothing is said good-bye to. */
async function kill(page: Page): Promise<void> {
  const cdp = await page.context().newCDPSession(page);
  const gone = page.waitForEvent('crash');
  void cdp.send('Page.crash').catch(() => undefined);
  await gone;
  await page.close();
}

test('killed fifteen times in the middle of a word, nothing is lost that was said to be saved', async ({
  page,
  context,
}) => {
  test.slow();
  await openDemo(page);
  let now = page;
  let acknowledged = '';
  for (const letter of LETTERS) {
    await sitDown(now, 'Heron class', 'Demelza K.');
    await now.getByRole('link', { name: /^Go on/ }).click();
    const field = now.getByRole('textbox').first();
    await expect(field).toBeVisible();
    await stands(now);
    const before = await field.inputValue();
    // All that was acknowledged is there; of what was typed after it, some may be.
    expect(before.startsWith(acknowledged)).toBe(true);
    await field.press('End');
    await field.pressSequentially(letter);
    // Two frames, so that what it says is of now, and not of before.
    await now.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    await expect(now.locator('header').getByText('Saved', { exact: true })).toBeVisible();
    acknowledged = `${before}${letter}`;
    await field.pressSequentially('~');
    const next = await context.newPage();
    await kill(now);
    now = next;
  }
  await sitDown(now, 'Heron class', 'Demelza K.');
  await now.getByRole('link', { name: /^Go on/ }).click();
  const all = await now.getByRole('textbox').first().inputValue();
  expect(all.replaceAll('~', '').endsWith(LETTERS)).toBe(true);
});

test('a fresh start comes back after a reload, each step is taken back by keys, and what is submitted until it is marked', async ({
  page,
}) => {
  await openDemo(page);
  await sitDown(page, 'Heron class', 'Corin B.');
  await page.getByRole('link', { name: /^Start/ }).click();
  const mussel = page.getByRole('radio', { name: 'Mussel' });
  await mussel.check();
  await page.getByRole('checkbox', { name: 'A closed shell' }).check();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('checkbox', { name: 'A closed shell' })).not.toBeChecked();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByRole('checkbox', { name: 'A closed shell' })).toBeChecked();
  await page.getByRole('button', { name: 'Start afresh …' }).click();
  await page.getByRole('button', { name: 'Start afresh', exact: true }).click();
  await expect(mussel).not.toBeChecked();
  await expect(page.locator('header').getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /^Bring back what I wrote/ }).click();
  await expect(mussel).toBeChecked();
  await expect(page.getByRole('checkbox', { name: 'A closed shell' })).toBeChecked();

  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'Submit …' }).click();
  // What is empty is one press away.
  await page.getByRole('button', { name: 'Question 4', exact: true }).click();
  await expect(page.getByText('page 2 of 3')).toBeVisible();
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'Submit …' }).click();
  await page.getByRole('button', { name: 'Submit now' }).click();
  await expect(page.getByRole('heading', { name: 'Hello, Corin' })).toBeVisible();
  await page.getByRole('link', { name: /^Look.*Rock-pool/ }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(mussel).toBeEnabled();
  await page.getByRole('button', { name: 'My work' }).click();
  await expect(page.getByRole('link', { name: /^Go on/ })).toBeVisible();

  const teacher = await page.context().newPage();
  await teacher.goto('/marking/h-survey');
  await teacher.getByRole('button', { name: /^Corin B\., question 1:/ }).click();
  await teacher.getByRole('button', { name: 'Submit for Corin B.' }).click();
  await teacher.getByLabel(/^A word to Corin/).fill('Begun well.');
  await teacher.getByLabel(/^A word to Corin/).blur();
  await kept(teacher);
  await page.getByRole('link', { name: /^Look.*Rock-pool/ }).click();
  await expect(page.getByText('Submitted', { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it back' })).toHaveCount(0);
});
