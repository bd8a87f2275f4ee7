import { rmSync } from 'node:fs';
import path from 'node:path';
import Driver from 'better-sqlite3';
import { type Attack, below, Found, oneOf } from './attack.ts';
import { bendBytes } from './bend.ts';
import { House } from './house.ts';
import { copyOf } from './steps/deed.ts';
import { used } from './steps/used.ts';

/** Where a row may be damaged, and which row. */
const PLACES = [
  ['quilts', 'plan'],
  ['quilts', 'card'],
  ['quilts', 'title'],
  ['quilts', 'updated_at'],
  ['log_entries', 'body'],
  ['log_entries', 'kind'],
  ['log_entries', 'at'],
  ['snapshots', 'plan'],
  ['snapshots', 'name'],
  ['pictures', 'bytes'],
] as const;

/** Bends one field of one row, past the server. Answers the id of the quilt it belongs to; empty for none. */
function damageOne(folder: string, random: () => number): { where: string; quilt: string } {
  const [table, column] = oneOf(random, PLACES);
  const database = new Driver(path.join(folder, 'lattice.sqlite'));
  const rows = database.prepare(`select rowid, * from ${table}`).all() as Record<string, unknown>[];
  const row = rows[below(random, rows.length)]!;
  const had = row[column];
  const bytes = Buffer.isBuffer(had) ? had : Buffer.from(String(had ?? ''));
  const bent = bendBytes(random, bytes);
  database
    .prepare(`update ${table} set ${column} = ? where rowid = ?`)
    .run(Buffer.isBuffer(had) ? bent : bent.toString('utf8'), row['rowid']);
  database.close();
  return { where: `${table}.${column}`, quilt: table === 'quilts' ? String(row['id']) : '' };
}

/** Everything that reads rows, of a shelf of three. */
const READING = [
  '/api/quilts',
  '/api/quilts?words=o',
  '/api/quilts?sort=name',
  '/api/log?since=0',
  '/api/numbers',
  '/api/shelf.zip',
];

export const rows: Attack = {
  name: 'rows',
  says: 'one field of one row bent, anywhere in the database: it starts, that row is itself alone, everything else is read and saved',
  usual: 200,
  async run({ rounds, random }) {
    const found = new Found();
    const template = await used();
    for (let i = 0; i < rounds; i++) {
      const folder = copyOf(template);
      const { where, quilt } = damageOne(folder, random);
      const house = new House(folder);
      try {
        await house.start();
        for (const address of READING) {
          const { status } = await house.ask('GET', address);
          found.unless(status === 200, `${where} bent: ${address} is answered with ${status}`);
        }
        for (const id of ['quilt-one', 'quilt-two', 'quilt-three']) {
          const { status } = await house.ask('GET', `/api/quilts/${id}`);
          const proper = id === quilt ? status < 500 : status === 200;
          found.unless(
            proper,
            `${where} bent: ${id === quilt ? 'its quilt' : 'another quilt'} is answered with ${status}`,
          );
          const versions = await house.ask('GET', `/api/quilts/${id}/snapshots`);
          found.unless(
            versions.status === 200,
            `${where} bent: versions are answered with ${versions.status}`,
          );
        }
        const version = await house.ask('GET', '/api/quilts/quilt-one/snapshots/version-one');
        found.unless(version.status < 500, `${where} bent: the version is answered with ${version.status}`);
      } catch (error) {
        found.add(`${where} bent: it does not start: ${(error as Error).message.slice(0, 120)}`);
      }
      await house.clear();
    }
    rmSync(template, { recursive: true, force: true });
    return { figures: { rows: rounds }, found: found.lines() };
  },
};
