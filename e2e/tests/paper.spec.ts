import { writeFileSync } from 'node:fs';
import { expect, fill, openCopy, tab, test } from '../support/quilt.ts';

/** Pages of a PDF, by the objects it is made of (ISO 32000: each page is one). */
const pagesOf = (pdf: Buffer): number => pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
const PAPERS = ['A4', 'Letter'] as const;

test('a summary of one page on either paper, with the quilt, its figures and boxes to tick', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'On paper' }).click();
  await expect(page.getByRole('heading', { name: 'Ask the shop for' })).toBeVisible();
  for (const format of PAPERS) {
    const pdf = await page.pdf({ format });
    if (process.env['LATTICE_LOOK'])
      writeFileSync(`${process.env['LATTICE_LOOK']}/summary-${format}.pdf`, pdf);
    expect(pagesOf(pdf)).toBe(1);
  }
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByText(/70 × 81 1\/2″ finished, in inches/)).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Cornerstones' })).toContainText('42 at 2 × 2″');
  await page.emulateMedia({ media: 'screen' });
  await page.getByRole('link', { name: 'Shopping list' }).click();
  await expect(page.getByRole('heading', { name: 'Pieces to cut' })).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Ask the shop for' })).toBeVisible();
});

test('every stage prints what it hands on: the quilt and its lists, nothing to press', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await fill(page, 'Sash, finished', '2');
  await tab(page, 'Buy');
  for (const [stage, says] of [
    ['Setting', 'Pieces to cut'],
    ['Blocks', 'Wheelbarrow'],
    ['Wall', 'Rows and places'],
    ['Borders', 'Borders, from the centre out'],
    ['Layers', 'Ask the shop for'],
    ['Edge', 'Binding'],
    ['Cut', 'Ask the shop for'],
  ] as const) {
    await page.getByRole('link', { name: stage, exact: true }).click();
    await expect(page).toHaveURL(new RegExp(stage.toLowerCase()));
    const pdf = await page.pdf({ format: 'A4' });
    expect(pagesOf(pdf)).toBeLessThanOrEqual(2);
    // As the browser has it while it prints.
    await page.emulateMedia({ media: 'print' });
    await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
    await expect(page.getByText(says).filter({ visible: true }).first()).toBeVisible();
    await expect(page.getByRole('heading', { level: 1 }).filter({ visible: true })).toBeVisible();
    expect(await page.locator('button:visible, input:visible, [role=tab]:visible').count()).toBe(0);
    await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
    await page.emulateMedia({ media: 'screen' });
  }
});

test('the cutting plan and the sewing steps have the quilt on their paper too', async ({ page, server }) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'On paper' }).click();
  for (const [name, what] of [
    ['Cutting plan', /^Cutting plan · /],
    ['Sewing steps', /^Sewing steps · /],
  ] as const) {
    await page.getByRole('link', { name }).click();
    await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
    await expect(page.getByText(what)).toBeHidden();
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByText(what)).toBeVisible();
    await expect(page.getByText(/70 × 81 1\/2″ finished, in inches/)).toBeVisible();
    await expect(page.getByRole('heading', { level: 1 }).filter({ visible: true })).toHaveCount(1);
    await page.emulateMedia({ media: 'screen' });
    await page.goBack();
  }
});
