import { expect, type Page, test } from '@playwright/test';
import { choose, faults, kept, openDemo, reload, rewrite, sayYes, sitDown, ofFamily } from './helpers';

const block = (page: Page, id: string) => page.locator(`[data-block="${id}"]`);
const doing = (page: Page, name: string) => page.getByRole('button', { name: `${name} …`, exact: true });

test('several blocks are chosen, see what would come of it, are changed as one, and one undo takes it back', async ({
  page,
}) => {
  await openDemo(page, '/bench/rock-pool/rp-core');
  await block(page, 'rp-q4').click();
  await block(page, 'rp-q5').click({ modifiers: ['ControlOrMeta'] });
  // The space bar does the same from the keyboard.
  await block(page, 'rp-q6').focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'Chosen: 3 blocks' })).toBeVisible();
  await doing(page, 'Other way to answer').click();
  await choose(page.getByRole('combobox', { name: 'Answered by' }), 'single choice');
  const shown = page.getByLabel('As the learner would see it');
  await expect(shown.getByText('limpet')).toBeVisible();
  await page.getByRole('button', { name: 'Do it' }).click();
  await expect(block(page, 'rp-q5').getByText('anemone')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo: other way to answer in 3 places' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(block(page, 'rp-q5').getByText('anemone')).toBeHidden();
});

test('the whole version is divided, shown one question at a time, and answered with a flap and a second go', async ({
  page,
}) => {
  await openDemo(page, '/bench/puncture/pun-core');
  await page.getByText('Do with the whole version').click();
  await doing(page, 'Pages in smaller parts').click();
  await page.getByRole('spinbutton', { name: 'Blocks on a page' }).fill('2');
  await expect(page.getByText(/pages come in \d+ smaller ones/)).toBeVisible();
  await page.getByRole('button', { name: 'Do it' }).click();
  await doing(page, 'One question at a time').click();
  await page.getByRole('button', { name: 'Do it' }).click();
  await doing(page, 'Larger print and colours').click();
  await page.getByRole('button', { name: 'Do it' }).click();
  await page.getByText('All adjustments').click();
  await expect(page.getByText('One question is on the page at a time.')).toBeVisible();
  await page.getByRole('link', { name: 'Look as a learner' }).click();
  await expect(page.getByText(/page 1 of [4-9]/)).toBeVisible();
  const size = () => page.locator('lv-sheet-view').evaluate((e) => getComputedStyle(e).getPropertyValue('--desk-size'));
  await expect.poll(size).toBe('24px');
});

test('a flap is lifted only after an answer', async ({ page }) => {
  await openDemo(page, '/look/version/pun-sup?family=puncture');
  const q1 = page.locator('lv-learner-block').filter({ hasText: 'With what do you lift' });
  await expect(q1.getByRole('button', { name: 'Answer first, then lift the flap' })).toBeDisabled();
  await q1.getByRole('textbox').fill('a spoon');
  await q1.getByRole('button', { name: 'Lift the flap to check' }).click();
  await expect(q1.getByText('lever / tyre lever')).toBeVisible();
});

test('a recipe is looked over, run, kept as one’s own, and run again does only what is new', async ({ page }) => {
  await openDemo(page, '/bench/rock-pool/rp-ext');
  await page.getByRole('button', { name: 'Recipes …' }).click();
  await page.getByRole('button', { name: 'Lighter page' }).click();
  await expect(page.getByText('All choice items: at most 3 choices.')).toBeVisible();
  expect(await faults(page), 'recipes').toEqual([]);
  await page.getByRole('button', { name: /^Do \d+ changes$/ }).click();
  await expect(block(page, 'rp-q1').getByText('Starfish')).toBeHidden();
  await page.getByRole('button', { name: 'Recipes …' }).click();
  await expect(page.getByRole('button', { name: 'Nothing to do' })).toBeDisabled();
  await page.getByRole('button', { name: 'Keep this version’s adjustments as a recipe' }).click();
  await page.getByRole('button', { name: 'As “Extended”', exact: true }).click();
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save to a file' }).click();
  const path = await (await file).path();
  await page.getByLabel('From a file').setInputFiles({
    name: 'wrong.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"lorvet-recipe","version":1,"recipe":{"id":"x","name":"","rules":[]}}'),
  });
  await expect(page.getByText('This recipe does not fit. Nothing was changed.')).toBeVisible();
  await page.getByLabel('From a file').setInputFiles(path);
  await expect(page.getByRole('button', { name: 'As “Extended”', exact: true })).toHaveCount(2);
  await page.getByRole('dialog', { name: 'Recipes' }).getByRole('button', { name: 'Close' }).click();
  await reload(page);
  await expect(block(page, 'rp-q1').getByText('Starfish')).toBeHidden();
});

