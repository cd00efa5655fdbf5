import { expect, type Locator, type Page, test } from '@playwright/test';
import { faults, giveToAnemones, kept, ofFamily, openDemo, reload, sitDown, stands, watchErrors } from './helpers';

const PLACES: Record<string, string> = {
  shelf: '/shelf',
  'bench, master': '/bench/puncture',
  'make tiers': '/bench/rock-pool/tiers',
  'history of the family': '/bench/rock-pool/history',
  'versions compared': '/bench/rock-pool/compare?left=rp-core&right=rp-oriel',
  'bench, version': '/bench/rock-pool/rp-sup',
  upkeep: '/bench/rock-pool/upkeep',
  learners: '/learners',
  'a needs card': '/learners?learner=l-oriel',
  'an audience': '/learners?part=a-early',
  'a group': '/learners?part=g-limpets',
  'make groups': '/learners/groups?of=c-heron',
  'the school’s list': '/learners/school',
  'a card as others see it': '/learners/cards/l-oriel?for=family',
  'hand-outs': '/hand-outs',
  plan: '/hand-outs/h-bike',
  'calendar of hand-outs': '/hand-outs/calendar',
  'marking, all': '/marking',
  marking: '/marking/h-survey',
  'one question': '/marking/h-survey/question?item=rp-q10',
  'one work': '/marking/h-survey/work?learner=l-tamsin',
  'on paper': '/marking/h-survey/paper',
  'letting out': '/marking/h-survey/out',
  'evidence, all': '/evidence',
  'evidence of one': '/evidence/of/l-oriel',
  'what helps': '/evidence/helps',
  suggestions: '/evidence/suggestions',
  'the whole way': '/evidence/way?family=rock-pool&block=rp-q1',
  'the record': '/evidence/record',
  keeping: '/keeping',
  'bring in': '/bring-in',
  bank: '/bank',
  'bench, page laid out': '/bench/market',
  'looking as a learner': '/look/h-survey/l-oriel',
  'looking, a packet': '/look/h-market/l-nessa',
};

/**
 * All of AA in light colours; in dark ones, and with more contrast, what depends on colours, on the very same page. At the
 * desk all of AAA; light or dark is there what the learner chose.
 */
async function faultsInAll(page: Page, where: 'with the teacher' | 'at the desk'): Promise<string[]> {
  const isDesk = where === 'at the desk';
  const found = await faults(page, isDesk ? 'most' : 'all');
  const look = async (name: string, dark: boolean, contrast: 'more' | 'no-preference') => {
    await page.emulateMedia({ contrast });
    await page.evaluate((on) => document.documentElement.classList.toggle('dark', on), dark);
    if (name) found.push(...(await faults(page, isDesk ? 'most colours' : 'colours')).map((f) => `${name}: ${f}`));
  };
  if (!isDesk) await look('dark', true, 'no-preference');
  if (!isDesk) await look('dark, more contrast', true, 'more');
  await look('more contrast', false, 'more');
  await look('', false, 'no-preference');
  return found;
}

/** By how much something sticks out sideways at 200 % and at 400 % zoom: 1280 px leave 640 then, and 320. */
async function tooWide(page: Page): Promise<number> {
  const size = page.viewportSize() ?? { width: 1280, height: 800 };
  let most = 0;
  for (const width of [640, 320]) {
    await page.setViewportSize({ width, height: 400 });
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    const wide = await page.evaluate(() =>
      [document.documentElement, ...Array.from(document.querySelectorAll('main, .pane'))].map((e) =>
        Math.max(e.scrollWidth - e.clientWidth, e.getBoundingClientRect().right - innerWidth),
      ),
    );
    most = Math.max(most, ...wide);
  }
  await page.setViewportSize(size);
  return most;
}

const entries = Object.entries({ ...PLACES, desk: '/desk' });
const half = Math.ceil(entries.length / 2);
for (const [which, places] of [
  ['the first', entries.slice(0, half)],
  ['the other', entries.slice(half)],
] as const)
  test(`axe finds nothing in ${which} places, in any colours, and nothing scrolls sideways at 400 %`, async ({
    page,
  }) => {
    test.slow();
    const errors = watchErrors(page);
    await openDemo(page);
    for (const [name, path] of places) {
      await page.goto(path);
      await stands(page);
      if (name !== 'desk') expect(await faultsInAll(page, 'with the teacher'), name).toEqual([]);
      expect(await tooWide(page), `${name}, enlarged`).toBeLessThanOrEqual(0);
    }
    expect(errors).toEqual([]);
  });

test('axe finds nothing where something was chosen or opened, in any colours', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Start with the demo' })).toBeVisible();
  expect(await faultsInAll(page, 'with the teacher'), 'welcome').toEqual([]);
  await openDemo(page, '/bench/rock-pool/rp-sup');
  await page.locator('[data-block="rp-q1"]').focus();
  expect(await faults(page), 'bench, block chosen').toEqual([]);
  await page.goto('/learners');
  await page.getByRole('button', { name: 'Oriel P.' }).click();
  expect(await faultsInAll(page, 'with the teacher'), 'needs card').toEqual([]);
  await page.getByRole('button', { name: 'Import a class list' }).first().click();
  expect(await faultsInAll(page, 'with the teacher'), 'import').toEqual([]);
});

