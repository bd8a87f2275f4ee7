import path from 'node:path';
import {
  addCopy,
  begin,
  choose,
  expect,
  expectSize,
  fill,
  field,
  openCopy,
  plain,
  saved,
  tab,
  test,
} from '../support/quilt.ts';

const csv = path.resolve(import.meta.dirname, '../../demo/potting-shed-blocks.csv');

test('by mouse: from the table of blocks to shop cuts, and still there after a reload and a restart', async ({
  page,
  server,
}) => {
  await begin(page, server, { line: '12 of 12" finished', setting: /^Sashed:/, border: '4″' });
  await expectSize(page, '50 × 63 1/2″');

  await page.setInputFiles('input[type=file]', csv);
  await expect(page.getByRole('dialog')).toContainText('30 blocks understood');
  await expect(page.getByRole('dialog')).toContainText('2 measurements in centimetres converted to inches');
  await page.getByRole('button', { name: 'Put these 30 in place of the pile' }).click();
  await expect(page.getByTestId('pile-summary')).toContainText('30 blocks, 12 places');
  await expect(page.getByRole('note').filter({ hasText: '18 spare' })).toBeVisible();

  await fill(page, 'Block width, finished', '10');
  await expect(field(page, 'Block height, finished')).toHaveValue('10″');
  await fill(page, 'Blocks across', '5');
  await fill(page, 'Blocks down', '6');
  await expect(page.getByTestId('pile-summary')).toContainText('30 blocks, 30 places');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await fill(page, 'Border 1, finished', '1');
  await fill(page, 'Border 2, finished', '4 1/2');
  await choose(page, /Made for/, 'A size');
  await fill(page, 'Target width', '70');
  await fill(page, 'Target height', '2 yd');
  await expectSize(page, '70 × 81 1/2″');
  await expect(page.getByText('longer than the target')).toBeVisible();

  // Drag a sash division on the top tape half a block's width of the quilt to the right: every sash follows.
  const handle = page.getByRole('slider', { name: 'Sash width' }).first();
  const from = (await handle.boundingBox())!;
  const tape = (await page.locator('[data-tape=across]').boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2 + (tape.width / 70) * 0.5, from.y + from.height / 2, {
    steps: 4,
  });
  await page.mouse.up();
  await expect(field(page, 'Sash, finished')).toHaveValue('2″');
  await expectSize(page, '73 × 85″');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expectSize(page, '70 × 81 1/2″');
  // Done again by the button, undone and done by keys: sizes and field follow each time.
  await page.getByRole('button', { name: 'Redo' }).click();
  await expectSize(page, '73 × 85″');
  await expect(field(page, 'Sash, finished')).toHaveValue('2″');
  await page.locator('body').press('Control+z');
  await expectSize(page, '70 × 81 1/2″');
  await page.locator('body').press('Control+Shift+z');
  await expectSize(page, '73 × 85″');
  await page.locator('body').press('Control+z');
  await expectSize(page, '70 × 81 1/2″');
  await expect(page.getByRole('button', { name: 'Redo' })).toBeEnabled();

  await tab(page, 'Pieces');
  const list = page.getByTestId('cutting-list');
  await expect.poll(() => plain(list)).toContain('Sashes 71 at 2 × 10 1/2″');
  expect(await plain(list)).toContain('Cornerstones 42 at 2 × 2″');
  expect(await plain(list)).toContain('Border 2 sides 2 at 5 × 73″');
  await page.getByRole('button', { name: '71: why 71 sashes' }).click();
  await expect(page.getByRole('dialog')).toContainText('Upright: 6 rows × (5 + 1) = 36');
  await page.keyboard.press('Escape');
  await expect.poll(() => plain(page.getByTestId('binding'))).toContain('313″');
  await expect.poll(() => plain(page.getByTestId('binding'))).toContain('9 at 2 1/2″');
  await expect(page.getByTestId('backing')).toContainText('2 panels, upright seams');

  await tab(page, 'Buy');
  const shop = page.getByTestId('shopping-list');
  await expect
    .poll(() => plain(shop))
    .toMatch(/1 1\/8 yd.*39 1\/2″ needed; 3 strips of 10 1\/2″ for sashes; 4 strips of 2″ for sashes/);
  await saved(page);

  await page.reload();
  await expectSize(page, '70 × 81 1/2″');
  await server.stop();
  await server.start();
  await page.reload();
  await expectSize(page, '70 × 81 1/2″');
  await tab(page, 'Choose');
  await expect(page.getByTestId('pile-summary')).toContainText('30 blocks, 30 places');
});

