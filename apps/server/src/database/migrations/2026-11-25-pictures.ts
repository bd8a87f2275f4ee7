import type { Knex } from 'knex';

/** Pictures of blocks, small and re-encoded, kept with the quilts so that one file holds all. */
export const name = '2026-11-25-pictures';

export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('pictures', (table) => {
    table.text('id').primary();
    table.binary('bytes').notNullable();
    table.text('created_at').notNullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('pictures');
}