test('tiers are drafted side by side by recipes, and made', async ({ page }) => {
  await openDemo(page, '/bench/right-bus/tiers');
  await page.getByRole('checkbox', { name: /Step by step/ }).check();
  await expect(page.getByRole('button', { name: 'Make 3 versions' })).toBeEnabled();
  await page.getByRole('textbox', { name: 'Name of draft 1' }).fill('Lighter');
  await page.getByRole('textbox', { name: 'Name of draft 1' }).press('Tab');
  await page.getByRole('button', { name: 'Make 3 versions' }).click();
  await page.waitForURL('**/bench/right-bus/*');
  await expect(ofFamily(page, /^Lighter, \d+ changes/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(ofFamily(page, /^Lighter/)).toBeHidden();
});

test('the history shows what changed between two revisions, restores one, and two versions are compared', async ({
  page,
}) => {
  await openDemo(page, '/bench/rock-pool/history');
  await choose(page.getByRole('combobox', { name: 'From revision' }), 'revision 1');
  await expect(page.getByText('the class counted')).toBeVisible();
  await expect(page.getByRole('link', { name: /^Core, up to revision 2, 1 behind/ })).toBeVisible();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'First written' })
    .getByRole('button', { name: 'Restore' })
    .click();
  await expect(page.getByText('4 As in revision 1')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('4 As in revision 1')).toBeHidden();
  await page.getByRole('link', { name: 'Compare versions' }).click();
  await choose(page.getByRole('combobox', { name: 'left' }), 'Core');
  await choose(page.getByRole('combobox', { name: 'right' }), 'Supported, Oriel');
  await expect(page.getByText(/\d blocks differ, \d+ are the same/)).toBeVisible();
  await expect(page.getByText('Long legs')).toBeVisible();
});

test('a version is moved to another basis, made a master, and its removal asks what becomes of those on it', async ({
  page,
}) => {
  await openDemo(page, '/bench/rock-pool/rp-oriel');
  const basis = page.getByRole('combobox', { name: 'Made on' });
  // Nothing that would make a circle is offered.
  await basis.click();
  await expect(page.getByRole('option')).toHaveText(['the master', 'Supported', 'Core', 'Extended']);
  await page.keyboard.press('Escape');
  await choose(basis, 'Core');
  await expect(page.getByText('Moved to another basis')).toBeVisible();
  await page.keyboard.press('Control+z');
  await kept(page);
  await page.goto('/bench/rock-pool/rp-sup');
  await page.getByRole('button', { name: 'Remove this version' }).click();
  await expect(page.getByRole('alertdialog')).toContainText('What becomes of it?');
  await page.getByRole('button', { name: /^Stay as they are/ }).click();
  await sayYes(page, 'Remove the version');
  await expect(ofFamily(page, /^Supported, Oriel/)).toBeVisible();
  await expect(ofFamily(page, /^Supported, \d/)).toBeHidden();
  await ofFamily(page, /^Supported, Oriel/).click();
  await page.getByRole('button', { name: 'Make it a master of its own' }).click();
  await expect(page.getByRole('heading', { name: 'Rock-pool survey, Supported, Oriel' })).toBeVisible();
});

