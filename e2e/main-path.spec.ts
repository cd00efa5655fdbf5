import { expect, type Page, test } from '@playwright/test';
import { choose, kept, reload, rewrite, sitDown, startEmpty, watchErrors, ofFamily } from './helpers';

const CLASS_LIST = `Name,Class,Group,Reading level,Supports,Interests
Brea K.,Tern class,Otters,3.1,word bank; hints,boats
Cador L.,Tern class,Otters,2.9,word bank,
Derwa M.,Tern class,,6.2,,owls
,Tern class,,5.0,,
Endel N.,Tern class,,very good,,
`;

async function addBlock(page: Page, kind: string): Promise<void> {
  await page.getByRole('region', { name: 'Page 1' }).getByRole('button', { name: kind, exact: true }).click();
}

/** The whole job, from a new master to the way back, on an empty workspace. */
test('a master, two versions, a class, the work, the marks, a correction and its upkeep', async ({ page }) => {
  test.setTimeout(180_000);
  const errors = watchErrors(page);
  await startEmpty(page);

  // A master typed in.
  await page.getByRole('button', { name: 'Write the first master' }).click();
  await expect(page.getByLabel('Title')).toBeFocused();
  await page.getByLabel('Title').fill('Feeding the hens');
  await page.getByLabel('Subject').fill('Life on the farm');
  await page.getByLabel('Objectives, one a line').fill('Find facts in a text\nCount in groups');
  await page.getByRole('button', { name: 'Open it on the Bench' }).click();
  await expect(page.getByRole('heading', { name: 'Feeding the hens' })).toBeVisible();

  await addBlock(page, 'Text');
  await page.getByRole('textbox', { name: 'Text' }).fill('The hens scratch in the yard all day and look for seeds.');
  await addBlock(page, 'Single choice');
  await page.getByRole('textbox', { name: 'Question' }).fill('What do hens look for?');
  const choice = page.getByRole('group', { name: 'Question 1, single choice', exact: true });
  for (const [i, text] of ['Seeds', 'Stones', 'Shoes'].entries()) await rewrite(choice, `Choice ${i + 1}: empty`, text);
  await choice.getByRole('radio', { name: 'Key: Seeds' }).check();
  await addBlock(page, 'Short text');
  await page.getByRole('textbox', { name: 'Question' }).fill('Where do the hens scratch?');
  const short = page.getByRole('group', { name: 'Question 2, short text', exact: true });
  await short.getByRole('textbox', { name: /^Key/ }).fill('yard / in the yard');
  await addBlock(page, 'Number');
  await page.getByRole('textbox', { name: 'Question' }).fill('Three hens lay two eggs each. How many eggs is that?');
  const number = page.getByRole('group', { name: 'Question 3, number', exact: true });
  await number.getByRole('textbox', { name: 'Key: the right number' }).fill('6');
  await number.getByRole('textbox', { name: 'Unit' }).fill('eggs');
  await number.getByRole('textbox', { name: 'Unit' }).press('Tab');
  await number.click();
  await choose(page.getByLabel('Objective'), 'Count in groups');
  await page.getByLabel('What changed, in a word or two').fill('First questions');
  await page.getByRole('button', { name: 'Save as revision 2' }).click();
  await expect(page.getByText('master · revision 2')).toBeVisible();
  await reload(page);

  // Two versions, made by editing in place.
  await page.getByRole('button', { name: 'New version' }).click();
  await page.getByRole('button', { name: 'Make the version' }).click();
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Supported');
  const text = page.locator('[data-block]').filter({ hasText: 'The hens scratch' });
  await rewrite(text, /^Text: The hens/, 'The hens walk in the yard all day. They look for seeds.');
  await expect(page.getByText('reworded', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Leave out choice Shoes' }).click();
  await expect(page.getByText('3 → 2')).toBeVisible();
  const counting = page.getByRole('group', { name: 'Question 3, number', exact: true });
  await counting.focus();
  await counting.press('Delete');
  await expect(page.getByText('left out', { exact: true })).toBeVisible();
  await expect(page.getByText('modification', { exact: true }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByText('left out', { exact: true })).toBeHidden();

  await page.getByRole('button', { name: 'New version' }).click();
  await choose(page.getByLabel('Made on'), 'the master');
  await page.getByLabel('Name', { exact: true }).last().fill('Extended');
  await page.getByRole('button', { name: 'Make the version' }).click();
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Extended');
  await page.getByRole('group', { name: 'Question 3, number', exact: true }).focus();
  await choose(page.getByRole('button', { name: 'Add after this' }), 'Long text');
  await page.getByRole('textbox', { name: 'Question' }).fill('Why do hens scratch the ground? Explain.');
  await page.getByRole('textbox', { name: 'Question' }).press('Control+Enter');
  await expect(page.getByText('addition').first()).toBeVisible();
  await reload(page);
  await expect(page.getByText('Why do hens scratch the ground? Explain.', { exact: true })).toBeVisible();

  // A class from a CSV list, every bad line named.
  await page.getByRole('link', { name: 'Learners', exact: true }).click();
  await page.getByRole('button', { name: 'Import a class list' }).first().click();
  const csv = { name: 'tern.csv', mimeType: 'text/csv', buffer: Buffer.from(CLASS_LIST) };
  await page.getByLabel('Choose the list').setInputFiles(csv);
  await expect(page.getByText('Line 5: There is no name.')).toBeVisible();
  await expect(page.getByText('Line 6: The reading level is none')).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 3 learners' }).click();
  await expect(page.getByRole('button', { name: 'Tern class 3' })).toBeVisible();
  await reload(page);

  // Handed out: one version for each.
  await page.getByRole('link', { name: 'Hand-outs' }).click();
  await page.getByRole('button', { name: 'Plan a hand-out' }).click();
  await page.getByRole('button', { name: /Feeding the hens/ }).click();
  await page.getByRole('button', { name: 'Choose who' }).click();
  await page.getByRole('checkbox', { name: 'Tern class, 3' }).check();
  await page.keyboard.press('Escape');
  await expect(page.getByText('3 learners have no version')).toBeVisible();
  await page.getByRole('radio', { name: 'Supported for Brea K.' }).check();
  await page.getByRole('radio', { name: 'Extended for Derwa M.' }).check();
  await expect(page.getByText('Cador L. has no version')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Give out to 3' })).toBeDisabled();
  await page.getByRole('radio', { name: 'Supported for Cador L.' }).check();
  await page.getByRole('link', { name: 'Look as Brea K.' }).first().click();
  await expect(page.getByText('Looking as Brea K. – nothing is kept')).toBeVisible();
  await expect(page.getByText(/They look for seeds\./)).toBeVisible();
  await page.getByRole('button', { name: 'Back' }).first().click();
  await expect(page.getByText('looked at as 1 of 3 learners')).toBeVisible();
  await page.getByRole('button', { name: 'Give out to 3' }).click();
  await expect(page.getByText('Given out', { exact: true })).toBeVisible();
  await kept(page);

  // Two learners, two versions; the work saves itself and outlives a reload.
  await sitDown(page, 'Tern class', 'Brea K.');
  await page.getByRole('link', { name: /Start/ }).click();
  await expect(page.getByText('Shoes')).toBeHidden();
  await page.getByRole('radio', { name: 'Seeds' }).check();
  await page.getByRole('textbox', { name: /Where do the hens scratch/ }).fill('In the Yard.');
  await expect(page.getByText('Saved')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'Seeds' })).toBeChecked();
  await expect(page.getByRole('textbox', { name: /Where do the hens scratch/ })).toHaveValue('In the Yard.');
  await page.getByRole('button', { name: 'Submit …' }).click();
  await expect(page.getByText('Some places are still empty')).toBeVisible();
  await page.getByRole('button', { name: 'Not yet' }).click();
  await page.getByRole('textbox', { name: /How many eggs/ }).fill('5 eggs');
  await page.getByRole('button', { name: 'Submit …' }).click();
  await page.getByRole('button', { name: 'Submit now' }).click();
  await expect(page.getByText('Submitted', { exact: true })).toBeVisible();

  await sitDown(page, 'Tern class', 'Derwa M.');
  await page.getByRole('link', { name: /Start/ }).click();
  await page.getByRole('radio', { name: 'Shoes' }).check();
  await page.getByRole('textbox', { name: /Where do the hens scratch/ }).fill('barn');
  await page.getByRole('textbox', { name: /How many eggs/ }).fill('6');
  await page.getByRole('textbox', { name: /Why do hens scratch/ }).fill('To find food under the soil.');
  await page.getByRole('button', { name: 'Submit …' }).click();
  await page.getByRole('button', { name: 'Submit now' }).click();
  await expect(page.getByText('Submitted', { exact: true })).toBeVisible();

  // Marked: by rule, overruled, commented, another go.
  await page.goto('/marking');
  await page.getByRole('link', { name: 'Feeding the hens', exact: true }).click();
  const cell = (who: string, question: string, says: string) =>
    page.getByRole('button', { name: `${who}, question ${question}: ${says}` });
  await expect(cell('Brea K.', '1', 'right')).toBeVisible();
  await expect(cell('Brea K.', '2', 'right')).toBeVisible();
  await expect(cell('Brea K.', '3', 'not yet')).toBeVisible();
  await expect(cell('Brea K.', 'added by the version', 'not in this version')).toBeVisible();
  await expect(cell('Derwa M.', '1', 'not yet')).toBeVisible();
  await expect(cell('Derwa M.', '4, added by the version', 'yours to mark')).toBeVisible();
  await expect(cell('Cador L.', '1', 'nothing given')).toBeVisible();
  await cell('Derwa M.', '2', 'not yet').click();
  await page.getByRole('button', { name: 'Partly', exact: true }).click();
  await expect(cell('Derwa M.', '2', 'partly')).toBeVisible();
  await page.getByLabel('A word on this answer').fill('Near the barn, yes. Look at the first line again.');
  await page.getByLabel('A word on this answer').press('Tab');
  await page.getByRole('button', { name: 'Another go', exact: true }).click();
  await cell('Brea K.', '1', 'right').click();
  await page.getByRole('button', { name: 'Complete', exact: true }).click();
  await reload(page);
  await expect(page.getByRole('row', { name: /Brea K/ })).toContainText('complete');
  await expect(page.getByRole('row', { name: /Derwa M/ })).toContainText('another go');

  // The learner sees the word, and goes again; the first go is kept.
  await sitDown(page, 'Tern class', 'Derwa M.');
  await page.getByRole('link', { name: /Another go/ }).click();
  await expect(page.getByText('Near the barn, yes.')).toBeVisible();
  await expect(page.getByRole('textbox', { name: /Where do the hens scratch/ })).toBeDisabled();
  await page.getByRole('button', { name: 'Begin another go' }).click();
  await page.getByRole('textbox', { name: /Where do the hens scratch/ }).fill('the yard');
  await page.getByRole('button', { name: 'Submit …' }).click();
  await page.getByRole('button', { name: 'Submit now' }).click();
  // The sheet is left once the work is written.
  await page.waitForURL('**/desk/work');
  await page.goto('/marking');
  await page.getByRole('link', { name: 'Feeding the hens', exact: true }).click();
  await expect(page.getByRole('row', { name: /Derwa M/ })).toContainText('submitted, go 2');

  // A correction of the master: one version must decide, the other is carried.
  await page.getByRole('link', { name: 'Bench' }).click();
  await ofFamily(page, /^Feeding the hens/).click();
  await rewrite(
    page.locator('[data-block]').filter({ hasText: 'The hens scratch' }),
    /^Text: The hens/,
    'The hens dig in the orchard all day and look for worms and seeds.',
  );
  await page.getByRole('button', { name: 'Save as revision 3' }).click();
  await expect(page.getByRole('heading', { name: 'Upkeep of Feeding the hens' })).toBeVisible();
  await expect(page.getByText('to decide', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: /Write it yourself/ }).click();
  await page
    .getByLabel('Your own words for Supported')
    .fill('The hens walk in the orchard. They look for worms and seeds.');
  await page.getByRole('button', { name: 'Take these words' }).click();
  await expect(page.getByText('Nothing waits')).toBeVisible();
  await reload(page);
  await expect(page.getByText('decided: own words')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the Bench' }).click();
  await ofFamily(page, /^Supported/).click();
  await expect(
    page.getByRole('button', { name: 'Text: The hens walk in the orchard. They look for worms and seeds.' }),
  ).toBeVisible();

  // The way back from an answer, after all this.
  await page.getByRole('link', { name: 'Marking', exact: true }).click();
  await page.getByRole('link', { name: 'Feeding the hens', exact: true }).click();
  await cell('Brea K.', '1', 'right').click();
  await expect(page.getByText('master, revision 2')).toBeVisible();
  await expect(page.getByText('offers 2 choices in place of 3: Seeds · Stones.')).toBeVisible();
  await expect(page.getByText('2 learners had this question in 1 wording')).toBeHidden();
  await expect(page.getByText('3 learners had this question in 2 wordings')).toBeVisible();
  expect(errors).toEqual([]);
});
