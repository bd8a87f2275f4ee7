import { performance } from 'node:perf_hooks';
import { arrange, randomFrom, START_RULES, type WallJob } from '@lattice/core';
import { costOf, costsFor } from '../../packages/core/src/wall/costs.ts';
import { gridWall, plantedWall } from '../../packages/core/test/support/walls.ts';

const SEEDS = [1, 2, 3, 4, 5];

/**
 * Arranging a wall: planted walls that have an arrangement without a clash, with the time until none is
 * left, as a ratio to the time it takes to weigh every pair of blocks once; and small random walls
 * against the best of every order.
 */
export function* wall() {
  for (const [across, down] of [
    [5, 6],
    [10, 12],
    [20, 20],
  ] as const) {
    const runs = SEEDS.map((seed) => untilClear(plantedWall(across, down, seed), seed));
    const middle = (pick: (run: (typeof runs)[number]) => number) =>
      runs.map(pick).sort((a, b) => a - b)[Math.floor(runs.length / 2)]!;
    yield {
      case: 'wall',
      blocks: across * down,
      clear: runs.every((r) => r.clashes === 0),
      clearMs: round(middle((r) => r.clearMs)),
      aimMs: 2000,
      wholeMs: round(middle((r) => r.wholeMs)),
      ratioToWeighing: round(middle((r) => r.clearMs / r.weighingMs)),
    };
  }
  const apart = SEEDS.map((seed) => offBest(seed));
  yield {
    case: 'wall-against-every-order',
    walls: apart.length,
    worstOffBest: round(Math.max(...apart)),
    aim: 0.01,
  };
}

/** Runs an arrangement to its end: when the last clash went, and what the preparing alone takes. */
function untilClear(job: WallJob, seed: number) {
  const preparing = performance.now();
  costsFor(job);
  const weighingMs = performance.now() - preparing;
  const began = performance.now();
  let clearMs = Infinity;
  const running = arrange(job, seed);
  let next = running.next();
  for (; !next.done; next = running.next())
    if (next.value.clashes === 0) clearMs = Math.min(clearMs, performance.now() - began);
  const wholeMs = performance.now() - began;
  return {
    clashes: next.value.clashes,
    clearMs: next.value.clashes === 0 ? Math.min(clearMs, wholeMs) : clearMs,
    wholeMs,
    weighingMs,
  };
}

/** How far an arrangement of eight random blocks is from the best of all orders, as a share of that. */
function offBest(seed: number): number {
  const random = randomFrom(100 + seed);
  const { places, meetings } = gridWall(4, 2);
  const blocks = places.map((_, i) => ({
    id: `b${i}`,
    name: `Block ${i}`,
    kind: `kind ${Math.floor(random() * 3)}`,
    maker: `maker ${Math.floor(random() * 4)}`,
    colours: [],
    value: random(),
    size: 0,
    upright: false,
  }));
  const at = blocks.map((_, i) => i);
  const job: WallJob = {
    blocks,
    places,
    meetings,
    at,
    turns: at.map(() => 0),
    locked: at.map(() => false),
    rules: { ...START_RULES, gradient: 1 },
  };
  const costs = costsFor(job);
  let least = Infinity;
  for (const order of orders(at))
    least = Math.min(least, costOf(job, costs, { at: order, turns: job.turns }));
  const running = arrange(job, seed);
  let next = running.next();
  while (!next.done) next = running.next();
  return next.value.cost / least - 1;
}

/** Every order of a list. */
function* orders(list: readonly number[]): Generator<number[]> {
  if (list.length === 0) return yield [];
  for (const [i, first] of list.entries())
    for (const rest of orders([...list.slice(0, i), ...list.slice(i + 1)])) yield [first, ...rest];
}

const round = (value: number): number => Math.round(value * 1000) / 1000;
