import { type LogEntry, type Plan, startPlan } from '@lattice/core';
import sharp from 'sharp';
import request from 'supertest';
import { createApp } from '../../src/app.ts';
import { type Database, openDatabase } from '../../src/database/open.ts';
import type { LogPage } from '@lattice/contract';
import { Workshop } from '../../src/pictures/workshop.ts';

/*
 * A shelf with a quilt, its journal and its pictures, and how they go out and come in.
 */
export const workshop = new Workshop();
afterAll(() => workshop.close());
const open: Database[] = [];
afterEach(async () => {
  for (const database of open.splice(0)) await database.close();
});

/** A house of its own, with an empty shelf. */
export async function house() {
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
export type House = Awaited<ReturnType<typeof house>>;

export const plan: Plan = {
  ...startPlan('sashed-sampler'),
  title: 'שמיכה <b>&</b> 🧵',
  pile: [
    { id: 'b1', name: '=cmd', width: 12.5, height: 12.5, picture: 'picture-0001' },
    { id: 'b2', name: 'Two', width: 12.375, height: null },
  ],
};
export const log: LogEntry[] = [
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

/** A house with one quilt on its shelf: two pictures, and a journal that speaks of another quilt too. */
export async function filled(): Promise<House> {
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
export const taken = async ({ app }: House, address: string): Promise<Buffer> =>
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
export const arrive = ({ app }: House, bytes: Uint8Array) =>
  request(app).post('/api/parcels').set('Content-Type', 'application/octet-stream').send(Buffer.from(bytes));
export const logOf = async ({ app }: House) =>
  ((await request(app).get('/api/log?since=0')).body as LogPage).entries;
export const shelfOf = async ({ app }: House) =>
  ((await request(app).get('/api/quilts')).body as { quilts: { id: string; card: { title: string } }[] })
    .quilts;
