import { createServer, type Server } from 'node:https';
import { statSync } from 'node:fs';
import path from 'node:path';
import { X509Certificate } from 'node:crypto';
import { startPlan } from '@lattice/core';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { Backups } from '../src/backup/backups.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import { fingerprintOf, ownCertificate } from '../src/share/certificate.ts';
import { behindDoor } from '../src/share/door.ts';
import { Links } from '../src/share/links.ts';
import { isPassphrase, keepPassphrase, newPassphrase, signOf } from '../src/share/secrets.ts';
import { folder, outsideAt, throwAway } from './support/house.ts';

const KEY = 'a key of the house';
const WORDS = 'thimble otter lantern';
const outside = outsideAt('2026-11-26T08:00:00Z');
let database: Database;
let links: Links;
let server: Server;
let cert: string;
let where: string;
const plan = startPlan('sashed-sampler');

/** The door to the app, over TLS, for a passphrase. */
async function door(words = WORDS, proxies: readonly string[] = []): Promise<Server> {
  const backups = new Backups(database, folder(), outside.now);
  const made = behindDoor(
    createApp({ database, outside, backups, sharedAt: () => 'https://house.local:1/' }),
    {
      passphrase: await keepPassphrase(words),
      key: KEY,
      sign: signOf(words, KEY),
      links,
      isOurs: (name) => ['127.0.0.1', 'house.local'].includes(name),
      proxies,
      report: () => undefined,
    },
  );
  const certificate = await ownCertificate(where, ['127.0.0.1', 'example.invalid'], new Date());
  ({ cert } = certificate);
  return createServer(certificate, made);
}
/** A browser of its own, which keeps its cookies. */
const browser = (at = server) => request.agent(at).ca(cert);
const enter = (who: ReturnType<typeof browser>, body: object) => who.post('/api/session').send(body);

beforeEach(async () => {
  database = await openDatabase(':memory:');
  links = new Links(database.knex, outside);
  where = folder();
  server = await door();
});
afterEach(async () => {
  server.close();
  await database.close();
  throwAway();
});

