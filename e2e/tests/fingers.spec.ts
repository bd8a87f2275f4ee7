import { expect, expectSize, field, fill, openCopy, size, tab, test } from '../support/quilt.ts';
import { drag, middleOf } from '../support/finger.ts';

test.describe('by finger on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a block is dragged onto another, and they change places', async ({ page, server }) => {
    await openCopy(page, server);
    await page.getByRole('link', { name: 'Wall', exact: true }).tap();
    const place = (n: number) => page.locator(`[data-place="${n}"]`);
    await expect(place(0)).toBeVisible();
    const [first, seventh] = [
      await place(0).getAttribute('aria-label'),
      await place(6).getAttribute('aria-label'),
    ];
    const named = (label: string | null) => label!.replace(/^Row \d+, place \d+: /, '');
    await drag(page, middleOf(await place(0).boundingBox()), middleOf(await place(6).boundingBox()));
    await expect(place(6)).toHaveAttribute('aria-label', new RegExp(named(first)));
    await expect(place(0)).toHaveAttribute('aria-label', new RegExp(named(seventh)));
  });

  test('a finger that strays over a tape changes nothing; a grip moves by marks', async ({
    page,
    server,
  }) => {
    await openCopy(page, server);
    await expect(size(page)).toBeVisible();
    const hold = middleOf(await page.locator('[data-hold=sash]').first().boundingBox());
    await drag(page, hold, { x: hold.x + 15, y: hold.y });
    await expectSize(page, '70 × 81 1/2″');
    const grip = page.getByRole('slider', { name: 'Sash width' }).first();
    await grip.scrollIntoViewIfNeeded();
    const at = middleOf(await grip.boundingBox());
    await drag(page, at, { x: at.x + 20, y: at.y });
    // Nine pixels a mark at least: twenty are two marks.
    await expect(grip).toHaveAttribute('aria-valuetext', '1 3/4″');
  });

  test('height and verdict of every block are in reach, and the rail says that more stages follow', async ({
    page,
    server,
  }) => {
    await openCopy(page, server);
    await page.getByRole('link', { name: 'Blocks', exact: true }).tap();
    const row = page
      .getByRole('row')
      .filter({ has: page.getByRole('textbox', { name: 'Wheelbarrow, height' }) });
    for (const part of [
      row.getByRole('textbox', { name: 'Wheelbarrow, height' }),
      row.locator('.verdict'),
      row.getByRole('button', { name: 'Open Wheelbarrow' }),
    ]) {
      await part.scrollIntoViewIfNeeded();
      const box = (await part.boundingBox())!;
      expect(box.x).toBeGreaterThanOrEqual(0);
      expect(box.x + box.width).toBeLessThanOrEqual(390);
    }
    const hint = await page
      .getByRole('navigation', { name: 'Stages' })
      .evaluate((rail) => getComputedStyle(rail, '::after').content);
    expect(hint).toContain('›');
  });
});

test('Escape closes a sheet from inside a field; back and forward go where they say', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('button', { name: 'Fit to a target…' }).click();
  const sheet = page.getByRole('dialog', { name: 'Fit to a target' });
  await expect(sheet).toBeVisible();
  await expect(page).toHaveURL(/sheet=fit/);
  await sheet.getByRole('textbox').first().focus();
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  await page.goForward();
  await expect(sheet).toBeVisible();
  await page.reload();
  await expect(sheet).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  await page.getByRole('tab', { name: 'Buy' }).click();
  await page.getByRole('link', { name: 'Layers' }).click();
  await expect(page).toHaveURL(/layers$/);
  await page.goBack();
  await expect(page.getByRole('tab', { name: 'Buy' })).toHaveAttribute('aria-selected', 'true');
});

test('the focus stays where something was removed, renamed or put back; keys have a sheet', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  const onPage = () => page.evaluate(() => document.activeElement === document.body);
  const name = field(page, 'Quilt’s name');
  await name.fill('Renamed here');
  await name.press('Enter');
  await expect(name).toBeFocused();
  await page.getByRole('link', { name: 'Borders' }).click();
  await page
    .getByRole('button', { name: /Remove border|Take off border|Take border/ })
    .first()
    .click();
  await expect.poll(onPage).toBe(false);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(onPage).toBe(false);
  await page.getByRole('link', { name: 'Setting' }).focus();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Rotate a quarter');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.goto(server.address);
  await page.getByRole('button', { name: /^Take Renamed here off/ }).click();
  await expect(page.getByText('“Renamed here” is off the shelf.')).toBeVisible();
  await expect.poll(onPage).toBe(false);
  // What comes up into its place has come: a link that moves under the hand is not pressed.
  await expect(page.getByRole('link', { name: 'Renamed here' })).toHaveCount(0);
  await page.getByRole('link', { name: 'What was taken off the shelf' }).click();
  await page.getByRole('button', { name: 'Put Renamed here back' }).click();
  await expect(page.getByText('“Renamed here” is on the shelf again.')).toBeVisible();
  await expect.poll(onPage).toBe(false);
});

test('blocks in one line: twelve are one act, spare ones are offered, and one goes to the label', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}new`);
  await page.getByRole('textbox', { name: 'How many, and how large?' }).fill('13 of 9" finished');
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(size(page)).toBeVisible();
  // A first quilt is gone through hand in hand, as far as one likes.
  await expect(page.getByText('1 of 5.')).toBeVisible();
  await page.getByRole('button', { name: 'Show me the next' }).click();
  await expect(page.getByRole('tab', { name: 'Pieces' })).toHaveAttribute('aria-selected', 'true');
  await page.getByRole('button', { name: 'Leave me to it' }).click();
  await expect(page.getByText('2 of 5.')).toBeHidden();
  await tab(page, 'Choose');
  await expect(page.getByRole('group', { name: 'Spare blocks' })).toContainText('12 used, 1 spare');
  await page.getByRole('button', { name: 'Keep one for the label' }).click();
  await expect(page.getByRole('group', { name: 'Spare blocks' })).toContainText('kept for the label');
  await fill(page, 'More blocks, in one line', '3 stars 9 finished');
  await expect(page.getByTestId('pile-summary')).toContainText('16 blocks, 12 places');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('pile-summary')).toContainText('13 blocks, 12 places');
});

test('where colours are forced, what is chosen is told by its frame; the drawing is there in words', async ({
  page,
  server,
}) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await openCopy(page, server);
  const border = (name: string) =>
    page.getByRole('tab', { name }).evaluate((leaf) => getComputedStyle(leaf).borderBottomColor);
  expect(await border('Choose')).not.toBe(await border('Buy'));
  const frame = (name: RegExp) =>
    page
      .getByRole('radio', { name })
      .locator('xpath=ancestor::label')
      .evaluate((card) => getComputedStyle(card).outlineStyle);
  expect(await frame(/^Sashed:/)).toBe('solid');
  expect(await frame(/^On point:/)).toBe('none');
  const table = page.getByRole('table', { name: /What the drawing shows/ });
  await expect(table).toContainText('Sashed, 5 across and 6 down');
  await expect(table.getByRole('row').filter({ hasText: 'Cornerstones' })).toContainText('42');
});
