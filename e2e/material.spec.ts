import { expect, type Locator, type Page, test } from '@playwright/test';
import { unzipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import { choose, faults, giveToAnemones, kept, material, openDemo, reload, sitDown, watchErrors } from './helpers';

async function bring(page: Page, files: Parameters<ReturnType<Page['getByLabel']>['setInputFiles']>[0]): Promise<void> {
  await page.goto('/bring-in');
  await page.getByLabel('Choose a file').setInputFiles(files);
}

async function take(page: Page, title: string): Promise<void> {
  await page.getByLabel('Title').fill(title);
  await page.getByRole('button', { name: 'Take it in' }).click();
  await page.waitForURL('**/bench/*');
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  await kept(page);
}

async function sitWith(page: Page, title: string): Promise<void> {
  await sitDown(page, 'Heron class', 'Elowen');
  await page.getByRole('link', { name: new RegExp(`: ${title}`) }).click();
}

/** Draws a rectangle on a page's picture, in shares of it, near its foot where nothing covers it. */
async function drawOn(page: Page, board: Locator, x: number, y: number, w: number, h: number): Promise<void> {
  await board.evaluate((e) => e.scrollIntoView({ block: 'end' }));
  const box = await board.boundingBox();
  if (!box) throw new Error('the board is not on the page');
  await page.mouse.move(box.x + box.width * x, box.y + box.height * y);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * (x + w), box.y + box.height * (y + h), { steps: 6 });
  await page.mouse.up();
}

async function submit(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Submit …' }).click();
  await page.getByRole('button', { name: 'Submit now' }).click();
  // The sheet is left once the work is written.
  await page.waitForURL('**/desk/work');
}

async function marks(page: Page, title: string, says: readonly string[]): Promise<void> {
  await page.goto('/marking');
  await page.getByRole('link', { name: title }).first().click();
  for (const [i, verdict] of says.entries())
    await expect(
      page.getByRole('button', { name: new RegExp(`^Elowen.*question ${i + 1}: ${verdict}`) }),
    ).toBeVisible();
}

test('a PDF with answers becomes a keyed master, is given and answered', async ({ page }) => {
  test.setTimeout(120_000);
  const errors = watchErrors(page);
  await openDemo(page);
  await bring(page, material('with-answers.pdf'));
  await expect(page.getByText('3 of 3 chosen')).toBeVisible();
  await page.getByRole('button', { name: 'Read 3 pages' }).click();
  await expect(page.getByText('4 of 4 accepted, 4 with a key.')).toBeVisible();
  await expect(page.getByRole('button', { name: /Answer key/ })).toContainText('answer key');
  expect(await faults(page), 'review').toEqual([]);
  await take(page, 'Bread for the crew');
  await expect(page.getByText('only for you')).toHaveCount(2);
  await reload(page);

  await giveToAnemones(page, 'Bread for the crew');
  await sitWith(page, 'Bread for the crew');
  await expect(page.getByText('page 1 of 1')).toBeVisible();
  await page.getByRole('textbox', { name: /How many rolls/ }).fill('8');
  await page.getByRole('radio', { name: 'before sunrise' }).check();
  await page.getByRole('checkbox', { name: 'flour' }).check();
  await page.getByRole('checkbox', { name: 'water' }).check();
  await page.getByRole('textbox', { name: /another word/ }).fill('bun');
  await submit(page);
  await marks(page, 'Bread for the crew', ['right', 'right', 'right', 'right']);
  expect(errors).toEqual([]);
});

