import { expect, type Page, test } from '@playwright/test';
import { strToU8, zipSync } from 'fflate';
import { kept, openDemo, reload, sitDown } from './helpers';

const school = '/school-roster/**';
/** The stand-in for the school's service as it is on a day; or as it is when it does not answer. */
async function serviceOn(page: Page, day: number, fails: 'yes' | 'no' = 'no'): Promise<void> {
  await page.unroute(school);
  await page.route(school, (route) =>
    route.continue({
      headers: { ...route.request().headers(), 'x-stand-in-day': `${day}`, 'x-stand-in-fails': fails },
    }),
  );
}
const packed = (users: string, enrollments: string) =>
  Buffer.from(
    zipSync(
      Object.fromEntries(
        Object.entries({
          'manifest.csv':
            'propertyName,value\noneroster.version,1.2\nfile.classes,bulk\nfile.users,bulk\nfile.enrollments,bulk',
          'classes.csv': 'sourcedId,title\nc1,Tern class',
          'users.csv': `sourcedId,givenName,familyName\n${users}`,
          'enrollments.csv': `sourcedId,classSourcedId,userSourcedId,role\n${enrollments}`,
        }).map(([name, text]) => [name, strToU8(text)]),
      ),
    ),
  );

test('groups are proposed in a worker, changed by hand and made', async ({ page }) => {
  await openDemo(page, '/learners');
  await page.getByRole('button', { name: 'Heron class 14' }).click();
  await page.getByRole('link', { name: 'Make groups …' }).click();
  await page.getByRole('button', { name: 'Propose groups' }).click();
  const board = page.getByRole('region', { name: 'Groups' });
  await expect(board.getByRole('list', { name: 'What this costs' })).toContainText('reading:');
  await board.getByRole('button', { name: /^Oriel P\./ }).press('Enter');
  await expect(page.getByRole('menuitem').first()).toBeVisible();
  const [to] = await page.getByRole('menuitem').allTextContents();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  const group = board.getByRole('region', { name: (to ?? '').replace('To ', '').trim(), exact: true });
  await expect(group).toContainText('Oriel P.');
  await page.getByRole('button', { name: 'Make these 4 groups' }).click();
  await expect(page.getByRole('navigation', { name: /groups/ }).getByRole('button', { name: /^Terns/ })).toBeVisible();
  await reload(page);
  await expect(page.getByRole('button', { name: /^Terns/ })).toBeVisible();
});

test('the school’s service is followed: what changed, what failed, nothing by itself', async ({ page }) => {
  await openDemo(page, '/learners/school');
  await serviceOn(page, 0);
  await page.getByRole('button', { name: 'Ask the school’s service' }).click();
  await expect(page.getByRole('button', { name: '23 learners of yours are on the list' })).toBeVisible();
  await page.getByRole('button', { name: 'Take it over' }).click();
  await expect(page.getByRole('heading', { name: 'Learners' })).toBeVisible();
  await page.getByRole('link', { name: 'The school’s list' }).click();
  await serviceOn(page, 0, 'yes');
  await page.getByRole('button', { name: 'Ask the school’s service' }).click();
  await expect(page.getByText('cannot give its list now (it says 503). Nothing was changed')).toBeVisible();
  await expect(page.getByText(/^Last taken over/).last()).toBeVisible();
  await serviceOn(page, 10);
  await page.getByRole('button', { name: 'Ask the school’s service' }).click();
  await page.getByRole('button', { name: '2 learners came' }).click();
  await page.getByRole('button', { name: 'Take it over' }).click();
  await expect(page.getByRole('button', { name: 'Heron class 15' })).toBeVisible();
});

test('a OneRoster package comes in twice, with faults: what is wrong is named, what changed is shown', async ({
  page,
}) => {
  await openDemo(page, '/learners/school');
  const take = async (buffer: Buffer) => {
    await page
      .getByLabel('From a file (OneRoster 1.2)')
      .setInputFiles({ name: 'school.zip', mimeType: 'application/zip', buffer });
  };
  await take(packed('u1,Brea,K.\nu2,Cador,L.\n,No,Id', 'e1,c1,u1,student\ne2,c1,u2,student\ne3,c1,u9,student'));
  await expect(page.getByText('users.csv, line 4: There is no sourcedId.')).toBeVisible();
  await expect(page.getByText('enrollments.csv, line 4: It speaks of a user who is not in users.csv.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it over' }).click();
  await expect(page.getByRole('button', { name: 'Tern class 2' })).toBeVisible();
  await page.getByRole('link', { name: 'The school’s list' }).click();
  await take(packed('u1,Brea,K.\nu3,Endel,M.', 'e1,c1,u1,student\ne3,c1,u3,student'));
  await page.getByRole('button', { name: '1 learner left' }).click();
  await expect(page.getByText('Cador L.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it over' }).click();
  await expect(page.getByRole('button', { name: 'Tern class 2' })).toBeVisible();
  // Who left is still here.
  await expect(page.getByRole('row', { name: /Cador L\./ })).toBeVisible();
  await reload(page);
  await page.getByRole('button', { name: 'Tern class 2' }).click();
  await expect(page.getByRole('row', { name: /Endel M\./ })).toBeVisible();
});

test('a card is shown to others as they may see it', async ({ page }) => {
  await openDemo(page, '/learners?learner=l-oriel');
  await page.getByRole('button', { name: 'Who may see what' }).click();
  await page.getByRole('link', { name: 'As the family sees it' }).click();
  await expect(page.getByRole('heading', { name: 'What works' })).toBeVisible();
  await expect(page.getByText('One thing at a time')).toBeHidden();
  await expect(page.getByText('Finishes one page')).toBeHidden();
});

test('a notice to an audience is at their desk for as long as it is up, and at nobody else’s', async ({ page }) => {
  await openDemo(page, '/learners?part=a-print');
  await page.getByRole('link', { name: 'Hand out to them' }).click();
  await page.getByRole('button', { name: /^A notice/ }).click();
  await page.getByLabel('What it says').fill('The pool is shut on Friday. Bring books.');
  await page.getByRole('button', { name: 'Give out to 2' }).click();
  await kept(page);
  const plan = page.url();
  await sitDown(page, 'Heron class', 'Merryn H.');
  const notice = page.getByRole('region', { name: 'The pool is shut on Friday' });
  await expect(notice).toContainText('Bring books.');
  await page.goto(plan);
  await page.getByRole('button', { name: /^Check/ }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await kept(page);
  await sitDown(page, 'Heron class', 'Merryn H.');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Hello');
  await expect(notice).toBeHidden();
});
