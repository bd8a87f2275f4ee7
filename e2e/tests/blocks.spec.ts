import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { choose, expect, expectSize, openCopy, plain, saved, test } from '../support/quilt.ts';

const toBlocks = async (page: Page) => {
  await page.getByRole('link', { name: 'Blocks' }).click();
  await expect(page.getByRole('table', { name: 'Blocks' })).toBeVisible();
};
const cell = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true });

test('measured, judged, cut to a size: the outlier is to be remade, and the quilt follows the size that is taken', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toBlocks(page);
  const best = page.getByTestId('choice-keep');
  await expect(best).toContainText('proposed');
  await expect.poll(() => plain(best)).toContain('One block forces the other 29 down 1/4″. Remake it.');
  await expect
    .poll(() => plain(page.getByTestId('verdicts')))
    .toMatch(/At 10 1\/2″: 1 too small, 2 trim, \d+ ease in, \d+ fine/);

  // The cut line moved an eighth by the keyboard: counts follow, and what would change is listed.
  const line = page.getByRole('slider', { name: 'Cut all to' });
  await line.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(line).toHaveAttribute('aria-valuetext', '10 3/8″');
  await expect
    .poll(() => plain(page.getByRole('list', { name: 'What would change' })))
    .toContain('Sashes 71 at 2 × 10 1/2″ → 71 at 2 × 10 3/8″');

  // By mouse, back to where it was and a quarter below.
  const box = (await line.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + 40);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 60, box.y + 40, { steps: 5 });
  await page.mouse.up();
  await expect(line).not.toHaveAttribute('aria-valuetext', '10 3/8″');

  await page.getByTestId('choice-trim-all').click();
  await expect(line).toHaveAttribute('aria-valuetext', '10 1/4″');
  await page.getByRole('button', { name: /^Make the quilt for/ }).click();
  await expect(page.getByText('The plan is made for blocks of this size.')).toBeVisible();
  await page.getByRole('link', { name: 'Setting' }).click();
  await expectSize(page, '68 3/4 × 80″');
  await saved(page);
});

test('typed at speed: Enter goes down, fractions are read, what cannot be stays marked and says why', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toBlocks(page);
  await cell(page, 'Wheelbarrow, width').fill('10 1/4');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Bean row, width')).toBeFocused();
  await page.keyboard.type('26.7 cm');
  await page.keyboard.press('ArrowUp');
  await expect(cell(page, 'Wheelbarrow, width')).toBeFocused();
  await expect(cell(page, 'Wheelbarrow, width')).toHaveValue('10 1/4');
  await expect(cell(page, 'Bean row, width')).toHaveValue('10 1/2');
  await cell(page, 'Rain barrel, height').fill('wide');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert').filter({ hasText: '“wide” is not a length' })).toBeVisible();
  await expect(cell(page, 'Rain barrel, height')).toHaveAttribute('aria-invalid', 'true');
  await cell(page, 'Rain barrel, height').fill('900');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'cannot be right' })).toBeVisible();
  await cell(page, 'Rain barrel, height').press('Escape');
  await expect(cell(page, 'Rain barrel, height')).toHaveValue('10 1/2');

  // Edges tell a crooked block.
  await page.getByText('Along the four edges too').click();
  await cell(page, 'Seed tin, top').fill('11');
  await page.keyboard.press('Enter');
  const row = page.getByRole('row').filter({ has: cell(page, 'Seed tin, width') });
  await expect(row).toContainText('Crooked');
  await expect(row).toContainText('unpick it');
  await page.getByRole('button', { name: 'Seed tin: done' }).click();
  await expect(page.getByRole('button', { name: 'Seed tin: done' })).toHaveAttribute('aria-pressed', 'true');
  await saved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Seed tin: done' })).toHaveAttribute('aria-pressed', 'true');
});

test('the pile by kind: one kind shown alone, typed down within it', async ({ page, server }) => {
  await openCopy(page, server);
  await toBlocks(page);
  await page.getByRole('button', { name: /\d+ star/ }).click();
  const names = page.getByRole('textbox', { name: /^Name of block/ });
  const count = Number((await page.getByRole('button', { name: /\d+ star/ }).innerText()).match(/\d+/)![0]);
  await expect(names).toHaveCount(count);
  const [first, second] = [await names.nth(0).inputValue(), await names.nth(1).inputValue()];
  await cell(page, `${first}, width`).fill('10 1/2');
  await page.keyboard.press('Enter');
  await expect(cell(page, `${second}, width`)).toBeFocused();
  await page.getByRole('button', { name: /\d+ star/ }).click();
  await expect(names).not.toHaveCount(count);
});

