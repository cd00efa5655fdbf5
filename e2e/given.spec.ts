import { expect, type Page, test } from '@playwright/test';
import { choose, kept, openDemo, reload, rewrite, sitDown } from './helpers';

/** A plan for a class, begun from a version of an activity, given out to all of it. */
async function giveClass(page: Page, from: string, className: string, how?: () => Promise<void>): Promise<string> {
  await page.goto(from);
  await page.getByRole('link', { name: 'Hand out', exact: true }).click();
  await page.getByRole('checkbox', { name: new RegExp(`^${className}`) }).check();
  await page.getByRole('button', { name: /^How/ }).click();
  if (!from.split('/')[3]) await page.getByRole('button', { name: 'Master for everyone' }).click();
  await how?.();
  await page.getByRole('button', { name: /^Check/ }).click();
  const why = page.getByLabel(/may stay, because/);
  if (await why.count()) await why.fill('as agreed');
  await page.getByRole('button', { name: /^(Give out to|Schedule for) / }).click();
  await expect(page.getByText(/(Given out to|Scheduled for) \d+ learners/)).toBeVisible();
  await kept(page);
  return page.url();
}

test('two classes, each their own copy, with two materials and a sheet for notes, due on Monday at nine', async ({
  page,
}) => {
  await openDemo(page, '/bench/puncture');
  await page.getByRole('link', { name: 'Hand out', exact: true }).click();
  await page.getByRole('checkbox', { name: /^Heron class/ }).check();
  await page.getByRole('checkbox', { name: /^Kestrel class/ }).check();
  await page.getByRole('button', { name: 'Master for everyone' }).click();
  await page.getByRole('button', { name: /^How/ }).click();
  await page.getByRole('textbox', { name: 'Due' }).fill('Monday 09:00');
  await page.getByRole('button', { name: /^What/ }).click();
  await page.getByLabel('Address that goes with it').fill('https://tides.example/a https://quay.example/b');
  await page.getByLabel('Address that goes with it').press('Enter');
  await choose(page.getByLabel('Something else'), 'a sheet for notes, that nobody marks');
  await page.getByRole('button', { name: 'Give out to 23' }).click();
  await kept(page);
  await expect(page.getByRole('button', { name: /^How/ })).toContainText(/due Mon,? /);
  await sitDown(page, 'Kestrel class', 'Zennor C.');
  const work = page.getByRole('region').filter({ hasText: 'Mending a puncture' });
  await expect(work.or(page.getByRole('main')).getByRole('link', { name: 'quay.example' }).first()).toBeVisible();
  // A sheet of notes is kept at each pause, as answers are: it need not be left first.
  await page.getByRole('link', { name: /: Mending a puncture/ }).click();
  const notes = page.getByRole('textbox', { name: 'Notes: for you, nobody marks it' });
  await notes.pressSequentially('the pump is in the shed');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(notes).toHaveValue('the pump is in the shed');
});

test('groups of three have one copy, with who wrote what; what was said is said to all of them', async ({ page }) => {
  await openDemo(page);
  await giveClass(page, '/bench/puncture/pun-core', 'Heron class', async () => {
    await page.getByRole('radio', { name: /^One per group/ }).check();
    await page.getByRole('button', { name: 'Make 5 groups of 14' }).click();
    await expect(page.getByText('Everybody is in a group')).toBeVisible();
  });
  const team = page.getByRole('region').filter({ hasText: 'Jory S.' });
  const mate = (await team.getByRole('listitem').allTextContents()).map((n) => n.trim()).find((n) => n !== 'Jory S.');
  await sitDown(page, 'Heron class', 'Jory S.');
  await page.getByRole('link', { name: /^Start/ }).click();
  await expect(page.getByText('you do this together with')).toContainText(mate ?? '');
  await page.getByRole('radio').first().check();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await sitDown(page, 'Heron class', mate ?? '');
  await page.getByRole('link', { name: /^Go on/ }).click();
  await expect(page.getByRole('radio').first()).toBeChecked();
  await expect(page.getByText('Written by Jory S.')).toBeVisible();
  // The others write at the same machine too: whose turn it is, is one press. Who comes last wrote it.
  await page
    .getByRole('group', { name: 'Whose turn is it to write?' })
    .getByRole('button', { name: 'Jory S.' })
    .click();
  await page.getByRole('radio').last().check();
  await expect(page.getByRole('button', { name: /^Jory S\. 1 answer/ })).toBeVisible();
  // In two windows at once: no word of either is lost, and both stand on the sheet.
  const [mine, theirs] = [page, await page.context().newPage()];
  await sitDown(theirs, 'Heron class', 'Jory S.');
  await theirs.getByRole('link', { name: /^Go on/ }).click();
  const field = (p: Page) => p.getByRole('textbox', { name: /lift the tyre/ });
  await expect(field(theirs)).toBeVisible();
  await Promise.all([field(mine).fill('the valve'), field(theirs).fill('a thorn in the tyre')]);
  for (const p of [mine, theirs]) {
    await expect(p.getByText('Saved', { exact: true })).toBeVisible();
    await expect(p.getByText('wrote this at the same time:')).toBeVisible();
  }
  const both = async (p: Page) => [await field(p).inputValue(), await p.locator('lv-go-before input').inputValue()];
  await expect.poll(async () => `${await both(mine)}` === `${await both(theirs)}`).toBe(true);
  expect((await both(mine)).sort()).toEqual(['a thorn in the tyre', 'the valve']);
  await theirs.getByRole('button', { name: 'Use this instead' }).click();
  await expect(theirs.getByText('Saved', { exact: true })).toBeVisible();
  await expect(field(mine)).toHaveValue(await field(theirs).inputValue());
  await theirs.close();
  await page.goto('/marking');
  await page.getByRole('link', { name: 'Mending a puncture', exact: true }).click();
  await expect(page.getByRole('row', { name: /Jory S\./ })).toHaveCount(1);
  await page
    .getByRole('row', { name: /Jory S\./ })
    .getByRole('button', { name: /question 3: (right|not yet)$/ })
    .click();
  await expect(page.getByText('Written by Jory S.')).toBeVisible();
});

