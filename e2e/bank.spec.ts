import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { choose, faults, kept, material, openDemo, sayYes } from './helpers';

test('the bank: found as you type, picked across activities into a master, with sources and objectives', async ({
  page,
}) => {
  await openDemo(page, '/bank?into=puncture');
  expect(await faults(page), 'bank').toEqual([]);
  await page.getByRole('searchbox').fill('limpet');
  await page.getByRole('button', { name: /^Pick Number: How many limpets/ }).click();
  await page.getByRole('searchbox').fill('');
  await choose(page.getByRole('combobox', { name: 'Kind' }), 'Page');
  await page.getByRole('button', { name: 'Pick page At the till' }).click();
  await choose(page.getByRole('combobox', { name: 'Pages after' }), 'Think like a mechanic');
  await expect(page.getByRole('row', { name: /Count and compare/ })).toContainText('0 → 1');
  await choose(page.getByRole('combobox', { name: 'Items' }), 'at the top of it');
  await page.getByRole('button', { name: 'Put 2 in' }).click();
  await expect(page.getByRole('heading', { name: 'Mending a puncture' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Page 1' }).getByRole('group').first()).toContainText(
    'How many limpets',
  );
  await expect(page.locator('lv-rect-board')).toBeVisible();
  await page.getByRole('button', { name: /^Undo: 2 from the bank/ }).click();
  await expect(page.locator('lv-rect-board')).toBeHidden();
});

test('objectives are listed from CASE and chosen on the Bench; files that nothing uses are cleared', async ({
  page,
}) => {
  await openDemo(page, '/bank');
  await page.getByRole('button', { name: 'Objectives' }).click();
  const framework = {
    CFDocument: { title: 'Harbour skills' },
    CFItems: [{ identifier: 'hs-1', fullStatement: 'Tie a bowline', humanCodingScheme: 'H.1' }],
  };
  const json = { name: 'case.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(framework)) };
  await page.getByLabel('From a file (CSV or CASE)').setInputFiles(json);
  await expect(page.getByRole('row', { name: /H\.1 Tie a bowline/ })).toContainText('Harbour skills');
  await kept(page);
  await page.goto('/bench/puncture');
  await choose(page.getByLabel('Take an objective from your list'), 'H.1 Tie a bowline');
  await expect(page.getByRole('textbox', { name: /^Objective \d/ }).last()).toHaveValue('Tie a bowline');
  await kept(page);

  await page.goto('/keeping');
  await page.getByRole('button', { name: 'See what takes the room' }).click();
  await expect(page.getByRole('button', { name: 'Everything is in use' })).toBeDisabled();
  await page.goto('/shelf');
  await page.getByRole('button', { name: /^Remove Mending a puncture/ }).click();
  await sayYes(page, 'Remove the activity');
  // “All kept” may speak of the time before it, until it is gone from the page.
  await expect(page.getByRole('button', { name: /^Remove Mending a puncture/ })).toBeHidden();
  await kept(page);
  // What waits to come back is in use still.
  await page.goto('/keeping');
  await page.getByRole('button', { name: 'See what takes the room' }).click();
  await expect(page.getByRole('button', { name: 'Everything is in use' })).toBeDisabled();
  await page.getByRole('button', { name: 'Let go of Mending a puncture' }).click();
  await sayYes(page, 'Let go for good');
  await kept(page);
  await page.reload();
  await page.getByRole('button', { name: 'See what takes the room' }).click();
  await page.getByRole('button', { name: /^Clear 2 that nothing uses/ }).click();
  await sayYes(page, 'Clear them');
  await expect(page.getByRole('button', { name: 'Everything is in use' })).toBeVisible();
});

test('an answer sheet by rule, keyed by letters; a page kept as a template and used again', async ({ page }) => {
  await openDemo(page, '/bench/puncture');
  await page.getByRole('button', { name: 'Answer sheet …' }).click();
  // A dialog takes the focus to its first field when it stands: not while somebody is writing in the second.
  await expect(page.getByLabel('Questions', { exact: true })).toBeFocused();
  await page.getByLabel('Questions', { exact: true }).fill('6');
  await page.getByLabel('Key', { exact: true }).fill('ACBE');
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page.getByRole('alert')).toContainText('The key of question 4 is “E”');
  await page.getByLabel('Key', { exact: true }).fill('ACBD');
  await expect(page.getByText('4 of 6 keys given: 1 A, 2 C, 3 B, 4 D')).toBeVisible();
  const sheet = { name: 'questions.pdf', mimeType: 'application/pdf', buffer: readFileSync(material('mixed.pdf')) };
  await page.getByLabel(/The questions as a PDF/).setInputFiles(sheet);
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  const made = page.getByRole('region', { name: 'Page 3' });
  await expect(made.getByRole('radio', { name: 'Key: C' }).nth(1)).toBeChecked();
  await expect(made.getByRole('link', { name: 'Open questions (PDF)' })).toBeVisible();

  await page.getByRole('button', { name: 'Settings of page 3' }).click();
  await page.getByLabel('Day').fill('Friday');
  await page.getByLabel('Day').press('Tab');
  await choose(page.getByLabel('Sign'), 'star');
  await page.getByLabel('Name of the template').fill('Friday sheet');
  await page.getByRole('button', { name: 'Keep as a template' }).click();
  await choose(page.getByLabel('A page from a template'), 'Friday sheet');
  await expect(page.getByRole('region', { name: 'Page 4' }).getByText('Friday')).toBeVisible();
  await page.getByRole('button', { name: 'Copy the page' }).click();
  await expect(page.getByRole('region', { name: 'Page 5' })).toBeVisible();
});
