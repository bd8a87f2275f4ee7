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
    ['Sew', 'Sewing steps: as a web'],
    // What was changed above has written itself down.
    ['Journal', /sash/i],
  ] as const) {
    await page.getByRole('link', { name: stage, exact: true }).click();
    await expect(page).toHaveURL(new RegExp(stage.toLowerCase()));
    // The seams are worked out beside the page; they are handed on once they are there.
    if (stage === 'Sew') await expect(page.getByText(/cornerstones to their sashes/i).first()).toBeVisible();
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

test('an answer over the counter prints as it is handed on: asked, answered and why, on one page', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}ask/binding?width=65&height=78`);
  // 2 × (65 + 78) + 10 is 296 (common practice).
  await expect(page.getByText('296″').filter({ visible: true })).toHaveCount(1);
  for (const format of PAPERS) expect(pagesOf(await page.pdf({ format }))).toBe(1);
  await page.emulateMedia({ media: 'print' });
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  await expect(page.getByRole('row', { name: /Quilt width 65″/ })).toBeVisible();
  await expect(page.getByText(/2 × \(65 \+ 78\) = 286/).filter({ visible: true })).toBeVisible();
  expect(await page.locator('button:visible, input:visible, nav:visible').count()).toBe(0);
});
