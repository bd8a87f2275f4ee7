import type Driver from 'better-sqlite3';
import type { Knex } from 'knex';

/** The most statements that are kept ready; there are a few dozen. */
const MOST_KEPT = 200;

/** A query that is built once; building takes longer than asking. */
export interface Built {
  first<Row>(...bindings: readonly unknown[]): Row | undefined;
  /** Writes; answers how many rows it changed. */
  run(...bindings: readonly unknown[]): number;
}

/** Somebody who waits for a write. */
interface Waiting {
  readonly work: () => unknown;
  readonly resolve: (value: unknown) => void;
  readonly reject: (error: unknown) => void;
}

/**
 * Runs what Knex builds, at once and by statements that are made ready once: for what is asked for all day. Nothing comes
 * between two of them that are run without waiting, so transactions here are never interleaved; no transaction that
 * waits (`knex.transaction`) may be open on the connection they share.
 */
export class Statements {
  private readonly ready = new Map<string, Driver.Statement>();
  /** Rows this connection has changed so far; and a number that changes with what others change (SQLite's own words). */
  private readonly own: Driver.Statement;
  private readonly others: Driver.Statement;
  private readonly waiting: Waiting[] = [];

  constructor(private readonly driver: Driver.Database) {
    this.own = driver.prepare('select total_changes()').pluck();
    this.others = driver.prepare('pragma data_version').pluck();
  }

  /** A text that is another one as soon as anything in the database has changed. */
  state(): string {
    return `${this.own.get()} ${this.others.get()}`;
  }

  /** Builds a query that is asked again and again with other bindings, in its own order of them. */
  built(query: Knex.QueryBuilder): Built {
    const { statement } = this.prepare(query);
    return {
      first: <Row>(...bindings: readonly unknown[]) => statement.get(...bindings) as Row | undefined,
      run: (...bindings) => statement.run(...bindings).changes,
    };
  }

  all<Row>(query: Knex.QueryBuilder): Row[] {
    const { statement, bindings } = this.prepare(query);
    return statement.all(...bindings) as Row[];
  }

  first<Row>(query: Knex.QueryBuilder): Row | undefined {
    const { statement, bindings } = this.prepare(query);
    return statement.get(...bindings) as Row | undefined;
  }

  /** Writes; answers how many rows it changed. */
  run(query: Knex.QueryBuilder): number {
    const { statement, bindings } = this.prepare(query);
    return statement.run(...bindings).changes;
  }

  /** Several writes at once: all or none. */
  together<T>(work: () => T): T {
    return this.driver.transaction(work).immediate();
  }

  /**
   * Writes in a moment, with whatever others have asked for until then: the disk is waited for once, and not once for
   * each. Each is all or none by itself, and known to be done only when it is on the disk.
   *
   * @throws what `work` throws; or why nothing could be written at all, to each who waits
   */
  soon<T>(work: () => T): Promise<T> {
    return new Promise((resolve, reject) => {
      this.waiting.push({ work, resolve: resolve as (value: unknown) => void, reject });
      if (this.waiting.length === 1) setImmediate(() => this.writeWaiting());
    });
  }

  private writeWaiting(): void {
    const group = this.waiting.splice(0);
    const answers: (() => void)[] = [];
    try {
      this.together(() => {
        for (const one of group) answers.push(this.done(one));
      });
    } catch (error) {
      // Nothing of it is on the disk, whatever was done on the way.
      for (const { reject } of group) reject(error);
      return;
    }
    for (const answer of answers) answer();
  }

  /** Does one of a group; how it is answered once all of it is on the disk. @throws where the whole group is undone */
  private done({ work, resolve, reject }: Waiting): () => void {
    try {
      const value = this.driver.transaction(work)();
      return () => resolve(value);
    } catch (error) {
      // A full disk takes the whole of it back, not this part alone.
      if (!this.driver.inTransaction) throw error;
      return () => reject(error);
    }
  }

  private prepare(query: Knex.QueryBuilder): { statement: Driver.Statement; bindings: readonly unknown[] } {
    const { sql, bindings } = query.toSQL().toNative();
    let statement = this.ready.get(sql);
    if (!statement) {
      if (this.ready.size >= MOST_KEPT) this.ready.clear();
      statement = this.driver.prepare(sql);
      this.ready.set(sql, statement);
    }
    return { statement, bindings };
  }
}
