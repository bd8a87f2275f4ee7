import { readFile } from 'node:fs/promises';
import ICAL from 'ical.js';
import { expect, fill, openCopy, plain, test } from '../support/quilt.ts';
import type { Page } from '@playwright/test';

const to = async (page: Page, leaf: string) => {
  await page.goto(page.url().replace(/\/[^/]*$/, `/journal?leaf=${leaf}`));
};
const idOf = (page: Page) => /quilts\/([^/]+)/.exec(page.url())![1]!;
/** Writes entries of the log as another device would. */
const told = (page: Page, address: string, entries: object[]) =>
  page.request.post(`${address}api/log`, { data: { entries } });

test('a decision writes itself down, in words; a note is written, reworded and struck, and nothing vanishes', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  const sash = page.getByRole('textbox', { name: 'Sash, finished', exact: true });
  await sash.fill('1 3/4');
  await sash.press('Enter');
  await page.getByRole('link', { name: 'Journal' }).click();
  await expect(page.getByText(/Sash, finished: 1½″ → 1¾″|Sash, finished: 1 1\/2″ → 1 3\/4″/)).toBeVisible();
  await page
    .getByRole('textbox', { name: 'What happened, or was decided' })
    .fill('Remade block 17: a quarter short');
  await page.getByRole('button', { name: 'Keep the note' }).click();
  await expect(page.getByText('Remade block 17: a quarter short')).toBeVisible();
  await page.getByRole('button', { name: /^Reword/ }).click();
  await page.getByRole('textbox', { name: 'What the note says' }).fill('Remade Snail: a quarter short');
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('before: Remade block 17: a quarter short')).toBeVisible();
  await page.getByRole('button', { name: /^Strike out/ }).click();
  await expect(page.getByText('(struck out)')).toBeVisible();
  // It is still there when the page comes again, and can be looked for.
  await page.reload();
  await page.getByRole('searchbox', { name: 'Look in the journal' }).fill('snail');
  await expect(page.getByText('Remade Snail: a quarter short')).toBeVisible();
  await expect(page.getByText(/Sash, finished/)).toHaveCount(0);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'All of it as a text' }).click(),
  ]);
  const text = await readFile(await file.path(), 'utf8');
  expect(text).toContain('~~Remade Snail: a quarter short~~');
  expect(text).toContain('  - before: Remade block 17: a quarter short');
});

test('a decision is told though another quilt is opened before the hand has rested', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  const first = idOf(page);
  const sash = page.getByRole('textbox', { name: 'Sash, finished', exact: true });
  await sash.fill('2');
  await sash.press('Enter');
  // By links, so that the page itself is never left.
  await page.getByRole('link', { name: 'Dapper Lattice' }).click();
  await page
    .getByRole('link', { name: /^Cot quilt for the corner house$/ })
    .first()
    .click();
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  expect(idOf(page)).not.toBe(first);
  await expect
    .poll(async () => {
      const heard = await page.request.get(`${server.address}api/log?quilt=${first}`);
      return JSON.stringify(await heard.json());
    })
    .toContain('Sash, finished');
});

test('the clock: started at the machine, stopped in the journal; time is written down afterwards too', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.goto(page.url().replace(/setting.*$/, 'machine'));
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await expect(page.getByRole('button', { name: /^Stop the clock/ })).toBeVisible();
  // All seams of the first step, the pressing too: the clock goes along to the second.
  const step = page.getByRole('button', { name: /^(Sewn|Pressed|Done)\./ });
  const entries = async () =>
    JSON.stringify(await (await page.request.get(`${server.address}api/log?quilt=${idOf(page)}`)).json());
  for (let i = 0; i < 60 && !(await entries()).includes('clock-moved'); i++) await step.click();
  expect(await entries()).toContain('clock-moved');
  await to(page, 'time');
  await expect(page.getByRole('status').filter({ hasText: 'the clock runs' })).toContainText('Sewing, ');
  await page.getByRole('button', { name: /^Stop the clock/ }).click();
  await expect(page.getByRole('heading', { name: /at this quilt|No time/ })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Sewing' })).toHaveCount(1);
  await page.getByRole('combobox', { name: 'At which step, if you like' }).fill('Sashes by the wall');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('row', { name: 'Sashes by the wall 1 h' })).toBeVisible();
  await expect(page.getByRole('heading', { name: '1 h at this quilt' })).toBeVisible();
});

