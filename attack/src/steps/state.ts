import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Driver from 'better-sqlite3';

/** What a folder holds, read past the server: its shelf, and what each of its backups holds. */
export interface State {
  readonly shelf: string;
  readonly backups: readonly string[];
}

/** Nothing was put there yet, or not even a table to put it into. */
export const EMPTY = '[]';

const hash = (text: string | Buffer): string => createHash('sha256').update(text).digest('hex').slice(0, 12);

/**
 * Every quilt with all that belongs to it, as one text: by what is in it and not by ids or hours, which differ each time.
 *
 * @throws where the file cannot be read, or does not hold together
 */
function shelfIn(file: string): string {
  const database = new Driver(file);
  try {
    if (database.pragma('quick_check(1)', { simple: true }) !== 'ok') throw new Error('damaged');
    const tables = new Set(
      database.prepare("select name from sqlite_master where type = 'table'").pluck().all(),
    );
    const rows = <Row>(table: string, sql: string, ...bindings: unknown[]): Row[] =>
      tables.has(table) ? (database.prepare(sql).all(...bindings) as Row[]) : [];
    const log = (whose: string) =>
      rows<{ kind: string }>(
        'log_entries',
        'select kind from log_entries where quilt = ? order by seq',
        whose,
      ).map(({ kind }) => kind);
    const quilts = rows<{ id: string; plan: string; removed_at: string | null }>(
      'quilts',
      'select id, plan, removed_at from quilts',
    ).map(({ id, plan, removed_at: off }) => ({
      plan: hash(plan),
      off: off !== null,
      log: log(id),
      versions: rows<{ name: string | null; plan: string }>(
        'snapshots',
        'select name, plan from snapshots where quilt = ? order by made_at, id',
        id,
      ).map((version) => `${version.name ?? 'by the day'} ${hash(version.plan)}`),
      pictures: [...plan.matchAll(/"picture":"([0-9a-z-]+)"/g)].map(
        ([, picture]) =>
          `${picture} ${rows('pictures', 'select 1 from pictures where id = ?', picture).length}`,
      ),
    }));
    const all = quilts.map((quilt) => JSON.stringify(quilt)).sort();
    const stash = log('stash').length;
    return JSON.stringify(stash > 0 ? [...all, `stash ${stash}`] : all);
  } finally {
    database.close();
  }
}

/** Reads what lies in a folder, in a copy: what is written ahead stays so. A file that cannot be read says so. */
export function stateOf(folder: string): State {
  const copy = mkdtempSync(path.join(tmpdir(), 'lattice-state-'));
  cpSync(folder, copy, { recursive: true });
  const read = (file: string): string => {
    try {
      return shelfIn(file);
    } catch (error) {
      return `cannot be read: ${(error as Error).message}`;
    }
  };
  const database = path.join(copy, 'lattice.sqlite');
  const kept = path.join(copy, 'backups');
  const backups = existsSync(kept) ? readdirSync(kept).filter((name) => name.endsWith('.sqlite')) : [];
  const state = {
    shelf: existsSync(database) ? read(database) : EMPTY,
    backups: backups.map((name) => `${name.replace(/-?\d.*/, '')}: ${read(path.join(kept, name))}`),
  };
  rmSync(copy, { recursive: true, force: true });
  return state;
}
