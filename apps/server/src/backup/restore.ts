import { copyFileSync, existsSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import Driver from 'better-sqlite3';
import { makeFolder } from '../database/make-folder.ts';
import { databaseFile, isKnown, NewerDatabase, openDatabase } from '../database/open.ts';
import { backupFolder } from './backups.ts';
import { checkBackup, type Holds } from './copy.ts';
import { backupName } from './rotation.ts';

/** What was put back, and where what was there before is kept. */
export interface Restored {
  readonly holds: Holds;
  readonly before: string | null;
}

/**
 * Puts a backup in the place of a folder's database. The backup is looked through first, and what was there is kept
 * beside it as it lies, damaged or not. The caller holds the folder (see `holdFolder`).
 *
 * @throws NotABackup, NewerDatabase, DamagedDatabase, or an error of the file system; then nothing was changed
 */
export async function restoreBackup(file: string, folder: string, now: Date): Promise<Restored> {
  const holds = checkBackup(file);
  refuseNewer(file);
  const target = databaseFile(folder);
  const fresh = `${target}.part`;
  copyFileSync(file, fresh);
  let before: string | null = null;
  if (existsSync(target)) {
    makeFolder(backupFolder(folder));
    before = path.join(backupFolder(folder), backupName('before-restore', now));
    // With what was written ahead of it, which belongs to it.
    for (const tail of ['', '-wal'])
      if (existsSync(target + tail)) copyFileSync(target + tail, before + tail);
  }
  for (const tail of ['-wal', '-shm', '-journal']) rmSync(target + tail, { force: true });
  renameSync(fresh, target);
  // Brought up to today's shape now, so that whatever is wrong shows here.
  await (await openDatabase(folder)).close();
  return { holds, before };
}

function refuseNewer(file: string): void {
  const backup = new Driver(file, { readonly: true });
  try {
    if (!isKnown(backup)) throw new NewerDatabase();
  } finally {
    backup.close();
  }
}