describe('the door', () => {
  test('shut, nothing is told of what is behind it', async () => {
    for (const where of ['/api/quilts', '/API/quilts', '/api/log', '/api/numbers', '/api/house']) {
      const answer = await browser().get(where);
      expect(answer.status).toBe(401);
      expect(answer.body.code).toBe('not-let-in');
    }
    expect((await browser().post('/api/quilts').send({ plan })).status).toBe(401);
  });

  test('opens for the passphrase, however a telephone writes it, and stays open for that browser', async () => {
    const somebody = browser();
    expect((await enter(somebody, { passphrase: 'thimble otter lamp' })).status).toBe(401);
    const entered = await enter(somebody, { passphrase: '  Thimble  OTTER lantern' });
    expect(entered.body).toEqual({ who: 'edit' });
    const cookie = String(entered.headers['set-cookie']);
    for (const word of [/httponly/i, /secure/i, /samesite=strict/i]) expect(cookie).toMatch(word);
    expect(cookie).not.toContain('thimble');
    expect((await somebody.post('/api/quilts').send({ plan })).status).toBe(201);
    expect((await browser().get('/api/quilts')).status).toBe(401);
  });

  test('a cookie that was made up, or turned, opens nothing', async () => {
    const own = Buffer.from(JSON.stringify({ by: `house:${signOf(WORDS, 'another key')}` })).toString(
      'base64',
    );
    for (const cookie of [`lattice=${own}`, `lattice=${own}; lattice.sig=aaaa`, 'lattice=%; lattice.sig='])
      expect((await browser().get('/api/quilts').set('Cookie', cookie)).status).toBe(401);
  });

  test('tried too often it stays shut a while, even for the right words', async () => {
    const thief = browser();
    for (let i = 0; i < 5; i++) expect((await enter(thief, { passphrase: `try ${i}` })).status).toBe(401);
    expect((await enter(thief, { passphrase: WORDS })).status).toBe(429);
  });

  describe('by place', () => {
    // Places are told apart as a proxy on this machine tells of them.
    let behind: Server;
    beforeEach(async () => (behind = await door(WORDS, ['127.0.0.1', '::1', '::ffff:127.0.0.1'])));
    afterEach(() => void behind.close());
    const from = (place: string, body: object, at = behind) =>
      browser(at).post('/api/session').set('X-Forwarded-For', place).send(body);

    test('one that tries without end turns nobody else away', async () => {
      for (let i = 0; i < 60; i++)
        expect((await from('192.0.2.7', { passphrase: `try ${i}` })).status).toBe(i < 5 ? 401 : 429);
      expect((await from('192.0.2.7', { passphrase: WORDS })).status).toBe(429);
      expect((await from('192.0.2.8', { passphrase: 'not these' })).status).toBe(401);
      expect((await from('192.0.2.8', { passphrase: WORDS })).status).toBe(200);
    });
    test('many places together are slowed down; links come in all the same, and are counted by themselves', async () => {
      const { secret } = await links.make('Ruth', 'view');
      const said: number[] = [];
      for (let place = 1; place <= 8; place++)
        for (let i = 0; i < 5; i++) said.push((await from(`192.0.2.${place}`, { passphrase: 'x' })).status);
      expect(said.indexOf(429)).toBe(30);
      expect((await from('192.0.2.99', { passphrase: WORDS })).status).toBe(429);
      expect((await from('192.0.2.99', { link: secret })).status).toBe(200);
      expect((await from('192.0.2.1', { link: secret })).status).toBe(200);
      // A link that is none, over and over: that place waits, another with its link does not.
      for (let i = 0; i < 20; i++) expect((await from('192.0.2.50', { link: `no ${i}` })).status).toBe(401);
      expect((await from('192.0.2.50', { link: secret })).status).toBe(429);
      expect((await from('192.0.2.51', { link: secret })).status).toBe(200);
    });
    test('without a proxy nobody is believed who says to be another', async () => {
      for (let i = 0; i < 5; i++)
        expect((await from(`192.0.2.${i}`, { passphrase: 'x' }, server)).status).toBe(401);
      expect((await from('192.0.2.9', { passphrase: WORDS }, server)).status).toBe(429);
    });
  });

  test('another passphrase ends every session', async () => {
    const somebody = browser();
    const cookies = (await enter(somebody, { passphrase: WORDS })).headers[
      'set-cookie'
    ] as unknown as string[];
    const cookie = cookies.map((one) => one.split(';')[0]).join('; ');
    const another = await door('quite other words');
    const under = (at: Server) => browser(at).get('/api/quilts').set('Cookie', cookie);
    expect((await under(server)).status).toBe(200);
    expect((await under(another)).status).toBe(401);
    another.close();
  });

  test('other pages and other names are kept out here too', async () => {
    const somebody = browser();
    await enter(somebody, { passphrase: WORDS });
    const write = (headers: Record<string, string>) =>
      somebody.post('/api/quilts').set(headers).send({ plan });
    expect((await write({ Origin: 'https://example.invalid' })).status).toBe(403);
    expect((await write({ Host: 'example.invalid' })).status).toBe(421);
  });

  test('nobody from outside gets at backups, links and numbers, however the address is written', async () => {
    const somebody = browser();
    await enter(somebody, { passphrase: WORDS });
    for (const where of [
      '/api/backups',
      '/api/links',
      '/api/numbers',
      '/API/Backups',
      '/api/LINKS/',
      '/api/backups/x',
    ])
      expect([where, (await somebody.get(where)).status]).toEqual([where, 403]);
    expect((await somebody.post('/API/links').send({ name: 'me', may: 'edit' })).status).toBe(403);
  });
});

