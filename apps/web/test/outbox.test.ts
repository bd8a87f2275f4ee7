/** @jest-environment node */
import 'fake-indexeddb/auto';
import { startPlan } from '@lattice/core';
import type { EntryItem, OutboxItem, PlanItem } from '../src/state/items.ts';
import { inMemory, type BrowserStore, openBrowserStore } from '../src/sync/outbox/browserStore.ts';
import { Outbox, type OutboxEvent, type Outcome, type Senders } from '../src/sync/outbox/outbox.ts';
import type { Answers } from '../src/sync/outbox/answers.ts';

const plan = startPlan('sashed-sampler');
const entry = (name: string, order: number, change: Partial<EntryItem> = {}): EntryItem => ({
  kind: 'entry',
  id: `entry-${name}`,
  quilt: 'q',
  tab: 'a',
  order,
  entry: {
    id: `entry-${name}`,
    quilt: 'q',
    at: '2026-11-26T09:00:00Z',
    kind: 'booking-cancelled',
    body: { number: name },
  },
  ...change,
});
const draft = (title: string, order: number): PlanItem => ({
  kind: 'plan',
  id: 'plan-q-a',
  quilt: 'q',
  tab: 'a',
  order,
  revision: 1,
  plan: { ...plan, title },
});

/** What was sent, in order, and how the next answers go. */
class Post {
  sent: OutboxItem[] = [];
  answers: Outcome<never>[] = [];
  during: () => Promise<void> = async () => undefined;
  private readonly take = async (item: OutboxItem): Promise<Outcome<never>> => {
    this.sent.push(item);
    await this.during();
    return this.answers.shift() ?? { went: 'done', answer: { revision: 2 } as never };
  };
  senders = {
    plan: this.take,
    quilt: this.take,
    entry: this.take,
    picture: this.take,
    booking: this.take,
    cancel: this.take,
  } as unknown as Senders<Answers>;
}

const notYet: Outcome<never> = { went: 'not-yet', message: 'Out of reach.' };
const refused: Outcome<never> = { went: 'refused', code: 'bad-request', message: 'No.', details: null };

function outboxOver(browser: BrowserStore, post: Post, open: string[] = ['a']) {
  const heard: OutboxEvent<Answers>[] = [];
  const outbox = new Outbox<Answers>({
    browser,
    senders: post.senders,
    tab: 'a',
    openTabs: async () => new Set(open),
    tell: (event) => heard.push(event),
    left: (sent, now, answer) =>
      now.kind === 'plan' && now.order !== sent.order
        ? { ...now, revision: (answer as { revision: number }).revision }
        : null,
  });
  return { outbox, heard, names: () => post.sent.map((item) => item.id.replace('entry-', '')) };
}

