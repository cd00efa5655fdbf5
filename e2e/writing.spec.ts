import { expect, type Locator, type Page, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { choose, faults, kept, material, openDemo, rewrite, watchErrors } from './helpers';

/** Adds a block of any kind at the foot of page 1 and gives it back. */
async function add(page: Page, kind: string, name: RegExp): Promise<Locator> {
  await choose(page.getByLabel('More kinds of block for page 1'), kind);
  const block = page.getByRole('group', { name }).last();
  await expect(block).toBeVisible();
  await page.keyboard.press('Escape');
  await block.focus();
  return block;
}

test('every kind that needs more than words is written on the Bench and kept', async ({ page }) => {
  test.setTimeout(120_000);
  const errors = watchErrors(page);
  await openDemo(page, '/bench/puncture');

  const gaps = await add(page, 'Gaps in a text', /gaps in a text$/);
  const text = gaps.getByRole('textbox', { name: 'Text with gaps' });
  await text.fill('The nail made a hole in the tube.');
  await text.evaluate((e: HTMLTextAreaElement) => e.setSelectionRange(4, 8));
  await gaps.getByRole('button', { name: 'Make the marked words a gap' }).click();
  await expect(text).toHaveValue('The {g1} made a hole in the tube.');
  await expect(gaps.getByRole('textbox', { name: /^Key of gap 1/ })).toHaveValue('nail');
  await text.evaluate((e: HTMLTextAreaElement) => e.setSelectionRange(0, 0));
  await gaps.getByRole('button', { name: 'Make the marked words a gap' }).click();
  await expect(gaps.getByRole('alert')).toContainText('Mark one or more words');

  const sort = await add(page, 'Sorting into groups', /sorting into groups$/);
  await sort.getByRole('textbox', { name: 'Group 1' }).fill('Tools');
  await sort.getByRole('textbox', { name: 'Group 2' }).fill('Parts');
  await sort.getByRole('textbox', { name: 'Piece 1' }).fill('lever');
  await sort.getByRole('textbox', { name: 'Piece 3' }).fill('tube');
  await sort.getByRole('textbox', { name: 'Piece 3' }).press('Tab');
  await expect(sort.getByRole('combobox', { name: 'Group of tube' })).toHaveValue(/.+/);

  const pieces = await add(page, 'Pieces to places', /pieces to places$/);
  await choose(pieces.getByLabel('Pieces go'), 'into a table');
  await pieces.getByRole('textbox', { name: 'Column 1' }).fill('clean');
  await pieces.getByRole('textbox', { name: 'Row 1' }).fill('tool');
  await pieces.getByRole('button', { name: 'Piece', exact: true }).click();
  await pieces.getByRole('textbox', { name: 'Piece 1' }).fill('a rag');
  await pieces.getByRole('textbox', { name: 'Piece 1' }).press('Tab');
  await choose(pieces.getByRole('combobox', { name: 'Place of a rag' }), 'tool, clean');

  const labels = await add(page, 'Labels on a picture', /labels on a picture$/);
  const boat = { name: 'boat.png', mimeType: 'image/png', buffer: readFileSync(material('boat.png')) };
  await labels.getByLabel('Choose a picture').setInputFiles(boat);
  await labels.locator('lv-rect-board .board').click({ position: { x: 120, y: 60 } });
  await labels.getByRole('textbox', { name: 'Label 1' }).fill('sail');
  await labels.getByRole('textbox', { name: 'Label 1' }).press('Tab');
  await expect(labels.getByRole('button', { name: /^1\. sail/ })).toBeVisible();

  const table = await add(page, 'Table', /^Table$/);
  await table.getByRole('textbox', { name: 'Row 1, column 1' }).focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', 'Day\tKm\nMon\t3\nTue\t4');
    document.activeElement?.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await expect(table.getByRole('textbox', { name: 'Row 3, column 2' })).toHaveValue('4');

  const link = await add(page, 'Link', /^Link$/);
  await link.getByRole('textbox', { name: 'Address' }).fill('javascript:alert(1)');
  await link.getByRole('textbox', { name: 'Address' }).press('Tab');
  await expect(link.getByRole('alert')).toContainText('is not an address that can be opened');
  await link.getByRole('textbox', { name: 'Address' }).fill('https://kelpbay.example/puncture');
  await link.getByRole('textbox', { name: 'What the link shows' }).fill('A film of it');
  await link.getByRole('textbox', { name: 'What the link shows' }).press('Tab');
  expect(await faults(page)).toEqual([]);

  await kept(page);
  await page.reload();
  await expect(page.getByText('page on kelpbay.example')).toBeVisible();
  await expect(page.getByText('Key: nail')).toBeVisible();
  await expect(page.getByText('Key: a rag → tool, clean')).toBeVisible();
  await expect(page.getByText('Key: 1: sail')).toBeVisible();
  expect(errors).toEqual([]);
});

test('strong words and lists are written in place, and a version rewords them word by word', async ({ page }) => {
  await openDemo(page, '/bench/rock-pool');
  await page.getByRole('button', { name: /^Text: A limpet gradually/ }).click();
  const field = page.locator('.rich-field');
  await expect(field).toBeFocused();
  // The editor puts the cursor at the end some frames after it has the focus.
  await expect(async () => {
    await page.keyboard.press('Control+Home');
    await page.keyboard.press('Control+Shift+ArrowRight');
    await page.keyboard.press('Control+Shift+ArrowRight');
    await page.waitForTimeout(200);
    expect(await page.evaluate(() => getSelection()?.toString().trim())).toBe('A limpet');
  }).toPass();
  await page.keyboard.press('Control+b');
  await expect(field.locator('strong')).toHaveText('A limpet');
  await page.keyboard.press('Control+Enter');
  await expect(page.locator('lv-rich strong').filter({ hasText: 'A limpet' })).toBeVisible();
  await page.getByRole('button', { name: /^Save as revision/ }).click();
  await kept(page);
  await page.goto('/bench/rock-pool/rp-ext');
  await rewrite(page.locator('[data-block="rp-t3"]'), /^Text: \*\*A limpet/, 'A limpet grinds a groove.');
  await expect(page.locator('[data-block="rp-t3"]')).toContainText('A limpet grinds a groove.');
  await expect(page.getByText('reworded', { exact: true }).first()).toBeVisible();
});

test('an instruction is spoken on the Bench, by the stand-in that says what it is, and heard where it stands', async ({
  page,
}) => {
  await page.addInitScript(() => localStorage.setItem('lorvet-devices', 'stand-in'));
  await openDemo(page, '/bench/rock-pool');
  const block = page.locator('[data-block="rp-i2"]');
  await block.focus();
  await block.getByRole('button', { name: 'Say it' }).click();
  await expect(block.getByText('Stand-in microphone: not a real one.')).toBeVisible();
  await block.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(block.getByRole('timer')).toHaveText(/^[1-9]\d* s$/);
  await block.getByRole('button', { name: 'Stop recording' }).click();
  await expect(block.locator('audio')).toBeVisible();
  await kept(page);
  await page.reload();
  await expect(block.locator('audio')).toBeVisible();
});

test('reading is stopped at once, and the next file is read as ever; pictures come in by paste too', async ({
  page,
}) => {
  await openDemo(page, '/bring-in');
  await page.waitForLoadState('networkidle');
  // What reads PDFs comes when it is first needed: held back here, so that there is time to stop.
  let hold = true;
  await page.route(/chunk-.*\.js$/, async (route) => {
    if (hold) await new Promise((done) => setTimeout(done, 3000));
    await route.continue().catch(() => undefined);
  });
  await page.getByLabel('Choose a file').setInputFiles(material('mixed.pdf'));
  await expect(page.getByText('Opening “mixed.pdf” …')).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Opening “mixed.pdf” …')).toBeHidden({ timeout: 1000 });
  await expect(page.getByRole('alert')).toBeHidden();
  hold = false;
  await page.getByLabel('Choose a file').setInputFiles(material('mixed.pdf'));
  await expect(page.getByText('Which pages?')).toBeVisible();
  await page.getByRole('button', { name: 'Another file' }).click();
  await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(40, 30);
    canvas.getContext('2d')?.fillRect(0, 0, 20, 20);
    const data = new DataTransfer();
    data.items.add(new File([await canvas.convertToBlob()], 'shot.png', { type: 'image/png' }));
    document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
  });
  await expect(page.getByText('1 picture.')).toBeVisible();
  await page.getByRole('button', { name: 'Each a block on one page' }).click();
  await expect(page.getByText('Picture: shot.png')).toBeVisible();
});
