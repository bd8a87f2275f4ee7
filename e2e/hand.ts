import { type Browser, chromium, expect, type Page } from '@playwright/test';
import { blankPlan, settingOf } from '@lattice/core';
import { CHROMIUM_FLAGS } from './support/chromium.ts';
import { DEMO } from './support/quilt.ts';
import { DemoServer } from './support/server.ts';

/**
 * How quick the app is under the hand, in a real browser: tasks over 50 ms (what a hand feels, by the browser's own
 * long-task list) while a tape or a block is dragged on a quilt of 400 blocks; frames beside those of an empty page; and
 * the time to open a quilt and the shelf, beside an empty page of this app. Each line is JSON; ratios within one run.
 */
const server = new DemoServer();
await server.start();
const browser: Browser = await chromium.launch({
  executablePath: process.env['LATTICE_CHROMIUM'] ?? 'chromium',
  args: CHROMIUM_FLAGS,
});
const page: Page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
// What TypeScript is run with names functions by a helper that the page does not have.
await page.addInitScript('globalThis.__name = (named) => named');
/** When each of these was first painted, in milliseconds after the page was gone to. */
type Painted = Record<string, number>;
const LOOKED_FOR = ['h1', 'svg [data-part]', '[data-testid=finished-size]', 'li a.title', 'li .art svg use'];
await page.addInitScript((lookedFor) => {
  const painted: Painted = {};
  Object.assign(window, { painted });
  const look = () => {
    for (const what of lookedFor)
      if (!(what in painted) && document.querySelector(what)) {
        painted[what] = 0;
        // A message comes after the frame that it was sent in.
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => (painted[what] = performance.now());
        port2.postMessage(0);
      }
    requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}, LOOKED_FOR);
const say = (line: object) => console.log(JSON.stringify(line));
const round = (value: number) => Math.round(value * 100) / 100;

interface Felt {
  /** Tasks over 50 ms, in milliseconds: those begun under the hand, and the longest after it let go. */
  readonly tasks: readonly number[];
  readonly after: number;
  readonly frames: readonly number[];
}

/** What is felt while something is done: tasks over 50 ms, and how long each frame took. */
async function feel(work: () => Promise<void>): Promise<Felt> {
  // What is felt is the work under the hand, not the end of the opening before it.
  await page.evaluate(() => new Promise((done) => requestIdleCallback(done)));
  await page.evaluate(() => {
    const felt = { tasks: [] as [number, number][], frames: [] as number[], stop: false };
    Object.assign(window, { felt });
    new PerformanceObserver((list) =>
      felt.tasks.push(
        ...list.getEntries().map((task): [number, number] => [task.startTime, Math.round(task.duration)]),
      ),
    ).observe({ entryTypes: ['longtask'] });
    let last = performance.now();
    const tick = (now: number) => {
      felt.frames.push(now - last);
      last = now;
      if (!felt.stop) requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  await work();
  return page.evaluate(async () => {
    const letGo = performance.now();
    await new Promise((done) => setTimeout(done, 300));
    const { felt } = window as unknown as {
      felt: { tasks: [number, number][]; frames: number[]; stop: boolean };
    };
    felt.stop = true;
    const begun = (under: boolean) =>
      felt.tasks.filter(([start]) => start < letGo === under).map(([, duration]) => duration);
    return { tasks: begun(true), after: Math.max(0, ...begun(false)), frames: felt.frames };
  });
}

const share = (frames: readonly number[], at: number): number =>
  [...frames].sort((a, b) => a - b)[Math.min(frames.length - 1, Math.floor(frames.length * at))] ?? 0;

/** Moves the mouse from a point by so much in twenty steps, a frame each. */
async function dragBy(from: { x: number; y: number }, by: { x: number; y: number }): Promise<void> {
  await page.mouse.move(from.x, from.y);
  // A hand is over what it takes hold of a moment before it does.
  for (let i = 0; i < 20; i++) await page.evaluate(() => new Promise((done) => requestAnimationFrame(done)));
  await page.mouse.down();
  for (let i = 1; i <= 20; i++) {
    await page.mouse.move(from.x + (by.x * i) / 20, from.y + (by.y * i) / 20);
    await page.evaluate(
      () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),
    );
  }
  await page.mouse.up();
}

const middle = (box: { x: number; y: number; width: number; height: number } | null) => ({
  x: box!.x + box!.width / 2,
  y: box!.y + box!.height / 2,
});

const add = async (across: number): Promise<string> => {
  const count = across * across;
  const blank = blankPlan('in');
  const plan = {
    ...blank,
    title: `${count} blocks`,
    block: { width: 6, height: 6 },
    grid: { across, down: across },
    setting: settingOf('sashed').start('in'),
    pile: Array.from({ length: count }, (_, i) => ({
      id: `block-${i + 1}`,
      name: `Block ${i + 1}`,
      width: null,
      height: null,
    })),
  };
  const answer = await page.request.post(`${server.address}api/quilts`, { data: { plan } });
  return ((await answer.json()) as { id: string }).id;
};

try {
  /** When something was painted, told by the page itself. */
  const opened = async (address: string, there: string): Promise<number> => {
    await page.goto('about:blank');
    await page.goto(server.address + address, { waitUntil: 'commit' });
    const painted = () =>
      page.evaluate((what) => (window as unknown as { painted: Painted }).painted[what] ?? 0, there);
    await expect.poll(painted).toBeGreaterThan(0);
    return painted();
  };
  /** The shortest of some openings over the shortest of an empty page's, turn by turn: a machine has its moods. */
  const besideEmpty = async (address: string, there: string): Promise<number> => {
    const [bare, times]: [number[], number[]] = [[], []];
    for (let i = 0; i < 8; i++) {
      bare.push(await opened('nowhere', 'h1'));
      times.push(await opened(address, there));
    }
    return round(Math.min(...times) / Math.min(...bare));
  };
  const demo = await page.request.get(`${server.address}api/quilts?words=${encodeURIComponent(DEMO)}`);
  const [{ id }] = ((await demo.json()) as { quilts: [{ id: string }] }).quilts;
  say({
    case: 'a quilt opened, beside an empty page',
    drawn: await besideEmpty(`quilts/${id}/setting`, 'svg [data-part]'),
    figures: await besideEmpty(`quilts/${id}/setting`, '[data-testid=finished-size]'),
  });
  // A page of this app with nothing on it to work out: what opening it costs at the least.
  const empty: Felt = await (async () => {
    await page.goto(`${server.address}nowhere`);
    return feel(() => dragBy({ x: 300, y: 300 }, { x: 100, y: 0 }));
  })();
  const usual = share(empty.frames, 0.5);
  for (const across of [6, 20]) {
    const id = await add(across);
    // As whoever works on it has it: the browser keeps compiled what was opened a few times.
    for (let i = 0; i < 3; i++)
      await page.goto(`${server.address}quilts/${id}/setting`, { waitUntil: 'networkidle' });
    const grip = page.getByRole('slider', { name: 'Sash width' }).first();
    await grip.waitFor();
    await page.getByTestId('finished-size').waitFor();
    const tape = await feel(async () => dragBy(middle(await grip.boundingBox()), { x: 30, y: 0 }));
    say({
      case: `tape dragged, ${across * across} blocks`,
      over50: tape.tasks.length,
      longest: Math.max(0, ...tape.tasks),
      after: tape.after,
      frame: round(share(tape.frames, 0.5) / usual),
      frame90: round(share(tape.frames, 0.9) / usual),
    });
    await page.goto(`${server.address}quilts/${id}/wall`);
    const place = page.locator('[data-place="0"]');
    await place.waitFor();
    const block = await feel(async () => dragBy(middle(await place.boundingBox()), { x: 120, y: 90 }));
    say({
      case: `block dragged, ${across * across} blocks`,
      over50: block.tasks.length,
      longest: Math.max(0, ...block.tasks),
      after: block.after,
      frame: round(share(block.frames, 0.5) / usual),
      frame90: round(share(block.frames, 0.9) / usual),
    });
  }
  for (let i = 0; i < 35; i++) await add(4);
  say({
    case: 'the shelf of 40 quilts, beside an empty page',
    ratio: await besideEmpty('', 'li a.title'),
    drawn: await besideEmpty('', 'li .art svg use'),
  });
  const many = 460;
  for (let i = 0; i < many; i++) await add(2);
  say({
    case: 'the shelf of 500 quilts, beside an empty page',
    ratio: await besideEmpty('', 'li a.title'),
  });
} finally {
  await browser.close();
  await server.end();
}
