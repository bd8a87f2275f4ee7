import type { Page } from '@playwright/test';
import { accessible } from '../support/accessible.ts';
import { choose, expect, fill, openCopy, plain, test } from '../support/quilt.ts';

const toSew = async (page: Page) => {
  await page.getByRole('link', { name: 'Sew', exact: true }).click();
  await expect(page.getByRole('link', { name: 'At the machine' })).toBeVisible();
};
const hand = (page: Page) => plain(page.getByRole('heading', { level: 1 }));
const bar = (page: Page) => plain(page.getByText(/seam \d+ of/));
/** One act on, by a key. */
const on = async (page: Page, key = 'PageDown') => {
  const before = (await hand(page)) + (await bar(page));
  await page.keyboard.press(key);
  await expect.poll(async () => (await hand(page)) + (await bar(page))).not.toBe(before);
};

test('at the machine: the place is kept through reload at every act of a step, and heard in another tab', async ({
  page,
  server,
  context,
}) => {
  await openCopy(page, server, 'Scrap-swap throw');
  await toSew(page);
  await page.getByRole('link', { name: 'At the machine' }).click();
  await expect.poll(() => hand(page)).toBe('Row 1: add block 2');
  for (let i = 0; i < 6; i++) {
    await on(page, i % 2 ? 'Space' : 'ArrowRight');
    const [title, count] = [await hand(page), await bar(page)];
    await page.reload();
    await expect.poll(() => hand(page)).toBe(title);
    expect(await bar(page)).toBe(count);
  }
  await accessible(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect.poll(() => hand(other)).toBe('Row 7: add block 2');
});

test('after every step, killed and opened again, the work stands where it stood', async ({
  page,
  server,
  context,
}) => {
  await openCopy(page, server, 'Cot quilt for the corner house');
  await toSew(page);
  const url = page.url();
  const steps = await page.getByRole('list', { name: 'Steps' }).getByRole('listitem').count();
  expect(steps).toBeGreaterThan(5);
  let at = page;
  for (let step = 0; step < steps; step++) {
    const before = await plain(at.getByText(/^Next:/));
    await at.getByRole('button', { name: /^(All of this is done|Done)$/ }).click();
    await expect.poll(() => plain(at.getByText(/^(Next:|All is sewn)/))).not.toBe(before);
    const after = await plain(at.getByText(/^(Next:|All is sewn)/));
    await at.close({ runBeforeUnload: false });
    at = await context.newPage();
    await at.goto(url);
    await expect.poll(() => plain(at.getByText(/^(Next:|All is sewn)/))).toBe(after);
  }
  await expect(at.getByText(/^All is sewn/)).toBeVisible();
});

test('cut off from the server the sewing goes on, and nothing is lost', async ({ page, server, context }) => {
  await openCopy(page, server, 'Scrap-swap throw');
  await toSew(page);
  await page.getByRole('link', { name: 'At the machine' }).click();
  await expect.poll(() => hand(page)).toBe('Row 1: add block 2');
  await context.setOffline(true);
  for (let i = 0; i < 3; i++) await on(page);
  await expect.poll(() => hand(page)).toBe('Row 4: add block 2');
  await context.setOffline(false);
  await page.reload();
  await expect.poll(() => hand(page)).toBe('Row 4: add block 2');
});

test('lost: three questions, and pointing at the drawing, find the place again', async ({ page, server }) => {
  await openCopy(page, server);
  await toSew(page);
  await page.getByRole('link', { name: 'At the machine' }).click();
  await page.getByRole('button', { name: 'I have lost my place' }).click();
  await choose(page, /The step/, /Web the rows/);
  await choose(page, /The row/, 'Row 4');
  await accessible(page);
  await page.getByRole('button', { name: 'This is my place' }).click();
  await expect.poll(() => hand(page)).toBe('Row 4: add block 2');
  await page.getByRole('button', { name: 'I have lost my place' }).click();
  await page
    .getByRole('dialog')
    .locator('path', { has: page.locator('title', { hasText: /^block 3$/ }) })
    .nth(1)
    .click({ force: true });
  await page.getByRole('button', { name: 'This is my place' }).click();
  await expect.poll(() => hand(page)).toBe('Row 3: add block 3');
});

test('ways, pressing, measuring, paper; on a phone and in the evening', async ({ page, server }) => {
  await openCopy(page, server);
  await toSew(page);
  await expect(page.getByText('All 120 crossings nest.')).toBeVisible();
  await accessible(page);
  await page.getByRole('tab', { name: 'Ways' }).click();
  await page
    .getByRole('radio', { name: /In rows/ })
    .locator('xpath=ancestor::label')
    .click();
  await expect(page.getByRole('heading', { name: /In rows: 0 of 150 seams sewn/ })).toBeVisible();
  await choose(page, /Press it/, 'open');
  await expect(page.getByText('119 of 120 crossings nest.')).toBeVisible();
  await accessible(page);
  await page.getByRole('tab', { name: 'Measure' }).click();
  await page.getByRole('button', { name: 'The centre' }).click();
  await expect(page.getByText(/It lies true/)).toBeHidden();
  await fill(page, 'Width across the middle', '59 1/2');
  await expect(page.getByText(/One width says how long top and bottom are/)).toBeVisible();
  await page.getByRole('tab', { name: 'Steps' }).click();
  await page.getByRole('button', { name: 'All of this is done' }).click();
  await expect(page.getByRole('heading', { name: /130 of 150 seams sewn/ })).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('link', { name: 'At the machine' }).click();
  await expect(page.getByRole('button', { name: /^Sewn\. Next/ })).toBeVisible();
  await accessible(page);
  await page.getByRole('link', { name: 'The steps' }).click();
  await page.getByRole('link', { name: 'The steps, to print' }).click();
  await expect(page.getByRole('region').first()).toBeVisible();
  await accessible(page);
});
