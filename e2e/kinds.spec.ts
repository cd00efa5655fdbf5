import { expect, type Locator, type Page, test } from '@playwright/test';
import { choose, faults, kept, openDemo, sitDown, stands, watchErrors } from './helpers';

type Hand = 'mouse' | 'keyboard' | 'touch';
const LEARNERS: Record<Hand, string> = { mouse: 'Nessa', keyboard: 'Bryok', touch: 'Hedra' };

async function drag(page: Page, it: Locator, place: Locator): Promise<void> {
  const from = await it.boundingBox();
  const to = await place.boundingBox();
  if (!from || !to) throw new Error('what is dragged, or its place, is not on the page');
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2 + 12, from.y + from.height / 2 + 8, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 12 });
  await page.mouse.up();
}

/** One way to use the page; every block kind must be answered by each of them alone. */
class Hands {
  constructor(
    private readonly page: Page,
    private readonly hand: Hand,
  ) {}

  question(words: string): Locator {
    return this.page.locator('lv-learner-block').filter({ hasText: words });
  }

  async press(target: Locator): Promise<void> {
    await target.scrollIntoViewIfNeeded();
    if (this.hand === 'mouse') await target.click();
    else if (this.hand === 'touch') await target.tap();
    else {
      await target.focus();
      await this.page.keyboard.press((await target.getAttribute('type')) === 'button' ? 'Enter' : 'Space');
    }
  }

  /** A piece to a place: dragged by mouse; else the piece is pressed, then the place. */
  async put(question: Locator, piece: string, place: Locator, placeName: string): Promise<void> {
    const it = question.getByRole('button', { name: piece, exact: true });
    if (this.hand !== 'mouse') {
      await this.press(it);
      await this.press(question.getByRole('button', { name: placeName, exact: true }));
      return;
    }
    // In the middle: the page's foot lies over what is at the bottom.
    await place.evaluate((e) => e.scrollIntoView({ block: 'center' }));
    await drag(this.page, it, place);
  }

  async next(): Promise<void> {
    await this.press(this.page.getByRole('button', { name: 'Next' }));
    await stands(this.page);
  }
}

/** A stroke by mouse; words set down and, by keyboard, moved. */
async function mark(page: Page, h: Hands, hand: Hand, question: string): Promise<void> {
  const draw = h.question(question);
  if (hand === 'mouse') {
    await draw.evaluate((e) => e.scrollIntoView({ block: 'center' }));
    const box = await draw.locator('.sheet').boundingBox();
    await page.mouse.move((box?.x ?? 0) + 60, (box?.y ?? 0) + 60);
    await page.mouse.down();
    await page.mouse.move((box?.x ?? 0) + 260, (box?.y ?? 0) + 120, { steps: 8 });
    await page.mouse.up();
    await expect(draw.locator('path.ink')).toHaveCount(1);
  } else {
    await h.press(draw.getByRole('button', { name: 'Words', exact: true }));
    const words = draw.getByRole('textbox', { name: /^Words 1/ });
    await expect(words).toBeFocused();
    await page.keyboard.type('my stall');
    await expect(words).toHaveValue('my stall');
    if (hand === 'keyboard') {
      const left = () => draw.locator('.words').evaluate((e) => (e as HTMLElement).style.left);
      const before = await left();
      await page.keyboard.press('Alt+ArrowRight');
      await expect.poll(left).not.toBe(before);
    }
  }
}

