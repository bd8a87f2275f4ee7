import { once } from 'node:events';
import { get } from 'node:http';
import {
  addressOf,
  type ErrorCode,
  ERRORS,
  faultOfAnswer,
  faultOfRefusal,
  type Name,
  operationOf,
  type Permission,
  OPERATIONS,
  type Params,
  placeOf,
} from '@lattice/contract';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { randomFrom, startPlan } from '@lattice/core';
import { zipSync } from 'fflate';
import sharp from 'sharp';
import express from 'express';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { Backups } from '../src/backup/backups.ts';
import { type Database, openDatabase } from '../src/database/open.ts';
import { makePicture } from '../src/pictures/make-picture.ts';
import type { Workshop } from '../src/pictures/workshop.ts';
import { behindDoor } from '../src/share/door.ts';
import { Links } from '../src/share/links.ts';
import { keepPassphrase, signOf } from '../src/share/secrets.ts';
import { folder, outsideAt, throwAway } from './support/house.ts';
import { hugePng } from './support/huge-png.ts';

/*
 * Every operation is driven through every status it says it has, by this one story; each answer is held against the shape
 * the contract gives it, and once more against the description a stranger gets, by a library for such. What is said and
 * never driven fails, and so does what is answered and never said.
 */

/** Refusals that a story cannot come to, and why. */
const NOT_DRIVEN: readonly (readonly [Name, ErrorCode, why: string])[] = [
  ['readBlock', 'stale', 'three others have to save within one reading; it is tried again twice'],
  ['readBlock', 'unsound-plan', 'a reading that can be read leaves a plan sound, as far as is known'],
  ['saveQuilt', 'unreadable', 'the quilt has to be damaged between its being found and its being told'],
  ['addQuilt', 'unreadable', 'the quilt of this id has to be damaged since it was added'],
  [
    'arrive',
    'stopped',
    'whoever sends it has to be gone before the first quilt; parcels.test stops one by hand',
  ],
  [
    'arrive',
    'unsound-plan',
    'what a parcel holds was read before; only a plan changed in between is refused so',
  ],
  ['arrive', 'taken-off', 'its quilt has to be taken off in the moment it comes'],
  ['arrive', 'unreadable', 'as of addQuilt'],
  ['arrive', 'drawing', 'its pictures are opened as those of addPicture, by the same rule'],
  ['arrive', 'picture-too-large', 'as of addPicture'],
];

const outside = { ...outsideAt('2026-11-27T09:00:00Z'), random: randomFrom(20_261_202) };
const workshop = { make: makePicture, close: () => undefined } as unknown as Workshop;
let database: Database;
let readOnly: Database;
let app: ReturnType<typeof createApp>;
let locked: ReturnType<typeof createApp>;
let door: ReturnType<typeof behindDoor>;
let viewer: ReturnType<typeof createApp>;

beforeAll(async () => {
  database = await openDatabase(':memory:');
  readOnly = await openDatabase(':memory:');
  const backups = new Backups(database, folder(), outside.now);
  app = createApp({ database, outside, workshop, backups, sharedAt: () => 'https://house.local:1/' });
  locked = createApp({ database: readOnly, outside, readOnly: 'somebody else has it' });
  const words = 'thimble otter lantern';
  door = behindDoor(createApp({ database, outside }), {
    ...{ passphrase: await keepPassphrase(words), key: 'key', sign: signOf(words, 'key') },
    links: new Links(database.knex, outside),
    isOurs: () => true,
    report: () => undefined,
  });
  viewer = createApp({ database, outside });
});
afterAll(async () => {
  await database.close();
  await readOnly.close();
  throwAway();
});

interface Asking<N extends Name> {
  readonly params?: Params<N>;
  readonly query?: Readonly<Record<string, string | number>>;
  readonly body?: object;
  readonly file?: Buffer;
  readonly of?: object;
}
const seen = new Map<Name, Set<string>>();
interface Said {
  readonly id: string;
  readonly code: string;
  readonly revision: number;
  readonly secret: string;
  readonly url: string;
  readonly file: string;
  readonly entry: { readonly body: { readonly number: string } };
  readonly links: readonly { readonly id: string }[];
}
let ajv: Ajv2020;
let described: Record<
  string,
  Record<string, { responses: Record<string, { content?: Record<string, { schema?: object }> }> }>
