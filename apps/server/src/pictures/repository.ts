import type { Knex } from 'knex';

interface PictureRow {
  readonly id: string;
  readonly bytes: Buffer;
  readonly created_at: string;
}

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

  /** Where plans are kept that may name pictures. */
  readonly sources = ['quilts', 'snapshots'] as const;

  /** Ids of what is kept there. */
  plansIn(source: 'quilts' | 'snapshots'): Promise<string[]> {
    return this.knex(source).pluck('id');
  }

  /** The text of a plan that is kept there; empty when it has gone. */
  async planText(source: 'quilts' | 'snapshots', id: string): Promise<string> {
    const row = await this.knex<{ id: string; plan: string }>(source).where({ id }).first('plan');
    return row?.plan ?? '';
  }
}
