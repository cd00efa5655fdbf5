import { expect, test } from '@playwright/test';
import { choose, kept, openDemo, reload } from './helpers';

test('filling by group shows who would get two, and giving out waits until it is mended', async ({ page }) => {
  await openDemo(page, '/hand-outs/h-bike');
  const give = page.getByRole('button', { name: /^Schedule for/ });
  await expect(give).toBeDisabled();
  // Those that fit are accepted; for the others it says what lacks, and the teacher chooses.
  await expect(page.getByRole('row', { name: /Zennor C\./ })).toContainText('lacks hints');
  await page.getByRole('button', { name: 'Accept 4 suggestions' }).click();
  for (const name of ['Tamsin W.', 'Corin B.', 'Zennor C.'])
    await page.getByRole('radio', { name: `Supported for ${name}` }).check();
  await expect(page.getByText('Nothing to mend')).toBeVisible();
  await expect(give).toBeEnabled();

  // A learner in two groups gets two versions by filling both.
  await page.goto('/learners');
  await page.getByRole('button', { name: 'Jory S.' }).click();
  await page.getByRole('checkbox', { name: 'Anemones' }).check();
  await kept(page);
  await page.goto('/hand-outs/h-bike');
  const fill = page.getByRole('group', { name: 'Fill the plan' });
  for (const [part, version] of [
    ['Shanny', 'Core'],
    ['Anemones', 'Supported'],
  ] as const) {
    await choose(fill.getByLabel('Fill for'), part);
    await choose(fill.getByLabel('with', { exact: true }), version);
  }
  await expect(page.getByText('Jory S. would get two versions')).toBeVisible();
  await expect(page.getByText('1 twice')).toBeVisible();
  await expect(give).toBeDisabled();
  await page.getByRole('radio', { name: 'Core for Jory S.' }).check();
  await expect(give).toBeEnabled();

  // Dates the wrong way round.
  await page.getByRole('button', { name: /^How/ }).click();
  await page.getByRole('textbox', { name: 'Due' }).fill('01/01/2030 09:00 AM');
  await page.getByRole('textbox', { name: 'Opens' }).fill('01/02/2030 09:00 AM');
  await page.getByRole('textbox', { name: 'Opens' }).press('Tab');
  await page.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByText('It is due before it opens')).toBeVisible();
  await page.getByRole('button', { name: 'Change the dates' }).click();
  await page.getByRole('textbox', { name: 'Due' }).fill('01/03/2030 09:00 AM');
  await page.getByRole('textbox', { name: 'Due' }).press('Tab');
  await page.keyboard.press('Escape');
  await give.click();
  await expect(page.getByText('Scheduled', { exact: true })).toBeVisible();
  await reload(page);
  await page.getByRole('link', { name: 'Hand-outs' }).click();
  await expect(page.getByRole('row', { name: /Mending a puncture/ })).toContainText('scheduled');
});

test('given to read, nobody can write, and the plan says so beforehand', async ({ page }) => {
  await openDemo(page, '/bench/puncture');
  await page.getByRole('link', { name: 'Hand out', exact: true }).click();
  await page.getByRole('button', { name: /^Who/ }).click();
  await page.getByText('type a name').click();
  await page.getByRole('searchbox', { name: 'Find in: Single learners' }).fill('tal');
  await page.getByRole('option', { name: 'Talan E.' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^How/ }).click();
  await page.getByRole('radio', { name: 'To read: nobody can write in it' }).check();
  await page.getByRole('radio', { name: 'Master for Talan E.' }).check();
  await page.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByText('Master has 5 questions')).toBeVisible();
  await page.getByLabel('1 warning may stay, because').fill('to look at together');
  await page.getByRole('button', { name: 'Give out to 1' }).click();
  await page.goto('/desk');
  await page.getByRole('button', { name: 'Kestrel class' }).click();
  await page.getByRole('button', { name: 'Talan E.' }).click();
  await page.getByRole('link', { name: /Read/ }).click();
  await expect(page.getByRole('textbox').first()).toBeDisabled();
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByRole('button', { name: 'Done' })).toBeVisible();
});

test('the shelf is searched, and a family duplicated with its versions and without its work', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('searchbox').fill('timetable math');
  await expect(page.getByRole('link', { name: 'Catching the right bus' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Rock-pool survey' })).toBeHidden();
  await page.getByRole('searchbox').fill('zebra');
  await expect(page.getByText('Nothing on the Shelf has these words.')).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByRole('button', { name: 'Duplicate Rock-pool survey' }).click();
  const copy = page.getByRole('listitem').filter({ hasText: 'Rock-pool survey (copy)' }).first();
  await expect(copy).toContainText('4 versions');
  await expect(copy).toContainText('nobody yet');
});

test('a learner is added, changed and removed, and a wrong level is said', async ({ page }) => {
  await openDemo(page, '/learners');
  await page.getByRole('button', { name: 'Kestrel class 9' }).click();
  await page.getByRole('button', { name: 'New learner' }).click();
  const card = page.getByRole('complementary', { name: 'Needs card' });
  await card.getByLabel('Name').fill('Ruan Z.');
  await card.getByLabel('reading: level').fill('fifteen');
  await card.getByLabel('reading: level').press('Tab');
  await expect(card.getByRole('alert')).toContainText('“fifteen” is no level');
  await card.getByLabel('reading: level').fill('4,5');
  await card.getByLabel('Agree a support', { exact: true }).fill('hints');
  await card.getByLabel('Agree a support', { exact: true }).press('Enter');
  await expect(page.getByRole('row', { name: /Ruan Z/ })).toContainText('4.5');
  await expect(page.getByRole('button', { name: 'Kestrel class 10' })).toBeVisible();
  await reload(page);
  await page.getByRole('button', { name: 'Ruan Z.' }).click();
  await card.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('row', { name: /Ruan Z/ })).toBeHidden();
  await page.getByRole('button', { name: 'Undo: remove “Ruan Z.”' }).click();
  await expect(page.getByRole('row', { name: /Ruan Z/ })).toBeVisible();
});
