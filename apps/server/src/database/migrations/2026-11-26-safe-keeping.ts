import type { Knex } from 'knex';

/**
 * What the shelf shows of a quilt, made when it is saved, so that a list reads no plans; who saved it last; and
 * snapshots: how a quilt was, by a name the quilter gave it or by the day.
 */
export const name = '2026-11-26-safe-keeping';

export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('quilts', (table) => {
    // JSON of a card; null until the quilt is next listed, or saved.
    table.text('card');
    table.text('title').notNullable().defaultTo('');
    table.text('saved_by').notNullable().defaultTo('');
  });
  await knex.schema.createTable('snapshots', (table) => {
    table.text('id').primary();
    table.text('quilt').notNullable();
    // Null for one that was kept by the day.
    table.text('name');
    table.text('plan').notNullable();
    table.text('made_at').notNullable();
    table.index(['quilt', 'made_at']);
  });
  await knex.schema.createTable('links', (table) => {
    table.text('id').primary();
    table.text('name').notNullable();
    // 'view' or 'edit'.
    table.text('may').notNullable();
    // The secret itself is in the link only.
    table.text('secret_hash').notNullable();
    table.text('made_at').notNullable();
    table.text('taken_back_at');
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('links');
  await knex.schema.dropTable('snapshots');
  await knex.schema.alterTable('quilts', (table) => {
    table.dropColumns('card', 'title', 'saved_by');
  });
}
