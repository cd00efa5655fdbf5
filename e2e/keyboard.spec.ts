import { expect, type Locator, type Page, test } from '@playwright/test';
import { kept, openDemo, startEmpty, watchErrors } from './helpers';

/** Presses Tab until the part has the focus: what cannot be reached this way fails. */
async function tabTo(page: Page, part: Locator, most = 160): Promise<void> {
  await expect(part.first()).toBeVisible();
  let wanted = await part.first().elementHandle();
  for (let i = 0; i < most; i++) {
    const at = await wanted?.evaluate((e) => (e.isConnected ? e === document.activeElement : null));
    if (at) return;
    // Drawn anew meanwhile: it is another element now.
    if (at === null) wanted = await part.first().elementHandle();
    else await page.keyboard.press('Tab');
  }
  throw new Error(`The keyboard does not reach ${part.toString()}`);
}

async function press(page: Page, part: Locator, key = 'Enter'): Promise<void> {
  await tabTo(page, part);
  await page.keyboard.press(key);
}

async function type(page: Page, part: Locator, text: string): Promise<void> {
  await tabTo(page, part);
  await page.keyboard.press('Control+A');
  await page.keyboard.type(text);
}

test('from pane to pane with one key, back to where one was, and what can be done with a block is near', async ({
  page,
}) => {
  await openDemo(page, '/bench/rock-pool/rp-sup');
  const block = page.locator('[data-block="rp-q2"]');
  await block.focus();
  await expect(page.getByRole('textbox', { name: 'Hint', exact: true })).toBeVisible();
  await page.keyboard.press('F6');
  await expect(page.getByRole('button', { name: 'Choose nothing' })).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('combobox', { name: 'Fewer choices' })).toBeFocused();
  await page.keyboard.press('Shift+F6');
  await expect(block).toBeFocused();
  await page.keyboard.press('F6');
  await expect(page.getByRole('combobox', { name: 'Fewer choices' })).toBeFocused();
  await page.keyboard.press('F6');
  await expect(page.getByRole('treeitem', { name: /^Supported, 10/ })).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await page.waitForURL('**/bench/rock-pool');

  // A dialog gives the focus back to what opened it.
  for (const close of ['Escape', 'Cancel']) {
    await page.getByRole('button', { name: 'New version' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog').getByLabel('Name', { exact: true })).toBeFocused();
    if (close === 'Escape') await page.keyboard.press('Escape');
    else await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click();
    await expect(page.getByRole('button', { name: 'New version' })).toBeFocused();
  }

  // Giving out is one key away from the learners, not sixty.
  await page.goto('/hand-outs/h-bike');
  await page.getByRole('radio', { name: /^Master for Tamsin/ }).focus();
  await page.keyboard.press('F6');
  await page.keyboard.press('F6');
  await expect(page.getByRole('link', { name: /^Look as/ }).last()).toBeFocused();
});

test('the whole path with the keyboard only', async ({ page }) => {
  // Asked for early: choosers are caught from a moment after they are asked for.
  page.on('filechooser', () => undefined);
  test.setTimeout(240_000);
  const errors = watchErrors(page);
  const button = (name: string | RegExp) => page.getByRole('button', { name });
  const link = (name: string | RegExp) => page.getByRole('link', { name });
  await startEmpty(page);

  // A master.
  await press(page, button('Write the first master'));
  await type(page, page.getByLabel('Title'), 'At the ferry');
  await press(page, button('Open it on the Bench'));
  await press(page, page.getByRole('button', { name: 'Text', exact: true }));
  await expect(page.getByRole('textbox', { name: 'Text' })).toBeFocused();
  await page.keyboard.type('The ferry crosses the bay at nine and at noon.');
  await page.keyboard.press('Control+Enter');
  await press(page, page.getByRole('button', { name: 'Short text', exact: true }));
  await expect(page.getByRole('textbox', { name: 'Question' })).toBeFocused();
  await page.keyboard.type('What does the ferry cross?');
  await page.keyboard.press('Control+Enter');
  await type(page, page.getByRole('textbox', { name: /^Key/ }), 'the bay / bay');
  await press(page, page.getByRole('button', { name: 'Long text', exact: true }));
  await expect(page.locator('lv-words textarea')).toBeFocused();
  await page.keyboard.type('Tell of a crossing.');
  await page.keyboard.press('Control+Enter');

  // Moved by keys, and back by undo.
  const last = page.getByRole('group', { name: 'Question 2, long text', exact: true });
  await expect(button('Question: Tell of a crossing.')).toBeFocused();
  await page.keyboard.press('Shift+Tab');
  await expect(last).toBeFocused();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(page.getByRole('group', { name: 'Question 1, long text', exact: true })).toBeFocused();
  await page.keyboard.press('Control+Z');
  await expect(last).toBeVisible();
  await press(page, button('Save as revision 2'));
  await expect(page.getByText('master · revision 2')).toBeVisible();

  // Two versions by editing in place.
  await press(page, button('New version'));
  await press(page, button('Make the version'));
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Supported');
  await press(page, button(/^Text: The ferry/));
  await expect(page.locator('.rich-field')).toBeFocused();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('The boat goes over the bay at nine and at noon.');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('reworded', { exact: true })).toBeVisible();
  await tabTo(page, page.getByRole('group', { name: 'Question 2, long text', exact: true }));
  await page.keyboard.press('Delete');
  await expect(page.getByText('left out', { exact: true })).toBeVisible();
  await press(page, button('New version'));
  await press(page, button('Make the version'));
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Core');
  await tabTo(page, page.getByRole('group', { name: 'Question 1, short text', exact: true }));
  await type(page, page.getByLabel('Hint', { exact: true }), 'Look at the first line.');
  await page.keyboard.press('Tab');
  await expect(page.getByText('hint added', { exact: true })).toBeVisible();

  // A class from a file.
  await press(page, link('Learners'));
  await press(page, button('Import a class list'));
  await tabTo(page, page.getByLabel('Choose the list'));
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.keyboard.press('Space')]);
  await chooser.setFiles({
    name: 'c.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Name,Class\nAven R.,Gull class\nBodil S.,Gull class\n'),
  });
  await press(page, button('Bring in 2 learners'));
  await expect(button('Gull class 2')).toBeVisible();

  // Handed out: the loom by arrow keys.
  await press(page, link('Hand-outs'));
  await press(page, button('Plan a hand-out'));
  await press(page, button(/At the ferry/));
  await press(page, button('Choose who'));
  await press(page, page.getByRole('checkbox', { name: 'Gull class, 2' }), 'Space');
  await page.keyboard.press('Escape');
  await tabTo(page, page.getByRole('radio', { name: 'Master for Aven R.' }));
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'Supported for Aven R.' })).toBeChecked();
  await tabTo(page, page.getByRole('radio', { name: 'Master for Bodil S.' }));
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'Core for Bodil S.' })).toBeChecked();
  await press(page, button('Give out to 2'));
  await expect(page.getByText('Given out', { exact: true })).toBeVisible();
  await kept(page);

  // Two learners.
  for (const [name, answer] of [
    ['Aven R.', 'the bay'],
    ['Bodil S.', 'a lake'],
  ] as const) {
    await page.goto('/desk');
    await press(page, button('Gull class'));
    await press(page, button(name));
    await press(page, link(/Start/));
    const field = page.getByRole('textbox', { name: /What does the ferry cross/ });
    await type(page, field, answer);
    await expect(field).toHaveValue(answer);
    await press(page, button('Submit …'));
    await press(page, page.getByRole('button', { name: 'Submit now' }));
    await expect(page.getByText('Submitted', { exact: true })).toBeVisible();
  }

  // Marked.
  await page.goto('/marking');
  await press(page, link('At the ferry'));
  await tabTo(page, button('Aven R., question 1: right'));
  await page.keyboard.press('ArrowDown');
  await expect(button('Bodil S., question 1: not yet')).toBeFocused();
  await press(page, button('Not yet'));
  await press(page, button('Another go'));
  await expect(page.getByRole('row', { name: /Bodil/ })).toContainText('another go');

  // Corrected, and the upkeep decided.
  await press(page, link('Bench'));
  // The tree is one stop; arrows go up to the master.
  await tabTo(page, page.locator('[role="treeitem"][tabindex="0"]'));
  const master = page.getByRole('treeitem', { name: /^At the ferry/ });
  for (let i = 0; i < 4 && !(await master.evaluate((e) => e === document.activeElement)); i++)
    await page.keyboard.press('ArrowUp');
  await expect(master).toBeFocused();
  await page.keyboard.press('Enter');
  await press(page, button(/^Text: The ferry/));
  await expect(page.locator('.rich-field')).toBeFocused();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('The ferry sails across the bay at nine and at noon.');
  await page.keyboard.press('Control+Enter');
  await press(page, button('Save as revision 3'));
  await press(page, button(/Take the master's/));
  await expect(page.getByText('Nothing waits')).toBeVisible();

  // The way back.
  await page.keyboard.press('Tab');
  await press(page, link('Marking'));
  await press(page, link('At the ferry'));
  await expect(page.getByText('master, revision 2')).toBeVisible();
  expect(errors).toEqual([]);
});

