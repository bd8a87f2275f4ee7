import path from 'node:path';
import { type LogEntry, randomFrom, startPlan } from '@lattice/core';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import { LogRepository } from '../src/log/repository.ts';
import { QuiltRepository } from '../src/quilts/repository.ts';
import { seedDemo } from '../src/seed/seed.ts';

/*
 * Everything that takes a body, with something in it that is not what it seems to be: it has a length and is no text, it
 * has no way to be made one. Whatever is sent, it is refused in words or passed over, and never a fault of the server.
 */
const STRANGE: readonly unknown[] = [
  { length: { toString: [null] } },
  { length: 3, trim: 'x', replace: [], match: {}, split: 1 },
];

let database: Database;
let entries: LogEntry[];
let ids = 0;
const outside = {
  now: () => new Date('2026-12-01T10:00:00Z'),
  newId: () => `strange-${ids++}`,
  random: randomFrom(20_261_201),
};
beforeAll(async () => {
  database = await openDatabase(':memory:');
  const demo = path.resolve(__dirname, '../../../demo');
  await seedDemo(new QuiltRepository(database), new LogRepository(database), outside, demo);
  const page = await request(app()).get('/api/log?since=0');
  entries = (page.body as { entries: LogEntry[] }).entries;
});
afterAll(() => database.close());
const app = () => createApp({ database, outside, sharedAt: () => 'https://house.local:1/' });

type Tree = Record<string, unknown> | unknown[];
const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null;
/** Every place of a document; of a long list its first two. */
function* places(document: Tree, at: readonly string[] = []): Generator<readonly string[]> {
  for (const key of Object.keys(document).slice(0, Array.isArray(document) ? 2 : undefined)) {
    yield [...at, key];
    const value = (document as Record<string, unknown>)[key];
    if (isTree(value)) yield* places(value, [...at, key]);
  }
}
const withAt = (document: Tree, at: readonly string[], value: unknown): Tree => {
  const copy = structuredClone(document);
  let owner = copy as Record<string, unknown>;
  for (const key of at.slice(0, -1)) owner = owner[key] as Record<string, unknown>;
  owner[at.at(-1)!] = value;
  return copy;
};

/** What each place is sent, and takes as it is: by method, address, body. */
type Sent = readonly [method: 'post' | 'put', address: string, body: Tree];
const sheet = { width: 78, height: 89.5 };
const job = {
  unit: 'in',
  top: { width: 70, height: 81.5 },
  backing: { ...sheet, diagonals: null },
  batting: sheet,
  pattern: 'all-over',
};
const cloths = [{ cloth: 'border', name: 'Slate', colour: '#2e4a5f', length: 40, usableWidth: 40 }];
const of = { quilt: 'strange-1', entry: 'entry-strange-1' };
const plain = startPlan('sashed-sampler');
const small = {
  ...plain,
  pile: [{ id: 'b1', name: 'One', width: 12.5, height: 12.5, colours: ['#112233'] }],
};
const BODIES: Readonly<Record<string, readonly Sent[]>> = {
  quilts: [
    ['post', '/api/quilts', { id: 'added-strange-1', plan: small, by: 'Laptop' }],
    ['put', '/api/quilts/added-strange-1', { revision: 1, plan: small, by: 'Laptop' }],
    [
      'post',
      '/api/quilts/added-strange-1/readings',
      {
        block: 'b1',
        width: '12 1/2',
        height: 12.5,
        edges: { top: 12, bottom: '12', left: 12, right: 12 },
        by: 'Ruth',
      },
    ],
    ['post', '/api/quilts/added-strange-1/snapshots', { name: 'Before the border', id: 'version-strange-1' }],
  ],
  links: [['post', '/api/links', { name: 'Maud', may: 'view' }]],
  'shop and long-arm service': [
    ['post', '/api/shop/ask', { unit: 'in', cloths }],
    [
      'post',
      '/api/shop/holds',
      { ...of, order: { unit: 'in', lines: [{ cloth: 'border', bolt: 'b-slate', length: 20 }] } },
    ],
    ['post', '/api/long-arm/quotes', job],
    ['post', '/api/long-arm/bookings', { ...of, entry: 'entry-strange-2', job }],
  ],
  tape: [
    ['post', '/api/tape/squeeze', { millimetres: 300 }],
    ['post', '/api/tape/carry', { inReach: true }],
  ],
};
const send = ([method, address, body]: Sent) =>
  request(app())
    [method](address)
    .send(body as object);

describe('a body that is not what it seems to be is no fault of the server', () => {
  test.each(Object.entries(BODIES))(
    '%s',
    async (_name, sent) => {
      for (const [method, address, body] of sent) {
        const taken = await send([method, address, body]);
        expect([address, taken.status < 300, taken.body]).toEqual([address, true, taken.body]);
        for (const at of places(body))
          for (const strange of STRANGE) {
            const { status, body: said } = await send([method, address, withAt(body, at, strange)]);
            // What is not looked at is passed over; what is, is refused in words. (A later revision is another refusal.)
            expect([address, at, strange, status < 500, said]).toEqual([address, at, strange, true, said]);
          }
      }
    },
    60_000,
  );
  test('every kind of entry the demo has', async () => {
    const kinds = new Map(entries.map((entry) => [entry.kind, entry]));
    expect(kinds.size).toBeGreaterThan(5);
    for (const entry of kinds.values())
      for (const at of places(entry as unknown as Tree))
        for (const strange of STRANGE) {
          const { status } = await send([
            'post',
            '/api/log',
            { entries: [withAt(entry as unknown as Tree, at, strange)] },
          ]);
          expect([entry.kind, at, strange, status < 500]).toEqual([entry.kind, at, strange, true]);
        }
  });
  test('what came before it and what comes after it is taken', async () => {
    expect(
      (await send(['post', '/api/quilts', { plan: { length: { toString: [null] } } }])).body,
    ).toMatchObject({
      code: 'too-much',
      message: 'This holds a field called “toString”, which no quilt does. Nothing was changed.',
    });
    expect((await send(['post', '/api/quilts', { plan: plain }])).status).toBe(201);
  });
});
