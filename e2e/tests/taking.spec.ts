import { readFile } from 'node:fs/promises';
import { unzipSync } from 'fflate';
import { accessible } from '../support/accessible.ts';
import { expect, openCopy, test } from '../support/quilt.ts';
import type { Page } from '@playwright/test';

/** Presses something of the sheet and answers the file that comes of it. */
async function took(page: Page, name: RegExp): Promise<{ name: string; bytes: Buffer }> {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('dialog').getByRole('button', { name }).click(),
  ]);
  return { name: file.suggestedFilename(), bytes: await readFile(await file.path()) };
}
const open = async (page: Page) => {
  await page.getByRole('button', { name: 'Take it with you' }).click();
  await expect(page.getByRole('dialog')).toContainText('To print');
};

test('taken along: the booklet, a picture, a table, a drawing for machines, one page, the whole quilt', async ({
  page,
  server,
}) => {
  test.slow();
  await openCopy(page, server);
  await open(page);
  await accessible(page);
  const booklet = await took(page, /^The booklet/);
  expect(booklet.name).toMatch(/^Potting-shed raffle quilt .*\.pdf$/);
  expect(booklet.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  expect(booklet.bytes.toString('latin1')).toMatch(/[A-Z]{6}\+Archivo/);
  await expect(page.getByRole('dialog').getByRole('status')).toContainText(
    'The booklet: it lies with your downloads.',
  );
  const picture = await took(page, /^A picture/);
  // Width and height stand after the first sixteen bytes (PNG specification).
  expect(Math.max(picture.bytes.readUInt32BE(16), picture.bytes.readUInt32BE(20))).toBe(4096);
  const table = await took(page, /^The shopping list/);
  expect(table.bytes.toString('utf8')).toContain('Oatmeal linen-look');
  expect((await took(page, /^Cut pieces, for machines/)).bytes.toString('latin1')).toContain('$INSUNITS');
  expect((await took(page, /^One page to share/)).bytes.toString('utf8')).toMatch(/^<!doctype html>/);
  const whole = unzipSync(new Uint8Array((await took(page, /^The whole quilt/)).bytes));
  expect(Object.keys(whole)).toEqual(expect.arrayContaining(['quilt.plan.json', 'log.json', 'index.html']));
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('the whole quilt comes back in on the shelf, dropped there; a file that is none says why', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await open(page);
  const whole = await took(page, /^The whole quilt/);
  const drop = async (name: string, bytes: Buffer) => {
    const transfer = await page.evaluateHandle(
      ([file, content]) => {
        const data = new DataTransfer();
        data.items.add(new File([Uint8Array.from(atob(content!), (sign) => sign.charCodeAt(0))], file!));
        return data;
      },
      [name, bytes.toString('base64')] as const,
    );
    await page.dispatchEvent('body', 'drop', { dataTransfer: transfer });
  };
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^The blocks/ })
    .waitFor();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Blocks' }).click();
  await expect(page.getByRole('slider', { name: 'Cut all to' })).toBeVisible();
  // A table dropped on the blocks is read as one, however a spreadsheet wrote its letters.
  await drop('blocks.csv', Buffer.from('\uFEFFname;width;height\r\nDrüben;10,5;10 1/2\r\n', 'utf16le'));
  await page.getByRole('dialog').getByRole('button', { name: 'Add them to the pile' }).click();
  await expect(page.getByText(/of 31 blocks/).first()).toBeVisible();
  await page.goto(server.address);
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await drop('bad.zip', Buffer.from('no zip'));
  await expect(page.getByRole('alert')).toContainText('bad.zip was not taken. This file is not a zip');
  // A large one says how far it has come, and can be stopped. Its answer is held back here.
  let letGo = () => undefined as void;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route('**/api/parcels', async (route) => {
    if (route.request().method() === 'GET') return route.fulfill({ json: { arriving: { done: 3, of: 9 } } });
    await held;
    await route.abort().catch(() => undefined);
  });
  await drop('large.zip', whole.bytes);
  const how = page.getByRole('status').filter({ hasText: '3 of 9 quilts are on the shelf…' });
  await expect(how).toBeVisible();
  await how.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('alert')).toContainText('large.zip was stopped');
  await expect(how).toHaveCount(0);
  letGo();
  await page.unroute('**/api/parcels');
  await drop('whole.zip', whole.bytes);
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Quilt’s name' })).toHaveValue(/^Potting-shed raffle quilt/);
});

test('colours of a palette come onto the cloths, and one undo takes them back', async ({ page, server }) => {
  await openCopy(page, server);
  await open(page);
  const palette = 'GIMP Palette\nName: Hedge\n#\n 10  20  30\tMarigold\n200 210 220\tFirst of the others\n';
  await page
    .getByRole('dialog')
    .locator('input[type=file]')
    .setInputFiles({ name: 'hedge.gpl', mimeType: 'text/plain', buffer: Buffer.from(palette) });
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('2 of 7 cloths have a new colour');
  const out = await took(page, /^The colours/);
  expect(out.bytes.toString('utf8')).toMatch(/ 10 {2}20 {2}30\tMarigold/);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await open(page);
  expect((await took(page, /^The colours/)).bytes.toString('utf8')).not.toMatch(/ 10 {2}20 {2}30\tMarigold/);
});