test('pages of another activity come in and follow it; only what is changed is shown; words are found', async ({
  page,
}) => {
  await openDemo(page, '/bench/puncture/pun-core');
  await page.getByText('Do with the whole version').click();
  await page.getByRole('button', { name: 'From another activity …' }).click();
  await choose(page.getByRole('combobox', { name: 'Activity' }), 'Rock-pool survey');
  await page.getByRole('checkbox', { name: /Who lives here/ }).check();
  await page.getByText('Single blocks of it').last().click();
  await page.getByRole('checkbox', { name: /lost its groove/ }).check();
  await choose(page.getByRole('combobox', { name: 'Blocks stand on' }), 'What you need');
  await choose(page.getByRole('combobox', { name: 'after', exact: true }), 'Heading: What you need');
  await page.getByRole('button', { name: 'Bring in 1 page and 1 block' }).click();
  const first = page.getByRole('region', { name: 'Page 1' });
  await expect(first.locator('[data-block]').nth(1)).toContainText('lost its groove');
  await choose(page.getByRole('combobox', { name: 'Show' }), 'only changed');
  await expect(page.getByText('It walks sideways and has two strong claws.')).toBeVisible();
  await expect(block(page, 'pun-q2')).toBeHidden();
  await choose(page.getByRole('combobox', { name: 'Show' }), 'all blocks');
  await page.getByRole('searchbox', { name: 'Find words in this version' }).fill('bubbles');
  await expect(block(page, 'pun-q1')).toBeHidden();
  await expect(block(page, 'pun-t1')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find in the family' }).fill('claws');
  await expect(page.getByRole('list', { name: 'Found in the family' }).getByRole('link')).toHaveText([
    /^Core.*It walks sideways/,
  ]);
  await kept(page);
  // Its source is corrected, and the page here follows.
  await page.goto('/bench/rock-pool');
  await rewrite(block(page, 'rp-q4'), /^Question: It walks/, 'It runs to the side.');
  await page.getByRole('button', { name: /^Save as revision/ }).click();
  await kept(page);
  await page.goto('/bench/puncture/pun-core');
  await expect(page.getByText('It runs to the side.')).toBeVisible();
});

test('hard words have more common ones, and every action is found by its name', async ({ page }) => {
  await openDemo(page, '/bench/rock-pool/rp-ext');
  await block(page, 'rp-t1').focus();
  const help = page.getByRole('region', { name: 'Help with easier words' });
  await expect(help.getByText(/Grade \d/)).toBeVisible();
  await help.getByRole('button', { name: 'animal in place of creatures' }).click();
  await expect(block(page, 'rp-t1')).toContainText('animal left behind');
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Name of an action' }).fill('only what is changed');
  await page.keyboard.press('Enter');
  await expect(block(page, 'rp-q4')).toBeHidden();
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Name of an action' }).fill('glossary');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('spinbutton', { name: 'Words at most' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('heading', { name: 'Rock-pool survey' }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('a question of upkeep is left for later, and no longer calls', async ({ page }) => {
  await openDemo(page, '/bench/rock-pool/upkeep');
  await page.getByRole('button', { name: 'Leave it for later' }).first().click();
  await expect(page.getByText('Left for later (1)')).toBeVisible();
  await page.getByRole('button', { name: 'Leave it for later' }).first().click();
  await expect(page.getByText('Left for later (2)')).toBeVisible();
  await page.getByRole('button', { name: 'Leave it for later' }).first().click();
  await expect(page.getByText('Left for later (3)')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the Bench' }).click();
  await expect(page.getByText(/\d to decide/)).toBeHidden();
});

test('numbers that may be others are named in the master, and a version draws them with the key', async ({ page }) => {
  await openDemo(page, '/bench/rock-pool');
  await block(page, 'rp-q7').focus();
  await page.getByText('Numbers that may be others').click();
  const lines = page.getByRole('textbox', { name: /^One a line/ });
  await lines.fill('a = 4, 1 to 9');
  await expect(page.getByText('The question does not say 4.')).toBeVisible();
  await page.goto('/bench/rock-pool/rp-ext');
  await block(page, 'rp-q8').focus();
  await doing(page, 'Other numbers').click();
  const promised = page.getByText(/has other numbers.*The key follows: \d+\./);
  await expect(promised).toBeVisible();
  const key = /follows: (\d+)/.exec((await promised.textContent()) ?? '')?.[1] ?? '';
  await page.getByRole('button', { name: 'Do it' }).click();
  await expect(page.getByText('other numbers', { exact: true })).toBeVisible();
  await expect(block(page, 'rp-q8')).toContainText(`Key: ${key}`);
});

test('the packet of three activities is worked on by its learner, one question at a time', async ({ page }) => {
  await openDemo(page, '/look/version/mk-oriel?family=market');
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.locator('lv-learner-block .prompt')).toHaveCount(1);
  await sitDown(page, 'Kestrel class', 'Nessa');
  await expect(page.getByRole('link', { name: /Market day/ })).toBeVisible();
});
