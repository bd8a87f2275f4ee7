import { rmSync } from 'node:fs';
import path from 'node:path';
import { startPlan } from '@lattice/core';
import Driver from 'better-sqlite3';
import { House } from '../house.ts';
import { byCommand, byServer, copyOf, type Deed, newFolder, until } from './deed.ts';
import { theirParcel } from './their-parcel.ts';
import { ago, behindItsBack, file, isBackedUp, used } from './used.ts';

/** Leaves a folder as a kill does: what was saved last is written ahead, and not in the database. */
async function killed(folder: string): Promise<string> {
  const house = await new House(folder).start();
  await house.send('POST', '/api/quilts', {
    id: 'quilt-ahead',
    plan: { ...startPlan('sashed-sampler'), title: 'written ahead' },
  });
  await house.end('SIGKILL');
  return folder;
}

/** A folder as the first version left it, stopped while a later one was bringing it up: the migrations are locked. */
function ofLongAgo(): string {
  const folder = newFolder();
  const sizes = { width: 62, height: 74, price: 120 };
  const booking = { number: 'LA-1', ...sizes, starts: '2026-03-02', ready: '2026-03-30' };
  const database = new Driver(file(folder));
  database.exec(`
    create table quilts (id text primary key, revision integer not null, plan text not null,
      created_at text not null, updated_at text not null, removed_at text);
    create index quilts_removed_at_updated_at_index on quilts (removed_at, updated_at);
    create table knex_migrations (id integer not null primary key autoincrement, name varchar(255), batch integer,
      migration_time datetime);
    create table knex_migrations_lock ("index" integer not null primary key autoincrement, is_locked integer);
    insert into knex_migrations (name, batch, migration_time) values ('2026-11-24-quilts', 1, 0);
    insert into knex_migrations_lock (is_locked) values (1);
  `);
  const add = database.prepare('insert into quilts values (?, 1, ?, ?, ?, null)');
  for (const title of ['one', 'two', 'three'])
    add.run(
      `quilt-${title}`,
      JSON.stringify({
        ...startPlan('sashed-sampler'),
        title,
        schemaVersion: 5,
        quilting: { by: 'long-arm', booking },
      }),
      ago(9),
      ago(9),
    );
  database.close();
  return folder;
}

/** Nothing is left that was to be tidied away. */
function isTidy(folder: string): boolean {
  const database = new Driver(file(folder), { readonly: true });
  const off = database.prepare('select count(*) from quilts where removed_at is not null').pluck().get();
  const old = database.prepare("select count(*) from pictures where id = 'picture-of-none'").pluck().get();
  database.close();
  return off === 0 && old === 0;
}

/** Everything the house does in more than one step; a new one is an entry here. */
export const DEEDS: readonly Deed[] = [
  {
    name: 'a first start with its demo, and the first backups',
    long: true,
    again: true,
    prepare: async () => newFolder(),
    run: (folder, killAt) =>
      byServer(folder, killAt, {
        ...{ flags: ['--demo'], from: 'start' },
        work: (house) => until(house, () => isBackedUp(folder)),
      }),
  },
  {
    name: 'a database of long ago is brought up',
    long: true,
    again: true,
    prepare: async () => ofLongAgo(),
    run: (folder, killAt) =>
      byServer(folder, killAt, { from: 'start', work: (house) => until(house, () => isBackedUp(folder)) }),
  },
  {
    name: 'a backup',
    long: true,
    again: true,
    prepare: async () => killed(await used()),
    run: (folder, killAt) => byCommand(folder, killAt, 'backup'),
  },
  {
    name: 'going back to a backup',
    again: true,
    prepare: async () => {
      const folder = await used();
      const carried = copyOf(folder);
      await killed(folder);
      behindItsBack(carried, ["delete from quilts where id = 'quilt-two'"]);
      const copy = new Driver(file(carried));
      await copy.backup(path.join(folder, 'carried.sqlite'));
      copy.close();
      rmSync(carried, { recursive: true });
      return folder;
    },
    run: (folder, killAt) => byCommand(folder, killAt, 'restore', path.join(folder, 'carried.sqlite')),
  },
  {
    name: 'a parcel',
    eachByItself: true,
    prepare: used,
    run: async (folder, killAt) => {
      const zip = await theirParcel();
      return byServer(folder, killAt, {
        from: 'signal',
        work: (house) =>
          house.ask('POST', '/api/parcels', zip, { 'content-type': 'application/octet-stream' }),
      });
    },
  },
  {
    name: 'a save, and how the quilt was on the evening before',
    eachByItself: true,
    prepare: async () => {
      const folder = await used();
      behindItsBack(folder, ['update quilts set updated_at = ?', ago(1)]);
      return folder;
    },
    run: (folder, killAt) =>
      byServer(folder, killAt, {
        from: 'signal',
        work: (house) =>
          house.send('PUT', '/api/quilts/quilt-two', {
            revision: 1,
            plan: { ...startPlan('sashed-sampler'), title: 'two, wider' },
          }),
      }),
  },
  {
    name: 'a version under a name',
    prepare: used,
    run: (folder, killAt) =>
      byServer(folder, killAt, {
        from: 'signal',
        work: (house) =>
          house.send('POST', '/api/quilts/quilt-two/snapshots', {
            name: 'before the border',
            id: 'version-two',
          }),
      }),
  },
  {
    name: 'tidying',
    long: true,
    again: true,
    eachByItself: true,
    prepare: async () => {
      const folder = await used();
      behindItsBack(
        folder,
        [
          "insert into snapshots select 'of-' || id, id, 'as it was', plan, ? from quilts where id <> 'quilt-one'",
          ago(50),
        ],
        ["update quilts set removed_at = ? where id <> 'quilt-one'", ago(40)],
        ['update pictures set created_at = ?', ago(100)],
      );
      return folder;
    },
    run: (folder, killAt) =>
      byServer(folder, killAt, {
        from: 'start',
        // Begun again after it was done, there is nothing to tell.
        work: (house) => until(house, () => isTidy(folder) || house.said.includes('Tidied away')),
      }),
  },
];
