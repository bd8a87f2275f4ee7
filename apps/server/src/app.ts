import { existsSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Knex } from 'knex';
import morgan from 'morgan';
import { answerErrors, Refusal } from './errors.ts';
import { PictureRepository } from './pictures/repository.ts';
import { pictureRoutes } from './pictures/routes.ts';
import { QuiltRepository } from './quilts/repository.ts';
import { quiltRoutes } from './quilts/routes.ts';
import { QuiltService, type Surroundings } from './quilts/service.ts';
import { LongArm } from './simulators/long-arm.ts';
import { longArmRoutes } from './simulators/long-arm-routes.ts';
import { tapeRoutes } from './simulators/tape-routes.ts';
import { Tape } from './simulators/tape.ts';

export interface AppOptions {
  readonly knex: Knex;
  readonly outside: Surroundings;
  /** Folder of the built web app; absent while developing and in tests. */
  readonly webFolder?: string;
  /** Where the line for each request goes; absent keeps quiet. */
  readonly log?: (line: string) => void;
}

/** The whole server as a value: routes → services → repositories, nothing listening yet. */
export function createApp({ knex, outside, webFolder, log }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  if (log)
    app.use(
      morgan(':date[iso] :method :url :status :res[content-length] B :response-time ms', {
        stream: { write: (line) => log(line.trimEnd()) },
      }),
    );
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
  app.use('/api/quilts', quiltRoutes(new QuiltService(new QuiltRepository(knex), outside)));
  app.use('/api/pictures', pictureRoutes(new PictureRepository(knex), outside));
  app.use('/api/tape', tapeRoutes(new Tape(outside.random)));
  app.use('/api/long-arm', longArmRoutes(new LongArm(outside.now)));
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
