import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { accessible } from '../support/accessible.ts';
import {
  expect,
  expectSize,
  field,
  fill,
  openCopy,
  plain,
  saved,
  size,
  tab,
  test,
} from '../support/quilt.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'lattice-mishaps-'));
const file = (name: string, text: string) => {
  writeFileSync(path.join(folder, name), text);
  return path.join(folder, name);
};

test('a length that cannot be is refused beside its field; the last good drawing stays', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  for (const [typed, message] of [
    ['twelve', '“twelve” is not a length.'],
    ['', 'A length is missing here.'],
    ['0', 'A sash of 0″ cannot be sewn'],
    ['-1', 'A sash of -1″ cannot be sewn'],
    ['11', 'A sash of 11″ is wider than the block, which finishes 10″.'],
    ['99999', 'wider than the block'],
  ] as const) {
    await fill(page, 'Sash, finished', typed);
    await expect(page.getByText(message)).toBeVisible();
    await expect(field(page, 'Sash, finished')).toHaveAttribute('aria-invalid', 'true');
    await expectSize(page, '70 × 81 1/2″');
  }
  await fill(page, 'Sash, finished', '5.08 cm');
  await expect(field(page, 'Sash, finished')).toHaveValue('2″');
  await expectSize(page, '73 × 85″');
  await fill(page, 'Blocks across', '0');
  await expect(page.getByText('0 blocks across cannot be laid out: choose 1 to 50.')).toBeVisible();
  await expectSize(page, '73 × 85″');
});

test('a setting the blocks cannot take says why and stays as it was', async ({ page, server }) => {
  await openCopy(page, server);
  await fill(page, 'Block height, finished', '12');
  await page.getByText('On point', { exact: true }).click();
  await expect(page.getByText(/Only square blocks can stand on point/)).toBeVisible();
  await expect(page.getByRole('radio', { name: /Sashed/ })).toBeChecked();
});

test('tables of blocks with faults: said line by line, good ones kept, nothing taken unasked', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  const choose = async (name: string, text: string) => {
    await page.setInputFiles('input[type=file]', file(name, text));
    return page.getByRole('dialog');
  };
  await expect(await choose('none.csv', 'name,size\nA,10')).toContainText(
    'There is no column headed width and none headed height',
  );
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(await choose('many.csv', `width,height\n${'10.5,10.5\n'.repeat(10_000)}`)).toContainText(
    'lists 10,000 blocks',
  );
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  const mixed = await choose(
    'mixed.csv',
    '\uFEFFname,width,height\n\nA,10 1/2,10 1/2\nB,26.67 cm,10.5\nC,ten,10.5\nD,26.7,26.7\n',
  );
  await expect(mixed).toContainText('2 blocks understood');
  await expect(mixed).toContainText('Line 5 (C), width: “ten” is not a length.');
  await expect(mixed).toContainText('looks like centimetres among inches');
  await page.getByRole('button', { name: 'Leave the pile as it is' }).click();
  await expect(page.getByTestId('pile-summary')).toContainText('30 blocks');
});

test('two tabs: what each changed is put together; what both changed is chosen, and nothing is lost', async ({
  page,
  server,
  context,
}) => {
  // Several pages, and servers that stop and start.
  test.slow();
  await openCopy(page, server);
  const other = await context.newPage();
  await other.goto(page.url());
  await expectSize(other, '70 × 81 1/2″');
  await fill(page, 'Sash, finished', '2');
  await saved(page);
  // Another field: both changes are in it.
  await fill(other, 'Blocks across', '4');
  await expect(other.getByText(/^Put together with what was changed elsewhere \(.+\)\.$/)).toBeVisible();
  await expectSize(other, '61 × 85″');
  await saved(other);

  // The same field: nothing is written over, both are shown, each with what it does.
  await fill(page, 'Sash, finished', '1');
  const sheet = page.getByRole('dialog', { name: 'Changed in two places' });
  await expect(page.getByText(/^Put together/)).toBeVisible();
  await saved(page);
  await fill(other, 'Sash, finished', '3');
  const choice = other.getByRole('dialog', { name: 'Changed in two places' });
  await expect(choice).toContainText('There: 1″');
  await expect(choice).toContainText('Here: 3″');
  await expect(sheet).toBeHidden();
  await accessible(other);
  await choice.getByRole('radio', { name: /There/ }).check({ force: true });
  await choice.getByRole('button', { name: 'Go on with these' }).click();
  await expectSize(other, '56 × 78″');
  await saved(other);
  await other.getByRole('button', { name: 'Undo' }).click();
  await expectSize(other, '66 × 92″');
  await saved(other);
  await page.reload();
  await expectSize(page, '66 × 92″');
});

