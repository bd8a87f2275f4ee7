import type { Knex } from 'knex';

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
  constructor(private readonly knex: Knex) {}

  /** Of a quilt, latest first. */
  list(quilt: string): Promise<ListedSnapshot[]> {
    return this.knex<SnapshotRow>('snapshots')
      .where({ quilt })
      .select('id', 'name', 'made_at')
      .orderBy([{ column: 'made_at', order: 'desc' }, { column: 'id' }]);
  }

  find(quilt: string, id: string): Promise<SnapshotRow | undefined> {
    return this.knex<SnapshotRow>('snapshots').where({ quilt, id }).first();
  }

  /** Adds one; one that is there under its id already stays. */
  async insert(row: SnapshotRow): Promise<void> {
    await this.knex<SnapshotRow>('snapshots').insert(row).onConflict('id').ignore();
  }

  async drop(quilt: string, id: string): Promise<boolean> {
    return (await this.knex<SnapshotRow>('snapshots').where({ quilt, id }).delete()) === 1;
  }

  /** Keeps the quilt as it was when a day ended: what it was last saved as before `today`, if it was. */
  async keepDay(quilt: string, today: string, id: string): Promise<void> {
    const row = await this.knex<{ id: string; plan: string; updated_at: string }>('quilts')
      .where({ id: quilt })
      .where('updated_at', '<', today)
      .first('plan', 'updated_at');
    if (!row) return;
    await this.insert({ id, quilt, name: null, plan: row.plan, made_at: row.updated_at });
    const days = await this.byDay(quilt).orderBy('made_at', 'desc');
    for (const old of days.slice(DAYS_KEPT)) await this.drop(quilt, old.id);
  }

  private byDay(quilt: string) {
    return this.knex<SnapshotRow>('snapshots').where({ quilt }).whereNull('name');
  }
}
