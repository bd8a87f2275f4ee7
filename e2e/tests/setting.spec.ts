import {
  choose,
  DEMO,
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

test('made for a bed: what it asks, what hangs over, and where the target lies', async ({ page, server }) => {
  await openCopy(page, server);
  await choose(page, /Made for/, 'A bed');
  await expect.poll(() => plain(page.getByTestId('target-size'))).toContain('Asks for 84 × 92″');
  await expect(page.getByText('The quilt hangs 2″ below the mattress on three sides.')).toBeVisible();
  await choose(page, /Bed/, /US Twin, 38 × 75/);
  await fill(page, 'Pillow tuck at the head', '8');
  await expect.poll(() => plain(page.getByTestId('target-size'))).toContain('Asks for 62 × 95″');
  await fill(page, 'Drop at the right', '4');
  await expect(page.getByText(/at the right it stops 6″ short/)).toBeVisible();
  await choose(page, /Made for/, 'A wall');
  await fill(page, 'Left free all round', '10');
  await expect.poll(() => plain(page.getByTestId('target-size'))).toContain('Asks for 76 × 76″');
  await fill(page, 'Left free all round', '50');
  await expect(page.getByText(/cannot be right/).first()).toBeVisible();
  await choose(page, /Made for/, 'None');
  await expect(page.getByText('than the target')).toHaveCount(0);
  // What it does as it stands, said and drawn; its corners at the foot cut out for posts from the same drops.
  await choose(page, /Made for/, 'A bed');
  await expect(page.getByTestId('target-size')).toContainText('As it stands it hangs');
  await page.getByText('On the bed', { exact: true }).click();
  await expect(page.getByTestId('bed-under')).toContainText('″');
  await page.getByRole('link', { name: 'Edge' }).click();
  await page.getByRole('button', { name: /Cut the foot out for bed posts/ }).click();
  // Its flange cannot follow, and that is said; without it the corners are cut out.
  await expect(
    page.getByRole('alert').filter({ hasText: 'A flange is a folded straight strip' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Flange', exact: true }).click();
  await page.getByRole('button', { name: /Cut the foot out for bed posts/ }).click();
  await expect(page.getByRole('button', { name: /Cut out for bed posts/ })).toBeVisible();
  await expect(page.getByText('Cut the foot out for bed posts')).toBeHidden();
  await saved(page);
});

test('on point with a float: set in the panel, dragged on its tape; the exact rule', async ({
  page,
  server,
}) => {
  await openCopy(page, server, 'Cot quilt for the corner house');
  const before = await plain(size(page));
  await fill(page, 'Float round the points', '3/4');
  await expect.poll(() => plain(size(page))).not.toBe(before);
  const grip = page.getByRole('slider', { name: 'Float width' }).first();
  await grip.focus();
  await page.keyboard.press('ArrowRight');
  await expect(field(page, 'Float round the points')).toHaveValue('7/8″');
  await choose(page, /Triangle squares/, /Exact/);
  await tab(page, 'Pieces');
  await page
    .getByRole('button', { name: /why squares of/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toContainText('(2 + √2)');
});

test('edge cornerstones halved take the float away; straight grain can be marked', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByText('On point, sashed', { exact: true }).click();
  await expect(field(page, 'Float round the points')).toBeVisible();
  await choose(page, /Edge cornerstones/, 'Halved by the edge');
  await expect(field(page, 'Float round the points')).toHaveCount(0);
  await expect(page.locator('.grain')).toHaveCount(0);
  await page.getByRole('button', { name: 'Straight grain' }).click();
  await expect(page.locator('.grain path').first()).toHaveAttribute('d', /^M/);
});

test('every other block turned, its background swapped: drawn so, and how many to make is said', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  const turns = () =>
    page
      .locator('svg[role=img] use')
      .evaluateAll(
        (all) => new Set(all.map((u) => u.getAttribute('transform')!.replace(/ [^ ]+ [^ ]+\)$/, ''))).size,
      );
  expect(await turns()).toBe(1);
  await choose(page, /Rotated/, 'Every other, a quarter');
  await expect.poll(turns).toBe(2);
  await choose(page, /Background/, 'Swapped on every other');
  await expect(page.getByText('15 of 30 blocks with the background swapped')).toBeVisible();
});

test('split into two: drawn with the border it takes, put on the shelf, the one quilt still there', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('button', { name: 'Split into smaller quilts…' }).click();
  const first = page.getByRole('list', { name: 'Ways to split' }).getByRole('listitem').first();
  await expect.poll(() => plain(first)).toContain('15 blocks each, none over');
  await first.getByRole('button', { name: /why the difference/ }).click();
  await expect(page.getByRole('dialog', { name: /Why the difference/ })).toContainText('for the one quilt');
  await page.keyboard.press('Escape');
  // The second of the two with a wider border of its own: both sizes are said, and what both take.
  await page.getByText('Each quilt its own borders').click();
  const second = page.getByRole('group', { name: 'Quilt 2' }).getByRole('textbox').first();
  await second.fill('6');
  await second.press('Enter');
  await expect
    .poll(() => plain(first))
    .toMatch(/\d″, .*″.*Border strip .*″, .*″; .* more than the one quilt/);
  await page.getByText('Each quilt its own borders').click();
  await choose(page, /Quilts/, '3 quilts');
  await expect.poll(() => plain(first)).toContain('9 blocks each, 3 over');
  await first.getByRole('button', { name: 'Put these 3 on the shelf' }).click();
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  for (const part of ['1 of 3', '2 of 3', '3 of 3'])
    await expect(page.getByRole('link', { name: new RegExp(`${DEMO}.*, ${part}`) })).toBeVisible();
  await page.getByRole('link', { name: /, 2 of 3/ }).click();
  await page.getByRole('link', { name: 'Setting' }).click();
  await expect(page.getByTestId('pile-summary')).toContainText('9 blocks, 9 places');
});

test('quilted blocks: three layers a strip, marks to make, no backing', async ({ page, server }) => {
  await openCopy(page, server, 'Tram-stop lap quilt, quilted blocks');
  await expectSize(page, '41 3/4 × 54 1/4″');
  await tab(page, 'Pieces');
  const list = page.getByTestId('cutting-list');
  await expect.poll(() => plain(list)).toContain('Row strips, front 3 at 3 1/2 × 36 1/4″');
  await expect
    .poll(() => plain(list))
    .toContain(
      'Mark each row strip from one end where the upright sashes cross: 11 to 12 3/4, 23 1/2 to 25 1/4',
    );
  await expect(page.getByText('nothing goes under the whole')).toBeVisible();
});

test('the page itself never scrolls beside the drawing, whatever is chosen', async ({ page, server }) => {
  await openCopy(page, server);
  for (const name of ['Choose', 'Pieces', 'Buy']) {
    await tab(page, name);
    expect(
      await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight),
    ).toBeLessThanOrEqual(0);
  }
  await tab(page, 'Choose');
  await fill(page, 'Sash, finished', '2');
  await saved(page);
});
