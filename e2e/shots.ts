import path from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from './support/chromium.ts';
import { DEMO } from './support/quilt.ts';
import { DemoServer } from './support/server.ts';

/** One picture of each main view, from the demo as it is seeded, at 1280 × 800. */
const folder = path.resolve(import.meta.dirname, '../docs/screenshots');
const server = new DemoServer();
await server.start();
const browser = await chromium.launch({ executablePath: process.env['LATTICE_CHROMIUM'] ?? 'chromium', args: CHROMIUM_FLAGS });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme: 'light' });
const shot = async (name: string) => {
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: path.join(folder, `${name}.png`), animations: 'disabled' });
  console.log(`docs/screenshots/${name}.png`);
};
const open = async (title: string) => {
  await page.goto(server.address);
  await page.getByRole('link', { name: title }).click();
  await page.getByTestId('finished-size').waitFor();
  await page.locator('[data-tape=down]').waitFor();
};

await page.goto(server.address);
await page.getByRole('link', { name: DEMO }).waitFor();
await shot('shelf');
await open(DEMO);
await page.getByRole('slider', { name: 'Sash width' }).first().hover();
await shot('setting-sashed');
await page.getByRole('tab', { name: 'Cut' }).click();
await page.getByRole('button', { name: /why 71 sashes/ }).click();
await page.getByRole('dialog').waitFor();
await shot('setting-cut');
await page.keyboard.press('Escape');
await page.getByRole('tab', { name: 'Buy' }).click();
await shot('setting-buy');
await page.getByRole('tab', { name: 'Choose' }).click();
await page.getByRole('link', { name: 'Borders' }).click();
await page.getByTestId('corner').waitFor();
await shot('borders');
await open('Cot quilt for the corner house');
await page.getByRole('button', { name: 'Fit to a target…' }).click();
await page.getByText('best first').waitFor();
await shot('finder');
await page.getByRole('button', { name: 'Leave the quilt as it is' }).click();
await page.getByRole('button', { name: 'Evening light' }).click();
await shot('setting-on-point-evening');
await browser.close();
await server.end();
