import type { Knex } from 'knex';

/** A quilt as it lies in the database; `plan` is the text of a plan document. */
export interface QuiltRow {
  readonly id: string;
  readonly revision: number;
  readonly plan: string;
  readonly created_at: string;
  readonly updated_at: string;
  readonly removed_at: string | null;
}

/** The only place that speaks SQL about quilts. */
export class QuiltRepository {
  constructor(private readonly knex: Knex) {}

  /** Quilts on the shelf, last worked on first. */
  list(): Promise<QuiltRow[]> {
    return this.knex<QuiltRow>('quilts')
      .whereNull('removed_at')
      .orderBy([{ column: 'updated_at', order: 'desc' }, { column: 'id' }]);
  }

  find(id: string): Promise<QuiltRow | undefined> {
    return this.knex<QuiltRow>('quilts').where({ id }).whereNull('removed_at').first();
  }

  async insert(row: QuiltRow): Promise<void> {
    await this.knex<QuiltRow>('quilts').insert(row);
  }

  /** Writes only over the revision given, in one statement; false when another write came first. */
  async replace(id: string, revision: number, plan: string, updatedAt: string): Promise<boolean> {
    const changed = await this.knex<QuiltRow>('quilts')
      .where({ id, revision })
      .whereNull('removed_at')
      .update({ plan, revision: revision + 1, updated_at: updatedAt });
    return changed === 1;
  }

  /** Takes a quilt off the shelf (`at`) or puts it back (null); false when there is none. */
  async setRemoved(id: string, at: string | null): Promise<boolean> {
    return (await this.knex<QuiltRow>('quilts').where({ id }).update({ removed_at: at })) === 1;
  }

  async count(): Promise<number> {
    const [row] = await this.knex('quilts').count<{ n: number }[]>({ n: '*' });
    return Number(row?.n ?? 0);
  }
}
