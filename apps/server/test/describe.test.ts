import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import SwaggerParser from '@apidevtools/swagger-parser';
import { Ajv2020 } from 'ajv/dist/2020.js';
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
  readonly paths: Readonly<
    Record<
      string,
      Readonly<
        Record<
          string,
          { readonly responses: Record<string, { content?: Record<string, { schema?: object }> }> }
        >
      >
    >
  >;
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

test('every route of the server is in it, and it has none that is not there', async () => {
  const { paths } = await document();
  const told = Object.entries(paths).flatMap(([where, methods]) =>
    Object.keys(methods).map((method) => `${method} ${where.replace(/\{\w+\}/g, '{}')}`),
  );
  // Where each file of routes is hung up, as app.ts has it.
  const hung: Readonly<Record<string, string>> = {
    'backup/routes.ts': '/api/backups',
    'log/routes.ts': '/api/log',
    'parcels/routes.ts': '/api',
    'pictures/routes.ts': '/api/pictures',
    'quilts/routes.ts': '/api/quilts',
    'share/routes.ts': '/api/links',
    'simulators/long-arm-routes.ts': '/api/long-arm',
    'simulators/shop-routes.ts': '/api/shop',
    'simulators/tape-routes.ts': '/api/tape',
    'snapshots/routes.ts': '/api/quilts/{}/snapshots',
  };
  const source = path.resolve(__dirname, '../src');
  const files = readdirSync(source, { recursive: true })
    .map(String)
    .filter((file) => /routes\.ts$/.test(file));
  const own = files.flatMap((file) => {
    if (file === path.join('describe', 'routes.ts')) return ['get /api/schema/plan.json'];
    const prefix = hung[file.split(path.sep).join('/')];
    expect([file, prefix]).toEqual([file, expect.any(String)]);
    const text = readFileSync(path.join(source, file), 'utf8');
    return [...text.matchAll(/router\s*\.(get|post|put|delete)\(\s*'([^']*)'/g)].map(([, method, at]) =>
      `${method} ${prefix}${at === '/' ? '' : at}`.replace(/:\w+/g, '{}'),
    );
  });
  const watch = [
    ...readFileSync(path.join(source, 'app.ts'), 'utf8').matchAll(/app\.get\('(\/api[^']*)'/g),
  ].map(([, at]) => `get ${at}`);
  expect(told.sort()).toEqual([...own, ...watch].sort());
});

test('what the server answers is what it says it answers', async () => {
  await added();
  const { paths, components } = await document();
  const ajv = new Ajv2020({ strict: false, validateFormats: false });
  const holds = (where: string, method: string, status: number, body: unknown) => {
    const { schema } = paths[where]![method]!.responses[status]!.content!['application/json']!;
    const validate = ajv.compile({ ...schema, components } as object);
    expect([where, validate(body), validate.errors]).toEqual([where, true, null]);
  };
  holds('/api/quilts', 'get', 200, (await request(app).get('/api/quilts')).body);
  holds('/api/quilts/{id}', 'get', 200, (await request(app).get('/api/quilts/quilt-0001')).body);
  holds('/api/log', 'get', 200, (await request(app).get('/api/log')).body);
  const reading = { block: 'Snail', width: '12 3/4', height: 12.5 };
  const { body } = await request(app).post('/api/quilts/quilt-0001/readings').send(reading).expect(201);
  holds('/api/quilts/{id}/readings', 'post', 201, body);
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