>;
let components: object;

/** By the description, as a program would read it. */
function faultByDescription(name: Name, status: number, body: unknown): unknown {
  const { method, path } = placeOf(name);
  const { responses } = described[path]![method.toLowerCase()]!;
  const { content } = responses[status] ?? responses['default']!;
  const schema = content?.['application/json']?.schema;
  if (!schema) return null;
  const validate = ajv.compile({ ...schema, components });
  return validate(body) ? null : validate.errors;
}

/** A file is what it is said to be, where that is said at all. */
function isOfType(name: Name, status: number, type: unknown): void {
  const said = operationOf(name).answers[status]?.type;
  if (said === undefined || said === 'application/octet-stream') return;
  expect([name, String(type).split(';')[0]]).toEqual([name, said]);
}

async function ask<N extends Name>(
  name: N,
  expected: number | ErrorCode,
  asking: Asking<N> = {},
): Promise<Said> {
  const { params = {} as Params<N>, query, body, file, of = app } = asking;
  const method = placeOf(name).method.toLowerCase() as 'get' | 'post' | 'put' | 'delete';
  const call = request(of as typeof app)[method](addressOf(name, params, query));
  if (file) void call.set('Content-Type', 'application/octet-stream').send(file);
  else if (body) void call.send(body);
  const { status, body: parsed, headers } = await call;
  if (status < 300) isOfType(name, status, headers['content-type']);
  const isJson = /json/.test(String(headers['content-type']));
  const answer: unknown =
    isJson && operationOf(name).answers[status]?.type === undefined ? parsed : undefined;
  const code = typeof expected === 'number' ? null : expected;
  const wanted = code === null ? expected : ERRORS[code].status;
  expect([name, status, (answer as Said | undefined)?.code]).toEqual([
    ...[name, wanted],
    code ?? (answer as Said | undefined)?.code,
  ]);
  const fault = code === null ? faultOfAnswer(name, status, answer) : faultOfRefusal(name, status, answer);
  expect([name, fault]).toEqual([name, null]);
  expect([name, answer === undefined ? null : faultByDescription(name, status, answer)]).toEqual([
    name,
    null,
  ]);
  seen.set(name, (seen.get(name) ?? new Set()).add(String(expected)));
  return answer as Said;
}

const plan = {
  ...startPlan('sashed-sampler'),
  title: 'Harvest fair',
  pile: [{ id: 'b1', name: 'Wheelbarrow', width: 12.5, height: 12.75 }],
};
const unsound = { ...plan, setting: { kind: 'none-such' } };
const none = { id: 'none-such' } as const;
const damage = (id: string) => database.knex('quilts').where({ id }).update({ plan: '{"title":"Torn"' });
const sheet = { width: 78, height: 89.5 };
const job = {
  ...{ unit: 'in', top: { width: 70, height: 81.5 } },
  ...{ backing: { ...sheet, diagonals: null }, batting: sheet, pattern: 'all-over' },
};
/** The app as whoever comes in by the door has it. */
function guestOf(inside: ReturnType<typeof createApp>, may: Permission) {
  const guest = express();
  guest.use((_request, response, next) => {
    Object.assign(response.locals, { who: may, fromOutside: true });
    next();
  });
  return guest.use(inside);
}
/** A stream does not end by itself: its first word is waited for. */
async function tapeIsHeard(): Promise<void> {
  const server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as { port: number };
  const call = get({ port, host: '127.0.0.1', path: addressOf('tapeReadings', {}) });
  const [answer] = (await once(call, 'response')) as [import('node:http').IncomingMessage];
  const [first] = (await once(answer, 'data')) as [Buffer];
  expect([answer.statusCode, String(first)]).toEqual([200, 'event: ready\ndata: {}\n\n']);
  isOfType('tapeReadings', 200, answer.headers['content-type']);
  seen.set('tapeReadings', (seen.get('tapeReadings') ?? new Set()).add('200'));
  call.destroy();
  server.closeAllConnections();
  server.close();
}
const of = (entry: string) => ({ quilt: 'quilt-0001', entry });

