import { existsSync, mkdirSync } from 'node:fs';
import path from 'node:path';

/**
 * Makes a folder and those it lies in, for its owner only, where they are missing. One after another, not by Node's own
 * `recursive`: on a file system that takes no folders (`/proc`) that one tries for ever.
 *
 * @throws an error of the file system
 */
export function makeFolder(folder: string): void {
  if (existsSync(folder)) return;
  const above = path.dirname(folder);
  if (above !== folder) makeFolder(above);
  mkdirSync(folder, { mode: 0o700 });
}
