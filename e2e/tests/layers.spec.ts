import { choose, expect, field, fill, openCopy, plain, saved, tab, test } from '../support/quilt.ts';

test('backing: every way drawn and compared, the overhang dragged on the tape, the choice bought', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Layers' }).click();
  const ways = page.getByRole('radiogroup', { name: 'Way of backing' });
  // Two panels of 89 1/2" are 5 yd at 9.50; one width of the wide cloth is 2 1/4 yd at 24.00.
  await expect(ways.getByRole('radio').first()).toBeChecked();
  await expect
    .poll(() => plain(page.getByTestId('backing-because')))
    .toMatch(/^It costs least without a stripe: 47\.50, and the next 54\.00\.$/);
  await expect(page.getByTestId('backing-seams').first().locator('path').first()).toHaveAttribute(
    'd',
    /^M39/,
  );
  await ways.getByText('Wide cloth, one width, no seam').click();
  await expect(page.getByTestId('backing-seams').first().locator('path').first()).toHaveAttribute('d', '');
  await tab(page, 'Buy');
  await expect(page.getByTestId('shopping-list')).toContainText('2 1/4 yd');
  await tab(page, 'Choose');

  const overhang = page.getByRole('slider', { name: 'Overhang width' }).first();
  await overhang.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft');
  await expect(field(page, 'Overhang on every side')).toHaveValue('3 1/2″');
  await choose(page, /Its print/, 'One way up');
  await expect(ways.getByText(/level seams/)).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(field(page, 'Overhang on every side')).toHaveValue('3 1/2″');
});

test('the long-arm service: refused with its reasons, put right, taken, booked, and told when the quilt changes', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Layers' }).click();
  await page.getByRole('button', { name: 'Measure it' }).click();
  await fill(page, 'Across', '75');
  await fill(page, 'Down', '89 1/2');
  await fill(page, 'Top left to bottom right', '118 3/4');
  await fill(page, 'Top right to bottom left', '116');
  await expect(page.getByText(/it is not square/)).toBeVisible();
  await choose(page, /Quilted/, 'Send it to a long-arm service');
  await page.getByRole('button', { name: 'Ask the long-arm service' }).click();
  const answer = page.getByTestId('long-arm');
  await expect(answer).toContainText('It cannot take this job');
  await expect.poll(() => plain(answer)).toMatch(/backing overhangs by 2 1\/2″; the clamps need 4″/);
  await expect.poll(() => plain(answer)).toMatch(/not square/);

  await page.getByRole('button', { name: 'Forget what the backing measured' }).click();
  await page.getByRole('button', { name: 'Ask the long-arm service' }).click();
  await expect(answer).toContainText('It takes this job');
  await expect(answer).toContainText('5705 square inches × 0.025 = 142.63');
  await page.getByRole('button', { name: 'Book it' }).click();
  await expect(page.getByTestId('booking')).toContainText(/Booked as LA-10\d/);
  await saved(page);
  await page.reload();
  await expect(page.getByTestId('booking')).toContainText('Price142.63');

  await page.getByRole('link', { name: 'Setting' }).click();
  await fill(page, 'Border 2, finished', '6');
  await page.getByRole('link', { name: 'Layers' }).click();
  await expect(page.getByTestId('booking')).toContainText(
    /It was booked as 70 × 81 1\/2″ and comes to 73 × 84 1\/2″ now/,
  );
  await page.getByRole('button', { name: 'Quilt it myself instead' }).click();
  await expect(page.getByTestId('marking')).toContainText('Safety pins to baste with');
});

test('without a server the job is not sent, and that is said', async ({ page, server }) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Layers' }).click();
  await choose(page, /Quilted/, 'Send it to a long-arm service');
  await saved(page);
  await page.route('**/api/long-arm/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Ask the long-arm service' }).click();
  await expect(page.getByTestId('long-arm')).toContainText('The server cannot be reached');
  await page.unroute('**/api/long-arm/**');
  await page.getByRole('button', { name: 'Ask the long-arm service' }).click();
  await expect(page.getByTestId('long-arm')).toContainText('It takes this job');
});

test('batting: pieces that are there come first, joined where they have to be', async ({ page, server }) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Layers' }).click();
  const ways = page.getByRole('radiogroup', { name: 'Where the batting comes from' });
  await expect(ways.getByText('Package 81 × 96″')).toBeVisible();
  await page.getByRole('button', { name: 'From the stash…' }).click();
  for (const width of ['45', '40']) {
    await page.getByRole('button', { name: 'A piece that is not in the stash yet' }).click();
    await fill(page, 'Usable, across', width);
    await fill(page, 'Along the selvage', '96');
    await page.getByRole('button', { name: 'Put it in' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await expect
    .poll(() => plain(ways.locator('label').first()))
    .toContain('What is there: 45 × 96″ and 40 × 96″');
  await page.getByRole('button', { name: 'Give back Batting' }).first().click();
  await expect(ways.getByText('What is there')).toHaveCount(0);
});
