import type { Page } from '@playwright/test';
import { choose, expect, openCopy, saved, test } from '../support/quilt.ts';

const place = (page: Page, n: number) => page.locator(`[data-place="${n}"]`);
const nameAt = async (page: Page, n: number) =>
  (await place(page, n).getAttribute('aria-label'))!.replace(/^.*?: /, '').replace(/ by .*$/, '');
const middle = async (page: Page, n: number) => {
  const box = (await place(page, n).boundingBox())!;
  return [box.x + box.width / 2, box.y + box.height / 2] as const;
};
async function toWall(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Wall' }).click();
  await expect(place(page, 29)).toBeVisible();
}
async function drag(
  page: Page,
  from: readonly [number, number],
  to: readonly [number, number],
): Promise<void> {
  await page.mouse.move(...from);
  await page.mouse.down();
  await page.mouse.move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2, { steps: 4 });
  await page.mouse.move(...to, { steps: 4 });
  await page.mouse.up();
}

test('by mouse: exchange, turn, lock, park, put back, several at once; undo; still there after a reload', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toWall(page);
  const [first, last] = [await nameAt(page, 0), await nameAt(page, 29)];
  await drag(page, await middle(page, 0), await middle(page, 29));
  await expect.poll(() => nameAt(page, 29)).toBe(first);
  expect(await nameAt(page, 0)).toBe(last);

  await place(page, 5).click();
  await page.getByRole('button', { name: 'Rotate', exact: true }).click();
  await expect(place(page, 5)).toHaveAttribute('aria-label', /rotated a quarter/);
  await page.getByRole('button', { name: 'Lock' }).click();
  await expect(place(page, 5)).toHaveAttribute('aria-label', /locked/);
  const locked = await nameAt(page, 5);
  await drag(page, await middle(page, 6), await middle(page, 5));
  await expect(page.getByText(/They cannot go there/)).toBeVisible();
  expect(await nameAt(page, 5)).toBe(locked);

  // Two chosen together move together.
  const [a, b] = [await nameAt(page, 10), await nameAt(page, 11)];
  await place(page, 10).click();
  await place(page, 11).click({ modifiers: ['Shift'] });
  await expect(page.getByText('2 blocks chosen')).toBeVisible();
  await drag(page, await middle(page, 10), await middle(page, 20));
  await expect.poll(() => nameAt(page, 20)).toBe(a);
  expect(await nameAt(page, 21)).toBe(b);

  const parked = await nameAt(page, 2);
  const tray = (await page.getByRole('group', { name: 'Beside the wall' }).boundingBox())!;
  await drag(page, await middle(page, 2), [tray.x + 500, tray.y + 40]);
  await expect(place(page, 2)).toHaveAttribute('aria-label', /: empty/);
  await page.getByRole('button', { name: `${parked}, beside the wall` }).click();
  await place(page, 3).click();
  await expect.poll(() => nameAt(page, 3)).toBe(parked);
  await saved(page);
  await page.reload();
  await expect.poll(() => nameAt(page, 29)).toBe(first);
  expect(await nameAt(page, 3)).toBe(parked);
});

test('by keyboard alone: go to a block, take it up, lay it elsewhere, turn, lock, undo', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toWall(page);
  await place(page, 0).focus();
  const first = await nameAt(page, 0);
  await page.keyboard.press('Enter');
  await expect(page.getByText(new RegExp(`${first} taken up`))).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await expect(place(page, 6)).toBeFocused();
  await page.keyboard.press('Enter');
  await expect.poll(() => nameAt(page, 6)).toBe(first);
  await page.keyboard.press('r');
  await expect(place(page, 6)).toHaveAttribute('aria-label', /rotated a quarter/);
  await page.keyboard.press('l');
  await expect(place(page, 6)).toHaveAttribute('aria-label', /locked/);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(() => nameAt(page, 0)).toBe(first);
});

