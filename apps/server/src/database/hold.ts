import path from 'node:path';
import Driver from 'better-sqlite3';

/** Another server works in this folder. */
export class FolderHeld extends Error {}

/** How long a server that is just stopping is waited for. */
const PATIENCE_MS = 2_000;

/**
 * Holds a data folder for this process, so that no second server, and no restoring, works in it at the same time. The
 * hold is the system's own lock on a file: it goes with the process, however that ends.
 *
 * @returns lets go
 * @throws FolderHeld; or the driver's error where the folder cannot be written to
 */
export function holdFolder(folder: string): () => void {
  const lock = new Driver(path.join(folder, 'lattice.lock'), { timeout: PATIENCE_MS });
  try {
    // Nothing is ever written to it, so it needs no journal beside it, nor room on the disk.
    lock.pragma('journal_mode = OFF');
    lock.pragma('locking_mode = EXCLUSIVE');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if ((error as { code?: string }).code?.startsWith('SQLITE_BUSY')) throw new FolderHeld();
    throw error;
  }
  return () => lock.close();
}