test('what is for the teacher says why, is seen by no learner, and is turned round with one press', async ({
  page,
}) => {
  await openDemo(page);
  await bring(page, material('intake/clocks-foot-of-page.pdf'));
  await page.getByRole('button', { name: 'Read 2 pages' }).click();
  await expect(page.getByText('6 of 6 accepted, 3 with a key.')).toBeVisible();
  const pages = page.getByRole('navigation', { name: 'Pages read' });
  const read = page.getByRole('region', { name: 'What was read' });
  await page.getByLabel('Show as a learner gets it').check();
  await expect(read).toContainText('half past six');
  await expect(read).not.toContainText('6:30');
  await pages.getByRole('button', { name: /^Answers/ }).click();
  await expect(read).toContainText('No learner gets this page');
  await page.getByLabel('Show as a learner gets it').uncheck();
  await expect(read).toContainText('Under “Answers” stand answers by number.');
  await read.getByRole('button', { name: 'No, it is for learners' }).click();
  await expect(page.getByText('6 of 6 accepted, 0 with a key.')).toBeVisible();
  await read.getByRole('button', { name: 'Decide as before' }).click();
  await expect(page.getByText('6 of 6 accepted, 3 with a key.')).toBeVisible();
  expect(await faults(page), 'review').toEqual([]);
  // Whoever looks elsewhere meanwhile finds it as it was; turned round and taken at once, it is turned round first.
  await pages.getByRole('button', { name: /^What time/ }).click();
  await read.getByRole('checkbox', { name: /^Question 1/ }).uncheck();
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await page.waitForURL('**/shelf');
  await page.goBack();
  await expect(page.getByText('5 of 6 accepted')).toBeVisible();
  await pages.getByRole('button', { name: /^Answers/ }).click();
  await page.evaluate(() => {
    for (const name of ['No, it is for learners', 'Take it in', 'Take it in'])
      Array.from(document.querySelectorAll('button'))
        .find((b) => b.textContent?.trim() === name)
        ?.click();
  });
  await page.waitForURL('**/bench/*');
  await expect(page.getByRole('button', { name: /^Text: Answers: 1\) 6:30/ })).toBeVisible();
});

test('a PDF page as a picture: places proposed, moved by keys, a further one drawn, answered on top of it', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await openDemo(page);
  await bring(page, material('mixed.pdf'));
  await page.getByRole('button', { name: 'Read 2 pages' }).click();
  await choose(page.getByLabel('Comes in'), 'as a picture, with answer places on it');
  await page.getByRole('button', { name: /What grew this week/ }).click();
  await choose(page.getByLabel('Comes in'), 'not at all');
  await take(page, 'The garden');

  const place = page.getByRole('button', { name: /^Question 1, short text/ });
  const left = async () => Number((await place.evaluate((e) => (e as HTMLElement).style.left)).replace('%', ''));
  const before = await left();
  await place.focus();
  await place.press('ArrowRight');
  await expect.poll(left).toBeCloseTo(before + 0.5, 2);
  await page.keyboard.press('Control+z');
  await expect.poll(left).toBeCloseTo(before, 2);
  // A further place, drawn by mouse.
  await drawOn(page, page.locator('lv-rect-board .board'), 0.6, 0.72, 0.3, 0.04);
  await expect(page.getByRole('button', { name: /^Question 4, short text/ })).toBeVisible();
  await page.getByRole('button', { name: 'Number as they are read' }).click();
  await expect(page.getByRole('button', { name: /^Question 1, short text/ })).toHaveCount(1);
  await page.getByRole('button', { name: 'Save as revision 2' }).click();
  await kept(page);

  await giveToAnemones(page, 'The garden');
  await sitWith(page, 'The garden');
  const answers = page.locator('lv-sheet-view .on-page');
  await expect(answers).toHaveCount(4);
  const picture = page.locator('lv-sheet-view .under img');
  await expect(picture).toBeVisible();
  // The learner cannot take hold of the picture: a press on it reaches what lies under, and a drag moves nothing.
  expect(await page.locator('lv-sheet-view .under').evaluate((e) => getComputedStyle(e).pointerEvents)).toBe('none');
  const where = await picture.boundingBox();
  await page.mouse.move((where?.x ?? 0) + 30, (where?.y ?? 0) + 30);
  await page.mouse.down();
  await page.mouse.move((where?.x ?? 0) + 230, (where?.y ?? 0) + 130, { steps: 5 });
  await page.mouse.up();
  expect(await picture.boundingBox()).toEqual(where);
  await page.getByRole('textbox', { name: 'What stands at the wall?' }).fill('the beans');
  await page.getByRole('textbox', { name: /What would you plant/ }).fill('Peas. They climb.');
  await expect(page.getByText('Saved')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'What stands at the wall?' })).toHaveValue('the beans');
});