test('by keyboard alone: open, set on point, widen a border on the tape, read a working, reload', async ({
  page,
  server,
}) => {
  await addCopy(page, server, 'Raffle quilt by keyboard');
  await page.goto(server.address);
  const title = page.getByRole('link', { name: 'Raffle quilt by keyboard' });
  await expect(title).toBeVisible();
  /** Tabs on until this is where the focus lies; a page that cannot be tabbed through fails here. */
  const reach = async (what: ReturnType<typeof page.getByRole>) => {
    for (let i = 0; i < 80; i++) {
      await page.keyboard.press('Tab');
      if (
        await what
          .evaluate((e) => e === document.activeElement || e.contains(document.activeElement))
          .catch(() => false)
      )
        return;
    }
    throw new Error('not reached by keyboard');
  };
  await reach(title);
  await page.keyboard.press('Enter');
  // Three of its blocks are off: that is where the work stands.
  await expect(page.getByRole('link', { name: 'Blocks', exact: true })).toHaveAttribute(
    'aria-current',
    'page',
  );
  // The work has the focus; the stages are the part of the page before it.
  await expect(page.getByRole('main')).toBeFocused();
  await page.keyboard.press('Shift+F6');
  await reach(page.getByRole('link', { name: 'Setting' }));
  await page.keyboard.press('Enter');
  await expectSize(page, '70 × 81 1/2″');

  await reach(page.getByRole('slider', { name: 'Border 2 width' }).first());
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await expectSize(page, '71 × 82 1/2″');
  await page.keyboard.press('Control+z');
  await expectSize(page, '70 3/4 × 82 1/4″');
  await page.keyboard.press('Control+Shift+z');
  await expectSize(page, '71 × 82 1/2″');

  await reach(page.getByRole('radiogroup', { name: 'Kind of setting' }));
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: /^On point:/ })).toBeChecked();
  await expect(page.getByRole('note').filter({ hasText: '20 more to make' })).toBeVisible();

  await reach(field(page, 'Blocks across the top row'));
  await page.keyboard.press('ArrowDown');
  await expect(field(page, 'Blocks across the top row')).toHaveValue('4');
  await reach(field(page, 'Blocks down the first column'));
  await page.keyboard.press('Control+a');
  await page.keyboard.type('4');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('pile-summary')).toContainText('30 blocks, 25 places');

  await page.keyboard.press('Shift+Tab');
  const cut = page.getByRole('tab', { name: 'Pieces' });
  for (
    let i = 0;
    i < 30 &&
    !(await page.getByRole('tab', { name: 'Choose' }).evaluate((e) => e === document.activeElement));
    i++
  )
    await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('ArrowRight');
  await expect(cut).toHaveAttribute('aria-selected', 'true');
  await reach(page.getByRole('button', { name: /why squares of 15 1\/2″/ }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('14.142 long side + 1 1/4 = 15.392, next 1/8 up: 15');
  await page.keyboard.press('Escape');
  await saved(page);
  await page.reload();
  await tab(page, 'Pieces');
  await expect
    .poll(() => plain(page.getByTestId('cutting-list')))
    .toContain('from 3 squares of 15 1/2″, cut twice corner to corner');
});

test('pointing at pieces lights their figures, pointing at figures lights their pieces', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await tab(page, 'Pieces');
  const sashes = page.getByTestId('cutting-list').getByRole('listitem').first();
  await sashes.hover();
  // Uprights and levels, each in its own cloth.
  await expect(page.locator('path.lit')).toHaveCount(2);
  await page.mouse.move(5, 400);
  await expect(page.locator('path.lit')).toHaveCount(0);
  const board = (await page.getByRole('img', { name: /The quilt, 70/ }).boundingBox())!;
  const path = page.locator('[data-part=border-2-side]');
  const box = (await path.boundingBox())!;
  await page.mouse.move(box.x + 4, board.y + board.height / 2);
  await expect(
    page.getByTestId('cutting-list').getByRole('listitem').filter({ hasText: 'Border 2 sides' }),
  ).toHaveAttribute('data-pointed');
});
