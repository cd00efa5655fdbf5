import { expect, type Page, test } from '@playwright/test';
import { choose, kept, openDemo, rewrite, sitDown } from './helpers';

/* Twelve mistakes that cost most, each made as a teacher would make it: it is impossible, or it is said. */

const give = (page: Page) => page.getByRole('button', { name: /^(Schedule for|Give out to) / });
async function planFor(page: Page, from: string, who: RegExp): Promise<void> {
  await page.goto(from);
  await page.getByRole('link', { name: 'Hand out', exact: true }).click();
  await page.getByRole('checkbox', { name: who }).check();
  if (!from.split('/')[3]) await page.getByRole('button', { name: 'Master for everyone' }).click();
}
async function givenTo(page: Page): Promise<void> {
  const why = page.getByLabel(/may stay, because/);
  if (await why.count()) await why.fill('as agreed');
  await give(page).click();
  await expect(page.getByText(/(Given out to|Scheduled for) \d+ learners/)).toBeVisible();
  await kept(page);
}

test('the wrong way of sharing: what does not suit cannot be chosen, and says why', async ({ page }) => {
  await openDemo(page, '/hand-outs/h-bike');
  await page.getByRole('button', { name: /^How/ }).click();
  await expect(page.getByRole('radio', { name: /^One for all, that all write in together/ })).toBeDisabled();
  await expect(page.getByText('one sheet for all has one')).toBeVisible();
  await page.getByRole('radio', { name: /^To read/ }).check();
  await page.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByText(/has \d questions/).first()).toBeVisible();
});

test('answers left in: a question that says its own answer is named before it is given', async ({ page }) => {
  await openDemo(page, '/bench/puncture');
  const question = page.locator('[data-block="pun-q2"]');
  await rewrite(question, /^Question/, 'Bubbles rise where the hole is. What rises?');
  await page.getByRole('button', { name: /^Save as revision/ }).click();
  await kept(page);
  await planFor(page, '/bench/puncture', /^Heron class/);
  await page.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByText('A question says its own answer')).toBeVisible();
  await expect(give(page)).toBeDisabled();
});

test('the original changed: what was given stays as it was given', async ({ page }) => {
  await openDemo(page);
  await planFor(page, '/bench/puncture', /^Heron class/);
  await givenTo(page);
  await page.goto('/bench/puncture');
  await rewrite(page.locator('[data-block="pun-h1"]'), /^Heading/, 'Quite another heading');
  await page.getByRole('button', { name: /^Save as revision/ }).click();
  await kept(page);
  await sitDown(page, 'Heron class', 'Kerra L.');
  await page.getByRole('link', { name: /^Start/ }).click();
  await expect(page.getByRole('heading').nth(1)).toBeVisible();
  await expect(page.getByText('Quite another heading')).toBeHidden();
});

test('a learner with no version: nothing is given until everybody has one', async ({ page }) => {
  await openDemo(page, '/hand-outs/h-bike');
  await expect(page.getByText('7 learners have no version')).toBeVisible();
  await expect(give(page)).toBeDisabled();
});

test('overlapping groups: who is in one is not offered to another', async ({ page }) => {
  await openDemo(page, '/hand-outs/h-bike');
  await page.getByRole('button', { name: /^How/ }).click();
  await page.getByRole('radio', { name: /^One per group/ }).check();
  await choose(page.getByLabel('Take a group'), 'Limpets');
  await page.getByRole('button', { name: 'A group', exact: true }).click();
  const other = page.getByRole('region').filter({ hasText: 'Nobody is in it yet.' });
  await other.getByText('who is in none').click();
  await page.getByRole('searchbox').fill('brannoc');
  await expect(page.getByRole('option', { name: 'Brannoc T.' })).toBeHidden();
  await page.getByRole('searchbox').fill('jory');
  await expect(page.getByRole('option', { name: 'Jory S.' })).toBeVisible();
});

test('a hidden thing thought visible: who sees it is said in words, before and after', async ({ page }) => {
  await openDemo(page, '/learners?part=a-print');
  await page.getByRole('link', { name: 'Hand out to them' }).click();
  await page.getByRole('button', { name: /^A notice/ }).click();
  await page.getByLabel('What it says').fill('Bring books.');
  await page.getByRole('button', { name: /^How/ }).click();
  await expect(page.getByText('2 learners will see it as soon as it is given')).toBeVisible();
  await givenTo(page);
  await page.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByText('2 learners see it at the desk')).toBeVisible();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('Nobody sees it at the desk')).toBeVisible();
});

