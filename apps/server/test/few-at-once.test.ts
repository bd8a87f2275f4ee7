import { once } from 'node:events';
import { createServer, request as ask, type Server } from 'node:http';
import express from 'express';
import { answerErrors } from '../src/errors.ts';
import { fewAtOnce } from '../src/gate/few-at-once.ts';

let server: Server;
let port = 0;
/** Those that are inside, each with what lets it out. */
const inside = new Map<string, () => void>();
/** Bytes of bodies that were read so far, by name. */
const read = new Map<string, number>();

beforeEach(async () => {
  inside.clear();
  read.clear();
  const app = express();
  app.post('/:name', fewAtOnce(2, 3), (request, response) => {
    const { name } = request.params as { name: string };
    request.on('data', (chunk: Buffer) => read.set(name, (read.get(name) ?? 0) + chunk.length));
    inside.set(name, () => void response.json(name));
    response.on('close', () => inside.delete(name));
  });
  app.use(answerErrors(() => undefined));
  server = createServer(app).listen(0, '127.0.0.1');
  await once(server, 'listening');
  port = (server.address() as { port: number }).port;
});
afterEach(async () => {
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
});

const send = (name: string) => {
  const sent = ask({ host: '127.0.0.1', port, method: 'POST', path: `/${name}`, agent: false });
  const status = new Promise<number>((resolve) => {
    sent.on('response', (response) => {
      response.resume();
      resolve(response.statusCode!);
    });
    sent.on('error', () => resolve(0));
  });
  sent.end(Buffer.alloc(100_000));
  return { status, giveUp: () => sent.destroy() };
};
const until = async (isSo: () => boolean) => {
  while (!isSo()) await new Promise((resolve) => setImmediate(resolve));
};
const connections = () =>
  new Promise<number>((resolve) => server.getConnections((_error, count) => resolve(count)));

test('so many are inside, others wait unread, in their order; who gives up holds no place; too many are asked to come again', async () => {
  const [a, b] = [send('a'), send('b')];
  await until(() => inside.size === 2 && read.size === 2);
  const c = send('c');
  while ((await connections()) < 3) await new Promise((resolve) => setImmediate(resolve));
  const d = send('d');
  while ((await connections()) < 4) await new Promise((resolve) => setImmediate(resolve));
  const e = send('e');
  while ((await connections()) < 5) await new Promise((resolve) => setImmediate(resolve));
  // Three wait: the next is not let wait.
  expect(await send('f').status).toBe(503);
  expect([[...inside.keys()].sort(), read.get('c'), read.get('d')]).toEqual([
    ['a', 'b'],
    undefined,
    undefined,
  ]);
  c.giveUp();
  expect(await c.status).toBe(0);
  inside.get('a')!();
  expect(await a.status).toBe(200);
  await until(() => inside.has('d'));
  expect(inside.has('e')).toBe(false);
  // One that breaks off inside leaves its place too.
  b.giveUp();
  await until(() => inside.has('e'));
  expect([...inside.keys()].sort()).toEqual(['d', 'e']);
  for (const name of ['d', 'e']) inside.get(name)!();
  expect([await d.status, await e.status]).toEqual([200, 200]);
  // And afterwards there is room again.
  const g = send('g');
  await until(() => inside.has('g'));
  inside.get('g')!();
  expect(await g.status).toBe(200);
});