beforeAll(async () => {
  const { body } = await request(app).get('/api/openapi.json').expect(200);
  ({ paths: described, components } = body as { paths: typeof described; components: object });
  ajv = new Ajv2020({ strict: false, validateFormats: false });
});

test('quilts', async () => {
  await ask('addQuilt', 201, { body: { id: 'quilt-0001', plan, by: 'Laptop' } });
  await ask('addQuilt', 'unsound-plan', { body: { plan: unsound } });
  await ask('addQuilt', 'bad-request', { body: { id: 7 } });
  await ask('addQuilt', 'too-much', { body: { plan: { length: { toString: [null] } } } });
  await ask('quilt', 200, { params: { id: 'quilt-0001' } });
  await ask('quilt', 'no-such-quilt', { params: none });
  await ask('listQuilts', 200, { query: { words: 'fair', count: 1 } });
  await ask('listQuilts', 'bad-request', { query: { count: 0 } });
  const { revision } = await ask('readBlock', 201, {
    params: { id: 'quilt-0001' },
    body: { block: 'Wheelbarrow', width: '12 3/4', height: 12.5 },
  });
  expect(revision).toBe(2);
  const reading = { block: 'b1', width: 12.5, height: 12.5 };
  await ask('readBlock', 'no-such-quilt', { params: none, body: reading });
  const at = { params: { id: 'quilt-0001' } };
  await ask('readBlock', 'no-such-block', { ...at, body: { ...reading, block: 'Snail' } });
  await ask('readBlock', 'bad-length', { ...at, body: { ...reading, width: 'a span' } });
  await ask('saveQuilt', 200, { ...at, body: { revision: 2, plan } });
  await ask('saveQuilt', 'stale', { ...at, body: { revision: 2, plan } });
  await ask('saveQuilt', 'unsound-plan', { ...at, body: { revision: 3, plan: unsound } });
  await ask('saveQuilt', 'no-such-quilt', { params: none, body: { revision: 1, plan } });
  await ask('removeQuilt', 204, at);
  await ask('removeQuilt', 'no-such-quilt', { params: none });
  await ask('takenOff', 200);
  await ask('addQuilt', 'taken-off', { body: { id: 'quilt-0001', plan } });
  await ask('restoreQuilt', 200, at);
  await ask('restoreQuilt', 'no-such-quilt', { params: none });
});

test('versions, and files', async () => {
  const at = { id: 'quilt-0001' };
  await ask('keepVersion', 201, { params: at, body: { name: 'Before', id: 'version-0001' } });
  await ask('keepVersion', 'no-such-quilt', { params: none, body: { name: 'Before' } });
  await ask('addQuilt', 201, { body: { id: 'quilt-0002', plan } });
  await ask('keepVersion', 'id-taken', {
    params: { id: 'quilt-0002' },
    body: { name: 'Before', id: 'version-0001' },
  });
  await ask('listVersions', 200, { params: at });
  await ask('version', 200, { params: { ...at, snapshot: 'version-0001' } });
  await ask('version', 'no-such-snapshot', { params: { ...at, snapshot: 'none' } });
  await ask('take', 200, { params: at, query: { to: 'csv' } });
  await ask('take', 'no-such-file', { params: at, query: { to: 'csv', what: 'nothing' } });
  await ask('take', 'no-such-quilt', { params: none, query: { to: 'csv' } });
  await ask('planFile', 200, { params: at });
  await ask('planFile', 'no-such-quilt', { params: none });
  await ask('shelfFile', 200);
  await ask('arriving', 200);
  await ask('planSchema', 200);
  const picture = Buffer.from('no picture');
  const packed = (files: Record<string, Uint8Array>) => Buffer.from(zipSync(files));
  const planFile = { 'quilt.plan.json': Buffer.from(JSON.stringify(plan)) };
  await ask('arrive', 201, { file: packed(planFile) });
  await ask('arrive', 'bad-parcel', { file: Buffer.from('quilt') });
  await ask('arrive', 'no-parcel');
  await ask('arrive', 'not-a-picture', {
    file: packed({ ...planFile, 'pictures/picture-0009.webp': picture }),
  });
});

