import { type LongArmJob } from '@lattice/core';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import { LongArm } from '../src/simulators/long-arm.ts';

/** A Wednesday. */
const now = () => new Date('2026-11-25T10:00:00Z');
const job = (change: Partial<LongArmJob> = {}): LongArmJob => ({
  unit: 'in',
  top: { width: 70, height: 81.5 },
  backing: { width: 78, height: 89.5, diagonals: [118.7, 118.9] },
  batting: { width: 78, height: 89.5 },
  pattern: 'all-over',
  ...change,
});
const reasons = (change: Partial<LongArmJob>) => {
  const answer = new LongArm(now).quote(job(change), []);
  return answer.accepted ? [] : answer.reasons;
};

describe('the long-arm service stand-in', () => {
  test('takes a good job: price by the square inch, a place in the queue on working days', () => {
    const service = new LongArm(now);
    const first = service.quote(job(), []);
    // 70 × 81.5 = 5705 square inches at 0.025; ten days of work wait, so it begins on the eleventh working day: Thursday fortnight.
    expect(first).toMatchObject({
      accepted: true,
      price: 142.63,
      ahead: 6,
      starts: '2026-12-10',
      ready: '2026-12-14',
    });
    // A job of two days booked before it: it begins two working days later; one that is done waits no more.
    const booked = [{ starts: '2026-12-10', ready: '2026-12-14' }];
    expect(service.quote(job(), booked)).toMatchObject({ ahead: 7, starts: '2026-12-14' });
    const done = [{ starts: '2026-11-20', ready: '2026-11-24' }];
    expect(service.quote(job(), done)).toMatchObject({ ahead: 6, starts: '2026-12-10' });
    for (const date of [(first as { starts: string }).starts, (first as { ready: string }).ready])
      expect([0, 6]).not.toContain(new Date(date).getUTCDay());
  });
  // Rule BK-2: 4" all round for a long-arm machine.
  test('says every reason against a job, with the figures', () => {
    expect(reasons({ backing: { width: 75, height: 89.5, diagonals: null } })).toEqual([
      expect.stringMatching(/overhangs by 2 1\/2″; the clamps need 4″/),
    ]);
    expect(reasons({ batting: { width: 72, height: 90 } })).toEqual([
      expect.stringMatching(/batting is too small: it overhangs by 1″/),
    ]);
    expect(reasons({ backing: { width: 78, height: 89.5, diagonals: [117, 119] } })).toEqual([
      expect.stringMatching(/not square: corner to corner it differs by 2″/),
    ]);
    expect(
      reasons({
        top: { width: 116, height: 116 },
        backing: { width: 124, height: 124, diagonals: null },
        batting: { width: 124, height: 124 },
      }),
    ).toEqual([expect.stringMatching(/frame is 118″ wide/)]);
    expect(
      reasons({
        backing: { width: 71, height: 82, diagonals: [100, 103] },
        batting: { width: 60, height: 60 },
      }),
    ).toHaveLength(3);
  });
  test('in centimetres the same rules, and 10 cm is enough for 4"', () => {
    const metric = {
      unit: 'cm' as const,
      top: { width: 150, height: 180 },
      batting: { width: 170, height: 200 },
    };
    expect(reasons({ ...metric, backing: { width: 170, height: 200, diagonals: null } })).toEqual([]);
    expect(reasons({ ...metric, backing: { width: 165, height: 200, diagonals: null } })).toEqual([
      expect.stringMatching(/overhangs by 7.5 cm/),
    ]);
  });
  test('a small job costs the least there is; custom work costs more and takes longer', () => {
    const small = new LongArm(now).quote(job({ top: { width: 36, height: 36 } }), []);
    const custom = new LongArm(now).quote(job({ pattern: 'custom' }), []);
    expect(small).toMatchObject({ price: 60 });
    expect(custom).toMatchObject({ price: 342.3, starts: '2026-12-10', ready: '2026-12-15' });
  });
});

describe('over HTTP', () => {
  let database: Database;
  beforeEach(async () => {
    database = await openDatabase(':memory:');
  });
  afterEach(() => database.close());
  test('quotes, books, refuses to book what it would not take, and does not read nonsense', async () => {
    const app = createApp({ database, outside: { now, newId: () => 'x', random: () => 0.5 } });
    expect((await request(app).post('/api/long-arm/quotes').send(job())).body).toMatchObject({
      accepted: true,
    });
    const book = (entry: string, change: Partial<LongArmJob> = {}) =>
      request(app)
        .post('/api/long-arm/bookings')
        .send({ quilt: 'q1', entry, job: job(change) });
    const booked = await book('entry-one');
    expect(booked.status).toBe(201);
    expect(booked.body).toMatchObject({
      entry: {
        id: 'entry-one',
        quilt: 'q1',
        kind: 'booked',
        body: { number: 'LA-101', width: 70, unit: 'in' },
      },
      answer: { accepted: true },
    });
    // Asked again, since the answer was lost on the way: it is booked once.
    expect((await book('entry-one')).body).toMatchObject({ entry: { body: { number: 'LA-101' } } });
    expect((await book('entry-two')).body).toMatchObject({ entry: { body: { number: 'LA-102' } } });
    // It is in the log, and so outlives the server.
    const log = await request(app).get('/api/log');
    expect((log.body as { entries: { id: string }[] }).entries.map((e) => e.id)).toEqual([
      'entry-one',
      'entry-two',
    ]);
    const later = createApp({ database, outside: { now, newId: () => 'x', random: () => 0.5 } });
    const cancel = (number: string, entry: string) =>
      request(later).post(`/api/long-arm/bookings/${number}/cancel`).send({ quilt: 'q1', entry });
    expect((await cancel('LA-101', 'entry-back')).body).toMatchObject({
      entry: { id: 'entry-back', kind: 'booking-cancelled', body: { number: 'LA-101' } },
    });
    expect((await cancel('LA-101', 'entry-again')).body).toMatchObject({ entry: { id: 'entry-back' } });
    expect((await cancel('LA-999', 'entry-none')).body).toMatchObject({ code: 'no-such-booking' });
    const refused = await book('entry-three', { batting: { width: 40, height: 40 } });
    expect(refused.status).toBe(409);
    expect(refused.body).toMatchObject({ entry: null, answer: { accepted: false } });
    for (const body of [{}, { ...job(), top: { width: -1, height: 4 } }, { ...job(), pattern: 'stars' }]) {
      const answer = await request(app).post('/api/long-arm/quotes').send(body);
      expect(answer.status).toBe(400);
      expect((answer.body as { message: string }).message).toMatch(/cannot read this job/);
    }
  });
});
