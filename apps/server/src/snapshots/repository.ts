import type { Database } from '../database/open.ts';
import type { Built } from '../database/statements.ts';

/** How a quilt was; `name` is null for one that was kept by the day. */
export interface SnapshotRow {
  readonly id: string;
  readonly quilt: string;
  readonly name: string | null;
  readonly plan: string;
  readonly made_at: string;
}

/** A snapshot as it is listed: without its plan. */
export type ListedSnapshot = Pick<SnapshotRow, 'id' | 'name' | 'made_at'>;

/** Snapshots by the day that are kept of each quilt; named ones are kept until they are let go. */
const DAYS_KEPT = 14;

/** The only place that speaks SQL about snapshots. */
export class SnapshotRepository {
  private built: Built | null = null;

  constructor(private readonly database: Pick<Database, 'knex' | 'statements'>) {}

  private get snapshots() {
    return this.database.knex<SnapshotRow>('snapshots');
  }

  /** Of a quilt, latest first. */
  async list(quilt: string): Promise<ListedSnapshot[]> {
    return this.database.statements.all(
      this.snapshots
        .where({ quilt })
        .select('id', 'name', 'made_at')
        .orderBy([{ column: 'made_at', order: 'desc' }, { column: 'id' }]),
    );
  }

  async find(quilt: string, id: string): Promise<SnapshotRow | undefined> {
    return this.database.statements.first(this.snapshots.where({ quilt, id }).limit(1));
  }

  /** Adds one; one that is there under its id already stays. */
  async insert(row: SnapshotRow): Promise<void> {
    this.insertNow(row);
  }

  private insertNow(row: SnapshotRow): void {
    this.database.statements.run(this.snapshots.insert(row).onConflict('id').ignore());
  }

  async drop(quilt: string, id: string): Promise<boolean> {
    return this.database.statements.run(this.snapshots.where({ quilt, id }).delete()) === 1;
  }

  /**
   * Keeps the quilt as it was when a day ended: what it was last saved as before `today`, if it was. Without waiting:
   * inside the transaction of what is saved over it.
   */
  keepDayNow(quilt: string, today: string, id: string): void {
    const row = this.evening.first<{ plan: string; updated_at: string }>(quilt, today);
    if (!row) return;
    this.insertNow({ id, quilt, name: null, plan: row.plan, made_at: row.updated_at });
    const { statements } = this.database;
    const days = statements.all<{ id: string }>(
      this.snapshots.where({ quilt }).whereNull('name').select('id').orderBy('made_at', 'desc'),
    );
    for (const old of days.slice(DAYS_KEPT))
      statements.run(this.snapshots.where({ quilt, id: old.id }).delete());
  }

  /** A quilt as it was last saved before a day; built when it is needed, asked at every save. */
  private get evening(): Built {
    const { knex, statements } = this.database;
    return (this.built ??= statements.built(
      knex('quilts').whereRaw('id = ? and updated_at < ?', ['', '']).select('plan', 'updated_at'),
    ));
  }
}
