import { mkdirSync } from 'node:fs';
import path from 'node:path';
import createKnex, { type Knex } from 'knex';
import * as quilts from './migrations/2026-11-24-quilts.ts';
import * as pictures from './migrations/2026-11-25-pictures.ts';
import * as log from './migrations/2026-11-26-log.ts';

/** Every migration, oldest first. A landed one is never edited; a change is a new one at the end. */
const MIGRATIONS = [quilts, pictures, log];
type Migration = (typeof MIGRATIONS)[number];

const migrationSource: Knex.MigrationSource<Migration> = {
  getMigrations: async () => MIGRATIONS,
  getMigrationName: (migration) => migration.name,
  getMigration: async (migration) => migration,
};

/**
 * Opens the database in `folder` (made when missing), write-ahead log and foreign keys on, and brings
 * it up to date. `:memory:` opens one that is gone when closed.
 *
 * @throws when the folder cannot be made or written to; the caller says so.
 */
export async function openDatabase(folder: string): Promise<Knex> {
  const inMemory = folder === ':memory:';
  if (!inMemory) mkdirSync(folder, { recursive: true });
  const knex = createKnex({
    client: 'better-sqlite3',
    connection: { filename: inMemory ? folder : path.join(folder, 'lattice.sqlite') },
    useNullAsDefault: true,
    pool: {
      afterCreate: (connection: { pragma(text: string): unknown }, done: (error: Error | null) => void) => {
        connection.pragma('journal_mode = WAL');
        connection.pragma('foreign_keys = ON');
        connection.pragma('busy_timeout = 3000');
        done(null);
      },
    },
    migrations: { migrationSource },
  });
  try {
    await knex.migrate.latest();
  } catch (error) {
    await knex.destroy();
    throw error;
  }
  return knex;
}
