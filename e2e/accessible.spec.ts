import { expect, test } from '@playwright/test';
import { faults, openDemo, sitDown, stands, watchErrors } from './helpers';

const PLACES: Record<string, string> = {
  shelf: '/shelf',
  'bench, master': '/bench/puncture',
  'make tiers': '/bench/rock-pool/tiers',
  'history of the family': '/bench/rock-pool/history',
  'versions compared': '/bench/rock-pool/compare?left=rp-core&right=rp-oriel',
  'bench, version': '/bench/rock-pool/rp-sup',
  upkeep: '/bench/rock-pool/upkeep',
  learners: '/learners',
  'hand-outs': '/hand-outs',
  plan: '/hand-outs/h-bike',
  'marking, all': '/marking',
  marking: '/marking/h-survey',
  keeping: '/keeping',
  'bring in': '/bring-in',
  bank: '/bank',
  'bench, page laid out': '/bench/market',
  'looking as a learner': '/look/h-survey/l-oriel',
  'looking, a packet': '/look/h-market/l-nessa',
};

for (const scheme of ['light', 'dark'] as const)
  test(`axe finds nothing in any place, ${scheme}`, async ({ page }) => {
    const errors = watchErrors(page);
    const found = () => faults(page, scheme === 'light' ? 'all' : 'colours');
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
    await page.goto('/');
    await expect(page.getByRole('button', { name: 'Start with the demo' })).toBeVisible();
    expect(await found()).toEqual([]);
    await openDemo(page);
    for (const [name, path] of Object.entries(PLACES)) {
      await page.goto(path);
      await stands(page);
      expect(await found(), name).toEqual([]);
    }
    await page.goto('/bench/rock-pool/rp-sup');
    await page.locator('[data-block="rp-q1"]').focus();
    expect(await found(), 'bench, block chosen').toEqual([]);
    await page.goto('/learners');
    await page.getByRole('button', { name: 'Oriel P.' }).click();
    expect(await found(), 'needs card').toEqual([]);
    await page.getByRole('button', { name: 'Import a class list' }).first().click();
    expect(await found(), 'import').toEqual([]);
    expect(errors).toEqual([]);
  });

test('axe finds nothing at the desk, in every colour', async ({ page }) => {
  await openDemo(page);
  await page.goto('/desk');
  expect(await faults(page), 'class').toEqual([]);
  await sitDown(page, 'Heron class', 'Demelza K.');
  expect(await faults(page), 'my work').toEqual([]);
  await page.getByRole('link', { name: /Go on/ }).click();
  await page.getByRole('button', { name: 'Aa Comfort' }).click();
  for (const colours of ['Cream', 'Mist', 'Night', 'Paper']) {
    await page.getByRole('radio', { name: colours }).check();
    expect(await faults(page), colours).toEqual([]);
  }
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'Submit …' }).click();
  expect(await faults(page), 'handing in').toEqual([]);
});

test('nothing scrolls sideways at 200 % and 400 % zoom', async ({ page }) => {
  await openDemo(page);
  for (const path of [...Object.values(PLACES), '/desk']) {
    await page.setViewportSize({ width: 640, height: 400 });
    await page.goto(path);
    await stands(page);
    // 1280 px at 200 % leave 640, at 400 % 320.
    for (const width of [640, 320]) {
      await page.setViewportSize({ width, height: 400 });
      const wide = await page.evaluate(() =>
        [document.documentElement, ...Array.from(document.querySelectorAll('main, .pane'))].map((e) =>
          Math.max(e.scrollWidth - e.clientWidth, e.getBoundingClientRect().right - innerWidth),
        ),
      );
      expect(Math.max(...wide), `${path} at ${width}`).toBeLessThanOrEqual(0);
    }
  }
});
