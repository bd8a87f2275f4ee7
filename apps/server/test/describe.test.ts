import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import SwaggerParser from '@apidevtools/swagger-parser';
import { ADDRESSES } from '@lattice/contract';
import { type Plan, startPlan } from '@lattice/core';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import { outsideAt } from './support/house.ts';

let database: Database;
let app: ReturnType<typeof createApp>;
beforeEach(async () => {
  database = await openDatabase(':memory:');
  app = createApp({ database, outside: outsideAt('2026-11-27T09:00:00Z') });
});
afterEach(() => database.close());

interface Document {
  readonly openapi: string;
  readonly paths: Readonly<Record<string, Readonly<Record<string, { readonly operationId: string }>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, object>> };
}
const document = async () => (await request(app).get('/api/openapi.json').expect(200)).body as Document;
const plan: Plan = {
  ...startPlan('sashed-sampler'),
  pile: [
    { id: 'b1', name: 'Wheelbarrow', width: null, height: null },
    { id: 'b2', name: 'Snail', width: 12.5, height: 12.5 },
  ],
};
const added = () => request(app).post('/api/quilts').send({ id: 'quilt-0001', plan }).expect(201);

test('it is an OpenAPI document, by a library that judges such', async () => {
  await expect(SwaggerParser.validate(structuredClone(await document()) as never)).resolves.toBeDefined();
});

test('every operation is in it, under its own name, and no route stands beside them', async () => {
  const { paths } = await document();
  const told = Object.entries(paths).flatMap(([where, methods]) =>
    Object.entries(methods).map(([method, { operationId }]) => [
      operationId,
      `${method.toUpperCase()} ${where}`,
    ]),
  );
  expect(Object.fromEntries(told)).toEqual(ADDRESSES);
  // All others are made from the contract, by serve.ts; these two tell of it.
  const source = path.resolve(__dirname, '../src');
  const own = readdirSync(source, { recursive: true })
    .map(String)
    .filter((file) => file.endsWith('.ts'))
    .flatMap((file) =>
      [
        ...readFileSync(path.join(source, file), 'utf8').matchAll(
          /(?:router|app|door)\s*\.(?:get|post|put|delete)\(\s*'([^']*)'/g,
        ),
      ].map(([, at]) => [file, at]),
    );
  expect(own).toEqual([
    ['app.ts', '/{*path}'],
    [path.join('describe', 'routes.ts'), '/'],
    [path.join('describe', 'routes.ts'), '/openapi.json'],
  ]);
});

test('by the page alone: its calls, as they stand there, read a quilt and its lists and say a reading and a tick', async () => {
  await added();
  const page = (await request(app).get('/api/').expect(200)).text;
  expect(page).not.toMatch(/<script/);
  const calls = [...page.matchAll(/<pre[^>]*>curl (.*?)<\/pre>/gs)].map(([, call]) =>
    call!
      .replace(/&quot;/g, '"')
      .replace(/&amp;/g, '&')
      .replace(/&#39;/g, "'")
      .replaceAll('ID', 'quilt-0001'),
  );
  const known = { reading: 0, tick: 0, read: 0 };
  for (const call of calls) {
    const address = /'https?:\/\/[^/]+(\/api[^']*)'$/.exec(call)![1]!;
    const carried = /-d '(.*)' '/.exec(call)?.[1];
    if (call.startsWith('-X POST') && carried !== undefined) {
      const { status } = await request(app)
        .post(address)
        .send(JSON.parse(carried) as object);
      expect([call, status < 300]).toEqual([call, true]);
      if (address.endsWith('/readings')) known.reading += 1;
      if (address.endsWith('/log')) known.tick += 1;
    } else if (!call.startsWith('-X')) {
      expect([call, (await request(app).get(address)).status]).toEqual([call, 200]);
      known.read += 1;
    }
  }
  expect(known.reading).toBe(1);
  expect(known.tick).toBe(1);
  expect(known.read).toBeGreaterThanOrEqual(5);
});

describe('a reading from outside', () => {
  test('is kept in the plan and told in the journal; the verdict comes back (rule BL-1)', async () => {
    await added();
    const say = (block: string, width: unknown, height: unknown) =>
      request(app).post('/api/quilts/quilt-0001/readings').send({ block, width, height });
    // An eighth over is eased, a quarter over trimmed.
    expect((await say('Wheelbarrow', '12 5/8', '12 1/2').expect(201)).body).toMatchObject({
      block: 'b1',
      kind: 'ease',
      revision: 2,
    });
    expect((await say('b1', 12.75, 12.75).expect(201)).body).toMatchObject({ kind: 'trim', revision: 3 });
    const { plan: now } = (await request(app).get('/api/quilts/quilt-0001')).body as { plan: Plan };
    expect(now.pile[0]).toMatchObject({ width: 12.75, height: 12.75 });
    const { entries } = (await request(app).get('/api/log?quilt=quilt-0001')).body as {
      entries: { kind: string }[];
    };
    expect(entries.map(({ kind }) => kind)).toEqual(['plan-changed', 'plan-changed']);
  });
  test('of a block that is not there, or that is no length: a word, and nothing changed', async () => {
    await added();
    const say = (body: object) => request(app).post('/api/quilts/quilt-0001/readings').send(body);
    expect((await say({ block: 'Nobody', width: 1, height: 1 })).status).toBe(404);
    for (const width of ['twelve', '-3', 0, null])
      expect((await say({ block: 'b1', width, height: 12 })).status).toBe(400);
    expect(((await request(app).get('/api/quilts/quilt-0001')).body as { revision: number }).revision).toBe(
      1,
    );
  });
  test('at the same time as others none is lost', async () => {
    await added();
    const both = await Promise.all(
      ['b1', 'b2'].map((block) =>
        request(app).post('/api/quilts/quilt-0001/readings').send({ block, width: 12.25, height: 12.25 }),
      ),
    );
    expect(both.map(({ status }) => status)).toEqual([201, 201]);
    const { plan: now } = (await request(app).get('/api/quilts/quilt-0001')).body as { plan: Plan };
    expect(now.pile.map(({ width }) => width)).toEqual([12.25, 12.25]);
  });
});
