import process from 'node:process';
import { computeQuilt, type LogEntry, type Plan } from '@lattice/core';
import { takeaway, take, type Taken, type TakeJob } from '@lattice/export';
import { ON_NODE } from '@lattice/export/node';

/** What is to be made of a quilt. */
export interface Order extends Pick<TakeJob, 'id' | 'paper' | 'comma' | 'made'> {
  readonly plan: Plan;
  readonly log: readonly LogEntry[];
  readonly to: string;
  readonly what: string | undefined;
}

/** What the bindery tells this process: an order, or a picture it asked for. */
export type Told =
  | { readonly number: number; readonly order: Order }
  | { readonly number: number; readonly picture: string; readonly bytes: Uint8Array | null };

/** What this process tells the bindery: it needs a picture, it is done, or it could not do it. */
export type Tells =
  | { readonly number: number; readonly asksFor: string }
  | { readonly number: number; readonly taken: Taken }
  | { readonly number: number; readonly failed: string };

const tell = (said: Tells) => process.send!(said);
const asked = new Map<string, (bytes: Uint8Array | null) => void>();

async function make(number: number, order: Order): Promise<void> {
  const { plan, to, what, ...rest } = order;
  const picture = (id: string) =>
    new Promise<Uint8Array | null>((resolve) => {
      asked.set(`${number} ${id}`, resolve);
      tell({ number, asksFor: id });
    });
  try {
    const job: TakeJob = { ...rest, ...ON_NODE, plan, quilt: computeQuilt(plan), picture };
    tell({ number, taken: await take(takeaway(to, what)!, job) });
  } catch (error) {
    tell({ number, failed: (error as Error).stack ?? String(error) });
  }
}

process.on('message', (told: Told) => {
  if ('order' in told) return void make(told.number, told.order);
  const key = `${told.number} ${told.picture}`;
  asked.get(key)?.(told.bytes);
  asked.delete(key);
});
process.on('disconnect', () => process.exit());