test('arranged by the rules: fewer clashes, several to choose from, locked blocks stay, one undo takes it back', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toWall(page);
  await expect(page.getByTestId('score')).toContainText('24 clashes');
  await page.getByRole('list', { name: 'Clashes' }).getByRole('button').first().hover();
  await place(page, 12).click();
  await page.getByRole('button', { name: 'Lock' }).click();
  const kept = await nameAt(page, 12);
  const before = await nameAt(page, 0);
  await page.getByRole('button', { name: 'Arrange for me' }).click();
  const proposals = page.getByRole('list', { name: 'Arrangements to choose from' }).getByRole('button');
  await expect(proposals).toHaveCount(3);
  await expect(page.getByTestId('score')).toContainText('Before: 24 clashes');
  await proposals.nth(1).click();
  const shown = await nameAt(page, 0);
  await page.getByRole('button', { name: 'Lay it out like this' }).click();
  await expect(page.getByTestId('score')).toContainText(/As it lies: (no clash|[1-5] clash)/);
  expect(await nameAt(page, 12)).toBe(kept);
  expect(await nameAt(page, 0)).toBe(shown);
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => nameAt(page, 0)).toBe(before);
  await expect(page.getByTestId('score')).toContainText('24 clashes');
});

test('arranging can be stopped and left', async ({ page, server }) => {
  await openCopy(page, server);
  await toWall(page);
  const before = await nameAt(page, 0);
  await page.getByRole('button', { name: 'Arrange for me' }).click();
  await page
    .getByRole('button', { name: 'Stop' })
    .or(page.getByRole('button', { name: 'Leave it as it lies' }))
    .first()
    .click();
  await page.reload();
  await expect.poll(() => nameAt(page, 0)).toBe(before);
});

test('a cloth auditioned: judged in words, seen on the wall, put back or taken', async ({ page, server }) => {
  await openCopy(page, server);
  await toWall(page);
  const verdict = page.getByTestId('contrast');
  await expect(verdict).toHaveText(/This sash disappears beside \d+ of your blocks\./);
  await page.getByRole('button', { name: 'Flowerpot red' }).click();
  await expect(verdict).not.toHaveText(/disappears/);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(verdict).toHaveText(/disappears/);
  await page.getByRole('button', { name: 'Flowerpot red' }).click();
  await page.getByRole('button', { name: 'Use this cloth' }).click();
  await expect(verdict).not.toHaveText(/disappears/);
  await saved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Flowerpot red' })).toHaveAttribute('aria-pressed', 'true');
});

test('seen by squinting and by other eyes; rows and places on the blocks; labels to print', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await toWall(page);
  await choose(page, /View/, 'Squint: values only');
  await expect(page.locator('g[filter="url(#view-squint)"]')).toHaveCount(1);
  await choose(page, /View/, 'Without green cones');
  await expect(page.locator('g[filter="url(#view-deutan)"]')).toHaveCount(1);
  await page.getByText('Row and place on every block').click();
  await expect(page.locator('text.label').filter({ hasText: '6·5' })).toBeVisible();
  await page.getByRole('link', { name: 'Labels to print' }).click();
  await expect(page.getByRole('region', { name: 'Row 6' }).getByRole('listitem')).toHaveCount(5);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('link', { name: 'Setting' })).toBeHidden();
});

test.describe('by touch', () => {
  test.use({ viewport: { width: 820, height: 1180 }, hasTouch: true, isMobile: true });
  test('choose a block and turn it; put one from beside in a place', async ({ page, server }) => {
    await openCopy(page, server);
    await toWall(page);
    await place(page, 7).tap();
    await page.getByRole('button', { name: 'Rotate', exact: true }).tap();
    await expect(place(page, 7)).toHaveAttribute('aria-label', /rotated a quarter/);
    const name = await nameAt(page, 7);
    await page.getByRole('button', { name: 'Park' }).tap();
    await page.getByRole('button', { name: `${name.replace(/,.*$/, '')}, beside the wall` }).tap();
    await place(page, 0).tap();
    await expect.poll(() => nameAt(page, 0)).toBe(name.replace(/,.*$/, ''));
  });
});
