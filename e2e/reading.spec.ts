import { expect, type Page, test } from '@playwright/test';
import { faults, kept, openDemo, sitDown, stands, watchErrors } from './helpers';

const open = async (page: Page, path: string) => {
  await page
    .getByRole('link', { name: /^(Start|Go on)/ })
    .first()
    .click();
  await page.waitForURL(`**/desk/work/${path}`);
  await stands(page);
};
const comfort = async (page: Page) => await page.getByRole('button', { name: 'Aa Comfort' }).click();
/** A style of the first paragraph that is to be read. */
const style = async (page: Page, property: string, of = 'lv-sheet-view .prompt') =>
  await page
    .locator(of)
    .first()
    .evaluate((e, p) => getComputedStyle(e).getPropertyValue(p), property);
/** What is marked, by the name of the mark. */
const marked = async (page: Page, name: string) =>
  await page.evaluate(
    (n) => Array.from((CSS.highlights as unknown as Map<string, Iterable<Range>>).get(n) ?? [], String),
    name,
  );
/** Notes each word as it is marked: none is missed, however short it stands there. */
const listen = async (page: Page) =>
  await page.evaluate(() => {
    const all = CSS.highlights as unknown as Map<string, Iterable<Range>>;
    const set = all.set.bind(all);
    const words: string[] = [];
    all.set = (name, marks) => {
      if (name === 'lv-said') for (const range of marks) words.push(String(range));
      return set(name, marks);
    };
    Object.assign(window, { heardWords: words });
  });
const heard = async (page: Page) =>
  await page.evaluate(() => (window as unknown as { heardWords: string[] }).heardWords);
/** Where a word stands on the page. */
const wordAt = async (page: Page, block: string, word: string) =>
  await page
    .locator(block)
    .first()
    .evaluate((element, w) => {
      element.scrollIntoView({ block: 'center' });
      const texts = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
      for (let node = texts.nextNode(); node; node = texts.nextNode()) {
        const at = (node as Text).data.indexOf(w);
        if (at < 0) continue;
        const range = document.createRange();
        range.setStart(node, at);
        range.setEnd(node, at + w.length);
        const box = range.getBoundingClientRect();
        return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
      }
      throw new Error(`${w} is not there`);
    }, word);

test('every comfort is seen to act, and is remembered wherever the learner sits down', async ({ page }) => {
  const errors = watchErrors(page);
  await openDemo(page);
  await sitDown(page, 'Heron class', 'Corin B.');
  await open(page, 'h-survey');
  await comfort(page);
  const slide = async (name: string, to: number) => await page.getByRole('slider', { name, exact: true }).fill(`${to}`);
  await page.getByRole('radio', { name: 'OpenDyslexic' }).check();
  await slide('Size of letters', 24);
  await slide('Space between lines', 2);
  await slide('Space between letters', 0.1);
  await slide('Space between words', 0.5);
  await slide('Letters to a line', 40);
  await page.getByRole('radio', { name: 'My own colours' }).check();
  await page.getByLabel('Colour of the paper').fill('#dce9d5');
  await page.getByLabel('Colour of the letters').fill('#9aa894');
  await expect(page.getByText('The letters are made stronger than you chose')).toBeVisible();
  await page.getByRole('radio', { name: 'a band' }).check();
  await page.getByRole('checkbox', { name: 'Words in their parts' }).check();
  await page.getByRole('checkbox', { name: 'Kinds of word' }).check();
  for (const name of ['Only this question', 'Less on the page', 'Larger buttons', 'For the left hand', 'Nothing moves'])
    await page.getByRole('checkbox', { name }).check();
  await page.getByLabel('Language at home').selectOption('Українська');

  const acts = async () => {
    await expect(page.locator('lv-sheet-view .prompt').first()).toBeVisible();
    const got = {
      font: (await style(page, 'font-family')).includes('OpenDyslexic'),
      size: await style(page, 'font-size'),
      line: await style(page, 'line-height'),
      letters: await style(page, 'letter-spacing'),
      words: await style(page, 'word-spacing'),
      ground: await style(page, 'background-color', 'lv-sheet-view main'),
      moves: await style(page, 'transition-duration', 'lv-sheet-view .btn'),
    };
    expect(got).toEqual({
      font: true,
      size: '24px',
      line: '48px',
      letters: '2.4px',
      words: '12px',
      ground: 'rgb(220, 233, 213)',
      moves: '0s',
    });
    // Forty letters to a line are less than the page has room for.
    const prompt = await page.locator('lv-sheet-view .prompt').first().boundingBox();
    expect(prompt?.width).toBeLessThan(760);
    await expect(page.locator('lv-ruler .band')).toBeVisible();
    await expect.poll(async () => (await marked(page, 'lv-part')).length).toBeGreaterThan(0);
    await expect.poll(async () => (await marked(page, 'lv-kind-noun')).length).toBeGreaterThan(0);
    // One question, no picture of the hand-out, large buttons, and what leads on stands at the left.
    await expect(page.locator('.prompt')).toHaveCount(1);
    await expect(page.locator('header lv-swatch')).toHaveCount(0);
    await expect(page.locator('lv-page-dots i').first()).toBeHidden();
    const next = await page.getByRole('button', { name: 'Next' }).boundingBox();
    expect(next?.height).toBeGreaterThanOrEqual(64);
    expect(next?.x).toBeLessThan(200);
    await expect(page.getByRole('button', { name: 'Українська' })).toBeVisible();
  };
  await acts();
  await comfort(page);
  // Of colours of one's own 4.5 to 1 is kept; those that ship have 7.
  expect(await faults(page)).toEqual([]);

  await page.getByRole('button', { name: 'My work' }).click();
  await expect(page.getByRole('heading', { name: 'Hello, Corin' })).toBeVisible();
  expect(await style(page, 'background-color', 'lv-my-work')).not.toBe('rgb(250, 246, 238)');
  await sitDown(page, 'Heron class', 'Demelza K.');
  expect(await style(page, 'font-family', 'lv-my-work')).not.toContain('OpenDyslexic');
  await sitDown(page, 'Heron class', 'Corin B.');
  await page.reload();
  await open(page, 'h-survey');
  await acts();

  await comfort(page);
  await page.getByRole('button', { name: 'As at first' }).click();
  await expect.poll(() => style(page, 'font-size')).toBe('19px');
  await expect(page.locator('lv-ruler')).toHaveCount(0);
  expect(errors).toEqual([]);
});

