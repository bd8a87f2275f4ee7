import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { type LogEntry, startPlan } from '@lattice/core';
import { type Logger, pino } from 'pino';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import { QuiltRepository } from '../src/quilts/repository.ts';
import * as logMigration from '../src/database/migrations/2026-11-26-log.ts';
import { LogRepository } from '../src/log/repository.ts';
import { seedDemo } from '../src/seed/seed.ts';

let database: Database;
let tick = 0;
let ids = 0;
const outside = {
  now: () => new Date(Date.UTC(2026, 10, 24, 8, 0, tick++)),
  newId: () => `quilt-${ids++}`,
  random: () => 0.5,
};
const app = (logger?: Logger) => createApp({ database, outside, ...(logger ? { logger } : {}) });
const plan = startPlan('sashed-sampler');
const add = async () =>
  (await request(app()).post('/api/quilts').send({ plan })).body as { id: string; revision: number };
const shelf = async () =>
  (await request(app()).get('/api/quilts')).body.quilts as { id: string; card: Record<string, unknown> }[];
/** A body as it came. */
const asText = (
  response: { on(event: string, heard: (chunk: Buffer) => void): unknown },
  done: (error: Error | null, text: string) => void,
) => {
  let text = '';
  response.on('data', (chunk: Buffer) => (text += chunk.toString()));
  response.on('end', () => done(null, text));
};

beforeEach(async () => {
  tick = 0;
  database = await openDatabase(':memory:');
});
afterEach(() => database.close());

