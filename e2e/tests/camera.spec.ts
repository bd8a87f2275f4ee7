import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { accessible } from '../support/accessible.ts';
import { expect, openCopy, test } from '../support/quilt.ts';

const root = path.resolve(import.meta.dirname, '../..');
const folder = mkdtempSync(path.join(tmpdir(), 'lattice-camera-'));
test.afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Takes a photo with the tests' own camera and answers what is true of it. */
function take<T>(name: string, asked: string): { file: string; truth: T } {
  const file = path.join(folder, name);
  const { stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', 'packages/photo/test/support/save.mts', file, asked],
    { cwd: root, encoding: 'utf8' },
  );
  if (!stdout) throw new Error(stderr);
  return { file, truth: JSON.parse(stdout) as T };
}

interface Measured {
  readonly block: { x: number; y: number }[];
  readonly reference: { readonly kind: string; readonly sides: [number, number] };
}

async function choose(page: Page, button: string, ...files: string[]) {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('dialog').getByRole('button', { name: button }).click(),
  ]);
  await chooser.setFiles(files);
}

/** What stands in a row of the six, in inches: whole and fraction read out as written. */
const lengthsIn = (text: string): number[] =>
  [...text.matchAll(/(?:(\d+) )?(\d+)\/(\d+)″|(\d+)″/g)].map((m) =>
    m[4] ? Number(m[4]) : Number(m[1] ?? 0) + Number(m[2]) / Number(m[3]),
  );

test('blocks measured by photos, one after another; corners moved by keys; what is no photo has a word', async ({
  page,
  server,
}) => {
  test.slow();
  const { file, truth } = take<Measured>('one.jpg', 'chance:2:1000');
  writeFileSync(path.join(folder, 'phone.heic'), Buffer.from('\0\0\0\x18ftypheic\0\0\0\0mif1heic', 'latin1'));
  await openCopy(page, server);
  await page
    .getByRole('link', { name: /^Blocks/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'By photo' }).click();
  const sheet = page.getByRole('dialog', { name: 'Measure by photo' });
  await expect(sheet).toContainText('Among four cards: the surest.');
  await choose(page, 'Choose photos', path.join(folder, 'phone.heic'));
  await expect(sheet.getByRole('alert')).toContainText('HEIC');
  // The sheet that lies there is said, and the two photos are taken in a row.
  await sheet.getByRole('button', { name: /Measured by/ }).click();
  const paper = truth.reference.sides[0] === 6.5 ? 'Printed sheet, Letter' : 'Printed sheet, A4';
  await page.getByRole('option', { name: paper }).click();
  await choose(page, 'Choose photos', file, file);
  const taking = sheet.getByRole('button', { name: /^Take these for / });
  await expect(taking).toBeVisible();
  await expect(sheet).toContainText('1 photo more in the row.');
  const six = async () => lengthsIn((await sheet.getByRole('table').textContent())!);
  const found = await six();
  expect(found).toHaveLength(6);
  const sides = truth.block.map((a, k) =>
    Math.hypot(truth.block[(k + 1) % 4]!.x - a.x, truth.block[(k + 1) % 4]!.y - a.y),
  );
  const edges = [found[0]!, found[2]!, found[3]!, found[5]!];
  const inOrder = (list: number[]) => [...list].sort((a, b) => a - b);
  inOrder(edges).forEach((v, i) => expect(Math.abs(v - inOrder(sides)[i]!)).toBeLessThan(1 / 16));
  await accessible(page);
  // A corner goes by tenths of a dot, ten of them with Shift; its edges follow.
  await sheet.getByRole('button', { name: /^Top left corner/ }).focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('Shift+ArrowLeft');
  await expect(sheet).toContainText('corners were moved by hand');
  expect((await six())[0]!).toBeGreaterThan(found[0]! + 1 / 16);
  for (let i = 0; i < 20; i++) await page.keyboard.press('Shift+ArrowRight');
  const block = (await taking.textContent())!.replace('Take these for ', '');
  await taking.click();
  await expect(sheet.getByRole('status').first()).toContainText(`${block} is measured.`);
  await expect(taking).not.toHaveText(`Take these for ${block}`);
  await taking.click();
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  // It stands in the table, to a sixteenth, along its edges too.
  const top = page.getByRole('row', { name: new RegExp(block) });
  await expect(top).toContainText(/Too small|Trim|Crooked|Fine|Ease in/);
});

test('a layout photographed on the floor is read, and put on the wall', async ({ page, server }) => {
  test.slow();
  const lies = Array.from({ length: 30 }, (_, block) => ({ block, turn: 0 }));
  [lies[4], lies[11]] = [lies[11]!, lies[4]!];
  const { file, truth } = take<{ corners: [number, number][] }>(
    'floor.jpg',
    `floor:potting-shed:3:1200:${encodeURIComponent(JSON.stringify(lies))}`,
  );
  await openCopy(page, server);
  await page.getByRole('link', { name: /^Wall/ }).first().click();
  const read = async () => {
    await page.getByRole('button', { name: 'From a photo' }).click();
    await choose(page, 'Choose a photo', file);
    const picture = page.getByRole('img', { name: 'The photo of the layout' });
    await expect(picture).toBeVisible();
    for (const [k, side] of ['Top left', 'Top right', 'Bottom right', 'Bottom left'].entries()) {
      const board = (await picture.boundingBox())!;
      const handle = (await page
        .getByRole('button', { name: new RegExp(`^${side} corner of the blocks`) })
        .boundingBox())!;
      await page.mouse.move(handle.x + handle.width / 2, handle.y + handle.height / 2);
      await page.mouse.down();
      await page.mouse.move(
        board.x + truth.corners[k]![0] * board.width,
        board.y + truth.corners[k]![1] * board.height,
        { steps: 3 },
      );
      await page.mouse.up();
    }
    await page.getByRole('button', { name: 'Read what lies where' }).click();
  };
  await read();
  const sheet = page.getByRole('dialog', { name: 'The layout, from a photo' });
  await expect(sheet).toContainText('2 of 30 places differ from the wall.');
  await expect(sheet.getByRole('list', { name: 'What differs' }).getByRole('listitem')).toHaveCount(2);
  await accessible(page);
  await sheet.getByRole('button', { name: 'Put it on the wall' }).click();
  await expect(page.getByText('The wall is as the photo shows it.')).toBeVisible();
  await read();
  await expect(sheet).toContainText('It lies as on your wall.');
});

test('a cloth photographed beside the sheet is tried on the wall', async ({ page, server }) => {
  const { file } = take<Measured>('cloth.jpg', 'chance:2:800');
  await openCopy(page, server);
  await page.getByRole('link', { name: /^Wall/ }).first().click();
  await page.getByRole('button', { name: 'By camera' }).click();
  await choose(page, 'Choose a photo', file);
  const sheet = page.getByRole('dialog', { name: 'A cloth, by camera' });
  await expect(sheet.getByRole('img', { name: /^Its colour, #/ })).toBeVisible();
  await accessible(page);
  await sheet.getByRole('button', { name: 'Try it on the wall' }).click();
  await expect(page.getByRole('button', { name: 'Use this cloth' })).toBeVisible();
});
