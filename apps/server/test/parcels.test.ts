import { PassThrough } from 'node:stream';
import { setImmediate } from 'node:timers/promises';
import { unzipSync, zipSync } from 'fflate';
import { type LogEntry, MAKER, type Plan, startPlan, writePlanJson } from '@lattice/core';
import sharp from 'sharp';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import type { LogPage } from '../src/log/repository.ts';
import type { Arrived } from '../src/parcels/service.ts';
import { shelfFiles, zipInto } from '../src/parcels/shelf.ts';
import { LogRepository } from '../src/log/repository.ts';
import { ParcelService } from '../src/parcels/service.ts';
import { PictureRepository } from '../src/pictures/repository.ts';
import { QuiltRepository } from '../src/quilts/repository.ts';
import { QuiltService } from '../src/quilts/service.ts';
import { SnapshotRepository } from '../src/snapshots/repository.ts';
import { Workshop } from '../src/pictures/workshop.ts';

const workshop = new Workshop();
afterAll(() => workshop.close());
const open: Database[] = [];
afterEach(async () => {
  for (const database of open.splice(0)) await database.close();
});

/** A house of its own, with an empty shelf. */
async function house() {
  const database = await openDatabase(':memory:');
  open.push(database);
  let ids = 0;
  const outside = {
    now: () => new Date('2026-11-27T09:00:00Z'),
    newId: () => `made-here-${open.length}-${ids++}`,
    random: () => 0.5,
  };
  const app = createApp({ database, outside, workshop });
  return { database, app, outside };
}
type House = Awaited<ReturnType<typeof house>>;

const plan: Plan = {
  ...startPlan('sashed-sampler'),
  title: 'שמיכה <b>&</b> 🧵',
  pile: [
    { id: 'b1', name: '=cmd', width: 12.5, height: 12.5, picture: 'picture-0001' },
    { id: 'b2', name: 'Two', width: 12.375, height: null },
  ],
};
const log: LogEntry[] = [
  {
    id: 'start-0001',
    quilt: 'quilt-0001',
    at: '2026-11-26T09:00:00Z',
    kind: 'clock-started',
    body: { work: 'sew' },
  },
  {
    id: 'stop-00001',
    quilt: 'quilt-0001',
    at: '2026-11-26T10:00:00Z',
    kind: 'clock-stopped',
    body: { start: 'start-0001', minutes: null },
  },
  {
    id: 'note-00001',
    quilt: 'quilt-0001',
    at: '2026-11-26T11:00:00Z',
    kind: 'noted',
    body: { text: 'x', stage: '', about: {}, pictures: ['picture-0002'] },
  },
  {
    id: 'other-0001',
    quilt: 'another-01',
    at: '2026-11-26T11:00:00Z',
    kind: 'noted',
    body: { text: 'not to go along', stage: '', about: {}, pictures: [] },
  },
];

async function filled(): Promise<House> {
  const here = await house();
  const picture = await sharp({ create: { width: 60, height: 60, channels: 3, background: '#c4532f' } })
    .png()
    .toBuffer();
  for (const id of ['picture-0001', 'picture-0002'])
    await request(here.app)
      .post(`/api/pictures?id=${id}`)
      .set('Content-Type', 'image/png')
      .send(picture)
      .expect(201);
  await request(here.app).post('/api/quilts').send({ id: 'quilt-0001', plan }).expect(201);
  await request(here.app).post('/api/log').send({ entries: log }).expect(200);
  return here;
}
const taken = async ({ app }: House, address: string): Promise<Buffer> =>
  (
    await request(app)
      .get(address)
      .buffer(true)
      .parse((response, done) => {
        const chunks: Buffer[] = [];
        response.on('data', (chunk: Buffer) => chunks.push(chunk));
        response.on('end', () => done(null, Buffer.concat(chunks)));
      })
      .expect(200)
  ).body as Buffer;
const arrive = ({ app }: House, bytes: Uint8Array) =>
  request(app).post('/api/parcels').set('Content-Type', 'application/octet-stream').send(Buffer.from(bytes));
const logOf = async ({ app }: House) =>
  ((await request(app).get('/api/log?since=0')).body as LogPage).entries;
const shelfOf = async ({ app }: House) =>
  ((await request(app).get('/api/quilts')).body as { quilts: { id: string; card: { title: string } }[] })
    .quilts;

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
  }, 30_000);
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
  }, 30_000);
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
  }, 30_000);
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
  }, 60_000);
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
  }, 60_000);
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
  }, 30_000);
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
  }, 30_000);
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
  }, 30_000);
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
  }, 60_000);
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
  }, 60_000);
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
  }, 60_000);
});

