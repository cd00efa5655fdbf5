import { type Browser, expect, type Page, test } from '@playwright/test';
import { faults, kept, openDemo, sitDown, stands, watchErrors } from './helpers';

/** Nothing runs out at the side, and what is pressed is large enough for a finger. */
async function fits(page: Page, where: string): Promise<void> {
  await stands(page);
  const found = await page.evaluate(() => {
    const small = Array.from(document.querySelectorAll<HTMLElement>('button, select, summary, a.btn'))
      .filter((e) => e.checkVisibility({ visibilityProperty: true }) && !e.closest('[inert], .sr'))
      .map((e) => ({
        says: e.getAttribute('aria-label') ?? e.textContent?.trim() ?? '',
        box: e.getBoundingClientRect(),
      }))
      .filter(({ box }) => box.width > 1 && Math.min(box.width, box.height) < 43.5)
      .map(({ says, box }) => `${says}: ${Math.round(box.width)} by ${Math.round(box.height)}`);
    return { over: document.documentElement.scrollWidth - innerWidth, small };
  });
  expect(found, where).toEqual({ over: 0, small: [] });
}

const finger = async (browser: Browser, width: number, height: number) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1280, height: 800 } });
  await context.addInitScript(() => localStorage.setItem('lorvet-devices', 'stand-in'));
  const page = await context.newPage();
  await openDemo(page, '/desk');
  await page.setViewportSize({ width, height });
  return page;
};

// The last is 1280 by 1024 at 400 %.
for (const [width, height] of [
  [820, 1180],
  [390, 844],
  [320, 256],
] as const)
  test(`the whole desk by touch at ${width} by ${height}: found, heard, helped, answered, submitted, taken back`, async ({
    browser,
  }) => {
    test.setTimeout(120_000);
    const page = await finger(browser, width, height);
    const errors = watchErrors(page);
    const tap = async (role: 'button' | 'link', name: string | RegExp) =>
      await page
        .getByRole(role, { name, exact: typeof name === 'string' })
        .first()
        .tap();
    await fits(page, 'the classes');
    await tap('button', 'Heron class');
    await fits(page, 'the names');
    await tap('button', 'Corin B.');
    await page.getByRole('heading', { name: 'Hello, Corin' }).waitFor();
    await fits(page, 'my work');
    await tap('link', /^Start/);
    await page.waitForURL('**/h-survey');
    await fits(page, 'the sheet');
    await tap('button', /^Aa/);
    await fits(page, 'comfort');
    await page.getByRole('checkbox', { name: 'Larger buttons' }).tap();
    await fits(page, 'larger buttons');
    await tap('button', /^Aa/);
    await tap('button', 'Hear it');
    await tap('button', 'Word help');
    await tap('button', 'Word after');
    await expect(page.getByRole('dialog', { name: 'Word help' })).toBeVisible();
    await fits(page, 'word help');
    await page.getByRole('dialog', { name: 'Word help' }).getByRole('button', { name: 'Close' }).tap();
    await tap('button', 'Stop reading');
    await page.getByRole('radio').first().tap();
    await tap('button', 'Undo');
    await expect(page.getByRole('radio').first()).not.toBeChecked();
    await tap('button', 'Redo');
    for (let at = 2; at <= 3; at++) {
      await tap('button', 'Next');
      await fits(page, `page ${at}`);
    }
    await tap('button', 'Submit …');
    // What it asks is in sight, and not under the bar.
    const asked = page.getByRole('alertdialog');
    await expect(asked).toBeFocused();
    await expect(asked.getByRole('heading')).toBeInViewport({ ratio: 1 });
    await fits(page, 'submitting');
    await asked.getByRole('button', { name: 'Question 2' }).tap();
    await expect(page.getByText(/page 1 of 3/)).toBeVisible();
    await expect(page.getByText('Choose all that are right.')).toBeInViewport();
    for (let i = 0; i < 2; i++) await tap('button', 'Next');
    await tap('button', 'Submit …');
    await tap('button', 'Submit now');
    await page.waitForURL('**/desk/work');
    await tap('link', /^Look.*Rock-pool/);
    await tap('button', 'Take it back');
    await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
    expect(errors).toEqual([]);
    await page.context().close();
  });

