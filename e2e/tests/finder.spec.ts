import { choose, expect, expectSize, field, openCopy, plain, saved, size, test } from '../support/quilt.ts';

test('fit to a target: search, weigh, pick one, one undo takes it back', async ({ page, server }) => {
  await openCopy(page, server);
  await page.getByRole('button', { name: 'Fit to a target…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Fit to a target' });
  await dialog.getByRole('textbox', { name: 'Target width' }).fill('72');
  await dialog.getByRole('textbox', { name: 'Target width' }).press('Enter');
  await expect(dialog.getByText('The best 20 designs, best first.')).toBeVisible();
  const designs = dialog.getByRole('list', { name: 'Designs found' }).getByRole('button');
  await expect(designs).toHaveCount(20);

  // Blocks used up above all: the first design takes all thirty.
  const slider = dialog.getByRole('slider', { name: 'Blocks used up' });
  await slider.focus();
  await page.keyboard.press('End');
  await expect(designs.first()).toContainText('uses every block');

  // Only sashed designs.
  for (const name of [
    'Edge to edge',
    'On point',
    'Alternate',
    'On point, sashed',
    'Framed',
    'Strips',
    'Half drop',
  ])
    await dialog.getByRole('checkbox', { name, exact: true }).press('Space');
  await expect(designs.first()).toContainText('Sashed');
  await designs.nth(1).click();
  await expect(designs.nth(1)).toHaveAttribute('aria-pressed', 'true');
  const promised = (await plain(designs.nth(1).locator('strong'))).trim();
  await dialog.getByRole('button', { name: 'Set the quilt like this' }).click();
  await expectSize(page, promised);
  await expect(field(page, 'Target width')).toHaveValue('72″');
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expectSize(page, '70 × 81 1/2″');
});

test('a target that cannot be is refused beside its field; leaving changes nothing; the chart picks too', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('button', { name: 'Fit to a target…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Fit to a target' });
  await dialog.getByRole('textbox', { name: 'Target width' }).fill('9000');
  await dialog.getByRole('textbox', { name: 'Target width' }).press('Enter');
  await expect(dialog.getByText('A target of 9000″ cannot be right.')).toBeVisible();
  const designs = dialog.getByRole('list', { name: 'Designs found' }).getByRole('button');
  await expect(designs.first()).toHaveAttribute('aria-pressed', 'true');
  const chart = dialog.getByRole('img', { name: /designs: how far each misses/ });
  const box = (await chart.boundingBox())!;
  // Some point lies under a sweep over the plot; pressing it moves the choice.
  const chosen = async () =>
    designs.evaluateAll((all) => all.findIndex((b) => b.getAttribute('aria-pressed') === 'true'));
  for (let y = 10; y < box.height - 40 && (await chosen()) === 0; y += 12) {
    for (let x = 50; x < box.width - 10 && (await chosen()) === 0; x += 24)
      await page.mouse.click(box.x + x, box.y + y);
  }
  expect(await chosen()).toBeGreaterThan(0);
  await dialog.getByRole('button', { name: 'Leave the quilt as it is' }).click();
  await expectSize(page, '70 × 81 1/2″');
  await expect(size(page)).toBeVisible();
});

test('as large as the blocks allow, and with only so much cloth in hand', async ({ page, server }) => {
  await openCopy(page, server);
  await page.getByRole('button', { name: 'Fit to a target…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Fit to a target' });
  const designs = dialog.getByRole('list', { name: 'Designs found' }).getByRole('button');
  await choose(page, /Aim/, 'As large as these blocks allow');
  await expect(designs.first()).not.toContainText('to make');
  await choose(page, /Aim/, 'A size');
  for (const name of [
    'Edge to edge',
    'On point',
    'Alternate',
    'On point, sashed',
    'Framed',
    'Strips',
    'Half drop',
  ])
    await dialog.getByRole('checkbox', { name, exact: true }).press('Space');
  await dialog.getByRole('button', { name: /Add cloth/ }).click();
  const cloth = dialog.getByRole('textbox', { name: 'Length for sashes' });
  await cloth.fill('1/8 yd');
  await cloth.press('Enter');
  await expect(designs.first()).toContainText(/[1-5] × [1-5]/);
  const few = await plain(designs.first());
  await cloth.fill('5 yd');
  await cloth.press('Enter');
  await expect.poll(() => plain(designs.first())).not.toBe(few);
  await dialog.getByRole('button', { name: 'Leave out sashes' }).click();
  await expect(cloth).toHaveCount(0);
  await expect(designs).toHaveCount(20);
});
