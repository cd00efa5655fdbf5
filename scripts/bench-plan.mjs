// A plan for 400 learners of an activity with 12 versions, in Chromium.
import { figure, GOES, noting, withBackup } from './bench-tasks.mjs';

const DOINGS = [
  ['opening', 'opening it'],
  ['head', 'giving one version to everyone'],
  ['again', 'giving another to everyone'],
  ['how', 'opening its dates'],
  ['check', 'opening its check'],
  ['row', 'giving one learner another'],
  ['giving', 'giving it out'],
];

/** In a tab of its own, each on a plan that is used again from the first: it is given out at the end. */
async function oneGo(context, base) {
  const page = await context.newPage();
  const tasks = {};
  const during = noting(page, tasks);
  const press = async (role, name) => {
    await page.getByRole(role, { name }).first().click();
    await page.waitForTimeout(1500);
  };
  await page.goto(`${base}/hand-outs`);
  const plan = page.locator('a[href="/hand-outs/many"]').first();
  await plan.waitFor();
  await page.waitForTimeout(1500);
  await during('opening', async () => {
    await plan.click();
    await page.getByRole('button', { name: 'Core for everyone' }).waitFor();
    await page.waitForTimeout(1500);
  });
  await during('head', () => press('button', 'Core for everyone'));
  await during('again', () => press('button', 'Supported for everyone'));
  await during('how', () => press('button', /^How/));
  await during('check', () => press('button', /^Check/));
  await during('row', () => press('radio', /^Extended for Learner 3/));
  const why = page.getByLabel(/may stay, because/);
  if (await why.count()) await why.fill('as agreed');
  await during('giving', () => press('button', /^Give out to 400/));
  // As it was for the next go.
  for (let i = 0; i < 4; i++) await page.keyboard.press('Control+z');
  await page.getByText('All kept').waitFor();
  await page.close();
  return tasks;
}

export const benchPlan = (backup) =>
  withBackup(4395, backup, async (context, base) => {
    const goes = [];
    for (let go = 0; go < GOES; go++) goes.push(await oneGo(context, base));
    return DOINGS.map(([doing, words]) => figure('A plan of 400 learners by 12 versions', doing, words, goes));
  });
