import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { startPlan } from '@lattice/core';
import { type Attack, Found } from './attack.ts';
import { House } from './house.ts';
import { until } from './steps/deed.ts';

const DAY_MS = 24 * 3600 * 1000;
/** Days the clock goes wrong by, one start after another: set back, put right, far ahead, far back, right again. */
const DAYS = [0, -3, 0, 40, -400, 0] as const;

const SHIFTED = path.join(import.meta.dirname, 'shifted.mjs');
const QUILT = 'quilt-of-all-days';

const backupsIn = (folder: string): string[] => {
  const kept = path.join(folder, 'backups');
  return existsSync(kept) ? readdirSync(kept).filter((name) => name.endsWith('.sqlite')) : [];
};

/** Tidying begins so long after a start, in ms. */
const TIDIES_MS = 3_500;

interface Start {
  readonly days: number;
  readonly revision: number;
  /** It goes on until it has tidied. */
  readonly tidies: boolean;
}

/** One start under a clock that is wrong: it saves, lists, logs and backs up, and what was there is there. */
async function day(folder: string, { days, revision, tidies }: Start, found: Found): Promise<void> {
  const before = backupsIn(folder);
  const house = new House(folder, [], {
    node: ['--import', SHIFTED],
    env: { CLOCK_SHIFT_MS: String(days * DAY_MS) },
  });
  await house.start();
  const title = `saved with the clock ${days} days off`;
  const plan = { ...startPlan('sashed-sampler'), title };
  const saved = await house.send('PUT', `/api/quilts/${QUILT}`, { revision, plan });
  found.unless(saved.status === 200, `${title}: answered with ${saved.status}`);
  const read = JSON.parse((await house.ask('GET', `/api/quilts/${QUILT}`)).text) as {
    revision: number;
    plan: { title: string };
  };
  found.unless(read.revision === revision + 1 && read.plan.title === title, `${title}: it is not there`);
  const entry = {
    ...{
      id: `entry-of-day-${revision}`,
      quilt: QUILT,
      at: new Date().toISOString(),
      kind: 'booking-cancelled',
    },
    body: { number: `LA-${revision}` },
  };
  await house.send('POST', '/api/log', { entries: [entry] });
  const log = JSON.parse((await house.ask('GET', `/api/log?since=0&quilt=${QUILT}`)).text) as {
    entries: { id: string }[];
  };
  const expected = Array.from({ length: revision }, (_, i) => `entry-of-day-${i + 1}`).join();
  const heard = log.entries.map(({ id }) => id).join();
  found.unless(heard === expected, `${title}: the log says ${heard}`);
  const day = new Date(Date.now() + days * DAY_MS).toISOString().slice(0, 10);
  await until(house, () => backupsIn(folder).includes(`daily-${day}.sqlite`));
  const gone = before.filter((name) => !backupsIn(folder).includes(name));
  found.unless(gone.length === 0, `${title}: backups are gone: ${gone.join()}`);
  if (tidies) await wait(TIDIES_MS);
  const { total } = JSON.parse((await house.ask('GET', '/api/quilts')).text) as { total: number };
  found.unless(total === 2, `${title}: ${total} of 2 quilts are on the shelf`);
  await house.end();
}

export const clock: Attack = {
  name: 'clock',
  says: 'the clock goes back by days and by a year, and ahead: what is saved is there, the log in its order, no backup and no quilt goes',
  usual: DAYS.length,
  async run({ rounds }) {
    const found = new Found();
    const house = await new House().start();
    for (const id of [QUILT, 'another-quilt'])
      await house.send('POST', '/api/quilts', { id, plan: startPlan('sashed-sampler') });
    await house.end();
    const tidies = rounds >= DAYS.length;
    for (const [i, days] of DAYS.slice(0, rounds).entries())
      await day(house.folder, { days, revision: i + 1, tidies }, found);
    await house.clear();
    return { figures: { starts: Math.min(rounds, DAYS.length) }, found: found.lines() };
  },
};
