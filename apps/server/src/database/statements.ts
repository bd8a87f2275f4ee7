import type Driver from 'better-sqlite3';
import type { Knex } from 'knex';

/** The most statements that are kept ready; there are a few dozen. */
const MOST_KEPT = 200;

/**
 * Runs what Knex builds, at once and by statements that are made ready once: for what is asked for all day. Nothing comes
 * between two of them that are run without waiting, so transactions here are never interleaved; no transaction that
 * waits (`knex.transaction`) may be open on the connection they share.
 */
export class Statements {
  private readonly ready = new Map<string, Driver.Statement>();

  constructor(private readonly driver: Driver.Database) {}

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