test('a table pasted from a spreadsheet is shown before it is taken; out to a CSV and in again it is the same', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toBlocks(page);
  const paste = (text: string) =>
    cell(page, 'Bean row, width').evaluate((element, pasted) => {
      const data = new DataTransfer();
      data.setData('text', pasted);
      element.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    }, text);
  await cell(page, 'Bean row, width').focus();
  await paste('10 1/8\t10 1/4\n10\n\n10.5\tten');
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText('1 block understood');
  await expect(sheet).toContainText('“ten” is not a length');
  await sheet.getByRole('button', { name: 'Leave the pile as it is' }).click();
  await expect(cell(page, 'Bean row, width')).toHaveValue('10 1/2');
  await cell(page, 'Bean row, width').focus();
  await paste('10 1/8\t10 1/4\n10\t10');
  await page.getByRole('button', { name: 'Fill sizes from Bean row on' }).click();
  await expect(cell(page, 'Bean row, width')).toHaveValue('10 1/8');
  await expect(cell(page, 'Rain barrel, height')).toHaveValue('10');

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'To a CSV' }).click(),
  ]);
  const text = readFileSync((await file.path())!, 'utf8');
  expect(text.split('\n')[0]).toContain('width (in)');
  await page.setInputFiles('input[type=file]', {
    name: 'blocks.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(text),
  });
  await expect(sheet).toContainText('30 blocks understood');
  await page.getByRole('button', { name: 'Put these 30 in place of the pile' }).click();
  await expect(cell(page, 'Bean row, width')).toHaveValue('10 1/8');
  await page.getByRole('button', { name: 'Add a block' }).click();
  await expect(page.getByRole('heading', { name: '31 blocks' })).toBeVisible();
});

test('the tape fills the cell the cursor is in and goes on; carried off it says so, and typing goes on', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toBlocks(page);
  await page.getByText('Take readings from a tape').click();
  await expect(page.getByText('The tape is listening')).toBeVisible();
  await cell(page, 'Wheelbarrow, width').fill('10');
  await cell(page, 'Wheelbarrow, width').press('Enter');
  // One reading in twenty-five is a slip, which is refused; squeeze until one is taken, each time for the same cell.
  await expect(async () => {
    await cell(page, 'Wheelbarrow, width').focus();
    await page.getByRole('button', { name: 'Squeeze' }).click();
    await expect(cell(page, 'Wheelbarrow, height')).toBeFocused({ timeout: 2000 });
  }).toPass();
  await expect(cell(page, 'Wheelbarrow, width')).toHaveValue(/^10 (1\/2|7\/16|9\/16)$/);

  // Laid on something that is no block.
  await page.getByRole('textbox', { name: 'Stand-in tape laid on' }).fill('14');
  await page.getByRole('textbox', { name: 'Stand-in tape laid on' }).press('Enter');
  await cell(page, 'Wheelbarrow, height').focus();
  const before = await cell(page, 'Wheelbarrow, height').inputValue();
  await page.getByRole('button', { name: 'Squeeze' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'the tape slipped' })).toBeVisible();
  await expect(cell(page, 'Wheelbarrow, height')).toHaveValue(before);

  await page.getByRole('button', { name: 'Carry the tape off' }).click();
  await expect(page.getByText('The tape is out of reach. Typing goes on')).toBeVisible();
  await cell(page, 'Twine, width').fill('10 3/8');
  await cell(page, 'Twine, width').press('Enter');
  await expect(cell(page, 'Twine, width')).toHaveValue('10 3/8');
  await page.getByRole('button', { name: 'Bring the tape back' }).click();
  await expect(page.getByText('The tape is listening')).toBeVisible();
});

test('a picture gives a block its face and colours; what is no picture is refused with a word', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toBlocks(page);
  await page.getByRole('button', { name: 'Open Wheelbarrow' }).click();
  const sheet = page.getByRole('dialog', { name: 'Wheelbarrow' });
  const picture = await page.screenshot({ clip: { x: 200, y: 300, width: 300, height: 200 } });
  await sheet
    .locator('input[type=file]')
    .setInputFiles({ name: 'block.png', mimeType: 'image/png', buffer: picture });
  await expect(sheet.locator('image')).toHaveAttribute('href', /^\/api\/pictures\//);
  await expect(sheet.getByRole('button', { name: 'No picture' })).toBeVisible();
  await sheet
    .locator('input[type=file]')
    .setInputFiles({ name: 'block.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not at all') });
  await expect(sheet.getByRole('alert')).toContainText('not a picture that can be read');
  await sheet.getByText('Points reach its seam line').click();
  await sheet.getByText('One-way print: keep it upright').click();
  await choose(page, /Value/, 'Dark');
  await sheet.getByRole('button', { name: 'Done' }).click();
  await saved(page);
  await page.reload();
  await page.getByRole('link', { name: 'Wall' }).click();
  await expect(page.locator('image').first()).toHaveAttribute('href', /^\/api\/pictures\//);
});

test('the seam tested: what a fat one takes off a row, and how rows come out by chance', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toBlocks(page);
  await page.getByRole('textbox', { name: 'They measure' }).fill('3 3/8');
  await page.getByRole('textbox', { name: 'They measure' }).press('Enter');
  await expect(page.getByText('Sew a scant seam')).toBeVisible();
  // Five blocks and six sashes: ten seams, each 1/16″.
  await page.getByRole('button', { name: /why this much across/ }).click();
  await expect(page.getByRole('dialog')).toContainText('10 seams across × 2 × 0.031 = 0.625');
  await page.keyboard.press('Escape');
  await expect(page.getByText(/^\d+ rows in a hundred$/)).toBeVisible();
  const share = async () =>
    Number((await page.getByText(/^\d+ rows in a hundred$/).innerText()).split(' ')[0]);
  await expect.poll(share).toBeLessThan(10);
  await page.getByRole('textbox', { name: 'They measure' }).fill('3 1/2');
  await page.getByRole('textbox', { name: 'They measure' }).press('Enter');
  await expect.poll(share).toBeGreaterThan(40);
});
