import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { addCopy, expect, expectSize, fill, saved, test } from '../support/quilt.ts';
import { DemoServer } from '../support/server.ts';

test.use({ serviceWorkers: 'allow' });

const dist = path.resolve(import.meta.dirname, '../../apps/web/dist');
const keptByBrowser = (page: Page, where: string) =>
  expect.poll(() => page.evaluate(async (url) => (await caches.match(url)) !== undefined, where));

test('without the server the app opens, works on what it has, and sends when it can', async ({ page }) => {
  // Several pages, and servers that stop and start.
  test.slow();
  const server = new DemoServer();
  await server.start();
  const id = await addCopy(page, server, 'Kept by the browser');
  await page.goto(`${server.address}quilts/${id}/setting`);
  await expectSize(page, '70 × 81 1/2″');
  // From the first visit on.
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await keptByBrowser(page, `/api/quilts/${id}`).toBe(true);
  await page.goto(server.address);
  await expect(page.getByRole('link', { name: 'Kept by the browser' })).toBeVisible();
  await keptByBrowser(page, '/api/quilts').toBe(true);
  await server.stop();

  await page.reload();
  await page.getByRole('link', { name: 'Kept by the browser' }).click();
  await page.getByRole('link', { name: 'Setting' }).click();
  await expectSize(page, '70 × 81 1/2″');
  await fill(page, 'Sash, finished', '2');
  await expectSize(page, '73 × 85″');
  await expect(
    page.getByText(/The server cannot be reached\. What you have is kept in this browser/),
  ).toBeVisible();
  await page.reload();
  await expectSize(page, '73 × 85″');
  // What was not gone to before opens as well.
  for (const stage of ['Wall', 'Edge', 'Layers', 'Blocks'])
    await page.getByRole('link', { name: stage, exact: false }).first().click();

  await server.start();
  await page.evaluate(() => dispatchEvent(new Event('online')));
  await saved(page);
  const { plan } = (await (await page.request.get(`${server.address}api/quilts/${id}`)).json()) as {
    plan: { setting: { sash?: number } };
  };
  expect(JSON.stringify(plan.setting)).toContain('2');
  await server.end();
});

test('a newer app is offered, never forced: it comes when the quilter takes it', async ({ page }) => {
  const web = mkdtempSync(path.join(tmpdir(), 'lattice-web-'));
  cpSync(dist, web, { recursive: true });
  const server = new DemoServer(['--web', web]);
  await server.start();
  await page.goto(server.address);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.reload();
  await page.evaluate(() => ((window as { mark?: string }).mark = 'this page'));
  appendFileSync(path.join(web, 'sw.js'), '\n// a newer one\n');
  await page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()));
  const offer = page.getByRole('status').filter({ hasText: 'A newer version of the app is ready' });
  await expect(offer).toBeVisible();
  expect(await page.evaluate(() => (window as { mark?: string }).mark)).toBe('this page');
  await offer.getByRole('button', { name: 'Update' }).click();
  await page.waitForFunction(() => (window as { mark?: string }).mark === undefined);
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await expect(offer).toBeHidden();
  await server.end();
  rmSync(web, { recursive: true });
});

test('it can be put on a telephone’s home screen', async ({ page, server }) => {
  await page.goto(server.address);
  const href = await page.locator('link[rel=manifest]').getAttribute('href');
  const manifest = (await (await page.request.get(new URL(href!, server.address).href)).json()) as {
    name: string;
    display: string;
    icons: { src: string }[];
  };
  expect(manifest).toMatchObject({ name: 'Dapper Lattice', display: 'standalone', start_url: '/' });
  for (const { src } of manifest.icons)
    expect((await page.request.get(new URL(src, server.address).href)).status()).toBe(200);
});
