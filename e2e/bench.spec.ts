import { expect, type Page, test } from '@playwright/test';
import { choose, kept, openDemo, reload, rewrite } from './helpers';

const block = (page: Page, id: string) => page.locator(`[data-block="${id}"]`);
const panel = (page: Page) => page.locator('lv-version-panel');
const line = (page: Page, words: string) => page.locator('.line').filter({ hasText: words });

test('a version is made by pressing and typing: choices, hint, bank, pages, own block', async ({ page }) => {
  await openDemo(page, '/bench/puncture/pun-core');

  await block(page, 'pun-q3').focus();
  await choose(panel(page).getByLabel('Fewer choices'), '3');
  await expect(line(page, 'straight after').getByText('4 → 3')).toBeVisible();
  await expect(block(page, 'pun-q3').getByText('Roughen the rubber')).toBeHidden();
  await expect(block(page, 'pun-q3').getByText('Wait until it is dry')).toBeVisible();
  await choose(panel(page).getByLabel('Fewer choices'), '4');
  await expect(line(page, 'straight after').getByText('fewer choices')).toBeHidden();

  await panel(page).getByLabel('Hint', { exact: true }).fill('You wait until it is dry.');
  await panel(page).getByLabel('Hint', { exact: true }).press('Tab');
  await expect(line(page, 'straight after').getByText('modification')).toBeVisible();
  await panel(page).getByLabel('Hint', { exact: true }).fill('Look for the last words of the text.');
  await panel(page).getByLabel('Hint', { exact: true }).press('Tab');
  await expect(line(page, 'straight after').getByText('accommodation')).toBeVisible();

  await panel(page).getByRole('button', { name: 'Word bank from the keys (2)' }).click();
  await expect(page.getByText('bubbles · lever')).toBeVisible();
  await panel(page).getByLabel('Word bank on this page').fill('bubbles, lever, glue');
  await panel(page).getByLabel('Word bank on this page').press('Tab');
  await expect(page.getByText('bubbles · lever · glue')).toBeVisible();

  await panel(page).getByRole('button', { name: 'Choose nothing' }).click();
  await panel(page).getByText('Pages kept').click();
  await panel(page).getByRole('checkbox', { name: 'Think like a mechanic' }).uncheck();
  await expect(panel(page).getByText('A modification')).toBeVisible();
  await expect(
    panel(page).getByText('“Give reasons for a step” has no question left in this version.', { exact: true }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Put the page back' }).click();
  await expect(panel(page).getByText('An accommodation')).toBeVisible();

  await reload(page);
  await expect(page.getByText('bubbles · lever · glue')).toBeVisible();
});

test('an adjustment is named, given a reason, overruled, switched off and removed', async ({ page }) => {
  await openDemo(page, '/bench/rock-pool/rp-oriel');
  await block(page, 'rp-q1').focus();
  const card = panel(page).getByRole('listitem').filter({ hasText: 'offers 2 choices in place of 3' });
  await card.getByLabel('Reason').fill('Agreed on 3 October');
  await card.getByLabel('Reason').press('Tab');
  await expect(line(page, 'close its shell').getByText('Agreed on 3 October')).toBeVisible();
  await card.getByText('More').click();
  await card.getByLabel('Name').fill('Two to choose from');
  await card.getByLabel('Name').press('Tab');
  await expect(line(page, 'close its shell').getByText('Two to choose from')).toBeVisible();
  await choose(card.getByLabel('Your own judgement'), 'accommodation');
  await expect(card.getByText('(computed: modification)')).toBeVisible();
  await card.getByLabel('in force').uncheck();
  await expect(block(page, 'rp-q1').getByText('Shrimp')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(block(page, 'rp-q1').getByText('Shrimp')).toBeHidden();
  await card.getByRole('button', { name: 'Remove' }).click();
  await expect(block(page, 'rp-q1').getByText('Shrimp')).toBeVisible();
});

test('the version on a version shows its basis, and what was left out further up stays there', async ({ page }) => {
  await openDemo(page, '/bench/rock-pool/rp-oriel');
  await expect(page.locator('.sides').getByText('Supported', { exact: true })).toBeVisible();
  await expect(page.getByText('Explain why a starfish')).toHaveCount(0);
  const gap = page.locator('.ghost').filter({ hasText: 'How does its body help it?' });
  await gap.getByRole('button', { name: 'Put back' }).click();
  await expect(block(page, 'rp-q10')).toBeVisible();
});

test('measures stand beside the master’s, and change with the words', async ({ page }) => {
  await openDemo(page, '/bench/right-bus/bus-ext');
  const row = (name: string) => page.getByRole('row', { name });
  await expect(row('Items')).toContainText('78');
  const before = await row('Words ').first().innerText();
  await block(page, 'bus-i2').focus();
  await rewrite(block(page, 'bus-i2'), /^Instruction/, 'Be at the harbour by half past nine.');
  await panel(page).getByRole('button', { name: 'Choose nothing' }).click();
  await expect(row('Words ').first()).not.toHaveText(before);
});

test('a master is dragged into another order, and its draft dropped', async ({ page }) => {
  await openDemo(page, '/bench/puncture');
  const ids = () => page.locator('[data-block]').evaluateAll((all) => all.map((e) => e.getAttribute('data-block')));
  await expect(block(page, 'pun-q2')).toBeVisible();
  const before = await ids();
  const handle = block(page, 'pun-q2').locator('.handle');
  await handle.scrollIntoViewIfNeeded();
  const from = await handle.boundingBox();
  const to = await block(page, 'pun-q1').boundingBox();
  if (!from || !to) throw new Error('not on the page');
  await page.mouse.move(from.x + 5, from.y + 5);
  await page.mouse.down();
  await page.mouse.move(from.x + 5, from.y - 20, { steps: 4 });
  await page.mouse.move(to.x + 20, to.y + 6, { steps: 8 });
  await page.mouse.up();
  await expect.poll(async () => (await ids()).indexOf('pun-q2')).toBeLessThan(before.indexOf('pun-q1') + 1);
  await reload(page);
  await expect.poll(async () => (await ids()).indexOf('pun-q2')).toBe(before.indexOf('pun-q1'));
  await page.getByRole('button', { name: 'Drop the changes' }).click();
  await expect.poll(ids).toEqual(before);
  await kept(page);
});

test('one answer settles a question for all versions that ask it, or for one alone', async ({ page }) => {
  await openDemo(page, '/bench/rock-pool/upkeep');
  await expect(page.getByRole('checkbox', { name: 'One answer for all 2' })).toBeChecked();
  await page.getByRole('checkbox', { name: 'One answer for all 2' }).uncheck();
  await page.getByRole('button', { name: 'Take the combination for Core' }).click();
  await expect(page.getByText('to decide', { exact: true }).first()).toBeVisible();
  await expect(page.getByText('decided: combined')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('decided: combined')).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'One answer for all 2' }).check();
  await page.getByRole('button', { name: "Keep the version's for all" }).first().click();
  // One sentence was changed on both sides: only what is proposed says both.
  await expect(page.getByRole('button', { name: /^Take the combination/ })).toHaveCount(1);
  await page.getByRole('button', { name: /^Take the combination/ }).click();
  // And a hint whose question reads otherwise is looked at once.
  await expect(page.getByRole('button', { name: /^Keep the version's/ })).toHaveCount(1);
  await page.getByRole('button', { name: /^Keep the version's/ }).click();
  await expect(page.getByText('Nothing waits')).toBeVisible();
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(page.locator('lv-shelf').getByText('to decide')).toHaveCount(0);
});
