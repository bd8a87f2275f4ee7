import { existsSync, readdirSync } from 'node:fs';
import { backupFolder } from './backups.ts';
import { kindOf } from './rotation.ts';
import { stop } from '../stop.ts';
import { FolderHeld, holdFolder } from '../database/hold.ts';
import {
  DamagedDatabase,
  type Database,
  databaseFile,
  NewerDatabase,
  openDatabase,
  openForReading,
} from '../database/open.ts';
import { type Trouble, troubleOf } from '../database/trouble.ts';

/** The database of a folder as a server has it: to write to, or for reading while something stands in the way. */
export interface Shelf {
  readonly database: Database;
  /** Why it is for reading only, in words that end a sentence; null where it is not. */
  readonly readOnly: string | null;
  /** Whether it can be written to by now. */
  tryWriting(): Promise<boolean>;
  close(): Promise<void>;
}

/** Troubles that pass, or that leave what is there to be read. */
const READABLE: ReadonlySet<Trouble['kind']> = new Set(['full', 'read-only', 'busy', 'disk']);

/** Opens the shelf in a folder, held for this process; stops with one line where that cannot be. */
export async function openShelf(folder: string): Promise<Shelf> {
  let letGo: (() => void) | null = null;
  let database: Database;
  let readOnly: string | null = null;
  const openToWrite = async () => {
    letGo ??= holdFolder(folder);
    return openDatabase(folder);
  };
  try {
    database = await openToWrite();
  } catch (error) {
    const trouble = troubleOf(error);
    const file = databaseFile(folder);
    if (!trouble || !READABLE.has(trouble.kind) || !existsSync(file)) explain(error, folder);
    database = await openForReading(file).catch((second: unknown) => explain(second, folder));
    readOnly = trouble.words;
  }
  return {
    get database() {
      return database;
    },
    get readOnly() {
      return readOnly;
    },
    async tryWriting() {
      if (readOnly === null) return true;
      try {
        const writable = await openToWrite();
        await database.close();
        database = writable;
        readOnly = null;
        return true;
      } catch {
        return false;
      }
    },
    async close() {
      await database.close();
      letGo?.();
    },
  };
}

/** One line about a database that cannot be opened, and the end. */
function explain(error: unknown, folder: string): never {
  if (error instanceof FolderHeld)
    stop(
      `Another server is running on the data in ${folder}. Stop it first, or choose another folder with --data DIR.`,
    );
  if (error instanceof NewerDatabase)
    stop(
      `The data in ${folder} was written by a newer version of Dapper Lattice. Update first, then start it again.`,
    );
  if (error instanceof DamagedDatabase || troubleOf(error)?.kind === 'damaged') stop(damagedLine(folder));
  const trouble = troubleOf(error);
  if (trouble?.kind === 'not-ours')
    stop(
      `${databaseFile(folder)} is not a database, so it was left as it is. Move it away, or choose another folder with --data DIR.`,
    );
  if (trouble) stop(`The data folder ${folder} cannot be written to. Choose another with --data DIR.`);
  stop(`The data in ${folder} cannot be opened: ${(error as Error).message.split('\n')[0]}`);
}

function damagedLine(folder: string): string {
  const backups = existsSync(backupFolder(folder)) ? readdirSync(backupFolder(folder)).filter(kindOf) : [];
  const latest = backups.sort((a, b) => (stamp(a) < stamp(b) ? 1 : -1))[0];
  const wayOut = latest
    ? `Go back to its last backup with: ./lattice restore ${backupFolder(folder)}/${latest} --data ${folder}`
    : 'There is no backup beside it; if you have one elsewhere: ./lattice restore FILE';
  return `The database in ${folder} is damaged, so it was left as it is. ${wayOut}`;
}

const stamp = (file: string) => file.replace(/^\D+-(?=\d{4})/, '');