test('a Word document, its proposals accepted in part, and one undo takes all of it back', async ({ page }) => {
  test.setTimeout(120_000);
  await openDemo(page);
  await bring(page, material('questions.docx'));
  await expect(page.getByText('3 of 3 accepted, 3 with a key.')).toBeVisible();
  await page.getByRole('checkbox', { name: /^Question 2/ }).uncheck();
  await expect(page.getByText('2 of 3 accepted')).toBeVisible();
  await take(page, 'Signals');
  await expect(page.getByText('2. Name one thing ships speak with.')).toBeVisible();
  await page.goto('/shelf');
  await expect(page.getByRole('link', { name: 'Signals', exact: true })).toBeVisible();

  await giveToAnemones(page, 'Signals');
  await sitWith(page, 'Signals');
  await expect(page.locator('strong').filter({ hasText: 'flags' })).toBeVisible();
  await page.getByRole('radio', { name: 'The ship is leaving' }).check();
  await page.getByRole('radio', { name: 'True' }).check();
  await submit(page);
  await marks(page, 'Signals', ['right', 'not yet']);

  await bring(page, material('pictures.docx'));
  await expect(page.getByRole('img', { name: 'Picture' })).toBeVisible();
  await take(page, 'Which boat');
  await expect(page.getByRole('img', { name: 'A red boat with one sail' })).toBeVisible();
  await page.getByRole('button', { name: /^Undo: bring in/ }).click();
  await expect(page.getByRole('heading', { name: 'This family is not here' })).toBeVisible();
});

test('several pictures, each a page to answer on; a large photograph is made smaller', async ({ page }) => {
  test.setTimeout(120_000);
  await openDemo(page);
  await page.goto('/bring-in');
  const big = Buffer.from(
    await page.evaluate(async () => {
      const canvas = new OffscreenCanvas(4000, 3000);
      const pen = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
      for (let i = 0; i < 400; i++) {
        pen.fillStyle = `hsl(${i * 37} 60% 50%)`;
        pen.fillRect((i * 311) % 4000, (i * 173) % 3000, 400, 300);
      }
      return [
        ...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.95 })).arrayBuffer()),
      ];
    }),
  );
  await bring(page, [
    { name: 'one.jpg', mimeType: 'image/jpeg', buffer: big },
    { name: 'two.png', mimeType: 'image/png', buffer: readFileSync(material('boat.png')) },
  ]);
  await page.getByRole('button', { name: 'Each a page to answer on' }).click();
  await take(page, 'Two sheets');
  const size = await page
    .locator('lv-rect-board img')
    .first()
    .evaluate((e) => [(e as HTMLImageElement).naturalWidth, (e as HTMLImageElement).naturalHeight]);
  expect(size).toEqual([1800, 1350]);
  await drawOn(page, page.locator('lv-rect-board .board').last(), 0.1, 0.85, 0.3, 0.06);
  const block = page.getByRole('group', { name: 'Question 1, short text', exact: true });
  await block.getByRole('button', { name: /^Question: empty/ }).click();
  await page.getByRole('textbox', { name: 'Question' }).fill('What colour is the boat?');
  await block.getByRole('textbox', { name: /^Key/ }).fill('red');
  await block.getByRole('textbox', { name: /^Key/ }).press('Tab');
  await page.getByRole('button', { name: 'Save as revision 2' }).click();
  await kept(page);
  await giveToAnemones(page, 'Two sheets');
  await sitWith(page, 'Two sheets');
  await page.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('textbox', { name: 'What colour is the boat?' }).fill('Red');
  await submit(page);
  await marks(page, 'Two sheets', ['right']);
});

