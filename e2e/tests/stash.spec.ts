import { readFileSync } from 'node:fs';
import { accessible } from '../support/accessible.ts';
import { choose, expect, field, fill, openCopy, plain, test } from '../support/quilt.ts';

test('cloth is put in, looked up, taken in from a table and given out as one', async ({ page, server }) => {
  await page.goto(server.address);
  await page.getByRole('link', { name: 'Stash' }).click();
  await expect(page.getByRole('heading', { name: 'Stash' })).toBeVisible();
  await page.getByRole('button', { name: 'Put cloth in' }).click();
  await field(page, 'Name').fill('Moss quarters');
  await page.getByRole('button', { name: 'More How many' }).or(field(page, 'How many')).first().click();
  await accessible(page);
  await page.getByRole('button', { name: 'Put it in' }).click();
  const pieces = page.getByRole('list', { name: 'Cloth in the stash' });
  await expect(pieces).toContainText('Moss quarters');
  await expect.poll(() => plain(pieces)).toContain('Fat quarter, 21 × 17 1/2″');
  await page.locator('input[type=file]').setInputFiles({
    name: 'stash.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('name,width,length,count\nSlate strip,40,2.5,3\nFern,,9\n'),
  });
  await expect(pieces).toContainText('Slate strip');
  await expect(page.getByRole('alert')).toContainText('Line 3: its width or length cannot be read.');
  await page.getByRole('searchbox', { name: 'Look for cloth' }).fill('slate strip');
  await expect(pieces.getByRole('listitem')).toHaveCount(1);
  await accessible(page);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As a table' }).click(),
  ]);
  expect(readFileSync((await file.path())!, 'utf8')).toContain('Slate strip,piece,40,2 1/2,3');
});

test('set aside for a cloth it is cut first, and less is bought', async ({ page, server }) => {
  const kept = await page.request.post(`${server.address}api/log`, {
    data: {
      entries: [
        {
          id: 'oatmeal-quarters-put-in',
          quilt: 'stash',
          at: '2026-11-26T09:00:00Z',
          kind: 'stash-put',
          body: {
            id: 'oatmeal-quarters', name: 'Oatmeal quarters', colour: '#efe3cb', kind: 'fat-quarter', unit: 'in', width: 21,
            length: 17.5, count: 2, direction: 'none', alike: false, washed: true, price: null, from: '',
          }, // prettier-ignore
        },
      ],
    },
  });
  expect(await kept.json()).toEqual({ added: 1 });
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Cut', exact: true }).click();
  await expect(page.getByTestId('cut-so-far')).toBeVisible();
  await page.getByRole('tab', { name: 'Buy', exact: true }).click();
  await page.getByRole('button', { name: 'From the stash…' }).first().click();
  await page.getByRole('button', { name: 'Set aside Oatmeal quarters' }).first().click();
  // Ten of 2 × 10 1/2″ side by side, and of the 21 × 7″ above them three rows of two.
  await expect(page.getByText(/The stash gives 16 sashes; then ask for/)).toBeVisible();
  await page.getByRole('tab', { name: 'At the table', exact: true }).click();
  await expect(page.getByText('From Oatmeal quarters, from the stash, 21 × 17 1/2″.')).toBeVisible();
  await page.getByRole('button', { name: /space/ }).click();
  await expect.poll(() => plain(page.getByTestId('cut-so-far'))).toContain('Sashes 16 of 71');
  await page.goto(`${server.address}stash`);
  await expect(page.getByRole('list', { name: 'Cloth in the stash' })).toContainText('1 piece free');
});

test('a photo gives a cloth its colour; what the stash can make is drawn and taken at a press', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}stash`);
  await page.getByRole('button', { name: 'Put cloth in' }).click();
  await field(page, 'Name').fill('Marigold');
  // Four dots of one colour.
  const png =
    'iVBORw0KGgoAAAANSUhEUgAAAAIAAAACCAIAAAD91JpzAAAAEklEQVR4nGN4sEDhwQIFBggFADCOBoHofOgTAAAAAElFTkSuQmCC';
  await page
    .locator('input[type=file][accept="image/*"]')
    .setInputFiles({ name: 'marigold.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
  await expect(page.getByRole('img', { name: 'Photo of Marigold' })).toBeVisible();
  await choose(page, /Fat quarter.*Kind/, 'Yardage');
  await fill(page, 'Along the selvage', '3 yd');
  await accessible(page);
  await page.getByRole('button', { name: 'Put it in' }).click();
  await expect(page.getByRole('list', { name: 'Cloth in the stash' })).toContainText('Marigold');

  await openCopy(page, server);
  await page.getByRole('link', { name: 'Cut', exact: true }).click();
  await expect(page.getByTestId('cut-so-far')).toBeVisible();
  await page.getByRole('tab', { name: 'Buy', exact: true }).click();
  await page.getByRole('button', { name: 'See what' }).click();
  const ways = page.getByRole('list', { name: 'What the stash can make' });
  await expect(ways.getByText(/from Marigold/).first()).toBeVisible();
  await accessible(page);
  await ways.getByRole('button', { name: 'Use this way: As it is planned' }).click();
  await expect(page.getByRole('list', { name: /^Set aside for/ }).first()).toBeVisible();
  await expect(page.getByText('nothing need be bought').first()).toBeVisible();
});
