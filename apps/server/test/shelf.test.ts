import { computeQuilt, type Plan, startPlan } from '@lattice/core';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';

const start = startPlan('sashed-sampler');
let database: Database;
let clock = 0;
const outside = {
  now: () => new Date(Date.UTC(2026, 10, 1) + 60_000 * clock++),
  newId: () => `quilt-${++clock}`,
  random: () => 0.5,
};
const app = () => createApp({ database, outside });
const add = async (change: Partial<Plan>): Promise<string> =>
  (
    await request(app())
      .post('/api/quilts')
      .send({ plan: { ...start, ...change } })
  ).body.id as string;
const titles = async (query: object): Promise<string[]> => {
  const { body } = await request(app()).get('/api/quilts').query(query);
  return (body.quilts as { card: { title: string } }[]).map(({ card }) => card.title);
};

beforeEach(async () => {
  database = await openDatabase(':memory:');
  clock = 0;
});
afterEach(() => database.close());

describe('the shelf is searched, sorted and narrowed', () => {
  beforeEach(async () => {
    await add({ title: 'Marsh', tags: ['guild'] });
    await add({ title: 'Beacon', tags: ['presents', 'guild'] });
    await add({ title: 'Cove', pile: [{ id: 'a', name: 'A', width: null, height: null }] });
  });
  test('by name, newest first, last worked on first', async () => {
    expect(await titles({ sort: 'name' })).toEqual(['Beacon', 'Cove', 'Marsh']);
    expect(await titles({ sort: 'newest' })).toEqual(['Cove', 'Beacon', 'Marsh']);
    expect(await titles({})).toEqual(['Cove', 'Beacon', 'Marsh']);
  });
  test('pages follow one another in every order, each quilt once', async () => {
    for (const sort of ['recent', 'newest', 'name']) {
      const seen: string[] = [];
      for (let after: string | null = ''; after !== null;) {
        const query = { sort, count: 1, ...(after ? { after } : {}) };
        const { body } = await request(app()).get('/api/quilts').query(query);
        seen.push(...(body.quilts as { card: { title: string } }[]).map(({ card }) => card.title));
        after = body.next as string | null;
      }
      expect([...seen].sort()).toEqual(['Beacon', 'Cove', 'Marsh']);
    }
  });
  test('by words in a name or a tag, by stage, by tag; every tag is told', async () => {
    expect(await titles({ words: 'guil', sort: 'name' })).toEqual(['Beacon', 'Marsh']);
    expect(await titles({ words: 'COV' })).toEqual(['Cove']);
    expect(await titles({ stage: 'blocks' })).toEqual(['Cove']);
    expect(await titles({ tag: 'presents' })).toEqual(['Beacon']);
    expect(await titles({ tag: 'guild', words: 'mar' })).toEqual(['Marsh']);
    expect((await request(app()).get('/api/quilts')).body.tags).toEqual(['guild', 'presents']);
  });
  test('what is in a question is never taken for a pattern; what cannot be asked is refused', async () => {
    expect(await titles({ words: '%' })).toEqual([]);
    expect(await titles({ tag: "' or 1=1 --" })).toEqual([]);
    expect((await request(app()).get('/api/quilts').query({ sort: 'random' })).status).toBe(400);
    expect((await request(app()).get('/api/quilts').query({ stage: 'lunch' })).status).toBe(400);
  });
  test('cards from before there were tags are made when they are asked for', async () => {
    await database.knex('quilts').update({ card: null });
    expect(await titles({ tag: 'presents' })).toEqual(['Beacon']);
  });
});

test('what was taken off is listed, the last first, and put back', async () => {
  const [first, second] = [await add({ title: 'First' }), await add({ title: 'Second' })];
  await request(app()).delete(`/api/quilts/${first}`);
  await request(app()).delete(`/api/quilts/${second}`);
  const { body } = await request(app()).get('/api/quilts/taken-off');
  expect(body.quilts).toMatchObject([
    { id: second, card: { title: 'Second' }, removedAt: expect.stringMatching(/^2026-/) },
    { id: first, card: { title: 'First' } },
  ]);
  await database.knex('quilts').update({ card: null });
  expect((await request(app()).get('/api/quilts/taken-off')).body.quilts).toHaveLength(2);
  await request(app()).post(`/api/quilts/${first}/restore`);
  expect(await titles({})).toEqual(['First']);
  expect((await request(app()).get('/api/quilts/taken-off')).body.quilts).toHaveLength(1);
});

test('a card says the size the quilt itself says: measured where it was measured', async () => {
  const three = (value: number): [number, number, number] => [value, value, value];
  const plan = { ...start, measured: [{ borders: 0, width: three(42.25), height: three(56.25) }] };
  await add(plan);
  const [{ card }] = (await request(app()).get('/api/quilts')).body.quilts as [
    { card: { width: number; height: number } },
  ];
  const { width, height } = computeQuilt(plan).finished;
  expect([card.width, card.height]).toEqual([width.value, height.value]);
  // Raw 42 1/4 less two seams is 41 3/4, and two borders of 4" make 49 3/4 (arithmetic).
  expect(card.width).toBe(49.75);
});
