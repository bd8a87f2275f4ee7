import { notToldApart, saidIn, saidTwice } from '../support/said.ts';
import type { Request } from '@playwright/test';
import { addCopy, expect, openCopy, size, tab, test } from '../support/quilt.ts';

for (const width of [320, 760, 2560]) {
  test(`nothing runs off the side at ${width} pixels`, async ({ page, server }) => {
    await page.setViewportSize({ width, height: 900 });
    await openCopy(page, server);
    for (const name of ['Choose', 'Pieces', 'Buy']) {
      await tab(page, name);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(over).toBeLessThanOrEqual(0);
    }
    for (const stage of ['Blocks', 'Wall', 'Borders', 'Layers', 'Edge', 'Cut']) {
      await page.getByRole('link', { name: stage }).click();
      await expect(page).toHaveURL(new RegExp(stage.toLowerCase()));
      await page.waitForLoadState('networkidle');
      expect(
        await page.evaluate(
          () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
        ),
      ).toBeLessThanOrEqual(0);
    }
    for (const [where, heading] of [
      ['', 'On the shelf'],
      ['keeping', 'Who may do what'],
    ] as const) {
      await page.goto(server.address + where);
      await expect(page.getByRole('heading', { name: heading })).toBeVisible();
      expect(
        await page.evaluate(
          () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
        ),
      ).toBeLessThanOrEqual(0);
    }
  });
}

test('everything has a name, said once, and fields that are alike are told apart', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  const quilt = page.url().replace(/\/[^/]*$/, '');
  const heard = async (address: string) => {
    await page.goto(address, { waitUntil: 'networkidle' });
    // What has come over the line is not drawn yet on a busy machine.
    let said: ReturnType<typeof saidIn> = [];
    await expect
      .poll(async () => (said = saidIn(await page.locator('body').ariaSnapshot())).length, address)
      .toBeGreaterThan(8);
    return said;
  };
  const stages = [
    'blocks',
    'setting',
    'setting?leaf=buy',
    'wall',
    'borders',
    'layers',
    'edge',
    'cut',
    'sew',
    'group',
  ];
  const leaves = ['journal', 'time', 'ready', 'record'].map((leaf) => `journal?leaf=${leaf}`);
  const pages = [
    ...[...stages, ...leaves].map((stage) => `${quilt}/${stage}`),
    ...['', 'new', 'ask', 'stash', 'practice', 'keeping'].map((place) => server.address + place),
  ];
  for (const address of pages) {
    const said = await heard(address);
    expect.soft(saidTwice(said), address).toEqual([]);
    expect.soft(notToldApart(said), address).toEqual([]);
  }
});

test('first screen: at most 250 kB of script, compressed', async ({ page, server }) => {
  const scripts: Request[] = [];
  page.on('requestfinished', (request) => {
    if (request.resourceType() === 'script') scripts.push(request);
  });
  await page.goto(server.address, { waitUntil: 'networkidle' });
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  const sizes = await Promise.all(scripts.map((request) => request.sizes()));
  const bytes = sizes.reduce((sum, s) => sum + s.responseBodySize, 0);
  console.log(`first screen: ${bytes} bytes of script in ${scripts.length} files`);
  expect(bytes).toBeGreaterThan(50_000);
  expect(bytes).toBeLessThanOrEqual(250_000);
  // As eighty small files they took longer to fetch than to run.
  expect(scripts.length).toBeLessThanOrEqual(15);
});

test('a quilt’s own script is asked for beside the app, in few files', async ({ page, server }) => {
  const id = await addCopy(page, server, 'Asked for at once');
  const asked: string[] = [];
  page.on('request', (request) => {
    if (request.resourceType() === 'script') asked.push(new URL(request.url()).pathname);
  });
  // The app itself is held back until the quilt's page has been asked for: that does not wait for it.
  await page.route(/\/app-packages-/, async (route) => {
    await expect.poll(() => asked.filter((file) => /QuiltPage|SettingStage/.test(file))).toHaveLength(2);
    await route.continue();
  });
  await page.goto(`${server.address}quilts/${id}/setting`, { waitUntil: 'networkidle' });
  await expect(size(page)).toBeVisible();
  expect(asked.length).toBeLessThanOrEqual(30);
});

test('four hundred blocks are drawn, and a dragged sash follows', async ({ page, server }) => {
  // Six-inch blocks: four hundred of them make a quilt that a bed can hold.
  await openCopy(page, server, 'Scrap-swap throw');
  await page.getByText('Sashed', { exact: true }).click();
  for (const label of ['Blocks across', 'Blocks down']) {
    await page.getByRole('textbox', { name: label, exact: true }).fill('20');
    await page.getByRole('textbox', { name: label, exact: true }).press('Enter');
  }
  await expect(page.getByText('320 more to make')).toBeVisible();
  const slider = page.getByRole('slider', { name: 'Sash width' }).first();
  await slider.focus();
  await page.keyboard.press('ArrowRight');
  await expect(slider).toHaveAttribute('aria-valuetext', '1 5/8″');
});

test.describe('on a phone, by touch', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('widen a sash with the buttons, read a working, see what to buy', async ({ page, server }) => {
    await openCopy(page, server);
    await page.getByRole('button', { name: 'More: Sash, finished' }).tap();
    await expect(page.getByRole('textbox', { name: 'Sash, finished' })).toHaveValue('1 5/8″');
    await page.getByRole('tab', { name: 'Pieces' }).tap();
    await page.getByRole('button', { name: '71: why 71 sashes' }).tap();
    await expect(page.getByRole('dialog')).toContainText('Together 71');
    await page.keyboard.press('Escape');
    await page.getByRole('tab', { name: 'Buy' }).tap();
    await expect(page.getByTestId('shopping-list')).toContainText('yd');
    // Fingers need room: every button on this page is at least 24 px, those beside fields 44.
    const box = (await page.getByRole('button', { name: 'More: Usable width' }).first().boundingBox())!;
    expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(42);
  });

  test('layers and edge: the stage at work stays in sight on the rail, a way and a finish are chosen by touch', async ({
    page,
    server,
  }) => {
    await openCopy(page, server);
    await page.getByRole('link', { name: 'Layers' }).tap();
    await page
      .getByRole('radiogroup', { name: 'Way of backing' })
      .getByText('Wide cloth, one width, no seam')
      .tap();
    await expect(page.getByRole('radio', { name: /Wide cloth/ })).toBeChecked();
    await page.getByRole('link', { name: 'Edge' }).tap();
    await expect(page.getByTestId('edge-corner')).toBeVisible();
    await expect(page.getByRole('link', { name: 'Edge' })).toBeInViewport();
    await page.getByRole('button', { name: 'Prairie points' }).tap();
    await page.getByRole('button', { name: 'Use prairie points instead' }).tap();
    await expect(page.getByTestId('points')).toContainText('Points in all');
    await page.getByText('All round', { exact: true }).first().tap();
    await expect(page.getByText('every point where it stands')).toBeVisible();
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
    ).toBeLessThanOrEqual(0);
  });
});
