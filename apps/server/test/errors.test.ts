import { connect } from 'node:net';
import { createServer, type Server } from 'node:http';
import { once } from 'node:events';
import { gzipSync } from 'node:zlib';
import { startPlan } from '@lattice/core';
import express from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import { answerErrors, Refusal } from '../src/errors.ts';
import { requestId } from '../src/watch/request-id.ts';
import { outsideAt } from './support/house.ts';

let database: Database;
const lines: string[] = [];
const logger = pino({ base: null }, { write: (line: string) => void lines.push(line) });
const outside = outsideAt('2026-11-26T08:00:00Z');
let server: Server;

beforeEach(async () => {
  lines.length = 0;
  database = await openDatabase(':memory:');
  server = createServer(createApp({ database, outside, logger })).listen(0, '127.0.0.1');
  await once(server, 'listening');
});
afterEach(async () => {
  server.closeAllConnections();
  server.close();
  await database.close();
});

/** Sends a request line and headers as they are written; answers the status. */
async function raw(start: string, headers: string, body: string | Buffer = ''): Promise<number> {
  const { port } = server.address() as { port: number };
  const socket = connect(port, '127.0.0.1');
  let text = '';
  socket.on('data', (chunk) => (text += chunk.toString('latin1')));
  socket.write(
    `${start} HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\nContent-Length: ${Buffer.byteLength(body)}\r\n${headers}\r\n`,
  );
  socket.write(body);
  await once(socket, 'close');
  return Number(/^HTTP\/1\.1 (\d{3})/.exec(text)?.[1]);
}
const JSON_TYPE = 'Content-Type: application/json\r\n';
const plan = startPlan('sashed-sampler');

// Statuses by RFC 9110.
describe('bent requests are answered for what they are, never as a fault of ours', () => {
  test.each([
    ['a bad percent sign', 'GET /api/quilts/%', '', '', 400],
    ['letters cut short', 'GET /api/quilts/%E0%A4', '', '', 400],
    [
      'a charset nobody reads',
      'POST /api/quilts',
      'Content-Type: application/json; charset=ibm500\r\n',
      '{}',
      415,
    ],
    ['a packing nobody knows', 'POST /api/quilts', `${JSON_TYPE}Content-Encoding: zebra\r\n`, '{}', 415],
    [
      'said to be packed, and is not',
      'POST /api/quilts',
      `${JSON_TYPE}Content-Encoding: gzip\r\n`,
      '{}',
      400,
    ],
    ['a form with a file', 'POST /api/pictures', 'Content-Type: multipart/form-data\r\n', 'x', 415],
    ['JSON cut short', 'POST /api/quilts', JSON_TYPE, '{"plan":', 400],
    ['a method nobody knows', 'PROPFIND /api/quilts', '', '', 405],
    ['a page that is none', 'GET /api/quilts?count=1e9', '', '', 400],
    ['twice the same word', 'GET /api/quilts?words=a&words=b', '', '', 400],
    ['a place that is none', 'GET /api/quilts?after=zzz', '', '', 400],
    [
      'an old plan with holes',
      'POST /api/quilts',
      JSON_TYPE,
      '{"plan":{"schemaVersion":1,"borders":[null]}}',
      422,
    ],
  ])('%s', async (_, start, headers, body, status) => {
    expect(await raw(start, headers, body)).toBe(status);
  });

  test('packed honestly it is taken; packed to burst, refused', async () => {
    const packed = (text: string) => gzipSync(Buffer.from(text));
    const headers = `${JSON_TYPE}Content-Encoding: gzip\r\n`;
    expect(await raw('POST /api/quilts', headers, packed(JSON.stringify({ plan })))).toBe(201);
    const burst = packed(`{"plan":"${'a'.repeat(30_000_000)}"}`);
    expect(burst.length).toBeLessThan(40_000);
    expect(await raw('POST /api/quilts', headers, burst)).toBe(413);
  });

  test('more than a quilt can hold is refused before anybody looks into it', async () => {
    const borders = `{"plan":{"borders":[${'{},'.repeat(1_000_000)}{}]}}`;
    const refused = await request(server)
      .post('/api/quilts')
      .set('Content-Type', 'application/json')
      .send(borders);
    expect(refused.status).toBe(413);
    expect(refused.text.length).toBeLessThan(400);
    const deep = `{"plan":${'['.repeat(3_000)}${']'.repeat(3_000)}}`;
    expect(
      (await request(server).post('/api/quilts').set('Content-Type', 'application/json').send(deep)).status,
    ).toBe(413);
    const unknown = { ...plan, ...Object.fromEntries(Array.from({ length: 60 }, (_, i) => [`odd${i}`, 1])) };
    const many = await request(server).post('/api/quilts').send({ plan: unknown });
    expect(many.status).toBe(422);
    expect((many.body.details as unknown[]).length).toBeLessThanOrEqual(20);
  });
});

describe('troubles of the disk, by what the system calls them', () => {
  const failing = (error: unknown) => {
    const app = express();
    app.use(requestId, () => {
      throw error;
    });
    return app.use(answerErrors((fault) => void lines.push(JSON.stringify(fault))));
  };
  // Names: SQLite's result codes and errno(3).
  test.each([
    ['SQLITE_FULL', 507, 'disk-full'],
    ['ENOSPC', 507, 'disk-full'],
    ['SQLITE_IOERR_WRITE', 507, 'disk-error'],
    ['SQLITE_IOERR_SHMSIZE', 507, 'disk-error'],
    ['SQLITE_READONLY', 507, 'read-only'],
    ['SQLITE_READONLY_DBMOVED', 507, 'folder-gone'],
    ['SQLITE_BUSY_SNAPSHOT', 503, 'busy'],
    ['SQLITE_CORRUPT_INDEX', 507, 'damaged'],
    ['SQLITE_NOTADB', 507, 'damaged'],
  ])('%s', async (code, status, says) => {
    const answer = await request(failing(Object.assign(new Error('secret'), { code }))).get('/');
    expect(answer.status).toBe(status);
    expect(answer.body.code).toBe(says);
    expect(answer.text).not.toContain('secret');
  });

  test('a fault of ours is told by where it was, never by what somebody wrote; both know its name', async () => {
    const answer = await request(failing(new TypeError('Aunt Wilhelmina’s quilt'))).get('/');
    expect(answer.status).toBe(500);
    const { request: name } = answer.body as { request: string };
    expect(name).toMatch(/^[a-z2-9]{6}$/);
    expect(answer.headers['x-request-id']).toBe(name);
    expect(lines.join()).toContain(name);
    expect(lines.join()).toContain('TypeError');
    expect(lines.join()).not.toContain('Wilhelmina');
    expect(answer.text).not.toContain('Wilhelmina');
  });

  test('a refusal in words is passed on as it is', async () => {
    const answer = await request(
      failing(new Refusal('bad-request', 'No.', [{ path: ['a'], message: 'b' }])),
    ).get('/');
    expect(answer.status).toBe(400);
    expect(answer.body).toMatchObject({
      code: 'bad-request',
      message: 'No.',
      details: [{ path: ['a'], message: 'b' }],
    });
  });
});

test('nothing of a plan is in the log, whatever becomes of it', async () => {
  const titled = { ...plan, title: 'Wilhelmina’s secret' };
  await request(server).post('/api/quilts').send({ plan: titled });
  await request(server)
    .post('/api/quilts')
    .send({ plan: { ...titled, borders: 'none' } });
  await request(server).put('/api/quilts/none').send({ revision: 1, plan: titled });
  expect(lines.length).toBeGreaterThanOrEqual(3);
  expect(lines.join()).not.toContain('Wilhelmina');
});
