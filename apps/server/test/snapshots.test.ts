import { startPlan } from '@lattice/core';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import { outsideAt } from './support/house.ts';

let database: Database;
let outside: ReturnType<typeof outsideAt>;
const ask = () => request(createApp({ database, outside }));
const plan = (title: string) => ({ ...startPlan('sashed-sampler'), title });
const add = async () =>
  (
    (
      await ask()
        .post('/api/quilts')
        .send({ plan: plan('as begun') })
    ).body as { id: string }
  ).id;
const save = (id: string, revision: number, title: string) =>
  ask()
    .put(`/api/quilts/${id}`)
    .send({ revision, plan: plan(title) });
const list = async (id: string) =>
  (await ask().get(`/api/quilts/${id}/snapshots`)).body as {
    id: string;
    name: string | null;
    madeAt: string;
  }[];
const titleOf = async (id: string, snapshot: string) =>
  ((await ask().get(`/api/quilts/${id}/snapshots/${snapshot}`)).body as { plan: { title: string } }).plan
    .title;

beforeEach(async () => {
  outside = outsideAt('2026-11-26T08:00:00Z');
  database = await openDatabase(':memory:');
});
afterEach(() => database.close());

test('a quilt as it was is kept under a name, and can be looked at whatever becomes of the quilt', async () => {
  const id = await add();
  const made = await ask().post(`/api/quilts/${id}/snapshots`).send({ name: 'before the blue border' });
  expect(made.status).toBe(201);
  await save(id, 1, 'changed');
  const [snapshot] = await list(id);
  expect(snapshot).toMatchObject({ name: 'before the blue border' });
  expect(await titleOf(id, snapshot!.id)).toBe('as begun');
});

test('sent twice under an id made elsewhere it is one', async () => {
  const id = await add();
  for (let i = 0; i < 2; i++)
    await ask().post(`/api/quilts/${id}/snapshots`).send({ name: 'once', id: 'snapshot-elsewhere' });
  expect(await list(id)).toHaveLength(1);
});

test('under an id that a version of another quilt has nothing is kept, and that is said', async () => {
  const [one, other] = [await add(), await add()];
  await ask()
    .post(`/api/quilts/${one}/snapshots`)
    .send({ name: 'first', id: 'snapshot-elsewhere' })
    .expect(201);
  const { status, body } = await ask()
    .post(`/api/quilts/${other}/snapshots`)
    .send({ name: 'second', id: 'snapshot-elsewhere' });
  expect([status, body.code]).toEqual([409, 'id-taken']);
  expect([(await list(one)).map(({ name }) => name), await list(other)]).toEqual([['first'], []]);
});

test('every day that a quilt is worked on leaves it as it was the day before; fourteen are kept', async () => {
  const id = await add();
  await save(id, 1, 'the same day');
  expect(await list(id)).toEqual([]);
  for (let day = 1; day <= 20; day++) {
    outside.pass(1);
    await save(id, 2 * day, `day ${day}, morning`);
    await save(id, 2 * day + 1, `day ${day}, evening`);
  }
  const kept = await list(id);
  expect(kept).toHaveLength(14);
  expect(await titleOf(id, kept[0]!.id)).toBe('day 19, evening');
  expect(await titleOf(id, kept.at(-1)!.id)).toBe('day 6, evening');
  // Named ones are nobody's but their maker's to let go.
  await ask().post(`/api/quilts/${id}/snapshots`).send({ name: 'kept' });
  for (let day = 21; day <= 40; day++) {
    outside.pass(1);
    await save(id, 2 * day, 'on');
  }
  expect((await list(id)).filter(({ name }) => name === 'kept')).toHaveLength(1);
});

test('let go; of no quilt, of another quilt, without a name', async () => {
  const id = await add();
  const other = await add();
  await ask().post(`/api/quilts/${id}/snapshots`).send({ name: 'one' });
  const snapshot = (await list(id))[0]!.id;
  expect((await ask().get(`/api/quilts/${other}/snapshots/${snapshot}`)).status).toBe(404);
  expect((await ask().delete(`/api/quilts/${other}/snapshots/${snapshot}`)).status).toBe(404);
  expect((await ask().post('/api/quilts/none/snapshots').send({ name: 'x' })).status).toBe(404);
  expect((await ask().post(`/api/quilts/${id}/snapshots`).send({ name: ' ' })).status).toBe(400);
  expect((await ask().delete(`/api/quilts/${id}/snapshots/${snapshot}`)).status).toBe(204);
  expect(await list(id)).toEqual([]);
});

test('of a quilt that cannot be read any more the last good one is still there', async () => {
  const id = await add();
  await ask().post(`/api/quilts/${id}/snapshots`).send({ name: 'good' });
  await database.knex('quilts').where({ id }).update({ plan: '{"title":"as be' });
  expect((await ask().get(`/api/quilts/${id}`)).status).toBe(422);
  const [good] = await list(id);
  expect(await titleOf(id, good!.id)).toBe('as begun');
});