test('a place for each grows with who joins; a word to another’s place is read by the teacher first', async ({
  page,
}) => {
  await openDemo(page);
  const plan = await giveClass(page, '/bench/puncture/pun-core', 'Heron class', async () => {
    await page.getByRole('radio', { name: /with a place for each$/ }).check();
    await page.getByRole('checkbox', { name: /^Everybody can look/ }).check();
    await page.getByRole('checkbox', { name: /^They may write a few words/ }).check();
  });
  await sitDown(page, 'Heron class', 'Kerra L.');
  await page.getByRole('link', { name: /^Start/ }).click();
  await expect(page.getByRole('heading', { name: 'Place of Kerra L.' })).toBeVisible();
  await page.getByRole('button', { name: 'See all places' }).click();
  await page.getByRole('navigation', { name: 'Index of 14 places' }).getByRole('button', { name: 'Jory S.' }).click();
  await page.getByLabel('Say something kind and useful').fill('I like it.');
  await page.getByRole('button', { name: 'Give it to my teacher' }).click();
  await expect(page.getByText('You, for your teacher to read first:')).toBeVisible();
  await sitDown(page, 'Heron class', 'Jory S.');
  await page.getByRole('link', { name: /^Start/ }).click();
  await page.getByRole('button', { name: 'See all places' }).click();
  await expect(page.getByRole('heading', { name: 'Jory S.' })).toBeVisible();
  await expect(page.getByText('I like it.')).toBeHidden();

  // Somebody joins the class: the index grows, once the teacher gives it to them.
  await page.goto('/learners?learner=l-talan');
  await page.getByRole('checkbox', { name: 'Heron class' }).check();
  await kept(page);
  await page.goto(plan);
  await expect(page.getByText('Talan E. joined since')).toBeVisible();
  await page.getByRole('button', { name: 'Give it to them too' }).click();
  await page.getByRole('link', { name: 'Index and places' }).click();
  await expect(page.getByRole('navigation', { name: 'Index of 15 places' })).toBeVisible();
  await page.getByRole('button', { name: 'All may read it' }).click();
  await kept(page);
  await sitDown(page, 'Heron class', 'Jory S.');
  await page.getByRole('link', { name: /^Start/ }).click();
  await page.getByRole('button', { name: 'See all places' }).click();
  await expect(page.getByText('Kerra L.: I like it.')).toBeVisible();
});

