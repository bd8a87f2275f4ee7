import type { StoredQuilt } from '@lattice/contract';
import { startPlan } from '@lattice/core';
import { accessReceived } from '../src/state/accessSlice.ts';
import { createStore } from '../src/shell/store.ts';
import type { PlanItem } from '../src/state/items.ts';
import { takeUpEarlierDrafts } from '../src/sync/outbox/earlierDrafts.ts';
import { inMemory, type BrowserStore } from '../src/sync/outbox/browserStore.ts';
import { planChanged, redo, undo } from '../src/state/planSlice.ts';
import { keepMine, settle, takeTheirs } from '../src/sync/settling.ts';
import { openQuilt } from '../src/sync/saving.ts';
import { answer, answerWith, type PlainRequest } from './support/network.ts';

const plan = startPlan('sashed-sampler');

/** A server in memory that answers as the real one does; `down` makes it unreachable. */
class FakeServer {
  quilt: StoredQuilt = { id: 'q', revision: 1, updatedAt: '', savedBy: 'Kitchen tablet', plan, problems: [] };
  down = false;
  loseAnswer = false;
  puts = 0;
  fetch = async (request: PlainRequest): Promise<Response> => {
    if (this.down) throw new TypeError('network');
    if (request.method === 'PUT') {
      this.puts++;
      const { revision, plan: sent } = JSON.parse(await request.text()) as {
        revision: number;
        plan: typeof plan;
      };
      if (revision !== this.quilt.revision)
        return answer(409, { code: 'stale', message: 'stale', details: this.quilt });
      this.quilt = { ...this.quilt, revision: revision + 1, plan: sent };
      if (this.loseAnswer) {
        this.loseAnswer = false;
        throw new TypeError('network');
      }
    }
    return answer(200, this.quilt);
  };
}
let server: FakeServer;
let store: ReturnType<typeof createStore>;
/** What the browser keeps, whichever tab is open. */
let browser: BrowserStore;
/** Tabs that are open. */
let open: Set<string>;
const newTab = (tab: string) => {
  open.add(tab);
  return createStore({ tab, browser, openTabs: async () => open });
};
const drafts = async () => (await browser.items()).filter((item): item is PlanItem => item.kind === 'plan');
/** A draft that a tab left when it was closed. */
const left = (revision: number, draft: typeof plan, tab = 'closed') =>
  browser.putItem({ kind: 'plan', id: `plan-q-${tab}`, quilt: 'q', tab, order: 1, revision, plan: draft });
const state = () => store.getState().saving;
const until = async (what: () => boolean) => {
  for (let i = 0; i < 400 && !what(); i++) await jest.advanceTimersByTimeAsync(50);
  expect(what()).toBe(true);
};
const title = (text: string) => store.dispatch(planChanged({ ...plan, title: text }));

beforeEach(async () => {
  jest.useFakeTimers();
  browser = inMemory();
  open = new Set();
  server = new FakeServer();
  answerWith((request) => server.fetch(request));
  store = newTab('a');
  await store.dispatch(openQuilt('q'));
});
afterEach(() => jest.useRealTimers());

