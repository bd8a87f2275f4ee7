import { type ChildProcess, spawn } from 'node:child_process';
import { createHistogram } from 'node:perf_hooks';
import { setTimeout as wait } from 'node:timers/promises';
import path from 'node:path';
import Driver from 'better-sqlite3';
import { House } from '@lattice/attack/house';
import { startPlan } from '@lattice/core';
import { startBare } from './bare-server.ts';
import { Client, ms } from './load.ts';

const QUILTS = 10_000;
const PEOPLE = 50;
const SECONDS = 60;
/** Beside a busy core by turns, so many each: the machine's mood is in both. */
const TURNS = 3;
const TURN_SECONDS = 12;

/** A shelf of so many quilts, made from one that the server took: copied where it lies. */
async function fullShelf(): Promise<House> {
  const house = await new House().start();
  await house.send('POST', '/api/quilts', { id: 'the-first-one', plan: startPlan('sashed-sampler') });
  await house.end();
  const database = new Driver(path.join(house.folder, 'lattice.sqlite'));
  const columns = (database.pragma('table_info(quilts)') as { name: string }[]).map(({ name }) => name);
  const others = columns.filter((name) => name !== 'id').join(', ');
  database.exec(
    `with recursive n(i) as (select 1 union all select i + 1 from n where i < ${QUILTS - 1})
     insert into quilts (id, ${others}) select 'quilt-number-' || i, ${others} from n, quilts where id = 'the-first-one'`,
  );
  database.close();
  return house.start();
}

/** Fifty people who each save once a second for a minute, while one looks through the shelf. */
async function evening(client: Client, seconds: number, saved = new Map<string, number>()) {
  const [saves, lists] = [createHistogram(), createHistogram()];
  let refused = 0;
  const until = Date.now() + seconds * 1_000;
  const person = async (n: number) => {
    const id = `quilt-number-${n * 190 + 1}`;
    let revision = saved.get(id) ?? 1;
    await wait((1_000 * n) / PEOPLE);
    while (Date.now() < until) {
      const second = wait(1_000);
      const plan = { ...startPlan('sashed-sampler'), title: `Saved ${revision} times` };
      const { status } = await client.ask(
        'PUT',
        `/api/quilts/${id}`,
        JSON.stringify({ revision, plan }),
        saves,
      );
      if (status === 200) saved.set(id, ++revision);
      else refused++;
      await second;
    }
  };
  const looker = async () => {
    while (Date.now() < until) {
      let after: string | null = null;
      for (let page = 0; page < 10; page++) {
        const where: string =
          after === null ? '/api/quilts' : `/api/quilts?after=${encodeURIComponent(after)}`;
        const { text } = await client.ask('GET', where, null, lists);
        after = (JSON.parse(text) as { next?: string }).next ?? null;
        await wait(200);
      }
    }
  };
  await Promise.all([...Array.from({ length: PEOPLE }, (_, n) => person(n)), looker()]);
  let lost = 0;
  for (const [id, revision] of saved) {
    const { text } = await client.ask('GET', `/api/quilts/${id}`, null);
    if ((JSON.parse(text) as { revision: number }).revision !== revision) lost++;
  }
  return { saves, lists, refused, lost };
}

/** A program that uses all it can get of one core. */
const busyCore = (): ChildProcess => spawn(process.execPath, ['-e', 'for (;;);'], { stdio: 'ignore' });

/**
 * A guild at work on a shelf of ten thousand quilts: by itself, then beside a program that keeps a core busy, by turns
 * with a bare server under the same load. Nothing acknowledged may be lost.
 */
export async function* guild() {
  const house = await fullShelf();
  const client = new Client(house.address);
  const alone = await evening(client, SECONDS);
  yield {
    case: 'server',
    name: `${PEOPLE} people saving each second on a shelf of ${QUILTS}`,
    saves: alone.saves.count,
    p50: ms(alone.saves, 50),
    p99: ms(alone.saves, 99),
    longest: ms(alone.saves, 100),
    listP99: ms(alone.lists, 99),
    refused: alone.refused,
    lost: alone.lost,
    peakMB: house.peakMB(),
    aimP99: 100,
  };
  client.close();
  await house.clear();

  const again = await fullShelf();
  const bareServer = await startBare(QUILTS);
  const [own, bare] = [new Client(again.address), new Client(bareServer.address)];
  await bare.ask('POST', '/api/quilts', JSON.stringify({ id: 'first', plan: startPlan('sashed-sampler') }));
  const busy = busyCore();
  const [kept, bareKept] = [new Map<string, number>(), new Map<string, number>()];
  const turns: { p50: number; p99: number; bareP50: number; bareP99: number }[] = [];
  let lost = 0;
  for (let turn = 0; turn < TURNS; turn++) {
    const beside = await evening(own, TURN_SECONDS, kept);
    const least = await evening(bare, TURN_SECONDS, bareKept);
    lost += beside.lost + beside.refused;
    turns.push({
      ...{ p50: ms(beside.saves, 50), p99: ms(beside.saves, 99) },
      ...{ bareP50: ms(least.saves, 50), bareP99: ms(least.saves, 99) },
    });
  }
  own.close();
  bare.close();
  await again.clear();
  bareServer.stop();
  busy.kill('SIGKILL');
  const middle = turns.sort((a, b) => a.p99 / a.bareP99 - b.p99 / b.bareP99)[Math.floor(TURNS / 2)]!;
  yield {
    case: 'server',
    name: 'the same beside a busy core, by turns',
    ...middle,
    all: turns.map(({ p99, bareP99 }) => Math.round((100 * p99) / bareP99) / 100),
    lost,
    ratioToBare: Math.round((100 * middle.p99) / middle.bareP99) / 100,
    aim: 3,
  };
}
