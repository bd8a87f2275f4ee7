import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { RecordableHistogram } from 'node:perf_hooks';
import { House } from '@lattice/attack/house';
import { readPlan } from '@lattice/core';
import { Client, ms, oneAfterAnother } from './load.ts';

const root = path.resolve(import.meta.dirname, '../../..');
/** A quilt as large as people make them: thirty blocks, measured and named. */
const plan = (() => {
  const read = readPlan(JSON.parse(readFileSync(path.join(root, 'demo/potting-shed.plan.json'), 'utf8')));
  if (!read.ok) throw new Error('the demo cannot be read');
  return read.plan;
})();
const QUILTS = 200;
const TIMES = 1_500;
const ROUNDS = 3;

/** The three things people do all day, against one server. */
async function usual(
  client: Client,
): Promise<Record<'list' | 'read' | 'save', () => Promise<RecordableHistogram>>> {
  const ids = Array.from({ length: QUILTS }, () => randomUUID());
  const revisions = new Map<string, number>();
  for (const [i, id] of ids.entries()) {
    await client.ask('POST', '/api/quilts', JSON.stringify({ id, plan: { ...plan, title: `Quilt ${i}` } }));
    revisions.set(id, 1);
  }
  let at = 0;
  const next = () => ids[at++ % ids.length]!;
  const right = ({ status }: { status: number }) => {
    if (status !== 200) throw new Error(`answered with ${status}`);
  };
  return {
    list: () =>
      oneAfterAnother(TIMES, async (took) => right(await client.ask('GET', '/api/quilts', null, took))),
    read: () =>
      oneAfterAnother(TIMES, async (took) =>
        right(await client.ask('GET', `/api/quilts/${next()}`, null, took)),
      ),
    save: () =>
      oneAfterAnother(TIMES, async (took) => {
        const id = next();
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
  const bareServer = spawn(process.execPath, ['--import', 'tsx', path.join(import.meta.dirname, 'bare.ts')], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const bareAt = await new Promise<string>((resolve) => {
    bareServer.stdout.on('data', (chunk: Buffer) => {
      const [, found] = /(http:\S+)\//.exec(chunk.toString()) ?? [];
      if (found) resolve(found);
    });
  });
  const clients = [new Client(house.address), new Client(bareAt)] as const;
  const [ours, bares] = [await usual(clients[0]), await usual(clients[1])];
  for (const name of ['list', 'read', 'save'] as const) {
    const rounds: { p50: number; p99: number; bareP50: number; bareP99: number }[] = [];
    for (let i = 0; i < ROUNDS; i++) {
      const own = await ours[name]();
      const bare = await bares[name]();
      rounds.push({ p50: ms(own, 50), p99: ms(own, 99), bareP50: ms(bare, 50), bareP99: ms(bare, 99) });
    }
    const middle = rounds.sort((a, b) => a.p99 / a.bareP99 - b.p99 / b.bareP99)[Math.floor(ROUNDS / 2)]!;
    yield {
      case: 'server',
      name,
      ...middle,
      ratioToBare: Math.round(100 * (middle.p99 / middle.bareP99)) / 100,
      aim: 1.5,
    };
  }
  for (const client of clients) client.close();
  bareServer.kill('SIGTERM');
  await house.clear();
  rmSync(path.dirname(log), { recursive: true });
}
