import { begin, choose, expect, expectSize, field, fill, openCopy, saved, test } from '../support/quilt.ts';

test('a new quilt begun out of reach is there at once, over a reload, and on the shelf when the server is back', async ({
  page,
  server,
  context,
}) => {
  await context.route('**/api/quilts', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await begin(page, server, { line: '18 of 8" finished', setting: /^On point:/ });
  await expectSize(page, '34 × 45 1/4″');
  await fill(page, 'Blocks across the top row', '2');
  await expect(page.getByText(/The server cannot be reached/)).toBeVisible();
  const size = await page.getByTestId('finished-size').textContent();
  await page.reload();
  await expect(page.getByTestId('finished-size')).toHaveText(size!);
  await page.getByRole('link', { name: 'Dapper Lattice' }).click();
  await expect(page.getByTestId('outbox')).toContainText('1 new quilt, 1 change wait in this browser');
  // It is not on the server's shelf yet, and can be gone on with all the same.
  await page.getByRole('link', { name: 'Open “On point: 18 blocks of 8″”' }).click();
  await expect(page.getByTestId('finished-size')).toHaveText(size!);
  await page.getByRole('link', { name: 'Dapper Lattice' }).click();
  await context.unroute('**/api/quilts');
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(page.getByTestId('outbox')).toBeHidden();
  await expect(page.getByRole('link', { name: 'On point: 18 blocks of 8″', exact: true })).toBeVisible();
});

test('undo goes on after a reload', async ({ page, server }) => {
  await openCopy(page, server);
  await fill(page, 'Sash, finished', '2');
  await expectSize(page, '73 × 85″');
  await saved(page);
  await fill(page, 'Sash, finished', '1');
  await expectSize(page, '67 × 78″');
  await saved(page);
  // Undo is kept a moment after the change itself.
  await expect
    .poll(() =>
      page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const open = indexedDB.open('lattice');
            open.onsuccess = () => {
              const all = open.result.transaction('history').objectStore('history').getAll();
              all.onsuccess = () => {
                resolve((all.result[0] as { past: unknown[] } | undefined)?.past.length ?? 0);
                open.result.close();
              };
            };
          }),
      ),
    )
    .toBe(2);
  await page.reload();
  await expectSize(page, '67 × 78″');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expectSize(page, '73 × 85″');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expectSize(page, '70 × 81 1/2″');
  await page.getByRole('button', { name: 'Redo' }).click();
  await saved(page);
});

test('a picture chosen out of reach waits, over a reload too, and lands on its block', async ({
  page,
  server,
  context,
}) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Blocks', exact: true }).click();
  await context.route('**/api/pictures*', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  const picture = await page.screenshot({ clip: { x: 200, y: 300, width: 120, height: 120 } });
  await page.getByRole('button', { name: 'Open Wheelbarrow' }).click();
  const sheet = page.getByRole('dialog');
  await sheet
    .locator('input[type=file]')
    .setInputFiles({ name: 'block.png', mimeType: 'image/png', buffer: picture });
  await expect(sheet.getByRole('alert')).toContainText('The server cannot be reached');
  await page.reload();
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  await context.unroute('**/api/pictures*');
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  // The block’s sheet lies open again: its address says so.
  await expect(page.getByRole('dialog').locator('image')).toHaveAttribute('href', /^\/api\/pictures\//);
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await saved(page);
});

test('a booking outlives the plan it was made for, and a copy has none', async ({ page, server }) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Layers', exact: true }).click();
  await choose(page, /Quilted$/, /long-arm/);
  await page.getByRole('button', { name: 'Ask the long-arm service' }).click();
  await page.getByRole('button', { name: 'Book it' }).click();
  await expect(page.getByTestId('booking')).toContainText('Booked as LA-');
  await page.reload();
  await expect(page.getByTestId('booking')).toContainText('Booked as LA-');
  const name = await field(page, 'Quilt’s name').inputValue();
  await page.getByRole('link', { name: 'Dapper Lattice' }).click();
  await page.getByRole('button', { name: `Duplicate ${name}`, exact: true }).click();
  await page.getByRole('link', { name: `${name}, copy`, exact: true }).click();
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Layers' }).click();
  await expect(page.getByRole('button', { name: 'Ask the long-arm service' })).toBeVisible();
});