describe('quilts over HTTP', () => {
  test('added, listed, fetched', async () => {
    const { id } = await add();
    expect((await request(app()).get(`/api/quilts/${id}`)).body).toMatchObject({ id, revision: 1, plan });
    const list = await request(app()).get('/api/quilts');
    expect(list.body).toMatchObject({ total: 1, next: null });
    expect(list.body.quilts).toEqual([
      expect.objectContaining({ id, revision: 1, card: expect.objectContaining({ title: plan.title }) }),
    ]);
    expect(JSON.stringify(list.body)).not.toContain('fabricFor');
  });

  test('a write raises the revision; last worked on comes first', async () => {
    const first = await add();
    await add();
    const saved = await request(app())
      .put(`/api/quilts/${first.id}`)
      .send({ revision: 1, plan: { ...plan, title: 'Renamed' } });
    expect(saved.status).toBe(200);
    expect(saved.body).toMatchObject({ id: first.id, revision: 2 });
    expect((await shelf())[0]!.id).toBe(first.id);
  });

  test('asked for again it is the same answer; changed behind the server’s back it is looked at anew', async () => {
    const { id } = await add();
    const server = app();
    const get = async () => (await request(server).get(`/api/quilts/${id}`)).body as object;
    const [first, again] = [await get(), await get()];
    expect(again).toEqual(first);
    expect(again).toMatchObject({ id, revision: 1, savedBy: '', problems: [], plan });
    const saved = await request(server)
      .put(`/api/quilts/${id}`)
      .send({ revision: 1, plan: { ...plan, seam: 0.375 } });
    expect(await get()).toMatchObject({ ...(saved.body as object), plan: { seam: 0.375 } });
    const bent = { ...plan, grid: { across: 60, down: 2 } };
    await database
      .knex('quilts')
      .where({ id })
      .update({ plan: JSON.stringify(bent) });
    expect(((await get()) as { problems: unknown[] }).problems).not.toEqual([]);
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

  test('one that was put there, answer lost, and taken off elsewhere: its retry is told so, and may be put back', async () => {
    const sent = { id: 'made-in-a-browser-1', plan: { ...plan, title: 'Lost answer' } };
    await request(app()).post('/api/quilts').send(sent).expect(201);
    // The same again while it is there is the same answer.
    await request(app()).post('/api/quilts').send(sent).expect(201);
    await request(app()).delete(`/api/quilts/${sent.id}`);
    const { status, body } = await request(app()).post('/api/quilts').send(sent);
    expect([status, body.code]).toEqual([409, 'taken-off']);
    expect(body.message).toContain('“Lost answer”');
    expect((await shelf()).map(({ id }) => id)).not.toContain(sent.id);
  });

  test('taken off the shelf and put back', async () => {
    const { id } = await add();
    expect((await request(app()).delete(`/api/quilts/${id}`)).status).toBe(204);
    expect(await shelf()).toEqual([]);
    expect((await request(app()).put(`/api/quilts/${id}`).send({ revision: 1, plan })).status).toBe(404);
    expect((await request(app()).post(`/api/quilts/${id}/restore`)).body).toMatchObject({ id, revision: 1 });
    expect(await shelf()).toHaveLength(1);
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
    expect(await shelf()).toEqual([]);
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

  test('a quilt that cannot be read stays on the shelf, by its name; its file can be taken away', async () => {
    const { id } = await add();
    await add();
    const cut = '{"schemaVersion": 1, "title": "Half a \\"star\\"", "ti';
    await database.knex('quilts').where({ id }).update({ plan: cut });
    expect((await request(app()).get(`/api/quilts/${id}`)).body).toMatchObject({
      code: 'unreadable',
      details: { id, title: 'Half a "star"' },
    });
    expect(await shelf()).toHaveLength(2);
    expect((await shelf()).find((q) => q.id === id)!.card).toEqual({
      title: 'Half a "star"',
      unreadable: true,
    });
    const file = await request(app()).get(`/api/quilts/${id}/file`).buffer(true).parse(asText);
    expect(file.body).toBe(cut);
  });

  test('a damaged card is that quilt’s alone: the shelf, its tags and its finder go on, and the card is made anew', async () => {
    const { id } = await add();
    const tagged = { ...plan, title: 'Tagged', tags: ['kitchen'] };
    await request(app()).post('/api/quilts').send({ plan: tagged });
    const damage = () => database.knex('quilts').where({ id }).update({ card: '{"title":"Half a ca' });
    for (const query of ['', '?tag=kitchen', '?words=Tag', '?stage=setting']) {
      await damage();
      const { status, body } = await request(app()).get(`/api/quilts${query}`);
      expect([query, status, body.tags]).toEqual([query, 200, ['kitchen']]);
    }
    await damage();
    expect((await shelf()).find((q) => q.id === id)!.card).toMatchObject({
      title: plan.title,
      at: 'setting',
    });
  });

  test('a plan that was cut short in a database of before the log keeps nobody from starting', async () => {
    const { id } = await add();
    await logMigration.down(database.knex);
    await database.knex('quilts').where({ id }).update({ plan: '{"schemaVersion": 4, "quilting": {"boo' });
    await logMigration.up(database.knex);
    expect(await database.knex('log_entries')).toEqual([]);
    expect(await shelf()).toHaveLength(1);
  });

  test('a quilt kept before there were cards gets one; a plan that cannot be drawn any more opens to be mended', async () => {
    const { id } = await add();
    const vast = {
      ...plan,
      pile: [],
      wall: [],
      grid: { across: 50, down: 50 },
      block: { width: 60, height: 60 },
    };
    await database
      .knex('quilts')
      .where({ id })
      .update({ card: null, plan: JSON.stringify(vast) });
    expect((await shelf())[0]!.card).toMatchObject({ title: plan.title, at: 'setting' });
    const opened = (await request(app()).get(`/api/quilts/${id}`)).body;
    expect(opened.plan.grid).toEqual({ across: 50, down: 50 });
    expect(opened.problems[0].message).toMatch(/at most 200″/);
  });

  test('page after page, each quilt once, found by words of its name', async () => {
    for (let i = 0; i < 7; i++)
      await request(app())
        .post('/api/quilts')
        .send({ plan: { ...plan, title: i % 2 ? `Odd ${i}` : `100% even_${i}` } });
    const seen: string[] = [];
    let next: string | null = '';
    while (next !== null) {
      const after: string = next === '' ? '' : `&after=${encodeURIComponent(next)}`;
      const { body } = await request(app()).get(`/api/quilts?count=3${after}`);
      expect(body.total).toBe(7);
      seen.push(...body.quilts.map((q: { id: string }) => q.id));
      next = body.next;
    }
    expect(new Set(seen).size).toBe(7);
    const found = async (words: string) =>
      (await request(app()).get('/api/quilts').query({ words })).body.total as number;
    expect([await found('odd'), await found('100%'), await found('n_'), await found('%d%')]).toEqual([
      3, 4, 4, 0,
    ]);
    expect((await request(app()).get('/api/quilts?after=x')).status).toBe(400);
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
    expect(await shelf()).toHaveLength(1);
    const odd = await request(app()).post('/api/quilts').send({ id: '../etc', plan });
    expect(odd.status).toBe(400);
  });
});

describe('on disk', () => {
  let folder: string;
  const opened: Database[] = [];
  beforeEach(() => (folder = mkdtempSync(path.join(tmpdir(), 'lattice-'))));
  afterEach(async () => {
    await Promise.all(opened.splice(0).map((one) => one.close()));
    rmSync(folder, { recursive: true });
  });

  test('write-ahead log and foreign keys are on; a restart finds what was kept', async () => {
    const first = await openDatabase(folder);
    opened.push(first);
    expect(await first.knex.raw('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
    expect(await first.knex.raw('PRAGMA foreign_keys')).toEqual([{ foreign_keys: 1 }]);
    // Full: what is acknowledged is on the disk (SQLite's documentation of this pragma).
    expect(await first.knex.raw('PRAGMA synchronous')).toEqual([{ synchronous: 2 }]);
    await seedDemo(
      new QuiltRepository(first),
      new LogRepository(first),
      outside,
      path.resolve(__dirname, '../../../demo'),
    );
    const count = await new QuiltRepository(first).count();
    await first.close();
    const second = await openDatabase(folder);
    opened.push(second);
    expect(await new QuiltRepository(second).count()).toBe(count);
    // The shelf has quilts: seeding again adds none.
    expect(
      await seedDemo(
        new QuiltRepository(second),
        new LogRepository(second),
        outside,
        path.resolve(__dirname, '../../../demo'),
      ),
    ).toBe(0);
  });

  test('seeding that breaks off leaves nothing, and the next time all is there', async () => {
    const [rows, log] = [new QuiltRepository(database), new LogRepository(database)];
    const demo = path.resolve(__dirname, '../../../demo');
    let written = 0;
    const breaking = {
      addNow: (entries: readonly LogEntry[]) => {
        written = log.addNow(entries.slice(0, 10));
        throw new Error('killed here');
      },
    };
    await expect(seedDemo(rows, breaking, outside, demo)).rejects.toThrow('killed here');
    expect(written).toBe(10);
    expect([await rows.count(), (await log.since(0)).newest]).toEqual([0, 0]);
    expect(await seedDemo(rows, log, outside, demo)).toBeGreaterThan(3);
    const put = await log.ofKinds('stash-put');
    expect([put.length > 3, (await log.since(0)).newest > put.length]).toEqual([true, true]);
  });

  test('the potting-shed quilt is seeded with the thirty blocks of its table', async () => {
    await seedDemo(
      new QuiltRepository(database),
      new LogRepository(database),
      outside,
      path.resolve(__dirname, '../../../demo'),
    );
    const { id } = (await shelf()).find((q) => q.card['title'] === 'Potting-shed raffle quilt')!;
    expect((await request(app()).get(`/api/quilts/${id}`)).body.plan.pile).toHaveLength(30);
  });

  test('a demo plan that cannot be read is named', async () => {
    writeFileSync(path.join(folder, 'odd.plan.json'), '{"schemaVersion": 1}');
    await expect(
      seedDemo(new QuiltRepository(database), new LogRepository(database), outside, folder),
    ).rejects.toThrow(/demo\/odd\.plan\.json/);
  });
});