test('a photo of a note waits out of reach, over a reload too, and is the server’s when it is back', async ({
  page,
  server,
  context,
}) => {
  await openCopy(page, server);
  await to(page, 'journal');
  await expect(page.getByRole('textbox', { name: 'What happened, or was decided' })).toBeVisible();
  await context.route('**/api/pictures*', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  const picture = await page.screenshot({ clip: { x: 200, y: 300, width: 120, height: 120 } });
  const files = page.locator('input[type=file]').first();
  await files.setInputFiles({ name: 'words.txt', mimeType: 'text/plain', buffer: Buffer.from('no') });
  await expect(page.getByRole('alert').filter({ hasText: 'words.txt is no picture.' })).toBeVisible();
  await files.setInputFiles({ name: 'seam.png', mimeType: 'image/png', buffer: picture });
  await expect(page.getByRole('img', { name: /photo 1, seam.png/ })).toBeVisible();
  await page.getByRole('textbox', { name: 'What happened, or was decided' }).fill('The seam as it was');
  await page.getByRole('button', { name: 'Keep the note' }).click();
  const photo = page.getByRole('img', { name: /^Photo 1 of the note: The seam as it was/ });
  await expect(photo).toHaveAttribute('alt', /waiting to be sent$/);
  await page.reload();
  await expect(photo).toHaveAttribute('src', /^blob:/);
  await context.unroute('**/api/pictures*');
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(photo).toHaveAttribute('src', /^\/api\/pictures\//);
  await expect.poll(() => photo.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(0);
});

test('a clock left on over night: how long it was really is one press', async ({ page, server }) => {
  await openCopy(page, server);
  const quilt = idOf(page);
  // The morning after, by the page's own clock: the test looks at no other.
  const morning = Date.parse('2026-11-27T08:00:00Z');
  await page.clock.setFixedTime(morning);
  const hours = (before: number) => new Date(morning - before * 3_600_000).toISOString();
  await page.goto(`${server.address}keeping`);
  await told(page, server.address, [
    { id: `s-${quilt}`.slice(0, 40), quilt, at: hours(14), kind: 'clock-started', body: { work: 'sew' } },
    {
      id: `t-${quilt}`.slice(0, 40),
      quilt,
      at: hours(12.5),
      kind: 'seams-sewn',
      body: { unit: 'in', seams: [{ seam: 'a | b', length: 10 }] },
    },
  ]);
  await page.goto(`${server.address}quilts/${quilt}/journal?leaf=time`);
  // Where another clock was started since, it is no longer running, and asked about all the same.
  await page
    .getByRole('button', { name: /^Stop the clock|^How long was it/ })
    .first()
    .click();
  await page.getByRole('button', { name: '1 h 30: until the last thing that was ticked off' }).click();
  await expect(page.getByRole('heading', { name: '1 h 30 at this quilt' })).toBeVisible();
});

test('will it be ready: a chance, what by when, what to do first; and a calendar other programs read', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  const quilt = idOf(page);
  const day = new Date(Date.now() + 60 * 86_400_000).toISOString().slice(0, 10);
  await told(page, server.address, [
    {
      id: `d-${quilt}`.slice(0, 40),
      quilt,
      at: new Date().toISOString(),
      kind: 'due-said',
      body: { date: day, wash: false, postDays: 0 },
    },
  ]);
  await to(page, 'ready');
  await expect(page.getByTestId('ready-chance')).toHaveText(/in 10|in 20|certain|question/);
  const before = await plain(page.getByTestId('ready-chance'));
  await expect(page.getByText('Buy 5 cloths').first()).toBeVisible();
  await expect(page.getByText(/without the week of/).first()).toBeVisible();
  // Half an hour a week will not do.
  for (const [name, minutes] of [
    ['Tuesday', '15'],
    ['Thursday', '0'],
    ['Saturday', '0'],
  ] as const) {
    const field = page.getByRole('textbox', { name, exact: true });
    await field.fill(minutes);
    await field.press('Enter');
  }
  await expect(page.getByTestId('ready-chance')).toHaveText(/as good as out of the question/);
  expect(before).not.toMatch(/out of the question/);
  await expect(page.getByTestId('enough')).toContainText(/\d+ h.* more a week/);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Sittings and days, as a file' }).click(),
  ]);
  const calendar = new ICAL.Component(ICAL.parse(await readFile(await file.path(), 'utf8')) as unknown[]);
  const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
  expect(events.length).toBeGreaterThan(5);
  expect(events.some(({ startDate }) => startDate.toString() === day)).toBe(true);
  for (const { component } of events) expect(component.getAllSubcomponents('valarm')).toHaveLength(1);
});

