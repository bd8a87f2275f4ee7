import { existsSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import Driver from 'better-sqlite3';
import { makeFolder } from '../database/make-folder.ts';
import { FolderHeld, holdFolder } from '../database/hold.ts';
import { DamagedDatabase, databaseFile, NewerDatabase } from '../database/open.ts';
import { troubleOf } from '../database/trouble.ts';
import { stop } from '../stop.ts';
import { backupFolder } from './backups.ts';
import { copyDatabase, holdsInWords, NotABackup } from './copy.ts';
import { restoreBackup } from './restore.ts';
import { backupName } from './rotation.ts';

// `backup [FILE] --data DIR` and `restore FILE --data DIR`, for `./lattice`.
process.umask(0o077);
const { values, positionals } = parseArgs({
  options: { data: { type: 'string' } },
  allowPositionals: true,
});
const [command, given] = positionals;
const folder = path.resolve(values.data ?? 'data');

/** One line for whatever may go wrong. */
function explain(error: unknown): never {
  if (error instanceof FolderHeld)
    stop('The server is running on this folder. Stop it first (Ctrl+C where it runs), then restore.');
  if (error instanceof NotABackup) stop(`${given} is not a backup of Dapper Lattice. Nothing was changed.`);
  if (error instanceof NewerDatabase)
    stop(`${given} was made by a newer version of Dapper Lattice. Update first. Nothing was changed.`);
  if (error instanceof DamagedDatabase) stop(`It is damaged: ${error.message}. Nothing was changed.`);
  const trouble = troubleOf(error);
  if (trouble) stop(`This was not done: ${trouble.words}.`);
  const { code } = error as { code?: string };
  if (code === 'ENOENT') stop(`There is no file ${given}.`);
  if (code === 'EISDIR' || code === 'ENOTDIR') stop(`${given ?? folder} is not a file.`);
  throw error;
}

async function backup(): Promise<void> {
  const source = databaseFile(folder);
  if (!existsSync(source)) stop(`There is no database in ${folder}. Say where it is with --data DIR.`);
  const file = given
    ? path.resolve(given)
    : path.join(backupFolder(folder), backupName('by-hand', new Date()));
  if (file === source) stop('A backup cannot take the place of what it is a backup of. Choose another file.');
  makeFolder(path.dirname(file));
  const driver = new Driver(source, { readonly: true });
  try {
    const holds = await copyDatabase(driver, file, true);
    console.log(`Backed up to ${file}: ${holdsInWords(holds)}, checked.`);
  } finally {
    driver.close();
  }
}

async function restore(): Promise<void> {
  if (!given) stop('Say which backup: ./lattice restore FILE');
  makeFolder(folder);
  const letGo = holdFolder(folder);
  try {
    const { holds, before } = await restoreBackup(path.resolve(given), folder, new Date());
    console.log(`Restored ${holdsInWords(holds)} to ${folder}.`);
    if (before) console.log(`What was there before is kept as ${before}.`);
  } finally {
    letGo();
  }
}

await (command === 'restore' ? restore() : backup()).catch(explain);