test('what is damaged', async () => {
  const at = { params: { id: 'quilt-0002' } };
  await database.knex('snapshots').insert({
    ...{ id: 'version-0002', quilt: 'quilt-0002', name: 'Torn', plan: '{', made_at: '2026-11-27T09:00:00Z' },
  });
  await ask('version', 'unreadable', { params: { id: 'quilt-0002', snapshot: 'version-0002' } });
  // Too large to be drawn, though its shape is right: it is opened to be mended.
  const vast = { ...plan, wall: [], grid: { across: 50, down: 50 }, block: { width: 60, height: 60 } };
  await database
    .knex('quilts')
    .where({ id: 'quilt-0002' })
    .update({ plan: JSON.stringify(vast) });
  const reading = { block: 'b1', width: 12.5, height: 12.5 };
  await ask('readBlock', 'not-sound', { ...at, body: reading });
  await ask('take', 'not-sound', { ...at, query: { to: 'csv' } });
  await damage('quilt-0002');
  await ask('quilt', 'unreadable', at);
  await ask('readBlock', 'unreadable', { ...at, body: reading });
  await ask('take', 'unreadable', { ...at, query: { to: 'csv' } });
  await ask('removeQuilt', 204, at);
  await ask('restoreQuilt', 'unreadable', at);
  await ask('listQuilts', 200);
  await ask('dropVersion', 204, { params: { id: 'quilt-0002', snapshot: 'version-0002' } });
  await ask('dropVersion', 'no-such-snapshot', { params: { id: 'quilt-0002', snapshot: 'version-0002' } });
});

test('the log, and pictures', async () => {
  const tick = {
    ...{ id: 'tick-0001', quilt: 'quilt-0001', at: '2026-11-27T10:00:00Z', kind: 'sewing-done' },
    body: { what: 'layer', done: true },
  };
  await ask('addEntries', 200, { body: { entries: [tick] } });
  await ask('addEntries', 'bad-request', { body: { entries: [{ ...tick, kind: 'none-such' }] } });
  await ask('logSince', 200, { query: { quilt: 'quilt-0001' } });
  const blue = sharp({ create: { width: 60, height: 60, channels: 3, background: '#305080' } });
  const file = await blue.clone().png().toBuffer();
  await ask('addPicture', 201, { query: { id: 'picture-0001' }, file });
  await ask('addPicture', 'no-picture');
  await ask('addPicture', 'not-a-picture', { file: Buffer.from('quilt') });
  await ask('addPicture', 'drawing', {
    file: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"/>'),
  });
  await ask('addPicture', 'picture-too-large', { file: await hugePng() });
  await ask('picture', 200, { params: { id: 'picture-0001' } });
  await ask('picture', 'no-such-picture', { params: none });
});