describe('autosave', () => {
  test('a change is kept in the browser at once, sent after a pause, then dropped from the browser', async () => {
    title('Changed');
    await jest.advanceTimersByTimeAsync(1);
    expect(await drafts()).toMatchObject([{ revision: 1, plan: { title: 'Changed' } }]);
    expect(server.puts).toBe(0);
    await until(() => state().state === 'saved');
    expect(server.quilt).toMatchObject({ revision: 2, plan: { title: 'Changed' } });
    expect(await drafts()).toEqual([]);
  });
  test('many changes in a row are one write; undo is saved too', async () => {
    for (const t of ['a', 'b', 'c']) title(t);
    await until(() => state().state === 'saved');
    expect(server.puts).toBe(1);
    store.dispatch(undo());
    await until(() => state().state === 'saved');
    expect(server.quilt.plan.title).toBe('b');
  });
  test('unreachable: says so, tries again by itself, nothing lost', async () => {
    server.down = true;
    title('Offline');
    await until(() => state().state === 'offline');
    expect(state().message).toContain('cannot be reached');
    expect((await drafts()).map((d) => d.plan.title)).toEqual(['Offline']);
    server.down = false;
    await until(() => state().state === 'saved');
    expect(server.quilt.plan.title).toBe('Offline');
  });
  test('an answer lost on the way is not taken for somebody else’s change', async () => {
    server.loseAnswer = true;
    title('Lost answer');
    await until(() => state().state === 'saved');
    expect(state()).toMatchObject({ revision: 2, theirs: null });
  });
  test('changed again before the lost answer is found out: the later change goes, nothing comes back', async () => {
    title('One');
    await until(() => state().state === 'saved');
    // Taken back, and the answer to that is lost; before it is tried again it is done once more.
    server.loseAnswer = true;
    store.dispatch(undo());
    await until(() => state().state === 'offline');
    expect(server.quilt.plan.title).toBe(plan.title);
    store.dispatch(redo());
    await until(() => state().state === 'saved');
    expect(store.getState().plan.present!.title).toBe('One');
    expect(server.quilt).toMatchObject({ revision: 4, plan: { title: 'One' } });
    expect(state()).toMatchObject({ theirs: null, together: null });
  });
  test('nor over a reload in between', async () => {
    title('One');
    await until(() => state().state === 'saved');
    server.loseAnswer = true;
    store.dispatch(undo());
    await until(() => state().state === 'offline');
    server.down = true;
    store.dispatch(redo());
    await until(() => state().state === 'offline');
    open.delete('a');
    server.down = false;
    store = newTab('later');
    await store.dispatch(openQuilt('q'));
    await until(() => state().state === 'saved');
    expect(server.quilt).toMatchObject({ revision: 4, plan: { title: 'One' } });
    expect(state()).toMatchObject({ theirs: null, together: null });
  });
  test('a change kept in the moment the answer comes is nobody else’s either', async () => {
    const settle = browser.settleItem;
    browser.settleItem = async (id, what) => {
      await settle(id, what);
      // Between what was sent being let go and its answer being told, a draft of before is put down.
      browser.settleItem = settle;
      await browser.putItem({
        ...{ kind: 'plan', id, quilt: 'q', tab: 'a', order: 1e9, revision: 1 },
        ...{ plan: { ...plan, title: 'Two' }, base: plan },
      } as PlanItem);
      store.dispatch(planChanged({ ...plan, title: 'Two' }));
    };
    title('One');
    await until(() => server.quilt.plan.title === 'Two' && state().state === 'saved');
    expect(state()).toMatchObject({ theirs: null, together: null });
  });
});

describe('changed elsewhere', () => {
  beforeEach(async () => {
    server.quilt = { ...server.quilt, revision: 5, plan: { ...plan, title: 'Theirs' } };
    title('Mine');
    await until(() => state().state === 'stale');
  });
  test('nothing is overwritten, and further changes wait', async () => {
    expect(server.quilt.plan.title).toBe('Theirs');
    title('Mine again');
    await jest.advanceTimersByTimeAsync(3000);
    expect(state().state).toBe('stale');
    expect(server.quilt.plan.title).toBe('Theirs');
  });
  test('keep mine: written on top of theirs', async () => {
    store.dispatch(keepMine());
    await until(() => state().state === 'saved');
    expect(server.quilt).toMatchObject({ revision: 6, plan: { title: 'Mine' } });
  });
  test('use theirs: shown, and mine is one undo away', async () => {
    store.dispatch(takeTheirs());
    expect(store.getState().plan.present!.title).toBe('Theirs');
    store.dispatch(undo());
    await until(() => state().state === 'saved');
    expect(server.quilt.plan.title).toBe('Mine');
  });
});

