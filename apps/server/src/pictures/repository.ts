import type { Knex } from 'knex';

interface PictureRow {
  readonly id: string;
  readonly bytes: Buffer;
  readonly created_at: string;
}

/** Entries of the log that may name pictures. */
const NAMING_KINDS = ['stash-put', 'noted'];

/** Tables whose rows may name pictures, and where in a row. */
const NAMING = { quilts: 'plan', snapshots: 'plan', log_entries: 'body' } as const;
type Source = keyof typeof NAMING;

/** The only place that speaks SQL about pictures. */
export class PictureRepository {
  constructor(private readonly knex: Knex) {}

  /** Adds a picture; one that is there under its id already stays: it was sent again. */
  async insert(row: PictureRow): Promise<void> {
    await this.knex<PictureRow>('pictures').insert(row).onConflict('id').ignore();
  }

  find(id: string): Promise<PictureRow | undefined> {
    return this.knex<PictureRow>('pictures').where({ id }).first();
  }

  /** Ids of pictures made before a moment. */
  async madeBefore(moment: string): Promise<string[]> {
    return this.knex<PictureRow>('pictures').where('created_at', '<', moment).pluck('id');
  }

  async delete(id: string): Promise<void> {
    await this.knex<PictureRow>('pictures').where({ id }).delete();
  }

  /** Where pictures are named: plans, plans as they once were, cloth put into the stash, and notes. */
  readonly sources = Object.keys(NAMING) as readonly Source[];

  /** Ids of what is kept there. */
  namingIn(source: Source): Promise<string[]> {
    const rows = this.knex(source);
    return (source === 'log_entries' ? rows.whereIn('kind', NAMING_KINDS) : rows).pluck('id');
  }

  /** The text that may name pictures; empty when it has gone. */
  async namingText(source: Source, id: string): Promise<string> {
    const column = NAMING[source];
    const row: Record<string, string> | undefined = await this.knex(source).where({ id }).first(column);
    return row?.[column] ?? '';
  }
}