async function answerAll(page: Page, hand: Hand): Promise<void> {
  const h = new Hands(page, hand);

  const sort = h.question('Which stall sells it?');
  const goods = { apples: 1, pears: 1, herring: 2, rope: 3, 'an anchor': 3 };
  for (const [piece, at] of Object.entries(goods)) {
    const name = ['', 'Fruit stall', 'Fish stall', 'Boat stall'][at] ?? '';
    await h.put(sort, piece, sort.locator('lv-place').nth(at), `Put it in ${name}`);
  }
  await expect(sort.getByText('All of them are placed.')).toBeVisible();
  const match = h.question('Who says what');
  const says = ['That is one pound, please.', 'Two apples, please.', 'Mind your backs!'];
  for (const [i, who] of ['The seller', 'The buyer', 'The porter'].entries())
    await h.put(match, says[i] ?? '', match.locator('lv-place').nth(i), `Put it in the place beside ${who}`);
  await h.next();

  const labels = h.question('Label the picture.');
  for (const [i, word] of ['apples', 'fish', 'rope'].entries())
    await h.put(labels, word, labels.locator('lv-place').nth(i + 1), `Put it in number ${i + 1}`);
  const board = h.question('Mark every person').getByRole('application');
  await board.scrollIntoViewIfNeeded();
  if (hand === 'keyboard') {
    await board.focus();
    const keys = ['ArrowLeft:4', 'ArrowDown:2', 'Enter:1', 'ArrowRight:8', 'Enter:1'];
    for (const [key = '', times] of keys.map((k) => k.split(':')))
      for (let i = 0; i < Number(times); i++) await page.keyboard.press(key);
  } else {
    const box = await board.locator('img').boundingBox();
    for (const x of [0.33, 0.66]) {
      const position = { x: (box?.width ?? 0) * x, y: (box?.height ?? 0) * 0.6 };
      if (hand === 'mouse') await board.click({ position });
      else await board.tap({ position });
    }
  }
  const frames = h.question('There are 4 apples');
  await frames.evaluate((e) => e.scrollIntoView({ block: 'center' }));
  // Dragged by mouse from the supply; by others the supply is pressed once, and then the cells.
  if (hand === 'mouse') await drag(page, frames.locator('.supply i').first(), frames.locator('.frame > div').first());
  else await h.press(frames.getByRole('button', { name: 'Put one on' }));
  await expect(frames.getByText('1 counter', { exact: true })).toBeVisible();
  for (let i = 2; i <= 7; i++)
    await h.press(frames.getByRole('checkbox', { name: `Counter in cell ${i}`, exact: true }));
  await expect(frames.getByText('7 counters')).toBeVisible();
  const line = h.question('Put each price');
  await h.put(line, 'apple 30 p', line.locator('lv-place').nth(4), 'Put it in 30');
  await expect(line.locator('lv-place').nth(4)).toContainText('apple 30 p');
  await h.put(line, 'rope 80 p', line.locator('lv-place').nth(9), 'Put it in 80');
  await expect(line.locator('lv-place').nth(9)).toContainText('rope 80 p');
  await h.next();

  const gaps = h.question('Fill the gaps with words');
  for (const [i, word] of ['list', 'stall', 'till'].entries())
    await h.put(gaps, word, gaps.locator('.slot').nth(i), `gap ${i + 1}, empty`);
  const order = h.question('Put the steps of buying');
  const right = ['Choose what you need', 'Ask for the price', 'Pay', 'Take your change'];
  for (const [to, entry] of right.entries()) {
    const at = async () => (await order.getByRole('listitem').allTextContents()).findIndex((t) => t.includes(entry));
    for (let i = await at(); i > to; i--) {
      await h.press(order.getByRole('button', { name: `Move up: ${entry}`, exact: true }));
      await expect(order.getByRole('listitem').nth(i - 1)).toContainText(entry);
    }
  }
  const fill = h.question('Fill the table.');
  await fill.getByRole('textbox', { name: 'Row 1, Change from 1.00' }).fill('70 p');
  await fill.getByRole('textbox', { name: 'Row 2, Change from 1.00' }).fill('20p');
  await fill.getByRole('textbox', { name: 'Row 2, Change from 1.00' }).fill('20');
  await h.next();

  await page.getByRole('textbox', { name: /two apples cost/ }).fill('60');
  await page.getByRole('textbox', { name: /one fish and one apple/ }).fill('2.80');
  await page.getByRole('textbox', { name: /three metres/ }).fill('2,40');
  await h.press(page.getByRole('radio', { name: 'Basket 2' }));
  await h.next();

  await mark(page, h, hand, 'Draw your own stall.');
  const steps = h.question('Tick each step when you have');
  for (let i = 0; i < 3; i++) await h.press(steps.getByRole('checkbox').nth(i));
  const photo = h.question('Take a photograph of your list.');
  await expect(photo.getByText('Stand-in camera: not a real one.')).toBeVisible();
  for (let i = 1; i <= 2; i++) {
    await h.press(photo.getByRole('button', { name: 'Use the camera' }));
    await h.press(photo.getByRole('button', { name: 'Take the photograph' }));
    await expect(photo.getByRole('img', { name: `Try ${i}` })).toBeVisible();
  }
  await h.press(photo.getByRole('radio').nth(1));
  // Turned a quarter, it stands upright, and it is still the best.
  await h.press(photo.getByRole('button', { name: 'Change try 2' }));
  await expect(photo.locator('.cropper-view-box')).toBeVisible();
  await h.press(photo.getByRole('button', { name: 'Turn right' }));
  await h.press(photo.getByRole('button', { name: 'Keep it so' }));
  await expect(photo.locator('.cropper-view-box')).toBeHidden();
  const upright = async () =>
    await photo.getByRole('img', { name: 'Try 2' }).evaluate((e: HTMLImageElement) => e.naturalHeight > e.naturalWidth);
  await expect.poll(upright).toBe(true);
  await expect(photo.getByRole('radio').nth(1)).toBeChecked();
  const voice = h.question('Say what you would buy');
  await h.press(voice.getByRole('button', { name: 'Record', exact: true }));
  await expect(voice.getByRole('timer')).toHaveText(/^[1-9]\d* s$/);
  await h.press(voice.getByRole('button', { name: 'Stop recording' }));
  await expect(voice.locator('audio')).toBeVisible();
  await h.press(h.question('Weigh three apples').getByRole('checkbox', { name: 'I did this on paper' }));
  await page.getByRole('textbox', { name: 'Is there anything you want to tell me?' }).fill('I like the rope stall.');
  await h.next();

  const along = h.question('What do you take along?');
  for (const name of ['a list', 'money']) await h.press(along.getByRole('checkbox', { name }));
  await page.getByRole('textbox', { name: 'Who carries the boxes?' }).fill('the porter');
  const why = h.question('Why do you ask for the price first?');
  await h.press(why.getByRole('button', { name: 'First I …' }));
  await expect(why.getByRole('textbox')).toHaveValue('First I ');
  await why.getByRole('textbox').fill('First I count my money.');
  await choose(h.question('Choose the word that fits.').getByRole('combobox'), 'beside');
  await h.question('Write the word that fits.').getByRole('textbox').fill('meter');
  const sold = h.question('Put each thing into the table.');
  await h.put(sold, 'a pear', sold.locator('lv-place').nth(1), 'Put it in sold here, to eat');
  await h.put(sold, 'a chain', sold.locator('lv-place').nth(2), 'Put it in sold here, not to eat');
  const signs = h.question('Hang each sign on its stall.');
  await h.put(signs, 'Fruit', signs.locator('lv-place').nth(1), 'Put it in the left stall');
  await h.put(signs, 'Ropes', signs.locator('lv-place').nth(2), 'Put it in the right stall');
  await mark(page, h, hand, 'Write a price on each stall.');
}

