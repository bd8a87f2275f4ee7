import { randomUUID } from 'node:crypto';
import { accessSync, constants, mkdirSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { openDatabase } from './database/open.ts';
import { PictureRepository } from './pictures/repository.ts';
import { sweepPictures } from './pictures/sweep.ts';
import { QuiltRepository } from './quilts/repository.ts';
import { seedDemo } from './seed/seed.ts';

/** Says one clear line and stops. */
function stop(line: string): never {
  console.error(line);
  process.exit(1);
}

const root = path.resolve(import.meta.dirname, '../../..');
const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '4173' },
    data: { type: 'string', default: path.join(root, 'data') },
    demo: { type: 'boolean', default: false },
    web: { type: 'string', default: path.join(root, 'apps/web/dist') },
  },
});

const port = Number(values.port);
if (!Number.isInteger(port) || port < 0 || port > 65535)
  stop(`--port ${values.port}: a port is a whole number from 1 to 65535.`);
const dataFolder = path.resolve(values.data);
try {
  mkdirSync(dataFolder, { recursive: true });
  accessSync(dataFolder, constants.W_OK);
} catch {
  stop(`The data folder ${dataFolder} cannot be written to. Choose another with --data DIR.`);
}

const outside = { now: () => new Date(), newId: randomUUID, random: Math.random };
const knex = await openDatabase(dataFolder).catch((error: Error) =>
  stop(`The database in ${dataFolder} cannot be opened: ${error.message}`),
);
if (values.demo) {
  const seeded = await seedDemo(new QuiltRepository(knex), outside, path.join(root, 'demo'));
  if (seeded > 0) console.log(`Put ${seeded} demo quilts on the shelf.`);
}

const swept = await sweepPictures(new PictureRepository(knex), outside.now());
if (swept > 0)
  console.log(
    `Deleted ${swept} ${swept === 1 ? 'picture' : 'pictures'} older than three months that no quilt names.`,
  );

const server = createApp({ knex, outside, webFolder: values.web, logger: pino({ base: null }) }).listen(
  port,
  '127.0.0.1',
);
server.on('listening', () => {
  const address = server.address();
  const at = typeof address === 'object' && address ? address.port : port;
  console.log(`Dapper Lattice is at http://127.0.0.1:${at}/  (data in ${dataFolder}; stop with Ctrl+C)`);
});
server.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE')
    stop(`Port ${port} is in use. Choose another with --port N, or stop what is using it.`);
  if (error.code === 'EACCES')
    stop(`Port ${port} may not be opened here. Choose one above 1024 with --port N.`);
  stop(`The server could not start: ${error.message}`);
});

let closing = false;
/** Lets requests under way finish, closes the database, and goes; a second signal goes at once. */
function close(): void {
  if (closing) process.exit(1);
  closing = true;
  server.close(() => void knex.destroy().then(() => process.exit(0)));
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), 2000).unref();
}
process.on('SIGINT', close);
process.on('SIGTERM', close);