test('what is typed at a stretch, ahead of what opens, does what it says, wherever one is', async ({ page }) => {
  await openDemo(page, '/marking');
  await expect(page.getByRole('heading', { level: 1, name: 'Marking' })).toBeVisible();
  // Both have been open once: how fast they can be fetched is not the question.
  await page.keyboard.press('Control+k');
  await page.getByLabel('Name of an action').fill('new master');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Title', { exact: true })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('link', { name: 'Marking', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Marking' })).toBeVisible();

  await page.keyboard.press('Control+k');
  await page.keyboard.type('new master');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Knots and bends');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Knots and bends' })).toBeVisible();

  await page.keyboard.press('Control+k');
  await page.keyboard.type('fewer');
  await page.keyboard.press('Enter');
  await expect(page.getByText('It is done on the Bench: open a version, choose a block.')).toBeVisible();
});

test('what a row of the plan can do, by keys: the focus goes to what comes of it, and back to the row', async ({
  page,
}) => {
  await openDemo(page, '/hand-outs/h-bike');
  const more = page.getByRole('button', { name: 'More for Jory S.' });
  const open = async (downTo: number) => {
    await more.press('Enter');
    await expect(page.getByRole('menu')).toBeFocused();
    for (let i = 0; i < downTo; i++) await page.keyboard.press('ArrowDown');
  };
  await open(0);
  await page.keyboard.press('Escape');
  await expect(more).toBeFocused();
  await open(1);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Jory S., page by page' })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('row', { name: /Jory S\./ }).locator(':focus')).toHaveCount(1);
  await open(2);
  await page.keyboard.press('Enter');
  await expect(more).toBeHidden();
  await expect(page.getByRole('row', { name: /Jory S\./ }).locator(':focus')).toHaveCount(1);
  // Of what was given the row goes, and the focus to the one after it.
  await page.goto('/hand-outs/h-survey');
  await open(1);
  await page.keyboard.press('Enter');
  await expect(page.getByText('taken away from Jory S.')).toBeVisible();
  await expect(page.getByRole('row', { name: /Kerra L\./ }).locator(':focus')).toHaveCount(1);
  // A day is chosen from its calendar, which Escape closes and no more than that; then Escape leads back to the check.
  await page.getByRole('button', { name: /^How/ }).click();
  await page.getByRole('button', { name: 'Calendar: Due' }).press('Enter');
  await expect(page.getByRole('grid')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('grid')).toBeHidden();
  await expect(page.getByRole('combobox', { name: 'Due' })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Check/ })).toBeFocused();
});
