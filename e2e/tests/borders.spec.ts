import {
  choose,
  expect,
  expectSize,
  field,
  fill,
  openCopy,
  plain,
  saved,
  tab,
  test,
} from '../support/quilt.ts';

test('borders: mitred and with corner squares, another width at the ends, cut along the selvage', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Borders' }).click();
  await expect(page.getByTestId('corner')).toBeVisible();
  await choose(page, /Corners/, 'Corner squares');
  await choose(page, /Corners/, 'Mitred', 1);
  await fill(page, 'Border 2, top and bottom', '6');
  await expectSize(page, '70 × 84 1/2″');
  await expect(field(page, 'Border 2, sides')).toHaveValue('4 1/2″');
  await choose(page, /^Across, joined Cut|Cut.*Across, joined/, 'Along the selvage', 1);

  await tab(page, 'Pieces');
  const list = page.getByTestId('cutting-list');
  await expect.poll(() => plain(list)).toContain('Border corners 4 at 1 1/2 × 1 1/2″');
  // 72 1/2 inside, two ends of 6", two seams, a hand's breadth.
  await expect.poll(() => plain(list)).toMatch(/Border 2 sides 2 at 5 × 89″/);
  await page.getByRole('button', { name: /why 89″ long/ }).click();
  await expect(page.getByRole('dialog')).toContainText('4 to spare for the mitres');
  await page.keyboard.press('Escape');
  await tab(page, 'Buy');
  await expect(page.getByTestId('shopping-list')).toContainText('lengthwise for border 2 sides');
  await saved(page);
  await page.reload();
  await expectSize(page, '70 × 84 1/2″');
});

test('every setting is drawn and has its list', async ({ page, server }) => {
  await openCopy(page, server);
  for (const [name, words] of [
    ['Alternate', 'Plain blocks 15 at 10 1/2 × 10 1/2″'],
    ['On point, sashed', 'Sashes 120 at 2 × 10 1/2″'],
    ['Framed', 'Frame triangles 120'],
    ['Strips', 'Sashes 4 at 2 1/2 × 60 1/2″'],
    ['Edge to edge', 'Border 1 sides 2 at 1 1/2 × 60 1/2″'],
    ['Two sizes', 'Coping strips, sides 30 at 1 1/2 × 8 1/2″'],
    ['Quilted blocks', 'Row strips, batting'],
  ] as const) {
    await page.getByText(name, { exact: true }).click();
    await tab(page, 'Pieces');
    await expect.poll(() => plain(page.getByTestId('cutting-list'))).toContain(words);
    await tab(page, 'Choose');
  }
});

test('the centre is measured: a verdict, borders follow, what changed is listed, undo brings the plan back', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Borders' }).click();
  await page.getByRole('button', { name: 'The centre' }).click();
  await expect(page.getByRole('textbox', { name: /^Width along the top/ })).toBeFocused();
  await expect(page.getByText(/It lies true/)).toBeHidden();
  for (const width of ['Width along the top', 'Width across the middle', 'Width along the bottom'])
    await fill(page, width, '59 1/2');
  for (const height of ['Height along the left', 'Height down the middle', 'Height along the right'])
    await fill(page, height, '71');
  await expect(page.getByText('It lies true: cut the border to the measurement.')).toBeVisible();
  await fill(page, 'Height down the middle', '70 5/8');
  await fill(page, 'Height along the left', '70 7/8');
  await expect(page.getByText(/The heights differ by .*ease the edge/)).toBeVisible();
  const changes = page.getByTestId('changes');
  await expect.poll(() => plain(changes)).toContain('Border 1 sides 2 at 1 1/2 × 71″ → 2 at 1 1/2 × 70 5/8″');
  await expect(page.getByText('What changed: lengths only, what to buy stays the same')).toBeVisible();
  await expectSize(page, '70 × 81 1/8″');
  await fill(page, 'Height along the left', '72');
  await expect(page.getByText(/Square the top up first, or the border will wave/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByText(/Square the top up first/)).toBeVisible();
  await page.getByRole('button', { name: 'Forget what was measured: the centre' }).click();
  await expectSize(page, '70 × 81 1/2″');
});

test('a border that repeats: a spacer is solved and one press sets it', async ({ page, server }) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Borders' }).click();
  await choose(page, /Corners/, 'Corner squares', 1);
  await page.getByText('Cloth or piecing that repeats').nth(1).click();
  await expect(page.getByText(/15.25 repeats across and 18.13 down/)).toBeVisible();
  await page
    .getByRole('button', { name: /^Use a spacer/ })
    .first()
    .click();
  await expect(page.getByText(/Comes out even: \d+ repeats across, \d+ down/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/15.25 repeats across/)).toBeVisible();
});

test('a border of units: chosen, brought out by a spacer, cut, sewn and taken back', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Borders' }).click();
  await choose(page, /Made of/, 'Sawtooth', 1);
  // 61 × 72 ½ inside 4 ½": no whole number of teeth.
  await expect(page.getByText(/half-square units come to .* than the side\./)).toBeVisible();
  await page
    .getByRole('button', { name: /^Use a spacer/ })
    .first()
    .click();
  await expect(page.getByText(/Comes out even: \d+ half-square units across, \d+ down/)).toBeVisible();
  await expect(page.getByText(/than the side\./)).toBeHidden();
  await choose(page, /Half-square units made/, 'Eight at a time');
  await tab(page, 'Pieces');
  // 2 × 4 ½ + 1 ¾, left whole (common practice).
  await expect(page.getByText('10 3/4″').or(page.getByText('10¾')).first()).toBeVisible();
  await page.getByRole('link', { name: 'Sew', exact: true }).click();
  await expect(page.getByText('Make the half-square units of border 2').first()).toBeVisible();
  await expect(page.getByText('Join the half-square units of border 2 to strips').first()).toBeVisible();
  await page.getByRole('link', { name: 'Borders' }).click();
  await choose(page, /Made of/, 'One cloth', 1);
  await expect(page.getByText(/Comes out even/)).toBeHidden();
  await saved(page);
});

test('joins are drawn and can run straight', async ({ page, server }) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Borders' }).click();
  await choose(page, /Joined/, 'Straight across', 1);
  await tab(page, 'Buy');
  await page.getByRole('button', { name: /strips of 5″: why/ }).click();
  await expect(page.getByRole('dialog')).toContainText('straight joins × 1/2');
  await page.keyboard.press('Escape');
  await expect(page.locator('.joins path').first()).toHaveAttribute('d', /^M/);
});
