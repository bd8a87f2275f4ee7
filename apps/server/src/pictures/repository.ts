import type { Knex } from 'knex';

interface PictureRow {
  readonly id: string;
  readonly bytes: Buffer;
  readonly created_at: string;
}

/** The only place that speaks SQL about pictures. */
export class PictureRepository {
  constructor(private readonly knex: Knex) {}

  async insert(row: PictureRow): Promise<void> {
    await this.knex<PictureRow>('pictures').insert(row);
  }

  find(id: string): Promise<PictureRow | undefined> {
    return this.knex<PictureRow>('pictures').where({ id }).first();
  }
}