test('a version’s pictures stand above its words; the language of the desk is proposed for home', async ({ page }) => {
  await openDemo(page);
  await sitDown(page, 'Heron class', 'Corin B.');
  await page.getByRole('link', { name: /^Start/ }).click();
  await page.getByRole('button', { name: 'Aa Comfort' }).click();
  // Its sheet has no pictures for words: nothing to choose that does nothing.
  await expect(page.getByRole('checkbox', { name: 'Kinds of word' })).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'Pictures above words' })).toHaveCount(0);
  await sitDown(page, 'Kestrel class', 'Nessa');
  await page.getByRole('link', { name: /Market day/ }).click();
  await page.getByRole('button', { name: 'Aa Comfort' }).click();
  await page.getByRole('checkbox', { name: 'Pictures above words' }).check();
  const words = page.locator('lv-word-pictures img');
  await expect(words).toHaveCount(4);
  const prompt = page.locator('.prompt').filter({ hasText: 'Which stall sells it?' });
  const above = async () => {
    const [picture, text] = [await words.first().boundingBox(), await prompt.boundingBox()];
    return !!picture && !!text && picture.y < text.y + text.height / 2 && picture.y + picture.height > text.y;
  };
  await expect.poll(above).toBe(true);
  // They stay above their words, however large those are.
  await page.getByLabel('Size of letters').fill('32');
  await expect.poll(above).toBe(true);
  await page.getByLabel('Language of the desk').selectOption('fr');
  await expect(page.getByLabel('Langue à la maison')).toHaveValue('fr');
  await stands(page);
  await page.reload();
  await expect(words).toHaveCount(4);
});

test('the teacher sets how the desk is at first, fixes some of it and takes some away', async ({ page }) => {
  await openDemo(page, '/learners?learner=l-corin');
  await page.getByRole('button', { name: 'The desk at first' }).click();
  await page.getByLabel('Size of letters').fill('28');
  await page.getByLabel('Size of letters').press('Enter');
  for (const [list, tool] of [
    ['Fixed as set here', 'Size of letters'],
    ['Not on this learner’s desk', 'Reading aloud'],
  ] as const) {
    await page.getByRole('combobox', { name: list }).press('ArrowDown');
    await page.getByRole('option', { name: tool, exact: true }).click();
    await page.keyboard.press('Escape');
  }
  await kept(page);
  await sitDown(page, 'Heron class', 'Corin B.');
  await open(page, 'h-survey');
  expect(await style(page, 'font-size')).toBe('28px');
  await expect(page.getByRole('button', { name: 'Hear it' })).toHaveCount(0);
  await comfort(page);
  await expect(page.getByRole('slider', { name: 'Size of letters' })).toBeDisabled();
  await expect(page.getByText('your teacher has set')).toBeVisible();
  await expect(page.getByLabel('How much is read at a press')).toHaveCount(0);
  await page.getByRole('radio', { name: 'Wide' }).check();
  await page.getByRole('button', { name: 'As at first' }).click();
  await expect(page.getByRole('radio', { name: 'Clear' })).toBeChecked();
  expect(await style(page, 'font-size')).toBe('28px');
});

