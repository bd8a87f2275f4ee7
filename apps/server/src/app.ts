import type { Name } from '@lattice/contract';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { constants } from 'node:zlib';
import compression from 'compression';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import type { Backups } from './backup/backups.ts';
import { backupHandlers, NO_BACKUPS } from './backup/handlers.ts';
import type { Database } from './database/open.ts';
import { describeRoutes, schemaHandlers } from './describe/routes.ts';
import { answerErrors, Refusal } from './errors.ts';
import { gate, isLoopback } from './gate/gate.ts';
import { headers } from './gate/headers.ts';
import { onlyWhileWritable } from './gate/writable.ts';
import { LogRepository } from './log/repository.ts';
import { logHandlers } from './log/handlers.ts';
import { parcelHandlers } from './parcels/handlers.ts';
import { ParcelService } from './parcels/service.ts';
import { PictureRepository } from './pictures/repository.ts';
import { pictureHandlers } from './pictures/handlers.ts';
import { Workshop } from './pictures/workshop.ts';
import { QuiltRepository } from './quilts/repository.ts';
import { quiltHandlers } from './quilts/handlers.ts';
import { QuiltService } from './quilts/service.ts';
import type { Handlers } from './serve/handler.ts';
import { serve } from './serve/serve.ts';
import type { DoorName } from './share/door.ts';
import type { Surroundings } from './surroundings.ts';
import { watchHandlers } from './watch/handlers.ts';
import { Links } from './share/links.ts';
import { linkHandlers } from './share/handlers.ts';
import { viewersLook } from './gate/who.ts';
import { LongArm } from './simulators/long-arm.ts';
import { LongArmBookings } from './simulators/long-arm-bookings.ts';
import { longArmHandlers } from './simulators/long-arm-handlers.ts';
import { Shop } from './simulators/shop.ts';
import { ShopHolds } from './simulators/shop-holds.ts';
import { shopHandlers } from './simulators/shop-handlers.ts';
import { tapeHandlers } from './simulators/tape-handlers.ts';
import { Tape } from './simulators/tape.ts';
import { SnapshotRepository } from './snapshots/repository.ts';
import { snapshotHandlers } from './snapshots/handlers.ts';
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
  app.use(viewersLook);
  // One step closer than its usual quality: a tenth smaller over a slow network, for ten milliseconds a page.
  app.use(compression({ brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } } }));
  const kept = { log: new LogRepository(database), quilts: new QuiltRepository(database) };
  app.use('/api', onlyWhileWritable(database, options.readOnly));
  app.use('/api', describeRoutes());
  app.use(serve(handlersOf(options, counter, kept)));
  app.use('/api', () => {
    throw new Refusal('no-such-address', 'There is nothing at this address.');
  });
  if (webFolder && existsSync(webFolder)) webRoutes(app, webFolder);
  app.use(answerErrors((fault) => (logger ? logger.error(fault) : undefined)));
  return app;
}

/** Everything there is to ask, but for what the door answers. One that is forgotten is a type error. */
function handlersOf(
  { database, outside, workshop = new Workshop(), backups, readOnly, sharedAt = () => null }: AppOptions,
  counter: Counter,
  { log, quilts }: Kept,
): Handlers<Exclude<Name, DoorName>> {
  const { knex } = database;
  const snapshots = new SnapshotRepository(database);
  const pictures = new PictureRepository(knex);
  const service = new QuiltService(quilts, snapshots, outside, log);
  // With what is written ahead and not in the file itself yet.
  const pages = (name: string) => Number(database.driver.pragma(name, { simple: true }));
  return {
    ...quiltHandlers(service),
    ...snapshotHandlers(new SnapshotService(snapshots, quilts, outside)),
    ...parcelHandlers(new ParcelService({ quilts: service, log, pictures, workshop, outside })),
    ...schemaHandlers,
    ...logHandlers(log),
    ...pictureHandlers(pictures, workshop, outside),
    ...watchHandlers({
      look: () => void database.driver.prepare('select 1').get(),
      readOnly: readOnly ?? null,
      isShared: () => sharedAt() !== null,
      numbers: () => ({
        ...counter.numbers(),
        databaseBytes: pages('page_count') * pages('page_size'),
        lastBackup: backups?.list()[0]?.madeAt ?? null,
        unreadable: { entries: log.unreadable, quilts: quilts.unreadable() },
      }),
    }),
    ...backupHandlers(backups ?? NO_BACKUPS),
    ...linkHandlers(new Links(knex, outside), sharedAt),
    ...longArmHandlers(new LongArmBookings(new LongArm(outside.now), log, outside.now)),
    ...shopHandlers(new ShopHolds(new Shop(outside.now), log, outside.now)),
    ...tapeHandlers(new Tape(outside.random)),
  };
}

/** The built app: its parts never change under their names; whatever address it is opened at, it is the same page. */
function webRoutes(app: Express, webFolder: string): void {
  app.use('/assets', express.static(path.join(webFolder, 'assets'), { immutable: true, maxAge: '1y' }));
  app.use('/assets', () => {
    throw new Refusal('no-such-address', 'There is nothing at this address.');
  });
  app.use(express.static(webFolder, { index: false }));
  app.get('/{*path}', (_request, response) =>
    response.sendFile(path.join(webFolder, 'index.html'), { headers: { 'Cache-Control': 'no-cache' } }),
  );
}
