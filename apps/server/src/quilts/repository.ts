import type { QueryRead } from '@lattice/contract';
import { TAGS } from '../database/migrations/2026-12-01-shelf-indexes.ts';
import type { Database } from '../database/open.ts';
import type { Built } from '../database/statements.ts';

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
export type ListedRow = Pick<
  QuiltRow,
  'id' | 'revision' | 'card' | 'title' | 'saved_by' | 'updated_at' | 'created_at' | 'removed_at'
>;

/** Which quilts of the shelf are wanted. */
export interface Asked {
  /** Those that come after this one: what it is sorted by, and its id; null for the first. */
  readonly after: { readonly by: string; readonly id: string } | null;
  readonly count: number;
  readonly sort: Sort;
  /** Which of them. */
  readonly narrow: Narrow;
}

/** Which quilts: with words in their name or a tag, at a stage, with a tag; empty for all. */
export interface Narrow {
  readonly words: string;
  readonly stage: string;
  readonly tag: string;
}

/** What a list is sorted by: the column, and whether the greatest comes first. */
export const SORTS = {
  recent: { column: 'updated_at', direction: 'desc' },
  newest: { column: 'created_at', direction: 'desc' },
  name: { column: 'title', direction: 'asc' },
} as const satisfies Record<Sort, { column: string; direction: 'asc' | 'desc' }>;
type Sort = QueryRead<'listQuilts'>['sort'];

/** What a write changes. */
export type Written = Pick<QuiltRow, 'plan' | 'title' | 'card' | 'saved_by' | 'updated_at'>;

const LISTED = [
  'id',
  'revision',
  'card',
  'title',
  'saved_by',
  'updated_at',
  'created_at',
  'removed_at',
] as const;

/** A card to be looked into: one that is damaged has nothing, and is no fault of the others. */
const CARD = 'case when json_valid(quilts.card) then quilts.card end';

/** Part of a text, however it is written, for `like`. */
const within = (words: string): string => `%${words.replace(/[\\%_]/g, '\\$&')}%`;

/** The only place that speaks SQL about quilts. */
export class QuiltRepository {
  /** One quilt on the shelf: asked for at every opening and every save. */
  private readonly byId: Built;

  constructor(private readonly database: Pick<Database, 'knex' | 'statements'>) {
    this.byId = database.statements.built(this.quilts.whereRaw('id = ?', '').whereNull('removed_at'));
  }

  /** Another text as soon as anything has changed that an answer could be made of. */
  state(): string {
    return this.database.statements.state();
  }

  private get quilts() {
    return this.database.knex<QuiltRow>('quilts');
  }

  /** Quilts on the shelf, in the order asked for. */
  async list({ after, count, sort, narrow }: Asked): Promise<ListedRow[]> {
    const { column, direction } = SORTS[sort];
    return this.database.statements.all(
      this.shelf(narrow)
        .modify((query) => {
          // In the order of the sort: the rest of what is alike, then what comes after.
          const beyond = direction === 'desc' ? '<' : '>';
          if (after) void query.whereRaw(`(${column}, id) ${beyond} (?, ?)`, [after.by, after.id]);
        })
        .select(...LISTED)
        .orderBy([
          { column, order: direction },
          { column: 'id', order: direction },
        ])
        .limit(count),
    );
  }

  /** Every quilt on the shelf by its name, and by nothing else: however many there are. */
  async names(): Promise<Pick<QuiltRow, 'id' | 'title'>[]> {
    return this.database.statements.all(
      this.quilts.whereNull('removed_at').select('id', 'title').orderBy(['title', 'id']),
    );
  }

  /** How many are on the shelf of those. */
  async total(narrow: Narrow): Promise<number> {
    return this.database.statements.first<{ n: number }>(this.shelf(narrow).count({ n: '*' }))!.n;
  }

  /** How many of the shelf cannot be read, by their cards. */
  unreadable(): number {
    return this.database.statements.first<{ n: number }>(
      this.quilts
        .whereNull('removed_at')
        .whereRaw(`json_extract(${CARD}, '$.unreadable') = 1`)
        .count({ n: '*' }),
    )!.n;
  }

  /** Every tag a quilt of the shelf has, in order. */
  async tags(): Promise<string[]> {
    const { knex, statements } = this.database;
    const rows = statements.all<{ tags: string | null }>(
      this.quilts.whereNull('removed_at').distinct(knex.raw(`${TAGS} as tags`)),
    );
    const tags = rows.flatMap(({ tags: text }) => (text === null ? [] : (JSON.parse(text) as unknown)));
    return [...new Set(tags.filter((tag): tag is string => typeof tag === 'string'))].sort();
  }

  /** Quilts that were taken off the shelf, the last first. */
  async removed(count: number): Promise<ListedRow[]> {
    return this.database.statements.all(
      this.quilts
        .whereNotNull('removed_at')
        .select(...LISTED)
        .orderBy('removed_at', 'desc')
        .limit(count),
    );
  }

  /** Quilts on the shelf that have no card yet. */
  async withoutCard(): Promise<ListedRow[]> {
    return this.database.statements.all(
      this.quilts
        .whereNull('removed_at')
        .whereNull('card')
        .select(...LISTED),
    );
  }

  private shelf({ words, stage, tag }: Narrow) {
    const ofTags = `exists (select 1 from json_each(${CARD}, '$.tags') as tag where tag.value`;
    return this.quilts.whereNull('removed_at').modify((query) => {
      if (words !== '')
        void query.whereRaw(`(title like ? escape '\\' or ${ofTags} like ? escape '\\'))`, [
          within(words),
          within(words),
        ]);
      if (stage !== '') void query.whereRaw(`json_extract(${CARD}, '$.at') = ?`, [stage]);
      if (tag !== '') void query.whereRaw(`${ofTags} = ?)`, [tag]);
    });
  }

  async find(id: string): Promise<QuiltRow | undefined> {
    return this.byId.first<QuiltRow>(id);
  }

  /** On the shelf or taken off it. */
  async findAnywhere(id: string): Promise<QuiltRow | undefined> {
    return this.database.statements.first(this.quilts.where({ id }).limit(1));
  }

  /** With what else is to be written with it, both or none. */
  async insert(row: QuiltRow, besides: () => void = () => undefined): Promise<void> {
    const { statements } = this.database;
    await statements.soon(() => {
      statements.run(this.quilts.insert(row));
      besides();
    });
  }

  /** Several at once, with what else is to be written with them, all or none. */
  async insertAll(rows: readonly QuiltRow[], besides: () => void = () => undefined): Promise<void> {
    const { statements } = this.database;
    statements.together(() => {
      for (const row of rows) statements.run(this.quilts.insert(row));
      besides();
    });
  }

  /**
   * Writes only over the revision given, in one statement; false when another write came first.
   *
   * @param first what is written before it, both or none
   */
  async replace(
    id: string,
    revision: number,
    written: Written,
    first: () => void = () => undefined,
  ): Promise<boolean> {
    const { statements } = this.database;
    const writing = this.quilts
      .where({ id, revision })
      .whereNull('removed_at')
      .update({ ...written, revision: revision + 1 });
    const changed = await statements.soon(() => {
      first();
      return statements.run(writing);
    });
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
