import type { LogPage } from '@lattice/contract';
import { type LogEntry, LOG_BATCH, logEntrySchema } from '@lattice/core';
import type { Database } from '../database/open.ts';
import type { Built } from '../database/statements.ts';

/** An entry as it lies in the database; `body` is JSON, `seq` the order it arrived in. */
interface LogRow {
  readonly seq: number;
  readonly id: string;
  readonly quilt: string;
  readonly at: string;
  readonly kind: string;
  readonly body: string;
}

/** The only place that speaks SQL about the log. Entries are added and read, never changed. */
export class LogRepository {
  /** Rows that were asked for and could not be read, by their ids. */
  private readonly damaged = new Set<string>();

  private built: Built | null = null;

  constructor(private readonly database: Pick<Database, 'knex' | 'statements'>) {}

  /** Built when it is needed: a shelf of long ago that is open for reading only has no log. */
  private get adding(): Built {
    const row = { id: '', quilt: '', at: '', kind: '', body: '' };
    const query = this.knex('log_entries').insert(row).onConflict('id').ignore();
    return (this.built ??= this.database.statements.built(query));
  }

  /** How many entries were found that cannot be read any more, since the server started. */
  get unreadable(): number {
    return this.damaged.size;
  }

  private read(row: LogRow): LogEntry | null {
    const entry = entryFrom(row);
    if (entry === null) this.damaged.add(row.id);
    return entry;
  }

  private get knex() {
    return this.database.knex;
  }

  /** Adds entries; those that are there already stay as they are. Answers how many were new. */
  async add(entries: readonly LogEntry[]): Promise<number> {
    return entries.length === 0 ? 0 : this.database.statements.soon(() => this.addNow(entries));
  }

  /** The same without waiting: inside another transaction they are a part of it. */
  addNow(entries: readonly LogEntry[]): number {
    if (entries.length === 0) return 0;
    const { adding } = this;
    return this.database.statements.together(() =>
      entries.reduce(
        // In the alphabet's order of the columns, as Knex writes them.
        (added, { id, quilt, at, kind, body }) =>
          added + adding.run(at, JSON.stringify(body), id, kind, quilt),
        0,
      ),
    );
  }

  /** A page of what arrived after `since`, of one quilt or of all. */
  async since(since: number, quilt?: string): Promise<LogPage> {
    const rows = await this.knex<LogRow>('log_entries')
      .where('seq', '>', since)
      .modify((query) => {
        if (quilt !== undefined) void query.where({ quilt });
      })
      .orderBy('seq')
      .limit(LOG_BATCH + 1);
    const page = rows.slice(0, LOG_BATCH);
    const [last] = await this.knex('log_entries').max<{ seq: number | null }[]>({ seq: 'seq' });
    const entries = page.flatMap((row: LogRow) => this.read(row) ?? []);
    return {
      entries,
      unreadable: page.length - entries.length,
      latest: page.at(-1)?.seq ?? since,
      newest: last?.seq ?? 0,
      more: rows.length > LOG_BATCH,
    };
  }

  async find(id: string): Promise<LogEntry | null> {
    const row = await this.knex<LogRow>('log_entries').where({ id }).first();
    return row ? this.read(row) : null;
  }

  /** Every entry of these kinds, in the order they arrived. */
  async ofKinds(...kinds: readonly LogEntry['kind'][]): Promise<LogEntry[]> {
    const rows = await this.knex<LogRow>('log_entries').whereIn('kind', kinds).orderBy('seq');
    return rows.flatMap((row) => this.read(row) ?? []);
  }
}

/** An entry as it was written; null for a row that was damaged, or written by a later version. Each row stands for itself. */
function entryFrom({ id, quilt, at, kind, body }: LogRow): LogEntry | null {
  let said: unknown;
  try {
    said = JSON.parse(body);
  } catch {
    return null;
  }
  const read = logEntrySchema.safeParse({ id, quilt, at, kind, body: said });
  return read.success ? read.data : null;
}