describe('a file that is no parcel, or means harm, is refused within a second and nothing is written', () => {
  const good = { 'quilt.plan.json': Buffer.from(writePlanJson(plan)) };
  /** A zip with one name in place of another of the same length, in both places a zip has it. */
  const renamed = (zip: Uint8Array, from: string, to: string) =>
    Buffer.from(Buffer.from(zip).toString('latin1').replaceAll(from, to), 'latin1');
  /** The size a zip says its first file has, in the list at its end. */
  const lying = (zip: Uint8Array, size: number) => {
    const bytes = Buffer.from(zip);
    const at = bytes.indexOf(Buffer.from([0x50, 0x4b, 1, 2]));
    bytes.writeUInt32LE(size, at + 24);
    return bytes;
  };
  /** A zip that says it lists so many files: as such lists end when 65,535 are not enough (published as ZIP64). */
  const claiming = (zip: Uint8Array, files: number) => {
    const [list, end] = [Buffer.from(zip.slice(0, -22)), Buffer.from(zip.slice(-22))];
    const large = Buffer.alloc(56);
    large.writeUInt32LE(0x06064b50, 0);
    large.writeBigUInt64LE(44n, 4);
    for (const at of [24, 32]) large.writeBigUInt64LE(BigInt(files), at);
    large.writeBigUInt64LE(BigInt(end.readUInt32LE(12)), 40);
    large.writeBigUInt64LE(BigInt(end.readUInt32LE(16)), 48);
    const where = Buffer.alloc(20);
    where.writeUInt32LE(0x07064b50, 0);
    where.writeBigUInt64LE(BigInt(list.length), 8);
    where.writeUInt32LE(1, 16);
    for (const at of [8, 10]) end.writeUInt16LE(0xffff, at);
    return Buffer.concat([list, large, where, end]);
  };
  /** As a zip program writes a link to another file: Unix says so in the file's attributes. */
  const linked = () =>
    zipSync({ 'quilt.plan.json': [Buffer.from('/etc/passwd'), { os: 3, attrs: (0o120777 << 16) >>> 0 }] });
  let webp: Uint8Array = Buffer.alloc(0);
  beforeAll(async () => {
    webp = await sharp({ create: { width: 20, height: 20, channels: 3, background: '#36c' } })
      .webp()
      .toBuffer();
  });
  const cases: readonly [string, () => Uint8Array, RegExp][] = [
    ['not a zip', () => Buffer.from('quilt'), /not a zip/],
    ['cut short', () => zipSync(good).slice(0, -30), /not a zip, or it was cut short/],
    ['empty', () => zipSync({}), /no quilt/],
    ['without a quilt', () => zipSync({ 'x.txt': Buffer.from('x') }), /no quilt/],
    ['a bomb', () => zipSync({ ...good, 'log.json': [new Uint8Array(59_000_000), { level: 9 }] }), /tighter/],
    [
      'a larger bomb',
      () => zipSync({ ...good, 'log.json': [new Uint8Array(90_000_000), { level: 1 }] }),
      /larger/,
    ],
    [
      'a name that leads out',
      () => renamed(zipSync({ ...good, 'aa/x.json': Buffer.from('x') }), 'aa/x.json', '../x.json'),
      /leads out/,
    ],
    [
      'a name from the root',
      () => renamed(zipSync({ ...good, 'axx.json': Buffer.from('x') }), 'axx.json', '/xx.json'),
      /leads out/,
    ],
    [
      'one bit turned in what it holds',
      () => {
        const bytes = Buffer.from(zipSync(good, { level: 0 }));
        // A letter of the title, large for small: still a plan that can be read, and not the one that was packed.
        bytes[bytes.indexOf(plan.title)]! ^= 0x20;
        return bytes;
      },
      /damaged/,
    ],
    [
      // One bit of it, in the list only: the quilt would come without its journal, and nobody would say so.
      'a name that is another one in the list',
      () => {
        const bytes = Buffer.from(zipSync({ ...good, 'log.json': Buffer.from('[]') }));
        bytes[bytes.lastIndexOf('log.json')]! ^= 1;
        return bytes;
      },
      /list of files in this zip is damaged/,
    ],
    [
      'a list that counts fewer than it has',
      () => {
        const bytes = Buffer.from(zipSync({ ...good, 'log.json': Buffer.from('[]') }));
        for (const at of [8, 10]) bytes.writeUInt16LE(1, bytes.length - 22 + at);
        return bytes;
      },
      /more than it says/,
    ],
    ['a size that lies low', () => lying(zipSync(good), 10), /damaged/],
    ['a size that lies high', () => lying(zipSync(good), 3_900_000), /damaged|tighter/],
    ['a link', linked, /link/],
    ['three hundred thousand files', () => claiming(zipSync(good), 300_000), /holds \d+ files/],
    [
      'a plan that is none',
      () => zipSync({ 'quilt.plan.json': Buffer.from('{"title":1}') }),
      /plan cannot be read/,
    ],
    ['a plan cut short', () => zipSync({ 'quilt.plan.json': Buffer.from('{"title":') }), /not JSON/],
    ['a log with nonsense', () => zipSync({ ...good, 'log.json': Buffer.from('[{"id":"x"}]') }), /Entry 1/],
    [
      'a later kind',
      () => zipSync({ ...good, 'about.json': Buffer.from('{"version":9,"id":"quilt-0009"}') }),
      /later kind/,
    ],
    [
      'a second quilt that is none, after one with a good picture',
      () =>
        zipSync({
          ...Object.fromEntries(Object.entries(good).map(([name, bytes]) => [`one/${name}`, bytes])),
          'one/pictures/picture-0009.webp': webp,
          'two/quilt.plan.json': Buffer.from('{"title":1}'),
        }),
      /plan cannot be read/,
    ],
    [
      'a picture that is none',
      () => zipSync({ ...good, 'pictures/picture-0009.webp': Buffer.from('<svg/>') }),
      /./,
    ],
  ];
  test.each(cases)(
    '%s',
    async (_name, make, says) => {
      const here = await house();
      const bytes = make();
      const { status, body } = (await arrive(here, bytes)) as { status: number; body: { message: string } };
      expect([status >= 400 && status < 500, status !== 404]).toEqual([true, true]);
      expect(body.message).toMatch(says);
      expect(await shelfOf(here)).toEqual([]);
      expect(await logOf(here)).toEqual([]);
      expect(await here.database.knex('pictures').count({ n: '*' })).toEqual([{ n: 0 }]);
    },
    30_000,
  );
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
}, 30_000);
