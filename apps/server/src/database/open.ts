import { chmodSync, closeSync, existsSync, openSync, readFileSync, readSync, statSync } from 'node:fs';
import path from 'node:path';
import type Driver from 'better-sqlite3';
import createKnex, { type Knex } from 'knex';
import { makeFolder } from './make-folder.ts';
import * as quilts from './migrations/2026-11-24-quilts.ts';
import * as pictures from './migrations/2026-11-25-pictures.ts';
import * as log from './migrations/2026-11-26-log.ts';
import * as safeKeeping from './migrations/2026-11-26-safe-keeping.ts';
import * as cardsAnew from './migrations/2026-11-27-cards-anew.ts';
import * as shelfIndexes from './migrations/2026-12-01-shelf-indexes.ts';
import { Statements } from './statements.ts';

/** Every migration, oldest first. A landed one is never edited; a change is a new one at the end. */
const MIGRATIONS = [quilts, pictures, log, safeKeeping, cardsAnew, shelfIndexes];
type Migration = (typeof MIGRATIONS)[number];

const migrationSource: Knex.MigrationSource<Migration> = {
  getMigrations: async () => MIGRATIONS,
  getMigrationName: (migration) => migration.name,
  getMigration: async (migration) => migration,
};

/** A database that is open. */
export interface Database {
  readonly knex: Knex;
  /** What is asked for all day. */
  readonly statements: Statements;
  /** The driver's own connection, for what Knex has no word for: copying while it is used, and its pages. */
  readonly driver: Driver.Database;
  /** Its file; null for one in memory. */
  readonly file: string | null;
  close(): Promise<void>;
}

/** The database was written by a newer program. */
export class NewerDatabase extends Error {}
/** Pages of the database do not hold together. */
export class DamagedDatabase extends Error {}

/** The database file of a data folder. */
export const databaseFile = (folder: string): string => path.join(folder, 'lattice.sqlite');

/**
 * The number in a file's header that says whose it is (SQLite's file format, byte 68): "Latt". Files older than it are
 * told by their table of migrations.
 */
const OURS = 0x4c617474;

/** Pages written ahead before they are put where they belong: 16 MB (SQLite's usual is 4). */
const WRITTEN_AHEAD_PAGES = 4_000;

/** A database file's first bytes (published in SQLite's file format). */
const MAGIC = Buffer.from('SQLite format 3\0', 'latin1');

/** Whether a file is a database, or an empty one that will become one. */
export function isDatabase(file: string): boolean {
  const descriptor = openSync(file, 'r');
  try {
    const bytes = Buffer.alloc(MAGIC.length);
    const read = readSync(descriptor, bytes);
    return read === 0 || bytes.equals(MAGIC);
  } finally {
    closeSync(descriptor);
  }
}

interface Opened {
  readonly filename: string | Buffer;
  readonly readonly: boolean;
  readonly setUp: (connection: Driver.Database) => void;
}

async function connect({ filename, readonly, setUp }: Opened, file: string | null): Promise<Database> {
  let driver: Driver.Database | null = null;
  const knex = createKnex({
    client: 'better-sqlite3',
    connection: { filename: filename as string, options: { readonly } },
    useNullAsDefault: true,
    pool: {
      afterCreate(connection: Driver.Database, done: (error: Error | null) => void) {
        driver = connection;
        try {
          setUp(connection);
          done(null);
        } catch (error) {
          done(error as Error);
        }
      },
    },
    migrations: { migrationSource },
  });
  try {
    await knex.raw('select 1');
  } catch (error) {
    await knex.destroy();
    throw error;
  }
  return { knex, statements: new Statements(driver!), driver: driver!, file, close: () => knex.destroy() };
}

/**
 * Opens the database in `folder` (made when missing) for reading and writing, and brings it up to date. What is written
 * is on the disk before it is acknowledged. `:memory:` opens one that is gone when closed.
 *
 * @throws NewerDatabase, DamagedDatabase, or the driver's error (see `troubleOf`)
 */
