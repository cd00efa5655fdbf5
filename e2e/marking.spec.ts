import { expect, type Page, test } from '@playwright/test';
import { kept, openDemo, reload, sitDown, watchErrors } from './helpers';

const cell = (page: Page, who: string, question: string, says: string | RegExp) =>
  page.getByRole('button', {
    name:
      says instanceof RegExp
        ? new RegExp(`^${who}, question ${question}: ${says.source}`)
        : `${who}, question ${question}: ${says}`,
  });

/** The learner writes one answer on the second page of the survey, in a go that another one was asked for. */
async function goAgain(page: Page, name: string, field: RegExp, text: string): Promise<void> {
  await page.getByRole('button', { name: 'Begin another go' }).click();
  await page.getByRole('textbox', { name: field }).fill(text);
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'Submit …' }).click();
  await page.getByRole('button', { name: 'Submit now' }).click();
  await page.waitForURL('**/desk/work');
  await page.goto('/marking/h-survey');
  await expect(page.getByRole('row', { name: new RegExp(name) })).toContainText('submitted, go 2');
}

test('one question over all versions; what is accepted too marks the others again, and goes into the master’s key', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await openDemo(page, '/marking/h-survey');
  await expect(cell(page, 'Brannoc T.', '5', 'right')).toBeVisible();
  await expect(cell(page, 'Tamsin W.', '5', 'not yet')).toBeVisible();
  // The head of a question leads to all answers to it.
  await page.getByRole('button', { name: /^5 / }).click();
  await page.getByRole('menuitem', { name: 'Look at all answers to it' }).click();
  await expect(page.getByRole('heading', { name: 'Question 5' })).toBeVisible();
  const wrong = page.getByRole('group', { name: /^mussel: / });
  await wrong.click();
  await page.getByRole('button', { name: /^Accept “mussel” too/ }).click();
  await expect(page.getByRole('group', { name: /^mussel: .*right/ })).toBeVisible();
  await page.getByRole('button', { name: 'Put it into the master’s key' }).click();
  await expect(page.getByText('· in the master’s key')).toBeVisible();
  await reload(page);
  await page.getByRole('link', { name: 'Everybody' }).click();
  await expect(cell(page, 'Tamsin W.', '5', 'right')).toBeVisible();
  await expect(page.getByRole('row', { name: /Tamsin W/ })).toContainText('9/13');
  // Keys only: the next question, its answers marked one after the other.
  await page.goto('/marking/h-survey/question?item=rp-q9');
  const heap = page.locator('[data-heap="0"]');
  await heap.focus();
  const says = await heap.getAttribute('aria-label');
  expect(says).toContain('yours to mark');
  await page.keyboard.press('1');
  await expect(page.locator('[data-heap="1"]')).toBeFocused();
  await expect(heap).toHaveAttribute('aria-label', /right$/);
  await page.goto('/bench/rock-pool/history');
  await expect(page.getByText('“mussel” is accepted too').locator('visible=true').first()).toBeVisible();
  expect(errors).toEqual([]);
});

test('another go without saying where, and one where only what is not right is open; the second beside the first', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const errors = watchErrors(page);
  await openDemo(page, '/marking/h-survey');
  // One that is told nothing of where.
  await cell(page, 'Merryn H.', '5', 'not yet').click();
  await page.getByLabel('A word on this answer').fill('Look at its foot.');
  await page.getByLabel('A word to Merryn H. on the whole work').fill('Go over page 2 once more, Merryn.');
  await page.getByRole('button', { name: 'Ask in another way' }).click();
  await page.getByRole('menuitem', { name: 'Another go, without saying where' }).click();
  await expect(page.getByRole('row', { name: /Merryn H/ })).toContainText('another go');
  // One whose right answers stay as they are.
  await cell(page, 'Kerra L.', '7', 'not yet').click();
  await page.getByRole('button', { name: 'Ask in another way' }).click();
  await page.getByRole('menuitem', { name: 'Another go, only what is not right is open' }).click();
  await kept(page);

  await sitDown(page, 'Heron class', 'Merryn H.');
  await page.getByRole('link', { name: /Another go/ }).click();
  await expect(page.getByText('Go over page 2 once more, Merryn.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What went well' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByText('Look at its foot.')).toHaveCount(0);
  await goAgain(page, 'Merryn H', /pointed shell/, 'limpet');
  await cell(page, 'Merryn H.', '5', 'right').click();
  await page.getByRole('link', { name: 'Whole work' }).click();
  await expect(page.getByText('changed since go 1')).toHaveCount(1);
  const before = page.getByRole('region', { name: 'Page 2, go 1' });
  await expect(before.getByRole('textbox', { name: /pointed shell/ })).not.toHaveValue('limpet');
  await expect(
    page.getByRole('region', { name: 'Page 2', exact: true }).getByRole('textbox', { name: /pointed shell/ }),
  ).toHaveValue('limpet');

  await sitDown(page, 'Heron class', 'Kerra L.');
  await page.getByRole('link', { name: /Another go/ }).click();
  await expect(page.getByRole('heading', { name: 'What went well' })).toBeVisible();
  await page.getByRole('button', { name: 'Begin another go' }).click();
  await expect(page.getByText('Only some questions are open now.')).toBeVisible();
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByRole('textbox', { name: /pointed shell/ })).toBeDisabled();
  await expect(page.getByRole('textbox', { name: /How many limpets can you count/ })).toBeEnabled();
  expect(errors).toEqual([]);
});

test('a word that is spoken on one answer is heard at the desk; held back, nothing is told until it is let out', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await page.addInitScript(() => localStorage.setItem('lorvet-devices', 'stand-in'));
  await openDemo(page, '/marking/h-survey/out');
  await page.getByRole('radio', { name: 'when I let them out' }).check();
  await page.getByRole('link', { name: 'Everybody' }).click();
  await cell(page, 'Oriel P.', '2', 'partly').click();
  await page.getByRole('button', { name: 'Say it on this answer' }).click();
  const work = page.getByRole('complementary', { name: 'The work' });
  await work.getByRole('button', { name: 'Record', exact: true }).click();
  await work.getByRole('button', { name: 'Stop recording' }).click();
  await expect(work.locator('audio')).toBeVisible();
  // Marked entirely, and complete with one press for all that are.
  await page.getByRole('button', { name: 'Complete 1 that is all marked' }).click();
  await expect(page.getByRole('row', { name: /Oriel P/ })).toContainText('not out yet');
  await kept(page);

  await sitDown(page, 'Heron class', 'Oriel P.');
  const link = page.getByRole('link', { name: /Rock-pool survey/ });
  await expect(link).not.toHaveText(/complete|done/i);
  await link.click();
  await expect(page.getByText('Your teacher speaks to you:')).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'What went well' })).toHaveCount(0);

  await page.goto('/marking/h-survey/out');
  await page.getByRole('button', { name: 'Oriel P.', exact: true }).click();
  await expect(page.getByText('What Oriel P. will see')).toBeVisible();
  // By hand: 1, 3, 4, 5, 7, 8, 9 of the ten on the sheet are right, 7 points, and two thirds of one.
  await expect(page.getByText('Points, for who asks: 7.67 of 10')).toBeVisible();
  await page.getByRole('button', { name: 'Let it out now' }).click();
  await kept(page);
  await sitDown(page, 'Heron class', 'Oriel P.');
  await page.getByRole('link', { name: /Rock-pool survey/ }).click();
  await expect(page.getByRole('heading', { name: 'What went well' })).toBeVisible();
  await expect(page.locator('lv-beside-question audio')).toHaveCount(1);
  expect(errors).toEqual([]);
});
