import sharp from 'sharp';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import { keepHouse } from '../src/housekeeping.ts';
import { PictureRepository } from '../src/pictures/repository.ts';
import { makePicture } from '../src/pictures/make-picture.ts';
import { Workshop } from '../src/pictures/workshop.ts';
import { QuiltRepository } from '../src/quilts/repository.ts';
import { hugePng } from './support/huge-png.ts';

let database: Database;
let ids = 0;
const outside = {
  now: () => new Date(Date.UTC(2026, 10, 24)),
  newId: () => `picture-${ids++}`,
  random: () => 0.5,
};
/** The workshop's own rule without its process, which has a test of its own. */
const workshop = { make: makePicture, close: () => undefined } as unknown as Workshop;
const send = (bytes: Buffer, type = 'image/jpeg') =>
  request(createApp({ database, outside, workshop }))
    .post('/api/pictures')
    .set('Content-Type', type)
    .send(bytes);
const fetched = async (id: string) =>
  (await request(createApp({ database, outside }))
    .get(`/api/pictures/${id}`)
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    })) as unknown as { status: number; headers: Record<string, string>; body: Buffer };

beforeEach(async () => {
  database = await openDatabase(':memory:');
});
afterEach(() => database.close());

/** Red above, blue below: wide as it was taken. */
const picture = (width = 900, height = 600) =>
  sharp({ create: { width, height, channels: 3, background: '#c03020' } }).composite([
    {
      input: { create: { width, height: Math.round(height / 2), channels: 3, background: '#203080' } },
      gravity: 'south',
    },
  ]);

describe('a picture of a block', () => {
  test('is made square and small, re-encoded, without what the camera wrote; its colours are found', async () => {
    const photo = await picture()
      .withExif({ IFD0: { Copyright: 'secret place' } })
      .jpeg()
      .toBuffer();
    expect(photo.toString('latin1')).toContain('secret place');
    const { status, body } = await send(photo);
    expect(status).toBe(201);
    expect(body).toMatchObject({ notes: [] });
    expect(body.colours).toHaveLength(2);
    const kept = await fetched(body.id);
    expect(kept.headers['content-type']).toBe('image/webp');
    expect(kept.body.toString('latin1')).not.toContain('secret place');
    expect(await sharp(kept.body).metadata()).toMatchObject({ format: 'webp', width: 480, height: 480 });
  });
  test('turned by its camera: upright when it is kept', async () => {
    // Orientation 6: the camera was held a quarter to the left, so what was left is up (published in the Exif standard).
    const photo = await picture(600, 900).withMetadata({ orientation: 6 }).jpeg().toBuffer();
    const { body } = await send(photo);
    const { data } = await sharp((await fetched(body.id)).body)
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const at = (x: number, y: number) => [...data.subarray(3 * (y * 480 + x), 3 * (y * 480 + x) + 3)];
    // Blue lay below; turned a quarter to the right it lies at the left.
    expect(at(40, 240)[2]).toBeGreaterThan(at(40, 240)[0]!);
    expect(at(440, 240)[0]).toBeGreaterThan(at(440, 240)[2]!);
  });
  test('a moving one gives its first picture, and says so', async () => {
    const frames = await Promise.all(
      ['#ff0000', '#00ff00'].map((background) =>
        sharp({ create: { width: 60, height: 60, channels: 3, background } })
          .png()
          .toBuffer(),
      ),
    );
    const moving = await sharp(frames, { join: { animated: true } })
      .gif()
      .toBuffer();
    const { status, body } = await send(moving, 'image/gif');
    expect(status).toBe(201);
    expect(body.notes).toEqual(['It moves: only its first picture was taken.']);
    expect((await sharp((await fetched(body.id)).body).metadata()).pages ?? 1).toBe(1);
  });
  test.each<[string, () => Buffer | Promise<Buffer>, number, RegExp]>([
    ['text', () => Buffer.from('not a picture at all'), 415, /not a picture that can be read/],
    ['an empty file', () => Buffer.alloc(0), 415, /not a picture that can be read|No picture/],
    [
      'a picture cut short',
      async () => (await picture().png().toBuffer()).subarray(0, 300),
      415,
      /not a picture that can be read/,
    ],
    [
      'a drawing with a script',
      () =>
        Buffer.from(
          '<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><script>alert(1)</script></svg>',
        ),
      415,
      /can hold a program/,
    ],
    ['a picture of absurd size', () => hugePng(), 413, /more dots than any camera/],
    ['a file larger than any photo', () => Buffer.alloc(26_000_000), 413, /too large to take/],
  ])('%s is refused with a clear word', async (_, make, status, message) => {
    const answer = await send(await make());
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.body.message).toMatch(message);
    if (answer.body.code !== 'no-picture') expect(answer.status).toBe(status);
  });
  test('none sent, two sent, one that is not there', async () => {
    expect((await request(createApp({ database, outside })).post('/api/pictures')).body.code).toBe(
      'no-picture',
    );
    expect((await request(createApp({ database, outside })).get('/api/pictures/none')).status).toBe(404);
  });
});

