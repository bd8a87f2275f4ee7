import path from 'node:path';
import Driver from 'better-sqlite3';
import { accessible } from '../support/accessible.ts';
import { addCopy, expect, expectSize, fill, openCopy, saved, test } from '../support/quilt.ts';

test('a version is kept under a name, gone back to, and going back is one undo away', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('button', { name: 'Versions' }).click();
  const sheet = page.getByRole('dialog', { name: 'Versions' });
  await sheet.getByRole('textbox', { name: 'Keep it as it is now, called' }).fill('Before the wide sash');
  await sheet.getByRole('button', { name: 'Keep this version' }).click();
  await expect(sheet.getByText('Before the wide sash')).toBeVisible();
  await page.keyboard.press('Escape');
  await fill(page, 'Sash, finished', '3');
  await saved(page);
  await page.getByRole('button', { name: 'Versions' }).click();
  await sheet.getByRole('button', { name: /^Go back to Before the wide sash/ }).click();
  await expectSize(page, '70 × 81 1/2″');
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expectSize(page, '79 × 92″');
});

test('safe keeping: a backup now, taken away as one file; the numbers of the server', async ({
  page,
  server,
}) => {
  await page.goto(server.address);
  await page.getByRole('link', { name: 'Safe keeping' }).click();
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByText(/, asked for/).first()).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Download' }).first().click();
  expect((await download).suggestedFilename()).toMatch(/^by-hand-.*\.sqlite$/);
  const holds = new Driver(await (await download).path(), { readonly: true });
  expect(holds.prepare('select count(*) as n from quilts').get()).toEqual({ n: expect.any(Number) });
  holds.close();
  await expect(page.getByText('Everything kept takes')).toBeVisible();
});

test('a quilt that cannot be drawn opens to be mended; one that cannot be read stays, and its file can be had', async ({
  page,
  server,
}) => {
  // Several pages, and servers that stop and start.
  test.slow();
  const [large, torn] = [await addCopy(page, server, 'Too large'), await addCopy(page, server, 'Torn')];
  const database = new Driver(path.join(server.folder, 'lattice.sqlite'));
  const plan = JSON.parse(
    (database.prepare('select plan from quilts where id = ?').get(large) as { plan: string }).plan,
  ) as { grid: object };
  plan.grid = { across: 60, down: 6 };
  const write = database.prepare('update quilts set plan = ?, card = null where id = ?');
  write.run(JSON.stringify(plan), large);
  write.run('{"title":"Torn","blo', torn);
  database.close();

  await page.goto(`${server.address}quilts/${large}/setting`);
  await expect(page.getByText('60 blocks across cannot be laid out: choose 1 to 50.')).toBeVisible();
  await accessible(page);
  await page.getByRole('textbox').first().fill('5');
  await page.getByRole('textbox').first().press('Enter');
  await page.getByRole('button', { name: 'Keep it and open' }).click();
  await expectSize(page, '70 × 81 1/2″');

  await page.goto(server.address);
  await expect(page.getByRole('link', { name: 'Torn' })).toBeVisible();
  await page.getByRole('link', { name: 'Torn' }).click();
  await expect(page.getByText('What was kept of this quilt cannot be read any more')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Download its file' }).click();
  expect((await download).suggestedFilename()).toBe('quilt.plan.json');
});