test('axe finds nothing in places, in groups, and where another sheet is asked about', async ({ page }) => {
  test.slow();
  await openDemo(page, '/hand-outs/h-survey');
  await page.getByRole('button', { name: 'Extended for everyone' }).click();
  await page.getByText('12 with answers to questions').waitFor();
  expect(await faultsInAll(page, 'with the teacher'), 'another sheet').toEqual([]);
  await page.goto('/bench/puncture');
  await page.getByRole('link', { name: 'Hand out', exact: true }).click();
  await page.getByRole('checkbox', { name: /^Heron class/ }).check();
  await page.getByRole('button', { name: 'Master for everyone' }).click();
  await page.getByRole('button', { name: /^How/ }).click();
  await page.getByRole('radio', { name: /^One per group/ }).check();
  await page.getByRole('button', { name: 'Make 5 groups of 14' }).click();
  await page.getByText('Everybody is in a group').waitFor();
  expect(await faultsInAll(page, 'with the teacher'), 'groups').toEqual([]);
  await page.getByRole('radio', { name: /with a place for each$/ }).check();
  await page.getByRole('checkbox', { name: /^Everybody can look/ }).check();
  await page.getByRole('checkbox', { name: /^They may write a few words/ }).check();
  await page.getByRole('button', { name: /^Give out to/ }).click();
  await page.getByRole('link', { name: 'Index and places' }).click();
  await stands(page);
  expect(await faultsInAll(page, 'with the teacher'), 'index and places').toEqual([]);
  await sitDown(page, 'Heron class', 'Kerra L.');
  await page.getByRole('link', { name: /^Start/ }).click();
  await page.getByRole('button', { name: 'See all places' }).click();
  await page.getByRole('button', { name: 'Jory S.' }).click();
  await stands(page);
  expect(await faultsInAll(page, 'at the desk'), 'an album at the desk').toEqual([]);
});

test('the desk keeps to AAA, also with more contrast, and wears no dark colours of the teacher’s', async ({ page }) => {
  test.slow();
  const found = () => faultsInAll(page, 'at the desk');
  await openDemo(page);
  await page.getByRole('button', { name: 'Dark colours' }).click();
  await page.getByRole('link', { name: 'Learners’ desk' }).click();
  await expect(page.getByRole('heading', { name: 'Which class are you in?' })).toBeVisible();
  expect(await found(), 'class').toEqual([]);
  await page.getByRole('button', { name: 'Heron class' }).click();
  await page.getByRole('button', { name: 'Demelza K.' }).click();
  await expect(page.getByRole('heading', { name: /^Hello/ })).toBeVisible();
  expect(await page.evaluate(() => getComputedStyle(document.documentElement).colorScheme)).toContain('light');
  expect(await found(), 'my work').toEqual([]);
  await page.getByRole('link', { name: /Go on/ }).click();
  await page.getByRole('button', { name: 'Aa Comfort' }).click();
  for (const colours of ['Cream', 'Mist', 'Night', 'Paper']) {
    await page.getByRole('radio', { name: colours }).check();
    expect(await found(), colours).toEqual([]);
  }
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'Submit …' }).click();
  expect(await found(), 'handing in').toEqual([]);
  await sitDown(page, 'Kestrel class', 'Nessa');
  await page.getByRole('link', { name: /Market day/ }).click();
  await expect(page.getByRole('button', { name: 'Aa Comfort' })).toBeVisible();
  for (let i = 0; i < 4; i++) {
    expect(await found(), `page ${i + 1}`).toEqual([]);
    await page.getByRole('button', { name: 'Next' }).click();
  }
});

test('a formula is built and read with the keyboard alone, is AAA, and fits at 400 %', async ({ page }) => {
  test.slow();
  await openDemo(page, '/bench/puncture');
  await page.locator('[data-block="pun-q1"]').focus();
  await page.getByRole('checkbox', { name: /^Signs and formulas/ }).check();
  await page.getByRole('button', { name: 'Save as revision 2' }).click();
  await expect(page.getByRole('button', { name: 'Save as revision 2' })).toBeHidden();
  await kept(page);
  await giveToAnemones(page, 'Mending a puncture');
  await sitDown(page, 'Heron class', 'Elowen');
  await page.getByRole('link', { name: /Mending a puncture/ }).click();
  await page.getByRole('button', { name: 'Fraction' }).focus();
  await page.keyboard.press('Enter');
  // At once, as fast as it can be typed.
  await page.keyboard.type('x + 1');
  await page.keyboard.press('Enter');
  await page.keyboard.type('2');
  expect(await faultsInAll(page, 'at the desk'), 'pad').toEqual([]);
  expect(await tooWide(page)).toBeLessThanOrEqual(0);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: /lift the tyre/ })).toHaveValue('(x + 1)/2');
  await expect(page.getByRole('textbox', { name: /lift the tyre/ })).toBeFocused();
  await expect(page.getByRole('math')).toBeVisible();
  expect(await page.getByRole('math').evaluate((m) => m.querySelector('mfrac')?.children.length)).toBe(2);
  expect(await faultsInAll(page, 'at the desk'), 'formula').toEqual([]);
});