describe('changed elsewhere, and the two go together', () => {
  const elsewhere = (change: Partial<typeof plan>) => {
    server.quilt = { ...server.quilt, revision: 5, plan: { ...plan, ...change } };
  };
  test('what each changed by itself is put together, saved, and said; undo brings back what one had', async () => {
    elsewhere({ squaring: 1 });
    title('Mine');
    await until(() => state().state === 'saved' && state().revision === 6);
    expect(server.quilt.plan).toEqual({ ...plan, title: 'Mine', squaring: 1 });
    // Refused once, then once: what was in hand never went over theirs.
    expect(server.puts).toBe(2);
    expect(state()).toMatchObject({ theirs: null, together: expect.stringContaining('Kitchen tablet') });
    store.dispatch(undo());
    expect(store.getState().plan.present).toEqual({ ...plan, title: 'Mine' });
  });
  test('what both changed waits for a choice; theirs of that field, mine of the rest', async () => {
    elsewhere({ title: 'Theirs', squaring: 1 });
    store.dispatch(planChanged({ ...plan, title: 'Mine', seam: 0.375 }));
    await until(() => state().state === 'stale');
    const field = { path: ['title'], base: plan.title, mine: 'Mine', theirs: 'Theirs' };
    expect(await store.dispatch(settle([field]))).toBe(true);
    await until(() => state().state === 'saved');
    expect(server.quilt.plan).toEqual({ ...plan, title: 'Theirs', squaring: 1, seam: 0.375 });
  });
  test('a draft left by a closed tab is put together too, by the plan it was made to', async () => {
    await browser.putItem({
      ...{ kind: 'plan', id: 'plan-q-closed', quilt: 'q', tab: 'closed', order: 1, revision: 1 },
      plan: { ...plan, title: 'Draft' },
      base: plan,
    } as PlanItem);
    elsewhere({ squaring: 1 });
    await store.dispatch(openQuilt('q'));
    await until(() => state().state === 'saved' && state().revision === 6);
    expect(server.quilt.plan).toEqual({ ...plan, title: 'Draft', squaring: 1 });
  });
  test('changed again while it was on its way, the second change is made to the first', async () => {
    title('One');
    await until(() => state().state === 'saved');
    elsewhere({ title: 'One', squaring: 1 });
    store.dispatch(planChanged({ ...plan, title: 'One', seam: 0.375 }));
    await until(() => state().state === 'saved' && state().revision === 6);
    expect(server.quilt.plan).toEqual({ ...plan, title: 'One', squaring: 1, seam: 0.375 });
  });
});

test('let in only to look, one may try things out; nothing of it is kept or sent', async () => {
  store.dispatch(accessReceived({ who: 'view', readOnly: null, shared: true }));
  title('Tried');
  await jest.advanceTimersByTimeAsync(3000);
  expect([server.puts, await drafts()]).toEqual([0, []]);
});

test('a quilt that cannot be drawn any more is not opened as if it could: it is to be mended', async () => {
  server.quilt = { ...server.quilt, problems: [{ path: ['grid', 'across'], message: 'too wide' }] };
  await expect(newTab('m').dispatch(openQuilt('q'))).rejects.toMatchObject({
    code: 'to-mend',
    details: { revision: 1 },
  });
});

describe('a draft from an earlier visit', () => {
  test('is taken up and saved when nobody changed the quilt since', async () => {
    await left(1, { ...plan, title: 'Draft' });
    await store.dispatch(openQuilt('q'));
    expect(store.getState().plan.present!.title).toBe('Draft');
    await until(() => state().state === 'saved');
    expect(server.quilt.plan.title).toBe('Draft');
  });
  test('asks when somebody did', async () => {
    await left(1, { ...plan, title: 'Draft' });
    server.quilt = { ...server.quilt, revision: 3, plan: { ...plan, title: 'Newer' } };
    await store.dispatch(openQuilt('q'));
    await until(() => state().state === 'stale');
    expect(state().theirs?.plan.title).toBe('Newer');
  });
  test('of a tab that is still open is that tab’s own', async () => {
    open.add('b');
    await left(1, { ...plan, title: 'Being drawn' }, 'b');
    await store.dispatch(openQuilt('q'));
    await jest.advanceTimersByTimeAsync(3000);
    expect(store.getState().plan.present!.title).toBe(plan.title);
    expect(server.puts).toBe(0);
    expect((await drafts()).map((d) => d.plan.title)).toEqual(['Being drawn']);
  });
  test('is sent even when its quilt is not opened again, unless the quilt was changed meanwhile', async () => {
    await left(1, { ...plan, title: 'Draft' });
    await newTab('c').around.outbox.send();
    expect(server.quilt.plan.title).toBe('Draft');
    expect(await drafts()).toEqual([]);
    await left(1, { ...plan, title: 'Too late' });
    await newTab('d').around.outbox.send();
    expect(server.quilt.plan.title).toBe('Draft');
    // It waits for whoever opens the quilt.
    expect((await drafts()).map((d) => d.plan.title)).toEqual(['Too late']);
  });
});

