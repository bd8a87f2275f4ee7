import { startPlan } from '@lattice/core';
import type { StoredQuilt } from '../src/app/api.ts';
import { createStore } from '../src/app/store.ts';
import { findDraft, keepDraft } from '../src/quilt/draft.ts';
import { planChanged, undo } from '../src/quilt/planSlice.ts';
import { keepMine, openQuilt, takeTheirs } from '../src/quilt/saving.ts';
import { answer, answerWith, type PlainRequest } from './support/network.ts';

const plan = startPlan('sashed-sampler');

/** A server in memory that answers as the real one does; `down` makes it unreachable. */
class FakeServer {
  quilt: StoredQuilt = { id: 'q', revision: 1, updatedAt: '', plan };
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
const state = () => store.getState().saving;
const until = async (what: () => boolean) => {
  for (let i = 0; i < 400 && !what(); i++) await jest.advanceTimersByTimeAsync(50);
  expect(what()).toBe(true);
};
const title = (text: string) => store.dispatch(planChanged({ ...plan, title: text }));

beforeEach(async () => {
  jest.useFakeTimers();
  localStorage.clear();
  server = new FakeServer();
  answerWith((request) => server.fetch(request));
  store = createStore();
  await store.dispatch(openQuilt('q'));
});
afterEach(() => jest.useRealTimers());

describe('autosave', () => {
  test('a change is kept in the browser at once, sent after a pause, then dropped from the browser', async () => {
    title('Changed');
    expect(findDraft('q')).toMatchObject({ revision: 1, plan: { title: 'Changed' } });
    await until(() => state().state === 'saved');
    expect(server.quilt).toMatchObject({ revision: 2, plan: { title: 'Changed' } });
    expect(findDraft('q')).toBeNull();
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
    expect(findDraft('q')?.plan.title).toBe('Offline');
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

describe('a draft from an earlier visit', () => {
  test('is taken up and saved when nobody changed the quilt since', async () => {
    keepDraft('q', { revision: 1, plan: { ...plan, title: 'Draft' } });
    await store.dispatch(openQuilt('q'));
    expect(store.getState().plan.present!.title).toBe('Draft');
    await until(() => state().state === 'saved');
    expect(server.quilt.plan.title).toBe('Draft');
  });
  test('asks when somebody did', async () => {
    keepDraft('q', { revision: 1, plan: { ...plan, title: 'Draft' } });
    server.quilt = { ...server.quilt, revision: 3, plan: { ...plan, title: 'Newer' } };
    await store.dispatch(openQuilt('q'));
    await until(() => state().state === 'stale');
    expect(state().theirs?.plan.title).toBe('Newer');
  });
  test('that cannot be read is passed over', async () => {
    localStorage.setItem('lattice-draft-q', '{"revision":1,"plan":{"schemaVersion":1}}');
    await store.dispatch(openQuilt('q'));
    expect(store.getState().plan.present!.title).toBe(plan.title);
  });
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