test('the house', async () => {
  await ask('health', 200);
  await ask('ready', 200);
  await ask('ready', 503, { of: locked });
  await ask('house', 200);
  await ask('addQuilt', 'read-only', { of: locked, body: { plan } });
  await ask('numbers', 200);
  const { file } = await ask('makeBackup', 201);
  await ask('listBackups', 200);
  await ask('numbers', 200);
  await ask('backup', 200, { params: { file } });
  await ask('backup', 'no-such-backup', { params: { file: 'none.sqlite' } });
  const { url } = await ask('makeLink', 201, { body: { name: 'Maud', may: 'view' } });
  const { links } = await ask('listLinks', 200);
  const link = url.slice(url.indexOf('=') + 1);
  await ask('enter', 'not-let-in', { of: door, body: { passphrase: 'thimble' } });
  await ask('enter', 200, { of: door, body: { passphrase: 'thimble otter lantern' } });
  await ask('enter', 200, { of: door, body: { link } });
  await ask('leave', 204, { of: door });
  for (let i = 0; i < 4; i++) await ask('enter', 'not-let-in', { of: door, body: { passphrase: 'x' } });
  await ask('enter', 'too-many-tries', { of: door, body: { passphrase: 'x' } });
  await ask('takeLinkBack', 204, { params: { id: links[0]!.id } });
  await ask('takeLinkBack', 'no-such-link', { params: { id: links[0]!.id } });
  // Whoever came in from outside: the door writes it down.
  const guest = guestOf(viewer, 'edit');
  for (const name of Object.keys(OPERATIONS) as Name[])
    if (operationOf(name).ownersOnly)
      await ask(name, 'owner-only', { of: guest, params: { id: 'x', file: 'x' } as never, body: {} });
  await ask('removeQuilt', 'view-only', { of: guestOf(viewer, 'view'), params: { id: 'quilt-0001' } });
});

test('the stand-ins', async () => {
  await ask('askLongArm', 200, { body: job });
  await ask('askLongArm', 'bad-request', { body: {} });
  const booked = await ask('bookLongArm', 201, { body: { ...of('entry-0001'), job } });
  await ask('bookLongArm', 201, { body: { ...of('entry-0001'), job } });
  const narrow = { ...job, backing: { width: 71, height: 82, diagonals: null } };
  await ask('bookLongArm', 409, { body: { ...of('entry-0002'), job: narrow } });
  const { number } = booked.entry.body;
  await ask('cancelLongArm', 200, { params: { number }, body: of('entry-0003') });
  await ask('cancelLongArm', 'no-such-booking', { params: { number: 'LA-9' }, body: of('entry-0004') });
  const cloths = [{ cloth: 'border', name: 'Slate', colour: '#2e4a5f', length: 40, usableWidth: 40 }];
  const asked = (await ask('askShop', 200, { body: { unit: 'in', cloths } })) as unknown as {
    cloths: { offers: { bolt: string; inStock: number }[] }[];
  };
  const { bolt, inStock } = asked.cloths[0]!.offers[0]!;
  const order = (length: number, at = bolt) => ({
    unit: 'in',
    lines: [{ cloth: 'border', bolt: at, length }],
  });
  const held = await ask('holdOrder', 201, { body: { ...of('entry-0005'), order: order(20) } });
  await ask('holdOrder', 'no-such-bolt', { body: { ...of('entry-0006'), order: order(20, 'none') } });
  await ask('holdOrder', 'not-enough', { body: { ...of('entry-0007'), order: order(inStock + 40) } });
  await ask('letOrderGo', 200, { params: { number: held.entry.body.number }, body: of('entry-0008') });
  await ask('letOrderGo', 'no-such-order', { params: { number: 'S-9' }, body: of('entry-0009') });
  await ask('squeezeTape', 200, { body: { millimetres: 300 } });
  await tapeIsHeard();
  await ask('carryTape', 200, { body: { inReach: false } });
  await ask('squeezeTape', 'tape-out-of-reach', { body: { millimetres: 300 } });
  await ask('tapeReadings', 'tape-out-of-reach');
});

test('nothing that is said was left out, and nothing of it is said without need', () => {
  const left = new Set(NOT_DRIVEN.map(([name, code]) => `${name} ${code}`));
  const missing: string[] = [];
  for (const name of Object.keys(OPERATIONS) as Name[]) {
    const { answers, refuses = [] } = operationOf(name);
    for (const said of [...Object.keys(answers), ...refuses])
      if (!seen.get(name)?.has(said) && !left.delete(`${name} ${said}`)) missing.push(`${name} ${said}`);
  }
  expect([missing, [...left]]).toEqual([[], []]);
});

test('an address that is none is said to be none', async () => {
  expect((await request(app).get('/api/none-such')).body).toMatchObject({ code: 'no-such-address' });
});
