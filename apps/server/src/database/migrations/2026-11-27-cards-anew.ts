import type { Knex } from 'knex';

/** Cards learnt tags and the measured size: each is made anew when it is next asked for. */
export const name = '2026-11-27-cards-anew';

export async function up(knex: Knex): Promise<void> {
  await knex('quilts').update({ card: null });
}

export async function down(knex: Knex): Promise<void> {
  await knex('quilts').update({ card: null });
}