test('the desk speaks the language that was chosen at its door or in comfort, in its direction; the teacher’s places stay', async ({
  page,
}) => {
  test.setTimeout(90_000);
  const errors = watchErrors(page);
  await openDemo(page, '/desk');
  await page.getByLabel('Language of the desk').selectOption('uk');
  await expect(page.getByRole('heading', { name: 'У якому ти класі?' })).toBeVisible();
  await page.getByRole('button', { name: 'Heron class' }).click();
  await page.getByRole('button', { name: 'Demelza K.' }).click();
  await expect(page.getByRole('heading', { name: 'Привіт, Demelza' })).toBeVisible();
  await expect(page).toHaveTitle('Мої роботи');
  await expect(page.getByText('Ти маєш 4 відповідей із 11.')).toBeVisible();
  expect(await faults(page, 'most'), 'my work').toEqual([]);
  await page.getByRole('link', { name: /^Далі/ }).click();
  await expect(page.getByText('Збережено')).toBeVisible();
  await page.getByRole('button', { name: 'Aa Зручність' }).click();
  await page.getByLabel('Мова столу').selectOption('ar');
  const html = page.locator('html');
  await expect(html).toHaveAttribute('dir', 'rtl');
  await expect(html).toHaveAttribute('lang', 'ar');
  await expect(page.getByRole('button', { name: 'التالي' })).toBeVisible();
  // What the teacher wrote runs as it did.
  expect(await page.locator('section.page').evaluate((e) => getComputedStyle(e).direction)).toBe('ltr');
  expect(await faults(page, 'most'), 'the sheet').toEqual([]);
  for (const size of [
    { width: 1280, height: 800 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(size);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  // It is the learner's own: kept wherever they sit down, and no one else's.
  await page.reload();
  await expect(page.getByRole('button', { name: 'التالي' })).toBeVisible();
  await page.goto('/desk');
  await expect(page.getByRole('heading', { name: 'У якому ти класі?' })).toBeVisible();
  await page.getByLabel('Мова столу').selectOption('en');
  await sitDown(page, 'Heron class', 'Corin B.');
  await page.goto('/shelf');
  await kept(page);
  await expect(html).not.toHaveAttribute('dir', 'rtl');
  await expect(html).toHaveAttribute('lang', 'en');
  expect(errors).toEqual([]);
});

test('in forced colours the desk tells by lines and words what is chosen, where one is, what is right', async ({
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await openDemo(page);
  await sitDown(page, 'Heron class', 'Perran');
  await page.getByRole('link', { name: /Look.*Rock-pool/ }).click();
  await expect(page.getByRole('heading', { name: 'What went well' })).toBeVisible();
  await expect(page.getByText('Right', { exact: true }).first()).toBeVisible();
  expect(await faults(page), 'after marking').toEqual([]);
  await sitDown(page, 'Heron class', 'Corin B.');
  await page.getByRole('link', { name: /^Start/ }).click();
  const choice = page.locator('.choice').first();
  const line = async () =>
    await choice.evaluate((e) => getComputedStyle(e).outlineStyle + getComputedStyle(e).borderColor);
  const before = await line();
  await choice.click();
  await expect.poll(line).not.toBe(before);
  const dots = page.locator('lv-page-dots i');
  const looks = async (n: number) => await dots.nth(n).evaluate((e) => getComputedStyle(e).backgroundColor);
  expect(await looks(0)).not.toBe(await looks(1));
  await page.getByRole('button', { name: 'Hear it' }).click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  expect(await faults(page), 'reading').toEqual([]);
});

test('notes go to and fro while the work is still open, and the teacher’s voice comes with the decision', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await context.addInitScript(() => localStorage.setItem('lorvet-devices', 'stand-in'));
  const page = await context.newPage();
  await openDemo(page);
  const toNotes = async () => {
    await sitDown(page, 'Kestrel class', 'Nessa');
    await page.getByRole('link', { name: /Market day/ }).click();
    await stands(page);
  };
  await toNotes();
  for (let at = 2; at <= 5; at++) {
    await page.getByRole('button', { name: 'Next' }).click();
    await expect(page.getByText(`page ${at} of 6`)).toBeVisible();
  }
  await page.getByRole('textbox', { name: /anything you want to tell me/ }).fill('Our apples are green.');
  await expect(page.getByText('Saved')).toBeVisible();
  await page.goto('/marking/h-market');
  await kept(page);
  const work = page.getByRole('complementary', { name: 'The work' });
  await page
    .getByRole('button', { name: /^Nessa .*question 27/ })
    .or(page.getByRole('button', { name: /^Nessa .*question 19/ }))
    .first()
    .click();
  await work.getByLabel(/^A note back to/).fill('Then paint them green!');
  await work.getByRole('button', { name: 'Give it now' }).click();
  await expect(work.getByText('Then paint them green!')).toBeVisible();
  await work.getByRole('button', { name: /^Say it to/ }).click();
  await work.getByRole('button', { name: 'Record', exact: true }).click();
  await work.getByRole('button', { name: 'Stop recording' }).click();
  await expect(work.getByRole('button', { name: 'Take the recording away' })).toBeVisible();
  await expect(work.locator('audio')).toBeVisible();
  await kept(page);
  await toNotes();
  await expect(page.getByText('Then paint them green!')).toBeVisible();
  await page.getByRole('textbox', { name: /anything you want to tell me/ }).fill('Our apples are green. I did!');
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'Submit …' }).click();
  await page.getByRole('button', { name: 'Submit now' }).click();
  await page.goto('/marking/h-market');
  await kept(page);
  await page.getByRole('button', { name: /^Nessa .*question 1:/ }).click();
  await page.getByRole('button', { name: 'Complete', exact: true }).click();
  await kept(page);
  await sitDown(page, 'Kestrel class', 'Nessa');
  await page.getByRole('link', { name: /Market day/ }).click();
  await expect(page.getByText('Your teacher speaks to you:')).toBeVisible();
  await expect(page.locator('audio[aria-label="Your teacher’s words, to listen to"]')).toBeVisible();
  // Also of work that is finished a learner can tell something; the rest of it stays as it was.
  for (let at = 2; at <= 5; at++) await page.getByRole('button', { name: 'Next' }).click();
  const place = page.getByRole('textbox', { name: /anything you want to tell me/ });
  await place.fill('They are green now. Look!');
  await expect(page.getByRole('button', { name: 'Take a photograph' })).toHaveCount(0);
  await page.getByRole('button', { name: 'My work' }).click();
  await page.goto('/marking/h-market');
  await kept(page);
  await page
    .getByRole('button', { name: /^Nessa .*question 27/ })
    .or(page.getByRole('button', { name: /^Nessa .*question 19/ }))
    .first()
    .click();
  await expect(work.getByText('They are green now. Look!').first()).toBeVisible();
  await expect(page.getByText(/complete · go 1/).first()).toBeVisible();
  await context.close();
});
