import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import mammoth from 'mammoth';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { choose, faults, giveToAnemones, kept, openDemo, putInStorage, reload, watchErrors } from './helpers';

const flat = (text: string): string => text.replace(/\s+/g, '');

async function download(page: Page, button: string | RegExp): Promise<{ name: string; path: string }> {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).first().click(),
  ]);
  return { name: file.suggestedFilename(), path: await file.path() };
}

/** The words of each page of a PDF, in order. */
async function pagesOf(path: string): Promise<string[]> {
  const pdf = await getDocument({ data: new Uint8Array(readFileSync(path)), verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const { items } = await (await pdf.getPage(n)).getTextContent();
    pages.push(items.map((i) => ('str' in i ? i.str : '')).join(' '));
  }
  return pages;
}

test('what was given is evidence at once: as PDF and DOCX, with every adjustment, and without names', async ({
  page,
}) => {
  test.setTimeout(90_000);
  const errors = watchErrors(page);
  await openDemo(page);
  await giveToAnemones(page, 'Mending a puncture');
  await page.getByRole('link', { name: 'Evidence', exact: true }).click();
  // Just given out, it is there.
  await page.getByRole('link', { name: 'Perran D.', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Mending a puncture' })).toBeVisible();
  await expect(page.getByText('It was given as it stands for all.')).toBeVisible();
  await page.getByRole('link', { name: 'Learners', exact: true }).last().click();
  await page.getByRole('link', { name: 'Oriel P.', exact: true }).click();
  const given = page.getByRole('region', { name: 'What was given' });
  await expect(given.getByRole('heading', { name: 'Rock-pool survey' })).toBeVisible();
  // They come a few with each frame.
  const survey = given.locator('lv-work-evidence').first().locator('.sentence');
  await expect(survey).toHaveCount(12);
  const sentences = (await survey.allInnerTexts()).map((s) => s.trim());
  expect(await faults(page)).toEqual([]);

  const pdf = await download(page, 'As PDF');
  const pages = await pagesOf(pdf.path);
  const words = flat(pages.join(' '));
  for (const s of sentences) expect(words).toContain(flat(s));
  expect(words).toContain(flat('What was adjusted for Oriel P.'));
  // The contents say where the signatures are.
  const last = pages.findIndex((p) => p.includes('Looked at together')) + 1;
  expect(flat(pages[0] ?? '')).toContain(flat(`Signatures ${last}`));

  await choose(page.getByRole('combobox', { name: 'As', exact: true }), 'DOCX');
  const docx = await download(page, 'As DOCX');
  const written = flat((await mammoth.extractRawText({ path: docx.path })).value);
  for (const s of sentences) expect(written).toContain(flat(s));

  // Left out, it is in no document; an observation that was just typed is.
  await page
    .getByRole('button', { name: /^Leave out: A word bank is added/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Observation', exact: true }).click();
  await page.keyboard.type('Asked Perran and O. P. for the word.');
  await choose(page.getByRole('combobox', { name: 'What is in it' }), 'Without names');
  const bare = await download(page, 'As DOCX');
  const unnamed = (await mammoth.extractRawText({ path: bare.path })).value;
  expect(unnamed).not.toContain('A word bank is added: anemone');
  expect(unnamed).toContain('Asked another learner and the learner for the word.');
  for (const name of ['Oriel', 'Ori', 'Perran', 'O. P.', 'Heron'])
    expect(unnamed).not.toMatch(new RegExp(`\\b${name}`));
  expect(bare.name).not.toMatch(/ori/i);
  expect(errors).toEqual([]);
});

test('all learners are one press, with progress, and can be stopped; the class is one document', async ({ page }) => {
  test.setTimeout(120_000);
  await openDemo(page, '/evidence');
  await choose(page.getByRole('combobox', { name: 'Of' }), 'Kestrel class');
  const zip = await download(page, /learners as PDF/);
  expect(zip.name).toBe('Kestrel-class-evidence.zip');
  const all = readFileSync(zip.path).toString('latin1');
  const names = await page.locator('lv-evidence-list tbody th').allInnerTexts();
  for (const name of names) expect(all).toContain(`${name.split(' ')[0]}-evidence.pdf`);

  const one = await download(page, 'Class at a glance');
  const words = (await pagesOf(one.path)).join(' ');
  for (const name of names) expect(words).toContain(name);

  await choose(page.getByRole('combobox', { name: 'Of' }), 'All learners');
  await page.getByRole('button', { name: /learners as PDF/ }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Writing was stopped')).toBeVisible();
  await expect(page.getByRole('button', { name: /learners as PDF/ })).toBeEnabled();
});

test('from an answer to the master’s block and to the evidence in one press, and from there back', async ({ page }) => {
  await openDemo(page, '/marking/h-survey?learner=l-oriel');
  await page.getByRole('link', { name: /^master, revision/ }).click();
  await expect(page).toHaveURL(/\/bench\/rock-pool\?block=rp-q/);
  await expect(page.locator('.block.chosen')).toBeFocused();
  await page.goto('/hand-outs/h-survey');
  await page.getByRole('link', { name: 'Evidence of Oriel P.' }).click();
  await expect(page.getByRole('heading', { name: 'Oriel P.' })).toBeVisible();
  const first = page.locator('lv-work-evidence li').first();
  await first.getByRole('link', { name: 'Supported', exact: true }).click();
  await expect(page).toHaveURL(/\/bench\/rock-pool\/rp-sup\?block=/);
  await expect(page.locator('[data-block].chosen, .chosen[data-block]').first()).toBeVisible();
});

test('the record says what was done, and where it was changed from outside', async ({ page }) => {
  await openDemo(page, '/evidence/of/l-oriel');
  await page.getByRole('button', { name: 'Hold a review' }).click();
  await choose(page.getByRole('combobox', { name: 'What becomes of word bank' }), 'ends today');
  await reload(page);
  await page.getByRole('button', { name: 'Close the review' }).click();
  await kept(page);
  await page.getByRole('link', { name: 'The record' }).click();
  await expect(page.getByText(/The chain is whole: \d+ entries/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'hold a review: Oriel P.' })).toBeVisible();
  await page.getByLabel('Search').fill('begin');
  await expect(page.getByRole('link', { name: 'hold a review: Oriel P.' })).toHaveCount(0);
  expect(await faults(page)).toEqual([]);

  const page1 = await page.evaluate(async () => {
    const all = await indexedDB.databases();
    const name = all.find((d) => d.name?.endsWith('-bodies'))?.name ?? '';
    return await new Promise<unknown>((done) => {
      const open = indexedDB.open(name);
      open.onsuccess = () => {
        const get = open.result.transaction('records').objectStore('records').get('chronicle/00000001');
        get.onsuccess = () => {
          open.result.close();
          done(get.result);
        };
      };
    });
  });
  const changed = JSON.stringify(page1).replace('hold a review', 'hold a revieW');
  await putInStorage(page, 'bodies', 'chronicle/00000001', JSON.parse(changed));
  await page.reload();
  await expect(page.getByText(/The chain is broken at entry \d+/)).toBeVisible();
});

test('charts say in a sentence and a table what they show, and are drawn without colour alone', async ({ page }) => {
  const errors = watchErrors(page);
  await openDemo(page, '/evidence/helps');
  await choose(page.getByRole('combobox', { name: 'Activity' }), 'Rock-pool survey');
  const versions = page.locator('lv-chart').filter({ hasText: 'By version, on the same questions' });
  await expect(versions.locator('svg.main-svg').first()).toBeVisible();
  await versions.getByRole('button', { name: /^The numbers/ }).click();
  // Seven right, 0.67 of 2 points, one not given: 7.335 of 9.
  await expect(versions.getByRole('row', { name: /^Supported, Oriel 82 % 1 9 49 % to 95 % few/ })).toBeVisible();
  const dots = versions.locator('.scatterlayer path.point');
  // Charts are drawn one after the other.
  await expect(dots).toHaveCount(4);
  // Few are hollow.
  const fills = await dots.evaluateAll((all) => all.map((e) => getComputedStyle(e).fill));
  await expect(dots.locator('title').filter({ hasText: /^Supported, Oriel: 82 %/ })).toHaveCount(1);
  // Plotly is not in the page, and its frame can reach nothing of it.
  const room = page.frames().find((f) => f.url().endsWith('/charts/room.html'));
  const reached = await room?.evaluate(() => {
    try {
      return parent.document.title;
    } catch {
      return origin;
    }
  });
  expect(reached).toBe('null');
  expect(fills.filter((f) => f === 'none' || /, 0\)$/.test(f))).toHaveLength(1);
  expect(await faults(page)).toEqual([]);
  expect(errors).toEqual([]);
});

test('a suggestion taken up is a draft; another that was dismissed is gone after a reload, with its reason', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await openDemo(page, '/evidence/suggestions');
  const card = (words: string) =>
    page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: words }) });
  const wilmot = card('Wilmot A. may do without: hint');
  await expect(wilmot).toBeVisible();
  await wilmot.getByRole('button', { name: 'Draft a version without it' }).click();
  await expect(wilmot).toHaveCount(0);
  const misleads = card('This question misleads');
  await misleads.getByRole('button', { name: 'Dismiss', exact: true }).click();
  await misleads.getByLabel('Why not?').fill('Anemones come next week.');
  await misleads.getByLabel('Why not?').press('Enter');
  await expect(misleads).toHaveCount(0);
  expect(await faults(page)).toEqual([]);
  await reload(page);
  await expect(card('Ysolde M. may do without: word bank')).toBeVisible();
  await expect(card('This question misleads')).toHaveCount(0);
  await expect(card('Wilmot A. may do without')).toHaveCount(0);
  await page.getByRole('button', { name: /^Taken up or dismissed: 2/ }).click();
  await expect(page.getByText(/Anemones come next week\.$/)).toBeVisible();

  await page.goto('/bench/rock-pool');
  await page.getByRole('treeitem', { name: /Core, without hint/ }).click();
  await expect(page.getByLabel('Purpose')).toHaveValue('For Wilmot: the help is faded');
  await expect(page.getByText('Think of wind and sun.')).toHaveCount(0);
  expect(errors).toEqual([]);
});