test('a page is heard word by word, by keys alone, with help for a word in its meaning and the language at home', async ({
  page,
}) => {
  const errors = watchErrors(page);
  await openDemo(page);
  await sitDown(page, 'Heron class', 'Corin B.');
  await open(page, 'h-survey');
  await comfort(page);
  await page.getByLabel('Language at home').selectOption('Español');
  await comfort(page);

  await listen(page);
  await page.getByRole('button', { name: 'Hear it' }).press('Enter');
  await expect(page.getByText('No voice on this computer')).toBeVisible();
  const pause = page.getByRole('button', { name: 'Pause' });
  await expect(pause).toBeFocused();
  await expect.poll(async () => (await heard(page)).join(' ')).toContain('time');
  expect((await heard(page)).join(' ')).toMatch(/^Take your time/);
  expect(await marked(page, 'lv-sentence')).toHaveLength(1);
  await pause.press('Enter');
  const play = page.getByRole('button', { name: 'Read on' });
  await expect(play).toBeFocused();
  await page.getByRole('button', { name: 'Sentence after' }).press('Enter');
  const [now] = await marked(page, 'lv-sentence');
  await page.getByRole('button', { name: 'Sentence before' }).press('Enter');
  expect(await marked(page, 'lv-sentence')).not.toEqual([now]);

  await page.getByRole('button', { name: 'Word help' }).press('Enter');
  const on = page.getByRole('button', { name: 'Word after' });
  for (let i = 0; i < 3; i++) await on.press('Enter');
  const help = page.getByRole('dialog', { name: 'Word help' });
  await expect(help).toContainText('time');
  await expect(help).toContainText('tiempo');
  await expect(help).toContainText('from a small list for trying out');
  expect(await faults(page, 'most')).toEqual([]);
  await on.press('Escape');
  await expect(help).toBeHidden();

  // A press on a word of a choice asks for the word, and chooses nothing; without help it chooses.
  const at = await wordAt(page, 'lv-single-choice-desk .choice', 'Mussel');
  await page.mouse.click(at.x, at.y);
  await expect(help).toContainText('Mussel');
  // Our own list comes before the dictionary: this is no word of a dictionary.
  await expect(help).toContainText('a sea animal in two dark shells that can close');
  const mussel = page.getByRole('radio', { name: 'Mussel' });
  await expect(mussel).not.toBeChecked();
  await help.getByRole('button', { name: 'Read from here' }).click();
  await expect.poll(() => heard(page)).toContain('Mussel');
  await page.getByRole('button', { name: 'Word help' }).click();
  await page.mouse.click(at.x, at.y);
  await expect(mussel).toBeChecked();
  await page.getByRole('button', { name: 'Stop reading' }).press('Enter');
  await expect(page.getByRole('button', { name: 'Hear it' })).toBeFocused();
  expect(await marked(page, 'lv-sentence')).toEqual([]);

  await page.getByRole('button', { name: 'Español' }).click();
  await expect(page.getByRole('complementary', { name: 'The page in my language' })).toContainText('orilla');
  expect(errors).toEqual([]);
});

test('every kind of block grows with the letters, and words of another direction run in theirs', async ({ page }) => {
  test.slow();
  await openDemo(page);
  await sitDown(page, 'Kestrel class', 'Hedra N.');
  await page.getByRole('link', { name: /Market day/ }).click();
  await stands(page);
  /** The size of letters of everything that says something in a block, by its words. */
  const sizes = async () =>
    await page.evaluate(() => {
      const out: [string, number][] = [];
      for (const block of Array.from(document.querySelectorAll('main lv-learner-block'))) {
        const texts = document.createTreeWalker(block, NodeFilter.SHOW_TEXT);
        for (let node = texts.nextNode(); node; node = texts.nextNode()) {
          const { parentElement: e, data } = node as Text;
          if (!e || !/\p{L}/u.test(data) || e.closest('svg, .sr:not(.prompt), option, [hidden]')) continue;
          const kind = block.lastElementChild?.tagName ?? '';
          out.push([`${kind} ${data.trim()}`, parseFloat(getComputedStyle(e).fontSize)]);
        }
        for (const f of Array.from(block.querySelectorAll('input[type=text], textarea, select')))
          out.push([`field ${out.length}`, parseFloat(getComputedStyle(f).fontSize)]);
      }
      return out;
    });
  await comfort(page);
  const size = page.getByRole('slider', { name: 'Size of letters', exact: true });
  const next = page.getByRole('button', { name: 'Next' });
  for (let at = 1, more = true; more; at++) {
    await size.fill('19');
    await expect.poll(() => style(page, 'font-size', 'lv-sheet-view')).toBe('19px');
    const small = new Map(await sizes());
    await size.fill('38');
    await expect.poll(() => style(page, 'font-size', 'lv-sheet-view')).toBe('38px');
    const stuck = (await sizes()).filter(([what, px]) => px < 1.9 * (small.get(what) ?? 0));
    expect(stuck, `page ${at}`).toEqual([]);
    expect(small.size).toBeGreaterThan(3);
    more = (await next.count()) > 0;
    if (more) await next.click();
  }
  // Nothing runs out at the side, at that size, on a narrow page.
  await comfort(page);
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

  const field = page.getByRole('textbox', { name: 'Who carries the boxes?' });
  await field.fill('البائع');
  expect(await field.evaluate((e) => getComputedStyle(e).unicodeBidi)).toBe('plaintext');
});
