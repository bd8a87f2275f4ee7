import {
  chmodSync,
  closeSync,
  copyFileSync,
  fsyncSync,
  openSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import Driver from 'better-sqlite3';
import { checkPages, isDatabase, isOurs } from '../database/open.ts';

/** What a backup holds. */
export interface Holds {
  readonly quilts: number;
  readonly pictures: number;
  readonly entries: number;
  readonly bytes: number;
}

/** Pages copied at a time while the server goes on answering: a few milliseconds of work. */
const PAGES_AT_A_TIME = 400;

/**
 * Copies a database, whole and consistent, while it is being used; what stands under `file` is there only once it is
 * complete, on the disk, and was opened and checked.
 *
 * @param atOnce copies in one go, for a program that has nothing else to do: writes of others then never hold it up
 * @throws the driver's error (see `troubleOf`), or DamagedDatabase; nothing is left behind
 */
export async function copyDatabase(driver: Driver.Database, file: string, atOnce = false): Promise<Holds> {
  const part = `${file}.part`;
  rmSync(part, { force: true });
  try {
    await driver.backup(part, { progress: () => (atOnce ? 0x7fffffff : PAGES_AT_A_TIME) });
    alone(part);
    const holds = checkBackup(part);
    onDisk(part);
    chmodSync(part, 0o600);
    renameSync(part, file);
    return holds;
  } finally {
    for (const left of [part, `${part}-wal`, `${part}-shm`, `${part}-journal`]) rmSync(left, { force: true });
  }
}

/**
 * Copies a backup that nobody writes to: what stands under `to` is there only once it is whole, on the disk and looked
 * through.
 *
 * @throws NotABackup, DamagedDatabase, or an error of the file system; nothing is left behind
 */
export function copyBackup(from: string, to: string): void {
  const part = `${to}.part`;
  try {
    copyFileSync(from, part);
    checkBackup(part);
    onDisk(part);
    renameSync(part, to);
  } finally {
    rmSync(part, { force: true });
  }
}

function onDisk(file: string): void {
  const descriptor = openSync(file, 'r+');
  fsyncSync(descriptor);
  closeSync(descriptor);
}

/** A backup is one file, with nothing beside it to be forgotten when it is carried off. */
function alone(file: string): void {
  const copy = new Driver(file);
  copy.pragma('journal_mode = DELETE');
  copy.close();
}

/**
 * Opens a backup and looks through all of it.
 *
 * @throws NotABackup, DamagedDatabase
 */
export function checkBackup(file: string): Holds {
  if (!isDatabase(file)) throw new NotABackup();
  const copy = new Driver(file, { readonly: true });
  try {
    checkPages(copy);
    const tables = copy.prepare("select name from sqlite_master where type = 'table'").all() as {
      name: string;
    }[];
    const has = (table: string) => tables.some(({ name }) => name === table);
    if (!isOurs(copy) || !has('quilts')) throw new NotABackup();
    const count = (table: string) =>
      has(table) ? (copy.prepare(`select count(*) as n from ${table}`).get() as { n: number }).n : 0;
    return {
      quilts: count('quilts'),
      pictures: count('pictures'),
      entries: count('log_entries'),
      bytes: statSync(file).size,
    };
  } finally {
    copy.close();
  }
}

/** A file that is no backup of this app. */
export class NotABackup extends Error {}

/** What a backup holds, in words: "5 quilts, 12 pictures". */
export function holdsInWords({ quilts, pictures }: Holds): string {
  const many = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;
  return `${many(quilts, 'quilt')}, ${many(pictures, 'picture')}`;
}
