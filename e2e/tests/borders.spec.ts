import { expect, expectSize, field, fill, openCopy, plain, saved, tab, test } from '../support/quilt.ts';

test('borders: mitred and with corner squares, another width at the ends, cut along the selvage', async ({ page, server }) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Borders' }).click();
  await expect(page.getByTestId('corner')).toBeVisible();
  const choose = async (nth: number, what: RegExp, option: string) => {
    await page.getByRole('button', { name: what }).nth(nth).click();
    await page.getByRole('option', { name: option }).click();
  };
  await choose(0, /Corners/, 'Corner squares');
  await choose(1, /Corners/, 'Mitred');
  await fill(page, 'Border 2, top and bottom', '6');
  await expectSize(page, '70 × 84 1/2″');
  await expect(field(page, 'Border 2, sides')).toHaveValue('4 1/2″');
  await choose(1, /^Across, joined Cut|Cut.*Across, joined/, 'Along the selvage');

  await tab(page, 'Cut');
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
  ] as const) {
    await page.getByText(name, { exact: true }).click();
    await tab(page, 'Cut');
    await expect.poll(() => plain(page.getByTestId('cutting-list'))).toContain(words);
    await tab(page, 'Choose');
  }
});
