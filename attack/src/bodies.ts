import { gzipSync } from 'node:zlib';
import { connect } from 'node:net';
import { type Random, startPlan } from '@lattice/core';
import { type Attack, Found, oneOf } from './attack.ts';
import { bend, bendBytes } from './bend.ts';
import { House } from './house.ts';
import { type Proper, properRequests } from './proper.ts';

/** A request as it goes over the wire, byte for byte. */
interface Raw {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Buffer;
}

const PATHS = [
  '/api/quilts',
  '/api/quilts/%',
  '/api/quilts/%E0%A4%A',
  '/api/quilts/..%2f..%2fetc%2fpasswd',
  '/api/quilts/%00',
  '/api/quilts?count=1e9',
  '/api/quilts?after=%27%3B--',
  '/api/quilts?words=%25%5F%5C',
  '/api/quilts?words[]=a&words[b]=c',
  '/api/quilts/x/snapshots',
  '/api/quilts/x/snapshots/%2e%2e',
  '/api/quilts/x/file',
  '/api/log',
  '/api/log?since=-1',
  '/api/log?since=99999999999999999999',
  '/api/pictures',
  '/api/pictures/%ff',
  '/api/pictures/../../lattice.sqlite',
  '/api/links',
  '/api/backups/..%2f..%2flattice.sqlite',
  '/api/backups/daily-2026-01-01.sqlite',
  '/api/tape',
  '/api/long-arm/bookings',
  '/api/numbers',
  '/assets/%2e%2e/%2e%2e/package.json',
  '/%',
  '/quilts/%E0',
  '//example.invalid/',
];
const USED = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE'];
const OTHERS = ['PATCH', 'OPTIONS', 'TRACE', 'PROPFIND'];
const TYPES = [
  'application/json',
  'application/json; charset=utf-7',
  'application/json; charset=ibm500',
  'application/json;;;',
  'multipart/form-data',
  'multipart/form-data; boundary=',
  'application/x-www-form-urlencoded',
  'text/plain',
  'image/png',
  'image/svg+xml',
  'application/octet-stream',
  '',
];
const ENCODINGS = ['', '', 'gzip', 'deflate', 'br', 'zstd', 'gzip, gzip', 'nonsense'];
const EXTRAS: readonly Readonly<Record<string, string>>[] = [
  {},
  {},
  { range: 'bytes=0-10' },
  { range: 'bytes=99999999-' },
  { range: 'bytes=-1,0-,5-2' },
  { 'if-none-match': '"' },
  { 'if-modified-since': 'never' },
  { 'if-match': '*' },
  { cookie: 'lattice=%; lattice.sig=' },
  { accept: '*/*;q=nan' },
  { 'accept-encoding': 'gzip;q=2, \u0001' },
  { expect: '100-continue' },
];

function bodies(random: Random): Buffer {
  const plan = startPlan('sashed-sampler');
  const whole = oneOf(random, [
    JSON.stringify({ plan }),
    JSON.stringify({ revision: 1, plan }),
    '{}',
    'null',
    '[1,',
    '"',
    '{"plan":',
    JSON.stringify({ entries: [{}] }),
    JSON.stringify({ name: 'a', may: 'edit' }),
    `{"plan":${'['.repeat(5_000)}${']'.repeat(5_000)}}`,
    `{"plan":{${Array.from({ length: 900 }, (_, i) => `"k${i}":1`).join(',')}}}`,
    '{"__proto__":{"x":1},"plan":{}}',
    `{"plan":{"borders":[${'{},'.repeat(60_000)}{}]}}`,
    '',
  ]);
  const bytes = Buffer.from(whole);
  return random() < 0.4 ? bendBytes(random, bytes) : bytes;
}

function bent(random: Random): Raw {
  const body = bodies(random);
  const encoding = oneOf(random, ENCODINGS);
  const packed = encoding === 'gzip' && random() < 0.5 ? gzipSync(body) : body;
  const type = oneOf(random, TYPES);
  return {
    method: oneOf(random, random() < 0.9 ? USED : OTHERS),
    path: oneOf(random, PATHS),
    headers: {
      ...(type ? { 'content-type': type } : {}),
      ...(encoding ? { 'content-encoding': encoding } : {}),
      ...oneOf(random, EXTRAS),
    },
    body: packed,
  };
}

/** A request that would be taken, with what it carries bent. */
function bentWithin(random: Random, proper: readonly Proper[]): Raw {
  const { method, path, body } = oneOf(random, proper);
  const headers = { 'content-type': 'application/json' };
  return { method, path, headers, body: Buffer.from(JSON.stringify(bend(random, body))) };
}

/** How long an answer, or the end of the connection, is waited for, in ms. */
const PATIENCE_MS = 15_000;

/** Sends it on a connection of its own; answers the status, 0 where the connection was closed without one, -1 where nothing came. */
function sendRaw(
  house: House,
  { method, path, headers, body }: Raw,
): Promise<{ status: number; text: string }> {
  return new Promise((resolve) => {
    const socket = connect(house.listensAt, '127.0.0.1');
    let text = '';
    const done = (status: number) => {
      clearTimeout(timer);
      socket.destroy();
      resolve({ status, text });
    };
    const timer = setTimeout(() => done(-1), PATIENCE_MS);
    socket.on('data', (chunk) => (text += chunk.toString('latin1')));
    const ended = () => done(Number(/^HTTP\/1\.1 (?!100)(\d{3})/m.exec(text)?.[1] ?? 0));
    socket.on('end', ended);
    socket.on('error', ended);
    const lines = Object.entries({
      host: `127.0.0.1:${house.listensAt}`,
      ...headers,
      'content-length': String(body.length),
      connection: 'close',
    }).map(([name, value]) => `${name}: ${value}\r\n`);
    socket.write(`${method} ${path} HTTP/1.1\r\n${lines.join('')}\r\n`, 'latin1');
    socket.write(body);
  });
}

export const bodiesAttack: Attack = {
  name: 'bodies',
  says: 'bent requests: paths, methods, types, charsets, packings, ranges, bodies, and what is in a good one; each answered in 2xx or 4xx, never 5xx',
  usual: 20_000,
  async run({ rounds, random }) {
    const found = new Found();
    const house = await new House(undefined, ['--demo']).start();
    const proper = await properRequests(house);
    for (const { method, path, body } of proper) {
      const { status, text } = await house.send(method, path, body);
      found.unless(status < 300, `a good request is answered with ${status}: ${path} ${text.slice(0, 80)}`);
    }
    const statuses = new Map<number, number>();
    for (let i = 0; i < rounds; i++) {
      const raw = random() < 0.5 ? bent(random) : bentWithin(random, proper);
      const { status, text } = await sendRaw(house, raw);
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
      const what = `${raw.method} ${raw.path} ${raw.headers['content-type'] ?? ''} ${raw.headers['content-encoding'] ?? ''}`;
      found.unless(status !== -1, `no answer: ${what}`);
      // The tape may be out of reach by then, the quilt changed: that is said, as anything else is.
      found.unless(status < 500, `${status}: ${what}`);
      found.unless(!/node_modules|\.ts:\d|SQLITE/.test(text), `an answer tells about the inside: ${what}`);
    }
    const after = await house.ask('GET', '/api/health');
    found.unless(after.status === 200, 'it does not answer afterwards');
    await house.clear();
    const counted = [...statuses].sort(([a], [b]) => a - b).map(([status, n]) => `${status} × ${n}`);
    return { figures: { requests: rounds, answers: counted.join(', ') }, found: found.lines() };
  },
};
