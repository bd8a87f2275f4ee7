import { LOG_BATCH, type LogEntry, startPlan, LIMITS } from '@lattice/core';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import * as log from '../src/database/migrations/2026-11-26-log.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import type { LogPage } from '@lattice/contract';
import { LogRepository } from '../src/log/repository.ts';

let database: Database;
const outside = { now: () => new Date('2026-11-26T09:00:00Z'), newId: () => 'x', random: () => 0.5 };
const app = () => createApp({ database, outside });
const entry = (i: number, quilt = 'q1'): LogEntry => ({
  id: `entry-number-${i}`,
  quilt,
  at: '2026-11-26T09:00:00Z',
  kind: 'booking-cancelled',
  body: { number: `LA-${i}` },
});
const post = (entries: unknown) => request(app()).post('/api/log').send({ entries });
const since = async (query: string) => (await request(app()).get(`/api/log?${query}`)).body as LogPage;

beforeEach(async () => {
  database = await openDatabase(':memory:');
});
afterEach(() => database.close());

test('many at once; what is there already stays as it is', async () => {
  expect((await post([entry(1), entry(2)])).body).toEqual({ added: 2 });
  const changed = { ...entry(2), at: '2027-01-01T00:00:00Z' };
  expect((await post([changed, entry(3), entry(3)])).body).toEqual({ added: 1 });
  expect((await since('since=0')).entries).toEqual([entry(1), entry(2), entry(3)]);
});

test('what arrived since, of all quilts or of one, page by page', async () => {
  await post(Array.from({ length: LOG_BATCH }, (_, i) => entry(i)));
  await post([entry(LOG_BATCH, 'q2')]);
  const first = await since('since=0');
  expect([first.entries.length, first.more, first.newest]).toEqual([LOG_BATCH, true, LOG_BATCH + 1]);
  const rest = await since(`since=${first.latest}`);
  expect([rest.entries, rest.more]).toEqual([[entry(LOG_BATCH, 'q2')], false]);
  expect(await since(`since=${rest.latest}`)).toMatchObject({
    entries: [],
    latest: rest.latest,
    more: false,
  });
  expect((await since('since=0&quilt=q2')).entries).toEqual([entry(LOG_BATCH, 'q2')]);
});

test('nonsense is refused as a whole, and nothing of it is kept', async () => {
  for (const entries of [
    [entry(1), { ...entry(2), kind: 'dreamt' }],
    [{ ...entry(1), id: 'x' }],
    'entries',
    Array.from({ length: LOG_BATCH + 1 }, (_, i) => entry(i)),
  ])
    expect((await post(entries)).status).toBe(400);
  expect((await request(app()).get('/api/log?since=then')).status).toBe(400);
  expect((await since('since=0')).entries).toEqual([]);
});

test('an entry that cannot be read any more is that entry alone: the others are told, and it stays as it lies', async () => {
  await post([entry(1), entry(2), entry(3), entry(4)]);
  const spoiled = { [entry(2).id]: '{"number":"half', [entry(3).id]: '{"dreamt":true}' };
  for (const [id, body] of Object.entries(spoiled))
    await database.knex('log_entries').where({ id }).update({ body });
  for (const query of ['since=0', `since=0&quilt=${entry(1).quilt}`]) {
    const page = await since(query);
    expect(page).toMatchObject({ entries: [entry(1), entry(4)], unreadable: 2, more: false });
    expect(page.latest).toBe(page.newest);
  }
  // Whoever looks after it is told, each entry once however often it was asked for; and a quilt that is damaged too.
  const house = app();
  const damaged = async () => (await request(house).get('/api/numbers')).body.unreadable as object;
  expect(await damaged()).toEqual({ entries: 0, quilts: 0 });
  for (let i = 0; i < 2; i++) await request(house).get('/api/log?since=0');
  await database
    .knex('quilts')
    .insert({ id: 'torn', revision: 1, plan: '{"title":', title: 'Torn', created_at: 'x', updated_at: 'x' });
  await request(house).get('/api/quilts');
  expect(await damaged()).toEqual({ entries: 2, quilts: 1 });
  expect(await new LogRepository(database).find(entry(3).id)).toBeNull();
  // Going on from there, nothing is told twice, and what lies there lies there as it was.
  await post([entry(5)]);
  expect((await since(`since=${(await since('since=0')).latest - 1}`)).entries).toEqual([entry(5)]);
  const rows = await database
    .knex<{ id: string; body: string }>('log_entries')
    .whereIn('id', Object.keys(spoiled));
  expect(Object.fromEntries(rows.map(({ id, body }) => [id, body]))).toEqual(spoiled);
});

// One limit, stated once: what the field lets a maker write, the schema takes and the guard before it lets pass.
test('a note of as many letters as the field takes is kept; one letter more is refused in words', async () => {
  const note = (letters: number) => ({
    ...{ id: `note-of-${letters}`, quilt: 'q1', at: '2026-11-26T09:00:00Z', kind: 'noted' },
    body: { text: 'ä'.repeat(letters), stage: '', about: {}, pictures: [] },
  });
  expect((await post([note(LIMITS.note)])).status).toBe(200);
  const { status, body } = await post([note(LIMITS.note + 1)]);
  expect([status, body.message]).toEqual([400, expect.stringContaining('Entries of the log cannot be read')]);
  expect((await since('since=0')).entries).toHaveLength(1);
});

test('bookings that older plans carried move into the log', async () => {
  const { borders, quilting, ...plan } = startPlan('sashed-sampler');
  const booking = {
    number: 'LA-7',
    width: 40,
    height: 50,
    price: 80,
    starts: '2026-12-09',
    ready: '2026-12-16',
  };
  const old = (held: object | null) =>
    JSON.stringify({
      ...plan,
      schemaVersion: 5,
      borders: borders.map(({ id: _, ...b }) => b),
      quilting: { ...quilting, booking: held },
    });
  const row = (id: string, held: object | null) => ({
    id,
    revision: 3,
    plan: old(held),
    created_at: '2026-11-20T09:00:00Z',
    updated_at: '2026-11-21T09:00:00.000Z',
  });
  await log.down(database.knex);
  await database.knex('quilts').insert([row('quilt-booked', booking), row('quilt-plain', null)]);
  await log.up(database.knex);
  const { entries } = await since('since=0');
  expect(entries).toMatchObject([
    { quilt: 'quilt-booked', kind: 'booked', body: { ...booking, unit: 'in' } },
  ]);
  expect((await request(app()).get('/api/quilts/quilt-booked')).body).toMatchObject({
    revision: 3,
    plan: { borders: [{ id: '1' }] },
  });
});
