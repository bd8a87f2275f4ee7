import { choose, DEMO, expect, field, fill, openCopy, plain, saved, tab, test } from '../support/quilt.ts';

test('the corner shows what is chosen; a finish that does not go with another is refused, with the way out', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Edge' }).click();
  await expect(page.getByTestId('edge-corner')).toBeVisible();
  await expect(page.getByText(/^binding/).first()).toContainText('3/8″');
  await expect(page.getByTestId('flange')).toContainText('82″');
  await page.getByRole('button', { name: 'Prairie points' }).click();
  await expect(page.getByRole('alert')).toContainText('close the edge by themselves');
  await page.getByRole('button', { name: 'Use prairie points instead' }).click();
  await expect(page.getByTestId('points')).toContainText('Points in all');
  // 70 and 81 1/2 at 3 3/4 a point: 19 and 22, twice.
  await expect
    .poll(() => plain(page.getByTestId('points')))
    .toMatch(/Points in all 82 Points across 19 Points down 22/);
  await expect(page.getByText(/^a point every/)).toBeVisible();
  await tab(page, 'Buy');
  await expect.poll(() => plain(page.getByTestId('shopping-list'))).not.toContain('Binding');
  await saved(page);
  // It is come back to where it was left: at what to buy.
  await page.reload();
  await expect.poll(() => plain(page.getByTestId('shopping-list'))).not.toContain('Binding');
  await tab(page, 'Choose');
  await expect(page.getByTestId('points')).toContainText('82');
});

test('scallops: divided, measured with a tape, bound on the bias, templates to print true to size', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Edge' }).click();
  await page.getByRole('button', { name: 'Flange' }).click();
  await choose(page, /Edge$/, 'Scallops');
  await expect(page.getByTestId('scallops')).toContainText(/along top and bottom/);
  await expect(page.getByText(/straight-grain binding pulled taut|Curves need a bias binding/)).toBeVisible();
  await choose(page, /Cut$/, 'Bias, from a square');
  await page.getByText('Bias plan', { exact: true }).click();
  await expect(page.getByTestId('bias-strips')).toBeVisible();
  await expect(page.getByText(/first cut.*from the double fold/)).toBeVisible();
  await page.getByRole('button', { name: /why square of cloth/i }).click();
  await expect(page.getByRole('dialog')).toContainText('√(');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Measured with a tape instead' }).click();
  await fill(page, 'Measured all round', '330');
  await expect(page.getByTestId('around')).toContainText('330″');
  await page.getByRole('link', { name: 'True-size templates to print' }).click();
  const check = page.getByRole('img', { name: 'Square to check the printing by' });
  await expect(check).toBeVisible();
  // An inch is 96 CSS pixels.
  expect((await check.boundingBox())!.width).toBeCloseTo(96, 0);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As SVG' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/scallops\.svg$/);
});

test('joins: where they fall, moved by dragging the beginning, told when one lands on a corner', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Edge' }).click();
  await page.getByText('All round', { exact: true }).first().click();
  await expect(page.locator('.binding-join')).toHaveCount(9);
  await expect(page.getByTestId('binding-joins').locator('li')).toHaveCount(9);
  await expect(page.getByTestId('border-joins')).toContainText('Border');
  const start = page.getByRole('slider', { name: /Where the binding begins/ });
  const box = (await start.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 60, box.y + box.height / 2, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'Farthest from corners' })).toBeVisible();
  const before = await field(page, 'Begin, from the left').inputValue();
  await start.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(field(page, 'Begin, from the left')).not.toHaveValue(before);
  await fill(page, 'Begin, from the left', '1');
  await expect(page.getByText(/from a corner\./)).toBeVisible();
  await page.getByRole('button', { name: 'Farthest from corners' }).click();
  await expect(page.getByText(/from a corner\./)).toHaveCount(0);
});

test('a binding with a flange built in, from leftovers', async ({ page, server }) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Edge' }).click();
  await page.getByRole('button', { name: 'Flange' }).click();
  await fill(page, 'Strip, cut', '2 3/4');
  await page.getByRole('switch', { name: 'A flange built in' }).locator('xpath=ancestor::label').click();
  const figures = page.getByTestId('binding-figures');
  await expect.poll(() => plain(figures)).toMatch(/Main strip, cut 1 1\/2″ Flange strip, cut 1 3\/4″/);
  await page.getByRole('button', { name: 'From the stash…' }).click();
  await page.getByRole('button', { name: 'A strip that is not in the stash yet' }).click();
  await fill(page, 'Usable, across', '60');
  await page.getByRole('button', { name: 'Put it in' }).click();
  await expect(page.getByTestId('leftovers')).toContainText('60″');
  await tab(page, 'Pieces');
  await expect(page.getByTestId('binding')).toContainText('Strips of the flange in it');
});

test('faced, piped, bound by its backing or turned in: each with its figures, its steps and its reasons', async ({
  page,
  server,
}) => {
  await openCopy(page, server, DEMO);
  await page.getByRole('link', { name: 'Edge' }).click();
  const card = (name: string) =>
    page.getByRole('toolbar', { name: 'Finishes' }).getByRole('button', { name, exact: true });
  await card('Facing').click();
  await expect(page.getByRole('alert')).toContainText('closes the edge by itself, and so does binding');
  await page.getByRole('button', { name: 'Use facing instead' }).click();
  // 70 × 81 1/2 with its seams; top and bottom half an inch longer at both ends.
  await expect
    .poll(() => plain(page.getByTestId('facing')))
    .toMatch(/Sides 82″ by 2 1\/2″.*bottom 71 1\/2″ by 2 1\/2″.*quilt 1″/);
  await expect(page.getByText(/^facing, behind/)).toBeVisible();
  await choose(page, /Corners$/, 'Bevelled, with squares');
  await expect
    .poll(() => plain(page.getByTestId('facing')))
    .toMatch(/Sides 80″.*bottom 68 1\/2″.*corners 4″ square, four/);
  await card('Piping').click();
  await expect.poll(() => plain(page.getByTestId('piping'))).toMatch(/Bias strip cut 1″ Strip and cord 307″/);
  await saved(page);
  await page.getByRole('link', { name: 'Sew' }).click();
  await expect(page.getByRole('button', { name: /Face it/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /Sew the piping on/ })).toBeVisible();
  await page.getByRole('link', { name: 'Edge' }).click();
  await card('Piping').click();
  await card('Self-binding').click();
  await page.getByRole('button', { name: 'Use self-binding instead' }).click();
  await expect.poll(() => plain(page.getByTestId('self-binding'))).toMatch(/backing beyond the top 1″/i);
  // More would show than the backing reaches.
  await fill(page, 'On the front', '2');
  await expect(
    page.getByText(/takes 4 ?1\/2″ of backing beyond the top, and it overhangs by 4″/).first(),
  ).toBeVisible();
  await card('Turned edge').click();
  await page.getByRole('button', { name: 'Use turned edge instead' }).click();
  await expect
    .poll(() => plain(page.getByTestId('turned-edge')))
    .toMatch(/Quilting stops before the edge 1″/);
});