test('the record card says what was made by whom; the label is true to size', async ({ page, server }) => {
  await openCopy(page, server);
  await to(page, 'record');
  const made = page.getByRole('textbox', { name: 'Made by' });
  await made.fill('The Lower Field society');
  await made.press('Tab');
  const card = page.getByRole('article', { name: 'Record card' });
  await expect(card).toContainText('The Lower Field society');
  await expect(card).toContainText('Marcus: Snail');
  await page.getByRole('link', { name: 'A label, true to size' }).click();
  // 4 1/2 and a seam at either side, 96 to the inch.
  await expect
    .poll(async () => (await page.getByTestId('label').boundingBox())?.width)
    .toBeCloseTo(5 * 96, 0);
  expect((await page.getByTestId('test-line').boundingBox())!.width).toBeCloseTo(96, 0);
  await expect(page.getByTestId('label')).toContainText('made by The Lower Field society');
});

test('practice: answered by keys alone, told right or wrong with the working, and kept', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}practice`);
  await page.getByText('All there is to practise').click();
  await page.getByRole('button', { name: 'Practise: Where the straight grain lies' }).click();
  const sides = page.locator('[data-pointable]');
  await expect(sides).toHaveCount(3);
  await sides.first().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: /^(Yes|Not so)/ })).toContainText(
    'straight grain lies',
  );
  await expect(page.getByRole('button', { name: 'Next' })).toBeFocused();
  await page.getByRole('button', { name: 'Practise: Strips for a binding' }).click();
  await page.getByRole('textbox', { name: 'How many' }).fill('99');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Not so' })).toContainText('usable');
  await page.reload();
  await page.getByText('All there is to practise').click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Strips for a binding' })).toContainText(
    '0 of 1 right',
  );
  await page.getByRole('link', { name: 'A sheet for a class' }).click();
  await expect(page.getByRole('heading', { name: 'Answers' })).toBeVisible();
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(13);
});

test('the group: asked, come back, thanked; sheets for a sewing day', async ({ page, server }) => {
  await openCopy(page, server);
  await page.goto(page.url().replace(/setting.*$/, 'group'));
  await expect(page.getByRole('status').filter({ hasText: '30 people' })).toContainText(
    '30 still to be thanked',
  );
  await page.getByRole('button', { name: 'Thank them: Marcus' }).click();
  await page.getByRole('textbox', { name: 'Who' }).fill('Winifred');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: '31 people' })).toContainText(
    '1 block still to come; 29 still',
  );
  await page.getByRole('link', { name: 'Sheets for a sewing day' }).click();
  await expect(page.getByRole('heading', { name: 'Table 3: 2 rows' })).toBeVisible();
  await page.goto(page.url().replace('sewing-day', 'request'));
  await expect(page.getByText('10½ × 10½″').or(page.getByText('10 1/2 × 10 1/2″')).first()).toBeVisible();
});

test('what it measured in the end is kept, with what it drew in by, on the card and in the journal', async ({
  page,
  server,
}) => {
  await openCopy(page, server);
  await page.getByRole('link', { name: 'Journal' }).click();
  await page.getByRole('tab', { name: 'Record' }).click();
  await fill(page, 'Across the middle', '68');
  await fill(page, 'Down the middle', '80');
  await page.getByRole('button', { name: 'Keep it' }).click();
  // 70 × 81 1/2 was planned: 2 in 70 and 1 1/2 in 81 1/2.
  await expect(page.getByTestId('measured-quilted')).toContainText('drawn in by 2.9 % across and 1.8 % down');
  await expect(page.getByText('Once quilted')).toBeVisible();
  await page.getByRole('tab', { name: 'Journal', exact: true }).click();
  await expect(page.getByText(/The quilt, quilted, measured 68 × 80/)).toBeVisible();
});
