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

  /** Deletes pictures made before a moment that no quilt names, whether on the shelf or taken off it; answers how many. */
  sweep(before: string): Promise<number> {
    return this.knex<PictureRow>('pictures')
      .where('created_at', '<', before)
      .whereNotExists(
        this.knex('quilts').select(this.knex.raw('1')).whereRaw('instr(quilts.plan, pictures.id) > 0'),
      )
      .delete();
  }
}
