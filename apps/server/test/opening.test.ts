import { existsSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { startPlan } from '@lattice/core';
import Driver from 'better-sqlite3';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { FolderHeld, holdFolder } from '../src/database/hold.ts';
import { makeFolder } from '../src/database/make-folder.ts';
import {
  DamagedDatabase,
  databaseFile,
  NewerDatabase,
  openDatabase,
  openForReading,
} from '../src/database/open.ts';
import { openShelf } from '../src/backup/shelf.ts';
import { troubleOf } from '../src/database/trouble.ts';
import { folder, outsideAt, throwAway } from './support/house.ts';

const outside = outsideAt('2026-11-26T08:00:00Z');
const plan = startPlan('sashed-sampler');
afterEach(throwAway);

/** A folder as a server leaves it. */
async function used(quilts = 3): Promise<string> {
  const data = folder();
  const database = await openDatabase(data);
  for (let i = 0; i < quilts; i++)
    await request(createApp({ database, outside })).post('/api/quilts').send({ plan });
  await database.close();
  return data;
}

test('every commit is on the disk before it is acknowledged; files are for their owner', async () => {
  const data = folder();
  const database = await openDatabase(data);
  // 2 is FULL (SQLite’s documentation of PRAGMA synchronous).
  expect(database.driver.pragma('synchronous', { simple: true })).toBe(2);
  for (const tail of ['', '-wal', '-shm'])
    if (existsSync(databaseFile(data) + tail))
      expect(statSync(databaseFile(data) + tail).mode & 0o777).toBe(0o600);
  await database.close();
});

test('a newer database, damaged pages, no database at all: each is its own error, and the file is left as it is', async () => {
  const newer = await used();
  const driver = new Driver(databaseFile(newer));
  driver.exec("insert into knex_migrations (name, batch) values ('2099-01-01-later', 2)");
  driver.close();
  await expect(openDatabase(newer)).rejects.toBeInstanceOf(NewerDatabase);

  const damaged = await used(40);
  const bytes = readFileSync(databaseFile(damaged));
  bytes.fill(0x5a, 4096, 4096 * 3);
  writeFileSync(databaseFile(damaged), bytes);
  const error: unknown = await openDatabase(damaged).then(
    () => null,
    (why: unknown) => why,
  );
  expect(error instanceof DamagedDatabase || troubleOf(error)?.kind === 'damaged').toBe(true);
  expect(readFileSync(databaseFile(damaged)).equals(bytes)).toBe(true);

  const other = folder();
  writeFileSync(databaseFile(other), 'a letter to Maud');
  await expect(openDatabase(other)).rejects.toMatchObject({ code: 'SQLITE_NOTADB' });
  expect(troubleOf({ code: 'SQLITE_NOTADB' })?.kind).toBe('not-ours');
  expect(readFileSync(databaseFile(other), 'utf8')).toBe('a letter to Maud');
});

test('a lock that a program killed while bringing the database up left behind holds nobody up', async () => {
  const data = await used();
  const driver = new Driver(databaseFile(data));
  driver.exec(
    "update knex_migrations_lock set is_locked = 1; delete from knex_migrations where name like '%safe-keeping%'",
  );
  driver.exec('drop table snapshots; drop table links');
  for (const column of ['card', 'title', 'saved_by']) {
    for (const { name } of driver
      .prepare("select name from sqlite_master where type = 'index' and sql like ?")
      .all(`%${column}%`) as { name: string }[])
      driver.exec(`drop index if exists ${name}`);
    driver.exec(`alter table quilts drop column ${column}`);
  }
  driver.close();
  const database = await openDatabase(data);
  const { body } = await request(createApp({ database, outside })).get('/api/quilts');
  expect(body.total).toBe(3);
  await database.close();
});

test('a folder is held by one at a time, and free again when that one is gone', async () => {
  const data = folder();
  const letGo = holdFolder(data);
  expect(() => holdFolder(data)).toThrow(FolderHeld);
  letGo();
  holdFolder(data)();
});

test('another program’s lock at the start: the shelf opens for reading, says why, and writes once it may', async () => {
  const data = await used();
  const other = new Driver(databaseFile(data));
  other.exec('begin exclusive');
  const trying = openShelf(data);
  // It keeps others even from reading for now, and lets go of that first.
  other.exec('rollback; begin immediate');
  const shelf = await trying;
  const ask = () =>
    request(
      createApp({
        database: shelf.database,
        outside,
        ...(shelf.readOnly ? { readOnly: shelf.readOnly } : {}),
      }),
    );
  if (shelf.readOnly !== null) {
    expect((await ask().get('/api/quilts')).body.total).toBe(3);
    const refused = await ask().post('/api/quilts').send({ plan });
    expect(refused.status).toBe(507);
    expect(refused.body.message).toContain(shelf.readOnly);
    expect((await ask().get('/api/ready')).status).toBe(503);
  }
  other.exec('rollback');
  other.close();
  expect(await shelf.tryWriting()).toBe(true);
  expect((await ask().post('/api/quilts').send({ plan })).status).toBe(201);
  expect((await ask().get('/api/ready')).status).toBe(200);
  await shelf.close();
});

test('opened for reading, nothing can be written to it', async () => {
  const data = await used();
  const database = await openForReading(databaseFile(data));
  await expect(database.knex('quilts').delete()).rejects.toMatchObject({ code: 'SQLITE_READONLY' });
  await database.close();
});

test('the folder removed while the server runs: said, and not taken for saved', async () => {
  const data = await used();
  const database = await openDatabase(data);
  const app = createApp({ database, outside });
  rmSync(data, { recursive: true });
  const answer = await request(app).post('/api/quilts').send({ plan });
  expect(answer.status).toBe(507);
  expect(answer.body).toMatchObject({ code: 'folder-gone' });
  expect(answer.body.message).toContain('put the folder back');
  await database.close();
});

test('folders are made one in another; where none can be it fails at once', () => {
  const above = folder();
  makeFolder(path.join(above, 'a', 'b'));
  expect(existsSync(path.join(above, 'a', 'b'))).toBe(true);
  if (existsSync('/proc/self')) expect(() => makeFolder('/proc/no/such')).toThrow();
});

test('taken off the shelf a quilt is kept a month, then let go with its snapshots; the log stays', async () => {
  const { keepHouse } = await import('../src/housekeeping.ts');
  const clock = outsideAt('2026-11-26T08:00:00Z');
  const database = await openDatabase(folder());
  const ask = () => request(createApp({ database, outside: clock }));
  const { id } = (await ask().post('/api/quilts').send({ plan })).body as { id: string };
  await ask().post(`/api/quilts/${id}/snapshots`).send({ name: 'once' });
  await ask().delete(`/api/quilts/${id}`);
  clock.pass(29);
  expect(await keepHouse(database, clock.now())).toMatchObject({ quilts: 0 });
  expect((await ask().post(`/api/quilts/${id}/restore`)).status).toBe(200);
  await ask().delete(`/api/quilts/${id}`);
  clock.pass(31);
  expect(await keepHouse(database, clock.now())).toMatchObject({ quilts: 1 });
  expect((await ask().post(`/api/quilts/${id}/restore`)).status).toBe(404);
  expect(await database.knex('snapshots').select()).toEqual([]);
  expect(database.driver.pragma('freelist_count', { simple: true })).toBe(0);
  await database.close();
});