for (const hand of ['mouse', 'keyboard', 'touch'] as const)
  test(`every way to answer, with ${hand} alone, and the marks of it`, async ({ browser }) => {
    test.setTimeout(150_000);
    const context = await browser.newContext({ hasTouch: hand === 'touch', viewport: { width: 1280, height: 800 } });
    await context.addInitScript(() => localStorage.setItem('lorvet-devices', 'stand-in'));
    const page = await context.newPage();
    page.setDefaultTimeout(12_000);
    const errors = watchErrors(page);
    await openDemo(page);
    await sitDown(page, 'Kestrel class', LEARNERS[hand]);
    await page.getByRole('link', { name: /Market day/ }).click();
    // Opened, it is scrolled to its top: what is scrolled to before that is not where it was.
    await stands(page);
    await answerAll(page, hand);
    await expect(page.getByText('Saved')).toBeVisible();
    if (hand === 'mouse') expect(await faults(page), 'the desk, answered').toEqual([]);

    // It is still there after a reload, drawings, photographs and all.
    await page.reload();
    // It goes on where it was left: at the end.
    await expect(page.getByText('page 6 of 6')).toBeVisible();
    for (let at = 5; at >= 2; at--) {
      await page.getByRole('button', { name: 'Back', exact: true }).click();
      await expect(page.getByText(`page ${at} of 6`)).toBeVisible();
    }
    await expect(page.getByText('7 counters')).toBeVisible();
    for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Next' }).click();
    await expect(page.getByRole('img', { name: 'Try 2' })).toBeVisible();
    await page.getByRole('button', { name: 'Next' }).click();
    await page.getByRole('button', { name: 'Submit …' }).click();
    await expect(page.getByText('Every question has an answer.')).toBeVisible();
    await page.getByRole('button', { name: 'Submit now' }).click();
    await expect(page.getByText('Submitted', { exact: true })).toBeVisible();

    await page.goto('/marking/h-market');
    await kept(page);
    const row = page.getByRole('row', { name: new RegExp(LEARNERS[hand]) });
    for (let q = 1; q <= 13; q++)
      await expect(
        row.getByRole('button', { name: new RegExp(`question ${q}: right$`) }),
        `question ${q}`,
      ).toBeVisible();
    for (const q of [15, 20, 21, 23, 24, 25, 26])
      await expect(
        row.getByRole('button', { name: new RegExp(`question ${q}: right$`) }),
        `question ${q}`,
      ).toBeVisible();
    for (const q of [14, 16, 17, 18, 19, 22, 27])
      await expect(row.getByRole('button', { name: new RegExp(`question ${q}: yours to mark$`) })).toBeVisible();
    await row.getByRole('button', { name: /question 16/ }).click();
    await expect(
      page.getByRole('complementary', { name: 'The work' }).getByRole('img', { name: 'Try 2' }),
    ).toBeVisible();
    if (hand === 'mouse') await writtenBack(page, row);
    expect(errors).toEqual([]);
    await context.close();
  });

