import { randomFrom } from '@lattice/core';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import { Tape, type TapeReading } from '../src/simulators/tape.ts';

describe('the tape stand-in', () => {
  const heard = (squeezes: number) => {
    const tape = new Tape(randomFrom(5));
    const readings: TapeReading[] = [];
    tape.listen({ reading: (r) => readings.push(r), gone: () => undefined });
    for (let i = 0; i < squeezes; i++) tape.squeeze(266.7);
    return readings;
  };
  test('scatters as a hand does, to the half millimetre, and sometimes slips', () => {
    const readings = heard(4000);
    const good = readings.filter((r) => Math.abs(r.millimetres - 266.7) < 10);
    const mean = good.reduce((sum, r) => sum + r.millimetres, 0) / good.length;
    const deviation = Math.sqrt(good.reduce((sum, r) => sum + (r.millimetres - mean) ** 2, 0) / good.length);
    expect(mean).toBeCloseTo(266.7, 0);
    expect(deviation).toBeGreaterThan(0.3);
    expect(deviation).toBeLessThan(0.6);
    for (const { millimetres } of good) expect((millimetres * 2) % 1).toBe(0);
    expect(1 - good.length / readings.length).toBeCloseTo(1 / 25, 1);
    expect(readings.map((r) => r.number)).toEqual(readings.map((_, i) => i + 1));
  });
  test('out of reach nobody hears it, and those who listened are told', () => {
    const tape = new Tape(randomFrom(5));
    let gone = 0;
    tape.listen({ reading: () => undefined, gone: () => gone++ });
    tape.carry(false);
    expect(gone).toBe(1);
    expect(tape.squeeze(100)).toBeNull();
    tape.carry(true);
    expect(tape.squeeze(100)).toMatchObject({ number: 1 });
  });
});

describe('over HTTP', () => {
  let database: Database;
  beforeEach(async () => {
    database = await openDatabase(':memory:');
  });
  afterEach(() => database.close());
  const outside = { now: () => new Date(), newId: () => 'x', random: randomFrom(5) };

  test('a squeeze reaches whoever listens; carried off, the stream ends and says so', async () => {
    const server = createApp({ database, outside }).listen(0);
    await once(server, 'listening');
    const at = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/tape`;
    const post = (path: string, body: object) =>
      fetch(`${at}/${path}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      });
    const stream = await fetch(`${at}/readings`);
    const reader = stream.body!.getReader();
    const next = async () => new TextDecoder().decode((await reader.read()).value);
    expect(await next()).toContain('event: ready');
    await post('squeeze', { millimetres: 266.7 });
    expect(await next()).toMatch(/event: reading\ndata: {"number":1,"millimetres":26[67](\.5)?}/);
    await post('carry', { inReach: false });
    expect((await reader.read()).done).toBe(true);
    expect((await fetch(`${at}/readings`)).status).toBe(409);
    expect((await (await post('squeeze', { millimetres: 100 })).json()) as object).toMatchObject({
      code: 'tape-out-of-reach',
    });
    server.close();
    server.closeAllConnections();
  });
  test('asked for nonsense', async () => {
    for (const body of [{}, { millimetres: -4 }, { millimetres: 'long' }])
      expect(
        (await request(createApp({ database, outside })).post('/api/tape/squeeze').send(body)).status,
      ).toBe(400);
  });
});
