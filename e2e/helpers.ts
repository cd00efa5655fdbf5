import { expect, type Locator, type Page } from '@playwright/test';
import axe from 'axe-core';
import { fileURLToPath } from 'node:url';

/** Fails on anything the page's own scripts complain of. */
export function watchErrors(page: Page): string[] {
  const errors: string[] = [];
  page.on('pageerror', (e) => errors.push(e.message));
  page.on('console', (m) => {
    if (m.type() === 'error') errors.push(m.text());
  });
  return errors;
}

export async function openDemo(page: Page, path = '/shelf'): Promise<void> {
  await page.goto('/demo');
  await page.waitForURL('**/shelf');
  await kept(page);
  if (path !== '/shelf') await page.goto(path);
}

/** Chooses by its words: in a select or behind a button with a menu of the teacher's places, or in a native select. */
export async function choose(field: Locator, option: string): Promise<void> {
  const tag = await field.evaluate((e) => e.tagName);
  if (tag === 'SELECT') {
    await field.selectOption(option);
    return;
  }
  await field.click();
  const role = tag === 'BUTTON' ? 'menuitem' : 'option';
  await field.page().getByRole(role, { name: option, exact: true }).first().click();
}

/** The master or a version in the tree of the open family. */
export function ofFamily(page: Page, name: string | RegExp): Locator {
  return page.getByRole('treeitem', { name }).locator('.node').first();
}

export async function startEmpty(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start empty' }).click();
  await page.waitForURL('**/shelf');
}

export async function kept(page: Page): Promise<void> {
  // Two frames, so that what was just done is on the page: before that “All kept” speaks of the time before it.
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
  await expect(page.getByText('All kept')).toBeVisible();
}

/** Reloads and waits until the page stands again: nothing may be lost by it. */
export async function reload(page: Page): Promise<void> {
  await kept(page);
  await page.reload();
  await kept(page);
}

/** Puts a value straight into one of the browser's boxes, past the application: what a damaged disk might hold. */
export async function putInStorage(page: Page, box: 'heads' | 'bodies', key: string, value: unknown): Promise<void> {
  await page.evaluate(
    async ([name, at, what]) => {
      const all = await indexedDB.databases();
      const found = all.find((d) => d.name?.startsWith('lorvet-') && d.name.endsWith(`-${name}`))?.name ?? '';
      await new Promise<void>((done, fail) => {
        const open = indexedDB.open(found);
        open.onerror = () => fail(new Error('not opened'));
        open.onsuccess = () => {
          const write = open.result.transaction('records', 'readwrite');
          write.objectStore('records').put(what, at);
          write.oncomplete = () => {
            open.result.close();
            done();
          };
        };
      });
    },
    [box, key, value] as const,
  );
}

/** Says yes to what is asked before something that reaches far. */
export async function sayYes(page: Page, name: string | RegExp): Promise<void> {
  await page.getByRole('alertdialog').getByRole('button', { name }).click();
}

/** Puts everything away under Keeping, with the word that is asked for. */
export async function beginAnew(page: Page, what: 'Lay out the demo' | 'Start empty'): Promise<void> {
  await page.getByRole('button', { name: what }).click();
  await page.getByLabel(/^Type “empty”/).fill('empty');
  await page.getByRole('button', { name: /^Put all away/ }).click();
  await expect(page.getByText('Everything that was here before').first()).toBeVisible();
}

/** Writes into words that are edited where they stand, and leaves them. */
export async function rewrite(scope: Locator, label: string | RegExp, text: string): Promise<void> {
  await scope.getByRole('button', { name: label }).first().click();
  const field = scope.page().locator('lv-words textarea:focus, .rich-field:focus');
  await field.fill(text);
  await field.press('Control+Enter');
  await expect(field).toBeHidden();
}

/** Until a place stands: its heading is there, and nothing has come or gone for a while. */
export async function stands(page: Page): Promise<void> {
  await page.locator('h1:visible, h2:visible, h3:visible').first().waitFor();
  await page.evaluate(
    () =>
      new Promise<void>((done) => {
        let timer = setTimeout(done, 150);
        new MutationObserver(() => {
          clearTimeout(timer);
          timer = setTimeout(done, 150);
        }).observe(document.body, { childList: true, subtree: true, attributes: true });
      }),
  );
}

/**
 * What axe finds against WCAG 2.2 AA, or AAA as at the desk, one line a fault; of another scheme of colours only what
 * depends on colours.
 */
export async function faults(page: Page, what: 'all' | 'colours' | 'most' | 'most colours' = 'all'): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  const all = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
  const runOnly = {
    all,
    colours: ['color-contrast'],
    most: [...all, 'wcag2aaa'],
    'most colours': ['color-contrast', 'color-contrast-enhanced'],
  }[what];
  return await page.evaluate(async (rules) => {
    const { axe: tool } = window as unknown as { axe: typeof axe };
    const { violations } = await tool.run(document, { runOnly: rules, resultTypes: ['violations'] });
    return violations.flatMap((v) => v.nodes.map((n) => `${v.id}: ${n.target.join(' ')} ${n.failureSummary ?? ''}`));
  }, runOnly);
}

export async function sitDown(page: Page, className: string, name: string): Promise<void> {
  await page.goto('/desk');
  await page.getByRole('button', { name: className }).click();
  await page.getByRole('button', { name }).click();
  await page.getByRole('heading', { name: /^Hello/ }).waitFor();
}

/** Plans a hand-out of a master for the demo's group of three, and gives each the master. */
export async function planForAnemones(page: Page, title: string): Promise<void> {
  await page.goto('/hand-outs');
  await page.getByRole('button', { name: 'New hand-out' }).click();
  await page.getByRole('dialog').getByRole('button', { name: title }).click();
  await page.getByRole('button', { name: 'Choose who' }).click();
  await page.getByRole('checkbox', { name: 'Anemones, 3' }).check();
  await page.keyboard.press('Escape');
  for (const name of ['Perran', 'Elowen', 'Senara'])
    await page.getByRole('radio', { name: new RegExp(`^Master for ${name}`, 'i') }).check();
}

/** The same, and gives it out. */
export async function giveToAnemones(page: Page, title: string): Promise<void> {
  await planForAnemones(page, title);
  await page.getByRole('button', { name: 'Give out to 3' }).click();
  await expect(page.getByText('Given out', { exact: true })).toBeVisible();
  await kept(page);
}

export const material = (name: string): string => fileURLToPath(new URL(`../test-material/${name}`, import.meta.url));
