import { expect, type Page, test } from '@playwright/test';
import { openDemo, sitDown, stands } from './helpers';

const LETTERS = 'abcdefghijklmno';

/** Ends a page as a machine does that loses its power: no page is told, nothing is said good-bye to. */
async function kill(page: Page): Promise<void> {
  const cdp = await page.context().newCDPSession(page);
  const gone = page.waitForEvent('crash');
  void cdp.send('Page.crash').catch(() => undefined);
  await gone;
  await page.close();
}

test('killed fifteen times in the middle of a word, nothing is lost that was said to be saved', async ({ page, context }) => {
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