export async function openDatabase(folder: string): Promise<Database> {
  const file = folder === ':memory:' ? null : databaseFile(folder);
  if (file) {
    makeFolder(folder);
    if (existsSync(file) && !isDatabase(file))
      throw Object.assign(new Error('not a database'), { code: 'SQLITE_NOTADB' });
  }
  const fresh = file === null || !existsSync(file) || statSync(file).size === 0;
  const setUp = (connection: Driver.Database) => {
    // Freed pages can be given back to the disk little by little.
    if (fresh) connection.pragma('auto_vacuum = INCREMENTAL');
    connection.pragma('journal_mode = WAL');
    connection.pragma('synchronous = FULL');
    // Whoever fills the log of writes waits until all of it lies in the database: one in a few hundred, not in eighty.
    connection.pragma(`wal_autocheckpoint = ${WRITTEN_AHEAD_PAGES}`);
    connection.pragma('foreign_keys = ON');
    connection.pragma('busy_timeout = 3000');
  };
  const database = await connect({ filename: file ?? ':memory:', readonly: false, setUp }, file);
  try {
    if (!fresh) checkPages(database.driver);
    await bringUp(database);
    if (file)
      for (const own of [file, `${file}-wal`, `${file}-shm`]) if (existsSync(own)) chmodSync(own, 0o600);
  } catch (error) {
    await database.close();
    throw error;
  }
  return database;
}

/**
 * Opens a database file for reading only, as it is. Where not even what stands beside it may be touched, its pages are
 * read into memory: so a shelf can be looked at on a full disk.
 */
export async function openForReading(file: string): Promise<Database> {
  const setUp = (connection: Driver.Database) => {
    connection.pragma('busy_timeout = 3000');
    checkPages(connection);
  };
  try {
    return await connect({ filename: file, readonly: true, setUp }, file);
  } catch (error) {
    if (!(error as { code?: string }).code?.startsWith('SQLITE_CANTOPEN')) throw error;
    const pages = readFileSync(file);
    // Written ahead or not, in memory there is no log to look for (SQLite's file format, bytes 18 and 19).
    pages[18] = 1;
    pages[19] = 1;
    return connect({ filename: pages, readonly: true, setUp }, file);
  }
}

/** @throws DamagedDatabase with what is wrong first */
export function checkPages(driver: Driver.Database): void {
  let first: string;
  try {
    first = String(driver.pragma('quick_check(1)', { simple: true }));
  } catch (error) {
    if (!(error as { code?: string }).code?.startsWith('SQLITE_CORRUPT')) throw error;
    first = (error as Error).message;
  }
  if (first !== 'ok')
    throw new DamagedDatabase(`its pages do not hold together (${first.split('\n').at(-1)})`);
}

/** Runs the migrations that are missing; a lock that a killed program left on them is nobody's: the folder is held. */
async function bringUp({ knex, driver }: Database): Promise<void> {
  const known: string[] = MIGRATIONS.map(({ name }) => name);
  const done = migrationsOf(driver);
  if (done.some((name) => !known.includes(name))) throw new NewerDatabase();
  if (done.length === known.length) return;
  if (done.length > 0) await knex.migrate.forceFreeMigrationsLock();
  await knex.migrate.latest();
  driver.pragma(`application_id = ${OURS}`);
}

/** Whether a database is one of this app, whichever version made it. */
export const isOurs = (driver: Driver.Database): boolean =>
  driver.pragma('application_id', { simple: true }) === OURS ||
  migrationsOf(driver).some((done) => done === MIGRATIONS[0]!.name);

/** Names of the migrations a database has had. */
function migrationsOf(driver: Driver.Database): string[] {
  const table = driver.prepare("select 1 from sqlite_master where name = 'knex_migrations'").get();
  if (!table) return [];
  return (driver.prepare('select name from knex_migrations order by id').all() as { name: string }[]).map(
    ({ name }) => name,
  );
}

/** Whether this program knows every migration a database has had. */
export const isKnown = (driver: Driver.Database): boolean =>
  migrationsOf(driver).every((done) => MIGRATIONS.some(({ name }) => name === done));