test('a Markdown file is dropped on the page, and its table, list and questions stand', async ({ page }) => {
  await openDemo(page, '/bring-in');
  const text = readFileSync(material('notes.md'), 'utf8');
  const data = await page.evaluateHandle((words) => {
    const transfer = new DataTransfer();
    transfer.items.add(new File([words], 'notes.md', { type: 'text/markdown' }));
    return transfer;
  }, text);
  await page.getByText('Drop', { exact: false }).first().dispatchEvent('drop', { dataTransfer: data });
  await expect(page.getByText('2 of 2 accepted')).toBeVisible();
  await take(page, 'Shadows at noon');
  await expect(page.getByRole('heading', { name: 'Shadows at noon' }).first()).toBeVisible();
  await expect(page.getByRole('cell', { name: '30 cm' })).toBeVisible();
  await expect(page.getByRole('group', { name: 'Question 2, single choice', exact: true })).toContainText(
    'Light that is stopped',
  );
});

test('a CSV list with its columns mapped and every bad line named', async ({ page }) => {
  test.setTimeout(120_000);
  await openDemo(page);
  const csv =
    'Task,A,B,C,Right\nWhat swims?,stone,herring,rope,B\nHow many legs has a gull?,,,,2\n,a,b,c,A\nWhich?,a,b,,z\n';
  await bring(page, { name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await choose(page.getByLabel('Column Task holds'), 'Question');
  await page.getByRole('button', { name: 'Read the questions' }).click();
  await expect(page.getByText('2 of 2 accepted')).toBeVisible();
  await page.getByText('2 lines left out').click();
  await expect(page.getByText('Line 4: There is no question.')).toBeVisible();
  await expect(page.getByText('Line 5: The key “z” is none of the choices.')).toBeVisible();
  await take(page, 'Quick questions');
  await giveToAnemones(page, 'Quick questions');
  await sitWith(page, 'Quick questions');
  await page.getByRole('radio', { name: 'herring' }).check();
  await page.getByRole('textbox', { name: /legs/ }).fill('3');
  await submit(page);
  await marks(page, 'Quick questions', ['right', 'not yet']);
});

test('a QTI 3 package in, answered, and out again', async ({ page }) => {
  test.setTimeout(120_000);
  await openDemo(page);
  await bring(page, material('pictures.qti.zip'));
  await expect(page.getByText('The sail: 1 areas that are not right are not kept')).toBeVisible();
  await bring(page, material('choice-and-text.qti.zip'));
  await expect(page.getByText('The flag: Its feedback was left out.')).toBeVisible();
  await take(page, 'Flags and knots');
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Questions as QTI 3' }).click();
  const files = unzipSync(new Uint8Array(readFileSync(await (await downloading).path())));
  expect(Object.keys(files).filter((f) => f.startsWith('items/'))).toHaveLength(4);
  await giveToAnemones(page, 'Flags and knots');
  await sitWith(page, 'Flags and knots');
  await page.getByRole('radio', { name: 'All are well' }).check();
  await page.getByRole('checkbox', { name: 'bowline' }).check();
  await page.getByRole('textbox', { name: /How deep/ }).fill('4.8 m');
  await submit(page);
  await marks(page, 'Flags and knots', ['right', 'partly', 'right', 'nothing given']);
});

test('a locked, a broken and a foreign file are said in words, and nothing is changed', async ({ page }) => {
  await openDemo(page);
  await bring(page, material('locked.pdf'));
  await expect(page.getByRole('alert')).toContainText('locked with a password');
  await page.getByLabel('Password of the file').fill('wrong');
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByRole('alert')).toContainText('That is not the password');
  await page.getByLabel('Password of the file').fill('gull');
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByText('Which pages?')).toBeVisible();
  const wrong = async (name: string, bytes: Buffer, says: string) => {
    await bring(page, { name, mimeType: '', buffer: bytes });
    await expect(page.getByRole('alert')).toContainText(says);
  };
  await wrong('cut.pdf', Buffer.from('hello'), 'damaged, or it is not a PDF');
  await wrong('cut.docx', readFileSync(material('table.docx')).subarray(0, 900), 'cannot be read as a Word document');
  await wrong('odd.zip', readFileSync(material('table.docx')), 'not a QTI package');
  await wrong('list.csv', Buffer.from('Question\n'), 'holds no questions');
  await wrong('song.mid', Buffer.from('x'), 'Lorvet does not read “.mid” files');
  await page.goto('/shelf');
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(5);
});
