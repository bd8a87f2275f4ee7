import type { Knex } from 'knex';

/** Quilts, one row each: the plan as its open JSON document, and a revision that rises with every write. */
export const name = '2026-11-24-quilts';

export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('quilts', (table) => {
    table.text('id').primary();
    table.integer('revision').notNullable();
    table.text('plan').notNullable();
    table.text('created_at').notNullable();
    table.text('updated_at').notNullable();
    // A quilt taken off the shelf is kept, so that undo can put it back.
    table.text('removed_at');
    table.index(['removed_at', 'updated_at']);
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('quilts');
}
