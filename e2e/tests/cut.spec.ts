import type { Page } from '@playwright/test';
import { accessible } from '../support/accessible.ts';
import { expect, openCopy, plain, test } from '../support/quilt.ts';

const toCut = async (page: Page) => {
  await page.getByRole('link', { name: 'Cut', exact: true }).click();
  await expect(page.getByRole('heading', { name: /Oatmeal linen-look, folded once/ })).toBeVisible();
};
const hand = (page: Page) => page.getByRole('heading', { level: 2 });
const soFar = (page: Page) => plain(page.getByTestId('cut-so-far'));
const done = (page: Page, name: RegExp | string = /space/) => page.getByRole('button', { name }).click();
/** Does what is in hand until so much is said to be cut. */
const cutUntil = async (page: Page, says: string) => {
  for (let i = 0; i < 40 && !(await soFar(page)).includes(says); i++) {
    const before = await plain(page.getByText(/\d on this cloth$/));
    await done(page);
    await expect.poll(() => plain(page.getByText(/\d on this cloth$/))).not.toBe(before);
  }
  expect(await soFar(page)).toContain(says);
};

test('one act at a time: ticked by key and by tap, taken back, kept over a reload and heard in another tab', async ({
  page,
  server,
  context,
}) => {
  await openCopy(page, server);
  await toCut(page);
  await expect(hand(page)).toHaveText('Square the end');
  await page.keyboard.press('Space');
  await expect.poll(() => plain(hand(page))).toBe('10 1/2″ strip');
  await expect(page.getByText('Lay the 10 1/2 line on the cut end, a level line on the fold.')).toBeVisible();
  // 20 of 2" from each of three strips.
  await cutUntil(page, 'Sashes 60 of 71');
  await page.reload();
  await expect.poll(() => soFar(page)).toContain('Sashes 60 of 71');
  await done(page, 'Not cut after all');
  await expect.poll(() => soFar(page)).toContain('Sashes 0 of 71');
  await expect.poll(() => plain(hand(page))).toBe('Every 2″');
  await expect(page.getByText(/60 times across|20 times across/)).toContainText('10 cuts through 2 layers');
  await done(page);
  await expect.poll(() => soFar(page)).toContain('Sashes 60 of 71');

  const other = await context.newPage();
  await other.goto(page.url());
  await expect.poll(() => soFar(other)).toContain('Sashes 60 of 71');
  await cutUntil(other, 'Sashes 71 of 71');
  await expect(hand(other)).toHaveText('All cut');
  await page.bringToFront();
  await page.evaluate(() => globalThis.dispatchEvent(new Event('focus')));
  await expect.poll(() => soFar(page)).toContain('Sashes 71 of 71');
});

test('a changed quilt: what is cut stays cut, what no longer fits is spare, what still fits is never asked for again', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toCut(page);
  await cutUntil(page, 'Sashes 60 of 71');
  const cutUrl = page.url();
  // A border's width is of no matter to the sashes.
  await page.getByRole('link', { name: 'Borders' }).click();
  const width = page.getByRole('textbox', { name: /^Border 1/ }).first();
  await width.fill('2');
  await width.press('Enter');
  await page.getByRole('link', { name: 'Cut', exact: true }).click();
  await expect.poll(() => soFar(page)).toContain('Sashes 60 of 71');
  expect(page.url()).toBe(cutUrl);
  await page.getByRole('link', { name: 'Setting' }).click();
  await page.getByRole('slider', { name: 'Sash width' }).first().focus();
  await page.keyboard.press('ArrowRight');
  await page.getByRole('link', { name: 'Cut', exact: true }).click();
  await expect.poll(() => soFar(page)).toContain('Sashes 0 of 71');
  await expect(page.getByText(/Spare: 60 sashes of 2 × 10 1\/2″/)).toBeVisible();
  await expect(page.getByText(/planned anew from what is left/)).toBeVisible();
});

test('what went wrong has a short way out', async ({ page, server }) => {
  await openCopy(page, server);
  await toCut(page);
  await cutUntil(page, 'Sashes 71 of 71');
  await page.getByRole('button', { name: /Something went wrong/ }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet).toBeVisible();
  await accessible(page);
  await sheet.getByRole('button', { name: 'Cut them again' }).click();
  await expect.poll(() => soFar(page)).toContain('Sashes 70 of 71');
  await cutUntil(page, 'Sashes 71 of 71');
  // Cut a quarter inch too wide: used as they are, none is asked for again.
  await page.getByRole('button', { name: /Something went wrong/ }).click();
  await sheet.getByRole('button', { name: 'Make it with 1 3/4″ sashes' }).click();
  await expect.poll(() => soFar(page)).toContain('Sashes 71 of 71');
  await expect(hand(page)).toHaveText('All cut');
});

