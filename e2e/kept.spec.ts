import { expect, type Page, test } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { kept, openDemo, reload, sayYes, sitDown, startEmpty, watchErrors } from './helpers';

/** The browser's storage takes nothing any more, or again. */
const fill = (page: Page, on: boolean) =>
  page.evaluate((full) => {
    const store = IDBObjectStore.prototype as unknown as { put: unknown; real?: unknown };
    store.real ??= store.put;
    store.put = full
      ? () => {
          throw new DOMException('full', 'QuotaExceededError');
        }
      : store.real;
  }, on);

test('at a desk whose storage is full nothing is said to be saved, and the answers come out as a file and in again', async ({
  page,
}) => {
  await openDemo(page);
  await sitDown(page, 'Heron class', 'Corin B.');
  await page.getByRole('link', { name: /Rock-pool survey/ }).click();
  const field = page.getByRole('textbox').first();
  await field.waitFor();
  await fill(page, true);
  await field.fill('fish and bread');
  await expect(page.getByRole('alert')).toContainText('Your work is not saved yet. It is still here');
  await expect(page.getByRole('alert')).toContainText('This computer has no room left.');
  await expect(page.getByText('Not saved yet', { exact: true })).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toHaveCount(0);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save my answers as a file' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('Rock-pool-survey-Corin-B-.answers.json');
  const text = await readFile(await file.path(), 'utf8');
  expect(text).toContain('fish and bread');

  // There is room again: it is written by itself, without another letter.
  await fill(page, false);
  const [again, saved] = [page.getByRole('button', { name: 'Try again' }), page.getByText('Saved', { exact: true })];
  // Or it is pressed first: whichever comes first, the other has nothing left to do.
  await expect(again.or(saved)).toBeVisible();
  if (await again.isVisible()) await again.click({ timeout: 3_000 }).catch(() => undefined);
  await expect(saved).toBeVisible();
  await page.reload();
  await expect(page.getByRole('textbox').first()).toHaveValue('fish and bread');

  // A file finds its way to the teacher as well: what is older changes nothing, and one that is none says so.
  await page.goto('/keeping');
  const take = page.getByLabel('File of answers');
  const bring = (name: string, content: string) =>
    take.setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
  await bring('x.json', '{"kind":"x"}');
  await expect(page.getByRole('alert').filter({ hasText: 'x.json cannot be taken in' })).toBeVisible();
  await bring('a.json', text);
  await expect(page.getByText('There is nothing new in this file')).toBeVisible();
  // What was written at another machine since, after what is here, takes its place.
  const since = JSON.parse(text.replaceAll('fish and bread', 'bread alone')) as {
    copy: { goes: { journal: { seen: Record<string, number>; stands: Record<string, object> } }[] };
  };
  const journal = since.copy.goes[0]?.journal;
  if (!journal) throw new Error('answers are numbered');
  journal.seen['elsewhere'] = 9;
  for (const place of Object.keys(journal.stands)) journal.stands[place] = { n: 9, from: 'elsewhere' };
  await bring('b.json', JSON.stringify(since));
  await expect(page.getByText('1 answer of Corin B. taken in')).toBeVisible();
  await kept(page);
  await sitDown(page, 'Heron class', 'Corin B.');
  await page.getByRole('link', { name: /Rock-pool survey/ }).click();
  await expect(page.getByRole('textbox').first()).toHaveValue('bread alone');
});

test('a hand-out with work asks before it goes, waits under Keeping, and comes back whole after a reload', async ({
  page,
}) => {
  await openDemo(page, '/hand-outs');
  const row = page.getByRole('row', { name: /Rock-pool survey/ });
  const said = await row.getByText(/\d submitted/).textContent();
  await row.getByRole('button', { name: /^Remove hand-out/ }).click();
  await expect(page.getByRole('alertdialog').last()).toContainText(/submitted/);
  await sayYes(page, /^Remove/);
  await expect(row).toBeHidden();
  await reload(page);
  await page.goto('/keeping');
  const removed = page.getByRole('listitem').filter({ hasText: 'Rock-pool survey' });
  await removed.getByRole('button', { name: /^Put back/ }).click();
  await expect(removed).toBeHidden();
  await kept(page);
  await page.goto('/hand-outs');
  await expect(row.getByText(said ?? '')).toBeVisible();
});

test('a file of 450 paragraphs is divided and said to be, a long title ends where titles end, and both are there after a reload', async ({
  page,
}) => {
  // Nothing of the page asks for what its policy forbids.
  await page.addInitScript(() => {
    document.addEventListener('securitypolicyviolation', (e) => {
      throw new Error(`forbidden by the policy: ${e.violatedDirective}`);
    });
  });
  const errors = watchErrors(page);
  await startEmpty(page);
  await page.goto('/bring-in');
  const paragraphs = Array.from({ length: 450 }, (_, i) => `Paragraph ${i + 1} of a long walk along the shore.`);
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'walk.md', mimeType: 'text/markdown', buffer: Buffer.from(paragraphs.join('\n\n')) });
  await expect(page.getByText('Page 1 has 450 parts: it is divided into 2.')).toBeVisible();
  await page.getByLabel('Title').fill('walk');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await page.waitForURL('**/bench/**');
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await reload(page);
  await expect(page.getByText('Paragraph 1 of a long walk').first()).toBeVisible();
  await page.goto('/shelf');
  await expect(page.getByRole('link', { name: 'walk' }).first()).toBeVisible();
  // Names that every object has are no places.
  for (const [address, leads] of [
    ['/bench/constructor', /\/bench/],
    ['/hand-outs/toString', /\/hand-outs$/],
    ['/marking/__proto__', /\/marking$/],
    ['/desk/work/constructor', /\/desk$/],
  ] as const) {
    await page.goto(address);
    await expect(page).toHaveURL(leads);
    await expect(page.locator('h1, h2').first()).toBeVisible();
  }
  expect(errors).toEqual([]);
});

test('words typed and left within a moment are there: a choice and its key, a gap, a needs card', async ({ page }) => {
  await openDemo(page, '/bench/rock-pool');
  const choice = page.locator('[data-block="rp-q1"]');
  for (const [i, pause] of [0, 20, 100].entries()) {
    await choice.getByRole('button', { name: /^Choice 2/ }).click();
    const field = page.locator('lv-words textarea:focus, lv-words input:focus');
    await field.pressSequentially(` x${i}`, { delay: 0 });
    await page.waitForTimeout(pause);
    await choice
      .getByRole('checkbox', { name: /^Key/ })
      .or(choice.getByRole('radio', { name: /^Key/ }))
      .first()
      .click();
    await expect(choice.getByRole('button', { name: /^Choice 2/ })).toContainText(`x${i}`);
  }
  await page.goto('/learners');
  await page.getByRole('button', { name: 'Jory S.' }).click();
  const card = page.getByRole('complementary', { name: 'Needs card' });
  await card.getByLabel('New goal').pressSequentially('reads signs', { delay: 0 });
  await page.getByRole('button', { name: 'Kerra L.' }).click();
  await expect(card.getByLabel('Name')).toHaveValue('Kerra L.');
  await expect(card.getByText('reads signs')).toBeHidden();
  await reload(page);
  await page.getByRole('button', { name: 'Jory S.' }).click();
  await expect(card.getByText('reads signs')).toBeVisible();
});
