import { notToldApart, saidIn, saidTwice } from '../support/said.ts';
import type { Request } from '@playwright/test';
import { accessible } from '../support/accessible.ts';
import { choose, expect, openCopy, tab, test } from '../support/quilt.ts';

for (const scheme of ['light', 'dark'] as const) {
  test(`no fault axe can find, ${scheme}`, async ({ page, server }) => {
    // Every screen in turn, each examined whole.
    test.slow();
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
    await page.goto(server.address);
    await expect(page.getByRole('link', { name: 'Potting-shed raffle quilt' }).first()).toBeVisible();
    await accessible(page);
    await page.goto(`${server.address}ask/binding`);
    await expect(page.getByTestId('headline')).toBeVisible();
    await accessible(page);
    await page.goto(`${server.address}keeping`);
    await expect(page.getByText('Everything kept takes')).toBeVisible();
    await accessible(page);
    await openCopy(page, server);
    await page.getByRole('button', { name: 'Versions' }).click();
    await expect(page.getByRole('dialog')).toContainText('None yet');
    await accessible(page);
    await page.keyboard.press('Escape');
    await accessible(page);
    for (const name of ['Pieces', 'Buy']) {
      await tab(page, name);
      await accessible(page);
    }
    await tab(page, 'Choose');
    await page.getByRole('button', { name: 'Fit to a target…' }).click();
    await expect(page.getByText('best first')).toBeVisible();
    await accessible(page);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Split into smaller quilts…' }).click();
    await expect(page.getByRole('list', { name: 'Ways to split' })).toBeVisible();
    await accessible(page);
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Borders' }).click();
    await expect(page.getByTestId('corner')).toBeVisible();
    await page.getByRole('button', { name: 'The centre' }).click();
    await page.getByText('Cloth or piecing that repeats').first().click();
    await accessible(page);
    await page.getByRole('link', { name: 'Blocks' }).click();
    await expect(page.getByRole('slider', { name: 'Cut all to' })).toBeVisible();
    await page.getByText('Take readings from a tape').click();
    await accessible(page);
    await page.getByRole('button', { name: 'Open Wheelbarrow' }).click();
    await accessible(page);
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Wall' }).click();
    await expect(page.locator('[data-place="0"]')).toBeVisible();
    await accessible(page);
    await page.getByRole('link', { name: 'Layers' }).click();
    await expect(page.getByTestId('backing-because')).toBeVisible();
    await page.getByRole('button', { name: 'Measure it' }).click();
    await accessible(page);
    await choose(page, /Quilted/, 'Send it to a long-arm service');
    await page.getByRole('button', { name: 'Ask the finishing service' }).click();
    await expect(page.getByText('It takes this job')).toBeVisible();
    await accessible(page);
    await page.getByRole('link', { name: 'Edge' }).click();
    await expect(page.getByTestId('edge-corner')).toBeVisible();
    await accessible(page);
    await page.getByText('All round', { exact: true }).first().click();
    await expect(page.getByTestId('edge-round')).toBeVisible();
    await accessible(page);
    await page.getByRole('link', { name: 'Cut', exact: true }).click();
    await expect(page.getByTestId('cut-so-far')).toBeVisible();
    await accessible(page);
    await page.getByRole('link', { name: 'Journal' }).click();
    for (const name of ['Journal', 'Time', 'Record', 'Ready?']) {
      await tab(page, name);
      await accessible(page);
    }
    await expect(page.getByTestId('ready-chance')).toBeVisible();
    await accessible(page);
    for (const place of ['group', 'request', 'sewing-day', 'label']) {
      await page.goto(page.url().replace(/\/(journal|group|request|sewing-day).*$/, `/${place}`));
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await accessible(page);
    }
    for (const place of ['practice', 'practice/sheet']) {
      await page.goto(server.address + place);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await accessible(page);
    }
  });
}

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
    return saidIn(await page.locator('body').ariaSnapshot());
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
    expect.soft(said.length, address).toBeGreaterThan(8);
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
    await expect(page.getByText(/left open to turn/)).toBeVisible();
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
    ).toBeLessThanOrEqual(0);
  });
});
