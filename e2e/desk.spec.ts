import { expect, test } from '@playwright/test';
import { kept, openDemo } from './helpers';

/** What a learner’s machine may have to fetch before there is something to press, in bytes of script over the wire. */
const MOST = 250_000;

test('a desk opened by itself fetches and holds nothing of the teacher’s, follows what another tab does, and leads back to all of it', async ({
  page,
  context,
}) => {
  await openDemo(page, '/learners?learner=l-jory');
  const desk = await context.newPage();
  const cdp = await context.newCDPSession(desk);
  await cdp.send('Network.enable');
  await cdp.send('Network.setCacheDisabled', { cacheDisabled: true });
  const scripts: { url: string; size: Promise<number>; says: Promise<string> }[] = [];
  desk.on('response', (r) => {
    if (r.request().resourceType() !== 'script') return;
    const size = r.finished().then(async () => (await r.request().sizes()).responseBodySize);
    scripts.push({ url: r.url(), size, says: r.finished().then(() => r.text()) });
  });
  const fetched = async () => (await Promise.all(scripts.map((s) => s.size))).reduce((a, b) => a + b, 0);

  await desk.goto('/desk');
  await expect(desk.getByRole('heading', { name: 'Which class are you in?' })).toBeVisible();
  await desk.getByRole('button', { name: 'Heron class' }).click();
  const jory = desk.getByRole('button', { name: /^Jory/ });
  await expect(jory).toBeVisible();

  await page.getByLabel('Name', { exact: true }).fill('Jory of the pier');
  await kept(page);
  await expect(jory).toHaveText('Jory of the pier');
  await jory.click();
  await expect(desk.getByRole('heading', { level: 1 })).toHaveText('Hello, Jory');
  await desk.waitForLoadState('networkidle');
  expect(await fetched()).toBeGreaterThan(100_000);
  expect(await fetched()).toBeLessThan(MOST);
  const said = await Promise.all(scripts.map((s) => s.says));
  // A judgement of an adjustment: no learner’s page has a use for it.
  expect(said.filter((text) => text.includes('accommodation'))).toEqual([]);

  await desk.goto('/desk');
  await desk.getByRole('link', { name: 'I am the teacher' }).click();
  await desk.waitForURL('**/shelf');
  await expect(desk.getByRole('link', { name: 'Rock-pool survey', exact: true })).toBeVisible();
  expect((await Promise.all(scripts.map((s) => s.says))).some((text) => text.includes('accommodation'))).toBe(true);
  await desk.getByRole('link', { name: 'Learners', exact: true }).click();
  await expect(desk.getByText('Jory of the pier').first()).toBeVisible();
});

test('a place that cannot be fetched is said, to a learner in their words; what was written is kept, and it opens later', async ({
  page,
}) => {
  await openDemo(page, '/desk');
  await page.getByRole('button', { name: 'Heron class' }).click();
  await page.getByRole('button', { name: 'Demelza' }).click();
  const sheet = page.getByRole('link', { name: /Rock-pool/ }).first();
  await expect(sheet).toBeVisible();
  const away = (is: boolean) =>
    is ? page.route('**/*.js', (route) => route.abort('internetdisconnected')) : page.unroute('**/*.js');
  const said = page.getByRole('alert').filter({ hasText: 'did not open' });

  await away(true);
  await sheet.click();
  await expect(said).toContainText('Your answers are kept.');
  await expect(page).toHaveURL(/\/desk\/work$/);
  await said.getByRole('button', { name: 'Try again' }).click();
  await expect(said).toBeVisible();
  await away(false);
  await said.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Rock-pool survey' })).toBeVisible();
  await expect(said).toBeHidden();

  await page.goto('/desk');
  const door = page.getByRole('link', { name: 'I am the teacher' });
  await expect(door).toBeVisible();
  await away(true);
  await door.click();
  const place = page.getByRole('alert').filter({ hasText: 'This place could not be opened' });
  await expect(place).toContainText('Its files did not come');
  await away(false);
  await place.getByRole('button', { name: 'Reload the page' }).click();
  await page.waitForURL('**/shelf');
  await expect(page.getByRole('link', { name: 'Rock-pool survey', exact: true })).toBeVisible();
});

test('what is served comes pressed in the form that the browser takes, whole, and is kept by it', async ({
  request,
}) => {
  const page = await (await request.get('/desk')).text();
  const styles = /styles-[A-Z0-9]{8}\.css/.exec(page)?.[0] ?? '';
  const texts = new Set<string>();
  for (const [takes, comes] of [
    ['gzip, br', 'br'],
    ['gzip', 'gzip'],
    ['identity', undefined],
  ] as const) {
    const served = await request.get(`/${styles}`, { headers: { 'accept-encoding': takes } });
    expect(served.headers()['content-encoding'], takes).toBe(comes);
    expect(served.headers()['content-type']).toContain('text/css');
    expect(served.headers()['cache-control']).toContain('immutable');
    texts.add(await served.text());
  }
  expect(texts.size).toBe(1);
  expect([...texts][0]).toContain('--paper');
});

test('the page and its workers bind themselves to their own; its parts say no more than they must', async ({
  page,
  request,
}) => {
  const workers: string[] = [];
  page.on('worker', (w) => workers.push(w.url()));
  const parts: string[] = [];
  page.on('response', (r) => /chunk-[^/]*\.js$/.test(r.url()) && parts.push(r.url()));
  await openDemo(page, '/bank');
  await page.getByRole('searchbox').first().fill('limpet');
  await expect.poll(() => workers.length).toBeGreaterThan(0);
  for (const bound of ['/desk', '/nothing-of-the-kind', workers[0] ?? '']) {
    const { 'content-security-policy': rules, 'permissions-policy': use } = (await request.get(bound)).headers();
    expect([rules, use].join(), bound).toMatch(/default-src 'self'.*connect-src 'self'.*microphone=\(self\)/);
  }
  const part = (await request.get(parts[0] ?? '')).headers();
  expect(part).toMatchObject({ 'x-content-type-options': 'nosniff', 'cross-origin-resource-policy': 'same-origin' });
  expect(JSON.stringify(part).length).toBeLessThan(600);
});
