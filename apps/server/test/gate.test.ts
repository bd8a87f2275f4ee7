import { startPlan } from '@lattice/core';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import { outsideAt } from './support/house.ts';

let database: Database;
const outside = outsideAt('2026-11-26T08:00:00Z');
const app = () => createApp({ database, outside });
const plan = startPlan('sashed-sampler');
const post = (headers: Record<string, string>) =>
  request(app())
    .post('/api/quilts')
    .set('Host', '127.0.0.1:4173')
    .set('Content-Type', 'application/json')
    .set(headers)
    .send(JSON.stringify({ plan }));
const kept = async () => Number((await request(app()).get('/api/quilts')).body.total);

beforeEach(async () => {
  database = await openDatabase(':memory:');
});
afterEach(() => database.close());

// The headers are those of the Fetch standard (Origin, Sec-Fetch-Site, Sec-Fetch-Mode) as browsers send them.
describe('what another page can make a browser send', () => {
  test.each([
    ['another page', { Origin: 'http://example.invalid' }, 403],
    ['a page of no name', { Origin: 'null' }, 403],
    ['another port of this machine', { Origin: 'http://127.0.0.1:9' }, 403],
    ['marked cross-site, without an origin', { 'Sec-Fetch-Site': 'cross-site' }, 403],
    ['marked same-site', { 'Sec-Fetch-Site': 'same-site' }, 403],
    ['a name that leads here', { Host: 'rebound.example.invalid' }, 421],
    ['a name that only begins like ours', { Host: 'localhost.example.invalid' }, 421],
    ['a form of text', { 'Content-Type': 'text/plain' }, 415],
    ['a form with files', { 'Content-Type': 'multipart/form-data; boundary=x' }, 415],
    ['a form of fields', { 'Content-Type': 'application/x-www-form-urlencoded' }, 415],
  ])('%s: nothing is written', async (_, headers, status) => {
    expect((await post(headers as Record<string, string>)).status).toBe(status);
    expect(await kept()).toBe(0);
  });

  test.each([
    ['our own page', { Origin: 'http://127.0.0.1:4173', 'Sec-Fetch-Site': 'same-origin' }],
    ['by the machine’s other name', { Host: 'localhost:4173', Origin: 'http://localhost:4173' }],
    ['a program that is no browser', {}],
  ])('%s is let in', async (_, headers) => {
    expect((await post(headers)).status).toBe(201);
  });

  test('nothing is read by another page, however it asks; a link from elsewhere leads to the app', async () => {
    const get = (where: string, mode: string) =>
      request(app()).get(where).set({ 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': mode });
    for (const where of ['/api/quilts', '/API/quilts'])
      for (const mode of ['cors', 'no-cors', 'navigate']) expect((await get(where, mode)).status).toBe(403);
    // There is no page in this test; what matters is that it was not refused.
    expect((await get('/quilts/x', 'navigate')).status).toBe(404);
    expect((await get('/quilts/x', 'no-cors')).status).toBe(403);
  });

  test('no page elsewhere is told that it may; the policy names nobody but ourselves', async () => {
    const { headers } = await request(app()).get('/api/quilts');
    expect(headers['access-control-allow-origin']).toBeUndefined();
    const policy = headers['content-security-policy']!;
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toMatch(/https?:|\*/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['referrer-policy']).toBe('no-referrer');
  });
});
