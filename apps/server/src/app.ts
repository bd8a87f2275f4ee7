import { existsSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Knex } from 'knex';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { answerErrors, Refusal } from './errors.ts';
import { LogRepository } from './log/repository.ts';
import { logRoutes } from './log/routes.ts';
import { PictureRepository } from './pictures/repository.ts';
import { pictureRoutes } from './pictures/routes.ts';
import { QuiltRepository } from './quilts/repository.ts';
import { quiltRoutes } from './quilts/routes.ts';
import { QuiltService, type Surroundings } from './quilts/service.ts';
import { LongArm } from './simulators/long-arm.ts';
import { LongArmBookings } from './simulators/long-arm-bookings.ts';
import { longArmRoutes } from './simulators/long-arm-routes.ts';
import { tapeRoutes } from './simulators/tape-routes.ts';
import { Tape } from './simulators/tape.ts';

export interface AppOptions {
  readonly knex: Knex;
  readonly outside: Surroundings;
  /** Folder of the built web app; absent while developing and in tests. */
  readonly webFolder?: string;
  /** Where a line for each request goes; absent keeps quiet. */
  readonly logger?: Logger;
}

/** One line for each request: what was asked, how it went, how long it took. Nothing of what people write. */
const requestLog = (logger: Logger) =>
  pinoHttp({
    logger,
    serializers: {
      req: ({ method, url }: { method: string; url: string }) => ({ method, url }),
      res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
    },
    customLogLevel: (_request, { statusCode }, error) =>
      error || statusCode >= 500 ? 'error' : statusCode >= 400 ? 'warn' : 'info',
  });

/** The whole server as a value: routes → services → repositories, nothing listening yet. */
export function createApp({ knex, outside, webFolder, logger }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  if (logger) app.use(requestLog(logger));
  app.use(
    helmet({
      contentSecurityPolicy: { directives: { 'upgrade-insecure-requests': null } },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.use(express.json({ limit: '4mb' }));

  app.get('/api/health', async (_request, response) => {
    await knex.raw('select 1');
    response.json({ ok: true });
  });
  const log = new LogRepository(knex);
  app.use('/api/quilts', quiltRoutes(new QuiltService(new QuiltRepository(knex), outside)));
  app.use('/api/pictures', pictureRoutes(new PictureRepository(knex), outside));
  app.use('/api/tape', tapeRoutes(new Tape(outside.random)));
  app.use('/api/log', logRoutes(log));
  const bookings = new LongArmBookings(new LongArm(outside.now), log, outside.now);
  app.use('/api/long-arm', longArmRoutes(bookings));
  app.use('/api', () => {
    throw new Refusal(404, 'no-such-address', 'There is nothing at this address.');
  });
  if (webFolder && existsSync(webFolder)) {
    app.use('/assets', express.static(path.join(webFolder, 'assets'), { immutable: true, maxAge: '1y' }));
    app.use(express.static(webFolder, { index: false }));
    app.get('/{*path}', (_request, response) => response.sendFile(path.join(webFolder, 'index.html')));
  }
  app.use(answerErrors);
  return app;
}
