import type { Page } from '@playwright/test';
import { accessible } from '../support/accessible.ts';
import { choose, expect, openCopy, tab, test } from '../support/quilt.ts';
import type { DemoServer } from '../support/server.ts';

type Look = () => Promise<void>;
type Walk = (page: Page, server: DemoServer, look: Look) => Promise<void>;

/** Walks through the screens, each examined whole. */
const WALKS: Readonly<Record<string, Walk>> = {
  async 'the shelf, an answer, safe keeping, practice'(page, server, look) {
    await page.goto(server.address);
    await expect(page.getByRole('link', { name: 'Potting-shed raffle quilt' }).first()).toBeVisible();
    await look();
    await page.goto(`${server.address}ask/binding`);
    await expect(page.getByTestId('headline')).toBeVisible();
    await look();
    await page.goto(`${server.address}keeping`);
    await expect(page.getByText('Everything kept takes')).toBeVisible();
    await look();
    for (const place of ['practice', 'practice/sheet']) {
      await page.goto(server.address + place);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await look();
    }
  },
  async 'setting and its sheets'(page, server, look) {
    await openCopy(page, server);
    await page.getByRole('button', { name: 'Versions' }).click();
    await expect(page.getByRole('dialog')).toContainText('None yet');
    await look();
    await page.keyboard.press('Escape');
    await look();
    for (const name of ['Pieces', 'Buy']) {
      await tab(page, name);
      await look();
    }
    await tab(page, 'Choose');
    await page.getByRole('button', { name: 'Fit to a target…' }).click();
    await expect(page.getByText('best first')).toBeVisible();
    await look();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Split into smaller quilts…' }).click();
    await expect(page.getByRole('list', { name: 'Ways to split' })).toBeVisible();
    await look();
  },
  async 'borders, blocks, wall'(page, server, look) {
    await openCopy(page, server);
    await page.getByRole('link', { name: 'Borders' }).click();
    await expect(page.getByTestId('corner')).toBeVisible();
    await page.getByRole('button', { name: 'The centre' }).click();
    await page.getByText('Cloth or piecing that repeats').first().click();
    await look();
    await page.getByRole('link', { name: 'Blocks' }).click();
    await expect(page.getByRole('slider', { name: 'Cut all to' })).toBeVisible();
    await page.getByText('Take readings from a tape').click();
    await look();
    await page.getByRole('button', { name: 'Open Wheelbarrow' }).click();
    await look();
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Wall' }).click();
    await expect(page.locator('[data-place="0"]')).toBeVisible();
    await look();
  },
  async 'layers, edge, cut'(page, server, look) {
    await openCopy(page, server);
    await page.getByRole('link', { name: 'Layers' }).click();
    await expect(page.getByTestId('backing-because')).toBeVisible();
    await page.getByRole('button', { name: 'Measure it' }).click();
    await look();
    await choose(page, /Quilted/, 'Send it to a long-arm service');
    await page.getByRole('button', { name: 'Ask the long-arm service' }).click();
    await expect(page.getByText('It takes this job')).toBeVisible();
    await look();
    await page.getByRole('link', { name: 'Edge' }).click();
    await expect(page.getByTestId('edge-corner')).toBeVisible();
    await look();
    await page.getByText('All round', { exact: true }).first().click();
    await expect(page.getByTestId('edge-round')).toBeVisible();
    await look();
    await page.getByRole('link', { name: 'Cut', exact: true }).click();
    await expect(page.getByTestId('cut-so-far')).toBeVisible();
    await look();
  },
  async 'journal and the papers of a group'(page, server, look) {
    await openCopy(page, server);
    await page.getByRole('link', { name: 'Journal' }).click();
    for (const name of ['Journal', 'Time', 'Record', 'Ready?']) {
      await tab(page, name);
      await look();
    }
    await expect(page.getByTestId('ready-chance')).toBeVisible();
    await look();
    for (const place of ['group', 'request', 'sewing-day', 'label']) {
      await page.goto(page.url().replace(/\/(journal|group|request|sewing-day).*$/, `/${place}`));
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await look();
    }
  },
};

for (const [screens, walk] of Object.entries(WALKS))
  test(`no fault axe can find, by day and in the evening: ${screens}`, async ({ page, server }) => {
    const light = (colorScheme: 'light' | 'dark') =>
      page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
    await light('light');
    await walk(page, server, async () => {
      await accessible(page);
      // What is named and built how does not change with the light: only colours are looked at again.
      await light('dark');
      await accessible(page, 'colours');
      await light('light');
    });
  });