test('simple beside thrifty, a longer look that can be stopped, the cloth open and in the left hand', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toCut(page);
  const ways = page.getByRole('radiogroup', { name: 'Which way to cut it' });
  await expect(ways.getByRole('radio')).toHaveCount(2);
  await expect(page.getByText(/Nothing takes less than/)).toBeVisible();
  await ways.getByText('Simple').click();
  await expect(ways.getByRole('radio', { name: /Simple/ })).toBeChecked();
  await ways.getByText('Thrifty').click();
  await page.getByRole('tab', { name: /Fern backing/ }).click();
  await expect(page.getByRole('heading', { name: /Fern backing, folded once/ })).toBeVisible();
  await page.getByRole('tab', { name: /Marigold/ }).click();
  const look = page.getByRole('button', { name: 'Look for a shorter way' });
  if (await look.isVisible()) {
    await look.click();
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(look).toBeVisible();
  }
  await page.getByRole('radio', { name: 'Open' }).click();
  await expect(page.getByRole('heading', { name: /Marigold, laid open/ })).toBeVisible();
  await page.getByText('Blade in the left hand').click();
  await page.reload();
  await expect(page.getByRole('heading', { name: /Marigold, laid open/ })).toBeVisible();
  await expect(page.getByRole('switch', { name: 'Blade in the left hand' })).toBeChecked();
});

test('cut off from the server nothing is lost', async ({ page, server, context }) => {
  await openCopy(page, server);
  await toCut(page);
  await context.setOffline(true);
  await cutUntil(page, 'Sashes 60 of 71');
  await context.setOffline(false);
  await page.evaluate(() => globalThis.dispatchEvent(new Event('online')));
  await expect
    .poll(async () => {
      const log = (await (await page.request.get(`${server.address}api/log?after=0`)).json()) as {
        entries: { kind: string }[];
      };
      return log.entries.filter(({ kind }) => kind === 'step-cut').length;
    })
    .toBeGreaterThanOrEqual(5);
});

test('the list as it is said, ticked in the shop; the shop asked, a substitute taken, an order held and let go', async ({
  page,
  server,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openCopy(page, server);
  await toCut(page);
  await page.getByRole('tab', { name: 'Buy', exact: true }).click();
  const list = page.getByTestId('spoken-list');
  await expect(list).toContainText('a yard and an eighth of the oatmeal linen-look');
  await page.getByRole('button', { name: 'Copy' }).click();
  await expect(page.getByText('The list is copied.')).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain(
    'A yard and an eighth of the oatmeal',
  );
  await list.getByText('a yard and an eighth of the oatmeal linen-look').click();
  const brought = page.getByRole('textbox', { name: 'Brought home, length' });
  await brought.fill('36');
  await brought.press('Enter');
  await expect(page.getByRole('alert')).toContainText('6″ too little');

  await page.getByRole('button', { name: 'Ask for the list' }).click();
  const shop = page.getByRole('list', { name: 'What the shop has' });
  await shop.getByRole('button', { name: 'Take Slate plain' }).click();
  await expect(
    page.getByTestId('shopping-list').getByRole('textbox', { name: 'Name of Slate plain' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Have it held' }).click();
  await expect(page.getByText(/Order WB-\d+: Slate plain, \d+\.\d\d, held until/)).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'Release' }).click();
  await expect(page.getByText(/Order WB-/)).toHaveCount(0);
  await page.route('**/api/shop/ask', (route) => route.abort());
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByText(/The shop does not answer. Nothing was ordered/)).toBeVisible();
});

test('only so much of a cloth: ways out, each drawn, and one taken', async ({ page, server }) => {
  await openCopy(page, server);
  await toCut(page);
  await page.getByRole('tab', { name: 'Buy', exact: true }).click();
  await page.getByRole('button', { name: 'I have only…' }).first().click();
  const sheet = page.getByRole('dialog');
  const length = sheet.getByRole('textbox', { name: 'There is' });
  await length.fill('1 yd');
  await length.press('Enter');
  const ways = sheet.getByRole('list', { name: 'Ways to make do' });
  // The mildest first: sashes alone, then with borders that keep the quilt's size.
  const narrower = ways.getByRole('listitem').filter({ hasText: /Sashes of \d.* instead of 1 1\/2/ });
  await expect(narrower.first()).toBeVisible();
  await accessible(page);
  await narrower.first().getByRole('button', { name: 'Use this way' }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByTestId('spoken-list')).toContainText('a yard of the oatmeal linen-look');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('spoken-list')).toContainText('a yard and an eighth of the oatmeal');
});

test('slips for the piles, and where the cloth goes', async ({ page, server }) => {
  await openCopy(page, server);
  await toCut(page);
  await page.getByRole('tab', { name: 'Buy', exact: true }).click();
  await expect(page.getByRole('img', { name: /Cloth by use, in square yards/ })).toBeVisible();
  // 71 sashes of 2 × 10 1/2" are 1491 square inches, 1.15 square yards.
  await expect(page.getByText(/Oatmeal linen-look: sashes 1\.15, left over/)).toBeVisible();
  await page.getByRole('tab', { name: 'At the table', exact: true }).click();
  await page.getByRole('link', { name: 'Slips for the stacks of pieces, to print' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: '71 sashes' })).toContainText('A1');
  await accessible(page);
  await page.getByRole('link', { name: 'Back to the table' }).click();
  await page.getByRole('link', { name: 'The cutting plan, to print' }).click();
  const sheet = page.getByRole('region', { name: 'Oatmeal linen-look' });
  await expect(sheet.getByRole('listitem').first()).toContainText('Square the end.');
  await expect(sheet).toContainText('39 1/2″ of 40″ usable');
  await accessible(page);
});