test('work erased by a button: taken away and given again, all of it is there', async ({ page }) => {
  await openDemo(page, '/hand-outs/h-survey');
  await page.getByRole('button', { name: 'More for Kerra L.' }).click();
  await page.getByRole('menuitem', { name: 'Take it away; what was done stays' }).click();
  await expect(page.getByText('taken away from Kerra L.')).toBeVisible();
  await kept(page);
  await page.getByRole('button', { name: 'Undo: take it away from Kerra L.' }).click();
  await kept(page);
  await sitDown(page, 'Heron class', 'Kerra L.');
  await page.getByRole('link', { name: /^Look/ }).first().click();
  await expect(page.getByRole('textbox').first()).not.toHaveValue('');
});

test('work done but not submitted: it comes first at the desk, and the teacher is told who is still at it', async ({
  page,
}) => {
  await openDemo(page);
  await sitDown(page, 'Heron class', 'Lamorna J.');
  await expect(page.getByText('Do this first')).toBeVisible();
  await expect(page.getByRole('link', { name: /^Go on/ })).toBeVisible();
  await page.goto('/marking');
  await expect(page.getByRole('row', { name: /Rock-pool survey/ })).toContainText('31 to start');
  await page.goto('/marking/h-survey');
  await expect(page.getByRole('row', { name: /Lamorna J\./ })).toContainText('working');
});

test('a version behind its master: it is named, and given only with a reason', async ({ page }) => {
  await openDemo(page);
  await planFor(page, '/bench/rock-pool/rp-sup', /^Kestrel class/);
  await page.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByText('Supported is behind its master')).toBeVisible();
  await expect(give(page)).toBeDisabled();
  await page.getByLabel(/may stay, because/).fill('decided next week');
  await expect(give(page)).toBeEnabled();
});

test('not knowing which is which: two pieces of work of one name are not given to one learner', async ({ page }) => {
  await openDemo(page);
  await planFor(page, '/bench/rock-pool', /^Heron class/);
  await page.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByText('They have “Rock-pool survey” already')).toBeVisible();
  await expect(give(page)).toBeDisabled();
  await page.getByRole('button', { name: 'Change the title' }).click();
  await page.getByLabel('Title learners see').fill('Rock pools, part two');
  await page.getByLabel('Title learners see').press('Tab');
  await page.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByText('They have “Rock-pool survey” already')).toBeHidden();
});

test('a page in another order than expected: learners turn the pages as they stand on the Bench', async ({ page }) => {
  await openDemo(page, '/bench/rock-pool/rp-core');
  await expect(page.locator('[data-block="rp-q10"]')).toBeVisible();
  const onBench = (await page.locator('[data-block]').allTextContents()).join('\n');
  await page.goto('/look/h-survey/l-jory');
  const seen: string[] = [];
  for (let i = 1; i <= 3; i++) {
    await expect(page.getByText(`page ${i} of 3`)).toBeVisible();
    seen.push(...(await page.locator('main .prompt').allTextContents()));
    if (i < 3) await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  // Those whose words were changed since are left out of the comparison.
  const at = seen.map((s) => onBench.indexOf(s.trim().replace(/^\d+\s*/, ''))).filter((n) => n >= 0);
  expect(at.length).toBeGreaterThan(5);
  expect(at).toEqual([...at].sort((a, b) => a - b));
});

test('a pasted link that is not the one meant: where it leads is said, and what leads nowhere is refused', async ({
  page,
}) => {
  await openDemo(page);
  await planFor(page, '/bench/puncture', /^Heron class/);
  await page.getByRole('button', { name: /^What/ }).click();
  const field = page.getByLabel('Address that goes with it');
  await field.fill('javascript:alert(1)');
  await field.press('Enter');
  await expect(page.getByText('is no address of the web')).toBeVisible();
  for (const end of ['a', 'a']) {
    await field.fill(`https://tides.example/${end}`);
    await field.press('Enter');
  }
  await expect(page.getByText('leads to tides.example').first()).toBeVisible();
  await page.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByText(/lead to the same page/)).toBeVisible();
});
