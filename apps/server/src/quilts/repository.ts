import type { Knex } from 'knex';

/** A quilt as it lies in the database; `plan` is the text of a plan document, `card` that of its card. */
export interface QuiltRow {
  readonly id: string;
  readonly revision: number;
  readonly plan: string;
  readonly title: string;
  /** Null until it is made. */
  readonly card: string | null;
  /** What the device calls itself that saved it last; empty where it did not say. */
  readonly saved_by: string;
  readonly created_at: string;
  readonly updated_at: string;
  readonly removed_at: string | null;
}

/** A quilt as it is listed: without its plan. */
export type ListedRow = Pick<QuiltRow, 'id' | 'revision' | 'card' | 'title' | 'saved_by' | 'updated_at'>;

/** Which quilts of the shelf are wanted. */
export interface Asked {
  /** Those that come after this one; null for the first. */
  readonly after: { readonly updatedAt: string; readonly id: string } | null;
  readonly count: number;
  /** In their name; empty for all. */
  readonly words: string;
}

/** What a write changes. */
export type Written = Pick<QuiltRow, 'plan' | 'title' | 'card' | 'saved_by' | 'updated_at'>;

const LISTED = ['id', 'revision', 'card', 'title', 'saved_by', 'updated_at'] as const;

/** The only place that speaks SQL about quilts. */
export class QuiltRepository {
  constructor(private readonly knex: Knex) {}

  /** Quilts on the shelf, last worked on first. */
  list({ after, count, words }: Asked): Promise<ListedRow[]> {
    return this.shelf(words)
      .modify((query) => {
        // In the order of the index: the rest of a moment, then what is older.
        if (after) void query.whereRaw('(updated_at, id) < (?, ?)', [after.updatedAt, after.id]);
      })
      .select(...LISTED)
      .orderBy([
        { column: 'updated_at', order: 'desc' },
        { column: 'id', order: 'desc' },
      ])
      .limit(count);
  }

  /** How many are on the shelf, of this name. */
  async total(words: string): Promise<number> {
    const [row] = await this.shelf(words).count<{ n: number }[]>({ n: '*' });
    return Number(row?.n ?? 0);
  }

  private shelf(words: string) {
    return this.knex<QuiltRow>('quilts')
      .whereNull('removed_at')
      .modify((query) => {
        if (words !== '')
          void query.whereRaw("title like ? escape '\\'", [`%${words.replace(/[\\%_]/g, '\\$&')}%`]);
      });
  }

  find(id: string): Promise<QuiltRow | undefined> {
    return this.knex<QuiltRow>('quilts').where({ id }).whereNull('removed_at').first();
  }

  async insert(row: QuiltRow): Promise<void> {
    await this.knex<QuiltRow>('quilts').insert(row);
  }

  /** Several at once, all or none. */
  async insertAll(rows: readonly QuiltRow[]): Promise<void> {
    await this.knex.transaction(async (all) => {
      for (const row of rows) await all<QuiltRow>('quilts').insert(row);
    });
  }

  /** Writes only over the revision given, in one statement; false when another write came first. */
  async replace(id: string, revision: number, written: Written): Promise<boolean> {
    const changed = await this.knex<QuiltRow>('quilts')
      .where({ id, revision })
      .whereNull('removed_at')
      .update({ ...written, revision: revision + 1 });
    return changed === 1;
  }

  /** Writes a card that was not there; of the revision it was made of only. */
  async setCard(id: string, revision: number, title: string, card: string): Promise<void> {
    await this.knex<QuiltRow>('quilts').where({ id, revision }).update({ title, card });
  }

  /** Takes a quilt off the shelf (`at`) or puts it back (null); false when there is none. */
  async setRemoved(id: string, at: string | null): Promise<boolean> {
    return (await this.knex<QuiltRow>('quilts').where({ id }).update({ removed_at: at })) === 1;
  }

  async count(): Promise<number> {
    const [row] = await this.knex('quilts').count<{ n: number }[]>({ n: '*' });
    return Number(row?.n ?? 0);
  }

  /**
   * Deletes quilts taken off the shelf before a moment, with their snapshots; answers how many. What the log says of
   * them happened, and stays.
   */
  async purge(before: string): Promise<number> {
    const gone: string[] = await this.knex('quilts').where('removed_at', '<', before).pluck('id');
    for (const id of gone)
      await this.knex.transaction(async (all) => {
        await all('snapshots').where({ quilt: id }).delete();
        await all('quilts').where({ id }).delete();
      });
    return gone.length;
  }
}
