import type { Knex } from 'knex';

/**
 * What each page of the shelf asks for is read from an index, and not from every quilt anew: its tags, and what comes next
 * in each order, however many have been changed in the same moment.
 */
export const name = '2026-12-01-shelf-indexes';

/** The same words as where tags are asked for, or SQLite does not see that it has them. */
export const TAGS = "case when json_valid(card) then card -> '$.tags' end";

const ORDERS = ['updated_at', 'created_at', 'title'] as const;

export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('quilts', (table) => {
    table.dropIndex(['removed_at', 'updated_at']);
    for (const column of ORDERS) table.index(['removed_at', column, 'id']);
  });
  await knex.raw(`create index quilts_tags on quilts (removed_at, ${TAGS})`);
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop index quilts_tags');
  await knex.schema.alterTable('quilts', (table) => {
    for (const column of ORDERS) table.dropIndex(['removed_at', column, 'id']);
    table.index(['removed_at', 'updated_at']);
  });
}