/** The teacher writes on a learner's drawing, in a layer of its own; at the desk it lies over what was drawn. */
async function writtenBack(page: Page, row: Locator): Promise<void> {
  const work = page.getByRole('complementary', { name: 'The work' });
  await row.getByRole('button', { name: /question 14: yours to mark$/ }).click();
  await work.getByRole('button', { name: 'Write on it' }).click();
  const pad = work.locator('lv-written-on .sheet');
  await pad.evaluate((e) => e.scrollIntoView({ block: 'center' }));
  const drawn = await pad.locator('path').count();
  const box = await pad.boundingBox();
  await page.mouse.move((box?.x ?? 0) + 40, (box?.y ?? 0) + 40);
  await page.mouse.down();
  await page.mouse.move((box?.x ?? 0) + 140, (box?.y ?? 0) + 70, { steps: 8 });
  await page.mouse.up();
  await expect(pad.locator('path')).toHaveCount(drawn + 1);
  await work.getByRole('button', { name: 'Complete', exact: true }).click();
  await expect(row).toContainText('complete');
  await kept(page);
  await sitDown(page, 'Kestrel class', LEARNERS.mouse);
  await page.getByRole('link', { name: /Market day/ }).click();
  const seen = page.locator('lv-written-on').first();
  for (let i = 0; i < 5 && !(await seen.isVisible()); i++) {
    await page.getByRole('button', { name: 'Next' }).click();
    await stands(page);
  }
  await expect(seen.locator('path')).toHaveCount(drawn + 1);
}

test('a refused camera says what to press, and a file is taken instead', async ({ browser }) => {
  const context = await browser.newContext({ permissions: [] });
  const page = await context.newPage();
  await openDemo(page);
  await sitDown(page, 'Kestrel class', 'Nessa');
  await page.getByRole('link', { name: /Market day/ }).click();
  await page.getByRole('button', { name: /At home/ }).click();
  const photo = page.locator('lv-learner-block').filter({ hasText: 'Take a photograph' });
  await photo.getByRole('button', { name: 'Use the camera' }).click();
  await expect(photo.getByRole('alert')).toContainText(/(take|Take) a file instead/);
  await photo.getByLabel('A picture file').setInputFiles({
    name: 'list.png',
    mimeType: 'image/png',
    buffer: Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64',
    ),
  });
  await expect(photo.getByRole('img', { name: 'Try 1' })).toBeVisible();
  await photo
    .getByLabel('A picture file')
    .setInputFiles({ name: 'list.txt', mimeType: 'text/plain', buffer: Buffer.from('x') });
  await expect(photo.getByRole('alert')).toContainText('“list.txt” is not a picture');
  await context.close();
});

test('on paper every page stands below the other, with lines to write on and no buttons', async ({ page }) => {
  await openDemo(page);
  await sitDown(page, 'Kestrel class', 'Nessa');
  await page.getByRole('link', { name: /Market day/ }).click();
  await expect(page.locator('section.page')).toHaveCount(1);
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  await page.emulateMedia({ media: 'print' });
  const leaves = page.locator('lv-paper-sheet .leaf');
  await expect(leaves).toHaveCount(6);
  // Each has its head: whose it is, and which page, as the contents page counts them.
  for (const i of [0, 3, 5]) {
    await expect(leaves.nth(i)).toContainText('Name: Nessa');
    await expect(leaves.nth(i)).toContainText(`page ${i + 1} of 6`);
  }
  // What is pressed or dragged on the screen is written: choices beside their gap, a box for each place in an order, room
  // for a photograph, lines to write on; pictures stand on every page.
  await expect(leaves.getByText('(beside / inside / under)')).toBeVisible();
  await expect(leaves.locator('lv-ordering-desk .box')).toHaveCount(4);
  await expect(leaves.getByText('Stick your photograph here')).toBeVisible();
  expect(await leaves.locator('lv-ruled i').count()).toBeGreaterThan(10);
  await expect(leaves.locator('img')).not.toHaveCount(0);
  expect(await leaves.locator('textarea').count()).toBe(0);
  await expect(page.getByRole('button', { name: 'Next' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Use the camera' })).toBeHidden();
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(page.locator('section.page')).toHaveCount(1);
});