test('from an answer the whole way is drawn, followed by keys, and says what a change would do', async ({ page }) => {
  const errors = watchErrors(page);
  await openDemo(page, '/marking/h-survey?learner=l-merryn');
  await page.getByRole('link', { name: 'The whole way' }).click();
  await expect(page).toHaveURL(/block=rp-q\d+&learner=l-merryn/);
  await page.goto('/evidence/way?family=rock-pool&block=rp-q3&learner=l-merryn');
  const drawing = page.getByRole('group', { name: 'The way, from the master to learners' });
  const merryn = drawing.getByRole('button', { name: /^Merryn/ });
  await expect(merryn).toHaveAttribute('aria-pressed', 'true');
  await expect(page.locator('lv-drawn-way path.on')).toHaveCount(4);
  // Back to the master by keys alone: what each comes from is read out.
  await merryn.focus();
  const focused = () => page.evaluate(() => document.activeElement?.querySelector('strong')?.textContent ?? '');
  const way = [];
  for (let i = 0; i < 4; i++) {
    await page.keyboard.press('ArrowLeft');
    way.push(await focused());
  }
  expect(way).toEqual(['Rock-pool survey', 'Wording 2', 'Core', 'What falls suddenly and makes the water less salty?']);
  await page.keyboard.press('Escape');
  await expect(page.locator('lv-drawn-way path.on')).toHaveCount(0);
  await expect(drawing.getByRole('button', { name: /^Supported, Oriel/ })).toHaveAttribute(
    'aria-description',
    'Comes from: Supported. Leads to: Wording 1.',
  );
  // Who had it: all fourteen, in two wordings.
  await expect(page.getByRole('table', { name: 'Who has had it' }).getByRole('row')).toHaveCount(15);
  await page.getByRole('button', { name: 'What would change if this were changed' }).click();
  const removed = page.getByRole('region', { name: 'If it were taken out' });
  await expect(removed.getByText('Would ask you first')).toBeVisible();
  expect(await faults(page)).toEqual([]);

  await page.getByLabel('Sheet’s code').fill('0000 0000');
  await page.getByRole('button', { name: 'Find the sheet' }).click();
  await expect(page.getByText(/No sheet that was given out has the code/)).toBeVisible();
  await page.goto('/evidence/of/l-oriel');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    (async () => {
      await choose(page.getByRole('combobox', { name: 'As', exact: true }), 'JSON');
      await page.getByRole('button', { name: 'As JSON' }).click();
    })(),
  ]);
  const sheet = /"sheet":\s*"([0-9a-f]{64})"/.exec(readFileSync(await file.path(), 'utf8'))?.[1] ?? '';
  await page.goto('/evidence/way');
  await page.getByLabel('Sheet’s code').fill(sheet.slice(0, 16));
  await page.keyboard.press('Enter');
  await expect(page.getByText(/had this\s+sheet/)).toBeVisible();

  // A picture that only a version shows, from the list of what is kept.
  await page.goto('/keeping');
  await page.getByRole('button', { name: 'See what takes the room' }).click();
  await page.getByRole('link', { name: 'Where tyre-lever.svg is shown' }).click();
  await expect(page).toHaveURL(/family=puncture&block=pun-pic&version=pun-sup/);
  await expect(drawing.getByRole('button', { name: /^Supported/ })).toHaveAttribute('aria-pressed', 'true');
  expect(errors).toEqual([]);
});

test('a family is a page to read and a PDF, with every version and no learner', async ({ page, context }) => {
  await openDemo(page, '/bench/rock-pool');
  const html = await download(page, 'Report as HTML');
  const pdf = await download(page, 'Report as PDF');
  const told = flat((await pagesOf(pdf.path)).join(' '));
  const text = readFileSync(html.path, 'utf8');
  expect(text).not.toMatch(/Oriel|Brannoc|Ysolde/);
  const reader = await context.newPage();
  await reader.setContent(text);
  await expect(reader.getByRole('heading', { level: 1, name: 'Rock-pool survey' })).toBeVisible();
  await expect(reader.locator('img')).toHaveCount(1);
  // The picture is drawn in the PDF too: its words do not stand in its place.
  const says = flat((await reader.locator('img').getAttribute('alt')) ?? '');
  expect(says).not.toBe('');
  expect(told).not.toContain(`[${says}]`);
  const adjusted = await reader.locator('h4').allInnerTexts();
  expect(adjusted.length).toBeGreaterThan(12);
  for (const sentence of adjusted) expect(told).toContain(flat(sentence));
  expect(await faults(reader)).toEqual([]);
});
