import { existsSync } from 'node:fs';
import path from 'node:path';
import { constants } from 'node:zlib';
import compression from 'compression';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import type { Backups } from './backup/backups.ts';
import { backupRoutes } from './backup/routes.ts';
import type { Database } from './database/open.ts';
import { describeRoutes } from './describe/routes.ts';
import { answerErrors, Refusal } from './errors.ts';
import { jsonBody } from './gate/body.ts';
import { gate, isLoopback } from './gate/gate.ts';
import { headers } from './gate/headers.ts';
import { onlyWhileWritable } from './gate/writable.ts';
import { LogRepository } from './log/repository.ts';
import { logRoutes } from './log/routes.ts';
import { parcelRoutes } from './parcels/routes.ts';
import { ParcelService } from './parcels/service.ts';
import { PictureRepository } from './pictures/repository.ts';
import { pictureRoutes } from './pictures/routes.ts';
import { Workshop } from './pictures/workshop.ts';
import { QuiltRepository } from './quilts/repository.ts';
import { quiltRoutes } from './quilts/routes.ts';
import { QuiltService, type Surroundings } from './quilts/service.ts';
import { Links } from './share/links.ts';
import { linkRoutes } from './share/routes.ts';
import { permissions, whoIs } from './share/who.ts';
import { LongArm } from './simulators/long-arm.ts';
import { LongArmBookings } from './simulators/long-arm-bookings.ts';
import { longArmRoutes } from './simulators/long-arm-routes.ts';
import { Shop } from './simulators/shop.ts';
import { ShopHolds } from './simulators/shop-holds.ts';
import { shopRoutes } from './simulators/shop-routes.ts';
import { tapeRoutes } from './simulators/tape-routes.ts';
import { Tape } from './simulators/tape.ts';
import { SnapshotRepository } from './snapshots/repository.ts';
import { snapshotRoutes } from './snapshots/routes.ts';
import { SnapshotService } from './snapshots/service.ts';
import { Counter } from './watch/numbers.ts';
import { requestId } from './watch/request-id.ts';
import { requestLog } from './watch/request-log.ts';

export interface AppOptions {
  readonly database: Database;
  readonly outside: Surroundings;
  /** Why nothing can be written, in words that end a sentence; absent where it can. */
  readonly readOnly?: string;
  readonly workshop?: Workshop;
  /** Absent in tests that are not about them. */
  readonly backups?: Backups;
  /** The app's address on the local network; null while it is not shared. */
  readonly sharedAt?: () => string | null;
  /** Folder of the built web app; absent while developing and in tests. */
  readonly webFolder?: string;
  /** Where a line for each request goes; absent keeps quiet. */
  readonly logger?: Logger;
}

/** What lies in the database, as those who look after it read it. */
interface Kept {
  readonly log: LogRepository;
  readonly quilts: QuiltRepository;
}

/** The whole server as a value: routes → services → repositories, nothing listening yet. */
export function createApp(options: AppOptions): Express {
  const { database, outside, webFolder, logger } = options;
  const app = express();
  app.disable('x-powered-by');
  app.use(requestId);
  const counter = new Counter(outside.now(), logger && requestLog(logger));
  app.use(counter.count);
  app.use(headers());
  app.use((request, response, next) => {
    // Behind the door it was looked at there, by the names of the house on the local network.
    if (response.locals['fromOutside']) return next();
    gate(isLoopback)(request, response, next);
  });
  app.use(permissions());
  // One step closer than its usual quality: a tenth smaller over a slow network, for ten milliseconds a page.
  app.use(compression({ brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } } }));
  const kept = { log: new LogRepository(database), quilts: new QuiltRepository(database) };
  watchRoutes(app, options, counter, kept);
  app.use('/api', onlyWhileWritable(database, options.readOnly));
  apiRoutes(app, options, kept);
  app.use('/api', () => {
    throw new Refusal(404, 'no-such-address', 'There is nothing at this address.');
  });
  if (webFolder && existsSync(webFolder)) webRoutes(app, webFolder);
  app.use(answerErrors((fault) => (logger ? logger.error(fault) : undefined)));
  return app;
}

function apiRoutes(
  app: Express,
  { database, outside, workshop, backups, sharedAt }: AppOptions,
  { log, quilts }: Kept,
): void {
  const { knex } = database;
  const snapshots = new SnapshotRepository(database);
  const pictures = new PictureRepository(knex);
  const shop = workshop ?? new Workshop();
  const service = new QuiltService(quilts, snapshots, outside, log);
  app.use('/api/pictures', pictureRoutes(pictures, shop, outside));
  app.use('/api', describeRoutes());
  app.use(
    '/api',
    parcelRoutes(new ParcelService({ quilts: service, log, pictures, workshop: shop, outside })),
  );
  app.use('/api', jsonBody());
  app.use('/api/quilts/:id/snapshots', snapshotRoutes(new SnapshotService(snapshots, quilts, outside)));
  app.use('/api/quilts', quiltRoutes(service));
  app.use('/api/tape', tapeRoutes(new Tape(outside.random)));
  app.use('/api/log', logRoutes(log));
  const bookings = new LongArmBookings(new LongArm(outside.now), log, outside.now);
  app.use('/api/long-arm', longArmRoutes(bookings));
  const holds = new ShopHolds(new Shop(outside.now), log, outside.now);
  app.use('/api/shop', shopRoutes(holds));
  app.use('/api/links', linkRoutes(new Links(knex, outside), sharedAt ?? (() => null)));
  if (backups) app.use('/api/backups', backupRoutes(backups));
}

/** Whether it lives, whether it can write, who asks, and the numbers. */
function watchRoutes(
  app: Express,
  { database, readOnly, backups, sharedAt }: AppOptions,
  counter: Counter,
  { log, quilts }: Kept,
): void {
  app.get('/api/health', (_request, response) => void response.json({ ok: true }));
  app.get('/api/ready', (_request, response) => {
    database.driver.prepare('select 1').get();
    response
      .status(readOnly === undefined ? 200 : 503)
      .json({ writes: readOnly === undefined, why: readOnly ?? null });
  });
  app.get('/api/house', (_request, response) => {
    response.json({
      who: whoIs(response),
      readOnly: readOnly ?? null,
      shared: (sharedAt?.() ?? null) !== null,
    });
  });
  app.get('/api/numbers', (_request, response) => {
    // With what is written ahead and not in the file itself yet.
    const pages = (name: string) => Number(database.driver.pragma(name, { simple: true }));
    response.json({
      ...counter.numbers(),
      databaseBytes: pages('page_count') * pages('page_size'),
      lastBackup: backups?.list()[0]?.madeAt ?? null,
      unreadable: { entries: log.unreadable, quilts: quilts.unreadable() },
    });
  });
}

/** The built app: its parts never change under their names; whatever address it is opened at, it is the same page. */
function webRoutes(app: Express, webFolder: string): void {
  app.use('/assets', express.static(path.join(webFolder, 'assets'), { immutable: true, maxAge: '1y' }));
  app.use('/assets', () => {
    throw new Refusal(404, 'no-such-address', 'There is nothing at this address.');
  });
  app.use(express.static(webFolder, { index: false }));
  app.get('/{*path}', (_request, response) =>
    response.sendFile(path.join(webFolder, 'index.html'), { headers: { 'Cache-Control': 'no-cache' } }),
  );
}
