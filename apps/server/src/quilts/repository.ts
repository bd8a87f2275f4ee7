import type { Database } from '../database/open.ts';

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
  constructor(private readonly database: Pick<Database, 'knex' | 'statements'>) {}

  private get quilts() {
    return this.database.knex<QuiltRow>('quilts');
  }

  /** Quilts on the shelf, last worked on first. */
  async list({ after, count, words }: Asked): Promise<ListedRow[]> {
    return this.database.statements.all(
      this.shelf(words)
        .modify((query) => {
          // In the order of the index: the rest of a moment, then what is older.
          if (after) void query.whereRaw('(updated_at, id) < (?, ?)', [after.updatedAt, after.id]);
        })
        .select(...LISTED)
        .orderBy([
          { column: 'updated_at', order: 'desc' },
          { column: 'id', order: 'desc' },
        ])
        .limit(count),
    );
  }

  /** How many are on the shelf, of this name. */
  async total(words: string): Promise<number> {
    return this.database.statements.first<{ n: number }>(this.shelf(words).count({ n: '*' }))!.n;
  }

  private shelf(words: string) {
    return this.quilts.whereNull('removed_at').modify((query) => {
      if (words !== '')
        void query.whereRaw("title like ? escape '\\'", [`%${words.replace(/[\\%_]/g, '\\$&')}%`]);
    });
  }

  async find(id: string): Promise<QuiltRow | undefined> {
    return this.database.statements.first(this.quilts.where({ id }).whereNull('removed_at').limit(1));
  }

  async insert(row: QuiltRow): Promise<void> {
    this.database.statements.run(this.quilts.insert(row));
  }

  /** Several at once, all or none. */
  async insertAll(rows: readonly QuiltRow[]): Promise<void> {
    const { statements } = this.database;
    statements.together(() => rows.forEach((row) => statements.run(this.quilts.insert(row))));
  }

  /** Writes only over the revision given, in one statement; false when another write came first. */
  async replace(id: string, revision: number, written: Written): Promise<boolean> {
    const changed = this.database.statements.run(
      this.quilts
        .where({ id, revision })
        .whereNull('removed_at')
        .update({ ...written, revision: revision + 1 }),
    );
    return changed === 1;
  }

  /** Writes a card that was not there; of the revision it was made of only. */
  async setCard(id: string, revision: number, title: string, card: string): Promise<void> {
    this.database.statements.run(this.quilts.where({ id, revision }).update({ title, card }));
  }

  /** Takes a quilt off the shelf (`at`) or puts it back (null); false when there is none. */
  async setRemoved(id: string, at: string | null): Promise<boolean> {
    return this.database.statements.run(this.quilts.where({ id }).update({ removed_at: at })) === 1;
  }

  async count(): Promise<number> {
    return this.database.statements.first<{ n: number }>(this.quilts.count({ n: '*' }))!.n;
  }

  /**
   * Deletes quilts taken off the shelf before a moment, with their snapshots; answers how many. What the log says of
   * them happened, and stays.
   */
  async purge(before: string): Promise<number> {
    const { knex, statements } = this.database;
    const gone = statements.all<{ id: string }>(this.quilts.where('removed_at', '<', before).select('id'));
    for (const { id } of gone)
      statements.together(() => {
        statements.run(knex('snapshots').where({ quilt: id }).delete());
        statements.run(this.quilts.where({ id }).delete());
      });
    return gone.length;
  }
}
