import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { startPlan } from '@lattice/core';
import type { Knex } from 'knex';
import { type Logger, pino } from 'pino';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { openDatabase } from '../src/database/open.ts';
import { QuiltRepository } from '../src/quilts/repository.ts';
import { seedDemo } from '../src/seed/seed.ts';

let knex: Knex;
let tick = 0;
let ids = 0;
const outside = {
  now: () => new Date(Date.UTC(2026, 10, 24, 8, 0, tick++)),
  newId: () => `quilt-${ids++}`,
  random: () => 0.5,
};
const app = (logger?: Logger) => createApp({ knex, outside, ...(logger ? { logger } : {}) });
const plan = startPlan('sashed-sampler');
const add = async () =>
  (await request(app()).post('/api/quilts').send({ plan })).body as { id: string; revision: number };

beforeEach(async () => {
  tick = 0;
  knex = await openDatabase(':memory:');
});
afterEach(() => knex.destroy());

describe('quilts over HTTP', () => {
  test('added, listed, fetched', async () => {
    const { id } = await add();
    expect((await request(app()).get(`/api/quilts/${id}`)).body).toMatchObject({ id, revision: 1, plan });
    const list = await request(app()).get('/api/quilts');
    expect(list.body).toHaveLength(1);
  });

  test('a write raises the revision; last worked on comes first', async () => {
    const first = await add();
    await add();
    const saved = await request(app())
      .put(`/api/quilts/${first.id}`)
      .send({ revision: 1, plan: { ...plan, title: 'Renamed' } });
    expect(saved.status).toBe(200);
    expect(saved.body).toMatchObject({ revision: 2, plan: { title: 'Renamed' } });
    expect((await request(app()).get('/api/quilts')).body[0].id).toBe(first.id);
  });

  test('a stale write is refused with the newer quilt, and nothing is overwritten', async () => {
    const { id } = await add();
    await request(app())
      .put(`/api/quilts/${id}`)
      .send({ revision: 1, plan: { ...plan, title: 'First tab' } });
    const stale = await request(app())
      .put(`/api/quilts/${id}`)
      .send({ revision: 1, plan: { ...plan, title: 'Second tab' } });
    expect(stale.status).toBe(409);
    expect(stale.body).toMatchObject({
      code: 'stale',
      details: { revision: 2, plan: { title: 'First tab' } },
    });
    expect(stale.body.message).toContain('Nothing was overwritten');
    expect((await request(app()).get(`/api/quilts/${id}`)).body.plan.title).toBe('First tab');
  });

  test('of two writes at once, exactly one is taken', async () => {
    const { id } = await add();
    const write = (title: string) =>
      request(app())
        .put(`/api/quilts/${id}`)
        .send({ revision: 1, plan: { ...plan, title } });
    const statuses = (await Promise.all([write('A'), write('B'), write('C')])).map((r) => r.status).sort();
    expect(statuses).toEqual([200, 409, 409]);
  });

  test('taken off the shelf and put back', async () => {
    const { id } = await add();
    expect((await request(app()).delete(`/api/quilts/${id}`)).status).toBe(204);
    expect((await request(app()).get('/api/quilts')).body).toEqual([]);
    expect((await request(app()).put(`/api/quilts/${id}`).send({ revision: 1, plan })).status).toBe(404);
    expect((await request(app()).post(`/api/quilts/${id}/restore`)).body).toMatchObject({ id, revision: 1 });
    expect((await request(app()).get('/api/quilts')).body).toHaveLength(1);
  });

  test.each([
    ['an unsound plan', { plan: { ...plan, seam: -1 } }, 422, 'unsound-plan', /seam allowance of -1″/],
    ['no plan', {}, 400, 'bad-request', /lacks a plan/],
    ['a text', { plan: 'quilt' }, 422, 'unsound-plan', /not a quilt plan/],
  ])('%s is refused in words, with its place', async (_, body, status, code, message) => {
    const answer = await request(app()).post('/api/quilts').send(body);
    expect(answer.status).toBe(status);
    expect(answer.body).toMatchObject({
      code,
      message: expect.stringMatching(message),
      details: expect.any(Array),
    });
    expect((await request(app()).get('/api/quilts')).body).toEqual([]);
  });

  test('bad JSON, a body too large, a missing revision, a wrong address', async () => {
    const send = (body: string) =>
      request(app()).post('/api/quilts').set('content-type', 'application/json').send(body);
    expect((await send('{"plan":')).body).toMatchObject({ code: 'not-json' });
    expect((await send(JSON.stringify({ plan: 'x'.repeat(5_000_000) }))).status).toBe(413);
    const { id } = await add();
    expect((await request(app()).put(`/api/quilts/${id}`).send({ plan })).body).toMatchObject({
      code: 'bad-request',
    });
    expect((await request(app()).get('/api/nothing')).body).toMatchObject({ code: 'no-such-address' });
    expect((await request(app()).get('/api/quilts/none')).body).toMatchObject({ code: 'no-such-quilt' });
  });

  test('a full disk is said to be one', async () => {
    const full = Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
    jest.spyOn(QuiltRepository.prototype, 'insert').mockRejectedValueOnce(full);
    expect((await request(app()).post('/api/quilts').send({ plan })).body).toMatchObject({
      code: 'disk-full',
    });
  });

  test('a quilt that cannot be read does not hide the others', async () => {
    const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const { id } = await add();
    await add();
    await knex('quilts').where({ id }).update({ plan: '{"schemaVersion": 1, "ti' });
    expect((await request(app()).get('/api/quilts')).body).toHaveLength(1);
    expect(said).toHaveBeenCalledWith(expect.stringContaining(`Quilt ${id} cannot be read`));
    expect((await request(app()).get(`/api/quilts/${id}`)).status).toBe(500);
    said.mockRestore();
  });

  test('one log line a request: what was asked and how it went, nothing of what was written', async () => {
    const lines: string[] = [];
    const logger = pino({ base: null }, { write: (line) => void lines.push(line) });
    await request(app(logger))
      .post('/api/quilts')
      .send({ plan: { ...plan, title: 'My secret quilt' } });
    expect(lines).toHaveLength(1);
    const said = JSON.parse(lines[0]!) as { req: object; res: object };
    expect(said).toMatchObject({ req: { method: 'POST', url: '/api/quilts' }, res: { statusCode: 201 } });
    expect(lines[0]).not.toContain('secret');
  });

  test('sent twice under an id made elsewhere, a new quilt is one quilt', async () => {
    const send = (title: string) =>
      request(app())
        .post('/api/quilts')
        .send({ id: 'made-elsewhere', plan: { ...plan, title } });
    expect((await send('Once')).body).toMatchObject({ id: 'made-elsewhere', revision: 1 });
    expect((await send('Again')).body).toMatchObject({ id: 'made-elsewhere', plan: { title: 'Once' } });
    expect((await request(app()).get('/api/quilts')).body).toHaveLength(1);
    const odd = await request(app()).post('/api/quilts').send({ id: '../etc', plan });
    expect(odd.status).toBe(400);
  });
});