test('a lost connection: said at once, kept in the browser over a reload, saved when it is back', async ({
  page,
  server,
  context,
}) => {
  await openCopy(page, server);
  await context.route('**/api/quilts/*', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await fill(page, 'Sash, finished', '2');
  await expect(
    page.getByText(/The server cannot be reached\. What you have is kept in this browser/),
  ).toBeVisible();
  await page.reload();
  await expectSize(page, '73 × 85″');
  await expect(page.getByText(/cannot be reached/)).toBeVisible();
  await context.unroute('**/api/quilts/*');
  await page.evaluate(() => dispatchEvent(new Event('online')));
  await saved(page);
});

test('a plan file goes out and comes in the same; a bad one is refused with its reason', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('button', { name: 'Take it with you' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('dialog')
      .getByRole('button', { name: /^The plan file/ })
      .click(),
  ]);
  const kept = path.join(folder, 'kept.plan.json');
  await download.saveAs(kept);
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Dapper Lattice' }).click();
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await page.setInputFiles('input[type=file]', kept);
  await expectSize(page, '70 × 81 1/2″');
  await page.getByRole('link', { name: 'Dapper Lattice' }).click();
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await page.setInputFiles('input[type=file]', file('bad.json', '{"schemaVersion": 99}'));
  await expect(page.getByRole('alert')).toContainText(
    'bad.json was not taken. This plan was made by a newer version',
  );
  await page.setInputFiles('input[type=file]', file('cut.json', '{"schemaVersion": 1, '));
  await expect(page.getByRole('alert')).toContainText(
    'cut.json was not taken. This file is not a quilt plan: it cannot be read as JSON',
  );
});

test('taken off the shelf and put back; duplicated', async ({ page, server }) => {
  // However many quilts other tests have put before it.
  await page.goto(`${server.address}?words=${encodeURIComponent('Cot quilt for the corner')}`);
  const cot = page.getByRole('link', { name: 'Cot quilt for the corner house', exact: true });
  await page.getByRole('button', { name: 'Duplicate Cot quilt for the corner house', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Cot quilt for the corner house, copy' })).toBeVisible();
  await page
    .getByRole('button', { name: 'Take Cot quilt for the corner house off the shelf', exact: true })
    .click();
  await expect(cot).toHaveCount(0);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(cot).toBeVisible();
});

test('an address that leads nowhere, a quilt that is not there', async ({ page, server }) => {
  await page.goto(`${server.address}nowhere/at/all`);
  await expect(page.getByRole('heading', { name: 'This page cannot be shown' })).toBeVisible();
  await page.goto(`${server.address}quilts/none/setting`);
  await expect(page.getByRole('alert')).toContainText('There is no such quilt on the shelf');
  await page.getByRole('link', { name: 'Go to the shelf' }).click();
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
});

test('cloths: a colour, a narrower width and another choice change what to buy', async ({ page, server }) => {
  await openCopy(page, server);
  await tab(page, 'Buy');
  const first = page.getByTestId('shopping-list').getByRole('listitem').first();
  await expect(first).toContainText('for sashes');
  await first.getByRole('textbox', { name: 'Usable width' }).fill('21');
  await first.getByRole('textbox', { name: 'Usable width' }).press('Enter');
  await expect(first).toContainText('36 strips of 2″');
  await tab(page, 'Pieces');
  await page.getByRole('button', { name: /Cloth of sashes/ }).click();
  await page.getByRole('option', { name: 'Marigold' }).click();
  await tab(page, 'Buy');
  await expect(first.getByRole('button', { name: 'Take Oatmeal linen-look off the list' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(first).toContainText('36 strips of 2″');
});

test('a page opened before a newer app came: a part it has not fetched is gone, it says to reload, and nothing is lost', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await fill(page, 'Sash, finished', '1 3/4');
  await saved(page);
  const shown = await plain(size(page));
  // As the server answers for a part of an older app (there is no service worker that kept it).
  await page.route(
    /\/assets\/Finder-.*\.js$/,
    (route) =>
      route.fulfill({ status: 404, contentType: 'application/json', body: '{"code":"no-such-address"}' }),
    { times: 1 },
  );
  await page.getByRole('button', { name: 'Fit to a target…' }).click();
  await expect(page.getByRole('heading', { name: 'Reload this page' })).toBeVisible();
  await page.getByRole('button', { name: 'Reload' }).click();
  await expectSize(page, shown);
  // What was asked for before lies open now.
  await expect(page.getByText('best first')).toBeVisible();
});
