/** What is wrong with a database, in the quilter's words. `kind` tells what can be done about it. */
export interface Trouble {
  readonly kind: 'full' | 'read-only' | 'busy' | 'damaged' | 'disk' | 'gone' | 'not-ours';
  /** As it ends a sentence: "…: the disk is full". */
  readonly words: string;
}

/** By the beginning of the driver's code, the longest first: `SQLITE_IOERR_WRITE` is an `SQLITE_IOERR`. */
const BY_CODE: readonly (readonly [code: string, trouble: Trouble])[] = [
  ['SQLITE_READONLY_DBMOVED', { kind: 'gone', words: 'the data folder was moved or removed' }],
  ['SQLITE_FULL', { kind: 'full', words: 'the disk is full' }],
  ['SQLITE_READONLY', { kind: 'read-only', words: 'the data folder cannot be written to' }],
  ['SQLITE_PERM', { kind: 'read-only', words: 'the data folder cannot be written to' }],
  ['SQLITE_BUSY', { kind: 'busy', words: 'another program is writing to the database' }],
  ['SQLITE_LOCKED', { kind: 'busy', words: 'another program is writing to the database' }],
  ['SQLITE_CORRUPT', { kind: 'damaged', words: 'the database is damaged' }],
  ['SQLITE_NOTADB', { kind: 'not-ours', words: 'the file there is not a database' }],
  ['SQLITE_CANTOPEN', { kind: 'read-only', words: 'the database file cannot be opened' }],
  ['SQLITE_IOERR', { kind: 'disk', words: 'the disk cannot be read or written' }],
  ['ENOSPC', { kind: 'full', words: 'the disk is full' }],
  ['EROFS', { kind: 'read-only', words: 'the data folder cannot be written to' }],
  ['EACCES', { kind: 'read-only', words: 'the data folder cannot be written to' }],
  ['EPERM', { kind: 'read-only', words: 'the data folder cannot be written to' }],
];

/** What an error of the database's driver or of the file system means; null for any other. */
export function troubleOf(error: unknown): Trouble | null {
  const code = (error as { code?: unknown } | null)?.code;
  if (typeof code !== 'string') return null;
  return BY_CODE.find(([start]) => code.startsWith(start))?.[1] ?? null;
}