describe('drafts as they were kept before there was an outbox', () => {
  afterEach(() => localStorage.clear());
  test('are taken up, whatever version they are of; what cannot be read stays where it is', async () => {
    const { borders, ...rest } = plan;
    const old = { ...rest, schemaVersion: 5, title: 'Old', borders: borders.map(({ id: _, ...b }) => b) };
    localStorage.setItem('lattice-draft-q', JSON.stringify({ revision: 1, plan: old }));
    localStorage.setItem('lattice-draft-r', '{"revision":1,"plan":{"schemaVersion":1}}');
    localStorage.setItem('lattice-theme', 'day');
    await takeUpEarlierDrafts(store.around, localStorage);
    expect((await drafts()).map((d) => [d.quilt, d.revision, d.plan.title])).toEqual([['q', 1, 'Old']]);
    expect(Object.keys(localStorage).sort()).toEqual(['lattice-draft-r', 'lattice-theme']);
    await store.dispatch(openQuilt('q'));
    expect(store.getState().plan.present!.title).toBe('Old');
    await until(() => state().state === 'saved');
    expect(server.quilt.plan.title).toBe('Old');
  });
});

test('a drag of a hundred steps is kept a few times, and as it ended', async () => {
  const kept: string[] = [];
  const put = browser.putItem;
  browser.putItem = async (item) => {
    await new Promise((done) => setTimeout(done, 5));
    if (item.kind === 'plan') kept.push(item.plan.title);
    await put(item);
  };
  for (let i = 1; i <= 100; i++) {
    store.dispatch(planChanged({ ...plan, title: `Step ${i}` }, 'drag'));
    await jest.advanceTimersByTimeAsync(1);
  }
  await until(() => state().state === 'saved');
  expect(kept.length).toBeLessThan(40);
  expect(kept.at(-1)).toBe('Step 100');
  expect(server.quilt.plan.title).toBe('Step 100');
});

describe('two tabs', () => {
  test('a draft that is stale in one outlives whatever the other saves', async () => {
    const other = newTab('b');
    await other.dispatch(openQuilt('q'));
    other.dispatch(planChanged({ ...plan, title: 'B' }));
    await until(() => other.getState().saving.state === 'saved');
    title('A');
    await until(() => state().state === 'stale');
    other.dispatch(planChanged({ ...plan, title: 'B again' }));
    await until(() => other.getState().saving.state === 'saved');
    expect(server.quilt.plan.title).toBe('B again');
    expect((await drafts()).map((d) => d.plan.title)).toEqual(['A']);
    // Closed without choosing, it is offered when the quilt is opened again.
    open.delete('a');
    const later = newTab('e');
    await later.dispatch(openQuilt('q'));
    expect(later.getState().plan.present!.title).toBe('A');
    await until(() => later.getState().saving.state === 'stale');
    expect(later.getState().saving.theirs!.plan.title).toBe('B again');
  });
});

test('undo is still there after the tab was closed and the quilt opened again', async () => {
  title('One');
  title('Two');
  await until(() => state().state === 'saved');
  await jest.advanceTimersByTimeAsync(1000);
  open.delete('a');
  const later = newTab('b');
  await later.dispatch(openQuilt('q'));
  expect(later.getState().plan.past).toHaveLength(2);
  later.dispatch(undo());
  expect(later.getState().plan.present!.title).toBe('One');
  // Changed elsewhere meanwhile, the steps of another plan are no use.
  await until(() => later.getState().saving.state === 'saved');
  server.quilt = { ...server.quilt, revision: 9, plan: { ...plan, title: 'Elsewhere' } };
  const again = newTab('c');
  open.delete('b');
  await again.dispatch(openQuilt('q'));
  expect(again.getState().plan).toMatchObject({ past: [], present: { title: 'Elsewhere' } });
});

test('changes of one drag are undone as one', () => {
  for (const sash of [1.625, 1.75, 1.875])
    store.dispatch(planChanged({ ...plan, setting: { ...plan.setting, sash } as never }, 'drag-1'));
  store.dispatch(planChanged({ ...plan, title: 'After' }));
  expect(store.getState().plan.past).toHaveLength(2);
  store.dispatch(undo());
  expect(store.getState().plan.present!.setting).toMatchObject({ sash: 1.875 });
  store.dispatch(undo());
  expect(store.getState().plan.present).toEqual(plan);
});
