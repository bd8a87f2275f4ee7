import type { Page } from '@playwright/test';
import { Acts, type By } from '../support/acts.ts';
import { DEMO, expect, plain, size, test } from '../support/quilt.ts';
import type { DemoServer } from '../support/server.ts';

/** What is at hand in a job. */
interface Job {
  readonly name: string;
  /** Acts it may take by mouse, by finger and by keys; they are not to grow. (By keys a tab or two more, as a note lies on the shelf or not.) */
  readonly most: Readonly<Record<By, number>>;
  readonly does: (page: Page, acts: Acts) => Promise<void>;
}

const line = (page: Page) => page.getByRole('textbox', { name: 'How many, and how large?' });
const radio = (page: Page, name: RegExp | string) => page.getByRole('radio', { name });
const layItOut = async (page: Page, acts: Acts) => {
  const button = page.getByRole('button', { name: 'Lay it out' });
  await expect(button).toBeEnabled();
  await acts.press(button);
};
const pieces = async (page: Page, acts: Acts) => {
  await expect(size(page)).toBeVisible();
  await acts.press(page.getByRole('tab', { name: 'Pieces' }));
  return page.getByTestId('cutting-list');
};
/** From the shelf to a quilt of blocks: what they are, how they are set, its border. */
const ofBlocks = async (
  page: Page,
  acts: Acts,
  { said, setting, border }: { said: string; setting?: RegExp; border?: string },
) => {
  await acts.press(page.getByRole('link', { name: 'New quilt' }));
  await acts.into(line(page));
  await acts.type(said);
  if (setting) await acts.choose(radio(page, setting));
  if (border) await acts.choose(radio(page, border));
  await layItOut(page, acts);
};
/** A quilt that is there already, measured. */
const ofWhole = async (page: Page, acts: Acts, width: string, height: string) => {
  await acts.press(page.getByRole('link', { name: 'New quilt' }));
  await acts.choose(radio(page, 'A finished top or quilt'));
  await acts.into(page.getByRole('textbox', { name: 'Its width' }));
  await acts.type(width);
  await acts.into(page.getByRole('textbox', { name: 'Its height' }));
  await acts.type(height);
  await acts.key('Enter');
  await expect(page.getByTestId('edge-corner')).toBeVisible();
};
const sizeIs = (page: Page, text: string) => expect.poll(() => plain(size(page))).toBe(text);