describe('pictures no quilt names', () => {
  const kept = (id: string, made: string) =>
    new PictureRepository(database.knex).insert({ id, bytes: Buffer.from('x'), created_at: made });
  const quilt = (id: string, picture: string, removed: string | null) =>
    new QuiltRepository(database).insert({
      id,
      revision: 1,
      plan: JSON.stringify({ pile: [{ picture }] }),
      created_at: '',
      ...{ title: '', card: null, saved_by: '' },
      updated_at: '',
      removed_at: removed,
    });
  test('go when they are old; those that a quilt names stay, even one taken off the shelf', async () => {
    const [old, young] = ['2026-01-01T00:00:00.000Z', '2026-11-20T00:00:00.000Z'];
    await kept('named-000001', old);
    await kept('put-away-0001', old);
    await kept('forgotten-001', old);
    await kept('just-made-001', young);
    await quilt('q1', 'named-000001', null);
    await quilt('q2', 'put-away-0001', '2026-11-10T00:00:00.000Z');
    await kept('long-gone-001', old);
    await quilt('q3', 'long-gone-001', '2026-02-01T00:00:00.000Z');
    await kept('as-it-was-001', old);
    await database.knex('snapshots').insert({
      ...{ id: 's1', quilt: 'q1', name: null, made_at: '' },
      plan: JSON.stringify({ pile: [{ picture: 'as-it-was-001' }] }),
    });
    await kept('of-a-cloth-01', old);
    await database.knex('log_entries').insert({
      ...{ id: 'put-in-1', quilt: 'stash', at: '', kind: 'stash-put' },
      body: JSON.stringify({ name: 'Moss', picture: 'of-a-cloth-01' }),
    });
    await kept('of-a-note-001', old);
    await database.knex('log_entries').insert({
      ...{ id: 'note-0001', quilt: 'q1', at: '', kind: 'noted' },
      body: JSON.stringify({ text: 'The seam', stage: '', about: {}, pictures: ['of-a-note-001'] }),
    });
    const pictures = new PictureRepository(database.knex);
    expect(await keepHouse(database, outside.now())).toEqual({ quilts: 1, pictures: 2 });
    for (const id of ['forgotten-001', 'long-gone-001']) expect(await pictures.find(id)).toBeUndefined();
    for (const id of [
      'named-000001',
      'put-away-0001',
      'just-made-001',
      'as-it-was-001',
      'of-a-cloth-01',
      'of-a-note-001',
    ])
      expect(await pictures.find(id)).toBeDefined();
  });
});

describe('the workshop pictures are made in', () => {
  // A busy machine is slow, not wrong.
  const shop = new Workshop(200_000);
  afterAll(() => shop.close());
  const bomb = async () =>
    // Small to send, vast to open: one colour all over, in the newest format.
    sharp({
      create: { width: 10_000, height: 10_000, channels: 3, background: '#888888' },
      limitInputPixels: false,
    })
      .avif({ effort: 0, quality: 1 })
      .toBuffer();
  test('one at a time, in a process of its own; a trap is refused by its dots, and the next is made', async () => {
    const photo = await picture().jpeg().toBuffer();
    const [first, trap, second] = await Promise.allSettled([
      shop.make(photo),
      shop.make(await bomb()),
      shop.make(photo),
    ]);
    expect(first).toMatchObject({ status: 'fulfilled', value: { colours: expect.any(Array) } });
    expect(trap).toMatchObject({ status: 'rejected', reason: { code: 'picture-too-large', status: 413 } });
    expect(second.status).toBe('fulfilled');
    if (first.status === 'fulfilled')
      expect(await sharp(first.value.bytes).metadata()).toMatchObject({ format: 'webp', width: 480 });
  });
  test('killed at its work it says so, and goes on with the next', async () => {
    const photo = await picture().jpeg().toBuffer();
    const making = shop.make(photo);
    (shop as unknown as { maker: { kill(signal: string): void } }).maker.kill('SIGKILL');
    await expect(making).rejects.toMatchObject({ code: 'picture-too-large' });
    expect((await shop.make(photo)).bytes.length).toBeGreaterThan(100);
  });
  test('so many wait and no more; who comes after them is asked to come again', async () => {
    const photo = await picture().jpeg().toBuffer();
    const waiting = Array.from({ length: 13 }, () => shop.make(photo));
    await expect((async () => shop.make(photo))()).rejects.toMatchObject({ code: 'busy', status: 503 });
    await Promise.all(waiting);
  });
});