describe('on disk', () => {
  let folder: string;
  const opened: Knex[] = [];
  beforeEach(() => (folder = mkdtempSync(path.join(tmpdir(), 'lattice-'))));
  afterEach(async () => {
    await Promise.all(opened.splice(0).map((database) => database.destroy()));
    rmSync(folder, { recursive: true });
  });

  test('write-ahead log and foreign keys are on; a restart finds what was kept', async () => {
    const first = await openDatabase(folder);
    opened.push(first);
    expect(await first.raw('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
    expect(await first.raw('PRAGMA foreign_keys')).toEqual([{ foreign_keys: 1 }]);
    await seedDemo(new QuiltRepository(first), outside, path.resolve(__dirname, '../../../demo'));
    const count = await new QuiltRepository(first).count();
    await first.destroy();
    const second = await openDatabase(folder);
    opened.push(second);
    expect(await new QuiltRepository(second).count()).toBe(count);
    // The shelf has quilts: seeding again adds none.
    expect(
      await seedDemo(new QuiltRepository(second), outside, path.resolve(__dirname, '../../../demo')),
    ).toBe(0);
  });

  test('the potting-shed quilt is seeded with the thirty blocks of its table', async () => {
    await seedDemo(new QuiltRepository(knex), outside, path.resolve(__dirname, '../../../demo'));
    const list = (await request(app()).get('/api/quilts')).body as {
      plan: { title: string; pile: unknown[] };
    }[];
    expect(list.find((q) => q.plan.title === 'Potting-shed raffle quilt')!.plan.pile).toHaveLength(30);
  });

  test('a demo plan that cannot be read is named', async () => {
    writeFileSync(path.join(folder, 'odd.plan.json'), '{"schemaVersion": 1}');
    await expect(seedDemo(new QuiltRepository(knex), outside, folder)).rejects.toThrow(
      /demo\/odd\.plan\.json/,
    );
  });
});