test('a correction after half have started: told, sent to those it suits, and to nobody by itself', async ({
  page,
}) => {
  await openDemo(page);
  const plan = await giveClass(page, '/bench/puncture', 'Heron class');
  // Five have begun elsewhere on the sheet, two have answered what will be another question.
  const begun = ['Jory S.', 'Wilmot A.', 'Demelza K.', 'Merryn H.', 'Lamorna J.', 'Perran D.', 'Elowen R.'];
  for (const [i, name] of begun.entries()) {
    await sitDown(page, 'Heron class', name);
    await page.getByRole('link', { name: /^Start/ }).click();
    await page.getByRole('radio').first().check();
    if (i > 4) await page.getByRole('textbox').nth(1).fill('bubbles');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  }
  await page.goto('/bench/puncture');
  await rewrite(page.locator('[data-block="pun-q2"]'), /^Question/, 'What comes out of the hole under water?');
  await page.getByRole('button', { name: /^Save as revision/ }).click();
  await kept(page);
  await page.goto(plan);
  await page.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByText('14 sheets changed since they were given')).toBeVisible();
  await page.getByRole('button', { name: 'See what it would mean' }).click();
  await expect(page.getByText('7 not started:')).toBeVisible();
  await expect(page.getByText('5 started, and what was answered fits:')).toBeVisible();
  await expect(page.getByText('Perran D.: 1 answer comes along')).toBeVisible();
  await page.getByRole('button', { name: 'Send it to the 12 it suits' }).click();
  await expect(page.getByText('a correction sent to 12 learners')).toBeVisible();
  await kept(page);
  await sitDown(page, 'Heron class', 'Kerra L.');
  await page.getByRole('link', { name: /^Start/ }).click();
  await expect(page.getByText('What comes out of the hole under water?')).toBeVisible();
  await sitDown(page, 'Heron class', 'Jory S.');
  await page.getByRole('link', { name: /^Go on/ }).click();
  await expect(page.getByText('What comes out of the hole under water?')).toBeVisible();
  await expect(page.getByRole('radio').first()).toBeChecked();
  await sitDown(page, 'Heron class', 'Perran D.');
  await page.getByRole('link', { name: /^Go on/ }).click();
  await expect(page.getByText('What shows where the hole is?')).toBeVisible();
  await expect(page.getByRole('textbox').nth(1)).toHaveValue('bubbles');
});

test('the next level comes as the same piece of work, with what fits; the first stays', async ({ page }) => {
  await openDemo(page, '/hand-outs/h-survey');
  await page.getByRole('button', { name: 'Extended for everyone' }).click();
  await page.getByRole('button', { name: /^Give it to all/ }).click();
  await expect(page.getByText(/Extended given to 14 learners/)).toBeVisible();
  await reload(page);
  await sitDown(page, 'Heron class', 'Kerra L.');
  await page.getByRole('link', { name: /^Another go/ }).click();
  await page.getByRole('button', { name: 'To the new sheet' }).click();
  await expect(page.getByRole('button', { name: 'Go 2' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Go 1' }).click();
  await expect(page.getByText('Go 1, to look at')).toBeVisible();
});

test('a test that opens in the next minute comes to the desk by itself, and is over by itself', async ({ page }) => {
  const now = new Date();
  now.setSeconds(10, 0);
  await page.clock.install({ time: now });
  await openDemo(page);
  const inMinutes = (n: number) => {
    const at = new Date(now.getTime() + n * 60_000);
    const two = (x: number) => `${x}`.padStart(2, '0');
    return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())} ${two(at.getHours())}:${two(at.getMinutes())}`;
  };
  await giveClass(page, '/bench/puncture/pun-core', 'Heron class', async () => {
    for (const [field, n] of [
      ['Opens', 3],
      ['Due', 20],
      ['Closes', 20],
    ] as const) {
      await page.getByRole('textbox', { name: field }).fill(inMinutes(n));
      await page.getByRole('textbox', { name: field }).press('Tab');
    }
  });
  await sitDown(page, 'Heron class', 'Corin B.');
  await expect(page.getByText('Mending a puncture')).toBeHidden();
  await page.clock.fastForward('04:00');
  await expect(page.getByRole('heading', { name: 'Mending a puncture' })).toBeVisible();
  await page.getByRole('link', { name: /^Start.*Mending/ }).click();
  await expect(page.getByRole('radio').first()).toBeEnabled();
  await page.clock.fastForward('20:00');
  await expect(page.getByText('The time is over')).toBeVisible();
});

test('the calendar leads to a plan, and goes out as a file for a learner', async ({ page }) => {
  await openDemo(page, '/hand-outs/calendar');
  const saved = page.waitForEvent('download');
  await page.getByRole('combobox', { name: 'As a calendar file' }).click();
  await page.getByRole('option', { name: 'Oriel P.' }).click();
  const file = await saved;
  expect(file.suggestedFilename()).toBe('Oriel-P-.ics');
  const text = (await import('node:fs')).readFileSync(await file.path(), 'utf8');
  expect(text).toContain('SUMMARY:Rock-pool survey: due');
  await page.getByRole('button', { name: 'List' }).click();
  await page
    .getByRole('link', { name: /^Opens: Rock-pool survey|^Due: Rock-pool survey/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Rock-pool survey' })).toBeVisible();
});
