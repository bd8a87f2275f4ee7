import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from './support/chromium.ts';
import { DEMO } from './support/quilt.ts';
import { DemoServer } from './support/server.ts';

/** One picture of each main view, from the demo as it is seeded, at 1280 × 800. */
const folder = path.resolve(import.meta.dirname, '../docs/screenshots');
/** A block beside the printed sheet, taken by the tests' own camera. */
const photo = path.join(mkdtempSync(path.join(tmpdir(), 'lattice-shot-')), 'block.jpg');
spawnSync(
  process.execPath,
  ['--import', 'tsx', 'packages/photo/test/support/save.mts', photo, 'chance:2:1800'],
  { cwd: path.resolve(import.meta.dirname, '..') },
);
const server = new DemoServer();
await server.start();
const browser = await chromium.launch({
  executablePath: process.env['LATTICE_CHROMIUM'] ?? 'chromium',
  args: CHROMIUM_FLAGS,
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme: 'light' });
const shot = async (name: string) => {
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: path.join(folder, `${name}.png`), animations: 'disabled' });
  console.log(`docs/screenshots/${name}.png`);
};
const open = async (title: string) => {
  await page.goto(server.address);
  await page.getByRole('link', { name: title }).click();
  await page.getByRole('link', { name: 'Setting' }).click();
  await page.getByTestId('finished-size').waitFor();
  await page.locator('[data-tape=down]').waitFor();
};

const fillIn = async (label: string, text: string) => {
  await page.getByRole('textbox', { name: label }).fill(text);
  await page.getByRole('textbox', { name: label }).press('Enter');
};

await page.goto(server.address);
await page.getByRole('link', { name: DEMO }).waitFor();
// What can be pressed comes after the drawings.
await page
  .getByRole('button', { name: /^Duplicate/ })
  .first()
  .waitFor();
await shot('shelf');
await page.getByRole('link', { name: 'New quilt' }).click();
await page.getByRole('textbox', { name: 'How many, and how large?' }).fill('70 of these, cut 6 1/2"');
await page
  .getByRole('radio', { name: /Edge to edge/ })
  .locator('xpath=ancestor::label')
  .click();
await page.getByTestId('begun-size').waitFor();
await shot('new');
await page.goto(`${server.address}ask/prairie-points`);
await page.getByTestId('headline').waitFor();
await shot('quick-answers');
await open(DEMO);
await page.getByRole('link', { name: 'Blocks' }).click();
await page.getByRole('slider', { name: 'Cut all to' }).waitFor();
await page.getByRole('textbox', { name: 'Robin, width' }).hover();
await shot('blocks');
await page.getByRole('button', { name: 'By photo' }).click();
const sheet = page.getByRole('dialog');
await sheet.getByRole('button', { name: /Measured by/ }).click();
await page.getByRole('option', { name: 'Printed sheet, A4' }).click();
const [chooser] = await Promise.all([
  page.waitForEvent('filechooser'),
  sheet.getByRole('button', { name: 'Choose photos' }).click(),
]);
await chooser.setFiles(photo);
await sheet.getByRole('button', { name: /^Take these for/ }).waitFor();
await sheet.getByRole('button', { name: /^Top left corner/ }).focus();
await page.waitForFunction(() => {
  const loupe = document.querySelector<HTMLCanvasElement>('[aria-hidden] canvas');
  return (loupe?.getContext('2d')?.getImageData(74, 74, 1, 1).data[3] ?? 0) > 0;
});
await shot('camera');
await page.keyboard.press('Escape');
await page.getByRole('link', { name: 'Wall' }).click();
await page.getByRole('button', { name: 'Arrange for me' }).click();
await page.getByRole('button', { name: 'Lay it out like this' }).waitFor();
await shot('wall');
await page.getByRole('button', { name: 'Leave it as it lies' }).click();
await page.getByRole('link', { name: 'Setting' }).click();
await page.locator('[data-tape=down]').waitFor();
await page.getByRole('slider', { name: 'Sash width' }).first().hover();
await shot('setting-sashed');
await page.getByRole('link', { name: 'Borders' }).click();
await page.getByTestId('corner').waitFor();
await page.getByRole('button', { name: 'The centre' }).click();
await fillIn('Width along the top', '59 3/4');
await fillIn('Height down the middle', '70 5/8');
await page.getByTestId('changes').scrollIntoViewIfNeeded();
await page.getByRole('button', { name: 'Undo' }).click();
await page.getByRole('link', { name: 'Layers' }).click();
await page.getByTestId('backing-because').waitFor();
await shot('layers');
await page.getByRole('link', { name: 'Edge' }).click();
await page.getByTestId('edge-corner').waitFor();
await page.getByRole('tab', { name: 'Choose' }).waitFor();
await shot('edge');
await page.getByRole('link', { name: 'Cut', exact: true }).click();
await page.getByTestId('cut-so-far').waitFor();
for (const said of ['10 1/2″ strip', '10 1/2″ strip', '10 1/2″ strip', 'Every 2″']) {
  await page.getByRole('button', { name: /space/ }).click();
  await page.getByRole('heading', { level: 2, name: said }).waitFor();
}
await shot('cut');
await page.getByRole('link', { name: 'Sew', exact: true }).click();
await page.getByRole('tab', { name: 'Ways' }).click();
await page
  .getByRole('radio', { name: /In rows/ })
  .locator('xpath=ancestor::label')
  .click();
await page.getByRole('heading', { name: /In rows: 0 of 150/ }).waitFor();
await page.getByRole('tab', { name: 'Steps' }).click();
await page.getByRole('link', { name: 'At the machine' }).click();
for (let seam = 1; seam <= 45; seam++) {
  await page.getByText(`seam ${seam} of 150`).waitFor();
  await page.keyboard.press('PageDown');
}
await page.getByText('seam 46 of 150').waitFor();
await shot('machine');
await page.getByRole('link', { name: 'The steps' }).click();
await page.getByRole('link', { name: 'At the machine' }).waitFor();
await shot('sew');
await page.getByRole('link', { name: 'Journal' }).click();
await page.getByRole('heading', { level: 1, name: 'Journal' }).waitFor();
await shot('journal');
await page.getByRole('tab', { name: 'Ready?' }).click();
await page.getByTestId('ready-chance').waitFor();
await shot('ready');
await open('Harbour throw, in centimetres');
await page.getByRole('link', { name: 'Borders' }).click();
await page.getByTestId('corner').waitFor();
await page.getByText(/Comes out even/).scrollIntoViewIfNeeded();
await shot('borders');
await open('Cot quilt for the corner house');
await page.getByRole('button', { name: 'Fit to a target…' }).click();
await page.getByText('best first').waitFor();
await page.getByRole('dialog').locator('canvas').waitFor();
await shot('finder');
await page.getByRole('button', { name: 'Leave the quilt as it is' }).click();
await fillIn('Float round the points', '3/4');
await page.getByRole('button', { name: 'Straight grain' }).click();
await page.getByRole('button', { name: 'Evening light' }).click();
await shot('setting-on-point-evening');
await page.getByRole('button', { name: 'Daylight' }).click();
await page.getByRole('button', { name: 'Take it with you' }).click();
await page.getByRole('dialog').getByText('To print').waitFor();
await shot('take');
await page.goto(`${server.address}practice`);
await page.getByText('All there is to practise').click();
await page.getByRole('button', { name: 'Practise: Where the straight grain lies' }).click();
await page.getByText('All there is to practise').click();
await page.locator('[data-pointable]').first().waitFor();
await shot('practice');
await browser.close();
await server.end();
