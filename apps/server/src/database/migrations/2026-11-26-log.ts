import { bookingInOldPlan } from '@lattice/core';
import type { Knex } from 'knex';

/**
 * The log: what happened, entry by entry, apart from the plans. Entries are added and never changed; `seq` is the
 * order they arrived in, so that a device can ask for what it has not heard of. Bookings, which older plans carried,
 * move here.
 */
export const name = '2026-11-26-log';

export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('log_entries', (table) => {
    table.increments('seq');
    table.text('id').notNullable().unique();
    table.text('quilt').notNullable();
    table.text('at').notNullable();
    table.text('kind').notNullable();
    table.text('body').notNullable();
    table.index(['quilt', 'seq']);
  });
  const quilts = await knex<{ id: string; plan: string; updated_at: string }>('quilts');
  for (const { id, plan, updated_at } of quilts) {
    const booking = bookingInOldPlan(readAsJson(plan));
    if (!booking) continue;
    await knex('log_entries').insert({
      id: `moved-${id}`.slice(0, 64),
      quilt: id,
      at: updated_at,
      kind: 'booked',
      body: JSON.stringify(booking),
    });
  }
}

/** A plan that was cut short has no booking, and keeps nobody from starting. */
function readAsJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('log_entries');
}
