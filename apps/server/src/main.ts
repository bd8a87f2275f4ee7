import { randomUUID } from 'node:crypto';
import { statSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { isIP } from 'node:net';
import path from 'node:path';
import { parseArgs } from 'node:util';
import type { Express } from 'express';
import { numberOf } from '@lattice/core';
import { pino } from 'pino';
import { makeFolder } from './database/make-folder.ts';
import { createApp } from './app.ts';
import { backupFolder, Backups } from './backup/backups.ts';
import { openShelf } from './backup/shelf.ts';
import { keepHouse } from './housekeeping.ts';
import { Workshop } from './pictures/workshop.ts';
import { QuiltRepository } from './quilts/repository.ts';
import { LogRepository } from './log/repository.ts';
import { seedDemo } from './seed/seed.ts';
import { share, type Shared } from './share/share.ts';
import { stop } from './stop.ts';
import { logTo } from './watch/log-file.ts';

// A terminal that was closed cannot be written to any more; that is no reason to stop.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);
// What is written here is for its owner.
process.umask(0o077);

const root = path.resolve(import.meta.dirname, '../../..');
const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '4173' },
    data: { type: 'string', default: path.join(root, 'data') },
    demo: { type: 'boolean', default: false },
    web: { type: 'string', default: path.join(root, 'apps/web/dist') },
    log: { type: 'string' },
    share: { type: 'boolean', default: false },
    'share-port': { type: 'string' },
    passphrase: { type: 'string' },
    cert: { type: 'string' },
    key: { type: 'string' },
    proxy: { type: 'string', multiple: true, default: [] },
    called: { type: 'string', multiple: true, default: [] },
  },
});

/** A port, or one line about it. */
function portOf(flag: string, text: string): number {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    stop(`--${flag} ${text}: a port is a whole number from 1 to 65535.`);
  return port;
}

/** An address, or one line about it. */
function addressOf(text: string): string {
  if (isIP(text) === 0) stop(`--proxy ${text}: say the proxy's address, like 192.168.1.5.`);
  return text;
}

const port = portOf('port', values.port);
const dataFolder = path.resolve(values.data);
const unusable = (): never =>
  stop(`The data folder ${dataFolder} cannot be written to. Choose another with --data DIR.`);
try {
  makeFolder(dataFolder);
} catch {
  unusable();
}
if (!statSync(dataFolder).isDirectory()) unusable();

const outside = { now: () => new Date(), newId: randomUUID, random: Math.random };
const logger = values.log === undefined ? pino({ base: null }) : logTo(path.resolve(values.log));

let server: Server | null = null;
let shared: Shared | null = null;
let closing = 0;
const workshop = new Workshop();
const shelf = await openShelf(dataFolder);
let backups = backupsOf();

function backupsOf(): Backups {
  return new Backups(shelf.database, backupFolder(dataFolder), outside.now);
}

/** How long after the first call to stop a second one is a wish of its own, and not the same key pressed once. */
const SAME_PRESS_MS = 1_000;
/** How often it is looked for clients that are too slow. */
const LOOK_MS = 5_000;
/** How long requests under way are waited for. */
const PATIENCE_MS = 3_000;

/** Lets requests under way finish, closes the database, and goes; who asks again after a moment has it at once. */
function close(): void {
  if (closing > 0) {
    if (Date.now() - closing > SAME_PRESS_MS) process.exit(1);
    return;
  }
  closing = Date.now();
  backups.stop();
  workshop.close();
  const done = () => void shelf.close().finally(() => process.exit(0));
  const servers = [server, shared?.server ?? null].filter((open) => open?.listening) as Server[];
  let open = servers.length;
  if (open === 0) return done();
  for (const one of servers) {
    one.close(() => --open === 0 && done());
    one.closeIdleConnections();
    setTimeout(() => one.closeAllConnections(), PATIENCE_MS).unref();
  }
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, close);

if (values.demo && shelf.readOnly === null) {
  const seeded = await seedDemo(
    new QuiltRepository(shelf.database),
    new LogRepository(shelf.database),
    outside,
    path.join(root, 'demo'),
  );
  if (seeded > 0) console.log(`Put ${seeded} demo quilts on the shelf.`);
}

const makeApp = (): Express =>
  createApp({
    database: shelf.database,
    outside,
    workshop,
    backups,
    ...(shelf.readOnly === null ? {} : { readOnly: shelf.readOnly }),
    webFolder: values.web,
    logger,
    sharedAt: () => shared?.address ?? null,
  });
let app = makeApp();

if (values.share)
  shared = await share({
    app: (request, response) => app(request, response),
    knex: shelf.database.knex,
    outside,
    folder: dataFolder,
    port: portOf('share-port', values['share-port'] ?? (port === 0 ? '0' : String(port + 1))),
    proxies: values.proxy.map(addressOf),
    called: values.called,
    passphrase: values.passphrase ?? process.env['LATTICE_PASSPHRASE'],
    certificate:
      values.cert !== undefined && values.key !== undefined ? { cert: values.cert, key: values.key } : null,
    report: (fault) => logger.error(fault),
  });

server = createServer({ connectionsCheckingInterval: LOOK_MS }, (request, response) =>
  app(request, response),
);
// A client that is slow to say what it wants, or has gone, holds nothing for long.
server.headersTimeout = 10_000;
server.requestTimeout = 120_000;
server.listen(port, '127.0.0.1');
server.on('listening', () => {
  const address = server!.address();
  const at = typeof address === 'object' && address ? address.port : port;
  console.log(`Dapper Lattice is at http://127.0.0.1:${at}/  (data in ${dataFolder}; stop with Ctrl+C)`);
  if (shelf.readOnly !== null)
    console.log(
      `The shelf is open for reading only: ${shelf.readOnly}. Nothing can be saved until that is mended.`,
    );
  if (shared) console.log(shared.says);
  if (shelf.readOnly === null) afterListening();
  else tryToWrite();
});
server.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE')
    stop(`Port ${port} is in use. Choose another with --port N, or stop what is using it.`);
  if (error.code === 'EACCES')
    stop(`Port ${port} may not be opened here. Choose one above 1024 with --port N.`);
  stop(`The server could not start: ${error.message}`);
});

/** Backups that are due and tidying, once people can already work; tidying again every day. */
function afterListening(): void {
  const tell = (error: unknown) =>
    void console.error(`Not done: ${(error as Error).message.split('\n')[0]}. It is tried again later.`);
  backups.keepUp(tell);
  const tidy = async () => {
    const { quilts, pictures } = await keepHouse(shelf.database, outside.now());
    if (quilts + pictures > 0)
      console.log(
        `Tidied away ${numberOf(quilts, 'quilt')} a month off the shelf and ${numberOf(pictures, 'picture')} that no quilt names.`,
      );
  };
  setTimeout(() => void tidy().catch(tell), 3_000).unref();
  setInterval(() => void tidy().catch(tell), 24 * 3600 * 1000).unref();
}

/** How often it is tried whether the shelf can be written to again. */
const TRY_MS = 10_000;

/** Opens the shelf for writing as soon as whatever stood in the way is gone. */
function tryToWrite(): void {
  const timer = setInterval(() => {
    void shelf.tryWriting().then((writes) => {
      if (!writes) return;
      clearInterval(timer);
      backups = backupsOf();
      app = makeApp();
      console.log('The shelf can be written to again.');
      afterListening();
    });
  }, TRY_MS).unref();
}
