import { PassThrough } from 'node:stream';
import { setImmediate } from 'node:timers/promises';
import { unzipSync, zipSync } from 'fflate';
import { MAKER, type Plan, startPlan, writePlanJson } from '@lattice/core';
import request from 'supertest';
import type { Arrived } from '@lattice/contract';
import { shelfFiles, zipInto } from '../src/parcels/shelf.ts';
import { LogRepository } from '../src/log/repository.ts';
import { ParcelService } from '../src/parcels/service.ts';
import { PictureRepository } from '../src/pictures/repository.ts';
import { QuiltRepository } from '../src/quilts/repository.ts';
import { QuiltService } from '../src/quilts/service.ts';
import { SnapshotRepository } from '../src/snapshots/repository.ts';
import {
  type House,
  arrive,
  filled,
  house,
  log,
  logOf,
  plan,
  shelfOf,
  taken,
  workshop,
} from './support/parcels.ts';

describe('a whole quilt, carried from one house to another', () => {
  test('arrives as it was: plan, log and pictures, under its own ids', async () => {
    const [from, to] = [await filled(), await house()];
    const parcel = await taken(from, '/api/quilts/quilt-0001/take?to=zip');
    const { body } = (await arrive(to, parcel).expect(201)) as { body: Arrived };
    expect(body).toEqual({
      quilts: [{ id: 'quilt-0001', title: plan.title, copy: false }],
      left: [],
      entries: 3,
      pictures: 2,
    });
    const there = await request(to.app).get('/api/quilts/quilt-0001').expect(200);
    expect((there.body as { plan: Plan }).plan).toEqual(plan);
    expect(await logOf(to)).toEqual(log.slice(0, 3));
    await request(to.app).get('/api/pictures/picture-0002').expect(200);
    // Taken along again from there, it is the same file.
    expect(Buffer.compare(await taken(to, '/api/quilts/quilt-0001/take?to=zip'), parcel)).toBe(0);
  });
  test('there already, it arrives as a copy: its entries speak of one another by new ids', async () => {
    const here = await filled();
    const parcel = await taken(here, '/api/quilts/quilt-0001/take?to=zip');
    const { body } = (await arrive(here, parcel).expect(201)) as { body: Arrived };
    const { id, copy } = body.quilts[0]!;
    expect([copy, id === 'quilt-0001']).toEqual([true, false]);
    const own = (await logOf(here)).filter((entry) => entry.quilt === id);
    // The hours were worked once: they stay with the quilt that is there.
    expect(own.map(({ kind }) => kind)).toEqual(['noted']);
    expect(own[0]!.body).toMatchObject({ pictures: ['picture-0002'] });
    expect(log.map(({ id: entry }) => entry)).not.toContain(own[0]!.id);
    expect((await logOf(here)).filter((entry) => entry.quilt === 'quilt-0001')).toHaveLength(3);
  });
  test('what it says of other quilts on the shelf, or of the maker, is not taken', async () => {
    const here = await filled();
    const foreign = { ...log[2]!, id: 'sneaked-0001', quilt: 'quilt-0001' };
    const hours = { ...log[3]!, id: 'sneaked-0002', quilt: MAKER };
    const own = { ...log[3]!, id: 'own-000001', quilt: 'quilt-0002' };
    const parcel = zipSync({
      'about.json': Buffer.from(JSON.stringify({ version: 1, id: 'quilt-0002' })),
      'quilt.plan.json': Buffer.from(writePlanJson(startPlan('sashed-sampler'))),
      'log.json': Buffer.from(JSON.stringify([foreign, hours, own])),
    });
    const { body } = (await arrive(here, parcel).expect(201)) as { body: Arrived };
    expect(body.entries).toBe(1);
    expect((await logOf(here)).map(({ id }) => id)).toEqual([...log.map(({ id }) => id), 'own-000001']);
  });
  test('a page in it reads by itself: no script, no address, names are words', async () => {
    const files = unzipSync(await taken(await filled(), '/api/quilts/quilt-0001/take?to=zip'));
    const page = Buffer.from(files['index.html']!).toString('utf8');
    expect(page).not.toMatch(/<script|<link|\bsrc=|href="(?!data:image\/jpeg)|url\(/i);
    expect(page).toContain('&lt;b&gt;&amp;&lt;/b&gt;');
    expect(page).not.toContain('<b>&</b>');
    expect(Object.keys(files)).toEqual(
      expect.arrayContaining(['quilt.plan.json', 'log.json', 'about.json', 'pictures/picture-0001.webp']),
    );
  });
  test('the whole shelf: a folder for each, and all of them arrive', async () => {
    const from = await filled();
    for (let i = 0; i < 60; i += 1)
      await request(from.app)
        .post('/api/quilts')
        .send({ id: `quilt-many-${i}`, plan: { ...plan, title: '../../x' } });
    const parcel = await taken(from, '/api/shelf.zip');
    const names = Object.keys(unzipSync(parcel));
    expect(names.every((name) => !name.includes('..') && !name.startsWith('/'))).toBe(true);
    const to = await house();
    const { body } = (await arrive(to, parcel).expect(201)) as { body: Arrived };
    expect(body.quilts).toHaveLength(61);
    expect(body.quilts.every(({ copy }) => !copy)).toBe(true);
  });
});

describe('a large shelf', () => {
  /** So many copies of a quilt, as rows: one more each after the other. */
  const many = async ({ database }: House, count: number) => {
    const row = (await database.knex('quilts').first()) as Record<string, unknown>;
    for (let i = 0; i < count; i++)
      await database.knex('quilts').insert({ ...row, id: `quilt-many-${i}`, title: `Many ${i % 7}` });
  };
  test('comes whole, however many quilts', async () => {
    const here = await filled();
    await many(here, 505);
    const files = unzipSync(await taken(here, '/api/shelf.zip'));
    const ids = Object.entries(files).flatMap(([name, bytes]) =>
      name.endsWith('about.json') ? [(JSON.parse(Buffer.from(bytes).toString()) as { id: string }).id] : [],
    );
    const all = [...Array(505).keys()].map((i) => `quilt-many-${i}`);
    expect(ids.sort()).toEqual([...all, 'quilt-0001'].sort());
    expect(Buffer.from(files['index.txt']!).toString().trim().split('\n')).toHaveLength(506);
  });
  test('a quilt that cannot be read comes as it lies, and is named; another shelf takes all but that one', async () => {
    const here = await filled();
    await many(here, 3);
    await here.database
      .knex('quilts')
      .where({ id: 'quilt-many-1' })
      .update({ plan: '{"title":', title: 'Torn' });
    const files = unzipSync(await taken(here, '/api/shelf.zip'));
    const torn = Object.keys(files).find((name) => name.includes('Torn'))!;
    expect(Buffer.from(files[torn]!).toString()).toBe('{"title":');
    const index = Buffer.from(files['index.txt']!).toString().trim().split('\n');
    expect(index.filter((line) => /cannot be read/.test(line))).toEqual([expect.stringMatching(/Torn: /)]);
    const to = await house();
    const { body } = (await arrive(to, zipSync(files)).expect(201)) as { body: Arrived };
    expect(body.quilts.map(({ id }) => id).sort()).toEqual(['quilt-0001', 'quilt-many-0', 'quilt-many-2']);
  });
  test('is read no faster than it is taken, and no further when whoever takes it goes away', async () => {
    let read = 0;
    const plain = startPlan('sashed-sampler');
    const files = shelfFiles({
      all: async () => Array.from({ length: 5_000 }, (_, i) => ({ id: `q${i}`, title: `Quilt ${i}` })),
      plan: async () => {
        read++;
        return plain;
      },
      log: async () => [],
      picture: async () => null,
      made: '2026-12-01T10:00:00Z',
    });
    const takes = new PassThrough();
    const done = zipInto(files, takes, '2026-12-01T10:00:00Z');
    // Nobody takes anything: what is read comes to a stand.
    for (let before = -1, same = 0; same < 50; same = read === before ? same + 1 : 0) {
      before = read;
      await setImmediate();
    }
    const stood = read;
    expect(stood).toBeGreaterThan(0);
    expect(stood).toBeLessThan(1_000);
    // Some is taken: it goes on.
    takes.read();
    takes.read();
    while (read === stood) await setImmediate();
    takes.destroy();
    await done;
    const left = read;
    for (let i = 0; i < 50; i++) await setImmediate();
    expect([read, left < 5_000]).toEqual([left, true]);
  });
  test('others are answered after each quilt, though everything asked for were there at once', async () => {
    const plain = startPlan('sashed-sampler');
    const files = shelfFiles({
      all: async () => Array.from({ length: 40 }, (_, i) => ({ id: `q${i}`, title: `Quilt ${i}` })),
      plan: async () => plain,
      log: async () => [],
      picture: async () => null,
      made: '2026-12-01T10:00:00Z',
    });
    let done = false;
    let turns = 0;
    const others = (async () => {
      for (; !done; turns++) await setImmediate();
    })();
    let count = 0;
    for await (const { path } of files) if (path.endsWith('about.json')) count++;
    done = true;
    await others;
    expect([count, turns >= 40]).toEqual([40, true]);
  });
  test('others are answered while a long journal is written', async () => {
    const note = (n: number) => ({ ...log[0]!, id: `long-note-${n}`, quilt: 'quilt-long' });
    const parcel = zipSync({
      'about.json': Buffer.from(JSON.stringify({ version: 1, id: 'quilt-long' })),
      'quilt.plan.json': Buffer.from(writePlanJson(plan)),
      'log.json': Buffer.from(JSON.stringify(Array.from({ length: 6_000 }, (_, n) => note(n)))),
    });
    const to = await house();
    const count = to.database.driver.prepare('select count(*) from log_entries').pluck();
    let [done, seen, most] = [false, 0, 0];
    const others = (async () => {
      for (; !done; await setImmediate()) {
        const now = count.get() as number;
        [seen, most] = [now, Math.max(most, now - seen)];
      }
    })();
    const { body } = (await arrive(to, parcel).expect(201)) as { body: Arrived };
    done = true;
    await others;
    expect(body.entries).toBe(6_000);
    // No more than two thousand go in between two answers to others.
    expect(most).toBeLessThanOrEqual(2_000);
    expect(most).toBeGreaterThan(0);
  });
  test('how far it has come is told while it comes; stopped, it ends after the quilt in hand', async () => {
    const from = await filled();
    await many(from, 30);
    const parcel = await taken(from, '/api/shelf.zip');
    const to = await house();
    const far = async () => (await request(to.app).get('/api/parcels').expect(200)).body.arriving as unknown;
    expect(await far()).toBeNull();
    const coming = arrive(to, parcel).then((answer) => answer);
    const told: { done: number; of: number }[] = [];
    let done = false;
    void coming.finally(() => (done = true));
    while (!done) {
      const now = (await far()) as { done: number; of: number } | null;
      if (now) told.push(now);
    }
    expect((await coming).status).toBe(201);
    expect(await far()).toBeNull();
    expect(new Set(told.map(({ of }) => of))).toEqual(new Set([31]));
    const steps = told.map((one) => one.done);
    expect([...steps].sort((a, b) => a - b)).toEqual(steps);
    expect(steps.some((one) => one > 0 && one < 31)).toBe(true);

    const other = await house();
    const [rows, entries] = [new QuiltRepository(other.database), new LogRepository(other.database)];
    const quilts = new QuiltService(rows, new SnapshotRepository(other.database), other.outside, entries);
    const pictures = new PictureRepository(other.database.knex);
    const service = new ParcelService({ quilts, log: entries, pictures, workshop, outside: other.outside });
    let asked = 0;
    // Once for each while it is looked through, then after three of them.
    const came = await service.arrive(parcel, () => ++asked > 31 + 3);
    expect([came.quilts.length, came.left]).toEqual([3, []]);
    expect(await shelfOf(other)).toHaveLength(3);
    await expect(service.arrive(parcel, () => true)).rejects.toMatchObject({ code: 'stopped' });
    expect(await shelfOf(other)).toHaveLength(3);
  });
  test('what goes wrong before the first byte is said as what it is, and not as a file', async () => {
    const here = await filled();
    await here.database.knex.raw('alter table quilts rename to gone');
    const { status, headers } = await request(here.app).get('/api/shelf.zip');
    expect([status, headers['content-disposition'], headers['content-type']]).toEqual([
      500,
      undefined,
      expect.stringContaining('json'),
    ]);
  });
  test('a quilt that cannot be written is said; all others are there', async () => {
    const from = await filled();
    await many(from, 3);
    const own = { ...log[0]!, id: 'of-many-0001', quilt: 'quilt-many-1' };
    await request(from.app)
      .post('/api/log')
      .send({ entries: [own] })
      .expect(200);
    const parcel = await taken(from, '/api/shelf.zip');
    const to = await house();
    await to.database.knex.raw(
      "create trigger no before insert on quilts when new.id = 'quilt-many-1' begin select raise(abort, 'no'); end",
    );
    const { body } = (await arrive(to, parcel).expect(201)) as { body: Arrived };
    expect(body.quilts.map(({ id }) => id).sort()).toEqual(['quilt-0001', 'quilt-many-0', 'quilt-many-2']);
    expect(body.left).toEqual([{ title: plan.title, why: 'Something went wrong on the server.' }]);
    // Nothing of it: its journal neither.
    expect((await logOf(to)).filter(({ quilt }) => quilt === 'quilt-many-1')).toEqual([]);
    expect((await shelfOf(to)).map(({ id }) => id).sort()).toEqual(body.quilts.map(({ id }) => id).sort());
    // None at all: refused, and nothing is there.
    const none = await house();
    await none.database.knex.raw(
      "create trigger no before insert on quilts begin select raise(abort, 'no'); end",
    );
    expect((await arrive(none, parcel)).status).toBe(500);
    expect(await shelfOf(none)).toEqual([]);
  });
});

test('anything else of a quilt, over HTTP: with its name, its type and its bytes', async () => {
  const here = await filled();
  const got = await request(here.app)
    .get('/api/quilts/quilt-0001/take?to=csv&what=shopping&comma=yes')
    .expect(200);
  expect(got.headers['content-type']).toMatch(/text\/csv/);
  expect(got.headers['content-disposition']).toMatch(/attachment/);
  expect(got.text).toContain(';');
  expect(
    (await taken(here, '/api/quilts/quilt-0001/take?to=pdf&what=shopping')).subarray(0, 5).toString(),
  ).toBe('%PDF-');
  expect((await taken(here, '/api/quilts/quilt-0001/take?to=png')).subarray(1, 4).toString()).toBe('PNG');
  await request(here.app).get('/api/quilts/quilt-0001/take?to=doc').expect(400);
  await request(here.app).get('/api/quilts/quilt-0001/take?to=csv&what=nothing').expect(404);
  await request(here.app).get('/api/quilts/nobody-knows/take?to=csv').expect(404);
});
