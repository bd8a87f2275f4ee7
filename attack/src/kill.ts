import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { type Random, startPlan } from '@lattice/core';
import { type Attack, below, Found } from './attack.ts';
import { House } from './house.ts';

/** What a writer was told is saved, and what it had asked for beyond that. */
interface Writer {
  readonly id: string;
  revision: number;
  title: string;
  asked: string;
}

const WRITERS = 4;
/** Kills come within this long of the first write, in ms. */
const WITHIN = 400;

/** Saves one after another until the server is gone. */
async function write(house: House, writer: Writer, entries: Set<string>, n: { writes: number }) {
  try {
    for (;;) {
      writer.asked = `${writer.id.slice(0, 8)} ${writer.revision + 1}`;
      const plan = { ...startPlan('sashed-sampler'), title: writer.asked };
      const saved = await house.send('PUT', `/api/quilts/${writer.id}`, { revision: writer.revision, plan });
      if (saved.status !== 200) return;
      writer.revision++;
      writer.title = writer.asked;
      n.writes++;
      const entry = {
        id: randomUUID(),
        quilt: writer.id,
        at: new Date().toISOString(),
        kind: 'booking-cancelled',
        body: { number: `LA-${writer.revision}` },
      };
      const logged = await house.send('POST', '/api/log', { entries: [entry] });
      if (logged.status === 200) entries.add(entry.id);
    }
  } catch {
    // The connection broke: the server was killed, as it should be.
  }
}

async function check(house: House, writers: readonly Writer[], entries: Set<string>, found: Found) {
  for (const writer of writers) {
    const { status, text } = await house.ask('GET', `/api/quilts/${writer.id}`);
    if (status !== 200) {
      found.add(`a saved quilt is not there after a kill: ${status}`);
      continue;
    }
    const { revision, plan } = JSON.parse(text) as { revision: number; plan: { title: string } };
    const asAcknowledged = revision === writer.revision && plan.title === writer.title;
    // What was on its way may have arrived, whole.
    const asAsked = revision === writer.revision + 1 && plan.title === writer.asked;
    found.unless(asAcknowledged || asAsked, 'what was acknowledged is not what is kept');
    writer.revision = revision;
    writer.title = plan.title;
  }
  const kept = await logged(house);
  for (const id of entries) found.unless(kept.has(id), 'an acknowledged entry of the log is gone');
}

/** Ids of all entries of the log. */
async function logged(house: House): Promise<Set<string>> {
  const ids = new Set<string>();
  for (let since = 0, more = true; more;) {
    const { text } = await house.ask('GET', `/api/log?since=${since}`);
    const page = JSON.parse(text) as { entries: { id: string }[]; latest: number; more: boolean };
    for (const { id } of page.entries) ids.add(id);
    ({ latest: since, more } = page);
  }
  return ids;
}

/** Where it is killed while it starts for the first time, the next start has all of the demo or seeds all of it. */
async function killAtStart(random: Random, found: Found): Promise<void> {
  const house = new House(undefined, ['--demo']);
  const child = house.launch();
  await wait(300 + below(random, 1700));
  child.kill('SIGKILL');
  try {
    await house.start();
    const { text } = await house.ask('GET', '/api/quilts');
    const { total } = JSON.parse(text) as { total: number };
    found.unless(total === 5, `after a first start killed half-way ${total} of 5 demo quilts are there`);
  } catch (error) {
    found.add(`after a first start killed half-way it does not start: ${(error as Error).message}`);
  }
  await house.clear();
}

export const kill: Attack = {
  name: 'kill',
  says: 'kills the server while four people save; what was acknowledged is there afterwards, whole',
  usual: 100,
  async run({ rounds, random }) {
    const found = new Found();
    const house = await new House().start();
    const n = { writes: 0 };
    const writers: Writer[] = [];
    const entries = new Set<string>();
    for (let i = 0; i < WRITERS; i++) {
      const id = randomUUID();
      const plan = { ...startPlan('sashed-sampler'), title: 'new' };
      await house.send('POST', '/api/quilts', { id, plan });
      writers.push({ id, revision: 1, title: 'new', asked: 'new' });
    }
    try {
      for (let round = 0; round < rounds; round++) {
        const writing = writers.map((writer) => write(house, writer, entries, n));
        await wait(below(random, WITHIN));
        await house.end('SIGKILL');
        await Promise.all(writing);
        await house.start();
        await check(house, writers, entries, found);
      }
    } catch (error) {
      found.add(`it does not start after a kill: ${(error as Error).message}`);
    }
    await house.clear();
    const starts = Math.ceil(rounds / 10);
    for (let i = 0; i < starts; i++) await killAtStart(random, found);
    return {
      figures: { kills: rounds, 'kills at first start': starts, saves: n.writes },
      found: found.lines(),
    };
  },
};
