import { expect, type Locator, type Page, test } from '@playwright/test';
import { choose, giveToAnemones, kept, openDemo, planForAnemones, sitDown, watchErrors } from './helpers';

/** Pictures of five shapes, each with a mark where its answer place is to lie: in hundredths of the picture. */
const SHAPES = [
  { name: 'upright', w: 620, h: 877 },
  { name: 'across', w: 877, h: 620 },
  { name: 'square', w: 700, h: 700 },
  { name: 'strip', w: 1000, h: 260 },
  { name: 'tower', w: 400, h: 1300 },
];
const MARK = { x: 20, y: 40, w: 50, h: 22 };

const svg = ({ w, h }: { w: number; h: number }) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}" viewBox="0 0 ${w} ${h}"><rect width="${w}" height="${h}" fill="#fff"/><rect x="${(w * MARK.x) / 100}" y="${(h * MARK.y) / 100}" width="${(w * MARK.w) / 100}" height="${(h * MARK.h) / 100}" fill="none" stroke="#000"/></svg>`;

/** How far the edges of a place are from those of the mark in the picture it lies on, in pixels: the largest. */
async function offBy(picture: Locator, place: Locator): Promise<number> {
  const [p, b] = [await picture.boundingBox(), await place.boundingBox()];
  if (!p || !b || p.height < 20) return Infinity;
  const mark = {
    x: p.x + (p.width * MARK.x) / 100,
    y: p.y + (p.height * MARK.y) / 100,
    w: (p.width * MARK.w) / 100,
    h: (p.height * MARK.h) / 100,
  };
  return Math.max(
    Math.abs(b.x - mark.x),
    Math.abs(b.y - mark.y),
    Math.abs(b.x + b.width - mark.x - mark.w),
    Math.abs(b.y + b.height - mark.y - mark.h),
  );
}

async function drawMark(page: Page, board: Locator): Promise<void> {
  await board.scrollIntoViewIfNeeded();
  const box = await board.locator('img').boundingBox();
  if (!box) throw new Error('the picture is not there');
  const at = (x: number, y: number) => [box.x + (box.width * x) / 100, box.y + (box.height * y) / 100] as const;
  await page.mouse.move(...at(MARK.x, MARK.y));
  await page.mouse.down();
  await page.mouse.move(...at(MARK.x + MARK.w, MARK.y + MARK.h), { steps: 4 });
  await page.mouse.up();
}

test('a place lies on its mark to the pixel, in pictures of five shapes: Bench, look, desk, paper, Marking', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const errors = watchErrors(page);
  await page.setViewportSize({ width: 1280, height: 2000 });
  await openDemo(page);
  await page.goto('/bring-in');
  await page
    .getByLabel('Choose a file')
    .setInputFiles(
      SHAPES.map((s) => ({ name: `${s.name}.svg`, mimeType: 'image/svg+xml', buffer: Buffer.from(svg(s)) })),
    );
  await page.getByRole('button', { name: 'Each a page to answer on' }).click();
  await page.getByLabel('Title').fill('Five shapes');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await page.waitForURL('**/bench/*');
  for (const i of SHAPES.keys()) {
    const board = page.locator('lv-rect-board .board').nth(i);
    await drawMark(page, board);
    await expect.poll(() => offBy(board.locator('img'), board.locator('[data-rect]'))).toBeLessThanOrEqual(1.5);
  }
  await page.getByRole('button', { name: /Save as revision/ }).click();
  await kept(page);
  await page.getByRole('link', { name: 'Look at the master as a learner' }).click();
  const onScreen = page.locator('lv-on-picture');
  const each = async (what: string) => {
    for (const s of SHAPES) {
      await expect(page.getByText(`page ${SHAPES.indexOf(s) + 1} of 5`)).toBeVisible();
      await expect
        .poll(() => offBy(onScreen.locator('> .under img'), onScreen.locator('.on-page')), {
          message: `${what}, ${s.name}`,
        })
        .toBeLessThanOrEqual(1);
      if (s !== SHAPES.at(-1)) await page.getByRole('button', { name: 'Next' }).click();
    }
  };
  await each('look');
  await page.getByRole('button', { name: 'Paper' }).click();
  const laid = page.locator('lv-paper-sheet lv-on-picture');
  await expect(laid).toHaveCount(5);
  for (const i of SHAPES.keys())
    await expect
      .poll(() => offBy(laid.nth(i).locator('> .under img'), laid.nth(i).locator('.on-page')), {
        message: `paper ${i}`,
      })
      .toBeLessThanOrEqual(1);

  await giveToAnemones(page, 'Five shapes');
  await sitDown(page, 'Heron class', 'Elowen');
  await page.getByRole('link', { name: /: Five shapes/ }).click();
  await each('desk');
  await page.goto('/marking');
  await page.getByRole('link', { name: 'Five shapes' }).first().click();
  await page.getByRole('link', { name: 'Whole work' }).click();
  const work = page.getByRole('region', { name: 'The work' }).locator('lv-on-picture');
  await expect(work).toHaveCount(5);
  for (const i of SHAPES.keys())
    await expect
      .poll(() => offBy(work.nth(i).locator('> .under img'), work.nth(i).locator('.on-page')), {
        message: `marking ${i}`,
      })
      .toBeLessThanOrEqual(1);
  expect(errors).toEqual([]);
});

test('what has no room on its place opens as a panel over the page, and the next question can be pressed', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 1400 });
  await openDemo(page);
  await page.goto('/bring-in');
  const shape = { name: 'sheet', w: 620, h: 877 };
  await page
    .getByLabel('Choose a file')
    .setInputFiles([{ name: 'sheet.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(svg(shape)) }]);
  await page.getByRole('button', { name: 'Each a page to answer on' }).click();
  await page.getByLabel('Title').fill('Little room');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await page.waitForURL('**/bench/*');
  const board = page.locator('lv-rect-board .board');
  const draw = async (kind: string, x: number, y: number, w: number, h: number) => {
    await choose(page.getByLabel('Drag over the picture to add'), kind);
    const box = await board.locator('img').boundingBox();
    if (!box) throw new Error('the picture is not there');
    await page.mouse.move(box.x + (box.width * x) / 100, box.y + (box.height * y) / 100);
    await page.mouse.down();
    await page.mouse.move(box.x + (box.width * (x + w)) / 100, box.y + (box.height * (y + h)) / 100, { steps: 4 });
    await page.mouse.up();
  };
  await draw('single choice', 10, 10, 30, 3);
  await draw('short text', 10, 14, 30, 4);
  // The Bench shows it as it will be, and says so.
  await expect(page.getByText(/Too large for its place: Question 1/)).toBeVisible();
  await page.getByRole('button', { name: /Save as revision/ }).click();
  await kept(page);
  // The check before giving out names it, and leads there.
  await planForAnemones(page, 'Little room');
  const named = page
    .getByRole('complementary', { name: 'Checks' })
    .getByRole('listitem')
    .filter({ hasText: 'question 1' });
  await expect(named).toHaveText('Master, page 1: question 1');
  await named.getByRole('link').click();
  await page.getByRole('link', { name: 'Look at the master as a learner' }).click();
  await page.waitForURL('**/look/**');
  await page.getByRole('textbox').fill('beside it');
  await page.getByRole('button', { name: 'Open question 1' }).click();
  const panel = page.getByRole('dialog', { name: 'Open question 1' });
  await panel.getByRole('radio').first().check();
  await panel.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: 'Open question 1, answered' })).toBeVisible();
  await expect(page.getByRole('textbox')).toHaveValue('beside it');
});
