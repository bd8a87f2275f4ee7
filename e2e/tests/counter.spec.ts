import { expect, expectSize, plain, test } from '../support/quilt.ts';

test('at the counter: asked, answered as strips and a shop cut, with its working, in either unit', async ({
  page,
  server,
}) => {
  await page.goto(server.address);
  await page.getByRole('link', { name: 'Quick answers' }).click();
  const headline = page.getByTestId('headline');
  await page.getByRole('textbox', { name: 'Quilt width' }).fill('36');
  await page.getByRole('textbox', { name: 'Quilt height' }).fill('1 yd');
  await expect.poll(() => plain(headline)).toBe('4 strips, 1/3 yd');
  await page.getByRole('button', { name: /why strips, selvage to selvage/ }).click();
  await expect(page.getByRole('dialog')).toContainText('154 ÷ 40 usable = 3.85, up to whole strips: 4');
  await page.keyboard.press('Escape');

  // A value that cannot be is said beside its field; the next good one is answered.
  await page.getByRole('textbox', { name: 'Strip, cut' }).fill('wide');
  await expect(page.getByText('“wide” is not a length').first()).toBeVisible();
  await page.getByRole('textbox', { name: 'Strip, cut' }).fill('');
  await expect.poll(() => plain(headline)).toBe('4 strips, 1/3 yd');
  await page.getByRole('textbox', { name: 'Or all round, measured' }).fill('198');
  await expect.poll(() => plain(headline)).toContain('6 strips');

  await page.getByRole('link', { name: 'Prairie points' }).click();
  // 36 × 36 was asked for before: ten points a side of 3 3/4 (arithmetic).
  await expect.poll(() => plain(headline)).toBe('40 points, 4 strips, 1/2 yd');
  await page.getByRole('button', { name: 'Use centimetres' }).click();
  await expect.poll(() => plain(headline)).toMatch(/points, \d+ strips, \d\.\d m/);
});

test('sashing and bias are asked for by name', async ({ page, server }) => {
  await page.goto(`${server.address}ask/sashing`);
  // 3 × 4 of 12" with 1 1/2" sash outside too (common practice): 42 × 55 1/2, 31 sashes, 20 cornerstones.
  await expect.poll(() => plain(page.getByTestId('headline'))).toBe('42 × 55 1/2″, 12 blocks');
  await expect
    .poll(() => plain(page.getByRole('region', { name: 'Answer' })))
    .toMatch(/Upright sashes 16 Level sashes 15 Cornerstones 20/);
  await page.getByRole('link', { name: 'Bias', exact: true }).click();
  await expect.poll(() => plain(page.getByTestId('headline'))).toMatch(/^A square of 29″/);
  await page.getByRole('link', { name: 'Binding', exact: true }).click();
  await expect.poll(() => plain(page.getByTestId('headline'))).toMatch(/strips/);
});

test('a quilt is made of an answer', async ({ page, server }) => {
  await page.goto(`${server.address}ask/setting`);
  await page.getByRole('textbox', { name: 'Borders, from the centre out' }).fill('1, 3 1/2');
  await expect.poll(() => plain(page.getByTestId('headline'))).toBe('45 × 57″, 12 blocks');
  await page.getByRole('button', { name: 'Make a quilt of this' }).click();
  await expectSize(page, '45 × 57″');
  await expect(page.getByRole('textbox', { name: 'Quilt’s name' })).toHaveValue('From a quick answer');
});

test.describe('on a phone, in one hand', () => {
  test.use({ viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true });
  test('every topic answers and nothing runs off the side', async ({ page, server }) => {
    await page.goto(`${server.address}ask/triangles`);
    for (const name of [
      'Setting triangles',
      'Quilt size',
      'Sashing',
      'Binding',
      'Bias',
      'Backing',
      'Flange',
      'Prairie points',
      'Quilted blocks',
    ]) {
      await page.getByRole('link', { name, exact: true }).tap();
      await expect(page.getByTestId('headline')).toBeVisible();
      expect(
        await page.evaluate(
          () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
        ),
      ).toBeLessThanOrEqual(0);
    }
  });
});