describe.each([
  ['in the browser’s database', openBrowserStore],
  ['in memory', async () => inMemory()],
])('the outbox, kept %s', (_, open) => {
  let browser: BrowserStore;
  let post: Post;
  beforeEach(async () => {
    browser = await open();
    for (const { id } of await browser.items()) await browser.dropItem(id);
    post = new Post();
  });

  test('sends in the order things were done, and lets go only what was taken', async () => {
    const { outbox, names } = outboxOver(browser, post);
    for (const [name, order] of [
      ['two', 2],
      ['one', 1],
      ['three', 3],
    ] as const)
      await outbox.keep(entry(name, order));
    post.answers = [{ went: 'done', answer: null as never }, notYet];
    await outbox.send();
    expect(names()).toEqual(['one', 'two']);
    expect((await outbox.items()).map((i) => i.id)).toEqual(['entry-two', 'entry-three']);
    await outbox.send();
    expect(names()).toEqual(['one', 'two', 'two', 'three']);
    expect(await outbox.items()).toEqual([]);
  });

  test('one item’s own trouble holds up what comes after it of its quilt, and nothing else; in the end it waits for a word', async () => {
    jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] });
    const fault: Outcome<never> = { went: 'not-yet', message: 'A fault of the app.', alone: true };
    const failing = new Set(['entry-one']);
    post.senders = Object.fromEntries(
      Object.keys(post.senders).map((kind) => [
        kind,
        async (item: OutboxItem) => {
          post.sent.push(item);
          return failing.has(item.id) ? fault : { went: 'done', answer: { revision: 2 } };
        },
      ]),
    ) as unknown as Senders<Answers>;
    const { outbox: sending, heard: told } = outboxOver(browser, post);
    for (const [name, order, quilt] of [
      ['one', 1, 'q'],
      ['two', 2, 'other'],
      ['three', 3, 'q'],
      ['four', 4, 'other'],
    ] as const)
      await sending.keep(entry(name, order, { quilt }));
    await sending.send();
    expect(post.sent.map(({ id }) => id)).toEqual(['entry-one', 'entry-two', 'entry-four']);
    expect(told.find(({ what }) => what === 'not-yet')).toMatchObject({
      alone: true,
      message: 'A fault of the app.',
    });
    for (let i = 0; i < 4; i++) await sending.send();
    // Five times in vain: refused with what was said, kept, and what waited behind it has gone.
    expect((await sending.items()).map(({ id, refused: why }) => [id, why])).toEqual([
      ['entry-one', 'A fault of the app.'],
    ]);
    expect(post.sent.at(-1)!.id).toBe('entry-three');
    // Tried again by hand, and now it goes.
    failing.clear();
    await sending.tryAgain('entry-one');
    expect(await sending.items()).toEqual([]);
    jest.useRealTimers();
  });

  test('an item that this program cannot read is refused, kept, and holds nothing up', async () => {
    const { outbox, names } = outboxOver(browser, post);
    await outbox.keep({ ...entry('poisoned', 1), kind: 'of-tomorrow' } as unknown as OutboxItem);
    await outbox.keep(entry('two', 2));
    await outbox.send();
    expect(names()).toEqual(['two']);
    expect(
      (await outbox.items()).map(({ id, refused: why }) => [id, /does not know/.test(why ?? '')]),
    ).toEqual([['entry-poisoned', true]]);
  });

  test('a sender that throws is a fault of that item alone', async () => {
    const { outbox } = outboxOver(browser, post);
    post.during = async () => {
      if (post.sent.at(-1)!.id === 'entry-one') throw new Error('no file');
    };
    await outbox.keep(entry('one', 1));
    await outbox.keep(entry('two', 2, { quilt: 'other' }));
    await outbox.send();
    expect((await outbox.items()).map(({ id }) => id)).toEqual(['entry-one']);
  });

  test('what cannot be sent is tried again, with pauses twice as long each time, up to a minute', async () => {
    jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] });
    const { outbox, heard, names } = outboxOver(browser, post);
    await outbox.keep(entry('one', 1));
    post.answers = Array.from({ length: 8 }, () => notYet);
    await outbox.send();
    const pauses = () => heard.flatMap((event) => (event.what === 'not-yet' ? [event.again] : []));
    while (pauses().length < 8) {
      const before = pauses().length;
      jest.advanceTimersByTime(pauses().at(-1)! - 1);
      await new Promise((done) => setImmediate(done));
      expect(pauses()).toHaveLength(before);
      jest.advanceTimersByTime(1);
      for (let i = 0; i < 20; i++) await new Promise((done) => setImmediate(done));
    }
    expect(pauses()).toEqual([1000, 2000, 4000, 8000, 16000, 32000, 60000, 60000]);
    jest.advanceTimersByTime(60_000);
    for (let i = 0; i < 20; i++) await new Promise((done) => setImmediate(done));
    expect(names()).toHaveLength(9);
    expect(await outbox.items()).toEqual([]);
    // It went: the next hitch is a new one, and is tried again after a second.
    await outbox.keep(entry('two', 2));
    post.answers = [notYet];
    await outbox.send();
    expect(pauses().at(-1)).toBe(1000);
    jest.useRealTimers();
  });

  test('refused for good it stays, with the reason, and holds up nothing else', async () => {
    const { outbox, names } = outboxOver(browser, post);
    await outbox.keep(entry('one', 1));
    await outbox.keep(entry('two', 2));
    post.answers = [refused];
    await outbox.send();
    await outbox.send();
    expect(names()).toEqual(['one', 'two']);
    expect(await outbox.items()).toMatchObject([{ id: 'entry-one', refused: 'No.' }]);
    await outbox.drop('entry-one');
    expect(await outbox.items()).toEqual([]);
  });

  test('changes of a new quilt the server will not take wait with it', async () => {
    const { outbox, names } = outboxOver(browser, post);
    await outbox.keep({ kind: 'quilt', id: 'quilt-q', quilt: 'q', tab: 'a', order: 1, plan });
    await outbox.keep(draft('Changed', 2));
    await outbox.keep(entry('other', 3, { quilt: 'r' }));
    post.answers = [refused];
    await outbox.send();
    expect(names()).toEqual(['quilt-q', 'other']);
    expect((await outbox.items()).map((i) => i.id)).toEqual(['quilt-q', 'plan-q-a']);
  });

  test('a draft changed while it was on its way goes again, made to the new revision', async () => {
    const { outbox } = outboxOver(browser, post);
    await outbox.keep(draft('First', 1));
    post.during = async () => {
      post.during = async () => undefined;
      await outbox.keep(draft('Second', 2));
    };
    await outbox.send();
    expect(post.sent.map((i) => (i as PlanItem).plan.title)).toEqual(['First', 'Second']);
    expect((post.sent[1] as PlanItem).revision).toBe(2);
    expect(await outbox.items()).toEqual([]);
  });

  test('a change made while the last was refused is not refused with it', async () => {
    const { outbox } = outboxOver(browser, post);
    await outbox.keep(draft('First', 1));
    post.answers = [refused];
    post.during = async () => {
      post.during = async () => undefined;
      await outbox.keep(draft('Second', 2));
    };
    await outbox.send();
    expect(post.sent).toHaveLength(2);
    expect(await outbox.items()).toEqual([]);
  });

  test('what another open tab has put there is that tab’s to send; what a closed one left is taken up', async () => {
    const { outbox, names } = outboxOver(browser, post, ['a', 'b']);
    await outbox.keep(entry('mine', 1));
    await outbox.keep(entry('theirs', 2, { tab: 'b' }));
    await outbox.keep(entry('left', 3, { tab: 'closed' }));
    await outbox.send();
    expect(names()).toEqual(['mine', 'left']);
    expect((await outbox.items()).map((i) => i.id)).toEqual(['entry-theirs']);
  });
});

test('the database is there for the next visit: what waits, undo, and the log as far as it was heard', async () => {
  const first = await openBrowserStore();
  for (const { id } of await first.items()) await first.dropItem(id);
  const waiting = entry('later', 7);
  await first.putItem(waiting);
  await first.keepHistory({ quilt: 'q', past: [plan], present: { ...plan, title: 'Now' }, future: [] });
  await first.addToLog([waiting.entry], 12);
  await first.addToLog([waiting.entry]);
  const next = await openBrowserStore();
  expect(await next.lasts()).toBe(true);
  expect(await next.items()).toEqual([waiting]);
  expect(await next.history('q')).toMatchObject({ past: [plan], present: { title: 'Now' } });
  expect(await next.history('other')).toBeNull();
  expect(await next.log()).toEqual({ entries: [waiting.entry], heardTo: 12 });
});