const JOBS: readonly Job[] = [
  {
    name: '12 blocks of 12", sashed with cornerstones, a 2 1/2" border',
    most: { mouse: 9, touch: 9, keyboard: 25 },
    async does(page, acts) {
      await ofBlocks(page, acts, { said: '12 12', border: '2 1/2 border' });
      const list = await pieces(page, acts);
      // 3 × 12 + 4 × 1 1/2 + 5 and 4 × 12 + 5 × 1 1/2 + 5 (common practice: finished sizes add up).
      await sizeIs(page, '47 × 60 1/2″');
      await expect.poll(() => plain(list)).toContain('Sashes 31 at 2 × 12 1/2″');
      await expect.poll(() => plain(list)).toContain('Cornerstones 20 at 2 × 2″');
    },
  },
  {
    name: '112 squares of 5"',
    most: { mouse: 13, touch: 13, keyboard: 34 },
    async does(page, acts) {
      await ofBlocks(page, acts, { said: '112 5 cut', setting: /^Edge to edge/ });
      await pieces(page, acts);
      // Ten by eleven of 4 1/2 finished.
      await sizeIs(page, '45 × 49 1/2″');
    },
  },
  {
    name: 'two 10" blocks on point',
    most: { mouse: 8, touch: 8, keyboard: 22 },
    async does(page, acts) {
      await ofBlocks(page, acts, { said: '2 10', setting: /^On point:/ });
      const list = await pieces(page, acts);
      // A 10" block is 14.142" across (geometry); its corner triangles come from 7 7/8 (trade rule: 10 ÷ 2 × √2 + 7/8, up).
      await sizeIs(page, '14 1/8 × 28 1/4″');
      await expect.poll(() => plain(list)).toMatch(/orner triangles/);
    },
  },
  {
    name: '56 blocks, framed',
    most: { mouse: 8, touch: 8, keyboard: 25 },
    async does(page, acts) {
      await ofBlocks(page, acts, { said: '56 8', setting: /^Framed/ });
      const list = await pieces(page, acts);
      await expect.poll(() => plain(list)).toContain('224');
    },
  },
  {
    name: 'covered sashing between quilted blocks',
    most: { mouse: 9, touch: 9, keyboard: 30 },
    async does(page, acts) {
      await ofBlocks(page, acts, { said: '12 12', setting: /^Quilted blocks/ });
      const list = await pieces(page, acts);
      // Fronts are cut at twice the 2" they finish at (rule ST-8).
      await expect.poll(() => plain(list)).toContain('Upright sashes, front 8 at 4 × 12 1/2″');
    },
  },
  {
    name: 'a finished quilt of 65 × 78, bound',
    most: { mouse: 8, touch: 8, keyboard: 22 },
    async does(page, acts) {
      await ofWhole(page, acts, '65', '78');
      await sizeIs(page, '65 × 78″');
      // 2 × (65 + 78) + 10 is 296 (common practice).
      await expect(page.getByTestId('binding-figures')).toContainText('296');
    },
  },
  {
    name: 'a flange from three places each way',
    most: { mouse: 41, touch: 41, keyboard: 61 },
    async does(page, acts) {
      await ofWhole(page, acts, '59 7/8, 60, 60 1/8', '71 7/8, 72, 72 1/8');
      await sizeIs(page, '60 × 72″');
      await acts.press(page.getByRole('button', { name: 'Flange' }));
      await expect(page.getByTestId('flange')).toContainText('72');
    },
  },
  {
    name: 'prairie points on 40 × 52',
    most: { mouse: 10, touch: 10, keyboard: 32 },
    async does(page, acts) {
      await ofWhole(page, acts, '40', '52');
      await acts.press(page.getByRole('button', { name: 'Prairie points' }));
      await acts.press(page.getByRole('button', { name: 'Use prairie points instead' }));
      await expect(page.getByTestId('points')).toContainText('Points in all');
    },
  },
  {
    name: 'a queen from thirty 10" blocks',
    most: { mouse: 9, touch: 9, keyboard: 28 },
    async does(page, acts) {
      await acts.press(page.getByRole('link', { name: 'New quilt' }));
      await acts.into(line(page));
      await acts.type('30 10');
      await acts.choose(radio(page, 'For a bed'));
      await expect(page.getByTestId('begun-size')).toBeVisible();
      await layItOut(page, acts);
      await pieces(page, acts);
      await expect(
        page
          .getByRole('status')
          .filter({ hasText: /target/i })
          .first(),
      ).toBeVisible();
    },
  },
  {
    name: 'all in centimetres',
    most: { mouse: 11, touch: 11, keyboard: 26 },
    async does(page, acts) {
      await ofBlocks(page, acts, { said: '30 25 cm' });
      const list = await pieces(page, acts);
      // 5 × 25 + 6 × 4 and 6 × 25 + 7 × 4.
      await sizeIs(page, '149 × 178 cm');
      await expect.poll(() => plain(list)).toContain('5.5 × 26.5 cm');
    },
  },
];

const run = (by: By) => {
  for (const { name, most, does } of JOBS)
    test(`${name}: at most ${most[by]} acts`, async ({ page, server }) => {
      await start(page, server);
      const acts = new Acts(page, by);
      await does(page, acts);
      expect(acts.count).toBeLessThanOrEqual(most[by]);
    });
};
const start = async (page: Page, server: DemoServer) => {
  await page.goto(server.address);
  await expect(page.getByRole('link', { name: 'New quilt' })).toBeVisible();
  // Until its cards are there the shelf still moves under the finger.
  await expect(page.getByText(DEMO).first()).toBeVisible();
};

test.describe('from the shelf to a drawn quilt and its pieces, by mouse', () => run('mouse'));
test.describe('the same by keyboard alone', () => run('keyboard'));
test.describe('the same by touch on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  run('touch');
});
