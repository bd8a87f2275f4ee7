import { test as base, expect, type Locator, type Page } from '@playwright/test';
import { DemoServer } from './server.ts';

/** Each test file gets a server of its own; each page reports what it complained of. */
export const test = base.extend<{ complaints: string[] }, { server: DemoServer }>({
  server: [
    async ({}, use) => {
      const server = new DemoServer();
      await server.start();
      await use(server);
      await server.end();
    },
    { scope: 'worker' },
  ],
  complaints: [
    async ({ page }, use, { title, expectedStatus }) => {
      const complaints: string[] = [];
      const calls = callsOf(page);
      page.on('pageerror', (error) => complaints.push(error.message));
      await use(complaints);
      if (test.info().status !== expectedStatus) console.log(await lastWords(title, page, calls));
      expect(complaints).toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

/** Every call of the server a page makes, with what came of it, as they come. */
function callsOf(page: Page): string[] {
  const calls: string[] = [];
  const note = (method: string, url: string, came: string | number) => {
    const { pathname } = new URL(url);
    if (pathname.startsWith('/api/')) calls.push(`${method} ${pathname} ${came}`);
  };
  page.on('response', (answer) => note(answer.request().method(), answer.url(), answer.status()));
  page.on('requestfailed', (lost) => note(lost.method(), lost.url(), lost.failure()?.errorText ?? 'lost'));
  return calls;
}

/** What a page that failed its test showed at its top and had asked for last: a fault seldom seen is seen once. */
async function lastWords(title: string, page: Page, calls: readonly string[]): Promise<string> {
  const top = await page
    .getByRole('banner')
    .ariaSnapshot({ timeout: 2000 })
    .catch(() => 'no page any more');
  return [
    `Last words of “${title}”`,
    `  ${plainText(top)}`,
    ...calls.slice(-40).map((call) => `  ${call}`),
  ].join('\n');
}

export const DEMO = 'Potting-shed raffle quilt';

/** Puts a copy of a demo quilt on the shelf under a name of its own, so that tests do not meet; answers its id. */
export async function addCopy(page: Page, server: DemoServer, name: string, title = DEMO): Promise<string> {
  const id = await idOf(page, server, title);
  const { plan } = (await (await page.request.get(`${server.address}api/quilts/${id}`)).json()) as {
    plan: object;
  };
  const added = await page.request.post(`${server.address}api/quilts`, {
    data: { plan: { ...plan, title: name } },
  });
  return ((await added.json()) as { id: string }).id;
}

/** Id of the quilt of this very title, however many pages of the shelf lie before it. */
async function idOf(page: Page, server: DemoServer, title: string): Promise<string> {
  for (let after = ''; ;) {
    const asked = `${server.address}api/quilts${after && `?after=${encodeURIComponent(after)}`}`;
    const { quilts, next } = (await (await page.request.get(asked)).json()) as {
      quilts: { id: string; card: { title: string } }[];
      next: string | null;
    };
    const found = quilts.find(({ card }) => card.title === title);
    if (found) return found.id;
    if (next === null) throw new Error(`No quilt is called ${title}.`);
    after = next;
  }
}

/** Opens a fresh copy of a demo quilt. The demo quilts themselves stay as they were seeded. */
export async function openCopy(page: Page, server: DemoServer, title = DEMO): Promise<void> {
  const id = await addCopy(page, server, `${title} ${Math.random()}`, title);
  await page.goto(`${server.address}quilts/${id}/setting`);
  await expect(size(page)).toBeVisible();
}

/** Begins a quilt of blocks as a maker does: on the page for a new one, in one line. Answers when it lies open. */
export async function begin(
  page: Page,
  server: DemoServer,
  { line, setting, border }: { line: string; setting: RegExp; border?: string },
): Promise<void> {
  await page.goto(`${server.address}new`);
  await page.getByRole('textbox', { name: 'How many, and how large?' }).fill(line);
  await page.getByRole('radio', { name: setting }).locator('xpath=ancestor::label').click();
  if (border) await page.getByText(border, { exact: true }).click();
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(size(page)).toBeVisible();
}

export const size = (page: Page): Locator => page.getByTestId('finished-size');
const plainText = (text: string): string => text.replace(/\s+/g, ' ').trim();
/** Text of an element on one line. */
export const plain = async (locator: Locator): Promise<string> => plainText(await locator.innerText());
export const expectSize = (page: Page, text: string) => expect.poll(() => plain(size(page))).toBe(text);
export const saved = (page: Page) => expect(page.getByText(/^Saved · revision \d+$/)).toBeVisible();
export const field = (page: Page, label: string): Locator =>
  page.getByRole('textbox', { name: label, exact: true });
export const tab = (page: Page, name: string) => page.getByRole('tab', { name }).click();

/** Opens a pick list by what its button says and takes an option. */
export async function choose(page: Page, what: RegExp, option: string | RegExp, nth = 0): Promise<void> {
  await page.getByRole('button', { name: what }).nth(nth).click();
  await page.getByRole('option', { name: option }).click();
}

/** Types into a field and leaves it. */
export async function fill(page: Page, label: string, text: string): Promise<void> {
  await field(page, label).fill(text);
  await field(page, label).press('Enter');
}
