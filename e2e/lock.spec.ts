import { expect, test } from '@playwright/test';
import { kept, openDemo } from './helpers';

const WORDS = 'eleven wet limpets';

test('handed over, every place but the desk is closed, in every tab, until the passphrase is typed', async ({
  page,
}) => {
  await openDemo(page, '/keeping');
  await page.getByLabel('Passphrase', { exact: true }).fill('short');
  await page.getByLabel('The same again').fill('short');
  await page.getByRole('button', { name: 'Set the lock' }).click();
  await expect(page.getByRole('alert').filter({ hasText: '8 characters or more' })).toBeVisible();
  await page.getByLabel('Passphrase', { exact: true }).fill(WORDS);
  await page.getByLabel('The same again').fill(WORDS);
  await page.getByRole('button', { name: 'Set the lock' }).click();
  await expect(page.getByText('The lock is set')).toBeVisible();
  await page.getByRole('button', { name: /^Draw codes for Kestrel class/ }).click();
  await page.getByText(/^\d+ learners have a code$/).click();
  const row = page.getByRole('row', { name: /^Talan E\./ });
  const code = ((await row.locator('lv-code .sr').textContent()) ?? '').split(', ');
  await kept(page);

  // Another tab, in the middle of work, and with something that undo could take back.
  const other = await page.context().newPage();
  await other.goto('/bench/puncture');
  await expect(other.getByRole('link', { name: 'Hand out', exact: true })).toBeVisible();

  await page.getByRole('link', { name: 'Learners’ desk' }).click();
  await expect(page.getByRole('heading', { name: 'Which class are you in?' })).toBeVisible();
  await expect(other.getByRole('heading', { name: 'Which class are you in?' })).toBeVisible();
  // What was said to the teacher stands on no learner’s page.
  await expect(page.getByText('The lock is set')).toHaveCount(0);
  const ADDRESSES = [
    '/bench/puncture/history',
    '/learners',
    '/hand-outs/h-bike',
    '/demo',
    '/welcome',
    '/look/version/x',
  ];
  for (const address of ADDRESSES) {
    await other.goto(address);
    await expect(other, address).toHaveURL(/\/desk$/);
    await expect(other.getByRole('heading', { name: 'Which class are you in?' })).toBeVisible();
  }
  for (let i = 0; i < 3; i++) {
    await page.goBack().catch(() => null);
    await expect(page.getByRole('navigation', { name: 'Places' })).toHaveCount(0);
  }
  await page.goto('/desk');
  for (const keys of ['Control+k', 'Control+z', 'Control+y', '?']) await page.keyboard.press(keys);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.reload();

  // A learner sits down by three pictures.
  await page.getByRole('button', { name: 'Kestrel class' }).click();
  await page.getByRole('button', { name: 'Talan E.' }).click();
  await expect(page.getByRole('heading', { name: 'Talan E., press your three pictures' })).toBeVisible();
  const wrong = code.join() === 'fish,fish,fish' ? 'bell' : 'fish';
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: wrong, exact: true }).click();
  await expect(page.getByText('Those are not your pictures. Try again.')).toBeVisible();
  for (const name of code) await page.getByRole('button', { name, exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Hello, Talan/ })).toBeVisible();
  await page.getByRole('link', { name: 'I am done here' }).click();

  // The teacher comes back to where they were; wrong tries slow down, also after a reload.
  await page.getByRole('button', { name: 'I am the teacher' }).click();
  await page.getByLabel('The teacher’s passphrase').fill('wrong words');
  await page.getByRole('button', { name: 'Open' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'That is not the passphrase' })).toBeVisible();
  await page.getByLabel('The teacher’s passphrase').fill(WORDS);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
  await other.goto('/marking');
  await expect(other.getByRole('heading', { name: 'Marking' })).toBeVisible();
});
