import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import Driver from 'better-sqlite3';
import { makeFolder } from '../database/make-folder.ts';
import { DamagedDatabase, databaseFile, isKnown, NewerDatabase, openDatabase } from '../database/open.ts';
import { troubleOf } from '../database/trouble.ts';
import { backupFolder } from './backups.ts';
import { checkBackup, copyDatabase, type Holds } from './copy.ts';
import { backupName } from './rotation.ts';

/** What was put back, and where what was there before is kept. */
export interface Restored {
  readonly holds: Holds;
  readonly before: string | null;
}

/** What SQLite may have beside a database while it is used, or after a kill. */
const BESIDE = ['-wal', '-shm', '-journal'] as const;

/**
 * Puts a backup in the place of a folder's database. The backup is looked through, copied as SQLite itself copies (with
 * what was written ahead of it, if a kill left it so) and brought up to today's shape aside, before anything is touched;
 * what was there is kept beside it, as one file where it can be read and as it lies where it is damaged. Then one
 * renaming puts the one in the place of the other. The caller holds the folder (see `holdFolder`).
 *
 * @throws NotABackup, NewerDatabase, DamagedDatabase, or an error of the file system; then nothing was changed
 */
export async function restoreBackup(file: string, folder: string, now: Date): Promise<Restored> {
  const holds = checkBackup(file);
  refuseNewer(file);
  const aside = path.join(folder, 'restoring');
  rmSync(aside, { recursive: true, force: true });
  mkdirSync(aside, { mode: 0o700 });
  try {
    await copied(file, databaseFile(aside));
    await broughtUp(aside);
    const target = databaseFile(folder);
    const before = existsSync(target) ? await keptBefore(target, folder, now) : null;
    renameSync(databaseFile(aside), target);
    return { holds, before };
  } finally {
    rmSync(aside, { recursive: true, force: true });
  }
}

/** Brings a copy up to today's shape: whatever is wrong with it shows here, while nothing is changed. */
async function broughtUp(folder: string): Promise<void> {
  try {
    await (await openDatabase(folder)).close();
  } catch (error) {
    // What the system or SQLite says has words of its own; all else is a database whose parts do not belong together.
    if (error instanceof NewerDatabase || error instanceof DamagedDatabase || troubleOf(error)) throw error;
    throw new DamagedDatabase('its tables are not those of any version');
  }
}

/** One whole file of a database and what was written ahead of it. */
async function copied(from: string, to: string): Promise<void> {
  const source = new Driver(from, { readonly: true });
  try {
    await copyDatabase(source, to, true);
  } finally {
    source.close();
  }
}

/**
 * Keeps what is there under a name of its own, and leaves nothing beside the database that a renaming would give to
 * another: what was written ahead is in it by then, or it is damaged and goes with its copy.
 */
async function keptBefore(target: string, folder: string, now: Date): Promise<string> {
  makeFolder(backupFolder(folder));
  const before = path.join(backupFolder(folder), backupName('before-restore', now));
  try {
    const driver = new Driver(target);
    try {
      await copyDatabase(driver, before, true);
      driver.pragma('wal_checkpoint(TRUNCATE)');
    } finally {
      driver.close();
    }
  } catch {
    for (const tail of ['', '-wal'])
      if (existsSync(target + tail)) copyFileSync(target + tail, before + tail);
  }
  for (const tail of BESIDE) rmSync(target + tail, { force: true });
  return before;
}

function refuseNewer(file: string): void {
  const backup = new Driver(file, { readonly: true });
  try {
    if (!isKnown(backup)) throw new NewerDatabase();
  } finally {
    backup.close();
  }
}