/** In forced colours the system's own stand, which axe does not see: they are looked at by hand, and here by their lines. */
test('in forced colours what is chosen is told by a line', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active', reducedMotion: 'reduce' });
  await openDemo(page, '/bench/rock-pool/rp-sup');
  const lined = (part: Locator) => part.evaluate((e) => getComputedStyle(e).outlineStyle);
  const node = page
    .getByRole('treeitem', { name: /^Supported, 10/ })
    .locator('.p-tree-node-content')
    .first();
  await expect.poll(() => lined(node)).toBe('solid');
  expect(await lined(ofFamily(page, /^Core/).locator('xpath=ancestor::*[contains(@class,"content")]'))).toBe('none');
  await page.locator('[data-block="rp-q2"]').click();
  await expect.poll(() => lined(page.locator('[data-block="rp-q2"]'))).toBe('solid');
  await page.goto('/marking/h-survey');
  await page.locator('[data-cell="2-1"]').click();
  await expect.poll(() => lined(page.locator('[data-cell="2-1"]'))).toBe('solid');
});

test('enlarged to 200 %, what is done stands where it is done', async ({ page }) => {
  await openDemo(page);
  await page.setViewportSize({ width: 640, height: 400 });
  await page.goto('/marking/h-survey');
  await page.locator('[data-cell="9-2"]').click();
  // The work of the learner is in sight at once, and what was pressed stays so above it.
  await expect(page.getByRole('button', { name: 'Right', exact: true })).toBeInViewport();
  await expect(page.locator('[data-cell="9-2"]')).toBeInViewport();

  await page.goto('/bench/rock-pool/rp-sup');
  const block = page.locator('[data-block="rp-q3"]');
  await block.focus();
  const here = page.getByRole('button', { name: 'This block' });
  await expect(here).toBeInViewport();
  await here.click();
  await expect(page.getByRole('textbox', { name: 'Hint', exact: true })).toBeInViewport();
  await expect(page.getByRole('group', { name: 'What can be done with this block' })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(here).toBeFocused();
  await page.getByRole('button', { name: 'Family' }).click();
  await ofFamily(page, /^Core/).click();
  await page.waitForURL('**/rp-core');
  await expect(page.getByRole('tree', { name: 'Family' })).toBeHidden();

  await page.goto('/hand-outs/h-bike');
  await expect(page.getByRole('button', { name: /^Schedule for/ })).toBeInViewport();
  await page.goto('/learners');
  await page.getByRole('button', { name: 'Talan E.' }).click();
  await expect(
    page.getByRole('complementary', { name: 'Needs card' }).getByLabel('Name', { exact: true }),
  ).toBeInViewport();
});

test('panes are as wide as they were left, and the keys move what parts them', async ({ page }) => {
  await openDemo(page, '/bench/rock-pool');
  const family = page.locator('lv-family-strip');
  const width = async () => Math.round((await family.boundingBox())?.width ?? 0);
  await expect(family).toBeVisible();
  const before = await width();
  const handle = page.getByRole('separator', { name: 'Width of the family' });
  await handle.focus();
  for (let i = 0; i < 3; i++) await handle.press('ArrowRight');
  const wider = await width();
  expect(wider).toBeGreaterThan(before + 40);
  await reload(page);
  await expect(family).toBeVisible();
  expect(Math.abs((await width()) - wider)).toBeLessThan(4);
  // By hand as well: let go, it stays, wherever the hand goes then.
  const at = await page.getByRole('separator', { name: 'Width of the family' }).boundingBox();
  const [x, y] = [(at?.x ?? 0) + 2, (at?.y ?? 0) + 10];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 60, y, { steps: 4 });
  await page.mouse.up();
  await page.mouse.move(x + 200, y, { steps: 4 });
  await expect.poll(async () => Math.abs((await width()) - (wider - 60))).toBeLessThan(6);
  // What another program left under that name does no harm.
  await page.evaluate(() => localStorage.setItem('lorvet-panes-bench', '["wide"'));
  await reload(page);
  await expect(family).toBeVisible();
  expect(Math.abs((await width()) - before)).toBeLessThan(4);
});

test('where the places have more than the width, the one that is open is in sight', async ({ page }) => {
  await openDemo(page);
  await page.setViewportSize({ width: 320, height: 400 });
  for (const place of ['Keeping', 'Shelf']) {
    await page.goto(`/${place.toLowerCase()}`);
    await expect(page.getByRole('link', { name: place, exact: true })).toBeInViewport({ ratio: 1 });
  }
});
