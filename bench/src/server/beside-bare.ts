import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { RecordableHistogram } from 'node:perf_hooks';
import { House } from '@lattice/attack/house';
import { readPlan } from '@lattice/core';
import { startBare } from './bare-server.ts';
import { Client, ms, together } from './load.ts';

const root = path.resolve(import.meta.dirname, '../../..');
/** A quilt as large as people make them: thirty blocks, measured and named. */
const plan = (() => {
  const read = readPlan(JSON.parse(readFileSync(path.join(root, 'demo/potting-shed.plan.json'), 'utf8')));
  if (!read.ok) throw new Error('the demo cannot be read');
  return read.plan;
})();
const QUILTS = 200;
const TIMES = 1_500;
/** One pause meets everybody who waits: so many that it does not meet one in a hundred by itself. */
const TIMES_TOGETHER = 7_500;
const ROUNDS = 3;
/** Alone, and as many as a guild, each asking anew as soon as it is answered. */
const PEOPLE = [1, 50] as const;
const MOST_PEOPLE = Math.max(...PEOPLE);

/** The three things people do all day, against one server. */
type Usual = Record<'list' | 'read' | 'save', (people: number) => Promise<RecordableHistogram>>;

async function usual(client: Client): Promise<Usual> {
  const ids = Array.from({ length: QUILTS }, () => randomUUID());
  const revisions = new Map<string, number>();
  for (const [i, id] of ids.entries()) {
    await client.ask('POST', '/api/quilts', JSON.stringify({ id, plan: { ...plan, title: `Quilt ${i}` } }));
    revisions.set(id, 1);
  }
  let at = 0;
  /** Another quilt each time, and never one that another of the people has in hand. */
  const next = (person: number) => ids[(at++ % (QUILTS / MOST_PEOPLE)) * MOST_PEOPLE + person]!;
  const right = ({ status }: { status: number }) => {
    if (status !== 200) throw new Error(`answered with ${status}`);
  };
  const go = (work: (person: number, took: RecordableHistogram) => Promise<void>) => (people: number) =>
    together(people, people === 1 ? TIMES : TIMES_TOGETHER, work);
  return {
    list: go(async (_, took) => right(await client.ask('GET', '/api/quilts', null, took))),
    read: go(async (person, took) =>
      right(await client.ask('GET', `/api/quilts/${next(person)}`, null, took)),
    ),
    save: go(async (person, took) => {
      const id = next(person);
      const revision = revisions.get(id)!;
      right(await client.ask('PUT', `/api/quilts/${id}`, JSON.stringify({ revision, plan }), took));
      revisions.set(id, revision + 1);
    }),
  };
}

/** List, read and save of the app beside a bare handler that does the same, by turns; the middle of three rounds. */
export async function* besideBare() {
  // Its log goes to a file: whoever measures must not be kept busy reading it.
  const log = path.join(mkdtempSync(path.join(tmpdir(), 'lattice-bench-')), 'log');
  const house = await new House(undefined, ['--log', log]).start();
  const bareServer = await startBare();
  const clients = [new Client(house.address), new Client(bareServer.address)] as const;
  const [ours, bares] = [await usual(clients[0]), await usual(clients[1])];
  for (const people of PEOPLE)
    for (const name of ['list', 'read', 'save'] as const) {
      const rounds: { p50: number; p99: number; bareP50: number; bareP99: number }[] = [];
      for (let i = 0; i < ROUNDS; i++) {
        const own = await ours[name](people);
        const bare = await bares[name](people);
        rounds.push({ p50: ms(own, 50), p99: ms(own, 99), bareP50: ms(bare, 50), bareP99: ms(bare, 99) });
      }
      const middle = rounds.sort((a, b) => a.p99 / a.bareP99 - b.p99 / b.bareP99)[Math.floor(ROUNDS / 2)]!;
      yield {
        case: 'server',
        name: people === 1 ? name : `${name}, ${people} people at once`,
        ...middle,
        ratioToBare: Math.round(100 * (middle.p99 / middle.bareP99)) / 100,
        aim: 1.5,
      };
    }
  for (const client of clients) client.close();
  bareServer.stop();
  await house.clear();
  rmSync(path.dirname(log), { recursive: true });
}
