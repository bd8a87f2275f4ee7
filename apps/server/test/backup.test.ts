import { existsSync, readdirSync, readFileSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { startPlan } from '@lattice/core';
import Driver from 'better-sqlite3';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { Backups, backupFolder } from '../src/backup/backups.ts';
import { checkBackup, copyDatabase, NotABackup } from '../src/backup/copy.ts';
import { restoreBackup } from '../src/backup/restore.ts';
import { backupName, outdated } from '../src/backup/rotation.ts';
import { DamagedDatabase, type Database, databaseFile, openDatabase } from '../src/database/open.ts';
import { folder, outsideAt, throwAway } from './support/house.ts';

let database: Database;
let data: string;
const outside = outsideAt('2026-11-26T08:00:00Z');
const add = (title: string) =>
  request(createApp({ database, outside }))
    .post('/api/quilts')
    .send({ plan: { ...startPlan('sashed-sampler'), title } });
const titles = (file: string) => {
  const driver = new Driver(file, { readonly: true });
  const rows = driver.prepare('select title from quilts order by created_at').all() as { title: string }[];
  driver.close();
  return rows.map(({ title }) => title);
};

beforeEach(async () => {
  data = folder();
  database = await openDatabase(data);
});
afterEach(async () => {
  await database.close();
  throwAway();
});

describe('a backup', () => {
  test('copying the file while it is used loses what was written last; a backup does not', async () => {
    await add('one');
    const file = path.join(data, 'copy.sqlite');
    writeFileSync(file, readFileSync(databaseFile(data)));
    // What this is about: the plain copy is without it (the write-ahead log was not copied).
    expect(() => titles(file)).toThrow();
    const holds = await copyDatabase(database.driver, path.join(data, 'backup.sqlite'));
    expect(holds).toMatchObject({ quilts: 1, pictures: 0 });
    expect(titles(path.join(data, 'backup.sqlite'))).toEqual(['one']);
  });

  test('is whole and of one moment while others write, one file, for its owner', async () => {
    for (let i = 0; i < 60; i++) await add(`quilt ${i}`);
    const file = path.join(data, 'backup.sqlite');
    let going = true;
    const writing = (async () => {
      for (let i = 60; going; i++) await add(`quilt ${i}`);
    })();
    await copyDatabase(database.driver, file);
    going = false;
    await writing;
    const kept = titles(file);
    // A moment: all quilts up to one of them, and none after it.
    expect(kept.length).toBeGreaterThanOrEqual(60);
    expect(kept).toEqual(kept.map((_, i) => `quilt ${i}`));
    expect(statSync(file).mode & 0o777).toBe(0o600);
    expect(readdirSync(data).filter((name) => /backup\.sqlite.+/.test(name))).toEqual([]);
  });

  test('that fails leaves what was there before, and nothing half-made', async () => {
    const file = path.join(data, 'backup.sqlite');
    await copyDatabase(database.driver, file);
    const before = readFileSync(file);
    await database.close();
    await expect(copyDatabase(database.driver, file)).rejects.toBeDefined();
    expect(readFileSync(file).equals(before)).toBe(true);
    expect(existsSync(`${file}.part`)).toBe(false);
    database = await openDatabase(data);
  });

  test('is looked through: cut short, of something else, or no database, it is none', async () => {
    const file = path.join(data, 'backup.sqlite');
    for (let i = 0; i < 30; i++) await add(`quilt ${i}`);
    await copyDatabase(database.driver, file);
    const whole = readFileSync(file);
    writeFileSync(file, whole.subarray(0, whole.length - 4096 * 3));
    expect(() => checkBackup(file)).toThrow();
    writeFileSync(file, 'not a database at all');
    expect(() => checkBackup(file)).toThrow();
    const other = new Driver(path.join(data, 'other.sqlite'));
    other.exec('create table letters (a)');
    other.close();
    expect(() => checkBackup(path.join(data, 'other.sqlite'))).toThrow();
  });
});

describe('going back to one', () => {
  test('puts back what it holds, and keeps what was there before', async () => {
    await add('before');
    const file = path.join(folder(), 'elsewhere.sqlite');
    await copyDatabase(database.driver, file);
    await add('after');
    await database.close();
    const { holds, before } = await restoreBackup(file, data, outside.now());
    expect(holds.quilts).toBe(1);
    database = await openDatabase(data);
    expect(titles(databaseFile(data))).toEqual(['before']);
    expect(titles(before!)).toEqual(['before', 'after']);
    // And it is worked on as before.
    expect((await add('again')).status).toBe(201);
  });

  test('what was written ahead of it comes along: of the backup, and of what was there before', async () => {
    // As a kill leaves a folder: the main file without what was written last, which lies beside it.
    const killed = (from: string, to: string) => {
      for (const tail of ['', '-wal']) writeFileSync(to + tail, readFileSync(from + tail));
    };
    await add('one');
    const fiveAgo = path.join(folder(), 'five-ago.sqlite');
    await copyDatabase(database.driver, fiveAgo);
    for (const title of ['two', 'three']) await add(title);
    const elsewhere = folder();
    killed(databaseFile(data), databaseFile(elsewhere));
    expect(statSync(`${databaseFile(elsewhere)}-wal`).size).toBeGreaterThan(0);
    // Into the killed folder: what was there before is one whole file.
    const { before } = await restoreBackup(fiveAgo, elsewhere, outside.now());
    expect(titles(databaseFile(elsewhere))).toEqual(['one']);
    expect(titles(before!)).toEqual(['one', 'two', 'three']);
    expect(readdirSync(backupFolder(elsewhere))).toEqual([path.basename(before!)]);
    // And back again from a file that has its log beside it.
    const leftSo = path.join(folder(), 'left-so.sqlite');
    killed(databaseFile(data), leftSo);
    const { holds } = await restoreBackup(leftSo, elsewhere, outsideAt('2026-11-27T08:00:00Z').now());
    expect(holds.quilts).toBe(3);
    expect(titles(databaseFile(elsewhere))).toEqual(['one', 'two', 'three']);
    expect(existsSync(path.join(elsewhere, 'restoring'))).toBe(false);
  });

  test('refuses a database of something else that has quilts too, and a damaged one, and nothing was changed', async () => {
    await add('kept');
    const file = path.join(folder(), 'elsewhere.sqlite');
    await copyDatabase(database.driver, file);
    await database.close();
    const before = readFileSync(databaseFile(data));
    const foreign = path.join(folder(), 'foreign.sqlite');
    const other = new Driver(foreign);
    other.exec("create table quilts (title text); insert into quilts values ('a bedspread')");
    other.close();
    await expect(restoreBackup(foreign, data, outside.now())).rejects.toBeInstanceOf(NotABackup);
    // Ours by its number, but a table of it is gone: it cannot be brought up, and that shows before anything is touched.
    const gone = new Driver(file);
    gone.exec(
      "drop table log_entries; delete from knex_migrations where name like '%cards-anew%' or name like '%safe%'",
    );
    gone.close();
    await expect(restoreBackup(file, data, outside.now())).rejects.toBeInstanceOf(DamagedDatabase);
    expect(readFileSync(databaseFile(data)).equals(before)).toBe(true);
    expect(readdirSync(data).filter((name) => name === 'restoring')).toEqual([]);
    database = await openDatabase(data);
    expect(titles(databaseFile(data))).toEqual(['kept']);
  });

  test('from a damaged database; from none', async () => {
    await add('kept');
    const file = path.join(folder(), 'elsewhere.sqlite');
    await copyDatabase(database.driver, file);
    await database.close();
    writeFileSync(databaseFile(data), 'gnawed by mice');
    await restoreBackup(file, data, outside.now());
    expect(titles(databaseFile(data))).toEqual(['kept']);
    const fresh = folder();
    expect((await restoreBackup(file, fresh, outside.now())).before).toBeNull();
    expect(titles(databaseFile(fresh))).toEqual(['kept']);
    database = await openDatabase(data);
  });

  test('refuses what is no backup or too new, and then nothing was changed', async () => {
    await add('kept');
    const file = path.join(folder(), 'elsewhere.sqlite');
    await copyDatabase(database.driver, file);
    await database.close();
    const newer = new Driver(file);
    newer.exec("insert into knex_migrations (name, batch) values ('2099-01-01-later', 2)");
    newer.close();
    await expect(restoreBackup(file, data, outside.now())).rejects.toBeDefined();
    writeFileSync(file, '');
    await expect(restoreBackup(file, data, outside.now())).rejects.toBeDefined();
    await expect(restoreBackup(path.join(data, 'none'), data, outside.now())).rejects.toThrow();
    expect(titles(databaseFile(data))).toEqual(['kept']);
    database = await openDatabase(data);
  });
});

describe('by themselves', () => {
  test('one a day, one a week; the last seven days and five weeks are kept, those asked for stay', async () => {
    const clock = outsideAt('2026-09-01T06:00:00Z');
    const backups = new Backups(database, backupFolder(data), clock.now);
    await backups.make();
    for (let day = 0; day < 60; day++) {
      await backups.makeDue();
      await backups.makeDue();
      clock.pass(1);
    }
    const files = readdirSync(backupFolder(data)).sort();
    expect(files.filter((file) => file.startsWith('daily')).length).toBe(7);
    // Mondays of the last five weeks (by the calendar of 2026: 30 October is a Friday).
    expect(files.filter((file) => file.startsWith('weekly'))).toEqual(
      ['09-28', '10-05', '10-12', '10-19', '10-26'].map((day) => `weekly-2026-${day}.sqlite`),
    );
    expect(files.filter((file) => file.startsWith('by-hand')).length).toBe(1);
    for (const file of files) expect(checkBackup(path.join(backupFolder(data), file)).quilts).toBe(0);
  });

  test('killed between the day’s and the week’s, or while one is written: made the next time, and what is half made goes', async () => {
    await add('one');
    const clock = outsideAt('2026-09-02T06:00:00Z');
    const backups = new Backups(database, backupFolder(data), clock.now);
    await backups.makeDue();
    const weekly = path.join(backupFolder(data), 'weekly-2026-08-31.sqlite');
    expect(checkBackup(weekly).quilts).toBe(1);
    // The week's is gone, and half of one lies there as a kill leaves it; and one that is just being written.
    const whole = readFileSync(weekly);
    rmSync(weekly);
    const half = (name: string, at: Date) => {
      const file = path.join(backupFolder(data), name);
      writeFileSync(file, whole.subarray(0, 5000));
      utimesSync(file, at, at);
    };
    half('weekly-2026-08-31.sqlite.part', new Date('2026-09-01T06:00:00Z'));
    half('by-hand-2026-09-02T055900.sqlite.part', clock.now());
    backups.tidy();
    expect(readdirSync(backupFolder(data)).sort()).toEqual([
      'by-hand-2026-09-02T055900.sqlite.part',
      'daily-2026-09-02.sqlite',
    ]);
    expect(backups.list().map(({ file }) => file)).toEqual(['daily-2026-09-02.sqlite']);
    await backups.makeDue();
    expect(checkBackup(weekly).quilts).toBe(1);
    // A day's backup that is damaged does not become the week's.
    rmSync(weekly);
    writeFileSync(path.join(backupFolder(data), 'daily-2026-09-02.sqlite'), whole.subarray(0, 9000));
    await expect(backups.makeDue()).rejects.toBeDefined();
    expect(existsSync(weekly)).toBe(false);
  });

  test('only their own files are ever deleted', () => {
    const now = new Date('2026-11-26T08:00:00Z');
    expect(outdated(['notes.txt', 'daily-x.sqlite', backupName('daily', now)])).toEqual([]);
  });

  test('listed, made and taken away over HTTP; no other file can be asked for', async () => {
    await add('one');
    const backups = new Backups(database, backupFolder(data), outside.now);
    const app = createApp({ database, outside, backups });
    const made = await request(app).post('/api/backups');
    expect(made.status).toBe(201);
    expect(made.body).toMatchObject({ kind: 'by-hand', quilts: 1 });
    const listed = await request(app).get('/api/backups');
    expect(listed.body).toHaveLength(1);
    const { file } = listed.body[0] as { file: string };
    const taken = await request(app).get(`/api/backups/${file}`).buffer(true);
    expect(taken.status).toBe(200);
    expect(taken.headers['content-disposition']).toContain(file);
    for (const other of ['..%2Flattice.sqlite', 'lattice.sqlite', 'daily-2020-01-01.sqlite'])
      expect((await request(app).get(`/api/backups/${other}`)).status).toBe(404);
    const numbers = await request(app).get('/api/numbers');
    expect(numbers.body.lastBackup).toBe(listed.body[0].madeAt);
  });
});
