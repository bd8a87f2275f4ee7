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
  await dialog.getByRole('button', { name: 'Use this design' }).click();
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
  // Pieces that are sold cut: so many strips for the sashes, and each design says what it takes of them.
  await dialog.getByRole('button', { name: /Add cloth/ }).click();
  await dialog.getByRole('button', { name: /Sashes as/ }).click();
  await page.getByRole('option', { name: 'Strip, 2½″' }).click();
  await dialog.getByRole('textbox', { name: 'How many for sashes' }).fill('40');
  await dialog.getByRole('textbox', { name: 'How many for sashes' }).press('Enter');
  await expect(dialog.getByText(/sashes: \d+ of 40 \(strip, 2½″\)/).first()).toBeVisible();
});

test('the outer sash is said, no grid is there twice, and the keyboard leaves from a field to where it came from', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  const open = page.getByRole('button', { name: 'Fit to a target…' });
  await open.focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Fit to a target' });
  // A square target: a grid on its side comes to the same.
  for (const name of ['Target width', 'Target height']) {
    await dialog.getByRole('textbox', { name }).fill('80');
    await dialog.getByRole('textbox', { name }).press('Enter');
  }
  await expect(dialog.getByText('The best 20 designs, best first.')).toBeVisible();
  const designs = dialog.getByRole('list', { name: 'Designs found' }).getByRole('button');
  const twice = () =>
    designs.evaluateAll((all) => {
      const shown = all.map(({ textContent }) => {
        const [, across, down] = /(\d+) × (\d+) ·/.exec(textContent ?? '')!;
        const setting = /[A-Z][a-z ,]+/.exec(textContent ?? '')![0];
        const blocks = /\d+ (?:spare|to make)|uses every block/.exec(textContent ?? '')![0];
        return [setting, blocks, ...[Number(across), Number(down)].sort((a, b) => a - b)].join();
      });
      return shown.length === 20 ? shown.filter((one, i) => shown.indexOf(one) < i) : null;
    });
  // What was found for the size before stays until the next is found.
  await expect.poll(twice).toEqual([]);
  const sashed = designs.filter({ hasText: /^[^·]*Sashed/ });
  await expect(sashed.first()).toContainText(/sash round the outside|no sash outside/);
  await dialog.getByRole('textbox', { name: 'Target height' }).focus();
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expect(open).toBeFocused();
  await expectSize(page, '70 × 81 1/2″');
});

test('what a fit leaves over is remembered, offered, and still there after a reload', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}new`);
  await page.getByRole('textbox', { name: 'How many, and how large?' }).fill('112 of 5" cut');
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await page.getByRole('button', { name: 'Leave me to it' }).click();
  await page.getByRole('button', { name: 'Fit to a target…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Fit to a target' });
  const designs = dialog.getByRole('list', { name: 'Designs found' }).getByRole('button');
  // As many columns and rows as make a hundred and ten: two stay over.
  const two = designs.filter({ hasText: '2 spare' }).first();
  await two.click();
  await dialog.getByRole('button', { name: 'Use this design' }).click();
  const offers = page.getByRole('group', { name: 'Spare blocks' });
  await expect(offers).toContainText('110 used, 2 spare');
  await saved(page);
  await page.reload();
  await expect(offers).toContainText('110 used, 2 spare');
  // A quilt of their own takes them off this pile, and is a step away.
  await offers.getByRole('button', { name: 'Begin the next quilt with them' }).click();
  await expect(offers).toContainText('2 blocks went to a quilt of their own on the shelf.');
  await offers.getByRole('link', { name: 'Go to it' }).click();
  await expect(page).toHaveTitle(/^Blocks over from/);
});

test('a new quilt of a size to reach: a border as it fits, or none, each drawn before it is laid out', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}new?have=size`);
  const chips = page.getByRole('radiogroup', { name: 'A border round it, finished' });
  const chip = (name: string) => chips.getByText(name, { exact: true });
  const begun = page.getByTestId('begun-size');
  await expect(chips.getByRole('radio', { name: 'As it fits' })).toBeChecked();
  await expect(begun).toBeVisible();
  await chip('None').click();
  await expect(chips.getByRole('radio', { name: 'None' })).toBeChecked();
  await expect(begun).toBeVisible();
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await page.waitForURL(/\/setting$/);
  await expect(page.getByRole('textbox', { name: /^Block width/ })).toBeVisible();
  await expect(page.getByRole('textbox', { name: /Border/ })).toHaveCount(0);
});
