import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import path from 'node:path';
import { numberOf } from '@lattice/core';
import type { Express } from 'express';
import { type Logger, pino } from 'pino';
import { createApp } from './app.ts';
import { backupFolder, Backups } from './backup/backups.ts';
import { openShelf, type Shelf } from './backup/shelf.ts';
import { HOUSE, type Settings } from './flags.ts';
import { keepHouse } from './housekeeping.ts';
import { LogRepository } from './log/repository.ts';
import { Workshop } from './pictures/workshop.ts';
import { QuiltRepository } from './quilts/repository.ts';
import { seedDemo } from './seed/seed.ts';
import { share, type Shared } from './share/share.ts';
import { stop } from './stop.ts';
import type { Surroundings } from './surroundings.ts';
import { logTo } from './watch/log-file.ts';

/** How long after the first call to stop a second one is a wish of its own, and not the same key pressed once. */
const SAME_PRESS_MS = 1_000;
/** How often it is looked for clients that are too slow. */
const LOOK_MS = 5_000;
/** How long requests under way are waited for. */
const PATIENCE_MS = 3_000;
/** How often it is tried whether the shelf can be written to again. */
const TRY_MS = 10_000;
/** People work first; what is untidy has time. */
const TIDY_AFTER_MS = 3_000;
const TIDY_EVERY_MS = 24 * 3600 * 1000;

/** The server as it runs: the shelf it holds, what is made of it, whoever it listens to; from its start to its end. */
export class Running {
  private readonly workshop = new Workshop();
  private readonly logger: Logger;
  private readonly server: Server;
  private shared: Shared | null = null;
  private backups: Backups;
  private app: Express;
  /** When it was first asked to stop; 0 while nobody has. */
  private closing = 0;

  /** Opens the shelf of a folder; from here on it can be stopped. */
  static async open(settings: Settings): Promise<Running> {
    const outside = { now: () => new Date(), newId: randomUUID, random: Math.random };
    return new Running(settings, await openShelf(settings.data), outside);
  }

  /** Puts the demo on the shelf where that is wanted, and listens. */
  async start(): Promise<void> {
    await this.seed();
    await this.shareIt();
    this.listen();
  }

  private constructor(
    private readonly settings: Settings,
    private readonly shelf: Shelf,
    private readonly outside: Surroundings,
  ) {
    this.logger = settings.log === null ? pino({ base: null }) : logTo(settings.log);
    this.backups = this.newBackups();
    this.app = this.newApp();
    this.server = createServer({ connectionsCheckingInterval: LOOK_MS }, (request, response) =>
      this.app(request, response),
    );
    // A client that is slow to say what it wants, or has gone, holds nothing for long.
    this.server.headersTimeout = 10_000;
    this.server.requestTimeout = 120_000;
  }

  /** Lets requests under way finish, closes the database, and goes; who asks again after a moment has it at once. */
  stop(): void {
    if (this.closing > 0) {
      if (Date.now() - this.closing > SAME_PRESS_MS) process.exit(1);
      return;
    }
    this.closing = Date.now();
    this.backups.stop();
    this.workshop.close();
    const done = () => void this.shelf.close().finally(() => process.exit(0));
    const listening = [this.server, ...(this.shared ? [this.shared.server] : [])].filter(
      (one) => one.listening,
    );
    let open = listening.length;
    if (open === 0) return done();
    for (const one of listening) {
      one.close(() => --open === 0 && done());
      one.closeIdleConnections();
      setTimeout(() => one.closeAllConnections(), PATIENCE_MS).unref();
    }
  }

  private newBackups(): Backups {
    return new Backups(this.shelf.database, backupFolder(this.settings.data), this.outside.now);
  }

  private newApp(): Express {
    const { database, readOnly } = this.shelf;
    return createApp({
      ...{ database, outside: this.outside, workshop: this.workshop, backups: this.backups },
      ...(readOnly === null ? {} : { readOnly }),
      webFolder: this.settings.web,
      logger: this.logger,
      sharedAt: () => this.shared?.address ?? null,
    });
  }

  private async seed(): Promise<void> {
    const { database, readOnly } = this.shelf;
    if (!this.settings.demo || readOnly !== null) return;
    const [quilts, log] = [new QuiltRepository(database), new LogRepository(database)];
    const seeded = await seedDemo(quilts, log, this.outside, path.join(HOUSE, 'demo'));
    if (seeded > 0) console.log(`Put ${seeded} demo quilts on the shelf.`);
  }

  private async shareIt(): Promise<void> {
    if (!this.settings.share) return;
    this.shared = await share({
      ...this.settings.share,
      app: (request, response) => this.app(request, response),
      knex: this.shelf.database.knex,
      outside: this.outside,
      folder: this.settings.data,
      report: (fault) => this.logger.error(fault),
    });
  }

  private listen(): void {
    const { port } = this.settings;
    this.server.listen(port, '127.0.0.1');
    this.server.on('listening', () => this.isListening());
    this.server.on('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'EADDRINUSE')
        stop(`Port ${port} is in use. Choose another with --port N, or stop what is using it.`);
      if (error.code === 'EACCES')
        stop(`Port ${port} may not be opened here. Choose one above 1024 with --port N.`);
      stop(`The server could not start: ${error.message}`);
    });
  }

  private isListening(): void {
    const address = this.server.address();
    const at = typeof address === 'object' && address ? address.port : this.settings.port;
    const { readOnly } = this.shelf;
    console.log(
      `Dapper Lattice is at http://127.0.0.1:${at}/  (data in ${this.settings.data}; stop with Ctrl+C)`,
    );
    if (readOnly !== null)
      console.log(
        `The shelf is open for reading only: ${readOnly}. Nothing can be saved until that is mended.`,
      );
    if (this.shared) console.log(this.shared.says);
    if (readOnly === null) this.keepUp();
    else this.tryToWrite();
  }

  /** Backups that are due and tidying, once people can already work; tidying again every day. */
  private keepUp(): void {
    const tell = (error: unknown) =>
      void console.error(`Not done: ${(error as Error).message.split('\n')[0]}. It is tried again later.`);
    this.backups.keepUp(tell);
    const tidy = () => void this.tidy().catch(tell);
    setTimeout(tidy, TIDY_AFTER_MS).unref();
    setInterval(tidy, TIDY_EVERY_MS).unref();
  }

  private async tidy(): Promise<void> {
    const { quilts, pictures } = await keepHouse(this.shelf.database, this.outside.now());
    if (quilts + pictures > 0)
      console.log(
        `Tidied away ${numberOf(quilts, 'quilt')} a month off the shelf and ${numberOf(pictures, 'picture')} that no quilt names.`,
      );
  }

  /** Opens the shelf for writing as soon as whatever stood in the way is gone. */
  private tryToWrite(): void {
    const timer = setInterval(() => {
      void this.shelf.tryWriting().then((writes) => {
        if (!writes) return;
        clearInterval(timer);
        this.backups = this.newBackups();
        this.app = this.newApp();
        console.log('The shelf can be written to again.');
        this.keepUp();
      });
    }, TRY_MS).unref();
  }
}