describe('links', () => {
  const made = async (may: 'view' | 'edit') => links.make('Maud', may);

  test('to look: everything is seen, nothing is changed', async () => {
    const { secret } = await made('view');
    const id = (
      (await request(createApp({ database, outside })).post('/api/quilts').send({ plan })).body as {
        id: string;
      }
    ).id;
    const maud = browser();
    expect((await enter(maud, { link: secret })).body).toEqual({ who: 'view' });
    expect((await maud.get(`/api/quilts/${id}`)).status).toBe(200);
    expect((await maud.get('/api/house')).body.who).toBe('view');
    // One quilt she may take along, the whole shelf not.
    expect((await maud.get(`/api/quilts/${id}/take?to=zip`)).status).toBe(200);
    const shelf = await maud.get('/api/shelf.zip');
    expect([shelf.status, shelf.body.code]).toEqual([403, 'view-only']);
    for (const answer of [
      await maud.put(`/api/quilts/${id}`).send({ revision: 1, plan }),
      await maud.post('/api/quilts').send({ plan }),
      await maud.delete(`/api/quilts/${id}`),
      await maud.post(`/api/quilts/${id}/snapshots`).send({ name: 'x' }),
      await maud.post('/api/log').send({ entries: [] }),
    ])
      expect(answer.status).toBe(403);
  });

  test('to edit; taken back, it lets nobody in any more, and whoever came in by it is out at once', async () => {
    const { secret, id } = await made('edit');
    const maud = browser();
    await enter(maud, { link: secret });
    expect((await maud.post('/api/quilts').send({ plan })).status).toBe(201);
    await links.takeBack(id);
    expect((await maud.get('/api/quilts')).status).toBe(401);
    expect((await enter(browser(), { link: secret })).status).toBe(401);
    await expect(links.takeBack(id)).rejects.toThrow();
    expect(await links.list()).toEqual([]);
  });

  test('a secret is told once, and kept so that nobody can read it back; guesses open nothing', async () => {
    const { secret, id } = await made('view');
    expect(secret.split('.')[1]!.length).toBeGreaterThanOrEqual(24);
    const kept = JSON.stringify(await database.knex('links').select());
    expect(kept).not.toContain(secret.split('.')[1]);
    for (const guess of [`${id}.`, id, `${id}.${'a'.repeat(24)}`, 'x.y'])
      expect((await enter(browser(), { link: guess })).status).toBe(401);
  });

  test('made and taken back by whoever sits at the machine, with an address and a code to be scanned', async () => {
    const own = request(createApp({ database, outside, sharedAt: () => 'https://192.0.2.1:4174/' }));
    const answer = await own.post('/api/links').send({ name: 'Maud', may: 'view' });
    expect(answer.status).toBe(201);
    expect(answer.body.url).toMatch(/^https:\/\/192\.0\.2\.1:4174\/#come-in=/);
    expect(answer.body.qr).toMatch(/^<svg/);
    expect((await own.get('/api/links')).body.links).toEqual([
      expect.objectContaining({ name: 'Maud', may: 'view' }),
    ]);
    expect(JSON.stringify((await own.get('/api/links')).body)).not.toContain('come-in');
    expect((await own.delete(`/api/links/${answer.body.id}`)).status).toBe(204);
    expect((await own.post('/api/links').send({ name: 'Maud', may: 'own' })).status).toBe(400);
  });
});

describe('secrets', () => {
  test('the same passphrase is kept differently each time; only itself opens it', async () => {
    const [one, two] = [await keepPassphrase(WORDS), await keepPassphrase(WORDS)];
    expect(one.hash.equals(two.hash)).toBe(false);
    expect(await isPassphrase(WORDS, one)).toBe(true);
    expect(await isPassphrase(`${WORDS}s`, one)).toBe(false);
  });

  test('those made here are five words, and no two alike', () => {
    const made = Array.from({ length: 200 }, newPassphrase);
    for (const words of made) expect(words.split(' ')).toHaveLength(5);
    expect(new Set(made).size).toBe(200);
  });
});

describe('a certificate made on the spot', () => {
  test('stands for the names of the house, is kept, and made anew when it has to be', async () => {
    const where = folder();
    const now = new Date('2026-11-26T08:00:00Z');
    const first = await ownCertificate(where, ['192.0.2.1', 'house.local'], now);
    const read = new X509Certificate(first.cert);
    expect(read.checkIP('192.0.2.1')).toBeDefined();
    expect(read.checkHost('house.local')).toBeDefined();
    expect(read.checkHost('example.invalid')).toBeUndefined();
    expect(read.ca).toBe(false);
    expect(statSync(path.join(where, 'key.pem')).mode & 0o077).toBe(0);
    expect(await ownCertificate(where, ['house.local'], now)).toEqual(first);
    expect(fingerprintOf(await ownCertificate(where, ['192.0.2.9'], now))).not.toBe(fingerprintOf(first));
    const later = new Date('2027-11-20T08:00:00Z');
    expect(
      new Date(
        new X509Certificate((await ownCertificate(where, ['192.0.2.9'], later)).cert).validTo,
      ).getTime(),
    ).toBeGreaterThan(later.getTime() + 300 * 24 * 3600 * 1000);
  });
});
